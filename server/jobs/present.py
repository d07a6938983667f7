"""Stored jobs as the shapes the endpoints answer with."""

from __future__ import annotations

from typing import Any

from lathework.present.bench import bench_json
from lathework.present.plans import plan_json
from lathework.present.values import figure_json
from server.jobs.dies import die_records
from server.jobs.models import Entry, Job
from server.jobs.standing import Standing

Json = dict[str, Any]


def card_json(now: Standing) -> Json:
    """A job on the list."""
    spec, bench, progress = now.spec, now.bench, now.progress
    return {
        "id": now.job.pk,
        "title": spec.title,
        "needed_by": spec.needed_by,
        "thread": spec.designations,
        "material": ", ".join(dict.fromkeys(part.material.name for part in spec.parts)),
        "state": now.state,
        "quantity": progress.quantity,
        "good": progress.good,
        "scrapped": progress.scrapped,
        "piece": bench.piece,
        "steps": progress.steps,
        "steps_done": progress.steps_done,
        "next_step": bench.step.title if bench.step else "",
        "held": now.job.held,
        "closed": now.job.closed,
        "changed_at": now.job.changed_at.isoformat(),
    }


def job_json(now: Standing, part: int = 1) -> Json:
    """A job with its document, and the plan of `part` (a number from 1; past the last is the last)."""
    plan = now.plans[min(part, len(now.plans)) - 1]
    return card_json(now) | {
        "revision": now.job.revision,
        "seen": now.seen,
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
    return {
        "id": now.job.pk,
        "title": now.spec.title,
        "unit": now.spec.unit,
        "state": now.state,
        "seen": now.seen,
    } | bench_json(now.progress)


def _entry_file(entry: Entry) -> Json:
    out: Json = {"kind": entry.kind, "piece": entry.piece, "step": entry.step, "at": entry.at.isoformat()}
    optional: Json = {
        "part": None if entry.part == 1 else entry.part,
        "value_mm": entry.value_mm,
        "dialled_mm": entry.dialled_mm,
        "word": entry.word,
        "eighths": entry.eighths,
        "text": entry.text,
        "typed": entry.typed,
    }
    return out | {key: value for key, value in optional.items() if value not in (None, "")}


def job_file(job: Job) -> Json:
    """A job as a file, with what was recorded."""
    live = [e for e in job.entries.all() if e.undone_at is None]
    record = {"entries": [_entry_file(e) for e in live], "held": job.held, "closed": job.closed}
    return job.document | {"record": record}
