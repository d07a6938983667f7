"""The stream of what changed."""

from __future__ import annotations

from collections.abc import Callable, Iterator

from django.http import HttpRequest, StreamingHttpResponse
from ninja import Router

from lathework.answers.declared_answer import answer as declared
from lathework.errors import InputError
from server.devices.known import let_in, looks, who
from server.site.news import NEWS, Topic
from server.site.problems import PROBLEMS, Refused
from server.site.streams import Places, event, stream

router = Router(tags=["news"])
BEAT_S = 5.0
"""How often a stream says that it lives, and looks whether its device is still known, in seconds."""
MOST_STREAMS = 32
_PLACES = Places(MOST_STREAMS)
_STREAMED = {
    200: {
        "description": "Events named change, each with a change as its data",
        "content": {"text/event-stream": {"schema": {"$ref": "#/components/schemas/ChangeShown"}}},
    }
}


@declared
class ChangeShown:
    """What changed; `job` is its number, 0 where it is no job; `key` is that of the act: whoever did it knows it."""

    topic: Topic
    job: int
    key: str


def _events(still: Callable[[], bool]) -> Iterator[bytes]:
    """What changes from now on; a comment now and then, by which a dead connection is found."""
    seen = NEWS.newest()
    yield b": here\n\n"
    while not NEWS.closed and still():
        for change in NEWS.wait(seen, BEAT_S):
            seen = change.number
            yield event("change", ChangeShown(change.topic, change.job, change.key))
        yield b": \n\n"


@router.get("/news", response={200: ChangeShown, **PROBLEMS}, openapi_extra={"responses": _STREAMED}, auth=looks)
def news(request: HttpRequest) -> StreamingHttpResponse:
    """What changes in the shop, as Server-Sent Events, from now on."""
    told = stream(_events(lambda: who(request) is not None), _PLACES, let_in(request).ident)
    if told is None:
        raise Refused(InputError("too-many", "news", "Too many pages are open. Close one first."))
    return told
