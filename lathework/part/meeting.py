"""Holes along one axis that meet: what a wider one takes of a thread, where a drill comes out."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from lathework.holes.depth import POINT_SHARE
from lathework.lengths import Length
from lathework.part.bore_sizes import FLOOR_MM, RECESS_TURNS, depth_figure
from lathework.part.bores import BoreWork
from lathework.part.model import Bore, Edge, Part
from lathework.units import LengthUnit, convert, show_length

HAIR_MM = 0.01
"""Holes that differ by less are of one size, lengths that do are one, in millimetres."""
REACHES = 1.5
"""How deep in a wider hole a tap still starts, over its diameter (practice)."""
LEAST_CHASED_MM = 12.0
"""Smallest thread that an inside threading tool is named for as a way out (practice)."""
LEAST_TURNS = 4.0
"""Turns of a thread that are worth tapping (practice)."""


def deep_mm(bore_work: BoreWork, overall_mm: float) -> float:
    """How deep a blind hole is drilled, to its point, in a part so long (all in millimetres)."""
    return convert(depth_figure(bore_work, overall_mm, 0.0, "mm").value, "mm", "mm")


def full_mm(bore_work: BoreWork, overall_mm: float) -> float:
    """How deep a hole keeps its full diameter, in millimetres: the point of its drill left out."""
    if bore_work.bore.depth is None:
        return overall_mm
    if bore_work.bore.thread is None:
        return bore_work.bore.depth.mm
    point = 0.0 if bore_work.bored or bore_work.chased else POINT_SHARE * bore_work.drill_mm
    return deep_mm(bore_work, overall_mm) - point


def narrowest_mm(bore_work: BoreWork) -> float:
    """The least diameter of a hole over its full depth, in millimetres: a socket's at its bottom."""
    return bore_work.bore.small_mm if bore_work.bore.socket is not None else bore_work.drill_mm


def taken_mm(part: Part, thread: BoreWork, other: BoreWork, *, facing: bool) -> float:
    """How much of the thread of a hole another takes that is wider than its roots, in millimetres: from the thread's
    own mouth, or, where that is `facing` it, from the bottom of its full thread up."""
    if narrowest_mm(other) <= thread.drill_mm + HAIR_MM or other.bore.end == "across":
        return 0.0
    whole, full = part.overall_mm, full_mm(other, part.overall_mm)
    depth = whole if thread.bore.depth is None else thread.bore.depth.mm
    if facing:
        return min(depth, max(0.0, depth + full - whole))
    return min(depth, full)


def comes_out_mm(part: Part, bore_work: BoreWork, others: Sequence[BoreWork]) -> float:
    """How far the point of a blind hole's drill comes out of the far end, in millimetres; 0 where it does not, or comes
    out in a hole as wide that is there from that end."""
    if bore_work.bore.depth is None or bore_work.bore.end == "across":
        return 0.0
    out = deep_mm(bore_work, part.overall_mm) - part.overall_mm
    facing = [other for other in others if other.bore.end not in ("across", bore_work.bore.end)]
    met = any(narrowest_mm(one) >= bore_work.drill_mm - HAIR_MM for one in facing)
    return 0.0 if met or out <= HAIR_MM else out


def fits_chased(part: Part, bore: Bore) -> bool:
    """Whether a blind thread and the recess of a threading tool, which leaves no point, end inside the part."""
    if bore.thread is None or bore.depth is None or bore.thread.taper or bore.thread.major_mm < LEAST_CHASED_MM:
        return False
    return bore.depth.mm + RECESS_TURNS * bore.thread.pitch_mm + FLOOR_MM <= part.overall_mm


def open_length(part: Part, bore: Bore, works: Sequence[BoreWork], unit: LengthUnit, near: Edge) -> Bore:
    """A threaded hole right through, as it is cut: from the end that is worked first, `near`; but where a wider hole
    takes its mouth there deeper than a tap reaches, from its other end, as long as that one leaves it, told in `unit`.

    Source: practice. A shallow counterbore is tapped through, and chased true with its thread.
    """
    own = next(work for work in works if work.bore.id == bore.id)
    far: Edge = "left" if near == "right" else "right"
    taken = dict.fromkeys((near, far), 0.0)
    for other in works:
        if other.bore.end in taken and other.bore.thread is None:
            taken[other.bore.end] = max(taken[other.bore.end], taken_mm(part, own, other, facing=False))
    assert bore.thread is not None  # what is as long as it is left has a thread
    if taken[near] <= REACHES * bore.thread.major_mm or taken[far]:
        return replace(bore, end=near)
    mm = part.overall_mm - taken[near]
    return replace(bore, end=far, depth=Length(convert(mm, "mm", unit), unit, f"{show_length(mm, 'mm', unit)} {unit}"))
