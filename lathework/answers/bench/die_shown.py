"""What to do with a die at the bench, for a screen."""

from __future__ import annotations

from typing import Literal

from lathework.answers.declared_answer import answer
from lathework.answers.values import FigureShown, figure_shown, maybe_shown
from lathework.bench.gauge.die import Preset
from lathework.dies.counted_from import order_on, screw_of, stands_from
from lathework.dies.odds import Odds
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
    many of its threads are known; where it was left; the `odds` there and a step of its scale either way; whether it
    can be set on a known screw, `on` the name of that where it is."""

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
    odds: tuple[OddsShown, ...]
    grips: bool
    on: str


@answer
class OddsShown:
    """The odds at a setting: it in words; that the thread is in its class; that its mate goes on."""

    words: str
    here: bool
    within: FigureShown
    goes_on: FigureShown | None


def advice_shown(advice: Advice) -> AdviceShown:
    """What to do with the die after the nut was tried."""
    chances = maybe_shown(advice.chance), maybe_shown(advice.piece)
    eighths, more = maybe_shown(advice.eighths), maybe_shown(advice.more)
    return AdviceShown(advice.middle, advice.move, advice.order, advice.recut, eighths, *chances, advice.again, more)


def preset_shown(told: Preset) -> PresetShown:
    """Where to set the die before it runs."""
    scale, screw = told.scale, screw_of(told.start)
    order = order_on(screw, told.eighths) if screw else scale.set_order(told.eighths)
    over = "under" if scale.sets == "tap" else "over"
    return PresetShown(
        eighths=scale.opened(told.eighths),
        words=stands_from(scale, told.eighths, told.start),
        order=order,
        chance=figure_shown(told.chance),
        expected=figure_shown(told.expected),
        trials=told.trials,
        left=None if told.left is None else scale.opened(told.left),
        left_words="" if told.left is None else stands_from(scale, told.left, told.start),
        marks=unit_word(scale.unit, 2),
        expected_words=f"{over} its middle",
        odds=tuple(_odds(told, one) for one in told.odds),
        grips=scale.by == "screw",
        on=screw,
    )


def _odds(told: Preset, odds: Odds) -> OddsShown:
    words = stands_from(told.scale, odds.eighths, told.start)
    return OddsShown(words, odds.eighths == told.eighths, figure_shown(odds.within), maybe_shown(odds.goes_on))
