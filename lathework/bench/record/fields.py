"""Single values of a record that came in a file, each read or refused with its field."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from datetime import datetime
from typing import Any

from lathework.bench.record.declaration import LONGEST_WORD
from lathework.errors import InputError
from lathework.reader import UNSTORABLE, storable

FIRST_YEAR, LAST_YEAR = 1900, 2200
"""Years in which something may have been recorded."""


def line_of(source: Mapping[str, Any], key: str, field: str, longest: int) -> str:
    """A text of at most `longest` characters (a count); missing is empty. Raises InputError on `field`."""
    value = source.get(key, "")
    if not isinstance(value, str) or len(value) > longest:
        raise InputError("wrong-type", f"{field}.{key}", f"{key} must be text of at most {longest} characters.")
    if not storable(value):
        raise InputError("unreadable", f"{field}.{key}", UNSTORABLE)
    return value


def number_of(source: Mapping[str, Any], key: str, field: str) -> float | None:
    """A finite number, or None where there is none. Raises InputError on `field`."""
    value = source.get(key)
    if value is None:
        return None
    # In this order: a whole number of any length compares, none of 309 digits becomes a float; and no NaN is less.
    if isinstance(value, bool) or not isinstance(value, int | float) or not abs(value) <= 1e6:
        raise InputError("not-a-number", f"{field}.{key}", f"{key} must be a finite number.")
    return float(value)


def count_of(source: Mapping[str, Any], key: str, field: str, most: int, usual: int | None = None) -> int:
    """A whole number from 0 to `most` (counts), `usual` where there is none. Raises InputError on `field`."""
    value = source.get(key, usual)
    if isinstance(value, bool) or not isinstance(value, int) or not 0 <= value <= most:
        raise InputError("not-a-count", f"{field}.{key}", f"{key} must be a whole number up to {most}.")
    return value


def truth_of(source: Mapping[str, Any], key: str, field: str) -> bool:
    """True or false, false where it is missing. Raises InputError on `field`."""
    value = source.get(key, False)
    if not isinstance(value, bool):
        raise InputError("wrong-type", f"{field}.{key}", f"{key} is true or false.")
    return value


def moment_of(source: Mapping[str, Any], field: str) -> datetime:
    """When an entry was made, with its time zone. Raises InputError on `field`."""
    try:
        at = datetime.fromisoformat(line_of(source, "at", field, LONGEST_WORD))
    except ValueError:
        at = datetime.min
    if at.tzinfo is None:
        raise InputError("not-a-date", f"{field}.at", "at must be a date and time with its zone (ISO 8601).")
    if not FIRST_YEAR <= at.year < LAST_YEAR:
        raise InputError("not-a-date", f"{field}.at", f"at must lie between {FIRST_YEAR} and {LAST_YEAR}.")
    return at


def object_of(value: object, keys: Sequence[str], field: str, what: str) -> Mapping[str, Any]:
    """An object of known `keys`, called `what` in the error. Raises InputError on `field`."""
    if not isinstance(value, Mapping):
        raise InputError("wrong-type", field, f"{what} is an object.")
    unknown = next((key for key in value if key not in keys), None)
    if unknown is not None:
        told = str(unknown)[:40].encode("utf-8", "replace").decode("utf-8")
        raise InputError("unknown-field", f"{field}.{told}", "This field does not exist.", tuple(keys))
    return value
