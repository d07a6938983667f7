"""What a die did: how it stood when each job last gauged its thread, the newest first."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from lathework.answers.values import Shown, length_shown
from lathework.bench.entry_words import stood_words
from lathework.gauging.verdicts import MEANINGS
from server.jobs.queries import GaugingRow, gaugings

JOBS, PIECES = 4, 200
"""Jobs that are told of, from so many of the latest gaugings."""
_OF = {str(verdict): meaning for verdict, meaning in MEANINGS.items()}


@dataclass(frozen=True)
class DieDid:
    """The last gauging of a thread of one piece: what the nut said, the blank it was cut on, how the die stood."""

    job_id: int
    job: str
    piece: int
    thread: str
    metal: str
    said: str
    passes: bool
    blank: Shown | None
    setting: str
    at: str


def told(rows: Iterable[GaugingRow]) -> tuple[DieDid, ...]:
    """Gaugings in words; `rows` come with their job and entry."""
    return tuple(
        DieDid(
            job_id=row.job_id,
            job=row.job.title,
            piece=row.piece,
            thread=row.thread,
            metal=row.metal,
            said=_OF[row.verdict].words,
            passes=_OF[row.verdict].passes,
            blank=None if row.blank_mm is None else length_shown(row.blank_mm),
            setting=stood_words(row.cutter, row.eighths),
            at=row.entry.at.isoformat(),
        )
        for row in rows
    )


def die_did(thread: str, die: str = "") -> tuple[DieDid, ...]:
    """The last gauging by the `die` of that id, or of the thread of that designation, in each of the latest jobs that
    were not deleted."""
    own = {"die": die} if die else {"thread": thread, "inside": False}
    made = gaugings().filter(**own).exclude(cutter="threading-tool")
    rows = made.select_related("job", "entry")
    of_each: dict[int, GaugingRow] = {}
    for row in rows[:PIECES]:
        of_each.setdefault(row.job_id, row)
    return told(list(of_each.values())[:JOBS])
