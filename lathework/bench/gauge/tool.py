"""A thread cut single point, after a verdict: how much deeper the tool goes."""

from __future__ import annotations

from lathework.bench.gauge.die import aim_of
from lathework.dies.setting import WANTED, Advice
from lathework.figures import PRACTICE, Figure, Given
from lathework.gauging.sized import Sized
from lathework.gauging.verdicts import Verdict, told_metal
from lathework.job.model import Job
from lathework.methods.infeed import along_compound, compound_angle, on_cross_slide
from lathework.planning.operation import Operation
from lathework.threads.thread import Thread
from lathework.units import convert

_DEEPER = "Not deep enough. Brush thread and {mate} clean, go in by the amount shown, take another pass and try again."
_SMALL = (
    "Too deep: metal cannot be put back. On the next piece stop sooner, and try the {mate} from three "
    "quarters of the depth."
)
_RIGHT = "Right. Cut the next piece to the same dial readings."
_SHAKES = "It passes. On the next piece stop slightly sooner."


def _by_size(step: Operation, size: Sized) -> Figure | None:
    """By how much a measured thread is too large, square to the axis."""
    assert step.thread is not None  # what is gauged has a thread
    aim, unit = aim_of(step.thread, step.class_name), step.thread.unit
    if aim is None:
        return None
    middle = convert(aim.middle_mm, "mm", unit)
    return Figure(
        "deeper",
        (size.pitch_diameter.value - middle) / 2,
        unit,
        "(pitch diameter now − middle of class) ÷ 2",
        PRACTICE,
        (Given("pitch diameter now", size.pitch_diameter.value, unit), Given("middle of class", middle, unit)),
    )


def _by_feel(thread: Thread, verdict: Verdict) -> Figure:
    """By how much a thread that binds is too large, square to the axis: half a share of its pitch. Source: practice."""
    share = -WANTED[verdict]
    return Figure(
        "deeper",
        share * thread.pitch / 2,
        thread.unit,
        "share × pitch ÷ 2",
        PRACTICE,
        (Given("share", share), Given("pitch", thread.pitch, thread.unit)),
        note="A first guess by feel: take less when the nut nearly goes on.",
    )


def tool_advice(job: Job, step: Operation, verdict: Verdict, size: Sized | None) -> Advice | None:
    """What to do with a thread cut single point: deeper while it is too large, in the dial's own terms."""
    assert step.thread is not None  # what is gauged has a thread
    metal, mate = told_metal(verdict), "screw" if step.inside else "nut"
    if metal == "under":
        return Advice("leave", _SMALL.format(mate=mate), None, False)
    if metal != "over":
        return Advice("leave", _SHAKES if verdict == "slight-shake" else _RIGHT, None, False)
    deeper = _by_size(step, size) if size is not None else None
    if deeper is None and verdict in WANTED:
        deeper = _by_feel(step.thread, verdict)
    order = _DEEPER.format(mate=mate)
    if deeper is None:
        return Advice("leave", order, None, True, again="Cut deeper")
    angle = compound_angle(step.thread.form.angle_deg).value
    compound = job.method.infeed == "compound"
    inside = step.inside
    if compound:
        more = along_compound(deeper, angle, inside=inside)
    else:
        more = on_cross_slide(deeper, job.setup.dial, inside=inside)
    return Advice("leave", order, None, True, again="Cut deeper", more=more)
