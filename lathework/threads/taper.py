"""Lengths of taper pipe threads: where the gauge plane lies and how far the useful thread runs."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

from lathework.figures import GEOMETRY, Figure, Given, Source
from lathework.tables.loader import Row, Table, load
from lathework.threads.thread import Thread

TAPER = 1 / 16
"""Taper on the diameter (ISO 7-1, ASME B1.20.1)."""
GAUGE_TURNS = 1.0
"""How far a gauge may stand from flush where the standard tabulates no tolerance: a turn either way (ASME B1.20.1)."""


@dataclass(frozen=True, slots=True)
class TaperLengths:
    """Gauge length from the small end, its tolerance (None where not tabulated) and the useful length."""

    gauge_length: Figure
    gauge_tolerance: Figure | None
    useful_length: Figure


@cache
def _rows() -> dict[str, tuple[Row, Table]]:
    sealing, american = load("bsp_taper"), load("npt")
    out = {f"{series}{row.text('size')}": (row, sealing) for row in sealing.rows for series in ("R", "Rc")}
    return out | {f"{row.text('size')}-{float(row.number('tpi')):g} NPT": (row, american) for row in american.rows}


def is_inside_taper(thread: Thread) -> bool:
    """Whether `thread` is a taper one that is tapped into a hole: R alone is for the outside."""
    return thread.taper > 0 and thread.inside


def is_outside_taper(thread: Thread) -> bool:
    """Whether `thread` is a taper one that is cut outside: Rc alone is for a hole."""
    return thread.taper > 0 and thread.outside


def gauge_give(thread: Thread, lengths: TaperLengths) -> Figure:
    """How far a gauge may stand from flush either way, in the thread's unit. Source: ISO 7-1, ASME B1.20.1."""
    if lengths.gauge_tolerance is not None:
        return lengths.gauge_tolerance
    return Figure(
        "flush, plus and minus",
        GAUGE_TURNS * thread.pitch,
        thread.unit,
        "1 × pitch",
        Source("standard", "ASME B1.20.1, tolerance of one turn"),
        (Given("pitch", thread.pitch, thread.unit),),
        fine=False,
    )


def gauge_turns(thread: Thread, lengths: TaperLengths, name: str) -> Figure:
    """How many turns a gauge goes on or in by hand, called `name`: gauge length / pitch. Source: plane geometry."""
    length = lengths.gauge_length.value
    inputs = (Given("gauge length", length, thread.unit), Given("pitch", thread.pitch, thread.unit))
    return Figure(name, length / thread.pitch, "turn", "gauge length ÷ pitch", GEOMETRY, inputs, places=1)


def taper_lengths(thread: Thread) -> TaperLengths | None:
    """Lengths of a taper thread in its own unit, or None for a parallel one. Source: ISO 7-1, ASME B1.20.1."""
    found = _rows().get(thread.plain_name)
    if found is None:
        return None
    row, table = found

    def figure(name: str, column: str) -> Figure:
        value = float(row.number(column))
        given = (Given("size", value, thread.unit),)
        return Figure(
            name, value, thread.unit, "as the standard's table prints it", table.source, given, fine=False, kind="table"
        )

    return TaperLengths(
        gauge_length=figure("gauge length", "gauge_length"),
        gauge_tolerance=figure("gauge length, plus and minus", "gauge_tolerance")
        if "gauge_tolerance" in row.cells
        else None,
        useful_length=figure("useful thread", "useful_length"),
    )
