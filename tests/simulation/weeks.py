"""Random weeks, and a checker of orders that shares nothing with what makes them: it walks the minutes."""

from __future__ import annotations

from random import Random

from lathework.week.changeover import CHANGE_MIN
from lathework.week.hours import Span
from lathework.week.model import Due, Order, Person, Problem, SetUp, Task

DAY = 24 * 60


def _hours(random: Random, days: int) -> tuple[Span, ...]:
    spans = []
    for day in range(days):
        if random.random() < 0.55:
            begin = day * DAY + random.choice((540, 600, 1080, 1140))
            spans.append(Span(begin, begin + random.choice((120, 180, 240, 300))))
    return tuple(spans)


def _holds(random: Random, job: int) -> SetUp:
    own = [("bar", str(random.randrange(8))), ("die", str(random.randrange(12))), ("part", str(job))]
    if random.random() < 0.6:
        own.append(("blade", str(random.randrange(3))))
    if random.random() < 0.2:
        own.append(("gears", str(random.randrange(3))))
    return frozenset(own)


def _not_at(random: Random, lathes: int) -> frozenset[str]:
    return frozenset({f"lathe:{random.randrange(lathes)}"} if random.random() < 0.3 else ())


def week(seed: int, *, jobs: int = 40, lathes: int = 3, people: int = 2, days: int = 90) -> Problem:
    """A random week: jobs of one to three tasks, some wanted by a day, some that wait for others."""
    random = Random(seed)
    odd = Random(seed + 1000)
    hands = tuple(Person(f"p{number}", _hours(random, days), _not_at(odd, lathes)) for number in range(people))
    pace = {f"lathe:{number}": odd.choice((1.0, 1.0, 0.8, 1.37)) for number in range(lathes)}
    tasks: list[Task] = []
    dues = {}
    for job in range(jobs):
        dues[job] = Due(random.choice((None, random.randint(1, 20) * DAY)), random.choice((1, 2, 2, 3, 6)))
        after: tuple[str, ...] = ()
        if job and random.random() < 0.1:
            after = tuple(task.ident for task in tasks if task.job == random.randrange(job))[-1:]
        ready = random.randint(0, 5) * DAY if random.random() < 0.1 else 0
        by = (random.choice(hands).name,) if random.random() < 0.2 else ()
        lathe = f"lathe:{random.randrange(lathes)}"
        stations = [(lathe, random.randint(20, 240), _holds(random, job))]
        if random.random() < 0.3:
            stations.insert(0, ("bench", random.randint(5, 20), frozenset()))
        if random.random() < 0.5:
            stations.append((random.choice(("bench", "mill")), random.randint(10, 60), frozenset()))
        for number, (station, minutes, holds) in enumerate(stations):
            ident = f"{job}.{number}"
            tasks.append(Task(ident, job, f"job {job}", station, minutes, holds, 0.2 * minutes, after, ready, by))
            after = (ident,)
    return Problem(tuple(tasks), dues, hands, setting_up=pace)


def faults(problem: Problem, order: Order) -> list[str]:
    """What is wrong with an order, minute by minute: two things at once, work out of hours, before what it waits for or
    before it may begin, by somebody who may not; too few minutes, or a set-up that is left out."""
    found = []
    hours = {one.name: {at for span in one.spans for at in range(span.begin, span.end)} for one in problem.people}
    taken: dict[str, set[int]] = {}
    ends = {one.task.ident: one.end for one in order.bookings}
    placed = {one.task.ident for one in order.bookings} | {task.ident for task in order.unplaced}
    if len(order.bookings) + len(order.unplaced) != len(problem.tasks) or placed != {t.ident for t in problem.tasks}:
        found.append("not every task once")
    standing: dict[str, SetUp] = dict(problem.standing)
    for one in sorted(order.bookings, key=lambda booking: booking.begin):
        task, span = one.task, set(range(one.begin, one.end))
        work = span & hours[one.person]
        wants = sum(CHANGE_MIN[kind] for kind, _ in task.holds - standing.get(task.station, frozenset()))
        wants = round(wants * problem.setting_up.get(task.station, 1.0))
        standing[task.station] = task.holds
        if one.setting_up != wants or len(work) != task.minutes + wants:
            found.append(f"{task.ident}: its minutes")
        if one.begin not in hours[one.person] or one.end - 1 not in hours[one.person]:
            found.append(f"{task.ident}: out of hours")
        if one.begin < task.ready or any(before in ends and ends[before] > one.begin for before in task.after):
            found.append(f"{task.ident}: too early")
        [hand] = [person for person in problem.people if person.name == one.person]
        if (task.people and one.person not in task.people) or task.station in hand.not_at:
            found.append(f"{task.ident}: by {one.person}")
        once = [f"the only {kind} {name}" for kind, name in task.holds if kind in ("die", "head", "tap")]
        hands = f"hands of {one.person}"
        for whose in (task.station, hands, *once):
            if taken.setdefault(whose, set()) & (work if whose == hands else span):
                found.append(f"{task.ident}: two at once, {whose}")
            taken[whose] |= work if whose == hands else span
    return found
