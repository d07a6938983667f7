"""Holes along the axis that meet where they must not: such a part has no plan, and says what would give it one."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.job.model import Job
from lathework.part.bores import BoreWork, bore_work
from lathework.part.meeting import LEAST_TURNS, comes_out_mm, deep_mm, fits_chased, taken_mm
from lathework.part.model import Part
from lathework.planning.notice import Notice, told
from lathework.planning.work import racks_of
from lathework.units import LengthUnit


def meeting_notices(job: Job) -> Iterator[Notice]:
    """What keeps a part from being planned: a thread that another hole bores away, a blind hole that comes out at the
    far end; nothing where it can be."""
    part, racks = job.part, racks_of(job)
    works = [bore_work(bore, racks) for bore in part.bores]
    for number, own in enumerate(works):
        if own.bore.end == "across":
            continue
        field, others = f"part.bores.{number}.depth", [work for work in works if work is not own]
        if comes_out_mm(part, own, others):
            yield Notice("comes-out", field, _comes_out(part, own, job.unit), first=True)
        elif own.bore.thread is not None:
            text = _taken(part, own, works, job.unit)
            if text:
                yield Notice("cut-away", field, text, first=True)


def _comes_out(part: Part, own: BoreWork, unit: LengthUnit) -> str:
    """That a drill comes out of the far end, and what would do."""
    assert own.bore.depth is not None  # a hole right through comes out as it should
    deep = deep_mm(own, part.overall_mm)
    most = own.bore.depth.mm - (deep - part.overall_mm)
    why = "with its point, the tap's lead and room for chips" if own.bore.thread is not None else "with its point"
    text = f"No plan: drilled {told(deep, unit)} deep {why}, this hole breaks through the far end. "
    if most > 0:
        text += f"Make it less than {told(most, unit)} deep, the part longer, or leave the depth empty to go through."
    else:
        text += "Make the part longer, or leave the depth empty to go through."
    if fits_chased(part, own.bore):
        text += " Or cut the thread with an inside threading tool, which needs a recess and no point."
    return text


def _taken(part: Part, own: BoreWork, works: list[BoreWork], unit: LengthUnit) -> str:
    """That something wider takes a thread where its depth was said, and what would do; "" where nothing does. A
    counterbore at its own mouth may."""
    thread, depth = own.bore.thread, own.bore.depth
    assert thread is not None  # only threads are asked about
    whole = part.overall_mm if depth is None else depth.mm
    mouth, bottom, by = 0.0, 0.0, 0
    for at, other in enumerate(works, 1):
        if other is own or other.bore.end == "across":
            continue
        facing = other.bore.end != own.bore.end
        taken = taken_mm(part, own, other, facing=facing)
        if facing and taken > bottom:
            bottom, by = taken, at
        elif not facing and taken > mouth:
            mouth, by = taken, at
    left = whole - mouth - bottom
    if left < LEAST_TURNS * thread.pitch_mm and by:
        return f"No plan: hole {by} is wider than this thread and removes it. {told(max(0.0, left), unit)} is left."
    if depth is not None and bottom > 0:
        return (
            f"No plan: hole {by} from the other end removes the last {told(bottom, unit)} of this thread. "
            f"Make the thread at most {told(whole - bottom, unit)} deep, or the other hole shallower."
        )
    return ""
