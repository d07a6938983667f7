"""A tap holder that slides on a bar in the tailstock: the tap's shank at one end, the bar at the other, a vent
between."""

from __future__ import annotations

from collections.abc import Iterator
from math import fsum

from lathework.figures import Figure
from lathework.fits.fit import limits_of
from lathework.holders.design import (
    Design,
    Lying,
    Overruled,
    bar_for,
    explained,
    fitted,
    mm_of,
    thin_wall,
    wall_of,
    worked,
)
from lathework.holders.making import Bored, Made, Turned, holder_job
from lathework.lengths import Length
from lathework.methods.chase import LEAST_BORE_MM
from lathework.planning.notice import Notice
from lathework.shop.metals import Material
from lathework.units import LengthUnit, convert

HOLDS_OVER, BEARS = 2.5, 2.5
"""How many diameters of the tap's shank, and of the bar, are in the holder (practice)."""
TOMMY_MM, BESIDE_TOMMY_MM = 6.0, 3.0
"""The hole for a tommy bar, and the metal on either side of it (practice)."""
WEB_MM, VENT_MM, SIDE_MM = TOMMY_MM + 2 * BESIDE_TOMMY_MM, 4.0, 6.0
"""Metal between both holes, the vent through it, and the metal beside the wider of them (practice)."""
SQUARE = 1.0
"""How long a tap's square is, over its shank, at least (ISO 237)."""
SCREW, ON_FLATS = "M5", "opposite each other, for screws on flats of the tap's square"
TOMMY_SET = "a quarter turn from the screws, for a tommy bar"
LET_GO = "Two screws hold the tap by its square. Let go of the tommy bar, or remove it, before the spindle turns."


def _hole(shank: Length, unit: LengthUnit) -> Figure:
    """The hole for the shank: bored to slide on it, or reamed to its nominal size where no boring tool goes in."""
    mate = shank.mm if shank.mm >= LEAST_BORE_MM else None
    return fitted(limits_of("slide", "hole", shank.mm, mate, unit), unit, "hole for the tap")


def _screws(shank: Length, deep: Figure, unit: LengthUnit) -> Figure:
    """Where the screws are: over the middle of the tap's square, whose end is at the bottom of the hole."""
    inside = mm_of(deep)
    at = max(inside - SQUARE * shank.mm / 2, inside / 2)
    formula, lengths = (
        "largest of (depth of the tap − shank ÷ 2, depth of the tap ÷ 2)",
        {"depth of the tap": inside, "shank": shank.mm},
    )
    return worked("screws behind the face", at, unit, formula, lengths, fine=False)


def _across(shank: Length, deep: Figure, screws: Figure, across: Figure, unit: LengthUnit) -> tuple[Bored, Bored]:
    """The holes across: for the screws on the tap's square, through the wall, and for a tommy bar, through the web."""
    wall, web = (mm_of(across) - shank.mm) / 2, mm_of(deep) + WEB_MM / 2
    through, middle, tommy = (convert(mm, "mm", unit) for mm in (wall, web, TOMMY_MM))
    return (
        Bored(None, end="across", thread=SCREW, at=screws.value, deep=through, round=2, around=ON_FLATS),
        Bored(tommy, end="across", at=middle, around=TOMMY_SET),
    )


def _against(wall: Figure, bar: Length, deep: Figure, bears: Figure) -> Iterator[Notice]:
    yield from thin_wall(wall, "across", "make the body larger.")
    if bar.mm < LEAST_BORE_MM:
        text = f"A boring tool does not fit a hole under {LEAST_BORE_MM:g} mm: use a thicker bar, or drill and ream it."
        yield Notice("small-bore", "bar", text)
    if mm_of(bears) < bar.mm:
        yield Notice(
            "short-bearing",
            "bears",
            "Less than one diameter of the bar is inside: the holder tips, and the tap with it.",
        )


_WHY = (
    "The shank goes in by hand; the screws hold the tap, not the hole.",
    "Takes the square and the shank above it, so that the tap sits straight.",
    "Over the middle of the square, which is about as long as the shank diameter.",
    "It slides and turns on the bar, so that the tap can pull itself in.",
    "Two and a half diameters keep it from tipping.",
    "Metal between the two holes, with a vent through it: without a vent it pumps air and does not follow the tap.",
    "Enough metal beside the wider hole for the screws.",
    "The wall that is left round the wider hole.",
    "Bar size with enough left to clean up the skin.",
)
"""Why hole, its depth, its screws, bore, its depth, length, body, wall and bar are what they are (practice)."""
OVERRULES = {"depth of the tap": "deep", "depth of the bar": "bears", "body across": "across"}


def _lying(shank: Length, bar: Length, deep: Figure, bears: Figure, long: Figure, across: Figure) -> tuple[Lying, ...]:
    tap, slides, whole, body = (mm_of(one) for one in (deep, bears, long, across))
    return (
        Lying("bar", whole - slides + 1.0, whole + slides, 0.0, bar.mm, 0, mate=True),
        Lying("body", 0.0, tap, shank.mm, body, 1),
        Lying("body", tap, whole - slides, VENT_MM, body, 1),
        Lying("body", whole - slides, whole, bar.mm, body, 1),
        Lying("tap", -tap, tap, 0.0, shank.mm, 2, mate=True),
    )


def tap_holder(*, shank: Length, bar: Length, metal: Material, own: Overruled) -> Design:
    """A holder for a tap whose `shank` measures so much, that slides on a `bar`; told in the unit of `own`, what the
    person sets. Source: practice."""
    unit = own.unit
    hole = _hole(shank, unit)
    lengths = {"shank": shank.mm}
    deep = own.of("deep", worked("depth of the tap", HOLDS_OVER * shank.mm, unit, "2.5 × shank", lengths, fine=False))
    screws = _screws(shank, deep, unit)
    bore = fitted(limits_of("close-running", "hole", bar.mm, bar.mm, unit), unit, "bore for the bar")
    bears = own.of("bears", worked("depth of the bar", BEARS * bar.mm, unit, "2.5 × bar", {"bar": bar.mm}, fine=False))
    parts = {"depth of the tap": mm_of(deep), "depth of the bar": mm_of(bears), "web": WEB_MM}
    long = worked("long", fsum(parts.values()), unit, "depth of the tap + depth of the bar + web", parts, fine=False)
    wider = max(shank.mm, bar.mm)
    sides = {"wider hole": wider, "side": SIDE_MM}
    across = own.of("across", worked("body across", wider + 2 * SIDE_MM, unit, "wider hole + 2 × side", sides))
    wall, stock = wall_of(mm_of(across), wider, unit), bar_for(across, unit)
    slides, turns = convert(bar.mm, "mm", unit), convert(shank.mm, "mm", unit)
    bored = shank.mm >= LEAST_BORE_MM
    document = holder_job(
        f"Tap holder, {shank.typed} shank",
        fits="the tap's shank, and the bar it slides on",
        unit=unit,
        metal=metal,
        parts=(
            Made(
                stock.value,
                (Turned(across.value, long.value),),
                (
                    Bored(convert(VENT_MM, "mm", unit)),
                    Bored(turns, "slide", turns if bored else None, deep=deep.value, reamed=not bored),
                    Bored(slides, "close-running", slides, deep=bears.value, end="left"),
                    *_across(shank, deep, screws, across, unit),
                ),
                afterwards=LET_GO,
            ),
        ),
    )
    return Design(
        f"Tap holder, {shank.typed} shank",
        explained(_WHY, hole, deep, screws, bore, bears, long, across, wall, stock, fields=OVERRULES),
        tuple(_against(wall, bar, deep, bears)),
        document,
        _lying(shank, bar, deep, bears, long, across),
    )
