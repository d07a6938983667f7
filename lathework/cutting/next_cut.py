"""The next cut from the last reading, in the terms of what is moved."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from lathework.cutting.dimension import LEARNED, MOVE_WORDS, Dimension, Move, halved
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
ELSEWHERE = "Earlier cuts used, from this lathe, material, tool and stick-out: {}."
CutState = Literal["first", "rough", "finish", "on-size", "past"]
"""What comes next; "past" is too much off: metal does not come back."""


@dataclass(frozen=True, slots=True)
class PassMade:
    """One pass: what was dialled and what came off, in millimetres of the size that is measured."""

    dialled_mm: float
    came_off_mm: float


@dataclass(frozen=True, slots=True)
class NextCut:
    """What to do now: the state, what to dial (None when there is nothing to dial), what is left, what to expect.

    `cut_mm` is what the cut takes off the size that is measured, `ratio` what comes off per dialled, where that is
    learned.
    """

    state: CutState
    move: Move
    dial: Figure | None
    cut_mm: float
    left: Figure
    ratio: Figure | None = None
    expect: Figure | None = None
    give_or_take: Figure | None = None

    @property
    def then(self) -> str:
        """What follows the cut, "" where that is the next one."""
        return "Then a spring pass." if self.state == "finish" and self.move in LEARNED else ""


def agreeing(passes: Sequence[PassMade]) -> tuple[PassMade, ...]:
    """Those of `passes` that do not contradict the others, or sense: a slip of the dial teaches nothing.

    What came off is near what their middle ratio says, or near all that was dialled while there are fewer than three.
    Source: practice.
    """
    ratios = sorted(cut.came_off_mm / cut.dialled_mm for cut in passes)
    # The middle one, not the mean: a slip of a whole turn of the dial would drag the mean to itself.
    middle = ratios[len(ratios) // 2] if len(ratios) >= SOME else 1.0
    middle = min(max(middle, 1 - STRAYS), 1 + STRAYS)
    return tuple(
        cut
        for cut in passes
        if abs(cut.came_off_mm - middle * cut.dialled_mm) <= STRAYS * cut.dialled_mm + STRAYS_FLOOR_MM
    )


def ratio_of(passes: Sequence[PassMade]) -> float:
    """What comes off per what is dialled, learned from `passes` that agree with each other, starting at 1.

    Source: practice.

    >>> ratio_of([])
    1.0
    """
    dialled = math.fsum(p.dialled_mm for p in passes)
    came = math.fsum(p.came_off_mm for p in passes)
    # Half a millimetre that came off as dialled is believed beforehand: one odd cut does not turn the ratio.
    return (came + _PRIOR_MM) / (dialled + _PRIOR_MM)


def _length(name: str, mm: float, unit: LengthUnit, formula: str, inputs: tuple[Given, ...]) -> Figure:
    return Figure(name, convert(mm, "mm", unit), unit, formula, PRACTICE, inputs)


def _next_size(last_mm: float, dimension: Dimension) -> float:
    """The size the next cut leaves, seen from outside: of those planned the first that is worth a cut, else that of the
    finishing cut; as near as the most per cut goes where none is left for one."""
    aim_mm, leaves_mm = dimension.target.aim_mm, dimension.leaves_mm
    if last_mm - aim_mm <= ROUGH_FROM * leaves_mm:
        return aim_mm
    if not leaves_mm:
        return max(aim_mm, last_mm - dimension.most_mm)
    planned = (size for size in dimension.sizes_mm if aim_mm < size <= last_mm - WORTH_MM)
    return next(planned, aim_mm + leaves_mm)


def next_cut(
    *,
    last_mm: float,
    dimension: Dimension,
    passes: Sequence[PassMade],
    dial: Dial,
    unit: LengthUnit,
    elsewhere: int = 0,
) -> NextCut:
    """The next cut after a reading of `last_mm` (millimetres) of a `dimension`, told in `unit` and in the terms of what
    is moved: half of it on a radius `dial`. `elsewhere` is how many of the `passes` were made in other jobs.

    Roughing cuts go to the sizes that were planned, none deeper than the most; a finishing cut takes all that is left,
    divided by the learned ratio. Overshoot is final: "past" has nothing to dial. Source: practice.
    """
    aim = dimension.target.aim_mm
    # What grows is looked at from the other side of its aim: all that is left then comes off, as it does outside.
    seen_mm = 2 * aim - last_mm if dimension.grows else last_mm
    target = dimension.target.about(aim) if dimension.grows else dimension.target
    learned = dimension.move in LEARNED
    passes = agreeing(passes) if learned else ()
    ratio, left = ratio_of(passes), _left(last_mm, dimension, unit)
    share = _ratio(passes, unit, elsewhere) if learned else None
    if seen_mm <= target.high_mm:
        state: CutState = "on-size" if seen_mm >= target.low_mm else "past"
        return NextCut(state, dimension.move, None, 0.0, left, share)
    if dimension.move == "none":
        return NextCut("first", "none", None, 0.0, left)
    size_mm = _next_size(seen_mm, dimension)
    state = "finish" if size_mm == aim else "rough"
    depth = (seen_mm - aim) / ratio if state == "finish" else min(dimension.most_mm, (seen_mm - size_mm) / ratio)
    told_mm = 2 * aim - size_mm if dimension.grows else size_mm
    figure = _dial(dimension, dial, unit, left, ratio, rough=(last_mm, told_mm) if state == "rough" else None)
    if not learned:
        return NextCut(state, dimension.move, figure, depth, left)
    expect = _expect(last_mm, depth, ratio, unit, grows=dimension.grows)
    return NextCut(state, dimension.move, figure, depth, left, share, expect, _give_or_take(depth, passes, ratio, unit))


def _left(last_mm: float, dimension: Dimension, unit: LengthUnit) -> Figure:
    """What is left to come off, or to go."""
    aim, sign = dimension.target.aim_mm, -1 if dimension.grows else 1
    return _length(
        "still to come off",
        sign * (last_mm - aim),
        unit,
        "target − last reading" if dimension.grows else "last reading − target",
        (
            Given("last reading", convert(last_mm, "mm", unit), unit),
            Given("target", convert(aim, "mm", unit), unit),
        ),
    )


def _expect(last_mm: float, depth_mm: float, ratio: float, unit: LengthUnit, *, grows: bool) -> Figure:
    """What the next reading will be."""
    sign, word = (1, "+") if grows else (-1, "−")
    return _length(
        "expect",
        last_mm + sign * depth_mm * ratio,
        unit,
        f"last reading {word} cut × cut per dialled",
        (
            Given("last reading", convert(last_mm, "mm", unit), unit),
            Given("cut", convert(depth_mm, "mm", unit), unit),
            Given("cut per dialled", ratio),
        ),
    )


def _give_or_take(depth_mm: float, passes: Sequence[PassMade], ratio: float, unit: LengthUnit) -> Figure:
    """How far the next size may be off: what is believed of a cut so deep, and how far the last ones were off."""
    squares = math.fsum(convert(p.came_off_mm - ratio * p.dialled_mm, "mm", unit) ** 2 for p in passes)
    believed = convert(_SCATTER * depth_mm + _SCATTER_FLOOR_MM, "mm", unit)
    return Figure(
        "± uncertainty",
        math.sqrt((squares + BELIEVED * believed**2) / (len(passes) + BELIEVED)),
        unit,
        "√((squared errors + 3 × (0.05 × cut + caliper error)²) ÷ (cuts + 3))",
        PRACTICE,
        (
            Given("squared errors", squares),
            Given("cut", convert(depth_mm, "mm", unit), unit),
            Given("caliper error", convert(_SCATTER_FLOOR_MM, "mm", unit), unit),
            Given("cuts", len(passes)),
        ),
    )


def _ratio(passes: Sequence[PassMade], unit: LengthUnit, elsewhere: int) -> Figure:
    """The learned ratio with its working."""
    prior = Given("weight of the first assumption", convert(_PRIOR_MM, "mm", unit), unit)
    came = Given("cut in all", convert(math.fsum(p.came_off_mm for p in passes), "mm", unit), unit)
    dialled = Given("dialled in all", convert(math.fsum(p.dialled_mm for p in passes), "mm", unit), unit)
    return Figure(
        "cut per dialled",
        ratio_of(passes),
        "",
        "(cut in all + weight of the first assumption) ÷ (dialled in all + weight of the first assumption)",
        PRACTICE,
        (came, dialled, prior),
        note=ELSEWHERE.format(elsewhere) if elsewhere else "",
        places=2,
    )


def _dial(
    dimension: Dimension,
    dial: Dial,
    unit: LengthUnit,
    left: Figure,
    ratio: float,
    *,
    rough: tuple[float, float] | None,
) -> Figure:
    """What to dial, or how far to go; of a `rough` cut the last reading and the size it goes to, in millimetres."""
    move, learned = dimension.move, dimension.move in LEARNED
    half = " ÷ 2" if halved(move, dial) else ""
    per = " ÷ cut per dialled" if learned else ""
    inputs = [Given("still to come off", left.value, unit)]
    value, formula = left.value / ratio, f"still to come off{per}{half}"
    if rough is not None:
        last, size = (convert(mm, "mm", unit) for mm in rough)
        most = convert(dimension.most_mm, "mm", unit)
        value = min(most, abs(last - size) / ratio)
        ends = "next size − last reading" if dimension.grows else "last reading − next size"
        formula = f"smallest of (most per cut, ({ends}){per}){half}"
        named = zip(("last reading", "next size", "most per cut"), (last, size, most), strict=True)
        inputs = [Given(name, given, unit) for name, given in named]
    if learned:
        inputs.append(Given("cut per dialled", ratio))
    words = MOVE_WORDS[move].format(dial=dial)
    return Figure(words, value / 2 if half else value, unit, formula, PRACTICE, tuple(inputs))
