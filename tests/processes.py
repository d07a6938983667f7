"""Processes that a test begins: ended when it is over, however that came."""

from __future__ import annotations

import subprocess
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any, TypeVar

Process = TypeVar("Process", bound="subprocess.Popen[Any]")


@contextmanager
def ended(process: Process) -> Iterator[Process]:
    """A process for as long as it is needed. `with` alone would wait for it, after a failure for good."""
    try:
        yield process
    finally:
        process.terminate()
        try:
            process.wait(20)
        except subprocess.TimeoutExpired:
            process.kill()
            process.wait(20)
        for pipe in (process.stdin, process.stdout, process.stderr):
            if pipe is not None:
                pipe.close()
