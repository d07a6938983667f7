"""A stock for one round die: a ring with a pocket and a way through, two handles screwed into it."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.figures import Figure
from lathework.holders.design import (
    DIE_HOLE,
    Design,
    Lying,
    Overruled,
    bar_for,
    explained,
    length_text,
    mm_of,
    worked,
)
from lathework.holders.handles import ENGAGED, SHORT_MM, Handles, handle_long, handles_for
from lathework.holders.making import Bored, Made, Turned, holder_job
from lathework.holders.pocket import LARGER_DIE, Pocket, way_through
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
SQUARE_OFF = "90° from the split of the die, for the handles"
FINISHED = "{screws} Secure the handles with a little thread-locking compound (follow its data sheet), or peen them."


def _across(pocket: Pocket, thread: Thread, unit: LengthUnit) -> Figure:
    die, wide = pocket.across.mm, thread.major_mm
    lengths = {"die's diameter": die, "handle's thread": wide}
    formula = "die's diameter + 2 × 1.25 × handle's thread"
    return worked("ring across", die + 2 * ENGAGED * wide, unit, formula, lengths)


def _thick(pocket: Pocket, thread: Thread, unit: LengthUnit) -> Figure:
    deep, wide = mm_of(pocket.deep), thread.major_mm
    lengths = {"pocket deep": deep, "lip": LIP_THICK_MM, "handle's thread": wide, "beside it": BESIDE_HANDLE_MM}
    thick = max(deep + LIP_THICK_MM, wide + 2 * BESIDE_HANDLE_MM)
    formula = "largest of (pocket deep + lip, handle's thread + 2 × beside it)"
    return worked("ring thick", thick, unit, formula, lengths, fine=False)


def _against(pocket: Pocket, handles: Handles, across: Figure) -> Iterator[Notice]:
    yield from pocket.against(LARGER_DIE)
    wall = (mm_of(across) - pocket.across.mm) / 2
    if wall < handles.thread.major_mm:
        yield Notice(
            "thin-wall",
            "across",
            f"The handles are screwed in by only {wall:.1f} mm, less than their diameter: make the ring larger.",
        )
    if mm_of(handles.arm) > LONGEST_ARM_MM:
        text = "If the handles must be this long, the thread is too heavy for one pass with a die: rough it out first."
        yield Notice("long-handles", "thread", text)
    if handles.bends:
        text = f"Even {handles.thread.designation} handles bend at this torque: rough the thread out first."
        yield Notice("handles-bend", "thread", text)
    if mm_of(handles.rod) <= handles.thread.major_mm:
        yield Notice("no-shoulder", "rod", "The rod is not thicker than its thread: it has no shoulder to stop on.")


def _lying(pocket: Pocket, way: Figure, across: Figure, thick: Figure, handles: Handles) -> tuple[Lying, ...]:
    die, deep = pocket.across.mm, mm_of(pocket.deep)
    outer, long, through = (mm_of(one) for one in (across, thick, way))
    arm, middle = mm_of(handles.arm), long / 2
    rod, thread = mm_of(handles.rod), handles.thread.major_mm
    seen = min(2 * arm, DRAWN_OVER_RING * outer)
    return (
        Lying("ring", 0.0, deep, die, outer, 0),
        Lying("ring", deep, long, through, outer, 0),
        Lying("handle", middle - rod / 2, middle + rod / 2, outer, seen, 0, square=True, shortened=seen < 2 * arm),
        Lying("handle", middle - thread / 2, middle + thread / 2, die + 2 * SHORT_MM, outer, 0, square=True),
        Lying("die", deep - pocket.thick.mm, deep, DIE_HOLE * die, die, 1, mate=True),
    )


_WHY = (
    "Twice the torque of a sharp, well-oiled die: your hands must supply it.",
    "Two hands, each pulling about 200 N.",
    "Clears the chip holes of the die, and the thread.",
    "Enough wall to screw the handles in by one and a quarter diameters.",
    "The die has a lip to sit on, and the handles have metal on both sides.",
    "It stops on its shoulder and does not bend where the thread ends.",
    "It ends short of the pocket: a handle that touches the die pushes it out of round.",
    "Bar size with enough left to clean up the skin.",
)
"""Why torque, arm, way, ring across and thick, rod, handle and bar are what they are (practice)."""
OVERRULES = {
    "handle from the axis": "arm",
    "ring across": "across",
    "ring thick": "thick_ring",
    "handle rod": "rod",
}


def die_stock(*, die: Length, thick: Length, thread: Thread, metal: Material, own: Overruled) -> Design:
    """A stock for a die so much across and thick as measured, told in the unit of `own`, what the person sets;
    `thread` is the largest it cuts, in the `metal` that counts for the handles too. Source: practice."""
    unit = own.unit
    way = way_through(die, thread, unit)
    pocket = Pocket(die, thick, mm_of(way), unit)
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
                    Bored(None, end="across", thread=handles.thread.designation, at=ring.value / 2, around=SQUARE_OFF),
                    *pocket.screw_holes(across, ring),
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
    dimensions = (*pocket.dimensions, *explained(_WHY, *figures, fields=OVERRULES))
    conflicts = tuple(_against(pocket, handles, across))
    return Design(title, dimensions, conflicts, document, _lying(pocket, way, across, ring, handles))
