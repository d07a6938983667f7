"""What a plan works with, out of a shop: the thing that serves, or what is missing and what may stand in for it."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from typing import TypeVar

from lathework.answers.serving import holdings, serving
from lathework.job.furnish import nearest_blade, pick_die
from lathework.methods.die import DIE_HOLDINGS, Holder
from lathework.part.bores import BoreWork
from lathework.part.model import TAPS
from lathework.planning.notice import told
from lathework.planning.plan import Plan
from lathework.planning.work import in_mm
from lathework.shop.equipment import Bar, Centre, Collet, DieHolder, DieStock, OwnLathe, ThreadGauge
from lathework.shop.fits import grips, long_enough, parts, reaches
from lathework.shop.kinds import Owned
from lathework.shop.kit import name_of
from lathework.shop.things import Blade, Die, ShopDrill, Tap, Thing, Tool
from lathework.threads.thread import Thread
from lathework.units import LengthUnit

STOCK_HOLDERS: tuple[Holder, ...] = ("stock-in-vise", "stock-by-tailstock")
"""Ways to hold a die that take a die stock; the others take a tailstock holder."""
_ALIKE_MM = 0.01
_Made = TypeVar("_Made", bound=Thing)


@dataclass(frozen=True, slots=True)
class Need:
    """Something a plan works with: `what` it is, the `thing` that serves, None where it is missing; `note` says what to
    mind of it, or why nothing serves; `instead` what may stand in. `choices` are those that `field` of the document may
    name, where there are several.
    """

    what: str
    thing: Owned | None
    note: str = ""
    instead: tuple[str, ...] = ()
    field: str = ""
    choices: tuple[Die, ...] = ()


@dataclass(frozen=True, slots=True)
class _Shop:
    """The things of a shop for a plan that names its lathe: the other lathes are not spoken of."""

    things: tuple[Owned, ...]

    def keeps(self, *made: type) -> bool:
        """Whether the shop has any of these at all: what it never told of is not missed."""
        return any(isinstance(one, made) for one in self.things)

    def at_hand(self, made: type[_Made]) -> list[_Made]:
        """Those of a kind that can be worked with."""
        return [one for one in self.things if isinstance(one, made) and one.at_hand]


def _state(thing: Owned) -> str:
    return "" if thing.state == "ready" else thing.state


def _instead_of_a_die(thread: Thread, shop: _Shop) -> Iterator[str]:
    serves = serving(thread, shop.things)
    yield from (f"{name_of(one)} is {one.state}" for one in serves.away if isinstance(one, Die))
    for tool in shop.at_hand(Tool):
        if tool.form == "threading" and tool.angle == thread.form.angle_deg:
            yield f"cut it single point: {name_of(tool)}"
            break
    yield from serves.unlike


def _die(plan: Plan, number: int, thread: Thread, shop: _Shop) -> Iterator[Need]:
    """The die of a thread, section `number` of its part from 0, and what holds it."""
    section = plan.job.part.sections[number]
    dies = [one for one in shop.at_hand(Die) if one.thread.designation == thread.designation]
    named = next((one for one in dies if one.id == section.die), None)
    die = named or pick_die(thread.designation, shop.things, ())
    if die is None:
        yield Need(f"die for {thread.designation}", None, "", tuple(_instead_of_a_die(thread, shop)))
        return
    choices = tuple(dies) if len(dies) > 1 else ()
    yield Need(f"die for {thread.designation}", die, _state(die), (), f"part.sections.{number}.die", choices)
    yield from _holder(plan, die, section.length.mm, shop)


def _holder(plan: Plan, die: Die, long_mm: float, shop: _Shop) -> Iterator[Need]:
    if not shop.keeps(DieHolder, DieStock):
        return
    wanted = DieStock if plan.job.method.holder in STOCK_HOLDERS else DieHolder
    tried = holdings((die,), shop.things, long_mm)
    fitting = [one for one in tried if one.fit.fits]
    own = [one for one in fitting if isinstance(one.thing, wanted)]
    what = f"holder for the {die.thread.designation} die"
    if own:
        yield Need(what, own[0].thing, own[0].fit.why)
        return
    why = next((f"{name_of(one.thing)}: {one.fit.why}" for one in tried if isinstance(one.thing, wanted)), "")
    other = {DieStock: "sliding-by-hand", DieHolder: "stock-by-tailstock"}[wanted]
    words = next(way.name for code, way in DIE_HOLDINGS.items() if code == other)
    yield Need(what, None, why, tuple(f"{name_of(one.thing)}: choose “{words}”" for one in fitting[:1]))


def _bore(found: BoreWork, unit: LengthUnit, shop: _Shop) -> Iterator[Need]:
    """What makes a hole: its drill, its tap."""
    thread, depth = found.bore.thread, found.bore.depth
    if shop.keeps(ShopDrill) and (found.picked is not None or thread is None):
        own = [one for one in shop.at_hand(ShopDrill) if abs(one.size.mm - found.drill_mm) < _ALIKE_MM]
        near = min(shop.at_hand(ShopDrill), key=lambda one: abs(one.size.mm - found.drill_mm), default=None)
        instead = (f"nearest: {name_of(near)}",) if near and not own else ()
        size = found.picked.name if found.picked else told(found.drill_mm, unit, fine=True)
        yield Need(f"drill, {size}", own[0] if own else None, "", instead)
    if thread is None or found.bore.cut not in TAPS:
        return
    forming = found.bore.cut == "form-tap"
    taps = [one for one in shop.at_hand(Tap) if one.thread.designation == thread.designation]
    taps = [one for one in taps if (one.form == "forming") == forming]
    deep = [one for one in taps if depth is None or reaches(one, depth.mm).fits]
    what = f"{'form tap' if forming else 'tap'} for {thread.designation}"
    if deep:
        yield Need(what, min(deep, key=lambda one: one.state == "worn"), _state(deep[0]))
        return
    serves = serving(thread, shop.things)
    away = [f"{name_of(one)} is {one.state}" for one in serves.away if isinstance(one, Tap)]
    short = reaches(taps[0], depth.mm).why if taps and depth else ""
    yield Need(what, None, short, (*away, *serves.unlike))


def _blades(plan: Plan, shop: _Shop) -> Iterator[Need]:
    """The blades of a plan; one that is too wide costs metal, or hides a groove."""
    if not shop.keeps(Blade):
        return
    setup, steps = plan.job.setup, {one.kind for one in plan.operations}
    uses = (("grooving", setup.groove_blade, {"groove", "neck"}), ("parting", setup.parting_blade, {"part-off"}))
    for use, width, kinds in uses:
        if not kinds & steps:
            continue
        across = plan.job.part.stock.corners_mm if use == "parting" else 0.0
        fitting = [one for one in shop.at_hand(Blade) if one.use in (use, "either")]
        fitting = [one for one in fitting if use == "grooving" or parts(one, across).fits]
        own = next((one for one in fitting if abs(one.width.mm - width.mm) < _ALIKE_MM), None)
        yield Need(f"{use} blade, {width.typed}", own, "", () if own else _other_blade(width.mm, fitting, use))


def _other_blade(width_mm: float, fitting: Sequence[Blade], use: str) -> tuple[str, ...]:
    near = nearest_blade(width_mm, fitting, use=use)
    if near is None:
        return ()
    more = near.width.mm - width_mm
    if use == "parting":
        costs = f"{abs(more):.1f} mm {'more' if more > 0 else 'less'} of the bar for each piece"
    else:
        costs = "wider than the groove" if more > 0 else "more plunges"
    return (f"{name_of(near)}: {costs}",)


def _bar(plan: Plan, shop: _Shop) -> Iterator[Need]:
    """The bar out of the rack, and what is left of it."""
    stock, metal = plan.job.part.stock, plan.job.material
    batch = next((one for one in plan.batch if one.name == "bar for the batch"), None)
    if batch is None or not shop.keeps(Bar):
        return
    alike = [one for one in shop.at_hand(Bar) if one.form == stock.form and one.metal in ("", metal.code)]
    own = [one for one in alike if abs(one.across.mm - stock.across.mm) < _ALIKE_MM]
    wanted, unit = in_mm(batch), plan.job.unit
    long = sorted((one for one in own if long_enough(one, wanted).fits), key=lambda one: one.long.mm if one.long else 0)
    what = f"{told(wanted, unit)} of {stock.across.typed} {stock.form} {metal.name}"
    if long:
        bar = long[0]
        left = f"leaves {told(bar.long.mm - wanted, unit)}" if bar.long else "measure its length"
        yield Need(what, bar, left)
        return
    thicker = sorted((one for one in alike if one.across.mm > stock.across.mm), key=lambda one: one.across.mm)
    thicker = [one for one in thicker if long_enough(one, wanted).fits and stock.form == "round"]
    why = "; ".join(f"{name_of(one)}: {long_enough(one, wanted).why}" for one in own)
    yield Need(what, None, why, tuple(f"{name_of(one)}: turn it down" for one in thicker[:1]))


def _holding(plan: Plan, shop: _Shop) -> Iterator[Need]:
    """Collets that hold what is finished, and a centre."""
    for chucking in plan.chuckings:
        grip = chucking.grip
        if chucking.second and not grip.flats and not grip.on_thread:
            found = [one for one in shop.at_hand(Collet) if grips(one, grip.across_mm, grip.length_mm).fits]
            yield from (Need(f"to hold {grip.words}", one, "truer than jaws, and marks nothing") for one in found[:1])
    if shop.keeps(Centre) and any(chucking.centred for chucking in plan.chuckings):
        centres = shop.at_hand(Centre)
        yield Need("tailstock centre", centres[0] if centres else None)


def _others(plan: Plan, shop: _Shop) -> Iterator[Need]:
    """Gauges of its threads."""
    names = {section.thread.designation for section in plan.job.part.sections if section.thread}
    for gauge in shop.at_hand(ThreadGauge):
        if gauge.thread and gauge.thread.designation in names and gauge.form in ("ring", "nut", "mate"):
            yield Need(f"to gauge {gauge.thread.designation}", gauge)


def _lathe(plan: Plan, shop: _Shop) -> Iterator[Need]:
    setup, stock = plan.job.setup, plan.job.part.stock
    own = next((one for one in shop.things if isinstance(one, OwnLathe) and one.id == setup.machine), None)
    if own is None:
        return
    note = ""
    if own.bore and not stock.one_ended and stock.corners_mm > own.bore.mm:
        note = f"the bar does not pass its {own.bore.typed} spindle: short lengths, held in the chuck alone"
    yield Need("lathe", own if own.at_hand else None, note or _state(own))


def needs(plan: Plan, things: Sequence[Owned]) -> tuple[Need, ...]:
    """Everything that a plan works with as a shop has it, what is missing first.

    A kind that the shop keeps nothing of is not spoken of, but for dies and taps.
    """
    machine = plan.job.setup.machine
    near = [one for one in things if not isinstance(one, OwnLathe) or machine in ("", one.id)]
    shop = _Shop(tuple(near))
    if not shop.things:
        return ()
    found: list[Need] = [*_lathe(plan, shop)]
    cut = {step.key for step in plan.operations}
    for number, section in enumerate(plan.job.part.sections):
        if section.thread is not None and f"thread:{section.id}" in cut:
            found += _die(plan, number, section.thread, shop)
    for bore in plan.work.bores:
        found += _bore(bore, plan.job.unit, shop)
    rest: tuple[Callable[[Plan, _Shop], Iterator[Need]], ...] = (_blades, _bar, _holding, _others)
    for make in rest:
        found += make(plan, shop)
    return tuple(sorted(dict.fromkeys(found), key=lambda need: need.thing is not None))


def lines_of(told: Sequence[Need]) -> tuple[str, ...]:
    """What is missing, and what to lay out and where it lies, in a line each for paper; none where nothing is told."""
    missing = [f"{need.what}{_either(need)}" for need in told if need.thing is None]
    there = [f"{name_of(need.thing)}{_lies(need.thing)}" for need in told if need.thing is not None]
    lines = [f"Missing: {'; '.join(missing)}."] if missing else []
    return (*lines, f"Lay out: {'; '.join(dict.fromkeys(there))}.") if there else tuple(lines)


def _either(need: Need) -> str:
    return f" ({' or '.join(need.instead)})" if need.instead else ""


def _lies(thing: Owned) -> str:
    return f" ({thing.place})" if thing.place else ""
