"""Reads the record of a job file: what happened at the bench, entry by entry, and how the job stands."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, fields
from datetime import datetime
from typing import Any

from lathework.bench.entry import KINDS, OF_EVERY_PART, OF_THE_STEP, Entry, Story
from lathework.bench.keys import ids_of, split
from lathework.bench.lift import lifted
from lathework.errors import InputError, InvalidDocument
from lathework.job.document import LONGEST_NOTE, MOST_OTHERS
from lathework.planning.plan import Plan
from lathework.reader import IDENT, LONGEST_LINE, UNSTORABLE, Reader, storable

ENTRY_KEYS = (
    *("kind", "piece", "part", "step", "value_mm", "dialled_mm", "word", "eighths", "text", "typed", "unit"),
    *("ended", "told", "at"),
)
OLD_ENTRY_KEYS = tuple(key for key in ENTRY_KEYS if key not in ("unit", "ended", "told"))
RECORD_KEYS = ("entries", "held", "closed", "gone")
GONE_KEYS = ("part", "id")
TOLD_KEYS = tuple(field.name for field in fields(Story))
_TOLD_LENGTHS = ("aim_mm", "low_mm", "high_mm")
_LONGEST_WORD, LONGEST_MAKES = 60, 700
_MOST_ENTRIES, _MOST_REVISIONS = 20000, 10**6
FIRST_YEAR, LAST_YEAR = 1900, 2200
"""Years in which something may have been recorded."""
UNITS = ("", "in", "mm")


@dataclass(frozen=True, slots=True)
class Kept:
    """An entry with the text that was typed, the unit a bare number of it was in, and when it was recorded."""

    entry: Entry
    typed: str
    unit: str
    at: datetime


@dataclass(frozen=True, slots=True)
class Record:
    """All entries in order; why the job is held or closed (empty when it is not)."""

    entries: tuple[Kept, ...]
    held: str
    closed: str


class _Known:
    """The parts and ids that a record may speak of: those of the job, and those that are gone from it."""

    def __init__(self, plans: Sequence[Plan], gone: Sequence[tuple[str, str]]) -> None:
        self.ids = {plan.job.part.id: set(ids_of(plan.job.part)) for plan in plans}
        for part, own in gone:
            self.ids.setdefault(part, set()).add(own)
        self.pieces = dict.fromkeys(self.ids, 1)

    def check(self, entry: Entry, field: str) -> None:
        """Raises InputError where the entry speaks of what is not there."""
        ids = self.ids.get(entry.part)
        if ids is None:
            raise InputError("unknown-part", f"{field}.part", "This job has no part of that id.", tuple(self.ids))
        if not entry.step:
            return
        found = split(entry.step)
        if found is None:
            raise InputError("unknown-step", f"{field}.step", "There is no step of that key.")
        if found[1] and found[1] not in ids:
            raise InputError("unknown-id", f"{field}.step", "The part has no section or hole of that id.", tuple(ids))

    def count(self, entry: Entry, field: str) -> None:
        """Raises InputError where a piece was skipped."""
        if entry.kind in OF_EVERY_PART:
            return
        most = self.pieces[entry.part]
        if entry.piece > most + 1:
            raise InputError("skipped", f"{field}.piece", f"Nothing is recorded for piece {most + 1}.")
        self.pieces[entry.part] = max(most, entry.piece)


def _text(source: Mapping[str, Any], key: str, field: str, longest: int) -> str:
    value = source.get(key, "")
    if not isinstance(value, str) or len(value) > longest:
        raise InputError("wrong-type", f"{field}.{key}", f"{key} must be text of at most {longest} characters.")
    if not storable(value):
        raise InputError("unreadable", f"{field}.{key}", UNSTORABLE)
    return value


def _number(source: Mapping[str, Any], key: str, field: str) -> float | None:
    value = source.get(key)
    if value is None:
        return None
    if isinstance(value, bool) or not isinstance(value, int | float) or not math.isfinite(value) or abs(value) > 1e6:
        raise InputError("not-a-number", f"{field}.{key}", f"{key} must be a finite number.")
    return float(value)


def _count(source: Mapping[str, Any], key: str, field: str, most: int, usual: int | None = None) -> int:
    value = source.get(key, usual)
    if isinstance(value, bool) or not isinstance(value, int) or not 0 <= value <= most:
        raise InputError("not-a-count", f"{field}.{key}", f"{key} must be a whole number up to {most}.")
    return value


def _moment(source: Mapping[str, Any], field: str) -> datetime:
    try:
        at = datetime.fromisoformat(_text(source, "at", field, _LONGEST_WORD))
    except ValueError:
        at = datetime.min
    if at.tzinfo is None:
        raise InputError("not-a-date", f"{field}.at", "at must be a date and time with its zone (ISO 8601).")
    if not FIRST_YEAR <= at.year < LAST_YEAR:
        raise InputError("not-a-date", f"{field}.at", f"at must lie between {FIRST_YEAR} and {LAST_YEAR}.")
    return at


def _object(value: object, keys: Sequence[str], field: str, what: str) -> Mapping[str, Any]:
    if not isinstance(value, Mapping):
        raise InputError("wrong-type", field, f"{what} is an object.")
    unknown = next((key for key in value if key not in keys), None)
    if unknown is not None:
        told = str(unknown)[:40].encode("utf-8", "replace").decode("utf-8")
        raise InputError("unknown-field", f"{field}.{told}", "There is no such field.", tuple(keys))
    return value


def _story(value: object, field: str) -> Story:
    told = _object({} if value is None else value, TOLD_KEYS, field, "What is told of a step")
    words = {
        key: _text(told, key, field, LONGEST_MAKES if key == "makes" else LONGEST_LINE)
        for key in TOLD_KEYS
        if key not in (*_TOLD_LENGTHS, "revision")
    }
    lengths = {key: _number(told, key, field) for key in _TOLD_LENGTHS}
    return Story(**words, **lengths, revision=_count(told, "revision", field, _MOST_REVISIONS, 0))  # type: ignore[arg-type]


def _entry(value: Mapping[str, Any], field: str, part: str) -> Entry:
    kind = next((k for k in KINDS if k == value.get("kind")), None)
    if kind is None:
        raise InputError("unknown-choice", f"{field}.kind", f"Choose one of {', '.join(KINDS)}.", KINDS)
    piece = _count(value, "piece", field, _MOST_ENTRIES)
    if piece < 1:
        raise InputError("not-a-count", f"{field}.piece", "piece must be a whole number from 1.")
    ended = value.get("ended", False)
    if not isinstance(ended, bool):
        raise InputError("wrong-type", f"{field}.ended", "ended is true or false.")
    entry = Entry(
        kind=kind,
        piece=piece,
        step=_text(value, "step", field, _LONGEST_WORD),
        value_mm=_number(value, "value_mm", field),
        dialled_mm=_number(value, "dialled_mm", field),
        word=_text(value, "word", field, _LONGEST_WORD),
        eighths=_number(value, "eighths", field),
        text=_text(value, "text", field, LONGEST_NOTE),
        part=part,
        ended=ended,
        story=_story(value.get("told"), f"{field}.told"),
    )
    if kind == "reading" and entry.value_mm is None:
        raise InputError("empty", f"{field}.value_mm", "A reading needs its value.")
    return entry


def _kept(value: object, field: str, known: _Known) -> Kept:
    """An entry as version 3 writes it."""
    row = _object(value, ENTRY_KEYS, field, "An entry")
    entry = _entry(row, field, _text(row, "part", field, _LONGEST_WORD))
    known.check(entry, field)
    known.count(entry, field)
    if entry.kind in OF_THE_STEP and not entry.story.title:
        raise InputError("untold", f"{field}.told.title", "It must say what the step was called.")
    if entry.kind == "reading" and entry.story.aim_mm is None:
        raise InputError("untold", f"{field}.told.aim_mm", "A reading must say what it was measured for.")
    unit = _text(row, "unit", field, 2)
    if unit not in UNITS:
        raise InputError("unknown-choice", f"{field}.unit", "unit is in or mm.", UNITS)
    return Kept(entry, _text(row, "typed", field, _LONGEST_WORD), unit, _moment(row, field))


def _old(value: object, field: str, plans: Sequence[Plan]) -> Kept:
    """An entry as versions 1 and 2 wrote it: its part by number, its step by a key of those days."""
    row = _object(value, OLD_ENTRY_KEYS, field, "An entry")
    number = _count(row, "part", field, MOST_OTHERS + 1, 1)
    if not 1 <= number <= len(plans):
        raise InputError("not-a-count", f"{field}.part", f"part must be a whole number from 1 to {len(plans)}.")
    entry = _entry({**row, "part": ""}, field, plans[number - 1].job.part.id)
    return Kept(entry, _text(row, "typed", field, _LONGEST_WORD), "", _moment(row, field))


def _gone(value: object, errors: Reader) -> list[tuple[str, str]]:
    """What the record speaks of though the job no longer has it: a section or a hole of a part, or a part."""
    found: list[tuple[str, str]] = []
    if not isinstance(value, list) or len(value) > _MOST_ENTRIES:
        errors.fail("wrong-type", "record.gone", "gone is a list.")
        return found
    for number, item in enumerate(value):
        field = f"record.gone.{number}"
        try:
            row = _object(item, GONE_KEYS, field, "What is gone")
            part, own = (_text(row, key, field, _LONGEST_WORD) for key in GONE_KEYS)
            if not IDENT.fullmatch(part) or (own and not IDENT.fullmatch(own)):
                raise InputError("not-an-id", field, "An id is up to 16 letters, digits, - and _.")
            found.append((part, own))
        except InputError as error:
            errors.note(error)
    return found


def read_record(value: object, plans: Sequence[Plan], version: int) -> Record:
    """Read the "record" of a job file of that `version`, over the plans of its parts; None is an empty one.

    Records of versions 1 and 2 are lifted. Raises InvalidDocument naming every wrong entry.
    """
    if value is None:
        return Record((), "", "")
    if not isinstance(value, Mapping) or any(key not in RECORD_KEYS for key in value):
        raise InvalidDocument(
            (InputError("wrong-type", "record", f"record holds {', '.join(RECORD_KEYS)}.", RECORD_KEYS),)
        )
    entries = value.get("entries", [])
    if not isinstance(entries, list) or len(entries) > _MOST_ENTRIES:
        raise InvalidDocument((InputError("wrong-type", "record.entries", "entries is a list."),))
    errors = Reader({})
    known = _Known(plans, _gone(value.get("gone", []), errors))
    kept: list[Kept] = []
    reasons = {"held": "", "closed": ""}
    for number, item in enumerate(entries):
        field = f"record.entries.{number}"
        try:
            kept.append(_kept(item, field, known) if version >= 3 else _old(item, field, plans))
        except InputError as error:
            errors.note(error)
    for key in reasons:
        try:
            reasons[key] = _text(value, key, "record", LONGEST_NOTE)
        except InputError as error:
            errors.note(error)
    if errors.wrong:
        raise errors.invalid()
    return Record(tuple(kept) if version >= 3 else _all_lifted(kept, plans), reasons["held"], reasons["closed"])


def _all_lifted(kept: Sequence[Kept], plans: Sequence[Plan]) -> tuple[Kept, ...]:
    entries = lifted([one.entry for one in kept], plans)
    return tuple(Kept(entry, one.typed, one.unit, one.at) for entry, one in zip(entries, kept, strict=True))
