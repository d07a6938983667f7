"""ISO metric limits: the tables of ISO 965-1, and the formulas behind them for what the tables leave out."""

from __future__ import annotations

import re
from decimal import Decimal
from functools import cache

from lathework.figures import Source
from lathework.tables.loader import Row, load
from lathework.threads.standards.bands import ExternalLimits, InternalLimits, band, bound, exact
from lathework.threads.standards.rules import Rules
from lathework.threads.thread import Thread
from lathework.units import round_half_up

SOURCE = Source("standard", "ISO 965-1:2013, tables of tolerances and deviations")
FORMULAS = Source("standard", "ISO 965-1, the formulas behind the tables, rounded to the preferred numbers")
EXTERNAL = ("6g", "4h", "6h", "6e", "6f", "8g")
INTERNAL = ("6H", "4H", "5H", "7H", "6G")
NOT_TABULATED = "The tables of ISO 965-1 do not list this diameter and pitch: by the formulas behind them."
_CLASS = re.compile(r"^(?P<pitch>\d)(?P<position>[a-zA-Z])(?:(?P<crest>\d)(?P=position))?$", re.ASCII)
_FACTOR = {"3": 0.5, "4": 0.63, "5": 0.8, "6": 1.0, "7": 1.25, "8": 1.6, "9": 2.0}
_INTERNAL_FACTOR = {"4": 0.85, "5": 1.06, "6": 1.32, "7": 1.7, "8": 2.12}
_OUTSIDE = {"e": 50, "f": 30, "g": 15}
_R40 = (
    *(100, 106, 112, 118, 125, 132, 140, 150, 160, 170, 180, 190, 200, 212, 224, 236, 250, 265, 280, 300),
    *(315, 335, 355, 375, 400, 425, 450, 475, 500, 530, 560, 600, 630, 670, 710, 750, 800, 850, 900, 950, 1000),
)
_LONG, _SHORT = 6.7, 2.24
"""Bounds of the normal length of engagement, in P d^0.2 (ISO 965-1)."""


@cache
def _deviations() -> dict[tuple[float, str], str]:
    return {
        (float(row.number("pitch")), position): row.text(position)
        for row in load("metric_deviations").rows
        for position in "Gefg"
    }


@cache
def _crests() -> dict[float, Row]:
    return {float(row.number("pitch")): row for row in load("metric_crest_tolerances").rows}


@cache
def _pitches() -> dict[float, list[tuple[float, float, Row]]]:
    out: dict[float, list[tuple[float, float, Row]]] = {}
    for row in load("metric_pitch_tolerances").rows:
        span = (float(row.number("over")), float(row.number("up_to")), row)
        out.setdefault(float(row.number("pitch")), []).append(span)
    return out


def _pitch_row(thread: Thread) -> Row | None:
    rows = _pitches().get(thread.pitch, [])
    return next((row for over, up_to, row in rows if over < thread.major <= up_to), None)


def _preferred(micrometres: float) -> int:
    """The nearest preferred number of the R40 series."""
    scale = 1.0
    while micrometres * scale < 100:
        scale *= 10
    while micrometres * scale >= 1000:
        scale /= 10
    return round(min(_R40, key=lambda n: abs(n - micrometres * scale)) / scale)


def deviation(thread: Thread, position: str) -> tuple[int, bool] | None:
    """Fundamental deviation away from the basic profile in micrometres, and whether it is tabulated.

    None where the standard has none: positions e and f at fine pitches. Source: ISO 965-1.
    """
    if position in "hH":
        return 0, True
    cell = _deviations().get((thread.pitch, position))
    if cell is not None:
        return None if cell == "-" else (int(cell), True)
    if position in "ef" and thread.pitch < (0.5 if position == "e" else 0.35):
        return None
    return round(_OUTSIDE[position.replace("G", "g")] + 11 * thread.pitch), False


def _cell(row: Row | None, column: str) -> int | None:
    """A tabulated tolerance in micrometres; 0 where the table has a dash, None where it has no such row or column."""
    if row is None or column not in row.cells:
        return None
    text = row.text(column)
    return 0 if text == "-" else int(text)


def pitch_tolerance(thread: Thread, grade: str, *, internal: bool) -> tuple[int, bool] | None:
    """Tolerance of the pitch diameter in micrometres and whether it is tabulated; None for no such grade.

    Td2(6) = 90 P^0.4 d^0.1 (mm), grades by ISO 965-1; TD2 = 1.32 Td2 at grade 6.
    """
    factors = _INTERNAL_FACTOR if internal else _FACTOR
    if grade not in factors:
        return None
    row = _pitch_row(thread)
    if row is not None:
        found = _cell(row, f"{'internal' if internal else 'external'}_{grade}")
        return (found, True) if found else None
    return _preferred(90 * thread.pitch**0.4 * thread.major**0.1 * factors[grade]), False


def crest_tolerance(thread: Thread, grade: str, *, internal: bool) -> tuple[int, bool] | None:
    """Tolerance of the external major or internal minor in micrometres, whether tabulated; None for no such grade."""
    if grade not in ("45678" if internal else "468"):
        return None
    row = _crests().get(thread.pitch)
    if row is not None:
        found = _cell(row, f"{'internal' if internal else 'external'}_{grade}")
        return (found, True) if found else None
    p = thread.pitch
    if internal:
        six = 230 * p**0.7 if p >= 1 else 433 * p - 190 * p**1.22
    else:
        six = 180 * p ** (2 / 3) - 3.15 * p**-0.5
    return _preferred(six * _FACTOR[grade]), False


def _mm(micrometres: int) -> Decimal:
    return Decimal(micrometres) / 1000


def _parts(class_name: str, positions: str) -> tuple[str, str, str] | None:
    """Pitch grade, crest grade and position of a class such as 6g or 5g6g."""
    match = _CLASS.match(class_name)
    if match is None or match["position"] not in positions:
        return None
    return match["pitch"], match["crest"] or match["pitch"], match["position"]


def engagement_group(thread: Thread, engagement: float) -> str:
    """S, N or L: the group of a length of engagement in millimetres.

    N runs from 2.24 P d^0.2 to 6.7 P d^0.2. Source: ISO 965-1.
    """
    unit = thread.pitch * thread.major**0.2
    return "S" if engagement < _SHORT * unit else "L" if engagement > _LONG * unit else "N"


def _notes(thread: Thread, engagement: float | None, *tabulated: bool) -> tuple[str, ...]:
    out = () if all(tabulated) else (NOT_TABULATED,)
    if engagement is None:
        return out
    group = engagement_group(thread, engagement)
    advice = {"S": "a grade finer suits", "N": "the usual grade suits", "L": "a grade coarser suits"}[group]
    return (*out, f"Length of engagement in group {group}: {advice}; the tolerances themselves do not change.")


def external(thread: Thread, class_name: str, engagement: float | None) -> ExternalLimits | None:
    """Limits of an external metric thread, millimetres: a class such as 6g, or 5g6g with pitch and crest grades.

    `engagement` in millimetres only tells its group (S, N, L): the tolerances do not depend on it.
    """
    parts = _parts(class_name, "efgh")
    if parts is None:
        return None
    away, pitch, crest = (
        deviation(thread, parts[2]),
        pitch_tolerance(thread, parts[0], internal=False),
        crest_tolerance(thread, parts[1], internal=False),
    )
    if away is None or pitch is None or crest is None:
        return None
    es = _mm(away[0])
    return ExternalLimits(
        class_name=class_name,
        major=band(
            thread,
            "major",
            class_name,
            inside=False,
            basic=thread.major,
            allowance=es,
            tolerance=_mm(crest[0]),
            formula="max = d − es, min = max − Td",
            source=SOURCE if crest[1] else FORMULAS,
        ),
        pitch_diameter=band(
            thread,
            "pitch diameter",
            class_name,
            inside=False,
            basic=thread.pitch_diameter,
            allowance=es,
            tolerance=_mm(pitch[0]),
            formula="max = d2 − es, min = max − Td2",
            source=SOURCE if pitch[1] else FORMULAS,
        ),
        minor_max=bound(
            thread, "minor, maximum", round_half_up(exact(thread.minor) - es, 3), "d1 − es", SOURCE, thread.minor
        ),
        notes=_notes(thread, engagement, away[1], pitch[1], crest[1]),
    )


def internal(thread: Thread, class_name: str, engagement: float | None) -> InternalLimits | None:
    """Limits of an internal metric thread, millimetres: a class such as 6H, or 5H6H with pitch and crest grades.

    `engagement` in millimetres only tells its group (S, N, L): the tolerances do not depend on it.
    """
    parts = _parts(class_name, "GH")
    if parts is None:
        return None
    away, pitch, crest = (
        deviation(thread, parts[2]),
        pitch_tolerance(thread, parts[0], internal=True),
        crest_tolerance(thread, parts[1], internal=True),
    )
    if away is None or pitch is None or crest is None:
        return None
    ei = _mm(away[0])
    return InternalLimits(
        class_name=class_name,
        minor=band(
            thread,
            "minor",
            class_name,
            inside=True,
            basic=thread.minor,
            allowance=ei,
            tolerance=_mm(crest[0]),
            formula="min = D1 + EI, max = min + TD1",
            source=SOURCE if crest[1] else FORMULAS,
        ),
        pitch_diameter=band(
            thread,
            "pitch diameter",
            class_name,
            inside=True,
            basic=thread.pitch_diameter,
            allowance=ei,
            tolerance=_mm(pitch[0]),
            formula="min = D2 + EI, max = min + TD2",
            source=SOURCE if pitch[1] else FORMULAS,
        ),
        major_min=bound(
            thread, "major, minimum", round_half_up(exact(thread.major) + ei, 3), "D + EI", SOURCE, thread.major
        ),
        notes=_notes(thread, engagement, away[1], pitch[1], crest[1]),
    )


RULES = Rules(lambda _: EXTERNAL, lambda _: INTERNAL, external, internal)
