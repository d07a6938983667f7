"""Tapers of shanks and sockets: by name, by ratio, by angle; how far the top slide is set over."""

from __future__ import annotations

import math
import re
from collections.abc import Iterator
from dataclasses import dataclass
from functools import cache

from lathework.errors import InputError
from lathework.figures import GEOMETRY, Figure, Given
from lathework.lengths import Length, bare_number
from lathework.tables.loader import Row, load

TABLE = "tapers"
STEEPEST, SLOWEST = 2.0, 0.001
"""Most and least taper on the diameter: 45 degrees to a side, beyond which it is faced or chamfered; 1 in 1000."""
ANGLE = "atan(rise on the diameter ÷ (2 × along))"
HOW = (
    "Write a name (MT2, B16, JT33, B&S 7, R8, 5C, metric 6, 7/24 No. 40), a ratio (1:20), the included angle (60°), or "
    "two diameters and the length between them (18.2 to 17.1 over 22)."
)
_NUMBER = r"\d{0,6}(?:[.,]\d{1,6})?"
_SPELLINGS = (
    (re.compile(r"^(?:mt|mk|morse|morse taper)\s*(?:no\.?\s*|#\s*)?([0-6])$"), "MT{}"),
    (re.compile(r"^([0-6])\s*(?:mt|morse)$"), "MT{}"),
    (re.compile(r"^b\s?(\d\d)$"), "B{}"),
    (re.compile(r"^metric\s*(?:no\.?\s*)?(\d{1,3})$"), "metric {}"),
    (re.compile(r"^(?:jt|jacobs(?: taper)?)\s*(?:no\.?\s*|#\s*)?(\d{1,2}|2 ?s(?:hort)?)$"), "JT{}"),
    (re.compile(r"^b\s?&\s?s\s*(?:taper\s*)?(?:no\.?\s*|#\s*)?(\d{1,2})$"), "B&S {}"),
    (re.compile(r"^r-?(8)(?: taper| collet)?$"), "R{}"),
    (re.compile(r"^(5) ?c(?: collet)?$"), "{}C"),
    (re.compile(r"^7/24\s*(?:no\.?|#|-)?\s*(\d\d)$"), "7/24 No. {}"),
)
_RATIO = re.compile(rf"^({_NUMBER})\s*(?::|in)\s*({_NUMBER})$")
_TWO = re.compile(rf"^({_NUMBER})\s*(?:to|/)\s*({_NUMBER})\s*(?:over|in)\s*({_NUMBER})$")
_CONE = re.compile(rf"^({_NUMBER})\s*(?:°|deg|degrees?)$")


@dataclass(frozen=True, slots=True)
class Taper:
    """A taper: its name ("" where none is its own), how much it grows on the diameter for each unit along it (a
    number), and by name its diameter at the gauge line and its usual length from there, in millimetres; the angle of
    its cone where that was said (0 without)."""

    name: str
    rise: float
    along: float
    large_mm: float = 0.0
    long_mm: float = 0.0
    cone_deg: float = 0.0

    @property
    def ratio(self) -> float:
        """Growth of the diameter for each unit along."""
        return self.rise / self.along

    @property
    def told(self) -> str:
        """How it is called: by its name, by the angle of its cone where that was said, or as a ratio."""
        if self.cone_deg:
            return f"{self.cone_deg:g}°"
        return self.name or f"{self.rise:g} in {self.along:.6g}"


@cache
def tapers() -> dict[str, Taper]:
    """Every taper that has a name."""
    return {one.name: one for one in map(_named, load(TABLE).rows)}


def _named(row: Row) -> Taper:
    large, rise, along, length = (float(row.number(column)) for column in ("large", "rise", "along", "length"))
    return Taper(row.text("name"), rise, along, large, length)


def _spelled(text: str) -> Iterator[str]:
    """The names that a text may be a spelling of."""
    for pattern, name in _SPELLINGS:
        match = pattern.match(text)
        if match is not None:
            yield re.sub(r"^JT2 ?s.*", "JT2 short", name.format(match[1]))


def _stated(text: str) -> Taper | None:
    """A taper told by its ratio, by two diameters of one unit and what lies between them, or by the angle of its cone;
    None for anything else."""
    if (match := _RATIO.match(text)) is not None:
        rise, along = bare_number(match[1]), bare_number(match[2])
        return Taper("", rise, along) if rise > 0 and along > 0 else None
    if (match := _TWO.match(text)) is not None:
        one, other, over = (bare_number(match[number]) for number in (1, 2, 3))
        return Taper("", round(abs(one - other), 6), over) if over > 0 and one != other else None
    if (match := _CONE.match(text)) is not None:
        angle = bare_number(match[1])
        rise = 2 * math.tan(math.radians(angle / 2))
        return Taper("", rise, 1.0, cone_deg=angle) if 0 < angle < 180 else None
    return None


def read_taper(text: str, field: str) -> Taper:
    """The taper that a text names. Raises InputError ("not-a-taper", "out-of-range") that names `field`.

    >>> read_taper("2 MT", "taper").large_mm, read_taper("1 in 16", "taper").ratio
    (17.78, 0.0625)
    >>> round(read_taper("60°", "taper").ratio, 4)
    1.1547
    """
    said = " ".join(text.lower().split())
    for name in _spelled(said):
        if name in tapers():
            return tapers()[name]
    found = _stated(said)
    if found is None:
        raise InputError("not-a-taper", field, f"“{text}” is not a taper. {HOW}")
    if not SLOWEST <= found.ratio <= STEEPEST:
        raise InputError("out-of-range", field, "The taper must be between 1 in 1000 and 2 in 1.")
    return found


def gauge_size(taper: Taper) -> Length:
    """The diameter of a named taper at its gauge line, as a length."""
    return Length(taper.large_mm, "mm", f"{taper.large_mm:.3f} mm")


def large_end(taper: Taper) -> Figure:
    """The diameter of a named taper at its gauge line, in millimetres, by its table."""
    source = load(TABLE).source
    return Figure("diameter", taper.large_mm, "mm", f"{taper.name}, at the gauge line", source, kind="table")


def set_over(taper: Taper) -> Figure:
    """How far the top slide is set over from the axis: half the angle of the cone, in degrees."""
    given = (Given("rise on the diameter", taper.rise), Given("along", taper.along))
    source = load(TABLE).source if taper.name else GEOMETRY
    return Figure("top slide over", math.degrees(math.atan(taper.ratio / 2)), "°", ANGLE, source, given, places=3)
