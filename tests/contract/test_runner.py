"""The runner of the tests itself: what hangs is ended and told, what cannot be passed between processes is told too."""

from __future__ import annotations

import sys
import tempfile
import time
import unittest
from pathlib import Path
from unittest import mock

from launcher.check import Check, _ended_in_time
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


class TheRunner(unittest.TestCase):
    @unittest.skipIf(sys.platform == "win32", "there is no alarm")
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

    @unittest.skipIf(sys.platform == "win32", "there are no groups of processes")
    def test_a_command_that_hangs_is_ended_with_what_it_began(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            told = Path(folder) / "pid"
            check = Check("a check", [sys.executable, "-c", HANGS, str(told)], Path(folder))
            began = time.monotonic()
            with mock.patch("launcher.check.STACKS_S", 0.2):
                self.assertIn("over", _ended_in_time(check, {}, began + 2))
            self.assertLess(time.monotonic() - began, 60)
            pid = int(told.read_text(encoding="ascii"))
            deadline = time.monotonic() + 20
            while Path(f"/proc/{pid}/cmdline").exists() and Path(f"/proc/{pid}/cmdline").read_bytes():
                self.assertLess(time.monotonic(), deadline, "what it began still runs")
                time.sleep(0.05)
