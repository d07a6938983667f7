"""Roughing a thread out with a threading tool, so that the die or the tap has only the last of it to take."""

from __future__ import annotations

import math

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.shop.lathe_facts import Dial
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

HAND_BEARS_NM = 30.0
"""Torque in N m past which no person turns a die or a tap steadily, however long the handle (practice)."""
KEYED_BEARS_NM = 60.0
"""Torque in N m past which a keyed holder is too much for lathe and work (practice)."""
SLOWEST = 20.0
"""Slowest speed in rev/min that lathes with a back gear commonly have (practice)."""
SHARES = (0.7, 0.8, 0.9)
"""How deep a thread may be roughed, as a share of its full depth; deeper leaves the die no guide (practice)."""
MOST_PASSES = 24
"""Roughing is not worth more passes (practice)."""
FIRST_CUT_MM = 0.2
"""Depth of the first pass in millimetres; each later one takes the same area and so goes in less (practice)."""


def bears(*, power: bool) -> float:
    """Torque in N m that the way of holding bears. Source: practice."""
    return KEYED_BEARS_NM if power else HAND_BEARS_NM


def rough_share(torque_nm: float, bears_nm: float) -> float:
    """How deep to rough a thread of `torque_nm` (unit N m), as a share of its depth (a bare number).

    0 where the die bears it in the solid, else the least of 0.7, 0.8, 0.9 that brings the torque to what is borne,
    `bears_nm` (unit N m). Source: practice.

    >>> rough_share(20, 30), rough_share(50, 30), rough_share(200, 30)
    (0.0, 0.7, 0.9)
    """
    if torque_nm <= bears_nm:
        return 0.0
    # Never all of it: the die is led by what it still cuts.
    return next((share for share in SHARES if torque_nm * (1 - share**2) <= bears_nm), SHARES[-1])


def torque_left(torque: Figure, share: float) -> Figure:
    """Torque in N m once the thread is roughed to a `share` of its depth (a bare number): that of the area left.

    Torque x (1 - share^2): the area of a V grows as the square of its depth. Source: plane geometry.
    """
    return Figure(
        torque.name,
        torque.value * (1 - share**2),
        "N m",
        "torque on a full blank × (1 − share roughed²)",
        torque.source,
        (Given("torque on a full blank", torque.value, "N m"), Given("share roughed", share)),
        places=1,
    )


def rough_depth(thread: Thread, blank: float, share: float, dial: Dial) -> Figure:
    """What the cross slide goes in from touching the `blank` (the thread's unit) to a `share` of depth, on its dial.

    Share x (blank - minor), halved for a radius dial. Source: plane geometry.
    """
    part = 1.0 if dial == "diameter" else 0.5
    return Figure(
        f"in on the {dial} dial",
        share * (blank - thread.minor) * part,
        thread.unit,
        "share × (blank − minor)" + ("" if part == 1 else " ÷ 2; a radius dial"),
        GEOMETRY,
        (Given("share", share), Given("blank", blank, thread.unit), Given("minor", thread.minor, thread.unit)),
    )


def rough_bore(thread: Thread, bore: float, share: float, dial: Dial) -> Figure:
    """What the cross slide goes out from touching the `bore` (the thread's unit) to a `share` of depth, on its dial.

    Share x (major - bore), halved for a radius dial. Source: plane geometry.
    """
    part = 1.0 if dial == "diameter" else 0.5
    return Figure(
        f"out on the {dial} dial",
        share * (thread.major - bore) * part,
        thread.unit,
        "share × (major − bore)" + ("" if part == 1 else " ÷ 2; a radius dial"),
        GEOMETRY,
        (Given("share", share), Given("major", thread.major, thread.unit), Given("bore", bore, thread.unit)),
    )


def rough_passes(depth_mm: float, blank_mm: float, unit: LengthUnit) -> tuple[Figure, ...]:
    """The diameter over the tool's point after each pass of equal area, from `blank_mm` in by `depth_mm` (millimetres
    on the radius; out, into a bore, where that is negative), told in `unit`. Source: practice."""
    # Half the passes of a finished thread: the die takes care of the flanks.
    count = min(MOST_PASSES, max(2, math.ceil((depth_mm / FIRST_CUT_MM) ** 2 / 2)))

    def inputs(number: int) -> tuple[Given, ...]:
        return (
            Given("blank", convert(blank_mm, "mm", unit), unit),
            Given("depth", convert(depth_mm, "mm", unit), unit),
            Given("pass", number),
            Given("passes", count),
        )

    sizes = [blank_mm - 2 * depth_mm * math.sqrt(n / count) for n in range(1, count + 1)]
    return tuple(
        Figure(
            f"pass {n} to", convert(mm, "mm", unit), unit, "blank − 2 × depth × √(pass ÷ passes)", PRACTICE, inputs(n)
        )
        for n, mm in enumerate(sizes, 1)
    )


def rough_count(passes: tuple[Figure, ...]) -> Figure:
    """How many passes that is."""
    count = len(passes)
    return Figure("passes", count, "cut", "passes", PRACTICE, (Given("passes", count),))
