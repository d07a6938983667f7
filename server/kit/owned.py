"""What the shop has, read from its rows: one that the rules do not read is left out, and told of in the log."""

from __future__ import annotations

import logging

from lathework.errors import InvalidDocument
from lathework.remembered import Remembered
from lathework.shop.kinds.drills import ShopDrill
from lathework.shop.kinds.kind import Owned
from lathework.shop.kit import read_thing
from lathework.shop.racks import IN_RACKS
from server.kit.models import Thing

MOST_KNOWN = 8000
"""Things of the shop that are known as they were read: each page of it asks for all."""
log = logging.getLogger(__name__)
_read: Remembered[Owned] = Remembered(MOST_KNOWN)


def _thing(row: Thing) -> Owned | None:
    try:
        return _read.of((row.ident, row.revision, row.changed_at), lambda: read_thing(row.kind, row.document))
    except InvalidDocument as invalid:
        log.warning("%s %s of the shop cannot be read: %s", row.kind, row.ident, invalid)
        return None


def owned() -> list[tuple[Thing, Owned]]:
    """Everything that is not retired and can be read, in the order it came."""
    rows = [(row, _thing(row)) for row in Thing.objects.filter(retired_at=None)]
    return [(row, thing) for row, thing in rows if thing is not None]


def things() -> list[Owned]:
    """The things alone."""
    return [thing for _, thing in owned()]


def drill_list() -> str:
    """The drills at hand as a list that is typed, "" where the shop has none."""
    sizes = [thing.size.typed for thing in things() if isinstance(thing, ShopDrill) and thing.at_hand]
    return ", ".join((IN_RACKS, *sizes)) if sizes else ""
