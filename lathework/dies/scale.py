"""What a die is set by: the eighths of a turn of a split die's middle screw, or the graduations of a die head."""

from __future__ import annotations

import math
from dataclasses import dataclass
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

By = Literal["screw", "graduations"]
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
    off it may be; in what steps it is set, and how far from where it touches, or from its mark, at most."""

    by: By
    slope_mm: float
    spread: float
    step: float
    most: float
    unit: Unit

    def words(self, marks: float) -> str:
        """So many `marks` (a number) in words.

        >>> SCREW.words(2), graduations(0.02).words(3), graduations(0.02).words(1)
        ('2 eighths of a turn', '3 graduations', 'one graduation')
        """
        if self.by == "screw":
            return turn_words(marks)
        return "one graduation" if marks == 1 else f"{marks:g} graduations"

    def stands(self, marks: float) -> str:
        """Where it stands, opened above 0: so many `marks` (a number).

        >>> SCREW.stands(0), graduations(0.02).stands(-2), graduations(0.02).stands(0)
        ('as its screw touches', 'closed 2 graduations', 'at its mark')
        """
        if self.by == "screw":
            return stands_words(marks)
        return f"{'opened' if marks > 0 else 'closed'} {self.words(abs(marks))}" if marks else "at its mark"

    def set_order(self, marks: float) -> str:
        """How it is set so many `marks` (a number) open before it runs. Source: practice."""
        if self.by == "screw":
            return set_order(marks)
        to = "Set the scale to its mark" if not marks else f"Set the scale {self.stands(marks)} from its mark"
        return f"Chasers clean, each in its slot, none slack. {to}, always turning it the same way at the last."

    def close_order(self, moved: Figure) -> str:
        """How it is closed by so much. Source: practice."""
        if self.by == "screw":
            return close_order(moved)
        return f"Close the head by {self.words(moved.value)} of its scale, and run it on again, slowly."

    def open_order(self, moved: Figure, *, passes: bool) -> str:
        """How it is opened by so much after a piece that `passes`, or not. Source: practice."""
        if self.by == "screw":
            return open_order(moved, passes=passes)
        again = "This piece passes." if passes else "This piece stays as it is: metal cannot be put back."
        return f"{again} For the next, open the head by {self.words(moved.value)} of its scale."


SCREW = Scale("screw", SLOPE_MM, SLOPE_SPREAD, 0.5, 4.0, "eighth of a turn")


def graduations(each_mm: float | None) -> Scale:
    """The scale of a die head whose graduations make so much each (millimetres, None where nobody said). Source:
    practice."""
    usual, spread = (USUAL_GRADUATION_MM, SUPPOSED_SPREAD) if each_mm is None else (each_mm, KNOWN_SPREAD)
    return Scale("graduations", usual, spread, 1.0, MOST_GRADUATIONS, "graduation")
