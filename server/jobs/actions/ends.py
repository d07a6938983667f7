"""Jobs held and taken up, closed and opened, put away, thrown away and taken out again."""

from __future__ import annotations

from collections.abc import Callable

from django.db import transaction
from django.utils import timezone

from lathework.bench.acts.act import reason_of
from lathework.errors import InputError
from server.jobs import kept, search_index
from server.jobs.actions.guard import Saw, check_open, check_saw, find_job, once
from server.jobs.history import closed
from server.jobs.models import Job
from server.jobs.standing import readable_plans, standing
from server.site.problems import Refused


def _acted(
    job_id: int, saw: Saw, key: str, what: str, do: Callable[[Job], None], *, reason: str = "", binned: bool = False
) -> Job:
    """Do something to a job that is what the person saw, with a `reason` in words; its revision counts that."""

    def act() -> Job:
        job = find_job(job_id, binned=binned)
        check_saw(job, saw)
        do(job)
        job.revision += 1
        job.changed_at = timezone.now()
        job.save()
        kept.touch(job)
        return job

    return once(key, what, job_id, (saw, reason), act)


@transaction.atomic
def hold_job(job_id: int, saw: Saw, reason: str, key: str = "") -> Job:
    """Put a job aside, saying what it waits for. Raises InputError on "reason"."""

    def hold(job: Job) -> None:
        check_open(job)
        readable_plans(job)
        job.held = reason_of(reason, "reason")

    return _acted(job_id, saw, key, "hold", hold, reason=reason)


@transaction.atomic
def release_job(job_id: int, saw: Saw, key: str = "") -> Job:
    """Take a held job up again."""

    def release(job: Job) -> None:
        check_open(job)
        job.held = ""

    return _acted(job_id, saw, key, "release", release)


@transaction.atomic
def close_job(job_id: int, saw: Saw, reason: str, key: str = "") -> Job:
    """Close a job; from then on it answers what it answered then. One unfinished or never gauged needs a reason."""

    def close(job: Job) -> None:
        check_open(job)
        now = standing(job).progress
        if not reason.strip() and not (now.finished and now.gauged_enough):
            missing = (
                "no piece was gauged" if not now.gauged_enough else f"{now.good} of {now.quantity} pieces are made"
            )
            raise InputError("needs-reason", "reason", f"Give a reason to close the job: {missing}.")
        whole = "all pieces made and gauged" if now.gauged_pieces else "all pieces made"
        job.closed = reason_of(reason, "reason") if reason.strip() else whole
        job.closed_at, job.held = timezone.now(), ""

    done = _acted(job_id, saw, key, "close", close, reason=reason)
    if done.closed_at is not None and not closed.is_kept(done):
        closed.keep(standing(done))
    return done


@transaction.atomic
def reopen_job(job_id: int, saw: Saw, key: str = "") -> Job:
    """Open a closed job again: it is worked out by the rules of today. Raises Unreadable where they do not read it."""

    def reopen(job: Job) -> None:
        readable_plans(job)
        job.closed, job.closed_at = "", None
        closed.forget(job)
        kept.rewrite(job)

    return _acted(job_id, saw, key, "reopen", reopen)


@transaction.atomic
def archive_job(job_id: int, saw: Saw, key: str = "") -> Job:
    """Put a job away: it leaves the list, and stays in the log."""

    def archive(job: Job) -> None:
        job.archived_at = timezone.now()

    return _acted(job_id, saw, key, "archive", archive)


@transaction.atomic
def take_out_job(job_id: int, saw: Saw, key: str = "") -> Job:
    """Take a job out of the archive, or out of the bin: it is on the list again."""

    def take_out(job: Job) -> None:
        if job.deleted_at is None and job.archived_at is None:
            raise Refused(InputError("not-away", "job", "This job is already in the list."))
        if job.deleted_at is not None:
            job.deleted_at = None
            search_index.index_entries(job)
        else:
            job.archived_at = None

    return _acted(job_id, saw, key, "take-out", take_out, binned=True)


@transaction.atomic
def delete_job(job_id: int, saw: Saw, key: str = "") -> Job:
    """Throw a job away: list, log and dies know nothing of it any more; it can be taken out of the bin again."""

    def delete(job: Job) -> None:
        job.deleted_at = timezone.now()
        search_index.forget_entries(job.pk)

    return _acted(job_id, saw, key, "delete", delete)
