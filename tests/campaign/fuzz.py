"""Requests as nobody should send them: bodies bent out of shape, halves of characters, odd dates, kinds, paths."""

from __future__ import annotations

import json
import random
import tempfile
import time
from collections import Counter
from copy import deepcopy
from dataclasses import dataclass
from pathlib import Path
from typing import Any
from urllib.parse import quote, urlencode

from lathework.tests.samples import PLUG, SCREW, TIE_ROD, document
from tests.browser.server import ROOT, Server
from tests.campaign.asked import BODIES, HALF, HOLDERS, QUESTIONS, TEXTS
from tests.campaign.client import Client

NESTED, DEPTH = "nested deeper than anybody writes", 1000
"""A value that is sent as a list in a list in a list, nearly as deep as what reads requests goes along with."""
ODD: tuple[object, ...] = (
    NESTED,
    None,
    True,
    0,
    -1,
    1,
    2**31,
    2**63,
    -(2**70),
    1e308,
    0.1,
    "",
    " ",
    HALF,
    f"a{HALF}b",
    "\x00",
    "x" * 3000,
    "🐚",
    "1/0",
    "1/2",
    "-3",
    "9" * 400,
    "NaN",
    "in",
    "mm",
    "0001-01-01T00:00:00+14:00",
    "9999-12-31T23:59:59-14:00",
    "2026-02-30",
    "2026-11-21T10:02:00+00:00",
    "reading",
    "turn:s1",
    "turn:s9",
    "p1",
    "=1+1",
    [],
    {},
    [[]],
    {"a": HALF},
    {HALF: 1},
    ["x"] * 70,
    {"id": "s1"},
)
RAW = (
    b"",
    b"{",
    b"null",
    b"[]",
    b"\xff\xfe\x00",
    b"[" * 4000,
    b'{"a": NaN}',
    b'{"a": 1e999}',
    b'"\\ud83d"',
    b'{"\\ud83d": "\\ud83d"}',
    b'{"title": "a", "title": "b"}',
    b"1" * 5000,
    b"--x\r\n\r\n",
)
TYPES = ("application/json", "multipart/form-data; boundary=x", "multipart/form-data", "text/plain", "", "a/b; c=\xe9")
IDS = ("1", "2", "3", "7", "9", "0", "-1", "999", str(2**64), "abc", "1.5", "%00", "%F0%9F", "1%2F2")
KEYS = ("", "k1", "k2", "k" * 64, "k" * 65, "\xe9", "\t", "a b")
ACTS = ("hold", "release", "close", "reopen", "archive", "take-out", "delete", "undo")


def _paths(value: object, at: tuple[object, ...] = ()) -> list[tuple[object, ...]]:
    """The place of every value in a document."""
    rows = value.items() if isinstance(value, dict) else enumerate(value) if isinstance(value, list) else ()
    return [at, *(path for key, one in rows for path in _paths(one, (*at, key)))]


def _bent(value: Any, rng: random.Random) -> Any:
    """A document with a few of its values replaced, taken out or joined by others."""
    made = deepcopy(value)
    for _ in range(rng.choice((1, 1, 1, 2, 4))):
        path = rng.choice(_paths(made))
        if not path:
            continue
        parent: Any = made
        for key in path[:-1]:
            parent = parent[key]
        choice = rng.random()
        if choice < 0.7:
            parent[path[-1]] = deepcopy(rng.choice(ODD))
        elif choice < 0.85 and isinstance(parent, dict):
            parent[rng.choice(("colour", HALF, "", "id"))] = deepcopy(rng.choice(ODD))
        else:
            del parent[path[-1]]
    return made


SLOW_S = 2.0
"""Nobody waits longer than that for an answer, whatever was asked."""


@dataclass(frozen=True, slots=True)
class Sent:
    """The status of an answer, how long it took, and what was asked."""

    status: int
    seconds: float
    told: str


class Fuzz:
    """Makes requests about a few jobs of a store."""

    def __init__(self, rng: random.Random) -> None:
        self.rng = rng
        files = sorted((ROOT / "demo").glob("*.json"))
        self.files = [json.loads(file.read_bytes()) for file in files]
        self.documents = [document(), document(SCREW), document(PLUG), document(TIE_ROD)]
        self.entry = {
            "last": 0,
            "revision": 1,
            "step": "face:right",
            "kind": "note",
            "reading": "0.5",
            "unit": "",
            "verdict": "snug",
            "reason": "x",
            "again": "",
            "part": "",
        }

    def job(self) -> str:
        """A job's number, more often than not one that is there."""
        return self.rng.choice(IDS)

    def body(self) -> tuple[str, str, Any]:
        """A method, a path and what is sent there."""
        rng, job = self.rng, self.job()
        changed = {"document": rng.choice(self.documents), "revision": 1}
        return rng.choice(
            (
                ("POST", "/api/jobs", rng.choice(self.documents)),
                ("POST", "/api/jobs/import", rng.choice(self.files)),
                ("POST", "/api/jobs/plan", rng.choice(self.documents)),
                ("PUT", f"/api/jobs/{job}", changed),
                ("POST", f"/api/jobs/{job}/entries", {**self.entry, "kind": rng.choice(("note", "done", "reading"))}),
                ("POST", f"/api/jobs/{job}/{rng.choice(ACTS)}", {"last": 0, "revision": 1, "reason": "x"}),
                *(self.filled(*one) for one in BODIES),
            )
        )

    def filled(self, method: str, path: str, value: Any) -> tuple[str, str, Any]:
        """A body of the list, at a place that may be there."""
        return method, self.place(path), value

    def place(self, path: str) -> str:
        """A path with its ids and kinds put in."""
        rng = self.rng
        named = {"job": self.job(), "holder": quote(rng.choice(HOLDERS)), "thing": rng.choice((*IDS, "d1", "log"))}
        return path.format(**named)

    def question(self) -> str:
        """A path that is asked with GET."""
        path, names = self.rng.choice(QUESTIONS)
        asked = {name: self.rng.choice(TEXTS) for name in names if self.rng.random() < 0.7}
        return f"{self.place(path)}?{urlencode(asked, errors='surrogatepass')}"

    def send(self, client: Client) -> Sent:
        """One request, and what became of it."""
        method, path, content, headers = self.request()
        began = time.monotonic()
        status, _ = client.ask(method, path, content, **headers)
        return Sent(status, time.monotonic() - began, f"{method} {path} {headers} {(content or b'')[:4000]!r}")

    def request(self) -> tuple[str, str, bytes | None, dict[str, str]]:
        """A method, a path, a body and headers."""
        rng = self.rng
        key = rng.choice(KEYS)
        headers = {"Idempotency-Key": key} if key else {}
        if rng.random() < 0.35:
            return "GET", self.question(), None, headers
        method, path, value = self.body()
        written = json.dumps(_bent(value, rng)).replace(f'"{NESTED}"', "[" * DEPTH + "]" * DEPTH).encode()
        content = rng.choice(RAW) if rng.random() < 0.1 else written
        if rng.random() < 0.05:
            headers["Content-Type"] = rng.choice(TYPES)
        return method, path, content, headers


def fuzz(count: int, seed: int) -> tuple[dict[str, float], list[str]]:
    """Send so many requests (a count): how many were answered with which hundred, the slowest answer, how many took
    over two seconds; and those the server failed at, or took so long over."""
    made = Fuzz(random.Random(seed))
    statuses: Counter[int] = Counter()
    failed: list[str] = []
    slow, slowest_s = 0, 0.0
    with tempfile.TemporaryDirectory(prefix="conch-fuzz-") as folder:
        server = Server(Path(folder), empty=False)
        server.start()
        client = Client(server.port)
        for _ in range(count):
            sent = made.send(client)
            statuses[sent.status // 100] += 1
            slow, slowest_s = slow + (sent.seconds > SLOW_S), max(slowest_s, sent.seconds)
            if sent.status >= 500 or sent.seconds > SLOW_S:
                failed.append(f"{sent.status} {sent.seconds:.2f} s {sent.told}")
        # Whatever was sent, the shop is there: lists, log and every job that is told.
        for path in ("/api/jobs", "/api/jobs?shelf=bin", "/api/log"):
            client.get(path)
        server.end()
    answered = {f"fuzz_{hundred}xx": statuses[hundred] for hundred in (2, 4, 5)}
    return {"fuzz": count, **answered, "fuzz_over_2s": slow, "fuzz_slowest_s": round(slowest_s, 2)}, failed
