"""A hole to be tapped: how deep to go, what is bored, formed and countersunk, what the tap bears."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

from lathework.cutting.torque import FORM_TORQUE, cutting_torque
from lathework.figures import PRACTICE, Figure, Given
from lathework.holes.percent import convention, metal_cut
from lathework.shop.metals import Material
from lathework.tables.loader import load
from lathework.threads.thread import Thread

LOWEST_PERCENT, HIGHEST_PERCENT = 30.0, 100.0
"""Per cent thread that may be asked for."""
PILOT_FROM_MM = 10.0
"""Drills from this size on want a pilot hole (practice)."""
THIN_WALL = 0.15
"""Least wall round a hole, over the hole's diameter (practice)."""
LEAST_MARGIN = 2.0
"""Breaking torque over cutting torque under which a tap is likely to break (practice)."""
POINT_SHARE = 0.3
"""Length of a drill's point over its diameter, at 118 degrees."""
CHIP_TURNS = 2.0
"""Threads of room left for chips under a tap (practice)."""
SUNK_OVER = 0.1
"""How far a countersink stands over the major diameter, in pitches on the diameter (practice)."""
BREAKING = 0.03
"""Torque that breaks a sound tap, in N m for each cubed millimetre of its diameter (practice, rough)."""


@dataclass(frozen=True, slots=True)
class Tap:
    """A kind of tap: threads of its lead, whether it may go into a blind hole."""

    code: str
    name: str
    lead_turns: float
    blind: bool
    remark: str


@cache
def taps() -> tuple[Tap, ...]:
    """The kinds of tap. Source: practice."""
    return tuple(
        Tap(
            row.text("code"),
            row.text("name"),
            float(row.number("lead")),
            row.text("blind") == "yes",
            row.text("remark"),
        )
        for row in load("taps").rows
    )


def tap_named(code: str) -> Tap:
    """The kind of tap of that code."""
    return next(tap for tap in taps() if tap.code == code)


def hole_for(thread: Thread, percent: float) -> Figure:
    """Hole that leaves `percent` (a bare number) of thread: for boring where no drill will do, in the thread's unit."""
    factor, words = convention(thread)
    return Figure(
        "bore to",
        thread.major - percent / 100 * factor * thread.pitch,
        thread.unit,
        f"major − per cent ÷ 100 × {factor} × pitch",
        PRACTICE,
        (
            Given("major", thread.major, thread.unit),
            Given("per cent", percent, "%"),
            Given("pitch", thread.pitch, thread.unit),
        ),
        note=words,
    )


def chip_room(tap: Tap) -> float:
    """Threads of room (a bare number, in pitches) for chips under a `tap`; a form tap makes none. Source: practice."""
    return 0.0 if tap.code == "form" else CHIP_TURNS


def drill_depth(thread: Thread, tap: Tap, full: float, hole: float) -> Figure:
    """Depth to drill, to the point, for `full` finished thread in a blind hole of `hole` (all in the thread's unit).

    Full thread + the tap's lead + room for chips + the drill's point. Source: practice.
    """
    lead, room = tap.lead_turns * thread.pitch, chip_room(tap) * thread.pitch
    return Figure(
        f"drill deep for a {tap.name}",
        full + lead + room + POINT_SHARE * hole,
        thread.unit,
        "full thread + chamfer of the tap + room for chips + point",
        PRACTICE,
        (
            Given("full thread", full, thread.unit),
            Given("chamfer of the tap", lead, thread.unit),
            Given("room for chips", room, thread.unit),
            Given("point", POINT_SHARE * hole, thread.unit),
        ),
        fine=False,
        note=tap.remark,
    )


def countersink(thread: Thread) -> Figure:
    """Countersink over the mouth of a threaded hole, in the thread's unit: major + 0.1 P, and its clearance, if any.

    Source: practice.
    """
    inputs = [Given("major", thread.major, thread.unit), Given("pitch", thread.pitch, thread.unit)]
    formula = f"major + {SUNK_OVER} × pitch"
    if thread.crest_clearance:
        inputs.append(Given("clearance", thread.crest_clearance, thread.unit))
        formula += " + 2 × clearance"
    across = thread.major + SUNK_OVER * thread.pitch + 2 * thread.crest_clearance
    return Figure("countersink to", across, thread.unit, formula, PRACTICE, tuple(inputs))


def likely_breaks(margin: Figure | None) -> bool:
    """Whether a tap of that margin is likely to break; one that is not known is not."""
    return margin is not None and margin.value < LEAST_MARGIN


def tap_margin(thread: Thread, metal: Material, percent: float, *, formed: bool = False) -> Figure:
    """How many times the cutting torque a sound tap bears at `percent` (a bare number) thread; half that if `formed`.

    0.03 D^3 over kc P^2 D / 8000 x the metal's share at that per cent. Source: practice, rough.
    """
    cutting = cutting_torque(thread, metal.cutting_force).value * metal_cut(percent) * (FORM_TORQUE if formed else 1.0)
    breaking = BREAKING * thread.major_mm**3
    return Figure(
        "tap's margin over the cutting torque",
        breaking / max(cutting, 1e-9),
        "×",
        "breaking torque ÷ cutting torque",
        PRACTICE,
        (Given("breaking torque", breaking, "N m"), Given("cutting torque", cutting, "N m")),
        places=1,
        note=f"Sharp and oiled; dull or dry halves it. Under {LEAST_MARGIN:g} it is likely to break: drill larger, "
        "or cut the thread single point.",
    )
