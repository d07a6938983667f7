"""What is said of the die where a thread is made to a mate that was measured."""

from __future__ import annotations

from lathework.cutting.mate_blank import Mate, opened_by
from lathework.dies.setting import eighths
from lathework.figures import Figure
from lathework.threads.thread import Thread
from lathework.units import convert

MOST_OPENED_MM = 0.25
"""Millimetres on the diameter past which a split die is not opened: it cracks (practice)."""


def _opened_mm(thread: Thread, mate: Mate) -> float:
    return convert(opened_by(thread, mate).value, thread.unit, "mm")


def opening(thread: Thread, mate: Mate) -> dict[str, Figure]:
    """How far the die is set from basic for `mate`, and what that is of its middle screw."""
    return {"opened": opened_by(thread, mate), "eighths": eighths(abs(_opened_mm(thread, mate)))}


def opening_notes(thread: Thread, mate: Mate) -> tuple[str, ...]:
    """What to do with the die before it is run on for `mate`."""
    mm = _opened_mm(thread, mate)
    move = "Open" if mm >= 0 else "Close"
    notes = [
        f"{move} the die {{opened}} on the diameter from where it cuts the basic size: about {{eighths}} of "
        "its middle screw. Start wide, try the mating part, and close in small steps."
    ]
    if mm > MOST_OPENED_MM:
        notes.append("No split die opens that far: it cracks. Cut it single point to fit the mating part.")
    return tuple(notes)
