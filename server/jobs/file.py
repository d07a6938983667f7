"""A job as a file, with what was recorded."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any

from lathework.bench.record.declaration import ENTRY
from lathework.bench.record.keys import split
from server.jobs.models import Entry, Job
from server.jobs.stored import live_entries, recorded

Json = dict[str, Any]
"""A document as it is read and written: anybody's JSON."""


def _entry_file(entry: Entry) -> Json:
    """An entry as the file has it: nothing that it does not say."""
    own = recorded(entry)
    told = {name: value for name, value in asdict(own.story).items() if value not in (None, "", 0)}
    further = {"typed": entry.typed, "unit": entry.unit, "told": told or None, "at": entry.at.isoformat()}
    values = {name: getattr(own, name) for name in ENTRY.keys if name not in further} | further
    # A count of eighths of 0 says something, a tick that was not set does not.
    says = [name for name in ENTRY.keys if values[name] not in (None, "") and values[name] is not False]
    return {name: values[name] for name in ENTRY.keys if name in says or name == "step"}


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
