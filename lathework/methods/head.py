"""A self-opening die head: where its stop stands, how fast it runs on, how long one has to react."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.cutting.roughing import KEYED_BEARS_NM
from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.lengths import Length
from lathework.shop.lathe_facts import Mount
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

SUPPOSED_TURNS = 2.0
"""Turns that a head whose overrun nobody measured may cut on past its stop (practice)."""
SUPPOSED = (
    "Assumed: two turns. Measure once how far past the stop the head cuts, and save it with the head in the shop."
)
RESET_MIN = 0.15
"""Minutes to draw an open head back and close it (practice)."""
SET_UP_MIN = 30.0
"""Minutes to put chasers in, size the head and set its stop (practice)."""


def stop_after(thread: Thread, length_mm: float, overrun_mm: float | None, unit: LengthUnit) -> Figure:
    """After how much thread the head meets its stop, told in `unit`: the length less what it cuts on until it opens.

    `length_mm` and `overrun_mm` in millimetres; SUPPOSED_TURNS where nobody measured that. Source: practice.
    """
    length = convert(length_mm, "mm", unit)
    supposed = SUPPOSED_TURNS * convert(thread.lead, thread.unit, "mm")
    over = convert(supposed if overrun_mm is None else overrun_mm, "mm", unit)
    return Figure(
        "stop after",
        length - over,
        unit,
        "thread length − cuts on past its stop",
        PRACTICE,
        (Given("thread length", length, unit), Given("cuts on past its stop", over, unit)),
        fine=False,
        note="" if overrun_mm is not None else SUPPOSED,
    )


def refusals(thread: Thread, mount: Mount, torque_nm: float) -> Iterator[str]:
    """Why no head cuts a thread on a chuck that sits so: tapers, left-hand on a chuck that unscrews, `torque_nm` (unit
    N m, in the solid) past what a tailstock bears. Source: practice."""
    if thread.taper:
        yield "chasers of a head leave steps in a taper"
    if thread.hand == "left" and mount != "locked":
        yield "left-hand chasers need the spindle in reverse: a chuck that is not locked on unscrews"
    if torque_nm > KEYED_BEARS_NM:
        yield f"it takes {torque_nm:.0f} N m on a full blank, more than a tailstock holds"


def why_beyond(
    thread: Thread, length_mm: float, *, least: Length | None, most: Length | None, hollow: Length | None
) -> str:
    """Why a head whose chasers cut from `least` to `most`, and whose `hollow` takes in so much (None: nobody said),
    does not cut a thread of `length_mm` (millimetres); "" where it does."""
    if most is not None and thread.major_mm > most.mm:
        return f"takes chasers up to {most.typed}"
    if least is not None and thread.major_mm < least.mm:
        return f"takes chasers from {least.typed}"
    if hollow is not None and length_mm > hollow.mm:
        return f"its bore takes at most {hollow.typed} of thread"
    return ""


def why_too_short(thread: Thread, length_mm: float, overrun: Length | None) -> str:
    """Why `length_mm` (millimetres) of thread are too short for a head that cuts on for `overrun` past its stop, None
    where nobody measured that: it draws itself on for a turn at least before it meets the stop. "" where they are not.

    Source: practice.
    """
    stop = stop_after(thread, length_mm, overrun.mm if overrun else None, "mm")
    if stop.value >= convert(thread.lead, thread.unit, "mm") - 1e-9:
        return ""
    on = overrun.typed if overrun else f"{SUPPOSED_TURNS:g} turns, assumed,"
    return f"a head cuts on for {on} past its stop: this thread is too short for it"


def draws_on(thread: Thread, speed: Figure) -> Figure:
    """How far it travels in a second at `speed` (rev/min), in the thread's unit."""
    return Figure(
        "travel in a second",
        speed.value * thread.lead / 60,
        thread.unit,
        "speed × lead ÷ 60",
        GEOMETRY,
        (Given("speed", speed.value, "rev/min"), Given("lead", thread.lead, thread.unit)),
        fine=False,
    )


def time_on(thread: Thread, length_mm: float, speed: Figure) -> Figure:
    """Seconds from the first turn to the stop: 60 L / (n x lead); `length_mm` in millimetres."""
    lead = convert(thread.lead, thread.unit, "mm")
    return Figure(
        "time to the stop",
        60 * length_mm / (speed.value * lead),
        "s",
        "60 × thread length ÷ (speed × lead)",
        GEOMETRY,
        (Given("thread length", length_mm, "mm"), Given("speed", speed.value, "rev/min"), Given("lead", lead, "mm")),
        places=1,
    )
