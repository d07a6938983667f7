"""A stock for one round die: a ring with a pocket and a way through, two handles screwed into it."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.figures import PRACTICE, Figure, Given
from lathework.holders.design import (
    DIE_HOLE,
    Design,
    Dimensioned,
    Lying,
    Overruled,
    bar_for,
    length_text,
)
from lathework.holders.handles import ENGAGED, SHORT_MM, Handles, handle_long, handles_for
from lathework.holders.making import Bored, Made, Turned, holder_job
from lathework.holders.pocket import OVER_THREAD_MM, Pocket
from lathework.lengths import Length
from lathework.planning.notice import Notice
from lathework.shop.metals import Material
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

LIP_THICK_MM, BESIDE_HANDLE_MM = 4.0, 3.0
"""Metal under the die, and on either side of the handles' thread (practice)."""
DRAWN_OVER_RING = 1.5
"""How far over the ring the handles are drawn, over its diameter (practice)."""
LONGEST_ARM_MM = 400.0
"""Longer handles than this and the thread is better roughed out first (practice)."""
FINISHED = (
    "{screws} Handles 90 degrees from the split; a little of thread-locking compound by its data sheet, or a peen, "
    "keeps them in."
)


def _across(pocket: Pocket, thread: Thread, unit: LengthUnit) -> Figure:
    die, wide = convert(pocket.across.mm, "mm", unit), convert(thread.major_mm, "mm", unit)
    return Figure(
        "ring across",
        die + 2 * ENGAGED * wide,
        unit,
        "die's diameter + 2 × 1.25 × handle's thread",
        PRACTICE,
        (Given("die's diameter", die, unit), Given("handle's thread", wide, unit)),
    )


def _thick(pocket: Pocket, thread: Thread, unit: LengthUnit) -> Figure:
    deep, lip = pocket.deep.value, convert(LIP_THICK_MM, "mm", unit)
    wide, beside = convert(thread.major_mm, "mm", unit), convert(BESIDE_HANDLE_MM, "mm", unit)
    return Figure(
        "ring thick",
        max(deep + lip, wide + 2 * beside),
        unit,
        "greatest of (pocket deep + lip, handle's thread + 2 × beside it)",
        PRACTICE,
        (Given("pocket deep", deep, unit), Given("lip", lip, unit))
        + (Given("handle's thread", wide, unit), Given("beside it", beside, unit)),
        fine=False,
    )


def _way(die: Length, thread: Thread, unit: LengthUnit) -> Figure:
    """The hole behind the die: past its chip holes, and past the thread."""
    across, major = convert(die.mm, "mm", unit), convert(thread.major_mm, "mm", unit)
    over = convert(OVER_THREAD_MM, "mm", unit)
    return Figure(
        "way through",
        max(0.75 * across, major + over),
        unit,
        "greatest of (0.75 × die's diameter, thread + over it)",
        PRACTICE,
        (Given("die's diameter", across, unit), Given("thread", major, unit), Given("over it", over, unit)),
    )


def _against(pocket: Pocket, handles: Handles, across: Figure, unit: LengthUnit) -> Iterator[Notice]:
    yield from pocket.against
    wall = (convert(across.value, unit, "mm") - pocket.across.mm) / 2
    if wall < handles.thread.major_mm:
        yield Notice(
            "thin-wall",
            "across",
            f"The handles are screwed in by {wall:.1f} mm only, less than a diameter: a larger ring.",
        )
    if convert(handles.arm.value, unit, "mm") > LONGEST_ARM_MM:
        text = "Handles as long as that say that the thread is too much for a die at once: rough it out first."
        yield Notice("long-handles", "thread", text)
    if handles.bends:
        text = f"Even handles of {handles.thread.designation} bend at this torque: rough the thread out first."
        yield Notice("handles-bend", "thread", text)
    rod_mm = convert(handles.rod.value, unit, "mm")
    if rod_mm <= handles.thread.major_mm:
        yield Notice("no-shoulder", "rod", "The rod is no thicker than its thread: it has no shoulder to stop on.")


def _lying(
    pocket: Pocket, way: Figure, across: Figure, thick: Figure, handles: Handles, unit: LengthUnit
) -> tuple[Lying, ...]:
    die, deep = pocket.across.mm, convert(pocket.deep.value, unit, "mm")
    outer, long, through = (convert(one.value, unit, "mm") for one in (across, thick, way))
    arm, middle = convert(handles.arm.value, unit, "mm"), long / 2
    rod, thread = convert(handles.rod.value, unit, "mm"), handles.thread.major_mm
    seen = min(2 * arm, DRAWN_OVER_RING * outer)
    return (
        Lying("ring", 0.0, deep, die, outer, 0),
        Lying("ring", deep, long, through, outer, 0),
        Lying("handle", middle - rod / 2, middle + rod / 2, outer, seen, 0, square=True, shortened=seen < 2 * arm),
        Lying("handle", middle - thread / 2, middle + thread / 2, die + 2 * SHORT_MM, outer, 0, square=True),
        Lying("die", deep - pocket.thick.mm, deep, DIE_HOLE * die, die, 1, mate=True),
    )


_WHY = (
    "Twice that of a sharp die, well oiled: what the hands must bring.",
    "Two hands that pull about 200 N each.",
    "Past the chip holes of the die, and past the thread.",
    "Wall enough for the handles to be screwed in by a diameter and a quarter.",
    "The die has a lip to press on, the handles metal on both sides.",
    "It stops on its shoulder, and does not bend where the thread ends.",
    "Screwed in short of the pocket: a handle that touches the die pushes it out of round.",
    "So much bar that its skin goes.",
)
"""Why torque, arm, way, ring across and thick, rod, handle and bar are what they are (practice)."""
OVERRULES = {
    "handle from the axis": "arm",
    "ring across": "across",
    "ring thick": "thick_ring",
    "handle's rod": "rod",
}


def die_stock(*, die: Length, thick: Length, thread: Thread, metal: Material, own: Overruled) -> Design:
    """A stock for a die so much across and thick as measured, told in the unit of `own`, what the person sets;
    `thread` is the largest it cuts, in the `metal` that counts for the handles too. Source: practice."""
    unit = own.unit
    way = _way(die, thread, unit)
    pocket = Pocket(die, thick, convert(way.value, unit, "mm"), unit)
    handles = handles_for(thread, metal, die.mm, own)
    across = own.of("across", _across(pocket, handles.thread, unit))
    ring = own.of("thick_ring", _thick(pocket, handles.thread, unit))
    long, stock = handle_long(handles, across, unit), bar_for(across, unit)
    inside = ENGAGED * convert(handles.thread.major_mm, "mm", unit) - convert(SHORT_MM, "mm", unit)
    own_die, title = convert(die.mm, "mm", unit), f"Die stock, {die.typed} x {thick.typed}"
    document = holder_job(
        title,
        fits="the die",
        unit=unit,
        metal=metal,
        parts=(
            Made(
                stock.value,
                (Turned(across.value, ring.value, chamfer=True),),
                (
                    Bored(own_die, "running", own_die, deep=pocket.deep.value),
                    Bored(way.value),
                    Bored(None, end="across", thread=handles.thread.designation, at=ring.value / 2),
                ),
                name="ring",
                afterwards=FINISHED.format(screws=pocket.screws),
            ),
            Made(
                handles.rod.value,
                (
                    Turned(None, inside, shape="thread", thread=handles.thread.designation),
                    Turned(None, long.value - inside, shape="bar"),
                ),
                pieces=2,
                name="handle",
                finish="die-turned-round",
            ),
        ),
        becomes=f"{length_text(die.value, die.unit)} {die.unit} die stock",
    )
    figures = (handles.torque, handles.arm, way, across, ring, handles.rod, long, stock)
    dimensions = (
        *pocket.dimensions,
        *(Dimensioned(figure, why, OVERRULES.get(figure.name, "")) for figure, why in zip(figures, _WHY, strict=True)),
    )
    conflicts = tuple(_against(pocket, handles, across, unit))
    return Design(title, dimensions, conflicts, document, _lying(pocket, way, across, ring, handles, unit))
