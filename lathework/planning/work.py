"""The facts of a job that several operations share, worked out once."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from lathework.cautions import HAZARD_CAUTIONS, Caution
from lathework.cutting.roughing import HAND_BEARS_NM, bears, rough_share
from lathework.cutting.speeds import geared, spindle_speed
from lathework.cutting.taper_blank import taper_torque
from lathework.cutting.torque import cutting_torque
from lathework.figures import Figure
from lathework.job.model import Job, Order
from lathework.methods.die_holdings import DIE_HOLDINGS
from lathework.part.bores import BoreWork, bore_work
from lathework.part.ends import Ends, ends_of, near_end, nominal_mm
from lathework.part.job_racks import Racks
from lathework.part.meeting import open_length
from lathework.part.model import Bore, Part
from lathework.part.relief import shoulders, start_mm
from lathework.planning.holdings.order import Settled, settle
from lathework.planning.operation import quoted
from lathework.planning.otherwise import USUAL, Otherwise, swapped
from lathework.planning.threads.thread_work import CUT_MM, ThreadWork, thread_work_of
from lathework.units import LengthUnit

NO_OIL = "none"
"""How what is put on the tool begins where that is nothing."""
CUT_DRY = f"{NO_OIL} (cut dry)"
DRY = ("dry", NO_OIL, CUT_DRY)
"""How somebody says that nothing is put on the tool."""


@dataclass(frozen=True, slots=True)
class Work:
    """A job with its derived sizes: its threads by section number, its holes, which sections each end takes, and the
    order of work as it was settled; what is done `otherwise` than usual, because a run of that did not go."""

    job: Job
    threads: dict[int, ThreadWork]
    ends: Ends
    bores: tuple[BoreWork, ...]
    settled: Settled
    otherwise: Otherwise = USUAL

    @property
    def order(self) -> Order:
        """The order of work that is planned."""
        return self.settled.order

    @property
    def main(self) -> ThreadWork | None:
        """The first thread that is cut outside; None where the part has only tapped holes."""
        return next(iter(self.threads.values()), None)

    @property
    def lubricant(self) -> str:
        """What is put on the tool: the shop's own where it was said, else what the metal wants."""
        own = self.job.method.lubricant
        if own.strip().lower() in DRY:
            return CUT_DRY
        return quoted(own) or self.job.material.lubricant

    @property
    def dry(self) -> bool:
        """Whether nothing is put on the tool."""
        return self.lubricant.startswith(NO_OIL)

    @property
    def dry_against_advice(self) -> bool:
        """Whether a metal that wants oil is to be cut dry."""
        return self.dry and not self.job.material.lubricant.startswith(NO_OIL)

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

    def off_lathe(self, thread_work: ThreadWork) -> bool:
        """Whether a thread is cut in the vise, when the lathe is done: as chosen, or a taper that no chuck holds."""
        chosen = DIE_HOLDINGS[self.job.method.holder].off_lathe
        return thread_work.cutter.in_holder and (chosen or self.in_vise(thread_work))

    def in_vise(self, thread_work: ThreadWork) -> bool:
        """Whether a taper die takes more than a person turns against a chuck: a ratchet stock, the body in the vise.

        Source: practice.
        """
        if thread_work.taper is None or not thread_work.cutter.in_holder:
            return False
        return taper_torque(cutting_torque(thread_work.thread, self.job.material.cutting_force)).value > HAND_BEARS_NM

    def turned_mm(self, number: int) -> float:
        """Diameter that the lathe tool leaves at section `number` (from 0), in millimetres: where the bar is a little
        under the blank, that of the bar."""
        found = self.threads.get(number)
        return min(found.blank_mm, self.part.stock.corners_mm) if found else nominal_mm(self.part, number)


def racks_of(job: Job) -> Racks:
    """What a job chooses its drills from."""
    return Racks(job.setup.own_drills, job.unit, job.material, job.method.percent)


def work_out(job: Job, otherwise: Otherwise = USUAL) -> Work:
    """Derive what the operations share, where some of it is done `otherwise` than usual."""
    part, ends, method = job.part, ends_of(job.part), job.method
    ends = swapped(ends) if otherwise.swapped else ends
    without_mate, first = replace(method, mate=None), part.thread
    behind = shoulders(part, ends)
    threads = {
        number: thread_work_of(
            section.thread,
            section.class_name,
            method if section.thread == first else without_mate,
            job.setup.groove_blade.mm,
            section.chamfer.mm if section.chamfer is not None else 0.0,
            shoulder=behind.get(number, 0.0) > section.thread.minor_mm,
            cut=section.cut,
        )
        for number, section in enumerate(part.sections)
        if section.thread is not None
    }
    blade = job.setup.groove_blade.mm
    starts = {number: start_mm(part, ends, number, blade) for number in threads}
    threads = {n: replace(found, start_mm=starts[n]) if starts[n] else found for n, found in threads.items()}
    racks = racks_of(job)
    drawn = [bore_work(bore, racks) for bore in part.bores]
    bores = tuple([bore_work(_as_cut(part, bore, drawn, ends, job.unit), racks) for bore in part.bores])
    settled = settle(job, ends, guided=_guided(job, threads), blanks=otherwise.blanks)
    return Work(job, threads, ends, bores, settled, otherwise)


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
    as_bought = thread_work.left_on(bar) or abs(thread_work.blank_mm - bar) < CUT_MM
    return thread_work.cutter.in_holder and as_bought and thread_work.taper is None and not roughed


def _as_cut(part: Part, bore: Bore, drawn: Sequence[BoreWork], ends: Ends, unit: LengthUnit) -> Bore:
    """A hole right through is drilled from the end that is worked first; a tapering one keeps its wide mouth, and a
    threaded one is cut from the end where no wider hole takes its mouth."""
    tapers = bore.thread is not None and bore.thread.taper > 0
    if bore.depth is not None or bore.end == "across" or tapers:
        return bore
    if bore.thread is not None:
        return open_length(part, bore, drawn, unit, near_end(ends))
    return replace(bore, end=near_end(ends))
