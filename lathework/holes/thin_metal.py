"""A thread tapped through thin metal: how many turns hold, what share of the screw's strength, what helps."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.figures import GEOMETRY, Figure, Given
from lathework.holes.strength import Strip, share_held
from lathework.threads.library import library
from lathework.threads.thread import Thread

ENOUGH_TURNS = 4.0
"""Turns from which a tapped hole is not called thin (practice)."""
FEWEST_TURNS = 1.5
"""Turns under which tapping is not worth it (practice)."""
FULLER_PERCENT = 80.0
"""Per cent thread that thin metal wants, where torque is small (practice)."""


@dataclass(frozen=True, slots=True)
class ThinMetal:
    """Turns in the metal, the share of the screw's strength they hold, and what to do about it."""

    turns: Figure
    holds: Figure
    advice: tuple[str, ...]


def finer(thread: Thread) -> Thread | None:
    """The next finer thread of the same family and diameter, or None."""
    found = [
        one
        for one in library()
        if one.family == thread.family and abs(one.major - thread.major) < 1e-9 and one.pitch < thread.pitch - 1e-9
    ]
    return max(found, key=lambda one: one.pitch, default=None)


def thin_metal(thread: Thread, thickness: float, strip: Strip) -> ThinMetal:
    """A hole of `thread` through metal of `thickness` (the thread's unit). Source: FED-STD-H28/2B; advice: practice."""
    turns = thickness / thread.pitch
    advice = []
    if turns < FEWEST_TURNS:
        advice.append("Too thin to tap. Use a plain hole and a nut, or a nut riveted, pressed or brazed on.")
    elif turns < ENOUGH_TURNS:
        advice.append(f"Drill for about {FULLER_PERCENT:g} % thread: in these few turns the torque is small.")
    if turns < ENOUGH_TURNS:
        fine = finer(thread)
        if fine is not None:
            advice.append(f"{fine.designation} puts {thickness / fine.pitch:.1f} turns in it.")
        advice.append("Punch the hole small and push it through a die into a flange: that about doubles the thread.")
        advice.append("Clamp sheet flat on wood: when the drill breaks through, loose sheet climbs it and spins.")
    return ThinMetal(
        turns=Figure(
            "turns in the metal",
            turns,
            "turn",
            "thickness ÷ pitch",
            GEOMETRY,
            (Given("thickness", thickness, thread.unit), Given("pitch", thread.pitch, thread.unit)),
            places=1,
        ),
        holds=share_held(strip, Given("thickness", thickness, thread.unit)),
        advice=tuple(advice),
    )
