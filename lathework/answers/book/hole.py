"""A tapped hole worked out for the drills one owns: the pick, how strong it is, how deep to drill."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.answers.size import Size, size
from lathework.drawing.profile.percent import percent_sheet
from lathework.drawing.shapes import Sheet
from lathework.errors import InputError
from lathework.figures import Figure, Given
from lathework.holes.depth import (
    HIGHEST_PERCENT,
    LOWEST_PERCENT,
    countersink,
    drill_depth,
    hole_for,
    likely_breaks,
    tap_margin,
    taps,
)
from lathework.holes.drill_choice import DrillChoice, choose, sought, wanted_percent
from lathework.holes.form_taps import form_hole
from lathework.holes.mending import Mend, mends
from lathework.holes.percent import metal_cut
from lathework.holes.strength import Strip, external_shear, share_held, strip
from lathework.holes.thin_metal import ThinMetal, thin_metal
from lathework.lengths import Span, bare_number, read_length, within
from lathework.shop.metals import Material, materials
from lathework.shop.racks import owned
from lathework.threads.standards.bands import ExternalLimits, InternalLimits
from lathework.threads.thread import Thread
from lathework.units import convert, show_length, show_share

DEPTH = Span("A depth of thread", 0.5, 300)
THICK = Span("A thickness", 0.2, 300)
LESS_PERCENT = 10.0
"""By how much less thread the trade of strength for torque is told."""


@dataclass(frozen=True, slots=True)
class AskedHole:
    """What the person adds to the thread: as typed, "" for the usual.

    `percent` wanted; `drills` owned; `bolt` and `metal` by code; `depth` of full thread in a blind hole; `through`
    how thick the metal is where the hole goes through; `piloted` says that a pilot hole was drilled first.
    """

    percent: str = ""
    drills: str = ""
    bolt: str = ""
    metal: str = ""
    depth: str = ""
    through: str = ""
    piloted: bool = False


@dataclass(frozen=True, slots=True)
class Hole:
    """A tapped hole: per cent wanted, the pick among what is owned, its strength, depths by tap, and a chart."""

    size: Size
    metal: Material
    bolt: Material
    percent: float
    pick: DrillChoice | None
    beside: tuple[DrillChoice, ...]
    words: str
    bore: Figure
    countersink: Figure
    form: Figure | None
    strip: Strip
    margin: Figure | None
    depths: tuple[Figure, ...]
    thin: ThinMetal | None
    mends: tuple[Mend, ...]
    warnings: tuple[str, ...]
    trade: str
    chart: Sheet


def _metal(code: str, field: str) -> Material:
    known = materials()
    if code and code not in known:
        raise InputError("unknown-choice", field, f"Choose one of {', '.join(known)}.", tuple(known))
    return known[code or "mild-steel"]


def _percent(text: str, metal: Material, thread: Thread) -> float:
    """Per cent as typed, or what suits metal and thread."""
    if not text.strip():
        return wanted_percent(metal, thread)
    value = bare_number(text)
    if not LOWEST_PERCENT <= value <= HIGHEST_PERCENT:
        told = f"Type a per cent thread from {LOWEST_PERCENT:g} to {HIGHEST_PERCENT:g}, such as 70."
        raise InputError("out-of-range", "percent", told)
    return value


def _words(thread: Thread, limits: InternalLimits, pick: DrillChoice | None, percent: float) -> str:
    if pick is None:
        return "None of these drills leaves a thread. Bore the hole."
    told = f"Of the drills you own, {sought(thread, limits, percent)}"
    if not pick.serves:
        return f"{told}, but none is close. Bore the hole"
    if pick.fit == "within":
        return f"{told}. The hole is within class limits"
    side = "over" if pick.fit == "too-large" else "under"
    passes = show_length(pick.passes, thread.unit, thread.unit, fine=True)
    told = f"{told}. The hole may come out {passes} {thread.unit} {side} the class limit"
    return f"{told}: if the class matters, drill smaller, then ream or bore"


def _warnings(sized: Size, metal: Material, pick: DrillChoice | None, margin: Figure | None) -> tuple[str, ...]:
    out = []
    if pick is not None and pick.fit != "within" and sized.internal is not None:
        band = sized.internal.minor
        out.append(
            f"Class {band.class_name} allows {band.minimum:g} to {band.maximum:g} {band.unit} across the crests."
        )
    if likely_breaks(margin):
        out.append("The tap is likely to break at this per cent: drill larger, or cut the thread with a single point.")
    if not metal.form_tap:
        out.append(f"Do not use a form tap in {metal.name}: it cracks.")
    return tuple(out)


def _length(text: str, span: Span, field: str, thread: Thread) -> float | None:
    """A typed length in the thread's unit; None where nothing is typed."""
    if not text.strip():
        return None
    return convert(within(read_length(text, thread.unit, field), span, field).mm, "mm", thread.unit)


def _trade(thread: Thread, limits: ExternalLimits, percent: float) -> str:
    """What a tenth less thread costs in strength and saves in torque, in words."""
    lower = max(LOWEST_PERCENT, percent - LESS_PERCENT)
    strength = [external_shear(thread, limits, hole_for(thread, p).value).value for p in (lower, percent)]
    torque = metal_cut(lower) / metal_cut(percent)
    return (
        f"At {lower:.0f} % thread instead of {percent:.0f}: {show_share(strength[0] / strength[1])} of the "
        f"strength of the bolt's thread, for {show_share(torque)} of the tapping torque."
    )


def _limits(sized: Size) -> tuple[ExternalLimits, InternalLimits]:
    if sized.external is None or sized.internal is None:
        text = f"{sized.thread.designation} does not go into a parallel hole here."
        raise InputError("no-limits", "designation", text)
    return sized.external, sized.internal


def _depths(thread: Thread, full: float, across: float, held: Strip) -> tuple[Figure, ...]:
    """What a blind hole of `full` thread (the thread's unit) holds, and how deep it is drilled for each tap."""
    drilled = [drill_depth(thread, tap, full, across) for tap in taps() if tap.blind]
    return share_held(held, Given("full thread", full, thread.unit)), *drilled


def hole(text: str, *, internal_class: str = "", asked: AskedHole | None = None) -> Hole:
    """The hole for the thread that `text` designates, tapped to `internal_class` ("" the usual one).

    Raises InputError on "designation", "internal_class", "percent", "drills", "bolt", "metal", "depth", "through", and
    where the thread is not tapped into a parallel hole.
    """
    asked = asked or AskedHole()
    found = size(text, internal_class=internal_class)
    thread, (external, internal) = found.thread, _limits(found)
    metal, bolt = _metal(asked.metal, "metal"), _metal(asked.bolt, "bolt")
    percent, rack = _percent(asked.percent, metal, thread), owned(asked.drills, thread.unit)
    pick, beside = choose(thread, internal, rack, percent, piloted=asked.piloted, swells=metal.swells)
    bore = hole_for(thread, percent)
    across, left = (pick.hole.value, pick.percent.value) if pick else (bore.value, percent)
    margin = tap_margin(thread, metal, left) if pick else None
    held = strip(
        thread,
        external,
        internal,
        hole=min(across, thread.major),
        bolt_strength=bolt.tensile,
        hole_strength=metal.tensile,
    )
    full, thick = _length(asked.depth, DEPTH, "depth", thread), _length(asked.through, THICK, "through", thread)
    return Hole(
        size=found,
        metal=metal,
        bolt=bolt,
        percent=percent,
        pick=pick,
        beside=beside,
        words=_words(thread, internal, pick, percent),
        bore=bore,
        countersink=countersink(thread),
        form=form_hole(thread) if metal.form_tap else None,
        strip=held,
        margin=margin,
        depths=() if full is None else _depths(thread, full, across, held),
        thin=None if thick is None else thin_metal(thread, thick, held),
        mends=mends(thread, rack),
        warnings=_warnings(found, metal, pick, margin),
        trade=_trade(thread, external, left),
        chart=percent_sheet(thread, external, left),
    )
