"""Stored jobs as the shapes the endpoints answer with."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any

from lathework.bench.keys import split
from lathework.present.bench import bench_json
from lathework.present.plans import plan_json
from lathework.present.values import figure_json
from server.jobs.dies import die_records
from server.jobs.models import Entry, Job, StandingRow
from server.jobs.standing import Standing
from server.jobs.stored import live_entries, recorded

Json = dict[str, Any]


def row_json(row: StandingRow) -> Json:
    """A job on the list."""
    return {
        "id": row.job_id,
        "title": row.title,
        "needed_by": row.needed_by,
        "thread": row.thread,
        "material": row.material,
        "state": row.state,
        "shelf": row.shelf,
        "quantity": row.quantity,
        "good": row.good,
        "scrapped": row.scrapped,
        "piece": row.piece,
        "steps": row.steps,
        "steps_done": row.steps_done,
        "next_step": row.next_step,
        "held": row.held,
        "closed": row.closed,
        "unreadable": row.unreadable,
        "last": row.last_entry,
        "changed_at": row.changed_at.isoformat(),
    }


def standing_json(job: Job) -> Json:
    """What of an answer is the job's standing: it stays true of a closed one whose answer is kept."""
    row = row_json(job.row)
    kept = {name: row[name] for name in ("id", "title", "state", "shelf", "held", "closed", "last", "changed_at")}
    return kept | {"revision": job.revision}


def job_card_json(job: Job) -> Json:
    """A job as it stands after something was done to it, with its revision."""
    return row_json(job.row) | {"revision": job.revision}


def job_json(now: Standing, part: int = 1) -> Json:
    """A job with its document, and the plan of `part` (a number from 1; past the last is the last)."""
    plan = now.plans[min(part, len(now.plans)) - 1]
    return job_card_json(now.job) | {
        "document": now.job.document,
        "plan": plan_json(plan),
        "die_records": [
            {
                "thread": record.thread.designation,
                "blank": figure_json(record.blank),
                "pieces": record.pieces,
                "fraction": f"{record.fraction:g}",
            }
            for record in die_records(plan.job)
        ],
    }


def bench_screen(now: Standing) -> Json:
    """The bench screen of a job."""
    return {"unit": now.spec.unit} | standing_json(now.job) | bench_json(now.progress)


def _entry_file(entry: Entry) -> Json:
    out: Json = {
        "kind": entry.kind, "piece": entry.piece, "part": entry.part, "step": entry.step, "at": entry.at.isoformat(),
    }  # fmt: skip
    told = asdict(recorded(entry).story)
    optional: Json = {
        "value_mm": entry.value_mm,
        "dialled_mm": entry.dialled_mm,
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
