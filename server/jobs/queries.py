"""What the other apps may ask of the jobs: rows to be read. What changes them is an action."""

from __future__ import annotations

from collections.abc import Iterable
from datetime import datetime

from django.db.models import Q, QuerySet

from lathework.week.learned import SETTING_UP
from server.jobs.history.took import last_took, minutes_between, took
from server.jobs.models import Begun, Entry, GaugingRow, Job, PieceRow, StandingRow, TookRow, TrialRow
from server.jobs.standing import STATE_WORDS

__all__ = ("Entry", "GaugingRow", "Job", "StandingRow", "last_took", "minutes_between", "took")
"""What a row is, for those who are given some."""


def has_begun() -> bool:
    """Whether the store had its first contents, or a job."""
    return Begun.objects.exists() or Job.objects.exists()


def jobs() -> QuerySet[Job]:
    """Every job with its row, the oldest first; those in the bin too."""
    return Job.objects.select_related("row").order_by("pk")


def titles(numbers: set[int]) -> dict[int, str]:
    """The titles of the jobs of those numbers."""
    return dict(Job.objects.filter(pk__in=numbers).values_list("pk", "title"))


def standings() -> QuerySet[StandingRow]:
    """How each job stands; those in the bin too."""
    return StandingRow.objects.defer("folded")


def found_in(find: str) -> QuerySet[StandingRow]:
    """The rows of the lists in which every word to `find` is met: in the name, the thread, the metal, for whom the job
    is, or what its state is called."""
    rows = StandingRow.objects.all()
    for word in find.split():
        states = [state for state, called in STATE_WORDS.items() if word.lower() in called]
        own = ("title", "thread", "material", "needed_by", "identified", "held", "next_step")
        met = Q(state__in=states)
        for name in own:
            met |= Q(**{f"{name}__icontains": word})
        rows = rows.filter(met)
    return rows


def entries(*, binned: bool = False) -> QuerySet[Entry]:
    """Every entry that counts, of jobs that are not deleted; of those in the bin too where `binned` says so."""
    live = Entry.objects.filter(undone_at=None)
    return live if binned else live.filter(job__deleted_at=None)


def entries_of(job: Job, *, undone: bool = False) -> QuerySet[Entry]:
    """The entries of a job, the oldest first: those that count, or with those that were taken back."""
    own = Entry.objects.filter(job=job).order_by("pk")
    return own if undone else own.filter(undone_at=None)


def entries_between(begin: datetime, end: datetime | None) -> QuerySet[Entry]:
    """The entries that count from a moment on and until another, of jobs that are not deleted: job by job, the oldest
    first."""
    found = entries().filter(at__gte=begin)
    return (found.filter(at__lt=end) if end else found).order_by("job_id", "pk")


def worked_at(begin: datetime, end: datetime | None) -> frozenset[int]:
    """The jobs that something was recorded of in that time."""
    return frozenset(entries_between(begin, end).values_list("job_id", flat=True))


def entries_numbered(numbers: list[int]) -> QuerySet[Entry]:
    """The entries of those numbers."""
    return Entry.objects.filter(pk__in=numbers)


def gaugings() -> QuerySet[GaugingRow]:
    """Every thread that was gauged, in jobs that are not deleted, the latest first."""
    return GaugingRow.objects.filter(job__deleted_at=None).order_by("-entry_id")


def gaugings_of(job: Job) -> QuerySet[GaugingRow]:
    """The threads of a job that were gauged."""
    return GaugingRow.objects.filter(job=job)


def pieces_of(job: Job) -> QuerySet[PieceRow]:
    """The pieces of a job that ended, good or scrapped."""
    return PieceRow.objects.filter(job=job)


def steps_timed(job: Job, part: str) -> Iterable[tuple[int, float, float]]:
    """The steps of a part that were timed: of which piece, the minutes they took, those that the plan expected."""
    rows = TookRow.objects.filter(job=job, part=part).exclude(kind=SETTING_UP)
    return rows.values_list("piece", "minutes", "expected")


def last_trial(die: str) -> TrialRow | None:
    """What the die of that id was last learned from, in a job that is not deleted; None for nothing."""
    return TrialRow.objects.filter(die=die, job__deleted_at=None).order_by("-entry_id").first()
