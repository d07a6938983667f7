"""Limits of sizes by ISO 286-1: tolerance grades, and the deviations of shafts; holes on the basic hole H alone."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

from lathework.errors import InputError
from lathework.figures import Source
from lathework.tables.loader import Row, load

TOLERANCES, SHAFTS = "iso286_tolerances", "iso286_shafts"
GRADES = tuple(range(5, 12))
LETTERS = ("d", "e", "f", "g", "h", "k", "m", "n", "p", "r", "s")
LARGEST_MM = 250.0


@dataclass(frozen=True, slots=True)
class Deviations:
    """How far a size may be under and over its nominal one, in millimetres, by the table of that `source`."""

    lower_mm: float
    upper_mm: float
    source: Source


@cache
def _rows(table: str) -> tuple[tuple[float, float, Row], ...]:
    return tuple((float(row.number("over")), float(row.number("to")), row) for row in load(table).rows)


def _row(table: str, size_mm: float) -> Row:
    """The row of a size. Raises InputError on "across" for one that the tables do not reach."""
    for over, to, row in _rows(table):
        if over < size_mm <= to:
            return row
    raise InputError("out-of-range", "across", f"Fits are available up to {LARGEST_MM:g} mm.")


def tolerance_mm(grade: int, size_mm: float) -> float:
    """The tolerance of a grade (5 to 11, a number) for a size of `size_mm` millimetres, in millimetres. Source: ISO
    286-1, table 1.

    >>> tolerance_mm(7, 25.0)
    0.021
    """
    return float(_row(TOLERANCES, size_mm).number(f"it{grade}"))


def shaft(letter: str, grade: int, size_mm: float) -> Deviations:
    """The deviations of a shaft of `size_mm` millimetres, of a `grade` (a number). Source: ISO 286-1, tables 1 to 3.

    >>> shaft("g", 6, 25.0).lower_mm, shaft("g", 6, 25.0).upper_mm
    (-0.02, -0.007)
    """
    own, wide = float(_row(SHAFTS, size_mm).number(letter)), tolerance_mm(grade, size_mm)
    low = own - wide if letter <= "h" else own
    return Deviations(round(low, 6), round(low + wide, 6), load(SHAFTS).source)


def hole(grade: int, size_mm: float) -> Deviations:
    """The deviations of a basic hole H of `size_mm` millimetres, of a `grade` (a number). Source: ISO 286-1, table 1.

    >>> hole(7, 25.0).upper_mm
    0.021
    """
    return Deviations(0.0, tolerance_mm(grade, size_mm), load(TOLERANCES).source)
