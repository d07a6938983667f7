"""What a job chooses its drills from."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.holes.drill_choice import wanted_percent
from lathework.shop.metals import Material
from lathework.shop.racks import owned
from lathework.tables.drills import Drill
from lathework.threads.thread import Thread
from lathework.units import LengthUnit

_HAIR = 1e-6
LARGEST_DRILL_MM = 25.4
"""Plain holes over this are bored: larger drills are seldom owned, and a small tailstock does not drive them
(practice)."""
ROOM_TO_BORE_MM = 0.4
"""Least that a boring tool is left to take off the diameter after the last drill (practice)."""
HOME_RACKS: dict[LengthUnit, str] = {"in": "number, letter, fraction", "mm": "metric"}


@dataclass(frozen=True, slots=True)
class Racks:
    """What a job chooses its drills from: those owned, as typed in `unit`, its metal, and the per cent thread asked
    for, None where nobody asked."""

    drills: str
    unit: LengthUnit
    metal: Material
    asked: float | None

    def percent(self, thread: Thread) -> float:
        """Per cent thread wanted (a bare number): as asked, or as suits metal and thread."""
        return wanted_percent(self.metal, thread) if self.asked is None else self.asked


def rough_drill(bore_mm: float, racks: Racks) -> Drill | None:
    """The largest drill that leaves a boring tool something of a bore so wide, no larger than is usual where nobody
    told what is owned; None where none is small enough."""
    rack = owned(racks.drills or HOME_RACKS[racks.unit], racks.unit)
    most = bore_mm if racks.drills else min(bore_mm, LARGEST_DRILL_MM)
    return next((one for one in reversed(rack) if one.diameter_mm < min(most + _HAIR, bore_mm - ROOM_TO_BORE_MM)), None)
