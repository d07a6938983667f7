"""A floating die holder: a head with the die that finds its own way, held to a body on a bar by shoulder screws."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.figures import Figure
from lathework.fits.fit import limits_of
from lathework.holders.design import (
    DIE_HOLE,
    Design,
    Lying,
    Overruled,
    bar_for,
    explained,
    fitted,
    length_text,
    mm_of,
    worked,
)
from lathework.holders.making import Bored, Made, Turned, holder_job
from lathework.holders.pocket import LARGER_DIE, OVER_THREAD_MM, Pocket, way_through
from lathework.lengths import Length
from lathework.planning.notice import Notice
from lathework.shop.metals import Material
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

PLAY_MM, MOST_PLAY_MM = 0.3, 1.0
"""How far the head floats to any side, and the most that still lets a die start square (practice)."""
SHANK_MM, ROUND_DIE_MM, LIP_THICK_MM = 6.0, 12.0, 4.0
"""Shank of an M5 shoulder screw; metal round the die, for its own screws and these; metal under the die (practice)."""
BEARS = 2.0
"""How many of its diameters the body bears on its bar (practice)."""
SCREWED = (
    "Fit three M5 shoulder screws on a {circle} circle, 120° apart and clear of the die's own screws: {hole} "
    "holes through the head, M5 into the body. Leave the shoulders slightly proud so that the head is free. "
    "{screws}"
)


def _against(pocket: Pocket, bore: Figure, thread: Thread, play: Figure) -> Iterator[Notice]:
    yield from pocket.against(LARGER_DIE)
    if mm_of(bore) < thread.major_mm + OVER_THREAD_MM:
        text = (
            f"{thread.designation} does not pass through the bore of the bar: use a thicker bar, or a smaller thread."
        )
        yield Notice("bore-under-thread", "bar", text)
    if mm_of(play) > MOST_PLAY_MM:
        text = (
            f"With more than {MOST_PLAY_MM:g} mm of play to each side the die hangs down before it starts. Allow "
            "less play."
        )
        yield Notice("much-play", "play", text)


OVERRULES = {"floats by": "play", "head across": "across", "body long": "long"}


def _lying(pocket: Pocket, head: Figure, body: Figure, across: Figure, bar: Length, way: Figure) -> tuple[Lying, ...]:
    front, rear, wide, deep = (mm_of(one) for one in (head, body, across, pocket.deep))
    return (
        Lying("bar", front + rear / 2, front + 1.5 * rear + bar.mm, 0.0, bar.mm, 0, mate=True),
        Lying("body", front, front + rear, bar.mm, wide, 1),
        Lying("head", 0.0, deep, pocket.across.mm, wide, 2),
        Lying("head", deep, front, mm_of(way), wide, 2),
        Lying("die", deep - pocket.thick.mm, deep, DIE_HOLE * pocket.across.mm, pocket.across.mm, 3, mate=True),
    )


def floating_holder(
    *, die: tuple[Length, Length], thread: Thread, longest: Length, bar: Length, metal: Material, own: Overruled
) -> Design:
    """A floating holder for a `die` so much across and thick, on a `bar`, told in the unit of `own`, what the person
    sets; `thread` is the largest that is cut, `longest` the longest. Sizes as measured. Source: practice."""
    unit, (size, thick) = own.unit, die
    bore = fitted(limits_of("close-running", "hole", bar.mm, bar.mm, unit), unit, "bore for the bar")
    way = way_through(size, thread, unit)
    pocket = Pocket(size, thick, mm_of(way), unit)
    play = own.of("play", worked("floats by", PLAY_MM, unit, "play", {"play": PLAY_MM}))
    deep, wide = mm_of(pocket.deep), {"die's diameter": size.mm, "round it": ROUND_DIE_MM}
    across = own.of(
        "across", worked("head across", size.mm + 2 * ROUND_DIE_MM, unit, "die's diameter + 2 × round it", wide)
    )
    thickness = {"pocket deep": deep, "lip": LIP_THICK_MM}
    head = worked("head thick", deep + LIP_THICK_MM, unit, "pocket deep + lip", thickness, fine=False)
    lengths = {"longest thread": longest.mm, "bar": bar.mm}
    long = own.of(
        "long", worked("body long", longest.mm + BEARS * bar.mm, unit, "longest thread + 2 × bar", lengths, fine=False)
    )
    holes = {"shank": SHANK_MM, "floats by": mm_of(play)}
    clear = worked("holes in the head", SHANK_MM + 2 * mm_of(play), unit, "shank + 2 × floats by", holes)
    rings = {"die's diameter": size.mm, "head across": mm_of(across)}
    circle = worked(
        "circle of the screws", (size.mm + mm_of(across)) / 2, unit, "(die's diameter + head across) ÷ 2", rings
    )
    stock = bar_for(across, unit)
    figures = (play, way, head, across, circle, clear, bore, long, stock)
    title = f"Floating die holder, {size.typed}"
    document = _document(title, pocket, figures, bar, size, metal, unit)
    return Design(
        title,
        (*pocket.dimensions, *explained(_WHY, *figures, fields=OVERRULES)),
        tuple(_against(pocket, bore, thread, play)),
        document,
        _lying(pocket, head, long, across, bar, way),
    )


_WHY = (
    "The die finds the axis of the work even if the tailstock is slightly off: it cuts where it starts.",
    "Clears the chip holes of the die, and the thread.",
    "The die has a lip to sit on.",
    "Room for the die's own screws and for the screws that hold the head.",
    "Midway in the metal round the die.",
    "The shank of the screw plus the play on each side: the screw drives the head and lets it float.",
    "The body slides on the bar without play.",
    "There is room for the longest thread, and two diameters of the bar are always inside.",
    "Bar size with enough left to clean up the skin.",
)
"""Why play, way, head, its diameter, circle, holes, bore, length and bar are what they are (practice)."""


def _document(
    title: str, pocket: Pocket, figures: tuple[Figure, ...], bar: Length, die: Length, metal: Material, unit: LengthUnit
) -> dict[str, object]:
    """The job of head and body."""
    _, way, head, across, circle, clear, _, long, stock = figures
    own, slides = (convert(size.mm, "mm", unit) for size in (die, bar))
    sizes = {"circle": circle, "hole": clear}
    screwed = SCREWED.format(
        screws=pocket.screws, **{key: f"{length_text(one.value, unit)} {unit}" for key, one in sizes.items()}
    )
    return holder_job(
        title,
        fits="the die, and the bar it slides on",
        unit=unit,
        metal=metal,
        parts=(
            Made(
                stock.value,
                (Turned(across.value, head.value, chamfer=True),),
                (
                    Bored(own, "running", own, deep=pocket.deep.value),
                    Bored(way.value),
                    *pocket.screw_holes(across, head),
                ),
                name="head",
                afterwards=screwed,
            ),
            Made(
                stock.value,
                (Turned(across.value, long.value, chamfer=True),),
                (Bored(slides, "close-running", slides),),
                name="body",
            ),
        ),
        becomes=f"{length_text(die.value, die.unit)} {die.unit} floating die holder",
    )
