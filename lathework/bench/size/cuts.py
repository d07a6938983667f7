"""What cuts of other jobs teach: those on the same lathe, in the same metal, with the same tool, as far out."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from lathework.cutting.dimension import LEARNED
from lathework.cutting.to_size.pass_made import PassMade
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan

REMEMBERED = 4
"""Cuts that are enough to know how a lathe springs: those of this job push out those of others (practice)."""


@dataclass(frozen=True, slots=True)
class CutLike:
    """What makes a cut spring as another one does: the lathe by its id, the metal, the tool, how the work is carried,
    and how many of its diameters it stands out, a whole number; of a bore, how many it is deep."""

    machine: str
    metal: str
    tool: str
    carried: str
    out: int


Cuts = Mapping[CutLike, Sequence[PassMade]]
"""What cuts of other jobs took off, the oldest first."""


def cut_like(plan: Plan, step: Operation) -> CutLike | None:
    """What the cuts of a step are like; None where nothing is learned from them, or nobody named the lathe.

    Source: practice; a bar out of the chuck springs by its length over its diameter.
    """
    setup = plan.job.setup
    if not setup.machine or not any(dimension.move in LEARNED for dimension in step.dimensions):
        return None
    chucking, cut = plan.chuckings[step.chucking - 1], step.cut
    out = chucking.worked_mm / chucking.bar_mm
    if cut is not None and any(dimension.measured == "bore" for dimension in step.dimensions):
        # There the bar springs, not the work.
        out = (cut.left_mm - cut.right_mm) / cut.outer_mm
    return CutLike(setup.machine, plan.job.material.name, step.tool, chucking.carried, round(out))


def known_cuts(plan: Plan, step: Operation, cuts: Cuts, own: Sequence[PassMade]) -> tuple[PassMade, ...]:
    """What is known of the cuts of a step: as many of other jobs' as its `own` leave room for, and those."""
    like = cut_like(plan, step)
    room = max(0, REMEMBERED - len(own))
    before = cuts.get(like, ()) if like is not None and room else ()
    return (*before[-room:], *own) if before else tuple(own)
