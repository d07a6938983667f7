"""An external taper pipe thread: its blank tapered, and gauged by how far the gauge goes on."""

from __future__ import annotations

from lathework import cautions
from lathework.cutting.roughing import HAND_BEARS_NM
from lathework.cutting.taper_blank import TaperBlank
from lathework.figures import Figure
from lathework.lathe.acts import Try
from lathework.lathe.cut import Cut
from lathework.lathe.outside_cuts import Slope
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import along, given, given_mm, place_words, tip_stop
from lathework.planning.steps import measures
from lathework.planning.steps.holding import KNIFE, speed, swarf
from lathework.planning.threads.thread_work import ThreadWork, in_mm
from lathework.planning.work import Work
from lathework.threads.taper import TAPER
from lathework.units import convert

STRAIGHT_UP_TO_MM = 22.0
"""Major diameter up to which a taper die may make the taper itself in a soft metal (practice)."""
SOFT_N_MM2 = 1100.0
"""Specific cutting force in N/mm² up to which a metal counts as soft for that (practice)."""


def _made_mm(placed: Placed, taper: TaperBlank) -> float:
    """How long the taper is: the useful thread, as far as the section goes."""
    return min(in_mm(taper.useful), placed.far_mm - placed.near_mm)


def _notes(work: Work, thread_work: ThreadWork) -> tuple[str, ...]:
    notes = [
        "Lock the carriage and feed with the top slide. Or use the taper attachment, or set the tailstock over.",
        "Set the tool exactly on centre, or the taper comes out wrong.",
        "Set the slide back to zero afterwards.",
    ]
    soft = work.job.material.cutting_force <= SOFT_N_MM2 and thread_work.thread.major_mm <= STRAIGHT_UP_TO_MM
    if soft:
        notes.append(
            "In this material the die can cut the taper from a straight blank: you may skip this step, but go slowly."
        )
    return tuple(notes)


def turn_taper(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> Operation | None:
    """Taper the blank 1 in 16, from its size at the face until the cut runs out on the straight part."""
    if thread_work.taper is None:
        return None
    taper, near = thread_work.taper, placed.near_mm
    long = _made_mm(placed, taper)
    outer, inner = in_mm(taper.large), in_mm(taper.small)
    unit = thread_work.thread.unit
    length: Figure = along(
        work,
        "length of the taper",
        long,
        "smallest of (useful thread, section)",
        given_mm("useful thread", in_mm(taper.useful), work.job.unit),
        given("section", placed.section.length),
    )
    figures = {"angle": taper.angle, "small": taper.small, "length": length}
    if near > 0:
        figures["position"] = tip_stop(work, near)
    where = f"at its near edge, {place_words(work, 'position')}" if near > 0 else "at the face"
    return Operation(
        key=keyed("taper", placed.section.id),
        kind="taper",
        title="Turn the taper",
        sentence=f"Set the top slide over {{angle}} and turn the taper, 1 in 16, until it measures {{small}} {where}; "
        "it runs out after {length}.",
        headline="small",
        figures={**figures, "speed": speed(work, outer)},
        tool=KNIFE,
        edge="tip",
        cautions=(swarf(work),),
        notes=_notes(work, thread_work),
        dimensions=(measures.plunged("small end", inner, outer),),
        acts=(
            Slope(
                placed.section.id,
                Cut(near + long, near, convert(taper.small.value, unit, "mm") + long * TAPER, inner, slope=True),
            ),
        ),
        chucking=chucking.number,
        thread=thread_work.thread,
        makes=makes(diameter=inner, length=long),
    )


def taper_notes(torque: Figure) -> list[str]:
    """What to mind while a taper die of that `torque` (N m) runs on."""
    notes = ["Stop when the small end of the thread is flush with the face of the die. Try the gauge one turn earlier."]
    if torque.value > HAND_BEARS_NM:
        notes.append("Use a ratchet stock with a {handle} handle: in a chuck the piece would slip.")
    return notes


def _larger(thread_work: ThreadWork) -> str:
    return "take another pass" if thread_work.cutter.on_leadscrew else "run the die on further"


def gauge_taper(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork, mate: str) -> Operation:
    """Try the ring gauge, or the fitting: how far it goes on by hand tells the size."""
    assert thread_work.taper is not None
    return Operation(
        key=keyed("gauge", placed.section.id),
        kind="gauge",
        title="Gauge the taper thread",
        sentence=f"Clean the thread and try the ring gauge, or {mate}: it should go on {{turns}} by hand, "
        "{give} either way.",
        headline="turns",
        figures={"turns": thread_work.taper.turns, "give": thread_work.taper.give},
        tool=f"{thread_work.thread.designation} ring gauge, or {mate}",
        edge="",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(
            f"Stops sooner: the thread is large, so {_larger(thread_work)}. Goes further: it is small and "
            "cannot be corrected.",
            "Seal it with tape or compound made for what it carries. Leave the pressure test to a licensed trade.",
        ),
        measure="verdict",
        acts=(Try(placed.section.id),),
        chucking=chucking.number,
        thread=thread_work.thread,
        cutter=thread_work.cut,
        makes=makes(thread=thread_work.thread.designation, length=placed.far_mm - placed.near_mm),
    )
