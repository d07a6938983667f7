"""The kinds of things in a shop, each registered once by being here: what differs is asked of its kind."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from importlib import import_module
from pkgutil import iter_modules
from types import MappingProxyType

from lathework.shop.kinds.kind import Owned, ThingKind
from lathework.shop.kinds.lathes import OwnLathe


def _registered() -> tuple[ThingKind, ...]:
    """The kinds of every module of this room, in the order of the shop. Raises ValueError where two say that they are
    the same, or lie or are read in the same place."""
    modules = [import_module(f"{__name__}.{module.name}") for module in iter_modules(__path__)]
    kinds = {id(kind): kind for module in modules for kind in vars(module).values() if isinstance(kind, ThingKind)}
    ordered = tuple(sorted(kinds.values(), key=lambda kind: kind.place))
    for told in ([k.code for k in ordered], [k.place for k in ordered], [k.line.rank for k in ordered]):
        if len(set(told)) < len(told):
            raise ValueError(f"twice among the kinds: {told}")
    return ordered


KINDS: tuple[ThingKind, ...] = _registered()
CODES: tuple[str, ...] = tuple(kind.code for kind in KINDS)
KIND: Mapping[str, ThingKind] = MappingProxyType({kind.code: kind for kind in KINDS})
"""Every kind by its code."""
_BY_CLASS = {kind.made: kind for kind in KINDS}


def kind_of(thing: Owned) -> ThingKind:
    """What kind a thing is."""
    return _BY_CLASS[type(thing)]


def name_of(thing: Owned) -> str:
    """What a fitter calls it."""
    return kind_of(thing).name(thing)


def beside(things: Sequence[Owned], machine: str) -> list[Owned]:
    """What is in one shop with the lathe of the id `machine`: all, where it is not known or in no shop of a name.

    A thing of no named shop is at hand in each.
    """
    lathe = next((thing for thing in things if isinstance(thing, OwnLathe) and thing.id == machine), None)
    shop = lathe.shop if lathe else ""
    return [thing for thing in things if not shop or thing.shop in ("", shop)]
