"""What went wrong before at a step like one, and the check that would have caught it."""

from __future__ import annotations

from collections.abc import Iterable

from django.db.models import Q, QuerySet

from lathework.answers.declared_answer import answer
from lathework.bench.dispositions import DISPOSITIONS, MISTAKES
from lathework.bench.entry import die_of
from lathework.planning.plan import Plan
from server.jobs.models import Entry

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


def mistakes() -> QuerySet[Entry]:
    """Every entry that says which mistake was made, the newest first; of jobs that were not deleted."""
    known = Entry.objects.filter(undone_at=None, job__deleted_at=None, kind__in=("accept", "again", "scrap"))
    return known.exclude(why="").select_related("job").order_by("-pk")


def lessons_shown(rows: Iterable[Entry]) -> tuple[LessonShown, ...]:
    """Lessons in words."""
    told = []
    for row in rows:
        mistake, settled = MISTAKES.get(row.why), DISPOSITIONS.get(row.word)
        told.append(
            LessonShown(
                entry=row.pk,
                job_id=row.job_id,
                job=row.job.title,
                piece=row.piece,
                step=row.title,
                thread=row.thread,
                die=row.die,
                metal=row.metal,
                tool=row.tool,
                became=settled.name if settled else "",
                said=row.text,
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
    of_kind = Q(step=kind) | Q(step__startswith=f"{kind}:")
    return lessons_shown(mistakes().filter(of_kind, alike)[:MOST_AT_THE_BENCH])
