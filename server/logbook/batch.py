"""A batch as it stands: each size from piece to piece, each thread as it was gauged, the bar, the card of the first."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal

from lathework.answers.values import FigureShown, Shown, figure_shown, length_shown, maybe_shown
from lathework.bench.bench import Bench
from lathework.bench.entry_words import entry_told
from lathework.bench.size.drift import drift
from lathework.cutting.dimension import Dimension, Measured
from lathework.dies.setting import stands_words
from lathework.gauging.verdicts import MEANINGS, NUT_VERDICTS
from lathework.part.stock import bar_for_batch, bar_used
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.units import show_number
from lathework.week.words import duration
from server.jobs.queries import Job, entries_of, gaugings_of, steps_timed
from server.jobs.standing import Standing
from server.jobs.stored import recorded

_OF = {str(verdict): meaning for verdict, meaning in MEANINGS.items()}
WHOLE_FROM_MIN = 10
"""Minutes are told whole from here on."""
OF_THE_CARD = ("reading", "verdict", "setting", "zero", "accept")
"""What of the first piece is worth having beside the next."""


@dataclass(frozen=True)
class PointShown:
    """A size of a piece, as it was measured last; one that is still being cut is none yet."""

    piece: int
    mm: float
    size: Shown
    stands: Literal["within", "outside", "in work"]


@dataclass(frozen=True)
class SizeSeries:
    """A size from piece to piece, its band in millimetres too, and how it drifts: `leaves_at` is the first piece that
    is out of the band if it goes on so, null where it is in for long."""

    step: str
    title: str
    measured: Measured
    name: str
    low: Shown
    aim: Shown
    high: Shown
    low_mm: float
    aim_mm: float
    high_mm: float
    points: tuple[PointShown, ...]
    drift: FigureShown | None
    drifts: bool
    leaves_at: int | None


@dataclass(frozen=True)
class GaugedShown:
    """What was said of a thread of a piece, and how far its die stood open, in eighths of a turn and in words."""

    piece: int
    said: str
    passes: bool
    eighths: float
    stood: str


@dataclass(frozen=True)
class RungShown:
    """What a nut may say of a thread, from too tight to too loose."""

    said: str
    passes: bool


@dataclass(frozen=True)
class ThreadsShown:
    """A thread from piece to piece; `rungs` are what a nut says, with whatever else was said here."""

    step: str
    title: str
    thread: str
    gauged: tuple[GaugedShown, ...]
    rungs: tuple[RungShown, ...]


@dataclass(frozen=True)
class MinutesShown:
    """How long the steps of a piece took that were timed, and how long the plan expected of the same ones, in minutes;
    the first as a figure, both as they are said."""

    piece: int
    minutes: float
    expected: float
    text: str
    said: str


@dataclass(frozen=True)
class CardLine:
    """What was read, set or said at a step of the first piece that was good."""

    title: str
    told: str


@dataclass(frozen=True)
class PieceShown:
    """A piece that is over, and whether it is a good one."""

    piece: int
    good: bool


@dataclass(frozen=True)
class BatchShown:
    """A batch: pieces, sizes, threads, minutes; bar used and still wanted; the card of the first good piece.

    `in_hand` is the piece that is being made, null where all are; `next` what is to be done to it.
    """

    part: str
    pieces: tuple[PieceShown, ...]
    in_hand: int | None
    next: str
    quantity: int
    good: int
    scrapped: int
    sizes: tuple[SizeSeries, ...]
    threads: tuple[ThreadsShown, ...]
    minutes: tuple[MinutesShown, ...]
    bar: tuple[FigureShown, ...]
    first: int | None
    card: tuple[CardLine, ...]


def _last_readings(job: Job, part: str) -> dict[tuple[str, str], dict[int, float]]:
    """The last reading of each size of each piece, by step and what was measured."""
    rows = entries_of(job).filter(part=part, kind="reading")
    of: dict[tuple[str, str], dict[int, float]] = {}
    for step, measured, piece, mm in rows.values_list("step", "measured", "piece", "value_mm"):
        if mm is not None:
            of.setdefault((step, measured), {})[piece] = mm
    return of


def _series(
    plan: Plan, step: Operation, dimension: Dimension, sizes: dict[int, float], last: int, working: frozenset[int]
) -> SizeSeries:
    """A size of a batch whose `last` piece will be of that number; the pieces at which the step is still `working`."""
    target, pieces = dimension.target, sorted(sizes)
    ended = [piece for piece in pieces if piece not in working]
    told = drift(ended, [sizes[piece] for piece in ended], target, plan.job.unit)

    def stands(piece: int) -> Literal["within", "outside", "in work"]:
        if target.low_mm <= sizes[piece] <= target.high_mm:
            return "within"
        return "in work" if piece in working else "outside"

    points = tuple(PointShown(piece, sizes[piece], length_shown(sizes[piece]), stands(piece)) for piece in pieces)
    band = (target.low_mm, target.aim_mm, target.high_mm)
    low, aim, high = map(length_shown, band)
    return SizeSeries(
        step=step.key,
        title=step.title,
        measured=dimension.measured,
        name=dimension.name,
        low=low,
        aim=aim,
        high=high,
        low_mm=target.low_mm,
        aim_mm=target.aim_mm,
        high_mm=target.high_mm,
        points=points,
        drift=maybe_shown(told.slope) if told else None,
        drifts=told is not None and told.drifts,
        leaves_at=told.leaves_at if told and told.leaves_at and told.leaves_at <= last else None,
    )


def _sizes(job: Job, bench: Bench, last: int) -> Iterator[SizeSeries]:
    part = bench.plan.job.part.id
    known, over = _last_readings(job, part), set(job.pieces.filter(part=part).values_list("piece", flat=True))
    done = {bench.piece: bench.done, **bench.aside}
    for step in bench.plan.operations:
        for dimension in step.dimensions:
            sizes = known.get((step.key, dimension.measured))
            if sizes:
                working = {piece for piece in sizes if piece not in over and step.key not in done.get(piece, ())}
                yield _series(bench.plan, step, dimension, sizes, last, frozenset(working))


def _threads(job: Job, plan: Plan) -> Iterator[ThreadsShown]:
    rows = list(gaugings_of(job).filter(part=plan.job.part.id).order_by("piece"))
    for step in plan.operations:
        own = [row for row in rows if row.step == step.key]
        if own and step.thread is not None:
            gauged = tuple(
                GaugedShown(
                    row.piece,
                    _OF[row.verdict].words,
                    _OF[row.verdict].passes,
                    row.eighths,
                    stands_words(row.eighths),
                )
                for row in own
            )
            said = dict.fromkeys(row.verdict for row in own)
            codes = dict.fromkeys((*NUT_VERDICTS, *said) if said.keys() & set(NUT_VERDICTS) else said)
            rungs = tuple(RungShown(_OF[code].words, _OF[code].passes) for code in codes)
            yield ThreadsShown(step.key, step.title, step.thread.designation, gauged, rungs)


def _minutes(job: Job, part: str) -> Iterator[MinutesShown]:
    """Each piece's minutes, setting up left out."""
    took: dict[int, list[float]] = {}
    for piece, minutes, expected in steps_timed(job, part):
        sums = took.setdefault(piece, [0.0, 0.0])
        sums[0] += minutes
        sums[1] += expected
    for piece, (minutes, expected) in sorted(took.items()):
        said = f"{duration(minutes)}, {duration(expected)} by the plan"
        text = show_number(minutes, 1 if minutes < WHOLE_FROM_MIN else 0)
        yield MinutesShown(piece, round(minutes, 2), round(expected, 2), text, said)


def _bar(plan: Plan, good: int, scrapped: int) -> tuple[FigureShown, ...]:
    piece = next((figure for figure in plan.batch if figure.name == "bar for a piece"), None)
    if piece is None:
        return ()
    left = max(0, plan.job.quantity - good)
    wanted = (figure_shown(replace(bar_for_batch(left, piece), name="bar still needed")),) if left else ()
    return (figure_shown(bar_used(good + scrapped, piece)), *wanted)


def _card(job: Job, part: str, piece: int | None) -> Iterator[CardLine]:
    if piece is None:
        return
    own = entries_of(job).filter(part=part, piece=piece, kind__in=OF_THE_CARD)
    # Of each step what was read, set and said last: how it was got there is in the log.
    last = {(row.step, row.kind, row.measured): row for row in own}
    for row in last.values():
        yield CardLine(row.title, entry_told(recorded(row)))


def batch_shown(now: Standing, part: int) -> BatchShown:
    """How the batch of a part of a job stands; `part` is its number, from 1, past the last the last."""
    bench = now.progress.benches[min(part, len(now.plans)) - 1]
    plan, job = bench.plan, now.job
    whole = job.pieces.filter(part=plan.job.part.id, good=True).order_by("piece").first()
    first = whole.piece if whole else None
    return BatchShown(
        part=plan.job.part.id,
        pieces=tuple(PieceShown(row.piece, row.good) for row in job.pieces.filter(part=plan.job.part.id)),
        in_hand=bench.piece if bench.step else None,
        next=bench.step.title if bench.step else "",
        quantity=plan.job.quantity,
        good=bench.good,
        scrapped=bench.scrapped,
        sizes=tuple(_sizes(job, bench, plan.job.quantity + bench.scrapped)),
        threads=tuple(_threads(job, plan)),
        minutes=tuple(_minutes(job, plan.job.part.id)),
        bar=_bar(plan, bench.good, bench.scrapped),
        first=first,
        card=tuple(_card(job, plan.job.part.id, first)),
    )
