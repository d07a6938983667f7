"""Reads a length as a machinist writes it; never guesses, never clamps."""

from __future__ import annotations

import math
import re
from dataclasses import dataclass, replace
from fractions import Fraction
from functools import lru_cache

from lathework.errors import InputError, OutOfRange
from lathework.tables.drills import gauge_drills
from lathework.units import LengthUnit, convert

HOW = "Write a length like 5/16, 1-1/4, .3125, 8 mm, 6,35, a sum like 7/16+3/16, or a drill such as #7 or F."
_FORM = re.compile(
    r"^(?:(?P<whole>\d{1,9})[\s-]+)?(?P<num>\d{1,9})/(?P<den>\d{1,9})$|^(?P<decimal>\d{0,9}[.,]?\d{0,12})$",
    re.ASCII,
)
_UNIT = re.compile(r"^(?P<number>.*?)\s*(?P<unit>inches|inch|in\.?|mm|thou|\"|″|”|'')?$", re.IGNORECASE | re.DOTALL)
_TIMES = re.compile(r"^(?P<count>\d{1,3})\s*[x×*]\s*(?P<length>\S.*)$", re.IGNORECASE | re.ASCII)
_ABOUT = re.compile(r"^(?:about|approx(?:imately|\.)?|roughly|circa|ca?\.|ca|~|≈)\s*(?P<length>\S.*)$", re.IGNORECASE)
_BARE = re.compile(r"^(?P<number>[+\-−]?\d{0,9}[.,]?\d{0,9})\s*%?$", re.ASCII)
_LONGEST_TEXT = 40


@dataclass(frozen=True, slots=True)
class Length:
    """A length with the unit it was given in, and the text it was typed as; whether it is only `about` that."""

    value: float
    unit: LengthUnit
    typed: str
    about: bool = False

    @property
    def mm(self) -> float:
        """The length in millimetres."""
        return convert(self.value, self.unit, "mm")


@dataclass(frozen=True, slots=True)
class Span:
    """What a field allows, in millimetres, and what the field is called."""

    name: str
    low_mm: float
    high_mm: float


def bare_number(text: str) -> float:
    """A bare number as people type it, with a point or a comma, a sign, a per cent sign behind it; not a number for
    anything else, which no range takes.

    >>> bare_number("1,5"), bare_number(" 70 % "), bare_number("-0.05"), bare_number("1e3")
    (1.5, 70.0, -0.05, nan)
    """
    match = _BARE.match(text.strip())
    if match is None or not any(sign.isdigit() for sign in match["number"]):
        return math.nan
    return float(match["number"].replace(",", ".").replace("−", "-"))


def _number(text: str, field: str) -> float:
    match = _FORM.match(text)
    if match is None or not any(ch.isdigit() for ch in text):
        raise InputError("not-a-length", field, f"“{text}” is not a length. {HOW}")
    if match["decimal"] is not None:
        return float(match["decimal"].replace(",", "."))
    if int(match["den"]) == 0:
        raise InputError("divided-by-zero", field, f"“{text}” divides by zero. {HOW}")
    return float(int(match["whole"] or 0) + Fraction(int(match["num"]), int(match["den"])))


@lru_cache(maxsize=4096)
def read_length(text: str, unit: LengthUnit, field: str = "length", *, roughly: bool = False) -> Length:
    """Read `text` as a length; a bare number is in `unit`. Sums and multiples are worked out: 7/16+3/16, 2 x 13 mm.

    Returns the length in the unit it was written in, that of the first where several are added. Raises InputError
    ("empty", "not-a-length", "divided-by-zero", "not-exact") that names `field`. A length may be said `roughly` ("about
    20 mm", "~3/4") only where that is so.

    >>> read_length("1-1/4", "in").value, read_length("6,35", "mm").mm, read_length("F", "mm").value
    (1.25, 6.35, 0.257)
    >>> read_length("7/16+3/16", "in").value, read_length("2 x 13 mm", "in").mm
    (0.625, 26.0)
    """
    typed = text.strip()
    about = _ABOUT.match(typed)
    if about is not None and not roughly:
        raise InputError("not-exact", field, "Type the size itself. Only a length along the part may be “about”.")
    if about is not None:
        return replace(read_length(about["length"], unit, field), typed=typed, about=True)
    if not typed:
        raise InputError("empty", field, "Type a length.")
    if len(typed) > _LONGEST_TEXT:
        raise InputError("not-a-length", field, f"That is too long to be a length. {HOW}")
    if "+" in typed:
        terms = [_term(term.strip(), unit, field) for term in typed.split("+")]
        total = math.fsum(convert(term.mm, "mm", terms[0].unit) for term in terms)
        return Length(total, terms[0].unit, typed)
    return replace(_term(typed, unit, field), typed=typed)


def _term(typed: str, unit: LengthUnit, field: str) -> Length:
    """One length of a sum, with a count before it or without."""
    times = _TIMES.match(typed)
    if times is not None:
        one = _one(times["length"], unit, field)
        return Length(int(times["count"]) * one.value, one.unit, typed)
    return _one(typed, unit, field)


def _one(typed: str, unit: LengthUnit, field: str) -> Length:
    if not typed:
        raise InputError("not-a-length", field, f"One length of the sum is missing. {HOW}")
    drill = gauge_drills().get(typed.upper())
    if drill is not None:
        return Length(drill.diameter, "in", typed)
    match = _UNIT.match(typed)
    assert match is not None  # the pattern admits any text
    suffix = (match["unit"] or "").lower()
    number = _number(match["number"], field)
    if suffix == "thou":
        return Length(number / 1000, "in", typed)
    written: LengthUnit = unit if not suffix else "mm" if suffix == "mm" else "in"
    return Length(number, written, typed)


def _plain(mm: float, unit: LengthUnit) -> str:
    return f"{convert(mm, 'mm', unit):.4g} {unit}"


def within(length: Length, span: Span, field: str) -> Length:
    """Pass `length` on when it lies within `span`; else OutOfRange, with a hint when a unit or a point slipped."""
    if math.isfinite(length.value) and span.low_mm <= length.mm <= span.high_mm:
        return length
    other: LengthUnit = "mm" if length.unit == "in" else "in"
    guesses = [(length.value, other), (length.value / 10, length.unit), (length.value * 10, length.unit)]
    hints = tuple(
        f"{value:.6g} {unit}"
        for value, unit in guesses
        if value > 0 and span.low_mm <= convert(value, unit, "mm") <= span.high_mm
    )
    raise OutOfRange(
        field=field,
        name=span.name,
        shown=f"{length.value:.6g} {length.unit}",
        low=_plain(span.low_mm, length.unit),
        high=_plain(span.high_mm, length.unit),
        choices=hints[:2],
    )
