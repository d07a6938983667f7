"""Limits of BA threads: the tolerance formulas of BS 93."""

from __future__ import annotations

from decimal import Decimal

from lathework.figures import Source
from lathework.threads.standards.bands import ExternalLimits, InternalLimits, band, bound, exact
from lathework.threads.standards.rules import Rules
from lathework.threads.thread import Thread
from lathework.units import round_half_up

SOURCE = Source("memory", "BS 93:1951 tolerance formulas")
LARGEST_CLOSE = 10
"""Close class, and the allowance of the normal class, end with 10 BA."""
NORMAL_ALLOWANCE = Decimal("0.025")


def number(thread: Thread) -> int:
    """The BA number, 0 to 16."""
    return int(thread.designation.split()[0])


def external_names(thread: Thread) -> tuple[str, ...]:
    """Normal; close as well from 0 to 10 BA."""
    return ("normal", "close") if number(thread) <= LARGEST_CLOSE else ("normal",)


def external(thread: Thread, class_name: str, engagement: float | None) -> ExternalLimits | None:
    """Limits of a BA bolt, millimetres: close (0 to 10 BA) or normal; `engagement` plays no part."""
    if class_name not in external_names(thread):
        return None
    large, pitch = number(thread) <= LARGEST_CLOSE, exact(thread.pitch)
    if class_name == "close":
        less, crest, share, constant = Decimal(0), Decimal("0.15"), Decimal("0.08"), Decimal("0.02")
    else:
        less = NORMAL_ALLOWANCE if large else Decimal(0)
        crest, share, constant = Decimal("0.20") if large else Decimal("0.25"), Decimal("0.10"), Decimal("0.025")
    return ExternalLimits(
        class_name=class_name,
        major=band(
            thread,
            "major",
            class_name,
            inside=False,
            basic=thread.major,
            allowance=less,
            tolerance=crest * pitch,
            formula=f"max = d − allowance, min = max − {crest} P",
            source=SOURCE,
        ),
        pitch_diameter=band(
            thread,
            "pitch diameter",
            class_name,
            inside=False,
            basic=thread.pitch_diameter,
            allowance=less,
            tolerance=share * pitch + constant,
            source=SOURCE,
            formula=f"max = d2 − allowance, min = max − ({share} P + {constant})",
        ),
        minor_max=bound(
            thread,
            "minor, maximum",
            round_half_up(exact(thread.minor) - less, 3),
            "d1 − allowance",
            SOURCE,
            thread.minor,
        ),
    )


def internal(thread: Thread, class_name: str, engagement: float | None) -> InternalLimits | None:
    """Limits of a BA nut, millimetres; `engagement` plays no part."""
    if class_name != "normal":
        return None
    pitch = exact(thread.pitch)
    return InternalLimits(
        class_name=class_name,
        minor=band(
            thread,
            "minor",
            class_name,
            inside=True,
            basic=thread.minor,
            allowance=Decimal(0),
            tolerance=Decimal("0.375") * pitch,
            formula="min = D1, max = D1 + 0.375 P",
            source=SOURCE,
        ),
        pitch_diameter=band(
            thread,
            "pitch diameter",
            class_name,
            inside=True,
            basic=thread.pitch_diameter,
            allowance=Decimal(0),
            tolerance=Decimal("0.12") * pitch + Decimal("0.03"),
            formula="min = D2, max = D2 + 0.12 P + 0.03",
            source=SOURCE,
        ),
        major_min=bound(thread, "major, minimum", thread.major, "basic major", SOURCE, thread.major),
    )


RULES = Rules(external_names, lambda _: ("normal",), external, internal)
