"""Stored entries as the rules see them, and back."""

from __future__ import annotations

from dataclasses import fields
from datetime import datetime
from typing import Any

from lathework.bench.entry import KINDS, Entry, Story
from server.jobs import models

_TOLD = tuple(field.name for field in fields(Story) if field.name != "part")
"""Columns of an entry named as in its story: "part" is its part's id, the name it had is another."""
_OWN = (
    "piece",
    "step",
    "value_mm",
    "measured",
    "dialled_mm",
    "stated",
    "wire_mm",
    "within_mm",
    "tried",
    "mate",
    "by",
    "device",
    "word",
    "eighths",
    "text",
    "why",
    "part",
    "ended",
    "then",
)


def recorded(row: models.Entry) -> Entry:
    """A stored entry as the rules see it."""
    told: dict[str, Any] = {name: getattr(row, name) for name in _TOLD}
    own: dict[str, Any] = {name: getattr(row, name) for name in _OWN}
    kind = next(kind for kind in KINDS if kind == row.kind)
    return Entry(kind=kind, **own, story=Story(part=row.part_name, **told))


def columns_of(entry: Entry) -> dict[str, Any]:
    """What is stored of an entry and its story, but for its kind, by column."""
    own = {name: getattr(entry, name) for name in _OWN}
    told = {name: getattr(entry.story, name) for name in _TOLD}
    return own | told | {"part_name": entry.story.part}


def row_of(job: models.Job, entry: Entry, typed: str, unit: str, at: datetime) -> models.Entry:
    """An entry as it is stored, not stored yet."""
    return models.Entry(job=job, kind=entry.kind, typed=typed, unit=unit, at=at, **columns_of(entry))


def live_entries(job_id: int) -> list[models.Entry]:
    """The entries of a job that count, oldest first."""
    return list(models.Entry.objects.filter(job_id=job_id, undone_at=None))
