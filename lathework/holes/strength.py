"""Strength of a thread in its hole: shear areas, and the engagement at which the bolt breaks before a thread strips."""

from __future__ import annotations

import math
from dataclasses import dataclass

from lathework.cutting.groove import stress_area
from lathework.figures import Figure, Given, Source
from lathework.threads.standards.bands import ExternalLimits, InternalLimits
from lathework.threads.thread import Thread
from lathework.units import AREAS_PER_LENGTH, convert

SHEAR = Source("standard", "FED-STD-H28/2B and ASME B1.1 appendix B, thread shear areas")
SHEAR_SHARE = 0.5
"""Shear strength over tensile strength that the standard's length of engagement assumes."""


@dataclass(frozen=True, slots=True)
class Strip:
    """Where a pair of threads gives way: shear areas a unit of length, and the engagement that breaks the bolt first.

    Areas are the thread's unit squared for each unit of length; `engagement` is in the thread's unit, `breaks` in kN.
    """

    external: Figure
    internal: Figure
    engagement: Figure
    breaks: Figure
    weaker: str


def _tan(thread: Thread) -> float:
    return math.tan(math.radians(thread.form.angle_deg / 2))


def external_shear(thread: Thread, limits: ExternalLimits, hole: float) -> Figure:
    """Shear area of the external thread, a unit of length, against a nut bored to `hole` (the thread's unit).

    pi/P x Kn [P/2 + tan(a/2) (Es min - Kn)], Kn the nut's minor diameter. Source: FED-STD-H28/2B.
    """
    least = limits.pitch_diameter.minimum
    value = math.pi / thread.pitch * hole * (thread.pitch / 2 + _tan(thread) * (least - hole))
    return Figure(
        "shear area of the bolt's thread",
        # A hole wider than the pitch line leaves the bolt nothing to shear: none, not less than none.
        max(0.0, value),
        AREAS_PER_LENGTH[thread.unit],
        "largest of (0, π ÷ pitch × hole × (pitch ÷ 2 + tan(flank angle ÷ 2) × (minimum pitch diameter − hole)))",
        SHEAR,
        (
            Given("hole", hole, thread.unit),
            Given("pitch", thread.pitch, thread.unit),
            Given("minimum pitch diameter", least, thread.unit),
            Given("flank angle", thread.form.angle_deg, "°"),
        ),
        places=3,
    )


def internal_shear(thread: Thread, external: ExternalLimits, internal: InternalLimits) -> Figure:
    """Shear area of the internal thread, a unit of length, against the least bolt.

    pi/P x Ds min [P/2 + tan(a/2) (Ds min - En max)]. Source: FED-STD-H28/2B.
    """
    crest, widest = external.major.minimum, internal.pitch_diameter.maximum
    value = math.pi / thread.pitch * crest * (thread.pitch / 2 + _tan(thread) * (crest - widest))
    return Figure(
        "shear area of the hole's thread",
        value,
        AREAS_PER_LENGTH[thread.unit],
        "π ÷ pitch × minimum crest × (pitch ÷ 2 + tan(flank angle ÷ 2) × (minimum crest − maximum pitch diameter))",
        SHEAR,
        (
            Given("minimum crest", crest, thread.unit),
            Given("pitch", thread.pitch, thread.unit),
            Given("maximum pitch diameter", widest, thread.unit),
            Given("flank angle", thread.form.angle_deg, "°"),
        ),
        places=3,
    )


def _breaking_load(thread: Thread, area: Figure, strength: float) -> Figure:
    """Pull in kN at which a bolt of `strength` in N/mm^2 breaks: stress area x strength."""
    to_mm = convert(1.0, thread.unit, "mm")
    return Figure(
        "bolt breaks at",
        area.value * to_mm**2 * strength / 1000,
        "kN",
        "stress area × bolt strength ÷ 1000",
        SHEAR,
        (Given("stress area", area.value, area.unit), Given("bolt strength", strength, "N/mm²")),
        places=1,
        note="This is the steady pull that breaks it, not a working load. For lifting, buy a rated part.",
    )


def strip(
    thread: Thread,
    external: ExternalLimits,
    internal: InternalLimits,
    *,
    hole: float,
    bolt_strength: float,
    hole_strength: float,
) -> Strip:
    """Engagement at which the bolt breaks before either thread strips, for a hole of `hole` (the thread's unit).

    `bolt_strength` and `hole_strength` are tensile strengths in N/mm^2; shear strength is taken as half of them.
    At x bolt strength / (1/2 x least of (area x strength)). Source: FED-STD-H28/2B.
    """
    area = stress_area(thread)
    outside, inside = external_shear(thread, external, hole), internal_shear(thread, external, internal)
    bolt_holds, hole_holds = outside.value * bolt_strength, inside.value * hole_strength
    # Nothing that holds would need an endless engagement: kept finite, and told as very long.
    least = max(1e-12, SHEAR_SHARE * min(bolt_holds, hole_holds))
    engagement = Figure(
        "engagement at which the bolt breaks first",
        area.value * bolt_strength / least,
        thread.unit,
        "stress area × bolt strength ÷ (0.5 × smallest of (area of the bolt's thread × bolt strength, area "
        "of the hole's thread × hole's strength))",
        SHEAR,
        (
            Given("stress area", area.value, area.unit),
            Given("bolt strength", bolt_strength, "N/mm²"),
            Given("area of the bolt's thread", outside.value, outside.unit),
            Given("area of the hole's thread", inside.value, inside.unit),
            Given("hole's strength", hole_strength, "N/mm²"),
        ),
        fine=False,
        note="Worst case: each thread at the limit of its class.",
    )
    breaks = _breaking_load(thread, area, bolt_strength)
    return Strip(
        outside, inside, engagement, breaks, "the bolt's thread" if bolt_holds <= hole_holds else "the hole's thread"
    )


def share_held(strip: Strip, length: Given) -> Figure:
    """Per cent of the bolt's strength that a `length` of thread (the thread's unit) holds. Source: FED-STD-H28/2B."""
    needed = strip.engagement
    share = min(100.0, 100 * length.value / needed.value)
    return Figure(
        "of the bolt's strength",
        share,
        "%",
        f"smallest of (100, 100 × {length.name} ÷ {needed.name})",
        SHEAR,
        (length, Given(needed.name, needed.value, needed.unit)),
        note="The bolt breaks first." if share == 100 else f"{strip.weaker} strips first.",
    )
