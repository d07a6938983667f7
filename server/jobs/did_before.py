"""What the dies of a job did in other jobs."""

from __future__ import annotations

from collections.abc import Sequence

from lathework.bench.die import Memory
from lathework.bench.tally import TRIALS_KEPT
from lathework.dies.learner import Trial
from lathework.gauging.wires import VERDICTS
from lathework.planning.plan import Plan
from server.jobs.models import GaugingRow, Job


def did_before(job: Job, plans: Sequence[Plan]) -> Memory:
    """The latest gaugings of each die of the shop that a job names, in other jobs that were not deleted, by its id."""
    dies = {section.die for plan in plans for section in plan.job.part.sections if section.die}
    rows = GaugingRow.objects.filter(job__deleted_at=None).exclude(job=job).order_by("-entry_id")
    return {die: _trials(list(rows.filter(die=die)[:TRIALS_KEPT])) for die in dies}


def _trials(rows: Sequence[GaugingRow]) -> list[Trial]:
    """Gaugings, the newest first, as trials from the oldest on."""
    verdicts = {str(verdict): verdict for verdict in VERDICTS}
    return [Trial(row.eighths, row.metal, verdicts.get(row.verdict)) for row in reversed(rows)]
