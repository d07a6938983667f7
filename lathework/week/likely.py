"""How sure it is that a job is done by its day: from how far times stray, its own and of all that is done before."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal

from lathework.figures import Figure, Given, Source
from lathework.week.model import Booking, Order
from lathework.week.placing import Placing

SURE, LIKELY = 0.95, 0.75
BY_NORMAL = Source("memory", "the normal law")
Mark = Literal["sure", "likely", "open", "late", "none"]


@dataclass(frozen=True, slots=True)
class InTime:
    """The chance that a job is done by its day, None where it has none; by how many minutes of work it is over on
    average, negative where time is left; how far that may stray (minutes, one standard deviation)."""

    chance: float | None
    over_min: int
    strays_min: float

    @property
    def figure(self) -> Figure | None:
        """The chance with its working, in per cent; None where there is no day, or nothing is unsure."""
        if self.chance is None or not self.strays_min:
            return None
        over, strays = float(self.over_min), round(self.strays_min, 1)
        return Figure(
            "chance in time",
            50 * (1 - math.erf(over / (strays * math.sqrt(2)))),
            "%",
            "50 × (1 − erf(work over ÷ (spread × √(2))))",
            BY_NORMAL,
            (Given("work over", over, "min"), Given("spread", strays, "min")),
            note="Work over is the work still to be done when its day is over, less than 0 where time is left. The"
            " spread is that of all work done before, one standard deviation.",
        )

    @property
    def mark(self) -> Mark:
        """How it is marked."""
        if self.chance is None:
            return "none"
        if self.chance >= SURE:
            return "sure"
        if self.chance >= LIKELY:
            return "likely"
        return "open" if self.over_min <= 0 else "late"

    @property
    def words(self) -> str:
        """How sure it is, in words."""
        if self.chance is None:
            return ""
        if self.chance >= SURE:
            return "sure"
        tenths = max(0, min(9, round(self.chance * 10)))
        return f"in time {tenths} times in 10" if tenths else "not in time"


def _before(order: Order, last: Booking) -> list[Booking]:
    """What the same hands do until a task is over, and what they wait for."""
    return [one for one in order.bookings if one.person == last.person and one.end <= last.end]


def last_of(order: Order, job: int) -> Booking | None:
    """The task that ends a job; None where it has no place."""
    if any(task.job == job for task in order.unplaced):
        return None
    return max((one for one in order.bookings if one.task.job == job), key=lambda one: one.end, default=None)


def _over(placing: Placing, last: Booking, due: int) -> int:
    """By how many minutes of work a task ends after a moment (minutes from now), negative where time is left."""
    clock = placing.clock_of[last.person]
    return clock.until(last.end) - clock.until(due)


def overs(placing: Placing, order: Order) -> dict[int, int]:
    """By how many minutes of work each job that has a day is over it, 0 where it is in time; those that have no place
    are left out."""
    dues, lasts = placing.problem.dues, dict[int, Booking]()
    for one in order.bookings:
        known = lasts.setdefault(one.task.job, one)
        lasts[one.task.job] = one if one.end > known.end else known
    for task in order.unplaced:
        lasts.pop(task.job, None)
    due = {job: dues[job].at for job in lasts}
    return {job: max(0, _over(placing, lasts[job], at)) for job, at in due.items() if at is not None}


def in_time(placing: Placing, order: Order, job: int) -> InTime:
    """Whether a job is done by its day in an order."""
    problem = placing.problem
    due, last = problem.dues[job].at, last_of(order, job)
    if last is None:
        return InTime(None if due is None else 0.0, 0, 0.0)
    before = _before(order, last)
    worked = sum(one.task.minutes + one.setting_up for one in before)
    strays = math.hypot(math.sqrt(sum(one.task.spread**2 for one in before)), problem.unsure * worked)
    if due is None:
        return InTime(None, 0, strays)
    over = _over(placing, last, due)
    chance = 0.5 * math.erfc(over / (strays * math.sqrt(2))) if strays else float(over <= 0)
    return InTime(chance, over, strays)
