"""A thread in its own unit, and as one line of the book."""

from __future__ import annotations

from lathework.answers.declared_answer import answer
from lathework.answers.values import Shown, length_shown
from lathework.figures import Source
from lathework.threads.thread import Family, Hand, Thread
from lathework.units import LengthUnit


@answer
class BasicNumbers:
    """Basic diameters in the thread's own unit."""

    major: float
    pitch_diameter: float
    minor: float


@answer
class ThreadShown:
    """A thread in its own unit."""

    designation: str
    family: Family
    series: str
    angle_deg: float
    unit: LengthUnit
    tpi: float | None
    pitch: float
    basic: BasicNumbers
    special: bool
    hand: Hand
    starts: int
    lead: float
    taper: float
    notes: tuple[str, ...]
    source: Source


@answer
class RowShown:
    """A thread as one line of the book."""

    designation: str
    tpi: float | None
    major: Shown
    pitch: Shown


def thread_shown(thread: Thread) -> ThreadShown:
    """The basic sizes of a thread, in its own unit."""
    return ThreadShown(
        designation=thread.designation,
        family=thread.family,
        series=thread.series,
        angle_deg=thread.form.angle_deg,
        unit=thread.unit,
        tpi=thread.tpi,
        pitch=thread.pitch,
        basic=BasicNumbers(thread.major, thread.pitch_diameter, thread.minor),
        special=thread.special,
        hand=thread.hand,
        starts=thread.starts,
        lead=thread.lead,
        taper=thread.taper,
        notes=thread.notes,
        source=thread.source,
    )


def row_shown(thread: Thread) -> RowShown:
    """A thread as one line of the book."""
    return RowShown(thread.designation, thread.tpi, length_shown(thread.major_mm), length_shown(thread.pitch_mm))
