"""Counting the turns of a die or a tap: what is done at which turn, and where it ends."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal

from lathework.planning.operation import Operation

COUNTED = ("thread", "finish", "tap")
"""Kinds of steps whose turns are counted."""
BACK = "Turn back a little."
OFF = "Switch off."
STANDS = "Wait until the spindle stands, then reverse."
END = "Stop: that is the end."
Sign = Literal["back", "off", "end"]


@dataclass(frozen=True, slots=True)
class Beat:
    """What is done when so many turns were made."""

    turn: float
    sign: Sign
    words: str


@dataclass(frozen=True, slots=True)
class Count:
    """How many `turns` there are, by how much one press counts on, and what is done on the way, in order."""

    turns: float
    step: float
    beats: tuple[Beat, ...]


def count_of(step: Operation) -> Count | None:
    """The count of a step; None where nothing is counted.

    By hand the chip is broken after the turns that its metal wants; under power the spindle is switched off before the
    end, as it runs on, and stands before it is reversed. Source: practice.
    """
    # A tap that is driven to its gauge tells how far a fitting goes in: those are no turns of the tap.
    turns = step.figures.get("turns") if step.headline == "turns" else None
    if turns is None or step.kind not in COUNTED or turns.value <= 0:
        return None
    after = step.figures["rhythm"].value if "rhythm" in step.figures else 0.0
    off = step.figures.get("stop") if "seconds" in step.figures else None
    each = 0.5 if 0 < after < 1 else 1.0
    if off is not None:
        at, end = float(int(off.value)), Beat(turns.value, "end", STANDS)
        # One that does not run on is switched off at the end.
        beats = (Beat(at, "off", OFF), end) if at < turns.value else (replace(end, words=f"{OFF} {STANDS}"),)
        return Count(turns.value, 1.0, beats)
    return Count(turns.value, each, tuple(_by_hand(turns.value, after)))


def _by_hand(turns: float, after: float) -> Iterator[Beat]:
    """Back after so many turns, until all are made (both a number of turns)."""
    made = after
    while 0 < made < turns:
        yield Beat(made, "back", BACK)
        made += after
    yield Beat(turns, "end", END)
