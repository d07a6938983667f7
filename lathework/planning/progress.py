"""Where a job of one or several parts stands: a bench for each part, made in order unless another is turned to."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.errors import InputError
from lathework.planning.bench import OF_EVERY_PART, Bench, Entry, bench
from lathework.planning.plan import Plan


@dataclass(frozen=True, slots=True)
class Progress:
    """The bench of each part, in the order of the job; `turned_to` is the one last taken up out of turn, 0 for none."""

    benches: tuple[Bench, ...]
    turned_to: int = 0

    @property
    def number(self) -> int:
        """The part in hand, from 1: the one turned to until it is finished, the first that is not, or the last."""
        open_ones = [n for n, part in enumerate(self.benches, 1) if not part.finished]
        if self.turned_to in open_ones:
            return self.turned_to
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
        return sum(part.opened.get(self.bench.die, 0.0) for part in self.benches)

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
        return sum(
            part.good * len(part.plan.operations) + (0 if part.finished else len(part.done)) for part in self.benches
        )


def progress(plans: Sequence[Plan], entries: Sequence[Entry]) -> Progress:
    """Fold what was recorded over the plan of each part."""
    benches = tuple(
        bench(plan, [entry for entry in entries if entry.part == number or entry.kind in OF_EVERY_PART])
        for number, plan in enumerate(plans, 1)
    )
    return Progress(benches, next((entry.part for entry in reversed(entries) if entry.kind == "turn-to"), 0))


def turn_to(now: Progress, number: int) -> Entry:
    """Take up part `number` (from 1) out of turn. Raises InputError on "part"."""
    if not 1 <= number <= len(now.benches):
        raise InputError("out-of-range", "part", f"This job has {len(now.benches)} parts.")
    if number == now.number:
        raise InputError("not-asked", "part", "That part is in hand already.")
    if now.benches[number - 1].finished:
        raise InputError("finished", "part", "Every piece of that part is made.")
    return Entry("turn-to", now.benches[number - 1].piece, "", part=number)
