"""How a die or a tap is driven: by hand or under power, how fast, when to turn it back; what is roughed out for it."""

from __future__ import annotations

from dataclasses import replace

from lathework.cutting.roughing import HAND_BEARS_NM, SLOWEST, rough_count, torque_left
from lathework.cutting.speeds import spindle_speed
from lathework.cutting.torque import Tool, with_holding
from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.methods.chase import advance
from lathework.planning.work import Work
from lathework.threads.thread import Thread
from lathework.units import convert

CHASING_SHARE = 2.0
"""Speed of a threading tool over that of a die or a tap (practice)."""
STILL_MUCH = "Still more than one hand turns steadily: a long bar and two hands, or the threading tool to size."
LEAD_LEFT = "Left-hand: the leadscrew runs the other way, and the tool from the shoulder out."


def rhythm(work: Work) -> Figure:
    """Turns after which a die or a tap is turned back to break its chip. Source: practice."""
    return Figure(
        "turn back after",
        work.job.material.back_off_turns,
        "turn",
        "by the metal",
        PRACTICE,
        kind="table",
        places=0 if work.job.material.back_off_turns >= 1 else 1,
        note="A little back breaks the chip; never as far as it went forward.",
    )


def turn_back(work: Work) -> str:
    """How far to turn back, and how often: less than was cut. Source: practice."""
    after = work.job.material.back_off_turns
    if after < 1:
        return "turn back a quarter turn after each half turn"
    return f"turn back half a turn after {'each turn' if after == 1 else f'every {after:g} turns'}"


LEAST_DRIVEN = 2.0
"""Turns a die must have made under power before the spindle is switched off: it has drawn itself on (practice)."""


def why_by_hand(work: Work, thread: Thread, torque: Figure, slips_nm: float) -> str:
    """Why a die or a tap is not run on under power; "" where it may be. Its holder slips at `slips_nm` (unit N m).

    Source: practice.
    """
    if thread.hand == "left" and work.job.setup.mount != "locked":
        return "is left-hand, and a spindle that runs backward to cut unscrews a screwed-on chuck"
    if torque.value > slips_nm:
        return f"takes {torque.value:.1f} N m, more than may slip under power"
    metal, own = work.job.material, work.job.setup.speeds
    wanted = spindle_speed(metal.thread_speed, thread.major_mm, name="speed").value
    if own and wanted < own[0]:
        return f"needs {wanted:.0f} rev/min, and this lathe goes no slower than {own[0]:g}"
    return f"needs {wanted:.0f} rev/min, slower than lathes commonly go" if not own and wanted < SLOWEST else ""


def too_short(work: Work, thread: Thread, length_mm: float) -> str:
    """Why a thread of `length_mm` (millimetres) is over before the spindle could be switched off; "" where it has turns
    enough. Source: practice."""
    turns, runs_on = length_mm / convert(thread.lead, thread.unit, "mm"), work.job.setup.run_down_turns
    if turns - runs_on >= LEAST_DRIVEN:
        return ""
    return f"has some {turns:.0f} turns, and the spindle runs on for {runs_on:g}: it could not be stopped in time"


def lighter(torque: Figure, share: float, tool: Tool, *, by_torque: bool) -> Figure:
    """The torque of a `tool` on a thread roughed to a `share` of its depth (a bare number), and what must hold it."""
    left = torque_left(torque, share) if share else torque
    if share and left.value > HAND_BEARS_NM:
        return replace(left, note=STILL_MUCH)
    return with_holding(left, tool, by_torque=by_torque)


def roughing(
    work: Work, thread: Thread, torque: Figure, infeed: Figure, passes: tuple[Figure, ...]
) -> dict[str, Figure]:
    """The figures of roughing a thread out whose die or tap would take `torque` in the solid."""
    metal = work.job.material
    return {
        "advance": advance(thread),
        "infeed": infeed,
        "cuts": rough_count(passes),
        "solid": torque,
        "speed": work.speed(metal.thread_speed * CHASING_SHARE, thread.major_mm),
    }


def under_power(work: Work, thread: Thread, turns: Figure) -> dict[str, Figure]:
    """Speed, where to switch off, and how long the cut takes."""
    speed = work.speed(work.job.material.thread_speed, thread.major_mm)
    run_down = work.job.setup.run_down_turns
    stop = Figure(
        "switch off at turn",
        float(int(max(0.0, turns.value - run_down))),
        "",
        "whole part of (greatest of (0, turns − the spindle runs on))",
        PRACTICE,
        (Given("turns", turns.value), Given("the spindle runs on", run_down, "turn")),
    )
    seconds = Figure(
        "time at that speed",
        60 * turns.value / speed.value,
        "s",
        "60 × turns ÷ speed",
        GEOMETRY,
        (Given("turns", turns.value), Given("speed", speed.value, "rev/min")),
    )
    return {"speed": speed, "stop": stop, "seconds": seconds}
