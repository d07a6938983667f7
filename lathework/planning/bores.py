"""Holes along the axis, worked out: which drill, how deep, and from which chucking."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from lathework.figures import AS_TYPED, PRACTICE, Figure, Given
from lathework.part import Bore, Edge, Part
from lathework.planning.ends import Ends, nominal_mm
from lathework.rules.holes import POINT_SHARE, TAPPED_PERCENT, choose, drill_depth, hole_for, tap_named
from lathework.tables.drills import all_drills
from lathework.threads.limits import internal_limits
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

BORING_TOOL = "boring tool"
"""What makes a hole that no drill of the racks fits."""
TAP = "second"
"""The tap that a blind hole is drilled deep enough for; a bottoming tap then finishes it."""
FLOOR_MM = 1.0
"""Least metal left under the point of a drill in a blind hole (practice)."""
THIN_WALL = 0.15
"""Least wall round a hole, over the hole's diameter (practice)."""


@dataclass(frozen=True, slots=True)
class BoreWork:
    """A hole with its drill: what it is called, its size, the per cent thread it leaves (None where it is plain)."""

    bore: Bore
    name: str
    drill: Figure
    drill_mm: float
    percent: Figure | None


@lru_cache(maxsize=256)
def _tapping_drill(thread: Thread, class_name: str) -> tuple[str, Figure, float, Figure | None]:
    limits = internal_limits(thread, class_name)
    pick, _ = choose(thread, limits, all_drills(), TAPPED_PERCENT)
    if pick is None:
        bore = hole_for(thread, TAPPED_PERCENT)
        return BORING_TOOL, bore, convert(bore.value, thread.unit, "mm"), None
    own = convert(pick.drill.diameter, pick.drill.unit, thread.unit)
    figure = Figure(
        "tapping drill", own, thread.unit, "nearest to 75 % thread whose probable hole the class allows", PRACTICE,
        (Given("probable hole", pick.hole.value, thread.unit), Given("thread left", pick.percent.value, "%")),
        note=f"Drill {pick.drill.name}.",
    )  # fmt: skip
    return pick.drill.name, figure, pick.drill.diameter_mm, pick.percent


def bore_work(bore: Bore) -> BoreWork:
    """The drill for a hole: its own size, or the one for its thread at 75 per cent."""
    if bore.thread is not None:
        name, figure, mm, percent = _tapping_drill(bore.thread, bore.class_name)
        return BoreWork(bore, name, figure, mm, percent)
    across = bore.across
    assert across is not None  # the reader gives each hole a thread or a size
    figure = Figure(
        "drill", across.value, across.unit, "as you entered it", AS_TYPED, (Given("hole", across.value, across.unit),)
    )
    return BoreWork(bore, across.typed, figure, across.mm, None)


def depth_figure(found: BoreWork, overall_mm: float, beyond_mm: float, unit: LengthUnit) -> Figure:
    """How deep to drill, to the point, told in `unit`.

    A blind tapped hole takes the lead of a second tap and room for chips; a through one goes `beyond_mm` past
    `overall_mm` (both millimetres). Source: practice.
    """
    bore, point = found.bore, POINT_SHARE * found.drill_mm
    if bore.depth is None:
        inputs: tuple[Given, ...] = (
            Given("overall length", convert(overall_mm, "mm", unit), unit),
            Given("what is parted and faced", convert(beyond_mm, "mm", unit), unit),
            Given("point", convert(point, "mm", unit), unit),
        )
        value, formula = (
            overall_mm + beyond_mm + point,
            "overall length + what is parted and faced + point of the drill",
        )
    elif bore.thread is not None:
        tap = tap_named(TAP)
        thread = bore.thread
        deep = drill_depth(
            thread, tap, convert(bore.depth.mm, "mm", thread.unit), convert(found.drill_mm, "mm", thread.unit)
        )
        return Figure(
            "drill deep", convert(deep.value, thread.unit, unit), unit, deep.formula, PRACTICE, deep.inputs, fine=False,
            note="For a second tap; a bottoming tap finishes it.",
        )  # fmt: skip
    else:
        inputs = (
            Given("depth", bore.depth.value, bore.depth.unit), Given("point", convert(point, "mm", unit), unit)
        )  # fmt: skip
        value, formula = bore.depth.mm + point, "depth + point of the drill"
    return Figure("drill deep", convert(value, "mm", unit), unit, formula, PRACTICE, inputs, fine=False)


def largest_mm(bore: Bore) -> float:
    """Largest diameter of a hole: its thread's major, or its drill, in millimetres."""
    if bore.thread is not None:
        return bore.thread.major_mm
    return bore.across.mm if bore.across is not None else 0.0


def wall_mm(part: Part, bore: Bore) -> float:
    """Least wall round a hole, in millimetres: half of what the thinnest section over its depth leaves."""
    numbers = range(len(part.sections)) if bore.end == "right" else range(len(part.sections) - 1, -1, -1)
    depth = part.overall_mm if bore.depth is None else bore.depth.mm
    near, least = 0.0, float("inf")
    for number in numbers:
        if near >= depth:
            break
        section = part.sections[number]
        outside = section.thread.minor_mm if section.thread else nominal_mm(part, number)
        if section.across is not None and section.shape in ("hexagon", "square", "flats"):
            outside = min(outside, section.across.mm)
        least = min(least, outside)
        near += section.length.mm
    return (least - largest_mm(bore)) / 2


def near_end(ends: Ends) -> Edge:
    """The end that the first chucking faces."""
    return "left" if ends.turned_about else "right"


def far_end(ends: Ends) -> Edge:
    """The end that the first chucking does not face."""
    return "right" if ends.turned_about else "left"
