"""Any request that the published schema allows, and many that it does not: never a server error."""

from __future__ import annotations

from typing import Any
from unittest import mock

import schemathesis
from django.db import connections
from django.test import TestCase
from hypothesis import HealthCheck, Phase, given, settings
from schemathesis.checks import not_a_server_error
from schemathesis.core.failures import FailureGroup
from schemathesis.specs.openapi.checks import (
    content_type_conformance,
    response_schema_conformance,
    status_code_conformance,
)

from lathework.tests.samples import document
from server.jobs.actions.documents import start_job
from server.week.search import process as search
from server.wsgi import application
from tests.long import draws

CHECKS = [not_a_server_error, status_code_conformance, content_type_conformance, response_schema_conformance]
TOKEN = "t" * 32


def from_here(environ: dict[str, Any], start_response: Any) -> Any:
    """The application, asked from the machine that it runs on."""
    return application({**environ, "REMOTE_ADDR": "127.0.0.1"}, start_response)


EXAMPLES = draws(8, 24)


class AnyRequest(TestCase):
    def setUp(self) -> None:
        # In process the requests share the test's connection, which must outlive them. It is kept open itself, for the
        # signals that close it are connected again by any stream of an earlier test that is forgotten only now.
        kept = mock.patch.object(connections["default"], "close_if_unusable_or_obsolete")
        kept.start()
        self.addCleanup(kept.stop)
        # A search that was begun ends with the test, and stores nothing in another one's time.
        self.addCleanup(search.end)
        stored = mock.patch("server.week.api.actions.keep_order")
        stored.start()
        self.addCleanup(stored.stop)
        self.job = start_job(document())

    def test_every_operation(self) -> None:
        # The streams do not end: they are tried by tests of their own.
        whole = schemathesis.openapi.from_wsgi("/api/openapi.json", from_here)
        schema = whole.exclude(path="/api/jobs/{job_id}/live").exclude(path="/api/news")
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

        try:
            send()
        except FailureGroup as failures:
            # A group cannot be passed on from a process of the parallel runner, which then waits for ever.
            self.fail("\n".join(map(str, failures.exceptions)))
