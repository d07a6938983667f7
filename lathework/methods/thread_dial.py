"""When the half nuts may be closed: the lines of a thread dial that serve, or why they stay closed."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

MOST_COUNTED_TURNS = 20
"""Turns of the leadscrew that are counted or waited for without a dial, for work and screw to meet again (practice)."""


@dataclass(frozen=True, slots=True)
class NutTimes:
    """Whether the half nuts may be opened in the pass: `every` so many turns of the leadscrew both meet again;
    at which `lines` of the dial, numbered from 1, where it has one; and the same in words."""

    every: int
    lines: tuple[int, ...]
    words: str
    opens: bool


def meets_again(lead: Fraction, leadscrew: Fraction) -> int:
    """After how many turns of the leadscrew the carriage has moved a whole number of leads: what both have in common.

    >>> meets_again(Fraction(1, 13), Fraction(1, 16)), meets_again(Fraction(1, 16), Fraction(1, 8))
    (16, 1)
    """
    return (leadscrew / lead).denominator


def _serving(every: int, teeth: int, marks: int) -> tuple[int, ...]:
    """The lines where the nuts close and the tool meets its thread: after whole turns of the screw, `every` of them."""
    return tuple(
        mark + 1 for mark in range(marks) if (teeth * mark) % marks == 0 and (teeth * mark // marks) % every == 0
    )


def nut_times(lead: Fraction, leadscrew: Fraction, *, teeth: int = 0, marks: int = 0) -> NutTimes:
    """When the nuts may be closed for `lead` on a leadscrew of that lead (both in one unit).

    `teeth` are those of the dial's wheel, which the leadscrew turns, `marks` its lines; 0 where there is none. One turn
    of the dial is `teeth` turns of the leadscrew. Source: plane geometry.

    >>> nut_times(Fraction(1, 13), Fraction(1, 16), teeth=16, marks=4).lines
    (1,)
    >>> nut_times(Fraction(1, 16), Fraction(1, 8), teeth=32, marks=8).words
    'Close the half nuts at any point.'
    """
    every = meets_again(lead, leadscrew)
    if every == 1:
        return NutTimes(1, tuple(range(1, marks + 1)), "Close the half nuts at any point.", opens=True)
    if marks and teeth % every:
        return NutTimes(every, (), closed_throughout("no line of the thread dial suits this pitch"), opens=False)
    if not marks and every > MOST_COUNTED_TURNS:
        return NutTimes(every, (), closed_throughout(f"they line up again only after {every} turns of it"), opens=False)
    if not marks:
        words = (
            f"Close the half nuts only every {every} turns of the leadscrew. Chalk chuck and leadscrew at the "
            "first pass. Bring the carriage back to the same place on the bed, and close the half nuts when "
            "both marks are back where they were."
        )
        return NutTimes(every, (), words, opens=True)
    lines = _serving(every, teeth, marks)
    return NutTimes(every, lines, _told(lines, marks), opens=True)


def closed_throughout(why: str) -> str:
    """That the half nuts stay closed from the first pass to the last, and `why`, the end of a sentence."""
    return (
        "Keep the half nuts closed throughout. After each pass withdraw the tool, stop the spindle and reverse it: "
        f"{why}."
    )


def _told(lines: tuple[int, ...], marks: int) -> str:
    if len(lines) == marks:
        return "Close the half nuts at any line of the dial."
    if len(lines) == 1:
        return "Close the half nuts at one line of the dial, always the same."
    step = marks // len(lines)
    which = "every other line" if step == 2 else f"one line in {step}"
    return f"Close the half nuts at {which} of the dial, counted from the one you began with."
