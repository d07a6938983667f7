"""A thread cut into a bore with an inside threading tool: its depth, its passes, where it comes to rest."""

from __future__ import annotations

from lathework.figures import Figure
from lathework.lathe.threading import Screwcut
from lathework.methods.infeed import dialled_passes, first_pass_mm, pass_count
from lathework.methods.pass_end import Inside, inside, turned_by_hand
from lathework.methods.tool_form import standard_tip, thread_depth, usual_point
from lathework.methods.ways.tools import BAR_SHARE
from lathework.part.bore_sizes import RECESS_TURNS
from lathework.part.bores import BoreWork
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.holdings.order import HOLD_CLEARANCE_MM
from lathework.planning.operation import Operation, keyed
from lathework.planning.steps.holes.tap_words import hole_made
from lathework.planning.steps.threads.screwcutting import run_out_of
from lathework.planning.steps.threads.starts import WHEN_ALL, climbing, infeed_of
from lathework.planning.steps.threads.threading_tool import (
    FREE_MM,
    PICK_UP,
    slide_of,
    speed_within,
    tip_figure,
    try_from,
)
from lathework.planning.threads.gearing import Gearing, gearing, on_the_leadscrew
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work
from lathework.threads.limits import internal_limits
from lathework.threads.thread import Thread
from lathework.units import convert

BAR = "Use the thickest bar the bore allows, no longer than the thread needs, and check that it clears the far side."
BACKWARD = "The top slide is wound outward, against its dial: take up its backlash before each zero."


def _aim(bore_work: BoreWork, thread: Thread) -> float:
    """The pitch diameter to be cut, in the thread's unit: the middle of its class, or the basic one."""
    limits = internal_limits(thread, bore_work.bore.class_name)
    if limits is None:
        return thread.pitch_diameter
    return (limits.pitch_diameter.minimum + limits.pitch_diameter.maximum) / 2


def inside_depth(bore_work: BoreWork, thread: Thread) -> Figure:
    """How deep the tool goes from touching the bore, in the thread's unit; it is ground as the thread's form has it."""
    point = usual_point(thread.form)
    bore = convert(bore_work.drill_mm, "mm", thread.unit)
    tip = standard_tip(thread, point)
    return thread_depth(thread, blank=bore, pitch_diameter=_aim(bore_work, thread), point=point, tip=tip, inside=True)


def _room_mm(chucking: Chucking, bore_work: BoreWork, thread: Thread) -> float:
    """What the tool has to come to rest in: the recess, as much of the bar that is bored on for it, or the room behind
    the hole; a left hand runs off its mouth."""
    if thread.hand == "left":
        return FREE_MM
    ends = bore_work.bore.depth is not None or chucking.on_bar
    return RECESS_TURNS * thread.pitch_mm if ends else HOLD_CLEARANCE_MM


def _place(chucking: Chucking, bore_work: BoreWork, thread: Thread) -> Inside:
    """Where a pass ends."""
    blind = bore_work.bore.depth is not None
    if thread.hand == "left":
        return "recess, left" if blind else "through, left"
    if blind:
        return "recess"
    return "past the part" if chucking.on_bar else "through"


def _set(work: Work, thread: Thread) -> str:
    """Compound, tool and zero, before the first pass."""
    compound = infeed_of(work, thread) == "compound"
    toward = "tailstock" if thread.hand == "left" else "headstock"
    swung = f"Set the top slide {{compound}} from the cross-slide direction, its handle toward the {toward}. "
    dials = "both dials" if compound else "the dial"
    return f"{swung if compound else ''}Touch the bore and set {dials} to zero. "


def _sentence(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread, geared: Gearing) -> str:
    compound = infeed_of(work, thread) == "compound"
    slide = "on the top slide, wound outward," if compound else f"out on the {work.job.setup.dial} dial"
    back = "; bring the cross-slide back to zero each time" if compound else ""
    place = _place(chucking, bore_work, thread)
    ends = turned_by_hand(place, opens=geared.opens) if geared.by_hand else inside(place, opens=geared.opens)
    pace = "Turn the spindle by hand" if geared.by_hand else "At {speed} or slower"
    return f"{_set(work, thread)}{pace}: {{infeed}} {slide} in {{cuts}}{back}. {ends}"


def _notes(work: Work, bore_work: BoreWork, thread: Thread) -> tuple[str, ...]:
    return (
        BAR,
        *((BACKWARD,) if infeed_of(work, thread) == "compound" else ()),
        *climbing(thread)[1],
        f"Lubricant: {work.lubricant}.",
        WHEN_ALL if thread.starts > 1 else "From {try_from} on, try the mating part: the last passes make the size.",
        PICK_UP,
    )


def _figures(work: Work, room_mm: float, thread: Thread, infeed: Figure, *, by_hand: bool) -> dict[str, Figure]:
    """Speed and run-out in so much room (millimetres), none where the spindle is turned `by_hand`; from where the mate
    is tried, the point of the tool."""
    point, speed = usual_point(thread.form), speed_within(work, thread, room_mm)
    return {
        **({} if by_hand else run_out_of(thread, speed)),
        "try_from": try_from(infeed, work.job.unit),
        "tip": tip_figure(thread, point, standard_tip(thread, point), typed=False),
    }


def screwcut_inside(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread) -> Operation:
    """Cut the thread of a bored hole, pass by pass."""
    job, deep = work.job, inside_depth(bore_work, thread)
    slide = slide_of(work, thread, deep, inside=True)
    first = BAR_SHARE * first_pass_mm(job.setup.lathe, job.material.cutting_force)
    passes = dialled_passes(slide["infeed"], in_mm(deep), first, job.unit)
    own = {"cuts": pass_count(passes), "depth": deep}
    long_mm = bore_work.bore.depth.mm if bore_work.bore.depth else work.part.overall_mm
    geared_for = gearing(work, thread, long_mm)
    room = _room_mm(chucking, bore_work, thread)
    own |= _figures(work, room, thread, slide["infeed"], by_hand=geared_for.by_hand)
    return Operation(
        key=keyed("chase", bore_work.bore.id),
        kind="chase",
        title="Cut the thread inside, single point",
        sentence=f"Set an inside threading tool on centre, square by the centre gauge. {geared_for.words} "
        f"{_sentence(work, chucking, bore_work, thread, geared_for)}",
        headline="infeed",
        figures=geared_for.figures | slide | own | climbing(thread)[0],
        tool=f"inside threading tool, {thread.form.angle_deg:g}°",
        edge="point",
        cautions=(
            *on_the_leadscrew(work, geared_for),
            *work.hazards,
        ),
        notes=(*_notes(work, bore_work, thread), *geared_for.notes),
        acts=(Screwcut(bore_work.bore.id, None, 0.0, "spindle", reverses=geared_for.reverses),),
        passes=passes,
        chucking=chucking.number,
        cutter="threading-tool",
        makes=hole_made(bore_work, thread),
    )
