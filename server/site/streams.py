"""Server-Sent Events: a stream holds a thread for as long as somebody listens, so there are only so many."""

from __future__ import annotations

import threading
from collections.abc import Iterator

import orjson
from django.http import StreamingHttpResponse


class Stream:
    """Events until nobody listens. It gives its place up when it is closed, also unheard."""

    def __init__(self, events: Iterator[bytes], places: threading.Semaphore) -> None:
        self._events, self._places, self._held = events, places, True

    def __iter__(self) -> Iterator[bytes]:
        """The events, as they happen."""
        return self._events

    def close(self) -> None:
        """Nobody listens any more."""
        if self._held:
            self._held = False
            self._places.release()


def stream(events: Iterator[bytes], places: threading.Semaphore) -> StreamingHttpResponse | None:
    """An answer that streams events; None where all places are taken."""
    if not places.acquire(blocking=False):
        return None
    told = StreamingHttpResponse(Stream(events, places), content_type="text/event-stream")
    told["Cache-Control"] = "no-store"
    return told


def event(kind: str, told: object) -> bytes:
    """An event of a name, with what it tells as JSON."""
    return b"event: " + kind.encode() + b"\ndata: " + orjson.dumps(told) + b"\n\n"
