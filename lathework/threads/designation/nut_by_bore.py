"""A nut by its bore and its count: the threads it may have, asked about."""

from __future__ import annotations

import re
from dataclasses import dataclass
from decimal import Decimal

from lathework.threads.designation.common import HOW, fail, fraction
from lathework.threads.forms import UNIFIED, WHITWORTH
from lathework.threads.library import library
from lathework.threads.series import trim
from lathework.threads.thread import Thread
from lathework.units import MM_PER_INCH, LengthUnit, convert

_SIZE = r"\d{1,3}(?:[\s-]\d{1,2}/\d{1,3}|/\d{1,3})?|\d{0,3}\.\d{1,5}"
_BORE = rf"(?P<size>{_SIZE})\s*(?P<unit>in|inch|mm)?\.?"
_HOLE = r"(?:nut\s*)?(?:bore|bored|hole)"
_COUNT = (
    r"(?P<count>\d{1,3}(?:\.\d{1,3})?)\s*(?P<pitch>tpi|per inch|to the inch|an inch|threads(?: per inch| to the inch)?"
    r"|mm(?: pitch)?)?"
)
_BORED = (
    re.compile(rf"^{_HOLE}\s*(?:of\s*)?{_BORE}[\s,x]*{_COUNT}$", re.ASCII),
    re.compile(rf"^{_BORE}\s*{_HOLE}[\s,x]*{_COUNT}$", re.ASCII),
)
WIDEST, NARROWEST = 0.45, 0.1
"""How far a nut's bore may be over and under its basic minor diameter, in pitches: the tolerances of ISO 965-1 and ASME
B1.1 end under 0.45 of a pitch, those of small sizes last; a pipe's may be 0.1 under (practice)."""
ALIKE = 0.002
"""Pitches closer than this share are one."""
MOST_LISTED = 6
"""Threads of the tables that are offered, the nearest first."""


@dataclass(frozen=True, slots=True)
class _Nut:
    """A nut as it was measured: its bore and pitch, in the `unit` that its pitch was told in."""

    bore: Decimal
    pitch: Decimal
    unit: LengthUnit

    def may_be(self, thread: Thread) -> bool:
        """Whether a nut of that thread may have this bore and pitch."""
        bore_mm, pitch_mm = (convert(float(size), self.unit, "mm") for size in (self.bore, self.pitch))
        over = (bore_mm - thread.minor_mm) / pitch_mm
        return abs(thread.pitch_mm / pitch_mm - 1) < ALIKE and -NARROWEST <= over <= WIDEST and not thread.taper

    @property
    def listed(self) -> list[str]:
        """The threads of the tables that it may have, the nearest first."""
        bore_mm = convert(float(self.bore), self.unit, "mm")
        found = sorted(filter(self.may_be, library()), key=lambda thread: abs(thread.minor_mm - bore_mm))
        return [thread.designation for thread in found[:MOST_LISTED]]

    @property
    def largest(self) -> tuple[str, str]:
        """The diameter of the largest screw that goes with it, at 60 degrees and of Whitworth form."""
        sixty, whitworth = (self.bore + form.depth_on_diameter * self.pitch for form in (UNIFIED, WHITWORTH))
        return trim(round(sixty, 3)), trim(round(whitworth, 3))

    @property
    def specials(self) -> tuple[str, ...]:
        """Those screws by name, as sizes that no series lists."""
        sixty, whitworth = self.largest
        if self.unit == "mm":
            return (f"M{sixty}x{trim(self.pitch)} special",)
        count = trim(round(1 / self.pitch, 2))
        return f"{sixty}-{count} UNS", f"{whitworth}-{count} Whitworth special"


def _read(found: re.Match[str]) -> _Nut:
    """The nut of a text that is one. Raises InputError."""
    if re.search(r"/0+$", found["size"]):
        raise fail("divided-by-zero", f"“{found['size']}” divides by zero. {HOW}")
    count, bore = Decimal(found["count"]), fraction(found["size"]) if "/" in found["size"] else Decimal(found["size"])
    if not count or not bore:
        raise fail("out-of-range", "The length of the count is zero.")
    unit: LengthUnit = "mm" if (found["pitch"] or "").startswith("mm") else "in"
    told = found["unit"] or unit
    inch = Decimal(str(MM_PER_INCH))
    if unit == "in" and told == "mm":
        bore /= inch
    elif unit == "mm" and told != "mm":
        bore *= inch
    return _Nut(bore, count if unit == "mm" else 1 / count, unit)


def ask_of_a_bore(text: str) -> None:
    """Nothing for a text that names no bore. Raises InputError that asks which thread a nut has where it was typed by
    its bore and its count or pitch, as in "1 in bore, 24 to the inch"."""
    found = next((match for pattern in _BORED if (match := pattern.match(text.strip().lower()))), None)
    if found is None:
        return
    nut = _read(found)
    listed = nut.listed
    sure = f"{listed[0]} fits that. " if listed else ""
    message = (
        f"{sure}A nut of that bore takes a screw of at most {nut.largest[0]} {nut.unit}, at 60° (bore + "
        "1.0825 × pitch); a worn or wide nut takes a smaller one. Check the angle with a pitch gauge, then "
        "type the one you mean."
    )
    raise fail("ambiguous", message, (*listed, *nut.specials))
