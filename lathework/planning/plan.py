"""The plan of a job: its operations in order, and what must be said about the whole."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.figures import Figure
from lathework.part import Job
from lathework.planning import threading_steps, turning_steps
from lathework.planning.operation import Operation
from lathework.planning.times import batch_time, piece_time
from lathework.planning.work import Work, work_out
from lathework.rules import cautions
from lathework.rules.cautions import Caution
from lathework.rules.stock import bar_for_batch, bar_for_piece

SHORT_THREAD = 2.0
"""A groove that leaves fewer full threads than this many groove widths is remarked on."""


@dataclass(frozen=True, slots=True)
class Notice:
    """A coded remark on the job as a whole: the field it concerns and what to do."""

    code: str
    field: str
    text: str


@dataclass(frozen=True, slots=True)
class Plan:
    """A job worked out: shared facts, operations in order, bar and time for the batch, notices, job-level cautions."""

    work: Work
    operations: tuple[Operation, ...]
    batch: tuple[Figure, ...]
    notices: tuple[Notice, ...]
    cautions: tuple[Caution, ...]

    @property
    def job(self) -> Job:
        """The job this is the plan of."""
        return self.work.job

    def operation(self, key: str) -> Operation | None:
        """The operation of that key, or None when the plan has none."""
        return next((o for o in self.operations if o.key == key), None)


def _notices(work: Work) -> tuple[Notice, ...]:
    out = []
    part = work.job.part
    if not work.blank.within_class:
        out.append(Notice("blank-outside-class", "method.blank_school", work.blank.verdict))
    if work.blank_mm > part.stock_diameter.mm:
        out.append(Notice("bar-under-blank", "part.stock_diameter", "The bar is already under the blank diameter."))
    if work.groove is not None and work.in_mm(work.groove.width) * SHORT_THREAD > part.thread_length.mm:
        out.append(
            Notice(
                "groove-eats-thread", "method.finish", "The groove takes half the thread: turn the die round instead."
            )
        )
    if work.job.identified is not None:
        out.append(Notice("identified", "part.thread", work.job.identified.words))
    out += [Notice("thread-note", "part.thread", note) for note in part.thread.notes]
    return tuple(out)


def _batch(work: Work, operations: tuple[Operation, ...]) -> tuple[Figure, ...]:
    """Bar and time, for a piece and for the batch."""
    job = work.job
    piece = bar_for_piece(job.part.overall_length.mm, job.setup.parting_blade.mm, job.unit)
    minutes = piece_time(work, operations)
    return (piece, bar_for_batch(job.quantity, piece), minutes, batch_time(job.quantity, minutes))


def make_plan(job: Job) -> Plan:
    """Order the operations of `job`: shoulders first, then the blank, the groove, the lead, the die, the nut, the saw.

    The thread is cut before parting off so that the die runs on a piece still held in the chuck. Source: practice.
    """
    work = work_out(job)
    steps = (
        turning_steps.face(work),
        turning_steps.turn_shank(work),
        turning_steps.turn_blank(work),
        turning_steps.cut_groove(work),
        turning_steps.cut_chamfer(work),
        threading_steps.run_die(work),
        threading_steps.finish_to_shoulder(work),
        threading_steps.gauge(work),
        turning_steps.part_off(work),
    )
    operations = tuple(step for step in steps if step is not None)
    return Plan(
        work=work,
        operations=operations,
        batch=_batch(work, operations),
        notices=_notices(work),
        cautions=(cautions.PRESSURE,) if job.pressure else (),
    )
