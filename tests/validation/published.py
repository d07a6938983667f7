"""Comparing with print: three numbers side by side, and half the last printed digit between them."""

from __future__ import annotations

import csv
import unittest
from decimal import Decimal
from pathlib import Path

from lathework.threads.designation import read_designation
from lathework.threads.limits import external_limits, internal_limits
from lathework.threads.standards.bands import ExternalLimits, InternalLimits
from lathework.threads.thread import Thread

DATA = Path(__file__).parent / "data"


def printed_rows(name: str) -> list[dict[str, str]]:
    """The rows of a file of printed values, without its comment lines; a dash is a value the table does not print."""
    lines = (DATA / f"{name}.csv").read_text(encoding="utf-8").splitlines()
    return list(csv.DictReader(line for line in lines if not line.startswith("# ")))


def half_digit(printed: str) -> float:
    """Half a unit of the last digit of a printed number.

    >>> half_digit("0.2175")
    5e-05
    """
    return float(Decimal(1).scaleb(int(Decimal(printed).as_tuple().exponent))) / 2


class PublishedCase(unittest.TestCase):
    """A standard's rows, compared one by one."""

    def compare(self, what: str, *, printed: str, by_hand: float | None, ours: float, steps: int = 1) -> None:
        """Ours must print as the table prints; the formula worked by hand must agree to `steps` of the last digit."""
        if printed == "-":
            return
        last = half_digit(printed)
        told = f"{what}: printed {printed}, by hand {by_hand}, ours {ours}"
        with self.subTest(told):
            self.assertLess(abs(ours - float(printed)), last, told)
            if by_hand is not None:
                self.assertLess(abs(by_hand - float(printed)), 2.2 * steps * last, told)

    def compare_basic(
        self, designation: str, printed: tuple[str, str, str], factors: tuple[float, float], steps: int = 1
    ) -> Thread:
        """Basic major, pitch and minor diameter; `factors` are the depths in pitches, by hand."""
        thread = read_designation(designation)
        major, pitch_diameter, minor = printed
        self.compare(f"{designation} major", printed=major, by_hand=None, ours=thread.major)
        for name, text, factor, ours in (
            ("pitch diameter", pitch_diameter, factors[0], thread.pitch_diameter),
            ("minor", minor, factors[1], thread.minor),
        ):
            by_hand = thread.major - factor * thread.pitch
            self.compare(f"{designation} {name}", printed=text, by_hand=by_hand, ours=ours, steps=steps)
        return thread

    def external(self, thread: Thread, class_name: str = "") -> ExternalLimits:
        """Limits of an external thread that has some."""
        found = external_limits(thread, class_name)
        assert found is not None
        return found

    def internal(self, thread: Thread, class_name: str = "") -> InternalLimits:
        """Limits of an internal thread that has some."""
        found = internal_limits(thread, class_name)
        assert found is not None
        return found
