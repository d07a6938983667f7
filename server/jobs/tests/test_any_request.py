"""Any request that the published schema allows, and many that it does not: never a server error."""

from __future__ import annotations

from typing import Any

import schemathesis
from django.core.signals import request_finished, request_started
from django.db import close_old_connections
from django.test import TestCase
from hypothesis import HealthCheck, Phase, given, settings
from schemathesis.checks import not_a_server_error
from schemathesis.specs.openapi.checks import (
    content_type_conformance,
    response_schema_conformance,
    status_code_conformance,
)

from lathework.tests.samples import document
from server.jobs.actions.documents import start_job
from server.wsgi import application

CHECKS = [not_a_server_error, status_code_conformance, content_type_conformance, response_schema_conformance]
TOKEN = "t" * 32


def from_here(environ: dict[str, Any], start_response: Any) -> Any:
    """The application, asked from the machine that it runs on."""
    return application({**environ, "REMOTE_ADDR": "127.0.0.1"}, start_response)


EXAMPLES = 24


class AnyRequest(TestCase):
    def setUp(self) -> None:
        # In process the requests share the test's connection, which must outlive them.
        for signal in (request_started, request_finished):
            signal.disconnect(close_old_connections)
            self.addCleanup(signal.connect, close_old_connections)
        self.job = start_job(document())

    def test_every_operation(self) -> None:
        # The stream of a bench does not end: it is tried by a test of its own.
        whole = schemathesis.openapi.from_wsgi("/api/openapi.json", from_here)
        schema = whole.exclude(path="/api/jobs/{job_id}/live")
        tried = 0
        for found in schema.get_all_operations():
            operation = found.ok()  # type: ignore[union-attr]  # an error fails the test by itself
            with self.subTest(operation.label):
                self.attack(operation)
            tried += 1
        self.assertGreaterEqual(tried, 15)

    def attack(self, operation: Any) -> None:
        @settings(
            max_examples=EXAMPLES,
            deadline=None,
            database=None,
            derandomize=True,
            phases=[Phase.generate],
            suppress_health_check=list(HealthCheck),
        )
        @given(case=operation.as_strategy())
        def send(case: Any) -> None:
            chosen = case.path_parameters.get("job_id")
            if isinstance(chosen, int) and chosen % 3:
                case.path_parameters["job_id"] = self.job.pk  # most requests should meet a job
            case.call_and_validate(
                headers={"X-CSRFToken": TOKEN, "Cookie": f"csrftoken={TOKEN}", "Host": "127.0.0.1"}, checks=CHECKS
            )

        send()
