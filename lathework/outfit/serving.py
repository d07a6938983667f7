"""Which of one's own things serve a thread: what cuts it, what is missing, what looks like it and is no substitute."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass

from lathework.cutting.torque import cutting_torque
from lathework.holes.drill_choice import DrillChoice, choose, usual_percent
from lathework.methods.die_held_by import Holding, holdings
from lathework.shop.kinds import name_of
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.drills import ShopDrill
from lathework.shop.kinds.gauges import ThreadGauge
from lathework.shop.kinds.kind import Owned
from lathework.shop.kinds.taps import Tap
from lathework.shop.metals import materials
from lathework.shop.racks import single
from lathework.tables.drills import Drill
from lathework.threads.limits import internal_limits
from lathework.threads.thread import Thread

ALIKE = 0.04
"""Threads whose diameters differ by no more than this share are taken for each other (practice)."""
OPENS_MM, ONE_SIZE_MM = 0.15, 0.01
"""A split die opens or closes by so much and still cuts clean; threads closer than the second are of one size
(practice)."""
SAME_PITCH = 0.001
"""Pitches closer than this share are one: what rounding leaves between a count and its millimetres (practice)."""
SUPPOSED = "mild-steel"
"""The metal whose torque a holder is asked for where nobody names one."""


@dataclass(frozen=True, slots=True)
class Serving:
    """What of a shop serves `thread`; `away` are things of it that are not at hand, `instead` what stands in and how,
    `unlike` what is no substitute.

    `drill` is None where no drill owned leaves a thread; `holding` says of each holder and stock whether it takes a
    die that is at hand; `gauges` are those of the thread. `missing` says in words what there is none of.
    """

    thread: Thread
    dies: tuple[Die, ...]
    taps: tuple[Tap, ...]
    drill: DrillChoice | None
    holding: tuple[Holding, ...]
    gauges: tuple[ThreadGauge, ...]
    away: tuple[Die | Tap, ...]
    instead: tuple[str, ...]
    missing: tuple[str, ...]
    unlike: tuple[str, ...]


def _same(one: Thread, other: Thread) -> bool:
    return one.designation == other.designation


def _differs(other: Thread, thread: Thread) -> str:
    """Why one thread is no other, whatever the die is set to; "" where its diameter alone may be another."""
    if other.hand != thread.hand:
        return f"it is {other.hand}-handed"
    if abs(other.pitch_mm / thread.pitch_mm - 1) > SAME_PITCH:
        return _pitches(other, thread)
    if other.form.angle_deg != thread.form.angle_deg:
        return f"its flanks are {other.form.angle_deg:g}°, not {thread.form.angle_deg:g}°"
    if other.starts != thread.starts:
        return f"it has {other.starts} starts, not {thread.starts}"
    return "it is tapered" if other.taper else ""


def _alike(thread: Thread, things: Iterable[Die | Tap]) -> tuple[tuple[str, ...], tuple[str, ...]]:
    """Of what cuts nearly the same diameter: what stands in and how, then what does not and why."""
    instead: dict[str, str] = {}
    unlike: dict[str, str] = {}
    for thing in things:
        other = thing.thread
        if abs(other.major_mm / thread.major_mm - 1) > ALIKE or _same(thread, other):
            continue
        why = _differs(other, thread)
        off = thread.major_mm - other.major_mm
        opens = isinstance(thing, Die) and thing.form == "split" and abs(off) <= OPENS_MM
        if not why and (opens or abs(off) <= ONE_SIZE_MM):
            turn = "" if abs(off) <= ONE_SIZE_MM else f", {'opened' if off > 0 else 'closed'} by {abs(off):.2f} mm"
            instead[other.designation] = f"{name_of(thing)}: the same pitch and form{turn}"
        else:
            unlike[other.designation] = f"{other.designation} does not fit: {why or 'its diameter is different'}."
    return tuple(instead.values()), tuple(words for name, words in unlike.items() if name not in instead)


def _pitches(one: Thread, other: Thread) -> str:
    """The pitches of two threads, in one unit where they have one."""
    if one.tpi and other.tpi:
        return f"{one.tpi:g} threads per inch, not {other.tpi:g}"
    return f"a pitch of {one.pitch_mm:.4g} mm, not {other.pitch_mm:.4g} mm"


@dataclass(frozen=True, slots=True)
class Capability:
    """A thread that a shop can cut: outside with a die, inside with a tap, and whether it has the drill for that."""

    thread: Thread
    die: bool
    tap: bool
    drill: bool


def _near(thread: Thread, rack: Sequence[Drill]) -> DrillChoice | None:
    """The drill of `rack` that is taken for a thread; None where it is bored, or the thread is tapered."""
    if thread.taper:
        return None
    pick, _ = choose(thread, internal_limits(thread), rack, usual_percent(thread))
    return pick if pick is not None and pick.serves else None


def _racked(things: Iterable[Owned]) -> list[Drill]:
    rack = [single(thing.size) for thing in things if isinstance(thing, ShopDrill) and thing.at_hand]
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


def _lacking(holding: Sequence[Holding]) -> tuple[str, ...]:
    """That no holder of the shop takes a die; nothing where one does, or where the shop keeps none."""
    if not holding or any(one.fit.fits for one in holding):
        return ()
    first = holding[0]
    return (f"no holder fits its die: {name_of(first.thing)}: {first.fit.why}",)


def serving(thread: Thread, things: Sequence[Owned]) -> Serving:
    """What of `things` cuts `thread`, the sound first; what holds its die in mild steel; the drill for its hole."""
    cutters = [thing for thing in things if isinstance(thing, Die | Tap)]
    own = [thing for thing in cutters if _same(thing.thread, thread)]
    ready = sorted((thing for thing in own if thing.at_hand), key=lambda thing: thing.state == "worn")
    dies = tuple(thing for thing in ready if isinstance(thing, Die))
    taps = tuple(thing for thing in ready if isinstance(thing, Tap))
    torque = cutting_torque(thread, materials()[SUPPOSED].cutting_force)
    near, holding = _near(thread, _racked(things)), holdings(dies, things, torque_nm=torque.value)
    instead, unlike = _alike(thread, (thing for thing in cutters if thing.at_hand))
    lacking = [("die", dies), ("tap", taps), ("tapping drill near the right size", (near,) if near else ())]
    gauges = [item for item in things if isinstance(item, ThreadGauge) and item.thread and item.at_hand]
    return Serving(
        thread=thread,
        dies=dies,
        taps=taps,
        drill=near,
        holding=holding,
        gauges=tuple(gauge for gauge in gauges if gauge.thread and _same(gauge.thread, thread)),
        away=tuple(thing for thing in own if not thing.at_hand),
        missing=(*(f"no {name}" for name, some in lacking if not some), *_lacking(holding)),
        instead=instead,
        unlike=unlike,
    )
