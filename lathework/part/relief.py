"""Threads whose length was given as full thread: the relief groove stands beyond them."""

from __future__ import annotations

from dataclasses import replace

from lathework.cutting.groove import groove_width
from lathework.lengths import Length
from lathework.part.ends import Ends, ends_of, nominal_mm
from lathework.part.model import Part, Section
from lathework.units import convert, show_length

_ALIKE_MM = 0.01


def shoulders(part: Part, ends: Ends) -> dict[int, float]:
    """What stands behind each section, from the end it is made from, as a diameter in millimetres; behind the second
    end, the largest of the first."""
    runs = (ends.first, (*ends.second, ends.first[-1]))
    return {number: nominal_mm(part, after) for run in runs for number, after in zip(run, run[1:], strict=False)}


START_TURNS = 2.0
"""Width in pitches of a groove that a threading tool starts in, one blade at least (practice)."""


def start_mm(part: Part, ends: Ends, number: int, blade_mm: float) -> float:
    """Width of the groove that the tool of a thread starts in, where a section nearer its end stands above its roots; 0
    elsewhere. `blade_mm` is the grooving blade's width; all in millimetres."""
    thread = part.sections[number].thread
    run = ends.first if number in ends.first else ends.second
    if thread is None or all(nominal_mm(part, one) <= thread.minor_mm + _ALIKE_MM for one in run[: run.index(number)]):
        return 0.0
    return max(START_TURNS * thread.pitch_mm, blade_mm)


def _lengthened(section: Section, by_mm: float) -> Section:
    """A thread with its groove beyond it; `full` keeps the length that was asked for."""
    unit, mm = section.length.unit, section.length.mm + by_mm
    told = f"{show_length(mm, 'mm', unit, fine=False)} {unit}"
    return replace(section, length=Length(convert(mm, "mm", unit), unit, told), full=section.length)


def relieved(part: Part, blade: Length) -> Part:
    """The part with room for the relief groove behind each thread that was asked for in full; `blade` is the grooving
    blade. The section that takes the rest of the overall length gives that room, where there is one."""
    behind, added = shoulders(part, ends_of(part)), 0.0
    sections = list(part.sections)
    for number, section in enumerate(sections):
        thread = section.thread
        if thread is None or section.runs != "full" or thread.taper or not section.length.typed:
            continue
        if behind.get(number, 0.0) <= thread.minor_mm:
            continue
        width = groove_width(thread, convert(blade.mm, "mm", thread.unit)).value
        wide_mm = convert(width, thread.unit, "mm")
        sections[number], added = _lengthened(section, wide_mm), added + wide_mm
    return replace(
        part,
        sections=tuple(
            _shortened(part_section, added) if part_section is part.rest else part_section for part_section in sections
        ),
    )


def _shortened(section: Section, by_mm: float) -> Section:
    """The section that takes the rest, so much shorter; its length is as it was where that leaves nothing."""
    length = section.length
    return replace(section, length=replace(length, value=length.value - convert(by_mm, "mm", length.unit)))
