"""A job as a file, with what was recorded."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any

from lathework.bench.keys import split
from server.jobs.models import Entry, Job
from server.jobs.stored import live_entries, recorded

Json = dict[str, Any]
"""A document as it is read and written: anybody's JSON."""


def _entry_file(entry: Entry) -> Json:
    out: Json = {
        "kind": entry.kind,
        "piece": entry.piece,
        "part": entry.part,
        "step": entry.step,
        "at": entry.at.isoformat(),
    }
    told = asdict(recorded(entry).story)
    optional: Json = {
        "value_mm": entry.value_mm,
        "dialled_mm": entry.dialled_mm,
        "stated": entry.stated or None,
        "wire_mm": entry.wire_mm,
        "word": entry.word,
        "eighths": entry.eighths,
        "text": entry.text,
        "typed": entry.typed,
        "unit": entry.unit,
        "ended": entry.ended or None,
        "told": {name: value for name, value in told.items() if value not in (None, "", 0)} or None,
    }
    return out | {key: value for key, value in optional.items() if value not in (None, "")}


def _ids(document: Json) -> set[tuple[str, str]]:
    """The parts of a document with the ids of their sections and holes, and "" for the part itself."""
    found: set[tuple[str, str]] = set()
    for one in (document, *(document.get("others") or ())):
        part = one["part"]
        features = (*part["sections"], *(part.get("bores") or ()))
        found |= {(part["id"], ""), *((part["id"], feature["id"]) for feature in features)}
    return found


def _gone(job: Job, live: list[Entry]) -> list[Json]:
    """What is spoken of though the document no longer has it."""
    keys = ((entry.part, split(entry.step)) for entry in live)
    spoken = {(part, own) for part, key in keys for own in ("", key[1] if key else "")}
    return [{"part": part, "id": own} for part, own in sorted(spoken - _ids(job.document))]


def job_file(job: Job) -> Json:
    """A job as a file, with what was recorded. Raises KeyError or TypeError where its document is no document."""
    live = live_entries(job.pk)
    record: Json = {"entries": [_entry_file(entry) for entry in live], "held": job.held, "closed": job.closed}
    gone = _gone(job, live)
    return {**job.document, "record": record | ({"gone": gone} if gone else {})}


def raw_file(job: Job) -> Json:
    """A job that the rules do not read as it is stored, its entries beside it."""
    document = job.document if isinstance(job.document, dict) else {"document": job.document}
    return document | {"record": {"entries": [_entry_file(entry) for entry in live_entries(job.pk)]}}
