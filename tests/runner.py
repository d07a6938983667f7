"""The runner of `./conch test`: a test that hangs fails with its stack, and every failure is told."""

from __future__ import annotations

import faulthandler
import pickle
import signal
import sys
import traceback
import unittest
from types import FrameType
from typing import Any

from django.test.runner import DiscoverRunner, ParallelTestSuite, RemoteTestResult, RemoteTestRunner

MOST_S = 180
"""How long a test may take."""
STACKS = sys.__stderr__
"""Where the stacks of what hangs are told."""


class TookTooLong(Exception):
    """A test was still at it when its time was over."""


def _over(signal_number: int, frame: FrameType | None) -> None:
    faulthandler.dump_traceback(STACKS or sys.stderr, all_threads=True)
    raise TookTooLong(f"over {MOST_S} s; where it hung stands above, thread by thread")


class Timed(unittest.TestResult):
    """Ends a test when its time is over. Where the system has no alarm, it goes on."""

    def startTest(self, test: unittest.TestCase) -> None:
        """From here on it is timed."""
        if sys.platform != "win32":
            signal.signal(signal.SIGALRM, _over)
            signal.alarm(MOST_S)
        super().startTest(test)

    def stopTest(self, test: unittest.TestCase) -> None:
        """It is over."""
        if sys.platform != "win32":
            signal.alarm(0)
        super().stopTest(test)


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


class TimedText(Timed, unittest.TextTestResult):
    """What this process found."""


class TimedRunner(DiscoverRunner):
    """Finds the tests and runs them, each in its time. Asked by a signal, every process tells where it is."""

    parallel_test_suite = InParallel

    def __init__(self, *about: Any, **more: Any) -> None:
        super().__init__(*about, **more)
        if sys.platform != "win32":
            faulthandler.register(signal.SIGUSR1, all_threads=True)

    def get_resultclass(self) -> Any:
        """Timed, unless something else was asked for."""
        return super().get_resultclass() or TimedText
