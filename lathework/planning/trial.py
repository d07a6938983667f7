"""A plan run on the lathe before it is shown, and what is tried otherwise where it would not go."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from lathework.job.model import Job
from lathework.lathe.breach import Breach
from lathework.lathe.metal import Metal
from lathework.lathe.outline import Stretch
from lathework.lathe.run import Run, run
from lathework.lathe.standing import Lathe, Machine
from lathework.planning.chucking import Chucking
from lathework.planning.operation import Operation
from lathework.planning.otherwise import USUAL, Otherwise, way_out
from lathework.planning.sequence import in_order
from lathework.planning.ways import chuckings
from lathework.planning.work import Work, work_out
from lathework.planning.zeros import zeroed


def _before(work: Work) -> Lathe:
    """The lathe before the first step: the bar, or the part that is kept, and nothing holding it."""
    part, setup = work.part, work.job.setup
    whole, bar = part.overall_mm, part.stock.corners_mm
    # Bar goes on past both ends of the piece until it is faced and parted.
    metal = Metal(whole, (Stretch(-whole, 2 * whole, bar, bar),))
    return Lathe(metal, Machine(setup.bore.mm if setup.bore is not None else None, setup.parting_blade.mm))


def run_of(work: Work, operations: Iterable[Operation]) -> Run:
    """The plan done act by act."""
    return run(_before(work), (act for operation in operations for act in operation.acts))


@dataclass(frozen=True, slots=True)
class Tried:
    """A plan that was run: what it is made of, and what did not hold."""

    work: Work
    ways: tuple[Chucking, ...]
    operations: tuple[Operation, ...]
    breaches: tuple[Breach, ...]


def _tried(job: Job, otherwise: Otherwise) -> Tried:
    work = work_out(job, otherwise)
    ways = chuckings(work)
    operations = zeroed(in_order(work, ways), kept=job.setup.tools == "kept")
    return Tried(work, ways, operations, run_of(work, operations).breaches)


def that_goes(job: Job) -> tuple[Tried, tuple[Breach, ...]]:
    """The usual plan where it goes; else one with each fault mended that another order, holding or way mends, and those
    faults."""
    best, mended = _tried(job, USUAL), list[Breach]()
    # Sawn blanks first: a bar that is not parted off need not pass the spindle.
    for breach in sorted(best.breaches, key=lambda one: one.code != "blade-reach"):
        other = way_out(best.work.otherwise, breach) if breach in best.breaches else None
        if other is None or (breach.code == "grip-lever" and job.method.overruled):
            continue
        tried = _tried(job, other)
        if breach not in tried.breaches and len(tried.breaches) <= len(best.breaches):
            mended.append(breach)
            best = tried
    return best, tuple(mended)
