"""A job document with what the shop is like now: its lathe's facts, its drills, its blades, the die of each thread.

What is taken over stays in the document, so that a plan changes by what is done to its job alone.
"""

from __future__ import annotations

from collections.abc import Collection, Sequence
from copy import deepcopy

from lathework.errors import InputError
from lathework.fields import Json
from lathework.job.declaration import LONGEST_RACK
from lathework.job.taken_apart import rows_of, take_apart
from lathework.lengths import Length, read_length
from lathework.methods.ways.heads import why_not_in
from lathework.part.thread_cutters import DIE, OUTSIDE, ThreadCutter
from lathework.shop.kinds import beside
from lathework.shop.kinds.die_heads import DieHead
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.drills import ShopDrill
from lathework.shop.kinds.kind import Owned
from lathework.shop.kinds.lathes import OwnLathe
from lathework.shop.kinds.taps import Tap
from lathework.shop.kinds.tools import Blade
from lathework.shop.racks import IN_RACKS
from lathework.threads.designation import Called, read_called
from lathework.threads.thread import Thread
from lathework.units import LengthUnit

_FACTS = ("dial", "readout")
_SAID = ("mount", "tools")
"""Facts of a lathe that it may not say: then the job's own stand."""


def _rack(things: Sequence[Owned]) -> str:
    """The drills at hand as a list; "" where the shop has none, or more than a list holds."""
    sizes = dict.fromkeys(thing.size.typed for thing in things if isinstance(thing, ShopDrill) and thing.at_hand)
    rack = ", ".join((IN_RACKS, *sizes)) if sizes else ""
    return rack if len(rack) <= LONGEST_RACK else ""


def _lathe(setup: Json, lathe: OwnLathe) -> Json:
    """What a set-up says once it is on a lathe."""
    told: Json = {name: getattr(lathe, name) for name in _FACTS}
    told |= {name: getattr(lathe, name) for name in _SAID if getattr(lathe, name) != "unsaid"}
    told |= {"lathe": lathe.weight, "speeds": ",".join(f"{speed:g}" for speed in lathe.speeds)}
    told["bore"] = typed_of(lathe.bore) if lathe.bore else ""
    told |= {"leadscrew": lathe.leadscrew, "gearbox": lathe.gearbox}
    told["gears"] = ",".join(f"{teeth:g}" for teeth in lathe.gears)
    for name in ("dial_teeth", "dial_lines"):
        told[name] = _plain(getattr(lathe, name))
    if lathe.run_down is not None:
        told["run_down"] = f"{lathe.run_down:g}"
    return setup | told


def _plain(value: float | None) -> str:
    """A bare number as typed; "" where nobody said."""
    return "" if value is None else f"{value:g}"


def typed_of(length: Length) -> str:
    """A length as typed: text that keeps its unit."""
    return length.typed if length.typed.endswith(("mm", "in")) else f"{length.typed} {length.unit}"


def _on(setup: Json, things: Sequence[Owned], *, fresh: bool) -> Json:
    """A set-up on its lathe; a fresh one on the only lathe there is, where none is named."""
    lathes = {thing.id: thing for thing in things if isinstance(thing, OwnLathe)}
    at_hand = [one for one in lathes.values() if one.at_hand]
    named = lathes.get(str(setup.get("machine") or ""))
    if named is None and fresh and len(at_hand) == 1:
        named = at_hand[0]
    if named is None:
        # No lathe, one of another shop, or one that was removed: what was typed of it stands.
        return setup
    return _lathe(setup, named) | {"machine": named.id}


def nearest_blade(width_mm: float, things: Sequence[Owned], *, use: str) -> Blade | None:
    """The blade for a cut of `width_mm` (millimetres): the widest that is no wider, else the narrowest; None where the
    shop has none for that `use`. Source: practice."""
    own = [thing for thing in things if isinstance(thing, Blade) and thing.at_hand and thing.use in (use, "either")]
    narrower = [one for one in own if one.width.mm <= width_mm + 0.01]
    if narrower:
        return max(narrower, key=lambda one: one.width.mm)
    return min(own, key=lambda one: one.width.mm, default=None)


def _blades(setup: Json, unit: LengthUnit, things: Sequence[Owned]) -> Json:
    """A set-up with blades of the shop."""
    told = dict(setup)
    for field, use in (("groove_blade", "grooving"), ("parting_blade", "parting")):
        try:
            wanted = read_length(str(setup.get(field) or ""), unit).mm
        except InputError:
            continue
        found = nearest_blade(wanted, things, use=use)
        if found is not None and abs(found.width.mm - wanted) > 0.01:
            told[field] = typed_of(found.width)
    return told


def dies_for(designation: str, things: Sequence[Owned], *, chasers: bool = False) -> list[Die]:
    """The dies at hand that cut a thread by themselves; or the sets of `chasers`, which go into a head."""
    own = [thing for thing in things if isinstance(thing, Die) and thing.thread.designation == designation]
    return [one for one in own if one.at_hand and (one.form == "chasers") == chasers]


def pick_die(designation: str, things: Sequence[Owned], good: Collection[str], *, chasers: bool = False) -> Die | None:
    """The die for a thread, or the set of `chasers`: sound before worn, one that gauged `good` last (ids) before one
    that did not. None where none is at hand."""
    own = dies_for(designation, things, chasers=chasers)
    return min(own, key=lambda one: (one.state == "worn", one.id not in good), default=None)


def _called(text: str) -> Called | None:
    """The thread a text names; None for one that cannot be read."""
    try:
        return read_called(text, stored=True)
    except InputError:
        return None


def _cutter(section: Json) -> ThreadCutter:
    """What cuts the thread of a section; a code that is none counts as a die, until its reader refuses it."""
    return next((cutter for cutter in OUTSIDE.values() if cutter.code == section.get("cut")), DIE)


def _headed(document: Json) -> list[Thread]:
    """The threads that are cut by a die head, as far as they can be read."""
    texts = [str(row.get("thread") or "") for row in rows_of(document, "sections") if _cutter(row).opens]
    return [called.thread for called in map(_called, texts) if called is not None]


def _head(document: Json, setup: Json, things: Sequence[Owned]) -> Json:
    """A set-up with what the shop's die head for the job is like; as it is where it takes none, or none is at hand."""
    threads = _headed(document)
    heads = [thing for thing in things if isinstance(thing, DieHead) and thing.at_hand] if threads else []
    # How long a thread it takes in is checked beside the section's own length.
    head = min(heads, key=lambda one: sum(why_not_in(one, thread, 0.0) != "" for thread in threads), default=None)
    if head is None:
        return setup
    sizes = {
        "least": head.least,
        "most": head.most,
        "hollow": head.swallows,
        "overrun": head.overrun,
        "graduation": head.graduation,
    }
    return setup | {f"head_{name}": typed_of(size) if size else "" for name, size in sizes.items()}


def _dies(document: Json, things: Sequence[Owned], good: Collection[str]) -> None:
    """Give each thread a die, or chasers; one that was named stays while it cuts that thread in that way."""
    known = {thing.id: thing for thing in things if isinstance(thing, Die)}
    for section in rows_of(document, "sections"):
        cutter = _cutter(section)
        if section.get("shape") != "thread" or cutter.on_leadscrew:
            section["die"] = ""
            continue
        chasers = cutter.opens
        called = _called(str(section.get("thread") or ""))
        wanted = called.thread.designation if called else ""
        named = known.get(str(section.get("die") or ""))
        fits = named is not None and named.thread.designation == wanted and (named.form == "chasers") == chasers
        if not fits:
            found = pick_die(wanted, things, good, chasers=chasers) if wanted else None
            section["die"] = found.id if found else ""


def _taps(document: Json, things: Sequence[Owned]) -> None:
    """Give each hole that an adjustable tap cuts one of the shop, with what its scale makes; one that was named stays
    while it cuts that thread."""
    for bore in rows_of(document, "bores"):
        if bore.get("cut") != "adjustable-tap":
            bore["tap"], bore["graduation"] = "", ""
            continue
        called = _called(str(bore.get("thread") or ""))
        wanted = called.thread.designation if called else ""
        own = [thing for thing in things if isinstance(thing, Tap) and thing.form == "adjustable"]
        own = [one for one in own if one.thread.designation == wanted]
        named = next((one for one in own if one.id == bore.get("tap")), None)
        here = (one for one in own if one.at_hand)
        tap = named or min(here, key=lambda one: one.state == "worn", default=None)
        bore["tap"] = tap.id if tap else ""
        if tap is not None and tap.graduation is not None:
            bore["graduation"] = typed_of(tap.graduation)


def furnish(document: Json, things: Sequence[Owned], good: Collection[str] = (), *, fresh: bool = False) -> Json:
    """The document with what `things` give it; `good` are the ids of dies that gauged well last.

    A `fresh` job takes the shop's only lathe and blades that are owned; any job keeps those that it names. A document
    too far from one to be furnished is given back as it is: its reader says what is wrong.
    """
    told = deepcopy(document)
    setup = told.get("setup")
    if not isinstance(setup, dict) or not isinstance(told.get("others") or [], list):
        return told
    take_apart(told)
    if not things:
        return told
    setup = _on(setup, things, fresh=fresh)
    things = beside(things, str(setup.get("machine") or ""))
    setup = _head(told, setup, things)
    setup["rack"] = _rack(things)
    unit: LengthUnit = "mm" if told.get("unit") == "mm" else "in"
    told["setup"] = _blades(setup, unit, things) if fresh else setup
    _dies(told, things, good)
    _taps(told, things)
    return told
