"""What a drill probably cuts over its own size."""

from __future__ import annotations

from functools import cache
from itertools import pairwise

from lathework.figures import Figure, Given, Source
from lathework.tables.drills import Drill
from lathework.tables.loader import load
from lathework.units import LengthUnit, convert

OVERSIZE = Source("memory", "table of oversize of drilled holes")
PILOTED = 0.5
"""Share of the oversize that is left after a pilot hole (practice)."""
SWELLS_FROM_MM = 1.5
"""Diameter from which drills are expected to cut over their size (practice)."""


@cache
def _oversizes() -> tuple[tuple[float, float], ...]:
    return tuple((float(row.number("diameter")), float(row.number("mean"))) for row in load("drill_oversize").rows)


def oversize_in(diameter_in: float) -> float:
    """Mean oversize of a drill of `diameter_in`, both in inches, between the rows of the table. Source: memory.

    >>> oversize_in(0.25), round(oversize_in(0.375), 4)
    (0.004, 0.0045)
    """
    rows = _oversizes()
    if diameter_in <= rows[0][0]:
        return rows[0][1]
    for (small, low), (large, high) in pairwise(rows):
        if diameter_in <= large:
            return low + (high - low) * (diameter_in - small) / (large - small)
    return rows[-1][1]


def probable_hole(drill: Drill, unit: LengthUnit, *, piloted: bool, swells: bool) -> Figure:
    """The hole that a drill probably cuts, told in `unit`: its diameter + mean oversize, half of it after a pilot.

    None is added below 1.5 mm, nor in a metal where it does not cut wide (`swells`): brass, plastic. Source: memory.
    """
    wide = swells and drill.diameter_mm >= SWELLS_FROM_MM
    over = oversize_in(convert(drill.diameter, drill.unit, "in")) * (PILOTED if piloted else 1.0) if wide else 0.0
    own, more = convert(drill.diameter, drill.unit, unit), convert(over, "in", unit)
    return Figure(
        "probable hole",
        own + more,
        unit,
        "drill + oversize" + ("; halved after a pilot" if piloted and wide else "" if wide else "; none here"),
        OVERSIZE,
        (Given("drill", own, unit), Given("oversize", more, unit)),
    )
