"""The bench, for a screen."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Literal

from lathework.answers.bench.count_shown import TurnsShown, count_shown
from lathework.answers.bench.die_shown import AdviceShown, PresetShown, advice_shown, preset_shown
from lathework.answers.bench.gauge_shown import VerdictShown, verdict_shown
from lathework.answers.bench.size_now_shown import SizeNowShown, size_now_shown
from lathework.answers.declared_answer import answer
from lathework.answers.plan_shown import StepShown, step_shown
from lathework.answers.sheet_shown import SheetShown, sheet_shown
from lathework.answers.values import FigureShown, figure_shown
from lathework.bench.bench import Bench, StepState, steps_of
from lathework.bench.count import count_of
from lathework.bench.due import Due
from lathework.bench.next_act import NextAct, before_it, ends_step, first_act, next_act
from lathework.bench.progress import Progress
from lathework.bench.put_down import Turn, to_do
from lathework.cautions import Caution
from lathework.dies.counted_from import stands_from
from lathework.drawing.part.layout import SMALL
from lathework.drawing.part.view import part_sheet
from lathework.drawing.shapes import Sheet
from lathework.gauging.causes import Cause
from lathework.gauging.sized import Sized
from lathework.gauging.tried import Gauge
from lathework.planning.operation import Operation
from lathework.units import BothUnits


@answer
class StepStanding:
    """A step of the piece in hand; `zero` and `next_zero` are what to touch off at this piece, and at the next; `first`
    is what the large button is for before anything is said there, null where a thread is gauged, `done` what ends it.
    """

    key: str
    title: str
    state: StepState
    zero: str
    next_zero: str
    first: NextAct | None
    done: NextAct


@answer
class PartStanding:
    """A part of the job: what it is called, how many are made."""

    id: str
    name: str
    good: int
    quantity: int


@answer
class PieceWaiting:
    """A piece that was put down, and the title of the step that follows for it."""

    piece: int
    title: str


@answer
class BenchShown:
    """The bench; `part` is the number, from 1, of the part in hand.

    `waiting` are the pieces that were put down, `begins` the number of one that may be begun beside them, `turns` where
    work goes at the ends of the holdings to come. `tried` is what a thread was gauged with last, `mate` which
    very one, `mates` those known by their names; `moves` what is opened
    and closed to size it; `outdated` what was recorded for the step before the part was changed. `next` is
    what the large button is for, null where the size that is looked at says so, or where nothing is a default; `before`
    is what is settled at the screen before it, press by press, and no entry kept of it.
    """

    part: int
    parts: tuple[PartStanding, ...]
    piece: int
    waiting: tuple[PieceWaiting, ...]
    begins: int | None
    turns: tuple[Turn, ...]
    good: int
    scrapped: int
    quantity: int
    finished: bool
    gauged_pieces: int
    steps: tuple[StepStanding, ...]
    step: StepShown | None
    sizes: tuple[SizeNowShown, ...]
    hindrance: str
    verdict: VerdictShown | None
    adjusted: bool
    advice: AdviceShown | None
    contradiction: str
    preset: PresetShown | None
    causes: tuple[Cause, ...]
    cause: Cause | None
    due: Due
    count: TurnsShown | None
    sized: SizedShown | None
    tried: Gauge
    mate: str
    mates: tuple[str, ...]
    opened_eighths: float
    opened_words: str
    moves: Literal["die", "head", "tap"]
    unread: tuple[Caution, ...]
    zero: str
    zeros_stay: bool
    asks_keeping: bool
    outdated: BothUnits | None
    drawing: SheetShown
    before: tuple[NextAct, ...]
    next: NextAct | None


@answer
class SizedShown:
    """A thread as measured, the uncertainty of that, the chance that it is in its class; what would tell more."""

    pitch_diameter: FigureShown
    uncertainty: FigureShown
    chance: FigureShown
    tells: str


def _standing(now: Bench, step: Operation, state: StepState) -> StepStanding:
    found = now.zeros.get(step.key)
    zeros = (found.here, found.next) if found else ("", "")
    return StepStanding(step.key, step.title, state, *zeros, first_act(now.plan, step), ends_step(now.plan, step))


def _sized(told: Sized) -> SizedShown:
    size, spread, chance = map(figure_shown, (told.pitch_diameter, told.uncertainty, told.chance))
    return SizedShown(size, spread, chance, told.tells)


def _waiting(now: Bench) -> Iterator[PieceWaiting]:
    for piece, done in now.aside.items():
        step = to_do(now.plan, done)
        yield PieceWaiting(piece, step.title if step else "")


def _parts(whole: Progress) -> Iterator[PartStanding]:
    names = whole.benches[0].plan.job.part_names
    for name, part in zip(names, whole.benches, strict=True):
        yield PartStanding(part.plan.job.part.id, name, part.good, part.plan.job.quantity)


def _stands(whole: Progress) -> str:
    """Where the die in use stands; how far it was moved, where nobody said from where."""
    return stands_from(whole.bench.scale, whole.opened_eighths, whole.counted_from)


def _drawing(now: Bench) -> Sheet:
    """The work as the step in hand finds it; finished when every piece is made."""
    if now.step is None:
        return part_sheet(now.plan, SMALL)
    return part_sheet(now.plan, SMALL, now.step.chucking, step=now.step.key)


def bench_shown(whole: Progress) -> BenchShown:
    """The bench: the part and piece in hand, the step, what to do and what was read."""
    now = whole.bench
    counted = count_of(now.step, now.plan.job.setup) if now.step else None
    return BenchShown(
        part=whole.number,
        parts=tuple(_parts(whole)),
        piece=now.piece,
        waiting=tuple(_waiting(now)),
        begins=now.begun + 1 if now.may_begin else None,
        turns=now.turns,
        good=now.good,
        scrapped=now.scrapped,
        quantity=now.plan.job.quantity,
        finished=whole.finished,
        gauged_pieces=whole.gauged_pieces,
        steps=tuple(_standing(now, step, state) for step, state in steps_of(now)),
        step=step_shown(now.step) if now.step else None,
        sizes=tuple(size_now_shown(now, size) for size in now.sizes),
        hindrance=now.hindrance,
        verdict=verdict_shown(now.verdict) if now.verdict else None,
        adjusted=now.adjusted,
        advice=advice_shown(now.advice) if now.advice else None,
        contradiction=now.contradiction,
        preset=preset_shown(now.preset) if now.preset else None,
        causes=now.causes,
        cause=now.cause,
        due=now.due,
        count=count_shown(counted) if counted else None,
        sized=_sized(now.sized) if now.sized else None,
        tried=now.tried,
        mate=now.mate,
        mates=now.mates,
        opened_eighths=now.scale.opened(whole.opened_eighths),
        moves=now.scale.sets,
        opened_words=_stands(whole),
        unread=now.unread,
        zero=now.zero,
        zeros_stay=now.zeros_stay,
        asks_keeping=now.asks_keeping,
        outdated=now.outdated,
        drawing=sheet_shown(_drawing(now)),
        before=tuple(before_it(now)),
        next=next_act(whole),
    )
