"""How a die or a tap is driven: when to turn it back by hand, how fast and how long under power."""

from __future__ import annotations

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given, counted
from lathework.planning.work import Work
from lathework.rules.speeds import spindle_speed
from lathework.threads.thread import Thread


def rhythm(work: Work) -> Figure:
    """Turns after which a die or a tap is turned back to break its chip. Source: practice."""
    return Figure(
        "turn back after",
        work.job.material.back_off_turns,
        counted(work.job.material.back_off_turns, "turn"),
        "by the metal",
        PRACTICE,
        places=0 if work.job.material.back_off_turns >= 1 else 1,
        note="A little back breaks the chip; never as far as it went forward.",
    )


def turn_back(work: Work) -> str:
    """How far to turn back, and how often: less than was cut. Source: practice."""
    after = work.job.material.back_off_turns
    if after < 1:
        return "turn back a quarter turn after each half turn"
    return f"turn back half a turn after {'each turn' if after == 1 else f'every {after:g} turns'}"


def under_power(work: Work, thread: Thread, turns: Figure) -> dict[str, Figure]:
    """Speed, where to switch off, and how long the cut takes."""
    speed = spindle_speed(work.job.material.thread_speed, thread.major_mm, name="speed")
    run_down = work.job.setup.run_down_turns
    stop = Figure(
        "switch off at turn", max(0.0, turns.value - run_down), "", "turns − turns the spindle runs on", PRACTICE,
        (Given("turns", turns.value), Given("the spindle runs on", run_down, "turns")), places=1,
    )  # fmt: skip
    seconds = Figure(
        "time at that speed", 60 * turns.value / speed.value, "s", "60 × turns ÷ speed", GEOMETRY,
        (Given("turns", turns.value), Given("speed", speed.value, "rev/min")),
    )  # fmt: skip
    return {"speed": speed, "stop": stop, "seconds": seconds}
