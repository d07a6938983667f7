"""Where a job of one or several parts stands: a bench for each part, made in order unless another is turned to."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass

from lathework.bench.bench import Bench, bench
from lathework.bench.entry import Entry
from lathework.bench.fold import State, fold
from lathework.bench.gauge.die import Memory, known_as
from lathework.bench.gauge.die_history import starts_of
from lathework.bench.size.cuts import Cuts
from lathework.bench.tally import Tally, stands_open
from lathework.dies.counted_from import HERE
from lathework.planning.plan import Plan


@dataclass(frozen=True, slots=True)
class Progress:
    """The bench of each part, in the order of the job, and the folded `state` they are made from."""

    benches: tuple[Bench, ...]
    state: State

    @property
    def ids(self) -> tuple[str, ...]:
        """The ids of the parts, in the order of the job."""
        return tuple(part.plan.job.part.id for part in self.benches)

    def number_of(self, part: str) -> int | None:
        """The number, from 1, of the part of that id; None where the job has no such part."""
        return self.ids.index(part) + 1 if part in self.ids else None

    @property
    def number(self) -> int:
        """The part in hand, from 1: the one turned to until it is finished, the first that is not, or the last."""
        open_ones = [n for n, part in enumerate(self.benches, 1) if not part.finished]
        turned_to = self.number_of(self.state.turned_to)
        if turned_to is not None and turned_to in open_ones:
            return turned_to
        return open_ones[0] if open_ones else len(self.benches)

    @property
    def bench(self) -> Bench:
        """The bench of the part in hand."""
        return self.benches[self.number - 1]

    @property
    def finished(self) -> bool:
        """Every piece of every part is made."""
        return all(part.finished for part in self.benches)

    @property
    def quantity(self) -> int:
        """Pieces wanted, of all parts."""
        return sum(part.plan.job.quantity for part in self.benches)

    @property
    def good(self) -> int:
        """Pieces made, of all parts."""
        return sum(part.good for part in self.benches)

    @property
    def scrapped(self) -> int:
        """Pieces scrapped, of all parts."""
        return sum(part.scrapped for part in self.benches)

    @property
    def gauged_pieces(self) -> int:
        """Gaugings recorded, of all parts."""
        return sum(part.gauged_pieces for part in self.benches)

    @property
    def opened_eighths(self) -> float:
        """By how many eighths of a turn the die in use was opened: one die serves every part of its thread."""
        bench = self.bench
        return sum(
            stands_open(tally.opened, bench.die_id, known_as(bench.step, bench.die))
            for tally in self.state.parts.values()
        )

    @property
    def counted_from(self) -> str:
        """Where the setting of the die in use is counted from in this job."""
        own = self.bench.die_id or known_as(self.bench.step, self.bench.die)
        return starts_of(self.state.parts.values()).get(own, HERE)

    @property
    def gauged_enough(self) -> bool:
        """Whether something was gauged, or nothing is to be."""
        asked = any(step.measure == "verdict" for part in self.benches for step in part.plan.operations)
        return self.gauged_pieces > 0 or not asked

    @property
    def steps(self) -> int:
        """Steps of the whole job: each part's, for each of its pieces."""
        return sum(part.plan.job.quantity * len(part.plan.operations) for part in self.benches)

    @property
    def steps_done(self) -> int:
        """Steps of the whole job that are done."""
        return sum(_steps_done(part) for part in self.benches)


def _steps_done(part: Bench) -> int:
    steps = part.plan.operations
    pieces = () if part.finished else (part.done, *part.aside.values())
    in_hand = sum(step.key in done for done in pieces for step in steps)
    return min(part.good, part.plan.job.quantity) * len(steps) + in_hand


def _memory(state: State, before: Memory, part: str) -> Memory:
    """What dies did `before` this job and in all its parts, the one of that id last: its verdicts are spoken of."""
    known = {die: list(trials) for die, trials in before.items()}
    for _, tally in sorted(state.parts.items(), key=lambda one: one[0] == part):
        for die, trials in tally.trials.items():
            known.setdefault(die, []).extend(trials)
    return known


def progress_of(
    plans: Sequence[Plan], state: State, before: Memory | None = None, cuts: Cuts | None = None
) -> Progress:
    """Where a job stands whose history was folded into `state`; `before` is what its dies did in other jobs, `cuts`
    what came off there."""
    ids = [plan.job.part.id for plan in plans]
    starts = starts_of(state.parts.values())
    benches = (
        bench(plan, state.parts.get(part) or Tally(), _memory(state, before or {}, part), cuts or {}, starts)
        for plan, part in zip(plans, ids, strict=True)
    )
    return Progress(tuple(benches), state)


def progress(plans: Sequence[Plan], entries: Iterable[Entry]) -> Progress:
    """Where a job stands after all that was recorded, folded over the plan of each part."""
    state, _ = fold(plans, entries)
    return progress_of(plans, state)
