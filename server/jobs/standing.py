"""Where a stored job stands: its plans, and its bench from the state that is kept ready beside it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from functools import lru_cache
from typing import Any

import orjson

from lathework.bench.bench import Bench
from lathework.bench.fold import State, fold, state_of
from lathework.bench.progress import Progress, progress_of
from lathework.errors import InvalidDocument
from lathework.job.document import read_document
from lathework.job.model import Job as JobSpec
from lathework.planning.plan import Plan, make_plans
from server.jobs.history.did_before import cuts_before, did_before
from server.jobs.models import Job
from server.jobs.stored import live_entries, recorded
from server.site.problems import Unreadable

KEPT_PLANS = 256

STATE_WORDS: Mapping[str, str] = {
    "planned": "planned",
    "on the bench": "on the bench",
    "held": "on hold",
    "finished": "all pieces made",
    "closed": "closed",
    "unreadable": "cannot be opened",
}
"""What a state is called wherever a person reads it."""


@dataclass(frozen=True, slots=True)
class Standing:
    """A job with the plan of each part, where each stands on the bench, and the id of the last entry that counts."""

    job: Job
    plans: tuple[Plan, ...]
    progress: Progress
    last: int

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
        return "on the bench" if self.last else "planned"


@lru_cache(maxsize=KEPT_PLANS)
def _plans(document: bytes) -> tuple[Plan, ...]:
    return make_plans(read_document(orjson.loads(document)))


def plans_of(document: Any) -> tuple[Plan, ...]:
    """The plan of each part of a document; worked out once for each document. Raises InvalidDocument."""
    try:
        key = orjson.dumps(document)
    except TypeError:
        # Half a character somewhere: the reader says where.
        return make_plans(read_document(document))
    return _plans(key)


def readable_plans(job: Job) -> tuple[Plan, ...]:
    """The plans of a stored job. Raises Unreadable, with every reason, where the rules no longer read it."""
    try:
        return plans_of(job.document)
    except InvalidDocument as invalid:
        raise Unreadable(invalid) from None


def _state(job: Job, plans: tuple[Plan, ...]) -> State:
    """The state that is kept ready; that of a closed job was folded by the rules of its day, and is folded anew."""
    if job.closed_at is None:
        return state_of(job.row.folded)
    return fold(plans, [recorded(entry) for entry in live_entries(job.pk)])[0]


def standing_before(job: Job, moment: datetime) -> Standing:
    """Where `job` stood at a moment, by what was recorded until then. Raises Unreadable."""
    plans = readable_plans(job)
    entries = [entry for entry in live_entries(job.pk) if entry.at < moment]
    state, _ = fold(plans, [recorded(entry) for entry in entries])
    return Standing(job, plans, progress_of(plans, state), entries[-1].pk if entries else 0)


def standing(job: Job) -> Standing:
    """Where `job` stands now, from its row. Raises Unreadable."""
    plans = readable_plans(job)
    taught = did_before(job, plans), cuts_before(job, plans)
    return Standing(job, plans, progress_of(plans, _state(job, plans), *taught), job.row.last_entry)
