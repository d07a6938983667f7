"""What keeps others out: CSRF, hosts, methods, headers."""

from __future__ import annotations

import io
from contextlib import redirect_stderr

from django.test import Client, TestCase

from lathework.tests.samples import document
from server.jobs.models import Job


class Guards(TestCase):
    def test_a_foreign_page_cannot_post(self) -> None:
        client = Client(enforce_csrf_checks=True)
        answer = client.post("/api/jobs", document(), content_type="application/json")
        self.assertEqual((answer.status_code, answer.json()["code"]), (403, "csrf"))
        self.assertEqual(Job.objects.count(), 0)

    def test_the_page_itself_can(self) -> None:
        client = Client(enforce_csrf_checks=True)
        token = client.get("/").cookies["csrftoken"].value
        answer = client.post("/api/jobs", document(), content_type="application/json", headers={"X-CSRFToken": token})
        self.assertEqual(answer.status_code, 201)

    def test_other_hosts_are_refused(self) -> None:
        """Told on the terminal once, however often it is tried, and never with a traceback."""
        said = io.StringIO()
        with redirect_stderr(said):
            for _ in range(3):
                answer = self.client.get("/api/alive", headers={"host": "lamp.example"})
                self.assertEqual((answer.status_code, answer.json()["code"]), (400, "foreign-host"))
        self.assertEqual(said.getvalue(), "conch: refused: a request for the host 'lamp.example'\n")

    def test_the_page_answers_every_address_and_the_api_only_its_own(self) -> None:
        self.assertEqual(self.client.get("/log").status_code, 200)
        self.assertEqual(self.client.post("/log").status_code, 405)
        self.assertEqual(self.client.get("/api/nothing").status_code, 404)

    def test_headers(self) -> None:
        answer = self.client.get("/")
        self.assertEqual(answer["X-Frame-Options"], "DENY")
        self.assertEqual(answer["Referrer-Policy"], "no-referrer")
        self.assertEqual(answer["X-Content-Type-Options"], "nosniff")
        self.assertIn("default-src 'none'", answer["Content-Security-Policy"])
