"""When the nuts may be closed: the lines of a thread dial that serve, or why they stay closed."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

LONGEST_WAIT_TURNS = 400
"""Turns of the leadscrew after which nobody waits for work and screw to meet again (practice)."""


@dataclass(frozen=True, slots=True)
class NutTimes:
    """When the nuts may be closed: `every` so many turns of the leadscrew, None for never in reach; at which `lines`
    of the dial, numbered from 1, where it has one; and the same in words."""

    every: int | None
    lines: tuple[int, ...]
    words: str


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
    'The nuts may be closed anywhere.'
    """
    every = meets_again(lead, leadscrew)
    if every == 1:
        return NutTimes(1, tuple(range(1, marks + 1)), "The nuts may be closed anywhere.")
    if every > LONGEST_WAIT_TURNS or (marks and teeth % every):
        far = every > LONGEST_WAIT_TURNS
        why = "this pitch and the leadscrew hardly ever meet" if far else "no line of the dial serves it"
        words = f"Keep the nuts closed and run the spindle back each time: {why}."
        return NutTimes(None if far else every, (), words)
    if not marks:
        return NutTimes(every, (), f"The nuts may be closed every {every} turns of the leadscrew: chalk its start.")
    lines = _serving(every, teeth, marks)
    return NutTimes(every, lines, _told(lines, marks))


def _told(lines: tuple[int, ...], marks: int) -> str:
    if len(lines) == marks:
        return "Close the nuts at any line of the dial."
    if len(lines) == 1:
        return "Close the nuts at one line of the dial: always the same."
    step = marks // len(lines)
    which = "every other line" if step == 2 else f"one line in {step}"
    return f"Close the nuts at {which} of the dial, from the one you began with."
