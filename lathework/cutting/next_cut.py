"""The next cut from the last reading, in the dial's own terms."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from lathework.figures import PRACTICE, Figure, Given
from lathework.shop.lathe_facts import Dial
from lathework.units import LengthUnit, convert

FINISH_MM = 0.5
"""Left on the diameter for the finishing cut (practice)."""
ROUGH_FROM = 1.5
"""Finishing cuts that must be left for another roughing one to be worth it (practice)."""
WORTH_MM = 0.2
"""Off the diameter, from which a roughing cut is worth its time: a cut that left a little more is not made again."""
_PRIOR_MM = 0.5
"""How much dialled metal it takes to outweigh the belief that what is dialled comes off."""
_SCATTER = 0.05
_SCATTER_FLOOR_MM = 0.01
STRAYS, STRAYS_FLOOR_MM, SOME = 0.25, 0.03, 3
"""A pass whose metal is farther than this share of what was dialled, and a little (millimetres), from what the others
say, of which there must be some, contradicts them (practice)."""
BELIEVED = 3
"""Cuts that the belief in how far they stray is worth (practice)."""
CutState = Literal["first", "rough", "finish", "on-size", "under-size"]


@dataclass(frozen=True, slots=True)
class Target:
    """A diameter to turn to, and the band that counts as on size, in millimetres."""

    low_mm: float
    aim_mm: float
    high_mm: float


@dataclass(frozen=True, slots=True)
class PassMade:
    """One pass on the diameter: what was dialled and what came off, in millimetres."""

    dialled_mm: float
    came_off_mm: float


@dataclass(frozen=True, slots=True)
class NextCut:
    """What to do now: the state, what to dial (None when there is nothing to dial), what is left, what to expect."""

    state: CutState
    dial: Figure | None
    diameter_mm: float
    left: Figure
    ratio: Figure
    expect: Figure | None
    give_or_take: Figure | None

    @property
    def then(self) -> str:
        """What follows the cut, "" where that is the next one."""
        return "Then a spring pass." if self.state == "finish" else ""


def agreeing(passes: Sequence[PassMade]) -> tuple[PassMade, ...]:
    """Those of `passes` that do not contradict the others, or sense: a slip of the dial teaches nothing.

    What came off is near what their middle ratio says, or near all that was dialled while there are fewer than three.
    Source: practice.
    """
    ratios = sorted(one.came_off_mm / one.dialled_mm for one in passes)
    middle = ratios[len(ratios) // 2] if len(ratios) >= SOME else 1.0
    middle = min(max(middle, 1 - STRAYS), 1 + STRAYS)
    return tuple(
        one
        for one in passes
        if abs(one.came_off_mm - middle * one.dialled_mm) <= STRAYS * one.dialled_mm + STRAYS_FLOOR_MM
    )


def ratio_of(passes: Sequence[PassMade]) -> float:
    """What comes off per what is dialled, learned from `passes` that agree with each other, starting at 1.

    Source: practice.

    >>> ratio_of([])
    1.0
    """
    dialled = sum(p.dialled_mm for p in passes)
    came = sum(p.came_off_mm for p in passes)
    return (came + _PRIOR_MM) / (dialled + _PRIOR_MM)


def _length(name: str, mm: float, unit: LengthUnit, formula: str, inputs: tuple[Given, ...]) -> Figure:
    return Figure(name, convert(mm, "mm", unit), unit, formula, PRACTICE, inputs)


def _next_size(last_mm: float, aim_mm: float, sizes_mm: Sequence[float]) -> float:
    """The diameter the next cut leaves: of those planned the first that is worth a cut, else the finishing cut's."""
    if last_mm - aim_mm <= ROUGH_FROM * FINISH_MM:
        return aim_mm
    planned = (size for size in sizes_mm if aim_mm < size <= last_mm - WORTH_MM)
    return next(planned, aim_mm + FINISH_MM)


def next_cut(
    *,
    last_mm: float,
    target: Target,
    passes: Sequence[PassMade],
    dial: Dial,
    max_cut_mm: float,
    unit: LengthUnit,
    sizes_mm: Sequence[float] = (),
) -> NextCut:
    """The next cut after a reading of `last_mm`, told in `unit` and for the dial (half on a radius dial).

    Roughing cuts go to the diameters that were planned, `sizes_mm` in millimetres, none deeper than `max_cut_mm` on the
    diameter; a finishing cut takes all that is left, divided by the learned ratio. Overshoot is final: "under-size" has
    nothing to dial. Source: practice.
    """
    passes = agreeing(passes)
    ratio = ratio_of(passes)
    left_mm = last_mm - target.aim_mm
    left = _length(
        "left to come off",
        left_mm,
        unit,
        "last reading − target",
        (
            Given("last reading", convert(last_mm, "mm", unit), unit),
            Given("target", convert(target.aim_mm, "mm", unit), unit),
        ),
    )
    share = _ratio(passes, unit)
    if last_mm <= target.high_mm:
        state: CutState = "on-size" if last_mm >= target.low_mm else "under-size"
        return NextCut(state, None, 0.0, left, share, None, None)
    size_mm = _next_size(last_mm, target.aim_mm, sizes_mm)
    state = "finish" if size_mm == target.aim_mm else "rough"
    depth = left_mm / ratio if state == "finish" else min(max_cut_mm, (last_mm - size_mm) / ratio)
    expected = last_mm - depth * ratio
    return NextCut(
        state=state,
        dial=_dial(depth, dial, unit, left, ratio, rough=(last_mm, size_mm, max_cut_mm) if state == "rough" else None),
        diameter_mm=depth,
        left=left,
        ratio=share,
        expect=_length(
            "expect",
            expected,
            unit,
            "last reading − cut × comes off per dialled",
            (
                Given("last reading", convert(last_mm, "mm", unit), unit),
                Given("cut", convert(depth, "mm", unit), unit),
                Given("comes off per dialled", ratio),
            ),
        ),
        give_or_take=_give_or_take(depth, passes, ratio, unit),
    )


def _give_or_take(depth_mm: float, passes: Sequence[PassMade], ratio: float, unit: LengthUnit) -> Figure:
    """How far the next size may be off: what is believed of a cut so deep, and how far the last ones were off."""
    squares = sum(convert(p.came_off_mm - ratio * p.dialled_mm, "mm", unit) ** 2 for p in passes)
    believed = convert(_SCATTER * depth_mm + _SCATTER_FLOOR_MM, "mm", unit)
    return Figure(
        "give or take",
        math.sqrt((squares + BELIEVED * believed**2) / (len(passes) + BELIEVED)),
        unit,
        "√((squares of how far off + 3 × (0.05 × cut + what a caliper strays)²) ÷ (cuts + 3))",
        PRACTICE,
        (
            Given("squares of how far off", squares),
            Given("cut", convert(depth_mm, "mm", unit), unit),
            Given("what a caliper strays", convert(_SCATTER_FLOOR_MM, "mm", unit), unit),
            Given("cuts", len(passes)),
        ),
    )


def _ratio(passes: Sequence[PassMade], unit: LengthUnit) -> Figure:
    """The learned ratio with its working."""
    prior = Given("belief to begin with", convert(_PRIOR_MM, "mm", unit), unit)
    came = Given("came off in all", convert(sum(p.came_off_mm for p in passes), "mm", unit), unit)
    dialled = Given("dialled in all", convert(sum(p.dialled_mm for p in passes), "mm", unit), unit)
    return Figure(
        "comes off per dialled",
        ratio_of(passes),
        "",
        "(came off in all + belief to begin with) ÷ (dialled in all + belief to begin with)",
        PRACTICE,
        (came, dialled, prior),
        places=2,
    )


def _dial(
    depth_mm: float,
    dial: Dial,
    unit: LengthUnit,
    left: Figure,
    ratio: float,
    *,
    rough: tuple[float, float, float] | None,
) -> Figure:
    """What to dial; of a `rough` cut the last reading, the diameter it goes to and the most per cut, in millimetres."""
    half = "" if dial == "diameter" else " ÷ 2"
    inputs = [Given("left to come off", left.value, unit), Given("comes off per dialled", ratio)]
    formula = f"left to come off ÷ comes off per dialled{half}"
    if rough is not None:
        formula = f"least of (most per cut, (last reading − next size) ÷ comes off per dialled){half}"
        names = ("last reading", "next size", "most per cut")
        sizes = (Given(name, convert(mm, "mm", unit), unit) for name, mm in zip(names, rough, strict=True))
        inputs = [*sizes, Given("comes off per dialled", ratio)]
    return Figure(
        f"dial in, on the {dial}",
        convert(depth_mm * (1.0 if dial == "diameter" else 0.5), "mm", unit),
        unit,
        formula,
        PRACTICE,
        tuple(inputs),
    )
