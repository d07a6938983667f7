"""How a die or a tap is driven: by hand or under power, how fast, when to turn it back; what is roughed out for it."""

from __future__ import annotations

from dataclasses import replace

from lathework.cautions import Caution
from lathework.cutting.roughing import HAND_BEARS_NM, rough_count, torque_left
from lathework.cutting.speeds import stoppable
from lathework.cutting.torque import Tool, with_holding
from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.methods.chase import advance
from lathework.methods.reversing import backward, coming_off
from lathework.methods.under_power import why_not_driven, why_too_short
from lathework.methods.ways.tools import FASTER
from lathework.planning.work import Work
from lathework.threads.thread import Thread

STILL_MUCH = "Still too much for one hand: use a long bar and both hands, or cut to size with the threading tool."
LEAD_LEFT = "Left-hand: the leadscrew runs the other way, and the tool from the shoulder out."


def rhythm(work: Work) -> Figure:
    """Turns after which a die or a tap is turned back to break its chip. Source: practice."""
    return Figure(
        "turn back after",
        work.job.material.back_off_turns,
        "turn",
        "from the material",
        PRACTICE,
        kind="table",
        places=0 if work.job.material.back_off_turns >= 1 else 1,
        note="Turn back a little, never as far as you went forward: that breaks the chip.",
    )


def turn_back(work: Work) -> str:
    """How far to turn back, and how often: less than was cut. Source: practice."""
    after = work.job.material.back_off_turns
    if after < 1:
        return "turn back a quarter turn after each half turn"
    return f"turn back half a turn after {'each turn' if after == 1 else f'every {after:g} turns'}"


def comes_off(work: Work, thread: Thread, tool: Tool, *, power: bool, off_lathe: bool = False) -> tuple[Caution, ...]:
    """How a die or a tap comes off, where the spindle that drove it may unscrew its chuck: run on under `power`, or a
    left-hand one turned on by hand; nothing `off_lathe`."""
    mount = work.job.setup.mount
    if power:
        return (coming_off(mount, tool, thread.hand),)
    return backward(mount) if thread.hand == "left" and not off_lathe else ()


def why_by_hand(work: Work, thread: Thread, torque: Figure, slips_nm: float) -> str:
    """Why a die or a tap is not run on under power; "" where it may be. Its holder slips at `slips_nm` (unit N m)."""
    setup = work.job.setup
    return why_not_driven(
        thread, mount=setup.mount, speeds=setup.speeds, metal=work.job.material, torque=torque, slips_nm=slips_nm
    )


def too_short(work: Work, thread: Thread, length_mm: float) -> str:
    """Why a thread of `length_mm` (millimetres) is over before the spindle could be switched off; "" where it has turns
    enough."""
    setup = work.job.setup
    return why_too_short(thread, length_mm, setup.run_down_turns, setup.speeds)


def lighter(torque: Figure, share: float, tool: Tool, *, by_torque: bool) -> Figure:
    """The torque of a `tool` on a thread roughed to a `share` of its depth (a bare number), and what must hold it."""
    left = torque_left(torque, share) if share else torque
    if share and left.value > HAND_BEARS_NM:
        return replace(left, note=STILL_MUCH)
    return with_holding(left, tool, by_torque=by_torque)


def chasing_speed(work: Work, thread: Thread) -> dict[str, Figure]:
    """How fast the work turns under a tool that chases its thread."""
    return {"speed": work.speed(work.job.material.thread_speed * FASTER, thread.major_mm)}


def roughing(
    work: Work, thread: Thread, torque: Figure, infeed: Figure, passes: tuple[Figure, ...], *, by_hand: bool
) -> dict[str, Figure]:
    """The figures of roughing a thread out whose die or tap would take `torque` in the solid; no speed where the
    spindle is turned `by_hand`."""
    return {
        "infeed": infeed,
        "cuts": rough_count(passes),
        "solid": torque,
        **({} if by_hand else chasing_speed(work, thread)),
    }


def under_power(work: Work, thread: Thread, turns: Figure) -> dict[str, Figure]:
    """Speed, where to switch off, how long the cut takes, and what it moves on at each turn."""
    run_down = work.job.setup.run_down_turns
    stop = Figure(
        "switch off at turn",
        float(int(max(0.0, turns.value - run_down))),
        "",
        "whole part of (largest of (0, turns − the spindle runs on))",
        PRACTICE,
        (Given("turns", turns.value), Given("the spindle runs on", run_down, "turn")),
    )
    wanted = work.speed(work.job.material.thread_speed, thread.major_mm)
    speed = stoppable(wanted, stop.value, work.job.setup.speeds)
    seconds = Figure(
        "time at that speed",
        60 * turns.value / speed.value,
        "s",
        "60 × turns ÷ speed",
        GEOMETRY,
        (Given("turns", turns.value), Given("speed", speed.value, "rev/min")),
    )
    return {"speed": speed, "stop": stop, "seconds": seconds, "advance": advance(thread)}
