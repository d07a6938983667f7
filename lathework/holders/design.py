"""A designed holder: its dimensions with their reasons, what speaks against it, the job that makes it."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from types import MappingProxyType

from lathework.fields import Json
from lathework.figures import AS_TYPED, PRACTICE, Answer, Figure, Given
from lathework.fits.fit import Limits
from lathework.lengths import Length
from lathework.planning.notice import Notice
from lathework.units import LengthUnit, convert

LEAST_WALL_MM = 1.5
"""Metal that a bush or a sleeve needs round its hole (practice)."""
BAR_OVER_MM = 1.0
"""What is turned off a bar at least, on the diameter, so that its skin goes (practice)."""
DIE_HOLE = 0.4
"""The hole of a die over its diameter, as it is drawn (practice)."""
STEPS: dict[LengthUnit, float] = {"in": 1 / 16, "mm": 1.0}
"""Sizes that bars come in, in each unit (practice)."""


@dataclass(frozen=True, slots=True)
class Dimensioned:
    """A dimension of a holder: its figure, and why it is so. `field` is what overrules it, "" for nothing."""

    figure: Figure
    why: str
    field: str = ""


@dataclass(frozen=True, slots=True)
class Lying:
    """How a part, or a mate, lies in the assembled holder, in millimetres: from `near` to `far` behind its right-hand
    end, between two diameters, outside `cone_mm` at its far end where it is a cone; `apart` is its place from the left
    when they are drawn apart. What is `square` to the axis stands out on both sides of it, from one diameter to the
    other; `shortened` says that it is longer than that. A `mate` is not made here; a `spare` one is not in it together
    with the others."""

    name: str
    near_mm: float
    far_mm: float
    inner_mm: float
    outer_mm: float
    apart: int
    mate: bool = False
    cone_mm: float | None = None
    square: bool = False
    shortened: bool = False
    spare: bool = False


@dataclass(frozen=True, slots=True)
class Design:
    """A holder: what it is called, its dimensions, what is against it, the document of the job that makes it, how its
    parts lie together."""

    title: str
    dimensions: tuple[Dimensioned, ...]
    conflicts: tuple[Notice, ...]
    document: Json
    lying: tuple[Lying, ...] = ()


@dataclass(frozen=True, slots=True)
class Overruled:
    """Sizes that the person sets, by the field of the dimension; told in `unit` as the others."""

    sizes: Mapping[str, Length]
    unit: LengthUnit

    def of(self, field: str, worked: Figure) -> Figure:
        """The figure of a dimension: as the person set it, what was `worked` out beside it; else that itself."""
        own = self.sizes.get(field)
        if own is None:
            return worked
        value = convert(own.value, own.unit, self.unit)
        beside = (Answer("worked out", worked.value, worked.unit, worked.formula),)
        return Figure(
            worked.name, value, self.unit, "as you set it", AS_TYPED, fine=worked.fine, kind="typed", others=beside
        )


def explained(
    reasons: Sequence[str], *figures: Figure, fields: Mapping[str, str] = MappingProxyType({})
) -> tuple[Dimensioned, ...]:
    """Dimensions, each with its reason; `fields` are what overrules some of them, by their names."""
    told = zip(figures, reasons, strict=True)
    return tuple(Dimensioned(figure, why, fields.get(figure.name, "")) for figure, why in told)


def worked(
    name: str, mm: float, unit: LengthUnit, formula: str, lengths: Mapping[str, float], *, fine: bool = True
) -> Figure:
    """A dimension of `mm` millimetres, told in `unit`, by a `formula` of `lengths` in millimetres. Source: practice."""
    inputs = tuple(Given(given, convert(size, "mm", unit), unit) for given, size in lengths.items())
    return Figure(name, convert(mm, "mm", unit), unit, formula, PRACTICE, inputs, fine=fine)


def fitted(limits: Limits, unit: LengthUnit, name: str = "") -> Figure:
    """What is aimed at for a fit, by `name` where it has one here, with the limits that it may come out between."""
    least, most = (length_text(convert(mm, "mm", unit), unit) for mm in (limits.low_mm, limits.high_mm))
    note = f"{limits.aim.note} Between {least} and {most} {unit}."
    return replace(limits.aim, name=name or limits.aim.name, note=note)


def mm_of(figure: Figure) -> float:
    """A dimension in millimetres."""
    return convert(figure.value, "in" if figure.unit == "in" else "mm", "mm")


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
    return (Notice("thin-wall", field, f"The wall round the hole is thinner than {LEAST_WALL_MM:g} mm: {larger}"),)
