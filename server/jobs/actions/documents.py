"""Jobs started, changed, read from a file."""

from __future__ import annotations

from dataclasses import asdict, dataclass
from datetime import datetime
from typing import Any

from django.db import transaction
from django.utils import timezone

from lathework.bench.record.document import read_record
from lathework.job.document import read_document
from lathework.job.furnish import furnish
from lathework.job.model import Job as JobSpec
from lathework.job.reading.upgrade import upgraded, version_of
from server.jobs import kept, search_index
from server.jobs.actions.guard import MOVED_ON, check_open, find_job, once
from server.jobs.history import closed
from server.jobs.history.dies import good_dies
from server.jobs.lift import is_old, lift_entries
from server.jobs.models import Begun, Entry, Job
from server.jobs.standing import plans_of
from server.jobs.stored import row_of
from server.kit.owned import things
from server.site.problems import Conflict

Document = dict[str, Any]


def head(document: Document, spec: JobSpec) -> dict[str, Any]:
    """What is stored of a document: itself, and what is repeated of it."""
    return {"document": document, "title": spec.title, "thread": spec.designations}


def stored_form(document: Document) -> Document:
    """A document as it is stored: in the newest version, without its record."""
    return {key: value for key, value in upgraded(document).items() if key != "record"}


def _started(typed: Document) -> Job:
    document = furnish(typed, things(), good_dies(), fresh=True)
    spec, now = read_document(document), timezone.now()
    job = Job.objects.create(**head(stored_form(document), spec), created_at=now, changed_at=now)
    kept.rewrite(job)
    return job


@transaction.atomic
def start_job(document: Document, key: str = "") -> Job:
    """Store a new job. Raises InvalidDocument."""
    return once(key, "start", None, document, lambda: _started(document))


def put(job_id: int, typed: Document, revision: int) -> Job:
    """Replace a job's document, as part of an action. Raises as `change_job`."""
    job = find_job(job_id)
    document = furnish(typed, things(), good_dies())
    spec = read_document(document)
    check_open(job)
    if job.revision != revision:
        raise Conflict(MOVED_ON)
    if is_old(job):
        lift_entries(job, plans_of(stored_form(document)))
    renamed = job.title != spec.title
    for name, value in head(stored_form(document), spec).items():
        setattr(job, name, value)
    job.revision += 1
    job.changed_at = timezone.now()
    job.save()
    kept.rewrite(job)
    if renamed:
        search_index.index_entries(job)
    return job


@transaction.atomic
def change_job(job_id: int, document: Document, revision: int, key: str = "") -> Job:
    """Replace a job's document, also one that the rules no longer read.

    What was recorded for steps that make something else now stays, and no longer counts. Raises InvalidDocument;
    Conflict when it was changed elsewhere; Refused when it is closed.
    """
    return once(key, "change", job_id, (document, revision), lambda: put(job_id, document, revision))


@dataclass(frozen=True, slots=True)
class AsItWas:
    """What a job had in the shop it comes from, beside its file."""

    id: int
    revision: int
    created_at: datetime | None
    changed_at: datetime | None
    closed_at: datetime | None
    archived_at: datetime | None
    deleted_at: datetime | None

    def told(self) -> dict[str, Any]:
        """What is known of it, by column."""
        return {name: value for name, value in asdict(self).items() if value is not None}


def _imported(document: Document, was: AsItWas | None) -> Job:
    spec = read_document(document)
    form = stored_form(document)
    record = read_record(document.get("record"), plans_of(form), version_of(document))
    moments = [entry.at for entry in record.entries] or [timezone.now()]
    alone = {
        "revision": max((entry.entry.story.revision for entry in record.entries), default=0) or 1,
        "closed_at": moments[-1] if record.closed else None,
        "created_at": moments[0],
        "changed_at": moments[-1],
    }
    told = head(form, spec) | {"held": record.held, "closed": record.closed}
    job = Job.objects.create(**told | alone | (was.told() if was else {}))
    Entry.objects.bulk_create(row_of(job, entry.entry, entry.typed, entry.unit, entry.at) for entry in record.entries)
    now = kept.rewrite(job)
    search_index.index_entries(job)
    if record.closed:
        closed.keep(now)
    return job


@transaction.atomic
def import_job(document: Document, key: str = "", was: AsItWas | None = None) -> Job:
    """Store a job file with its record, and as it `was` where that is known; nothing is stored when any of it is wrong.
    Raises InvalidDocument."""
    return once(key, "import", None, document, lambda: _imported(document, was))


def begin() -> None:
    """Note that the store has its first contents: it is given none again."""
    Begun.objects.get_or_create(defaults={"at": timezone.now()})
