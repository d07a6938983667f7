"""A job that cannot be made as it is: every page of it lives, the bench does nothing, and mending a field gives it a
plan."""

from __future__ import annotations

from lathework.tests.samples import body, bore, document
from server.jobs.actions.documents import start_job
from server.jobs.tests.case import ApiCase

DEEP = body(bore("1/2-13", depth="1-3/4"))
"""A blind hole whose drill breaks through the far end."""


class NoPlan(ApiCase):
    def setUp(self) -> None:
        self.job = start_job(document(DEEP))

    def test_every_page_of_it_lives(self) -> None:
        for tail in ("", "/standing", "/needs", "/ways", "/bench", "/job.json", "/batch"):
            self.get(self.url(tail))
        for tail in ("/sheet.pdf", "/part.svg", "/part.dxf", "/readings.csv"):
            answer = self.client.get(self.url(tail))
            self.assertEqual(answer.status_code, 200, tail)
        self.assertEqual([job["id"] for job in self.jobs()], [self.job.pk])

    def test_it_says_why_first_and_beside_its_field(self) -> None:
        plan = self.get(self.url())["plan"]
        self.assertEqual(plan["operations"], [])
        self.assertEqual([one["field"] for one in plan["notices"]], ["part.bores.0.depth"])
        self.assertTrue(plan["notices"][0]["text"].startswith("No plan: drilled"))

    def test_nothing_is_done_at_its_bench(self) -> None:
        bench = self.get(self.url("/bench"))
        self.assertEqual((bench["step"], bench["finished"], bench["steps"]), (None, False, []))
        self.assertEqual(self.get(self.url("/standing"))["state"], "planned")
        for kind in ("done", "piece", "scrap"):
            self.assertGreaterEqual(self.record(kind).status_code, 400)
            self.assertLess(self.record(kind).status_code, 500)

    def test_a_shallower_hole_gives_it_one(self) -> None:
        shown = self.get(self.url())
        made = document(DEEP | {"part.bores": [bore("1/2-13", depth="1/2")]})
        answer = self.send("PUT", self.url(), {"document": made, "revision": shown["revision"]})
        self.assertEqual(answer.status_code, 200, answer.content[:300])
        self.assertIsNotNone(self.get(self.url("/bench"))["step"])
