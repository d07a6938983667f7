"""Identification over the API, and a job that keeps how its thread was identified."""

from __future__ import annotations

import json
from typing import Any

from django.test import TestCase

from lathework.errors import InvalidDocument
from lathework.tests.samples import document
from server.jobs.actions.documents import start_job
from server.jobs.tests.case import Answer


class Identify(TestCase):
    def ask(self, owned: list[str] | None = None, **evidence: Any) -> Answer:
        body: dict[str, Any] = {"evidence": evidence}
        if owned is not None:
            body["owned"] = owned
        return self.client.post("/api/identify", body, content_type="application/json")

    def test_candidates_best_first_with_the_next_question(self) -> None:
        found = json.loads(self.ask(outside="0.518 in", tpi="19").content)
        self.assertEqual(found["candidates"][0]["designation"], "G1/4")
        odds = [c["probability"] for c in found["candidates"]]
        self.assertEqual(odds, sorted(odds, reverse=True))
        self.assertEqual(found["next"]["question"]["ask"], "taper")
        self.assertIn("13.157 mm", found["candidates"][0]["notes"][0])
        reason = found["candidates"][0]["reasons"][0]
        self.assertEqual(reason["evidence"], "outside")
        self.assertIn(" in ", reason["expected"]["inch"])

    def test_wrong_evidence_is_told_by_field(self) -> None:
        cases: tuple[tuple[dict[str, Any], str, str], ...] = (
            ({"outside": "wide"}, "outside", "not-a-length"),
            ({"outside": "0.5", "bore": "0.6"}, "bore", "contradiction"),
        )
        for evidence, field, code in cases:
            answer = self.ask(**evidence)
            self.assertEqual(answer.status_code, 422)
            error = json.loads(answer.content)["errors"][0]
            self.assertEqual((error["field"], error["code"]), (field, code))
        self.assertEqual(self.ask(owned=["microscope"]).status_code, 422)
        self.assertEqual(self.ask(colour="red").status_code, 422)

    def test_only_instruments_owned_are_asked_for(self) -> None:
        found = json.loads(self.ask(owned=["mates"], outside="0.2465", tpi="20").content)
        self.assertEqual(found["next"]["question"]["instrument"], "mates")
        none = json.loads(self.ask(owned=[], outside="0.2465", tpi="20").content)
        self.assertIsNone(none["next"]["question"])

    def test_a_job_keeps_how_its_thread_was_identified(self) -> None:
        identified = {"evidence": {"outside": "0.371", "tpi": "16"}, "probability": 0.83}
        made = self.client.post("/api/jobs", document() | {"identified": identified}, content_type="application/json")
        self.assertEqual(made.status_code, 201, made.content[:300])
        job = json.loads(made.content)
        self.assertIn("Identified, 83 % certain: outside 0.371; tpi 16.", [n["text"] for n in job["plan"]["notices"]])
        file = json.loads(self.client.get(f"/api/jobs/{job['id']}/job.json").content)
        self.assertEqual(file["identified"], identified)
        found = json.loads(self.client.get("/api/log?q=0.371").content)
        self.assertEqual([j["identified"] for j in found["jobs"]], ["Identified, 83 % certain: outside 0.371; tpi 16."])

    def test_a_wrong_identification_is_refused(self) -> None:
        wrongs: tuple[Any, ...] = (
            {"evidence": {"colour": "red"}, "probability": 0.5},
            {"evidence": {}, "probability": 2},
            {"evidence": {}, "probability": True},
            {"probability": 0.5},
            [],
        )
        for wrong in wrongs:
            with self.subTest(wrong), self.assertRaises(InvalidDocument):
                start_job(document() | {"identified": wrong})
