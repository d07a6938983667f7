"""A blind hole undercut at its bottom: room for the corner of what goes in, or for a tool to run out."""

from __future__ import annotations

from lathework import cautions
from lathework.figures import PRACTICE, Figure, Given
from lathework.lathe.acts import Undercut
from lathework.lengths import Length
from lathework.part.bore_sizes import RECESS_TURNS
from lathework.part.bores import BoreWork
from lathework.part.finished_holes import UNDERCUT_MM
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import given_mm, place_words, tip_stop, typed
from lathework.planning.steps.holes.boring import CHATTER, drilling_speed
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work
from lathework.threads.thread import Thread
from lathework.units import convert

RECESS_OVER = 0.2
"""How far a recess stands over what the tool cuts, in pitches on the diameter (practice)."""
CHALK = "Chalk the carriage's position on the bed now: each pass of the thread ends there."
BLIND = (
    "Mark the dial reading where the tool first touched. Wind back to that mark before you withdraw the "
    "tool: you cannot see it."
)


def recess(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread, depth: Length) -> Operation:
    """Cut the recess at the bottom of a chased hole, `depth` of thread deep, that the threading tool runs out into."""
    unit, wide = work.job.unit, RECESS_TURNS * thread.pitch_mm
    inputs = (
        given_mm("major", thread.major_mm, unit),
        given_mm("clearance", convert(thread.crest_clearance, thread.unit, "mm"), unit),
        given_mm("pitch", thread.pitch_mm, unit),
    )
    across = thread.major_mm + convert(2 * thread.crest_clearance, thread.unit, "mm") + RECESS_OVER * thread.pitch_mm
    formula = f"major + 2 × clearance + {RECESS_OVER} × pitch"
    figures = {
        "across": Figure("recess across", convert(across, "mm", unit), unit, formula, PRACTICE, inputs),
        "wide": Figure(
            "recess wide",
            convert(wide, "mm", unit),
            unit,
            "turns × pitch",
            PRACTICE,
            (Given("turns", RECESS_TURNS), inputs[-1]),
            fine=False,
        ),
        "position": tip_stop(
            work, depth.mm + wide, given_mm("depth of thread", depth.mm, unit), given_mm("recess", wide, unit)
        ),
        "speed": drilling_speed(work, thread.major_mm),
    }
    return Operation(
        key=keyed("recess", bore_work.bore.id),
        kind="undercut",
        title="Recess for the tool to run out into",
        sentence="Cut a recess to {across} over {wide}, the tool's left edge " + place_words(work, "position") + ".",
        headline="across",
        figures=figures,
        tool="hooked tool in the boring bar",
        edge="left edge",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(BLIND, CHALK, CHATTER),
        acts=(Undercut(bore_work.bore.id),),
        chucking=chucking.number,
        makes=makes(across=across, wide=wide),
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
        acts=(Undercut(bore.id),),
        chucking=chucking.number,
        makes=makes(across=in_mm(figures["across"]), wide=wide.mm),
    )
