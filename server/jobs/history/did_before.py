"""What other jobs taught: what their dies did, and what came off on the same lathe."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import asdict

from lathework.bench.events import PassTaken
from lathework.bench.gauge.die import Memory
from lathework.bench.size.cuts import REMEMBERED, CutLike, Cuts, cut_like
from lathework.bench.tally import TRIALS_KEPT
from lathework.cutting.to_size.pass_made import PassMade
from lathework.dies.counted_from import TOUCH, on_screw
from lathework.dies.trial import Trial
from lathework.gauging.tried import tried_with
from lathework.gauging.verdicts import VERDICTS
from lathework.planning.plan import Plan
from server.jobs.models import CutRow, Entry, Job, TrialRow

LATEST = 200
"""Cuts on a lathe in a metal that are looked through for those that are like one of the job."""


def _counted_from(row: TrialRow) -> str:
    """Where the setting of a trial is counted from."""
    if row.on:
        return on_screw(row.on)
    return TOUCH if row.placed else f"job {row.job_id}"


def trials_of(die: str, *, but: Job | None = None) -> list[Trial]:
    """The latest verdicts on threads of a die of the shop, by its id, the oldest first; those of a job left out."""
    rows = TrialRow.objects.filter(die=die, job__deleted_at=None).exclude(job=but).order_by("-entry_id")[:TRIALS_KEPT]
    verdicts = {str(verdict): verdict for verdict in VERDICTS}
    jobs = [None, *(row.job_id for row in reversed(rows))]
    return [
        Trial(
            row.eighths,
            row.metal,
            verdicts.get(row.verdict),
            row.off_mm,
            row.within_mm,
            tried_with(row.tried) or "",
            row.again,
            _counted_from(row),
            # Between two jobs a die was out of its holder.
            seated=row.job_id != before or row.since == "seated",
            honed=row.since == "honed",
            mate=row.mate,
        )
        for before, row in zip(jobs, reversed(rows), strict=False)
    ]


def did_before(job: Job, plans: Sequence[Plan]) -> Memory:
    """What each die of the shop that a job names did in other jobs that were not deleted, by its id."""
    dies = {section.die for plan in plans for section in plan.job.part.sections}
    taps = {bore.tap for plan in plans for bore in plan.job.part.bores}
    return {die: trials_of(die, but=job) for die in dies | taps if die}


def cut_row(job: Job, plans: Sequence[Plan], entry: Entry, event: PassTaken) -> CutRow | None:
    """The row of a cut, not saved; None where it teaches nothing beyond its job."""
    plan = next((one for one in plans if one.job.part.id == event.part), None)
    step = plan.operation(event.step) if plan is not None else None
    like = cut_like(plan, step) if plan is not None and step is not None else None
    if like is None:
        return None
    made = event.made
    return CutRow(
        job=job,
        entry=entry,
        **asdict(like),
        dialled_mm=made.dialled_mm,
        came_off_mm=made.came_off_mm,
        follows=made.follows,
    )


def cuts_before(job: Job, plans: Sequence[Plan]) -> Cuts:
    """What came off in other jobs that were not deleted, in cuts like those of a job, the oldest first."""
    likes = {like for plan in plans for step in plan.operations if (like := cut_like(plan, step)) is not None}
    if not likes:
        return {}
    rows = CutRow.objects.filter(
        machine__in={like.machine for like in likes}, metal__in={like.metal for like in likes}, job__deleted_at=None
    ).exclude(job=job)
    known: dict[CutLike, list[PassMade]] = {}
    for row in rows.order_by("-entry_id")[:LATEST]:
        like = CutLike(row.machine, row.metal, row.tool, row.carried, row.out)
        if like in likes and len(known.setdefault(like, [])) < REMEMBERED:
            known[like].insert(0, PassMade(row.dialled_mm, row.came_off_mm, follows=row.follows))
    return known
