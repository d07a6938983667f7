"""The blank for a worn mate that was measured: the largest thread that still turns into it by hand."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.figures import Figure, Given, Source
from lathework.lengths import Length
from lathework.threads.thread import Thread
from lathework.units import convert, round_half_up

MOST_OVER = 0.06
"""Pitches over nominal up to which a crest still clears the root of a mate's thread (practice)."""
MOST_WORN = 0.35
"""Pitches by which a mate's pitch diameter may differ from basic before it is another thread (practice)."""
_RUNS = Source("standard", "ISO 965-1, fundamental deviation of position g: 15 + 11 P micrometres, for any form")


@dataclass(frozen=True, slots=True)
class Mate:
    """A mate that was measured: the diameter of its bore, and its pitch diameter."""

    minor: Length
    pitch_diameter: Length


def why_no_mate(thread: Thread, mate: Mate) -> str:
    """Why the sizes of `mate` are none of a mate of `thread`; "" where they may be. Source: practice."""
    off = abs(mate.pitch_diameter.mm - thread.pitch_diameter_mm) / thread.pitch_mm
    if mate.minor.mm >= mate.pitch_diameter.mm:
        return "The bore of a nut is smaller than its pitch diameter. Measure again."
    if off > MOST_WORN:
        return f"{thread.designation} has a pitch diameter of {thread.pitch_diameter:.4g} {thread.unit}. Measure again."
    return ""


def clearance(thread: Thread) -> Figure:
    """What a screw that turns in by hand wants over its mate, on the diameter, in the thread's unit.

    15 + 11 P micrometres, P in mm. Source: ISO 965-1, position g.
    """
    value = convert((15 + 11 * thread.pitch_mm) / 1000, "mm", thread.unit)
    inputs = (
        Given("15 micrometres", convert(0.015, "mm", thread.unit), thread.unit),
        Given("pitch", thread.pitch, thread.unit),
    )
    return Figure("clearance by hand", value, thread.unit, "15 micrometres + 0.011 × pitch", _RUNS, inputs)


def opened_by(thread: Thread, mate: Mate) -> Figure:
    """How far over basic the die is opened on the pitch diameter, in the thread's unit; under it where negative.

    The lesser of what the mate's flanks and its bore leave: measured - basic, less the clearance. Source: geometry.
    """
    unit = thread.unit
    pitch = convert(mate.pitch_diameter.mm, "mm", unit)
    bore = convert(mate.minor.mm, "mm", unit)
    loose = clearance(thread).value
    return Figure(
        "over basic",
        min(pitch - thread.pitch_diameter, bore - thread.minor) - loose,
        unit,
        "smallest of (pitch diameter of the mating part − basic pitch diameter, bore of the mating part − "
        "basic minor) − clearance",
        _RUNS,
        (
            Given("pitch diameter of the mating part", pitch, unit),
            Given("basic pitch diameter", thread.pitch_diameter, unit),
            Given("bore of the mating part", bore, unit),
            Given("basic minor", thread.minor, unit),
            Given("clearance", loose, unit),
        ),
    )


def mate_blank(thread: Thread, mate: Mate) -> Figure:
    """The largest blank for a measured `mate`, in the thread's unit: nominal + what the die is opened, to its digits.

    Never more than 0.06 P over nominal: the mate's own root is not worn. Source: practice.
    """
    over = opened_by(thread, mate)
    places = 4 if thread.unit == "in" else 3
    most = MOST_OVER * thread.pitch
    return Figure(
        "blank diameter",
        round_half_up(thread.major + min(over.value, most), places),
        thread.unit,
        "nominal major + smallest of (over basic, 0.06 × pitch)",
        Source("practice", "the mating part, as measured"),
        (
            Given("nominal major", thread.major, thread.unit),
            Given("over basic", over.value, thread.unit),
            Given("pitch", thread.pitch, thread.unit),
        ),
    )
