"""Plain hexagon nuts: width across the flats and height, by the standard's table or by rule."""

from __future__ import annotations

import math
from functools import cache

from lathework.figures import PRACTICE, Answer, Figure, Given, Source
from lathework.tables.loader import load
from lathework.threads.families import family_of
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

ACROSS_SHARE = 1.5
"""Width across the flats over the major diameter, where no table has the size (practice)."""
HEIGHT_SHARE = 0.9
"""Height over the major diameter, where no table has the size (practice)."""
STEP: dict[LengthUnit, float] = {"in": 1 / 16, "mm": 1.0}
"""Steps in which bar is sold."""


@cache
def _rows() -> dict[tuple[str, float], tuple[float, float, Source]]:
    table = load("nuts")
    return {
        (row.text("family"), float(row.number("size"))): (
            float(row.number("across")),
            float(row.number("height")),
            table.source,
        )
        for row in table.rows
    }


@cache
def _british() -> dict[tuple[str, float], tuple[float, float, Source]]:
    """Hexagons of British threads, inches, by family and size: across flats now, and before the sizes went one down."""
    table = load("nuts_british")
    return {
        (row.text("system"), float(row.number("size"))): (
            float(row.number("across")),
            float(row.number("older")),
            table.source,
        )
        for row in table.rows
    }


def _hexagon(thread: Thread) -> Figure | None:
    """Width across the flats of a BSW, BSF or BA nut by its own table, in the thread's unit; None for other threads."""
    found = _british().get((thread.family, family_of(thread).number(thread)))
    if found is None:
        return None
    across, older, source = found
    unit = thread.unit
    before = Answer(
        "older BSW hexagon", convert(older, "in", unit), unit, "one size larger, before the sizes were reduced"
    )
    return Figure(
        "across flats",
        convert(across, "in", unit),
        unit,
        "as the table prints it, maximum",
        source,
        (Given("printed", across, "in"),),
        kind="table",
        others=(before,) if thread.series == "BSW" else (),
    )


def next_step(length: float, unit: LengthUnit) -> float:
    """The next size in which bar is sold, of `length` or more, both in `unit`: whole millimetres, sixteenths.

    >>> next_step(0.375, "in"), next_step(9.3, "mm")
    (0.375, 10.0)
    """
    return math.ceil(length / STEP[unit] - 1e-6) * STEP[unit]


def nut_sizes(thread: Thread) -> tuple[Figure, Figure]:
    """Width across the flats and height of a plain nut, in the thread's unit.

    From the table of its family; where that lacks the size, 1.5 D up to the next bar, and 0.9 D high (practice).
    """
    high = Figure(
        "height of the nut",
        HEIGHT_SHARE * thread.major,
        thread.unit,
        "0.9 × major",
        PRACTICE,
        (Given("major", thread.major, thread.unit),),
        fine=False,
    )
    british = _hexagon(thread)
    if british is not None:
        return british, high
    found = _rows().get((thread.family, round(thread.major, 6)))
    given = (Given("major", thread.major, thread.unit),)
    if found is not None:
        across, height, source = found
        told = "as the table prints it"
        return (
            Figure("across flats", across, thread.unit, told, source, given, kind="table"),
            Figure("height of the nut", height, thread.unit, told, source, given, fine=False, kind="table"),
        )
    return (
        Figure(
            "across flats",
            next_step(ACROSS_SHARE * thread.major, thread.unit),
            thread.unit,
            "1.5 × major, up to the next bar",
            PRACTICE,
            given,
            kind="table",
        ),
        high,
    )
