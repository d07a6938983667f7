"""A hole for a taper pipe thread: drill, ream, tap to the gauge."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given, Source
from lathework.tables.drills import Drill
from lathework.threads.taper import TaperLengths, taper_lengths
from lathework.threads.thread import Thread
from lathework.units import convert

TAPER = 1 / 16
"""Taper on the diameter."""
LONG_GAUGE_TURNS = 1.0
"""How far a plug may stand from flush where the standard tabulates no tolerance: a turn either way (ASME B1.20.1)."""


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
        thread.minor - behind * TAPER, thread.unit, "minor at the gauge plane − depth ÷ 16", GEOMETRY,
        (Given("minor at the gauge plane", thread.minor, thread.unit), Given("depth", behind, thread.unit)),
    )  # fmt: skip


def _below(rack: Sequence[Drill], size: float, thread: Thread) -> Drill | None:
    """The largest drill of a rack no larger than `size` (the thread's unit)."""
    return max(
        (drill for drill in rack if convert(drill.diameter, drill.unit, thread.unit) <= size + 1e-9),
        key=lambda drill: drill.diameter_mm, default=None,
    )  # fmt: skip


def _give(thread: Thread, lengths: TaperLengths) -> Figure:
    if lengths.gauge_tolerance is not None:
        return lengths.gauge_tolerance
    return Figure(
        "flush, plus and minus", LONG_GAUGE_TURNS * thread.pitch, thread.unit, "one turn × pitch",
        Source("standard", "ASME B1.20.1, tolerance of one turn"), (Given("pitch", thread.pitch, thread.unit),),
        fine=False,
    )  # fmt: skip


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
    return TaperHole(
        mouth=mouth,
        deep=deep,
        useful=lengths.useful_length,
        reamed=_below(rack, deep.value, thread),
        plain=_below(rack, mouth.value, thread),
        ream_to=Figure(
            "ream until the mouth is", mouth.value, thread.unit, "minor at the gauge plane, at the mouth", PRACTICE,
            mouth.inputs, note="A taper reamer of 1 in 16; without one the tap cuts the whole taper and wears fast.",
        ),
        gauge=length,
        give=_give(thread, lengths),
        turns=Figure(
            "plug goes in by hand", length.value / thread.pitch, "turns", "gauge length ÷ pitch", GEOMETRY,
            (Given("gauge length", length.value, thread.unit), Given("pitch", thread.pitch, thread.unit)), places=1,
        ),
        depth=Figure(
            "drill deep at least", useful + 3 * thread.pitch, thread.unit, "useful thread + 3 × pitch for the tap",
            PRACTICE, (Given("useful thread", useful, thread.unit), Given("pitch", thread.pitch, thread.unit)),
            fine=False,
        ),
    )  # fmt: skip
