"""Requests as nobody should send them: bodies bent out of shape, halves of characters, odd dates, kinds, paths."""

from __future__ import annotations

import json
import random
import tempfile
from collections import Counter
from copy import deepcopy
from pathlib import Path
from typing import Any
from urllib.parse import quote

from lathework.tests.samples import PLUG, SCREW, TIE_ROD, document
from tests.browser.server import ROOT, Server
from tests.campaign.client import Client

HALF = "\ud83d"
ODD: tuple[object, ...] = (
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
TAILS = ("", "/bench", "/standing", "/job.json", "/readings.csv", "/sheet.pdf", "/part.svg", "/part.dxf")
KEYS = ("", "k1", "k2", "k" * 64, "k" * 65, "\xe9", "\t", "a b")
ACTS = ("hold", "release", "close", "reopen", "archive", "take-out", "delete", "undo")
QUERIES = (
    "",
    "part=2",
    "part=0",
    "part=99",
    "end=2",
    "end=x",
    "shelf=bin",
    "shelf=x",
    "start=9999999",
    "before=-1",
    "kind=note",
)


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
            parent[rng.choice(("colour", HALF, "", "id"))] = rng.choice(ODD)
        else:
            del parent[path[-1]]
    return made


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
        evidence = {"outside": "0.375", "tpi": "16"}
        return rng.choice(
            (
                ("POST", "/api/jobs", rng.choice(self.documents)),
                ("POST", "/api/jobs/import", rng.choice(self.files)),
                ("POST", "/api/jobs/plan", rng.choice(self.documents)),
                ("PUT", f"/api/jobs/{job}", changed),
                ("POST", f"/api/jobs/{job}/entries", {**self.entry, "kind": rng.choice(("note", "done", "reading"))}),
                ("POST", f"/api/jobs/{job}/{rng.choice(ACTS)}", {"last": 0, "revision": 1, "reason": "x"}),
                ("POST", "/api/identify", evidence),
            )
        )

    def question(self) -> str:
        """A path that is asked with GET."""
        rng = self.rng
        words = quote(
            rng.choice(("2 BA", "studs", "3/8-16", HALF, "\x00", '"', "words : x", "*", "NOT", "x" * 100)),
            errors="surrogatepass",
        )
        return rng.choice(
            (
                f"/api/jobs?{rng.choice(QUERIES)}",
                f"/api/jobs/{self.job()}{rng.choice(TAILS)}?{rng.choice(QUERIES)}",
                f"/api/log?q={words}&{rng.choice(QUERIES)}",
                f"/api/size?q={words}",
            )
        )

    def send(self, client: Client) -> tuple[int, str]:
        """One request; its status, and what it was."""
        rng = self.rng
        key = rng.choice(KEYS)
        headers = {"Idempotency-Key": key} if key else {}
        if rng.random() < 0.25:
            path = self.question()
            return client.ask("GET", path, None, **headers)[0], f"GET {path}"
        method, path, value = self.body()
        content = rng.choice(RAW) if rng.random() < 0.1 else json.dumps(_bent(value, rng)).encode()
        if rng.random() < 0.05:
            headers["Content-Type"] = rng.choice(TYPES)
        return client.ask(method, path, content, **headers)[0], f"{method} {path} {headers} {content[:4000]!r}"


def fuzz(count: int, seed: int) -> tuple[dict[str, int], list[str]]:
    """Send so many requests (a count): how many were answered with which hundred, and those the server failed at."""
    made = Fuzz(random.Random(seed))
    statuses: Counter[int] = Counter()
    failed: list[str] = []
    with tempfile.TemporaryDirectory(prefix="conch-fuzz-") as folder:
        server = Server(Path(folder), empty=False)
        server.start()
        client = Client(server.port)
        for _ in range(count):
            status, told = made.send(client)
            statuses[status // 100] += 1
            if status >= 500:
                failed.append(f"{status} {told}")
        # Whatever was sent, the shop is there: lists, log and every job that is told.
        for path in ("/api/jobs", "/api/jobs?shelf=bin", "/api/log"):
            client.get(path)
        server.end()
    answered = {f"fuzz_{hundred}xx": statuses[hundred] for hundred in (2, 4, 5)}
    return {"fuzz": count, **answered}, failed
