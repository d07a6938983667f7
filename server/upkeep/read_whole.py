"""A shop read back from its zip, into a store that has nothing yet: all of it, or nothing."""

from __future__ import annotations

import io
import json
import zipfile
import zlib
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from typing import Any

from django.core.exceptions import ValidationError
from django.db import DataError, IntegrityError, transaction

from lathework.errors import InputError
from server.book.actions import keep
from server.instruments.corrections import put_back as put_correction_back
from server.jobs.actions.documents import AsItWas, import_job
from server.jobs.queries import jobs as every_job
from server.kit.actions import add, put_back
from server.kit.queries import stored_things
from server.upkeep.whole import FORMAT, FORMAT_VERSION, HEAD, KIT
from server.week.kept import put_week_back

LARGEST_BYTES = 500 * 2**20
"""What the members of a file may have together, unpacked: a small file can hold a huge one."""


_OTHER_SHAPE = (
    *(AttributeError, KeyError, IndexError, TypeError, ValueError, OverflowError, RecursionError),
    *(IntegrityError, DataError, ValidationError),
)
"""What reading and storing come to where a list is told for a text, an id twice, a number that no store holds."""


@dataclass(frozen=True, slots=True)
class Whole:
    """How many jobs and things were read, and the files of jobs that no version read: they stay in the zip alone."""

    jobs: int
    things: int
    unread: tuple[str, ...]


def _wrong(told: str) -> InputError:
    return InputError("wrong-format", "file", told)


def _member(file: zipfile.ZipFile, name: str) -> bytes:
    try:
        return file.read(name)
    except KeyError:
        raise _wrong(f"{name} is missing.") from None
    except (zipfile.BadZipFile, zlib.error, OSError, EOFError, RuntimeError):
        # Damaged, cut off, locked with a password, or packed in a way that is not known here.
        raise _wrong(f"{name} cannot be unpacked.") from None


def _json(file: zipfile.ZipFile, name: str) -> Any:
    content = _member(file, name)
    try:
        return json.loads(content)
    except (ValueError, RecursionError):
        raise _wrong(f"{name} cannot be read.") from None


def _opened(content: bytes) -> zipfile.ZipFile:
    try:
        file = zipfile.ZipFile(io.BytesIO(content))
    except (zipfile.BadZipFile, OSError, ValueError, RuntimeError):
        raise _wrong("This is not a valid zip file.") from None
    if sum(member.file_size for member in file.infolist()) > LARGEST_BYTES:
        raise _wrong(f"The zip holds more than {LARGEST_BYTES // 2**20} MB, the most that can be imported.")
    return file


def _moment(value: object, name: str) -> datetime | None:
    if value is None:
        return None
    try:
        moment = datetime.fromisoformat(str(value))
    except ValueError:
        raise _wrong(f"{name}: {value} is not a date and time.") from None
    if moment.tzinfo is None:
        raise _wrong(f"{name}: {value} has no time zone.")
    return moment


def _as_it_was(told: Mapping[str, Any]) -> AsItWas:
    moments = {
        name: _moment(told.get(name), str(told.get("file")))
        for name in ("created_at", "changed_at", "closed_at", "archived_at", "deleted_at")
    }
    number, revision = told.get("id"), told.get("revision")
    if not isinstance(number, int) or not isinstance(revision, int) or min(number, revision) < 1:
        raise _wrong(f"{told.get('file')}: id and revision are whole numbers from 1.")
    return AsItWas(id=number, revision=revision, **moments)


def _things(file: zipfile.ZipFile, head: Mapping[str, Any]) -> int:
    told = _json(file, KIT).get("things", [])
    add([(one["kind"], {key: value for key, value in one.items() if key != "kind"}) for one in told])
    names = set(file.namelist())
    for one in told:
        name = f"photographs/{one.get('id')}.jpg"
        photograph = _member(file, name) if name in names else None
        put_back(str(one.get("id")), _moment(head.get("retired", {}).get(one.get("id")), KIT), photograph)
    return len(told)


@transaction.atomic
def read_whole(content: bytes) -> Whole:
    """Read a shop into a store that has neither jobs nor things. Raises InputError on "file", or InvalidDocument."""
    if every_job().exists() or stored_things().exists():
        raise InputError("not-empty", "file", "This data folder is not empty. Import into an empty one with --data.")
    file = _opened(content)
    try:
        return _read(file, _json(file, HEAD))
    except _OTHER_SHAPE:
        # Members that are JSON of another shape than this program writes.
        raise _wrong("This zip was not exported by Conch.") from None


def _read(file: zipfile.ZipFile, head: Any) -> Whole:
    if not isinstance(head, dict) or head.get("format") != FORMAT or head.get("version") != FORMAT_VERSION:
        raise _wrong(f"{HEAD} must have “format”: “{FORMAT}” and “version”: {FORMAT_VERSION}.")
    things = _things(file, head)
    unread = [str(told["file"]) for told in head["jobs"] if told.get("unreadable")]
    jobs = [told for told in head["jobs"] if not told.get("unreadable")]
    for told in jobs:
        import_job(_json(file, told["file"]), was=_as_it_was(told))
    for designation in head.get("favourites", ()):
        keep(designation)
    for one in head.get("instruments", ()):
        put_correction_back({**one, "at": _moment(one["at"], HEAD)})
    put_week_back(head.get("week", {}))
    return Whole(len(jobs), things, tuple(unread))
