"""Copying a sample: what a reading off a worn part was probably meant to be. The person decides; both are kept."""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction

from lathework.threads.library import library
from lathework.threads.thread import Thread
from lathework.units import convert

WEAR_MM = 0.15
"""How much wear, rust and tool marks take off a diameter, on average (practice)."""
SLACK_MM = 0.04
"""How far a reading of an unworn part strays (practice)."""
LENGTH_SLACK_MM = 0.25
"""How far a length along a worn or hand-made part strays (practice)."""
MOST_OVER_MM, MOST_WORN_PITCHES, MOST_WEARS = 0.25, 0.4, 3.0
"""How far over a crest a reading may lie in mm, and how far under, in pitches and in usual wears (practice)."""
_MOST, _MOST_THREADS, _OF_EACH_UNIT = 3, 4, 2
_LEAST_WEIGHT = 0.02
#: How usual a size is: whole and half units come first (practice).
_INCH_STEPS = ((2, 1.0), (4, 0.9), (8, 0.8), (16, 0.6), (32, 0.3), (64, 0.12))
_MM_STEPS = ((1.0, 0.7), (0.5, 0.25))
_SERIES = {"UNC": 1.0, "BSW": 1.0, "coarse": 1.0, "UNF": 0.9, "BSF": 0.9, "BA": 0.9, "G": 0.8}
_SELDOM = 0.2
"""How usual a thread of another series is (practice)."""


@dataclass(frozen=True, slots=True)
class Nominal:
    """A size a reading may have meant: as one would type it, in millimetres, and how much the reading lies under it."""

    typed: str
    mm: float
    under_mm: float
    weight: float


def _weight(under_mm: float, usual: float, *, along: bool) -> float:
    """How well a size explains a reading `under_mm` below it; a diameter wears, and never grows."""
    if along:
        return usual * math.exp(-0.5 * (under_mm / LENGTH_SLACK_MM) ** 2)
    over = min(0.0, under_mm)
    return usual * math.exp(-max(0.0, under_mm) / WEAR_MM - 0.5 * (over / SLACK_MM) ** 2)


def _inch(size: Fraction) -> str:
    whole, rest = divmod(size, 1)
    if not rest:
        return f"{whole} in"
    part = f"{rest.numerator}/{rest.denominator}"
    return f"{whole}-{part} in" if whole else f"{part} in"


def _sizes(reading_mm: float) -> Iterator[tuple[str, float, float]]:
    """Fractions of an inch and whole and half millimetres about a reading, with how usual each is."""
    inches = convert(reading_mm, "mm", "in")
    for parts, usual in _INCH_STEPS:
        for count in (math.floor(inches * parts), math.floor(inches * parts) + 1):
            size = Fraction(count, parts)
            if count and size.denominator == parts or (parts == _INCH_STEPS[0][0] and count):
                yield _inch(size), float(size) * 25.4, usual
    for step, usual in _MM_STEPS:
        for count in (math.floor(reading_mm / step), math.floor(reading_mm / step) + 1):
            if count and not (step < 1 and count % 2 == 0):
                yield f"{count * step:g} mm", count * step, usual


def _of_both_units(threads: list[Nominal]) -> list[Nominal]:
    """The likeliest threads, the likeliest first, some of each unit: four inch names of one size hide no metric one."""
    inch = {thread.designation: thread.unit == "in" for thread in library()}
    some = [
        thread
        for unit in (True, False)
        for thread in [one for one in threads if inch[one.typed] is unit][:_OF_EACH_UNIT]
    ]
    rest = [thread for thread in threads if thread not in some]
    return sorted([*some, *rest[: _MOST_THREADS - len(some)]], key=lambda one: -one.weight)


def _threads() -> Iterator[tuple[str, float, float]]:
    """Parallel threads by their crest: the everyday series before the rest."""
    for thread in library():
        if not thread.taper:
            yield thread.designation, thread.major_mm, _SERIES.get(thread.series, _SELDOM)


def unlike(thread: Thread, reading_mm: float) -> bool:
    """Whether a reading of `reading_mm` (millimetres) is none of the crests of `thread`, worn as it may be.

    Source: practice.

    >>> from lathework.threads.designation import read_designation
    >>> unlike(read_designation("G1/4"), 0.625 * 25.4), unlike(read_designation("G1/4"), 13.0)
    (True, False)
    """
    under = thread.major_mm - reading_mm
    return under < -MOST_OVER_MM or under > max(MOST_WORN_PITCHES * thread.pitch_mm, MOST_WEARS * WEAR_MM)


def nominals(reading_mm: float, *, along: bool = False, thread: bool = False) -> tuple[Nominal, ...]:
    """Sizes that a reading of `reading_mm` (millimetres) may have meant, likeliest first; three, or four threads.

    A diameter is taken as worn (under its size by 0.15 mm on average), a length `along` the part as straying either
    way; `thread` looks among threads by their crest instead, of either unit. Source: practice.

    >>> [n.typed for n in nominals(0.369 * 25.4)][0]
    '3/8 in'
    >>> "M8" in [n.typed for n in nominals(7.9, thread=True)]
    True
    """
    found = [
        Nominal(typed, mm, mm - reading_mm, _weight(mm - reading_mm, usual, along=along))
        for typed, mm, usual in (_threads() if thread else _sizes(reading_mm))
    ]
    likely = sorted((one for one in found if one.weight > _LEAST_WEIGHT), key=lambda one: -one.weight)
    return tuple(_of_both_units(likely) if thread else likely[:_MOST])
