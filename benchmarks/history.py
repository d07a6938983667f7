"""What a shop's history costs: each page of a store of 500 jobs and 100,000 entries against the demo's, in one run."""

from __future__ import annotations

import json
import os
import subprocess
import sys
import tempfile
import time
import uuid
from collections.abc import Callable
from pathlib import Path
from statistics import median
from typing import Any

from benchmarks.big_store import STUDS
from benchmarks.speed import LiveServer, interleaved, resident_mb

ROUNDS, SHEETS, STARTS, BROWSED = 200, 25, 5, 60
PAGES = ("jobs", "job", "bench", "log", "reading")


class Recorder:
    """Records readings at the bench of a job, one after the other."""

    def __init__(self, server: LiveServer, job: int) -> None:
        self.server, self.path = server, f"/api/jobs/{job}"
        self.now: dict[str, Any] = json.loads(server.get(f"{self.path}/bench"))

    def __call__(self, number: int) -> None:
        """One more reading, a little over the aim: it may be taken again and again."""
        assert self.now["step"]["measure"] == "diameter", "the bench must ask for a diameter"
        body = {
            "last": self.now["last"],
            "revision": self.now["revision"],
            "step": self.now["step"]["key"],
            "kind": "reading",
            "reading": f"{self._aim() + 0.5:.3f} mm",
            "sure": True,
        }
        self.server.headers["Idempotency-Key"] = uuid.uuid4().hex
        self.now = json.loads(self.server.post(f"{self.path}/entries", json.dumps(body).encode()))

    def _aim(self) -> float:
        figures = {figure["key"]: figure["figure"] for figure in self.now["step"]["figures"]}
        return float(figures["diameter"]["shown"]["mm"]["text"])


def _filled(root: Path, folder: Path) -> dict[str, int]:
    command = [sys.executable, "-m", "benchmarks.big_store"]
    environment = {**os.environ, "CONCH_DATA": str(folder)}
    told = subprocess.run(command, cwd=root, env=environment, stdout=subprocess.PIPE, check=True).stdout
    return dict(json.loads(told))


def asks(server: LiveServer, job: int) -> dict[str, Callable[[int], object]]:
    """Every page of a store, for one job of it."""
    words = ("chips packed", "snug", "stud", "1/2 BSW", "binds levelling")
    log = "/api/log?q={}".format
    return {
        "jobs": lambda number: server.get("/api/jobs"),
        "job": lambda number: server.get(f"/api/jobs/{job}"),
        "bench": lambda number: server.get(f"/api/jobs/{job}/bench"),
        "log": lambda number: server.get(log(words[number % len(words)].replace(" ", "+"))),
        "reading": Recorder(server, job),
    }


def _sheet_ms(server: LiveServer) -> float:
    """The set-up sheet of the demo's largest job, the one of most steps that is not closed, in milliseconds."""
    jobs = [job for job in json.loads(server.get("/api/jobs"))["jobs"] if job["state"] != "closed"]
    sizes = {job["id"]: len(server.get(f"/api/jobs/{job['id']}/sheet.pdf")) for job in jobs}
    slowest = max(sizes, key=lambda job: sizes[job])
    return interleaved({"sheet": lambda number: server.get(f"/api/jobs/{slowest}/sheet.pdf")}, SHEETS)["sheet"] * 1000


def _browsed_mb(server: LiveServer) -> float:
    """The memory of a server after somebody looked through jobs, benches and batches (unit: MB)."""
    for job in range(1, BROWSED + 1):
        for page in ("", "/bench", "/batch"):
            server.get(f"/api/jobs/{job}{page}")
    return resident_mb(server.process.pid)


def _start_s(root: Path, data: Path) -> tuple[float, float]:
    """From a start over a store that was begun until it gave its page, and its first answer (unit: seconds)."""
    server = LiveServer(root, data)
    server.get("/api/jobs")
    answered = time.monotonic() - server.began
    server.stop()
    return server.start_s, answered


def history(root: Path) -> dict[str, float]:
    """Ratios of the big store's pages to the demo's; of a reading after a long history to one after a short."""
    with tempfile.TemporaryDirectory(prefix="conch-") as folder:
        big, few = (Path(folder) / name for name in ("big", "demo"))
        named = _filled(root, big)
        servers = [LiveServer(root, few), LiveServer(root, big)]
        try:
            studs = next(j["id"] for j in json.loads(servers[0].get("/api/jobs"))["jobs"] if j["title"] == STUDS)
            questions: dict[str, Callable[[int], object]] = {
                **{f"{name}_demo": ask for name, ask in asks(servers[0], studs).items()},
                **{f"{name}_big": ask for name, ask in asks(servers[1], named["usual"]).items()},
                "reading_short": Recorder(servers[1], named["short"]),
                "reading_long": Recorder(servers[1], named["long"]),
            }
            times = interleaved(questions, ROUNDS)
            sheet = _sheet_ms(servers[0])
            memory = _browsed_mb(servers[1])
        finally:
            for server in servers:
                server.stop()
        page, answered = map(median, zip(*(_start_s(root, few) for _ in range(STARTS)), strict=True))
    ratios = {f"{name}_big_over_demo": round(times[f"{name}_big"] / times[f"{name}_demo"], 2) for name in PAGES}
    return ratios | {
        "reading_long_over_short": round(times["reading_long"] / times["reading_short"], 2),
        "reading_ms": round(times["reading_demo"] * 1000, 2),
        "sheet_ms": round(sheet, 1),
        "start_s": round(page, 2),
        "start_answer_s": round(answered, 2),
        "big_mb": round(memory, 1),
    }
