"""Whether the piece in hand is to be gauged."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.bench.entry import die_of
from lathework.bench.tally import Tally, made_by
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan


@dataclass(frozen=True, slots=True)
class Due:
    """Whether the piece in hand is to be gauged, and which is the next that is."""

    now: bool
    piece: int


def due(plan: Plan, step: Operation | None, tally: Tally) -> Due:
    """Whether the piece in hand is to be gauged: the first, those of the interval, the last, and after every change."""
    every = step.figures.get("every") if step is not None else None
    if step is None or every is None or step.key not in tally.gauged_at:
        return Due(now=True, piece=tally.piece)
    at, made = tally.gauged_at[step.key]
    last = tally.begun + plan.job.quantity - tally.good - 1 - len(tally.aside)
    piece = min(last, at + int(every.value))
    return Due(now=tally.piece >= piece or made != made_by(step, die_of(plan, step.key)), piece=max(piece, tally.piece))
