"""Feeding a threading tool in: on the compound at its angle or straight, pass by pass, in the dial's own marks."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal, get_args

from lathework.cutting.cuts import SPRING
from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.shop.lathe_facts import Dial, Lathe
from lathework.units import LengthUnit, convert

Infeed = Literal["compound", "straight"]
INFEEDS: tuple[Infeed, ...] = get_args(Infeed)
SHY_DEG = 0.5
"""The compound stands so much under half the flank angle: the trailing flank is shaved, not torn (practice)."""
ANGLE_STEP_DEG = 0.5
"""To what the base of a compound can be set (practice)."""
FIRST_PASS_MM: dict[Lathe, float] = {"light": 0.12, "middling": 0.2, "heavy": 0.3}
"""Deepest first pass, square to the axis, in free-cutting steel, by the lathe (practice)."""
SOFTEST, TOUGHEST = 1.5, 0.6
"""Most and least of that which the metal makes of it (practice)."""
FREE_CUTTING = 1500.0
"""Specific cutting force of free-cutting steel in N/mm²: what FIRST_PASS_MM is said of."""
LEAST_PASS_MM = 0.05
"""Thinnest pass: two thousandths of an inch dial; a thinner one rubs (practice)."""


@dataclass(frozen=True, slots=True)
class InfeedWay:
    """A way of feeding in: its name and what it costs. Source: practice."""

    code: Infeed
    name: str
    remark: str


INFEED_WAYS: dict[Infeed, InfeedWay] = {
    "compound": InfeedWay(
        "compound", "with the top slide, set at its angle", "cuts on one flank: chips run off, no chatter"
    ),
    "straight": InfeedWay("straight", "straight in with the cross-slide", "both flanks at once: fine pitches only"),
}


def compound_angle(flank_angle_deg: float) -> Figure:
    """What the compound is set over from square to the axis: half the flank angle less half a degree, down to half a
    degree. Source: practice.

    >>> compound_angle(60).value, compound_angle(55).value, compound_angle(47.5).value
    (29.5, 27.0, 23.0)
    """
    return Figure(
        "top slide set over",
        # Down, never up: past half the flank angle the trailing flank comes out stepped. The 1e-9 keeps 59 halves from
        # being 58.999…
        math.floor((flank_angle_deg / 2 - SHY_DEG) / ANGLE_STEP_DEG + 1e-9) * ANGLE_STEP_DEG,
        "°",
        "whole part of ((flank angle ÷ 2 − less than it by) ÷ step) × step",
        PRACTICE,
        (
            Given("flank angle", flank_angle_deg, "°"),
            Given("less than it by", SHY_DEG, "°"),
            Given("step", ANGLE_STEP_DEG, "°"),
        ),
        places=1,
        note="Measured from the cross-slide direction. On a scale marked from the lathe axis set 90° minus this.",
    )


def along_compound(depth: Figure, angle_deg: float, *, inside: bool = False) -> Figure:
    """What the compound moves for a `depth` square to the axis, set over by `angle_deg`: depth / cos(angle); `inside` a
    hole it is drawn out.

    >>> deep = Figure("depth of the thread", 0.05, "in", "as typed", PRACTICE, kind="typed")
    >>> round(along_compound(deep, 29.5).value, 4)
    0.0574
    """
    return Figure(
        "out on the top slide" if inside else "in on the top slide",
        # The slide goes the long way: only its part square to the axis deepens the thread.
        depth.value / math.cos(math.radians(angle_deg)),
        depth.unit,
        "depth ÷ cos(top slide set over)",
        GEOMETRY,
        (Given("depth", depth.value, depth.unit), Given("top slide set over", angle_deg, "°")),
    )


def on_cross_slide(depth: Figure, dial: Dial, *, inside: bool = False) -> Figure:
    """What the cross slide's dial turns for a `depth` square to the axis: twice it where it reads diameters; `inside` a
    hole it is drawn out."""
    share = 2.0 if dial == "diameter" else 1.0
    return Figure(
        f"{'out' if inside else 'in'} on the {dial} dial",
        share * depth.value,
        depth.unit,
        "2 × depth" if share == 2 else "depth",
        GEOMETRY,
        (Given("depth", depth.value, depth.unit),),
    )


def first_pass_mm(lathe: Lathe, cutting_force: float) -> float:
    """Deepest first pass in millimetres, square to the axis; `cutting_force` is the metal's in N/mm². Source: practice.

    >>> first_pass_mm("middling", 1500), round(first_pass_mm("light", 2700), 3)
    (0.2, 0.072)
    """
    # Section of the chip for a force that the lathe bears: tough metal gets less, soft metal not endlessly more.
    share = FREE_CUTTING / cutting_force
    return FIRST_PASS_MM[lathe] * min(SOFTEST, max(TOUGHEST, share))


def pass_depths(depth_mm: float, first_mm: float) -> tuple[float, ...]:
    """Depths after each pass to `depth_mm`, of equal area from a first one of `first_mm` at most (millimetres).

    The area of a V grows as the square of its depth: depth after pass i is first x sqrt(i). Once that would add less
    than LEAST_PASS_MM, the rest is shared out evenly, in passes of about that. Source: practice.

    >>> [round(deep, 3) for deep in pass_depths(0.4, 0.2)]
    [0.2, 0.283, 0.346, 0.4]
    >>> pass_depths(0.02, 0.2)
    (0.02,)
    """
    # Equal areas: as many passes as the first one goes into the whole V.
    count = max(1, math.ceil((depth_mm / first_mm) ** 2 - 1e-9))
    first = depth_mm / math.sqrt(count)
    depths: list[float] = []
    for number in range(1, count + 1):
        reached = first * math.sqrt(number)
        if depths and reached - depths[-1] < LEAST_PASS_MM:
            break
        depths.append(reached)
    left = depth_mm - depths[-1]
    even = math.ceil(left / LEAST_PASS_MM - 1e-9)
    depths += [depths[-1] + left * number / even for number in range(1, even + 1)]
    return (*depths[:-1], depth_mm)


def dialled_passes(total: Figure, depth_mm: float, first_mm: float, unit: LengthUnit) -> tuple[Figure, ...]:
    """What the dial reads at each pass, from 0 where the tool touches to its `total`; the last one is a spring pass.

    Each is the total times the share of the depth of `depth_mm` that the pass reaches, the first one `first_mm`
    (millimetres); told in `unit`. Source: practice.
    """
    whole = convert(total.value, "in" if total.unit == "in" else "mm", unit)
    given = (Given("in all", whole, unit), Given("depth", depth_mm, "mm"))
    passes = [
        Figure(
            f"pass {number} to",
            whole * deep / depth_mm,
            unit,
            "in all × reached ÷ depth, each pass the same area",
            PRACTICE,
            (*given, Given("reached", deep, "mm")),
        )
        for number, deep in enumerate(pass_depths(depth_mm, first_mm), 1)
    ]
    last = Figure(
        SPRING,
        whole,
        unit,
        "in all",
        PRACTICE,
        given[:1],
        note="Repeat the last dial setting twice, until no chip comes off.",
    )
    return (*passes, last)


def pass_count(passes: tuple[Figure, ...]) -> Figure:
    """How many passes that is, spring passes left out."""
    count = len(passes) - (passes[-1].name == SPRING)
    return Figure("passes", count, "cut", "passes", PRACTICE, (Given("passes", count),))
