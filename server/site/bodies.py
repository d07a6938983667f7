"""What a request may carry: JSON, not too much of it, and not too much in it; told before any of it is read."""

from __future__ import annotations

from collections.abc import Callable

from django.conf import settings
from django.http import HttpRequest, HttpResponse

from server.site.problems import problem

_SAFE = ("GET", "HEAD", "OPTIONS")
MOST_MARKS, OF_A_FILE = 60_000, 1_500_000
"""How many commas and colons a body may have: a job of every part and section has a fifth of them. What is made of each
while a document is read is a hundred times as large as the mark; files with a record are read field by field."""
_FILES = ("/api/jobs/import", "/api/kit", "/api/kit/read")


def stated_bytes(request: HttpRequest) -> int | None:
    """How long the body of a request is said to be, in bytes; None for what is no length."""
    length = request.headers.get("Content-Length") or "0"
    return int(length) if length.isascii() and length.isdigit() else None


class JsonBodies:
    """Refuses a request to the API whose body is no JSON, or larger than is kept."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        """Answer, or say at once why not."""
        if request.method in _SAFE or not request.path.startswith("/api/"):
            return self.get_response(request)
        length = stated_bytes(request)
        if length is None:
            return problem(400, "unreadable", "The length of the request is not a number.")
        if length > settings.DATA_UPLOAD_MAX_MEMORY_SIZE:
            most = settings.DATA_UPLOAD_MAX_MEMORY_SIZE // 2**20
            return problem(413, "too-large", f"A request may have at most {most} MiB.")
        if length and request.content_type != "application/json":
            return problem(415, "not-json", "The body of a request must be JSON.")
        most_marks = OF_A_FILE if request.path in _FILES else MOST_MARKS
        if length > most_marks and request.body.count(b",") + request.body.count(b":") > most_marks:
            return problem(413, "too-large", "This request holds more values than any valid request.")
        return self.get_response(request)
