"""Where a stored job stands: its plan and its bench, worked out from the document and the entries."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache
from typing import Any

import orjson

from lathework.document import read_document
from lathework.part import Job as JobSpec
from lathework.planning.bench import KINDS, Bench
from lathework.planning.bench import Entry as Recorded
from lathework.planning.plan import Plan, make_plans
from lathework.planning.progress import Progress, progress
from server.jobs.models import Entry, Job


@dataclass(frozen=True, slots=True)
class Standing:
    """A job with the plan of each part, where each stands on the bench, and how many entries count."""

    job: Job
    plans: tuple[Plan, ...]
    progress: Progress
    seen: int

    @property
    def bench(self) -> Bench:
        """The bench of the part in hand."""
        return self.progress.bench

    @property
    def spec(self) -> JobSpec:
        """The job as the rules see it."""
        return self.plans[0].job

    @property
    def state(self) -> str:
        """ "closed", "held", "finished", "on the bench" or "planned"."""
        if self.job.closed_at is not None:
            return "closed"
        if self.job.held:
            return "held"
        if self.progress.finished:
            return "finished"
        return "on the bench" if self.seen else "planned"


@lru_cache(maxsize=256)
def _plans(document: bytes) -> tuple[Plan, ...]:
    return make_plans(read_document(orjson.loads(document)))


def plans_of(document: Any) -> tuple[Plan, ...]:
    """The plan of each part of a document; worked out once for each document. Raises InvalidDocument."""
    return _plans(orjson.dumps(document))


def recorded(entry: Entry) -> Recorded:
    """A stored entry as the rules see it."""
    kind = next(k for k in KINDS if k == entry.kind)
    return Recorded(
        kind=kind,
        part=entry.part,
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
    entries, plans = entries_of(job), plans_of(job.document)
    return Standing(job, plans, progress(plans, entries), len(entries))
