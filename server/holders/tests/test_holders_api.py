"""Holders over the API: what is offered, a design, what is wrong told beside its field; the job that makes one."""

from __future__ import annotations

from lathework.holders.asks import HOLDER_KINDS
from server.jobs.tests.case import ApiCase
from server.kit.actions import add_typed

BUSH = {"thread": "3/8-16", "seat": "5/8", "deep": "3/8"}


class Holders(ApiCase):
    def test_what_is_offered(self) -> None:
        told = self.get("/api/holders")
        self.assertEqual([one["code"] for one in told], list(HOLDER_KINDS))
        (bush,) = [one for one in told if one["code"] == "guide-bush"]
        self.assertEqual([ask["field"] for ask in bush["asks"] if not ask["optional"]], ["thread", "seat"])

    def test_examples_are_the_shops_own_and_make_a_holder(self) -> None:
        """Every holder by its examples, in both units, with the shop's dies and without any."""
        self.every_example()
        add_typed("M6-M10 dies 25 x 9, drawer\nM12 die 38 x 14, drawer\n20 mm mild steel bar 400 mm, rack")
        told = {one["code"]: {ask["field"]: ask["mm"] for ask in one["asks"]} for one in self.get("/api/holders")}
        self.assertEqual((told["floating"]["die"], told["floating"]["thick"]), ("25 mm", "9 mm"))
        self.assertEqual((told["floating"]["bar"], told["die-stock"]["die"]), ("20 mm", "38 mm"))
        self.every_example()

    def every_example(self) -> None:
        for one in self.get("/api/holders"):
            for unit, example in (("in", "inch"), ("mm", "mm")):
                typed = {ask["field"]: ask[example] for ask in one["asks"] if not ask["optional"]}
                design = self.send("POST", f"/api/holders/{one['code']}", typed | {"unit": unit})
                with self.subTest(one["code"], unit=unit):
                    self.assertEqual(design.status_code, 200, design.content[:300])
                    told = {conflict["code"] for conflict in design.json()["conflicts"]}
                    self.assertLessEqual(told, {"near-size-die", "not-measured", "no-register"})
                    self.assertTrue(design.json()["drawing"])

    def test_a_design_becomes_a_job_and_the_job_says_what_it_becomes(self) -> None:
        design = self.send("POST", "/api/holders/guide-bush", BUSH).json()
        self.assertEqual((design["title"], design["conflicts"]), ("Guide bush, 3/8-16 UNC", []))
        self.assertTrue(design["drawing"]["paths"])
        job = self.send("POST", "/api/jobs", design["document"])
        self.assertEqual(job.status_code, 201, job.content[:300])
        bench = self.get(f"/api/jobs/{job.json()['id']}/bench")
        self.assertIn("guide bush", bench["becomes"])
        (line,) = self.send("POST", "/api/kit/typed", {"text": bench["becomes"]}).json()
        self.assertEqual([thing["kind"] for thing in line["things"]], ["bush"])

    def test_a_size_of_ones_own_and_the_files(self) -> None:
        design = self.send("POST", "/api/holders/guide-bush", BUSH | {"own": {"across": "1"}}).json()
        (own,) = [one for one in design["dimensions"] if one["field"] == "across"]
        self.assertEqual(own["figure"]["shown"]["inch"]["text"], "1.0000")
        for file, begins in (("drawing.svg", b"<?xml"), ("drawing.dxf", b"  0"), ("sheet.pdf", b"%PDF")):
            told = self.client.get(f"/api/holders/guide-bush/{file}", BUSH | {"own": "across=1"})
            self.assertEqual((told.status_code, told.content[: len(begins)]), (200, begins), file)
        apart = self.client.get("/api/holders/guide-bush/drawing.svg", BUSH | {"apart": "true"})
        self.assertIn(b"apart", apart.content)
        for own, field in (("across", "own"), ("across=wide", "own.across"), ("colour=2", "own")):
            wrong = self.client.get("/api/holders/guide-bush/sheet.pdf", BUSH | {"own": own})
            self.assertEqual(list(self.told(wrong, 422)), [field], own)

    def test_what_is_wrong_stands_beside_its_field(self) -> None:
        wrong = self.send("POST", "/api/holders/guide-bush", BUSH | {"seat": "wide", "thread": "3/8-17"})
        self.assertEqual(set(self.told(wrong, 422)), {"seat", "thread"})
        self.assertEqual(self.send("POST", "/api/holders/anvil", BUSH).status_code, 422)
        self.assertEqual(self.send("POST", "/api/holders/sleeve", {"colour": "red"}).status_code, 422)
