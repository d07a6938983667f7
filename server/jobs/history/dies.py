"""What the log knows of the dies a job needs: blanks of the same thread in the same metal that gauged well."""

from __future__ import annotations

from collections.abc import Sequence

from lathework.bench.entry_words import stood_words
from lathework.dies.memory import REMEMBERED, DieRecord, die_record
from lathework.gauging.verdicts import MEANINGS, VERDICTS
from lathework.job.model import Job as JobSpec
from server.jobs.models import GaugingRow

LATEST = 2000
"""Gaugings that are looked through."""
PASSED = [verdict for verdict in VERDICTS if MEANINGS[verdict].passes]


def _blanks(thread: str, metal: str, die: str) -> list[float]:
    """The latest blanks in a metal whose last gauging passed, in millimetres, the oldest first: those of the `die` of
    that id; of any named die for `thread` where that one has none yet. A die that nobody named teaches nothing of
    another, nor another of it."""
    if not die:
        return []
    good = GaugingRow.objects.filter(metal=metal, verdict__in=PASSED, blank_mm__isnull=False)
    own = good.filter(die=die)
    # A blank for a threading tool, or for chasers, is none for a die.
    good = own if die and own.exists() else good.filter(thread=thread, cutter="die").exclude(die="")
    known = good.filter(job__deleted_at=None).order_by("-entry_id").values_list("blank_mm", flat=True)
    return [blank for blank in known[:REMEMBERED] if blank is not None][::-1]


def die_records(spec: JobSpec) -> list[DieRecord]:
    """The record of each thread of a part, those without one left out."""
    cut = {
        section.thread.designation: (section.thread, section.die)
        for section in spec.part.sections
        if section.thread is not None
    }
    tapped = {one.designation: (one, "") for one in spec.part.threads}
    threads = (tapped | cut).items()
    records = [die_record(thread, _blanks(name, spec.material.name, die)) for name, (thread, die) in threads]
    return [record for record in records if record is not None]


def good_dies() -> frozenset[str]:
    """The ids of the dies that gauged well when they last cut, out of the latest gaugings."""
    latest: dict[str, str] = {}
    rows = GaugingRow.objects.exclude(die="").filter(job__deleted_at=None).order_by("-entry_id")
    for die, verdict in rows.values_list("die", "verdict")[:LATEST]:
        latest.setdefault(die, verdict)
    return frozenset(die for die, verdict in latest.items() if verdict in PASSED)


def did_last(dies: Sequence[str]) -> dict[str, str]:
    """What each die did when it was last gauged, in words, by its id; those that never were are left out."""
    rows = GaugingRow.objects.filter(job__deleted_at=None).select_related("entry").order_by("-entry_id")
    last = {die: rows.filter(die=die).first() for die in dies}
    return {die: _did(row) for die, row in last.items() if row is not None}


def _did(row: GaugingRow) -> str:
    said = MEANINGS[next(verdict for verdict in VERDICTS if verdict == row.verdict)].words
    return f"{stood_words(row.cutter, row.eighths)}; {said}; {row.metal}, {row.entry.at.day} {row.entry.at:%b %Y}"
