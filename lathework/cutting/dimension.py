"""What is measured of a step: where it begins, what it is to be, and how it is brought there."""

from __future__ import annotations

from typing import Literal, get_args

from lathework.shop.lathe_facts import Dial
from lathework.value import value

Measured = Literal[
    "diameter",
    "far-end",
    "length",
    "width",
    "bore",
    "depth",
    "over-flat",
    "across-flats",
    "chamfer",
    "mouth",
    "run-out",
]
MEASURED: tuple[Measured, ...] = get_args(Measured)
Move = Literal["cross-slide", "carriage", "feed", "down", "each-face", "knock", "none"]
"""What brings it nearer: the cross slide; the carriage or the top slide; the drill; the table of the mill or the file,
on one face, or on two in turn; a knock on the work in its chuck; nothing that can be dialled."""
MOVE_WORDS: dict[Move, str] = {
    "cross-slide": "dial in ({dial})",
    "carriage": "face off along the bed",
    "feed": "feed deeper by",
    "down": "mill or face off this face",
    "each-face": "take off each of the two faces",
    "knock": "knock it over by",
    "none": "still to go",
}
LEARNED: tuple[Move, ...] = ("cross-slide",)
"""Where what comes off is learned against what was dialled: a slide against a springing tool."""


@value
class Target:
    """A size to bring something to, and the band that counts as on size, in millimetres."""

    low_mm: float
    aim_mm: float
    high_mm: float

    def about(self, aim_mm: float) -> Target:
        """The same band seen from the other side of an aim of `aim_mm` (millimetres)."""
        return Target(2 * aim_mm - self.high_mm, self.aim_mm, 2 * aim_mm - self.low_mm)


@value
class Dimension:
    """One size that a step makes and a person can measure.

    `name` is what it is called, `how` what it is measured with; it is `start_mm` when the step begins, at most
    `most_mm` are taken at once, and it `grows` as metal comes off, like a bore. `sizes_mm` are those after each planned
    cut, the last one the aim; `leaves_mm` is what roughing leaves for a finishing cut. All in millimetres.
    """

    measured: Measured
    name: str
    target: Target
    start_mm: float
    most_mm: float
    move: Move
    how: str = ""
    grows: bool = False
    sizes_mm: tuple[float, ...] = ()
    leaves_mm: float = 0.0


def halved(move: Move, dial: Dial) -> bool:
    """Whether a move is half of what it takes off a size: on a radius dial, on each of two faces, of a whole swing."""
    return move in ("each-face", "knock") or (move == "cross-slide" and dial == "radius")


def came_off(dimension: Dimension, before_mm: float, after_mm: float) -> float:
    """How much a size changed between two readings (millimetres) as metal came off; below 0 where it went back."""
    return after_mm - before_mm if dimension.grows else before_mm - after_mm
