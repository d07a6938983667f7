"""Times answers of a live server against an endpoint that returns a constant through the same stack."""

from __future__ import annotations

import http.client
import json
import os
import re
import subprocess
import sys
import time
from collections.abc import Callable
from pathlib import Path
from statistics import median
from urllib.parse import quote

ROUNDS = 400
WARM_UP = 40


def resident_mb(pid: int) -> float:
    """The memory that a process holds (unit: MB)."""
    pages = int(Path(f"/proc/{pid}/statm").read_text(encoding="ascii").split()[1])
    return pages * 4096 / 1e6


class LiveServer:
    """The real server on a free port, over one kept connection; it took `start_s` seconds until it gave its page."""

    def __init__(self, root: Path, data: Path | None = None) -> None:
        self.began = time.monotonic()
        environment = {**os.environ, **({"CONCH_DATA": str(data)} if data else {})}
        command = [sys.executable, "-m", "server.serve", "--port", "0"]
        self.process = subprocess.Popen(command, cwd=root, env=environment, stdout=subprocess.PIPE, text=True)
        assert self.process.stdout is not None
        told = re.search(r"Open http://127\.0\.0\.1:(\d+)/", self.process.stdout.readline())
        if told is None:
            raise RuntimeError("the server did not start")
        self.connection = http.client.HTTPConnection("127.0.0.1", int(told[1]), timeout=30)
        self.connection.request("GET", "/")
        page = self.connection.getresponse()
        cookie = page.headers["Set-Cookie"]
        page.read()
        self.start_s = time.monotonic() - self.began
        found = re.search(r"csrftoken=([^;]+)", cookie)
        assert found is not None
        self.headers = {"Cookie": f"csrftoken={found[1]}", "X-CSRFToken": found[1], "Content-Type": "application/json"}

    def get(self, path: str) -> bytes:
        """The body of an answer that must be 200."""
        return self._ask("GET", path, None)

    def post(self, path: str, body: bytes) -> bytes:
        """The body of an answer that must be 200."""
        return self._ask("POST", path, body)

    def _ask(self, method: str, path: str, body: bytes | None) -> bytes:
        self.connection.request(method, path, body, self.headers)
        answer = self.connection.getresponse()
        content = answer.read()
        if answer.status != 200:
            raise RuntimeError(f"{path}: {answer.status} {content[:200]!r}")
        return content

    def stop(self) -> None:
        """End the server."""
        self.connection.close()
        self.process.terminate()
        self.process.wait(timeout=20)


def interleaved(
    asks: dict[str, Callable[[int], object]], rounds: int = ROUNDS, warm_up: int = WARM_UP
) -> dict[str, float]:
    """Median seconds of each, asked in turn so that noise falls on all alike."""
    times: dict[str, list[float]] = {name: [] for name in asks}
    for number in range(rounds + warm_up):
        for name, ask in asks.items():
            begun = time.perf_counter()
            ask(number)
            if number >= warm_up:
                times[name].append(time.perf_counter() - begun)
    return {name: median(values) for name, values in times.items()}


def measure(root: Path, designations: list[str]) -> dict[str, float]:
    """Seconds of the constant, of the size line over all designations, and of a plan that changes at each keystroke."""
    server = LiveServer(root)
    try:
        jobs = json.loads(server.get("/api/jobs"))["jobs"]
        largest = max(
            (json.loads(server.get(f"/api/jobs/{job['id']}")) for job in jobs), key=lambda j: len(json.dumps(j))
        )
        document = largest["document"]
        # As the page asks: drawn at the step that is looked at, the one that has most to take off.
        step = next(o["key"] for o in largest["plan"]["operations"] if o["key"].startswith("turn"))

        def lengthened(number: int) -> bytes:
            document["part"]["overall_length"] = f"{4 + number / 1000:.3f} in"
            return json.dumps(document).encode()

        # Another length each time: an answer that was kept would not count.
        keystrokes = [lengthened(number) for number in range(ROUNDS + WARM_UP)]

        return interleaved(
            {
                "null": lambda number: server.get("/api/alive"),
                "size": lambda number: server.get(f"/api/size?q={quote(designations[number % len(designations)])}"),
                "plan": lambda number: server.post(f"/api/jobs/plan?step={step}", keystrokes[number]),
            }
        )
    finally:
        server.stop()


def core_times() -> dict[str, float]:
    """Seconds for every size of the library with its default classes, and milliseconds for one, nothing kept."""
    from lathework.answers.size import size_of
    from lathework.threads.library import library
    from lathework.threads.limits import external_limits, internal_limits

    threads = library()
    for kept in (size_of, external_limits, internal_limits):
        kept.cache_clear()
    begun = time.perf_counter()
    for thread in threads:
        size_of(thread)
    whole = time.perf_counter() - begun
    return {"library_seconds": round(whole, 3), "one_size_ms": round(whole / len(threads) * 1000, 3)}
