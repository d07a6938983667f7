"""Relief groove, lead chamfer, and the threads a die leaves unfinished."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace
from functools import cache, lru_cache

from lathework.figures import PRACTICE, Answer, Figure, Given, Source
from lathework.tables.loader import load
from lathework.threads.families import family_of
from lathework.threads.families.metric import METRIC
from lathework.threads.thread import Thread
from lathework.units import AREAS, round_half_up

GROOVE_CLEARANCE = 0.1
"""Clearance under the minor diameter on each side, in pitches (practice)."""
SHORTEST_THREAD = 4
"""Turns of the shortest thread that can be cut: the die's lead alone takes three."""
UNFINISHED_THREADS = 3.0
"""Threads a die's lead leaves unfinished, in pitches: 2 to 3, cheap dies more (practice)."""
TURNED_ROUND_GROOVE = 1.5
"""Narrowest groove when the die is flipped, in pitches (practice)."""
TURNED_ROUND_STOP = 1.0
"""How near to a shoulder the turned die finishes, in pitches (practice)."""
COUNTERBORE_OVER = 0.1
"""How far a counterbore stands over the major diameter, in pitches on the diameter (practice)."""
CHAMFER_UNDER = 0.02
"""How far under the minor diameter the lead chamfer ends, in pitches on each side (practice)."""
H28 = Source("standard", "ASME B1.1 and FED-STD-H28/2B, tensile stress area")
PRINTED_PLACES = 4
"""Decimals of an inch to which unified diameters print."""
WORKED_PLACES = 5
"""Decimals of an inch of the parts of the triangle in the table of thread data of the same standard."""
HEIGHT_60 = 0.8660254
"""Height of the sharp 60 degree triangle, in pitches."""
STRESSED_METRIC = 0.938194
"""Major less the diameter of the stressed section, in pitches (ISO 898-1)."""
ISO_898 = Source("standard", "ISO 898-1, nominal stress area")
SECTION = Source("practice", "area of the mean of pitch and minor diameter")


@dataclass(frozen=True, slots=True)
class Groove:
    """A relief groove in the thread's unit, with the share of the thread's own section its root keeps."""

    diameter: Figure
    width: Figure
    section_percent: Figure


@dataclass(frozen=True, slots=True)
class Undercut:
    """DIN 76-1 undercut (form A) and regular run-out of a metric thread, in millimetres."""

    under_major: float
    width_min: float
    width_max: float
    radius: float
    run_out: float


@cache
def _undercuts() -> dict[float, Undercut]:
    columns = ("under_major", "width_min", "width_max", "radius", "run_out")
    return {
        float(row.number("pitch")): Undercut(*(float(row.number(name)) for name in columns))
        for row in load("din76").rows
    }


def undercut(thread: Thread) -> Undercut | None:
    """DIN 76-1 undercut and run-out of a metric thread; None for other families and untabulated pitches."""
    return _undercuts().get(thread.pitch) if thread.family == METRIC.code else None


def _standard_diameter(thread: Thread) -> tuple[Answer, ...]:
    found = undercut(thread)
    if found is None:
        return ()
    remark = f"form A, corners of {found.radius:g} mm radius"
    return (Answer("DIN 76-1 undercut", round_half_up(thread.major - found.under_major, 3), "mm", remark),)


def _standard_width(thread: Thread) -> tuple[Answer, ...]:
    found = undercut(thread)
    if found is None:
        return ()
    return (
        Answer("DIN 76-1 undercut, minimum", found.width_min, "mm", "form A, straight part"),
        Answer("DIN 76-1 undercut, maximum", found.width_max, "mm", "form A, over all"),
    )


def _standard_run_out(thread: Thread) -> tuple[Answer, ...]:
    found = undercut(thread)
    return () if found is None else (Answer("DIN 76-1 run-out, regular", found.run_out, "mm", "at most"),)


def groove_diameter(thread: Thread) -> Figure:
    """Groove diameter: minor less 0.1 P each side, in the thread's unit; under the root of one that is cut deeper.

    Source: practice.
    """
    places = 4 if thread.unit == "in" else 3
    # A form with crest clearance (trapezoidal, Acme) is cut below the minor diameter of its nut: the blade must clear
    # that.
    name, under = ("root of the screw", thread.root) if thread.crest_clearance else ("minor", thread.minor)
    return Figure(
        "groove diameter",
        round_half_up(under - 2 * GROOVE_CLEARANCE * thread.pitch, places),
        thread.unit,
        f"{name} − 2 × clearance × pitch",
        PRACTICE,
        (
            Given(name, under, thread.unit),
            Given("clearance", GROOVE_CLEARANCE),
            Given("pitch", thread.pitch, thread.unit),
        ),
        others=_standard_diameter(thread),
        note="In a groove larger than the minor diameter the die cannot run out.",
    )


def unfinished_length(thread: Thread) -> Figure:
    """Length the die's lead leaves unfinished: 3 P, in the thread's unit. Source: practice."""
    return Figure(
        "unfinished threads",
        UNFINISHED_THREADS * thread.pitch,
        thread.unit,
        "unfinished turns × pitch",
        PRACTICE,
        (Given("unfinished turns", UNFINISHED_THREADS), Given("pitch", thread.pitch, thread.unit)),
        fine=False,
        others=_standard_run_out(thread),
    )


def counterbore(thread: Thread) -> tuple[Figure, Figure]:
    """Counterbore of a nut that is to pass a run-out: diameter and depth, in the thread's unit. Source: practice.

    Diameter: major + 0.1 P; depth: the unfinished threads.
    """
    across = Figure(
        "counterbore of the nut",
        thread.major + COUNTERBORE_OVER * thread.pitch,
        thread.unit,
        "major + 0.1 × pitch",
        PRACTICE,
        (Given("major", thread.major, thread.unit), Given("pitch", thread.pitch, thread.unit)),
    )
    return across, replace(unfinished_length(thread), name="counterbored deep")


def groove_width(thread: Thread, blade: float | None = None, *, turned_round: bool = False) -> Figure:
    """Groove width in the thread's unit: the unfinished length (1.5 P if the die is flipped), one blade at least.

    `blade` is the blade's width in the thread's unit, or None when no blade is chosen. Source: practice.
    """
    turns = TURNED_ROUND_GROOVE if turned_round else UNFINISHED_THREADS
    wanted = turns * thread.pitch
    inputs = [Given("turns", turns), Given("pitch", thread.pitch, thread.unit)]
    if blade is not None:
        inputs.append(Given("blade width", blade, thread.unit))
    return Figure(
        "groove width",
        # A blade cannot plunge narrower than itself.
        max(wanted, blade or 0.0),
        thread.unit,
        "turns × pitch" if blade is None else "largest of (turns × pitch, blade width)",
        PRACTICE,
        tuple(inputs),
        fine=False,
        others=_standard_width(thread),
    )


@dataclass(frozen=True, slots=True)
class _Section:
    """The stressed section of a thread: its diameter in the thread's unit, how its area is told, and from what."""

    across: float
    formula: str
    source: Source
    inputs: tuple[Given, ...]


def _section(thread: Thread) -> _Section:
    unit, pitch = thread.unit, Given("pitch", thread.pitch, thread.unit)
    stressed = family_of(thread).stressed
    if stressed == "unified":
        # The table is made from figures of its neighbours as they are printed, not from exact ones.
        across = round_half_up(thread.pitch_diameter, PRINTED_PLACES)
        height = round_half_up(3 * HEIGHT_60 * thread.pitch / 16, WORKED_PLACES)
        given = (Given("E", across, unit), Given("three sixteenths of H", height, unit))
        return _Section(across - 2 * height, "π × (E ÷ 2 − three sixteenths of H)²", H28, given)
    if stressed == "metric":
        # Minor diameter and pitch diameter in equal parts, as ISO 898-1 rounds it: 0.649519 and 1.226869 of a pitch.
        across = thread.major - STRESSED_METRIC * thread.pitch
        given = (Given("major", thread.major, unit), pitch)
        return _Section(across, f"π ÷ 4 × (major − {STRESSED_METRIC} × pitch)²", ISO_898, given)
    given = (Given("pitch diameter", thread.pitch_diameter, unit), Given("minor", thread.minor, unit))
    across = (thread.pitch_diameter + thread.minor) / 2
    return _Section(across, "π ÷ 4 × ((pitch diameter + minor) ÷ 2)²", SECTION, given)


def stress_area(thread: Thread) -> Figure:
    """Tensile stress area in the square of the thread's unit.

    Unified: pi (E/2 - 3 H/16)^2, E the pitch diameter as printed to 4 decimals and 3 H/16 to 5 (ASME B1.1,
    FED-STD-H28/2B); metric: pi/4 (d - 0.938194 P)^2 (ISO 898-1); others: pi/4 ((d2 + d1)/2)^2 (practice).
    """
    section = _section(thread)
    area = math.pi / 4 * section.across**2
    return Figure("stress area", area, AREAS[thread.unit], section.formula, section.source, section.inputs)


def section_percent(thread: Thread, diameter: float) -> Figure:
    """Share of the thread's stress area that a groove of `diameter` (thread's unit) keeps, in per cent."""
    area = stress_area(thread)
    return Figure(
        "stress area left at the root",
        100 * math.pi / 4 * diameter**2 / area.value,
        "%",
        "100 × π ÷ 4 × groove² ÷ stress area",
        area.source,
        (Given("groove", diameter, thread.unit), Given("stress area", area.value, area.unit)),
    )


def groove(thread: Thread, blade: float | None = None, *, turned_round: bool = False) -> Groove:
    """The relief groove for a thread, cut with a blade of width `blade` (thread's unit)."""
    diameter = groove_diameter(thread)
    width = groove_width(thread, blade, turned_round=turned_round)
    return Groove(diameter, width, section_percent(thread, diameter.value))


@lru_cache(maxsize=512)
def chamfer_diameter(thread: Thread) -> Figure:
    """Small end of the 45 degree lead chamfer, a little under the root of the thread, in the thread's unit."""
    places = 4 if thread.unit == "in" else 3
    return Figure(
        "chamfer to diameter",
        round_half_up(thread.root - 2 * CHAMFER_UNDER * thread.pitch, places),
        thread.unit,
        "root of the screw − 2 × 0.02 × pitch",
        PRACTICE,
        (Given("root of the screw", thread.root, thread.unit), Given("pitch", thread.pitch, thread.unit)),
        note="A longer lead lets the die slip instead of catching.",
    )
