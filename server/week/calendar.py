"""The week as a calendar file (iCalendar, RFC 5545), and other calendars read: when somebody is away."""

from __future__ import annotations

from collections.abc import Iterator
from datetime import date, datetime, time, timedelta

from icalendar import Calendar, Event

from lathework.errors import InputError
from lathework.week.model import Order
from lathework.week.words import at, duration
from server.week.gather import Gathered

MOST_EVENTS, LOOKED_AHEAD = 5000, timedelta(days=180)
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


def _events(calendar: Calendar, now: datetime) -> Iterator[Busy]:
    for number, event in enumerate(calendar.events):
        if number >= MOST_EVENTS:
            raise InputError("too-many", "text", f"More than {MOST_EVENTS} events: choose a smaller calendar.")
        if event.get("dtstart") is None:
            continue
        begin = _moment(event.start)
        end = _moment(event.end)
        if end > now and begin < now + LOOKED_AHEAD:
            yield begin, end


def busy_times(text: str, now: datetime) -> tuple[Busy, ...]:
    """When a calendar says that its owner is busy, from now on for half a year; what is repeated counts once, as it is
    written. Raises InputError on "text" for what is no calendar."""
    try:
        calendar = Calendar.from_ical(text)
    except (ValueError, IndexError, KeyError) as error:
        raise InputError(
            "not-a-calendar", "text", "This is not a calendar file. Choose one that ends in .ics."
        ) from error
    return tuple(sorted(_events(calendar, now)))
