"""What a job made: its pieces, how each die stood when it cut well, what went wrong."""

from __future__ import annotations

from dataclasses import dataclass

from django.db.models import Count, Q

from server.jobs.queries import Job, entries_of, gaugings_of, pieces_of
from server.logbook.dies import DieDid, told
from server.logbook.search import SHOWN, LogEntry, entry_shown, failing

MOST = 12
"""Troubles that are told, the first of the job."""
_WRONG = ("scrap", "accept", "note", "zero-lost")


@dataclass(frozen=True)
class PartOutcome:
    """A part by its id: pieces good and scrapped, and how many threads were gauged."""

    part: str
    good: int
    scrapped: int
    gauged: int


@dataclass(frozen=True)
class JobOutcome:
    """What came of a job: `dies` tell how each die stood when it last cut well, `troubles` what went wrong, in order.

    `more` when more went wrong than is told.
    """

    parts: tuple[PartOutcome, ...]
    dies: tuple[DieDid, ...]
    troubles: tuple[LogEntry, ...]
    more: bool


def _parts(job: Job) -> tuple[PartOutcome, ...]:
    good, bad = Count("pk", filter=Q(good=True)), Count("pk", filter=Q(good=False))
    pieces = pieces_of(job).values("part").annotate(good_ones=good, bad_ones=bad).order_by("part")
    gauged = dict(gaugings_of(job).values_list("part").annotate(Count("pk")))
    return tuple(
        PartOutcome(row["part"], row["good_ones"], row["bad_ones"], gauged.get(row["part"], 0)) for row in pieces
    )


def _dies(job: Job) -> tuple[DieDid, ...]:
    """The last gauging that passed of each thread of each part."""
    passed = gaugings_of(job).filter(inside=False).exclude(verdict__in=failing())
    latest = {(row.part, row.step): row for row in passed.select_related("job", "entry").order_by("entry")}
    return told(latest.values())


def job_outcome(job: Job) -> JobOutcome:
    """What came of `job`, from the rows that are kept of it."""
    wrong = entries_of(job).filter(Q(kind__in=_WRONG) | Q(kind="verdict", word__in=failing()))
    rows = list(wrong.values(*SHOWN)[: MOST + 1])
    titles = {job.pk: job.title}
    told = tuple(entry_shown(row, titles) for row in rows[:MOST])
    return JobOutcome(_parts(job), _dies(job), told, len(rows) > MOST)
