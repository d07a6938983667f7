"""The facts of a job that several operations share, worked out once."""

from __future__ import annotations

from dataclasses import dataclass, replace
from functools import lru_cache

from lathework.cautions import HAZARD_CAUTIONS, Caution
from lathework.cutting.blank import BlankChoice, blank_choices
from lathework.cutting.groove import Groove, chamfer_diameter, groove
from lathework.cutting.mate_blank import Mate
from lathework.cutting.roughing import bears, rough_share
from lathework.cutting.speeds import geared, spindle_speed
from lathework.cutting.taper_blank import TaperBlank, taper_blank, taper_choice
from lathework.cutting.torque import cutting_torque
from lathework.figures import AS_TYPED, Figure, Given
from lathework.job.model import Job, Method, Order
from lathework.methods.die import DIE_HOLDINGS
from lathework.part.bores import BoreWork, Racks, bore_work
from lathework.part.ends import Ends, ends_of, near_end, nominal_mm
from lathework.part.model import Bore, Part
from lathework.planning.order import Settled, settle
from lathework.threads.limits import external_limits
from lathework.threads.limits.bands import ExternalLimits
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

LEAST_TURNED_MM = 0.1
"""Less than this over the blank of a thread is left on: nobody dials a skin, and the die takes it (practice)."""
_CUT_MM = 0.005


def in_mm(figure: Figure) -> float:
    """A length `figure` in millimetres."""
    unit: LengthUnit = "in" if figure.unit == "in" else "mm"
    return convert(figure.value, unit, "mm")


@dataclass(frozen=True, slots=True)
class ThreadWork:
    """A thread of the part with its derived sizes; `groove` is None where no relief is cut behind it.

    `limits` are those of its class, None for a `taper` thread, whose blank has two ends instead. `mate` is the one it
    is made to, where that was measured and the blank goes by it.

    `shoulder` says whether something larger than its minor diameter stands behind it.
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
        if bar_mm > max(self.thread.major_mm, self.blank_mm) + _CUT_MM:
            return False
        return self.blank_mm < bar_mm < self.blank_mm + LEAST_TURNED_MM

    @property
    def at_end(self) -> Figure:
        """Diameter of the blank at its end, where the lead is chamfered: the small one of a taper."""
        return self.taper.small if self.taper is not None else self.blank.diameter

    @property
    def groove_width_mm(self) -> float:
        """Width of the relief groove; 0 where there is none."""
        return in_mm(self.groove.width) if self.groove else 0.0


@dataclass(frozen=True, slots=True)
class Work:
    """A job with its derived sizes: its threads by section number, its holes, which sections each end takes, and the
    order of work as it was settled."""

    job: Job
    threads: dict[int, ThreadWork]
    ends: Ends
    bores: tuple[BoreWork, ...]
    settled: Settled

    @property
    def order(self) -> Order:
        """The order of work that is planned."""
        return self.settled.order

    @property
    def main(self) -> ThreadWork | None:
        """The first thread that is cut outside; None where the part has only tapped holes."""
        return next(iter(self.threads.values()), None)

    @property
    def part(self) -> Part:
        """The part to be made."""
        return self.job.part

    @property
    def hazards(self) -> tuple[Caution, ...]:
        """What must be said of the job's use beside the step that makes a thread."""
        return tuple(HAZARD_CAUTIONS[hazard] for hazard in self.job.hazards)

    def speed(self, cutting_speed: float, diameter_mm: float) -> Figure:
        """Spindle speed in rev/min for `cutting_speed` in m/min at `diameter_mm`: one that the job's lathe has."""
        return geared(spindle_speed(cutting_speed, diameter_mm, name="speed"), self.job.setup.speeds)

    def turned_mm(self, number: int) -> float:
        """Diameter that the lathe tool leaves at section `number` (from 0), in millimetres."""
        found = self.threads.get(number)
        return found.blank_mm if found else nominal_mm(self.part, number)


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


@lru_cache(maxsize=256)
def _thread_work(
    thread: Thread, class_name: str, method: Method, groove_blade_mm: float, chamfer_mm: float, *, shoulder: bool
) -> ThreadWork:
    """A thread's sizes: no length of the part touches them, so they stand from keystroke to keystroke."""
    taper = taper_blank(thread)
    if taper is not None:
        return _taper_work(thread, taper, shoulder=shoulder)
    limits = external_limits(thread, class_name)
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
    )


def racks_of(job: Job) -> Racks:
    """What a job chooses its drills from."""
    return Racks(job.setup.own_drills, job.unit, job.material, job.method.percent)


def work_out(job: Job) -> Work:
    """Derive what the operations share."""
    part, ends, method = job.part, ends_of(job.part), job.method
    without_mate, first = replace(method, mate=None), part.thread
    # What stands behind each section, from the end it is made from: behind the second end, the largest of the first.
    runs = (ends.first, (*ends.second, ends.first[-1]))
    behind = {number: nominal_mm(part, after) for run in runs for number, after in zip(run, run[1:], strict=False)}
    threads = {
        number: _thread_work(
            section.thread,
            section.class_name,
            method if section.thread == first else without_mate,
            job.setup.groove_blade.mm,
            section.chamfer.mm if section.chamfer is not None else 0.0,
            shoulder=behind.get(number, 0.0) > section.thread.minor_mm,
        )
        for number, section in enumerate(part.sections)
        if section.thread is not None
    }
    racks = racks_of(job)
    bores = tuple([bore_work(_from_near(bore, ends), racks) for bore in part.bores])
    return Work(job, threads, ends, bores, settle(job, ends, guided=_guided(job, threads)))


def _guided(job: Job, threads: dict[int, ThreadWork]) -> bool:
    """Whether no tool touches a part but its die, squared by the tailstock: it is threaded straight off the bar.

    Source: practice.
    """
    part = job.part
    die_alone = all(n in threads and _die_alone(job, threads[n]) for n in range(len(part.sections)))
    return die_alone and not part.bores and not DIE_HOLDINGS[job.method.holder].off_lathe


def _die_alone(job: Job, thread_work: ThreadWork) -> bool:
    """Whether a thread is cut by its die alone on the bar as bought: not turned, not tapered, not roughed out."""
    bar = job.part.stock.corners_mm
    torque = cutting_torque(thread_work.thread, job.material.cutting_force).value
    roughed = any(rough_share(torque, bears(power=power)) for power in (True, False))
    as_bought = thread_work.left_on(bar) or abs(thread_work.blank_mm - bar) < _CUT_MM
    return as_bought and thread_work.taper is None and not roughed


def _from_near(bore: Bore, ends: Ends) -> Bore:
    """A hole right through is drilled from the end that is worked first; a tapering one keeps its wide mouth."""
    tapers = bore.thread is not None and bore.thread.taper > 0
    through = bore.depth is None and bore.end != "across" and not tapers
    return replace(bore, end=near_end(ends)) if through else bore
