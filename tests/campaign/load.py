"""A mixed load for as long as is wished: eight people at benches, plans, lists and the log; what each act took."""

from __future__ import annotations

import json
import random
import tempfile
import time
from collections import Counter
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, field
from pathlib import Path
from urllib.parse import quote

from benchmarks.speed import resident_mb
from lathework.tests.samples import TIE_ROD, document
from tests.browser.server import Server
from tests.campaign.client import Client, Notes

PEOPLE = 8
JOBS = (2, 3, 4, 5, 7, 8)
"""Jobs of the demo that stand at a step: two of them are worked at by two people."""
THINK_S = 0.5
"""A person thinks for up to twice as long between two acts, on average for so long."""
DESIGNATIONS = ("3/8-16", "M8x1", "1/4 bsw", "G3/8", "2ba", "1/2-13", "R1/2", "M6")
WORDS = ("studs", "3/8", "note", "done", "lamp", "M8")


@dataclass
class Told:
    """What one person counted: the seconds of every answer by what was asked, and how many answers were of which
    hundred."""

    seconds: dict[str, list[float]] = field(default_factory=dict)
    statuses: Counter[int] = field(default_factory=Counter)


class Person:
    """One person with a browser of their own, who notes things on a job and looks about."""

    def __init__(self, number: int, port: int, seed: int) -> None:
        self.rng, self.client, self.told = random.Random(seed * 100 + number), Client(port), Told()
        self.job = JOBS[number % len(JOBS)]
        self.notes = Notes(self.job, prefix=f"p{number}-")
        self.acts: tuple[tuple[int, Callable[[], None]], ...] = (
            (35, self.note),
            (20, self.plan),
            (15, lambda: self.look("size", f"/api/size?q={quote(self.rng.choice(DESIGNATIONS))}")),
            (10, lambda: self.look("jobs", "/api/jobs")),
            (10, lambda: self.look("log", f"/api/log?q={quote(self.rng.choice(WORDS))}")),
            (7, lambda: self.look("job", f"/api/jobs/{self.job}")),
            (2, lambda: self.look("sheet", f"/api/jobs/{self.job}/sheet.pdf")),
            (1, lambda: self.look("kit", "/api/kit")),
        )

    def live(self, until_s: float) -> None:
        """Act and think until then (seconds of the steady clock), and until something was recorded."""
        weights, acts = zip(*self.acts, strict=True)
        while time.monotonic() < until_s or not self.notes.stored:
            self.rng.choices(acts, weights)[0]()
            time.sleep(self.rng.uniform(0, 2 * THINK_S))

    def timed(self, what: str, method: str, path: str, body: bytes | None = None, **headers: str) -> tuple[int, bytes]:
        """Ask, and note how long that took."""
        began = time.monotonic()
        status, content = self.client.ask(method, path, body, **headers)
        self.told.seconds.setdefault(what, []).append(time.monotonic() - began)
        self.told.statuses[status // 100] += 1
        return status, content

    def look(self, what: str, path: str) -> None:
        """Look at a page's data."""
        self.timed(what, "GET", path)

    def plan(self) -> None:
        """A keystroke in a plan."""
        asked = document(TIE_ROD) if self.rng.random() < 0.5 else document()
        self.timed("plan", "POST", "/api/jobs/plan", json.dumps(asked).encode())

    def note(self) -> None:
        """Record a note, again where another went on with the job in between."""
        while True:
            words, key, body = self.notes.act(self.client)
            status, content = self.timed(
                "record", "POST", f"{self.notes.path}/entries", body, **{"Idempotency-Key": key}
            )
            if status == 409:
                self.notes.again()
                continue
            assert status == 200, content[:300]
            self.notes.is_stored(words)
            return


def _at(seconds: list[float], share: float) -> float:
    """The time within which that share of answers came (unit: milliseconds)."""
    return round(sorted(seconds)[int(share * (len(seconds) - 1))] * 1000, 1)


def _live(people: list[Person], until_s: float) -> None:
    """All at once; what went wrong with one of them is raised here."""
    with ThreadPoolExecutor(len(people)) as pool:
        list(pool.map(lambda person: person.live(until_s), people))


def _figures(people: list[Person]) -> dict[str, float]:
    by_act: dict[str, list[float]] = {}
    for person in people:
        for what, seconds in person.told.seconds.items():
            by_act.setdefault(what, []).extend(seconds)
    every = [second for seconds in by_act.values() for second in seconds]
    told = {"load_answers": len(every), "load_p50_ms": _at(every, 0.5), "load_p95_ms": _at(every, 0.95)}
    told |= {"load_slowest_ms": _at(every, 1.0)}
    return told | {f"load_{what}_p95_ms": _at(seconds, 0.95) for what, seconds in sorted(by_act.items())}


def load(seconds: float, seed: int) -> dict[str, float]:
    """Eight people for so many `seconds`: lost, doubled, answers of 5xx, what answers took, the memory after
    each quarter."""
    with tempfile.TemporaryDirectory(prefix="conch-load-") as folder:
        server = Server(Path(folder), empty=False)
        server.start()
        assert server.process is not None
        people = [Person(number, server.port, seed) for number in range(PEOPLE)]
        began, memory = time.monotonic(), dict[str, float]()
        for quarter in (1, 2, 3, 4):
            _live(people, began + seconds * quarter / 4)
            memory[f"load_mb_{quarter}"] = round(resident_mb(server.process.pid), 1)
        lost = doubled = acknowledged = 0
        for person in people:
            gone, twice = person.notes.lost_and_doubled(person.client)
            lost, doubled, acknowledged = lost + gone, doubled + twice, acknowledged + len(person.notes.stored)
        server.end()
    return {
        "load_seconds": seconds,
        **_figures(people),
        "load_acknowledged": acknowledged,
        "load_lost": lost,
        "load_doubled": doubled,
        "load_5xx": sum(person.told.statuses[5] for person in people),
        **memory,
    }
