"""Where a threading tool comes to rest: the time there is for it, at the speed the spindle turns."""

from __future__ import annotations

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.threads.thread import Thread
from lathework.units import convert

REACTION_S = 0.5
"""Seconds in which a hand that waits for it opens the nuts or draws the tool out (practice)."""
BY_HAND_UNDER = 20.0
"""Under that speed in rev/min the last turns are made by hand (practice)."""


def travel(thread: Thread, speed: Figure) -> Figure:
    """How far the carriage moves in a minute at `speed` (rev/min), in the thread's unit."""
    return Figure(
        "carriage in a minute",
        speed.value * thread.lead,
        thread.unit,
        "speed × lead",
        GEOMETRY,
        (Given("speed", speed.value, "rev/min"), Given("lead", thread.lead, thread.unit)),
        fine=False,
    )


def room_wanted(thread: Thread, speed: Figure) -> Figure:
    """How wide a groove lets a hand react at `speed`: reaction x rev/min / 60 x lead, in the thread's unit."""
    return Figure(
        "needed by the hand",
        REACTION_S * speed.value / 60 * thread.lead,
        thread.unit,
        "reaction × speed ÷ 60 × lead",
        PRACTICE,
        (
            Given("reaction", REACTION_S, "s"),
            Given("speed", speed.value, "rev/min"),
            Given("lead", thread.lead, thread.unit),
        ),
        fine=False,
        note="How far the tool travels while a hand opens the half nuts.",
    )


def fastest(thread: Thread, room_mm: float) -> Figure:
    """The fastest speed in rev/min at which a hand reacts within `room_mm` (millimetres). Source: practice.

    60 x room / (reaction x lead).
    """
    lead = convert(thread.lead, thread.unit, "mm")
    return Figure(
        "fastest for the groove",
        60 * room_mm / (REACTION_S * lead),
        "rev/min",
        "60 × room ÷ (reaction × lead)",
        PRACTICE,
        (Given("room", room_mm, "mm"), Given("reaction", REACTION_S, "s"), Given("lead", lead, "mm")),
    )
