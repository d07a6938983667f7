"""What stands before every action: the job it is for, what the person saw of it, and that it is done once."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from hashlib import sha256
from typing import Any

from django.http import Http404
from django.utils import timezone

from lathework.errors import InputError
from server.jobs.models import Act, Job
from server.site.keys import LONGEST_ACT
from server.site.news import NEWS
from server.site.problems import Conflict, Refused

MOVED_ON = "Another device changed this job. Look at what it did, then enter yours again; what you typed is still here."
_LARGEST_ID = 2**63 - 1


@dataclass(frozen=True, slots=True)
class Saw:
    """What the screen of the person showed: the last entry that counted (0 for none), and the job's revision."""

    last: int
    revision: int


def find_job(job_id: int, *, binned: bool = False) -> Job:
    """The job of that number; a deleted one only where `binned` says so. Raises Http404."""
    found = Job.objects.select_related("row").filter(pk=job_id).first() if 0 < job_id <= _LARGEST_ID else None
    if found is None or (found.deleted_at is not None and not binned):
        raise Http404(f"There is no job {job_id}.")
    return found


def check_saw(job: Job, saw: Saw) -> None:
    """Raises Conflict where the job is no longer what the person saw."""
    if job.revision != saw.revision or job.row.last_entry != saw.last:
        raise Conflict(MOVED_ON)


def check_open(job: Job) -> None:
    """Raises Refused for a closed job."""
    if job.closed_at is not None:
        raise Refused(InputError("closed", "job", "This job is closed. Reopen it first."))


def _digest(said: Any) -> str:
    return sha256(repr(said).encode("utf-8", "surrogatepass")).hexdigest()


def once(key: str, what: str, job_id: int | None, said: Any, do: Callable[[], Job]) -> Job:
    """Do something unless the act of that key was done already; the job it was done to. An empty key is always done.

    `job_id` is None for an act that makes a job, `said` all that came with the act: a key that comes with another one
    belongs to something else. Raises InputError on "Idempotency-Key".
    """
    if len(key) > LONGEST_ACT or not key.isprintable():
        raise InputError("not-a-key", "Idempotency-Key", f"A key has up to {LONGEST_ACT} printable characters.")
    before = Act.objects.filter(key=key).first() if key else None
    digest = _digest(said) if key else ""
    if before is not None:
        other = before.said and before.said != digest
        if other or before.what != what or job_id not in (None, before.job_id):
            raise InputError("key-used", "Idempotency-Key", "This key was already used for something else.")
        return find_job(before.job_id, binned=True)
    job = do()
    NEWS.tell_once_stored("job", job.pk, key)
    if key:
        Act.objects.create(key=key, what=what, said=digest, job=job, at=timezone.now())
    return job
