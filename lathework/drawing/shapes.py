"""Plain shapes on a sheet: paths and labels with a role, never a colour. y grows downward."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

Point = tuple[float, float]
Line = tuple[Point, ...]
Role = Literal[
    "outline",
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
]


@dataclass(frozen=True, slots=True)
class Path:
    """One or more polylines drawn alike; `step` ties it to an operation, `closed` fills it."""

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
    return tuple((x, 2 * axis_y - y) for x, y in line)


def hatch(left: float, top: float, right: float, bottom: float, gap: float = 8.0) -> tuple[Line, ...]:
    """Section lines at 45 degrees, `gap` apart along the sheet, clipped to a rectangle.

    `left`, `top`, `right`, `bottom` and `gap` are sheet units.
    """
    lines: list[Line] = []
    height = bottom - top
    start = left - height
    while start < right:
        x0, x1 = max(start, left), min(start + height, right)
        if x1 > x0:
            lines.append(((x0, bottom - (x0 - start)), (x1, bottom - (x1 - start))))
        start += gap
    return tuple(lines)
