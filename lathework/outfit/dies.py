"""The die of a thread, and what holds it."""

from __future__ import annotations

import math
from collections.abc import Iterator

from lathework.job.furnish import dies_for, pick_die, typed_of
from lathework.methods.die_held_by import Holding, holdings
from lathework.methods.die_holdings.by_holder import SLIDING_BY_HAND
from lathework.methods.die_holdings.by_stock import BY_TAILSTOCK, GUIDE_BUSH
from lathework.methods.die_holdings.holding import DieHolding
from lathework.methods.ways.heads import why_not_in
from lathework.outfit.need import Need, Shop, StandIn, no_substitute, state_of, steps_of, unavailable
from lathework.outfit.serving import serving
from lathework.part.model import Section
from lathework.planning.operation import keyed
from lathework.planning.plan import Plan
from lathework.planning.steps.threads.threading import way_of
from lathework.shop.fits import guides
from lathework.shop.kinds import name_of
from lathework.shop.kinds.die_heads import DieHead
from lathework.shop.kinds.die_holders import Bush, DieHolder, DieStock
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.tools import Tool
from lathework.threads.thread import Thread


def _stand_ins(thread: Thread, shop: Shop) -> Iterator[StandIn]:
    serves = serving(thread, shop.things)
    yield from (unavailable(thing) for thing in serves.away if isinstance(thing, Die))
    yield from map(StandIn, serves.instead)
    for tool in shop.at_hand(Tool):
        if tool.form == "threading" and tool.angle == thread.form.angle_deg:
            yield StandIn(f"cut it single point: {name_of(tool)}")
            break
    yield from map(no_substitute, serves.unlike)


def _head_needs(plan: Plan, section: Section, thread: Thread, shop: Shop) -> Iterator[Need]:
    """Chasers, and the head that takes them."""
    steps = steps_of(plan, ("thread",), section.id)
    found = pick_die(thread.designation, shop.things, (), chasers=True)
    owns = (("kind", "die"), ("thread", thread.designation), ("form", "chasers"))
    yield Need(f"chasers for {thread.designation}", found, owns=() if found else owns, steps=steps)
    tried = [(head, why_not_in(head, thread, section.length.mm)) for head in shop.at_hand(DieHead)]
    fitting = next((head for head, why in tried if not why), None)
    why = f"{name_of(tried[0][0])} {tried[0][1]}" if tried and fitting is None else ""
    yield Need("die head", fitting, why, owns=() if fitting else (("kind", "head"),), steps=steps)


def tool_needs(plan: Plan, section: Section, thread: Thread, shop: Shop) -> Iterator[Need]:
    """The threading tool of a thread that is cut single point."""
    if not shop.keeps(Tool):
        return
    angle = thread.form.angle_deg
    found = next((tool for tool in shop.at_hand(Tool) if tool.form == "threading" and tool.angle == angle), None)
    owns = (("kind", "tool"), ("form", "threading"), ("angle", f"{angle:g}"))
    steps = steps_of(plan, ("gear", "screwcut"), section.id)
    yield Need(f"threading tool of {angle:g}°", found, owns=() if found else owns, steps=steps)


def die_needs(plan: Plan, number: int, thread: Thread, shop: Shop) -> Iterator[Need]:
    """The die of a thread, section `number` of its part from 0, and what holds it."""
    section = plan.job.part.sections[number]
    if section.cutter.opens:
        yield from _head_needs(plan, section, thread, shop)
        return
    dies, field = dies_for(thread.designation, shop.things), f"part.sections.{number}.die"
    named = next((one for one in dies if one.id == section.die), None)
    die = named or pick_die(thread.designation, shop.things, ())
    steps = steps_of(plan, ("thread", "finish"), section.id)
    if die is None:
        owns = (("kind", "die"), ("thread", thread.designation))
        instead = tuple(_stand_ins(thread, shop))
        yield Need(f"die for {thread.designation}", None, "", instead, field, owns=owns, steps=steps)
        return
    choices = tuple(dies) if len(dies) > 1 else ()
    note = state_of(die) if die.across else "measure its outside diameter: without it no holder can be chosen"
    yield Need(f"die for {thread.designation}", die, note, (), field, choices, steps=steps)
    way = way_of(plan.work, plan.work.threads[number])
    yield from _holder(plan, section, die, way, shop)
    if way is not GUIDE_BUSH:
        return
    blank = plan.work.threads[number].blank_mm
    bushes = [one for one in shop.at_hand(Bush) if guides(one, blank).fits]
    yield from (Need(f"to start the {thread.designation} die squarely", bush, steps=steps) for bush in bushes[:1])


def _off(holding: Holding, die: Die) -> float:
    """How far the pocket of a holder is from a die, in millimetres: what to speak of where none fits."""
    if die.across is None or isinstance(holding.thing, DieHead):
        return 0.0
    return abs(holding.thing.across.mm - die.across.mm)


def _torque_nm(plan: Plan, section: Section) -> float:
    """What the die of a section takes, in newton metres, once it is roughed out where it is."""
    step = plan.operation(keyed("thread", section.id))
    return step.figures["torque"].value if step is not None and "torque" in step.figures else 0.0


def _holder(plan: Plan, section: Section, die: Die, way: DieHolding, shop: Shop) -> Iterator[Need]:
    if die.across is None or way.taken == "nothing" or not shop.keeps(DieHolder, DieStock):
        return
    wanted = DieStock if way.taken == "stock" else DieHolder
    torque, slips = _torque_nm(plan, section), way.slips_nm < math.inf
    tried = holdings((die,), shop.things, section.length.mm, torque, slips=slips)
    fitting = [one for one in tried if one.fit.fits]
    own = [
        one
        for one in fitting
        if isinstance(one.thing, wanted) and (not isinstance(one.thing, DieHolder) or way.served_by(one.thing))
    ]
    taken = "holder" if way.taken == "stock" else way.taken
    what = f"{taken} for the {die.thread.designation} die"
    if own:
        steps = steps_of(plan, ("thread", "finish"), section.id)
        yield Need(what, own[0].thing, own[0].fit.why, steps=steps)
        return
    nearest = min((one for one in tried if isinstance(one.thing, wanted)), key=lambda one: _off(one, die), default=None)
    why = ""
    if nearest is not None:
        # One that fits and was not taken lacks what this way asks of it.
        why = f"{name_of(nearest.thing)}: {f'it is not a {taken}' if nearest.fit.fits else nearest.fit.why}"
    instead = SLIDING_BY_HAND if wanted is DieStock else BY_TAILSTOCK
    others = [one.thing for one in fitting if isinstance(one.thing, DieHolder if wanted is DieStock else DieStock)]
    found = tuple(StandIn(f"{name_of(other)}: {instead.name}", "method.holder", instead.code) for other in others[:1])
    kind = "die-stock" if wanted is DieStock else "holder"
    owns = (("kind", kind), ("across", typed_of(die.across)), *way.asks)
    yield Need(what, None, why, found, owns=owns)
