"""The plan of a job: its operations in order, and what must be said about the whole."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from lathework.cautions import Caution
from lathework.figures import PRACTICE, Figure, Given
from lathework.job.model import Job
from lathework.methods.head import SET_UP_MIN as HEAD_SET_UP_MIN
from lathework.methods.ways.tools import SET_UP_MIN as TOOL_SET_UP_MIN
from lathework.part.stock import GRIP_MM, SAW_MM, bar_for_batch, bar_for_piece, pieces_from_bar
from lathework.planning.as_measured import Measured, holding_as_measured, work_as_measured
from lathework.planning.asked import asked
from lathework.planning.chucking import Chucking, Placed
from lathework.planning.milling import milling, off_the_lathe, on_its_bar, on_the_bar
from lathework.planning.notice import Notice
from lathework.planning.notices import notices
from lathework.planning.operation import Operation
from lathework.planning.speed_notices import unknown_speeds
from lathework.planning.steps import (
    blade,
    cone,
    edge,
    facing,
    fitting,
    gauging,
    head,
    holding,
    moving,
    neck,
    roughing,
    screwcutting,
    taper,
    threading,
    turning,
)
from lathework.planning.steps.holes import hole, tapping
from lathework.planning.times import batch_time, piece_time
from lathework.planning.ways import chuckings
from lathework.planning.work import Work, work_out
from lathework.planning.zeros import zeroed


@dataclass(frozen=True, slots=True)
class Plan:
    """A job worked out: shared facts, chuckings, operations in order, batch, notices, job-level cautions.

    `asks` are the fields of its document that concern it.
    """

    work: Work
    chuckings: tuple[Chucking, ...]
    operations: tuple[Operation, ...]
    batch: tuple[Figure, ...]
    notices: tuple[Notice, ...]
    cautions: tuple[Caution, ...]
    asks: tuple[str, ...]

    @property
    def job(self) -> Job:
        """The job this is the plan of."""
        return self.work.job

    def operation(self, key: str) -> Operation | None:
        """The operation of that key, or None when the plan has none."""
        return next((o for o in self.operations if o.key == key), None)


def _facing(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Hold and face; or bring the work into a holding whose end is faced already."""
    if not chucking.begins:
        yield moving.move(work, chucking)
        return
    if chucking.second:
        yield holding.hold_again(work, chucking)
    yield facing.face(work, chucking)


def _boring(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Holes along the axis, tapped on the lathe unless that is done in the vise."""
    yield from hole.holes(work, chucking)
    yield from tapping.roughed_out(work, chucking)
    yield from tapping.taps(work, chucking, in_vise=False)


def _turning(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Turn, plunge, lead chamfers."""
    yield from turning.turn(work, chucking)
    for placed in chucking.made:
        yield neck.neck(work, chucking, placed)
        if placed.thread is not None:
            yield blade.relief_groove(work, chucking, placed, placed.thread)
            yield taper.turn_taper(work, chucking, placed, placed.thread)
            yield edge.lead_chamfer(work, chucking, placed, placed.thread)
            yield roughing.rough_out(work, chucking, placed, placed.thread)
        elif placed.section.shape == "knurl":
            yield edge.knurl(work, chucking, placed)
        elif placed.section.taper is not None:
            yield cone.turn_cone(work, chucking, placed, placed.section.taper)


def _shaping(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Everything up to the threads. Holes come after turning, but before a centre is brought up: it runs in them."""
    yield from _facing(work, chucking)
    # What is held short is drilled there, and what runs on a centre before that goes in.
    first = chucking.centred or "turn" not in chucking.does
    if "bore" in chucking.does and first:
        yield from _boring(work, chucking)
    if chucking.begins:
        yield holding.centre(work, chucking)
    if "turn" not in chucking.does:
        return
    yield moving.steady(work, chucking)
    yield from _turning(work, chucking)
    if "bore" in chucking.does and not first:
        yield from _boring(work, chucking)
    for placed in _edges(chucking):
        yield edge.break_edge(work, chucking, placed)


def _edges(chucking: Chucking) -> tuple[Placed, ...]:
    """Sections whose edge toward this chucking's face is broken here; a head's outer edge is at the other end."""
    if chucking.second:
        return chucking.made or chucking.placed[:1]
    head_last = chucking.own == len(chucking.placed) > 1
    return chucking.made[:-1] if head_last else chucking.made


def _threading(work: Work, chucking: Chucking, *, off_lathe: bool) -> Iterator[Operation | None]:
    """Cut and gauge each thread of the chucking, the nearest to the face first: those of the vise, or the others.

    What is cut on the leadscrew comes first, where its blank was turned: a die wants the centre out of its way.
    """
    threaded = [(placed, placed.thread) for placed in chucking.made if placed.thread is not None]
    for placed, found in threaded if "turn" in chucking.does and not off_lathe else ():
        if found.cut == "threading-tool":
            yield from screwcutting.screwcut(work, chucking, placed, found)
            yield gauging.gauge(work, chucking, placed, found)
    for placed, found in threaded if "thread" in chucking.does else ():
        if found.cut == "threading-tool" or work.off_lathe(found) != off_lathe:
            continue
        if found.cut == "die-head":
            yield head.run_head(work, chucking, placed, found)
        else:
            yield threading.run_die(work, chucking, placed, found)
            yield threading.finish_to_shoulder(work, chucking, placed, found)
        yield gauging.gauge(work, chucking, placed, found)


def _parting(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Part off: half way, chamfer behind, through; or at once where the far end is faced later."""
    behind = edge.chamfer_behind(work, chucking)
    left = blade.slot_left(work, chucking, behind.cut) if behind is not None and behind.cut is not None else None
    if left is not None:
        yield blade.begin_parting(work, chucking, left)
        yield behind
    yield blade.part_off(work, chucking, begun=left is not None)


def _in_order(work: Work, ways: tuple[Chucking, ...]) -> Iterator[Operation | None]:
    """Each end in turn, thread before parting off; a die in the vise comes after the lathe; flats come last, or
    on the bar where that is chosen.

    The thread is cut before parting off so that the die runs on a piece still held in the chuck. Source: practice.
    """
    yield holding.saw(work, ways[0])
    for chucking, after in zip(ways, (*ways[1:], None), strict=True):
        yield from _shaping(work, chucking)
        yield from _threading(work, chucking, off_lathe=False)
        if chucking.parted and on_its_bar(work, ways):
            yield from on_the_bar(milling(work, ways))
        yield from _parting(work, chucking)
        if after is not None and after.second and not chucking.second:
            yield moving.saw_off(work, chucking)
    for chucking in ways:
        yield from _threading(work, chucking, off_lathe=True)
    for chucking in ways:
        if "bore" in chucking.does:
            yield from tapping.taps(work, chucking, in_vise=True)
    if not on_its_bar(work, ways):
        yield from milling(work, ways)
    yield fitting.fit(work, ways[-1])


def _more_setting_up(work: Work) -> float:
    """Minutes that the ways of its threads take to set up beyond what a die does; alike ones are set up once."""
    ways = {(found.cut, found.thread.designation): found.cut for found in work.threads.values() if found.cut != "die"}
    return sum(HEAD_SET_UP_MIN if cut == "die-head" else TOOL_SET_UP_MIN for cut in ways.values())


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
    piece = bar_for_piece(overall + ways[0].chucked_mm, kerf, job.unit, ends=ends)
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
    ways = tuple(holding_as_measured(one, work, measured) for one in plan.chuckings)
    return zeroed(_in_order(work, ways), kept=plan.job.setup.tools == "kept")


def make_plan(job: Job) -> Plan:
    """Plan the first part of `job`: how it is held, its operations, bar and time, and what must be said about it."""
    work = work_out(job)
    ways = chuckings(work)
    operations = zeroed(_in_order(work, ways), kept=job.setup.tools == "kept")
    remarks = (*notices(work, ways), *unknown_speeds(job, operations))
    return Plan(
        work=work,
        chuckings=ways,
        operations=operations,
        batch=_batch(work, ways, operations),
        notices=remarks,
        cautions=work.hazards,
        asks=asked(job, remarks, blades=any(operation.zero for operation in operations), milled=off_the_lathe(work)),
    )
