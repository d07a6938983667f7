"""Sawing: a blank, a length of thick bar, a bolt, a damaged end."""

from __future__ import annotations

from dataclasses import replace

from lathework import cautions
from lathework.figures import PRACTICE, Figure, Given, added
from lathework.lathe.acts import Saw
from lathework.part.stock import FACING_MM, SAW_MM
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.holdings.order import HOLD_CLEARANCE_MM, JAWS_MM
from lathework.planning.operation import Operation, makes
from lathework.planning.positions import along, given_mm
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work

FOR_THE_JAWS = (
    "The blank is longer than the piece, so that the jaws have something to hold. That end is sawn off later."
)
ONE_FOR_SEVERAL = (
    "One length does for several pieces: add {more} for each further piece, and pull it out by that each time."
)
HARD_BOLT = (
    "Grade marks on the head, or plated? The bolt is hard, or its plating clogs the die. Choose a plain, soft one."
)


def _blank_length(work: Work, chucking: Chucking) -> Figure:
    overall, unit, more = work.part.overall_mm, work.job.unit, chucking.chucked_mm
    inputs = [given_mm("overall length", overall, unit), given_mm("facing of both ends", 2 * FACING_MM, unit)]
    if more:
        inputs.append(given_mm("for the jaws", more, unit))
    return along(work, "saw to", overall + 2 * FACING_MM + more, added(inputs), *inputs)


def saw(work: Work, chucking: Chucking) -> Operation | None:
    """Saw a blank to length, or a bolt down to it, or a damaged end off; nothing when the piece is parted off."""
    if work.part.stock.form == "kept":
        return _saw_off(work)
    bolt = work.part.stock.form == "bolt"
    if chucking.stub:
        return _saw_stub(work, chucking)
    if not bolt and work.order == "from-the-bar":
        return None
    if bolt:
        overall = work.part.overall_mm
        length = along(
            work,
            "saw to, under the head",
            overall + FACING_MM,
            "length under the head + facing",
            given_mm("length under the head", overall, work.job.unit),
            Given("facing", FACING_MM, "mm"),
        )
    else:
        length = _blank_length(work, chucking)
    return Operation(
        key="saw",
        kind="saw",
        title="Saw the bolt down" if bolt else "Saw the blank",
        sentence=_saw_bolt(work) if bolt else "Saw the blank {length} long; allow {kerf} for the saw.",
        headline="length",
        figures={"length": length}
        | (
            _comes_off(work, length)
            if bolt
            else {"kerf": Figure("kerf of the saw", SAW_MM, "mm", "a hacksaw's", PRACTICE, fine=False, kind="table")}
        ),
        tool="hacksaw",
        edge="",
        acts=(Saw(""),),
        cautions=(cautions.SAW,),
        notes=(HARD_BOLT,) if bolt else (FOR_THE_JAWS,) if chucking.chucked_mm else (),
        makes=makes(length=in_mm(length)),
    )


def stub_mm(chucking: Chucking) -> float:
    """What a length of bar has beyond the piece, for the jaws and to clear them, in millimetres; 0 for bar that goes
    through the spindle."""
    return JAWS_MM + HOLD_CLEARANCE_MM if chucking.stub else 0.0


def _saw_stub(work: Work, chucking: Chucking) -> Operation:
    """Saw bar that does not pass the spindle into a length that the jaws alone hold."""
    unit, several = work.job.unit, work.job.quantity > 1 and work.part.overall_mm < JAWS_MM
    out = max(chucking.stick_out_mm, chucking.worked_mm + HOLD_CLEARANCE_MM)
    inputs = (
        given_mm("sticks out", out, unit),
        given_mm("in the jaws", JAWS_MM, unit),
        given_mm("facing", FACING_MM, unit),
    )
    return Operation(
        key="saw",
        kind="saw",
        title="Saw a length of bar",
        sentence="Saw off {length} of the bar for each piece: the bar does not pass through the spindle.",
        headline="length",
        figures={"length": along(work, "saw off", out + JAWS_MM + FACING_MM, added(inputs), *inputs)}
        | ({"more": _next_piece(work)} if several else {}),
        tool="hacksaw",
        edge="",
        acts=(Saw(""),),
        cautions=(cautions.SAW,),
        notes=(ONE_FOR_SEVERAL,) if several else (),
        makes=makes(length=out + JAWS_MM + FACING_MM),
    )


def _next_piece(work: Work) -> Figure:
    """What a further piece takes of the same length of bar."""
    unit, part, blade = work.job.unit, work.part.overall_mm, work.job.setup.parting_blade.mm
    inputs = (
        given_mm("overall length", part, unit),
        given_mm("kerf", blade, unit),
        given_mm("facing", FACING_MM, unit),
    )
    return along(work, "each further piece", part + blade + FACING_MM, added(inputs), *inputs)


def _comes_off(work: Work, length: Figure) -> dict[str, Figure]:
    """What is sawn off a bolt of known length, its kerf among it."""
    now = work.part.stock.bar_length
    if now is None:
        return {}
    unit, left = work.job.unit, in_mm(length)
    whole, kept = given_mm("length now", now.mm, unit), given_mm("saw to, under the head", left, unit)
    return {"off": along(work, "comes off", now.mm - left, "length now − saw to, under the head", whole, kept)}


def _saw_bolt(work: Work) -> str:
    off = "" if work.part.stock.bar_length is None else ": {off} comes off"
    return "Saw the bolt to {length} under its head" + off + "."


def _saw_off(work: Work) -> Operation:
    """Saw the damaged end off a part that is kept, leaving what facing takes."""
    spare = replace(along(work, "leave for facing", FACING_MM, "allowance for cleaning up the sawn face"), kind="table")
    return Operation(
        key="saw",
        kind="saw",
        title="Saw the damaged end off",
        sentence="Saw the damaged end off square, leaving {spare} of sound metal for facing.",
        headline="spare",
        figures={"spare": spare},
        tool="hacksaw",
        edge="",
        acts=(Saw(""),),
        cautions=(cautions.SAW,),
        notes=("Look for cracks that run on below the cut, and saw until the metal is sound all round.",),
    )
