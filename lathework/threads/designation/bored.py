"""A nut by its bore and its count: the threads it may have, asked about."""

from __future__ import annotations

import re
from decimal import Decimal

from lathework.errors import InputError
from lathework.threads.designation.common import HOW, fail, fraction
from lathework.threads.forms import UNIFIED, WHITWORTH
from lathework.threads.library import library
from lathework.threads.series import trim
from lathework.threads.thread import Thread
from lathework.units import convert

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


def _number(text: str) -> Decimal:
    return fraction(text) if "/" in text else Decimal(text)


def _fits(thread: Thread, bore_mm: float, pitch_mm: float) -> bool:
    """Whether a nut of that thread may have this bore and pitch (millimetres)."""
    over = (bore_mm - thread.minor_mm) / pitch_mm
    return abs(thread.pitch_mm / pitch_mm - 1) < ALIKE and -NARROWEST <= over <= WIDEST and not thread.taper


def _specials(bore: Decimal, pitch: Decimal, *, inch: bool) -> tuple[str, ...]:
    """The largest screws of both angles for a nut of that bore and pitch that no series lists, in its unit."""
    majors = [round(bore + form.depth_on_diameter * pitch, 3) for form in (UNIFIED, WHITWORTH)]
    if not inch:
        return (f"M{trim(majors[0])}x{trim(pitch)} special",)
    count = trim(round(1 / pitch, 2))
    return (f"{trim(majors[0])}-{count} UNS", f"{trim(majors[1])}-{count} Whitworth special")


def asked_of_a_bore(text: str) -> InputError | None:
    """The question which thread a nut has that was typed by its bore and its count or pitch; None for another text.

    >>> error = asked_of_a_bore("1 in bore, 24 to the inch")
    >>> error.choices if error else ()
    ('1.045-24 UNS', '1.053-24 Whitworth special')
    """
    found = next((match for pattern in _BORED if (match := pattern.match(text.strip().lower()))), None)
    if found is None:
        return None
    by_pitch = (found["pitch"] or "").startswith("mm")
    inch = (found["unit"] or ("mm" if by_pitch else "in")) != "mm"
    if re.search(r"/0+$", found["size"]):
        return fail("divided-by-zero", f"“{found['size']}” divides by zero. {HOW}")
    count = Decimal(found["count"])
    bore = _number(found["size"])
    if not count or not bore:
        return fail("out-of-range", "A bore and a count over nothing.")
    pitch_mm = float(count) if by_pitch else 25.4 / float(count)
    bore_mm = convert(float(bore), "in" if inch else "mm", "mm")
    listed = [thread for thread in library() if _fits(thread, bore_mm, pitch_mm)]
    listed.sort(key=lambda thread: abs(thread.minor_mm - bore_mm))
    told_inch = not by_pitch
    own = Decimal(str(bore_mm)) / (Decimal("25.4") if told_inch else 1)
    pitch = 1 / count if told_inch else count
    names = [thread.designation for thread in listed[:6]]
    sure = f"{names[0]} fits that. " if names else ""
    unit = "in" if told_inch else "mm"
    nominal = round(own + UNIFIED.depth_on_diameter * pitch, 3)
    message = (
        f"{sure}A nut of that bore takes a screw of {trim(nominal)} {unit} at most, at 60° (bore + 1.0825 × pitch): a "
        "worn or wide one is for a smaller. Lay a pitch gauge in for the angle, and say which."
    )
    return fail("ambiguous", message, (*names, *_specials(own, pitch, inch=told_inch)))
