"""Which of one's own things serve a thread: what cuts it, what is missing, what looks like it and is no substitute."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from functools import cache

from lathework.figures import PRACTICE
from lathework.holes.drill_choice import DrillChoice, choose, usual_percent
from lathework.shop.kit import Die, Owned, ShopDrill, Tap
from lathework.tables.drills import Drill
from lathework.threads.limits import internal_limits
from lathework.threads.thread import Thread

ALIKE = 0.04
"""Threads whose diameters differ by no more than this share are taken for each other (practice)."""
SAME_PITCH = 0.001
"""Pitches closer than this share are one: what rounding leaves between a count and its millimetres (practice)."""


@dataclass(frozen=True, slots=True)
class Serving:
    """What of a shop serves `thread`; `away` are things of it that are not at hand, `unlike` what is no substitute.

    `drill` is None where no drill owned leaves a thread; `missing` says in words what there is none of.
    """

    thread: Thread
    dies: tuple[Die, ...]
    taps: tuple[Tap, ...]
    drill: DrillChoice | None
    away: tuple[Die | Tap, ...]
    missing: tuple[str, ...]
    unlike: tuple[str, ...]


@cache
def _rack(drill: ShopDrill) -> Drill:
    return Drill("own", drill.size.typed, drill.size.value, drill.size.unit, PRACTICE)


def _same(one: Thread, other: Thread) -> bool:
    return one.designation == other.designation


def _unlike(thread: Thread, things: Iterable[Die | Tap]) -> tuple[str, ...]:
    """Why a thing of nearly the same diameter does not serve."""
    told: dict[str, str] = {}
    for other in (thing.thread for thing in things):
        near = abs(other.major_mm / thread.major_mm - 1) <= ALIKE
        if not near or _same(thread, other) or other.designation in told:
            continue
        if other.hand != thread.hand:
            why = f"it is {other.hand}-handed"
        elif abs(other.pitch_mm / thread.pitch_mm - 1) > SAME_PITCH:
            why = _pitches(other, thread)
        elif other.form.angle_deg != thread.form.angle_deg:
            why = f"its flanks are {other.form.angle_deg:g}°, not {thread.form.angle_deg:g}°"
        else:
            why = "its diameter is another"
        told[other.designation] = f"{other.designation} is no substitute: {why}."
    return tuple(told.values())


def _pitches(one: Thread, other: Thread) -> str:
    """The pitches of two threads, in one unit where they have one."""
    if one.tpi and other.tpi:
        return f"{one.tpi:g} to the inch, not {other.tpi:g}"
    return f"a pitch of {one.pitch_mm:.4g} mm, not {other.pitch_mm:.4g} mm"


@dataclass(frozen=True, slots=True)
class Capability:
    """A thread that a shop can cut: outside with a die, inside with a tap, and whether it has the drill for that."""

    thread: Thread
    die: bool
    tap: bool
    drill: bool


def _near(thread: Thread, rack: Sequence[Drill]) -> DrillChoice | None:
    """The drill of `rack` that a chart would take; None where none is near, or the thread is tapered."""
    if thread.taper:
        return None
    pick, _ = choose(thread, internal_limits(thread), rack, usual_percent(thread))
    return pick if pick is not None and pick.near else None


def _racked(things: Iterable[Owned]) -> list[Drill]:
    rack = [_rack(thing) for thing in things if isinstance(thing, ShopDrill) and thing.at_hand]
    return sorted(rack, key=lambda drill: drill.diameter_mm)


def capabilities(things: Sequence[Owned]) -> tuple[Capability, ...]:
    """Every thread that the things at hand cut, series by series, by size."""
    rack = _racked(things)
    threads: dict[str, Thread] = {}
    dies: set[str] = set()
    taps: set[str] = set()
    for thing in things:
        if isinstance(thing, Die | Tap) and thing.at_hand:
            threads[thing.thread.designation] = thing.thread
            (dies if isinstance(thing, Die) else taps).add(thing.thread.designation)
    cut = [
        Capability(thread, name in dies, name in taps, name in taps and _near(thread, rack) is not None)
        for name, thread in threads.items()
    ]
    return tuple(sorted(cut, key=lambda one: (one.thread.family, one.thread.series, one.thread.major_mm)))


def serving(thread: Thread, things: Sequence[Owned]) -> Serving:
    """What of `things` cuts `thread`, the sound before the worn; the drill for its hole out of those owned."""
    cutters = [thing for thing in things if not isinstance(thing, ShopDrill)]
    own = [thing for thing in cutters if _same(thing.thread, thread)]
    ready = sorted((thing for thing in own if thing.at_hand), key=lambda thing: thing.state == "worn")
    dies = tuple(thing for thing in ready if isinstance(thing, Die))
    taps = tuple(thing for thing in ready if isinstance(thing, Tap))
    near = _near(thread, _racked(things))
    lacking = [("die", dies), ("tap", taps), ("tapping drill near its size", (near,) if near else ())]
    return Serving(
        thread=thread,
        dies=dies,
        taps=taps,
        drill=near,
        away=tuple(thing for thing in own if not thing.at_hand),
        missing=tuple(f"no {name}" for name, some in lacking if not some),
        unlike=_unlike(thread, (thing for thing in cutters if thing.at_hand)),
    )
