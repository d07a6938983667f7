"""Before metal is cut: the odds that the next thread is in its class and that its mate goes on, here and a step on."""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass
from statistics import NormalDist

from lathework.dies.after_verdict import LEARNED, chance
from lathework.dies.learner import Belief
from lathework.dies.trial import Forecast
from lathework.figures import Figure, Given
from lathework.gauging.tried import TRIED, Gauge
from lathework.threads.standards.bands import InternalLimits
from lathework.threads.thread import Thread
from lathework.units import Millimetres, convert

ROOT_OVER, ROOT_STRAYS = 0.04, 0.025
"""How far the root of a nut lies over its least major diameter, and how far that differs, in pitches: taps are made
somewhat large there (practice)."""


@dataclass(frozen=True, slots=True)
class Mate:
    """What a thread is to be tried with: of which kind, the very one by its `name`; how much `room` its root leaves
    over the blank as measured and how far that may be off (millimetres), None where nobody measured the blank."""

    tried: Gauge = ""
    name: str = ""
    room: tuple[Millimetres, Millimetres] | None = None


@dataclass(frozen=True, slots=True)
class Odds:
    """The odds at a setting, in marks of its scale: that the thread is in its class; that its mate goes on, None where
    it is tried with gauges."""

    eighths: float
    within: Figure
    goes_on: Figure | None


def room_over(thread: Thread, nut: InternalLimits | None, blank_mm: Millimetres) -> tuple[Millimetres, Millimetres]:
    """How much room the root of a nut leaves over a blank of `blank_mm`, and how far that may be off. Source: practice;
    the nut's least major diameter is that of its standard, else the thread's own."""
    least = thread.major if nut is None else nut.major_min.value
    root = convert(least, thread.unit, "mm") + ROOT_OVER * thread.pitch_mm
    return root - blank_mm, ROOT_STRAYS * thread.pitch_mm


def _share_above(mean: float, spread: float) -> float:
    return 1 - NormalDist(mean, spread).cdf(0.0)


def goes_on(belief: Belief, forecast: Forecast, metal: str, mate: Mate) -> Figure:
    """The chance that a mate goes on the next thread, in per cent (unit %). Source: practice; the normal law."""
    law = belief.clearance(forecast, metal, mate.tried, mate.name)
    name = "chance that the screw goes in" if belief.scale.by == "tap" else "chance that the nut goes on"
    flanks = Given("clearance", law.mean, "mm"), Given("spread", law.stdev, "mm")
    formula = "50 × (1 + erf(clearance ÷ (spread × √(2))))"
    note = "Clearance and spread are on the pitch diameter."
    if mate.room is None:
        return Figure(name, 100 * _share_above(law.mean, law.stdev), "%", formula, LEARNED, flanks, note=note)
    room, strays = mate.room
    return Figure(
        name,
        100 * _share_above(law.mean, law.stdev) * _share_above(room, strays),
        "%",
        f"{formula} × (1 + erf(room ÷ (spread of the room × √(2)))) ÷ 2",
        LEARNED,
        (*flanks, Given("room", room, "mm"), Given("spread of the room", strays, "mm")),
        note=f"{note} Room is between the blank as measured and the root of the nut.",
    )


def odds_about(belief: Belief, eighths: float, metal: str, mate: Mate) -> Iterator[Odds]:
    """The odds at a setting of so many `eighths` (marks, a number) and a step of the scale either way, the most closed
    first."""
    scale = belief.scale
    for marks in (eighths - scale.step, eighths, eighths + scale.step):
        if not math.isclose(abs(marks), scale.most) and abs(marks) > scale.most:
            continue
        forecast = belief.forecast(marks, metal)
        on = goes_on(belief, forecast, metal, mate) if TRIED[mate.tried].spread else None
        yield Odds(marks, chance(forecast, belief.aim, "chance of being in class"), on)
