"""The facts of a job that several operations share, worked out once."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.figures import Figure
from lathework.part import Job
from lathework.rules.blank import BlankChoice, blank_choices
from lathework.rules.relief import Groove, chamfer_diameter, groove
from lathework.threads.limits import external_limits
from lathework.threads.limits.bands import ExternalLimits
from lathework.units import LengthUnit, convert

HOLD_CLEARANCE_MM = 6.0
"""Kept between the parting blade and the jaws (practice)."""


@dataclass(frozen=True, slots=True)
class Work:
    """A job with its derived sizes; lengths ending in `_mm` are millimetres, behind the face where along the bed."""

    job: Job
    blanks: tuple[BlankChoice, ...]
    blank: BlankChoice
    limits: ExternalLimits
    groove: Groove | None
    chamfer: Figure

    def in_mm(self, figure: Figure) -> float:
        """A length figure in millimetres."""
        unit: LengthUnit = "in" if figure.unit == "in" else "mm"
        return convert(figure.value, unit, "mm")

    @property
    def blank_mm(self) -> float:
        """Blank diameter."""
        return self.in_mm(self.blank.diameter)

    @property
    def thread_end_mm(self) -> float:
        """Where the thread ends behind the face: at the groove, or at the shoulder."""
        length = self.job.part.thread_length.mm
        return length if self.groove is None else length - self.in_mm(self.groove.width)

    @property
    def body_mm(self) -> float:
        """Diameter behind the thread: the turned shank, or the bar as bought."""
        part = self.job.part
        return part.shank_diameter.mm if part.shank_diameter is not None else part.stock_diameter.mm

    @property
    def stick_out_mm(self) -> float:
        """What must stand out of the jaws: part, kerf and clearance."""
        return self.job.part.overall_length.mm + self.job.setup.parting_blade.mm + HOLD_CLEARANCE_MM

    @property
    def stick_out_ratio(self) -> float:
        """Stick-out over the bar's diameter."""
        return self.stick_out_mm / self.job.part.stock_diameter.mm


def work_out(job: Job) -> Work:
    """Derive what the operations share."""
    thread = job.part.thread
    limits = external_limits(thread, job.part.class_name)
    if limits is None:
        raise TypeError(f"{thread.designation} has no parallel external thread to plan")
    blanks = blank_choices(thread, limits.major, job.method.blank_fraction)
    blade = convert(job.setup.groove_blade.mm, "mm", thread.unit)
    return Work(
        job=job,
        blanks=blanks,
        blank=next(b for b in blanks if b.school == job.method.blank_school),
        limits=limits,
        groove=groove(thread, blade) if job.method.finish == "groove" else None,
        chamfer=chamfer_diameter(thread),
    )
