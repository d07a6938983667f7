"""Units of length, the one conversion, the one rounding to printed digits, the one format for people."""

from __future__ import annotations

import math
from dataclasses import dataclass
from decimal import ROUND_HALF_EVEN, ROUND_HALF_UP, Decimal
from typing import Literal

LengthUnit = Literal["in", "mm"]
Millimetres = float
"""A length in millimetres, where no name beside it says so."""
Counted = Literal["turn", "stroke", "eighth of a turn", "graduation", "cut", "piece", "flat", "bolt", "hole"]
Area = Literal["in²", "mm²", "in²/in", "mm²/mm"]
Force = Literal["N", "kN", "N m", "N/mm²"]
Pace = Literal["rev/min", "m/min", "min", "h", "s"]
Unit = LengthUnit | Area | Force | Pace | Counted | Literal["°", "%", "×", "K", ""]
"""What a value is counted in: a length, an area, a share, a count of things; "" for a bare number."""
MM_PER_INCH = 25.4
"""Exact by definition (1959 international inch)."""

#: Decimals shown to a person: (coarse, fine) by unit. Fine is a diameter, coarse a length along the bed.
PLACES: dict[LengthUnit, tuple[int, int]] = {"in": (3, 4), "mm": (2, 3)}
#: Format codes made once: a plan shows some two hundred numbers at each keystroke.
_FORMATS = tuple(f".{places}f" for places in range(16))
_BOTH = tuple((_FORMATS[PLACES["in"][fine]], _FORMATS[PLACES["mm"][fine]]) for fine in (False, True))
AREAS: dict[LengthUnit, Area] = {"in": "in²", "mm": "mm²"}
AREAS_PER_LENGTH: dict[LengthUnit, Area] = {"in": "in²/in", "mm": "mm²/mm"}
LENGTHS: dict[str, LengthUnit] = {"in": "in", "mm": "mm"}
LENGTH_UNITS: tuple[LengthUnit, LengthUnit] = ("in", "mm")


@dataclass(frozen=True, slots=True)
class BothUnits:
    """A text with its lengths in inches, and with them in millimetres; alike where it has none."""

    inch: str
    mm: str


_PLURALS: dict[str, str] = {
    "turn": "turns",
    "graduation": "graduations",
    "cut": "cuts",
    "piece": "pieces",
    "hole": "holes",
    "flat": "flats",
    "stroke": "strokes",
    "bolt": "bolts",
}


def unit_word(unit: Unit, value: float) -> str:
    """How a unit is written behind a `value`: counted things in the plural, unless there is one.

    >>> unit_word("turn", 1), unit_word("turn", 17), unit_word("mm", 2)
    ('turn', 'turns', 'mm')
    >>> unit_word("eighth of a turn", 3)
    '× 1/8 turn'
    """
    if unit == "eighth of a turn":
        return "× 1/8 turn"
    return unit if value == 1 else _PLURALS.get(unit, unit)


def convert(value: float, unit: LengthUnit, into: LengthUnit) -> float:
    """A length `value` in `unit`, told in `into`.

    >>> convert(1.0, "in", "mm")
    25.4
    """
    if unit == into:
        return value
    return value * MM_PER_INCH if into == "mm" else value / MM_PER_INCH


#: One unit of the last digit, by how many decimals are kept.
_QUANTA = tuple(Decimal(1).scaleb(-places) for places in range(16))


def _rounded(value: Decimal | float, places: int, rounding: str) -> float:
    exact = value if isinstance(value, Decimal) else Decimal(repr(value))
    return float(exact.quantize(_QUANTA[places], rounding=rounding))


def round_half_up(value: Decimal | float, places: int) -> float:
    """Round `value` to `places` decimals, halves away from zero, as printed tables do.

    >>> round_half_up(Decimal("0.21745"), 4)
    0.2175
    """
    return _rounded(value, places, ROUND_HALF_UP)


def round_half_even(value: Decimal | float, places: int) -> float:
    """Round `value` to `places` decimals, halves to the even digit, as inch tables print fractional sizes.

    >>> round_half_even(0.28125, 4), round_half_even(0.21875, 4)
    (0.2812, 0.2188)
    """
    return _rounded(value, places, ROUND_HALF_EVEN)


def _signed(text: str) -> str:
    """A formatted number with a true minus sign; never "-0"."""
    if text[0] != "-":
        return text
    return text[1:] if float(text) == 0 else "−" + text[1:]


_HAIR = 1e-10
"""What a conversion there and back may lose of a length."""


def show_number(value: float, places: int) -> str:
    """The number `value` with `places` decimals and a true minus sign; never "-0". A half goes away from zero, also one
    that a conversion left a hair under.

    >>> show_number(-1.5, 3), show_number(-0.00001, 3), show_number(-3.59375 * 25.4 / 25.4, 4), show_number(0.0625, 3)
    ('−1.500', '0.000', '−3.5938', '0.063')
    """
    return _signed(format(value + math.copysign(_HAIR, value), _FORMATS[places]))


def show_share(share: float) -> str:
    """A `share` (a ratio) for a person, in per cent.

    >>> show_share(0.895)
    '90 %'
    """
    return f"{show_number(share * 100, 0)} %"


def show_length(value: float, unit: LengthUnit, into: LengthUnit, *, fine: bool = True) -> str:
    """A length of `value` in `unit` for a person, told in `into`, without the unit's name.

    Inches with 4 decimals (3 unless `fine`), millimetres with 3 (2).

    >>> show_length(0.3125, "in", "in"), show_length(0.3125, "in", "mm", fine=False)
    ('0.3125', '7.94')
    """
    return show_number(convert(value, unit, into), PLACES[into][fine])


def show_both(value: float, unit: LengthUnit, *, fine: bool = True) -> tuple[str, str]:
    """A length of `value` in `unit` for a person, in inches and in millimetres, as `show_length` tells each.

    >>> show_both(0.3125, "in"), show_both(8.0, "mm", fine=False), show_both(0.0625, "in", fine=False)
    (('0.3125', '7.938'), ('0.315', '8.00'), ('0.063', '1.59'))
    """
    inch, mm = (value, value * MM_PER_INCH) if unit == "in" else (value / MM_PER_INCH, value)
    inch_format, mm_format = _BOTH[fine]
    hair = math.copysign(_HAIR, value)
    return _signed(format(inch + hair, inch_format)), _signed(format(mm + hair, mm_format))
