"""Labels for the things of a drawer, or of the whole shop."""

from __future__ import annotations

from lathework.shop.kinds import KIND
from server.kit.answers import ThingShown, kit_shown
from server.kit.owned import owned
from server.paper.labels import Labelled, labels
from server.paper.thing_picture import Look


def _look(thing: ThingShown) -> Look:
    form = thing.said.get("form", "")
    return Look(KIND[thing.kind].sign, form, thing.across_mm, thing.bore_mm, threaded=bool(thing.thread))


def sheet(address: str, place: str) -> bytes:
    """Labels as PDF bytes, of the things that lie in `place`, or of all where it is ""; `address`, and its id, is where
    the page of a thing is."""
    shown = [thing for thing in kit_shown(owned()).things if place in ("", thing.drawer)]
    return labels([Labelled(one.short, one.name, one.drawer, address + one.id, _look(one)) for one in shown])
