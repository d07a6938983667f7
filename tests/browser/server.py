"""The production server as a process of its own, which a test may stop and start again."""

from __future__ import annotations

import os
import socket
import subprocess
import sys
from pathlib import Path

ROOT = Path(__file__).resolve().parents[2]


def free_port() -> int:
    """A port that nothing listens on."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


class Server:
    """`server.serve` over a data folder."""

    def __init__(self, data: Path, *, empty: bool) -> None:
        self.data, self.empty, self.port = data, empty, free_port()
        self.process: subprocess.Popen[str] | None = None

    @property
    def url(self) -> str:
        return f"http://127.0.0.1:{self.port}"

    def start(self) -> None:
        """Start, and wait for the line that gives the address."""
        command = [sys.executable, "-m", "server.serve", "--port", str(self.port)]
        if self.empty:
            command.append("--empty")
        environment = {**os.environ, "CONCH_DATA": str(self.data)}
        self.process = subprocess.Popen(command, cwd=ROOT, env=environment, stdout=subprocess.PIPE, text=True)
        assert self.process.stdout is not None
        line = self.process.stdout.readline()
        if "Conch is at" not in line:
            raise RuntimeError(f"the server did not start: {line!r}")

    def stop(self) -> None:
        """End the process and wait for it."""
        if self.process is None:
            return
        self.process.terminate()
        self.process.wait(timeout=30)
        if self.process.stdout is not None:
            self.process.stdout.close()
        self.process = None
