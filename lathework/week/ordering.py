"""An order of the week: rules of thumb, the best of them bettered by moving tasks about."""

from __future__ import annotations

import math
from collections.abc import Callable, Iterator, Sequence
from random import Random

from lathework.week.model import Order, Task
from lathework.week.placing import Placing

TRIES = 900
"""Orders that are tried at once: a few tenths of a second for forty jobs."""
WARM, COLD = 0.04, 0.0002
"""How much dearer an order may be that is tried from, at the first and at the last, as a share of what it costs."""
CHANGED_JOBS, CHANGED_TASKS, WHOLE_JOBS = 0.3, 0.3, 0.2
"""How many of the moves change two jobs for each other, two tasks, or take a whole job elsewhere; the rest one task."""
NEAR = 25.0
"""How far a task is moved in the mean, in places."""
SAME_DAYS_MIN = 2 * 24 * 60
FAR = 10**6
_Key = Callable[[Task], tuple[int, ...]]


class Ordering:
    """Sequences of the tasks of a problem, none before what it waits for."""

    def __init__(self, placing: Placing) -> None:
        self.placing = placing

    def _due(self, task: Task) -> int:
        at = self.placing.problem.dues[task.job].at
        return FAR if at is None else at

    def _weight(self, task: Task) -> int:
        return self.placing.problem.dues[task.job].weight

    def in_turn(self, worth: Callable[[int, Sequence[int]], tuple[int, ...]]) -> list[int]:
        """A sequence by what each task is worth beside those before it, the least first."""
        waiting, done, sequence = list(range(len(self.placing.tasks))), set[int](), list[int]()
        while waiting:
            free = [at for at in waiting if done.issuperset(self.placing.after[at])]
            # A circle is refused where it is said; what is left of one comes last.
            first = min(free or waiting, key=lambda at: worth(at, sequence))
            waiting.remove(first)
            sequence.append(first)
            done.add(first)
        return sequence

    def _by(self, key: _Key) -> list[int]:
        return self.in_turn(lambda at, _: key(self.placing.tasks[at]))

    def _set_up_next(self, at: int, sequence: Sequence[int]) -> tuple[int, int, int]:
        """What takes the least setting up, of tasks of about the same day."""
        placing = self.placing
        before = next((one for one in reversed(sequence) if placing.station[one] == placing.station[at]), None)
        takes = placing.first[at] if before is None else placing.change[before][at]
        due = self._due(placing.tasks[at])
        return due // SAME_DAYS_MIN, takes, due

    def rules(self) -> Iterator[list[int]]:
        """By date; by date, heavy ones earlier; heavy ones first; the shortest for its weight; the least setting up."""
        minutes: dict[int, int] = {}
        for task in self.placing.tasks:
            minutes[task.job] = minutes.get(task.job, 0) + task.minutes
        yield self._by(lambda task: (self._due(task), -self._weight(task), task.job))
        yield self._by(lambda task: (self._due(task) - SAME_DAYS_MIN * self._weight(task), task.job))
        yield self._by(lambda task: (-self._weight(task), self._due(task), task.job))
        yield self._by(lambda task: (minutes[task.job] // self._weight(task), self._due(task), task.job))
        yield self.in_turn(self._set_up_next)

    def as_known(self, known: Sequence[str]) -> list[int]:
        """The tasks in a sequence that was good before, by their ids; those new to it behind the one before them by
        date."""
        rank = {ident: 2 * n for n, ident in enumerate(known)}
        last = -1
        for at in next(self.rules()):
            ident = self.placing.tasks[at].ident
            last = rank.setdefault(ident, last + 1 if last % 2 == 0 else last)
        return self._by(lambda task: (rank[task.ident],))

    def may_move(self, sequence: Sequence[int], taken: int, put: int) -> bool:
        """Whether a task may be put elsewhere: none it passes waits for it, and it for none of them."""
        after, moved = self.placing.after, sequence[taken]
        if put > taken:
            return all(moved not in after[passed] for passed in sequence[taken + 1 : put + 1])
        return all(passed not in after[moved] for passed in sequence[put:taken])

    def _keeps(self, sequence: Sequence[int]) -> bool:
        """Whether none of the tasks comes before what it waits for."""
        place = {at: n for n, at in enumerate(sequence)}
        return all(place[first] < place[at] for at in sequence for first in self.placing.after[at])

    def _one_moved(self, sequence: list[int], random: Random) -> list[int] | None:
        """The sequence with one task elsewhere; None where it would pass what it waits for."""
        count = len(sequence)
        taken, far = random.randrange(count), 1 + int(random.expovariate(1 / NEAR))
        put = min(count - 1, max(0, taken + random.choice((-far, far))))
        if put == taken or not self.may_move(sequence, taken, put):
            return None
        tried = sequence[:taken] + sequence[taken + 1 :]
        tried.insert(put, sequence[taken])
        return tried

    def _job_moved(self, sequence: list[int], random: Random) -> list[int] | None:
        """The sequence with all tasks of a job elsewhere, one behind the other."""
        placing = self.placing
        job = placing.job[random.choice(sequence)]
        own = [at for at in sequence if placing.job[at] == job]
        rest = [at for at in sequence if placing.job[at] != job]
        put = random.randint(0, len(rest))
        tried = [*rest[:put], *own, *rest[put:]]
        return tried if self._keeps(tried) else None

    def _tasks_changed(self, sequence: list[int], random: Random) -> list[int] | None:
        """The sequence with two tasks in each other's place."""
        one, other = random.sample(range(len(sequence)), 2)
        tried = list(sequence)
        tried[one], tried[other] = tried[other], tried[one]
        return tried if self._keeps(tried) else None

    def _jobs_changed(self, sequence: list[int], random: Random) -> list[int] | None:
        """The sequence with two jobs in each other's place, each where the other began: what is too much for a week is
        then left of the other one."""
        of = self.placing.job
        one, other = (of[random.choice(sequence)] for _ in range(2))
        if one == other:
            return None
        waiting = {one: [at for at in sequence if of[at] == other], other: [at for at in sequence if of[at] == one]}
        tried: list[int] = []
        for at in sequence:
            if of[at] in (one, other):
                tried += waiting.pop(of[at], [])
            else:
                tried.append(at)
        return tried if self._keeps(tried) else None

    def _moved(self, sequence: list[int], random: Random) -> list[int] | None:
        """The sequence with something elsewhere; None where that cannot be."""
        which = random.random()
        if which < CHANGED_JOBS:
            return self._jobs_changed(sequence, random)
        if which < CHANGED_JOBS + CHANGED_TASKS:
            return self._tasks_changed(sequence, random)
        if which < CHANGED_JOBS + CHANGED_TASKS + WHOLE_JOBS:
            return self._job_moved(sequence, random)
        return self._one_moved(sequence, random)

    def search(
        self,
        sequence: Sequence[int],
        tries: int,
        random: Random,
        *,
        warm: float = 0.0,
        better: Callable[[int, Sequence[int]], bool] = lambda cost, sequence: True,
    ) -> tuple[int, list[int]]:
        """The cheapest sequence met in so many `tries` of moving a task, and its cost; while `warm` (a share of the
        cost, a bare number of no unit) dearer ones are gone on from too. `better` is told of each that is cheaper than
        all before; the search ends where it says so."""
        now = best = list(sequence)
        costs = least = self.placing.place(now)[0]
        for at in range(tries if len(now) > 1 else 0):
            tried = self._moved(now, random)
            if tried is None:
                continue
            heat = warm * (COLD / WARM) ** (at / tries) * max(costs - self.placing.hopeless, 1)
            # How much dearer it may be is drawn first: most of what is tried is left long before its end.
            dearest = costs - heat * math.log(1 - random.random())
            cost = self.placing.place(tried, dearest=dearest)[0]
            if cost <= dearest:
                now, costs = tried, cost
                if cost < least:
                    least, best = cost, tried
                    if not better(least, best):
                        break
        return least, best


def simple_order(placing: Placing, known: Sequence[str] = (), *, tries: int = TRIES) -> Order:
    """An order at once, the same one whenever it is asked; `known` is a sequence that was good before, by its ids."""
    ordering = Ordering(placing)
    starts = list(ordering.rules()) if placing.tasks else []
    if known and starts:
        starts.append(ordering.as_known(known))
    costs = sorted((placing.place(start)[0], start) for start in starts)
    if not costs:
        return Order(())
    found = [ordering.search(start, tries // 3, Random(7)) for _, start in costs[:3]]
    return placing.order(min(found)[1])
