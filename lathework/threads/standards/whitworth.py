"""Limits of Whitworth-form threads: the tolerance formulas of BS 84."""

from __future__ import annotations

from decimal import Decimal

from lathework.figures import Source
from lathework.threads.standards.bands import ExternalLimits, InternalLimits, band, bound, exact
from lathework.threads.standards.rules import Rules
from lathework.threads.thread import Thread
from lathework.units import round_half_even, round_half_up

SOURCE = Source("standard", "BS 84:1956, tolerance formulas and allowances")
TWO_THIRDS = Decimal(2) / 3
EXTERNAL = {"medium": Decimal(1), "close": TWO_THIRDS, "free": Decimal("1.5")}
INTERNAL = {"medium": Decimal(1), "close": TWO_THIRDS, "normal": Decimal("1.5")}
WITH_ALLOWANCE = ("medium", "free")
LARGEST_WITH_ALLOWANCE, SMALLEST_OWN_ALLOWANCE = 0.75, 0.25
"""Inches: an allowance stands from 3/4 in down; below 1/4 in it is that of the 1/4 in size."""
_QUARTER_INCH_TPI = {"BSW": 20.0, "BSF": 26.0}
NO_STANDARD = "No standard gives limits for this thread: these limits follow the formulas of BS 84."
_OF_T = "T = 0.002 D^(1/3) + 0.003 L^(1/2) + 0.005 P^(1/2)"


def _tolerance(diameter: float, pitch: float, length: float) -> float:
    return float(0.002 * diameter ** (1 / 3) + 0.003 * length**0.5 + 0.005 * pitch**0.5)


def effective_tolerance(thread: Thread, engagement: float | None = None) -> float:
    """Medium-class tolerance T of the effective diameter, inches; `engagement` in inches, one diameter by default.

    T = 0.002 D^(1/3) + 0.003 L^(1/2) + 0.005 P^(1/2). Source: BS 84.
    """
    return _tolerance(thread.major, thread.pitch, thread.major if engagement is None else engagement)


def allowance(thread: Thread, class_name: str) -> Decimal:
    """Allowance of medium and free bolts up to 3/4 in, inches to 4 decimals: 0.3 of the medium tolerance.

    Source: BS 84.
    """
    if class_name not in WITH_ALLOWANCE or thread.major > LARGEST_WITH_ALLOWANCE:
        return Decimal(0)
    diameter, pitch = thread.major, thread.pitch
    if diameter < SMALLEST_OWN_ALLOWANCE:
        diameter, pitch = SMALLEST_OWN_ALLOWANCE, 1 / _QUARTER_INCH_TPI.get(thread.series, 1 / pitch)
    return exact(round_half_up(0.3 * _tolerance(diameter, pitch, diameter), 4))


def _notes(thread: Thread) -> tuple[str, ...]:
    return () if thread.series in ("BSW", "BSF") else (NO_STANDARD,)


def _major(thread: Thread) -> float:
    return round_half_even(thread.major, 4)


def external(thread: Thread, class_name: str, engagement: float | None) -> ExternalLimits | None:
    """Limits of a bolt, inches: close, medium or free; `engagement` in inches."""
    factor = EXTERNAL.get(class_name)
    if factor is None:
        return None
    less = allowance(thread, class_name)
    effective = exact(effective_tolerance(thread, engagement)) * factor
    words = {"medium": "T", "close": "2/3 T", "free": "3/2 T"}[class_name]
    less_words = "; allowance 0.3 T" if less else ""
    return ExternalLimits(
        class_name=class_name,
        major=band(
            thread,
            "major",
            class_name,
            inside=False,
            basic=_major(thread),
            allowance=less,
            tolerance=effective + exact(0.01 * thread.pitch**0.5),
            formula=f"max = d − allowance, min = max − ({words} + 0.01 P^(1/2)); {_OF_T}{less_words}",
            source=SOURCE,
        ),
        pitch_diameter=band(
            thread,
            "pitch diameter",
            class_name,
            inside=False,
            basic=thread.pitch_diameter,
            allowance=less,
            tolerance=effective,
            formula=f"max = d2 − allowance, min = max − {words}; {_OF_T}{less_words}",
            source=SOURCE,
        ),
        minor_max=bound(
            thread,
            "minor, maximum",
            round_half_up(exact(thread.minor) - less, 4),
            "d1 − allowance",
            SOURCE,
            thread.minor,
        ),
        notes=_notes(thread),
    )


def minor_tolerance(thread: Thread) -> tuple[float, str]:
    """Tolerance of a nut's minor diameter, inches, and its formula. Source: BS 84."""
    tpi = thread.tpi if thread.tpi is not None else 1 / thread.pitch
    constant = 0.004 if tpi >= 26 else 0.005 if tpi >= 22 else 0.007
    return 0.2 * thread.pitch + constant, f"0.2 P + {constant}"


def internal(thread: Thread, class_name: str, engagement: float | None) -> InternalLimits | None:
    """Limits of a nut, inches: close, medium or normal; `engagement` in inches."""
    factor = INTERNAL.get(class_name)
    if factor is None:
        return None
    words = {"medium": "T", "close": "2/3 T", "normal": "3/2 T"}[class_name]
    minor, formula = minor_tolerance(thread)
    return InternalLimits(
        class_name=class_name,
        minor=band(
            thread,
            "minor",
            class_name,
            inside=True,
            basic=thread.minor,
            allowance=Decimal(0),
            tolerance=exact(minor),
            formula=f"min = D1, max = D1 + {formula}",
            source=SOURCE,
        ),
        pitch_diameter=band(
            thread,
            "pitch diameter",
            class_name,
            inside=True,
            basic=thread.pitch_diameter,
            allowance=Decimal(0),
            tolerance=exact(effective_tolerance(thread, engagement)) * factor,
            formula=f"min = D2, max = D2 + {words}; {_OF_T}",
            source=SOURCE,
        ),
        major_min=bound(thread, "major, minimum", _major(thread), "basic major", SOURCE, thread.major),
        notes=_notes(thread),
    )


RULES = Rules(lambda _: tuple(EXTERNAL), lambda _: tuple(INTERNAL), external, internal)
