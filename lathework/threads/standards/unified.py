"""Unified limits: ASME B1.1 formulas, rounded in the order that prints its tables.

Tolerances are taken to 6 decimals, limits to 4 with a half going to the even digit. The internal minor is printed to
3 decimals from #6 up (classes 1B, 2B). A few printed limits that no rule reproduces stand in a table of their own.
"""

from __future__ import annotations

from dataclasses import replace
from decimal import Decimal
from functools import cache

from lathework.figures import Answer, Source
from lathework.tables.loader import load
from lathework.threads.standards.bands import Band, ExternalLimits, InternalLimits, band, bound, exact
from lathework.threads.standards.rules import Rules
from lathework.threads.thread import Thread
from lathework.units import round_half_even, round_half_up

SOURCE = Source("standard", "ASME B1.1-2003, tolerance formulas")
PRINTED = Source("standard", "ASME B1.1-2003, limits of size, as printed")
EXTERNAL = {"2A": Decimal(1), "3A": Decimal("0.75"), "1A": Decimal("1.5")}
INTERNAL = {"2B": Decimal("1.3"), "3B": Decimal("0.975"), "1B": Decimal("1.95")}
TEXT_CLASS_1 = "The tables give classes 1A and 1B for UNC and UNF from 1/4 in only; these limits follow their formulas."
UNR_DEPTH = Decimal("1.190785")
"""Depth from the external major to the rounded root, in pitches on the diameter: 11/8 H."""
UN_DEPTH = Decimal("1.082532")
"""The same to the flat that a plain UN root may have: 5/4 H."""
FORMERLY_FINE = "1-14 UNS"
"""Once of the fine series: keeps one diameter of engagement."""
THREE_PLACES_FROM = 0.138
"""Inches (#6): from here up the internal minor of classes 1B and 2B prints with 3 decimals."""
QUARTER = 0.25
_OF_TD2 = "Td2 = 0.0015 d^(1/3) + 0.0015 LE^(1/2) + 0.015 P^(2/3)"


def engaged(thread: Thread) -> float:
    """Length of engagement the tables assume, inches: one diameter, or 9 pitches for UNEF, UNS and fine UN."""
    one_diameter = thread.series in ("UNC", "UNF") or thread.plain_name == FORMERLY_FINE
    coarse = thread.series == "UN" and thread.tpi is not None and thread.tpi <= 8
    return thread.major if one_diameter or coarse else 9 * thread.pitch


def _places(value: float | Decimal, places: int) -> Decimal:
    return exact(round_half_up(value, places))


def pitch_tolerance(thread: Thread, engagement: float | None = None) -> float:
    """Class 2A tolerance of the pitch diameter, inches; `engagement` in inches.

    Td2 = 0.0015 d^(1/3) + 0.0015 LE^(1/2) + 0.015 P^(2/3). Source: ASME B1.1.
    """
    length = engaged(thread) if engagement is None else engagement
    return float(0.0015 * thread.major ** (1 / 3) + 0.0015 * length**0.5 + 0.015 * thread.pitch ** (2 / 3))


def _share(thread: Thread, factor: Decimal, engagement: float | None) -> Decimal:
    return _places(exact(pitch_tolerance(thread, engagement)) * factor, 6)


def allowance(thread: Thread, class_name: str, engagement: float | None = None) -> Decimal:
    """Allowance 0.3 Td2 of classes 1A and 2A as the table prints it, inches; `engagement` in inches.

    The tolerance is taken to 5 decimals and a half goes to the even digit: so 5/8-11 gets its printed 0.0016.
    """
    if class_name == "3A":
        return Decimal(0)
    tolerance = _places(pitch_tolerance(thread, engagement), 5)
    return exact(round_half_even(tolerance * Decimal("0.3"), 4))


@cache
def _printed() -> dict[tuple[str, str, str], float]:
    return {
        (row.text("designation"), row.text("class"), row.text("limit")): float(row.number("printed"))
        for row in load("unified_printed").rows
    }


def _as_printed(thread: Thread, band: Band, name: str = "pitch") -> Band:
    """The band with a limit that the table prints otherwise than the formula rounds."""
    key = (thread.plain_name, band.class_name)
    least, greatest = _printed().get((*key, f"{name} min")), _printed().get((*key, f"{name} max"))
    if least is None and greatest is None:
        return band
    return Band(
        band.name,
        band.class_name,
        band.unit,
        band.basic,
        band.allowance,
        band.tolerance,
        band.minimum if least is None else least,
        band.maximum if greatest is None else greatest,
        f"{band.formula}; as the table prints it, which the formula misses by its last digit",
        PRINTED,
        band.inside,
    )


def _notes(thread: Thread, class_name: str) -> tuple[str, ...]:
    tabulated = thread.series in ("UNC", "UNF") and thread.major >= QUARTER
    return (TEXT_CLASS_1,) if class_name.startswith("1") and not tabulated else ()


def external(thread: Thread, class_name: str, engagement: float | None) -> ExternalLimits | None:
    """Limits of an external unified thread of class 1A, 2A or 3A, inches; `engagement` in inches."""
    factor = EXTERNAL.get(class_name)
    if factor is None:
        return None
    less = allowance(thread, class_name, engagement)
    share = Decimal("0.09") if class_name == "1A" else Decimal("0.06")
    crest = _places(float(share) * thread.pitch ** (2 / 3), 6)
    minor, flat = (
        round_half_up(exact(thread.major) - less - depth * exact(thread.pitch), 4) for depth in (UNR_DEPTH, UN_DEPTH)
    )
    pitch = band(
        thread,
        "pitch diameter",
        class_name,
        inside=False,
        basic=thread.pitch_diameter,
        allowance=less,
        tolerance=_share(thread, factor, engagement),
        rounding=round_half_even,
        source=SOURCE,
        formula=f"max = d2 − allowance, min = max − {factor} Td2; {_OF_TD2}; allowance 0.3 Td2",
    )
    return ExternalLimits(
        class_name=class_name,
        major=band(
            thread,
            "major",
            class_name,
            inside=False,
            basic=thread.major,
            allowance=less,
            tolerance=crest,
            rounding=round_half_even,
            formula=f"max = d − allowance, min = max − {share} P^(2/3); allowance 0.3 Td2; {_OF_TD2}",
            source=SOURCE,
        ),
        pitch_diameter=_as_printed(thread, pitch),
        minor_max=replace(
            bound(thread, "minor, maximum", minor, "d − allowance − 1.190785 P, rounded root", SOURCE, thread.minor),
            others=(Answer("flat root (UN)", flat, "in", "d − allowance − 1.082532 P: what a plain die may leave"),),
        ),
        notes=_notes(thread, class_name),
    )


def minor_tolerance(thread: Thread, class_name: str) -> tuple[float, str]:
    """Tolerance of the internal minor diameter, inches, and its formula.

    Source: ASME B1.1: 1B and 2B from 1/4 in 0.25 P - 0.4 P^2 (0.15 P under 4 tpi); below it, and for 3B, by the
    longer expression within its bounds.
    """
    p, d = thread.pitch, thread.major
    long = 0.05 * p ** (2 / 3) + 0.03 * p / d - 0.002
    usual = 0.25 * p - 0.4 * p * p if p <= QUARTER else 0.15 * p
    if class_name == "3B":
        least = 0.12 * p if p > 1 / 13 else 0.23 * p - 1.5 * p * p
        return min(max(long, least), 0.394 * p), "0.05 P^(2/3) + 0.03 P/d − 0.002, within its bounds"
    if d >= QUARTER:
        return usual, "0.25 P − 0.4 P²" if p <= QUARTER else "0.15 P"
    return max(min(long, 0.394 * p), usual), "0.05 P^(2/3) + 0.03 P/d − 0.002, within 0.25 P − 0.4 P² and 0.394 P"


def _minor(thread: Thread, class_name: str) -> Band:
    tolerance, formula = minor_tolerance(thread, class_name)
    to_three = thread.major >= THREE_PLACES_FROM

    def printed(value: Decimal) -> float:
        return round_half_up(exact(round_half_up(value, 4)), 3 if to_three else 4)

    top = exact(thread.minor) + _places(tolerance, 6)
    return Band(
        "minor",
        class_name,
        "in",
        thread.minor,
        0.0,
        tolerance,
        printed(exact(thread.minor)),
        round_half_up(top, 4) if class_name == "3B" else printed(top),
        f"min = d1, max = d1 + {formula}",
        SOURCE,
        inside=True,
    )


def internal(thread: Thread, class_name: str, engagement: float | None) -> InternalLimits | None:
    """Limits of an internal unified thread of class 1B, 2B or 3B, inches; `engagement` in inches."""
    factor = INTERNAL.get(class_name)
    if factor is None:
        return None
    pitch = band(
        thread,
        "pitch diameter",
        class_name,
        inside=True,
        basic=thread.pitch_diameter,
        allowance=Decimal(0),
        tolerance=_share(thread, factor, engagement),
        rounding=round_half_even,
        source=SOURCE,
        formula=f"min = D2, max = min + {factor} Td2; {_OF_TD2}",
    )
    return InternalLimits(
        class_name=class_name,
        minor=_as_printed(thread, _minor(thread, class_name), "minor"),
        pitch_diameter=_as_printed(thread, pitch),
        major_min=bound(
            thread, "major, minimum", round_half_even(thread.major, 4), "basic major", SOURCE, thread.major
        ),
        notes=_notes(thread, class_name),
    )


RULES = Rules(lambda _: tuple(EXTERNAL), lambda _: tuple(INTERNAL), external, internal)
