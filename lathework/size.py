"""A thread sized at a glance: blank, drills, groove, wires, from its designation alone."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from lathework.figures import Figure
from lathework.rules.blank import BlankChoice, blank_choices
from lathework.rules.gauging import best_wire
from lathework.rules.relief import Groove, chamfer_diameter, groove, stress_area
from lathework.rules.tapping import TappingDrill, tapping_drills
from lathework.threads.designation import read_designation
from lathework.threads.limits import MajorLimits, major_limits
from lathework.threads.thread import Thread


@dataclass(frozen=True, slots=True)
class Size:
    """All that can be said of a thread before there is a job."""

    thread: Thread
    limits: MajorLimits
    blanks: tuple[BlankChoice, ...]
    drills: tuple[TappingDrill, ...]
    groove: Groove
    chamfer: Figure
    wire: Figure
    stress_area: Figure


@lru_cache(maxsize=1024)
def size_of(thread: Thread) -> Size:
    """Size `thread`; lengths in its own unit."""
    return Size(
        thread=thread,
        limits=major_limits(thread),
        blanks=blank_choices(thread),
        drills=tapping_drills(thread),
        groove=groove(thread),
        chamfer=chamfer_diameter(thread),
        wire=best_wire(thread),
        stress_area=stress_area(thread),
    )


def size(text: str) -> Size:
    """Size the thread that `text` designates. Raises InputError on "designation"."""
    return size_of(read_designation(text))
