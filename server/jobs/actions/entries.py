"""Each change to stored jobs is one small action in one transaction, used alike by API, commands and import."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Any, Literal

from django.db import transaction
from django.http import Http404
from django.utils import timezone

from lathework.document import LONGEST_NOTE, read_document
from lathework.errors import InputError
from lathework.lengths import read_length
from lathework.part import Job as JobSpec
from lathework.planning.bench import Bench, check_done, check_read, reading_entry, verdict_of
from lathework.planning.bench import Entry as Recorded
from lathework.planning.progress import Progress, turn_to
from lathework.record import Record, read_record
from lathework.units import LengthUnit
from lathework.upgrade import upgraded
from server.jobs.models import Entry, Job
from server.jobs.standing import Standing, standing
from server.site.problems import Conflict, Refused

Document = dict[str, Any]
MOVED_ON = "This job was changed elsewhere since you opened it. Your entry is still here: reload, then enter it again."
_LARGEST_ID = 2**63 - 1


def find_job(job_id: int) -> Job:
    """The job of that number, with its entries. Raises Http404."""
    jobs = Job.objects.prefetch_related("entries")
    job = jobs.filter(pk=job_id).first() if 0 < job_id <= _LARGEST_ID else None
    if job is None:
        raise Http404
    return job


def _head(document: Document, spec: JobSpec) -> dict[str, Any]:
    return {"document": document, "title": spec.title, "thread": spec.designations}


def _kept(document: Document) -> Document:
    """A document as it is stored: in the newest version, without its record."""
    return {key: value for key, value in upgraded(document).items() if key != "record"}


@transaction.atomic
def start_job(document: Document) -> Job:
    """Store a new job. Raises InvalidDocument."""
    spec, now = read_document(document), timezone.now()
    return Job.objects.create(**_head(_kept(document), spec), created_at=now, changed_at=now)


def _keeps_its_parts(job: Job, spec: JobSpec) -> None:
    """Entries know their part by its number: none may be taken out once a further part has some."""
    fewer = len(spec.parts) < 1 + len(job.document.get("others") or [])
    if fewer and any(entry.part > 1 and entry.undone_at is None for entry in job.entries.all()):
        text = "Something is recorded for a further part of this job: no part can be taken out any more."
        raise Refused(InputError("recorded", "others", text))


@transaction.atomic
def change_job(job_id: int, document: Document, revision: int) -> Job:
    """Replace a job's document. Raises InvalidDocument; Conflict when it was changed elsewhere.

    Refused when it is closed, or when a part would be taken out that others are counted by.
    """
    job = find_job(job_id)
    spec = read_document(document)
    _still_open(job)
    if job.revision != revision:
        raise Conflict(MOVED_ON)
    _keeps_its_parts(job, spec)
    for name, value in _head(_kept(document), spec).items():
        setattr(job, name, value)
    job.revision += 1
    job.changed_at = timezone.now()
    job.save()
    return job


@transaction.atomic
def import_job(document: Document) -> Job:
    """Store a job file with its record; nothing is stored when any of it is wrong. Raises InvalidDocument."""
    spec = read_document(document)
    record: Record = read_record(document.get("record"))
    moments = [kept.at for kept in record.entries] or [timezone.now()]
    job = Job.objects.create(
        **_head(_kept(document), spec),
        held=record.held,
        closed=record.closed,
        closed_at=moments[-1] if record.closed else None,
        created_at=moments[0],
        changed_at=moments[-1],
    )
    Entry.objects.bulk_create(_stored(job, kept.entry, kept.typed, kept.at) for kept in record.entries)
    return job


def _stored(job: Job, entry: Recorded, typed: str, at: Any) -> Entry:
    return Entry(
        job=job,
        kind=entry.kind,
        part=entry.part,
        piece=entry.piece,
        step=entry.step,
        value_mm=entry.value_mm,
        dialled_mm=entry.dialled_mm,
        word=entry.word,
        eighths=entry.eighths,
        text=entry.text,
        typed=typed,
        at=at,
    )


def _still_open(job: Job) -> None:
    if job.closed_at is not None:
        raise Refused(InputError("closed", "job", "This job is closed. Open it again first."))


def _added(job_id: int, seen: int, make: Callable[[Progress], Recorded], typed: str = "") -> Standing:
    """Add the entry that `make` returns for the job as it stands, if the caller saw it so."""
    job = find_job(job_id)
    _still_open(job)
    now = standing(job)
    if now.seen != seen:
        raise Conflict(MOVED_ON)
    moment = timezone.now()
    made = make(now.progress)
    check_read(now.bench, made.kind)
    _stored(job, made, typed, moment).save()
    Job.objects.filter(pk=job.pk).update(changed_at=moment, held="")
    return standing(find_job(job_id))


def _record(job_id: int, seen: int, make: Callable[[Bench], Recorded], typed: str = "") -> Standing:
    """Add the entry that `make` returns for the bench of the part in hand."""
    return _added(job_id, seen, lambda now: replace(make(now.bench), part=now.number), typed)


@transaction.atomic
def record_reading(job_id: int, seen: int, text: str, unit: LengthUnit | Literal[""] = "") -> Standing:
    """Record a measured diameter; a bare number is in `unit`, or the job's own. Raises InputError on "reading"."""

    def make(now: Bench) -> Recorded:
        return reading_entry(now, read_length(text, unit or now.plan.job.unit, "reading"))

    return _record(job_id, seen, make, text.strip())


@transaction.atomic
def record_verdict(job_id: int, seen: int, word: str) -> Standing:
    """Record what the nut said. Raises InputError on "verdict"."""

    def make(now: Bench) -> Recorded:
        verdict = verdict_of(word)
        if now.step is None or now.step.measure != "verdict":
            raise InputError("not-asked", "verdict", "This step is not gauged.")
        return Recorded("verdict", now.piece, now.step.key, word=verdict)

    return _record(job_id, seen, make)


@transaction.atomic
def record_setting(job_id: int, seen: int) -> Standing:
    """Record that the die was moved as advised. Raises InputError on "setting"."""

    def make(now: Bench) -> Recorded:
        if now.step is None or now.advice is None or now.advice.eighths is None or now.adjusted:
            raise InputError("not-asked", "setting", "There is no advice to move the die: gauge first.")
        return Recorded("setting", now.piece, now.step.key, word=now.advice.move, eighths=now.advice.eighths.value)

    return _record(job_id, seen, make)


@transaction.atomic
def record_done(job_id: int, seen: int) -> Standing:
    """Tick off the step in hand. Raises InputError when something must be said first."""

    def make(now: Bench) -> Recorded:
        check_done(now, "done", "")
        return Recorded("done", now.piece, now.step.key if now.step else "")

    return _record(job_id, seen, make)


@transaction.atomic
def record_with_reason(job_id: int, seen: int, kind: str, reason: str) -> Standing:
    """Accept the step as it is ("accept"), scrap the piece ("scrap"), or add a note ("note"), saying why."""
    words = _reason(reason, "reason")

    def make(now: Bench) -> Recorded:
        step = now.step.key if now.step else ""
        if kind == "note":
            return Recorded("note", now.piece, step, text=words)
        chosen = "accept" if kind == "accept" else "scrap"
        check_done(now, chosen, words)
        return Recorded(chosen, now.piece, step, text=words)

    return _record(job_id, seen, make)


@transaction.atomic
def record_read(job_id: int, seen: int) -> Standing:
    """Record that the cautions of the job's use were read. Raises InputError on "caution" when there are none left."""

    def make(now: Bench) -> Recorded:
        if not now.unread:
            raise InputError("not-asked", "caution", "Every caution of this job was read already.")
        return Recorded("read", now.piece, "", word=" ".join(caution.code for caution in now.unread))

    return _record(job_id, seen, make)


@transaction.atomic
def record_zero(job_id: int, seen: int, *, lost: bool) -> Standing:
    """Record that the tool of the step was touched off, or that every zero was `lost`. Raises InputError on "zero"."""

    def make(now: Bench) -> Recorded:
        if now.step is None or (not lost and not now.zero):
            raise InputError("not-asked", "zero", "This step asks for no zero.")
        return Recorded("zero-lost" if lost else "zero", now.piece, now.step.key)

    return _record(job_id, seen, make)


@transaction.atomic
def record_turn(job_id: int, seen: int, part: int) -> Standing:
    """Take up another part of the job out of turn (its number, from 1). Raises InputError on "part"."""
    return _added(job_id, seen, lambda now: turn_to(now, part))


@transaction.atomic
def record_again(job_id: int, seen: int, step: str) -> Standing:
    """Take a finished step of the piece in hand up again. Raises InputError on "step"."""

    def make(now: Bench) -> Recorded:
        if step not in now.done:
            raise InputError("not-done", "step", "That step of this piece is not done yet.")
        return Recorded("again", now.piece, step)

    return _record(job_id, seen, make)


@transaction.atomic
def undo_last(job_id: int, seen: int) -> Standing:
    """Take back the last entry that counts; it stays in the store, marked. Raises Refused when there is none."""
    job = find_job(job_id)
    _still_open(job)
    live = [e for e in job.entries.all() if e.undone_at is None]
    if len(live) != seen:
        raise Conflict(MOVED_ON)
    if not live:
        raise Refused(InputError("nothing-to-undo", "job", "Nothing has been recorded yet."))
    last = live[-1]
    last.undone_at = timezone.now()
    last.save(update_fields=["undone_at"])
    return standing(find_job(job_id))


def _reason(text: str, field: str) -> str:
    words = text.strip()
    if not words:
        raise InputError("empty", field, "Say why, in a few words.")
    if len(words) > LONGEST_NOTE:
        raise InputError("too-long", field, f"At most {LONGEST_NOTE} characters fit here; this has {len(words)}.")
    if "\x00" in words:
        raise InputError("unreadable", field, "This holds a character that cannot be kept.")
    return words


@transaction.atomic
def hold_job(job_id: int, reason: str) -> Standing:
    """Put a job aside, saying what it waits for."""
    job = find_job(job_id)
    _still_open(job)
    job.held = _reason(reason, "reason")
    job.changed_at = timezone.now()
    job.save(update_fields=["held", "changed_at"])
    return standing(job)


@transaction.atomic
def release_job(job_id: int) -> Standing:
    """Take a held job up again."""
    job = find_job(job_id)
    job.held = ""
    job.save(update_fields=["held"])
    return standing(job)


@transaction.atomic
def close_job(job_id: int, reason: str) -> Standing:
    """Close a job. One that is unfinished or was never gauged needs a reason."""
    job = find_job(job_id)
    _still_open(job)
    now = standing(job).progress
    if not reason.strip() and not (now.finished and now.gauged_enough):
        missing = "no piece was gauged" if not now.gauged_enough else f"{now.good} of {now.quantity} pieces are made"
        raise InputError("needs-reason", "reason", f"Say why the job ends here: {missing}.")
    job.closed = (
        _reason(reason, "reason")
        if reason.strip()
        else ("all pieces made and gauged" if now.gauged_pieces else "all pieces made")
    )
    job.closed_at = timezone.now()
    job.held = ""
    job.save(update_fields=["closed", "closed_at", "held"])
    return standing(job)


@transaction.atomic
def reopen_job(job_id: int) -> Standing:
    """Open a closed job again."""
    job = find_job(job_id)
    job.closed, job.closed_at = "", None
    job.save(update_fields=["closed", "closed_at"])
    return standing(job)
