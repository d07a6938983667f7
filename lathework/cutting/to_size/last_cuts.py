"""Which cut comes next: how deep, and whether it may be the last."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from statistics import NormalDist
from typing import Literal

from lathework.cutting.dimension import Dimension, Target
from lathework.cutting.to_size.spring_back import SlideBelief
from lathework.units import Millimetres

FINISH_MM = 0.5
"""Left on the diameter for the last two cuts, each half of it (practice)."""
ROUGH_FROM = 1.5
"""Last cuts that must be left for another roughing one to be worth it (practice)."""
WORTH_MM = 0.2
"""Off the diameter, from which a roughing cut is worth its time: a cut that left a little more is not made again."""
LEAST_MM = 0.005
"""What can be dialled on a diameter; a cut that comes to less is made at the same dial setting (practice)."""
SCRAP_COSTS = 300.0
"""What a piece that is cut past its limit costs, in cuts (practice)."""
BETWEEN = 8
"""Sizes between the aim and the limit that a last cut is tried at."""
CutState = Literal["first", "rough", "near", "finish", "again", "on-size", "past"]
"""What comes next: "near" is the last cut but one, "again" the same dial setting once more; "past" is too much off:
metal does not come back."""


@dataclass(frozen=True, slots=True)
class Wanted:
    """A cut as it is wanted, seen from outside: its state, the size that it goes to, and what is dialled for that."""

    state: CutState
    size_mm: Millimetres
    dialled_mm: Millimetres


def rough_size(last_mm: Millimetres, dimension: Dimension) -> Millimetres | None:
    """The size that the next roughing cut leaves, seen from outside: of those planned the first that is worth a cut,
    else what is left for the last ones; as near as the most per cut goes where nothing is left for them. None where no
    roughing is worth it."""
    aim_mm, leaves_mm = dimension.target.aim_mm, dimension.leaves_mm
    if not leaves_mm:
        return last_mm - dimension.most_mm if last_mm - aim_mm > dimension.most_mm else None
    if last_mm - aim_mm <= ROUGH_FROM * leaves_mm:
        return None
    planned = (size for size in dimension.sizes_mm if aim_mm + leaves_mm <= size <= last_mm - WORTH_MM)
    return next(planned, aim_mm + leaves_mm)


def _cost(size_mm: Millimetres, spread_mm: Millimetres, target: Target, dear: float) -> float:
    """What a last cut that is expected to leave a size costs, in cuts: it may go past the limit, or be cut again."""
    law = NormalDist(size_mm, spread_mm)
    return dear * SCRAP_COSTS * law.cdf(target.low_mm) + 1 - law.cdf(target.high_mm)


def _sizes(target: Target) -> Iterator[Millimetres]:
    """The sizes that a last cut may be meant for: from the aim to the limit."""
    for number in range(BETWEEN + 1):
        yield target.aim_mm + (target.high_mm - target.aim_mm) * number / BETWEEN


def _meant_for(
    last_mm: Millimetres, target: Target, dimension: Dimension, belief: SlideBelief, *, stands: bool, dear: float
) -> tuple[CutState, Millimetres]:
    """Whether the next cut is the last one, and the size that it is meant for."""
    if not dimension.leaves_mm and not stands:
        # A blade goes straight to its size: what the lathe does is known only after the first plunge.
        return "finish", target.aim_mm

    def cost(size_mm: Millimetres) -> float:
        return _cost(size_mm, belief.outlook(belief.dial_for(last_mm - size_mm)).spread_mm, target, dear)

    size_mm = min(_sizes(target), key=cost)
    after_another = min(_cost(size, belief.steadiest_mm, target, dear) for size in _sizes(target))
    band_mm = target.high_mm - target.low_mm
    if after_another > 1 and last_mm > target.high_mm + band_mm / 2:
        # Too narrow a band for any lathe of this kind: it is crept up to.
        size_mm = target.high_mm + band_mm / 4
    if dimension.leaves_mm and cost(size_mm) > 1 + after_another:
        return "near", target.aim_mm + (last_mm - target.aim_mm) / 2
    return "finish", size_mm


def wanted_cut(
    last_mm: Millimetres,
    target: Target,
    dimension: Dimension,
    belief: SlideBelief,
    *,
    stands: bool,
    dear: float = 1.0,
) -> Wanted:
    """The cut that comes next after a size seen from outside, with the slide as it is believed; `stands` says that the
    tool is where the cut before left it; `dear` how many times as dear as usual a scrapped piece is (a number).

    The last one is made at once where the chance that it goes past the limit costs less than a cut more; else half of
    what is left is: then two cuts spring alike, and the last of them leaves what its dial says. Source: practice.
    """
    rough = rough_size(last_mm, dimension)
    state: CutState
    if rough is not None:
        state, size_mm = "rough", rough
    else:
        state, size_mm = _meant_for(last_mm, target, dimension, belief, stands=stands, dear=dear)
    dialled_mm = belief.dial_for(last_mm - size_mm)
    if not stands:
        # A tool that was just touched off holds nothing: what is left is the most that may come off.
        dialled_mm = min(dialled_mm, last_mm - size_mm)
    if dialled_mm < LEAST_MM:
        return Wanted("again", last_mm - belief.outlook(0.0).comes_off_mm, 0.0)
    return Wanted(state, size_mm, min(dialled_mm, dimension.most_mm))
