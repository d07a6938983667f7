"""How the store stands: what it has, when it was copied last, what is wrong with it."""

from __future__ import annotations

import shutil
from dataclasses import dataclass
from datetime import datetime, timedelta
from pathlib import Path

from django.conf import settings

from server import backups, store
from server.jobs.kept import outdated
from server.jobs.queries import entries, jobs, standings
from server.kit.queries import stored_things
from server.version import VERSION

LONGEST_WITHOUT = timedelta(days=2)
"""A copy a day is made; one day may be missed while the machine is off."""
LEAST_FREE_BYTES, LEAST_FREE_STORES = 50 * 2**20, 5
"""What must be free on the disk: so much, and room for so many copies of the store."""


@dataclass(frozen=True, slots=True)
class Finding:
    """One thing that was looked at: what it is, whether it is well, and what was found."""

    name: str
    well: bool
    told: str


@dataclass(frozen=True, slots=True)
class Health:
    """The program's version, the store's folder and size (bytes), what is in it, its copies, and what was looked at."""

    version: str
    folder: str
    store_bytes: int
    free_bytes: int
    jobs: int
    entries: int
    things: int
    last_copy: datetime | None
    copies: int
    findings: tuple[Finding, ...]


def size_words(count: int) -> str:
    """A number of bytes as a person reads it.

    >>> size_words(544768), size_words(53_000_000_000)
    ('545 kB', '53.0 GB')
    """
    for unit, size in (("GB", 1e9), ("MB", 1e6)):
        if count >= size:
            return f"{count / size:.1f} {unit}"
    return f"{count / 1e3:.0f} kB"


def _copies(last: datetime | None, count: int, now: datetime) -> Finding:
    if last is None:
        return Finding("daily backups", False, "the first is made one minute after start")
    told = f"{count} kept, the latest from {last.day} {last:%b %Y, %H:%M}"
    return Finding("daily backups", now - last <= LONGEST_WITHOUT, told)


def _disk(free: int, size: int) -> Finding:
    enough = free >= max(LEAST_FREE_BYTES, LEAST_FREE_STORES * size)
    return Finding("disk", enough, f"{size_words(free)} free")


def _jobs() -> Finding:
    unread = list(standings().exclude(unreadable="").values_list("title", flat=True))
    if unread:
        return Finding("jobs", False, f"this version cannot open {', '.join(unread)}")
    late = outdated()
    told = f"{len(late)} will be updated at the next start" if late else "all jobs open without problems"
    return Finding("jobs", not late, told)


def health(now: datetime) -> Health:
    """How the store stands at `now`, without reading all of it."""
    data: Path = settings.DATA
    file = data / store.NAME
    kept = backups.kept(data)
    past = [made for made, _ in kept if made <= now]
    size = sum(one.stat().st_size for one in (file, *(Path(f"{file}{side}") for side in store.SIDES)) if one.exists())
    free, last = shutil.disk_usage(data).free, past[-1] if past else None
    return Health(
        version=VERSION,
        folder=str(data),
        store_bytes=size,
        free_bytes=free,
        jobs=jobs().filter(deleted_at=None).count(),
        entries=entries(binned=True).count(),
        things=stored_things().filter(retired_at=None).count(),
        last_copy=last,
        copies=len(kept),
        findings=(_jobs(), _copies(last, len(kept), now), _disk(free, size)),
    )


def whole_store(data: Path) -> Finding:
    """Whether every page of the store is sound: all of it is read."""
    try:
        store.check_store(data / store.NAME)
    except store.StoreProblem as problem:
        return Finding("store", False, str(problem))
    return Finding("store", True, "no damage found")


def last_copy(data: Path) -> Finding:
    """Whether the last daily copy could be put in place: it is, beside the store, and what is in it counted."""
    kept = backups.kept(data)
    if not kept:
        return Finding("latest backup", True, "none yet")
    file = kept[-1][1]
    try:
        with store.copied(file, data) as restored:
            jobs, entries = store.counted(restored)
    except (store.StoreProblem, OSError) as problem:
        return Finding("latest backup", False, str(problem))
    return Finding("latest backup", True, f"test restore OK: {jobs} jobs, {entries} records")
