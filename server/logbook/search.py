"""Searching the log: every word must be found in the entry or in its job."""

from __future__ import annotations

from typing import Any

from django.db.models import Q, QuerySet

from lathework.present.values import length_shown
from lathework.rules.cautions import HAZARD_NAMES
from lathework.rules.gauging import MEANINGS
from server.jobs.models import Entry, Job
from server.jobs.standing import Standing, plans_of, standing

PAGE = 100
_JOB_FIELDS = (
    "title",
    "thread",
    "document__needed_by",
    "document__material",
    "document__notes",
    "document__identified",
    "held",
    "closed",
)
_ENTRY_FIELDS = ("word", "text", "typed", "step", "kind")


def _words(text: str) -> list[str]:
    return text.replace("\x00", " ").split()


def _any(word: str, fields: tuple[str, ...], prefix: str = "") -> Q:
    found = Q()
    for field in fields:
        found |= Q(**{f"{prefix}{field}__icontains": word})
    return found


def _said(entry: Entry) -> str:
    """What an entry says, in words."""
    if entry.kind == "verdict":
        meaning = next((m for m in MEANINGS.values() if m.code == entry.word), None)
        return meaning.words if meaning else entry.word
    if entry.kind == "read":
        return ", ".join(name for code, name in HAZARD_NAMES.items() if code in entry.word.split())
    if entry.kind == "setting":
        return f"{entry.word} {entry.eighths or 0:g}/8 turn"
    return entry.text


def _part_name(entry: Entry) -> str:
    """What the part of an entry is called; "" in a job of one."""
    names = plans_of(entry.job.document)[0].job.part_names
    return names[entry.part - 1] if 1 < len(names) >= entry.part else ""


def _entry(entry: Entry, titles: dict[str, str]) -> dict[str, Any]:
    return {
        "id": entry.pk,
        "job_id": entry.job_id,
        "job": entry.job.title,
        "thread": entry.job.thread,
        "part": _part_name(entry),
        "piece": entry.piece,
        "step": titles.get(entry.step, entry.step),
        "kind": entry.kind,
        "typed": entry.typed,
        "reading": length_shown(entry.value_mm) if entry.value_mm is not None else None,
        "dialled": length_shown(entry.dialled_mm) if entry.dialled_mm is not None else None,
        "said": _said(entry),
        "at": entry.at.isoformat(),
    }


def _setting(eighths: float) -> str:
    if not eighths:
        return "die as it came"
    return f"die {'opened' if eighths > 0 else 'closed'} {abs(eighths):g}/8 turn in all"


def _outcome(now: Standing) -> str:
    if now.job.closed:
        return now.job.closed
    if now.job.held:
        return f"held: {now.job.held}"
    return now.state


def _job(now: Standing) -> dict[str, Any]:
    spec = now.spec
    return {
        "id": now.job.pk,
        "title": spec.title,
        "thread": spec.designations,
        "material": spec.material.name,
        "state": now.state,
        "quantity": now.progress.quantity,
        "good": now.progress.good,
        "scrapped": now.progress.scrapped,
        "outcome": _outcome(now),
        "setting": _setting(now.bench.opened_eighths),
        "identified": spec.identified.words if spec.identified else "",
        "changed_at": now.job.changed_at.isoformat(),
    }


def _jobs(words: list[str]) -> list[Standing]:
    jobs: QuerySet[Job] = Job.objects.prefetch_related("entries")
    for word in words:
        jobs = jobs.filter(
            _any(word, _JOB_FIELDS)
            | Q(pk__in=Entry.objects.filter(_any(word, _ENTRY_FIELDS), undone_at=None).values("job_id"))
        )
    return [standing(job) for job in jobs[:PAGE]]


def search(text: str, kind: str, before: int, page: int) -> dict[str, Any]:
    """Jobs and live entries that hold every word of `text`."""
    words = _words(text)
    entries: QuerySet[Entry] = Entry.objects.filter(undone_at=None, pk__lt=before).select_related("job")
    for word in words:
        entries = entries.filter(_any(word, _ENTRY_FIELDS) | _any(word, _JOB_FIELDS, "job__"))
    if kind:
        entries = entries.filter(kind=kind)
    found = list(entries.order_by("-pk")[: page + 1])
    jobs = _jobs(words)
    titles = {o.key: o.title for now in jobs for plan in now.plans for o in plan.operations}
    return {
        "jobs": [_job(now) for now in jobs],
        "entries": [_entry(e, titles) for e in found[:page]],
        "more": len(found) > page,
    }
