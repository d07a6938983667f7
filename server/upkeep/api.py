"""How the store stands, and everything as one file."""

from __future__ import annotations

from datetime import datetime

from django.http import HttpRequest, HttpResponse
from ninja import Router

from lathework.answers.declared_answer import answer as declared
from server.devices.known import hosts
from server.site.files import file_answer, file_in_schema
from server.site.problems import PROBLEMS, answer
from server.upkeep.health import Finding, health, size_words
from server.upkeep.whole import whole_shop

router = Router(tags=["upkeep"])


@declared
class HealthShown:
    """The program's version; where the store is, its size and what is free, as a person reads it; how much is in it;
    when it was copied last, null where never; what was looked at."""

    version: str
    folder: str
    store: str
    free: str
    jobs: int
    entries: int
    things: int
    last_copy: str | None
    copies: int
    findings: tuple[Finding, ...]


@router.get("/health", response={200: HealthShown, **PROBLEMS}, auth=hosts)
def read_health(request: HttpRequest) -> HttpResponse:
    """How the store stands."""
    now = health(datetime.now())
    return answer(
        HealthShown(
            version=now.version,
            folder=now.folder,
            store=size_words(now.store_bytes),
            free=size_words(now.free_bytes),
            jobs=now.jobs,
            entries=now.entries,
            things=now.things,
            last_copy=now.last_copy.astimezone().isoformat() if now.last_copy else None,
            copies=now.copies,
            findings=now.findings,
        )
    )


@router.get("/everything.zip", response=PROBLEMS, openapi_extra=file_in_schema("application/zip"), auth=hosts)
def everything(request: HttpRequest) -> HttpResponse:
    """Everything the shop has, in open formats."""
    return file_answer(whole_shop(), "conch-shop.zip", "application/zip")
