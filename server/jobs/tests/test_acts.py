"""The hand that acts means what it saw; what is sent twice is done once."""

from __future__ import annotations

import json
from typing import Any

from lathework.tests.samples import document
from server.jobs.actions.documents import start_job
from server.jobs.models import Act, Entry, Job
from server.jobs.tests.case import Answer, ApiCase


class MeansWhatItSaw(ApiCase):
    def post(self, tail: str, body: dict[str, Any], key: str = "") -> Answer:
        headers = {"Idempotency-Key": key} if key else {}
        return self.client.post(self.url(tail), json.dumps(body), content_type="application/json", headers=headers)

    def screen(self) -> dict[str, Any]:
        """What a screen that was just drawn sends along."""
        return {**self.saw(), "step": self.get(self.url("/bench"))["step"]["key"]}

    def test_done_on_an_old_screen_ticks_nothing_off(self) -> None:
        """Two screens at the face; one ticks it off, and then takes it back and ticks it off again."""
        old = self.screen()
        self.record("done")
        self.assertEqual(self.told(self.post("/entries", {**old, "kind": "done"}), 409), {})
        self.act("undo")
        self.record("done")
        self.assertEqual(self.told(self.post("/entries", {**old, "kind": "done"}), 409), {})
        self.assertEqual(Entry.objects.filter(undone_at=None).count(), 1)

    def test_done_after_the_part_was_changed_ticks_nothing_off(self) -> None:
        self.walk_to("turn:s1")
        old = self.screen()
        self.change({"part.sections.0.thread": "3/8-24"})
        self.told(self.post("/entries", {**old, "kind": "reading", "reading": "0.3687"}), 409)
        self.assertEqual(Entry.objects.filter(kind="reading").count(), 0)

    def test_the_step_that_was_seen_must_be_the_one_in_hand(self) -> None:
        wrong = {**self.screen(), "step": "gauge:s1", "kind": "done"}
        self.told(self.post("/entries", wrong), 409)
        self.assertEqual(Entry.objects.count(), 0)

    def test_a_stale_undo_takes_nobody_elses_reading(self) -> None:
        """As many entries as were seen, but another one is last: it stays."""
        self.walk_to("turn:s1")
        old = self.saw()
        self.act("undo")
        self.record("note", reason="from the other tablet")
        self.told(self.post("/undo", old), 409)
        self.assertEqual(Entry.objects.filter(undone_at=None).get().text, "from the other tablet")

    def test_what_ends_a_job_is_guarded_too(self) -> None:
        old = self.saw()
        self.record("note", reason="a word")
        for what in ("hold", "close", "archive", "delete"):
            with self.subTest(what):
                self.told(self.post(f"/{what}", {**old, "reason": "x"} if what in ("hold", "close") else old), 409)
        self.assertEqual(self.act("hold", reason="a die").status_code, 200)
        self.told(self.post("/release", old), 409)
        self.assertEqual(self.get(self.url("/standing"))["state"], "held")

    def test_an_act_sent_twice_is_done_once(self) -> None:
        """The answer was lost, the same act comes again: it gets the same answer, and nothing is stored twice."""
        body = {**self.screen(), "kind": "note", "reason": "dull die"}
        first, again = (self.post("/entries", body, "key-1").json() for _ in (1, 2))
        self.assertEqual(first, again)
        self.assertEqual(Entry.objects.count(), 1)
        undo = self.saw()
        for _ in (1, 2):
            self.assertEqual(self.post("/undo", undo, "key-2").status_code, 200)
        self.assertEqual(Entry.objects.filter(undone_at=None).count(), 0)
        closing = {**self.saw(), "reason": "enough"}
        for _ in (1, 2):
            self.assertEqual(self.post("/close", closing, "key-3").status_code, 200)

    def test_a_job_started_twice_is_one_job(self) -> None:
        def start() -> Any:
            return self.client.post(
                "/api/jobs", document(), content_type="application/json", headers={"Idempotency-Key": "start-1"}
            ).json()

        self.assertEqual(start()["id"], start()["id"])
        self.assertEqual(Job.objects.count(), 2)
        change = {"document": document({"quantity": 9}), "revision": 1}
        for _ in (1, 2):
            answer = self.client.put(
                self.url(), change, content_type="application/json", headers={"Idempotency-Key": "change-1"}
            )
            self.assertEqual(answer.json()["revision"], 2)

    def test_a_key_belongs_to_one_act(self) -> None:
        self.post("/entries", {**self.screen(), "kind": "note", "reason": "x"}, "key-1")
        told = self.told(self.post("/hold", {**self.saw(), "reason": "x"}, "key-1"), 422)
        self.assertEqual(told, {"Idempotency-Key": "key-used"})
        self.told(self.post("/hold", {**self.saw(), "reason": "x"}, "k" * 65), 422)

    def test_a_key_comes_with_the_same_words_on_the_same_job_alone(self) -> None:
        """What was answered to the act of one job is no answer to that of another, nor a reading to another reading."""
        said = {**self.screen(), "kind": "note", "reason": "a dull die"}
        self.assertEqual(self.post("/entries", said, "key-1").status_code, 200)
        for other in ({**said, "reason": "a sharp die"}, {**said, "last": said["last"] + 1}, {**said, "step": "x"}):
            self.assertEqual(
                self.told(self.post("/entries", other, "key-1"), 422), {"Idempotency-Key": "key-used"}, other
            )
        self.job = start_job(document())
        self.assertEqual(self.told(self.post("/entries", said, "key-1"), 422), {"Idempotency-Key": "key-used"})
        self.assertEqual([one.text for one in Entry.objects.all()], ["a dull die"])

    def test_a_key_holds_a_job_for_one_reason(self) -> None:
        held = {**self.saw(), "reason": "a die is ordered"}
        self.assertEqual(self.post("/hold", held, "key-1").status_code, 200)
        self.told(self.post("/hold", {**held, "reason": "another"}, "key-1"), 422)
        self.assertEqual(self.post("/hold", held, "key-1").status_code, 200)

    def test_what_was_refused_keeps_no_key(self) -> None:
        """Refused for an empty note; put right, the same key serves."""
        self.told(self.post("/entries", {**self.screen(), "kind": "note", "reason": ""}, "key-1"), 422)
        self.assertEqual(Act.objects.count(), 0)
        again = self.post("/entries", {**self.screen(), "kind": "note", "reason": "words"}, "key-1")
        self.assertEqual(again.status_code, 200)


class EntriesTellTheirStory(ApiCase):
    def test_all_that_it_meant_that_day(self) -> None:
        """Title, target and limits as the step had them; what was typed, and in which unit; the revision."""
        self.change({"quantity": 2})
        self.walk_to("turn:s1")
        self.record("reading", reading="9.37", unit="mm")
        entry = Entry.objects.get(kind="reading")
        self.assertEqual(
            (entry.title, entry.thread, entry.class_name, entry.metal, entry.typed, entry.unit, entry.revision),
            ("Turn the thread blank", "3/8-16 UNC", "2A", "mild steel", "9.37", "mm", 2),
        )
        self.assertAlmostEqual(entry.aim_mm or 0, 0.3688 * 25.4, places=3)
        assert entry.low_mm is not None and entry.high_mm is not None
        self.assertLess(entry.low_mm, 9.3675)
        self.assertGreater(entry.high_mm, 9.3675)

    def test_the_bench_says_what_no_longer_counts(self) -> None:
        self.walk_to("turn:s1")
        self.record("reading", reading="0.3687")
        self.change({"method.blank_school": "nominal"})
        now = self.get(self.url("/bench"))
        self.assertEqual([size["readings"] for size in now["sizes"]], [[] for _ in now["sizes"]])
        self.assertEqual(
            now["outdated"]["inch"],
            "This 0.3687 was measured for a target of 0.3688; the target is now 0.3750. Measure again.",
        )
        self.assertEqual(self.get("/api/log?q=0.3687")["entries"][0]["aim"]["inch"]["text"], "0.3688")


class ByKind(ApiCase):
    """Each act has its own fields."""

    def test_a_page_of_an_earlier_version_names_every_field(self) -> None:
        """What it says nothing with is no field of the act, and no fault; what it says something with is."""
        unsaid = {
            "reading": "",
            "verdict": "",
            "reason": "",
            "again": "",
            "part": "",
            "piece": 0,
            "keeps": "",
            "by": "",
        }
        self.assertEqual(self.record("note", **unsaid | {"reason": "the belt slips"}).status_code, 200)
        self.assertEqual(
            self.told(self.record("done", **unsaid | {"verdict": "snug"}), 422), {"verdict": "extra_forbidden"}
        )

    def test_an_act_that_nobody_knows(self) -> None:
        self.assertEqual(self.told(self.record("sing"), 422), {"kind": "union_tag_invalid"})

    def test_what_is_wrong_is_told_beside_its_field(self) -> None:
        self.assertEqual(self.told(self.record("turn-to", part="x" * 99), 422), {"part": "string_too_long"})
        self.assertEqual(self.told(self.record("take-up", piece="two"), 422), {"piece": "int_parsing"})
