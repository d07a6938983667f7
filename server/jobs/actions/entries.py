"""What is recorded at the bench, and taken back."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Literal

from django.db import transaction
from django.utils import timezone

from lathework.bench import acts
from lathework.bench.entry import Entry, Kind, story_of
from lathework.bench.gauge import said
from lathework.errors import InputError
from lathework.lengths import Length, read_length
from lathework.outfit.measuring import finest_micrometer
from lathework.reader import UNSTORABLE, storable
from lathework.shop.kinds import beside
from lathework.units import LengthUnit
from server.jobs import kept, models, words
from server.jobs.actions.guard import MOVED_ON, Saw, check_open, check_saw, find_job, once, reason_of
from server.jobs.models import Job
from server.jobs.standing import Standing, standing
from server.jobs.stored import row_of
from server.kit.owned import things
from server.site.problems import Conflict, Refused

PLAINLY: dict[Kind, str] = {"accept": "as-it-is", "scrap": "scrap"}
"""What becomes of it where nobody says more than the kind."""


@dataclass(frozen=True, slots=True)
class Asked:
    """One thing to record, with the step that was in hand on the person's screen; a bare reading is in `unit`."""

    kind: Kind
    saw: Saw
    step: str
    reading: str = ""
    dialled: str = ""
    measured: str = ""
    unit: LengthUnit | Literal[""] = ""
    verdict: str = ""
    reason: str = ""
    again: str = ""
    part: str = ""
    piece: int = 0
    keeps: str = ""
    stands: str = ""
    cause: str = ""
    wire: str = ""
    tried: str = ""
    by: str = ""
    disposition: str = ""
    why: str = ""
    device: str = ""


def _length(now: Standing, asked: Asked, field: str, typed: str) -> Length:
    """A length as typed in a field. Raises InputError on it."""
    if not storable(typed):
        raise InputError("unreadable", field, UNSTORABLE)
    return read_length(typed, asked.unit or now.spec.unit, field)


def _made(now: Standing, asked: Asked) -> Entry:
    """The entry that is asked for, if it may be recorded now. Raises InputError beside the field that is wrong."""
    bench = now.bench
    match asked.kind:
        case "reading":
            reading = _length(now, asked, "reading", asked.reading)
            dialled = _length(now, asked, "dialled", asked.dialled) if asked.dialled.strip() else None
            return acts.reading_entry(bench, reading, dialled, asked.measured)
        case "verdict":
            return _gauged(now, asked)
        case "setting":
            return acts.setting_entry(bench, asked.stands)
        case "cause":
            return acts.cause_entry(bench, asked.cause)
        case "done":
            return acts.done_entry(bench)
        case "note":
            return acts.note_entry(bench, reason_of(asked.reason, "reason"))
        case "again" if not asked.disposition:
            return acts.again_entry(bench, asked.again)
        case "accept" | "scrap" | "again":
            disposition = asked.disposition or PLAINLY[asked.kind]
            return acts.settled_entry(bench, disposition, reason_of(asked.reason, "reason"), asked.why)
        case "read":
            return acts.read_entry(bench)
        case "zero" | "zero-lost":
            return acts.zero_entry(bench, lost=asked.kind == "zero-lost", keeps=asked.keeps)
        case "take-up":
            return acts.take_up_entry(bench, asked.piece)
        case "turn-to":
            return acts.turn_to(now.progress, asked.part)


def _gauged(now: Standing, asked: Asked) -> Entry:
    """What a thread said to its gauge, or its size as measured with the best micrometer of the shop."""
    bench = now.bench
    if not asked.reading.strip():
        return said.verdict_entry(bench, asked.verdict, asked.tried)
    size = _length(now, asked, "reading", asked.reading)
    own = finest_micrometer(beside(things(), now.spec.setup.machine), size.mm)
    within_mm = own.uncertainty_mm if own else None
    if asked.tried == "thread-micrometer":
        return said.anvils_entry(bench, size, within_mm)
    wire = _length(now, asked, "wire", asked.wire) if asked.wire.strip() else None
    return said.wires_entry(bench, size, wire, within_mm)


def _told(now: Standing, entry: Entry, *, turned: bool) -> Entry:
    """The entry with the part it is for, and the story of its step as it is now."""
    progress = now.progress
    part = entry.part if turned else progress.ids[progress.number - 1]
    at = progress.ids.index(part)
    name = now.spec.part_names[at] if len(now.plans) > 1 else ""
    return replace(entry, part=part, story=story_of(now.plans[at], entry.step, name, now.job.revision, entry.measured))


def _recorded(job_id: int, asked: Asked) -> Job:
    job = find_job(job_id)
    check_open(job)
    check_saw(job, asked.saw)
    now = standing(job)
    if asked.step != (now.bench.step.key if now.bench.step else ""):
        raise Conflict(MOVED_ON)
    made = _made(now, asked)
    if made.value_mm is not None and asked.by.strip():
        made = replace(made, by=reason_of(asked.by, "by"))
    made = replace(made, device=asked.device)
    acts.check_read(now.bench, made.kind)
    moment = timezone.now()
    typed = asked.reading.strip() if made.value_mm is not None else ""
    entry = row_of(job, _told(now, made, turned=made.kind == "turn-to"), typed, _unit(now, asked, typed), moment)
    entry.save()
    job.held, job.changed_at = "", moment
    job.save(update_fields=["held", "changed_at"])
    kept.add(now, entry)
    return job


def _unit(now: Standing, asked: Asked, typed: str) -> str:
    return (asked.unit or now.spec.unit) if typed else ""


@transaction.atomic
def record(job_id: int, asked: Asked, key: str = "") -> Job:
    """Record one thing at the bench, once however often it is sent with that `key`.

    Raises InputError beside the field that is wrong; Conflict when the job is not what the person saw; Refused when it
    is closed; Unreadable when the rules do not read it.
    """
    return once(key, asked.kind, job_id, asked, lambda: _recorded(job_id, asked))


def _undone(job_id: int, saw: Saw, device: str) -> Job:
    job = find_job(job_id)
    check_open(job)
    check_saw(job, saw)
    last = models.Entry.objects.filter(job=job, undone_at=None).order_by("-pk").first()
    if last is None:
        raise Refused(InputError("nothing-to-undo", "job", "Nothing has been recorded yet."))
    moment = timezone.now()
    last.undone_at, last.undone_on = moment, device
    last.save(update_fields=["undone_at", "undone_on"])
    job.changed_at = moment
    job.save(update_fields=["changed_at"])
    words.forget_entry(last.pk)
    standing(job)  # one the rules do not read is left as it is
    kept.rewrite(job)
    return job


@transaction.atomic
def undo_last(job_id: int, saw: Saw, key: str = "", device: str = "") -> Job:
    """Take back the last entry that counts, on that `device`; it stays in the store, marked.

    Raises Refused when there is none.
    """
    return once(key, "undo", job_id, saw, lambda: _undone(job_id, saw, device))
