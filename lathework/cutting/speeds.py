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


BELIEVED, MOST_BELIEVED = "highest assumed", 800.0
"""Fastest speed in rev/min that is believed of a lathe whose speeds nobody gave (practice)."""
LEAST_SECONDS = 3.0
"""Seconds that whoever stops something by hand must be left (practice)."""
UNKNOWN = (
    "No lathe speeds are given, so the plan stays below {most:g} rev/min. The material would allow {wanted:.0f} "
    "rev/min."
)


def _believed(wanted: Figure) -> Figure:
    """What is believed of a lathe nobody named."""
    if wanted.value <= MOST_BELIEVED:
        return wanted
    return replace(
        wanted,
        value=MOST_BELIEVED,
        formula=f"smallest of ({wanted.formula}, {BELIEVED})",
        inputs=(*wanted.inputs, Given(BELIEVED, MOST_BELIEVED, "rev/min")),
        note=UNKNOWN.format(most=MOST_BELIEVED, wanted=wanted.value),
    )


def stoppable(wanted: Figure, turns: float, speeds: Sequence[float]) -> Figure:
    """A `wanted` speed brought down so far that `turns` (a number) take three seconds at least: what a hand stops, a
    hand must be able to stop. One of the lathe's `speeds` (rev/min), where they are known. Source: practice."""
    most = 60 * turns / LEAST_SECONDS
    if wanted.value <= most:
        return wanted
    slowed = Figure(
        wanted.name,
        most,
        "rev/min",
        "60 × turns to the stop ÷ shortest reaction",
        PRACTICE,
        (Given("turns to the stop", turns), Given("shortest reaction", LEAST_SECONDS, "s")),
        note="No faster: your hand needs three seconds before the stop.",
    )
    return geared(slowed, speeds)


def geared(wanted: Figure, speeds: Sequence[float]) -> Figure:
    """The speed a lathe has for one that is `wanted`: the fastest of its `speeds` (rev/min, the slowest first) that is
    no faster; its slowest where all are faster; what is wanted, up to MOST_BELIEVED, where none are given.

    Source: practice.
    """
    if not speeds:
        return _believed(wanted)
    slower = [speed for speed in speeds if speed <= wanted.value]
    note = (
        ""
        if slower
        else (
            f"The lathe goes no slower; {wanted.value:.0f} rev/min would be right. Take light cuts with plenty of oil."
        )
    )
    formula = f"the next lower speed of the lathe below {wanted.formula}"
    return replace(wanted, value=slower[-1] if slower else speeds[0], formula=formula, kind="table", note=note)
