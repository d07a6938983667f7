"""Times in words."""

from __future__ import annotations

import math
from collections.abc import Mapping
from datetime import date, datetime, timedelta

from lathework.units import LengthUnit
from lathework.week.days import WEEKDAYS, day_words

HOUR_MIN = 60
ROUGH_FROM_MIN, ROUGH_MIN = 20, 5
"""From twenty minutes on an estimate is said to five."""


def rough(minutes: float) -> int:
    """Minutes as exactly as an estimate is said (unit: minutes)."""
    if minutes < ROUGH_FROM_MIN:
        return max(1, round(minutes)) if minutes > 0 else 0
    return ROUGH_MIN * round(minutes / ROUGH_MIN)


def duration(minutes: float) -> str:
    """How long an estimate of so many `minutes` (unit: minutes) is.

    >>> duration(83), duration(12), duration(120)
    ('1 h 25 min', '12 min', '2 h')
    """
    said = rough(minutes)
    hours, rest = divmod(said, HOUR_MIN)
    if not hours:
        return f"{rest} min"
    return f"{hours} h {rest} min" if rest else f"{hours} h"


TAPE_MM: Mapping[LengthUnit, float] = {"in": 2.54, "mm": 1.0}
"""How finely a bar is measured by tape: a tenth of an inch, a millimetre."""


def by_tape(mm: float, unit: LengthUnit) -> str:
    """A length of bar as a tape reads it, rounded down: what is left is never said longer than it is.

    >>> by_tape(355.4, "in"), by_tape(9.02, "mm")
    ('13.9 in', '9 mm')
    """
    steps = math.floor(max(0.0, mm) / TAPE_MM[unit] + 1e-9)
    return f"{steps / 10:.1f} in" if unit == "in" else f"{steps} mm"


def at(now: datetime, minute: int) -> datetime:
    """The moment so many minutes from now."""
    return now + timedelta(minutes=minute)


def clock(moment: datetime) -> str:
    """The time of the day."""
    return f"{moment.hour}:{moment.minute:02d}"


def moment_words(now: datetime, minute: int) -> str:
    """When something is, so many minutes from now: the day of the week within six days, else its date.

    >>> moment_words(datetime(2026, 12, 1, 20, 0), 4 * 24 * 60)
    'Saturday 20:00'
    """
    then = at(now, minute)
    return f"{day_of(now.date(), then.date())} {clock(then)}"


def day_of(today: date, day: date) -> str:
    """A day seen from today."""
    ahead = (day - today).days
    if ahead == 0:
        return "today"
    return WEEKDAYS[day.weekday()] if 0 < ahead < 7 else day_words(day)


def from_to(now: datetime, begin: int, end: int) -> str:
    """From when to when something is done, in minutes from now: a day that both share is said once.

    >>> from_to(datetime(2026, 12, 1, 20, 0), 0, 90)
    'today 20:00 to 21:30'
    """
    first, last = at(now, begin), at(now, end)
    ends = clock(last) if first.date() == last.date() else moment_words(now, end)
    return f"{moment_words(now, begin)} to {ends}"
