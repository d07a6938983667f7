"""A thread of a part with the sizes that follow from it: blank, lead, groove, limits."""

from __future__ import annotations

from dataclasses import dataclass, replace
from functools import lru_cache

from lathework.cutting.blank import BlankChoice, blank_choices, crest_percent
from lathework.cutting.groove import Groove, chamfer_diameter, groove
from lathework.cutting.mate_blank import Mate
from lathework.cutting.taper_blank import TaperBlank, taper_blank, taper_choice
from lathework.figures import AS_TYPED, Figure, Given
from lathework.job.model import Method
from lathework.part.thread_cutters import OUTSIDE, OutsideCutter, ThreadCutter
from lathework.threads.limits import external_limits
from lathework.threads.standards.bands import ExternalLimits
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

FULL_SIZE = "The crests stay at the diameter of the blank."
LEAST_TURNED_MM = 0.1
"""Less than this over the blank of a thread is left on: nobody dials a skin, and the die takes it (practice)."""
CUT_MM = 0.005
"""Less than this is not turned, in millimetres."""


def in_mm(figure: Figure) -> float:
    """A length `figure` in millimetres."""
    unit: LengthUnit = "in" if figure.unit == "in" else "mm"
    return convert(figure.value, unit, "mm")


@dataclass(frozen=True, slots=True)
class ThreadWork:
    """A thread of the part with its derived sizes; `groove` is None where no relief is cut behind it.

    `limits` are those of its class, None for a `taper` thread, whose blank has two ends instead, and for one that is
    cut single point to fit its nut. `mate` is the one it
    is made to, where that was measured and the blank goes by it.

    `shoulder` says whether something larger than its minor diameter stands behind it, `cut` what cuts it. `start_mm` is
    the width of the groove that a tool starts in, where a section nearer the end stands above its roots; else 0
    (millimetres).
    """

    thread: Thread
    blanks: tuple[BlankChoice, ...]
    blank: BlankChoice
    limits: ExternalLimits | None
    chamfer: Figure
    groove: Groove | None
    shoulder: bool
    taper: TaperBlank | None = None
    mate: Mate | None = None
    cut: OutsideCutter = "die"
    start_mm: float = 0.0

    @property
    def cutter(self) -> ThreadCutter:
        """What cuts it."""
        return OUTSIDE[self.cut]

    @property
    def class_name(self) -> str:
        """The class it is cut to; "" for a taper thread, which has none."""
        return self.limits.class_name if self.limits is not None else ""

    @property
    def named(self) -> str:
        """The thread with its class."""
        return f"{self.thread.designation} {self.class_name}".rstrip()

    @property
    def blank_mm(self) -> float:
        """Blank diameter."""
        return in_mm(self.blank.diameter)

    def left_on(self, bar_mm: float) -> bool:
        """Whether a bar is left as it is for it: a skin over its blank, and nowhere over the nominal size."""
        if bar_mm > max(self.thread.major_mm, self.blank_mm) + CUT_MM:
            return False
        return self.blank_mm < bar_mm < self.blank_mm + LEAST_TURNED_MM

    @property
    def at_end(self) -> Figure:
        """Diameter of the blank at its end, where the lead is chamfered: the small one of a taper."""
        return self.taper.small if self.taper is not None else self.blank.diameter

    @property
    def lead_shallow(self) -> bool:
        """Whether its lead chamfer was typed so small that it ends above the root of the thread."""
        if self.taper is not None or self.cutter.on_leadscrew:
            return False
        return in_mm(self.chamfer) > in_mm(chamfer_diameter(self.thread)) + CUT_MM

    @property
    def between(self) -> bool:
        """Whether it stands between two shoulders: no die and no nut gets there."""
        return self.start_mm > 0

    @property
    def grooves_mm(self) -> float:
        """What its grooves take of its length, in millimetres."""
        return self.groove_width_mm + self.start_mm

    @property
    def groove_width_mm(self) -> float:
        """Width of the relief groove; 0 where there is none."""
        return in_mm(self.groove.width) if self.groove else 0.0


def _lead(thread: Thread, blank: BlankChoice, chamfer_mm: float) -> Figure:
    """Where the lead chamfer ends: a little under the root, or what a typed chamfer of `chamfer_mm` leaves."""
    usual = chamfer_diameter(thread)
    if not chamfer_mm:
        return usual
    each, unit = convert(chamfer_mm, "mm", thread.unit), thread.unit
    value = blank.diameter.value - 2 * each
    shallow = value > usual.value
    return Figure(
        usual.name,
        value,
        unit,
        "blank − 2 × chamfer",
        AS_TYPED,
        (Given("blank", blank.diameter.value, unit), Given("chamfer", each, unit)),
        note="Above the root of the thread: the die catches late, start it with care." if shallow else "",
    )


def _taper_work(thread: Thread, taper: TaperBlank, *, shoulder: bool) -> ThreadWork:
    """A taper thread runs out: no groove, no school of blanks; its lead ends under the root at the face."""
    blank = taper_choice(thread, taper)
    usual = chamfer_diameter(thread)
    narrower = thread.major - taper.small.value
    chamfer = replace(
        usual,
        value=usual.value - narrower,
        formula=f"{usual.formula} − (major − blank at the face)",
        inputs=(
            *usual.inputs,
            Given("major", thread.major, thread.unit),
            Given("blank at the face", taper.small.value, thread.unit),
        ),
    )
    return ThreadWork(thread, (blank,), blank, None, chamfer, None, shoulder, taper)


def _without_class(
    thread: Thread, method: Method, groove_blade_mm: float, chamfer_mm: float, *, shoulder: bool, cut: OutsideCutter
) -> ThreadWork:
    """A thread that no die cuts, to its basic size: its blank is its major diameter; its nut says when it is right."""
    across = Figure(
        "blank diameter",
        thread.major,
        thread.unit,
        "major",
        thread.source,
        (Given("major", thread.major, thread.unit),),
    )
    blank = BlankChoice("nominal", across, crest_percent(thread, thread.major), True, FULL_SIZE)
    blade = convert(groove_blade_mm, "mm", thread.unit)
    wide = groove(thread, blade) if shoulder and method.finish == "groove" else None
    lead = _lead(thread, blank, chamfer_mm)
    return ThreadWork(thread, (blank,), blank, None, lead, wide, shoulder, cut=cut)


@lru_cache(maxsize=256)
def thread_work_of(
    thread: Thread,
    class_name: str,
    method: Method,
    groove_blade_mm: float,
    chamfer_mm: float,
    *,
    shoulder: bool,
    cut: OutsideCutter,
) -> ThreadWork:
    """A thread's sizes: no length of the part touches them, so they stand from keystroke to keystroke."""
    taper = taper_blank(thread)
    if taper is not None:
        return replace(_taper_work(thread, taper, shoulder=shoulder), cut=cut)
    limits = external_limits(thread, class_name)
    if limits is None and thread.single_point:
        return _without_class(thread, method, groove_blade_mm, chamfer_mm, shoulder=shoulder, cut=cut)
    if limits is None:
        raise TypeError(f"{thread.designation} has no external thread to plan")
    blanks = blank_choices(thread, limits.major, method.blank_fraction, asked=method.fraction_asked, mate=method.mate)
    blade = convert(groove_blade_mm, "mm", thread.unit)
    blank = next(b for b in blanks if b.school == method.blank_school)
    return ThreadWork(
        thread=thread,
        blanks=blanks,
        blank=blank,
        limits=limits,
        chamfer=_lead(thread, blank, chamfer_mm),
        groove=groove(thread, blade) if shoulder and method.finish == "groove" else None,
        shoulder=shoulder,
        mate=method.mate if blank.school == "mate-takes" else None,
        cut=cut,
    )
