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
    "as-it-is": Settled(
        "Accept as it is", "Keep it as it came: nothing of the plan changes, and the log says why.", "accept"
    ),
    "cosmetic": Settled("Accept: cosmetic only", "It works as it should. Only its looks suffered.", "accept"),
    "wanted": Settled(
        "Accept: made so on purpose", "Tighter or freer than the plan says, for this mating part.", "accept"
    ),
    # It changed nothing of the plan, and promised to: no more of it is recorded. `bench/size/suit.py` changes the part.
    "redesign": Settled(
        "Accept: change the part to suit", "change the mating part or the drawing", "accept", offered=False
    ),
    "rework": Settled("Redo the step", "The same piece again, from this step.", "again"),
    "scrap": Settled("Scrap the piece", "This piece is lost. Start another.", "scrap"),
}


OFFERED: Mapping[str, Settled] = {code: one for code, one in DISPOSITIONS.items() if one.offered}


@dataclass(frozen=True, slots=True)
class Mistake:
    """Why something went wrong, and the check that would have caught it (practice)."""

    name: str
    check: str


MISTAKES: Mapping[str, Mistake] = {
    "dial": Mistake("the dial misread", "Read the dial aloud before the cut. Measure after the first cut."),
    "terms": Mistake(
        "radius taken for diameter", "Take a skim cut and measure: what came off should equal what you dialled."
    ),
    "zero": Mistake("a zero that moved", "Touch off again after every tool or chuck that was changed."),
    "size": Mistake("the size misread", "Read the size back from the sheet before the last cut."),
    "measured": Mistake("mismeasured", "Measure twice, warm and clean, and by a second instrument near the size."),
    "spring": Mistake(
        "tool or work sprang", "Take a spring pass before the last measurement. Support long work with a centre."
    ),
    "moved": Mistake("the work slipped in the chuck", "Mark work and jaw with a felt pen, and look at the mark."),
    "shoulder": Mistake("ran into the shoulder", "Set a stop. Turn the last threads by hand."),
    "die": Mistake("the die set wrong", "Run the die over a known good screw before the first piece."),
    "drill": Mistake("the wrong drill", "Measure the drill across its margins before you use it."),
    "swarf": Mistake("chips or a burr", "Cover your eyes, then brush, blow and wipe before the gauge, every time."),
    "tool": Mistake("a dull or broken tool", "Look at the edge before each piece."),
    "material": Mistake("faulty material", "Cut a test piece of the bar first."),
    "other": Mistake("something else", ""),
}


def settled(code: str) -> Settled:
    """The disposition of that code. Raises InputError on "disposition"."""
    found = DISPOSITIONS.get(code)
    if found is None or not found.offered:
        raise InputError("unknown-choice", "disposition", "Choose what happens to the piece.", tuple(OFFERED))
    return found


def checked_mistake(code: str) -> str:
    """The code of a mistake, "" where nobody says. Raises InputError on "why"."""
    if code and code not in MISTAKES:
        raise InputError("unknown-choice", "why", "Choose a cause, or leave it empty.", tuple(MISTAKES))
    return code
