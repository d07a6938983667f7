"""What a fit is called in the workshop, and the limits that a shaft or a hole is made to for it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal, get_args

from lathework.figures import PRACTICE, Figure, Given
from lathework.fits.iso286 import Deviations, hole, shaft
from lathework.units import LengthUnit, convert

FitCode = Literal["", "running", "close-running", "piston", "slide", "push", "glued", "press", "drive"]
FIT_CODES: tuple[FitCode, ...] = get_args(FitCode)
GLUED_LEAST, GLUED_MOST = (0.03, 0.0005), (0.06, 0.0005)
"""The same of a joint with retaining compound: thinner it starves, thicker it does not set (practice)."""
Makes = Literal["shaft", "hole"]
_MADE: Mapping[Makes, str] = {"shaft": "diameter", "hole": "bore"}
PISTON_LEAST, PISTON_MOST, PISTON_PART = (0.003, 0.0001), (0.008, 0.0003), 1 / 2
"""Least and most clearance of a piston fit in millimetres, and what each grows with the size; how much of what lies
between is the part's own (practice)."""


@dataclass(frozen=True, slots=True)
class Fit:
    """A fit by its workshop's word: its name, what it is for, and by ISO 286 the grade of its hole, the letter and the
    grade of its shaft; 0 and "" where the standard has none. `pressed` says that force or heat brings it together."""

    code: FitCode
    name: str
    remark: str
    hole_grade: int
    letter: str
    shaft_grade: int
    pressed: bool = False

    @property
    def joined(self) -> bool:
        """Whether force, heat or compound holds it together."""
        return self.pressed or self.code == "glued"


FIT: Mapping[FitCode, Fit] = {
    one.code: one
    for one in (
        Fit("", "no fit", "a plain size: caliper accuracy is enough", 0, "", 0),
        Fit("running", "easy running", "H8/f7: turns freely with oil", 8, "f", 7),
        Fit("close-running", "close running", "H7/g6: turns and slides without play", 7, "g", 6),
        Fit("piston", "piston", "pops when you cover the end, falls by its own weight when you do not", 0, "", 0),
        Fit("slide", "slide", "H7/h6: pushes together by hand, oiled", 7, "h", 6),
        Fit("push", "push", "H7/k6: a push of the hand, or a light tap", 7, "k", 6),
        Fit(
            "glued", "glued", "retaining compound fills the gap: keep it clean and dry, follow its data sheet", 0, "", 0
        ),
        Fit("press", "press", "H7/p6: pressed in for good", 7, "p", 6, pressed=True),
        Fit("drive", "drive or shrink", "H7/s6: pressed hard, or shrunk on", 7, "s", 6, pressed=True),
    )
}


@dataclass(frozen=True, slots=True)
class Limits:
    """What a size is made to, in millimetres: between `low` and `high`, aimed at `aim`, told as a figure; and the
    clearance that it gives with its mate, where that was measured; the most `tight_mm` that the shaft may be larger
    than the hole, 0 where it never is."""

    low_mm: float
    high_mm: float
    aim: Figure
    tight_mm: float
    clearance: Figure | None = None

    @property
    def aim_mm(self) -> float:
        """What is aimed at."""
        return convert(self.aim.value, "in" if self.aim.unit == "in" else "mm", "mm")


def _pair(fit: Fit, size_mm: float) -> tuple[Deviations, Deviations]:
    """The deviations of hole and shaft, in millimetres; those of a piston and a glued joint by practice, halves of
    what lies between."""
    if fit.letter:
        return hole(fit.hole_grade, size_mm), shaft(fit.letter, fit.shaft_grade, size_mm)
    span = (GLUED_LEAST, GLUED_MOST) if fit.code == "glued" else (PISTON_LEAST, PISTON_MOST)
    least, most = (first + each * size_mm for first, each in span)
    wide = PISTON_PART * (most - least)
    return Deviations(0.0, wide, PRACTICE), Deviations(-most + wide, -least, PRACTICE)


def limits_of(code: FitCode, makes: Makes, size_mm: float, mate_mm: float | None, unit: LengthUnit) -> Limits:
    """What a `makes` of `size_mm` is made to for a fit, told in `unit`; on its mate's own size where that was measured
    as `mate_mm` (both millimetres).

    By the standard it lies between its deviations. On a measured mate it leaves the middle of the clearance that the
    fit allows, within its own tolerance. Raises InputError on "across" for a size that no table reaches.

    >>> made = limits_of("close-running", "shaft", 25.0, None, "mm")
    >>> round(made.low_mm, 3), round(made.high_mm, 3)
    (24.98, 24.993)
    >>> round(limits_of("close-running", "shaft", 25.0, 25.03, "mm").aim.value, 4)
    25.006
    """
    fit = FIT[code]
    bore, pin = _pair(fit, size_mm)
    own = bore if makes == "hole" else pin
    if mate_mm is not None:
        return _to_the_mate(fit, makes, mate_mm, bore, pin, unit)
    tight = max(0.0, pin.upper_mm - bore.lower_mm)
    return Limits(size_mm + own.lower_mm, size_mm + own.upper_mm, _nominal(fit, makes, size_mm, own, unit), tight)


def _nominal(fit: Fit, makes: Makes, size_mm: float, own: Deviations, unit: LengthUnit) -> Figure:
    """The middle of the standard's limits for a size, told in `unit`."""
    size, lower, upper = (convert(mm, "mm", unit) for mm in (size_mm, own.lower_mm, own.upper_mm))
    return Figure(
        _MADE[makes],
        size + (lower + upper) / 2,
        unit,
        "size + (lower deviation + upper deviation) ÷ 2",
        own.source,
        (Given("size", size, unit), Given("lower deviation", lower, unit), Given("upper deviation", upper, unit)),
        note=f"{fit.name}: {fit.remark}.",
    )


def _to_the_mate(fit: Fit, makes: Makes, mate_mm: float, bore: Deviations, pin: Deviations, unit: LengthUnit) -> Limits:
    """The limits on a measured mate: the middle of the clearance away from it, within the part's own tolerance."""
    clearance, own = _clearance(bore, pin, unit), bore if makes == "hole" else pin
    sign, word = (1, "+") if makes == "hole" else (-1, "−")
    mate, apart_mm = convert(mate_mm, "mm", unit), convert(clearance.value, unit, "mm")
    aim = Figure(
        _MADE[makes],
        mate + sign * clearance.value,
        unit,
        f"mating part {word} clearance",
        PRACTICE,
        (Given("mating part", mate, unit), Given("clearance", clearance.value, unit)),
        note=f"{fit.name}: {fit.remark}.",
    )
    middle, half = mate_mm + sign * apart_mm, (own.upper_mm - own.lower_mm) / 2
    return Limits(middle - half, middle + half, aim, max(0.0, half - apart_mm), clearance)


def _clearance(bore: Deviations, pin: Deviations, unit: LengthUnit) -> Figure:
    """The middle of the clearance that a fit allows, below 0 where it holds by force; told in `unit`."""
    names = ("hole's upper", "hole's lower", "shaft's upper", "shaft's lower")
    values = [convert(mm, "mm", unit) for mm in (bore.upper_mm, bore.lower_mm, pin.upper_mm, pin.lower_mm)]
    return Figure(
        "clearance",
        (values[0] + values[1] - values[2] - values[3]) / 2,
        unit,
        "(hole's upper + hole's lower − shaft's upper − shaft's lower) ÷ 2",
        pin.source,
        tuple(Given(name, value, unit) for name, value in zip(names, values, strict=True)),
        note="Deviations of hole and shaft of the fit. Below 0 the shaft is larger by that much.",
    )
