"""Reads the record of a job file: what happened at the bench, entry by entry, and how the job stands."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any

from lathework.bench.entry import KINDS, OF_EVERY_PART, OF_THE_STEP, Entry, Kind, Story
from lathework.bench.record.declaration import (
    ENTRY,
    GONE,
    LONGEST_MAKES,
    LONGEST_WORD,
    MOST_ENTRIES,
    MOST_REVISIONS,
    RECORD,
    TOLD,
    UNITS,
)
from lathework.bench.record.fields import count_of, line_of, moment_of, number_of, object_of, truth_of
from lathework.bench.record.keys import ids_of, split
from lathework.bench.record.lift import lifted
from lathework.cutting.dimension import MEASURED
from lathework.errors import InputError, InvalidDocument
from lathework.fields import LONGEST_LINE
from lathework.gauging.tried import GAUGES, Gauge, tried_with
from lathework.job.declaration import LONGEST_NOTE, MOST_OTHERS
from lathework.planning.plan import Plan
from lathework.reader import IDENT, Reader

NEW_KEYS = (
    "unit",
    "ended",
    "stated",
    "measured",
    "wire_mm",
    "within_mm",
    "tried",
    "mate",
    "by",
    "device",
    "why",
    "then",
    "told",
)
OLD_ENTRY_KEYS = tuple(key for key in ENTRY.keys if key not in NEW_KEYS)
_TOLD_LENGTHS = ("aim_mm", "low_mm", "high_mm")


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
            raise InputError("skipped", f"{field}.piece", f"Piece {most + 1} has no records.")
        self.pieces[entry.part] = max(most, entry.piece)


def _story(value: object, field: str) -> Story:
    told = object_of({} if value is None else value, TOLD.keys, field, "What is recorded of a step")
    words = {
        key: line_of(told, key, field, LONGEST_MAKES if key == "makes" else LONGEST_LINE)
        for key in TOLD.keys
        if key not in (*_TOLD_LENGTHS, "revision")
    }
    lengths = {key: number_of(told, key, field) for key in _TOLD_LENGTHS}
    return Story(**words, **lengths, revision=count_of(told, "revision", field, MOST_REVISIONS, 0))  # type: ignore[arg-type]


def _measured(value: Mapping[str, Any], field: str, kind: Kind) -> str:
    """What a reading is of: the diameter, where an earlier version did not say."""
    told = line_of(value, "measured", field, LONGEST_WORD)
    if kind != "reading":
        return ""
    if told and told not in MEASURED:
        raise InputError("unknown-choice", f"{field}.measured", "That is not a size that can be measured.", MEASURED)
    return told or "diameter"


def _tried(value: Mapping[str, Any], field: str) -> Gauge:
    """What a thread was gauged with: a nut, where an earlier version did not say."""
    gauge = tried_with(line_of(value, "tried", field, LONGEST_WORD))
    if gauge is None:
        raise InputError("unknown-choice", f"{field}.tried", "No thread is gauged with that.", GAUGES)
    return gauge


def _entry(value: Mapping[str, Any], field: str, part: str) -> Entry:
    kind = next((k for k in KINDS if k == value.get("kind")), None)
    if kind is None:
        raise InputError("unknown-choice", f"{field}.kind", f"Choose one of {', '.join(KINDS)}.", KINDS)
    piece = count_of(value, "piece", field, MOST_ENTRIES)
    if piece < 1:
        raise InputError("not-a-count", f"{field}.piece", "piece must be a whole number from 1.")
    entry = Entry(
        kind=kind,
        piece=piece,
        step=line_of(value, "step", field, LONGEST_WORD),
        value_mm=number_of(value, "value_mm", field),
        measured=_measured(value, field, kind),
        dialled_mm=number_of(value, "dialled_mm", field),
        stated=truth_of(value, "stated", field),
        wire_mm=number_of(value, "wire_mm", field),
        within_mm=number_of(value, "within_mm", field),
        tried=_tried(value, field),
        mate=line_of(value, "mate", field, LONGEST_WORD),
        by=line_of(value, "by", field, LONGEST_WORD),
        device=line_of(value, "device", field, LONGEST_WORD),
        word=line_of(value, "word", field, LONGEST_WORD),
        eighths=number_of(value, "eighths", field),
        text=line_of(value, "text", field, LONGEST_NOTE),
        why=line_of(value, "why", field, LONGEST_WORD),
        part=part,
        ended=truth_of(value, "ended", field),
        then=count_of(value, "then", field, MOST_ENTRIES, 0) or None,
        story=_story(value.get("told"), f"{field}.told"),
    )
    if kind == "reading" and entry.value_mm is None:
        raise InputError("empty", f"{field}.value_mm", "A reading needs its value.")
    return entry


def _kept(value: object, field: str, known: _Known) -> Kept:
    """An entry as version 3 writes it."""
    row = object_of(value, ENTRY.keys, field, "A record")
    entry = _entry(row, field, line_of(row, "part", field, LONGEST_WORD))
    known.check(entry, field)
    known.count(entry, field)
    if entry.kind in OF_THE_STEP and not entry.story.title:
        raise InputError("untold", f"{field}.told.title", "Give the name of the step.")
    if entry.kind == "reading" and entry.story.aim_mm is None:
        raise InputError("untold", f"{field}.told.aim_mm", "Give the target of the reading.")
    unit = line_of(row, "unit", field, 2)
    if unit not in UNITS:
        raise InputError("unknown-choice", f"{field}.unit", "unit is in or mm.", UNITS)
    return Kept(entry, line_of(row, "typed", field, LONGEST_WORD), unit, moment_of(row, field))


def _old(value: object, field: str, plans: Sequence[Plan]) -> Kept:
    """An entry as versions 1 and 2 wrote it: its part by number, its step by a key of those days."""
    row = object_of(value, OLD_ENTRY_KEYS, field, "A record")
    number = count_of(row, "part", field, MOST_OTHERS + 1, 1)
    if not 1 <= number <= len(plans):
        raise InputError("not-a-count", f"{field}.part", f"part must be a whole number from 1 to {len(plans)}.")
    entry = _entry({**row, "part": ""}, field, plans[number - 1].job.part.id)
    return Kept(entry, line_of(row, "typed", field, LONGEST_WORD), "", moment_of(row, field))


def _gone(value: object, errors: Reader) -> list[tuple[str, str]]:
    """What the record speaks of though the job no longer has it: a section or a hole of a part, or a part."""
    found: list[tuple[str, str]] = []
    if not isinstance(value, list) or len(value) > MOST_ENTRIES:
        errors.fail("wrong-type", "record.gone", "gone is a list.")
        return found
    for number, item in enumerate(value):
        field = f"record.gone.{number}"
        try:
            row = object_of(item, GONE.keys, field, "What was removed")
            part, own = (line_of(row, key, field, LONGEST_WORD) for key in GONE.keys)
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
    if not isinstance(value, Mapping) or any(key not in RECORD.keys for key in value):
        raise InvalidDocument(
            (InputError("wrong-type", "record", f"record holds {', '.join(RECORD.keys)}.", RECORD.keys),)
        )
    entries = value.get("entries", [])
    if not isinstance(entries, list) or len(entries) > MOST_ENTRIES:
        raise InvalidDocument((InputError("wrong-type", "record.entries", "Entries must be a list."),))
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
            reasons[key] = line_of(value, key, "record", LONGEST_NOTE)
        except InputError as error:
            errors.note(error)
    if errors.wrong:
        raise errors.invalid()
    return Record(tuple(kept) if version >= 3 else _all_lifted(kept, plans), reasons["held"], reasons["closed"])


def _all_lifted(kept: Sequence[Kept], plans: Sequence[Plan]) -> tuple[Kept, ...]:
    entries = lifted([one.entry for one in kept], plans)
    return tuple(Kept(entry, one.typed, one.unit, one.at) for entry, one in zip(entries, kept, strict=True))
