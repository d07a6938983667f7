"""What SQLite says when the disk fails it, in words for who stands at the lathe."""

from __future__ import annotations

import sqlite3
from typing import NamedTuple

from django.db import DatabaseError

KEPT = "Nothing was saved. What you typed is still here."
_PRIMARY = 0xFF
"""The lower byte of an extended result code is the primary one (SQLite, "Result and Error Codes")."""


class Fault(NamedTuple):
    """The status of an answer, a code, and a sentence."""

    status: int
    code: str
    sentence: str


_FULL = Fault(507, "disk-full", "The disk is full. Free some space, then try again.")
_SHUT = Fault(507, "read-only", "Conch may not write to its data folder. Check the folder's permissions.")
_BROKEN = Fault(507, "disk-fault", "The disk with Conch's data has a fault. Check the disk.")
_DAMAGED = Fault(507, "damaged", "The data is damaged. Stop Conch and restore the latest backup.")
_BUSY = Fault(503, "busy", "The data is in use. Try again in a moment.")
_TOLD = {
    sqlite3.SQLITE_FULL: _FULL,
    sqlite3.SQLITE_READONLY: _SHUT,
    sqlite3.SQLITE_CANTOPEN: _SHUT,
    sqlite3.SQLITE_IOERR: _BROKEN,
    sqlite3.SQLITE_CORRUPT: _DAMAGED,
    sqlite3.SQLITE_NOTADB: _DAMAGED,
    sqlite3.SQLITE_BUSY: _BUSY,
}


def fault_of(error: DatabaseError) -> Fault | None:
    """What went wrong with the store; None where that is the program's own doing."""
    code = getattr(error.__cause__, "sqlite_errorcode", None)
    return _TOLD.get(code & _PRIMARY) if code is not None else None
