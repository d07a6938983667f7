"""A stripped thread in a hole made good: the next size, a wire insert, a bush, a stepped stud."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.figures import PRACTICE, Figure, Given, Source
from lathework.rules.holes import choose
from lathework.rules.tapping import BASIC_60
from lathework.tables.common import common_sizes
from lathework.tables.drills import Drill
from lathework.threads.limits import internal_limits
from lathework.threads.series import library
from lathework.threads.thread import Thread
from lathework.units import convert

INSERT = Source("standard", "ASME B18.29.1 and DIN 8140: screw thread insert holes, basic sizes")
WALL_SHARE = 0.15
"""Least wall round a threaded hole, over its diameter (practice)."""
BUSH_WALL = 0.15
"""Least wall of a bush between the two threads, over the inner one's diameter (practice)."""


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
    if like.family != "metric":
        return True
    return f"{thread.major:g}" in common_sizes("first-choice") and (
        like.series == "coarse" or thread.pitch == like.pitch
    )


def next_sizes(thread: Thread, rack: Sequence[Drill]) -> tuple[tuple[Thread, Drill], ...]:
    """Larger threads of the same series whose hole takes the old thread away whole, smallest first, with their drill.

    Source: practice.
    """
    found = []
    for one in library():
        if one.major <= thread.major or not _sound(one, thread):
            continue
        pick, _ = choose(one, internal_limits(one), rack, 75.0)
        if pick is not None and pick.hole.value >= thread.major - 0.02 * thread.major:
            found.append((one, pick.drill))
    return tuple(sorted(found, key=lambda pair: pair[0].major))


def _needs(major: Figure) -> Figure:
    return Figure(
        "metal round it at least", major.value * (1 + 2 * WALL_SHARE), major.unit, "diameter × 1.3", PRACTICE,
        (Given("diameter", major.value, major.unit),), fine=False,
    )  # fmt: skip


def _major(thread: Thread) -> Figure:
    given = (Given("major", thread.major, thread.unit),)
    return Figure("diameter", thread.major, thread.unit, "basic major", thread.source, given)


def insert_tap(thread: Thread) -> Figure:
    """Major diameter of the tap for a wire insert: D + 1.082532 P + 0.216506 P, in the thread's unit.

    Of 60 degree threads. Source: ASME B18.29.1, DIN 8140.
    """
    return Figure(
        "diameter", thread.major + (BASIC_60 + 0.216506) * thread.pitch, thread.unit, "major + 1.299038 × pitch",
        INSERT, (Given("major", thread.major, thread.unit), Given("pitch", thread.pitch, thread.unit)),
    )  # fmt: skip


def insert_hole(thread: Thread) -> Figure:
    """Basic hole for an insert's tap: D + 0.216506 P, in the thread's unit. Source: ASME B18.29.1, DIN 8140."""
    return Figure(
        "hole for the insert's tap", thread.major + 0.216506 * thread.pitch, thread.unit, "major + 0.216506 × pitch",
        INSERT, (Given("major", thread.major, thread.unit), Given("pitch", thread.pitch, thread.unit)),
    )  # fmt: skip


def _insert(thread: Thread, rack: Sequence[Drill]) -> Mend:
    hole, major = insert_hole(thread), insert_tap(thread)
    at_least = [d for d in rack if convert(d.diameter, d.unit, thread.unit) >= hole.value - 1e-9]
    return Mend(
        "insert", "wire thread insert", f"{thread.designation}, insert tap", major, at_least[0] if at_least else None,
        _needs(major), thread.designation,
        "keeps the screw, and is stronger than the old thread in soft metal; wants its own tap and driver",
    )  # fmt: skip


def mends(thread: Thread, rack: Sequence[Drill]) -> tuple[Mend, ...]:
    """The ways to make a stripped hole of `thread` good, with drills out of `rack`, the simplest first.

    Source: practice; ASME B18.29.1 and DIN 8140 for inserts.
    """
    larger = next_sizes(thread, rack)
    out = []
    if larger:
        after, drill = larger[0]
        major = _major(after)
        out.append(Mend("next-size", "next size", after.designation, major, drill, _needs(major), after.designation,
                        "quick, no parts to buy; the screw and every hole it passes grow with it"))  # fmt: skip
        out.append(Mend("stepped-stud", "stepped stud", after.designation, major, drill, _needs(major),
                        f"stud {after.designation} / {thread.designation}",
                        "keeps what is clamped as it is; made here, set with retaining compound"))  # fmt: skip
    if thread.form.angle_deg == 60:
        out.insert(1, _insert(thread, rack))
    walled = [pair for pair in larger if pair[0].minor >= thread.major * (1 + 2 * BUSH_WALL)]
    if walled:
        bush, drill = walled[0]
        major = _major(bush)
        out.append(Mend("bush", "threaded bush", bush.designation, major, drill, _needs(major), thread.designation,
                        "keeps the screw; turned and tapped here, fixed with compound or a pin"))  # fmt: skip
    return tuple(out)
