"""What the server's tests share: a job in the store and short ways to ask."""

from __future__ import annotations

from typing import TYPE_CHECKING, Any

from django.test import TestCase

from lathework.tests.samples import document
from server.jobs.actions.documents import start_job
from server.jobs.models import Job

if TYPE_CHECKING:
    from django.test.client import _MonkeyPatchedWSGIResponse

    Answer = _MonkeyPatchedWSGIResponse
else:
    from django.http import HttpResponse as Answer


class ApiCase(TestCase):
    """A store with one job, "Levelling studs" (3/8-16, six pieces, inches)."""

    def setUp(self) -> None:
        self.job = start_job(document())

    def url(self, tail: str = "") -> str:
        """The job's own address."""
        return f"/api/jobs/{self.job.pk}{tail}"

    def send(self, method: str, path: str, body: object = None) -> Answer:
        """One request with a JSON body."""
        return self.client.generic(method, path, _json(body), content_type="application/json")

    def get(self, path: str) -> Any:
        """The JSON of an answer that must be 200."""
        answer = self.client.get(path)
        self.assertEqual(answer.status_code, 200, answer.content[:300])
        return answer.json()

    def record(self, kind: str, **more: object) -> Answer:
        """Record an entry as a screen that is up to date would; a reading is sure, unless it is said not to be."""
        more = {"sure": True} | more if kind == "reading" else more
        step = self.get(self.url("/bench"))["step"]
        return self.send(
            "POST", self.url("/entries"), {**self.saw(), "step": step["key"] if step else "", "kind": kind, **more}
        )

    def saw(self) -> dict[str, int]:
        """What a screen that is up to date shows: the last entry, and the revision."""
        now = self.get(self.url("/standing"))
        return {"last": now["last"], "revision": now["revision"]}

    def act(self, what: str, **more: object) -> Answer:
        """Do something to the job as a screen that is up to date would: undo, hold, close ..."""
        return self.send("POST", self.url(f"/{what}"), {**self.saw(), **more})

    def jobs(self, query: str = "") -> list[Any]:
        """The jobs on a page of the list."""
        return list(self.get(f"/api/jobs{query}")["jobs"])

    def change(self, changes: dict[str, Any] | None = None) -> Answer:
        """Store a changed document, as a plan page that is up to date would."""
        return self.send("PUT", self.url(), {"document": document(changes), "revision": self.saw()["revision"]})

    def told(self, answer: Answer, status: int) -> dict[str, str]:
        """The problem's codes by field, after checking its shape."""
        self.assertEqual(answer.status_code, status, answer.content[:300])
        self.assertEqual(answer["Content-Type"], "application/problem+json")
        problem = answer.json()
        self.assertEqual(problem["status"], status)
        self.assertTrue(problem["detail"] and problem["code"])
        return {error["field"]: error["code"] for error in problem["errors"]}

    def walk_to(self, step: str) -> None:
        """Tick off steps, measuring on size where a diameter is asked, until `step` is in hand."""
        while (now := self.get(self.url("/bench")))["step"]["key"] != step:
            if now["step"]["measure"] == "diameter":
                self.record("reading", reading="0.3687")
            if now["step"]["measure"] == "verdict":
                self.record("verdict", verdict="snug")
            self.assertEqual(self.record("done").status_code, 200)

    def stored(self) -> Job:
        """The job as it stands in the store."""
        return Job.objects.get(pk=self.job.pk)


def _json(body: object) -> str:
    import json

    return "" if body is None else json.dumps(body)
