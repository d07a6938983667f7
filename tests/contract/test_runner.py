"""The runner of the tests itself: what hangs is ended and told, what cannot be passed between processes is told too."""

from __future__ import annotations

import subprocess
import sys
import tempfile
import time
import unittest
from collections.abc import Callable
from pathlib import Path
from unittest import mock

from launcher.check import Check, _end_group, _ended_in_time
from tests import runner
from tests.runner import Elsewhere

HANGS = """
import subprocess, sys, time
began = subprocess.Popen([sys.executable, "-c", "import time; time.sleep(600)"])
print(began.pid, file=open(sys.argv[1], "w"), flush=True)
time.sleep(600)
"""


class Failing(unittest.TestCase):
    """Not run as tests: given to the runner below."""

    def hangs(self) -> None:
        time.sleep(600)

    def cannot_be_passed(self) -> None:
        raise ValueError(lambda: "a function of no module")

    def cannot_be_passed_in_part(self) -> None:
        with self.subTest(how=lambda: "another"):
            self.fail("in part")


def events(name: str) -> list[str]:
    """What the runner of another process says of a test that fails."""
    return [str(event) for event in Elsewhere().run(unittest.TestSuite([Failing(name)])).events]


def _runs(pid: int) -> bool:
    """Whether a process is there, and not only its name in the table."""
    try:
        return bool(Path(f"/proc/{pid}/cmdline").read_bytes())
    except OSError:
        return False


class TheRunner(unittest.TestCase):
    def test_what_hangs_fails_with_where_it_hung(self) -> None:
        with mock.patch.object(runner, "MOST_S", 1), tempfile.TemporaryFile() as stacks:
            with mock.patch.object(runner, "STACKS", stacks):
                said = events("hangs")
            stacks.seek(0)
            self.assertIn(b"in hangs", stacks.read())
        self.assertTrue(any("TookTooLong" in event for event in said), said)

    def test_what_cannot_be_passed_is_told(self) -> None:
        self.assertTrue(any("a function of no module" in e or "ValueError" in e for e in events("cannot_be_passed")))
        self.assertTrue(any("in part" in event for event in events("cannot_be_passed_in_part")))

    def test_a_command_whose_time_is_over_is_told(self) -> None:
        check = Check("a check", [sys.executable, "-c", "import time; time.sleep(600)"], Path(tempfile.gettempdir()))
        with mock.patch("launcher.check.STACKS_S", 0.2):
            self.assertIn("a check: over", _ended_in_time(check, {}, time.monotonic()))

    def test_a_command_is_ended_with_what_it_began(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            told = Path(folder) / "pid"
            command = [sys.executable, "-c", HANGS, str(told)]
            with subprocess.Popen(command, start_new_session=True) as running:
                try:
                    pid = int(self.waited_for(lambda: told.read_text(encoding="ascii") if told.exists() else ""))
                finally:
                    _end_group(running)
            self.waited_for(lambda: "" if _runs(pid) else "over")

    def waited_for(self, what: Callable[[], str]) -> str:
        """What is there at last."""
        deadline = time.monotonic() + 60
        while not (found := what().strip()):
            self.assertLess(time.monotonic(), deadline)
            time.sleep(0.05)
        return found
