"""The index of words: what is shown of an entry or a job can be found, and a thread's name finds that thread."""

from __future__ import annotations

import re
from collections.abc import Iterable, Iterator, Sequence
from typing import Literal

from django.db import connection

from lathework.bench.entry_words import entry_words, stood_words
from lathework.errors import InputError
from lathework.threads.designation import read_called
from server.jobs.models import Entry, Job, StandingRow
from server.jobs.standing import STATE_WORDS
from server.jobs.stored import recorded

Table = Literal["jobs_entrywords", "jobs_jobwords"]
ENTRIES: Table = "jobs_entrywords"
JOBS: Table = "jobs_jobwords"
_TOKEN = re.compile(r"[^\W_]+")
_LONGEST_NAME = 4
"""Words that the name of a thread may take: "1/4 BSF LH close"."""
_BATCH = 500


def _mark(designation: str) -> str:
    """A thread's name as one token of its own: "3/8-16 UNC" is never found by "2 BA"."""
    return "x".join(_TOKEN.findall(designation.lower()))


def _put(table: Table, rows: Iterable[tuple[int, str, str, str]]) -> None:
    with connection.cursor() as cursor:
        cursor.executemany(f"INSERT INTO {table} (rowid, words, thread, kind) VALUES (%s, %s, %s, %s)", list(rows))


def _drop(table: Table, ids: Sequence[int]) -> None:
    with connection.cursor() as cursor:
        for at in range(0, len(ids), _BATCH):
            some = ids[at : at + _BATCH]
            cursor.execute(f"DELETE FROM {table} WHERE rowid IN ({', '.join(['%s'] * len(some))})", some)


def _row(entry: Entry, title: str) -> tuple[int, str, str, str]:
    told = recorded(entry)
    day = f"{entry.at:%Y-%m-%d} {entry.at.day} {entry.at:%B %Y}"
    words = f"{entry_words(told, entry.typed)} {title} {day}"
    return entry.pk, words, _mark(entry.thread), entry.kind


def index_entry(entry: Entry, title: str) -> None:
    """Make an entry of the job of that `title` found by its words."""
    _put(ENTRIES, [_row(entry, title)])


def forget_entries(job_id: int) -> None:
    """Take the entries of a job out of the index."""
    _drop(ENTRIES, list(Entry.objects.filter(job_id=job_id).values_list("pk", flat=True)))


def forget_entry(entry_id: int) -> None:
    """Take one entry out of the index."""
    _drop(ENTRIES, [entry_id])


def index_entries(job: Job) -> None:
    """Index every live entry of a job anew."""
    forget_entries(job.pk)
    live = Entry.objects.filter(job=job, undone_at=None).iterator()
    _put(ENTRIES, (_row(entry, job.title) for entry in live))


def index_job(job: Job, row: StandingRow, more: Sequence[str]) -> None:
    """Make a job found by what its `row` shows, and by `more` words of its document."""
    made = f"{row.good} of {row.quantity} {row.scrapped} scrapped {stood_words(row.cutter, row.setting)}"
    told = (
        row.title,
        row.needed_by,
        row.thread,
        row.material,
        row.identified,
        row.held,
        row.closed,
        STATE_WORDS[row.state],
        made,
    )
    marks = " ".join(_mark(name) for name in row.thread.split(", ") if name)
    _drop(JOBS, [job.pk])
    _put(JOBS, [(job.pk, " ".join((*told, *more)), marks, "")])


def forget_job(job_id: int) -> None:
    """Take a job out of the index."""
    _drop(JOBS, [job_id])


def _phrase(text: str, *, whole: bool = False) -> str:
    tokens = " ".join(_TOKEN.findall(text))
    return f'words : "{tokens}"{"" if whole else " *"}' if tokens else ""


def _thread(words: Sequence[str]) -> str:
    """The thread that words name; "" where they name none, or several."""
    try:
        return read_called(" ".join(words), stored=True).thread.designation
    except InputError:
        return ""


def _terms(words: Sequence[str]) -> Iterator[str]:
    """What must all be found: threads by their names, the longest first, and words by how they begin."""
    at = 0
    while at < len(words):
        for count in range(min(_LONGEST_NAME, len(words) - at), 0, -1):
            name = _thread(words[at : at + count])
            if name:
                typed = _phrase(" ".join(words[at : at + count]), whole=True)
                yield f'(thread : "{_mark(name)}" OR {typed})'
                at += count
                break
        else:
            term = _phrase(words[at])
            if term:
                yield term
            at += 1


def query_of(text: str, kinds: Sequence[str] = ()) -> str:
    """What the index is asked for a search of `text` among entries of some `kinds`, of all where none is named.

    "" asks for everything.
    """
    some = " OR ".join(f'kind : "{kind}"' for kind in kinds)
    terms = [*_terms(text.replace("\x00", " ").split()), *([f"({some})"] if some else [])]
    return " AND ".join(terms)


def matching(table: Table, query: str, before: int, most: int) -> list[int]:
    """Ids below `before` whose words match, the largest first, at most so many (a count)."""
    with connection.cursor() as cursor:
        cursor.execute(
            f"SELECT rowid FROM {table} WHERE {table} MATCH %s AND rowid < %s ORDER BY rowid DESC LIMIT %s",
            [query, before, most],
        )
        return [int(row[0]) for row in cursor.fetchall()]
