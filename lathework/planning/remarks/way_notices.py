"""Why the way a thread is cut does not suit it."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from lathework.methods.ways.contract import Wanted, Way
from lathework.planning.notice import Notice


def refused(ways: Sequence[Way], code: str, wanted: Wanted, field: str, because: str) -> Iterator[Notice]:
    """Why the way of that `code` among `ways` does not suit a thread, or is unusual for it, beside the `field` that
    chose it; with the reason it is taken all the same, where one was given."""
    way = next(one for one in ways if one.code == code)
    kept = f" Chosen all the same: {because}" if because else ""
    for why in way.refused(wanted):
        yield Notice("way-refused", field, f"{way.name[0].upper()}{way.name[1:]}: {why}.{kept}")
    for why in way.unusual(wanted):
        yield Notice("way-unusual", field, f"{way.name[0].upper()}{way.name[1:]} is unusual here: {why}.{kept}")
