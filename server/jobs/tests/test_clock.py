"""A clock that jumps: what was recorded keeps its order, and nothing is lost or hidden by a wrong date."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta
from unittest import mock

from server.jobs.models import Entry
from server.jobs.tests.case import ApiCase

JUMPS = (timedelta(0), timedelta(days=-4000), timedelta(days=9000), timedelta(seconds=-1), timedelta(days=-1))


class Clock(ApiCase):
    def at(self, moment: datetime, words: str) -> None:
        """A note recorded while the clock says that."""
        with mock.patch("django.utils.timezone.now", return_value=moment):
            self.assertEqual(self.record("note", reason=words).status_code, 200)

    def test_notes_stand_in_the_order_in_which_they_were_recorded(self) -> None:
        now = datetime(2026, 11, 27, 12, tzinfo=UTC)
        for number, jump in enumerate(JUMPS):
            self.at(now + jump, f"note {number}")
        told = [f"note {number}" for number in range(len(JUMPS))]
        self.assertEqual(list(Entry.objects.values_list("text", flat=True)), told)
        self.assertEqual([entry["text"] for entry in self.get(self.url("/job.json"))["record"]["entries"]], told)
        self.assertEqual([entry["said"] for entry in self.get("/api/log")["entries"]], told[::-1])
        self.assertEqual(self.act("undo").status_code, 200)
        self.assertEqual([entry["said"] for entry in self.get("/api/log")["entries"]], told[-2::-1])
        copy = self.send("POST", "/api/jobs/import", self.get(self.url("/job.json")))
        self.assertEqual(copy.status_code, 201)

    def test_an_act_whose_answer_was_lost_is_done_once_whatever_the_clock_says(self) -> None:
        step = self.get(self.url("/bench"))["step"]["key"]
        body = {**self.saw(), "step": step, "kind": "note", "reason": "once"}
        for moment in (datetime(2026, 11, 27, tzinfo=UTC), datetime(1999, 1, 1, tzinfo=UTC)):
            with mock.patch("django.utils.timezone.now", return_value=moment):
                answer = self.client.post(
                    self.url("/entries"), body, content_type="application/json", headers={"Idempotency-Key": "k1"}
                )
            self.assertEqual(answer.status_code, 200)
        self.assertEqual(Entry.objects.count(), 1)
