"""The best order of a week by a constraint solver. It is loaded by the process that searches alone: the server never
does."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, field, replace
from itertools import pairwise
from typing import Any

from ortools.sat.python import cp_model

from lathework.week.changeover import change_min
from lathework.week.clock import Clock
from lathework.week.model import Order, Person, Problem, Task
from lathework.week.placing import DONE, LATE, LONGER, NEVER_MIN, NOTHING, OF, RISKY, SETTING_UP, Placing

WORKERS = 2
HALF = 0.5
"""What the solver's own arithmetic leaves of a whole number."""
Found = Callable[[int, Sequence[int]], None]


@dataclass(slots=True)
class _Work:
    """A task among the solver's variables: when it begins and ends (minutes from now), who does it, how long it is set
    up."""

    task: Task
    begin: cp_model.IntVar
    end: cp_model.IntVar
    setting_up: cp_model.IntVar
    by: dict[str, cp_model.IntVar] = field(default_factory=dict)
    worked: dict[str, cp_model.IntVar] = field(default_factory=dict)
    """What each of those who may do it has worked when it ends."""


class Model:
    """The problem as the solver has it: tasks on the hours of who does them, one at a time at each station, set up as
    the one before left it."""

    def __init__(self, problem: Problem, start: Order) -> None:
        self.problem = problem
        self.known = {booking.task.ident: booking for booking in start.bookings}
        self.model = cp_model.CpModel()
        self.horizon = max((person.spans[-1].end for person in problem.people if person.spans), default=0)
        self.work = {task.ident: self._work(task) for task in problem.tasks}
        self.intervals: dict[str, list[cp_model.IntervalVar]] = {person.name: [] for person in problem.people}
        for one in self.work.values():
            self._by_somebody(one)
            for before in one.task.after:
                if before in self.work:
                    self.model.add(one.begin >= self.work[before].end)
        for together in self.intervals.values():
            self.model.add_no_overlap(together)
        for station in dict.fromkeys(task.station for task in problem.tasks):
            self._one_after_the_other([one for one in self.work.values() if one.task.station == station], station)
        self._there_once()
        self._wanted()

    def _there_once(self) -> None:
        """What the shop has once is in one lathe at a time."""
        for item in {item for task in self.problem.tasks for item in task.once}:
            own = [one for one in self.work.values() if item in one.task.once]
            if len({one.task.station for one in own}) > 1:
                spans = [(one, self.model.new_int_var(0, self.horizon, "")) for one in own]
                self.model.add_no_overlap(
                    self.model.new_interval_var(one.begin, takes, one.end, "") for one, takes in spans
                )

    def _work(self, task: Task) -> _Work:
        new = self.model.new_int_var
        most = change_min(self.problem, task.station, NOTHING, task.holds)
        begin = new(min(task.ready, self.horizon), self.horizon, "")
        one = _Work(task, begin, new(0, self.horizon, ""), new(0, most, ""))
        known = self.known[task.ident]
        for variable, value in ((begin, known.begin), (one.end, known.end), (one.setting_up, known.setting_up)):
            self.model.add_hint(variable, value)
        return one

    def _by_somebody(self, one: _Work) -> None:
        """One of those who may does it, in hours of theirs: counted as minutes of their work, so that closed hours in
        between take none."""
        for person in self.problem.people:
            if not person.may_do(one.task) or not person.spans:
                continue
            here = one.by[person.name] = self.model.new_bool_var("")
            hours = [0, *Clock(person.spans).worked]
            known = self.known[one.task.ident]
            mine = known.person == person.name
            self.model.add_hint(here, mine)
            first, last = (self.model.new_int_var(0, hours[-1], "") for _ in range(2))
            one.worked[person.name] = last
            if mine:
                self.model.add_hint(first, Clock(person.spans).until(known.begin))
                self.model.add_hint(last, Clock(person.spans).until(known.end))
            takes = one.task.minutes + one.setting_up
            self.intervals[person.name].append(self.model.new_optional_interval_var(first, takes, last, here, ""))
            self._on_the_clock(person, hours, here, first, one.begin, known.begin if mine else None, begins=True)
            self._on_the_clock(person, hours, here, last, one.end, known.end if mine else None, begins=False)
        self.model.add_exactly_one(one.by.values())

    def _on_the_clock(
        self,
        person: Person,
        hours: Sequence[int],
        here: cp_model.IntVar,
        work: cp_model.IntVar,
        clock: cp_model.IntVar,
        known: int | None,
        *,
        begins: bool,
    ) -> None:
        """Tie minutes of work to the clock, stretch by stretch: what begins lies before its end, what ends after its
        beginning."""
        within = []
        for span, (low, high) in zip(person.spans, pairwise(hours), strict=True):
            inside = self.model.new_bool_var("")
            within.append(inside)
            if known is None:
                self.model.add_hint(inside, False)
            else:
                self.model.add_hint(
                    inside, span.begin <= known < span.end if begins else span.begin < known <= span.end
                )
            least, most = (low, high - 1) if begins else (low + 1, high)
            self.model.add(work >= least).only_enforce_if(inside)
            self.model.add(work <= most).only_enforce_if(inside)
            self.model.add(clock == work + span.begin - low).only_enforce_if(inside)
        self.model.add(sum(within) == here)

    def _one_after_the_other(self, works: Sequence[_Work], station: str) -> None:
        """A station does one task at a time; what follows is set up from what went before."""
        arcs: list[tuple[int, int, cp_model.LiteralT]] = []
        turn = sorted(works, key=lambda one: self.known[one.task.ident].begin)
        after = {b.task.ident: a.task.ident for a, b in pairwise(turn)}
        standing = self.problem.standing.get(station, NOTHING)
        for number, one in enumerate(works, 1):
            first, last = self.model.new_bool_var(""), self.model.new_bool_var("")
            arcs += [(0, number, first), (number, 0, last)]
            self.model.add_hint(first, one is turn[0])
            self.model.add_hint(last, one is turn[-1])
            takes = change_min(self.problem, station, standing, one.task.holds)
            self.model.add(one.setting_up == takes).only_enforce_if(first)
            for other_number, other in enumerate(works, 1):
                if other_number == number:
                    continue
                follows = self.model.new_bool_var("")
                arcs.append((number, other_number, follows))
                self.model.add_hint(follows, after.get(other.task.ident) == one.task.ident)
                takes = change_min(self.problem, station, one.task.holds, other.task.holds)
                self.model.add(other.setting_up == takes).only_enforce_if(follows)
                self.model.add(other.begin >= one.end).only_enforce_if(follows)
        if arcs:
            self.model.add_circuit(arcs)

    def _wanted(self) -> None:
        """Minutes of work until each job is done, after its day, and after it if all took longer; minutes of setting
        up."""
        told: list[Any] = [SETTING_UP * one.setting_up for one in self.work.values()]
        clocks = {person.name: Clock(person.spans) for person in self.problem.people}
        most = max((clock.minutes for clock in clocks.values()), default=0)
        for job, due in self.problem.dues.items():
            own = [one for one in self.work.values() if one.task.job == job]
            if not own:
                continue
            done, late = (self.model.new_int_var(0, most, "") for _ in range(2))
            risky = self.model.new_int_var(0, LONGER * most, "")
            told.append(due.weight * (DONE * done + LATE * late + RISKY * risky))
            for one in own:
                for name, here in one.by.items():
                    worked = one.worked[name]
                    wanted = clocks[name].until(due.at) if due.at is not None else NEVER_MIN
                    self.model.add(done >= worked).only_enforce_if(here)
                    self.model.add(late >= worked - wanted).only_enforce_if(here)
                    self.model.add(risky >= LONGER * worked - OF * wanted).only_enforce_if(here)
        self.model.minimize(sum(told))


class _Told(cp_model.CpSolverSolutionCallback):
    """Tells of each order that is found."""

    def __init__(self, made: Model, placing: Placing, found: Found, least: int) -> None:
        super().__init__()
        self.made, self.placing, self.found = made, placing, found
        self.least = least

    def on_solution_callback(self) -> None:
        """An order was found."""
        begins = [self.value(self.made.work[task.ident].begin) for task in self.placing.tasks]
        sequence = sorted(range(len(begins)), key=lambda at: (begins[at], at))
        cost = self.placing.place(sequence)[0]
        self.least = min(self.least, cost)
        self.found(cost, sequence)


ROOM = 1.25
"""No better order takes longer than a known one by more than this (practice)."""


def _within(problem: Problem, start: Order) -> Problem:
    """The same problem without the hours that a good order never reaches."""
    last = int(max(booking.end for booking in start.bookings) * ROOM)
    people = (replace(one, spans=tuple(span for span in one.spans if span.begin < last)) for one in problem.people)
    return replace(problem, people=tuple(people))


def solve(placing: Placing, start: Order, seconds: float, found: Found) -> bool:
    """Look for the best order for so many `seconds` from `start` on, telling `found` of each one, its cost and its
    sequence; whether it is proven that there is none better than the best of them."""
    made = Model(_within(placing.problem, start), start)
    solver = cp_model.CpSolver()
    solver.parameters.max_time_in_seconds = seconds
    solver.parameters.num_workers = WORKERS
    told = _Told(made, placing, found, start.cost)
    proven = solver.solve(made.model, told) == cp_model.OPTIMAL
    # Who does what is chosen by the solver as it likes, and by the order as it goes: the same for one person alone.
    return bool(proven and told.least <= solver.objective_value + HALF)
