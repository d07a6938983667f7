"""What a die is set by: the eighths of a turn of a split die's middle screw, or the graduations of a die head or of an
adjustable tap."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace
from typing import Literal

from lathework.dies.setting import (
    POINT_HALF_ANGLE_DEG,
    SCREW_PITCH_MM,
    close_order,
    open_order,
    set_order,
    stands_words,
    turn_words,
)
from lathework.figures import Figure
from lathework.units import Unit

By = Literal["screw", "graduations", "tap"]
SLOPE_MM = 2 * SCREW_PITCH_MM / 8 * math.tan(math.radians(POINT_HALF_ANGLE_DEG)) / math.pi
"""What an eighth of a turn opens a die by, as the wedge of its screw says."""
SLOPE_SPREAD = 0.4
"""How far a die's slope may be from that, as a share of it: a factor of two either way is rare (practice)."""
USUAL_GRADUATION_MM = 0.025
"""What a graduation of a head makes on the diameter where nobody said: a thousandth of an inch (practice)."""
KNOWN_SPREAD, SUPPOSED_SPREAD = 0.1, 0.5
"""How far a graduation may be from what was said of it, and from what is supposed, as a share of it (practice)."""
MOST_GRADUATIONS = 12.0
"""A head is opened or closed no farther from its mark: past that its chasers cut no true form (practice)."""


@dataclass(frozen=True, slots=True)
class Scale:
    """A way of setting: what one mark of it makes on the pitch diameter in millimetres and, as a share of that, how far
    off it may be; in what steps it is set, and how far from where it touches, or from its mark, at most.

    Marks count up as more metal is left: a die or a head is opened for that, and a tap is closed.
    """

    by: By
    slope_mm: float
    spread: float
    step: float
    most: float
    unit: Unit

    def words(self, marks: float) -> str:
        """So many `marks` (a number) in words.

        >>> SCREW.words(2), graduations(0.02).words(3), graduations(0.02).words(1)
        ('1/4 turn', '3 graduations', 'one graduation')
        """
        if self.by == "screw":
            return turn_words(marks)
        return "one graduation" if marks == 1 else f"{marks:g} graduations"

    def stands(self, marks: float) -> str:
        """Where it stands, so many `marks` (a number) from where it touches, or from its mark.

        >>> SCREW.stands(0), graduations(0.02).stands(-2), graduations(0.02).stands(0)
        ('with the screw just touching', 'closed 2 graduations', 'at its mark')
        """
        if self.by == "screw":
            return stands_words(marks)
        if not marks:
            return "at its mark"
        return f"{'opened' if self.opened(marks) > 0 else 'closed'} {self.words(abs(marks))}"

    def opened(self, marks: float) -> float:
        """So many `marks` as a person says them, opened above 0; and back (both numbers).

        >>> SCREW.opened(2), graduated_tap(None).opened(2)
        (2, -2)
        """
        return -marks if self.by == "tap" and marks else marks

    @property
    def sets(self) -> Literal["die", "head", "tap"]:
        """What is set by it."""
        return "die" if self.by == "screw" else "head" if self.by == "graduations" else "tap"

    def set_order(self, marks: float) -> str:
        """How it is set so many `marks` (a number) open before it runs. Source: practice."""
        if self.by == "screw":
            return set_order(marks)
        to = "Set the scale to its mark" if not marks else f"Set the scale {self.stands(marks)} from its mark"
        clean = "Blades clean" if self.by == "tap" else "Chasers clean, each in its slot"
        return f"{clean}, none loose. {to}, always finishing in the same direction."

    def close_order(self, moved: Figure) -> str:
        """How it is closed by so much. Source: practice."""
        if self.by == "screw":
            return close_order(moved)
        if self.by == "tap":
            return f"Open the tap by {self.words(moved.value)} of its scale, and run it through again, slowly."
        return f"Close the head by {self.words(moved.value)} of its scale, and run it on again, slowly."

    def open_order(self, moved: Figure, *, passes: bool) -> str:
        """How it is opened by so much after a piece that `passes`, or not. Source: practice."""
        if self.by == "screw":
            return open_order(moved, passes=passes)
        again = "This piece passes." if passes else "This piece cannot be corrected: metal cannot be put back."
        move = "close the tap" if self.by == "tap" else "open the head"
        return f"{again} For the next piece, {move} by {self.words(moved.value)} of its scale."


SCREW = Scale("screw", SLOPE_MM, SLOPE_SPREAD, 0.5, 4.0, "eighth of a turn")


def graduations(each_mm: float | None) -> Scale:
    """The scale of a die head whose graduations make so much each (millimetres, None where nobody said). Source:
    practice."""
    usual, spread = (USUAL_GRADUATION_MM, SUPPOSED_SPREAD) if each_mm is None else (each_mm, KNOWN_SPREAD)
    return Scale("graduations", usual, spread, 1.0, MOST_GRADUATIONS, "graduation")


def graduated_tap(each_mm: float | None) -> Scale:
    """The scale of an adjustable tap, as that of a head: opened, it leaves less metal. `each_mm` in millimetres.

    >>> graduated_tap(0.02).stands(2), graduated_tap(0.02).stands(-1)
    ('closed 2 graduations', 'opened one graduation')
    """
    return replace(graduations(each_mm), by="tap")
