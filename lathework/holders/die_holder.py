"""A tailstock die holder that slides on a bar: a pocket for the die, room for its chips and the thread, a bore for the
bar; for one die, or for another one at its other end."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace

from lathework.figures import PRACTICE, Figure, Given
from lathework.fits.fit import limits_of
from lathework.holders.design import Design, Dimensioned, bar_for, length_text, thin_wall, wall_of
from lathework.holders.making import Bored, Turned, turned_job
from lathework.lengths import Length
from lathework.part.model import Edge
from lathework.planning.notice import Notice
from lathework.shop.metals import Material
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

PROUD_MM = 0.1
"""What a die stands proud of its pocket, so that a screw or the hand can press it home (practice)."""
CHIP_SHARE = 0.75
"""How wide the room behind a die is, over its diameter: past its chip holes (practice)."""
CHIP_DEEP_MM = 8.0
"""How deep that room is where it is wider than the bar (practice)."""
LEAST_LIP_MM = 1.0
"""What a die needs to sit on, all round (practice)."""
OVER_THREAD_MM = 0.5
"""What a hole is larger than the thread that goes through it (practice)."""
BEARS = 2.0
"""How many of its diameters the holder bears on its bar (practice)."""
SIDE_MM = 6.0
"""Metal beside the pocket, for the screws to have threads in (practice)."""
SCREWS = (
    "Screws for the {which}: drill and tap three M5, {at} behind its face, at half the die's thickness: the middle "
    "one pointed, over the split; one on either side, 45 degrees off."
)


@dataclass(frozen=True, slots=True)
class Pocket:
    """A die of so much across and so thick, at an end of the holder."""

    across: Length
    thick: Length
    end: Edge = "right"
    word: str = "die"


def _seat(pocket: Pocket, unit: LengthUnit) -> Figure:
    bore = limits_of("running", "hole", pocket.across.mm, pocket.across.mm, unit).aim
    return replace(bore, name=f"pocket of the {pocket.word}")


def _deep(pocket: Pocket, unit: LengthUnit) -> Figure:
    thick, proud = convert(pocket.thick.value, pocket.thick.unit, unit), convert(PROUD_MM, "mm", unit)
    return Figure(
        f"pocket of the {pocket.word} deep",
        thick - proud,
        unit,
        "die's thickness − proud",
        PRACTICE,
        (Given("die's thickness", thick, unit), Given("proud", proud, unit)),
        fine=False,
    )


def _room(pocket: Pocket, unit: LengthUnit) -> Figure:
    across = convert(pocket.across.value, pocket.across.unit, unit)
    return Figure(
        f"room behind the {pocket.word}",
        CHIP_SHARE * across,
        unit,
        "0.75 × die's diameter",
        PRACTICE,
        (Given("die's diameter", across, unit),),
    )


def _long(deeps: list[Figure], swallows: Length, bar: Length, unit: LengthUnit) -> Figure:
    pockets = sum(one.value for one in deeps)
    longest, thick = convert(swallows.value, swallows.unit, unit), convert(bar.value, bar.unit, unit)
    return Figure(
        "long",
        pockets + longest + BEARS * thick,
        unit,
        "pockets + longest thread + 2 × bar",
        PRACTICE,
        (Given("pockets", pockets, unit), Given("longest thread", longest, unit), Given("bar", thick, unit)),
        fine=False,
    )


def _across(widest: Length, unit: LengthUnit) -> Figure:
    die, side = convert(widest.value, widest.unit, unit), convert(SIDE_MM, "mm", unit)
    return Figure(
        "body across",
        die + 2 * side,
        unit,
        "die's diameter + 2 × side",
        PRACTICE,
        (Given("die's diameter", die, unit), Given("side", side, unit)),
    )


def _against(pockets: list[Pocket], guide_mm: float, thread: Thread, wall: Figure) -> Iterator[Notice]:
    for pocket in pockets:
        behind = max(guide_mm, CHIP_SHARE * pocket.across.mm) if _widened(pocket, guide_mm) else guide_mm
        lip = (pocket.across.mm - behind) / 2
        field = "die" if pocket.word == "die" else "other"
        if lip < LEAST_LIP_MM:
            text = f"The {pocket.word} would sit on {max(0.0, lip):.1f} mm all round: take a thinner bar for it."
            yield Notice(f"thin-lip-{field}", field, text)
    if guide_mm < thread.major_mm + OVER_THREAD_MM:
        text = f"{thread.designation} does not go through the bore of the bar: a thicker bar, or a smaller thread."
        yield Notice("bore-under-thread", "bar", text)
    yield from thin_wall(wall, "die", "a larger body.")


def _widened(pocket: Pocket, guide_mm: float) -> bool:
    """Whether the room behind a die is wider than the bore of the bar, and bored for itself."""
    return CHIP_SHARE * pocket.across.mm > guide_mm + 2 * OVER_THREAD_MM


def _bores(pocket: Pocket, deep: Figure, room: Figure, guide_mm: float, unit: LengthUnit) -> Iterator[Bored]:
    die = convert(pocket.across.mm, "mm", unit)
    yield Bored(die, "running", die, deep=deep.value, end=pocket.end)
    if _widened(pocket, guide_mm):
        yield Bored(room.value, deep=deep.value + convert(CHIP_DEEP_MM, "mm", unit), end=pocket.end)


def die_holder(
    *,
    die: Length,
    thick: Length,
    other: Length | None,
    other_thick: Length | None,
    thread: Thread,
    longest: Length,
    bar: Length,
    metal: Material,
    unit: LengthUnit,
) -> Design:
    """A holder for a die, and for an `other` one at its far end where there is one, that slides on a `bar`, told in
    `unit`; `thread` is the largest that is cut, `longest` the longest. Sizes as measured. Source: practice."""
    pockets = [Pocket(die, thick)]
    if other is not None and other_thick is not None:
        pockets.append(Pocket(other, other_thick, "left", "other die"))
    guide = replace(limits_of("close-running", "hole", bar.mm, bar.mm, unit).aim, name="bore for the bar")
    guide_mm, own = convert(guide.value, unit, "mm"), convert(bar.mm, "mm", unit)
    deeps, rooms = [_deep(one, unit) for one in pockets], [_room(one, unit) for one in pockets]
    widest = max((one.across for one in pockets), key=lambda size: size.mm)
    long, across = _long(deeps, longest, bar, unit), _across(widest, unit)
    wall, stock = wall_of(convert(across.value, unit, "mm"), widest.mm, unit), bar_for(across, unit)
    dimensions: list[Dimensioned] = []
    for pocket, deep, room in zip(pockets, deeps, rooms, strict=True):
        dimensions.append(Dimensioned(_seat(pocket, unit), "The die drops in and can be turned, and does not shake."))
        dimensions.append(Dimensioned(deep, "The die stands a hair proud: what presses on it presses it home."))
        if _widened(pocket, guide_mm):
            dimensions.append(Dimensioned(room, "Past the chip holes of the die, so that chips fall free."))
    dimensions += [
        Dimensioned(guide, "It slides on the bar without shake; the bar is drawn back as the thread comes through."),
        Dimensioned(long, "The longest thread has room, and two diameters of the bar are always in it."),
        Dimensioned(across, "Metal beside the pocket for the screws."),
        Dimensioned(wall, "What is left beside the die."),
        Dimensioned(stock, "So much bar that its skin goes."),
    ]
    bores = [
        one
        for pocket, deep, room in zip(pockets, deeps, rooms, strict=True)
        for one in _bores(pocket, deep, room, guide_mm, unit)
    ]
    title = f"Die holder, {' and '.join(one.across.typed for one in pockets)}"
    afterwards = " ".join(
        SCREWS.format(which=one.word, at=f"{length_text(convert(one.thick.mm / 2, 'mm', unit), unit)} {unit}")
        for one in pockets
    )
    document = turned_job(
        title,
        fits="die, and the bar it slides on",
        unit=unit,
        metal=metal,
        bar=stock.value,
        turned=(Turned(across.value, long.value),),
        bored=(*bores, Bored(own, "close-running", own)),
        becomes=_becomes(die, thick),
        afterwards=afterwards,
    )
    return Design(title, tuple(dimensions), tuple(_against(pockets, guide_mm, thread, wall)), document)


def _becomes(die: Length, thick: Length) -> str:
    sizes = " x ".join(f"{length_text(one.value, one.unit)} {one.unit}" for one in (die, thick))
    return f"{sizes} die holder sliding"
