"""What was measured of a piece put in place of what was planned: whatever is cut next from that surface begins there.

How the piece is held and in which order it is worked stay as they were planned.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace

from lathework.figures import AS_TYPED, Figure
from lathework.lengths import Length
from lathework.part.bores import BoreWork
from lathework.part.model import Part, Section
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.threads.thread_work import ThreadWork
from lathework.planning.work import Work
from lathework.units import convert, show_length

Measured = Mapping[str, float]
"""Diameters in millimetres that were measured, by the id of the section or hole they are of."""


def _as_read(planned: Figure, mm: float) -> Figure:
    """A planned diameter as it was measured, `mm` millimetres, in its own unit."""
    value = convert(mm, "mm", "in" if planned.unit == "in" else "mm")
    return Figure(planned.name, value, planned.unit, "as measured", AS_TYPED, kind="typed")


def _section(section: Section, mm: float) -> Section:
    """A plain section as wide as it was measured; its fit was met, or not, when it was turned."""
    across = Length(mm, "mm", f"{show_length(mm, 'mm', 'mm')} mm")
    return replace(section, across=across, fit="", mate=None)


def _part(part: Part, measured: Measured) -> Part:
    plain = {section.id for section in part.sections if section.thread is None and section.shape == "round"} & set(
        measured
    )
    sections = tuple(
        _section(section, measured[section.id]) if section.id in plain else section for section in part.sections
    )
    return replace(part, sections=sections)


def _thread(thread_work: ThreadWork, mm: float) -> ThreadWork:
    """A thread on the blank that was measured; a taper's follows its two ends, as planned."""
    if thread_work.taper is not None:
        return thread_work
    return replace(thread_work, blank=replace(thread_work.blank, diameter=_as_read(thread_work.blank.diameter, mm)))


def _bore(bore_work: BoreWork, mm: float) -> BoreWork:
    return replace(bore_work, drill=_as_read(bore_work.drill, mm), drill_mm=mm)


def work_as_measured(work: Work, measured: Measured) -> Work:
    """The facts of a job with the diameters that were `measured` in place of the planned ones."""
    sections = work.part.sections
    return replace(
        work,
        job=replace(work.job, part=_part(work.part, measured)),
        threads={
            number: _thread(one, measured[sections[number].id]) if sections[number].id in measured else one
            for number, one in work.threads.items()
        },
        bores=tuple(_bore(bore, measured[bore.bore.id]) if bore.bore.id in measured else bore for bore in work.bores),
    )


def holding_as_measured(chucking: Chucking, work: Work, measured: Measured) -> Chucking:
    """A holding whose sections are as wide as they were `measured`; `work` is the job with those sizes."""
    placed = tuple(
        replace(
            one,
            section=work.part.sections[one.number],
            turned_mm=measured[one.section.id],
            thread=work.threads.get(one.number),
        )
        if one.section.id in measured
        else one
        for one in chucking.placed
    )
    return replace(chucking, placed=placed)
