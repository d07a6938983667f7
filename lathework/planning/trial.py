"""A plan run on the lathe before it is shown, and what is tried otherwise where it would not go."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import dataclass

from lathework.job.model import Job
from lathework.lathe.breach import Breach, Code
from lathework.lathe.metal import Metal
from lathework.lathe.outline import Stretch
from lathework.lathe.run import Run, run
from lathework.lathe.standing import Lathe, Machine
from lathework.part.fitted import section_limits
from lathework.part.model import Part
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.holdings.run_of_holdings import chuckings
from lathework.planning.operation import Operation
from lathework.planning.otherwise import USUAL, Otherwise, ways_out
from lathework.planning.sequence import steps
from lathework.planning.work import Work, work_out


def _before(work: Work) -> Lathe:
    """The lathe before the first step: the bar, or the part that is kept, and nothing holding it."""
    part, setup = work.part, work.job.setup
    whole, bar = part.overall_mm, part.stock.corners_mm
    # Bar goes on past both ends of the piece until it is faced and parted.
    metal = Metal(whole, (Stretch(-whole, 2 * whole, bar, bar),))
    return Lathe(metal, Machine(setup.bore.mm if setup.bore is not None else None, setup.parting_blade.mm))


def run_of(work: Work, operations: Iterable[Operation]) -> Run:
    """The plan done act by act."""
    done = run(_before(work), (act for operation in operations for act in operation.acts))
    return Run(done.end, (*done.breaches, *_not_made(work.part, done.end.metal)))


def _not_made(part: Part, metal: Metal) -> Iterator[Breach]:
    """What was asked for and no act made: a fit that nothing turned to its limits, a thread that nothing cut."""
    near = 0.0
    for section in part.sections:
        far = near + section.length.mm
        middle = (near + far) / 2
        if section_limits(section) is not None and not any(a <= middle <= b for a, b in metal.fitted):
            yield Breach("not-made", section.id, {})
        if section.thread is not None and section.id not in metal.threaded:
            yield Breach("not-made", section.id, {})
        near = far
    for bore in part.bores:
        if bore.thread is not None and bore.id not in metal.threaded:
            yield Breach("not-made", bore.id, {})


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
    operations = steps(work, ways)
    return Tried(work, ways, operations, run_of(work, operations).breaches)


def _in_vain(work: Work, breach: Breach, other: Otherwise) -> bool:
    """Whether doing `other` wise changes nothing: a part of one end, a holding that somebody insists on, bar that no
    steady runs on."""
    if other.swapped and not work.otherwise.swapped:
        return not work.ends.second
    if other.steadied != work.otherwise.steadied:
        return work.part.stock.form != "round"
    return breach.code == "grip-lever" and bool(work.job.method.overruled)


def _first_mended(breach: Breach) -> int:
    """Which fault is mended before which: sawn blanks first, since a bar that is not parted off need not pass the
    spindle; then which end is first; what each holding wants last."""
    order: tuple[tuple[Code, ...], ...] = (("blade-reach",), ("bar-over-bore",), ("slips", "tail-over-bore"))
    return next((place for place, codes in enumerate(order) if breach.code in codes), len(order))


def _better(job: Job, best: Tried) -> tuple[Tried, Breach] | None:
    """A plan with one fault less, or another in place of one that is mended; None where no way out is known."""
    for breach in sorted(best.breaches, key=_first_mended):
        for other in ways_out(best.work.otherwise, breach):
            if _in_vain(best.work, breach, other):
                continue
            tried = _tried(job, other)
            fewer = len(tried.breaches) < len(best.breaches)
            another = len(tried.breaches) == len(best.breaches)
            alike = any(one.code == breach.code for one in tried.breaches)
            if breach not in tried.breaches and (fewer or (another and not alike)):
                return tried, breach
    return None


def that_goes(job: Job) -> tuple[Tried, tuple[Breach, ...]]:
    """The usual plan where it goes; else one with each fault mended that another order, holding or way mends, and those
    faults."""
    best, mended = _tried(job, USUAL), list[Breach]()
    # What is done otherwise only grows: this ends.
    while best.breaches and (better := _better(job, best)) is not None:
        best, breach = better
        mended.append(breach)
    return best, tuple(mended)
