"""Searching the log: every word must be found in what is shown of an entry, or of a job; a page at a time."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from django.db.models import Q, QuerySet

from lathework.answers.values import Shown, length_shown
from lathework.bench.entry_words import KIND_WORDS, said, stood_words
from lathework.gauging.verdicts import MEANINGS
from server.jobs import queries, search_index
from server.jobs.queries import Entry, StandingRow
from server.jobs.standing import STATE_WORDS

Row = dict[str, Any]
"""Columns of a stored entry."""
PAGE, JOBS = 40, 10
"""Entries, and jobs, on a page."""
_LATEST = 2**62
TROUBLES = "troubles"
TELLING = ("setting", "cause", "scrap", "accept", "note", "zero-lost")
"""Kinds of entries that say how a die was set, or what went wrong."""
SHOWN = (
    *(
        "pk",
        "job_id",
        "kind",
        "part_name",
        "piece",
        "step",
        "title",
        "thread",
        "value_mm",
        "measured",
        "mate",
        "dialled_mm",
        "aim_mm",
    ),
    *("word", "eighths", "text", "typed", "device", "at"),
)


@dataclass(frozen=True)
class LogEntry:
    """One thing recorded, with the job it belongs to, and the device it was recorded on, "" for the host; step, part,
    thread and aim are what they were then."""

    id: int
    job_id: int
    job: str
    thread: str
    part: str
    piece: int
    step: str
    kind: str
    what: str
    typed: str
    reading: Shown | None
    aim: Shown | None
    dialled: Shown | None
    said: str
    device: str
    at: str


@dataclass(frozen=True)
class LogJob:
    """A job that the search found, with what came of it."""

    id: int
    title: str
    thread: str
    material: str
    state: str
    quantity: int
    good: int
    scrapped: int
    outcome: str
    setting: str
    identified: str
    changed_at: str


@dataclass(frozen=True)
class LogPage:
    """Jobs and entries found; `more` when there are older entries."""

    jobs: tuple[LogJob, ...]
    entries: tuple[LogEntry, ...]
    more: bool


def _length(mm: float | None) -> Shown | None:
    return None if mm is None else length_shown(mm)


def entry_shown(row: Row, titles: dict[int, str]) -> LogEntry:
    """An entry of the columns `SHOWN`, with the title of its job."""
    return LogEntry(
        id=row["pk"],
        job_id=row["job_id"],
        job=titles[row["job_id"]],
        thread=row["thread"],
        part=row["part_name"],
        piece=row["piece"],
        step=row["title"] or row["step"],
        kind=row["kind"],
        what=KIND_WORDS[row["kind"]],
        typed=row["typed"],
        reading=_length(row["value_mm"]),
        aim=_length(row["aim_mm"]) if row["value_mm"] is not None else None,
        dialled=_length(row["dialled_mm"]),
        said=said(row["kind"], row["word"], row["eighths"], row["text"], row["measured"], row["mate"]),
        device=row["device"],
        at=row["at"].isoformat(),
    )


def _outcome(row: StandingRow) -> str:
    if row.unreadable:
        return f"{STATE_WORDS['unreadable']}: {row.unreadable}"
    if row.closed:
        return row.closed
    words = STATE_WORDS[row.state]
    return f"{words}: waiting for {row.held}" if row.held else words


def _job(row: StandingRow) -> LogJob:
    return LogJob(
        id=row.job_id,
        title=row.title,
        thread=row.thread,
        material=row.material,
        state=row.state,
        quantity=row.quantity,
        good=row.good,
        scrapped=row.scrapped,
        outcome=_outcome(row),
        setting=stood_words(row.cutter, row.setting) if row.good + row.scrapped or row.setting else "",
        identified=row.identified,
        changed_at=row.changed_at.isoformat(),
    )


def failing() -> list[str]:
    """Verdicts that do not pass."""
    return [verdict for verdict, meaning in MEANINGS.items() if not meaning.passes]


def _of_kind(known: QuerySet[Entry], kind: str) -> QuerySet[Entry]:
    """Entries of a kind; "troubles" are die settings and what went wrong, all of them where it is ""."""
    if kind == TROUBLES:
        return known.filter(Q(kind__in=TELLING) | Q(kind="verdict", word__in=failing()))
    return known.filter(kind=kind) if kind else known


def _entries(query: str, kind: str, before: int) -> list[Row]:
    """One more entry than a page holds, the newest first."""
    if query:
        # The index knows live entries alone, of jobs that are not deleted.
        ids = search_index.matching(search_index.ENTRIES, query, before, PAGE + 1)
        found = queries.entries_numbered(ids).order_by("-pk")
    else:
        known = queries.entries()
        found = _of_kind(known, kind).filter(pk__lt=before).order_by("-pk")[: PAGE + 1]
    return list(found.values(*SHOWN))


def _jobs(query: str, entries: Sequence[Row]) -> list[StandingRow]:
    """The jobs whose own words match, or of whose entries some on the page do; the last touched first."""
    rows = queries.standings().exclude(shelf="bin").order_by("-changed_at", "-job")
    if not query:
        return list(rows[:JOBS])
    ids = {*search_index.matching(search_index.JOBS, query, _LATEST, JOBS), *(entry["job_id"] for entry in entries)}
    return list(rows.filter(pk__in=ids)[:JOBS])


def search(text: str, kind: str, before: int) -> LogPage:
    """Live entries with an id under `before` that hold every word of `text`, and jobs; `more` when there are older."""
    query = search_index.query_of(text)
    asked = bool(text.replace("\x00", " ").split())
    if asked and not query:
        return LogPage((), (), more=False)
    kinds = (*TELLING, "verdict") if kind == TROUBLES else (kind,) if kind else ()
    found = _entries(search_index.query_of(text, kinds) if query else "", kind, before)
    titles = queries.titles({row["job_id"] for row in found})
    return LogPage(
        jobs=tuple(_job(row) for row in _jobs(query, found[:PAGE])),
        entries=tuple(entry_shown(row, titles) for row in found[:PAGE]),
        more=len(found) > PAGE,
    )
