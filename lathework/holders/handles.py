"""The handles of a die stock: what they must turn, how long they are, of what thread and rod."""

from __future__ import annotations

import math
from dataclasses import dataclass

from lathework.cutting.taper_blank import PULL_N
from lathework.cutting.torque import cutting_torque
from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.holders.design import STEPS, Overruled
from lathework.shop.metals import Material
from lathework.threads.designation import read_designation
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

ENGAGED = 1.25
"""How many of its diameters a handle is screwed in: the wall of the ring (practice)."""
DULL = 2.0
"""A dull or dry die wants so many times the torque of a sharp one (practice)."""
LEAST_ARM = 2.5
"""A handle reaches so many diameters of the die from its axis at least (practice)."""
BENDS_AT = 300.0
"""Stress in N/mm² at which a handle of bright mild steel begins to bend where it is screwed in (practice)."""
HANDLES: dict[LengthUnit, tuple[str, ...]] = {
    "in": ("1/4-20", "5/16-18", "3/8-16", "1/2-13", "5/8-11", "3/4-10"),
    "mm": ("M6", "M8", "M10", "M12", "M16", "M20"),
}
ROD_MORE = 1.3
"""A handle's rod over its thread, so that it stops on a shoulder (practice)."""
SHORT_MM = 1.0
"""How far the end of a handle stays clear of the pocket (practice)."""


@dataclass(frozen=True, slots=True)
class Handles:
    """The handles: how much they must turn, how long, of what thread and rod; whether the stoutest still bends."""

    torque: Figure
    arm: Figure
    thread: Thread
    rod: Figure
    bends: bool = False


def _torque(thread: Thread, metal: Material) -> Figure:
    sharp = cutting_torque(thread, metal.cutting_force)
    inputs = (Given("sharp die's torque", sharp.value, "N m"), Given("dull", DULL))
    return Figure("torque of a dull die", sharp.value * DULL, "N m", "sharp die's torque × dull", PRACTICE, inputs)


def _arm(torque: Figure, die_mm: float, unit: LengthUnit) -> Figure:
    """From the axis to the hand."""
    by_force, least = 1000 * torque.value / (2 * PULL_N), LEAST_ARM * die_mm
    inputs = (
        Given("torque", torque.value, "N m"),
        Given("pull of one hand", PULL_N, "N"),
        Given("die's diameter", convert(die_mm, "mm", unit), unit),
    )
    scale = (
        "1000 × torque ÷ (2 × pull of one hand)" if unit == "mm" else "1000 ÷ 25.4 × torque ÷ (2 × pull of one hand)"
    )
    formula = f"largest of ({scale}, 2.5 × die's diameter)"
    return Figure("handle from the axis", convert(max(by_force, least), "mm", unit), unit, formula, PRACTICE, inputs)


def _screwed(torque: Figure, arm_mm: float, ring_mm: float, unit: LengthUnit) -> tuple[Thread, bool]:
    """The thread of the handles, the first whose root bears half the torque where it leaves the ring; else the last,
    and that it bends."""
    bent = 1000 * torque.value / 2 * max(0.0, 1 - ring_mm / 2 / arm_mm)
    threads = [read_designation(name) for name in HANDLES[unit]]
    bears = [thread for thread in threads if 32 * bent / (math.pi * thread.minor_mm**3) <= BENDS_AT]
    return (bears[0], False) if bears else (threads[-1], True)


def _rod(thread: Thread, unit: LengthUnit) -> Figure:
    step, across = STEPS[unit], convert(thread.major_mm, "mm", unit)
    return Figure(
        "handle rod",
        step * math.ceil(ROD_MORE * across / step - 1e-9),
        unit,
        "next whole of (1.3 × handle's thread ÷ step of bars) × step of bars",
        PRACTICE,
        (Given("handle's thread", across, unit), Given("step of bars", step, unit)),
    )


def handles_for(thread: Thread, metal: Material, die_mm: float, own: Overruled) -> Handles:
    """The handles for a `thread` in a `metal`, of a stock for a die `die_mm` across (millimetres). Source: practice."""
    torque, unit = _torque(thread, metal), own.unit
    arm = own.of("arm", _arm(torque, die_mm, unit))
    screwed, bends = _screwed(torque, convert(arm.value, unit, "mm"), die_mm, unit)
    return Handles(torque, arm, screwed, own.of("rod", _rod(screwed, unit)), bends)


def handle_long(handles: Handles, across: Figure, unit: LengthUnit) -> Figure:
    """How long a handle is in all, for a ring so wide, told in `unit`."""
    inside, short = (ENGAGED * convert(handles.thread.major_mm, "mm", unit), convert(SHORT_MM, "mm", unit))
    return Figure(
        "handle length",
        handles.arm.value - across.value / 2 + inside - short,
        unit,
        "handle from the axis − ring across ÷ 2 + screwed in − clear of the pocket",
        GEOMETRY,
        (Given("handle from the axis", handles.arm.value, unit), Given("ring across", across.value, unit))
        + (Given("screwed in", inside, unit), Given("clear of the pocket", short, unit)),
        fine=False,
    )
