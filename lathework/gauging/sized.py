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


def judge_size(thread: Thread, bolt: ExternalLimits, found: Figure) -> Sized:
    """A pitch diameter that was `found` over wires, held against the class with its uncertainty.

    Passed where it is farther than 1.645 uncertainties inside both limits, failed where it is as far outside of one;
    between nothing can be said. Source: JCGM 106:2012, from memory.
    """
    band, spread = bolt.pitch_diameter, uncertainty(thread)
    size = convert(found.value, thread.unit, "mm")
    low, high = (convert(limit, band.unit, "mm") for limit in (band.minimum, band.maximum))
    law, kept = NormalDist(size, spread.value), GUARD * spread.value
    verdict: SizeVerdict = "size-near"
    if low + kept <= size <= high - kept:
        verdict = "size-in"
    elif size > high + kept:
        verdict = "size-large"
    elif size < low - kept:
        verdict = "size-small"
    chance = Figure(
        "in its class",
        100 * (law.cdf(high) - law.cdf(low)),
        "%",
        "50 × (erf((greatest − measured) ÷ (uncertainty × √(2))) − erf((least − measured) ÷ (uncertainty × √(2))))",
        GUARDED,
        (
            Given("greatest", high, "mm"),
            Given("least", low, "mm"),
            Given("measured", size, "mm"),
            Given("uncertainty", spread.value, "mm"),
        ),
        note="A measured size passes where it keeps 1.645 uncertainties from both limits.",
    )
    return Sized(verdict, found, spread, chance)
