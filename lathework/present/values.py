"""Figures, errors and cautions as plain dictionaries, told in both units."""

from __future__ import annotations

import math
from functools import lru_cache
from typing import Any

from lathework.cautions import Caution
from lathework.errors import InputError
from lathework.figures import Answer, Figure, Given
from lathework.units import LENGTH_UNITS, MM_PER_INCH, LengthUnit, show_both, show_length, show_number

Json = dict[str, Any]
_LENGTHS: dict[str, LengthUnit] = {"in": "in", "mm": "mm"}
_AREA_PLACES = {"in": 4, "mm": 2}


def _area_places(area: float, into: LengthUnit) -> int:
    """Decimals of an area: enough for three digits of a small one, as its table prints it."""
    least = _AREA_PLACES[into]
    return least if area <= 0 else max(least, 2 - math.floor(math.log10(area)))


def _told(value: float, unit: str, into: LengthUnit, *, fine: bool, places: int) -> tuple[str, str]:
    """A value as text and unit, with lengths and areas converted into the wanted unit."""
    length = _LENGTHS.get(unit)
    if length is not None:
        return show_length(value, length, into, fine=fine), into
    if unit in ("in²", "mm²"):
        factor = 1.0 if unit.startswith(into) else MM_PER_INCH**2 if into == "mm" else MM_PER_INCH**-2
        return show_number(value * factor, _area_places(value * factor, into)), f"{into}²"
    return show_number(value, places), unit


def shown(value: float, unit: str, *, fine: bool = True, places: int = 0) -> Json:
    """A `value` in `unit` as text in both units; alike where it is no length."""
    length = _LENGTHS.get(unit)
    if length is not None:
        inch, mm = show_both(value, length, fine=fine)
        return {"in": {"text": inch, "unit": "in"}, "mm": {"text": mm, "unit": "mm"}}
    out: Json = {}
    for into in LENGTH_UNITS:
        text, shown = _told(value, unit, into, fine=fine, places=places)
        out[into] = {"text": text, "unit": shown}
    return out


def _given(given: Given) -> Json:
    length = _LENGTHS.get(given.unit)
    if length is not None:
        inch, mm = show_both(given.value, length)
        return {"name": given.name, "in": f"{inch} in", "mm": f"{mm} mm"}
    text = f"{given.value:.6g} {given.unit}".strip()
    return {"name": given.name, "in": text, "mm": text}


def _answer(answer: Answer) -> Json:
    return {"school": answer.school, "shown": shown(answer.value, answer.unit), "remark": answer.remark}


def figure_json(figure: Figure) -> Json:
    """A figure with its working, shown in both units."""
    return {
        "name": figure.name,
        "value": figure.value,
        "unit": figure.unit,
        "shown": shown(figure.value, figure.unit, fine=figure.fine, places=figure.places),
        "formula": figure.formula,
        "inputs": [_given(g) for g in figure.inputs],
        "kind": figure.kind,
        "source": {"kind": figure.source.kind, "title": figure.source.title},
        "others": [_answer(a) for a in figure.others],
        "note": figure.note,
    }


#: Most figures of a plan stay as they are from keystroke to keystroke.
kept_figure_json = lru_cache(maxsize=4096)(figure_json)


def figure_text(figure: Figure, unit: LengthUnit) -> str:
    """A figure for print: text and unit."""
    text, shown = _told(figure.value, figure.unit, unit, fine=figure.fine, places=figure.places)
    return f"{text} {shown}".strip()


def error_json(error: InputError) -> Json:
    """An input error as code, field, message and choices."""
    return {"code": error.code, "field": error.field, "message": error.message, "choices": list(error.choices)}


def caution_json(caution: Caution) -> Json:
    """A caution: what to do and why."""
    return {"code": caution.code, "do": caution.do, "why": caution.why}


def length_shown(mm: float, *, fine: bool = True) -> Json:
    """A length of `mm` millimetres, shown in both units: a diameter, or one along the bed where not `fine`."""
    return shown(mm, "mm", fine=fine)
