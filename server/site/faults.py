"""What SQLite says when the disk fails it, in words for who stands at the lathe."""

from __future__ import annotations

import sqlite3
from typing import NamedTuple

from django.db import DatabaseError

KEPT = "Nothing was stored; what you typed is still here."
_PRIMARY = 0xFF
"""The lower byte of an extended result code is the primary one (SQLite, "Result and Error Codes")."""


class Fault(NamedTuple):
    """The status of an answer, a code, and a sentence."""

    status: int
    code: str
    sentence: str


_FULL = Fault(507, "disk-full", "The disk that Conch keeps its store on is full. Make room on it.")
_SHUT = Fault(507, "read-only", "Conch may not write in the folder of its store. See to its rights.")
_BROKEN = Fault(507, "disk-fault", "The disk that Conch keeps its store on cannot be read or written.")
_DAMAGED = Fault(507, "damaged", "The store is damaged. Stop Conch, and put the last backup in its place.")
_BUSY = Fault(503, "busy", "Something else holds the store. Try again in a moment.")
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
