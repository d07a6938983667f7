"""The next cut from the last reading, in the terms of what is moved."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.cutting.dimension import LEARNED, Dimension, Move, Target
from lathework.cutting.to_size.cut_figures import (
    dialled,
    expected,
    give_or_take,
    left_to_come_off,
    plainly_dialled,
    spring_held,
    what_dial_moves,
)
from lathework.cutting.to_size.last_cuts import CutState, Wanted, rough_size, wanted_cut
from lathework.cutting.to_size.pass_made import PassMade
from lathework.cutting.to_size.spring_back import SPRINGS, slide_belief
from lathework.figures import Figure
from lathework.shop.lathe_facts import Dial
from lathework.units import LengthUnit, Millimetres

THEN: dict[CutState, str] = {
    "near": "Half of what is left. Measure it: its spring sets the last cut.",
    "again": "Take a pass at the same dial setting, then measure: what sprang away comes off.",
}
"""What is to be known of a cut, by its state."""


@dataclass(frozen=True, slots=True)
class NextCut:
    """What to do now: the state, what to dial (None when there is nothing to dial), what is left, what to expect.

    `cut_mm` is what is dialled for the size that is measured; `ratio` what the dial moves per dialled and `spring` what
    the tool holds against the work from the cut before, where that is learned; `astray` how many passes before were no
    plain cut.
    """

    state: CutState
    move: Move
    dial: Figure | None
    cut_mm: Millimetres
    left: Figure
    ratio: Figure | None = None
    spring: Figure | None = None
    expect: Figure | None = None
    give_or_take: Figure | None = None
    astray: int = 0

    @property
    def then(self) -> str:
        """What is to be known of the cut, "" for nothing."""
        return THEN.get(self.state, "") if self.move in LEARNED else ""


def _plain_cut(
    seen_mm: Millimetres, last_mm: Millimetres, dimension: Dimension, dial: Dial, unit: LengthUnit, left: Figure
) -> NextCut:
    """The cut of what is moved without a spring to speak of, after a size of `last_mm`, `seen_mm` from outside."""
    if dimension.move == "none":
        return NextCut("first", "none", None, 0.0, left)
    rough, aim_mm = rough_size(seen_mm, dimension), dimension.target.aim_mm
    if rough is None:
        wanted = Wanted("finish", aim_mm, seen_mm - aim_mm)
    else:
        wanted = Wanted("rough", rough, min(dimension.most_mm, seen_mm - rough))
    told_mm = 2 * aim_mm - wanted.size_mm if dimension.grows else wanted.size_mm
    figure = plainly_dialled(wanted, last_mm, told_mm, dimension, dial, unit)
    return NextCut(wanted.state, dimension.move, figure, wanted.dialled_mm, left)


def _seen(last_mm: Millimetres, dimension: Dimension) -> tuple[Millimetres, Target]:
    """A size and its band as from outside: what grows is looked at from the other side of its aim."""
    target = dimension.target
    return (2 * target.aim_mm - last_mm, target.about(target.aim_mm)) if dimension.grows else (last_mm, target)


def next_cut(
    *,
    last_mm: Millimetres,
    dimension: Dimension,
    passes: Sequence[PassMade],
    dial: Dial,
    unit: LengthUnit,
    elsewhere: int = 0,
    stands: bool | None = None,
    usual: float = SPRINGS,
    dear: float = 1.0,
) -> NextCut:
    """The next cut after a reading of `last_mm` (millimetres) of a `dimension`, told in `unit` and in the terms of what
    is moved: half of it on a radius `dial`. `elsewhere` is how many of the `passes` were made in other jobs; `stands`
    says that the tool is where the last of them left it, None where there are any; `usual` is the share of a cut that
    springs away as long as nobody knows better (a bare number), `dear` how many times as dear as usual a piece is.

    Roughing cuts go to the sizes that were planned, none deeper than the most. What is left for the end is cut at once
    where that is safe, else in two halves. Overshoot is final: "past" has nothing to dial. Source: practice.
    """
    seen_mm, target = _seen(last_mm, dimension)
    learned, left = dimension.move in LEARNED, left_to_come_off(last_mm, dimension, unit)
    stands = bool(passes) if stands is None else stands
    belief = slide_belief(passes if learned else (), stands=stands, usual=usual)
    ratio, spring = (what_dial_moves(belief, elsewhere), spring_held(belief, unit)) if learned else (None, None)
    if seen_mm <= target.high_mm:
        state: CutState = "on-size" if seen_mm >= target.low_mm else "past"
        return NextCut(state, dimension.move, None, 0.0, left, ratio, spring)
    if not learned:
        return _plain_cut(seen_mm, last_mm, dimension, dial, unit, left)
    wanted = wanted_cut(seen_mm, target, dimension, belief, stands=stands, dear=dear)
    outlook = belief.outlook(wanted.dialled_mm)
    told_mm = 2 * target.aim_mm - wanted.size_mm if dimension.grows else wanted.size_mm
    return NextCut(
        wanted.state,
        dimension.move,
        dialled(wanted, last_mm, told_mm, dimension, dial, unit, belief, stands=stands),
        wanted.dialled_mm,
        left,
        ratio,
        spring,
        expected(last_mm, wanted.dialled_mm, belief, unit, grows=dimension.grows),
        give_or_take(outlook, unit),
        belief.slips,
    )
