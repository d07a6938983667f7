"""Limits of one diameter, and of a whole thread, with what they were made from."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from decimal import Decimal

from lathework.figures import Figure, FigureKind, Given, Source
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, round_half_up

Rounding = Callable[[Decimal, int], float]


HALF_DIGIT: dict[LengthUnit, float] = {"in": 0.0000501, "mm": 0.000501}
"""Half of the last digit the standards print, and a hair."""
ALIKE = 1e-9


@dataclass(frozen=True, slots=True)
class Band:
    """Least and greatest of one diameter in `unit`: basic, allowance into the metal, tolerance, rule, source.

    `formula` is the standard's rule in its own letters; `inside` says that the metal lies outside the diameter.
    """

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
    inside: bool = False

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
        sign = "+" if self.inside else "−"
        near, far = self.basic_word, f"{self.basic_word} {sign} tolerance"
        least, greatest = (near, far) if self.inside else (far, near)
        return self._figure("minimum", self.minimum, least), self._figure("maximum", self.maximum, greatest)

    def _figure(self, which: str, limit: float, formula: str) -> Figure:
        """A limit: by its formula, or where the table prints it rounded otherwise, to three places or by a digit."""
        sign = 1 if self.inside else -1
        exactly = self.basic + sign * (self.allowance + (self.tolerance if "tolerance" in formula else 0.0))
        kind: FigureKind = "computed"
        if abs(exactly - limit) > HALF_DIGIT[self.unit]:
            formula = f"to 3 places of ({formula})"
            kind = "computed" if abs(round_half_up(exactly, 3) - limit) < ALIKE else "table"
        return Figure(
            f"{self.name}, {which}", limit, self.unit, formula, self.source, self.inputs, kind=kind, note=self.formula
        )

    @property
    def basic_word(self) -> str:
        """The limit nearer to the basic size, as an expression over `inputs`."""
        return f"basic {self.name} {'+' if self.inside else '−'} allowance"


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
        name,
        class_name,
        thread.unit,
        basic,
        float(allowance),
        float(tolerance),
        limits[0],
        limits[1],
        formula,
        source,
        inside,
    )


def bound(
    thread: Thread, name: str, value: float, rule: str, source: Source, basic: float, *, less: float | None = None
) -> Figure:
    """A one-sided limit (the external minor, the internal major): `value` from `basic`, in the thread's unit.

    `rule` is the standard's in its own letters; `less` what is taken off the basic size, where that is not the
    difference of the two.
    """
    off = basic - value if less is None else less
    inputs = (Given("basic", basic, thread.unit), Given("taken off", off, thread.unit))
    return Figure(name, value, thread.unit, "basic − taken off", source, inputs, note=rule)
