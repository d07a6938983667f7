"""Where a job of one or several parts stands: a bench for each part, made one after the other."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.planning.bench import Bench, Entry, bench
from lathework.planning.plan import Plan


@dataclass(frozen=True, slots=True)
class Progress:
    """The bench of each part, in the order they are made."""

    benches: tuple[Bench, ...]

    @property
    def number(self) -> int:
        """The part in hand, from 1: the first that is not finished, or the last."""
        open_ones = [n for n, part in enumerate(self.benches, 1) if not part.finished]
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
    """Fold what was recorded over the plan of each part; a caution that was read holds for all of them."""
    return Progress(
        tuple(
            bench(plan, [entry for entry in entries if entry.part == number or entry.kind == "read"])
            for number, plan in enumerate(plans, 1)
        )
    )
