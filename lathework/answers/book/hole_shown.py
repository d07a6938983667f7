"""A tapped hole and a repair with one: the command line's numbers, and figures for a screen."""

from __future__ import annotations

from lathework.answers.book.hole import Hole
from lathework.answers.book.pipe_hole import PipeHole
from lathework.answers.declared_answer import answer
from lathework.answers.sheet_shown import SheetShown, sheet_shown
from lathework.answers.values import FigureShown, figure_shown, figures_shown, maybe_shown
from lathework.holes.drill_choice import DrillChoice, Fit
from lathework.holes.mending import Mend
from lathework.holes.thin_metal import ThinMetal


@answer
class DrillChoiceShown:
    """A drill one owns: what it probably cuts, and whether the class allows it."""

    name: str
    hole: FigureShown
    percent: FigureShown
    fit: Fit
    torque_percent: int


@answer
class ThinMetalShown:
    """A thread through thin metal."""

    turns: FigureShown
    holds: FigureShown
    advice: tuple[str, ...]


@answer
class MendShown:
    """A way to mend a stripped hole."""

    code: str
    name: str
    tapped: str
    major: FigureShown
    drill: str
    needs: FigureShown
    screw: str
    remark: str


@answer
class PipeHoleShown:
    """A taper hole: drills before a reamer and without one, figures, and the warning."""

    designation: str
    reamed: str
    plain: str
    figures: tuple[FigureShown, ...]
    warning: str


@answer
class HoleShown:
    """A tapped hole."""

    designation: str
    class_name: str
    percent: float
    pick: DrillChoiceShown | None
    beside: tuple[DrillChoiceShown, ...]
    words: str
    bore: FigureShown
    countersink: FigureShown
    form: FigureShown | None
    weaker: str
    strength: tuple[FigureShown, ...]
    margin: FigureShown | None
    depths: tuple[FigureShown, ...]
    thin: ThinMetalShown | None
    mends: tuple[MendShown, ...]
    warnings: tuple[str, ...]
    trade: str
    chart: SheetShown


@answer
class DrillChoiceNumbers:
    """A drill one owns, in numbers."""

    name: str
    probable_hole: float
    percent: float
    fit: Fit
    torque_percent: int


@answer
class HoleNumbers:
    """A tapped hole in numbers; lengths in the thread's own unit."""

    percent_wanted: float
    pick: str | None
    words: str
    drills: tuple[DrillChoiceNumbers, ...]
    bore: float


@answer
class PipeHoleNumbers:
    """A taper hole in numbers; lengths in the thread's own unit."""

    reamed: str | None
    plain: str | None
    mouth: float
    gauge_length: float
    give: float
    warning: str


def _torque_percent(choice: DrillChoice) -> int:
    return round(100 * choice.torque_share)


def _choice(choice: DrillChoice) -> DrillChoiceShown:
    return DrillChoiceShown(
        name=choice.drill.name,
        hole=figure_shown(choice.hole),
        percent=figure_shown(choice.percent),
        fit=choice.fit,
        torque_percent=_torque_percent(choice),
    )


def _thin(thin: ThinMetal) -> ThinMetalShown:
    return ThinMetalShown(figure_shown(thin.turns), figure_shown(thin.holds), thin.advice)


def _mend(mend: Mend) -> MendShown:
    return MendShown(
        code=mend.code,
        name=mend.name,
        tapped=mend.tapped,
        major=figure_shown(mend.major),
        drill=mend.drill.name if mend.drill else "",
        needs=figure_shown(mend.needs),
        screw=mend.screw,
        remark=mend.remark,
    )


def pipe_hole_shown(pipe: PipeHole) -> PipeHoleShown:
    """A taper hole with the working of every figure."""
    hole = pipe.hole
    return PipeHoleShown(
        designation=pipe.thread.designation,
        reamed=hole.reamed.name if hole.reamed else "",
        plain=hole.plain.name if hole.plain else "",
        figures=figures_shown((hole.ream_to, hole.deep, hole.depth, hole.gauge, hole.give, hole.turns)),
        warning=pipe.warning,
    )


def pipe_hole_numbers(pipe: PipeHole) -> PipeHoleNumbers:
    """A taper hole in numbers: the command line's contract."""
    hole = pipe.hole
    return PipeHoleNumbers(
        reamed=hole.reamed.name if hole.reamed else None,
        plain=hole.plain.name if hole.plain else None,
        mouth=round(hole.mouth.value, 4),
        gauge_length=round(hole.gauge.value, 4),
        give=round(hole.give.value, 4),
        warning=pipe.warning,
    )


def hole_shown(hole: Hole) -> HoleShown:
    """A tapped hole with the working of every figure."""
    held = hole.strip
    return HoleShown(
        designation=hole.size.thread.designation,
        class_name=hole.size.internal.class_name if hole.size.internal else "",
        percent=hole.percent,
        pick=_choice(hole.pick) if hole.pick else None,
        beside=tuple(_choice(choice) for choice in hole.beside),
        words=hole.words,
        bore=figure_shown(hole.bore),
        countersink=figure_shown(hole.countersink),
        form=maybe_shown(hole.form),
        weaker=held.weaker,
        strength=figures_shown((held.engagement, held.breaks, held.external, held.internal)),
        margin=maybe_shown(hole.margin),
        depths=figures_shown(hole.depths),
        thin=_thin(hole.thin) if hole.thin else None,
        mends=tuple(_mend(mend) for mend in hole.mends),
        warnings=hole.warnings,
        trade=hole.trade,
        chart=sheet_shown(hole.chart),
    )


def hole_numbers(hole: Hole) -> HoleNumbers:
    """A tapped hole in numbers: the command line's contract."""
    return HoleNumbers(
        percent_wanted=hole.percent,
        pick=hole.pick.drill.name if hole.pick else None,
        words=hole.words,
        drills=tuple(
            DrillChoiceNumbers(
                choice.drill.name,
                round(choice.hole.value, 4),
                round(choice.percent.value, 1),
                choice.fit,
                _torque_percent(choice),
            )
            for choice in hole.beside
        ),
        bore=round(hole.bore.value, 4),
    )
