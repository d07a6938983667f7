"""Stored entries as the rules see them, and back."""

from __future__ import annotations

from datetime import datetime
from typing import Any

from lathework.bench.entry import KINDS, Entry, Story
from server.jobs import models

LENGTHS = ("aim_mm", "low_mm", "high_mm")
_WORDS = ("title", "metal", "thread", "class_name", "makes", "tool")
_OWN = ("piece", "step", "value_mm", "dialled_mm", "word", "eighths", "text", "part", "ended")


def recorded(row: models.Entry) -> Entry:
    """A stored entry as the rules see it."""
    told: dict[str, Any] = {name: getattr(row, name) for name in (*_WORDS, *LENGTHS, "revision")}
    own: dict[str, Any] = {name: getattr(row, name) for name in _OWN}
    kind = next(kind for kind in KINDS if kind == row.kind)
    return Entry(kind=kind, **own, story=Story(part=row.part_name, **told))


def row_of(job: models.Job, entry: Entry, typed: str, unit: str, at: datetime) -> models.Entry:
    """An entry as it is stored, not stored yet."""
    story = entry.story
    own = {name: getattr(entry, name) for name in _OWN}
    told = {name: getattr(story, name) for name in (*_WORDS, *LENGTHS, "revision")}
    return models.Entry(job=job, kind=entry.kind, **own, **told, part_name=story.part, typed=typed, unit=unit, at=at)


def live_entries(job_id: int) -> list[models.Entry]:
    """The entries of a job that count, oldest first."""
    return list(models.Entry.objects.filter(job_id=job_id, undone_at=None))
