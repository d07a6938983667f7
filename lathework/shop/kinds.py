"""The kinds of things there are, and what a thing of each is."""

from __future__ import annotations

from collections.abc import Sequence

from lathework.shop.equipment import (
    Bar,
    Bush,
    Centre,
    Chuck,
    Collet,
    DieHead,
    DieHolder,
    DieStock,
    Instrument,
    OwnLathe,
    ThreadGauge,
)
from lathework.shop.kit_choices import Kind
from lathework.shop.things import Blade, Die, Reamer, ShopDrill, Tap, Tool

Owned = (
    Die
    | Tap
    | ShopDrill
    | Reamer
    | Blade
    | Tool
    | DieStock
    | DieHolder
    | Bush
    | DieHead
    | Collet
    | Chuck
    | Centre
    | ThreadGauge
    | Instrument
    | Bar
    | OwnLathe
)
CLASSES: dict[Kind, type[Owned]] = {
    "die": Die,
    "tap": Tap,
    "drill": ShopDrill,
    "reamer": Reamer,
    "blade": Blade,
    "tool": Tool,
    "die-stock": DieStock,
    "holder": DieHolder,
    "bush": Bush,
    "head": DieHead,
    "collet": Collet,
    "chuck": Chuck,
    "centre": Centre,
    "gauge": ThreadGauge,
    "instrument": Instrument,
    "bar": Bar,
    "lathe": OwnLathe,
}


def beside(things: Sequence[Owned], machine: str) -> list[Owned]:
    """What is in one shop with the lathe of the id `machine`: all, where it is not known or in no shop of a name.

    A thing of no named shop is at hand in each.
    """
    lathe = next((thing for thing in things if isinstance(thing, OwnLathe) and thing.id == machine), None)
    shop = lathe.shop if lathe else ""
    return [thing for thing in things if not shop or thing.shop in ("", shop)]


def kind_of(thing: Owned) -> Kind:
    """What kind a thing is."""
    return next(kind for kind, made in CLASSES.items() if isinstance(thing, made))


def kind_named(name: str) -> Kind:
    """The kind of that name. Raises StopIteration for none: what a reader let through has one."""
    return next(kind for kind in CLASSES if kind == name)
