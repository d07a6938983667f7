"""The log: find any job, reading, verdict, setting or note."""

from __future__ import annotations

from typing import Literal

from django.http import HttpRequest, HttpResponse
from ninja import Router
from ninja.params.functions import Query

from lathework.bench.entry import Kind
from lathework.job.declaration import MOST_OTHERS
from server.jobs.actions.guard import find_job
from server.jobs.answers import JobCard, job_card
from server.jobs.queries import standings
from server.jobs.standing import standing
from server.logbook.batch import BatchShown, batch_shown
from server.logbook.die_line import DieLine, die_line
from server.logbook.dies import DieDid, die_did
from server.logbook.lessons import LessonsPage, lessons_page
from server.logbook.meanwhile import Meanwhile, meanwhile
from server.logbook.outcome import JobOutcome, job_outcome
from server.logbook.search import LogPage, search
from server.site.problems import PROBLEMS, answer

router = Router(tags=["log"])
Shown = Literal["", "troubles"] | Kind
"""Entries of a kind; of all of them; or die settings and what went wrong."""
LATEST = 8
"""Jobs of a lathe that are told of."""


@router.get("/log", response={200: LogPage, **PROBLEMS})
def log(
    request: HttpRequest,
    q: str = Query("", max_length=100),
    kind: Shown = "",
    before: int = Query(2**62, ge=0, le=2**62),
) -> HttpResponse:
    """Entries that hold every word of `q`, newest first, a page at a time; the first page names the jobs too."""
    return answer(search(q, kind, before))


@router.get("/log/lessons", response=LessonsPage)
def lessons(request: HttpRequest) -> HttpResponse:
    """What was learned from what went wrong."""
    return answer(lessons_page())


@router.get("/log/dies", response={200: list[DieDid], **PROBLEMS})
def dies(
    request: HttpRequest, thread: str = Query("", max_length=120), die: str = Query("", max_length=16)
) -> HttpResponse:
    """What a die of the shop did last, by its id; or any die for `thread`, by its designation."""
    return answer(die_did(thread, die))


@router.get("/log/dies/line", response={200: DieLine | None, **PROBLEMS})
def line(request: HttpRequest, die: str = Query(..., min_length=1, max_length=16)) -> HttpResponse:
    """What a die of the shop is known to cut over its setting, by its id; null where it was never gauged."""
    return answer(die_line(die))


@router.get("/log/lathes", response={200: list[JobCard], **PROBLEMS})
def made_on(request: HttpRequest, lathe: str = Query(..., min_length=1, max_length=16)) -> HttpResponse:
    """The latest jobs on a lathe of the shop, by its id."""
    rows = standings().filter(job__document__setup__machine=lathe, job__deleted_at=None)
    return answer([job_card(row) for row in rows.order_by("-changed_at")[:LATEST]])


@router.get("/jobs/{job_id}/batch", response={200: BatchShown, **PROBLEMS})
def batch(request: HttpRequest, job_id: int, part: int = Query(1, ge=1, le=MOST_OTHERS + 1)) -> HttpResponse:
    """How the batch of a part of a job stands: sizes and threads from piece to piece, the bar, the card."""
    return answer(batch_shown(standing(find_job(job_id)), part))


@router.get("/jobs/{job_id}/meanwhile", response={200: Meanwhile, **PROBLEMS})
def since(
    request: HttpRequest, job_id: int, last: int = Query(ge=0, le=2**62), revision: int = Query(ge=0, le=2**31)
) -> HttpResponse:
    """What others did to a job since a screen showed it."""
    return answer(meanwhile(find_job(job_id), last, revision))


@router.get("/log/jobs/{job_id}", response={200: JobOutcome, **PROBLEMS})
def outcome(request: HttpRequest, job_id: int) -> HttpResponse:
    """What a job made, how its dies stood, what went wrong."""
    return answer(job_outcome(find_job(job_id)))
