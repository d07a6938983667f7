"""What is said of the week: each act one transaction."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date

from django.db import transaction
from django.utils import timezone

from lathework.errors import InputError, InvalidDocument
from lathework.week.days import read_day
from lathework.week.hours import read_changed, read_hours
from lathework.week.model import WEIGHTS
from server.jobs.actions.guard import find_job
from server.jobs.queries import titles
from server.site.news import NEWS
from server.site.problems import CHANGED_ELSEWHERE, Conflict
from server.week.gather import own_lathes, today
from server.week.models import BestOrder, ChangedDay, Person, PutBefore, Wish

MOST_PEOPLE = 12


@dataclass(frozen=True, slots=True)
class Wished:
    """What is said of a job, as it was typed; `after` is the number of the job it waits for, 0 for none;
    `revision` the one that the person saw, None where nobody looked."""

    wanted: str
    weight: str
    after: int
    from_day: str
    who: str
    revision: int | None = None


@dataclass(frozen=True, slots=True)
class Hand:
    """Somebody with their hours, as they were typed, and the lathes they use by their ids, none for all."""

    name: str
    usual: str
    changed: str
    lathes: tuple[str, ...] = ()


def _day(text: str, field: str, kept_said: str, kept: date | None) -> date | None:
    """The day that is said; one that was said before and is over stays what it was."""
    if " ".join(text.split()) == kept_said:
        return kept
    return read_day(text, today(), field).day


def _circle(job: int, after: int) -> list[int]:
    """The jobs of a circle of waiting that would begin with a job after another one; none where there is none."""
    waits: dict[int, set[int]] = {}
    for one, before in Wish.objects.exclude(after=None).values_list("job_id", "after_id"):
        if one != job:
            waits.setdefault(one, set()).add(int(before or 0))
    for before, one in PutBefore.objects.values_list("first_id", "then_id"):
        waits.setdefault(one, set()).add(before)
    paths, seen = [[after]], set[int]()
    while paths:
        path = paths.pop()
        if path[-1] == job:
            return path
        if path[-1] in seen:
            continue
        seen.add(path[-1])
        paths += [[*path, further] for further in sorted(waits.get(path[-1], ()))]
    return []


def _no_circle(job: int, after: int, field: str) -> None:
    """Raises InputError, naming the jobs, where a job would wait for itself in the end."""
    circle = _circle(job, after)
    if circle:
        named = titles({job, *circle})
        told = " waits for ".join(named[one] for one in (job, *circle))
        raise InputError("circle", field, f"{told}: one of them must go first.")


@transaction.atomic
def wish(job_id: int, said: Wished) -> None:
    """Say when a job is wanted, and what it waits for. Raises InvalidDocument with every field that cannot be used,
    Conflict where another page said something else meanwhile."""
    find_job(job_id)
    row = Wish.objects.filter(pk=job_id).first() or Wish(job_id=job_id)
    if said.revision not in (None, row.revision):
        raise Conflict(CHANGED_ELSEWHERE)
    errors: list[InputError] = []
    for field, text, words, day in (
        ("wanted", said.wanted, "said", "day"),
        ("from_day", said.from_day, "from_said", "from_day"),
    ):
        try:
            setattr(row, day, _day(text, field, getattr(row, words), getattr(row, day)))
            setattr(row, words, " ".join(text.split()))
        except InputError as error:
            errors.append(error)
    if said.weight not in WEIGHTS:
        errors.append(InputError("not-a-choice", "weight", "Choose one of these.", tuple(WEIGHTS)))
    if said.who and not Person.objects.filter(name=said.who).exists():
        names = tuple(Person.objects.values_list("name", flat=True))
        errors.append(InputError("not-known", "who", f"There is no person called {said.who} here.", names))
    if said.after:
        try:
            find_job(said.after)
            _no_circle(job_id, said.after, "after")
        except InputError as error:
            errors.append(error)
    if errors:
        raise InvalidDocument(tuple(errors))
    row.weight, row.who, row.after_id = said.weight, said.who, said.after or None
    row.revision += 1
    row.save()
    NEWS.tell_once_stored("week", job_id)


def _read_person(number: int, said: Hand, names: Sequence[str], errors: list[InputError]) -> dict[date, object]:
    """The single days of somebody; what cannot be used is added to the errors."""
    if set(said.lathes) - own_lathes():
        errors.append(InputError("not-known", f"people.{number}.lathes", "Choose lathes of the shop."))
    if not said.name.strip():
        errors.append(InputError("missing", f"people.{number}.name", "Give a name: a role will do."))
    elif names.count(said.name.strip()) > 1:
        errors.append(InputError("twice", f"people.{number}.name", f"{said.name.strip()} is here twice."))
    try:
        read_hours(said.usual, f"people.{number}.usual")
    except InputError as error:
        errors.append(error)
    try:
        return dict(read_changed(said.changed, today(), f"people.{number}.changed"))
    except InputError as error:
        errors.append(error)
        return {}


@transaction.atomic
def set_people(said: Sequence[Hand]) -> None:
    """Say who is in the shop, and when: those who are not named are there no more. Raises InvalidDocument."""
    names = [one.name.strip() for one in said]
    errors: list[InputError] = []
    days = [_read_person(number, one, names, errors) for number, one in enumerate(said)]
    if errors:
        raise InvalidDocument(tuple(errors))
    before = {person.name: person for person in Person.objects.all()}
    Person.objects.exclude(name__in=names).delete()
    for place, one in enumerate(said):
        name = one.name.strip()
        person = before.get(name) or Person(name=name)
        # A day that was said as "Saturday" stays that one for as long as the words do.
        kept = before.get(name) is not None and person.changed == one.changed.strip()
        person.usual, person.changed, person.place = one.usual.strip(), one.changed.strip(), place
        person.lathes = sorted(one.lathes)
        person.save()
        if not kept:
            person.days.all().delete()
            ChangedDay.objects.bulk_create(
                ChangedDay(person=person, day=day, spans=spans) for day, spans in days[place].items()
            )
    NEWS.tell_once_stored("week")


@transaction.atomic
def put_before(first: int, then: int) -> None:
    """Put one job before another by hand. Raises InputError where it waits for that one."""
    for job in (first, then):
        find_job(job)
    if first == then:
        raise InputError("itself", "then", "A job cannot come before itself.")
    PutBefore.objects.filter(first_id=then, then_id=first).delete()
    _no_circle(then, first, "then")
    PutBefore.objects.get_or_create(first_id=first, then_id=then)
    NEWS.tell_once_stored("week", first)


@transaction.atomic
def let_go(job_id: int) -> None:
    """Take back all that was said by hand of where a job comes."""
    find_job(job_id)
    PutBefore.objects.filter(first_id=job_id).delete()
    PutBefore.objects.filter(then_id=job_id).delete()
    NEWS.tell_once_stored("week", job_id)


@transaction.atomic
def keep_order(sequence: Sequence[str]) -> None:
    """Keep the best sequence of tasks that a search found."""
    BestOrder.objects.all().delete()
    BestOrder.objects.create(sequence=list(sequence), at=timezone.now())
    NEWS.tell_once_stored("week")
