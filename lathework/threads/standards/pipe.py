"""Limits of BSP threads: ISO 228-1 for G, ISO 7-1 for the parallel internal Rp."""

from __future__ import annotations

from decimal import Decimal
from functools import cache

from lathework.figures import Source
from lathework.tables.loader import Row, load
from lathework.threads.standards.bands import ExternalLimits, InternalLimits, band, bound, exact
from lathework.threads.standards.rules import Rules
from lathework.threads.thread import Thread
from lathework.units import round_half_up

SOURCE = Source("standard", "ISO 228-1:2000, tolerances of G threads")
SEALING_SOURCE = Source("standard", "ISO 7-1:1994, tolerance of Rp")
_COLUMNS = {"A": "pitch_tolerance_a", "B": "pitch_tolerance_b"}
ONE_CLASS = "G"
"""ISO 228-1 gives internal threads a single tolerance, without a letter."""


@cache
def _rows() -> dict[str, Row]:
    return {f"G{row.text('size')}": row for row in load("bsp_parallel").rows}


@cache
def _sealing() -> dict[str, Decimal]:
    return {f"Rp{row.text('size')}": row.number("internal_tolerance") for row in load("bsp_taper").rows}


def external(thread: Thread, class_name: str, engagement: float | None) -> ExternalLimits | None:
    """Limits of an external G thread of class A or B, millimetres; `engagement` plays no part."""
    column = _COLUMNS.get(class_name)
    if column is None:
        return None
    row = _rows()[thread.plain_name]
    return ExternalLimits(
        class_name=class_name,
        major=band(
            thread,
            "major",
            class_name,
            inside=False,
            basic=thread.major,
            allowance=Decimal(0),
            tolerance=row.number("major_tolerance"),
            formula="max = d, min = d − Td",
            source=SOURCE,
        ),
        pitch_diameter=band(
            thread,
            "pitch diameter",
            class_name,
            inside=False,
            basic=thread.pitch_diameter,
            allowance=Decimal(0),
            tolerance=row.number(column),
            formula="max = d2, min = d2 − Td2",
            source=SOURCE,
        ),
        minor_max=bound(thread, "minor, maximum", thread.minor, "basic minor", SOURCE, thread.minor),
    )


def internal(thread: Thread, class_name: str, engagement: float | None) -> InternalLimits | None:
    """Limits of an internal G thread, millimetres; `engagement` plays no part."""
    if class_name != ONE_CLASS:
        return None
    row = _rows()[thread.plain_name]
    return InternalLimits(
        class_name=class_name,
        minor=band(
            thread,
            "minor",
            class_name,
            inside=True,
            basic=thread.minor,
            allowance=Decimal(0),
            tolerance=row.number("internal_minor_tolerance"),
            formula="min = D1, max = D1 + TD1",
            source=SOURCE,
        ),
        pitch_diameter=band(
            thread,
            "pitch diameter",
            class_name,
            inside=True,
            basic=thread.pitch_diameter,
            allowance=Decimal(0),
            tolerance=row.number("pitch_tolerance_a"),
            formula="min = D2, max = D2 + TD2",
            source=SOURCE,
        ),
        major_min=bound(thread, "major, minimum", thread.major, "basic major", SOURCE, thread.major),
    )


def sealing(thread: Thread, class_name: str, engagement: float | None) -> InternalLimits | None:
    """Limits of an internal Rp thread, millimetres: basic, plus and minus one tolerance; `engagement` plays no part."""
    if class_name != "Rp":
        return None
    tolerance = _sealing()[thread.plain_name]
    words = "min = basic − T, max = basic + T"
    least = exact(thread.major) - tolerance
    return InternalLimits(
        class_name=class_name,
        minor=band(
            thread,
            "minor",
            class_name,
            inside=True,
            basic=thread.minor,
            allowance=-tolerance,
            tolerance=2 * tolerance,
            formula=words,
            source=SEALING_SOURCE,
        ),
        pitch_diameter=band(
            thread,
            "pitch diameter",
            class_name,
            inside=True,
            basic=thread.pitch_diameter,
            allowance=-tolerance,
            tolerance=2 * tolerance,
            formula=words,
            source=SEALING_SOURCE,
        ),
        major_min=bound(
            thread, "major, minimum", round_half_up(least, 3), "basic major − T", SEALING_SOURCE, thread.major
        ),
    )


PARALLEL = Rules(lambda _: tuple(_COLUMNS), lambda _: (ONE_CLASS,), external, internal)
SEALING = Rules(lambda _: (), lambda _: ("Rp",), None, sealing)
