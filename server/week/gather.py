"""The problem of the week, out of what the shop has and what was said: jobs that are open, their tasks at the pace of
the shop, who is there when."""

from __future__ import annotations

from collections.abc import Collection, Iterable, Sequence
from dataclasses import dataclass, replace
from datetime import date, datetime, time

from django.conf import settings
from django.db.models import Q

from lathework.bench.progress import Progress
from lathework.errors import InputError
from lathework.planning.operation import Operation
from lathework.remembered import Remembered
from lathework.shop.kinds.lathes import OwnLathe
from lathework.week.hours import DAY_MIN, Hours, Open, Span, read_hours, spans_of
from lathework.week.learned import AS_PLANNED, SETTING_UP, Learned, Work, learn
from lathework.week.model import WEIGHTS, Due, Problem, SetUp, Task
from lathework.week.model import Person as Hand
from lathework.week.set_ups import LATHE, holds_of, lathe_of
from lathework.week.tasks import Asked, expected_of, holding_of, tasks_of
from server.jobs.queries import Job, StandingRow, jobs, last_took, took, worked_at
from server.jobs.standing import Standing, standing, standing_before
from server.kit.owned import things
from server.site.problems import Unreadable
from server.week.models import BestOrder, Person, PutBefore, Wish

ROOM, MOST_DAYS, FEWEST_DAYS = 2.0, 364, 28
"""Hours are looked ahead for twice the work there is, four weeks at the least and a year at the most."""
KEPT_STANDINGS = 256
ALL_MADE = "all pieces made: close it"
LATELY = 20
"""Jobs that were worked at last, out of which it is seen what the lathes are set up with."""
_standings: Remembered[Standing] = Remembered(KEPT_STANDINGS)
_paces: Remembered[Learned] = Remembered(2)
MOST_JOBS = 60
"""Open jobs that are put in order at once: what would take longer is not asked by hand (practice)."""


@dataclass(frozen=True, slots=True)
class Left:
    """An open job that is in the week, with where it stands, what was said of it, and its tasks."""

    job: Job
    standing: Standing
    wish: Wish
    tasks: tuple[Task, ...]

    @property
    def progress(self) -> Progress:
        """How far it is."""
        return self.standing.progress

    @property
    def expected_min(self) -> float:
        """Minutes that its plan expects of what is left, setting up left out."""
        return expected_of(self.progress, AS_PLANNED)


@dataclass(frozen=True, slots=True)
class Gathered:
    """The week as it stands: `out` are the jobs that are not in it, with the reason, `more` how many are over
    what is put in order at once; `known` the sequence that a search
    found last; `pace` what is known of how long steps take here."""

    now: datetime
    problem: Problem
    left: tuple[Left, ...]
    out: tuple[tuple[Job, str], ...]
    more: int
    people: tuple[tuple[Person, Hours], ...]
    known: tuple[str, ...]
    pace: Learned


def _stands(job: Job) -> Standing:
    """Where a job stands, worked out once for each entry and change."""
    return _standings.of((job.pk, job.revision, job.row.last_entry, job.changed_at), lambda: standing(job))


def pace() -> Learned:
    """How long steps take here, learned anew when an entry came."""
    return _paces.of((last_took(),), lambda: learn(took()))


def hours_of(person: Person) -> Hours:
    """When somebody is in the shop."""
    changed: dict[date, tuple[Open, ...]] = {
        row.day: tuple((begin, end) for begin, end in row.spans) for row in person.days.all()
    }
    try:
        return Hours(read_hours(person.usual), changed)
    except InputError:
        # Said to an earlier version that read it otherwise: nothing is guessed.
        return Hours({}, changed)


def _minutes_to(now: datetime, day: date) -> int:
    """Minutes from now to the beginning of a day."""
    return int((datetime.combine(day, time()) - now).total_seconds() // 60)


def own_lathes() -> frozenset[str]:
    """The ids of the lathes in the shop."""
    return frozenset(one.id for one in things() if isinstance(one, OwnLathe))


def _hands(
    now: datetime, people: Iterable[tuple[Person, Hours]], work_min: int, lathes: frozenset[str]
) -> tuple[Hand, ...]:
    """Everybody with the stretches ahead: enough for all the work, and no more than a year of them. Of lathes that are
    sold nothing is left that could be meant."""
    found = []
    for person, hours in people:
        days = FEWEST_DAYS
        spans: tuple[Span, ...] = spans_of(hours, now, days)
        while days < MOST_DAYS and sum(span.end - span.begin for span in spans) < ROOM * work_min:
            days *= 2
            spans = spans_of(hours, now, min(days, MOST_DAYS))
        own = lathes.intersection(person.lathes) or lathes
        found.append(Hand(person.name, spans, frozenset(LATHE + one for one in lathes - own)))
    return tuple(found)


def _why_out(row: StandingRow) -> str:
    """Why a job is not in the week by how it stands; "" where it is."""
    if row.state == "held":
        return f"on hold: {row.held}"
    if row.state == "unreadable":
        return "cannot be opened"
    return ALL_MADE if row.state == "finished" else ""


def _lathe_gone(stands: Standing, lathes: frozenset[str]) -> bool:
    """Whether a job names a lathe that is no longer in the shop."""
    machines = {plan.job.setup.machine for plan in stands.plans}
    return bool(machines - lathes - {""})


def _asked(now: datetime, wish: Wish, names: frozenset[str], *, by_hand: bool) -> Asked:
    ready = max(0, _minutes_to(now, wish.from_day)) if wish.from_day and by_hand else 0
    people = (wish.who,) if wish.who in names else ()
    return Asked(ready, people)


def _due(now: datetime, wish: Wish) -> Due:
    """By the end of its day; one that is over was wanted then."""
    at = _minutes_to(now, wish.day) + DAY_MIN if wish.day else None
    return Due(at, WEIGHTS[wish.weight][0])


def _set_up_now() -> dict[str, SetUp]:
    """What each lathe is set up with: what was worked on it last."""
    found: dict[str, SetUp] = {}
    worked = jobs().filter(row__last_entry__gt=0, row__unreadable="").exclude(row__shelf="bin")
    for job in worked.order_by("-row__last_entry")[:LATELY]:
        try:
            stands = _stands(job)
        except Unreadable:
            continue
        plan = stands.bench.plan
        if plan.goes:
            found.setdefault(lathe_of(plan), holds_of(plan, job.pk, _in_hand(stands)))
    return found


def _in_hand(stands: Standing) -> Sequence[Operation]:
    """The steps that the lathe is set up for: those of the holding in hand, where it is done for all pieces first."""
    plan, step = stands.bench.plan, stands.bench.step
    holding = holding_of(step, plan) if step else 0
    return [one for one in plan.operations if one.chucking == holding] if holding else plan.operations


def _earlier(left: list[Left], *, by_hand: bool) -> dict[int, set[int]]:
    """Which jobs each job comes after: those it waits for, and those put before it by hand."""
    earlier: dict[int, set[int]] = {one.job.pk: set() for one in left}
    for one in left:
        if one.wish.after_id is not None:
            earlier[one.job.pk].add(one.wish.after_id)
    for first, then in PutBefore.objects.values_list("first_id", "then_id") if by_hand else ():
        earlier.setdefault(then, set()).add(first)
    return earlier


def _waiting(left: list[Left], *, by_hand: bool) -> list[Task]:
    """The tasks, each job's first after the last of every job that it comes after."""
    earlier = _earlier(left, by_hand=by_hand)
    last = {one.job.pk: one.tasks[-1].ident for one in left}
    tasks = []
    for one in left:
        first, *others = one.tasks
        waits = (last[job] for job in sorted(earlier[one.job.pk]) if job in last)
        tasks += [replace(first, after=tuple(waits)), *others]
    return tasks


def _in_turn(wishes: Collection[int], since: Collection[int]) -> list[Job]:
    """The open jobs, and those worked at `since` a moment: those first of which something was said, then as in their
    list."""
    open_now = Q(row__shelf="open") & ~Q(row__state="closed")
    found = jobs().filter(open_now | Q(pk__in=since)).order_by("row__rank", "-row__changed_at")
    return sorted(found, key=lambda job: job.pk not in wishes)


def _left(
    job: Job, wish: Wish, learned: Learned, asked: Asked, lathes: frozenset[str], before: datetime | None
) -> Left | str:
    """What is left of a job, or why it is not in the week; as it stood `before` a moment, where one is given."""
    why = _why_out(job.row) if before is None else ""
    if why:
        return why
    try:
        stands = _stands(job) if before is None else standing_before(job, before)
    except Unreadable:
        return "cannot be opened"
    if stands.progress.finished:
        return ALL_MADE
    if _lathe_gone(stands, lathes):
        return "its lathe is no longer in the shop, choose one on its plan"
    tasks = tasks_of(job.pk, stands.progress, learned, asked)
    return Left(job, stands, wish, tasks) if tasks else "it cannot be made as it is: see its plan"


def gather(now: datetime, *, by_hand: bool = True, before: datetime | None = None) -> Gathered:
    """The week as it stands at a moment of the shop's clock, with what was put in order or off `by_hand` or without.

    `before` is a moment with its time zone: what was recorded from then on is not seen.
    """
    people = tuple((person, hours_of(person)) for person in Person.objects.prefetch_related("days"))
    names = frozenset(person.name for person, _ in people)
    learned = pace()
    lathes = own_lathes()
    since = worked_at(before, None) if before else ()
    left, out, more = list[Left](), list[tuple[Job, str]](), 0
    wishes = {wish.job_id: wish for wish in Wish.objects.all()}
    for job in _in_turn(wishes, since):
        if len(left) + len(out) >= MOST_JOBS:
            more += 1
            continue
        wish = wishes.get(job.pk) or Wish(job=job)
        asked = _asked(now, wish, names, by_hand=by_hand)
        one = _left(job, wish, learned, asked, lathes, before if job.pk in since else None)
        if isinstance(one, Left):
            left.append(one)
        else:
            out.append((job, one))
    waiting = _waiting(left, by_hand=by_hand)
    hands = _hands(now, people, sum(task.minutes for task in waiting), lathes)
    setting_up = {LATHE + one: learned.factor(Work(SETTING_UP, machine=one)) for one in ("", *sorted(lathes))}
    dues = {one.job.pk: _due(now, one.wish) for one in left}
    problem = Problem(tuple(waiting), dues, hands, _set_up_now(), learned.unsure, setting_up)
    best = BestOrder.objects.first()
    known = tuple(best.sequence) if best else ()
    return Gathered(now, problem, tuple(left), tuple(out), more, people, known, learned)


def today() -> date:
    """The day it is in the shop."""
    return local_now().date()


def local_now() -> datetime:
    """The moment it is in the shop, to the minute, by this machine's clock."""
    now = datetime.fromisoformat(settings.SHOP_CLOCK) if settings.SHOP_CLOCK else datetime.now()
    return now.replace(second=0, microsecond=0)
