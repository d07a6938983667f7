"""How long steps took: from the entry before to the last entry of the step, kept for the pace of the shop."""

from __future__ import annotations

from collections.abc import Iterable, Sequence

from lathework.errors import InvalidDocument
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.week.changeover import changeover
from lathework.week.learned import SETTING_UP, Took, Work
from lathework.week.set_ups import holds_of
from lathework.week.tasks import work_of
from server.jobs.models import Entry, Job, TookRow
from server.jobs.standing import plans_of

LATEST = 3000
"""Steps that the pace is learned from, the latest of the shop."""
STARTS_OVER_MIN = 12 * 60
"""After so many minutes without an entry the work was left: what comes next does not count from there (practice)."""
SAYS_NOTHING = ("note", "pause", "go-on")
"""Kinds of entries that end no setting up: a word is said in the middle of it."""
MOST_SETTING_UP_MIN = 3 * 60
"""What comes later than this after the job before it was not set up all the while (practice)."""


def _step_of(plans: Sequence[Plan], entry: Entry) -> tuple[Plan, Operation] | None:
    plan = next((one for one in plans if one.job.part.id == entry.part), None)
    step = plan.operation(entry.step) if plan is not None and entry.step else None
    return (plan, step) if plan is not None and step is not None else None


def _since(before: Entry | None, entry: Entry) -> float:
    """Minutes since the entry before, none where there is no sense in counting: a pause was said, or a clock was put
    back."""
    if before is None or before.kind == "pause":
        return 0.0
    minutes = (entry.at - before.at).total_seconds() / 60
    return minutes if 0 < minutes < STARTS_OVER_MIN else 0.0


def minutes_between(entries: Iterable[Entry]) -> float:
    """Minutes from entry to entry, those of each job in their order (unit: minutes): pauses that were said left out."""
    total, before = 0.0, None
    for entry in entries:
        own = before if before is not None and before.job_id == entry.job_id else None
        total += _since(own, entry)
        before = entry
    return total


def _says(row: TookRow, work: Work) -> None:
    row.kind, row.metal, row.machine, row.first = work.kind, work.metal, work.machine, work.first
    row.way, row.size = work.way, work.size


def _count(row: TookRow, entry: Entry, minutes: float, plan: Plan, step: Operation) -> None:
    """Add so many minutes (unit: minutes) to what a step took."""
    row.entry, row.minutes = entry, row.minutes + minutes
    row.expected = plan.minutes[step.key]
    _says(row, work_of(step, plan, first=entry.piece == 1))


def _begun(job: Job, plan: Plan, step: Operation, entry: Entry) -> TookRow | None:
    """How long it took to set up for a job, by its first entry: since the last one of the shop, where that was of
    another job at the same lathe a short while before."""
    last = Entry.objects.filter(pk__lt=entry.pk).exclude(job=job).select_related("job").order_by("-pk").first()
    minutes = _since(last, entry)
    if last is None or entry.kind in SAYS_NOTHING or not 0 < minutes < MOST_SETTING_UP_MIN:
        return None
    try:
        other = next(one for one in plans_of(last.job.document) if one.job.part.id == last.part)
    except (InvalidDocument, StopIteration):
        return None
    if not other.goes or other.job.setup.machine != plan.job.setup.machine:
        return None
    expected = float(changeover(holds_of(other, last.job_id), holds_of(plan, job.pk)))
    expected += plan.minutes[step.key] if entry.kind != "zero" else 0
    row = TookRow(job=job, part=entry.part, piece=entry.piece, step=SETTING_UP, entry=entry, minutes=minutes)
    row.expected = expected
    _says(row, Work(SETTING_UP, machine=plan.job.setup.machine))
    return row


def add_took(job: Job, plans: Sequence[Plan], last: int, entry: Entry) -> None:
    """Count an entry to the time that its step took, since the entry of the id `last`, 0 for none."""
    found = _step_of(plans, entry)
    if found is not None and not last:
        begun = _begun(job, *found, entry)
        if begun is not None:
            begun.save()
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
        begun = _begun(job, *found, entry) if found is not None and before is None else None
        before = entry
        if begun is not None:
            rows[begun.part, begun.piece, begun.step] = begun
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
    return tuple(Took(_work(row), row.minutes, row.expected) for row in rows)


def _work(row: TookRow) -> Work:
    return Work(row.kind, row.metal, row.machine, row.first, row.way, row.size)


def last_took() -> int:
    """The id of the entry that taught last, 0 for none."""
    row = TookRow.objects.order_by("-entry_id").values_list("entry_id", flat=True).first()
    return row or 0
