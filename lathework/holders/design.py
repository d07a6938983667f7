"""A designed holder: its dimensions with their reasons, what speaks against it, the job that makes it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from lathework.fields import Json
from lathework.figures import PRACTICE, Figure, Given
from lathework.planning.notice import Notice
from lathework.units import LengthUnit, convert

LEAST_WALL_MM = 1.5
"""Metal that a bush or a sleeve needs round its hole (practice)."""
BAR_OVER_MM = 1.0
"""What is turned off a bar at least, on the diameter, so that its skin goes (practice)."""
STEPS: dict[LengthUnit, float] = {"in": 1 / 16, "mm": 1.0}
"""Sizes that bars come in, in each unit (practice)."""


@dataclass(frozen=True, slots=True)
class Dimensioned:
    """A dimension of a holder: its figure, and why it is so. `field` is what overrules it, "" for nothing."""

    figure: Figure
    why: str
    field: str = ""


@dataclass(frozen=True, slots=True)
class Design:
    """A holder: what it is called, its dimensions, what is against it, the document of the job that makes it."""

    title: str
    dimensions: tuple[Dimensioned, ...]
    conflicts: tuple[Notice, ...]
    document: Json


def explained(reasons: Sequence[str], *figures: Figure) -> tuple[Dimensioned, ...]:
    """Dimensions that nothing overrules, each with its reason."""
    return tuple(Dimensioned(figure, why) for figure, why in zip(figures, reasons, strict=True))


def wall_of(outside_mm: float, bore_mm: float, unit: LengthUnit) -> Figure:
    """The metal round a hole, told in `unit`; both diameters in millimetres."""
    outer, inner = (convert(mm, "mm", unit) for mm in (outside_mm, bore_mm))
    return Figure(
        "wall",
        (outer - inner) / 2,
        unit,
        "(outside − bore) ÷ 2",
        PRACTICE,
        (Given("outside", outer, unit), Given("bore", inner, unit)),
    )


def bar_for(across: Figure, unit: LengthUnit) -> Figure:
    """The next bar from which what is so far `across` is turned clean, told in `unit` as that is. Source: practice."""
    step, over = STEPS[unit], convert(BAR_OVER_MM, "mm", unit)
    return Figure(
        "bar to make it of",
        step * math.ceil((across.value + over) / step - 1e-9),
        unit,
        "next whole of ((across + skin) ÷ step of bars) × step of bars",
        PRACTICE,
        (Given("across", across.value, unit), Given("skin", over, unit), Given("step of bars", step, unit)),
    )


def length_text(value: float, unit: LengthUnit) -> str:
    """A length `value` in `unit`, typed as a document takes it."""
    return f"{value:.4f}".rstrip("0").rstrip(".") if unit == "in" else f"{value:.3f}".rstrip("0").rstrip(".")


def thin_wall(wall: Figure, field: str, larger: str) -> Sequence[Notice]:
    """What is against a hole that leaves too little round it."""
    if convert(wall.value, "in" if wall.unit == "in" else "mm", "mm") >= LEAST_WALL_MM:
        return ()
    return (Notice("thin-wall", field, f"Less than {LEAST_WALL_MM:g} mm of metal is left round the hole: {larger}"),)
