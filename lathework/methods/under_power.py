"""Whether a die or a tap may be run on under power."""

from __future__ import annotations

import math
from collections.abc import Sequence

from lathework.cutting.roughing import SLOWEST
from lathework.cutting.speeds import LEAST_SECONDS, spindle_speed
from lathework.figures import Figure
from lathework.shop.lathe_facts import Mount
from lathework.shop.metals import Material
from lathework.threads.thread import Thread
from lathework.units import convert

LEAST_DRIVEN = 2.0
"""Turns a die must have made under power before the spindle is switched off: it has drawn itself on (practice)."""


def why_not_driven(
    thread: Thread, *, mount: Mount, speeds: Sequence[float], metal: Material, torque: Figure, slips_nm: float
) -> str:
    """Why a die or a tap is not run on under power; "" where it may be.

    `speeds` are the lathe's in rev/min, the slowest first; its holder slips at `slips_nm` (unit N m). Source: practice.
    """
    if thread.hand == "left" and mount != "locked":
        return "is left-hand, and cutting in reverse can unscrew a screwed-on chuck"
    if torque.value > slips_nm:
        return f"takes {torque.value:.1f} N m, more than may slip under power"
    wanted = spindle_speed(metal.thread_speed, thread.major_mm, name="speed").value
    if speeds and wanted < speeds[0]:
        return f"needs {wanted:.0f} rev/min, and this lathe goes no slower than {speeds[0]:g}"
    return f"needs {wanted:.0f} rev/min, slower than lathes commonly go" if not speeds and wanted < SLOWEST else ""


def why_too_short(thread: Thread, length_mm: float, runs_on: float, speeds: Sequence[float] = ()) -> str:
    """Why a thread of `length_mm` (millimetres) is over before the spindle could be switched off; "" where it has turns
    enough for one that `runs_on` so many turns (a number), at the slowest of the lathe's `speeds` (rev/min).

    Source: practice.
    """
    turns = length_mm / convert(thread.lead, thread.unit, "mm")
    slowest = speeds[0] if speeds else SLOWEST
    seconds = 60 * max(0.0, math.floor(turns - runs_on)) / slowest
    if turns - runs_on >= LEAST_DRIVEN and seconds >= LEAST_SECONDS:
        return ""
    if turns - runs_on >= LEAST_DRIVEN:
        return f"is to be switched off after {seconds:.1f} s at {slowest:g} rev/min: a hand needs {LEAST_SECONDS:g}"
    return f"has some {turns:.0f} turns, and the spindle runs on for {runs_on:g}: it could not be stopped in time"
