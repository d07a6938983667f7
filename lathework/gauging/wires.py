"""Gauging: best wire, measurement over three wires, sizes of gauges."""

from __future__ import annotations

import math

from lathework.figures import Figure, Given, Source
from lathework.tables.drills import Drill, all_drills
from lathework.threads.standards.bands import Band, ExternalLimits, InternalLimits
from lathework.threads.thread import Thread
from lathework.units import convert

WIRES = Source("memory", "three-wire formulas of the form's flank angle, with the first term of the lead angle")
LEAD_TERM = "wire ÷ 2 × (lead ÷ (π × pitch diameter))² × cos(a ÷ 2) × cot(a ÷ 2)"
"""What a wire that lies along the thread, and not square to it, adds."""
MOST_WIRES = 6


def best_wire(thread: Thread) -> Figure:
    """Best wire diameter, P / (2 cos(a/2)), in the thread's unit."""
    return Figure(
        "best wire",
        thread.form.best_wire * thread.pitch,
        thread.unit,
        "pitch ÷ (2 × cos(flank angle ÷ 2))",
        WIRES,
        (Given("pitch", thread.pitch, thread.unit), Given("flank angle", thread.form.angle_deg, "°")),
    )


def lead_term(thread: Thread, wire: float, pitch_diameter: float) -> float:
    """What the lead angle adds to the measurement over wires of diameter `wire` at `pitch_diameter`, all in the
    thread's unit: (W/2) tan^2(lead angle) cos(a/2) cot(a/2)."""
    half = math.radians(thread.form.angle_deg / 2)
    return wire / 2 * (thread.lead / (math.pi * pitch_diameter)) ** 2 * math.cos(half) / math.tan(half)


def over_wires(thread: Thread, wire: float, pitch_diameter: float, name: str = "over the wires") -> Figure:
    """Measurement over three wires of diameter `wire` at `pitch_diameter`, all in the thread's unit; called `name`.

    M = d2 + W (1 + 1/sin(a/2)) - (P/2) cot(a/2) + (W/2) tan^2(lead angle) cos(a/2) cot(a/2).
    """
    half = math.radians(thread.form.angle_deg / 2)
    return Figure(
        name,
        pitch_diameter
        + wire * (1 + 1 / math.sin(half))
        - thread.pitch / 2 / math.tan(half)
        + lead_term(thread, wire, pitch_diameter),
        thread.unit,
        f"pitch diameter + wire × (1 + 1 ÷ sin(a ÷ 2)) − pitch ÷ 2 × cot(a ÷ 2) + {LEAD_TERM}",
        WIRES,
        (
            Given("pitch diameter", pitch_diameter, thread.unit),
            Given("wire", wire, thread.unit),
            Given("pitch", thread.pitch, thread.unit),
            Given("lead", thread.lead, thread.unit),
            Given("a", thread.form.angle_deg, "°"),
        ),
    )


def over_wires_within(thread: Thread, wire: float, limits: ExternalLimits) -> tuple[Figure, Figure]:
    """The least and the greatest measurement over wires of diameter `wire`, in the thread's unit, within `limits`."""
    band = limits.pitch_diameter
    return (
        over_wires(thread, wire, band.minimum, "over the wires, minimum"),
        over_wires(thread, wire, band.maximum, "over the wires, maximum"),
    )


def wire_range(thread: Thread, limits: ExternalLimits) -> tuple[Figure, Figure]:
    """Smallest and largest wire that serves, in the thread's unit: above the crest, yet touching the flank.

    Smallest: at the greatest sizes M equals the major. Largest: at the least sizes it touches at the crest.
    Source: geometry of the wires.
    """
    half = math.radians(thread.form.angle_deg / 2)
    sine, flank = math.sin(half), thread.pitch / 2 / math.tan(half)
    d2, major, unit = limits.pitch_diameter, limits.major, thread.unit

    def wire(name: str, which: str, crest: float, across: float, share: tuple[str, float]) -> Figure:
        return Figure(
            name,
            (crest - across + flank) / share[1],
            unit,
            f"({which} major − {which} d2 + pitch ÷ 2 × cot(a ÷ 2)) ÷ ({share[0]})",
            WIRES,
            (
                Given(f"{which} major", crest, unit),
                Given(f"{which} d2", across, unit),
                Given("pitch", thread.pitch, unit),
                Given("a", thread.form.angle_deg, "°"),
            ),
        )

    return (
        wire("smallest wire", "maximum", major.maximum, d2.maximum, ("1 + 1 ÷ sin(a ÷ 2)", 1 + 1 / sine)),
        wire("largest wire", "minimum", major.minimum, d2.minimum, ("1 ÷ sin(a ÷ 2) − sin(a ÷ 2)", 1 / sine - sine)),
    )


def lead_angle_effect(thread: Thread, wire: float) -> Figure:
    """What the lead angle adds to the measurement over wires of `wire`, in the thread's unit.

    (W/2) tan^2(lead angle) cos(a/2) cot(a/2). Source: memory, three-wire measurement.
    """
    return Figure(
        "lead-angle effect",
        lead_term(thread, wire, thread.pitch_diameter),
        thread.unit,
        LEAD_TERM,
        WIRES,
        (
            Given("wire", wire, thread.unit),
            Given("lead", thread.lead, thread.unit),
            Given("pitch diameter", thread.pitch_diameter, thread.unit),
            Given("a", thread.form.angle_deg, "°"),
        ),
        note="Included in the figures over the wires: the measurement reads this much more.",
    )


def wires_in_the_drawer(thread: Thread, limits: ExternalLimits) -> tuple[Drill, ...]:
    """Drill shanks that serve as wires, the nearest to the best wire first."""
    least, greatest = (convert(f.value, thread.unit, "mm") for f in wire_range(thread, limits))
    best = convert(thread.form.best_wire * thread.pitch, thread.unit, "mm")
    fitting = [drill for drill in all_drills() if least < drill.diameter_mm < greatest]
    return tuple(sorted(fitting, key=lambda drill: abs(drill.diameter_mm - best))[:MOST_WIRES])


def micrometer_target(limits: ExternalLimits) -> Figure:
    """What a thread micrometer set to zero should read: the middle of the pitch diameter, in the limits' unit."""
    band = limits.pitch_diameter
    return Figure(
        "thread micrometer, aim",
        band.middle,
        band.unit,
        "(minimum + maximum) ÷ 2",
        band.source,
        (Given("minimum", band.minimum, band.unit), Given("maximum", band.maximum, band.unit)),
    )


def gauges(external: ExternalLimits | None, internal: InternalLimits | None) -> tuple[Figure, ...]:
    """Go and no-go sizes of ring and plug gauges, in the limits' unit."""
    out = []
    if external is not None:
        out += [
            _gauge("ring, go", external.pitch_diameter, external.pitch_diameter.maximum, "maximum pitch diameter"),
            _gauge("ring, no-go", external.pitch_diameter, external.pitch_diameter.minimum, "minimum pitch diameter"),
            _gauge("plain ring, go", external.major, external.major.maximum, "maximum major"),
            _gauge("plain ring, no-go", external.major, external.major.minimum, "minimum major"),
        ]
    if internal is not None:
        out += [
            _gauge("plug, go", internal.pitch_diameter, internal.pitch_diameter.minimum, "minimum pitch diameter"),
            _gauge("plug, no-go", internal.pitch_diameter, internal.pitch_diameter.maximum, "maximum pitch diameter"),
            _gauge("plain plug, go", internal.minor, internal.minor.minimum, "minimum minor"),
            _gauge("plain plug, no-go", internal.minor, internal.minor.maximum, "maximum minor"),
        ]
    return tuple(out)


def _gauge(name: str, band: Band, value: float, words: str) -> Figure:
    note = f"Class {band.class_name}, without the gauge maker's own tolerance."
    return Figure(name, value, band.unit, words, band.source, (Given(words, value, band.unit),), note=note)
