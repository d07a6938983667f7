"""The kinds of things in a shop, each registered once by being here: what differs is asked of its kind."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from types import MappingProxyType

from lathework.rooms import all_of, check_once
from lathework.shop.kinds.kind import Owned, ThingKind
from lathework.shop.kinds.lathes import OwnLathe

KINDS: tuple[ThingKind, ...] = all_of(__name__, __path__, ThingKind, place=lambda kind: kind.place)
check_once("kinds", [kind.code for kind in KINDS], [kind.place for kind in KINDS], [kind.line.rank for kind in KINDS])
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
