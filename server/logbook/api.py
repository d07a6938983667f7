"""The log: find any job, reading, verdict, setting or note."""

from __future__ import annotations

from typing import Literal

from django.http import HttpRequest, HttpResponse
from ninja import Router, Schema
from ninja.params.functions import Query

from server.logbook.search import search
from server.site.problems import PROBLEMS, answer
from server.site.schemas import Shown

router = Router(tags=["log"], by_alias=True)
Kind = Literal[
    "", "reading", "verdict", "setting", "done", "accept", "scrap", "again", "note", "read",
    "zero-lost", "zero", "turn-to",
]  # fmt: skip


class LogEntry(Schema):
    """One thing recorded, with the job it belongs to; step, part, thread and aim are what they were then."""

    id: int
    job_id: int
    job: str
    thread: str
    part: str
    piece: int
    step: str
    kind: str
    what: str
    typed: str
    reading: Shown | None
    aim: Shown | None
    dialled: Shown | None
    said: str
    at: str


class LogJob(Schema):
    """A job that the search found, with what came of it."""

    id: int
    title: str
    thread: str
    material: str
    state: str
    quantity: int
    good: int
    scrapped: int
    outcome: str
    setting: str
    identified: str
    changed_at: str


class LogOut(Schema):
    """Jobs and entries found; `more` when there are older entries."""

    jobs: list[LogJob]
    entries: list[LogEntry]
    more: bool


@router.get("/log", response={200: LogOut, **PROBLEMS})
def log(
    request: HttpRequest,
    q: str = Query("", max_length=100),
    kind: Kind = "",
    before: int = Query(2**62, ge=0, le=2**62),
) -> HttpResponse:
    """Entries that hold every word of `q`, newest first, a page at a time; the first page names the jobs too."""
    return answer(search(q, kind, before))
