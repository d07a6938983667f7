"""Why an order is as it is, in sentences; and what would make a job be in time that is late."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from itertools import pairwise
from typing import Literal

from lathework.value import value
from lathework.week.changeover import named, saved, saved_min, shared
from lathework.week.likely import last_of, overs
from lathework.week.model import Booking, Item, Order, Problem
from lathework.week.placing import Placing

Mark = Literal["saves", "waits", "set up"]
MOST_SHARED = 3
LEAST_SAVED_MIN = 3
"""What saves less is not worth a sentence."""
MOST_TRIED = 6
"""Jobs that are tried behind a late one."""


@value
class Reason:
    """A sentence on the order, the job it is of, and how many `minutes` that saves, 0 for none."""

    job: int
    text: str
    mark: Mark
    minutes: int = 0


def _listed(items: tuple[Item, ...]) -> str:
    """Things in a sentence.

    >>> _listed((("bar", "5/8"), ("die", "M6")))
    'the 5/8 bar and the M6 die'
    """
    *most, last = [named(item) for item in items[:MOST_SHARED]]
    return f"{', '.join(most)} and {last}" if most else last


def _at_one_station(order: Order) -> Iterator[list[Booking]]:
    for station in dict.fromkeys(one.task.station for one in order.bookings):
        yield [one for one in order.bookings if one.task.station == station]


def _sharing(problem: Problem, order: Order) -> Iterator[Reason]:
    """Jobs that follow each other because of what may stay set up."""
    for bookings in _at_one_station(order):
        for before, after in pairwise(bookings):
            if before.task.job == after.task.job:
                continue
            items = shared(before.task.holds, after.task.holds)
            if saved(items) >= LEAST_SAVED_MIN:
                text = f"{after.task.title} follows {before.task.title}: both use {_listed(items)}."
                yield Reason(after.task.job, text, "saves", saved_min(problem, after.task.station, items))


def _waiting(problem: Problem, order: Order) -> Iterator[Reason]:
    """Jobs that come after another one that they wait for."""
    titles = {task.ident: task for task in problem.tasks}
    for booking in order.bookings:
        for ident in booking.task.after:
            before = titles.get(ident)
            if before is not None and before.job != booking.task.job:
                yield Reason(booking.task.job, f"{booking.task.title} waits for {before.title}.", "waits")


def _as_set_up(problem: Problem, order: Order) -> Iterator[Reason]:
    """What is done first because the lathe is set up for it."""
    for bookings in _at_one_station(order):
        first = bookings[0]
        standing = problem.standing.get(first.task.station, frozenset())
        kept = standing & first.task.holds
        if saved(kept) >= LEAST_SAVED_MIN and first.task.holds <= standing:
            minutes = saved_min(problem, first.task.station, kept)
            yield Reason(first.task.job, f"{first.task.title} comes first: it is set up now.", "set up", minutes)


def reasons(problem: Problem, order: Order) -> tuple[Reason, ...]:
    """Why the tasks of an order follow each other so, each reason once, what saves most first."""
    told = [*_as_set_up(problem, order), *_waiting(problem, order), *_sharing(problem, order)]
    return tuple(sorted(dict.fromkeys(told), key=lambda one: (one.mark == "saves", -one.minutes)))


def _after_it(placing: Placing, order: Order, job: int, other: int) -> Order:
    """The order when another job is done after a late one."""
    of = {task.ident: n for n, task in enumerate(placing.tasks)}
    sequence = [of[task.ident] for task in order.sequence]
    moved = [at for at in sequence if placing.tasks[at].job == other]
    rest = [at for at in sequence if at not in moved]
    last = max(n for n, at in enumerate(rest) if placing.tasks[at].job == job)
    return placing.order([*rest[: last + 1], *moved, *rest[last + 1 :]])


def _movable(problem: Problem, order: Order, job: int) -> list[int]:
    """Jobs that are done before a late one, those first that are not wanted soon."""
    last = last_of(order, job)
    if last is None:
        return []
    before = dict.fromkeys(one.task.job for one in order.bookings if one.begin < last.begin and one.task.job != job)

    def how_soon(other: int) -> tuple[int, int]:
        due = problem.dues[other]
        return due.weight, -(due.at if due.at is not None else 10**9)

    return sorted(before, key=how_soon)


def would_help(placing: Placing, order: Order, job: int, hours: Callable[[int], str]) -> tuple[str, ...]:
    """What would make a late job be in time: more hours, in words by `hours`, or another job after it."""
    problem, now = placing.problem, overs(placing, order)
    told = [f"{hours(now[job])} more in the shop before then would do."] if now.get(job) else []
    for other in _movable(problem, order, job)[:MOST_TRIED]:
        tried = _after_it(placing, order, job, other)
        then = overs(placing, tried)
        worse = any(then.get(one, now[one] + 1) > now[one] for one in now if one != job)
        if worse or then.get(job, 1) or tried.unplaced != order.unplaced:
            continue
        title = next(task.title for task in problem.tasks if task.job == other)
        return (*told, f"Or do {title} after it." if told else f"Do {title} after it.")
    return tuple(told)
