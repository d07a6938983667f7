"""Limits of one diameter, and of a whole thread, with what they were made from."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from decimal import Decimal

from lathework.figures import Figure, Given, Source
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, round_half_up

Rounding = Callable[[Decimal, int], float]


@dataclass(frozen=True, slots=True)
class Band:
    """Least and greatest of one diameter in `unit`: basic, allowance into the metal, tolerance, formula, source."""

    name: str
    class_name: str
    unit: LengthUnit
    basic: float
    allowance: float
    tolerance: float
    minimum: float
    maximum: float
    formula: str
    source: Source

    @property
    def middle(self) -> float:
        """Half way between the limits."""
        return (self.minimum + self.maximum) / 2

    @property
    def inputs(self) -> tuple[Given, ...]:
        """What the limits were made from."""
        return (
            Given(f"basic {self.name}", self.basic, self.unit),
            Given("allowance", self.allowance, self.unit),
            Given("tolerance", self.tolerance, self.unit),
        )

    def figures(self) -> tuple[Figure, Figure]:
        """The least and the greatest as figures with their working."""
        return (
            Figure(f"{self.name}, least", self.minimum, self.unit, self.formula, self.source, self.inputs),
            Figure(f"{self.name}, greatest", self.maximum, self.unit, self.formula, self.source, self.inputs),
        )


@dataclass(frozen=True, slots=True)
class ExternalLimits:
    """Limits of an external thread; `notes` say where the standard's own range ends."""

    class_name: str
    major: Band
    pitch_diameter: Band
    minor_max: Figure
    notes: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class InternalLimits:
    """Limits of an internal thread; `notes` say where the standard's own range ends."""

    class_name: str
    minor: Band
    pitch_diameter: Band
    major_min: Figure
    notes: tuple[str, ...] = ()


def exact(value: float) -> Decimal:
    """The decimal that `value`, a bare number or a length in any unit, is written as."""
    return Decimal(repr(value))


def places_of(unit: LengthUnit) -> int:
    """Decimals the standards print: 4 of an inch, 3 of a millimetre."""
    return 4 if unit == "in" else 3


def band(
    thread: Thread,
    name: str,
    class_name: str,
    *,
    inside: bool,
    basic: float,
    allowance: Decimal,
    tolerance: Decimal,
    formula: str,
    source: Source,
    rounding: Rounding = round_half_up,
) -> Band:
    """Limits of one diameter, each rounded once, all lengths in the thread's unit.

    External: greatest = basic - allowance, least = greatest - tolerance. `inside`: least = basic + allowance,
    greatest = least + tolerance.
    """
    places, sign = places_of(thread.unit), 1 if inside else -1
    near = exact(basic) + sign * allowance
    limits = sorted((rounding(near, places), rounding(near + sign * tolerance, places)))
    return Band(
        name, class_name, thread.unit, basic, float(allowance), float(tolerance), limits[0], limits[1], formula, source
    )


def bound(thread: Thread, name: str, value: float, formula: str, source: Source, basic: float) -> Figure:
    """A one-sided limit (the external minor, the internal major): `value` from `basic`, in the thread's unit."""
    return Figure(name, value, thread.unit, formula, source, (Given("basic", basic, thread.unit),))
