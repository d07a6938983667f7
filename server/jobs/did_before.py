"""What the dies of a job did in other jobs."""

from __future__ import annotations

from collections.abc import Sequence

from lathework.bench.gauge.die import Memory
from lathework.bench.tally import TRIALS_KEPT
from lathework.dies.learner import Trial
from lathework.gauging.tried import tried_with
from lathework.gauging.verdicts import VERDICTS
from lathework.planning.plan import Plan
from server.jobs.models import Job, TrialRow


def trials_of(die: str, *, but: Job | None = None) -> list[Trial]:
    """The latest verdicts on threads of a die of the shop, by its id, the oldest first; those of a job left out."""
    rows = TrialRow.objects.filter(die=die, job__deleted_at=None).exclude(job=but).order_by("-entry_id")[:TRIALS_KEPT]
    verdicts = {str(verdict): verdict for verdict in VERDICTS}
    return [
        Trial(
            row.eighths,
            row.metal,
            verdicts.get(row.verdict),
            row.off_mm,
            row.within_mm,
            tried_with(row.tried) or "",
        )
        for row in reversed(rows)
    ]


def did_before(job: Job, plans: Sequence[Plan]) -> Memory:
    """What each die of the shop that a job names did in other jobs that were not deleted, by its id."""
    dies = {section.die for plan in plans for section in plan.job.part.sections if section.die}
    return {die: trials_of(die, but=job) for die in dies}
