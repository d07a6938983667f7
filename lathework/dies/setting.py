"""Adjusting a split button die after the nut's verdict: which screw, which way, how far."""

from __future__ import annotations

import math
from dataclasses import dataclass
from fractions import Fraction
from typing import Literal

from lathework.figures import Figure, Given, Source
from lathework.gauging.verdicts import Metal, Verdict, told_metal
from lathework.threads.thread import Thread

SCREW_PITCH_MM = 0.8
"""Pitch of the holder's adjusting screws, taken as M5 or 2 BA (practice)."""
POINT_HALF_ANGLE_DEG = 45.0
"""Half angle of the pointed middle screw (practice)."""
SIXTEENTHS, TURN = 2, 8
"""Sixteenths in an eighth of a turn, and eighths in a turn."""
WEDGE = Source("practice", "wedge of a pointed screw: split opens 2 a tan t, mean diameter by that over π")
#: Wanted change of the cut's pitch diameter, in pitches, for each verdict (practice, a first guess).
WANTED: dict[Verdict, float] = {
    "will-not-start": -0.06,
    "binds": -0.03,
    "snug": 0.0,
    "go-stops": -0.03,
    "go-passes": 0.0,
    "slight-shake": 0.02,
    "loose": 0.05,
    "no-go-passes": 0.05,
}


@dataclass(frozen=True, slots=True)
class Advice:
    """What to do with the die: close, open or leave; the order in words; how far in eighths of a turn."""

    move: Literal["close", "open", "leave"]
    order: str
    eighths: Figure | None
    recut: bool
    """True when the same piece can be cut again: metal can be taken off, not put back."""
    chance: Figure | None = None
    """That the next thread is in its class, where something is known of the die."""
    piece: Figure | None = None
    """That this thread is."""
    again: str = ""
    more: Figure | None = None

    @property
    def middle(self) -> Literal["in", "out", ""]:
        """Which way the middle screw goes; the two beside it go the other. "" where none is moved."""
        if self.eighths is None or self.eighths.unit != "eighth of a turn":
            return ""
        return "in" if self.move == "open" else "out"


def eighths(change_mm: float) -> Figure:
    """How far the middle screw moves for a change of pitch diameter of `change_mm` millimetres. Source: practice."""
    advance = change_mm * math.pi / (2 * math.tan(math.radians(POINT_HALF_ANGLE_DEG)))
    return Figure(
        "middle screw",
        max(1.0, math.floor(8 * advance / SCREW_PITCH_MM + 0.5)),
        "eighth of a turn",
        "largest of (1, nearest whole of (8 × change of pitch diameter × π ÷ (2 × tan(t)) ÷ screw pitch))",
        WEDGE,
        (
            Given("change of pitch diameter", change_mm, "mm"),
            Given("t", POINT_HALF_ANGLE_DEG, "°"),
            Given("screw pitch", SCREW_PITCH_MM, "mm"),
        ),
        note="t is half the angle of the screw's point. This is a first guess: go in small steps and gauge each time.",
    )


def _taper_advice(verdict: Verdict) -> Advice:
    """A taper thread is sized by how far its die runs on, not by the die's screws."""
    if WANTED[verdict] < 0:
        order = "Run the die on half a turn further, and try again."
        return Advice("leave", order, None, True, again="Die run further")
    order = "This piece cannot be changed. On the next, stop one turn sooner and try the gauge before that."
    return Advice("leave", order, None, False)


_INSIDE: dict[Metal, str] = {
    "over": "Run the tap through again, to its full depth, square and oiled; then try again.",
    "right": "It is right.",
    "under": "Metal cannot be put back. Use a longer screw, an insert or the next size. On the next hole start the "
    "tap square, keep side load off it and check the drill.",
}
"""What there is to do with a tapped hole that has too much metal left, is right, or has too little (practice)."""
_SHAKES_INSIDE = "It passes. On the next hole start the tap more squarely and turn it by hand."


def advise_inside(verdict: Verdict) -> Advice:
    """What to do after a hole was gauged: a tap has no screws to set. Source: practice."""
    order = _SHAKES_INSIDE if verdict == "slight-shake" else _INSIDE[told_metal(verdict)]
    return Advice("leave", order, None, False)


def advise(thread: Thread, verdict: Verdict) -> Advice:
    """Which screws of a three-screw holder to move after a `verdict` of a nut or of go and no-go gauges, which way and
    how far.

    The pointed middle screw in the split opens; the two beside it close and lock. Source: practice.
    """
    if WANTED[verdict] == 0:
        return Advice("leave", "Leave the die as it is.", None, False)
    if thread.taper:
        return _taper_advice(verdict)
    figure = eighths(abs(WANTED[verdict]) * thread.pitch_mm)
    if WANTED[verdict] < 0:
        return Advice("close", close_order(figure), figure, True)
    return Advice("open", open_order(figure, passes=verdict == "slight-shake"), figure, False)


def turn_words(number: float) -> str:
    """So many eighths (a number) of a turn in words.

    >>> turn_words(0.5), turn_words(1), turn_words(2.5)
    ('1/16 turn', '1/8 turn', '5/16 turn')
    >>> turn_words(8), turn_words(9)
    ('1 turn', '1-1/8 turns')
    """
    whole, part = divmod(Fraction(round(number * SIXTEENTHS), 16), 1)
    words = "-".join(str(one) for one in (whole, part) if one) or "0"
    return f"{words} {'turns' if number > TURN else 'turn'}"


def stands_words(eighths: float) -> str:
    """Where a die stands, so many `eighths` (a number) of a turn from where its middle screw touches, opened above 0.

    >>> stands_words(0.5), stands_words(-2), stands_words(0)
    ('opened 1/16 turn', 'closed 1/4 turn', 'with the screw just touching')
    """
    if not eighths:
        return "with the screw just touching"
    return f"{'opened' if eighths > 0 else 'closed'} {turn_words(abs(eighths))}"


def close_order(screw: Figure) -> str:
    """How a die is closed by so much of its middle `screw`. Source: practice."""
    return (
        f"Close the die: slacken the middle screw {turn_words(screw.value)}. Tighten both outer screws evenly "
        "until they bite, then bring the middle screw up until it just touches. Run the die on again."
    )


def set_order(eighths: float) -> str:
    """How a die is set so many `eighths` (a number) of a turn from where its middle screw touches, opened above 0.

    Source: practice.
    """
    seat = (
        "Clean the die and its pocket. Seat it with its marked side to the work and all screws slack. Turn the middle"
    )
    if not eighths:
        return f"{seat} screw in until it touches, then the outer screws until they bite."
    if eighths > 0:
        return (
            f"{seat} screw in until it touches, then {turn_words(eighths)} more. Tighten the outer screws lightly. "
            "Never force it."
        )
    return (
        f"{seat} screw in until it touches, then back it off {turn_words(-eighths)}. Tighten the outer screws "
        "evenly until the middle one touches again."
    )


def open_order(screw: Figure, *, passes: bool) -> str:
    """How a die is opened by so much of its middle `screw` after a piece that `passes`, or not. Source: practice."""
    again = "This piece passes." if passes else "This piece cannot be corrected: metal cannot be put back."
    return (
        f"{again} For the next piece, open the die: slacken both outer screws, turn the middle screw in "
        f"{turn_words(screw.value)}, then tighten the outer screws lightly. Never force it: opened too far, "
        "the die cracks."
    )
