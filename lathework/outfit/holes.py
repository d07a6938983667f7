"""The drill and the tap of a hole."""

from __future__ import annotations

from collections.abc import Iterator, Mapping

from lathework.outfit.need import ALIKE_MM, Need, Said, Shop, StandIn, no_substitute, state_of, steps_of, unavailable
from lathework.outfit.serving import serving
from lathework.part.bores import BoreWork
from lathework.planning.notice import told
from lathework.planning.plan import Plan
from lathework.shop.fits import reaches, reams
from lathework.shop.kinds import name_of
from lathework.shop.kinds.drills import Reamer, ShopDrill
from lathework.shop.kinds.taps import Tap
from lathework.shop.kit_choices import TapForm

OWN_FORMS: Mapping[str, TapForm] = {"form-tap": "forming", "adjustable-tap": "adjustable"}
"""Taps of a form of their own, by how a hole is cut: the others stand in for each other."""


def bore_needs(plan: Plan, found: BoreWork, shop: Shop) -> Iterator[Need]:
    """What makes a hole: its drill, its tap."""
    thread, depth, unit = found.bore.thread, found.bore.depth, plan.job.unit
    drilled = steps_of(plan, ("drill",), found.bore.id)
    across = found.drilled_mm
    if (
        shop.keeps(ShopDrill)
        and across > 0
        and (found.picked is not None or thread is None)
        and (found.limits is None or found.bore.reamed)
    ):
        own = [drill for drill in shop.at_hand(ShopDrill) if abs(drill.size.mm - across) < ALIKE_MM]
        near = min(shop.at_hand(ShopDrill), key=lambda one: abs(one.size.mm - across), default=None)
        instead = (StandIn(f"nearest: {name_of(near)}"),) if near and not own else ()
        named = found.picked or (found.rough if found.bored else None)
        size = named.name if named else told(across, unit, fine=True)
        owns: Said = (("kind", "drill"), ("size", size))
        yield Need(f"drill, {size}", own[0] if own else None, "", instead, owns=() if own else owns, steps=drilled)
    if found.bore.reamed and found.bore.across is not None and shop.keeps(Reamer):
        own_reamers = [reamer for reamer in shop.at_hand(Reamer) if reams(reamer, found.bore.across.mm).fits]
        size, steps = found.bore.across.typed, steps_of(plan, ("ream",), found.bore.id)
        lacks: Said = () if own_reamers else (("kind", "reamer"), ("size", size))
        yield Need(f"reamer, {size}", own_reamers[0] if own_reamers else None, owns=lacks, steps=steps)
    elif thread is None:
        fitting = [reamer for reamer in shop.at_hand(Reamer) if reams(reamer, found.drill_mm).fits]
        note = "drill a little under it first"
        yield from (Need("to finish the hole", one, note, steps=drilled) for one in fitting[:1])
    if thread is None or found.bore.cutter.on_leadscrew:
        return
    form = OWN_FORMS.get(found.bore.cut, "")
    taps = [one for one in shop.at_hand(Tap) if one.thread.designation == thread.designation]
    taps = [tap for tap in taps if (tap.form if tap.form in OWN_FORMS.values() else "") == form]
    deep = [tap for tap in taps if depth is None or reaches(tap, depth.mm).fits]
    what = f"{found.bore.cutter.name} for {thread.designation}"
    if deep:
        best = min(deep, key=lambda one: (one.id != found.bore.tap, one.state == "worn"))
        yield Need(what, best, state_of(best), steps=steps_of(plan, ("tap", "finish"), found.bore.id))
        return
    serves = serving(thread, shop.things)
    away = [unavailable(thing) for thing in serves.away if isinstance(thing, Tap)]
    short = reaches(taps[0], depth.mm).why if taps and depth else ""
    owns = (("kind", "tap"), ("thread", thread.designation), ("form", form or "set"))
    yield Need(what, None, short, (*away, *map(no_substitute, serves.unlike)), owns=owns)
