"""Counting the turns of a die or a tap: what is done at which turn, and where it ends."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal

from lathework.figures import GEOMETRY, Figure, Given
from lathework.job.model import Setup
from lathework.methods.reversing import COMING_OFF
from lathework.planning.operation import Operation

COUNTED = ("thread", "finish", "tap")
"""Kinds of steps whose turns are counted."""
BACK = "Turn back a little."
OFF = "Switch off."
END = "That is the last turn."
SPEEDS_TOLD = 3
"""Speeds of the lathe that are told of."""
Sign = Literal["back", "off", "end"]


@dataclass(frozen=True, slots=True)
class Beat:
    """What is done when so many turns were made; `off` where the spindle is switched off with it, and slows."""

    turn: float
    sign: Sign
    words: str
    off: bool = False


@dataclass(frozen=True, slots=True)
class AtSpeed:
    """At a `speed` really used (rev/min): how long all turns take, what the die travels in a minute, and how long the
    spindle takes to stand once it is off."""

    speed: float
    seconds: Figure
    travel: Figure
    stands: Figure


@dataclass(frozen=True, slots=True)
class Count:
    """How many `turns` there are, by how much one press counts on, and what is done on the way, in order; under power
    also what each speed that may be used comes to, the fastest first."""

    turns: float
    step: float
    beats: tuple[Beat, ...]
    speeds: tuple[AtSpeed, ...] = ()


def _at_speed(step: Operation, turns: float, speed: float, run_down: float) -> AtSpeed:
    """What a `speed` in rev/min comes to for so many `turns`, of a spindle that runs on for `run_down` turns (both
    numbers). Source: geometry; the spindle slows evenly."""
    lead = step.figures["advance"]
    given = Given("speed", speed, "rev/min")
    seconds = Figure(
        "time for all turns", 60 * turns / speed, "s", "60 × turns ÷ speed", GEOMETRY, (Given("turns", turns), given)
    )
    travel = Figure(
        "travel in a minute",
        lead.value * speed,
        lead.unit,
        "lead × speed",
        GEOMETRY,
        (Given("lead", lead.value, lead.unit), given),
        places=2,
    )
    stands = Figure(
        "time to stop",
        120 * run_down / speed,
        "s",
        "60 × 2 × runs on for ÷ speed",
        GEOMETRY,
        (Given("runs on for", run_down, "turn"), given),
        places=1,
        note="It slows evenly, so on average it turns at half speed.",
    )
    return AtSpeed(speed, seconds, travel, stands)


def _speeds(step: Operation, turns: float, setup: Setup) -> tuple[AtSpeed, ...]:
    """The speeds that may be used, no faster than the plan's, the fastest first; its own where none are known."""
    most = step.figures["speed"].value
    slower = [speed for speed in setup.speeds if speed <= most][-SPEEDS_TOLD:] or [most]
    return tuple(_at_speed(step, turns, speed, setup.run_down_turns) for speed in reversed(slower))


def count_of(step: Operation, setup: Setup) -> Count | None:
    """The count of a step on the lathe of that `setup`; None where nothing is counted.

    By hand the chip is broken after the turns that its metal wants; under power the spindle is switched off before the
    end, as it runs on, and stands before it is reversed. Source: practice.
    """
    # A tap that is driven to its gauge tells how far a fitting goes in: those are no turns of the tap.
    turns = step.figures.get("turns") if step.headline == "turns" else None
    if turns is None or step.kind not in COUNTED or turns.value <= 0:
        return None
    after = step.figures["rhythm"].value if "rhythm" in step.figures else 0.0
    off = step.figures.get("stop") if "seconds" in step.figures else None
    each = 0.5 if 0 < after < 1 else 1.0
    if off is not None:
        at, end = off.value, Beat(turns.value, "end", _comes_off(step))
        beats: tuple[Beat, ...] = (Beat(at, "off", OFF, off=True), end)
        if at >= turns.value:
            # One that does not run on is switched off at the end.
            beats = (replace(end, words=f"{OFF} {end.words}", off=True),)
        return Count(turns.value, 1.0, beats, _speeds(step, turns.value, setup))
    return Count(turns.value, each, tuple(_by_hand(turns.value, after)))


def _comes_off(step: Operation) -> str:
    """How the die or tap of a step under power comes off: the words of its own caution."""
    return next(caution.do for caution in step.cautions if caution.code == COMING_OFF)


def _by_hand(turns: float, after: float) -> Iterator[Beat]:
    """Back after so many turns, until all are made (both a number of turns)."""
    made = after
    while 0 < made < turns:
        yield Beat(made, "back", BACK)
        made += after
    yield Beat(turns, "end", END)
