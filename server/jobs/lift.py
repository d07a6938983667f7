"""Stored jobs of earlier versions brought to the newest, and rows folded by other rules made anew.

It runs after every migration, by the rules of the program that runs it: the migrations themselves know none.
"""

from __future__ import annotations

from collections.abc import Sequence
from copy import deepcopy
from dataclasses import replace
from datetime import timedelta
from typing import Any

from django.db import transaction
from django.utils import timezone

from lathework.bench.entry import UNTOLD, Entry
from lathework.bench.record.lift import BEGUN_SO, begun_on_bar, lifted
from lathework.errors import InvalidDocument
from lathework.job.declaration import VERSION
from lathework.job.reading.upgrade import part_id, upgraded, version_of
from lathework.planning.plan import Plan
from server.jobs import kept, models
from server.jobs.history import closed
from server.jobs.models import Job
from server.jobs.standing import plans_of
from server.jobs.stored import columns_of, recorded

KEYS_KEPT = timedelta(days=30)


def _old(row: models.Entry) -> Entry:
    """A stored entry of before: its part was a number."""
    number = int(row.part) if row.part.isdecimal() else 0
    return replace(recorded(row), part=part_id(number) if number else row.part, story=UNTOLD)


def lift_entries(job: Job, plans: Sequence[Plan]) -> None:
    """Give the entries of a job of version 1 or 2 the keys of today, and the story that its `plans` tell."""
    parts = {plan.job.part.id for plan in plans}
    rows = list(models.Entry.objects.filter(job=job))
    for some in ([row for row in rows if row.undone_at is None], [row for row in rows if row.undone_at is not None]):
        known = [row for row in some if _old(row).part in parts]
        for row, entry in zip(known, lifted([_old(row) for row in known], plans), strict=True):
            for name, value in columns_of(entry).items():
                setattr(row, name, value)
        models.Entry.objects.bulk_update(some, list(columns_of(Entry("note", 1, ""))), batch_size=100)


def _as_begun(form: dict[str, Any], entries: Sequence[Entry]) -> dict[str, Any]:
    """A document of a job on the bench that keeps the way of holding it was begun in, where a new one would be held
    otherwise. Raises InvalidDocument where it cannot be read."""
    begun = [begun_on_bar(plan, entries) for plan in plans_of(form)]
    if not any(begun):
        return form
    form = deepcopy(form)
    for one, so in zip((form, *form.get("others", ())), begun, strict=True):
        if so:
            one["method"] = {**(one.get("method") or form["method"]), "overruled": BEGUN_SO}
    return form


def _recorded(job: Job) -> list[models.Entry]:
    return list(models.Entry.objects.filter(job=job, undone_at=None))


def _lift(job: Job) -> None:
    form = upgraded(job.document) if isinstance(job.document, dict) else job.document
    try:
        form = _as_begun(form, [_old(row) for row in _recorded(job)])
        plans = plans_of(form)
    except InvalidDocument as invalid:
        kept.write_unreadable(job, str(invalid)[: kept.LONGEST_REASON])
        return
    job.document = form
    job.save(update_fields=["document"])
    lift_entries(job, plans)
    kept.keep_ready(job)
    if job.closed_at is not None:
        closed.keep(kept.rewrite(job))


def _go_on_as_begun(job: Job) -> None:
    """The same for a job that this version's documents hold already."""
    try:
        form = _as_begun(job.document, [recorded(row) for row in _recorded(job)])
    except InvalidDocument:
        return
    if form is not job.document:
        job.document = form
        job.save(update_fields=["document"])


def is_old(job: Job) -> bool:
    """Whether a job was stored by a version before this one's documents, and not lifted."""
    return isinstance(job.document, dict) and 0 < version_of(job.document) < VERSION


def bring_up_to_date() -> None:
    """Lift what is old; fold anew what was folded by other rules. Each job in a transaction of its own.

    Keys of acts that nobody sends again any more are forgotten.
    """
    models.Act.objects.filter(at__lt=timezone.now() - KEYS_KEPT).delete()
    lifted_already = models.StandingRow.objects.values("job")
    for number in list(Job.objects.exclude(pk__in=lifted_already).order_by("pk").values_list("pk", flat=True)):
        with transaction.atomic():
            job = Job.objects.get(pk=number)
            if is_old(job):
                _lift(job)
    for number in kept.outdated():
        with transaction.atomic():
            job = Job.objects.get(pk=number)
            if job.closed_at is None and isinstance(job.document, dict):
                _go_on_as_begun(job)
    kept.rebuild_outdated()
