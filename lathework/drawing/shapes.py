"""Plain shapes on a sheet: paths and labels with a role, never a colour. y grows downward."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal

Point = tuple[float, float]
Line = tuple[Point, ...]
Role = Literal[
    "edge",
    "thread",
    "centre",
    "hatch",
    "chuck",
    "jaw",
    "ghost",
    "dimension",
    "arrow",
    "removal",
    "tool",
    "part",
    "nut",
    "zone",
    "nut-zone",
    "clash",
    "leader",
    "hidden",
]


HATCH_GAP = 7.0
"""Sheet units between section lines, square to them."""


@dataclass(frozen=True, slots=True)
class Path:
    """One or more polylines drawn alike; `step` ties it to an operation, `closed` fills it.

    The lines of role "hatch" are the boxes to be filled with section lines.
    """

    role: Role
    lines: tuple[Line, ...]
    closed: bool = False
    step: str = ""


@dataclass(frozen=True, slots=True)
class Label:
    """A text in both units at a point; `field` is what typing over it would change, `step` whose label it is."""

    x: float
    y: float
    inch: str
    mm: str
    anchor: Literal["start", "middle", "end"] = "middle"
    field: str = ""
    step: str = ""


@dataclass(frozen=True, slots=True)
class Sheet:
    """A drawing of `width` by `height` units, one unit a pixel at full size."""

    width: float
    height: float
    paths: tuple[Path, ...]
    labels: tuple[Label, ...]
    title: str
    scale: float
    """Sheet units per millimetre."""


def box(left: float, top: float, right: float, bottom: float) -> Line:
    """The corners, in order, of the rectangle between `left`, `top`, `right` and `bottom` (sheet units)."""
    return ((left, top), (right, top), (right, bottom), (left, bottom))


def mirrored(line: Line, axis_y: float) -> Line:
    """The same line on the other side of the horizontal axis at `axis_y` (sheet units)."""
    twice = 2 * axis_y
    return tuple([(x, twice - y) for x, y in line])


def hatch(area: Line, gap: float = HATCH_GAP) -> tuple[Line, ...]:
    """Section lines at 45 degrees over a box, for paper that knows no patterns.

    `area` is a box of sheet units; `gap` is the distance square to the lines.
    """
    left, right = min(x for x, _ in area), max(x for x, _ in area)
    top, bottom = min(y for _, y in area), max(y for _, y in area)
    lines: list[Line] = []
    start = left - (bottom - top)
    while start < right:
        x0, x1 = max(start, left), min(start + bottom - top, right)
        if x1 > x0:
            lines.append(((x0, bottom - (x0 - start)), (x1, bottom - (x1 - start))))
        start += gap * math.sqrt(2)
    return tuple(lines)
