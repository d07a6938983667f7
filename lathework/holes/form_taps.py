"""The hole for a form tap, which presses its thread, and the drill for it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from functools import cache

from lathework.figures import Figure, Given, Source
from lathework.shop.racks import home
from lathework.tables.drills import Drill
from lathework.tables.loader import load
from lathework.threads.thread import Thread
from lathework.units import convert

FACTOR, PERCENT = 0.0068, 65.0
"""Hole for a form tap: major - 0.0068 x per cent x pitch."""
STEPS = 0.05
"""Steps of the drills for form taps, in millimetres (memory)."""
SOLD = Source("memory", "drills sold for form taps, in steps of 0.05 mm")
OFF = 0.06
"""How far a hole may be from what a form tap wants, in pitches: tight jams it, wide is not filled (practice)."""
TIGHT = 0.01
"""How far a drill may be under that hole, in pitches, before a wider one is taken (practice)."""


@cache
def printed() -> dict[str, float]:
    """Holes that makers print, in millimetres, by the thread."""
    return {row.text("thread"): float(row.number("hole")) for row in load("form_taps").rows}


def form_hole(thread: Thread) -> Figure:
    """Hole for a form tap in the thread's unit: as makers print it, else at 65 per cent, major - 0.0068 x 65 x pitch;
    of a metric thread to the nearest 0.05 mm, as drills for form taps are sold. Source: memory."""
    inputs = (
        Given("major", thread.major, thread.unit),
        Given("per cent", PERCENT, "%"),
        Given("pitch", thread.pitch, thread.unit),
    )
    value, formula = thread.major - FACTOR * PERCENT * thread.pitch, "major − 0.0068 × per cent × pitch"
    source = Source("memory", "hole sizes for form taps, 65 per cent")
    if thread.designation in printed():
        hole = printed()[thread.designation]
        return Figure("hole for a form tap", hole, "mm", "as makers print it", source, inputs, kind="table")
    if thread.unit == "mm":
        value = round(STEPS * math.floor(value / STEPS + 0.5), 2)
        formula = f"{STEPS} × nearest whole of (({formula}) ÷ {STEPS})"
    return Figure("hole for a form tap", value, thread.unit, formula, source, inputs)


def drill_sold(thread: Thread) -> Drill | None:
    """The drill that is sold for a metric form tap; None for an inch one, which takes one of the usual racks."""
    if thread.unit != "mm":
        return None
    wanted = form_hole(thread).value
    return Drill("metric", f"{wanted:g} mm", wanted, "mm", SOLD)


def form_drill(thread: Thread, rack: Sequence[Drill]) -> Drill | None:
    """The drill of a rack for a form tap: of the thread's own rack before another, a wide one before a tight one, in
    which the tap breaks, the nearest; None where none is near. Source: practice."""
    wanted = form_hole(thread).value

    def over(drill: Drill) -> float:
        return convert(drill.diameter, drill.unit, thread.unit) - wanted

    near = [drill for drill in rack if abs(over(drill)) <= OFF * thread.pitch]
    return min(
        near,
        key=lambda one: (not home(thread, one), over(one) < -TIGHT * thread.pitch, abs(over(one))),
        default=None,
    )
