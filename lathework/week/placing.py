"""Tasks placed one after the other, each as early as hours, station, hands, what is there once, and what it waits for
allow."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from math import inf

from lathework.week.changeover import change_min
from lathework.week.clock import Clock
from lathework.week.model import Booking, Due, Order, Problem, SetUp, Task

LATE, RISKY, SETTING_UP, DONE = 400, 4, 60, 1
"""What counts against each other, in minutes of work and before a job's weight: a minute after its day; a tenth of a
minute that it would be late if all took a third longer; a minute of setting up; a minute until it is done. So an order
is late last of all, leaves room before days, and sets up as little as it may without that (practice)."""
LONGER, OF = 13, 10
"""How much longer all may take before a day that is met is no more sure: thirteen tenths (practice)."""
NEVER_MIN = 60 * 24 * 365
"""How late a job counts that finds no place in the hours (minutes)."""
NOTHING: SetUp = frozenset()


class _Met:
    """How the days of jobs are met as their tasks find places, in minutes of work, and what that costs so far."""

    __slots__ = ("cost", "done", "late", "risky", "wanted", "weights")

    def __init__(self, placing: Placing) -> None:
        self.cost, self.wanted, self.weights = 0, placing.wanted, placing.weights
        self.done, self.late, self.risky = ([0] * len(self.weights) for _ in range(3))

    def ends(self, job: int, hand: int, worked: int) -> None:
        """A task of a job ends when somebody has worked so many minutes (unit: minutes)."""
        weight, over = self.weights[job], worked - self.wanted[job][hand]
        if worked > self.done[job]:
            self.cost += weight * DONE * (worked - self.done[job])
            self.done[job] = worked
        if over > self.late[job]:
            self.cost += weight * LATE * (over - self.late[job])
            self.late[job] = over
        # Were all to take LONGER, by how many OF its parts it would be over.
        over = OF * over + (LONGER - OF) * worked
        if over > self.risky[job]:
            self.cost += weight * RISKY * (over - self.risky[job])
            self.risky[job] = over

    def never(self, job: int) -> None:
        """A task of a job has no place."""
        never = LATE * (NEVER_MIN - self.late[job]) + DONE * (NEVER_MIN - self.done[job])
        self.cost += self.weights[job] * never
        self.done[job] = self.late[job] = NEVER_MIN


class Placing:
    """A problem by numbers, so that thousands of sequences can be tried: tasks, stations and hands as places of
    lists. A sequence is the places of all tasks."""

    def __init__(self, problem: Problem) -> None:
        self.problem = problem
        self.tasks = problem.tasks
        place = {task.ident: n for n, task in enumerate(self.tasks)}
        stations = list(dict.fromkeys(task.station for task in self.tasks))
        self.stations = len(stations)
        self.station = [stations.index(task.station) for task in self.tasks]
        self.clocks = [Clock(person.spans) for person in problem.people]
        self.clock_of = {person.name: clock for person, clock in zip(problem.people, self.clocks, strict=True)}
        self.hands = [self._hands(task) for task in self.tasks]
        self.after = [tuple(place[one] for one in task.after if one in place) for task in self.tasks]
        self.jobs = list(problem.dues)
        of = {job: n for n, job in enumerate(self.jobs)}
        self.job = [of[task.job] for task in self.tasks]
        self.minutes = [task.minutes for task in self.tasks]
        self.ready = [task.ready for task in self.tasks]
        self.dues: list[Due] = list(problem.dues.values())
        self.weights = [due.weight for due in self.dues]
        self.wanted = [
            [clock.until(due.at) if due.at is not None else NEVER_MIN for clock in self.clocks] for due in self.dues
        ]
        never = {self.job[at] for at, hands in enumerate(self.hands) if not hands}
        self.hopeless = sum(self.weights[job] for job in never) * (LATE + DONE) * NEVER_MIN
        """What those jobs cost in any order that nobody may do."""
        things = {item: n for n, item in enumerate(sorted({item for task in self.tasks for item in task.once}))}
        self.things = len(things)
        self.once = [tuple(things[item] for item in task.once) for task in self.tasks]
        self.first = [self._change(problem.standing.get(task.station, NOTHING), task) for task in self.tasks]
        self.change = [[self._change(before.holds, task) for task in self.tasks] for before in self.tasks]

    def _change(self, before: SetUp, task: Task) -> int:
        return change_min(self.problem, task.station, before, task.holds)

    def _hands(self, task: Task) -> tuple[int, ...]:
        return tuple(n for n, person in enumerate(self.problem.people) if person.may_do(task))

    def _earliest(self, at: int, ready: int, minutes: int, free: Sequence[int]) -> tuple[int, int, int, int] | None:
        """Who ends a task first that is ready then: when it ends, when it begins, who that is, and the minutes that
        they have worked by then."""
        best: tuple[int, int, int, int] | None = None
        for hand in self.hands[at]:
            begin = free[hand]
            found = self.clocks[hand].work(begin if begin > ready else ready, minutes)
            if found is not None and (best is None or found[1] < best[0]):
                best = (found[1], found[0], hand, found[2])
        return best

    def _ready(self, at: int, ended: Sequence[int], free: Sequence[int], taken: Sequence[int]) -> int | None:
        """From when a task may be worked at: its station and what is there once are free, and what it waits for has
        ended; None where that has no place."""
        ready, opens = self.ready[at], free[self.station[at]]
        if opens > ready:
            ready = opens
        for thing in self.once[at]:
            if taken[thing] > ready:
                ready = taken[thing]
        for before in self.after[at]:
            end = ended[before]
            if end < 0:
                return None
            if end > ready:
                ready = end
        return ready

    def place(
        self, sequence: Iterable[int], bookings: list[Booking] | None = None, *, dearest: float = inf
    ) -> tuple[int, list[int]]:
        """What the order of a sequence costs, and the places of the tasks that no hours are left for; its bookings are
        added to those that are given. A sequence that costs more than `dearest` (a cost, of no unit) is left where
        that is seen: what is told then is less than it costs, and more than that."""
        ended, stands = [-1] * len(self.tasks), [-1] * self.stations
        free, hands, taken = [0] * self.stations, [0] * len(self.clocks), [0] * self.things
        met = _Met(self)
        unplaced = []
        for at in sequence:
            station, before = self.station[at], stands[self.station[at]]
            setting_up = self.change[before][at] if before >= 0 else self.first[at]
            ready = self._ready(at, ended, free, taken)
            found = None if ready is None else self._earliest(at, ready, setting_up + self.minutes[at], hands)
            if found is None:
                unplaced.append(at)
                met.never(self.job[at])
                continue
            end, begin, hand, worked = found
            ended[at] = free[station] = hands[hand] = end
            for thing in self.once[at]:
                taken[thing] = end
            stands[station] = at
            met.ends(self.job[at], hand, worked)
            met.cost += SETTING_UP * setting_up
            if met.cost > dearest:
                break
            if bookings is not None:
                bookings.append(Booking(self.tasks[at], self.problem.people[hand].name, begin, setting_up, end))
        return met.cost, unplaced

    def order(self, sequence: Iterable[int]) -> Order:
        """The order of a sequence."""
        bookings: list[Booking] = []
        cost, unplaced = self.place(sequence, bookings)
        return Order(tuple(bookings), tuple(self.tasks[at] for at in unplaced), cost)
