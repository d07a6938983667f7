"""A thread that is gauged: what it may be tried with, what it measures, what else than the die it may bind for."""

from __future__ import annotations

from lathework.bench.entry import made_of
from lathework.bench.tally import Tally
from lathework.gauging.causes import CAUSES, Cause, Moved, cause_of, causes_inside, likely_causes
from lathework.gauging.sized import Sized, ThreadSize, measured_size
from lathework.gauging.tried import Gauge
from lathework.gauging.verdicts import MEANINGS, Verdict
from lathework.planning.operation import Operation, keyed
from lathework.planning.plan import Plan
from lathework.threads.limits import external_limits


def offered(step: Operation) -> tuple[Gauge, ...]:
    """What the thread of a step may be tried with; nothing where it is not gauged.

    What is made to its mate is tried with that alone, a taper by how far its gauge goes on; gauges of the limits only
    where there are limits.
    """
    if step.measure != "verdict" or step.thread is None:
        return ()
    if step.to_mate or step.thread.taper:
        return ("",)
    mates: tuple[Gauge, ...] = ("", "known", "small", "worn")
    if step.inside:
        return (*mates, "limits")
    return mates if external_limits(step.thread, step.class_name) is None else (*mates, "limits", "thread-micrometer")


def sized(step: Operation, size: ThreadSize) -> Sized | None:
    """A thread as it was measured, held against the class of its step; None where it has none."""
    thread = step.thread
    bolt = external_limits(thread, step.class_name) if thread is not None and not thread.taper else None
    return measured_size(thread, bolt, size) if thread is not None and bolt is not None else None


def moved_cutter(step: Operation) -> Moved:
    """What is moved where the thread of a step does not pass: the die, or the head."""
    return "head" if step.cut_by.opens else "die"


def why_it_binds(plan: Plan, step: Operation, verdict: Verdict, tally: Tally) -> tuple[Cause, ...]:
    """What to look at before the die of a step is closed for a tight verdict; nothing where that was done for the piece
    in hand, and the die was moved."""
    asked, tried = step.key in tally.moved_for, tally.tried
    if asked or MEANINGS[verdict].metal != "over" or verdict == "size-large":
        return ()
    starts = verdict != "will-not-start"
    if step.cut_by.sized_by == "depth":
        return ()  # a thread cut single point binds until it is deep enough
    if step.inside:
        bore = next((one for one in plan.job.part.bores if one.id == made_of(step.key)), None)
        return causes_inside(blind=bore is not None and bore.depth is not None, starts=starts, tried=tried)
    if step.kind != "gauge" or step.thread is None or step.thread.taper:
        return ()
    made = made_of(step.key)
    blank = next((operation for operation in plan.operations if operation.key == keyed("turn", made)), None)
    read = tally.blanks.get(made)
    over = blank is not None and blank.target is not None and read is not None and read > blank.target.high_mm
    shoulder = any(found.shoulder for found in plan.work.threads.values() if found.thread == step.thread)
    return likely_causes(over_blank=over, to_shoulder=shoulder, starts=starts, tried=tried, cutter=moved_cutter(step))


def found_cause(step: Operation, tally: Tally) -> Cause | None:
    """What the thread of a step was found to bind for, until it is tried again."""
    code = next((cause for cause in CAUSES if cause == tally.causes.get(step.key)), None)
    if code is None:
        return None
    return cause_of(code, inside=step.inside, tried=tally.tried, cutter=moved_cutter(step))
