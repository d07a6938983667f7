"""A blind hole undercut at its bottom: room for the corner of what goes in, or for a tool to run out."""

from __future__ import annotations

from lathework import cautions
from lathework.figures import PRACTICE, Figure
from lathework.lengths import Length
from lathework.part.bores import BoreWork
from lathework.part.finished_holes import UNDERCUT_MM
from lathework.planning.chucking import Chucking
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import given_mm, place_words, tip_stop, typed
from lathework.planning.steps.holes.boring import CHATTER, drilling_speed
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work
from lathework.units import convert

BLIND = (
    "Mark the dial reading where the tool first touched. Wind back to that mark before you withdraw the "
    "tool: you cannot see it."
)


def cut_under(work: Work, chucking: Chucking, bore_work: BoreWork, wide: Length) -> Operation:
    """Undercut the bottom of a hole with a hooked tool in the boring bar."""
    bore, unit = bore_work.bore, work.job.unit
    assert bore.across is not None and bore.depth is not None  # the reader gives an undercut hole both
    inputs = (given_mm("hole", bore.across.mm, unit), given_mm("deep", UNDERCUT_MM, unit))
    across = convert(bore.across.mm + 2 * UNDERCUT_MM, "mm", unit)
    figures = {
        "across": Figure("undercut across", across, unit, "hole + 2 × deep", PRACTICE, inputs),
        "wide": typed("wide", wide, fine=False),
        "position": tip_stop(work, bore.depth.mm),
        "speed": drilling_speed(work, bore.across.mm),
    }
    return Operation(
        key=keyed("undercut", bore.id),
        kind="undercut",
        title="Undercut the bottom",
        sentence="Undercut the bottom to {across} over {wide}, the tool's left edge "
        + place_words(work, "position")
        + ".",
        headline="across",
        figures=figures,
        tool="hooked tool in the boring bar",
        edge="left edge",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(BLIND, CHATTER),
        chucking=chucking.number,
        makes=makes(across=in_mm(figures["across"]), wide=wide.mm),
    )
