"""The part of a job changed to the size that came, by the API."""

from __future__ import annotations

from typing import Any

from lathework.tests.samples import SCREW, document
from server.jobs.actions.documents import start_job
from server.jobs.tests.case import ApiCase


class Suit(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        self.job = start_job(document(SCREW))

    def to(self, key: str) -> None:
        while (now := self.get(self.url("/bench")))["step"]["key"] != key:
            self.record("zero" if now["zero"] else "done")
        if self.get(self.url("/bench"))["zero"]:
            self.record("zero")

    def suit(self, **more: object) -> Any:
        now = self.get(self.url("/bench"))
        saw = {"last": now["last"], "revision": now["revision"], "step": now["step"]["key"]}
        return self.client.post(self.url("/suit"), saw | more, content_type="application/json")

    def test_the_plan_takes_the_size_and_the_step_is_on_it(self) -> None:
        self.to("turn:s2")
        self.record("reading", reading="11.9", unit="mm", sure=True)
        self.assertIsNone(self.get(self.url("/suit")))
        self.record("reading", reading="10.90", unit="mm", sure=True)
        told = self.get(self.url("/suit"))
        self.assertEqual((told["what"], told["before"]), ("section 2, diameter", "7/16"))
        answer = self.suit()
        self.assertEqual(answer.status_code, 200)
        now = answer.json()
        self.assertEqual(now["sizes"][0]["cut"]["state"], "on-size")
        self.assertEqual(now["sizes"][0]["next"]["does"], "done")
        self.assertEqual(self.get(self.url())["document"]["part"]["sections"][1]["across"], told["after"])

    def test_what_is_not_past_is_refused_and_nothing_is_changed(self) -> None:
        self.to("turn:s2")
        before = self.get(self.url())["revision"]
        self.assertEqual(self.suit().status_code, 409)
        self.assertEqual(self.get(self.url())["revision"], before)

    def test_another_screen_is_told(self) -> None:
        self.to("turn:s2")
        self.record("reading", reading="10.90", unit="mm", sure=True)
        self.assertEqual(self.suit(step="turn:s1").status_code, 409)
        self.assertEqual(self.suit(revision=99).status_code, 409)
