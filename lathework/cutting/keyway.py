"""Keyways: the key that goes with a shaft, and how deep it sits in shaft and hub."""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass
from functools import cache

from lathework.figures import PRACTICE, Figure, Given, Source
from lathework.tables.loader import Row, load
from lathework.units import LengthUnit, convert

METRIC, INCH = "keys", "keys_inch"
CLEAR_MM = 0.005 * 25.4
"""What a hub's keyway stands over a square key (ASME B17.1)."""
SQUARE = Source("standard", "ASME B17.1, appendix: depth of keyseats from the geometry of a square key")
WIDEST = 0.5
"""Widest key over the shaft it sits in (practice)."""
_HAIR_MM = 0.02


@dataclass(frozen=True, slots=True)
class Key:
    """A key in a shaft: its width and height, how deep it sits in the shaft, from the top of the round, and in the hub,
    from the bore, in millimetres; told by the table or the geometry of that `source`."""

    wide_mm: float
    high_mm: float
    shaft_mm: float
    hub_mm: float
    source: Source
    tabled: bool


@cache
def _rows(table: str) -> tuple[tuple[float, float, Row], ...]:
    scale = 25.4 if table == INCH else 1.0
    return tuple((scale * float(r.number("over")), scale * float(r.number("to")), r) for r in load(table).rows)


def _usual(across_mm: float) -> Iterator[tuple[float, LengthUnit]]:
    """The widths that go with a shaft, in millimetres, with the unit of their table."""
    for table, scale, unit in ((METRIC, 1.0, "mm"), (INCH, 25.4, "in")):
        for over, to, row in _rows(table):
            if over < across_mm <= to:
                yield scale * float(row.number("wide")), "in" if unit == "in" else "mm"


def usual_width(across_mm: float, unit: LengthUnit) -> float | None:
    """The width of the key that goes with a shaft of `across_mm` millimetres, in a unit, in millimetres; None where its
    table has none. Source: DIN 6885-1, ASME B17.1.

    >>> usual_width(25.0, "mm"), usual_width(25.4, "in")
    (8.0, 6.35)
    """
    return next((wide for wide, own in _usual(across_mm) if own == unit), None)


def sag_mm(across_mm: float, wide_mm: float) -> float:
    """How far the sides of a keyway lie below the top of the round, in millimetres."""
    return (across_mm - math.sqrt(across_mm**2 - wide_mm**2)) / 2


def key_in(across_mm: float, wide_mm: float) -> Key:
    """A key of `wide_mm` in a shaft of `across_mm` (millimetres): the table's where that has it, else a square one,
    half of it in the shaft at the sides. Source: DIN 6885-1, ASME B17.1."""
    for over, to, row in _rows(METRIC):
        if over < across_mm <= to and abs(float(row.number("wide")) - wide_mm) < _HAIR_MM:
            high, shaft, hub = (float(row.number(name)) for name in ("high", "shaft", "hub"))
            return Key(wide_mm, high, shaft, hub, load(METRIC).source, tabled=True)
    sag = sag_mm(across_mm, wide_mm)
    return Key(wide_mm, wide_mm, wide_mm / 2 + sag, wide_mm / 2 - sag + CLEAR_MM, SQUARE, tabled=False)


def _square(across_mm: float, key: Key, unit: LengthUnit) -> tuple[Given, ...]:
    lengths = {"across": across_mm, "key": key.wide_mm, "clear": CLEAR_MM}
    return tuple(Given(name, convert(mm, "mm", unit), unit) for name, mm in lengths.items())


def _depth(name: str, mm: float, key: Key, across_mm: float, unit: LengthUnit, formula: str) -> Figure:
    value = convert(mm, "mm", unit)
    if key.tabled:
        given = (Given("key", key.wide_mm, "mm"), Given("across", across_mm, "mm"))
        return Figure(name, value, unit, "by the table", key.source, given, kind="table")
    return Figure(name, value, unit, formula, key.source, _square(across_mm, key, unit))


def in_shaft(across_mm: float, key: Key, unit: LengthUnit) -> dict[str, Figure]:
    """How deep a keyway goes in from the top of a shaft, and what is left from its bottom to the side opposite."""
    deep = "key ÷ 2 + (across − √(across² − key²)) ÷ 2"
    told = _depth("deep from the top", key.shaft_mm, key, across_mm, unit, deep)
    left = (Given("across", convert(across_mm, "mm", unit), unit), Given("deep from the top", told.value, unit))
    rest = Figure(
        "bottom to the side opposite", left[0].value - told.value, unit, "across − deep from the top", PRACTICE, left
    )
    return {"deep": told, "left": rest}


def in_hub(across_mm: float, key: Key, unit: LengthUnit) -> dict[str, Figure]:
    """How deep a keyway goes in from a bore, and what is measured over both."""
    deep = "key ÷ 2 − (across − √(across² − key²)) ÷ 2 + clear"
    told = _depth("deep from the bore", key.hub_mm, key, across_mm, unit, deep)
    over = (Given("across", convert(across_mm, "mm", unit), unit), Given("deep from the bore", told.value, unit))
    whole = Figure(
        "over bore and keyway", over[0].value + told.value, unit, "across + deep from the bore", PRACTICE, over
    )
    return {"deep": told, "over": whole}
