"""A tailstock die holder that slides on a bar: a pocket for the die, room for its chips and the thread, a bore for the
bar; for one die, or for another one at its other end."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import replace
from math import fsum

from lathework.cutting.keyway import WIDEST, in_hub, in_shaft, key_in
from lathework.cutting.torque import cutting_torque
from lathework.figures import PRACTICE, Figure, Given
from lathework.fits.fit import limits_of
from lathework.holders.design import (
    DIE_HOLE,
    Design,
    Dimensioned,
    Lying,
    Overruled,
    bar_for,
    fitted,
    length_text,
    mm_of,
    thin_wall,
    wall_of,
    worked,
)
from lathework.holders.making import Bored, Made, Turned, holder_job
from lathework.holders.pocket import CHIP_DEEP_MM, OVER_THREAD_MM, Pocket
from lathework.lengths import Length
from lathework.part.model import Edge
from lathework.planning.notice import Notice
from lathework.shop.metals import Material
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

GRIP_N = 100.0
"""Friction of a hand round a knurled body: it slips at this times the radius, as a clutch does (practice)."""
LEAST_OVER_KEY_MM = 4.0
"""Metal over the keyway in a holder (practice)."""
BEARS = 2.0
"""How many of its diameters the holder bears on its bar (practice)."""
SIDE_MM = 6.0
"""Metal beside the pocket, for the screws to have threads in (practice)."""
WINDOWS, WINDOW_SHARE = 3, 0.3
"""How many windows let the chips out, and how wide they are over the die (practice)."""
_ENDS: tuple[tuple[Edge, str], ...] = (("right", "die"), ("left", "second die"))


def _long(pockets: Sequence[Pocket], swallows: Length, bar: Length, unit: LengthUnit) -> Figure:
    deep = fsum(pocket.deep.value for pocket in pockets)
    longest, thick = convert(swallows.value, swallows.unit, unit), convert(bar.value, bar.unit, unit)
    return Figure(
        "long",
        deep + longest + BEARS * thick,
        unit,
        "pockets + longest thread + 2 × bar",
        PRACTICE,
        (Given("pockets", deep, unit), Given("longest thread", longest, unit), Given("bar", thick, unit)),
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


def _against(pockets: Sequence[Pocket], guide_mm: float, thread: Thread, wall: Figure) -> Iterator[Notice]:
    for pocket in pockets:
        yield from pocket.against("use a thinner bar.")
    if guide_mm < thread.major_mm + OVER_THREAD_MM:
        text = (
            f"{thread.designation} does not pass through the bore of the bar: use a thicker bar, or a smaller thread."
        )
        yield Notice("bore-under-thread", "bar", text)
    yield from thin_wall(wall, "die", "make the body larger.")


def _windows(pocket: Pocket, across: Figure) -> Iterator[tuple[Dimensioned, Bored]]:
    """The windows of the room behind the first die, where it has one: as a dimension and as holes."""
    if not pocket.widened or pocket.end != "right":
        return
    unit, lengths = pocket.unit, {"die's diameter": pocket.across.mm, "room deep": CHIP_DEEP_MM}
    wide = min(WINDOW_SHARE * pocket.across.mm, CHIP_DEEP_MM)
    told = worked("chip windows", wide, unit, "smallest of (0.3 × die's diameter, room deep)", lengths)
    wall = (mm_of(across) - mm_of(pocket.room)) / 2 + OVER_THREAD_MM
    at = mm_of(pocket.deep) + CHIP_DEEP_MM / 2
    place, deep = (convert(mm, "mm", unit) for mm in (at, wall))
    hole = Bored(told.value, end="across", at=place, deep=deep, round=WINDOWS)
    yield Dimensioned(told, "Three, round the room behind the die: chips fall out and oil gets in."), hole


def _slips(across: Figure, thread: Thread, metal: Material, unit: LengthUnit) -> Dimensioned:
    """What a hand bears on the body before it slips, beside what the die wants."""
    wide, wants = convert(across.value, unit, "mm"), cutting_torque(thread, metal.cutting_force).value
    inputs = (Given("hand grip", GRIP_N, "N"), Given("body across", wide, "mm"))
    slips = Figure(
        "slips in your hand at", GRIP_N * wide / 2000, "N m", "hand grip × body across ÷ 2000", PRACTICE, inputs
    )
    bar = "you can hold it by hand" if wants < slips.value else "hold it with a tommy bar and let go in time"
    return Dimensioned(slips, f"A sharp {thread.designation} die takes about {wants:.1f} N m: {bar}.")


def _body(guide: Figure, long: Figure, across: Figure, widest: Length, unit: LengthUnit) -> tuple[Dimensioned, ...]:
    """The dimensions of the body, its wall and its bar the last."""
    wall = wall_of(convert(across.value, unit, "mm"), widest.mm, unit)
    return (
        Dimensioned(guide, "It slides on the bar without play. Draw the bar back as the thread comes through."),
        Dimensioned(
            long, "There is room for the longest thread, and two diameters of the bar are always inside.", "long"
        ),
        Dimensioned(across, "Enough metal beside the pocket for the screws.", "across"),
        Dimensioned(wall, "The wall that is left beside the die."),
        Dimensioned(bar_for(across, unit), "Bar size with enough left to clean up the skin."),
    )


def die_holder(
    *,
    dies: Sequence[tuple[Length, Length]],
    thread: Thread,
    longest: Length,
    bar: Length,
    key: Length | None,
    metal: Material,
    own: Overruled,
) -> Design:
    """A holder for one of the `dies`, each across and thick, at either end, that slides on a `bar`, told in the unit of
    `own`, what the person sets; `thread` is the largest that is cut, `longest` the longest. Sizes as measured; a `key`
    so wide locks it to the bar under power. Source: practice."""
    unit = own.unit
    guide = fitted(limits_of("close-running", "hole", bar.mm, bar.mm, unit), unit, "bore for the bar")
    guide_mm, slides = convert(guide.value, unit, "mm"), convert(bar.mm, "mm", unit)
    ends = zip(dies, _ENDS, strict=False)
    pockets = [Pocket(across, thick, guide_mm, unit, end, word) for (across, thick), (end, word) in ends]
    widest = max((pocket.across for pocket in pockets), key=lambda size: size.mm)
    long = own.of("long", _long(pockets, longest, bar, unit))
    across = own.of("across", _across(widest, unit))
    body = (_slips(across, thread, metal, unit), *_body(guide, long, across, widest, unit))
    *_, wall, stock = (one.figure for one in body)
    keyed = convert(key.value, key.unit, unit) if key is not None else None
    windows = [told for pocket in pockets for told in _windows(pocket, across)]
    title = f"Die holder, {' and '.join(pocket.across.typed for pocket in pockets)}"
    document = holder_job(
        title,
        fits="die, and the bar it slides on",
        unit=unit,
        metal=metal,
        parts=(
            Made(
                stock.value,
                (Turned(across.value, long.value),),
                (
                    *(hole for pocket in pockets for hole in pocket.holes),
                    *(hole for pocket in pockets for hole in pocket.screw_holes(across, long)),
                    *(hole for _, hole in windows),
                    Bored(slides, "close-running", slides, key=keyed),
                ),
                afterwards=" ".join(pocket.screws for pocket in pockets),
            ),
        ),
        becomes=_becomes(*dies[0]),
    )
    dimensions = (
        *(told for pocket in pockets for told in pocket.dimensions),
        *(told for told, _ in windows),
        *body,
        *_key_told(key, bar, unit),
    )
    conflicts = (*_against(pockets, guide_mm, thread, wall), *_key_against(key, bar, across))
    return Design(title, dimensions, conflicts, document, tuple(_lying(pockets, long, across, longest, bar)))


def _key_told(key: Length | None, bar: Length, unit: LengthUnit) -> Iterator[Dimensioned]:
    """The keyways of bar and holder, half of the key in each."""
    if key is None:
        return
    sits = key_in(bar.mm, key.mm)
    shaft, hub = in_shaft(bar.mm, sits, unit)["left"], in_hub(bar.mm, sits, unit)["over"]
    yield Dimensioned(
        replace(shaft, name="bar's keyway to the side opposite"), "Half of the key sits in the bar: mill this keyway."
    )
    yield Dimensioned(
        replace(hub, name="over bore and keyway"), "The other half sits in the holder, which slides but cannot turn."
    )


def _key_against(key: Length | None, bar: Length, across: Figure) -> Iterator[Notice]:
    """What is against a key: too wide for its bar, or the holder too thin over it."""
    if key is None:
        return
    if key.mm > WIDEST * bar.mm:
        yield Notice("wide-key", "key", f"A {key.typed} key is too wide for a {bar.typed} bar: at most half of it.")
        return
    left = (mm_of(across) - bar.mm) / 2 - key_in(bar.mm, key.mm).hub_mm
    if left < LEAST_OVER_KEY_MM:
        yield Notice(
            "thin-over-key",
            "key",
            f"Only {max(0.0, left):.1f} mm of the holder is left over its keyway: make the body larger.",
        )


def _lying(pockets: Sequence[Pocket], long: Figure, across: Figure, longest: Length, bar: Length) -> Iterator[Lying]:
    """The body with its pockets and its bore; its dies, the bar drawn back as far as the longest thread wants."""
    unit = pockets[0].unit
    whole, outer = convert(long.value, unit, "mm"), convert(across.value, unit, "mm")
    inside, ends = pockets[0].guide_mm, [0.0, 0.0]
    body = len(pockets)
    for at, pocket in enumerate(pockets):
        deep = convert(pocket.deep.value, unit, "mm")
        steps = [(0.0, deep, pocket.across.mm)]
        if pocket.widened:
            steps.append((deep, deep + CHIP_DEEP_MM, convert(pocket.room.value, unit, "mm")))
        for near, far, inner in steps:
            ends[at] = far
            yield Lying("body", *_from_end(near, far, whole, pocket.end), inner, outer, body)
        seated = _from_end(deep - pocket.thick.mm, deep, whole, pocket.end)
        die, place = pocket.across.mm, body + 1 - 2 * at
        # The bar comes in where the second die has its pocket.
        yield Lying(pocket.word, *seated, DIE_HOLE * die, die, place, mate=True, spare=at > 0)
    yield Lying("body", ends[0], whole - ends[1], inside, outer, body)
    begins = convert(pockets[0].deep.value, unit, "mm") + longest.mm
    yield Lying("bar", begins, max(whole, begins) + 2 * bar.mm, 0.0, bar.mm, 0, mate=True)


def _from_end(near: float, far: float, whole: float, end: Edge) -> tuple[float, float]:
    """A stretch from an end, as it lies behind the right-hand one of a body so long (millimetres)."""
    return (near, far) if end == "right" else (whole - far, whole - near)


def _becomes(die: Length, thick: Length) -> str:
    sizes = " x ".join(f"{length_text(one.value, one.unit)} {one.unit}" for one in (die, thick))
    return f"{sizes} die holder sliding"
