"""Values as a person reads them: figures with their working, lengths in both units, what is wrong with a field."""

from __future__ import annotations

import math
from functools import lru_cache

from lathework.answers.declared_answer import answer
from lathework.errors import InputError
from lathework.figures import Answer, Figure, FigureKind, Given, Source
from lathework.units import LENGTHS, MM_PER_INCH, LengthUnit, Unit, show_both, show_length, show_number, unit_word

_AREA_PLACES = {"in": 4, "mm": 2}


@answer
class Told:
    """A value as text, with its unit."""

    text: str
    unit: str


@answer
class Shown:
    """A value told in inches and in millimetres; alike where it is no length."""

    inch: Told
    mm: Told


@answer
class GivenShown:
    """One input of a figure, its value with the unit in inches and in millimetres."""

    name: str
    inch: str
    mm: str


@answer
class AnswerShown:
    """What another school says."""

    school: str
    shown: Shown
    remark: str


@answer
class FigureShown:
    """A figure with its working; `value` is in `unit`."""

    name: str
    value: float
    unit: Unit
    shown: Shown
    formula: str
    inputs: tuple[GivenShown, ...]
    kind: FigureKind
    source: Source
    others: tuple[AnswerShown, ...]
    note: str


@answer
class FieldError:
    """What is wrong with one field, and what may be typed instead."""

    code: str
    field: str
    message: str
    choices: tuple[str, ...]


def _area_places(area: float, into: LengthUnit) -> int:
    """Decimals of an area: enough for three digits of a small one, as its table prints it."""
    least = _AREA_PLACES[into]
    return least if area <= 0 else max(least, 2 - math.floor(math.log10(area)))


def _told(value: float, unit: Unit, into: LengthUnit, *, fine: bool, places: int) -> Told:
    """A value as text and unit, with lengths and areas converted into the wanted unit."""
    length = LENGTHS.get(unit)
    if length is not None:
        return Told(show_length(value, length, into, fine=fine), into)
    if unit in ("in²", "mm²"):
        factor = 1.0 if unit.startswith(into) else MM_PER_INCH**2 if into == "mm" else MM_PER_INCH**-2
        return Told(show_number(value * factor, _area_places(value * factor, into)), f"{into}²")
    if unit == "°":
        # An angle's sign stands close to its figure.
        return Told(f"{show_number(value, places)}°", "")
    return Told(show_number(value, places), unit_word(unit, value))


def shown(value: float, unit: Unit, *, fine: bool = True, places: int = 0) -> Shown:
    """A `value` in `unit` as text in both units; alike where it is no length."""
    length = LENGTHS.get(unit)
    if length is not None:
        inch, mm = show_both(value, length, fine=fine)
        return Shown(Told(inch, "in"), Told(mm, "mm"))
    return Shown(*(_told(value, unit, into, fine=fine, places=places) for into in LENGTHS.values()))


def _given(given: Given) -> GivenShown:
    length = LENGTHS.get(given.unit)
    if length is not None:
        inch, mm = show_both(given.value, length)
        return GivenShown(given.name, f"{inch} in", f"{mm} mm")
    text = f"{given.value:.6g} {unit_word(given.unit, given.value)}".strip()
    return GivenShown(given.name, text, text)


def _answer(answer: Answer) -> AnswerShown:
    return AnswerShown(answer.school, shown(answer.value, answer.unit), answer.remark)


def figure_shown(figure: Figure) -> FigureShown:
    """A figure with its working, told in both units."""
    return FigureShown(
        name=figure.name,
        value=figure.value,
        unit=figure.unit,
        shown=shown(figure.value, figure.unit, fine=figure.fine, places=figure.places),
        formula=figure.formula,
        inputs=tuple(_given(given) for given in figure.inputs),
        kind=figure.kind,
        source=figure.source,
        others=tuple(_answer(answer) for answer in figure.others),
        note=figure.note,
    )


@lru_cache(maxsize=4096)
def _bare(
    name: str, value: float, unit: Unit, source: Source, kind: FigureKind, places: int, *, fine: bool
) -> FigureShown:
    return figure_shown(Figure(name, value, unit, "", source, fine=fine, places=places, kind=kind))


def bare_figure_shown(figure: Figure) -> FigureShown:
    """A figure without its working, which is asked for with the step it belongs to."""
    # Known by what it shows alone: to look a figure up by all of its working takes longer than to tell it.
    return _bare(figure.name, figure.value, figure.unit, figure.source, figure.kind, figure.places, fine=figure.fine)


#: Most figures of a plan stay as they are from keystroke to keystroke.
kept_figure_shown = lru_cache(maxsize=4096)(figure_shown)


def maybe_shown(figure: Figure | None) -> FigureShown | None:
    """A figure with its working, where there is one."""
    return figure_shown(figure) if figure else None


def figures_shown(figures: tuple[Figure, ...]) -> tuple[FigureShown, ...]:
    """Figures with their working, in their order."""
    return tuple(figure_shown(figure) for figure in figures)


def figure_text(figure: Figure, unit: LengthUnit) -> str:
    """A figure for print: text and unit."""
    told = _told(figure.value, figure.unit, unit, fine=figure.fine, places=figure.places)
    return f"{told.text} {told.unit}".strip()


def field_error(error: InputError) -> FieldError:
    """What is wrong with one field."""
    return FieldError(error.code, error.field, error.message, error.choices)


def length_shown(mm: float, *, fine: bool = True) -> Shown:
    """A length of `mm` millimetres, told in both units: a diameter, or one along the bed where not `fine`."""
    return shown(mm, "mm", fine=fine)
