"""Knurls: how far a pattern raises the metal, and the blank on which the wheel meets its own marks."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal, get_args

from lathework.figures import Figure, Given, Source
from lathework.lengths import Length
from lathework.units import LengthUnit, convert

Pattern = Literal["straight", "diamond"]
PATTERNS: tuple[Pattern, ...] = get_args(Pattern)
RAISES: Mapping[Pattern, float] = {"straight": 0.5, "diamond": 0.67}
"""By how many pitches a knurl is larger than its blank, on the diameter (DIN 82, types RAA and RGE)."""
LEANS: Mapping[Pattern, float] = {"straight": 0.0, "diamond": 30.0}
"""How far its lines lean from the axis, in degrees (DIN 82)."""
DIN82 = Source("memory", "DIN 82, blank diameters of knurls")


@dataclass(frozen=True, slots=True)
class Knurl:
    """A knurl by its pattern and the pitch of its lines, square to them."""

    pattern: Pattern
    pitch: Length


def teeth(knurl: Knurl, across_mm: float) -> int:
    """How many lines go round a knurl that is to be `across_mm` wide (millimetres): a whole number, so that the wheel
    falls into its own marks at the second turn.

    >>> teeth(Knurl("straight", Length(1.0, "mm", "1 mm")), 20.0)
    61
    """
    blank, round_mm = across_mm - RAISES[knurl.pattern] * knurl.pitch.mm, _round_mm(knurl)
    return max(1, math.floor(math.pi * blank / round_mm + 0.5))


def _round_mm(knurl: Knurl) -> float:
    """From line to line round the work, in millimetres."""
    return knurl.pitch.mm / math.cos(math.radians(LEANS[knurl.pattern]))


def blank_mm(knurl: Knurl, across_mm: float) -> float:
    """The blank of a knurl that is to be `across_mm` wide, both millimetres. Source: DIN 82, and whole lines."""
    return teeth(knurl, across_mm) * _round_mm(knurl) / math.pi


def blank_figure(knurl: Knurl, across: Length, unit: LengthUnit) -> Figure:
    """The same as a figure, told in `unit`."""
    raises, leans = RAISES[knurl.pattern], LEANS[knurl.pattern]
    inputs = (
        Given("across", across.value, across.unit),
        Given("pitch", knurl.pitch.value, knurl.pitch.unit),
        Given("raises", raises),
        Given("leans", leans, "°"),
        Given("π", math.pi),
    )
    lines = "nearest whole of (π × (across − raises × pitch) × cos(leans) ÷ pitch)"
    return Figure(
        "knurl blank",
        convert(blank_mm(knurl, across.mm), "mm", unit),
        unit,
        f"{lines} × pitch ÷ (cos(leans) × π)",
        DIN82,
        inputs,
        note=f"So that {teeth(knurl, across.mm)} lines fit round the blank and the wheel meets its own marks.",
    )
