"""Cuts planned from stock to size: roughing within what lathe and stick-out bear, a finishing and a spring pass."""

from __future__ import annotations

import math
from dataclasses import replace

from lathework.cutting.next_cut import FINISH_MM
from lathework.figures import PRACTICE, Figure, Given
from lathework.shop.lathe_facts import Lathe
from lathework.units import LengthUnit, convert

LATHE_SHARE: dict[Lathe, float] = {"light": 0.5, "middling": 1.0, "heavy": 1.5}
"""Deepest cut of a lathe, as a share of the metal's own starting value (practice)."""
STIFF_RATIO, SLACK_RATIO, SLACK_SHARE = 2.0, 6.0, 0.4
"""Stick-out over diameter up to which work is stiff, from which it is slack, and what share of the cut is left then."""


SPRING = "spring pass at"
"""What the last of the cuts is called: the dial as it was, once more."""


def stick_out_share(ratio: float) -> float:
    """Share of the full cut that work standing out `ratio` diameters (a bare number) bears. Source: practice.

    1 up to two diameters, falling evenly to 0.4 at six.

    >>> stick_out_share(1), stick_out_share(4), stick_out_share(9)
    (1.0, 0.7, 0.4)
    """
    slack = min(1.0, max(0.0, (ratio - STIFF_RATIO) / (SLACK_RATIO - STIFF_RATIO)))
    return 1.0 - (1.0 - SLACK_SHARE) * slack


def deepest_cut(max_cut_mm: float, lathe: Lathe, ratio: float, unit: LengthUnit) -> Figure:
    """Deepest roughing cut on the diameter, told in `unit`.

    `max_cut_mm` is the metal's starting value in millimetres on the diameter, `ratio` the stick-out over the diameter
    (a bare number). Metal's cut x lathe x stick-out. Source: practice.
    """
    share = stick_out_share(ratio)
    return Figure(
        "most per cut",
        convert(max_cut_mm * LATHE_SHARE[lathe] * share, "mm", unit),
        unit,
        "cut for the material × share for the lathe × share for the stick-out",
        PRACTICE,
        (
            Given("cut for the material", convert(max_cut_mm, "mm", unit), unit),
            Given("share for the lathe", LATHE_SHARE[lathe]),
            Given("stick-out over diameter", ratio),
            Given("share for the stick-out", share),
        ),
        note="On the diameter. The cuts are divided evenly below it.",
    )


def pass_diameters(start_mm: float, end_mm: float, deepest_mm: float) -> tuple[float, ...]:
    """Diameters after each cut from `start_mm` to `end_mm` (millimetres), the last one `end_mm`.

    Roughing cuts alike and no deeper than `deepest_mm` (on the diameter) down to 0.5 mm over, then the finishing cut.
    Source: practice.

    >>> pass_diameters(12.7, 9.5, 2.0)
    (11.35, 10.0, 9.5)
    """
    rough = start_mm - end_mm - FINISH_MM
    count = max(0, math.ceil(rough / deepest_mm - 1e-9))
    return (*(round(start_mm - rough * (n + 1) / count, 6) for n in range(count)), end_mm)


def passes(start_mm: float, end_mm: float, deepest: Figure, unit: LengthUnit) -> tuple[Figure, ...]:
    """Each cut from `start_mm` to `end_mm` (millimetres) as the diameter it leaves, and a spring pass, in `unit`.

    Source: practice.
    """
    deepest_unit: LengthUnit = "in" if deepest.unit == "in" else "mm"
    deepest_mm = convert(deepest.value, deepest_unit, "mm")
    finish = Given("kept for the finishing cut", convert(FINISH_MM, "mm", unit), unit)
    start, end = (Given(name, convert(mm, "mm", unit), unit) for name, mm in (("from", start_mm), ("to", end_mm)))
    sizes = pass_diameters(start_mm, end_mm, deepest_mm)
    count = len(sizes) - 1
    allowed = Given("most per cut", convert(deepest_mm, "mm", unit), unit)
    cuts = [
        Figure(
            f"cut {n} to",
            convert(mm, "mm", unit),
            unit,
            "from − (from − to − kept for the finishing cut) × cut ÷ roughing cuts",
            PRACTICE,
            (start, end, finish, Given("cut", n), Given("roughing cuts", count), allowed),
            note="Equal roughing cuts, none larger than the most per cut.",
        )
        for n, mm in enumerate(sizes[:-1], 1)
    ]
    last = Figure("finishing cut to", end.value, unit, "to", PRACTICE, (end, finish))
    spring = replace(last, name=SPRING, note="Repeat the dial setting: the work springs back.")
    return (*cuts, last, spring)
