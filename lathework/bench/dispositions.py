"""What becomes of a step or a piece that is not as it should be; why, and the check that would have caught it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from lathework.errors import InputError

Outcome = Literal["accept", "again", "scrap"]
"""The kind of the entry that it makes: the step is done, taken up once more, or the piece is scrapped."""


@dataclass(frozen=True, slots=True)
class Settled:
    """A way to settle it: what it is called, what it means, the kind of entry it makes; whether it is `offered`, or
    only read in what was recorded before."""

    name: str
    means: str
    outcome: Outcome
    offered: bool = True


DISPOSITIONS: Mapping[str, Settled] = {
    "as-it-is": Settled("It will do", "it serves as it is", "accept"),
    "cosmetic": Settled("Only looks", "it serves, and shows", "accept"),
    "wanted": Settled("It is wanted so", "a tight or a free fit on purpose", "accept"),
    # It changed nothing of the plan, and promised to: no more of it is recorded.
    "redesign": Settled(
        "Change the part to suit", "the mate or the drawing is changed for it", "accept", offered=False
    ),
    "rework": Settled("Do the step again", "the same piece, brought right", "again"),
    "scrap": Settled("Scrap the piece", "begin another", "scrap"),
}


OFFERED: Mapping[str, Settled] = {code: one for code, one in DISPOSITIONS.items() if one.offered}


@dataclass(frozen=True, slots=True)
class Mistake:
    """Why something went wrong, and the check that would have caught it (practice)."""

    name: str
    check: str


MISTAKES: Mapping[str, Mistake] = {
    "dial": Mistake("the dial misread", "Say the dial out loud before the cut, and measure after the first one."),
    "terms": Mistake("radius taken for diameter", "Take a skim, measure: what came off must be what was dialled."),
    "zero": Mistake("a zero that had moved", "Touch off again after every tool or chuck that was changed."),
    "size": Mistake("the size misread", "Read the size back from the sheet before the last cut."),
    "measured": Mistake("measured badly", "Measure twice, warm and clean, and by a second instrument near the size."),
    "spring": Mistake("tool or work sprang", "Same dial twice before the last measurement; a centre under long work."),
    "moved": Mistake("the work moved in its holding", "Mark work and jaw with a felt pen, and look at the mark."),
    "shoulder": Mistake("ran into the shoulder", "A stop, and the last turns by hand."),
    "die": Mistake("the die set wrong", "A known male run through the die before the first piece."),
    "drill": Mistake("the wrong drill", "Measure the drill over its margins before it goes in."),
    "swarf": Mistake("swarf or a burr", "Cover your eyes, then brush, blow and wipe before the gauge, every time."),
    "tool": Mistake("a dull or broken tool", "Look at the edge before each piece."),
    "material": Mistake("the metal", "Cut a test piece of the bar first."),
    "other": Mistake("something else", ""),
}


def settled(code: str) -> Settled:
    """The disposition of that code. Raises InputError on "disposition"."""
    found = DISPOSITIONS.get(code)
    if found is None or not found.offered:
        raise InputError("unknown-choice", "disposition", "Choose what becomes of it.", tuple(OFFERED))
    return found


def checked_mistake(code: str) -> str:
    """The code of a mistake, "" where nobody says. Raises InputError on "why"."""
    if code and code not in MISTAKES:
        raise InputError("unknown-choice", "why", "Choose why it went wrong, or leave it.", tuple(MISTAKES))
    return code
