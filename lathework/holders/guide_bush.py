"""A guide bush: it runs on the blank ahead of the die, and sits in the hole of the stock, stopped on its face."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace

from lathework.cutting.blank import blank_choices
from lathework.figures import PRACTICE, Figure, Given
from lathework.fits.fit import limits_of
from lathework.holders.design import (
    Design,
    Dimensioned,
    Lying,
    Overruled,
    bar_for,
    explained,
    fitted,
    length_text,
    thin_wall,
    wall_of,
)
from lathework.holders.making import Bored, Made, Turned, holder_job
from lathework.lengths import Length
from lathework.methods.chase import LEAST_BORE_MM
from lathework.planning.notice import Notice
from lathework.shop.metals import Material
from lathework.tables.drills import all_drills
from lathework.threads.limits import external_limits
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

LONG = 1.25
"""Length of a bush over the blank it runs on (practice)."""
COLLAR_MM, LIP_MM = 3.0, 3.0
"""Thickness of its collar, and how far that stands over the hole of the stock (practice)."""
SITS_MM = 5.0
"""What even a small bush has in the stock (practice)."""
SHY_MM = 0.5
"""What a bush stays clear of the die (practice)."""
DRILL_OVER_MM, DRILL_LOOSE_MM = 0.02, 0.1
"""Least and most that a drilled bush may be over its blank (practice)."""


def usual_blank(thread: Thread, metal: Material) -> float:
    """The blank that a thread is turned to in a metal, in millimetres: its major where no class tells."""
    limits = external_limits(thread)
    choices = blank_choices(thread, limits.major if limits is not None else None, metal.blank_fraction)
    own = next((choice.diameter.value for choice in choices if choice.school == "pitch-fraction"), thread.major)
    return convert(own, thread.unit, "mm")


def _drilled(blank_mm: float, unit: LengthUnit) -> Figure:
    """The smallest drill that lets a blank too small for a boring tool run."""
    drill = next(one for one in all_drills() if one.diameter_mm >= blank_mm + DRILL_OVER_MM)
    return Figure(
        "bore",
        convert(drill.diameter, drill.unit, unit),
        unit,
        "the smallest drill that leaves the blank room to run",
        PRACTICE,
        (Given("blank", convert(blank_mm, "mm", unit), unit),),
        kind="table",
        note=f"Drill {drill.name}.",
    )


def _long(blank_mm: float, unit: LengthUnit) -> Figure:
    blank, least = convert(blank_mm, "mm", unit), convert(COLLAR_MM + SITS_MM, "mm", unit)
    return Figure(
        "guides over",
        max(LONG * blank, least),
        unit,
        "largest of (1.25 × blank, collar and seat)",
        PRACTICE,
        (Given("blank", blank, unit), Given("collar and seat", least, unit)),
        fine=False,
    )


def _body(long: Figure, deep: Length | None, unit: LengthUnit) -> Figure:
    """How far the bush goes into the stock: as long as it guides, or as deep as the hole lets it, clear of the die."""
    collar, shy = (convert(mm, "mm", unit) for mm in (COLLAR_MM, SHY_MM))
    inputs = [Given("guides over", long.value, unit), Given("collar", collar, unit)]
    value, formula = long.value - collar, "guides over − collar"
    if deep is not None:
        hole = convert(deep.value, deep.unit, unit)
        value, formula = (
            min(value, hole - shy),
            "smallest of (guides over − collar, depth of the hole − clear of the die)",
        )
        inputs += [Given("depth of the hole", hole, unit), Given("clear of the die", shy, unit)]
    return Figure("goes into the stock", value, unit, formula, PRACTICE, tuple(inputs), fine=False)


def _collar(long: Figure, body: Figure, unit: LengthUnit) -> Figure:
    least = convert(COLLAR_MM, "mm", unit)
    return Figure(
        "collar thick",
        max(least, long.value - body.value),
        unit,
        "largest of (smallest collar, guides over − goes into the stock)",
        PRACTICE,
        (
            Given("smallest collar", least, unit),
            Given("guides over", long.value, unit),
            Given("goes into the stock", body.value, unit),
        ),
        fine=False,
    )


def _across(seat: Length, unit: LengthUnit) -> Figure:
    hole, lip = convert(seat.value, seat.unit, unit), convert(LIP_MM, "mm", unit)
    return Figure(
        "collar across",
        hole + 2 * lip,
        unit,
        "bore of the stock + 2 × lip",
        PRACTICE,
        (Given("bore of the stock", hole, unit), Given("lip", lip, unit)),
    )


def _against(wall: Figure, body: Figure, bore: Figure, blank_mm: float, deep: Length | None) -> Iterator[Notice]:
    unit: LengthUnit = "in" if body.unit == "in" else "mm"
    yield from thin_wall(wall, "seat", "use a stock with a larger hole, or bore this one out.")
    if convert(body.value, unit, "mm") < COLLAR_MM:
        yield Notice(
            "shallow-seat", "deep", "It goes only a little way into the stock and will tip. Bore the hole deeper."
        )
    if deep is None:
        text = (
            "Give the depth of the bore in the stock, down to the die. A bush that reaches the die pushes it "
            "out of its seat."
        )
        yield Notice("not-measured", "deep", text)
    loose = convert(bore.value, unit, "mm") - blank_mm
    if loose > DRILL_LOOSE_MM:
        text = f"With the nearest drill the blank has {loose:.2f} mm of play. Ream the hole, or turn the blank to suit."
        yield Notice("loose-bush", "blank", text)


_WHY = (
    "It runs on the blank with room for oil. Any tighter and it binds on chips; any looser and it does not guide.",
    "It slides into the bore of the stock without play: play here makes the thread wobble.",
    "One and a quarter diameters guide it; under one diameter it tips.",
    "It stays clear of the die: a bush that reaches the die pushes it out of its seat.",
    "It stops on the face of the stock, never on the die.",
    "A lip all round, to stop it and to hold it by.",
    "The wall that is left round the hole.",
    "Bar size with enough left to clean up the skin.",
)
"""Why bore, outside, length, body, collar and its diameter, wall and bar are what they are (practice)."""


def _lying(blank_mm: float, seat_mm: float, body: Figure, collar: Figure, across: Figure) -> tuple[Lying, ...]:
    unit: LengthUnit = "in" if body.unit == "in" else "mm"
    into, stop, wide = (convert(one.value, unit, "mm") for one in (body, collar, across))
    return (
        Lying("stock", 0.0, into, seat_mm, wide + 0.6 * seat_mm, 0, mate=True),
        Lying("bush", 0.0, into, blank_mm, seat_mm, 1),
        Lying("bush", into, into + stop, blank_mm, wide, 1),
        Lying("blank", -into, into + stop + into, 0.0, blank_mm, 2, mate=True),
    )


OVERRULES = {"guides over": "long", "collar across": "across"}


@dataclass(frozen=True, slots=True)
class Bush:
    """A bush for one thread: its dimensions, what is against it, how it is made and lies, what it is in the shop."""

    dimensions: tuple[Dimensioned, ...]
    conflicts: tuple[Notice, ...]
    made: Made
    lying: tuple[Lying, ...]
    becomes: str


def bush_for(thread: Thread, *, seat: Length, deep: Length | None, blank_mm: float, own: Overruled) -> Bush:
    """A bush for the blank of a thread, `blank_mm` across, in a stock's hole that measures `seat` and is so `deep` down
    to the die. Source: practice."""
    unit, bored = own.unit, blank_mm >= LEAST_BORE_MM
    bore = fitted(limits_of("running", "hole", blank_mm, blank_mm, unit), unit) if bored else _drilled(blank_mm, unit)
    outside = fitted(limits_of("slide", "shaft", seat.mm, seat.mm, unit), unit, "outside")
    long = own.of("long", _long(blank_mm, unit))
    body = _body(long, deep, unit)
    collar, across = _collar(long, body, unit), own.of("across", _across(seat, unit))
    wall, bar = wall_of(seat.mm, convert(bore.value, unit, "mm"), unit), bar_for(across, unit)
    runs, hole = (convert(mm, "mm", unit) for mm in (blank_mm, seat.mm))
    turned = (Turned(hole, body.value, fit="slide", mate=hole, chamfer=True), Turned(across.value, collar.value))
    bored_out = Bored(runs, fit="running", mate=runs) if bored else Bored(bore.value)
    return Bush(
        explained(_WHY, bore, outside, long, body, collar, across, wall, bar, fields=OVERRULES),
        tuple(_against(wall, body, bore, blank_mm, deep)),
        Made(bar.value, turned, (bored_out,), name=thread.designation),
        _lying(blank_mm, seat.mm, body, collar, across),
        f"{length_text(bore.value, unit)} {unit} x {length_text(outside.value, unit)} {unit} guide bush",
    )


def guide_bush(
    thread: Thread, *, seat: Length, deep: Length | None, blank: Length | None, metal: Material, own: Overruled
) -> Design:
    """A guide bush for the blank of a thread in the hole of a stock, told in the unit of `own`, what the person sets.

    `seat` is what that hole measures, `deep` how deep it is down to the die, where that is known; `blank` what the
    blank measures, the usual one of the thread in its `metal` where nobody says. Source: practice.
    """
    blank_mm = blank.mm if blank is not None else usual_blank(thread, metal)
    bush, title = (
        bush_for(thread, seat=seat, deep=deep, blank_mm=blank_mm, own=own),
        f"Guide bush, {thread.designation}",
    )
    document = holder_job(
        title,
        fits="die stock",
        unit=own.unit,
        metal=metal,
        parts=(replace(bush.made, name=""),),
        becomes=bush.becomes,
    )
    return Design(title, bush.dimensions, bush.conflicts, document, bush.lying)
