"""The plan of a job: its operations in order, and what must be said about the whole."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.cautions import Caution
from lathework.figures import PRACTICE, Figure, Given
from lathework.job.model import Job
from lathework.part.stock import GRIP_MM, SAW_MM, bar_for_batch, bar_for_piece, pieces_from_bar
from lathework.planning.as_measured import Measured, holding_as_measured, work_as_measured
from lathework.planning.asked_fields import asked
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.holdings.run_of_holdings import chuckings
from lathework.planning.milling import off_the_lathe
from lathework.planning.notice import Notice
from lathework.planning.operation import Operation
from lathework.planning.remarks.meeting_notices import meeting_notices
from lathework.planning.remarks.notices import notices
from lathework.planning.remarks.run_notices import run_notices
from lathework.planning.remarks.speed_notices import unknown_speeds
from lathework.planning.sequence import steps
from lathework.planning.steps.off_lathe.sawing import stub_mm
from lathework.planning.times import PIECE_TIME, batch_time, piece_time
from lathework.planning.trial import that_goes
from lathework.planning.work import Work, work_out


@dataclass(frozen=True, slots=True)
class Plan:
    """A job worked out: shared facts, chuckings, operations in order, batch, notices, job-level cautions.

    A part that cannot be made as it is has no operations. `asks` are the fields of its document that concern it.
    """

    work: Work
    chuckings: tuple[Chucking, ...]
    operations: tuple[Operation, ...]
    batch: tuple[Figure, ...]
    notices: tuple[Notice, ...]
    cautions: tuple[Caution, ...]
    asks: tuple[str, ...]

    @property
    def goes(self) -> bool:
        """Whether there are steps to make it by; the notices of a part without say why."""
        return bool(self.operations)

    @property
    def job(self) -> Job:
        """The job this is the plan of."""
        return self.work.job

    @property
    def minutes(self) -> dict[str, float]:
        """The minutes that each step takes, by its key: its share of the time for a piece."""
        piece = next(one for one in self.batch if one.name == PIECE_TIME)
        return {step.key: given.value for step, given in zip(self.operations, piece.inputs, strict=True)}

    def operation(self, key: str) -> Operation | None:
        """The operation of that key, or None when the plan has none."""
        return next((step for step in self.operations if step.key == key), None)


def _more_setting_up(work: Work) -> float:
    """Minutes that the ways of its threads take to set up beyond what a die does; alike ones are set up once."""
    set_up = {(found.cut, found.thread.designation): found.cutter.set_up_min for found in work.threads.values()}
    return sum(set_up.values())


def _batch(work: Work, ways: tuple[Chucking, ...], operations: tuple[Operation, ...]) -> tuple[Figure, ...]:
    """Bar and time, for a piece and for the batch."""
    job, overall = work.job, work.part.overall_mm
    minutes = piece_time(job, operations)
    times = (minutes, batch_time(job.quantity, minutes, len(operations), _more_setting_up(work)))
    if work.part.stock.one_ended:
        return (_bolts(job.quantity), *times) if work.part.stock.form == "bolt" else times
    ends = sum(operation.kind == "face" for operation in operations)
    parted = work.order == "from-the-bar"
    kerf, grip = (job.setup.parting_blade.mm, GRIP_MM) if parted else (SAW_MM, 0.0)
    jaws = ways[0].chucked_mm + stub_mm(ways[0])
    piece = bar_for_piece(overall, kerf, job.unit, ends=ends, jaws_mm=jaws)
    bars: tuple[Figure, ...] = ()
    if work.part.stock.bar_length is not None:
        bars = (pieces_from_bar(work.part.stock.bar_length.mm, piece, grip_mm=grip),)
    return (piece, bar_for_batch(job.quantity, piece, grip_mm=grip), *bars, *times)


def _bolts(pieces: int) -> Figure:
    return Figure("bolts", pieces, "bolt", "pieces", PRACTICE, (Given("pieces", pieces),))


def make_plans(job: Job) -> tuple[Plan, ...]:
    """A plan for each part of `job`, in the order they are made."""
    return tuple(make_plan(part) for part in job.parts)


def operations_as_measured(plan: Plan, measured: Measured) -> tuple[Operation, ...]:
    """The steps of `plan` with the diameters that were `measured` in place of the planned ones, held and ordered as it
    has them."""
    work = work_as_measured(plan.work, measured)
    ways = tuple(holding_as_measured(chucking, work, measured) for chucking in plan.chuckings)
    return steps(work, ways)


def _without_steps(job: Job, why_none: tuple[Notice, ...]) -> Plan:
    """A part that cannot be made as it is: it is drawn, and says why; nothing is planned of it."""
    work = work_out(job)
    blades, milled = False, off_the_lathe(work)
    asks = asked(job, why_none, blades=blades, milled=milled)
    return Plan(work, chuckings(work), (), (), why_none, work.hazards, asks)


def make_plan(job: Job) -> Plan:
    """Plan the first part of `job`: how it is held, its operations, bar and time, and what must be said about it."""
    why_none = tuple(meeting_notices(job))
    if why_none:
        return _without_steps(job, why_none)
    tried, mended = that_goes(job)
    work, ways, operations = tried.work, tried.ways, tried.operations
    remarks = (
        *run_notices(work, mended, tried.breaches),
        *notices(work, ways, tried.breaches),
        *unknown_speeds(job, operations),
    )
    return Plan(
        work=work,
        chuckings=ways,
        operations=operations,
        batch=_batch(work, ways, operations),
        notices=remarks,
        cautions=work.hazards,
        asks=asked(job, remarks, blades=any(operation.zero for operation in operations), milled=off_the_lathe(work)),
    )
