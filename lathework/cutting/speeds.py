"""Spindle speeds from a cutting speed (starting values, practice)."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import replace

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


def geared(wanted: Figure, speeds: Sequence[float]) -> Figure:
    """The speed a lathe has for one that is `wanted`: the fastest of its `speeds` (rev/min, the slowest first) that is
    no faster; its slowest where all are faster; what is wanted where nobody said its speeds. Source: practice."""
    if not speeds:
        return wanted
    slower = [speed for speed in speeds if speed <= wanted.value]
    note = "" if slower else f"The lathe goes no slower; the metal wants {wanted.value:.0f}: light cuts, plenty of oil."
    formula = f"the lathe's, the next slower than {wanted.formula}"
    return replace(wanted, value=slower[-1] if slower else speeds[0], formula=formula, kind="table", note=note)
