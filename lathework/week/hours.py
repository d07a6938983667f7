"""When somebody is in the shop: usual weeks and single days, as people say them; and the stretches of time it makes."""

from __future__ import annotations

import re
from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, field
from datetime import date, datetime, time, timedelta

from lathework.errors import InputError
from lathework.week.days import WEEKDAYS, day_words, read_day

DAY_MIN = 24 * 60
Open = tuple[int, int]
"""From when to when, in minutes of the day."""
WORKDAYS, WEEKEND = tuple(range(5)), (5, 6)
_MANY = {"weekdays": WORKDAYS, "weekend": WEEKEND, "weekends": WEEKEND, "every day": tuple(range(7))}
_MANY |= {"daily": _MANY["every day"], "all days": _MANY["every day"]}
_NAME = "|".join(rf"{name}s?|{name[:4]}\.?|{name[:3]}\.?" for name in WEEKDAYS)
_TO = r"\s*(?:-|\u2013|to|till|until)\s*"
_CLOCK = r"(\d{1,2})(?:[:.h](\d{2}))?\s*(am|pm)?"
_SPAN = re.compile(rf"(?:from\s+)?{_CLOCK}{_TO}{_CLOCK}(?![\d:])", re.IGNORECASE)
_OFF = re.compile(r"\b(?:off|away|closed|not in|none)\b", re.IGNORECASE)
_DAYS = re.compile(rf"({_NAME})(?:{_TO}({_NAME}))?(?![\w])", re.IGNORECASE)
EXAMPLE = "Thu 19-21, Sat 9-14"


@dataclass(frozen=True, slots=True)
class Hours:
    """When a person is in the shop: on each day of the week (0 is Monday), and on single days that differ."""

    usual: Mapping[int, tuple[Open, ...]] = field(default_factory=dict)
    changed: Mapping[date, tuple[Open, ...]] = field(default_factory=dict)

    def on(self, day: date) -> tuple[Open, ...]:
        """From when to when on a day."""
        return self.changed.get(day, self.usual.get(day.weekday(), ()))


@dataclass(frozen=True, slots=True)
class Span:
    """A stretch of time in the shop, in minutes from the moment that is planned from."""

    begin: int
    end: int


def _minutes(hour: str, minute: str | None, half: str | None, text: str, field: str) -> int:
    whole, part = int(hour), int(minute or 0)
    if half and whole <= 12:
        whole = whole % 12 + (12 if half.lower() == "pm" else 0)
    if part > 59 or whole * 60 + part > DAY_MIN:
        raise InputError("no-such-time", field, f"There is no such time of day in “{text}”.", (EXAMPLE,))
    return whole * 60 + part


def _spans(text: str, field: str) -> tuple[Open, ...]:
    """The stretches of a day that a text names. Raises InputError."""
    found = []
    for said in _SPAN.finditer(text):
        halves = said[3] or (said[6] if said[6] and int(said[1]) < 12 and int(said[1]) <= int(said[4]) else None)
        begin = _minutes(said[1], said[2], halves, text, field)
        end = _minutes(said[4], said[5], said[6], text, field)
        if end <= begin:
            raise InputError("ends-first", field, f"“{said[0].strip()}” ends before it begins.", (EXAMPLE,))
        found.append((begin, end))
    if any(later[0] < earlier[1] for earlier, later in zip(sorted(found), sorted(found)[1:], strict=False)):
        raise InputError("overlap", field, f"Hours overlap in “{text.strip()}”.", (EXAMPLE,))
    return tuple(sorted(found))


def _of_week(name: str) -> int:
    return next(n for n, full in enumerate(WEEKDAYS) if full.lower().startswith(name.lower()[:3]))


def _weekdays(text: str) -> tuple[int, ...]:
    """The days of the week that a text names."""
    lower = text.lower()
    for words, days in _MANY.items():
        if words in lower:
            return days
    found: list[int] = []
    for said in _DAYS.finditer(text):
        first = _of_week(said[1])
        last = _of_week(said[2]) if said[2] else first
        found += [(first + ahead) % 7 for ahead in range((last - first) % 7 + 1)]
    return tuple(dict.fromkeys(found))


def _items(text: str) -> Iterator[str]:
    """What is said of one day or several: a stretch without a day belongs to the day before it."""
    item = ""
    for part in re.split(r"[;,\n]|\band\b", text):
        if not part.strip():
            continue
        alone = _SPAN.fullmatch(part.strip()) is not None
        listed = item and not _SPAN.search(item) and not _OFF.search(item)
        if item and not alone and not listed:
            yield item
            item = ""
        item = f"{item} {part.strip()}".strip()
    if item:
        yield item


def read_hours(text: str, field: str = "hours") -> dict[int, tuple[Open, ...]]:
    """The usual week of a person, as people say it. Raises InputError on `field`.

    >>> read_hours("Thu 19-21, Sat 9-12 and 13-17:30")
    {3: ((1140, 1260),), 5: ((540, 720), (780, 1050))}
    """
    usual: dict[int, tuple[Open, ...]] = {}
    for item in _items(text):
        days, spans = _weekdays(item), _spans(item, field)
        if not days:
            raise InputError("which-days", field, f"Name the days of “{item}”.", (EXAMPLE,))
        if not spans and not _OFF.search(item):
            raise InputError("which-hours", field, f"Name the hours of “{item}”.", (f"{item} 19-21",))
        for day in days:
            usual[day] = tuple(sorted({*usual.get(day, ()), *spans}))
    return {day: spans for day, spans in sorted(usual.items()) if spans}


def read_changed(text: str, today: date, field: str = "changed") -> dict[date, tuple[Open, ...]]:
    """Days that differ from the usual week: "5 Dec off; Friday 18-20". Days that are over are left out. Raises
    InputError on `field`.

    >>> read_changed("5 Dec off", date(2026, 12, 1))
    {datetime.date(2026, 12, 5): ()}
    """
    changed: dict[date, tuple[Open, ...]] = {}
    for item in _items(text):
        spans = _spans(item, field)
        off = _OFF.search(item)
        if not spans and not off:
            raise InputError("which-hours", field, f"Name the hours of “{item}”, or say off.", (f"{item} off",))
        try:
            named = read_day(_SPAN.sub(" ", _OFF.sub(" ", item)), today, field)
        except InputError as error:
            if error.code == "day-over":
                continue
            raise
        if named.day is None:
            raise InputError("which-days", field, f"Name the day of “{item}”.", (f"Saturday {item}",))
        changed[named.day] = () if off else spans
    return changed


def spans_of(hours: Hours, now: datetime, days: int) -> tuple[Span, ...]:
    """The stretches of time in the shop over some days from `now` on, in minutes from then."""
    start = datetime.combine(now.date(), time())
    passed = int((now - start).total_seconds() // 60)
    found = []
    for ahead in range(days):
        for begin, end in hours.on(now.date() + timedelta(days=ahead)):
            first, last = ahead * DAY_MIN + begin - passed, ahead * DAY_MIN + end - passed
            if last > 0:
                found.append(Span(max(0, first), last))
    return tuple(found)


def without(hours: Hours, busy: Iterable[tuple[datetime, datetime]]) -> dict[date, tuple[Open, ...]]:
    """The single days of somebody who is busy at those times: what is left of the hours of each day that they touch,
    beside the days that differed before."""
    changed = dict(hours.changed)
    for begin, end in busy:
        for ahead in range((end.date() - begin.date()).days + 1):
            day = begin.date() + timedelta(days=ahead)
            midnight = datetime.combine(day, time())
            first, last = (int((moment - midnight).total_seconds() // 60) for moment in (begin, end))
            spans = changed.get(day, hours.usual.get(day.weekday(), ()))
            left = tuple(_left(spans, first, last))
            if left != spans:
                changed[day] = left
    return changed


def _left(spans: Iterable[Open], first: int, last: int) -> Iterator[Open]:
    """What is left of stretches of a day without what lies between two of its minutes."""
    for begin, end in spans:
        if begin < first:
            yield begin, min(end, first)
        if end > last:
            yield max(begin, last), end


def _clock(minute: int) -> str:
    return f"{minute // 60}" if minute % 60 == 0 else f"{minute // 60}:{minute % 60:02d}"


def hours_words(hours: Hours) -> str:
    """A usual week in words, from Monday on.

    >>> hours_words(Hours({3: ((1140, 1260),), 5: ((540, 720), (780, 1050))}))
    'Thu 19-21, Sat 9-12 and 13-17:30'
    """
    days = (
        f"{WEEKDAYS[day][:3]} " + " and ".join(f"{_clock(begin)}-{_clock(end)}" for begin, end in spans)
        for day, spans in sorted(hours.usual.items())
    )
    return ", ".join(days)


def changed_words(changed: Mapping[date, tuple[Open, ...]]) -> str:
    """Single days in words.

    >>> changed_words({date(2026, 12, 5): ()})
    'Saturday 5 December off'
    """
    days = (
        f"{day_words(day)} " + (" and ".join(f"{_clock(begin)}-{_clock(end)}" for begin, end in spans) or "off")
        for day, spans in sorted(changed.items())
    )
    return "; ".join(days)
