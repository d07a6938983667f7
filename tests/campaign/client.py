"""A client that keeps count of what the server said it stored."""

from __future__ import annotations

import http.client
import json
import re
import uuid
from typing import Any

HOST = "127.0.0.1"
PATIENCE_S = 30.0
_LOST = (OSError, http.client.HTTPException)


class Lost(Exception):
    """No answer came: nobody knows whether the act was done."""


class Client:
    """One connection at a time, with the page's token."""

    def __init__(self, port: int) -> None:
        self.port = port
        self.connection = self._connect()
        status, headers, _ = self._ask("GET", "/", None, {})
        found = re.search(r"csrftoken=([^;]+)", headers.get("Set-Cookie", ""))
        assert status == 200 and found is not None
        self.headers = {"Cookie": f"csrftoken={found[1]}", "X-CSRFToken": found[1], "Content-Type": "application/json"}

    def _connect(self) -> http.client.HTTPConnection:
        return http.client.HTTPConnection(HOST, self.port, timeout=PATIENCE_S)

    def _ask(
        self, method: str, path: str, body: bytes | None, headers: dict[str, str]
    ) -> tuple[int, http.client.HTTPMessage, bytes]:
        try:
            self.connection.request(method, path, body, headers)
            answer = self.connection.getresponse()
            return answer.status, answer.headers, answer.read()
        except _LOST:
            self.connection.close()
            self.connection = self._connect()
            raise Lost from None

    def ask(self, method: str, path: str, body: bytes | None = None, **headers: str) -> tuple[int, bytes]:
        """Status and body of an answer. Raises Lost."""
        status, _, content = self._ask(method, path, body, {**self.headers, **headers})
        return status, content

    def get(self, path: str) -> Any:
        """The JSON of an answer that is 200. Raises Lost."""
        status, content = self.ask("GET", path)
        assert status == 200, content[:300]
        return json.loads(content)

    def cut_off(self, path: str, body: bytes, key: str) -> None:
        """Send an act, and hang up before its answer can be read."""
        self.connection.request("POST", path, body, {**self.headers, "Idempotency-Key": key})
        self.connection.close()
        self.connection = self._connect()


class Notes:
    """Records notes on a job, each with words of its own; `stored` are those the server said it has."""

    def __init__(self, job: int, prefix: str = "note-") -> None:
        self.path, self.stored, self.prefix = f"/api/jobs/{job}", list[str](), prefix
        self.next, self.pending = 0, ("", "", b"")

    def act(self, client: Client) -> tuple[str, str, bytes]:
        """Words, key and body of the next note; the one nobody knows of comes again as it was."""
        if not self.pending[0]:
            now = client.get(f"{self.path}/bench")
            words = f"{self.prefix}{self.next:06d}"
            body = {
                "last": now["last"],
                "revision": now["revision"],
                "step": now["step"]["key"],
                "kind": "note",
                "reason": words,
            }
            self.next += 1
            self.pending = words, uuid.uuid4().hex, json.dumps(body).encode()
        return self.pending

    def record(self, client: Client) -> None:
        """Record one. Raises Lost where no answer came; it is tried again then."""
        words, key, body = self.act(client)
        status, content = client.ask("POST", f"{self.path}/entries", body, **{"Idempotency-Key": key})
        assert status == 200, content[:300]
        self.is_stored(words)

    def is_stored(self, words: str) -> None:
        """The server said that it has those words."""
        self.stored.append(words)
        self.pending = ("", "", b"")

    def again(self) -> None:
        """The pending one was refused: another went on with the job. It is made anew from what stands there now."""
        self.next -= 1
        self.pending = ("", "", b"")

    def cut_off(self, client: Client) -> None:
        """Send the next one, and do not wait for its answer."""
        _, key, body = self.act(client)
        client.cut_off(f"{self.path}/entries", body, key)

    def lost_and_doubled(self, client: Client) -> tuple[int, int]:
        """How many of the stored notes are not there, and how many notes are there more than once."""
        entries = client.get(f"{self.path}/job.json")["record"]["entries"]
        notes = [entry["text"] for entry in entries if entry["kind"] == "note"]
        there = [words for words in notes if words.startswith(self.prefix)]
        return len(set(self.stored) - set(there)), len(there) - len(set(there))
