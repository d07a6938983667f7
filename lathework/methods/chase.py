"""Chasing a thread in a bored hole, where no tap of its size is at hand: advance, infeed, passes."""

from __future__ import annotations

import math

from lathework.cutting.cuts import SPRING
from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.shop.lathe_facts import Dial
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

FIRST_CUT_MM = 0.25
"""Depth of the first pass in millimetres; each later one takes the same area and so goes in less (practice)."""
MOST_PASSES = 40
"""No thread is chased in more passes: each would only rub (practice)."""
LEAST_BORE_MM = 8.0
"""Smallest bore that a threading bar goes into with room for its chips (practice)."""
SPAN_SHARE = 2 / 3
"""Largest tap that chases a hole without rubbing, over the bore (practice)."""


def advance(thread: Thread) -> Figure:
    """What the carriage moves at each turn of the spindle: the lead, in the thread's unit."""
    given = (Given("pitch", thread.pitch, thread.unit), Given("starts", thread.starts))
    return Figure("advance a turn", thread.lead, thread.unit, "pitch × starts", GEOMETRY, given)


def infeed(thread: Thread, bore: float, dial: Dial) -> Figure:
    """What the cross slide moves out from touching the `bore` (the thread's unit) to the full thread, on its dial."""
    share = 1.0 if dial == "diameter" else 0.5
    return Figure(
        f"out on the {dial} dial",
        (thread.major - bore) * share,
        thread.unit,
        "major − bore" if share == 1.0 else "(major − bore) ÷ 2; a radius dial",
        GEOMETRY,
        (Given("major", thread.major, thread.unit), Given("bore", bore, thread.unit)),
    )


def _pitch(thread: Thread) -> Given:
    return Given("pitch", thread.pitch, thread.unit)


def comes_out_at(thread: Thread, bore: float) -> Figure:
    """The nominal size that a chaser's full form gives out of a `bore` (the thread's unit): bore + form depth x pitch.

    >>> from lathework.threads.designation import read_designation
    >>> round(comes_out_at(read_designation("1.045-24 UNS"), 1.0).value, 4)
    1.0451
    """
    # A chaser of the full form cuts its own crests: the bore is its root, whatever the nominal size is.
    depth = float(thread.form.depth_on_diameter)
    return Figure(
        "a full form comes out at",
        bore + depth * thread.pitch,
        thread.unit,
        "bore + depth of the form × pitch",
        GEOMETRY,
        (
            Given("bore", bore, thread.unit),
            Given("depth of the form", depth),
            Given("pitch", thread.pitch, thread.unit),
        ),
    )


def bore_for_full(thread: Thread) -> Figure:
    """The bore out of which a full form comes at the nominal size: major - form depth x pitch, in the thread's unit."""
    depth = float(thread.form.depth_on_diameter)
    return Figure(
        "bore for a full form",
        thread.major - depth * thread.pitch,
        thread.unit,
        "major − depth of the form × pitch",
        GEOMETRY,
        (Given("major", thread.major, thread.unit), Given("depth of the form", depth), _pitch(thread)),
    )


def _passes(depth_mm: float) -> int:
    return min(MOST_PASSES, max(1, math.ceil((depth_mm / FIRST_CUT_MM) ** 2 - 1e-9)))


def pass_count(thread: Thread, bore_mm: float) -> Figure:
    """How many passes of equal area take a bore of `bore_mm` (millimetres) to the full thread. Source: practice."""
    depth = (thread.major_mm - bore_mm) / 2
    count = _passes(depth)
    return Figure(
        "passes",
        count,
        "cut",
        f"smallest of ({MOST_PASSES}, largest of (1, next whole of ((depth ÷ first cut)²)))",
        PRACTICE,
        (Given("depth", depth, "mm"), Given("first cut", FIRST_CUT_MM, "mm")),
        note="Each pass removes the same area.",
    )


def infeed_diameters(bore_mm: float, major_mm: float) -> tuple[float, ...]:
    """Diameters over the tool's point after each pass from `bore_mm` to `major_mm` (millimetres), equal areas each.

    Depth grows as the square root of the pass. Source: practice.

    >>> infeed_diameters(8.5, 9.5)
    (9.0, 9.207107, 9.366025, 9.5)
    """
    depth = (major_mm - bore_mm) / 2
    count = _passes(depth)
    return tuple(round(bore_mm + 2 * depth * math.sqrt(n / count), 6) for n in range(1, count + 1))


def chasing_passes(thread: Thread, bore_mm: float, unit: LengthUnit) -> tuple[Figure, ...]:
    """Each pass as the diameter it leaves, told in `unit`, and a spring pass; `bore_mm` in millimetres."""
    bore = Given("bore", convert(bore_mm, "mm", unit), unit)
    major = Given("major", convert(thread.major_mm, "mm", unit), unit)
    sizes = infeed_diameters(bore_mm, thread.major_mm)
    cuts = [
        Figure(
            f"pass {n} to",
            convert(mm, "mm", unit),
            unit,
            "bore + (major − bore) × √(pass ÷ passes)",
            PRACTICE,
            (bore, major, Given("pass", n), Given("passes", len(sizes))),
        )
        for n, mm in enumerate(sizes, 1)
    ]
    spring = Figure(
        SPRING,
        major.value,
        unit,
        "major",
        PRACTICE,
        (major,),
        note="A spring pass at the same dial setting: a boring bar springs.",
    )
    return (*cuts, spring)


def largest_chaser(bore: float, unit: LengthUnit) -> Figure:
    """Largest tap that may chase a hole of `bore`, told in its `unit`: two thirds of it. Source: practice."""
    return Figure(
        "tap no larger than",
        bore * SPAN_SHARE,
        unit,
        "bore × 2 ÷ 3",
        PRACTICE,
        (Given("bore", bore, unit),),
        fine=False,
        note="A larger tap rubs on its heel: its relief suits its own diameter.",
    )
