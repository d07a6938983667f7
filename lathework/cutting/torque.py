"""Torque of cutting a thread with a die, and what must hold it."""

from __future__ import annotations

import math
from dataclasses import replace
from typing import Literal

from lathework.figures import PRACTICE, Figure, Given, Source
from lathework.threads.thread import Thread

Tool = Literal["die", "tap"]
ROUGH = Source("practice", "rough rule for a sharp, oiled tap or die; dull or dry doubles it")
FORM_TORQUE = 2.0
"""Torque of a form tap over that of one that cuts (practice)."""
ARM_MM = 150.0
"""From the axis to the hand on a die stock or a tommy bar (practice)."""
HOLDS: tuple[tuple[float, str], ...] = (
    (2.0, "A knurled holder gripped by hand takes this torque."),
    (8.0, "Put a bar in the holder. A plain shank slips in a drill chuck: give it flats or a hexagon."),
    (30.0, "Use a long bar or a keyed holder: a drill chuck or a bare taper slips."),
    (
        math.inf,
        "Too much for a plain holder. Rough the thread out first and finish with the die, or cut it single point.",
    ),
)
"""Torque of a die in N m up to which each will do (practice)."""
TAP_HOLDS: tuple[tuple[float, str], ...] = (
    (2.0, "A small tap wrench held in the fingers takes this torque."),
    (8.0, "Rest a bar wrench on the top slide. A round tap shank slips in a drill chuck."),
    (30.0, "Rest a long wrench against the bed, or hold the tap's square in a keyed holder."),
    (math.inf, "Too much for a wrench: cut most of the thread with a threading tool first, then finish with the tap."),
)
"""Torque of a tap in N m up to which each will do (practice)."""
SLIPS_IN_HAND, SLIPS_IN_CHUCK, SLIPS_IN_HOLDER = 2.0, 8.0, 8.0
"""Torque in N m up to which a holder in the hand, a shank in a drill chuck and a floating die holder still slip in
time (practice)."""


def cutting_torque(thread: Thread, cutting_force: float, *, tool: Tool = "die") -> Figure:
    """Torque of a sharp die or tap in N m: kc P^2 D / 8000, P and D in mm.

    `cutting_force` is kc, the specific cutting force of the metal in N/mm^2. Source: practice, rough.
    """
    # Pitch squared for the section of the chip, diameter for the arm that it acts on; the 8000 holds the height of the
    # form, half a diameter, and a metre in millimetres.
    pitch, major = thread.pitch_mm, thread.major_mm
    return Figure(
        f"torque of the {tool}",
        cutting_force * pitch**2 * major / 8000,
        "N m",
        "cutting force × pitch² × major ÷ 8000",
        ROUGH,
        (
            Given("cutting force", cutting_force, "N/mm²"),
            Given("pitch", pitch, "mm"),
            Given("major", major, "mm"),
        ),
        places=1,
    )


def form_torque(torque: Figure) -> Figure:
    """Torque of a form tap in N m: about twice that of one that cuts, `torque`. Source: practice."""
    return Figure(
        "torque of the form tap",
        FORM_TORQUE * torque.value,
        "N m",
        "2 × torque of a tap that cuts",
        ROUGH,
        (Given(torque.name, torque.value, "N m"),),
        places=1,
    )


def hand_force(torque: Figure) -> Figure:
    """Force at the hand in N for `torque` in N m, 150 mm from the axis. Source: practice."""
    return Figure(
        "force at the hand",
        torque.value / (ARM_MM / 1000),
        "N",
        "1000 × torque ÷ arm",
        PRACTICE,
        (Given("torque", torque.value, "N m"), Given("arm", ARM_MM, "mm")),
        note="10 N is about the weight of 1 kg.",
    )


def what_holds(torque_nm: float, tool: Tool = "die") -> str:
    """What must hold a die or a tap that takes `torque_nm` (newton metres, unit N m). Source: practice."""
    return next(words for most, words in (HOLDS if tool == "die" else TAP_HOLDS) if torque_nm <= most)


def with_holding(torque: Figure, tool: Tool, *, by_torque: bool) -> Figure:
    """A `torque` with what must be said of holding it: what to hold the `tool` with, where that goes `by_torque`, and
    wherever it is past what any holder bears. Source: practice."""
    words = what_holds(torque.value, tool)
    return replace(torque, note=words if by_torque or words == what_holds(math.inf, tool) else "")
