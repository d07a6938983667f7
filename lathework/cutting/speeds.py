"""Spindle speeds from a cutting speed (starting values, practice)."""

from __future__ import annotations

import math

from lathework.figures import PRACTICE, Figure, Given


def spindle_speed(cutting_speed: float, diameter_mm: float, *, name: str) -> Figure:
    """Spindle speed in rev/min for `cutting_speed` in m/min at `diameter_mm`: 1000 v / (pi d)."""
    return Figure(
        name,
        1000 * cutting_speed / (math.pi * diameter_mm),
        "rev/min",
        "1000 × cutting speed ÷ (π × diameter)",
        PRACTICE,
        (Given("cutting speed", cutting_speed, "m/min"), Given("diameter", diameter_mm, "mm")),
        note="Take the nearest slower speed the lathe has.",
    )
