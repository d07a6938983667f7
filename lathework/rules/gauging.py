"""Gauging: best wire, measurement over three wires, and what a nut's verdict means."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal, get_args

from lathework.figures import Figure, Given, Source
from lathework.threads.thread import Thread

WIRES = Source("handbook", "three-wire formulas of the form's flank angle; lead angle neglected")
Verdict = Literal["will-not-start", "binds", "snug", "slight-shake", "loose"]
VERDICTS: tuple[Verdict, ...] = get_args(Verdict)


@dataclass(frozen=True, slots=True)
class VerdictMeaning:
    """A nut's verdict in words, and whether the thread passes with it."""

    code: Verdict
    words: str
    passes: bool


MEANINGS: dict[Verdict, VerdictMeaning] = {
    "will-not-start": VerdictMeaning("will-not-start", "will not start", False),
    "binds": VerdictMeaning("binds", "starts, then binds", False),
    "snug": VerdictMeaning("snug", "snug, turns by hand, no shake", True),
    "slight-shake": VerdictMeaning("slight-shake", "slight shake", True),
    "loose": VerdictMeaning("loose", "loose", False),
}


def best_wire(thread: Thread) -> Figure:
    """Best wire diameter, P / (2 cos(a/2)), in the thread's unit."""
    return Figure(
        "best wire",
        thread.form.best_wire * thread.pitch,
        thread.unit,
        "pitch ÷ (2 cos(half the flank angle))",
        WIRES,
        (Given("pitch", thread.pitch, thread.unit), Given("flank angle", thread.form.angle_deg, "°")),
    )


def over_wires(thread: Thread, wire: float, pitch_diameter: float, name: str = "over the wires") -> Figure:
    """Measurement over three wires of diameter `wire` at `pitch_diameter`, all in the thread's unit; called `name`.

    M = d2 + W (1 + 1/sin(a/2)) - (P/2) cot(a/2).
    """
    half = math.radians(thread.form.angle_deg / 2)
    return Figure(
        name,
        pitch_diameter + wire * (1 + 1 / math.sin(half)) - thread.pitch / 2 / math.tan(half),
        thread.unit,
        "pitch diameter + wire × (1 + 1 ÷ sin(a/2)) − pitch/2 × cot(a/2)",
        WIRES,
        (
            Given("pitch diameter", pitch_diameter, thread.unit),
            Given("wire", wire, thread.unit),
            Given("pitch", thread.pitch, thread.unit),
            Given("flank angle a", thread.form.angle_deg, "°"),
        ),
    )
