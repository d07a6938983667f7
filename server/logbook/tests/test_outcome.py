"""What a job made and what its dies did: from a batch gone through step by step."""

from __future__ import annotations

from typing import Any

from lathework.tests.samples import PLUG, bore, document
from server.jobs.actions.documents import start_job
from server.jobs.tests.case import ApiCase


class Outcome(ApiCase):
    """Six studs: the first binds, the die is closed an eighth and it passes; the second is scrapped."""

    def setUp(self) -> None:
        super().setUp()
        self.walk_to("gauge:s1")
        self.record("verdict", verdict="binds")
        self.record("setting")
        self.record("verdict", verdict="snug")
        self.record("done")
        self.finish_piece()
        self.record("scrap", reason="parted off short")

    def finish_piece(self) -> None:
        while self.get(self.url("/bench"))["piece"] == 1:
            bench = self.get(self.url("/bench"))
            self.assertEqual(self.record("zero" if bench["zero"] else "done").status_code, 200)

    def outcome(self) -> Any:
        return self.get(f"/api/log/jobs/{self.job.pk}")

    def test_pieces_by_what_became_of_them(self) -> None:
        (part,) = self.outcome()["parts"]
        self.assertEqual((part["good"], part["scrapped"], part["gauged"]), (1, 1, 1))

    def test_how_the_die_stood_when_it_cut_well(self) -> None:
        """One advice of 1/8 in the sense that a thread that binds wants: the die closed."""
        (die,) = self.outcome()["dies"]
        self.assertEqual(die["said"], "snug, turns by hand, no play")
        self.assertEqual(die["setting"], "die closed 1/8 turn in total")
        self.assertEqual(die["blank"]["inch"]["text"], "0.3687")

    def test_what_went_wrong_in_its_order(self) -> None:
        told = self.outcome()["troubles"]
        self.assertEqual(
            [(one["kind"], one["said"]) for one in told][-1], ("scrap", "Scrap the piece: parted off short")
        )
        self.assertEqual(told[0]["said"], "starts, then binds")

    def test_an_undone_trouble_is_none(self) -> None:
        self.act("undo")
        self.assertNotIn("scrap", [one["kind"] for one in self.outcome()["troubles"]])
        self.assertEqual(self.outcome()["parts"][0]["scrapped"], 0)

    def test_the_die_is_remembered_by_its_thread(self) -> None:
        (did,) = self.get("/api/log/dies?thread=3/8-16+UNC")
        self.assertEqual((did["job"], did["piece"], did["passes"]), ("Levelling studs", 1, True))
        self.assertEqual(self.get("/api/log/dies?thread=1/4-20+UNC"), [])
        self.act("delete")
        self.assertEqual(self.get("/api/log/dies?thread=3/8-16+UNC"), [])

    def test_no_such_job(self) -> None:
        self.assertEqual(self.client.get("/api/log/jobs/99").status_code, 404)
        self.assertEqual(self.job.title, document()["title"])


class Holes(ApiCase):
    """A gland that is threaded outside and inside: the hole is gauged too, and is no doing of a die."""

    def test_a_hole_stands_in_the_batch_and_in_no_die(self) -> None:
        hole = bore("3/8-16", depth="3/8", end="left")
        self.job = start_job(document(PLUG | {"part.bores": [hole], "hazards": [], "quantity": 1}))
        for _ in range(60):
            now = self.get(self.url("/bench"))
            if now["step"]["inside"]:
                break
            wants = now["hindrance"] and now["step"]["measure"] == "verdict"
            answer = (
                self.record("zero", keeps="kept" if now["asks_keeping"] else "")
                if now["zero"]
                else self.record("verdict", verdict="snug")
                if wants
                else self.record("done")
            )
            self.assertEqual(answer.status_code, 200, answer.content[:200])
        self.record("verdict", verdict="go-passes", tried="limits")
        threads = self.get(self.url("/batch"))["threads"]
        said = {thread["step"].partition(":")[0]: [each["said"] for each in thread["gauged"]] for thread in threads}
        self.assertEqual(said["try"], ["go gauge goes on, no-go stops"])
        self.assertIn("gauge", said)
        self.assertEqual(self.get("/api/log/dies?thread=3/8-16+UNC"), [])


class Cutters(ApiCase):
    """What cut a thread is told as what it is: a die, chasers in a head, a single point."""

    def gauged_once(self, cut: str) -> Any:
        self.job = start_job(document({"part.sections.0.cut": cut, "quantity": 1}))
        self.walk_to("gauge:s1")
        self.record("verdict", verdict="snug")
        self.record("done")
        return self.get(f"/api/log/jobs/{self.job.pk}")

    def test_a_single_point_is_no_die(self) -> None:
        self.assertEqual([one["setting"] for one in self.gauged_once("threading-tool")["dies"]], ["single point"])
        self.assertEqual(self.get("/api/log/dies?thread=3/8-16+UNC"), [])
        self.assertEqual(self.get(f"/api/jobs/{self.job.pk}")["die_records"], [])

    def test_a_head_stands_by_its_scale(self) -> None:
        (told,) = self.gauged_once("die-head")["dies"]
        self.assertEqual(told["setting"], "head at its mark")
        (did,) = self.get("/api/log/dies?thread=3/8-16+UNC")
        self.assertEqual(did["setting"], "head at its mark")
