"""A stud for a part whose end is made good: how deep it is screwed in, how long it is."""

from __future__ import annotations

from math import fsum

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given, added
from lathework.holes.strength import Strip
from lathework.threads.thread import Thread

LEAST_ENGAGEMENT = 1.0
"""Engagement in major diameters that is never gone under (practice)."""
MOST_ENGAGEMENT = 2.5
"""Engagement in major diameters past which more does not hold better (practice)."""
BOTTOM_TURNS = 2.0
"""Turns of thread in the hole past the stud's end: it must not bottom, and the compound needs room (practice)."""
PROJECTION_TURNS = 2.0
"""Turns that stand out of the nut (practice)."""
RUN_ON_TURNS = 3.0
"""Turns of thread past where the nut pulls up (practice)."""
LEAST_PLAIN_TURNS = 4.0
"""Plain length in turns under which a stud is threaded from end to end (practice)."""


def engagement(thread: Thread, strip: Strip) -> Figure:
    """How far the stud is screwed in, in the thread's unit: where it breaks before a thread strips, 1 to 2.5 D."""
    needed, least, most = strip.engagement.value, LEAST_ENGAGEMENT * thread.major, MOST_ENGAGEMENT * thread.major
    note = f"{strip.weaker} strips first."
    if needed > most:
        note = "More thread would not be stronger: the first turns carry the load. The part is weaker than the stud."
    return Figure(
        "stud screwed in",
        min(max(needed, least), most),
        thread.unit,
        f"smallest of (largest of (needed for strength, {LEAST_ENGAGEMENT} × major), {MOST_ENGAGEMENT} × major)",
        strip.engagement.source,
        (Given("needed for strength", needed, thread.unit), Given("major", thread.major, thread.unit)),
        fine=False,
        note=note,
    )


def hole_thread(thread: Thread, engaged: float) -> Figure:
    """Depth of full thread in the hole, for `engaged` of stud: 2 P more (all in the thread's unit). Practice."""
    return Figure(
        "full thread in the hole",
        engaged + BOTTOM_TURNS * thread.pitch,
        thread.unit,
        "stud screwed in + 2 × pitch",
        PRACTICE,
        (Given("stud screwed in", engaged, thread.unit), Given("pitch", thread.pitch, thread.unit)),
        fine=False,
        note="The stud must not reach the bottom before it is fully in.",
    )


def projection(thread: Thread) -> Figure:
    """What stands out of the nut: 2 P, in the thread's unit. Source: practice."""
    given = (Given("pitch", thread.pitch, thread.unit),)
    return Figure(
        "past the nut", PROJECTION_TURNS * thread.pitch, thread.unit, "2 × pitch", PRACTICE, given, fine=False
    )


def stud_length(stack: tuple[Given, ...]) -> Figure:
    """Length of the stud: the sum of what it passes through, all in one unit."""
    return Figure(
        "length of the stud",
        fsum(one.value for one in stack),
        stack[0].unit,
        added(stack),
        GEOMETRY,
        stack,
        fine=False,
    )


def nut_end(thread: Thread, above: float, clamped: float) -> Figure:
    """Thread at the nut's end: what stands `above` the clamped part, and 3 P into it (the thread's unit).

    `clamped` is how thick that part is, in the thread's unit: the thread runs no further than through it.
    Source: practice.
    """
    into = min(RUN_ON_TURNS * thread.pitch, clamped)
    return Figure(
        "thread at the nut's end",
        above + into,
        thread.unit,
        f"above the part + smallest of ({RUN_ON_TURNS} × pitch, clamped part)",
        PRACTICE,
        (
            Given("above the part", above, thread.unit),
            Given("pitch", thread.pitch, thread.unit),
            Given("clamped part", clamped, thread.unit),
        ),
        fine=False,
        note="So that the nut tightens before it runs out of thread.",
    )
