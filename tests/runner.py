"""The runner of `./conch test`: it shows how far it is, what took long, where a test hangs, and every failure."""

from __future__ import annotations

import faulthandler
import pickle
import signal
import sys
import time
import traceback
import unittest
from collections import Counter
from types import FrameType
from typing import Any

from django.test.runner import DiscoverRunner, ParallelTestSuite, RemoteTestResult, RemoteTestRunner

from tests.long import LONG, TAG

MOST_S = 180
"""How long a test may take."""
STACKS = sys.__stderr__
"""Where the stacks of what hangs are told."""
PROGRESS_S, LONGEST = 20.0, 12
"""Seconds between two lines of progress; and how many of the longest tests are named at the end."""


class TookTooLong(Exception):
    """A test was still at it when its time was over."""


def _over(signal_number: int, frame: FrameType | None) -> None:
    faulthandler.dump_traceback(STACKS or sys.stderr, all_threads=True)
    raise TookTooLong(f"over {MOST_S} s; where it hung stands above, thread by thread")


class Timed(unittest.TestResult):
    """Ends a test when its time is over, and keeps how long each took. Where the system has no alarm, it goes on."""

    began: float

    def startTest(self, test: unittest.TestCase) -> None:
        """From here on it is timed."""
        self.began = time.monotonic()
        if sys.platform != "win32":
            signal.signal(signal.SIGALRM, _over)
            signal.alarm(MOST_S)
        super().startTest(test)

    def stopTest(self, test: unittest.TestCase) -> None:
        """It is over."""
        if sys.platform != "win32":
            signal.alarm(0)
        self.took(test, time.monotonic() - self.began)
        super().stopTest(test)

    def took(self, test: unittest.TestCase, seconds: float) -> None:
        """Keep how long a test took."""


def passable(err: Any) -> Any:
    """A failure as it can be passed to another process: itself, or all that there is to read of it.

    >>> passable((ValueError, ValueError("plain"), None))[1]
    ValueError('plain')
    >>> type(passable((Exception, Exception(lambda: 1), None))[1]).__name__
    'AssertionError'
    """
    try:
        pickle.loads(pickle.dumps(err))
    except Exception:  # whatever stands in the way
        kind, error, at = err
        told = AssertionError("".join(traceback.format_exception(kind, error, at)))
        return AssertionError, told, None
    return err


class TimedElsewhere(Timed, RemoteTestResult):
    """What a process of its own found."""

    def took(self, test: unittest.TestCase, seconds: float) -> None:
        """It is kept by the process that began this one."""
        self.events.append(("took", self.test_index, seconds))

    def check_picklable(self, test: unittest.TestCase, err: Any) -> None:
        """Every failure was made so before."""

    def addError(self, test: unittest.TestCase, err: Any) -> None:
        """It broke."""
        super().addError(test, passable(err))

    def addFailure(self, test: unittest.TestCase, err: Any) -> None:
        """It failed."""
        super().addFailure(test, passable(err))

    def addSubTest(self, test: unittest.TestCase, subtest: unittest.TestCase, err: Any) -> None:
        """A part of it failed, or went well; one whose values cannot be passed is told as the whole test."""
        found = passable(err) if err else err
        try:
            pickle.loads(pickle.dumps(subtest))
        except Exception:  # whatever stands in the way
            if found:
                super().addFailure(test, found)
            return
        super().addSubTest(test, subtest, found)


class Elsewhere(RemoteTestRunner):
    """Runs tests in a process of its own."""

    resultclass = TimedElsewhere


class InParallel(ParallelTestSuite):
    """Tests in as many processes as are wanted."""

    runner_class = Elsewhere


def part_of(test: str) -> str:
    """The part of the tests that a test belongs to.

    >>> part_of("tests.browser.test_bench.Bench.test_keys"), part_of("server.jobs.tests.test_undo.Undo.test_all")
    ('tests/browser', 'server')
    """
    first, second, *_ = test.split(".")
    return f"{first}/{second}" if first == "tests" else first


class TimedText(Timed, unittest.TextTestResult):
    """What this process found, and the others told it."""

    tests = 0
    """How many there are in all."""

    def __init__(self, *about: Any, **more: Any) -> None:
        super().__init__(*about, **more)
        self.dots = False
        self.times: dict[str, float] = {}
        self.start = self.shown = time.monotonic()

    def took(self, test: unittest.TestCase, seconds: float) -> None:
        """Keep it, and show now and then how far it all is."""
        # What ran in another process is told by it, and then gone through here in no time.
        self.times[test.id()] = max(seconds, self.times.get(test.id(), 0.0))
        if (now := time.monotonic()) - self.shown > PROGRESS_S:
            self.shown = now
            self.stream.writeln(f"   {len(self.times)} of {self.tests} tests, {(now - self.start) / 60:.1f} minutes")
            self.stream.flush()

    def stopTestRun(self) -> None:
        """Where the time went."""
        super().stopTestRun()
        parts: Counter[str] = Counter()
        for name, seconds in self.times.items():
            parts[part_of(name)] += round(seconds)
        self.stream.writeln("seconds by part: " + ", ".join(f"{part} {s}" for part, s in parts.most_common()))
        for name in sorted(self.times, key=lambda name: -self.times[name])[:LONGEST]:
            self.stream.writeln(f"   {self.times[name]:5.1f} s  {name}")


class TimedRunner(DiscoverRunner):
    """Finds the tests and runs them, each in its time. Asked by a signal, every process tells where it is."""

    parallel_test_suite = InParallel

    def __init__(self, *about: Any, **more: Any) -> None:
        if not LONG:
            more["exclude_tags"] = [*(more.get("exclude_tags") or ()), TAG]
        super().__init__(*about, **more)
        if sys.platform != "win32":
            faulthandler.register(signal.SIGUSR1, all_threads=True)

    def get_resultclass(self) -> Any:
        """Timed, unless something else was asked for."""
        return super().get_resultclass() or TimedText

    def run_suite(self, suite: Any, **more: Any) -> Any:
        """Run what was found, whose number the result then knows."""
        TimedText.tests = sum(part.countTestCases() for part in suite)
        return super().run_suite(suite, **more)
