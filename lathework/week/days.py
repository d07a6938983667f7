"""Days as people say them: "Saturday", "12 Dec", "in two weeks", "before the regatta 12 Dec"."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from datetime import date, timedelta

from lathework.errors import InputError

WEEKDAYS = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")
MONTHS = (
    *("January", "February", "March", "April", "May", "June"),
    *("July", "August", "September", "October", "November", "December"),
)
NUMBERS = {"a": 1, "an": 1, "one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "eight": 8, "ten": 10}
LONGEST_AHEAD = timedelta(days=3 * 366)
"""A day further off than this is a slip of the year."""
NO_DAY = re.compile(r"(?:when\s?ever|no date|no hurry|any ?time|some ?time|not yet|)", re.IGNORECASE)


def _names(names: tuple[str, ...], short: int) -> str:
    """A pattern of names: whole, or their first letters with or without a stop."""
    return "|".join(rf"{name}|{name[: short + 1]}\.?|{name[:short]}\.?" for name in names)


_DAY, _MONTH = rf"(?P<day>{_names(WEEKDAYS, 3)}s?)", rf"(?P<month>{_names(MONTHS, 3)})"
_NUMBER = r"(?P<number>\d{1,2})(?:st|nd|rd|th)?"
_YEAR = r"(?:,?\s+(?P<year>\d{4}))?"


@dataclass(frozen=True, slots=True)
class Wanted:
    """A day that was said, None for whenever; `words` as they were typed."""

    day: date | None
    words: str


def _number_of(name: str, names: tuple[str, ...]) -> int:
    """Which of the names a text begins like, from 0."""
    return next(n for n, full in enumerate(names) if full.lower().startswith(name.lower().rstrip(".")[:3]))


def _dated(year: int | None, month: int, day: int, today: date, field: str) -> date:
    """That day; without a year the next one there is. Raises InputError for a day that no calendar has."""
    for candidate in (year,) if year is not None else range(today.year, today.year + 5):
        try:
            found = date(candidate, month, day)
        except ValueError:
            continue
        if year is not None or found >= today:
            return found
    named = f"{day} {MONTHS[month - 1]}" if 1 <= month <= len(MONTHS) else f"month {month}"
    raise InputError("no-such-day", field, f"There is no {named}{f' {year}' if year else ''}.")


def _in_numbers(said: re.Match[str], today: date, field: str) -> date:
    return _dated(int(said["year"]), int(said["month"]), int(said["number"]), today, field)


def _by_month(said: re.Match[str], today: date, field: str) -> date:
    year = int(said["year"]) if said["year"] else None
    return _dated(year, _number_of(said["month"], MONTHS) + 1, int(said["number"]), today, field)


def _weekday(said: re.Match[str], today: date, field: str) -> date:
    """The next day of that name after today; "next" is that of the week that follows."""
    ahead = (_number_of(said["day"], WEEKDAYS) - today.weekday() - 1) % 7 + 1
    next_week = 7 if said["next"] and ahead + today.weekday() < 7 else 0
    return today + timedelta(days=ahead + next_week)


def _ahead(said: re.Match[str], today: date, field: str) -> date:
    many = NUMBERS.get(said["many"].lower()) or int(said["many"])
    return today + timedelta(days=many * (7 if said["unit"].lower().startswith("week") else 1))


def _month_end(said: re.Match[str], today: date, field: str) -> date:
    return (today.replace(day=1) + timedelta(days=32)).replace(day=1) - timedelta(days=1)


_Reads = Callable[[re.Match[str], date, str], date]
_WAYS: tuple[tuple[re.Pattern[str], _Reads], ...] = tuple(
    (re.compile(rf"(?<![\w/.-])(?:{pattern})(?![\w/-])", re.IGNORECASE), reads)
    for pattern, reads in (
        (r"(?P<year>\d{4})-(?P<month>\d{1,2})-(?P<number>\d{1,2})", _in_numbers),
        (rf"{_NUMBER}\.?\s*(?:of\s+)?{_MONTH}{_YEAR}", _by_month),
        (rf"{_MONTH}\s+{_NUMBER}{_YEAR}", _by_month),
        (rf"(?P<next>next\s+)?{_DAY}", _weekday),
        (rf"in\s+(?P<many>\d{{1,3}}|{'|'.join(NUMBERS)})\s+(?P<unit>days?|weeks?)", _ahead),
        (r"(?:the\s+)?end of (?:the|this) month", _month_end),
        (r"(?:the\s+)?(?:end of (?:the|this) week|weekend)", lambda s, today, f: _sunday(today)),
        (r"next week", lambda s, today, f: _sunday(today) + timedelta(days=7)),
        (r"to-?day|to-?night|this evening", lambda s, today, f: today),
        (r"to-?morrow", lambda s, today, f: today + timedelta(days=1)),
    )
)
_BEFORE = re.compile(r"\bbefore\b", re.IGNORECASE)
_IN_FIGURES = re.compile(r"\b(\d{1,2})[/.](\d{1,2})(?:[/.](\d{4}))?(?!\w)")


def _sunday(today: date) -> date:
    return today + timedelta(days=6 - today.weekday())


def _in_figures(said: re.Match[str], today: date, field: str) -> date:
    """A day in figures alone. Raises InputError where it may be read in two ways, with both written out."""
    one, other = int(said[1]), int(said[2])
    ways = [(day, month) for day, month in dict.fromkeys(((one, other), (other, one))) if 0 < month <= 12 and day]
    if len(ways) == 1:
        [(day, month)] = ways
        return _dated(int(said[3]) if said[3] else None, month, day, today, field)
    choices = tuple(f"{day} {MONTHS[month - 1]}" for day, month in ways)
    raise InputError("which-day", field, f"Write the month of “{said[0]}” in letters.", choices)


def _said(text: str, today: date, field: str) -> Iterator[date]:
    for pattern, reads in _WAYS:
        if found := pattern.search(text):
            yield reads(found, today, field)


def read_day(text: str, today: date, field: str = "wanted") -> Wanted:
    """The day that a text says, seen from `today`; words around it are kept, and mean nothing. "Before" is the day
    before the one that is named. Raises InputError on `field` for what names no day, or one that is over.

    >>> read_day("before the regatta 12 Dec", date(2026, 12, 1)).day
    datetime.date(2026, 12, 11)
    >>> read_day("whenever", date(2026, 12, 1)).day is None
    True
    """
    words = " ".join(text.split())
    if NO_DAY.fullmatch(words):
        return Wanted(None, words)
    day = next(_said(words, today, field), None)
    if day is None:
        figures = _IN_FIGURES.search(words)
        if figures is None:
            raise InputError("not-a-day", field, f"“{words}” names no day.", ("Saturday", "12 December", "whenever"))
        day = _in_figures(figures, today, field)
    if _BEFORE.match(words) and day > today:
        day -= timedelta(days=1)
    if day < today:
        raise InputError("day-over", field, f"{day_words(day)} is over. Give a day from today on.")
    if day - today > LONGEST_AHEAD:
        raise InputError("too-far", field, f"{day_words(day)} {day.year} is too far ahead. Check the year.")
    return Wanted(day, words)


def day_words(day: date) -> str:
    """A day as it is written everywhere.

    >>> day_words(date(2026, 12, 5))
    'Saturday 5 December'
    """
    return f"{WEEKDAYS[day.weekday()]} {day.day} {MONTHS[day.month - 1]}"
