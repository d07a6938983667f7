"""Jobs of several parts and stud repairs through the API: planned, made, put on paper part by part."""

from __future__ import annotations

import io
from typing import Any

from pypdf import PdfReader

from lathework.tests.samples import STUD, bore, document
from lathework.tests.test_parts import other, together
from server.jobs.actions.documents import start_job
from server.jobs.models import Entry
from server.jobs.tests.case import ApiCase


def _kinds(steps: list[dict[str, Any]]) -> list[str]:
    return [step["key"].partition(":")[0] for step in steps]


class Parts(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        self.job = start_job(together(other({"quantity": 1})))

    def test_the_plan_of_the_part_that_is_asked_for(self) -> None:
        def keys(part: int) -> list[str]:
            return _kinds(self.get(self.url(f"?part={part}"))["plan"]["operations"])

        self.assertIn("thread", keys(1))
        self.assertIn("tap", keys(2))
        self.assertEqual(keys(5), keys(2), "past the last is the last")
        answer = self.send("POST", "/api/jobs/plan?part=2", together())
        self.assertIn("tap", _kinds(answer.json()["operations"]))
        self.told(self.send("POST", "/api/jobs/plan?part=7", together()), 422)

    def test_the_parts_are_made_one_after_the_other(self) -> None:
        """The stud of one piece, then the nut: the entries of each know their part, the card counts them together."""
        self.walk_to("part-off")
        self.assertEqual(self.get(self.url("/bench"))["part"], 1)
        now = self.record("done").json()
        self.assertEqual((now["part"], now["parts"][0]["good"], now["step"]["key"]), (2, 1, "face:right"))
        while not now["finished"]:
            gauged = now["step"]["measure"] == "verdict" and not now["verdict"]
            now = (self.record("verdict", verdict="snug") if gauged else self.record("done")).json()
        card = self.get(self.url())
        self.assertEqual((card["good"], card["quantity"], card["state"]), (2, 2, "finished"))
        self.assertEqual(card["steps_done"], card["steps"])
        self.assertEqual({entry.part for entry in Entry.objects.all()}, {"p1", "p2"})
        self.assertEqual({entry["part"] for entry in self.get("/api/log?kind=done")["entries"]}, {"stud", "nut"})
        self.assertEqual(self.act("close", reason="").status_code, 200)

    def test_another_part_may_be_taken_up(self) -> None:
        """Taken up, undone, taken up again; kept in the log, the CSV and the job file."""
        now = self.record("turn-to", part="p2").json()
        self.assertEqual((now["part"], now["step"]["key"]), (2, "face:right"))
        self.assertEqual(self.told(self.record("turn-to", part="p2"), 422), {"part": "not-asked"})
        self.assertEqual(self.told(self.record("turn-to", part="p9"), 422), {"part": "out-of-range"})
        undone = self.act("undo").json()
        self.assertEqual(undone["part"], 1)
        self.record("turn-to", part="p2")
        self.record("done")
        self.assertEqual([entry["part"] for entry in self.get("/api/log?q=taken up")["entries"]], ["nut"])
        self.assertIn(",turn-to,", self.client.get(self.url("/readings.csv")).content.decode())
        again = self.send("POST", "/api/jobs/import", self.get(self.url("/job.json"))).json()["id"]
        self.assertEqual(self.get(f"/api/jobs/{again}/bench")["part"], 2)

    def test_a_job_file_keeps_the_parts(self) -> None:
        self.walk_to("part-off")
        self.record("done")
        self.record("done")
        file = self.get(self.url("/job.json"))
        self.assertEqual([file["record"]["entries"][at]["part"] for at in (0, -1)], ["p1", "p2"])
        again = self.send("POST", "/api/jobs/import", file).json()["id"]
        self.assertEqual(self.get(f"/api/jobs/{again}/bench")["part"], 2)

    def test_each_part_begins_a_page_of_the_sheet(self) -> None:
        pages = PdfReader(io.BytesIO(self.client.get(self.url("/sheet.pdf")).content)).pages
        words = [" ".join(page.extract_text().split()) for page in pages]
        self.assertIn("1 of 2, stud", words[0])
        nut = next(text for text in words if "2 of 2, nut" in text)
        self.assertIn("Tap the hole", nut)
        self.assertIn("brass", nut)

    def test_drawings_by_part(self) -> None:
        second = self.client.get(self.url("/part.svg?part=2"))
        self.assertIn("3/8-16 UNC", second.content.decode())
        self.assertEqual(self.told(self.client.get(self.url("/part.dxf?part=3")), 422), {"part": "out-of-range"})

    def test_an_error_in_another_part_is_told_with_its_path(self) -> None:
        wrong = together(other({"quantity": "many"}))
        change = {"document": wrong, "revision": self.job.revision}
        self.assertEqual(self.told(self.send("PUT", self.url(), change), 422), {"others.0.quantity": "not-a-count"})

    def test_a_part_taken_out_takes_nothing_else_with_it(self) -> None:
        """Its entries stay in the log; those of the first part count on; put back, everything counts again."""
        whole = together(other({"quantity": 1}))
        self.walk_to("part-off")
        self.record("done")
        self.record("done")
        before = self.get(self.url("/bench"))
        self.assertEqual((before["part"], before["step"]["key"]), (2, "spot:b1"))
        self.put({**whole, "others": []})
        card = self.get(self.url("/standing"))
        self.assertEqual((card["state"], card["good"]), ("finished", 1))
        self.assertEqual(self.get("/api/log")["entries"][0]["part"], "nut")
        self.put(whole)
        after = self.get(self.url("/bench"))
        self.assertEqual((after["part"], after["step"]["key"]), (2, "spot:b1"))

    def test_parts_in_another_order_keep_their_own(self) -> None:
        """The nut is made first now: what was recorded for the stud stays the stud's."""
        self.walk_to("groove:s1")
        first = together(other({"quantity": 1}))
        stud = {"fits": "", "quantity": 1, "material": "mild-steel", "method": first["method"], "part": first["part"]}
        nut = {"part": first["others"][0]["part"], "material": "brass", "fits": "the stud"}
        self.put({**first, **nut, "others": [stud]})
        now = self.get(self.url("/bench"))
        self.assertEqual([part["id"] for part in now["parts"]], ["p2", "p1"])
        self.assertEqual((now["part"], now["step"]["key"]), (1, "face:right"))
        self.assertEqual(self.record("turn-to", part="p1").json()["step"]["key"], "groove:s1")

    def put(self, changed: dict[str, Any]) -> None:
        """Store a changed document."""
        answer = self.send("PUT", self.url(), {"document": changed, "revision": self.saw()["revision"]})
        self.assertEqual(answer.status_code, 200, answer.content[:400])

    def test_a_die_is_remembered_from_any_part(self) -> None:
        """What gauged well as the second part of one job is the record of the same thread and metal in the next."""
        named = {"part.sections.0.die": "d7"}
        alike = other({"quantity": 1, "material": "mild-steel", "part": document({"part.id": "p2"} | named)["part"]})
        both = together(alike)
        both["part"]["sections"][0]["die"] = "d7"
        self.job = start_job(both)
        for _ in (1, 2):
            self.walk_to("part-off")
            self.record("done")
        records = self.get(self.url())["die_records"]
        self.assertEqual([(record["thread"], record["pieces"]) for record in records], [("3/8-16 UNC", 2)])

    def test_a_job_is_found_by_the_last_of_many_threads(self) -> None:
        """Six threads take more than the sixty characters that were once kept of their names."""
        bar = {"form": "hexagon", "across": "2-1/4", "bar_length": ""}
        big = other()["part"] | {"stock": bar, "overall_length": "1-1/4"}
        nuts = [
            other({"part": big | {"bores": [bore(name)]}})
            for name in ("1-12 UNF", "1-1/8-12 UNF", "1-1/4-12 UNF", "1-3/8-12 UNF", "1-1/2-12 UNF")
        ]
        job = self.send("POST", "/api/jobs", together(*nuts)).json()
        self.assertGreater(len(job["thread"]), 60)
        self.assertIn(job["id"], [one["id"] for one in self.get("/api/log?q=1-1/2-12")["jobs"]])


class Repairs(ApiCase):
    ASKED = {"unit": "in", "across": "1-1/4", "thread": "1/2 BSF", "method": STUD["method"], "setup": STUD["setup"]}

    def test_a_repair_becomes_a_job(self) -> None:
        found = self.send("POST", "/api/jobs/stud-repair", self.ASKED).json()
        self.assertEqual(found["figures"][0]["name"], "stud screwed in")
        job = self.send("POST", "/api/jobs", found["document"]).json()
        self.assertEqual((job["quantity"], job["thread"]), (3, "1/2 BSF"))
        paper = PdfReader(io.BytesIO(self.client.get(f"/api/jobs/{job['id']}/sheet.pdf").content))
        words = " ".join(" ".join(page.extract_text().split()) for page in paper.pages)
        for part in ("body", "nut", "stud"):
            self.assertIn(f", {part}", words)
        self.assertIn("retaining compound", words)

    def test_what_cannot_be_repaired_is_told_beside_its_field(self) -> None:
        for change, field in (({"across": ""}, "across"), ({"thread": "7/8 bolt"}, "thread"), ({"nut": "much"}, "nut")):
            with self.subTest(field):
                told = self.told(self.send("POST", "/api/jobs/stud-repair", self.ASKED | change), 422)
                self.assertEqual(list(told), [field])
