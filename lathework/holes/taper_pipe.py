"""A hole for a taper pipe thread: drill, ream, tap to the gauge."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.holes.depth import POINT_SHARE
from lathework.tables.drills import Drill
from lathework.threads.taper import TAPER, gauge_give, gauge_turns, taper_lengths
from lathework.threads.thread import Thread
from lathework.units import convert

LEAD_TURNS, ROOM_TURNS = 3.0, 2.0
"""Threads of a taper pipe tap's lead, and of room for its chips (practice)."""


@dataclass(frozen=True, slots=True)
class TaperHole:
    """A taper hole: what to drill with and without reaming, and how far the plug gauge goes in.

    Drills are None where the rack has none small enough; all lengths in the thread's unit.
    """

    mouth: Figure
    deep: Figure
    useful: Figure
    reamed: Drill | None
    plain: Drill | None
    ream_to: Figure
    gauge: Figure
    give: Figure
    turns: Figure
    depth: Figure


def minor_at(thread: Thread, behind: float) -> Figure:
    """Minor diameter `behind` the mouth of the hole (all in the thread's unit).

    At the mouth, where the gauge plane lies, it is the thread's own; from there it narrows by 1 in 16.
    """
    return Figure(
        "minor at the mouth" if behind == 0 else "minor at the bottom of the useful thread",
        thread.minor - behind * TAPER,
        thread.unit,
        "minor at the gauge plane − depth ÷ 16",
        GEOMETRY,
        (Given("minor at the gauge plane", thread.minor, thread.unit), Given("depth", behind, thread.unit)),
    )


def _below(rack: Sequence[Drill], size: float, thread: Thread) -> Drill | None:
    """The largest drill of a rack no larger than `size` (the thread's unit)."""
    return max(
        (drill for drill in rack if convert(drill.diameter, drill.unit, thread.unit) <= size + 1e-9),
        key=lambda drill: drill.diameter_mm,
        default=None,
    )


def taper_hole(thread: Thread, rack: Sequence[Drill]) -> TaperHole | None:
    """The hole for a taper pipe `thread`, drilled out of `rack`; None for a parallel thread.

    Reamed: drilled to the minor at the bottom of the useful thread, then reamed 1 in 16 until the mouth has its
    minor. Not reamed: drilled parallel, no larger than the minor at the mouth. Source: ISO 7-1, ASME B1.20.1; practice.
    """
    lengths = taper_lengths(thread)
    if lengths is None:
        return None
    useful, length = lengths.useful_length.value, lengths.gauge_length
    mouth, deep = minor_at(thread, 0.0), minor_at(thread, useful)
    reamed = _below(rack, deep.value, thread)
    return TaperHole(
        mouth=mouth,
        deep=deep,
        useful=lengths.useful_length,
        reamed=reamed,
        plain=_below(rack, mouth.value, thread),
        ream_to=Figure(
            "ream until the mouth measures",
            mouth.value,
            thread.unit,
            "minor at the gauge plane",
            PRACTICE,
            mouth.inputs,
            note="Use a taper reamer of 1 in 16; without one the tap cuts the whole taper and wears fast.",
        ),
        gauge=length,
        give=gauge_give(thread, lengths),
        turns=gauge_turns(thread, lengths, "plug goes in by hand"),
        depth=_deep(thread, useful, reamed),
    )


def _deep(thread: Thread, useful: float, drill: Drill | None) -> Figure:
    """How deep a blind hole is drilled, to the point: the taper tap goes past the useful thread, its chips lie below.

    Useful thread + lead of the tap + room for chips + point of the drill. Source: practice.
    """
    lead, room = LEAD_TURNS * thread.pitch, ROOM_TURNS * thread.pitch
    point = POINT_SHARE * (convert(drill.diameter, drill.unit, thread.unit) if drill else thread.minor)
    return Figure(
        "minimum drill depth",
        useful + lead + room + point,
        thread.unit,
        "useful thread + chamfer of the tap + room for chips + point",
        PRACTICE,
        (
            Given("useful thread", useful, thread.unit),
            Given("chamfer of the tap", lead, thread.unit),
            Given("room for chips", room, thread.unit),
            Given("point", point, thread.unit),
        ),
        fine=False,
    )
