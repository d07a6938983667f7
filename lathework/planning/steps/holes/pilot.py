"""The pilot of a large hole: the drill that goes first."""

from __future__ import annotations

from lathework.figures import PRACTICE, Figure
from lathework.holes.depth import PILOT_FROM_MM
from lathework.part.bores import BoreWork
from lathework.part.job_racks import HOME_RACKS
from lathework.planning.positions import given_mm
from lathework.planning.threads.thread_work import CUT_MM
from lathework.planning.work import Work
from lathework.shop.racks import owned
from lathework.tables.drills import Drill
from lathework.units import convert


def pilot_drill(work: Work, bore_work: BoreWork) -> Drill | None:
    """The pilot of a hole: the drill nearest to half of the one that follows; None for a hole that wants none. Source:
    practice."""
    follows = bore_work.drilled_mm
    if follows < PILOT_FROM_MM:
        return None
    rack = owned(work.job.setup.own_drills or HOME_RACKS[work.job.unit], work.job.unit)
    smaller = [drill for drill in rack if drill.diameter_mm < follows - CUT_MM]
    return min(smaller, key=lambda one: abs(one.diameter_mm - follows / 2), default=None)


def pilot_figure(work: Work, bore_work: BoreWork, drill: Drill) -> Figure:
    """The size of the pilot `drill` of a hole."""
    unit = work.job.unit
    return Figure(
        "pilot drill",
        convert(drill.diameter, drill.unit, unit),
        unit,
        "the drill nearest to half the one that follows, about its web",
        PRACTICE,
        (given_mm("drill that follows", bore_work.drilled_mm, unit),),
        kind="table",
        note=f"Drill {drill.name}.",
    )
