"""Server-Sent Events: a stream holds a thread for as long as somebody listens, so there are only so many."""

from __future__ import annotations

import threading
from collections import Counter
from collections.abc import Iterator

import orjson
from django.http import StreamingHttpResponse

HOST = ""
"""Who listens on the machine that serves; a device by its id."""
MOST_OF_ONE, KEPT_FOR_HOST = 6, 8
"""Streams of one device at a time; and those that no device takes from the machine that serves."""


class Places:
    """So many streams at a time."""

    def __init__(self, most: int) -> None:
        self._most, self._lock = most, threading.Lock()
        self._taken: Counter[str] = Counter()

    def take(self, who: str) -> bool:
        """A place for a device, if there is one."""
        with self._lock:
            devices = self._taken.total() - self._taken[HOST]
            full = who != HOST and (self._taken[who] >= MOST_OF_ONE or devices >= self._most - KEPT_FOR_HOST)
            if full or self._taken.total() >= self._most:
                return False
            self._taken[who] += 1
            return True

    def leave(self, who: str) -> None:
        """A place of a device is free again."""
        with self._lock:
            self._taken[who] -= 1


class Stream:
    """Events until nobody listens. It gives its place up when it is closed, also unheard."""

    def __init__(self, events: Iterator[bytes], places: Places, who: str) -> None:
        self._events, self._places, self._who, self._held = events, places, who, True

    def __iter__(self) -> Iterator[bytes]:
        """The events, as they happen."""
        return self._events

    def close(self) -> None:
        """Nobody listens any more."""
        if self._held:
            self._held = False
            self._places.leave(self._who)


def stream(events: Iterator[bytes], places: Places, who: str) -> StreamingHttpResponse | None:
    """An answer that streams events to a device, by its id; None where all places are taken, or all of its own."""
    if not places.take(who):
        return None
    told = StreamingHttpResponse(Stream(events, places, who), content_type="text/event-stream")
    told["Cache-Control"] = "no-store"
    return told


def event(kind: str, told: object) -> bytes:
    """An event of a name, with what it tells as JSON."""
    return b"event: " + kind.encode() + b"\ndata: " + orjson.dumps(told) + b"\n\n"
