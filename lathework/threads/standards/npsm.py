"""Limits of NPSM, the American parallel pipe thread for free-fitting joints, as its table prints them."""

from __future__ import annotations

from functools import cache

from lathework.tables.loader import Row, Table, load
from lathework.threads.standards.bands import Band, ExternalLimits, InternalLimits, bound, exact
from lathework.threads.standards.rules import Rules
from lathework.threads.thread import Thread
from lathework.units import round_half_up

OUTSIDE, INSIDE = "2A", "2B"
"""The one class of each side: allowance and tolerances are those of B1.1 for nine pitches of engagement."""
_WORDS = "as the standard's table prints it"


@cache
def _table() -> tuple[Table, dict[str, Row]]:
    table = load("npsm")
    return table, {f"{row.text('size')}-{float(row.number('tpi')):g} NPSM": row for row in table.rows}


def tabulated(thread: Thread) -> bool:
    """Whether the table has limits of `thread`."""
    return thread.plain_name in _table()[1]


def _printed(thread: Thread, name: str, class_name: str, basic: float, column: str) -> Band:
    """A band between two columns of the table, in inches."""
    table, rows = _table()
    row = rows[thread.plain_name]
    least, greatest = row.number(f"{column}_min"), row.number(f"{column}_max")
    near = least - exact(basic) if class_name == INSIDE else exact(basic) - greatest
    return Band(
        name,
        class_name,
        thread.unit,
        basic,
        float(near),
        float(greatest - least),
        float(least),
        float(greatest),
        _WORDS,
        table.source,
        class_name == INSIDE,
    )


def external(thread: Thread, class_name: str, engagement: float | None) -> ExternalLimits | None:
    """Limits of the external thread, class 2A, inches; `engagement` plays no part. Source: ASME B1.20.1."""
    if class_name != OUTSIDE:
        return None
    pitch = _printed(thread, "pitch diameter", OUTSIDE, thread.pitch_diameter, "pitch")
    # As deep under its pitch diameter as the basic thread is: it must clear the least minor of the hole.
    deepest = round_half_up(pitch.maximum - (thread.pitch_diameter - thread.minor), 4)
    return ExternalLimits(
        class_name,
        _printed(thread, "major", OUTSIDE, thread.major, "major"),
        pitch,
        bound(thread, "minor, maximum", deepest, "basic minor − allowance", pitch.source, thread.minor),
    )


def internal(thread: Thread, class_name: str, engagement: float | None) -> InternalLimits | None:
    """Limits of the internal thread, class 2B, inches; `engagement` plays no part. Source: ASME B1.20.1."""
    if class_name != INSIDE:
        return None
    return InternalLimits(
        class_name,
        _printed(thread, "minor", INSIDE, thread.minor, "inner_minor"),
        _printed(thread, "pitch diameter", INSIDE, thread.pitch_diameter, "inner_pitch"),
        bound(thread, "major, minimum", thread.major, "basic major", _table()[0].source, thread.major),
    )


RULES = Rules(lambda _: (OUTSIDE,), lambda _: (INSIDE,), external, internal)
