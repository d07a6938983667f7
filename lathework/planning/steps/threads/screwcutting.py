"""A thread cut with a single point: gears and tool set, pass after pass on the leadscrew."""

from __future__ import annotations

import math
from collections.abc import Iterator

from lathework.figures import GEOMETRY, Figure, Given
from lathework.lathe.cut import Cut
from lathework.lathe.threading import Screwcut
from lathework.methods.infeed import dialled_passes, first_pass_mm, pass_count
from lathework.methods.pass_end import Place, outside, turned_by_hand
from lathework.methods.run_out import BY_HAND_UNDER, room_wanted, travel
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed
from lathework.planning.steps.threads.set_up import set_up
from lathework.planning.steps.threads.starts import WHEN_ALL, infeed_of, next_start
from lathework.planning.steps.threads.threading import thread_made
from lathework.planning.steps.threads.threading_tool import (
    PICK_UP,
    at_once,
    cutting_speed,
    depth_of,
    slide_of,
    try_from,
)
from lathework.planning.threads.gearing import gearing, on_the_leadscrew
from lathework.planning.threads.thread_work import ThreadWork, in_mm
from lathework.planning.work import Work
from lathework.threads.thread import Thread
from lathework.units import convert

IN_GROOVE = "Start each pass with the tool in the groove in front of the thread."


def _passes(work: Work, thread: Thread, deep: Figure, total: Figure) -> tuple[Figure, ...]:
    first = first_pass_mm(work.job.setup.lathe, work.job.material.cutting_force)
    if at_once(work, thread):
        # No spring pass: a chaser that goes over it twice widens it.
        return dialled_passes(total, in_mm(deep), in_mm(deep), work.job.unit)[:1]
    return dialled_passes(total, in_mm(deep), first, work.job.unit)


def _turns(thread_work: ThreadWork, length_mm: float) -> Figure:
    lead = convert(thread_work.thread.lead, thread_work.thread.unit, "mm")
    return Figure(
        "turns",
        math.ceil(length_mm / lead - 1e-9),
        "turn",
        "next whole of (thread length ÷ lead)",
        GEOMETRY,
        (Given("thread length", length_mm, "mm"), Given("lead", lead, "mm")),
    )


def _place(thread_work: ThreadWork, speed: Figure) -> Place:
    """Where a pass ends; a left-hand one begins at the shoulder, and runs off the free end."""
    if thread_work.thread.hand == "left":
        return "shoulder, left" if thread_work.groove is not None else "free end, left"
    if thread_work.groove is not None:
        return "groove"
    if thread_work.shoulder:
        return "shoulder"
    return "free end" if speed.value <= BY_HAND_UNDER else "free end, soon"


def _tried(thread_work: ThreadWork) -> str:
    """What the last passes are judged by: a nut that gets there, the wires, or nothing before every start is cut."""
    if thread_work.between:
        return "From {try_from} on, measure over the wires: no nut reaches it. The last passes make the size."
    if thread_work.thread.starts > 1:
        return WHEN_ALL
    wires = ", or measure over the wires" if thread_work.limits is not None else ""
    return f"From {{try_from}} on, try the mating part{wires}: the last passes make the size."


def _notes(work: Work, thread_work: ThreadWork) -> tuple[str, ...]:
    thread = thread_work.thread
    notes = [
        f"Lubricant: {work.lubricant}.",
        _tried(thread_work),
        *((IN_GROOVE,) if thread_work.between else ()),
        PICK_UP,
    ]
    blunt = thread_work.shoulder and thread_work.groove is None
    if blunt and thread.hand == "right" and work.job.setup.mount != "screwed":
        notes.append(
            "Never with a screwed-on chuck: run the spindle in reverse with the tool upside down, and cut "
            "from the shoulder outward."
        )
    return tuple(notes)


def _sentence(work: Work, thread_work: ThreadWork, speed: Figure, *, opens: bool, by_hand: bool) -> str:
    compound = infeed_of(work, thread_work.thread) == "compound"
    slide = "on the top slide" if compound else f"on the {work.job.setup.dial} dial"
    back = "; bring the cross-slide back to zero each time" if compound else ""
    place = _place(thread_work, speed)
    ends = turned_by_hand(place, opens=opens) if by_hand else outside(place, opens=opens)
    pace = "Turn the spindle by hand" if by_hand else "At {speed} or slower"
    return f"{pace}: {{infeed}} {slide} in all, in {{cuts}}{back}. {ends}"


def run_out_of(thread: Thread, speed: Figure) -> dict[str, Figure]:
    """How fast the work turns, what the carriage travels then, and the room it wants to come to rest in."""
    return {"speed": speed, "travel": travel(thread, speed), "room": room_wanted(thread, speed)}


def screwcut(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> Iterator[Operation | None]:
    """Set up, and cut the thread pass by pass."""
    thread = thread_work.thread
    deep, speed = depth_of(work, thread_work), cutting_speed(work, thread_work)
    slide = slide_of(work, thread, deep)
    total = slide["infeed"]
    passes = _passes(work, thread, deep, total)
    overrun = chucking.overrun_mm if placed.number == chucking.placed[-1].number else 0.0
    end_mm = placed.far_mm - thread_work.groove_width_mm + overrun
    start_mm = placed.near_mm + thread_work.start_mm
    geared = gearing(work, thread, placed.far_mm - placed.near_mm)
    yield set_up(work, chucking, placed, thread_work, deep, geared)
    yield Operation(
        key=keyed("screwcut", placed.section.id),
        kind="screwcut",
        title="Cut the thread, single point",
        sentence=_sentence(work, thread_work, speed, opens=geared.opens, by_hand=geared.by_hand),
        headline="infeed",
        figures={
            **slide,
            "cuts": pass_count(passes),
            **({} if geared.by_hand else run_out_of(thread, speed)),
            "try_from": try_from(total, work.job.unit),
            "turns": _turns(thread_work, end_mm - start_mm),
        },
        tool=f"outside threading tool, {thread.form.angle_deg:g}°",
        edge="point",
        cautions=(
            *on_the_leadscrew(work, geared),
            *work.hazards,
        ),
        notes=_notes(work, thread_work),
        acts=(
            Screwcut(
                placed.section.id,
                Cut(end_mm, start_mm, thread.major_mm, thread.root_mm if thread.crest_clearance else thread.minor_mm),
                0.0,
                "spindle",
                reverses=geared.reverses,
            ),
        ),
        passes=passes,
        chucking=chucking.number,
        thread=thread,
        class_name=thread_work.class_name,
        cutter="threading-tool",
        to_mate=thread_work.mate is not None,
        makes=thread_made(placed, thread_work),
    )
    yield next_start(work, chucking, thread, placed.section.id, geared)
