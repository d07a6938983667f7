"""A thread sized: its numbers in its own unit, which the command line prints, and its figures for a screen."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any

from lathework.answers.declared_answer import answer
from lathework.answers.size import Size
from lathework.answers.thread_shown import ThreadShown, thread_shown
from lathework.answers.values import FigureShown, figure_shown, figures_shown, maybe_shown
from lathework.cutting.blank import SCHOOL_NAMES, BlankChoice, School
from lathework.figures import SourceKind
from lathework.threads.standards.bands import Band, ExternalLimits, InternalLimits
from lathework.threads.taper import TaperLengths
from lathework.threads.working import basic_figures
from lathework.units import LengthUnit, round_half_up


@answer
class BlankNumbers:
    """One school's blank in the thread's own unit."""

    school: School
    diameter: float
    crest_percent: float
    within_class: bool
    verdict: str
    source: SourceKind


@answer
class DrillNumbers:
    """A tapping drill with the per cent thread it leaves."""

    name: str
    diameter: float
    percent: float
    convention: str


@answer
class GrooveNumbers:
    """A relief groove."""

    diameter: float
    width: float


@answer
class ChamferNumbers:
    """A lead chamfer."""

    diameter: float


@answer
class WireNumbers:
    """Best wires, and the measurement over them at the limits of the external pitch diameter."""

    best: float
    over_wires: tuple[float, ...] | None


@answer
class ExternalNumbers:
    """Limits of the external thread: least and greatest of each diameter."""

    class_name: str
    major: tuple[float, ...]
    pitch_diameter: tuple[float, ...]
    minor_max: float
    notes: tuple[str, ...]


@answer
class InternalNumbers:
    """Limits of the internal thread: least and greatest of each diameter."""

    class_name: str
    minor: tuple[float, ...]
    pitch_diameter: tuple[float, ...]
    major_min: float
    notes: tuple[str, ...]


@answer
class TaperNumbers:
    """Lengths of a taper pipe thread."""

    gauge_length: float
    gauge_tolerance: float | None
    useful_length: float


@answer
class SizeNumbers(ThreadShown):
    """A thread sized, in numbers of its own unit."""

    blank: tuple[BlankNumbers, ...]
    tapping_drills: tuple[DrillNumbers, ...]
    groove: GrooveNumbers | None
    chamfer: ChamferNumbers | None
    wires: WireNumbers
    stress_area: float | None
    external: ExternalNumbers | None
    internal: InternalNumbers | None
    taper_lengths: TaperNumbers | None


@answer
class SchoolFigure:
    """One school's blank as a figure."""

    school: str
    figure: FigureShown
    within_class: bool


@answer
class SizeFigures:
    """The figures of a thread sized, with their working."""

    basic: tuple[FigureShown, ...]
    blank: tuple[SchoolFigure, ...]
    groove: tuple[FigureShown, ...]
    chamfer: FigureShown | None
    wire: FigureShown


@answer
class SizeShown(SizeNumbers):
    """A thread sized at a glance; `length` is a screw's, typed behind it, or ""."""

    length: str
    figures: SizeFigures


def _places(value: float, unit: LengthUnit) -> float:
    return round_half_up(value, 5 if unit == "in" else 4)


def _blank(choice: BlankChoice) -> BlankNumbers:
    return BlankNumbers(
        school=choice.school,
        diameter=choice.diameter.value,
        crest_percent=round(choice.crest_percent.value, 1),
        within_class=choice.within_class,
        verdict=choice.verdict,
        source=choice.diameter.source.kind,
    )


def _limits(band: Band) -> tuple[float, ...]:
    return band.minimum, band.maximum


def _external(limits: ExternalLimits) -> ExternalNumbers:
    return ExternalNumbers(
        class_name=limits.class_name,
        major=_limits(limits.major),
        pitch_diameter=_limits(limits.pitch_diameter),
        minor_max=limits.minor_max.value,
        notes=limits.notes,
    )


def _internal(limits: InternalLimits) -> InternalNumbers:
    return InternalNumbers(
        class_name=limits.class_name,
        minor=_limits(limits.minor),
        pitch_diameter=_limits(limits.pitch_diameter),
        major_min=limits.major_min.value,
        notes=limits.notes,
    )


def _taper(lengths: TaperLengths) -> TaperNumbers:
    tolerance = lengths.gauge_tolerance
    return TaperNumbers(
        gauge_length=lengths.gauge_length.value,
        gauge_tolerance=tolerance.value if tolerance else None,
        useful_length=lengths.useful_length.value,
    )


def size_numbers(size: Size) -> SizeNumbers:
    """A thread sized, in numbers of its own unit."""
    unit, groove, over = size.thread.unit, size.groove, size.over_wires
    return SizeNumbers(
        **vars(thread_shown(size.thread)),
        blank=tuple(_blank(choice) for choice in size.blanks),
        tapping_drills=tuple(
            DrillNumbers(d.drill.name, _places(d.diameter, unit), round(d.percent, 1), d.convention)
            for d in size.drills
        ),
        groove=GrooveNumbers(groove.diameter.value, _places(groove.width.value, unit)) if groove else None,
        chamfer=ChamferNumbers(size.chamfer.value) if size.chamfer else None,
        wires=WireNumbers(
            best=_places(size.wire.value, unit),
            over_wires=tuple(_places(figure.value, unit) for figure in over) if over else None,
        ),
        stress_area=round(size.stress_area.value, 5) if size.stress_area else None,
        external=_external(size.external) if size.external else None,
        internal=_internal(size.internal) if size.internal else None,
        taper_lengths=_taper(size.taper) if size.taper else None,
    )


def size_contract(size: Size) -> dict[str, Any]:
    """A thread sized, in numbers as the command line and its file name them: a class is "class" there."""
    told = asdict(size_numbers(size))
    for side in filter(None, (told["external"], told["internal"])):
        side["class"] = side.pop("class_name")
    return told


def size_shown(size: Size, length: str = "") -> SizeShown:
    """A thread sized, for a screen: the numbers, and the figures with their working; `length` as typed behind it."""
    return SizeShown(
        **vars(size_numbers(size)),
        length=length,
        figures=SizeFigures(
            basic=figures_shown(basic_figures(size.thread)),
            blank=tuple(
                SchoolFigure(SCHOOL_NAMES[choice.school], figure_shown(choice.diameter), choice.within_class)
                for choice in size.blanks
            ),
            groove=figures_shown((size.groove.diameter, size.groove.width)) if size.groove else (),
            chamfer=maybe_shown(size.chamfer),
            wire=figure_shown(size.wire),
        ),
    )
