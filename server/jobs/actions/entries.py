"""What is recorded at the bench, and taken back."""

from __future__ import annotations

from dataclasses import dataclass, replace
from functools import partial

from django.db import transaction
from django.utils import timezone

from lathework.bench.acts.act import Act, At, Measured
from lathework.bench.acts.every import entry_of
from lathework.bench.entry import Entry, story_of
from lathework.errors import InputError
from lathework.outfit.measuring import finest_micrometer
from lathework.shop.kinds import beside
from server.jobs import kept, models, search_index
from server.jobs.actions.guard import MOVED_ON, Saw, check_open, check_saw, find_job, once
from server.jobs.models import Job
from server.jobs.standing import Standing, standing
from server.jobs.stored import row_of
from server.kit.owned import things
from server.site.problems import Conflict, Refused


@dataclass(frozen=True, slots=True)
class Said:
    """An act as it came: on which `device`, at which `step`, over which job the person `saw`."""

    act: Act
    saw: Saw
    step: str
    device: str = ""


def _strays(now: Standing, size_mm: float) -> float | None:
    """How far a size in millimetres may be off that the best micrometer of the shop reads, as its standard uncertainty;
    None where nobody knows."""
    own = finest_micrometer(beside(things(), now.spec.setup.machine), size_mm)
    return own.uncertainty_mm if own else None


def _told(now: Standing, entry: Entry, *, turned: bool) -> Entry:
    """The entry with the part it is for, and the story of its step as it is now."""
    progress = now.progress
    part = entry.part if turned else progress.ids[progress.number - 1]
    at = progress.ids.index(part)
    name = now.spec.part_names[at] if len(now.plans) > 1 else ""
    return replace(entry, part=part, story=story_of(now.plans[at], entry.step, name, now.job.revision, entry.measured))


def put_down(job_id: int, said: Said) -> Job:
    """Record one thing at the bench, as part of an action. Raises as `record`."""
    job = find_job(job_id)
    check_open(job)
    check_saw(job, said.saw)
    now = standing(job)
    if said.step != (now.bench.step.key if now.bench.step else ""):
        raise Conflict(MOVED_ON)
    act = said.act
    made = entry_of(act, At(now.progress, now.spec.unit, partial(_strays, now)), said.device)
    moment = timezone.now()
    typed = act.reading.strip() if isinstance(act, Measured) else ""
    unit = ((act.unit if isinstance(act, Measured) else "") or now.spec.unit) if typed else ""
    entry = row_of(job, _told(now, made, turned=made.kind == "turn-to"), typed, unit, moment)
    entry.save()
    job.held, job.changed_at = "", moment
    job.save(update_fields=["held", "changed_at"])
    kept.add(now, entry)
    return job


@transaction.atomic
def record(job_id: int, said: Said, key: str = "") -> Job:
    """Record one thing at the bench, once however often it is sent with that `key`.

    Raises InputError beside the field that is wrong; Conflict when the job is not what the person saw; Refused when it
    is closed; Unreadable when the rules do not read it.
    """
    return once(key, said.act.kind, job_id, said, lambda: put_down(job_id, said))


def _undone(job_id: int, saw: Saw, device: str) -> Job:
    job = find_job(job_id)
    check_open(job)
    check_saw(job, saw)
    last = models.Entry.objects.filter(job=job, undone_at=None).order_by("-pk").first()
    if last is None:
        raise Refused(InputError("nothing-to-undo", "job", "There is nothing to undo yet."))
    moment = timezone.now()
    last.undone_at, last.undone_on = moment, device
    last.save(update_fields=["undone_at", "undone_on"])
    job.changed_at = moment
    job.save(update_fields=["changed_at"])
    search_index.forget_entry(last.pk)
    standing(job)  # one the rules do not read is left as it is
    kept.rewrite(job)
    return job


@transaction.atomic
def undo_last(job_id: int, saw: Saw, key: str = "", device: str = "") -> Job:
    """Take back the last entry that counts, on that `device`; it stays in the store, marked.

    Raises Refused when there is none.
    """
    return once(key, "undo", job_id, saw, lambda: _undone(job_id, saw, device))
