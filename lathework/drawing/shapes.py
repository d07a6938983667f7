"""Plain shapes on a sheet: paths and labels with a role, never a colour. y grows downward."""

from __future__ import annotations

import math
from typing import Literal

from lathework.value import value

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
    "aim",
    "bore",
]


HATCH_GAP = 7.0
"""Sheet units between section lines, square to them."""


@value
class Path:
    """One or more polylines drawn alike; `closed` fills it.

    `step` ties it to the operation that it shows, `steps` to those at which it is there; () is at all.

    The lines of role "hatch" are the areas to be filled with section lines.
    """

    role: Role
    lines: tuple[Line, ...]
    closed: bool = False
    step: str = ""
    steps: tuple[str, ...] = ()


@value
class Label:
    """A text in both units at a point; `field` is what typing over it would change, `step` whose label it is."""

    x: float
    y: float
    inch: str
    mm: str
    anchor: Literal["start", "middle", "end"] = "middle"
    field: str = ""
    step: str = ""


@value
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


def _crossings(area: Line, offset: float) -> list[Point]:
    """Where the line x + y = `offset` crosses the edges of an area, from left to right."""
    found: list[Point] = []
    for (x0, y0), (x1, y1) in zip(area, (*area[1:], area[0]), strict=True):
        before, after = x0 + y0 - offset, x1 + y1 - offset
        # One end counts, the other does not: a corner is crossed once.
        if (before < 0) != (after < 0):
            share = before / (before - after)
            found.append((x0 + (x1 - x0) * share, y0 + (y1 - y0) * share))
    return sorted(found)


def hatch(area: Line, gap: float = HATCH_GAP) -> tuple[Line, ...]:
    """Section lines at 45 degrees over an area of sheet units, for paper that knows no patterns.

    `gap` is the distance square to the lines, in sheet units.
    """
    lines: list[Line] = []
    least, most = min(x + y for x, y in area), max(x + y for x, y in area)
    step = gap * math.sqrt(2)
    for number in range(1, math.ceil((most - least) / step)):
        found = _crossings(area, least + number * step)
        lines += [(a, b) for a, b in zip(found[::2], found[1::2], strict=False) if b[0] > a[0]]
    return tuple(lines)
