"""The search for a better order: one at a time, in a process of its own, that can be stopped and ends by itself."""

from __future__ import annotations

import subprocess
import sys
import threading
import time
from collections.abc import Callable, Sequence
from contextlib import suppress
from typing import IO

import orjson
from django.conf import settings
from django.db import close_old_connections

from lathework.week.model import Problem
from server.week.search.carried import problem_json
from server.week.search.seek import ATTENDED

SECONDS = 20.0
"""How long is searched at most."""
_GRACE_S = 5.0


class Search:
    """A search under way or over: what it found last."""

    def __init__(self, problem: Problem, seconds: float, done: Callable[[Sequence[str]], None]) -> None:
        self.seconds, self._done = seconds, done
        self.began, self.took_s = time.monotonic(), 0.0
        self.first_cost: int | None = None
        self.cost: int | None = None
        self.sequence: list[str] = []
        self.better, self.proven, self.failed, self.stopped = 0, False, False, False
        self.process = subprocess.Popen(
            [sys.executable, "-m", "server.week.search.seek", str(seconds), ATTENDED],
            stdin=subprocess.PIPE,
            stdout=subprocess.PIPE,
            stderr=subprocess.DEVNULL,
            cwd=settings.ROOT,
        )
        self._thread = threading.Thread(target=self._listen, args=(problem_json(problem),), daemon=True)
        self._thread.start()

    @property
    def runs(self) -> bool:
        """Whether it goes on."""
        return self._thread.is_alive()

    @property
    def elapsed_s(self) -> float:
        """For how long it has searched, in seconds."""
        return self.took_s or time.monotonic() - self.began

    def _listen(self, problem: bytes) -> None:
        said, heard = self.process.stdin, self.process.stdout
        assert said is not None and heard is not None
        try:
            said.write(problem + b"\n")
            said.flush()
            self._read(heard)
        except (OSError, ValueError):
            self.failed = not self.stopped
        finally:
            heard.close()
            with suppress(OSError):
                said.close()
            self.failed = self.failed or (self.process.wait() != 0 and not self.stopped)
            self.took_s = time.monotonic() - self.began
            if self.sequence and self.better:
                self._done(self.sequence)
            close_old_connections()

    def _read(self, lines: IO[bytes]) -> None:
        for line in lines:
            found = orjson.loads(line)
            if found.get("ended"):
                self.proven = bool(found["proven"])
                continue
            if self.first_cost is None:
                self.first_cost = found["cost"]
            else:
                self.better += 1
            self.cost, self.sequence = found["cost"], found["sequence"]

    def stop(self) -> None:
        """End it; what it found stays."""
        if self.process.poll() is None:
            self.stopped = True
            self.process.terminate()
        self._thread.join(_GRACE_S)


_lock = threading.Lock()
_latest: Search | None = None


def begin(problem: Problem, done: Callable[[Sequence[str]], None], *, seconds: float = SECONDS) -> Search:
    """Begin a search, unless one is under way: then that one."""
    global _latest
    with _lock:
        if _latest is None or not _latest.runs:
            _latest = Search(problem, seconds, done)
        return _latest


def latest() -> Search | None:
    """The search under way, or the last one."""
    return _latest


def end() -> None:
    """Stop the search under way, if any."""
    if _latest is not None:
        _latest.stop()
