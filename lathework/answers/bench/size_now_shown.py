"""The sizes of the step in hand, for a screen."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.answers.declared_answer import answer
from lathework.answers.values import FigureShown, Shown, figure_shown, length_shown, maybe_shown
from lathework.bench.bench import Bench
from lathework.bench.next_act import NextAct, next_of
from lathework.bench.size.size_now import Judged, SizeNow
from lathework.cutting.dimension import Measured, came_off
from lathework.cutting.next_cut import NextCut
from lathework.cutting.to_size.last_cuts import CutState
from lathework.planning.threads.thread_work import in_mm


@answer
class CutShown:
    """The next cut, and its state in `words` where nothing is to be cut; `ratio` what the dial moves per dialled and
    `spring` what the tool holds against the work, where that is learned and worth looking at."""

    state: CutState
    words: str
    dial: FigureShown | None
    left: FigureShown
    ratio: FigureShown | None
    spring: FigureShown | None
    expect: FigureShown | None
    give_or_take: FigureShown | None
    then: str


@answer
class ReadingShown:
    """A reading with the pass before it: what was dialled, `stated` where the person said so, and what came off; `by`
    the instrument that sent it."""

    reading: Shown
    dialled: Shown | None
    stated: bool
    came_off: Shown | None
    by: str


@answer
class SizeNowShown:
    """A size of the step in hand: its readings, the cut that comes next, the last reading against the class; `next` is
    what the large button is for while it is looked at and nothing is typed."""

    measured: Measured
    readings: tuple[ReadingShown, ...]
    cut: CutShown
    judged: Judged | None
    next: NextAct


SEEN_MM = 0.01
"""A spring of less is nothing that anybody would look at (practice)."""
_WORDS: dict[tuple[CutState, bool], str] = {
    ("on-size", False): "On size",
    ("on-size", True): "On size",
    ("past", False): "Undersize",
    ("past", True): "Oversize",
}
"""What is said of a size that is reached or passed, by whether it grows."""


def _cut(cut: NextCut, *, grows: bool) -> CutShown:
    return CutShown(
        state=cut.state,
        words=_WORDS.get((cut.state, grows), ""),
        dial=maybe_shown(cut.dial),
        left=figure_shown(cut.left),
        ratio=maybe_shown(cut.ratio),
        spring=maybe_shown(cut.spring) if cut.spring is not None and in_mm(cut.spring) >= SEEN_MM else None,
        expect=maybe_shown(cut.expect),
        give_or_take=maybe_shown(cut.give_or_take),
        then=cut.then,
    )


def size_now_shown(now: Bench, size: SizeNow) -> SizeNowShown:
    """A size of the step in hand, its readings, and what comes next."""
    cut, follows = _cut(size.cut, grows=size.dimension.grows), next_of(now, size)
    return SizeNowShown(size.dimension.measured, tuple(_readings(size)), cut, size.judged, follows)


def _readings(size: SizeNow) -> Iterator[ReadingShown]:
    before: float | None = None
    for reading in size.readings:
        came_mm = None if before is None else came_off(size.dimension, before, reading.value_mm)
        yield ReadingShown(
            reading=length_shown(reading.value_mm),
            dialled=length_shown(reading.dialled_mm) if reading.dialled_mm is not None else None,
            stated=reading.stated,
            came_off=length_shown(came_mm) if came_mm is not None else None,
            by=reading.by,
        )
        before = reading.value_mm
