"""A sleeve that lets a plain die stock slide on a bar: bored to the bar, with a spigot for the stock's hole."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.figures import PRACTICE, Figure, Given
from lathework.fits.fit import limits_of
from lathework.holders.design import Design, Lying, Overruled, bar_for, explained, fitted, thin_wall, wall_of
from lathework.holders.making import Bored, Made, Turned, holder_job
from lathework.lengths import Length
from lathework.methods.chase import LEAST_BORE_MM
from lathework.planning.notice import Notice
from lathework.shop.metals import Material
from lathework.units import LengthUnit, convert

BEARS = 2.0
"""Length of the sleeve over the bar it slides on (practice)."""
BODY_MM = 6.0
"""What its body is thicker than its spigot, on the diameter, so that the stock stops on it (practice)."""


def _long(bar_mm: float, unit: LengthUnit) -> Figure:
    bar = convert(bar_mm, "mm", unit)
    return Figure("bears over", BEARS * bar, unit, "2 × bar", PRACTICE, (Given("bar", bar, unit),), fine=False)


def _body_long(long: Figure, spigot: Length, unit: LengthUnit) -> Figure:
    into = convert(spigot.value, spigot.unit, unit)
    return Figure(
        "body long",
        long.value - into,
        unit,
        "bears over − spigot",
        PRACTICE,
        (Given("bears over", long.value, unit), Given("spigot", into, unit)),
        fine=False,
    )


def _across(seat: Length, unit: LengthUnit) -> Figure:
    hole, more = convert(seat.value, seat.unit, unit), convert(BODY_MM, "mm", unit)
    return Figure(
        "body across",
        hole + more,
        unit,
        "bore of the stock + shoulder on both sides",
        PRACTICE,
        (Given("bore of the stock", hole, unit), Given("shoulder on both sides", more, unit)),
    )


def _against(wall: Figure, body: Figure, bar: Length) -> Iterator[Notice]:
    yield from thin_wall(wall, "seat", "use a thinner bar, or a stock with a larger hole.")
    if body.value <= 0:
        yield Notice("no-body", "spigot", "The spigot is as long as the whole sleeve: no bearing length is left.")
    if bar.mm < LEAST_BORE_MM:
        text = f"A boring tool does not fit a hole under {LEAST_BORE_MM:g} mm: use a thicker bar, or drill and ream it."
        yield Notice("small-bore", "bar", text)


_WHY = (
    "It slides on the bar without play, so that the die stays on the axis.",
    "Push it into the bore of the stock by hand: it should stay there.",
    "Two diameters of the bar keep it from tipping.",
    "The bearing length behind the stock, and the grip for your hand.",
    "A shoulder for the stock to stop on, square to the bore: turn both in one set-up.",
    "The wall that is left round the bar in the spigot.",
    "Bar size with enough left to clean up the skin.",
)
"""Why bore, spigot, length, body and its diameter, wall and bar are what they are (practice)."""


def _lying(
    long: Figure, across: Figure, bar: Length, seat: Length, spigot: Length, unit: LengthUnit
) -> tuple[Lying, ...]:
    whole, body = convert(long.value, unit, "mm"), convert(across.value, unit, "mm")
    return (
        Lying("bar", -whole / 2, 1.5 * whole, 0.0, bar.mm, 0, mate=True),
        Lying("sleeve", 0.0, spigot.mm, bar.mm, seat.mm, 1),
        Lying("sleeve", spigot.mm, whole, bar.mm, body, 1),
        Lying("stock", 0.0, spigot.mm, seat.mm, 2 * seat.mm, 2, mate=True),
    )


OVERRULES = {"bears over": "long", "body across": "across"}


def sleeve(*, bar: Length, seat: Length, spigot: Length, metal: Material, own: Overruled) -> Design:
    """A sleeve for a plain stock, told in the unit of `own`, what the person sets: it slides on a `bar` that measures
    so much; its spigot goes into the stock's hole, which measures `seat`, by the length `spigot`. Source: practice."""
    unit = own.unit
    bore = fitted(limits_of("close-running", "hole", bar.mm, bar.mm, unit), unit)
    outside = fitted(limits_of("push", "shaft", seat.mm, seat.mm, unit), unit, "spigot")
    long = own.of("long", _long(bar.mm, unit))
    body, across = _body_long(long, spigot, unit), own.of("across", _across(seat, unit))
    wall = wall_of(seat.mm, convert(bore.value, unit, "mm"), unit)
    stock = bar_for(across, unit)
    title, slides, hole = "Sleeve for a plain die stock", *(convert(mm, "mm", unit) for mm in (bar.mm, seat.mm))
    document = holder_job(
        title,
        fits="die stock, and its bar",
        unit=unit,
        metal=metal,
        parts=(
            Made(
                stock.value,
                (
                    Turned(hole, convert(spigot.value, spigot.unit, unit), fit="push", mate=hole, chamfer=True),
                    Turned(across.value, body.value),
                ),
                (Bored(slides, fit="close-running", mate=slides),),
            ),
        ),
    )
    return Design(
        title,
        explained(_WHY, bore, outside, long, body, across, wall, stock, fields=OVERRULES),
        tuple(_against(wall, body, bar)),
        document,
        _lying(long, across, bar=bar, seat=seat, spigot=spigot, unit=unit),
    )
