"""Why a turned size is measured at both ends: slender work bends away from the tool, a long fit may taper."""

from __future__ import annotations

from lathework.cutting.bending import TurnedBar, force_away, larger_at_the_end
from lathework.cutting.dimension import Target
from lathework.cutting.to_size.last_cuts import FINISH_MM
from lathework.figures import Figure
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.work import Work

LONG_FIT = 3.0
"""Length over diameter from which a fit is measured at both ends (practice)."""
BOTH_ENDS = (
    "Measure both ends before the last cut. If they differ, set the tailstock over by half the difference × "
    "length between centres ÷ length measured: away from you if the chuck end is larger."
)
BENDS = (
    "It bends away from the tool: the free end comes out {bends} larger. Measure there and at the shoulder. "
    "Make the last cuts light, with a sharp tool."
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
    out_mm = chucking.stick_out_mm
    bar = TurnedBar(out_mm, chucking.bar_mm, min(end_mm, out_mm), aim_mm, metal.elastic)
    bends = larger_at_the_end(bar, force_away(metal.cutting_force, FINISH_MM / 2, metal.feed_mm))
    return bends if bends.value >= SHOWN_FROM_MM else None


def long_fit(placed: Placed) -> bool:
    """Whether a fit is so long that it is measured at both ends."""
    return bool(placed.section.fit) and placed.far_mm - placed.near_mm > LONG_FIT * placed.turned_mm


def both_ends(placed: Placed, bends: Figure | None, target: Target) -> tuple[str, ...]:
    """Why both ends are measured, where they are: what bending leaves is a good part of the band of the size, or the
    fit is long."""
    if bends is not None and bends.value > MINDED_SHARE * (target.high_mm - target.low_mm):
        return (BENDS,)
    return (BOTH_ENDS,) if long_fit(placed) else ()
