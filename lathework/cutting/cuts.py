"""Cuts planned from stock to size: roughing within what lathe and stick-out bear, then two cuts alike."""

from __future__ import annotations

import math

from lathework.cutting.to_size.last_cuts import FINISH_MM
from lathework.figures import PRACTICE, Figure, Given
from lathework.shop.lathe_facts import Lathe
from lathework.units import LengthUnit, convert

LATHE_SHARE: dict[Lathe, float] = {"light": 0.5, "middling": 1.0, "heavy": 1.5}
"""Deepest cut of a lathe, as a share of the metal's own starting value (practice)."""
STIFF_RATIO, SLACK_RATIO, SLACK_SHARE = 2.0, 6.0, 0.4
"""Stick-out over diameter up to which work is stiff, from which it is slack, and what share of the cut is left then."""


TWO_FROM_MM = 0.2
"""Left on the diameter from which the end is cut in two: half of less is too thin a chip (practice)."""
SPRING, HALF_WAY = "spring pass at", "last cut but one to"
"""What two cuts are called: the dial as it was, once more; half of what roughing leaves."""
MEASURE_BETWEEN = "Measure after it: the spring that it shows sets the last cut."


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


def last_diameters(start_mm: float, end_mm: float) -> tuple[float, ...]:
    """Diameters after each of the last cuts: two alike over what roughing leaves, one where that is too little for two.

    In millimetres. What sprang away at one cut is still there at the next: after two cuts alike that is the same, and
    the last one leaves what its dial says. Source: practice.

    >>> last_diameters(12.7, 9.5), last_diameters(9.6, 9.5)
    ((9.75, 9.5), (9.5,))
    """
    left = min(FINISH_MM, start_mm - end_mm)
    return (round(end_mm + left / 2, 6), end_mm) if left >= TWO_FROM_MM else (end_mm,)


def pass_diameters(start_mm: float, end_mm: float, deepest_mm: float) -> tuple[float, ...]:
    """Diameters after each cut from `start_mm` to `end_mm` (millimetres), the last one `end_mm`.

    Roughing cuts alike and no deeper than `deepest_mm` (on the diameter) down to 0.5 mm over, then the last two.
    Source: practice.

    >>> pass_diameters(12.7, 9.5, 2.0)
    (11.35, 10.0, 9.75, 9.5)
    """
    rough = start_mm - end_mm - FINISH_MM
    count = max(0, math.ceil(rough / deepest_mm - 1e-9))
    roughed = tuple(round(start_mm - rough * (n + 1) / count, 6) for n in range(count))
    return (*roughed, *last_diameters(start_mm, end_mm))


def passes(start_mm: float, end_mm: float, deepest: Figure, unit: LengthUnit) -> tuple[Figure, ...]:
    """Each cut from `start_mm` to `end_mm` (millimetres) as the diameter it leaves, in `unit`.

    Source: practice.
    """
    deepest_unit: LengthUnit = "in" if deepest.unit == "in" else "mm"
    deepest_mm = convert(deepest.value, deepest_unit, "mm")
    finish = Given("kept for the last cuts", convert(FINISH_MM, "mm", unit), unit)
    start, end = (Given(name, convert(mm, "mm", unit), unit) for name, mm in (("from", start_mm), ("to", end_mm)))
    sizes, last = pass_diameters(start_mm, end_mm, deepest_mm), last_diameters(start_mm, end_mm)
    count = len(sizes) - len(last)
    allowed = Given("most per cut", convert(deepest_mm, "mm", unit), unit)
    cuts = [
        Figure(
            f"cut {n} to",
            convert(mm, "mm", unit),
            unit,
            "from − (from − to − kept for the last cuts) × cut ÷ roughing cuts",
            PRACTICE,
            (start, end, finish, Given("cut", n), Given("roughing cuts", count), allowed),
            note="Equal roughing cuts, none larger than the most per cut.",
        )
        for n, mm in enumerate(sizes[:count], 1)
    ]
    if len(last) > 1:
        half = "to + smallest of (kept for the last cuts, from − to) ÷ 2"
        size = convert(last[0], "mm", unit)
        cuts.append(Figure(HALF_WAY, size, unit, half, PRACTICE, (end, finish, start), note=MEASURE_BETWEEN))
    return (*cuts, Figure("finishing cut to", end.value, unit, "to", PRACTICE, (end, finish)))
