"""The production server as a process of its own, which a test may stop and start again."""

from __future__ import annotations

import os
import re
import shutil
import socket
import subprocess
import sys
import tempfile
from collections.abc import Sequence
from functools import cache
from pathlib import Path

from server.store import NAME
from server.warming import SHORT_LIVED

ROOT = Path(__file__).resolve().parents[2]
DEMO_JOBS = 10


@cache
def first_store(*, empty: bool) -> Path:
    """The store of a first start, with the demo or without: made once, for that takes longer than most tests."""
    folder = Path(tempfile.mkdtemp(prefix="conch-first-", dir=os.environ.get("CONCH_DATA")))
    server = Server(folder, empty=empty, short_lived=True)
    server.run()
    server.end()
    return folder / NAME


SHOP_CLOCK = "2026-12-01T18:00"
"""A Tuesday: the week of the demo is the same whenever the tests run."""


class Server:
    """`server.serve` over a data folder. It takes a port that is free, and the same one when it is started again."""

    def __init__(self, data: Path, *, empty: bool, more: Sequence[str] = (), short_lived: bool = False) -> None:
        self.data, self.empty, self.more, self.port = data, empty, more, 0
        self.short_lived = short_lived
        self.process: subprocess.Popen[str] | None = None
        self.place: socket.socket | None = None

    @property
    def url(self) -> str:
        return f"http://127.0.0.1:{self.port}"

    def start(self) -> None:
        """Start, over a first store in a folder that has none yet, and wait for the line that gives the address."""
        if not (self.data / NAME).exists():
            shutil.copy(first_store(empty=self.empty), self.data / NAME)
        self.run()

    def command(self) -> list[str]:
        """What is run."""
        empty = ["--empty"] if self.empty else []
        return [sys.executable, "-m", "server.serve", "--port", str(self.port), *self.more, *empty]

    def environment(self) -> dict[str, str]:
        """What it is told of its place."""
        soon_over = {SHORT_LIVED: "1"} if self.short_lived else {}
        return {**os.environ, "CONCH_DATA": str(self.data), "CONCH_CLOCK": SHOP_CLOCK, **soon_over}

    def run(self) -> None:
        """Start over what the folder has."""
        self.process = subprocess.Popen(
            self.command(), cwd=ROOT, env=self.environment(), stdout=subprocess.PIPE, text=True
        )
        assert self.process.stdout is not None
        line = self.process.stdout.readline()
        found = re.search(r"Open http://127\.0\.0\.1:(\d+)/", line)
        if found is None:
            raise RuntimeError(f"the server did not start: {line!r}")
        self.port = int(found[1])
        self._leave_port()

    def refused(self) -> str:
        """What a start says that cannot go on."""
        done = subprocess.run(
            self.command(), cwd=ROOT, env=self.environment(), capture_output=True, text=True, timeout=60, check=False
        )
        if done.returncode != 2:
            raise RuntimeError(f"the server was not refused: {done.returncode} {done.stderr}")
        return done.stderr

    def stop(self) -> None:
        """End the process and wait for it."""
        if self.process is None:
            return
        self.process.terminate()
        self.process.wait(timeout=30)
        if self.process.stdout is not None:
            self.process.stdout.close()
        self.process = None
        self._keep_port()

    def end(self) -> None:
        """End for good."""
        self.stop()
        self._leave_port()

    def _keep_port(self) -> None:
        """Keep the port from others while nothing listens on it: bound, a server that asks for it by number gets it."""
        self.place = socket.socket()
        self.place.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        self.place.bind(("127.0.0.1", self.port))

    def _leave_port(self) -> None:
        if self.place is not None:
            self.place.close()
            self.place = None
