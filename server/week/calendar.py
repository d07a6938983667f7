"""The week as a calendar file (iCalendar, RFC 5545), and other calendars read: when somebody is away."""

from __future__ import annotations

from collections.abc import Collection, Iterator
from datetime import date, datetime, time, timedelta
from itertools import chain, islice, takewhile

from dateutil.rrule import rrulestr
from icalendar import Calendar, Event

from lathework.errors import InputError
from lathework.week.model import Order
from lathework.week.words import at, duration
from server.week.gather import Gathered

MOST_EVENTS, LOOKED_AHEAD = 5000, timedelta(days=180)
MOST_TURNS, MOST_IN_ALL = 20_000, 200_000
"""Times that a rule is followed (every day for fifty years), and all rules of a calendar together."""
DAY = timedelta(days=1)
Busy = tuple[datetime, datetime]


def calendar_file(gathered: Gathered, order: Order, names: dict[str, str]) -> bytes:
    """Each task as an event, in the time of the machine that Conch runs on."""
    calendar = Calendar()
    calendar.add("prodid", "-//Conch//week//EN")
    calendar.add("version", "2.0")
    zone = datetime.now().astimezone().tzinfo
    for one in order.bookings:
        event = Event()
        event.add("uid", f"{one.task.ident}@conch")
        event.add("dtstamp", gathered.now.replace(tzinfo=zone))
        event.add("dtstart", at(gathered.now, one.begin).replace(tzinfo=zone))
        event.add("dtend", at(gathered.now, one.end).replace(tzinfo=zone))
        event.add("summary", f"{one.task.title}: {one.task.what}")
        event.add("location", names.get(one.task.station, "Lathe"))
        event.add("description", f"{duration(one.task.minutes)}, and {one.setting_up} min to set up. {one.person}.")
        calendar.add_component(event)
    return bytes(calendar.to_ical())


def _moment(value: date | datetime) -> datetime:
    """A moment by this machine's clock; a day alone begins at midnight."""
    if isinstance(value, datetime):
        return value.astimezone().replace(tzinfo=None) if value.tzinfo else value
    return datetime.combine(value, time())


def _followed(turns: Iterator[datetime], budget: Iterator[int]) -> Iterator[datetime]:
    """The times of a rule. Raises InputError where a calendar has more of them than are followed."""
    for one in islice(turns, MOST_TURNS):
        if next(budget, None) is None:
            raise InputError("too-many", "text", "Too many repeated events: choose a smaller calendar.")
        yield _moment(one)


def _turns(event: Event, last: datetime, budget: Iterator[int]) -> Iterator[datetime]:
    """When an event begins by its rules, from its first time on and up to a moment, by its own clock: a rule may go on
    for ever. Raises ValueError for a rule that is none, InputError for too many of them."""
    start = event.start if isinstance(event.start, datetime) else datetime.combine(event.start, time())
    for rule in event.rrules:
        # A rule may end by another clock than it begins by, which is compared here.
        own = ";".join(part for part in rule.to_ical().decode().split(";") if not part.startswith("UNTIL="))
        until = _last(rule["UNTIL"][0]) if rule.get("UNTIL") else last
        ends = min(until, last)
        yield from takewhile(ends.__ge__, _followed(iter(rrulestr(own, dtstart=start)), budget))
    yield _moment(start)


def _last(until: date | datetime) -> datetime:
    """The last moment that is meant; a day alone is meant whole."""
    return _moment(until) if isinstance(until, datetime) else _moment(until) + DAY - timedelta(minutes=1)


def _begins(event: Event, apart: Collection[datetime], last: datetime, budget: Iterator[int]) -> Iterator[datetime]:
    """When an event begins: as often as it says, but for what is left out, and what is written `apart`."""
    left_out = {_moment(one) for one in event.exdates} | set(apart)
    extra = (_moment(one) for one, _ in event.rdates)
    yield from (one for one in dict.fromkeys(chain(extra, _turns(event, last, budget))) if one not in left_out)


def _events(calendar: Calendar, now: datetime) -> Iterator[Busy]:
    events = [event for event in calendar.events if event.get("dtstart") is not None]
    if len(events) > MOST_EVENTS:
        raise InputError("too-many", "text", f"More than {MOST_EVENTS} events: choose a smaller calendar.")
    last, budget = now + LOOKED_AHEAD, iter(range(MOST_IN_ALL))
    apart: dict[str, list[datetime]] = {}
    for event in events:
        if event.RECURRENCE_ID is not None:
            apart.setdefault(event.uid, []).append(_moment(event.RECURRENCE_ID))
    for event in events:
        length = _moment(event.end) - _moment(event.start)
        once = [_moment(event.start)] if event.RECURRENCE_ID is not None else None
        for begin in once or _begins(event, apart.get(event.uid, ()), last, budget):
            if begin + length > now and begin < last:
                yield begin, begin + length


def busy_times(text: str, now: datetime) -> tuple[Busy, ...]:
    """When a calendar says that its owner is busy, from now on for half a year: what is repeated counts each time, but
    where it is left out or moved. Raises InputError on "text" for what is no calendar."""
    try:
        calendar = Calendar.from_ical(text)
        return tuple(sorted(_events(calendar, now)))
    except InputError:
        raise
    except (ValueError, IndexError, KeyError, TypeError, AttributeError) as error:
        raise InputError(
            "not-a-calendar", "text", "This is not a calendar file. Choose one that ends in .ics."
        ) from error
