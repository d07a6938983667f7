"""Holes across a part: how thick it is there, which holes along the axis and which threads they open."""

from __future__ import annotations

from collections.abc import Iterable

from lathework.part.bore_sizes import ALIKE_MM, depth_figure, largest_mm, outside_mm, spans
from lathework.part.bores import BoreWork
from lathework.part.ends import nominal_mm
from lathework.part.model import MILLED, Bore, Part
from lathework.units import LengthUnit, convert


def thickness_mm(part: Part, bore: Bore) -> float:
    """How thick the part is where a hole across it goes through, in millimetres."""
    at = bore.at.mm if bore.at is not None else 0.0
    number = next((number for _, far, number in spans(part) if at < far), None)
    if number is None:
        return outside_mm(part, len(part.sections) - 1)
    section = part.sections[number]
    if section.across is not None and section.shape in MILLED:
        return section.across.mm
    return part.stock.across.mm if section.shape == "bar" else nominal_mm(part, number)


def meets(part: Part, across: BoreWork, along: BoreWork, unit: LengthUnit) -> bool:
    """Whether a hole across the part opens into one along its axis, as deep as `unit` tells that both are drilled."""
    at, thick = across.bore.at, thickness_mm(part, across.bore)
    assert at is not None
    deep, long = (
        convert(depth_figure(found, whole, 0.0, unit).value, unit, "mm")
        for found, whole in ((across, thick), (along, part.overall_mm))
    )
    mouth = at.mm if along.bore.end == "right" else part.overall_mm - at.mm
    return mouth - across.drill_mm / 2 < long and deep > (thick - along.drill_mm) / 2


def wall_across_mm(part: Part, across: BoreWork, along: Iterable[BoreWork]) -> float | None:
    """How thick each wall is that a hole across goes through where the holes `along` have taken the middle, in
    millimetres; None where it goes through solid metal, or ends in the wall."""
    at, deep = across.bore.at, across.bore.depth
    if at is None:
        return None
    thick, hollow = thickness_mm(part, across.bore), 0.0
    for one in along:
        mouth = at.mm if one.bore.end == "right" else part.overall_mm - at.mm
        if one.bore.depth is None or mouth < one.bore.depth.mm:
            hollow = max(hollow, one.drill_mm)
    wall = (thick - hollow) / 2
    ends_inside = deep is not None and deep.mm < wall - ALIKE_MM
    return wall if hollow > across.drill_mm and not ends_inside else None


def cut_threads(part: Part, bore: Bore) -> bool:
    """Whether a hole across goes through the thread of a section."""
    at, half = bore.at.mm if bore.at is not None else 0.0, largest_mm(bore) / 2
    return any(
        part.sections[number].thread is not None and near < at + half and far > at - half
        for near, far, number in spans(part)
    )
