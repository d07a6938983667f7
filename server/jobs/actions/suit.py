"""The part of a job changed to suit a size that came."""

from __future__ import annotations

from django.db import transaction

from lathework.bench.acts.measured import Reading
from lathework.bench.size.suit import Suited, suited
from lathework.errors import InputError
from lathework.units import show_length
from server.jobs.actions.documents import put
from server.jobs.actions.entries import Said, put_down
from server.jobs.actions.guard import MOVED_ON, Saw, check_open, check_saw, find_job, once
from server.jobs.models import Job
from server.jobs.standing import plans_of, standing
from server.site.problems import Conflict, Refused


def suits(job_id: int) -> Suited | None:
    """What would be changed of a job to suit the size that its step in hand came to; None where nothing would.
    Raises Http404."""
    now = standing(find_job(job_id))
    return suited(now.job.document, now.plans, now.bench, plans_of)


def _suited(job_id: int, saw: Saw, step: str, device: str) -> Job:
    job = find_job(job_id)
    check_open(job)
    check_saw(job, saw)
    now = standing(job)
    if step != (now.bench.step.key if now.bench.step else ""):
        raise Conflict(MOVED_ON)
    new = suited(job.document, now.plans, now.bench, plans_of)
    if new is None:
        raise Refused(InputError("not-asked", "step", "The part cannot be changed to the size that came."))
    changed = put(job.pk, new.document, saw.revision)
    unit = now.spec.unit
    # The size is the one that is wanted now: it is recorded again, for what it is.
    text = f"{show_length(new.value_mm, 'mm', unit)} {unit}"
    reading = Reading(reading=text, measured=new.measured, unit=unit, sure=True)
    return put_down(changed.pk, Said(reading, Saw(saw.last, changed.revision), step, device))


@transaction.atomic
def suit(job_id: int, saw: Saw, step: str, key: str = "", device: str = "") -> Job:
    """Change the part of the step in hand to the size that came, once however often it is sent with that `key`.

    Raises Refused where it cannot be; Conflict when the job is not what the person saw.
    """
    return once(key, "suit", job_id, (saw, step), lambda: _suited(job_id, saw, step, device))
