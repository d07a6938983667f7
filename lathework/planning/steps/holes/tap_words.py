"""What every way of tapping shares: which way it goes, its turns, its torque, what is said of it."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import replace

from lathework.cutting.roughing import HAND_BEARS_NM, rough_share
from lathework.cutting.torque import cutting_torque, form_torque
from lathework.figures import GEOMETRY, Figure, Given
from lathework.holes.depth import LEAST_MARGIN, likely_breaks, tap_margin, tap_named
from lathework.holes.percent import TAPPED_PERCENT
from lathework.lathe.threading import Driver, Tap
from lathework.methods.tap import TAP_HOLDINGS, TapHolding
from lathework.part.bores import BLIND_TAP, BoreWork
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, makes
from lathework.planning.positions import along, given_mm, typed
from lathework.planning.steps.holes.hole import ends_in_bar, tapped_in_vise
from lathework.planning.threads.driving import (
    lighter,
    rhythm,
    turn_back,
    why_by_hand,
)
from lathework.planning.work import Work
from lathework.threads.thread import Thread
from lathework.units import convert


def full_depth(work: Work, bore_work: BoreWork) -> Figure:
    """Depth of full thread of a hole along the axis."""
    depth, unit = bore_work.bore.depth, work.job.unit
    asked = next(bore.depth for bore in work.part.bores if bore.id == bore_work.bore.id)
    if depth is not None and asked is None:
        return along(
            work,
            "full thread",
            depth.mm,
            "overall length − what a wider hole takes",
            given_mm("overall length", work.part.overall_mm, unit),
            given_mm("what a wider hole takes", work.part.overall_mm - depth.mm, unit),
        )
    if depth is not None:
        return typed("full thread", depth, fine=False)
    return along(
        work,
        "full thread",
        work.part.overall_mm,
        "overall length: it goes through",
        given_mm("overall length", work.part.overall_mm, work.job.unit),
    )


DRY_SHARE = 2.0
"""How many times the torque of an oiled tap a dry one takes (practice)."""
LEAST_THREADED_MM = 12.0
"""Smallest hole that an inside threading tool works in (practice)."""
FORMED = "A form tap makes no chips: do not turn it back. The hole size matters more than with a cutting tap."
FORMED_OIL, NEVER_DRY = "light oil", ": a form tap is never run dry"
OIL_FIRST = "Oil first: {oil}. This tap breaks dry."
BLIND = "Blind hole: tap by hand. A tap under power must not meet the bottom."
PARTED_FIRST = (
    "Part off first: on the bar a hole this large would have to go far past the piece, for the tap's chamfer."
)
ON_THE_BAR = "On the bar this hole is blind: tap by hand and clear the chips. Power and spiral point need a way out."


def way_of(work: Work, bore_work: BoreWork, chucking: Chucking) -> TapHolding:
    """How a hole is tapped: as chosen, but one that ends in metal never under power, a large one through the piece when
    it is parted off. Source: practice."""
    chosen = TAP_HOLDINGS[work.job.method.tapping]
    if tapped_in_vise(work, chucking, bore_work):
        return TAP_HOLDINGS["in-vise"]
    return TAP_HOLDINGS["by-centre"] if by_hand_because(work, bore_work, chucking) else chosen


def by_hand_because(work: Work, bore_work: BoreWork, chucking: Chucking) -> str:
    """Why a tap that was to go in under power is turned by hand; "" where power will do, or was not chosen."""
    chosen, thread = TAP_HOLDINGS[work.job.method.tapping], bore_work.bore.thread
    if not chosen.power or thread is None:
        return ""
    if bore_work.bore.depth is not None:
        return "is blind"
    if ends_in_bar(work, chucking, bore_work):
        return "ends in metal while the part is on the bar"
    return why_by_hand(work, thread, solid_torque(work, bore_work, thread), chosen.slips_nm)


def why_otherwise(work: Work, bore_work: BoreWork, chucking: Chucking, way: TapHolding) -> str:
    """Why a hole is tapped in another `way` than was chosen."""
    if way.off_lathe:
        return PARTED_FIRST
    if bore_work.bore.depth is not None:
        return BLIND
    why = by_hand_because(work, bore_work, chucking)
    return ON_THE_BAR if ends_in_bar(work, chucking, bore_work) else f"By hand: it {why}."


def hole_made(bore_work: BoreWork, thread: Thread) -> str:
    """What tapping or chasing makes of a hole: this thread, this deep."""
    depth = bore_work.bore.depth
    named = f"{thread.designation} {bore_work.bore.class_name}".strip()
    return makes(thread=named, depth="through" if depth is None else f"{depth.mm:.3f}")


def turns_of(thread: Thread, deep_mm: float, *, through: bool) -> Figure:
    """Whole turns of the tap over `deep_mm` millimetres, and its lead more where it comes `through`."""
    lead = convert(thread.lead, thread.unit, "mm")
    beyond = tap_named(BLIND_TAP).lead_turns if through else 0.0
    turns = math.ceil(deep_mm / lead + beyond - 1e-9)
    given = (
        Given("depth of thread", deep_mm, "mm"),
        Given("lead", lead, "mm"),
        Given("chamfer of the tap", beyond, "turn"),
    )
    formula = f"next whole of (depth of thread ÷ lead{' + chamfer of the tap' if through else ''})"
    return Figure("turns", turns, "turn", formula, GEOMETRY, given)


def margin_of(work: Work, bore_work: BoreWork, thread: Thread) -> Figure | None:
    """How many times its torque the tap of a hole bears; None where nothing is known of its per cent thread."""
    if bore_work.bore.cutter.forms:
        return tap_margin(thread, work.job.material, TAPPED_PERCENT, formed=True)
    return None if bore_work.percent is None else tap_margin(thread, work.job.material, bore_work.percent.value)


def solid_torque(work: Work, bore_work: BoreWork, thread: Thread) -> Figure:
    """Torque of the tap on the whole thread, in N m."""
    torque = cutting_torque(thread, work.job.material.cutting_force, tool="tap")
    return form_torque(torque) if bore_work.bore.cutter.forms else torque


def roughed(work: Work, bore_work: BoreWork, thread: Thread) -> float:
    """How deep the thread is roughed out before the tap, as a share of its depth; 0 where a hand turns it as it is, or
    no threading tool goes into the hole."""
    if not bore_work.bore.cutter.in_sets or bore_work.taper is not None or bore_work.bore.end == "across":
        return 0.0
    if bore_work.drill_mm < LEAST_THREADED_MM:
        return 0.0
    return rough_share(solid_torque(work, bore_work, thread).value, HAND_BEARS_NM)


def torques(work: Work, bore_work: BoreWork, thread: Thread, way: TapHolding) -> dict[str, Figure]:
    """The tap's margin, where it is known, and its torque with what is said of holding it in that `way`."""
    torque, share = solid_torque(work, bore_work, thread), 0.0 if way.power else roughed(work, bore_work, thread)
    margin = margin_of(work, bore_work, thread)
    return ({} if margin is None else {"margin": margin}) | {
        "torque": torque if way.power else lighter(torque, share, "tap", by_torque=way.by_torque)
    }


def turned_in(work: Work, bore_work: BoreWork, thread: Thread, way: TapHolding, full_mm: float) -> Tap:
    """The tap on its way, `full_mm` of full thread deep (millimetres; 0 for one that stops at its gauge)."""
    driver: Driver = "vise" if way.off_lathe or bore_work.bore.end == "across" else "spindle by hand"
    if way.power:
        driver = "spindle"
    lead = tap_named(BLIND_TAP).lead_turns * thread.pitch_mm if full_mm else 0.0
    torque = torques(work, bore_work, thread, way)["torque"].value
    reverses = way.power and work.job.setup.mount == "locked" and thread.hand == "right"
    return Tap(
        bore_work.bore.id, None, torque, driver, reverses, full_mm=full_mm, lead_mm=lead, across_mm=thread.major_mm
    )


def driven(work: Work, bore_work: BoreWork) -> dict[str, Figure]:
    """When to turn a tap back; a form tap makes no chip to break."""
    return {} if bore_work.bore.cutter.forms else {"rhythm": rhythm(work)}


def ending(work: Work, figures: dict[str, Figure]) -> str:
    """The end of a tapping sentence."""
    return f"; {turn_back(work)}." if "rhythm" in figures else "."


def as_set(operation: Operation, bore_work: BoreWork, thread: Thread) -> Operation:
    """A step that taps: with an adjustable tap it is one that is set before it runs."""
    bore = bore_work.bore
    if bore.cutter.sized_by == "nothing":
        return operation
    return replace(operation, thread=thread, class_name=bore.class_name, inside=True, cutter="adjustable-tap")


def tap_order(bore_work: BoreWork, *, power: bool = False) -> str:
    """Which taps a hole takes, in their order."""
    if bore_work.bore.cutter.forms:
        return bore_work.bore.cutter.name
    if bore_work.bore.cutter.sized_by == "graduations":
        return bore_work.bore.cutter.name
    if power:
        return "spiral point tap"
    return "second tap alone" if bore_work.bore.depth is None else "taper, second, then bottoming tap"


def risks(figures: dict[str, Figure]) -> tuple[str, ...]:
    """What must be known before a tap of those `figures` goes in."""
    likely = likely_breaks(figures.get("margin"))
    return ("The tap is likely to break here: drill larger, or cut the thread single point.",) if likely else ()


def oil_of(work: Work, bore_work: BoreWork) -> str:
    """What is put on the tap of a hole: a form tap is never run dry."""
    return FORMED_OIL if _formed_dry(work, bore_work) else work.lubricant


def _formed_dry(work: Work, bore_work: BoreWork) -> bool:
    """Whether a form tap would be run where everything else is cut dry."""
    return work.dry and bore_work.bore.cutter.forms


def oil_first(work: Work, bore_work: BoreWork, figures: Mapping[str, Figure]) -> str:
    """That a tap of those `figures` is oiled before it turns, with what: dry it is likely to break. "" for another."""
    margin, oiled = figures.get("margin"), _formed_dry(work, bore_work) or not work.dry
    breaks_dry = margin is not None and margin.value < DRY_SHARE * LEAST_MARGIN
    return OIL_FIRST.format(oil=oil_of(work, bore_work)) if breaks_dry and oiled else ""


def manner(work: Work, bore_work: BoreWork, figures: dict[str, Figure]) -> tuple[str, ...]:
    """What a tap of those `figures` wants wherever it is driven: oil, the way of a form tap, something to hold it."""
    return (
        f"Lubricant: {oil_of(work, bore_work)}{NEVER_DRY if _formed_dry(work, bore_work) else ''}.",
        *((FORMED,) if bore_work.bore.cutter.forms else ()),
        *filter(None, (figures["torque"].note,)),
    )
