"""Holes along the axis that meet where they must not: a thread that is bored away, a drill that comes out."""

from __future__ import annotations

from lathework.job.job_reader import JobReader
from lathework.part.bores import BoreWork, bore_work
from lathework.part.job_racks import Racks
from lathework.part.meeting import LEAST_TURNS, comes_out_mm, deep_mm, fits_chased, taken_mm
from lathework.part.model import Part
from lathework.units import LengthUnit, show_length


def _told(mm: float, unit: LengthUnit) -> str:
    """A length along the axis of `mm` millimetres, in the job's unit."""
    return f"{show_length(mm, 'mm', unit, fine=False)} {unit}"


def check_meeting(reader: JobReader, part: Part, racks: Racks) -> None:
    """No thread of the part is bored away by another hole, and no blind hole comes out at the far end."""
    works = [bore_work(bore, racks) for bore in part.bores]
    for number, own in enumerate(works):
        if own.bore.end == "across":
            continue
        path, others = f"part.bores.{number}", [one for one in works if one is not own]
        out = comes_out_mm(part, own, others)
        if out:
            reader.fail("comes-through", f"{path}.depth", _comes_out(part, own, racks))
        elif own.bore.thread is not None:
            _check_taken(reader, part, own, works, path, racks)


def _comes_out(part: Part, own: BoreWork, racks: Racks) -> str:
    """That a drill comes out of the far end, and what would do."""
    assert own.bore.depth is not None  # a hole right through comes out as it should
    deep = deep_mm(own, part.overall_mm)
    most = own.bore.depth.mm - (deep - part.overall_mm)
    why = "with its point, the tap's lead and room for chips" if own.bore.thread is not None else "with its point"
    text = f"Drilled {_told(deep, racks.unit)} deep {why}, this hole comes out of the far end. "
    if most > 0:
        text += f"Make it less than {_told(most, racks.unit)} deep, the part longer, or leave the depth empty to go "
        text += "through."
    else:
        text += "Make the part longer, or leave the depth empty to go through."
    if fits_chased(part, own.bore):
        text += " Or cut the thread with an inside threading tool, which needs a recess and no point."
    return text


def _check_taken(reader: JobReader, part: Part, own: BoreWork, works: list[BoreWork], path: str, racks: Racks) -> None:
    """That nothing wider takes a thread where its depth was said; a counterbore at its own mouth may."""
    thread, depth = own.bore.thread, own.bore.depth
    assert thread is not None
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
        text = (
            f"Hole {by} is wider than this thread and bores it away: {_told(max(0.0, left), racks.unit)} of it is left."
        )
        reader.fail("does-not-fit", f"{path}.depth", text)
    elif depth is not None and bottom > 0:
        text = (
            f"Hole {by} from the other end bores away the last {_told(bottom, racks.unit)} of this thread. Make it "
            f"{_told(whole - bottom, racks.unit)} deep at most, or the other hole shallower."
        )
        reader.fail("does-not-fit", f"{path}.depth", text)
