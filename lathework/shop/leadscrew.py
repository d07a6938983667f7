"""A pitch as one says it of a leadscrew, kept exact: threads to the inch, or millimetres."""

from __future__ import annotations

import re
from dataclasses import dataclass
from fractions import Fraction

from lathework.errors import InputError
from lathework.threads.thread import Thread
from lathework.units import LengthUnit

INCH_MM = Fraction(254, 10)
"""An inch in millimetres, exact by definition."""
_COUNT = r"(?:tpi|t\.p\.i\.|(?:threads )?(?:per|to the|an) inch|/ ?in(?:ch)?)"
_NUMBER = r"(\d{1,3}(?:[.,]\d{1,4})?|\d{1,2}/\d{1,3}|\d{1,2}[- ]\d{1,2}/\d{1,3})"
_PER_INCH = re.compile(rf"{_NUMBER} ?{_COUNT}", re.IGNORECASE)
_LONG = re.compile(rf'{_NUMBER} ?(mm|in|inch|")(?: pitch| lead)?', re.IGNORECASE)
MOST_IN_A_BOX = 80
COARSEST_MM, FINEST_MM = Fraction(26), Fraction(1, 5)
"""What a leadscrew, and a thread cut with it, may advance in a turn (practice)."""


@dataclass(frozen=True, slots=True)
class Lead:
    """An advance in one turn, exact in millimetres; `unit` is that of the screw, `typed` as one said it."""

    mm: Fraction
    unit: LengthUnit
    typed: str


def _value(text: str) -> Fraction:
    """A number with a decimal point or comma, or a fraction, exact."""
    whole = 0
    if "/" in text and re.search(r"[- ]", text):
        head, text = re.split(r"[- ]", text, maxsplit=1)
        whole = int(head)
    return whole + Fraction(text.replace(",", "."))


def read_lead(text: str, field: str = "leadscrew") -> Lead:
    """A leadscrew's pitch as typed: "8 tpi", "3 mm", "1/8 in". Raises InputError: a bare number may be either.

    >>> read_lead("8 tpi").mm, read_lead("3 mm").mm, read_lead("1/8 in").mm, read_lead("4-1/2 tpi").mm
    (Fraction(127, 40), Fraction(3, 1), Fraction(127, 40), Fraction(254, 45))
    """
    told = " ".join(text.split())
    count, long = _PER_INCH.fullmatch(told), _LONG.fullmatch(told)
    found = count or long
    value = _value(found[1]) if found and not found[1].endswith(("/0", "/00", "/000")) else Fraction(0)
    if not value:
        why = "“{}” is not a pitch. Type 8 tpi, 3 mm or 1/8 in: a bare number could be either."
        raise InputError("not-a-pitch", field, why.format(told), ("8 tpi", "3 mm", "1/8 in"))
    inches = count is not None or (long is not None and long[2].lower() != "mm")
    mm = INCH_MM / value if count else value * INCH_MM if inches else value
    if not FINEST_MM <= mm <= COARSEST_MM:
        raise InputError("out-of-range", field, "A pitch must be from 0.2 mm to 26 mm, or from 1 to 127 per inch.")
    return Lead(mm, "in" if inches else "mm", told)


def read_leads(text: str, field: str = "gearbox") -> tuple[Lead, ...]:
    """What a gearbox cuts, as on its plate: "8, 9, 10, 11.5 tpi; 0.5, 0.75, 1 mm". Raises InputError on `field`.

    >>> [str(lead.mm) for lead in read_leads("8, 16 tpi; 1, 1.5 mm")]
    ['127/40', '127/80', '1', '3/2']
    """
    leads = []
    for group in filter(None, (one.strip() for one in text.split(";"))):
        unit = group.split()[-1]
        numbers = [one for one in re.split(r"[,\s]+", group.removesuffix(unit)) if one]
        if not numbers:
            raise InputError("not-a-pitch", field, f"“{group}” is not a list of pitches. Type 8, 9, 10 tpi; 0.5, 1 mm.")
        leads += [read_lead(f"{number} {unit}", field) for number in numbers]
    if len(leads) > MOST_IN_A_BOX:
        raise InputError("too-long", field, f"At most {MOST_IN_A_BOX} pitches fit here.")
    return tuple(leads)


def lead_of(thread: Thread) -> Lead:
    """What a thread advances in a turn, exact: by its count to the inch, or its pitch in millimetres.

    >>> from lathework.threads.designation import read_designation
    >>> lead_of(read_designation("3/8-16")).mm, lead_of(read_designation("M10")).mm
    (Fraction(127, 80), Fraction(3, 2))
    """
    if thread.tpi:
        pitch = INCH_MM / Fraction(str(thread.tpi))
    else:
        pitch = Fraction(str(thread.pitch)) * (INCH_MM if thread.unit == "in" else 1)
    return Lead(pitch * thread.starts, "in" if thread.tpi or thread.unit == "in" else "mm", thread.designation)
