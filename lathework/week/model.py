"""The work of a shop as it is put in order: tasks, what each is set up with, who is there when, an order of them."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

from lathework.value import value
from lathework.week.hours import Span

Item = tuple[str, str]
"""Something that is set up: its kind ("bar", "die", "gears"), and which one it is."""
SetUp = frozenset[Item]
ONCE = frozenset({"die", "head", "tap"})
"""Kinds of things of which a shop has one of each size: what stands in one lathe is not in another (practice)."""
WEIGHTS: Mapping[str, tuple[int, str]] = {
    "stopped": (6, "a machine is waiting for it"),
    "promised": (3, "promised to somebody"),
    "usual": (2, "usual"),
    "nice": (1, "nice to have"),
}
"""What a day late costs, and how it is said."""


@value
class Task:
    """Work of a job at one station, done without something else between: `minutes` in the metal and around it, give or
    take `spread` (minutes, one standard deviation), without setting up; `holds` is what it is set up with.

    It begins after `ready` (minutes from now) and after the tasks named in `after` have ended. `people` are those who
    may do it, nobody named for everybody. `pieces` is how many it makes.
    """

    ident: str
    job: int
    title: str
    station: str
    minutes: int
    holds: SetUp
    spread: float = 0.0
    after: tuple[str, ...] = ()
    ready: int = 0
    people: tuple[str, ...] = ()
    pieces: int = 1
    what: str = ""

    @property
    def once(self) -> SetUp:
        """What of its set-up is there once in the shop."""
        return frozenset(item for item in self.holds if item[0] in ONCE)

    @property
    def part(self) -> str:
        """The part of its job that it works at: what its id says before the number of the run."""
        return self.ident.rpartition(".")[0]


@value
class Due:
    """When a job is wanted (minutes from now, None for whenever), and what a day late costs."""

    at: int | None
    weight: int


@dataclass(frozen=True, slots=True)
class Person:
    """Somebody who works in the shop, and when; `not_at` are the stations that they do not use."""

    name: str
    spans: tuple[Span, ...]
    not_at: frozenset[str] = frozenset()

    def may_do(self, task: Task) -> bool:
        """Whether somebody may do a task: it is not for others alone, nor at a station that is not theirs."""
        return (not task.people or self.name in task.people) and task.station not in self.not_at


@dataclass(frozen=True, slots=True)
class Problem:
    """What is to be put in order. `standing` is what each station is set up with now; `unsure` the share of all minutes
    that the pace of the shop may be off by (one standard deviation); `setting_up` what setting up takes at a station
    over what is usual (a ratio)."""

    tasks: tuple[Task, ...]
    dues: Mapping[int, Due]
    people: tuple[Person, ...]
    standing: Mapping[str, SetUp] = field(default_factory=dict)
    unsure: float = 0.0
    setting_up: Mapping[str, float] = field(default_factory=dict)


@value
class Booking:
    """When a task is done, and by whom: from `begin` to `end` in minutes from now, closed hours in between left out;
    its first `setting_up` minutes of work set it up."""

    task: Task
    person: str
    begin: int
    setting_up: int
    end: int


@dataclass(frozen=True, slots=True)
class Order:
    """Tasks in their order, and what it costs; `unplaced` are those that no hours are left for."""

    bookings: tuple[Booking, ...]
    unplaced: tuple[Task, ...] = ()
    cost: int = 0

    @property
    def sequence(self) -> tuple[Task, ...]:
        """All tasks in their order, those without a place last."""
        return (*(booking.task for booking in self.bookings), *self.unplaced)

    def done_at(self, job: int) -> int | None:
        """When the last task of a job ends (minutes from now); None where one has no place, or it has none."""
        if any(task.job == job for task in self.unplaced):
            return None
        return max((one.end for one in self.bookings if one.task.job == job), default=None)
