"""The bench through the API: what is recorded, what is refused, what is taken back."""

from __future__ import annotations

import csv
import io

from lathework.tests.samples import PARTED, document
from server.jobs.actions.documents import start_job
from server.jobs.models import Entry
from server.jobs.tests.case import ApiCase


class Bench(ApiCase):
    def test_a_whole_piece(self) -> None:
        self.walk_to("gauge:s1")
        self.record("verdict", verdict="binds")
        now = self.get(self.url("/bench"))
        self.assertEqual(now["advice"]["move"], "close")
        by = float(now["advice"]["eighths"]["shown"]["inch"]["text"])
        self.assertEqual(self.record("setting").json()["opened_eighths"], -by)
        self.record("verdict", verdict="snug")
        for _ in ("gauge", *PARTED[1:]):
            self.record("done")
        now = self.record("done").json()
        self.assertEqual((now["piece"], now["good"], now["step"]["key"]), (2, 1, "face:right"))
        self.assertEqual(now["opened_eighths"], -by)

    def test_a_bare_reading_is_in_the_unit_shown(self) -> None:
        self.walk_to("turn:s1")
        now = self.record("reading", reading="11.43", unit="mm").json()
        self.assertEqual(now["sizes"][0]["readings"][-1]["reading"]["inch"]["text"], "0.4500")
        self.assertEqual(Entry.objects.last().typed, "11.43")  # type: ignore[union-attr]

    def test_what_was_dialled_is_kept_as_the_person_said_it(self) -> None:
        self.walk_to("turn:s1")
        self.record("reading", reading="0.5")
        told = self.told(self.record("reading", reading="0.46", dialled="0.02"), 422)
        self.assertEqual(told, {"dialled": "other-terms"})
        for wrong, code in (("deep", "not-a-length"), ("9", "out-of-range"), ("a\x00b", "unreadable")):
            self.assertEqual(self.told(self.record("reading", reading="0.46", dialled=wrong), 422), {"dialled": code})
        now = self.record("reading", reading="0.46", dialled="0.042").json()
        last = now["sizes"][0]["readings"][-1]
        self.assertEqual((last["dialled"]["inch"]["text"], last["stated"]), ("0.0420", True))
        self.assertLess(now["sizes"][0]["cut"]["ratio"]["value"], 1)
        self.assertIn("said", self.client.get(self.url("/readings.csv")).content.decode())

    def test_a_groove_as_cut_is_kept_by_what_was_measured(self) -> None:
        self.walk_to("groove:s1")
        told = self.told(self.record("reading", reading="0.3", measured="bore"), 422)
        self.assertEqual(told, {"measured": "unknown-choice"})
        now = self.record("reading", reading="0.19", measured="width").json()
        self.assertEqual([len(size["readings"]) for size in now["sizes"]], [0, 1])
        self.assertEqual(now["sizes"][1]["cut"]["state"], "on-size")
        entry = Entry.objects.order_by("pk").last()
        assert entry is not None and entry.aim_mm is not None
        self.assertEqual((entry.measured, round(entry.aim_mm / 25.4, 4)), ("width", 0.1875))
        sheet = self.client.get(self.url("/readings.csv")).content.decode()
        row = [one for one in csv.DictReader(io.StringIO(sheet)) if one["kind"] == "reading"][-1]
        self.assertEqual((row["measured"], row["reading_in"]), ("width", "0.19000"))
        self.assertEqual(self.told(self.record("reading", reading="0.15", measured="width"), 422), {"reading": "grew"})

    def test_refused_entries_store_nothing(self) -> None:
        self.walk_to("turn:s1")
        before = Entry.objects.count()
        for more, field, code in (
            ({"kind": "reading", "reading": "abc"}, "reading", "not-a-length"),
            ({"kind": "reading", "reading": ""}, "reading", "empty"),
            ({"kind": "reading", "reading": "12.6"}, "reading", "out-of-range"),
            ({"kind": "reading", "reading": "0\n0"}, "reading", "not-a-length"),
            ({"kind": "verdict", "verdict": "snug"}, "verdict", "not-asked"),
            ({"kind": "verdict", "verdict": "fine"}, "verdict", "not-asked"),
            ({"kind": "setting"}, "setting", "not-asked"),
            ({"kind": "take-up", "piece": 9}, "piece", "out-of-range"),
            ({"kind": "take-up", "piece": -(10**20)}, "piece", "out-of-range"),
            ({"kind": "reading", "reading": "0.44", "by": "a\x00b"}, "by", "unreadable"),
            ({"kind": "again", "again": "gauge:s1"}, "again", "not-done"),
            ({"kind": "scrap", "reason": ""}, "reason", "empty"),
            ({"kind": "note", "reason": "x" * 2001}, "reason", "too-long"),
            ({"kind": "note", "reason": "a\x00b"}, "reason", "unreadable"),
        ):
            with self.subTest(more):
                told = self.told(self.record(**more), 422)
                self.assertEqual(told, {field: code})
        self.assertEqual(Entry.objects.count(), before)

    def test_a_screen_that_is_behind_is_told(self) -> None:
        answer = self.send(
            "POST", self.url("/entries"), {"last": 4, "revision": 1, "step": "face:right", "kind": "done"}
        )
        self.told(answer, 409)
        self.assertEqual(Entry.objects.count(), 0)

    def test_undo_takes_back_the_last_and_keeps_it(self) -> None:
        self.assertEqual(self.told(self.act("undo"), 409), {"job": "nothing-to-undo"})
        self.record("done")
        now = self.act("undo").json()
        self.assertEqual((now["step"]["key"], now["last"]), ("face:right", 0))
        self.assertIsNotNone(Entry.objects.get().undone_at)

    def test_a_step_is_not_ticked_off_under_size(self) -> None:
        self.walk_to("turn:s1")
        self.record("reading", reading="0.3500")
        self.assertEqual(self.told(self.record("done"), 422), {"reason": "needs-reason"})
        self.assertEqual(self.record("accept", reason="a loose nut is wanted").status_code, 200)

    def test_a_changed_plan_keeps_what_was_recorded(self) -> None:
        """The groove is given up half way: its entry stays in the log and the piece goes on without it."""
        from lathework.tests.samples import document

        self.walk_to("chamfer:s1")
        changed = document({"method.finish": "die-turned-round"})
        self.assertEqual(self.send("PUT", self.url(), {"document": changed, "revision": 1}).status_code, 200)
        self.assertEqual(self.get(self.url("/bench"))["step"]["key"], "chamfer:s1")
        self.assertTrue(Entry.objects.filter(step="groove:s1").exists())


class DieRecords(ApiCase):
    def test_a_later_job_is_told_what_gauged_well(self) -> None:
        """One piece turned to 0.3687 goes on snug: the next job with that die and metal starts from it."""
        self.job = start_job(document({"part.sections.0.die": "d7"}))
        self.walk_to("part-off")
        named = {"title": "More studs", "part.sections.0.die": "d7"}
        later = self.send("POST", "/api/jobs", document(named)).json()
        record = later["die_records"][0]
        self.assertEqual((record["thread"], record["pieces"]), ("3/8-16 UNC", 1))
        self.assertEqual(record["blank"]["shown"]["inch"]["text"], "0.3687")
        for changes in ({"material": "brass"} | named, {"title": "More studs"}):
            # Another metal; a die that nobody named, which is any.
            other = self.send("POST", "/api/jobs", document(changes)).json()
            self.assertEqual(other["die_records"], [])

    def test_a_die_without_a_name_teaches_no_other(self) -> None:
        self.walk_to("part-off")
        for changes in ({"title": "More studs"}, {"part.sections.0.die": "d7"}):
            later = self.send("POST", "/api/jobs", document(changes)).json()
            self.assertEqual(later["die_records"], [])


class CautionsAndZeros(ApiCase):
    def test_nothing_but_a_note_before_the_caution_is_read(self) -> None:
        self.send("PUT", self.url(), {"document": document({"hazards": ["lifting"]}), "revision": 1})
        self.assertEqual(self.told(self.record("done"), 422), {"caution": "not-read"})
        self.assertEqual(self.record("note", reason="asked the inspector").status_code, 200)
        self.assertEqual(self.record("read").status_code, 200)
        self.assertEqual(self.told(self.record("read"), 422), {"caution": "not-asked"})
        self.assertEqual(self.record("done").status_code, 200)
        entries = self.get("/api/log")["entries"]
        self.assertIn("lifting gear", [entry["said"] for entry in entries])

    def test_a_zero_is_recorded_lost_and_taken_back(self) -> None:
        self.walk_to("groove:s1")
        self.assertIn("grooving blade", self.get(self.url("/bench"))["zero"])
        self.assertEqual(self.record("zero").json()["zero"], "")
        self.assertEqual(self.told(self.record("zero"), 422), {"zero": "not-asked"})
        self.assertIn("grooving blade", self.record("zero-lost").json()["zero"])
        undone = self.act("undo")
        self.assertEqual(undone.json()["zero"], "")
