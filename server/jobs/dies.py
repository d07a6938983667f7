"""What the log knows of the dies a job needs: blanks of the same thread in the same metal that gauged well."""

from __future__ import annotations

from lathework.dies.memory import REMEMBERED, DieRecord, die_record
from lathework.gauging.wires import MEANINGS, VERDICTS
from lathework.job.model import Job as JobSpec
from server.jobs.models import GaugingRow

LATEST = 2000
"""Gaugings that are looked through."""
PASSED = [verdict for verdict in VERDICTS if MEANINGS[verdict].passes]


def _blanks(thread: str, metal: str) -> list[float]:
    """The latest blanks of a thread in a metal whose last gauging passed, in millimetres, the oldest first."""
    good = GaugingRow.objects.filter(thread=thread, metal=metal, verdict__in=PASSED, blank_mm__isnull=False)
    known = good.filter(job__deleted_at=None).order_by("-entry_id").values_list("blank_mm", flat=True)
    return [blank for blank in known[:REMEMBERED] if blank is not None][::-1]


def die_records(spec: JobSpec) -> list[DieRecord]:
    """The record of each thread of a part, those without one left out."""
    threads = {thread.designation: thread for thread in spec.part.threads}
    records = [die_record(thread, _blanks(name, spec.material.name)) for name, thread in threads.items()]
    return [record for record in records if record is not None]


def good_dies() -> frozenset[str]:
    """The ids of the dies that gauged well when they last cut, out of the latest gaugings."""
    latest: dict[str, str] = {}
    rows = GaugingRow.objects.exclude(die="").filter(job__deleted_at=None).order_by("-entry_id")
    for die, verdict in rows.values_list("die", "verdict")[:LATEST]:
        latest.setdefault(die, verdict)
    return frozenset(die for die, verdict in latest.items() if verdict in PASSED)
