"""A bar on a taper shank: what a die holder, a tap holder or a drill chuck slides or sits on in the tailstock."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from lathework.figures import Figure
from lathework.fits.fit import limits_of
from lathework.fits.taper import Taper, set_over
from lathework.holders.design import Design, Lying, Overruled, bar_for, explained, fitted, mm_of, worked
from lathework.holders.making import Made, Turned, holder_job
from lathework.lengths import Length
from lathework.planning.notice import Notice
from lathework.shop.metals import Material
from lathework.units import LengthUnit, convert

COLLAR_MM, LIP_MM = 6.0, 2.0
"""How thick the collar between bar and shank is, and how far it stands over both: a wedge or a spanner pushes there
when the shank sticks (practice)."""
WHIPS_OVER = 6.0
"""A bar that stands out by more of its diameters whips under the pull of a die (practice)."""
TRIED = (
    "Blue the shank and try it in the tailstock before you use the bar: three quarters must bear. If it does "
    "not reach the ejector screw, screw in a plug."
)


def _shank(taper: Taper, unit: LengthUnit) -> Figure:
    return replace(
        worked("shank long", taper.long_mm, unit, f"{taper.name}, from its gauge line", {}, fine=False), kind="table"
    )


def _against(bar: Figure, out: Length, shank: Figure, taper: Taper) -> Iterator[Notice]:
    if out.mm > WHIPS_OVER * mm_of(bar):
        yield Notice("long-bar", "out", f"Over {WHIPS_OVER:g} diameters it whips: use a thicker bar, or a shorter one.")
    if mm_of(shank) < taper.long_mm / 2:
        text = "Less than half of the taper is in the tailstock: it works loose under a die."
        yield Notice("short-shank", "shank", text)


_WHY = (
    "The holder slides and turns on it without play.",
    "The length of the holder plus the longest thread.",
    "To knock it out by, and as a stop for the holder.",
    "The taper of the tailstock: it centres and holds itself.",
    "The length in its standard.",
    "The diameter at its end.",
    "Half the included angle.",
    "Bar size with enough left to clean up the skin.",
)
"""Why bar, its length, collar, gauge diameter, shank, small end, angle and stock are what they are (practice)."""
OVERRULES = {"shank long": "shank", "collar across": "across"}


def _lying(taper: Taper, bar: Figure, out: Length, across: Figure, shank: Figure) -> tuple[Lying, ...]:
    long, begins = mm_of(shank), out.mm + COLLAR_MM
    end = taper.large_mm - taper.ratio * long
    return (
        Lying("bar", 0.0, out.mm, 0.0, mm_of(bar), 0),
        Lying("bar", out.mm, begins, 0.0, mm_of(across), 0),
        Lying("bar", begins, begins + long, 0.0, taper.large_mm, 0, cone_mm=end),
        Lying("holder", 0.0, out.mm / 2, mm_of(bar), 2 * mm_of(bar), 1, mate=True),
    )


def taper_bar(*, taper: Taper, bore: Length, out: Length, metal: Material, own: Overruled) -> Design:
    """A bar on a shank of a named `taper`, for a holder whose `bore` measures so much; it stands `out` so far. Told in
    the unit of `own`, what the person sets. Source: practice."""
    unit = own.unit
    bar = fitted(limits_of("close-running", "shaft", bore.mm, bore.mm, unit), unit, "bar")
    long = worked(
        "bar sticks out",
        out.mm,
        unit,
        "as long as you need it to stick out",
        {"as long as you need it to stick out": out.mm},
        fine=False,
    )
    widest = max(bore.mm, taper.large_mm)
    sides = {"wider of bar and taper": widest, "lip": LIP_MM}
    across = own.of(
        "across", worked("collar across", widest + 2 * LIP_MM, unit, "wider of bar and taper + 2 × lip", sides)
    )
    gauge = replace(
        worked("gauge diameter", taper.large_mm, unit, f"{taper.name}, at the gauge line", {}), kind="table"
    )
    shank = own.of("shank", _shank(taper, unit))
    ends = {"gauge diameter": taper.large_mm, "shank long": mm_of(shank)}
    formula = f"gauge diameter − shank long × {taper.rise:g} ÷ {taper.along:g}"
    small = worked("small end", taper.large_mm - mm_of(shank) * taper.ratio, unit, formula, ends)
    stock, runs = bar_for(across, unit), convert(bore.mm, "mm", unit)
    title = f"Bar on {taper.name}"
    document = holder_job(
        title,
        fits="the holder that slides on it, and the tailstock",
        unit=unit,
        metal=metal,
        parts=(
            Made(
                stock.value,
                (
                    Turned(runs, convert(out.mm, "mm", unit), "close-running", runs, chamfer=True),
                    Turned(across.value, convert(COLLAR_MM, "mm", unit)),
                    Turned(None, shank.value, shape="taper", taper=taper.name, chamfer=True),
                ),
                afterwards=TRIED,
            ),
        ),
    )
    figures = (bar, long, across, gauge, shank, small, set_over(taper), stock)
    return Design(
        title,
        explained(_WHY, *figures, fields=OVERRULES),
        tuple(_against(bar, out, shank, taper)),
        document,
        _lying(taper, bar, out, across, shank),
    )
