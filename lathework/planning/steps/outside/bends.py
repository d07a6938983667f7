"""Slender work that hangs out of the jaws alone: what the last cut leaves on its free end, and whether it matters."""

from __future__ import annotations

from lathework.cutting.bending import force_away, larger_at_the_end
from lathework.cutting.dimension import Target
from lathework.cutting.to_size.last_cuts import FINISH_MM
from lathework.figures import Figure
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.work import Work

BENDS = (
    "It bends away from the tool: the free end comes out {bends} larger. Measure there and at the shoulder. "
    "Let it stick out less, or make the last cuts light with a sharp tool."
)
SHOWN_FROM_MM, MINDED_SHARE = 0.01, 0.25
"""What bending leaves on the free end from which it is shown, in diameter; and the share of the band of the size from
which it is to be minded (practice)."""


def bends_away(work: Work, chucking: Chucking, aim_mm: float, end_mm: float) -> Figure | None:
    """What the last cut to `aim_mm` leaves on the free end, when it goes to `end_mm` from the face (millimetres); None
    where a centre carries the work, or where it cannot be measured."""
    if chucking.carried != "chuck":
        return None
    metal = work.job.material
    bends = larger_at_the_end(
        force_away(metal.cutting_force, FINISH_MM / 2, metal.feed_mm),
        out_mm=chucking.stick_out_mm,
        bar_mm=chucking.bar_mm,
        turned_mm=min(end_mm, chucking.stick_out_mm),
        across_mm=aim_mm,
        elastic=metal.elastic,
    )
    return bends if bends.value >= SHOWN_FROM_MM else None


def to_be_minded(bends: Figure, target: Target) -> bool:
    """Whether that is a good part of the band of the size."""
    return bends.value > MINDED_SHARE * (target.high_mm - target.low_mm)
