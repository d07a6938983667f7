"""Tapping drills: percent thread in a stated convention, and the drills around it."""

from __future__ import annotations

from bisect import bisect_left, bisect_right
from dataclasses import dataclass

from lathework.figures import Figure, Given, Source
from lathework.tables.drills import Drill, all_drills
from lathework.threads.thread import Thread
from lathework.units import convert

PERCENT_60 = 1.299038
"""Full depth on the 60 degree three-quarter-height convention, in pitches on the diameter."""
BASIC_60 = 1.082532
"""Basic height of a 60 degree thread on the diameter, in pitches."""
CONVENTION = Source("handbook", "per cent thread, by the convention named")
LOWEST, HIGHEST, WANTED = 60.0, 80.0, 75.0
"""Per cent: what suits most work is 60 to 75; up to 80 is offered, dearer in torque (practice)."""
_MOST = 6


@dataclass(frozen=True, slots=True)
class TappingDrill:
    """A drill for a tapped hole: its diameter in the thread's unit and the per cent thread it leaves."""

    drill: Drill
    diameter: float
    percent: float
    convention: str


def convention(thread: Thread) -> tuple[float, str]:
    """Full depth on the diameter in pitches, and the convention in words."""
    if thread.form.angle_deg == 60:
        return PERCENT_60, "60 degree practice: 1.299038 P is 100 %"
    if thread.family == "ba":
        return 1.2, "BA: 1.2 P is 100 %"
    return 1.280654, "Whitworth: 1.280654 P is 100 %"


def percent_thread(thread: Thread, drill_diameter: float) -> float:
    """Per cent thread left by a hole of `drill_diameter` (thread's unit): 100 (D - drill) / (k P).

    k by `convention`. Source: handbook practice.

    >>> from lathework.threads.designation import read_designation
    >>> round(percent_thread(read_designation("1/2-13"), 27 / 64))
    78
    """
    return 100 * (thread.major - drill_diameter) / (convention(thread)[0] * thread.pitch)


def _hole(thread: Thread, percent: float) -> float:
    """Hole in millimetres that leaves `percent`."""
    return thread.major_mm - percent / 100 * convention(thread)[0] * thread.pitch_mm


def tapping_drills(thread: Thread) -> tuple[TappingDrill, ...]:
    """Up to six drills that leave 60 to 80 per cent, nearest to 75 first."""
    words = convention(thread)[1]
    rack = all_drills()
    first = bisect_left(rack, _hole(thread, HIGHEST), key=lambda d: d.diameter_mm)
    last = bisect_right(rack, _hole(thread, LOWEST), key=lambda d: d.diameter_mm)
    found = []
    for drill in rack[first:last]:
        diameter = convert(drill.diameter, drill.unit, thread.unit)
        found.append(TappingDrill(drill, diameter, percent_thread(thread, diameter), words))
    return tuple(sorted(found, key=lambda d: abs(d.percent - WANTED))[:_MOST])


def percent_figures(thread: Thread, drill: float) -> tuple[Figure, ...]:
    """Per cent thread left by a hole of `drill` (the thread's unit), on each convention in use for the form.

    60 degree threads: 100 (D - drill) / (1.299038 P) in practice, / (1.082532 P) on basic height.
    """
    depth, words = convention(thread)
    conventions = [(depth, words)]
    if thread.form.angle_deg == 60:
        conventions.append((BASIC_60, "on basic height: 1.082532 P is 100 %"))
    return tuple(
        Figure(
            "thread left",
            100 * (thread.major - drill) / (factor * thread.pitch),
            "%",
            f"100 × (major − drill) ÷ ({factor:g} × pitch)",
            CONVENTION,
            (
                Given("major", thread.major, thread.unit),
                Given("drill", drill, thread.unit),
                Given("pitch", thread.pitch, thread.unit),
            ),
            note=told,
        )
        for factor, told in conventions
    )
