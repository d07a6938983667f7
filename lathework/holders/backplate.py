"""A backplate between the nose of a spindle and a die head or a chuck: screwed on one, spigot for the other."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

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
from lathework.planning.notice import Notice
from lathework.shop.metals import Material
from lathework.threads.thread import Thread
from lathework.units import convert

CLEAR_MM = 0.5
"""What the spigot stays clear of the bottom of its recess, so that the faces meet (practice)."""
ENGAGED, STIFF = 0.8, 0.12
"""How many of its diameters the nose is screwed in, and how thick a flange is over its diameter at least (practice)."""
LEAST_FLANGE_MM = 8.0
"""The thinnest flange that takes bolts (practice)."""
LAST = (
    "Finally screw it on its own spindle, faces clean, and skim spigot and face there. Spot the bolt holes through the "
    "head with a transfer punch. With a screwed nose never reverse or brake under power: no die head, no power tapping "
    "in reverse."
)


def _flange(thread: Thread, register_mm: float, spigot_mm: float, across_mm: float, own: Overruled) -> Figure:
    given = {
        "nose's thread": thread.major_mm,
        "register long": register_mm,
        "spigot long": spigot_mm,
        "outside": across_mm,
        "minimum": LEAST_FLANGE_MM,
    }
    formula = "largest of (0.8 × nose's thread + register long − spigot long, 0.12 × outside, minimum)"
    engaged = ENGAGED * thread.major_mm + register_mm - spigot_mm
    thick = max(engaged, STIFF * across_mm, LEAST_FLANGE_MM)
    return own.of("flange", worked("flange thick", thick, own.unit, formula, given, fine=False))


def _against(
    thread: Thread, seat: Length, across: Length, wall: Figure, register: bool, flange: Figure, spigot: Figure
) -> Iterator[Notice]:
    yield from thin_wall(wall, "seat", "use an adapter, or a plain plate with its register turned on the outside.")
    if across.mm <= seat.mm + 2 * LEAST_FLANGE_MM:
        yield Notice("no-face", "wide", "There is hardly any face round the spigot to bolt the head to.")
    if not register:
        text = (
            "Without the plain register of the nose it is centred only by its thread. Measure the register "
            "and bore the plate to slide on it."
        )
        yield Notice("no-register", "plain", text)
    if mm_of(flange) + mm_of(spigot) < ENGAGED * thread.major_mm - 1e-6:
        yield Notice("short-thread", "flange", "The nose is screwed in by less than eight tenths of its diameter.")


_WHY = (
    "It fits the recess of the head by hand, without play: it alone centres the head.",
    "It stops short of the bottom, so that the head sits on the face, not on the spigot.",
    "Enough thread on the nose, and thick enough for the bolts.",
    "The diameter of the head or the chuck.",
    "The register centres it on the spindle; the thread only pulls it tight.",
    "The wall that is left round the nose under the spigot.",
    "A sawn slug or a casting, with enough to clean up its face and edge.",
)
"""Why spigot, its length, flange, outside, register, wall and bar are what they are (practice)."""
OVERRULES = {"flange thick": "flange"}


def _lying(thread: Thread, seat: Length, spigot_mm: float, whole_mm: float, across: Length) -> tuple[Lying, ...]:
    nose = thread.major_mm
    return (
        Lying("spindle", 0.15 * whole_mm, whole_mm + 0.5 * nose, 0.0, nose, 0, mate=True),
        Lying("plate", 0.0, spigot_mm, nose, seat.mm, 1),
        Lying("plate", spigot_mm, whole_mm, nose, across.mm, 1),
        Lying("head", -seat.mm / 3, spigot_mm, seat.mm, across.mm, 2, mate=True),
    )


def backplate(
    *,
    thread: Thread,
    register: tuple[Length, Length] | None,
    seat: Length,
    recess: Length,
    across: Length,
    metal: Material,
    own: Overruled,
) -> Design:
    """A backplate for a spindle nose of that `thread` and plain `register` (how wide and how long it is), for a head
    whose recess measures `seat` and is `recess` deep, `across` on the outside. Told in the unit of `own`, what the
    person sets. Source: practice."""
    unit = own.unit
    spigot = fitted(limits_of("slide", "shaft", seat.mm, seat.mm, unit), unit, "spigot")
    into = {"recess deep": recess.mm, "clear": CLEAR_MM}
    long = worked("spigot long", recess.mm - CLEAR_MM, unit, "recess deep − clear", into, fine=False)
    register_mm = register[1].mm if register is not None else 0.0
    flange = _flange(thread, register_mm, mm_of(long), across.mm, own)
    outside = worked("outside", across.mm, unit, "as the head", {"as the head": across.mm})
    wall = wall_of(seat.mm, thread.major_mm, unit)
    holes = [Bored(None, thread=thread.designation, cut="boring-tool", end="left")]
    figures, reasons = [spigot, long, flange, outside], [*_WHY[:4]]
    if register is not None:
        wide = convert(register[0].mm, "mm", unit)
        aim = fitted(limits_of("slide", "hole", register[0].mm, register[0].mm, unit), unit)
        figures.append(replace(aim, name="register"))
        reasons.append(_WHY[4])
        holes.append(Bored(wide, "slide", wide, deep=convert(register_mm, "mm", unit), end="left"))
    stock, hole = bar_for(outside, unit), convert(seat.mm, "mm", unit)
    document = holder_job(
        f"Backplate, {thread.designation}",
        fits="the spindle's nose",
        unit=unit,
        metal=metal,
        parts=(
            Made(
                stock.value,
                (Turned(hole, long.value, "slide", hole, chamfer=True), Turned(outside.value, flange.value)),
                tuple(holes),
                afterwards=LAST,
            ),
        ),
    )
    return Design(
        f"Backplate, {thread.designation}",
        explained((*reasons, *_WHY[5:]), *figures, wall, stock, fields=OVERRULES),
        tuple(_against(thread, seat, across, wall, register is not None, flange, long)),
        document,
        _lying(thread, seat, mm_of(long), mm_of(long) + mm_of(flange), across),
    )
