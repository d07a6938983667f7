"""A thread that was measured over wires: its pitch diameter, how surely it is in its class, what may be said of it."""

from __future__ import annotations

import math
from dataclasses import dataclass
from statistics import NormalDist

from lathework.figures import PRACTICE, Figure, Given, Source
from lathework.gauging.wires import WIRES, SizeVerdict
from lathework.threads.limits.bands import ExternalLimits
from lathework.threads.thread import Thread
from lathework.units import convert

MICROMETER_MM, WIRE_MM = 0.004, 0.001
"""Standard uncertainty of a micrometer over wires, and of the diameter of a wire, in millimetres (practice)."""
GUARD = 1.645
"""Standard uncertainties that are kept from a limit: then a thread outside is passed once in twenty at most."""
GUARDED = Source("memory", "JCGM 106:2012, guarded acceptance; chance by the normal law")


@dataclass(frozen=True, slots=True)
class Sized:
    """A measured thread: its pitch diameter, the uncertainty of that, the chance of its class; what it comes to."""

    verdict: SizeVerdict
    pitch_diameter: Figure
    uncertainty: Figure
    chance: Figure


def pitch_diameter_under(thread: Thread, over: float, wire: float) -> Figure:
    """The pitch diameter of a thread that measures `over` wires of diameter `wire`, all in the thread's unit.

    M - W (1 + 1/sin(a/2)) + (P/2) cot(a/2).
    """
    half = math.radians(thread.form.angle_deg / 2)
    return Figure(
        "pitch diameter, measured",
        over - wire * (1 + 1 / math.sin(half)) + thread.pitch / 2 / math.tan(half),
        thread.unit,
        "over the wires − wire × (1 + 1 ÷ sin(a ÷ 2)) + pitch ÷ 2 × cot(a ÷ 2)",
        WIRES,
        (
            Given("over the wires", over, thread.unit),
            Given("wire", wire, thread.unit),
            Given("pitch", thread.pitch, thread.unit),
            Given("a", thread.form.angle_deg, "°"),
        ),
    )


def uncertainty(thread: Thread) -> Figure:
    """Standard uncertainty of a pitch diameter measured over wires, in mm: √(micrometer² + ((1 + 1/sin(a/2)) wire)²).

    Source: practice for the two, the formula of the wires for how they go together.
    """
    share = 1 + 1 / math.sin(math.radians(thread.form.angle_deg / 2))
    return Figure(
        "its uncertainty",
        math.hypot(MICROMETER_MM, share * WIRE_MM),
        "mm",
        "√(micrometer² + ((1 + 1 ÷ sin(a ÷ 2)) × a wire)²)",
        PRACTICE,
        (
            Given("micrometer", MICROMETER_MM, "mm"),
            Given("a wire", WIRE_MM, "mm"),
            Given("a", thread.form.angle_deg, "°"),
        ),
        note="One standard uncertainty: two thirds of what is measured lie within it.",
    )


def class_chance(name: str, half_mm: float, off_mm: float, spread_mm: float, source: Source) -> Figure:
    """The chance that a pitch diameter is in its class, in per cent (unit %).

    It is believed `off_mm` from the middle of a class `half_mm` wide either way, with a standard deviation of
    `spread_mm`, all in millimetres. Source: the normal law.
    """
    law = NormalDist(off_mm, spread_mm)
    return Figure(
        name,
        100 * (law.cdf(half_mm) - law.cdf(-half_mm)),
        "%",
        "50 × (erf((half the class + off) ÷ (spread × √(2))) + erf((half the class − off) ÷ (spread × √(2))))",
        source,
        (Given("half the class", half_mm, "mm"), Given("off", off_mm, "mm"), Given("spread", spread_mm, "mm")),
        note="Off and spread are of the pitch diameter, from the middle of its class.",
    )


def judge_size(thread: Thread, bolt: ExternalLimits, found: Figure) -> Sized:
    """A pitch diameter that was `found` over wires, held against the class with its uncertainty.

    Passed where it is farther than 1.645 uncertainties inside both limits, failed where it is as far outside of one;
    between nothing can be said. Source: JCGM 106:2012, from memory.
    """
    band, spread = bolt.pitch_diameter, uncertainty(thread)
    size = convert(found.value, thread.unit, "mm")
    low, high = (convert(limit, band.unit, "mm") for limit in (band.minimum, band.maximum))
    kept = GUARD * spread.value
    verdict: SizeVerdict = "size-near"
    if low + kept <= size <= high - kept:
        verdict = "size-in"
    elif size > high + kept:
        verdict = "size-large"
    elif size < low - kept:
        verdict = "size-small"
    off = size - (low + high) / 2
    return Sized(verdict, found, spread, class_chance("in its class", (high - low) / 2, off, spread.value, GUARDED))
