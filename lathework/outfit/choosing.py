"""Which way to take for each thread of a job: with what the shop has, on its lathe, for so many pieces."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace

from lathework.methods.ways.choose import Chart, Weighed, chart, cheapest, rank, what_changes
from lathework.methods.ways.contract import Choice, Wanted
from lathework.planning.plan import Plan
from lathework.planning.threads.wanted import wanted_inside, wanted_outside
from lathework.shop.kinds import beside
from lathework.shop.kinds.kind import Owned
from lathework.threads.thread import Thread

AS_QUICK = 1.25
"""A way that takes no more than so many times the quickest is as good (practice)."""


@dataclass(frozen=True, slots=True)
class Choosing:
    """The ways for one thread of a part, the best first; `id` is that of its section or hole, `taken` the code of the
    way the job takes. `changes` would change the order, `cheapest` is what would have to be had where none serves."""

    id: str
    thread: Thread
    inside: bool
    taken: str
    ways: tuple[Weighed, ...]
    chart: Chart
    changes: tuple[str, ...]
    cheapest: str

    @property
    def best(self) -> Weighed:
        """The way to take."""
        return self.ways[0]

    @property
    def chosen(self) -> Weighed | None:
        """The way the job takes; None for one that is no way of its own."""
        return next((way for way in self.ways if way.code == self.taken), None)

    @property
    def agrees(self) -> bool:
        """Whether the job takes the best, or one that serves and takes hardly longer."""
        taken = self.chosen
        return taken is not None and taken.serves and taken.whole.value <= AS_QUICK * self.best.whole.value

    @property
    def words(self) -> str:
        """The way that is taken, and what is to be said of it: why it does not serve, or what would be quicker."""
        taken = self.chosen
        named = f"{self.thread.designation}: {taken.name if taken else self.taken}"
        if self.agrees:
            return named
        if self.cheapest:
            return f"{named}. {self.cheapest}"
        why = next(iter((*taken.refused, *taken.missed)), "") if taken else ""
        return (
            (f"{named}, but {why}; use {self.best.name} instead")
            if why
            else f"{named}; {self.best.name} would be quicker"
        )


def _choosing(own: str, wanted: Wanted, taken: str) -> Choosing:
    ways = rank(wanted)
    told = chart(ways, wanted.pieces, taken), what_changes(ways, wanted.pieces), cheapest(ways)
    return Choosing(own, wanted.thread, wanted.inside, taken, ways, *told)


def choosings(plan: Plan, things: Sequence[Owned]) -> Iterator[Choosing]:
    """The ways for each thread of a plan, those outside first; holes across are tapped as they were drilled."""
    work, method = plan.work, plan.job.method
    shop = tuple(beside(things, plan.job.setup.machine)) or None
    for number in work.threads:
        section = work.part.sections[number]
        code = method.holder if section.cutter.in_holder else section.cut
        yield _choosing(section.id, replace(wanted_outside(work, number), things=shop), code)
    for found in work.bores:
        bore = found.bore
        if bore.thread is not None and bore.end != "across":
            on_bar = any(way.on_bar for way in plan.chuckings if way.faces == bore.end)
            wanted = wanted_inside(work, found, bore.thread, on_bar=on_bar)
            driven = bore.cut if bore.cutter.on_leadscrew else method.tapping
            yield _choosing(bore.id, replace(wanted, things=shop), driven)


def field_of(choosing: Choosing, plan: Plan, choice: Choice) -> Choice:
    """A field that a way takes, as the document of its part has it: "cut" is the section's or the hole's own."""
    field, value = choice
    if field != "cut":
        return choice
    part = plan.job.part
    ids = [bore.id for bore in part.bores] if choosing.inside else [section.id for section in part.sections]
    return f"part.{'bores' if choosing.inside else 'sections'}.{ids.index(choosing.id)}.cut", value
