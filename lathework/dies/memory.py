"""What a die's own record says of the blank: the mean of those that gauged well."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from statistics import fmean

from lathework.figures import Figure, Given, Source, added
from lathework.threads.thread import Thread
from lathework.units import convert, round_half_up

RECORD = Source("practice", "your own log: blanks whose threads passed")
REMEMBERED = 20
"""Pieces that count, the latest."""


@dataclass(frozen=True, slots=True)
class DieRecord:
    """The blank of a die's own record, from how many pieces, and as a fraction of the pitch under nominal."""

    thread: Thread
    blank: Figure
    pieces: int
    fraction: float


def die_record(thread: Thread, blanks_mm: Sequence[float]) -> DieRecord | None:
    """The mean of the latest `blanks_mm` (millimetres, oldest first), in the thread's unit; None where there are none.

    Fraction: (major - mean) / pitch. Source: the shop's own log.
    """
    latest = blanks_mm[-REMEMBERED:]
    if not latest:
        return None
    unit = thread.unit
    mean = round_half_up(convert(fmean(latest), "mm", unit), 4 if unit == "in" else 3)
    pieces = tuple(Given(f"piece {n}", convert(mm, "mm", unit), unit) for n, mm in enumerate(latest, 1))
    blank = Figure(
        "blank from the die's own record",
        mean,
        unit,
        f"({added(pieces)}) ÷ {len(pieces)}; blanks whose threads passed",
        RECORD,
        pieces,
    )
    return DieRecord(thread, blank, len(latest), round_half_up((thread.major - mean) / thread.pitch, 3))
