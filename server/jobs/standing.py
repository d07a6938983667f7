"""Where a stored job stands: its plan and its bench, worked out from the document and the entries."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache
from typing import Any

import orjson

from lathework.document import read_document
from lathework.planning.bench import KINDS, Bench, bench
from lathework.planning.bench import Entry as Recorded
from lathework.planning.plan import Plan, make_plan
from server.jobs.models import Entry, Job


@dataclass(frozen=True, slots=True)
class Standing:
    """A job with its plan, its bench and how many entries count."""

    job: Job
    plan: Plan
    bench: Bench
    seen: int

    @property
    def state(self) -> str:
        """ "closed", "held", "finished", "on the bench" or "planned"."""
        if self.job.closed_at is not None:
            return "closed"
        if self.job.held:
            return "held"
        if self.bench.finished:
            return "finished"
        return "on the bench" if self.seen else "planned"


@lru_cache(maxsize=256)
def _plan(document: bytes) -> Plan:
    return make_plan(read_document(orjson.loads(document)))


def plan_of(document: Any) -> Plan:
    """The plan of a document; worked out once for each document. Raises InvalidDocument."""
    return _plan(orjson.dumps(document))


def recorded(entry: Entry) -> Recorded:
    """A stored entry as the rules see it."""
    kind = next(k for k in KINDS if k == entry.kind)
    return Recorded(
        kind=kind,
        piece=entry.piece,
        step=entry.step,
        value_mm=entry.value_mm,
        dialled_mm=entry.dialled_mm,
        word=entry.word,
        eighths=entry.eighths,
        text=entry.text,
    )


def entries_of(job: Job) -> list[Recorded]:
    """What counts of a job's entries, oldest first."""
    return [recorded(e) for e in job.entries.all() if e.undone_at is None]


def standing(job: Job) -> Standing:
    """Where `job` stands now."""
    entries, plan = entries_of(job), plan_of(job.document)
    return Standing(job, plan, bench(plan, entries), len(entries))
