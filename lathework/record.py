"""Reads the record of a job file: what happened at the bench, entry by entry, and how the job stands."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from typing import Any

from lathework.document import LONGEST_NOTE, MOST_OTHERS
from lathework.errors import InputError, InvalidDocument
from lathework.planning.bench import KINDS, Entry

ENTRY_KEYS = ("kind", "piece", "step", "value_mm", "dialled_mm", "word", "eighths", "text", "typed", "at", "part")
RECORD_KEYS = ("entries", "held", "closed")
_LONGEST_WORD = 60
_MOST_ENTRIES = 20000


@dataclass(frozen=True, slots=True)
class Kept:
    """An entry with the text that was typed and when it was recorded."""

    entry: Entry
    typed: str
    at: datetime


@dataclass(frozen=True, slots=True)
class Record:
    """All entries in order; why the job is held or closed (empty when it is not)."""

    entries: tuple[Kept, ...]
    held: str
    closed: str


def _text(source: Mapping[str, Any], key: str, field: str, longest: int) -> str:
    value = source.get(key, "")
    if not isinstance(value, str) or len(value) > longest or "\x00" in value:
        raise InputError("wrong-type", f"{field}.{key}", f"{key} must be text of at most {longest} characters.")
    return value


def _number(source: Mapping[str, Any], key: str, field: str) -> float | None:
    value = source.get(key)
    if value is None:
        return None
    if isinstance(value, bool) or not isinstance(value, int | float) or not math.isfinite(value) or abs(value) > 1e6:
        raise InputError("not-a-number", f"{field}.{key}", f"{key} must be a finite number.")
    return float(value)


def _moment(source: Mapping[str, Any], field: str) -> datetime:
    try:
        at = datetime.fromisoformat(_text(source, "at", field, _LONGEST_WORD))
    except ValueError:
        at = datetime.min
    if at.tzinfo is None:
        raise InputError("not-a-date", f"{field}.at", "at must be a date and time with its zone (ISO 8601).")
    return at


def _kept(value: object, field: str) -> Kept:
    if not isinstance(value, Mapping):
        raise InputError("wrong-type", field, "An entry is an object.")
    unknown = [key for key in value if key not in ENTRY_KEYS]
    if unknown:
        raise InputError("unknown-field", f"{field}.{str(unknown[0])[:40]}", "There is no such field.", ENTRY_KEYS)
    kind = next((k for k in KINDS if k == value.get("kind")), None)
    piece, part = value.get("piece"), value.get("part", 1)
    if kind is None:
        raise InputError("unknown-choice", f"{field}.kind", f"Choose one of {', '.join(KINDS)}.", KINDS)
    if isinstance(piece, bool) or not isinstance(piece, int) or not 1 <= piece <= _MOST_ENTRIES:
        raise InputError("not-a-count", f"{field}.piece", "piece must be a whole number from 1.")
    if isinstance(part, bool) or not isinstance(part, int) or not 1 <= part <= MOST_OTHERS + 1:
        raise InputError("not-a-count", f"{field}.part", f"part must be a whole number from 1 to {MOST_OTHERS + 1}.")
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
    )
    if kind == "reading" and entry.value_mm is None:
        raise InputError("empty", f"{field}.value_mm", "A reading needs its value.")
    return Kept(entry, _text(value, "typed", field, _LONGEST_WORD), _moment(value, field))


def read_record(value: object) -> Record:
    """Read the "record" of a job file; None is an empty one. Raises InvalidDocument naming every wrong entry."""
    if value is None:
        return Record((), "", "")
    if not isinstance(value, Mapping) or any(key not in RECORD_KEYS for key in value):
        raise InvalidDocument(
            (InputError("wrong-type", "record", f"record holds {', '.join(RECORD_KEYS)}.", RECORD_KEYS),)
        )
    entries = value.get("entries", [])
    if not isinstance(entries, list) or len(entries) > _MOST_ENTRIES:
        raise InvalidDocument((InputError("wrong-type", "record.entries", "entries is a list."),))
    kept: list[Kept] = []
    errors: list[InputError] = []
    for number, item in enumerate(entries):
        try:
            kept.append(_kept(item, f"record.entries.{number}"))
        except InputError as error:
            errors.append(error)
    reasons = []
    for key in ("held", "closed"):
        try:
            reasons.append(_text(value, key, "record", LONGEST_NOTE))
        except InputError as error:
            errors.append(error)
    if errors:
        raise InvalidDocument(tuple(errors))
    return Record(tuple(kept), reasons[0], reasons[1])
