"""What the tests of the shop share."""

from __future__ import annotations

from typing import Any

from server.jobs.tests.case import Answer, ApiCase


class KitCase(ApiCase):
    """A shop that is filled by typing."""

    def typed(self, text: str) -> list[Any]:
        answer = self.send("POST", "/api/kit/typed", {"text": text})
        self.assertEqual(answer.status_code, 200, answer.content)
        return list(answer.json())

    def add(self, text: str) -> Answer:
        wanted = [
            {"kind": thing["kind"], "document": thing["document"]}
            for line in self.typed(text)
            for thing in line["things"]
        ]
        return self.send("POST", "/api/kit", {"things": wanted})

    def one(self, name: str) -> Any:
        return next(thing for thing in self.get("/api/kit")["things"] if thing["name"] == name)
