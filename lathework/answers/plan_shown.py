"""A plan with its drawings, for a screen."""

from __future__ import annotations

import math
from collections.abc import Iterator
from functools import lru_cache

from lathework.answers.declared_answer import answer
from lathework.answers.sheet_shown import SheetShown, sheet_shown
from lathework.answers.thread_shown import ThreadShown, thread_shown
from lathework.answers.values import (
    FigureShown,
    Shown,
    bare_figure_shown,
    figures_shown,
    kept_figure_shown,
    length_shown,
    shown,
)
from lathework.bench.gauge.thread import offered
from lathework.cautions import Caution
from lathework.cutting.blank import SCHOOL_NAMES, BlankChoice, School
from lathework.cutting.dimension import Dimension, Measured
from lathework.drawing.part.layout import NARROW, WIDE, Frame
from lathework.drawing.part.view import part_sheet
from lathework.gauging.tried import Gauge
from lathework.part.model import Part
from lathework.planning.notice import Notice
from lathework.planning.operation import Measure, Operation
from lathework.planning.plan import Plan
from lathework.planning.why import why
from lathework.units import LengthUnit


@answer
class StepFigure:
    """A figure of a step, by the key its sentence names it with."""

    key: str
    figure: FigureShown


@answer
class PassShown:
    """A cut of a step: the diameter it leaves, or what is dialled; whether the mate is `tried` after
    it. Its working is that of the figure "cuts"."""

    name: str
    shown: Shown
    tried: bool


@answer
class DimensionShown:
    """A size of a step that can be measured: what it is called, what with, what it is to be, from what to what."""

    measured: Measured
    name: str
    how: str
    aim: Shown
    low: Shown
    high: Shown


@answer
class StepShown:
    """One step: `headline` is the key of its figure in a list, `big` of the one that is largest at the bench."""

    key: str
    title: str
    sentence: str
    headline: str
    headline_words: str
    big: str
    figures: tuple[StepFigure, ...]
    tool: str
    edge: str
    cautions: tuple[Caution, ...]
    notes: tuple[str, ...]
    why: str
    measure: Measure | None
    inside: bool
    gauges: tuple[Gauge, ...]
    dimensions: tuple[DimensionShown, ...]
    chucking: int
    passes: tuple[PassShown, ...]
    passes_told: str
    passes_end: str
    zero: str
    oil: str


@answer
class BlankShown:
    """One school's blank."""

    school: School
    name: str
    figure: FigureShown
    within_class: bool
    verdict: str


@answer
class RestShown:
    """The section that takes what the others leave of the overall length, by its id."""

    section: str
    length: Shown


@answer
class PlanShown:
    """A plan with what each holding is called and a drawing of it, or null for one that was not asked for.

    `asks` are the fields of the document that concern it.
    """

    thread: ThreadShown | None
    overall: Shown
    quantity: int
    unit: LengthUnit
    operations: tuple[StepShown, ...]
    blanks: tuple[BlankShown, ...]
    batch: tuple[FigureShown, ...]
    notices: tuple[Notice, ...]
    cautions: tuple[Caution, ...]
    asks: tuple[str, ...]
    rest: RestShown | None
    holdings: tuple[str, ...]
    drawings: tuple[SheetShown | None, ...]


@lru_cache(maxsize=4096)
def _dimension(one: Dimension) -> DimensionShown:
    target = one.target
    band = (length_shown(size) for size in (target.aim_mm, target.low_mm, target.high_mm))
    return DimensionShown(one.measured, one.name, one.how, *band)


def _passes(operation: Operation) -> Iterator[PassShown]:
    """The cuts of a step; the mate is tried from the figure "try_from" on, which counts in their unit."""
    begins = operation.figures["try_from"].value if "try_from" in operation.figures else math.inf
    for cut in operation.passes:
        yield PassShown(cut.name, shown(cut.value, cut.unit, fine=cut.fine), cut.value >= begins)


def step_shown(operation: Operation, *, working: bool = True) -> StepShown:
    """A step with its figures, and the `working` of each."""
    told = kept_figure_shown if working else bare_figure_shown
    return StepShown(
        key=operation.key,
        title=operation.title,
        sentence=operation.sentence,
        headline=operation.headline,
        headline_words=operation.figure_words,
        big=operation.big,
        figures=tuple(StepFigure(key, told(figure)) for key, figure in operation.figures.items()),
        tool=operation.tool,
        edge=operation.edge,
        cautions=operation.cautions,
        notes=operation.notes,
        why=why(operation),
        measure=operation.measure,
        inside=operation.inside,
        gauges=offered(operation),
        dimensions=tuple(map(_dimension, operation.dimensions)),
        chucking=operation.chucking,
        passes=tuple(_passes(operation)),
        passes_told=operation.passes_told,
        passes_end=operation.passes_end,
        zero=operation.zero,
        oil=operation.oil,
    )


def _drawings(plan: Plan, end: int | None, step: str, frame: Frame) -> tuple[SheetShown | None, ...]:
    """A drawing of each chucking at all its steps.

    Where `end` says which one is looked at, of that one alone, and where it has a `step` of that key, at that step.
    """
    wanted = plan.operation(step)
    only = step if wanted is not None and wanted.chucking == end else ""
    seen = None if end is None else min(end, len(plan.chuckings))
    return tuple(
        sheet_shown(part_sheet(plan, frame, chucking.number, step=only)) if seen in (None, chucking.number) else None
        for chucking in plan.chuckings
    )


def _rest(part: Part) -> RestShown | None:
    """The section that takes what the others leave, and how long it comes out."""
    rest = part.rest
    return None if rest is None else RestShown(rest.id, length_shown(rest.length.mm, fine=False))


def _blank(choice: BlankChoice) -> BlankShown:
    return BlankShown(
        school=choice.school,
        name=SCHOOL_NAMES[choice.school],
        figure=kept_figure_shown(choice.diameter),
        within_class=choice.within_class,
        verdict=choice.verdict,
    )


def plan_shown(plan: Plan, end: int | None = None, step: str = "", *, narrow: bool = False) -> PlanShown:
    """A plan with its drawings: of every chucking at every step; or, as a keystroke asks, of one alone.

    That is number `end` (from 1), and at the `step` of that key, whose figures alone have their working then; `narrow`
    is for a screen as wide as a phone.
    """
    job, main = plan.job, plan.work.main
    asked = end is not None and plan.operation(step) is not None
    return PlanShown(
        thread=thread_shown(job.part.thread) if job.part.thread is not None else None,
        overall=length_shown(job.part.overall_mm, fine=False),
        quantity=job.quantity,
        unit=job.unit,
        operations=tuple(
            step_shown(operation, working=operation.key == step or not asked) for operation in plan.operations
        ),
        blanks=tuple(_blank(choice) for choice in main.blanks) if main else (),
        batch=figures_shown(plan.batch),
        notices=plan.notices,
        cautions=plan.cautions,
        asks=plan.asks,
        rest=_rest(job.part),
        holdings=tuple(chucking.words for chucking in plan.chuckings),
        drawings=_drawings(plan, end, step, NARROW if narrow else WIDE),
    )
