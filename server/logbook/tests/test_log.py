"""Finding jobs and entries by any of their words; pages; kinds."""

from __future__ import annotations

from typing import Any, get_args
from urllib.parse import urlencode

from lathework.tests.samples import PLUG, document
from server.jobs.actions.documents import start_job
from server.jobs.answers import JobState
from server.jobs.standing import STATE_WORDS
from server.jobs.tests.case import ApiCase


class Log(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        start_job(document({"title": "Shutter pins", "part.sections.0.thread": "5/16 BSF", "material": "brass"}))
        self.walk_to("gauge:s1")
        self.record("verdict", verdict="binds")
        self.record("setting")
        self.record("verdict", verdict="snug")
        self.record("note", reason="chips packed in the die")

    def log(self, q: str = "", **more: object) -> dict[str, Any]:
        return self.get(f"/api/log?{urlencode({'q': q, **more})}")  # type: ignore[no-any-return]

    def test_everything_newest_first(self) -> None:
        found = self.log()
        self.assertEqual([job["title"] for job in found["jobs"]], ["Levelling studs", "Shutter pins"])
        self.assertEqual(found["entries"][0]["said"], "chips packed in the die")
        self.assertEqual(found["entries"][-1]["step"], "Face the end, set Z zero")

    def test_every_word_must_be_found(self) -> None:
        for words, jobs in (
            ("shutter", ["Shutter pins"]),
            ("BSF brass", ["Shutter pins"]),
            ("chips packed", ["Levelling studs"]),
            ("levelling close", ["Levelling studs"]),
            ("shutter chips", []),
            ("3/8-16", ["Levelling studs"]),
            ("carriage", ["Levelling studs", "Shutter pins"]),
            ("100%", []),
        ):
            with self.subTest(words):
                self.assertEqual([job["title"] for job in self.log(words)["jobs"]], jobs)

    def test_a_reading_is_found_as_it_was_typed(self) -> None:
        found = self.log("0.3687")["entries"]
        self.assertEqual([(e["kind"], e["typed"]) for e in found], [("reading", "0.3687")])
        self.assertEqual(found[0]["reading"]["inch"]["text"], "0.3687")

    def test_settings_and_verdicts_are_told_in_words(self) -> None:
        self.assertEqual([e["said"] for e in self.log(kind="setting")["entries"]], ["close 1/8 turn"])
        self.assertEqual(
            [e["said"] for e in self.log(kind="verdict")["entries"]],
            ["snug, turns by hand, no play", "starts, then binds"],
        )
        self.assertEqual(self.log()["jobs"][0]["setting"], "die closed 1/8 turn in total")

    def test_settings_and_troubles(self) -> None:
        """Die settings, notes, and verdicts that did not pass; not the snug one, no readings."""
        told = self.log(kind="troubles")["entries"]
        self.assertEqual([entry["kind"] for entry in told], ["note", "setting", "verdict"])
        self.assertEqual(told[-1]["said"], "starts, then binds")
        found = self.log("chips", kind="troubles")["entries"]
        self.assertEqual([entry["kind"] for entry in found], ["note"])

    def test_a_threads_name_finds_that_thread_alone(self) -> None:
        self.assertEqual(self.log("2 BA")["jobs"], [])

    def test_what_was_undone_is_not_shown(self) -> None:
        self.act("undo")
        self.assertEqual(self.log("chips")["entries"], [])

    def test_pages_follow_one_another(self) -> None:
        for number in range(60):
            self.record("note", reason=f"note {number}")
        first = self.log()
        self.assertEqual((len(first["entries"]), first["more"]), (40, True))
        second = self.log(before=first["entries"][-1]["id"])
        self.assertEqual(second["more"], False)
        together = [e["id"] for e in first["entries"] + second["entries"]]
        self.assertEqual(together, sorted(set(together), reverse=True))

    def test_a_threads_name_finds_that_thread_and_no_other(self) -> None:
        """2, and BA, stand in many a word of a 3/8-16 job: of a bar, of a base, of piece 2."""
        for words in ("2 BA", "3/8-24", "M3"):
            with self.subTest(words):
                found = self.log(words)
                self.assertEqual((found["jobs"], found["entries"]), ([], []))
        for words in ("3/8-16", "3/8 UNC", "3/8-16 UNC nut"):
            with self.subTest(words):
                found = self.log(words)
                self.assertEqual([job["title"] for job in found["jobs"]], ["Levelling studs"])
                self.assertEqual({entry["thread"] for entry in found["entries"]}, {"3/8-16 UNC"})

    def test_everything_that_is_shown_is_found(self) -> None:
        shown = self.log()
        for entry in shown["entries"]:
            told = [
                entry["job"],
                entry["thread"],
                f"piece {entry['piece']}",
                entry["step"],
                entry["what"],
                entry["said"],
            ]
            told += [
                length[unit]["text"]
                for length in (entry["reading"], entry["dialled"], entry["aim"])
                if length
                for unit in ("inch", "mm")
            ]
            for words in filter(None, told):
                with self.subTest(entry["kind"], words=words):
                    self.assertIn(entry["id"], [one["id"] for one in self.log(words)["entries"]])
        for job in shown["jobs"]:
            for name in ("title", "thread", "material", "outcome", "setting"):
                with self.subTest(name):
                    self.assertIn(job["id"], [one["id"] for one in self.log(job[name])["jobs"]])

    def test_a_state_has_one_name_on_the_list_and_in_the_log(self) -> None:
        """Said there, said here, and found by it: for a job that is planned, on the bench, and on hold."""
        self.assertEqual(set(STATE_WORDS), set(get_args(JobState)))
        self.act("hold", reason="a new die")
        start_job(document({"title": "Lamp pins"}))
        told = {card["title"]: card["condition"] for card in self.get("/api/jobs")["jobs"]}
        self.assertEqual(told["Levelling studs"], "on hold")
        for job in self.log()["jobs"]:
            with self.subTest(job["title"]):
                self.assertTrue(job["outcome"].startswith(told[job["title"]]), job["outcome"])
                self.assertIn(job["id"], [one["id"] for one in self.log(told[job["title"]])["jobs"]])

    def test_titles_are_what_they_were(self) -> None:
        """A plug's round for its hexagon is no shank, in whatever other job a shank is turned."""
        self.job = start_job(document({**PLUG, "title": "Plugs"}))
        self.record("done")
        self.record("reading", reading="0.866")
        self.change({"title": "Studs again"})
        steps = [entry["step"] for entry in self.log(kind="reading")["entries"] if entry["job"] == "Studs again"]
        self.assertEqual(steps, ["Turn the round for the hexagon"])
        self.assertEqual(len(self.log("turn round for the hexagon")["entries"]), 1)

    def test_wrong_questions(self) -> None:
        self.told(self.client.get("/api/log?kind=rumour"), 422)
        self.told(self.client.get(f"/api/log?q={'x' * 101}"), 422)
        self.assertEqual(self.log("\x00")["more"], False)
