"""A thread dial as typed: the teeth of the wheel that the leadscrew turns, and its lines."""

from __future__ import annotations

from lathework.reader import Reader

BOTH = "Describe a thread dial by its gear teeth and its lines."


def check_dial(reader: Reader, teeth: float | None, lines: float | None, path: str = "") -> None:
    """Note where one of the two is missing: lines alone tell nothing. `teeth` and `lines`, bare numbers, are what was
    read at `path`, None or 0 for nothing."""
    fields = {f"{path}dial_teeth": teeth, f"{path}dial_lines": lines}
    missing = [field for field, value in fields.items() if not value]
    told = {error.field for error in reader.errors}
    if len(missing) == 1 and missing[0] not in told:
        reader.fail("empty", missing[0], BOTH)
