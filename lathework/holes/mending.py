"""A stripped thread in a hole made good: the next size, a wire insert, a bush, a stepped stud."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.figures import PRACTICE, Figure, Given, Source
from lathework.holes.depth import THIN_WALL, hole_for
from lathework.holes.drill_choice import choose, usual_percent
from lathework.holes.percent import BASIC_60, TAPPED_PERCENT
from lathework.tables.drills import Drill
from lathework.threads.families.metric import METRIC
from lathework.threads.library import library
from lathework.threads.limits import internal_limits
from lathework.threads.thread import Thread
from lathework.units import convert

INSERT = Source("standard", "ASME B18.29.1 and DIN 8140: screw thread insert holes, basic sizes")
INSERT_OVER = 0.216506
"""How far the hole of an insert stands over the screw, in pitches (ASME B18.29.1, DIN 8140)."""
WALLED = 1 + 2 * THIN_WALL
"""Width of the metal round a thread with its least wall, over the thread's diameter (practice)."""
LEFT_OVER = 0.02
"""What of the old thread may be left in the new hole, over its diameter: a trace at the crests (practice)."""


@dataclass(frozen=True, slots=True)
class Mend:
    """A way to make the hole good: what is tapped, the drill for it, how wide the metal round it must be.

    `screw` is what goes in afterwards; `drill` is None where the rack has none.
    """

    code: str
    name: str
    tapped: str
    major: Figure
    drill: Drill | None
    needs: Figure
    screw: str
    remark: str


def _sound(thread: Thread, like: Thread) -> bool:
    """Whether a thread is of the family and series a shop would go on in: metric by first choice and like pitch."""
    if thread.family != like.family or thread.hand != "right" or thread.starts != 1:
        return False
    if thread.series != like.series:
        return False
    if like.family != METRIC.code:
        return True
    return METRIC.preferred(thread) and (like.series == "coarse" or thread.pitch == like.pitch)


def next_sizes(thread: Thread) -> tuple[Thread, ...]:
    """Larger threads of the series whose hole takes the old thread away whole, smallest first. Source: practice."""
    least = thread.major * (1 - LEFT_OVER)
    found = [
        one
        for one in library()
        if one.major > thread.major and _sound(one, thread) and hole_for(one, TAPPED_PERCENT).value >= least
    ]
    return tuple(sorted(found, key=lambda one: one.major))


def _drill(thread: Thread, rack: Sequence[Drill]) -> Drill | None:
    """The drill of a rack for a thread; None where none serves: bore it."""
    pick, _ = choose(thread, internal_limits(thread), rack, usual_percent(thread))
    return pick.drill if pick is not None and pick.serves else None


def _needs(major: Figure) -> Figure:
    return Figure(
        "minimum wall round it",
        major.value * WALLED,
        major.unit,
        f"diameter × {WALLED}",
        PRACTICE,
        (Given("diameter", major.value, major.unit),),
        fine=False,
    )


def _major(thread: Thread) -> Figure:
    given = (Given("major", thread.major, thread.unit),)
    return Figure("diameter", thread.major, thread.unit, "major", thread.source, given)


def insert_tap(thread: Thread) -> Figure:
    """Major diameter of the tap for a wire insert: D + 1.082532 P + 0.216506 P, in the thread's unit.

    Of 60 degree threads. Source: ASME B18.29.1, DIN 8140.
    """
    return Figure(
        "diameter",
        thread.major + (BASIC_60 + INSERT_OVER) * thread.pitch,
        thread.unit,
        "major + 1.299038 × pitch",
        INSERT,
        (Given("major", thread.major, thread.unit), Given("pitch", thread.pitch, thread.unit)),
    )


def insert_hole(thread: Thread) -> Figure:
    """Basic hole for an insert's tap: D + 0.216506 P, in the thread's unit. Source: ASME B18.29.1, DIN 8140."""
    return Figure(
        "hole for the insert's tap",
        thread.major + INSERT_OVER * thread.pitch,
        thread.unit,
        "major + 0.216506 × pitch",
        INSERT,
        (Given("major", thread.major, thread.unit), Given("pitch", thread.pitch, thread.unit)),
    )


def _insert(thread: Thread, rack: Sequence[Drill]) -> Mend:
    hole, major = insert_hole(thread), insert_tap(thread)
    at_least = [d for d in rack if convert(d.diameter, d.unit, thread.unit) >= hole.value - 1e-9]
    return Mend(
        "insert",
        "wire thread insert",
        f"{thread.designation}, insert tap",
        major,
        at_least[0] if at_least else None,
        _needs(major),
        thread.designation,
        "keeps the screw and is stronger than the old thread in soft metal; needs its own tap and driver",
    )


def _larger(code: str, name: str, tapped: Thread, rack: Sequence[Drill], *, screw: str, remark: str) -> Mend:
    """A way that taps a larger thread: what goes in afterwards is `screw`."""
    major = _major(tapped)
    return Mend(code, name, tapped.designation, major, _drill(tapped, rack), _needs(major), screw, remark)


def _next_size(after: Thread, rack: Sequence[Drill]) -> Mend:
    remark = "quick, no parts to buy; the screw and every hole it passes through get larger"
    return _larger("next-size", "next size", after, rack, screw=after.designation, remark=remark)


def _stepped_stud(thread: Thread, after: Thread, rack: Sequence[Drill]) -> Mend:
    remark = "the clamped parts stay as they are; made in this shop, set with retaining compound"
    screw = f"stud {after.designation} / {thread.designation}"
    return _larger("stepped-stud", "stepped stud", after, rack, screw=screw, remark=remark)


def _bush(thread: Thread, outside: Thread, rack: Sequence[Drill]) -> Mend:
    remark = "keeps the screw; turned and tapped in this shop, fixed with compound or a pin"
    return _larger("bush", "threaded bush", outside, rack, screw=thread.designation, remark=remark)


def mends(thread: Thread, rack: Sequence[Drill]) -> tuple[Mend, ...]:
    """The ways to make a stripped hole of `thread` good, with drills out of `rack`, the simplest first.

    Source: practice; ASME B18.29.1 and DIN 8140 for inserts.
    """
    larger = next_sizes(thread)
    walled = [one for one in larger if one.minor >= thread.major * WALLED]
    return (
        *(_next_size(after, rack) for after in larger[:1]),
        *((_insert(thread, rack),) if thread.form.angle_deg == 60 else ()),
        *(_stepped_stud(thread, after, rack) for after in larger[:1]),
        *(_bush(thread, outside, rack) for outside in walled[:1]),
    )
