"""A thread that was measured, over wires or by a thread micrometer: its pitch diameter, how surely it is in its class,
what may be said of it."""

from __future__ import annotations

import math
from dataclasses import dataclass
from statistics import NormalDist

from lathework.figures import PRACTICE, Figure, Given, Source
from lathework.gauging.verdicts import SizeVerdict
from lathework.gauging.wires import LEAD_TERM, WIRES, lead_term
from lathework.threads.standards.bands import ExternalLimits
from lathework.threads.thread import Thread
from lathework.units import convert

MICROMETER_MM, WIRE_MM, ANVILS_MM = 0.004, 0.001, 0.007
"""Standard uncertainty of a micrometer that nobody said more of, of the diameter of a wire, and of the anvils of a
thread micrometer with their setting, in millimetres (practice)."""
GUARD = 1.645
"""Standard uncertainties that are kept from a limit: then a thread outside is passed once in twenty at most."""
_ONE = "One standard uncertainty: two thirds of all measurements are within it."
GUARDED = Source("memory", "JCGM 106:2012, guarded acceptance; chance by the normal law")


@dataclass(frozen=True, slots=True)
class ThreadSize:
    """A thread as it was measured over wires of `wire_mm`; by a thread micrometer where that is None.

    `within_mm` is the standard uncertainty of the micrometer, None where nobody said. In millimetres.
    """

    value_mm: float
    wire_mm: float | None = None
    within_mm: float | None = None


@dataclass(frozen=True, slots=True)
class Sized:
    """A measured thread: its pitch diameter, the uncertainty of that, the chance of its class; what it comes to, and
    where that is nothing what would tell."""

    verdict: SizeVerdict
    pitch_diameter: Figure
    uncertainty: Figure
    chance: Figure
    tells: str = ""


def pitch_diameter_under(thread: Thread, over: float, wire: float) -> Figure:
    """The pitch diameter of a thread that measures `over` wires of diameter `wire`, all in the thread's unit.

    M - W (1 + 1/sin(a/2)) + (P/2) cot(a/2) - (W/2) tan^2(lead angle) cos(a/2) cot(a/2), the lead angle that of the
    basic pitch diameter.
    """
    half = math.radians(thread.form.angle_deg / 2)
    return Figure(
        "pitch diameter, measured",
        over
        - wire * (1 + 1 / math.sin(half))
        + thread.pitch / 2 / math.tan(half)
        - lead_term(thread, wire, thread.pitch_diameter),
        thread.unit,
        f"over the wires − wire × (1 + 1 ÷ sin(a ÷ 2)) + pitch ÷ 2 × cot(a ÷ 2) − {LEAD_TERM}",
        WIRES,
        (
            Given("over the wires", over, thread.unit),
            Given("wire", wire, thread.unit),
            Given("pitch", thread.pitch, thread.unit),
            Given("lead", thread.lead, thread.unit),
            Given("pitch diameter", thread.pitch_diameter, thread.unit),
            Given("a", thread.form.angle_deg, "°"),
        ),
    )


def uncertainty(thread: Thread, micrometer_mm: float = MICROMETER_MM) -> Figure:
    """Standard uncertainty of a pitch diameter measured over wires, in mm: √(micrometer² + ((1 + 1/sin(a/2)) wire)²).

    `micrometer_mm` is that of the micrometer, in millimetres. Source: practice for what nobody said, the formula of the
    wires for how the two go together.
    """
    # A wire that is off lifts the micrometer by this much more: 3 times over in 60 degrees.
    share = 1 + 1 / math.sin(math.radians(thread.form.angle_deg / 2))
    return Figure(
        "its uncertainty",
        math.hypot(micrometer_mm, share * WIRE_MM),
        "mm",
        "√(micrometer² + ((1 + 1 ÷ sin(a ÷ 2)) × a wire)²)",
        PRACTICE,
        (
            Given("micrometer", micrometer_mm, "mm"),
            Given("a wire", WIRE_MM, "mm"),
            Given("a", thread.form.angle_deg, "°"),
        ),
        note=_ONE,
    )


def anvils_uncertainty(micrometer_mm: float = MICROMETER_MM) -> Figure:
    """Standard uncertainty of a pitch diameter by a thread micrometer of `micrometer_mm`, in mm: √(micrometer² +
    anvils²). Source: practice."""
    return Figure(
        "its uncertainty",
        math.hypot(micrometer_mm, ANVILS_MM),
        "mm",
        "√(micrometer² + anvils²)",
        PRACTICE,
        (Given("micrometer", micrometer_mm, "mm"), Given("anvils", ANVILS_MM, "mm")),
        note=_ONE,
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


def judge_size(thread: Thread, bolt: ExternalLimits, found: Figure, spread: Figure) -> Sized:
    """A pitch diameter that was `found`, held against the class with its uncertainty, the `spread` (mm).

    Passed where it is farther than 1.645 uncertainties inside both limits, failed where it is as far outside of one;
    between nothing can be said. Source: JCGM 106:2012, from memory.
    """
    band = bolt.pitch_diameter
    size = convert(found.value, thread.unit, "mm")
    low, high = (convert(limit, band.unit, "mm") for limit in (band.minimum, band.maximum))
    # Guarded acceptance (JCGM 106, 8.3): a thread is passed on what is sure, not on what is likely.
    kept = GUARD * spread.value
    verdict: SizeVerdict = "size-near"
    if low + kept <= size <= high - kept:
        verdict = "size-in"
    elif size > high + kept:
        verdict = "size-large"
    elif size < low - kept:
        verdict = "size-small"
    off = size - (low + high) / 2
    chance = class_chance("chance of being in class, by size", (high - low) / 2, off, spread.value, GUARDED)
    nearest = min(abs(size - low), abs(size - high))
    return Sized(verdict, found, spread, chance, _tells(thread, nearest, spread) if verdict == "size-near" else "")


def _tells(thread: Thread, nearest_mm: float, spread: Figure) -> str:
    """What would tell of a size that lies only `nearest_mm` from a limit (millimetres). Source: practice."""
    wires = uncertainty(thread).value
    if wires < spread.value and nearest_mm > GUARD * wires:
        return "Measure over three wires: they repeat better than anvils."
    return "Go and no-go rings would decide. Without them: leave a large thread and cut it again with the next setting."


def measured_size(thread: Thread, bolt: ExternalLimits, size: ThreadSize) -> Sized:
    """A thread as it was measured, held against the class of the `bolt`. Source: the formula of the wires; practice for
    uncertainties that nobody said."""
    over = convert(size.value_mm, "mm", thread.unit)
    micrometer = MICROMETER_MM if size.within_mm is None else size.within_mm
    if size.wire_mm is not None:
        found = pitch_diameter_under(thread, over, convert(size.wire_mm, "mm", thread.unit))
        return judge_size(thread, bolt, found, uncertainty(thread, micrometer))
    found = Figure("pitch diameter, measured", over, thread.unit, "reading, corrected", PRACTICE, kind="typed")
    return judge_size(thread, bolt, found, anvils_uncertainty(micrometer))
