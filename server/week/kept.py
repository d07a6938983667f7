"""What was said of the week, as the file of everything carries it, and back."""

from __future__ import annotations

from datetime import date
from typing import Any

from server.jobs.queries import jobs
from server.week.models import ChangedDay, Person, PutBefore, Wish


def _iso(day: date | None) -> str | None:
    return day.isoformat() if day else None


def _day(said: object) -> date | None:
    return date.fromisoformat(str(said)) if said is not None else None


def week_json() -> dict[str, Any]:
    """All that was said of the week: people with their hours, days and waiting by job, what was put before what."""
    return {
        "people": [
            {
                "name": one.name,
                "usual": one.usual,
                "changed": one.changed,
                "lathes": one.lathes,
                "days": {_iso(row.day): row.spans for row in one.days.order_by("day")},
            }
            for one in Person.objects.all()
        ],
        "jobs": {
            str(one.job_id): {
                "wanted": one.said,
                "day": _iso(one.day),
                "weight": one.weight,
                "after": one.after_id,
                "from": one.from_said,
                "from_day": _iso(one.from_day),
                "who": one.who,
            }
            for one in Wish.objects.order_by("job_id")
        },
        "before": [[one.first_id, one.then_id] for one in PutBefore.objects.order_by("first_id", "then_id")],
    }


def put_week_back(said: dict[str, Any]) -> None:
    """Say it all again, of the jobs that are there. Raises what reading something of another shape comes to."""
    there = set(jobs().values_list("pk", flat=True))
    for place, one in enumerate(said.get("people", ())):
        said_of = {"usual": one["usual"], "changed": one["changed"], "place": place}
        said_of["lathes"] = _names(one.get("lathes", ()))
        person, _ = Person.objects.update_or_create(name=one["name"], defaults=said_of)
        for day, spans in one["days"].items():
            when = date.fromisoformat(day)
            ChangedDay.objects.update_or_create(person=person, day=when, defaults={"spans": _spans(spans)})
    for number, one in said.get("jobs", {}).items():
        if int(number) in there:
            Wish.objects.create(
                job_id=int(number),
                said=str(one["wanted"]),
                day=_day(one["day"]),
                weight=one["weight"],
                after_id=one["after"] if one["after"] in there else None,
                from_said=str(one["from"]),
                from_day=_day(one["from_day"]),
                who=str(one["who"]),
            )
    for first, then in said.get("before", ()):
        if {first, then} <= there:
            PutBefore.objects.create(first_id=first, then_id=then)


def _names(said: object) -> list[str]:
    """Ids of lathes; those of another shop mean nothing here, and nobody is kept from a lathe by them."""
    if not isinstance(said, (list, tuple)):
        raise ValueError("no list of lathes")
    return [str(one) for one in said]


def _spans(said: list[list[int]]) -> list[list[int]]:
    """Stretches of a day in minutes; whole numbers that fit in one."""
    spans = [[int(begin), int(end)] for begin, end in said]
    if any(not 0 <= begin < end <= 24 * 60 for begin, end in spans):
        raise ValueError("no stretch of a day")
    return spans
