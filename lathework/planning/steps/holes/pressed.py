"""Holes of a part that is pressed in: brought to their fits when it is, for the press closes them."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from lathework.part.bore_sizes import depth_figure
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation
from lathework.planning.steps.holes.boring import bore
from lathework.planning.steps.holes.hole import bores_here, finished_pressed
from lathework.planning.steps.holes.reaming import ream_to_fit
from lathework.planning.work import Work

CLOSES = "The press closes the bore by up to the interference: finished earlier, it would be too tight."


def finish_pressed(work: Work, chucking: Chucking) -> Iterator[Operation]:
    """Holes of the end that a chucking faces, brought to their fits when the part is pressed in."""
    for found in bores_here(work, chucking):
        if found.limits is None or not finished_pressed(work, found):
            continue
        depth = depth_figure(found, chucking.overall_mm, 0.0, work.job.unit)
        reamed = found.bore.reamed
        deep = "" if reamed else ", {depth} deep"
        whole = ream_to_fit(work, chucking, found, found.limits) if reamed else bore(work, chucking, found, depth)
        yield replace(
            whole,
            title="Ream after pressing in" if reamed else "Bore after pressing in",
            sentence=f"{'Ream' if reamed else 'Bore'} to {{bore}}{deep}, in the part it is pressed into.",
            notes=(CLOSES, *whole.notes),
        )
