"""The list of jobs, and what is found in it."""

from __future__ import annotations

from urllib.parse import urlencode

from lathework.tests.samples import SCREW, TIE_ROD, document
from server.jobs.actions.documents import start_job
from server.jobs.tests.case import ApiCase


class Find(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        start_job(document(SCREW | {"title": "Lamp bracket"}))
        start_job(document(TIE_ROD | {"title": "Tie rods", "material": "brass"}))

    def found(self, words: str) -> list[str]:
        return sorted(job["title"] for job in self.get("/api/jobs?" + urlencode({"find": words}))["jobs"])

    def test_every_word_must_be_met(self) -> None:
        self.assertEqual(self.found(""), ["Lamp bracket", "Levelling studs", "Tie rods"])
        self.assertEqual(self.found("bracket"), ["Lamp bracket"])
        self.assertEqual(self.found("3/8-24"), ["Tie rods"])
        self.assertEqual(self.found("brass planned"), ["Tie rods"])
        self.assertEqual(self.found("3/8-16 planned"), ["Lamp bracket", "Levelling studs", "Tie rods"])
        self.assertEqual(self.found("brass bracket"), [])

    def test_signs_are_looked_for_as_they_are(self) -> None:
        for words in ("%", "_", "'", "100 %"):
            self.assertEqual(self.found(words), [])
