"""How long steps took: from the entry before to the last entry of the step, kept for the pace of the shop."""

from __future__ import annotations

from collections.abc import Iterable, Sequence

from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.week.learned import Took
from server.jobs.models import Entry, Job, TookRow

LATEST = 3000
"""Steps that the pace is learned from, the latest of the shop."""
STARTS_OVER_MIN = 12 * 60
"""After so many minutes without an entry the work was left: what comes next does not count from there (practice)."""


def _step_of(plans: Sequence[Plan], entry: Entry) -> tuple[Plan, Operation] | None:
    plan = next((one for one in plans if one.job.part.id == entry.part), None)
    step = plan.operation(entry.step) if plan is not None and entry.step else None
    return (plan, step) if plan is not None and step is not None else None


def _since(before: Entry | None, entry: Entry) -> float:
    """Minutes since the entry before, none where there is no sense in counting: a clock may have been put back."""
    if before is None:
        return 0.0
    minutes = (entry.at - before.at).total_seconds() / 60
    return minutes if 0 < minutes < STARTS_OVER_MIN else 0.0


def _count(row: TookRow, entry: Entry, minutes: float, plan: Plan, step: Operation) -> None:
    """Add so many minutes (unit: minutes) to what a step took."""
    row.entry, row.minutes = entry, row.minutes + minutes
    row.kind, row.metal, row.machine = step.kind, plan.job.material.name, plan.job.setup.machine
    row.first, row.expected = entry.piece == 1, plan.minutes[step.key]


def add_took(job: Job, plans: Sequence[Plan], last: int, entry: Entry) -> None:
    """Count an entry to the time that its step took, since the entry of the id `last`, 0 for none."""
    found = _step_of(plans, entry)
    minutes = _since(Entry.objects.filter(pk=last).first(), entry) if found else 0.0
    if found is None or not minutes:
        return
    here = {"job": job, "part": entry.part, "piece": entry.piece, "step": entry.step}
    row = TookRow.objects.filter(**here).first() or TookRow(**here, minutes=0.0)
    _count(row, entry, minutes, *found)
    row.save()


def took_rows(job: Job, plans: Sequence[Plan], entries: Iterable[Entry]) -> list[TookRow]:
    """The same of all entries of a job, the oldest first; not saved."""
    rows: dict[tuple[str, int, str], TookRow] = {}
    before: Entry | None = None
    for entry in entries:
        found, minutes = _step_of(plans, entry), _since(before, entry)
        before = entry
        if found is None or not minutes:
            continue
        own = (entry.part, entry.piece, entry.step)
        row = rows.get(own) or TookRow(job=job, part=entry.part, piece=entry.piece, step=entry.step, minutes=0.0)
        _count(row, entry, minutes, *found)
        rows[own] = row
    return list(rows.values())


def took() -> tuple[Took, ...]:
    """The latest steps of the shop, of jobs that are not deleted."""
    rows = TookRow.objects.filter(job__deleted_at=None).order_by("-entry_id")[:LATEST]
    return tuple(Took(row.kind, row.metal, row.machine, row.first, row.minutes, row.expected) for row in rows)


def last_took() -> int:
    """The id of the entry that taught last, 0 for none."""
    row = TookRow.objects.order_by("-entry_id").values_list("entry_id", flat=True).first()
    return row or 0
