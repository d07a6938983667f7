"""What went wrong before at a step like one, and the check that would have caught it."""

from __future__ import annotations

from collections.abc import Iterable

from django.db.models import Q, QuerySet

from lathework.answers.declared_answer import answer
from lathework.bench.dispositions import DISPOSITIONS, MISTAKES
from lathework.bench.entry import die_of
from lathework.planning.plan import Plan
from server.jobs.models import Entry, Job, LessonRow

MOST_AT_THE_BENCH = 2


@answer
class LessonShown:
    """A mistake: what became of it, why it was made, the check that would have caught it; where and when."""

    entry: int
    job_id: int
    job: str
    piece: int
    step: str
    thread: str
    die: str
    metal: str
    tool: str
    became: str
    said: str
    mistake: str
    check: str
    at: str


def mistakes() -> QuerySet[LessonRow]:
    """Every mistake that was named, the newest first; of jobs that were not deleted."""
    return LessonRow.objects.filter(job__deleted_at=None).select_related("job").order_by("-entry")


def lesson_row(job: Job, entry: Entry) -> LessonRow | None:
    """The row of an entry that names a mistake, not stored yet; None for any other."""
    if not entry.why:
        return None
    named = {name: getattr(entry, name) for name in ("piece", "thread", "die", "metal", "tool", "why", "at")}
    of = entry.step.partition(":")[0]
    return LessonRow(job=job, entry=entry, of=of, step=entry.title, became=entry.word, said=entry.text, **named)


def lessons_shown(rows: Iterable[LessonRow]) -> tuple[LessonShown, ...]:
    """Lessons in words."""
    told = []
    for row in rows:
        mistake, settled = MISTAKES.get(row.why), DISPOSITIONS.get(row.became)
        told.append(
            LessonShown(
                entry=row.entry_id,
                job_id=row.job_id,
                job=row.job.title,
                piece=row.piece,
                step=row.step,
                thread=row.thread,
                die=row.die,
                metal=row.metal,
                tool=row.tool,
                became=settled.name if settled else "",
                said=row.said,
                mistake=mistake.name if mistake else row.why,
                check=mistake.check if mistake else "",
                at=row.at.isoformat(),
            )
        )
    return tuple(told)


def lessons_of(plan: Plan, key: str) -> tuple[LessonShown, ...]:
    """The latest mistakes at steps of the kind of that `key`, in the same metal or with the same die."""
    if not key:
        return ()
    kind, die = key.partition(":")[0], die_of(plan, key)
    alike = Q(metal=plan.job.material.name) | (Q(die=die) if die else Q(pk=None))
    return lessons_shown(mistakes().filter(alike, of=kind)[:MOST_AT_THE_BENCH])
