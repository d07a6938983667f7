"""Running a self-opening die head on: to its stop, where it opens by itself."""

from __future__ import annotations

from lathework import cautions
from lathework.cutting.groove import unfinished_length
from lathework.cutting.mate_blank import opened_by
from lathework.cutting.speeds import LEAST_SECONDS, stoppable
from lathework.lathe.cut import Cut
from lathework.lathe.threading import RunOn
from lathework.methods.head import SUPPOSED, draws_on, stop_after, time_on
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed
from lathework.planning.steps.threads.threading import SHORT_OF_SHOULDER, die_torque, thread_made
from lathework.planning.threads.thread_work import ThreadWork, in_mm
from lathework.planning.work import Work
from lathework.units import convert

HAIR_S = 1e-6
STOP = (
    "For a stop, lock the carriage in the path of the tailstock with a spacer in front of the wipers, or use "
    "a rod. Keep hands away from the chuck."
)


def _notes(work: Work, chucking: Chucking, thread_work: ThreadWork, seconds: float) -> tuple[str, ...]:
    job, thread = work.job, thread_work.thread
    notes = [
        f"Lubricant{'' if work.dry else ', plenty of it'}: {work.lubricant}.",
        "Use chasers of one set, each in its numbered slot, standing out alike and ground with the same chamfer.",
        "Push until the chasers pull themselves on, then let the head follow.",
        STOP,
    ]
    if thread_work.mate is not None:
        notes.append(
            "Set it {opened} on the diameter from where it cuts the basic size. Start wide and try the mating part."
        )
    if seconds < LEAST_SECONDS - HAIR_S:
        notes.append("Even at its lowest speed this lathe reaches the stop in {on}: keep one hand on the switch.")
    if job.setup.head.overrun is None:
        notes.append(SUPPOSED)
    if chucking.centred and "turn" in chucking.does:
        notes.append("Draw the centre back first: from here the work is unsupported.")
    if thread.hand == "left":
        notes.append("Left-hand chasers cut with the spindle in reverse: use only a chuck that cannot unscrew.")
    if thread_work.shoulder:
        notes.append(
            "The chamfer of the chasers leaves the last {unfinished} unfinished, and a head cannot be "
            "flipped. Chasers ground short for shoulders leave less."
        )
    return tuple(notes)


def run_head(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> Operation:
    """Run the head on to its stop, draw it back open, close it for the next."""
    job, thread = work.job, thread_work.thread
    overrun = chucking.overrun_mm if placed.number == chucking.placed[-1].number else 0.0
    free = SHORT_OF_SHOULDER * thread.pitch_mm if thread_work.shoulder and thread_work.groove is None else 0.0
    end_mm = placed.far_mm - thread_work.groove_width_mm - free + overrun
    long, head = end_mm - placed.near_mm, job.setup.head
    stop = stop_after(thread, long, head.overrun.mm if head.overrun else None, job.unit)
    lead = convert(thread.lead, thread.unit, "mm")
    wanted = work.speed(job.material.head_speed, thread.major_mm)
    speed = stoppable(wanted, in_mm(stop) / lead, job.setup.speeds)
    on = time_on(thread, in_mm(stop), speed)
    return Operation(
        key=keyed("thread", placed.section.id),
        kind="thread",
        title="Run the die head on",
        sentence="Set the stop so that the head meets it after {stop} of thread; it opens a little later. "
        f"Close the head{'' if work.dry else ', oil on'}. "
        "Run it on at {speed} or slower. Leave "
        "the spindle running and draw the open head back.",
        headline="stop",
        figures={
            "stop": stop,
            "speed": speed,
            "travel": draws_on(thread, speed),
            "on": on,
            "unfinished": unfinished_length(thread),
            "torque": die_torque(work, thread_work),
            **({"opened": opened_by(thread, thread_work.mate)} if thread_work.mate is not None else {}),
        },
        tool=f"{thread.designation} chasers in the die head",
        edge="",
        cautions=(cautions.DIE_HEAD, *work.hazards),
        notes=_notes(work, chucking, thread_work, on.value),
        acts=(
            RunOn(
                placed.section.id,
                Cut(end_mm, placed.near_mm, thread.major_mm, thread.minor_mm),
                die_torque(work, thread_work).value,
                "spindle",
            ),
        ),
        chucking=chucking.number,
        thread=thread,
        class_name=thread_work.class_name,
        cutter="die-head",
        to_mate=thread_work.mate is not None,
        makes=thread_made(placed, thread_work),
    )
