"""What to do with a die at the bench, for a screen."""

from __future__ import annotations

from typing import Literal

from lathework.answers.declared_answer import answer
from lathework.answers.values import FigureShown, figure_shown, maybe_shown
from lathework.bench.gauge.die import Preset
from lathework.dies.setting import Advice
from lathework.units import unit_word


@answer
class AdviceShown:
    """What to do with the die; `middle` is the way of its middle screw, the outer ones go the other. `again` is what
    one says who cut the thread further, by so much `more` on the dial."""

    middle: Literal["in", "out", ""]
    move: Literal["close", "open", "leave"]
    order: str
    recut: bool
    eighths: FigureShown | None
    chance: FigureShown | None
    piece: FigureShown | None
    again: str
    more: FigureShown | None


@answer
class PresetShown:
    """Where to set a die before it runs, in `marks`: eighths of a turn from where its middle screw touches, graduations
    of a head from its mark, opened above 0; in words, and how; its chance of the class; what it is expected to cut; how
    many of its threads are known; where it was left.
    """

    eighths: float
    words: str
    order: str
    chance: FigureShown
    expected: FigureShown
    trials: int
    left: float | None
    left_words: str
    marks: str
    expected_words: str


def advice_shown(advice: Advice) -> AdviceShown:
    """What to do with the die after the nut was tried."""
    chances = maybe_shown(advice.chance), maybe_shown(advice.piece)
    eighths, more = maybe_shown(advice.eighths), maybe_shown(advice.more)
    return AdviceShown(advice.middle, advice.move, advice.order, advice.recut, eighths, *chances, advice.again, more)


def preset_shown(told: Preset) -> PresetShown:
    """Where to set the die before it runs."""
    figures = figure_shown(told.chance), figure_shown(told.expected)
    left = "" if told.left is None else told.scale.stands(told.left)
    scale = told.scale
    words = scale.stands(told.eighths), scale.set_order(told.eighths)
    over = "under" if scale.sets == "tap" else "over"
    return PresetShown(
        scale.opened(told.eighths),
        *words,
        *figures,
        told.trials,
        None if told.left is None else scale.opened(told.left),
        left,
        unit_word(scale.unit, 2),
        f"{over} its middle",
    )
