"""Blades, bars, collets, gauges, the lathe: what a plan takes from the racks and drawers of a shop."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from lathework.job.furnish import nearest_blade, typed_of
from lathework.outfit.need import ALIKE_MM, Need, Shop, StandIn, state_of, steps_of
from lathework.planning.holdings.chucking import Grip
from lathework.planning.notice import told
from lathework.planning.plan import Plan
from lathework.planning.threads.thread_work import in_mm
from lathework.shop.fits import closes, grips, long_enough, parts
from lathework.shop.kinds import name_of
from lathework.shop.kinds.bars import Bar
from lathework.shop.kinds.gauges import ThreadGauge
from lathework.shop.kinds.lathes import OwnLathe
from lathework.shop.kinds.tools import Blade
from lathework.shop.kinds.workholding import Centre, Chuck, Collet

_JAWED = ("three-jaw", "four-jaw")
"""Chucks that hold the work by jaws."""


def blade_needs(plan: Plan, shop: Shop) -> Iterator[Need]:
    """The blades of a plan; one that is too wide costs metal, or hides a groove."""
    if not shop.keeps(Blade):
        return
    setup, steps = plan.job.setup, {step.kind for step in plan.operations}
    uses = (("grooving", setup.groove_blade, {"groove", "neck"}), ("parting", setup.parting_blade, {"part-off"}))
    for use, width, kinds in uses:
        if not kinds & steps:
            continue
        across = plan.job.part.stock.corners_mm if use == "parting" else 0.0
        fitting = [blade for blade in shop.at_hand(Blade) if blade.use in (use, "either")]
        fitting = [one for one in fitting if use == "grooving" or parts(one, across).fits]
        own = next((one for one in fitting if abs(one.width.mm - width.mm) < ALIKE_MM), None)
        what = f"{use} blade, {told(width.mm, plan.job.unit)}"
        if own:
            yield Need(what, own, steps=steps_of(plan, kinds))
            continue
        owns = (("kind", "blade"), ("width", typed_of(width)), ("use", use))
        yield Need(what, None, "", _other_blade(width.mm, fitting, use), owns=owns)


def _other_blade(width_mm: float, fitting: Sequence[Blade], use: str) -> tuple[StandIn, ...]:
    near = nearest_blade(width_mm, fitting, use=use)
    if near is None:
        return ()
    more = near.width.mm - width_mm
    if use == "parting":
        costs = f"{abs(more):.1f} mm {'more' if more > 0 else 'less'} of the bar for each piece"
    else:
        costs = "wider than the groove" if more > 0 else "more plunges"
    field = "setup.parting_blade" if use == "parting" else "setup.groove_blade"
    return (StandIn(f"{name_of(near)}: {costs}", field, typed_of(near.width)),)


def bar_needs(plan: Plan, shop: Shop) -> Iterator[Need]:
    """The bar out of the rack, and what is left of it."""
    stock, metal = plan.job.part.stock, plan.job.material
    batch = next((one for one in plan.batch if one.name == "bar for the batch"), None)
    if batch is None or not shop.keeps(Bar):
        return
    alike = [one for one in shop.at_hand(Bar) if one.form == stock.form and one.metal in ("", metal.code)]
    own = [one for one in alike if abs(one.across.mm - stock.across.mm) < ALIKE_MM]
    wanted, unit = in_mm(batch), plan.job.unit
    long = sorted((one for one in own if long_enough(one, wanted).fits), key=lambda one: one.long.mm if one.long else 0)
    what = f"{told(wanted, unit)} of {stock.across.typed} {stock.form} {metal.name}"
    if long:
        bar = long[0]
        left = f"{told(bar.long.mm - wanted, unit)} is left over" if bar.long else "measure its length"
        yield Need(what, bar, left)
        return
    thicker = sorted((one for one in alike if one.across.mm > stock.across.mm), key=lambda one: one.across.mm)
    thicker = [one for one in thicker if long_enough(one, wanted).fits and stock.form == "round"]
    why = "; ".join(f"{name_of(one)}: {long_enough(one, wanted).why}" for one in own)
    # A body of bar as bought would come out thicker: that is told, and not taken by a press.
    field = "" if any(section.shape == "bar" for section in plan.job.part.sections) else "part.stock.across"
    words = f": turn the part that is left as bar down to {stock.across.typed}" if not field else ": turn it down"
    instead = [StandIn(f"{name_of(one)}{words}", field, typed_of(one.across) if field else "") for one in thicker]
    owns = (("kind", "bar"), ("form", stock.form), ("across", typed_of(stock.across)), ("metal", metal.code))
    yield Need(what, None, why, tuple(instead[:1]), owns=owns)


def holding_needs(plan: Plan, shop: Shop) -> Iterator[Need]:
    """Jaws that close on what they hold, collets that hold what is finished, and a centre."""
    for chucking in plan.chuckings:
        grip = chucking.grip
        steps = steps_of(plan, ("hold",), chucking.faces)
        yield from _jaws(plan, shop, grip)
        if chucking.second and not grip.flats and not grip.on_thread:
            found = [collet for collet in shop.at_hand(Collet) if grips(collet, grip.across_mm, grip.length_mm).fits]
            yield from (
                Need(f"to hold {grip.words}", one, "runs truer than jaws and leaves no marks", steps=steps)
                for one in found[:1]
            )
    if shop.keeps(Centre) and any(chucking.centred for chucking in plan.chuckings):
        centres = shop.at_hand(Centre)
        yield Need("tailstock centre", centres[0] if centres else None)


def _jaws(plan: Plan, shop: Shop, grip: Grip) -> Iterator[Need]:
    """A chuck that is missing because those of the shop do not close on what is held, with a collet that does."""
    chucks = [one for one in shop.at_hand(Chuck) if one.form in _JAWED]
    if not chucks or grip.on_thread or grip.tapered or any(closes(chuck, grip.across_mm).fits for chuck in chucks):
        return
    why = "; ".join(dict.fromkeys(f"{name_of(chuck)}: {closes(chuck, grip.across_mm).why}" for chuck in chucks))
    collets = [one for one in shop.at_hand(Collet) if grips(one, grip.across_mm, grip.length_mm).fits]
    instead = tuple(StandIn(f"{name_of(collet)}: it closes on this size") for collet in collets[:1] if not grip.flats)
    yield Need(f"jaws that close on {grip.words}, {told(grip.across_mm, plan.job.unit)}", None, why, instead)


def gauge_needs(plan: Plan, shop: Shop) -> Iterator[Need]:
    """Gauges of its threads."""
    cut = [section for section in plan.job.part.sections if section.thread]
    for gauge in shop.at_hand(ThreadGauge):
        if gauge.thread is None or gauge.form not in ("ring", "nut", "mate"):
            continue
        named = gauge.thread.designation
        its = [section.id for section in cut if section.thread and section.thread.designation == named]
        steps = [key for own in its for key in steps_of(plan, ("gauge",), own)]
        if its:
            yield Need(f"to gauge {named}", gauge, steps=tuple(steps))


def lathe_needs(plan: Plan, shop: Shop) -> Iterator[Need]:
    """The lathe that is named, and whether the bar passes it."""
    setup, stock = plan.job.setup, plan.job.part.stock
    own = next((thing for thing in shop.things if isinstance(thing, OwnLathe) and thing.id == setup.machine), None)
    if own is None:
        return
    note = ""
    if own.bore and not stock.one_ended and stock.corners_mm > own.bore.mm:
        note = f"the bar does not fit its {own.bore.typed} spindle bore: use short lengths, held in the chuck"
    yield Need("lathe", own if own.at_hand else None, note or state_of(own))
