"""Turns that are counted, for a screen."""

from __future__ import annotations

from lathework.answers.declared_answer import answer
from lathework.answers.values import FigureShown, figure_shown
from lathework.bench.count import Beat, Count


@answer
class AtSpeedShown:
    """What a speed in rev/min comes to: seconds for all turns, travel in a minute, seconds until the spindle stands."""

    speed: float
    seconds: FigureShown
    travel: FigureShown
    stands: FigureShown
    wait: float


@answer
class TurnsShown:
    """How many turns, by how much one press counts on, what is done on the way; under power at which speeds."""

    turns: float
    step: float
    beats: tuple[Beat, ...]
    speeds: tuple[AtSpeedShown, ...]


def count_shown(count: Count) -> TurnsShown:
    """Turns that are counted; `wait` is in seconds."""
    speeds = tuple(
        AtSpeedShown(
            speed.speed,
            figure_shown(speed.seconds),
            figure_shown(speed.travel),
            figure_shown(speed.stands),
            speed.stands.value,
        )
        for speed in count.speeds
    )
    return TurnsShown(count.turns, count.step, count.beats, speeds)
