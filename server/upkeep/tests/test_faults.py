"""A store that may not be written any more under its server: told in words, read all the same, nothing half."""

from __future__ import annotations

import io
from contextlib import redirect_stderr

from django.db import connection

from server.jobs.models import Entry
from server.jobs.tests.case import ApiCase


class ReadOnly(ApiCase):
    def only_read(self, now: int) -> None:
        """SQLite gives each writing the result it has for a file that may not be written (SQLITE_READONLY)."""
        with connection.cursor() as cursor:
            cursor.execute(f"PRAGMA query_only = {now}")

    def test_it_is_refused_with_the_reason_and_read_on(self) -> None:
        self.assertEqual(self.record("note", reason="before").status_code, 200)
        self.addCleanup(self.only_read, 0)
        self.only_read(1)
        with redirect_stderr(io.StringIO()) as said:
            answers = [self.record("note", reason="meanwhile"), self.act("undo"), self.act("hold", reason="the reamer")]
        for answer in answers:
            self.assertEqual((answer.status_code, answer.json()["code"]), (507, "read-only"))
            self.assertIn("What you typed is still here", answer.json()["detail"])
        self.assertLessEqual(said.getvalue().count("\n"), 1, "told once")
        for path in ("/api/jobs", "/api/log", self.url("/bench"), self.url("/sheet.pdf")):
            self.assertEqual(self.client.get(path).status_code, 200, path)
        self.only_read(0)
        self.assertEqual(self.record("note", reason="after").status_code, 200)
        self.assertEqual(list(Entry.objects.values_list("text", flat=True)), ["before", "after"])
