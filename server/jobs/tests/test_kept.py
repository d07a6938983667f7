"""The rows kept ready equal the fold of the entries, after any history; and nothing reads the history to show them."""

from __future__ import annotations

import random
from typing import Any

from django.db import connection
from django.test.utils import CaptureQueriesContext

from lathework.tests.samples import PLUG, SCREW, TIE_ROD, body, bore, document, section
from lathework.tests.test_parts import other, together
from server.jobs import kept, search_index
from server.jobs.actions.documents import start_job
from server.jobs.models import CutRow, Entry, GaugingRow, Job, PieceRow, StandingRow, TookRow, TrialRow
from server.jobs.tests.case import ApiCase

CHANGES: tuple[dict[str, Any], ...] = (
    {"method.finish": "run-out"},
    {"part.sections.0.thread": "3/8-24"},
    {"part.stock.across": "5/8", "quantity": 3},
    {"material": "brass", "title": "Brass studs"},
    {},
)


def rows(job_id: int) -> dict[str, Any]:
    """Everything that is kept ready of a job, without the numbers the rows happen to have."""
    standing = StandingRow.objects.filter(pk=job_id).values().get()
    pieces = PieceRow.objects.filter(job=job_id).order_by("part", "piece")
    gaugings = GaugingRow.objects.filter(job=job_id).order_by("part", "piece", "step")
    trials = TrialRow.objects.filter(job=job_id).order_by("entry")
    cuts = CutRow.objects.filter(job=job_id).order_by("entry")
    took = TookRow.objects.filter(job=job_id).order_by("part", "piece", "step")
    with connection.cursor() as cursor:
        cursor.execute("SELECT rowid, words, thread, kind FROM jobs_entrywords ORDER BY rowid")
        words = cursor.fetchall()
    return {
        "standing": standing,
        "pieces": [{k: v for k, v in row.items() if k != "id"} for row in pieces.values()],
        "gaugings": [{k: v for k, v in row.items() if k != "id"} for row in gaugings.values()],
        "trials": [{k: v for k, v in row.items() if k != "id"} for row in trials.values()],
        "cuts": [{k: v for k, v in row.items() if k != "id"} for row in cuts.values()],
        "took": [{k: v for k, v in row.items() if k != "id"} for row in took.values()],
        "words": words,
    }


class RowsOfAnyHistory(ApiCase):
    def act_at_random(self, rng: random.Random) -> None:
        now = self.get(self.url("/bench"))
        choice = rng.random()
        if choice < 0.1:
            self.act("undo")
        elif choice < 0.15:
            self.change(rng.choice(CHANGES))
        elif choice < 0.2:
            self.record("note", reason="chips packed")
        elif choice < 0.23:
            self.record("scrap", reason="slipped")
        elif now["unread"]:
            self.record("read")
        elif not now["step"]:
            self.act("undo")
        elif now["zero"] and choice < 0.8:
            self.record("zero")
        elif now["step"]["measure"] == "diameter" and not now["sizes"][0]["readings"]:
            self.record("reading", reading="0.3687")
        elif now["step"]["measure"] == "verdict" and not (now["verdict"] or {}).get("passes"):
            self.record("verdict", verdict=rng.choice(["binds", "snug"]))
            self.record("setting")
        elif self.record("done").status_code != 200:
            self.record("accept", reason="it will do")

    def test_they_equal_the_fold_of_the_entries(self) -> None:
        started = (document(), document({**TIE_ROD, "hazards": ["lifting"]}), together(other({"quantity": 1})))
        for seed, one in enumerate(started):
            rng = random.Random(seed)
            self.job = start_job(one)
            for step in range(40):
                self.act_at_random(rng)
                if step % 8 == 7:
                    followed = rows(self.job.pk)
                    kept.keep_ready(self.stored())
                    self.assertEqual(followed, rows(self.job.pk), f"history {seed}, act {step}")
            self.assertGreater(Entry.objects.filter(job=self.job, undone_at=None).count(), 10)
            self.read_back()
            self.assertTrue(GaugingRow.objects.exists() or seed)

    def read_back(self) -> None:
        """The job's file makes the same job again, whatever was changed and taken back meanwhile."""
        file = self.get(self.url("/job.json"))
        again = self.send("POST", "/api/jobs/import", file).json()["id"]
        self.assertEqual(self.get(f"/api/jobs/{again}/job.json"), file)
        own = dict.fromkeys(("id", "last", "revision", "changed_at"))
        self.assertEqual(self.get(f"/api/jobs/{again}/bench") | own, self.get(self.url("/bench")) | own)
        # Words are compared for one job at a time.
        Job.objects.filter(pk=again).delete()
        search_index.forget_entries(again)

    def test_an_adjustable_tap_is_remembered_in_the_next_job(self) -> None:
        """A screw that binds opens the tap; the next job with it begins from there, and its page draws what it cuts."""
        hole = body(bore("M8", cut="adjustable-tap", tap="t7", graduation="0.02 mm"))
        self.job = start_job(document(hole))
        self.walk_to("tap:b1")
        self.assertEqual(self.get(self.url("/bench"))["preset"]["trials"], 0)
        self.record("setting", stands="0")
        self.walk_to("try:b1")
        self.record("verdict", verdict="binds")
        self.record("setting")
        self.record("verdict", verdict="snug")
        now = self.get(self.url("/bench"))
        self.assertGreater(now["opened_eighths"], 0)
        self.assertEqual(now["moves"], "tap")
        followed = rows(self.job.pk)
        kept.keep_ready(self.stored())
        self.assertEqual(rows(self.job.pk), followed)
        self.job = start_job(document(hole))
        self.walk_to("tap:b1")
        preset = self.get(self.url("/bench"))["preset"]
        self.assertEqual((preset["trials"], preset["left"]), (2, now["opened_eighths"]))
        line = self.get("/api/log/dies/line?die=t7")
        said = [point["said"] for point in line["points"]]
        self.assertEqual(said, ["starts, then binds", "snug, turns by hand, no play"])
        ends = [line["line"][at]["off_mm"] for at in (0, -1)]
        self.assertGreater(ends[1], ends[0], "opened further, it cuts a wider hole")

    def turning(self, changes: dict[str, Any]) -> Any:
        """Another job as far as its blank, and the next cut there."""
        self.job = start_job(document({"setup.machine": "m1", **changes}))
        self.walk_to("turn:s1")
        return self.get(self.url("/bench"))["sizes"][0]["cut"]["ratio"]

    def test_what_a_lathe_springs_is_known_in_the_next_job(self) -> None:
        """0.05 and 0.04 dialled, 0.04 and 0.032 came off: four fifths. In brass, or on another lathe, nobody knows."""
        self.assertEqual(self.turning({})["note"], "")
        for dialled, reading in ((None, "0.47"), ("0.05", "0.43"), ("0.04", "0.398")):
            self.record("reading", reading=reading, **({"dialled": dialled} if dialled else {}))
        followed, first = rows(self.job.pk), self.job
        self.assertEqual(len(followed["cuts"]), 2)
        kept.keep_ready(self.stored())
        self.assertEqual(rows(self.job.pk), followed)
        again = self.turning({})
        self.assertIn("Earlier cuts", again["note"])
        self.assertAlmostEqual(again["value"], 0.8, delta=0.05)
        for unlike in ({"material": "brass"}, {"setup.machine": "m2"}, {"setup.machine": ""}):
            self.assertEqual(self.turning(unlike)["note"], "", unlike)
        first.deleted_at = first.created_at
        first.save()
        self.assertEqual(self.turning({})["note"], "")

    def test_every_verdict_on_a_die_of_the_shop_is_kept(self) -> None:
        """The tight one before the last too: it tells most of the die. Taken back, it is forgotten."""
        self.job = start_job(document({"part.sections.0.die": "d7"}))
        self.walk_to("gauge:s1")
        for act in (
            {"kind": "verdict", "verdict": "binds"},
            {"kind": "setting"},
            {"kind": "verdict", "verdict": "snug"},
        ):
            self.record(**act)
        followed = rows(self.job.pk)
        told = [(one["die"], one["verdict"], one["eighths"]) for one in followed["trials"]]
        self.assertEqual([one[:2] for one in told], [("d7", "binds"), ("d7", "snug")])
        self.assertLess(told[1][2], told[0][2], "closed after it bound")
        self.assertEqual(len(followed["gaugings"]), 1)
        kept.keep_ready(self.stored())
        self.assertEqual(rows(self.job.pk), followed)
        self.act("undo")
        self.assertEqual(len(rows(self.job.pk)["trials"]), 1)

    def test_a_thread_that_is_judged_twice_is_kept_once(self) -> None:
        self.job = start_job(document({"part.sections.0.die": "d7"}))
        self.walk_to("gauge:s1")
        self.record("verdict", verdict="loose")
        self.record("verdict", verdict="snug")
        followed = rows(self.job.pk)
        self.assertEqual([one["verdict"] for one in followed["trials"]], ["snug"])
        kept.keep_ready(self.stored())
        self.assertEqual(rows(self.job.pk), followed)

    def test_a_measured_thread_is_kept_as_it_was_typed_and_measured(self) -> None:
        self.job = start_job(document({"part.sections.0.die": "d7"}))
        self.walk_to("gauge:s1")
        told = self.told(self.record("verdict", reading="0.385", wire="thick"), 422)
        self.assertEqual(told, {"wire": "not-a-length"})
        now = self.record("verdict", reading="0.385", wire="0.0361").json()
        self.assertEqual((now["verdict"]["code"], now["hindrance"]), ("size-in", ""))
        self.assertEqual(now["sized"]["pitch_diameter"]["shown"]["inch"]["text"], "0.3307")
        (trial,) = rows(self.job.pk)["trials"]
        self.assertAlmostEqual(trial["within_mm"], 0.005)
        self.assertEqual(Entry.objects.filter(job=self.job).latest("pk").typed, "0.385")
        followed = rows(self.job.pk)
        kept.keep_ready(self.stored())
        self.assertEqual(rows(self.job.pk), followed)
        file = self.get(self.url("/job.json"))
        again = self.send("POST", "/api/jobs/import", file).json()["id"]
        self.assertEqual(self.get(f"/api/jobs/{again}/bench")["sized"], now["sized"])

    def test_a_verdict_that_was_not_the_dies_doing_is_forgotten(self) -> None:
        self.job = start_job(document({"part.sections.0.die": "d7"}))
        self.walk_to("gauge:s1")
        self.record("verdict", verdict="binds")
        self.assertEqual(self.told(self.record("cause", cause="the moon"), 422), {"cause": "unknown-choice"})
        now = self.record("cause", cause="swarf").json()
        self.assertEqual((now["cause"]["code"], now["verdict"], now["causes"]), ("swarf", None, []))
        followed = rows(self.job.pk)
        self.assertEqual(followed["trials"], [])
        kept.keep_ready(self.stored())
        self.assertEqual(rows(self.job.pk), followed)
        self.record("verdict", verdict="snug")
        self.assertEqual([one["verdict"] for one in rows(self.job.pk)["trials"]], ["snug"])
        self.assertEqual(self.get("/api/log?kind=cause")["entries"][0]["said"], "chips")

    def test_rebuild_makes_rows_that_were_lost(self) -> None:
        self.walk_to("part-off")
        self.record("done")
        before = rows(self.job.pk)
        StandingRow.objects.all().delete()
        PieceRow.objects.all().delete()
        with connection.cursor() as cursor:
            cursor.execute("DELETE FROM jobs_entrywords")
        self.assertEqual(kept.rebuild(), 1)
        self.assertEqual(rows(self.job.pk), before)

    def test_rows_folded_by_other_rules_are_folded_anew(self) -> None:
        self.walk_to("groove:s1")
        StandingRow.objects.update(rules="of another day", next_step="Dance", folded={"parts": {}, "turned_to": ""})
        self.assertEqual(kept.rebuild_outdated(), 1)
        self.assertEqual(self.jobs()[0]["next_step"], "Relief groove")
        self.assertEqual(kept.rebuild_outdated(), 0)


class NothingReadsTheHistory(ApiCase):
    def questions(self, path: str) -> int:
        """How many questions an answer puts to the store."""
        with CaptureQueriesContext(connection) as asked:
            self.get(path)
        for query in asked.captured_queries:
            if path != "/api/log" and not path.startswith("/api/log?"):
                self.assertNotIn('FROM "jobs_entry"', query["sql"])
        return len(asked)

    def test_pages_ask_the_same_however_much_was_recorded(self) -> None:
        self.walk_to("groove:s1")
        for number in range(30):
            start_job(document({"title": f"Pins {number}", **(SCREW if number % 2 else PLUG)}))
        paths = ("/api/jobs", self.url(), self.url("/bench"), "/api/log?q=studs")
        before = [self.questions(path) for path in paths]
        for number in range(40):
            self.record("note", reason=f"note {number}")
        self.assertEqual([self.questions(path) for path in paths], before)
        self.assertLess(max(before), 8)

    def test_a_reading_costs_the_same_after_a_long_history(self) -> None:
        def asked() -> int:
            with CaptureQueriesContext(connection) as seen:
                self.record("note", reason="x")
            return len(seen)

        self.walk_to("turn:s1")
        before = asked()
        for _ in range(60):
            self.record("reading", reading="0.4000")
        self.assertEqual(asked(), before)


class TheList(ApiCase):
    def test_pages_follow_one_another_in_order(self) -> None:
        """What is on the bench first, then what is stuck, what is planned, what is closed."""
        for number in range(45):
            start_job(document({"title": f"Job {number}", "part.sections": [section("thread", "2", thread="M8")]}))
        self.record("done")
        first, second, third = (self.get(f"/api/jobs?start={start}") for start in (0, 20, 40))
        self.assertEqual((first["more"], second["more"], third["more"]), (True, True, False))
        titles = [job["title"] for page in (first, second, third) for job in page["jobs"]]
        self.assertEqual((len(titles), len(set(titles)), titles[0]), (46, 46, "Levelling studs"))
        self.assertEqual(first["counts"], {"open": 46, "archive": 0, "bin": 0})
        self.told(self.client.get("/api/jobs?start=-1"), 422)
        self.told(self.client.get("/api/jobs?shelf=attic"), 422)
