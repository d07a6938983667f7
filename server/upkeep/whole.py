"""Everything a shop has, as one zip of open formats: job files, the kit, photographs, readings."""

from __future__ import annotations

import io
import zipfile
from collections.abc import Iterator
from datetime import datetime
from typing import Any

import orjson

from lathework.shop.kit_file import kit_json
from server.book.actions import favourites
from server.instruments.corrections import kept_corrections
from server.jobs.file import job_file, raw_file
from server.jobs.history.readings import every_reading_csv
from server.jobs.queries import Job
from server.jobs.queries import jobs as every_job
from server.kit.queries import Thing, photographs, stored_things
from server.version import VERSION
from server.week.kept import week_json

FORMAT, FORMAT_VERSION = "conch-shop", 1
HEAD, KIT, READINGS, TOLD = "conch.json", "kit.json", "readings.csv", "README.txt"
_WHEN = (1980, 1, 1, 0, 0, 0)
"""The date of every member: the same shop makes the same file."""
_INDENTED = orjson.OPT_INDENT_2
_README = """A complete export of one shop from Conch, in open formats.

conch.json     job names, favourite threads, corrections of the instruments, the week
jobs/          one file per job, with all its records (docs/formats of Conch describes them)
kit.json       the items of the shop (a shop file)
photographs/   of things, by their id
readings.csv   everything recorded at the bench, for a spreadsheet

`./conch import FILE` loads all of it into an empty data folder.
"""


def _moment(value: datetime | None) -> str | None:
    return value.isoformat() if value else None


def _job_head(job: Job) -> dict[str, Any]:
    return {
        "id": job.pk,
        "file": job_name(job.pk),
        "unreadable": bool(job.row.unreadable),
        "revision": job.revision,
        "created_at": _moment(job.created_at),
        "changed_at": _moment(job.changed_at),
        "closed_at": _moment(job.closed_at),
        "archived_at": _moment(job.archived_at),
        "deleted_at": _moment(job.deleted_at),
    }


def job_name(number: int) -> str:
    """The member that holds a job.

    >>> job_name(7)
    'jobs/00007.json'
    """
    return f"jobs/{number:05d}.json"


def _head(jobs: list[Job], things: list[Thing]) -> dict[str, Any]:
    return {
        "format": FORMAT,
        "version": FORMAT_VERSION,
        "program": VERSION,
        "jobs": [_job_head(job) for job in jobs],
        "retired": {thing.ident: _moment(thing.retired_at) for thing in things if thing.retired_at},
        "favourites": favourites(),
        "week": week_json(),
        "instruments": [{**correction, "at": _moment(correction["at"])} for correction in kept_corrections()],
    }


def _members() -> Iterator[tuple[str, bytes]]:
    jobs = list(every_job())
    things = list(stored_things())
    yield TOLD, _README.encode()
    yield HEAD, orjson.dumps(_head(jobs, things), option=_INDENTED)
    yield KIT, orjson.dumps(kit_json((thing.kind, thing.document) for thing in things), option=_INDENTED)
    for job in jobs:
        told = raw_file(job) if job.row.unreadable else job_file(job)
        yield job_name(job.pk), orjson.dumps(told, option=_INDENTED)
    for photograph in photographs():
        yield f"photographs/{photograph.pk}.jpg", bytes(photograph.content)
    yield READINGS, every_reading_csv(jobs).encode()


def whole_shop() -> bytes:
    """The zip."""
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as file:
        for name, content in _members():
            file.writestr(zipfile.ZipInfo(name, _WHEN), content, zipfile.ZIP_DEFLATED)
    return out.getvalue()
