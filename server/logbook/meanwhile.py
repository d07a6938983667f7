"""What others did to a job since a screen showed it."""

from __future__ import annotations

from dataclasses import dataclass

from server.jobs.queries import Job, entries_of
from server.logbook.search import SHOWN, LogEntry, entry_shown

MOST = 12
"""Entries that are told; who is further behind looks at the log."""


@dataclass(frozen=True)
class Meanwhile:
    """Entries recorded since then, the newest first; whether what stood last then was taken back, and on which device,
    "" for the host; whether the job itself was changed."""

    entries: tuple[LogEntry, ...]
    taken_back: bool
    taken_back_on: str
    changed: bool


def meanwhile(job: Job, last: int, revision: int) -> Meanwhile:
    """What was done since entry `last` was the last that counted (0 for none), at that revision."""
    rows = entries_of(job).filter(pk__gt=last).order_by("-pk")[:MOST].values(*SHOWN)
    stood = entries_of(job, undone=True).filter(pk=last).values_list("undone_at", "undone_on").first()
    gone, on = (stood[0] is not None, stood[1]) if stood else (last > 0, "")
    titles = {job.pk: job.title}
    return Meanwhile(tuple(entry_shown(row, titles) for row in rows), gone, on, job.revision != revision)
