"""The families of threads, each registered once: what differs from one to the other is asked of it."""

from __future__ import annotations

from collections.abc import Mapping
from functools import cache
from types import MappingProxyType

from lathework.rooms import all_of, check_once
from lathework.threads.families.family import Series, ThreadFamily
from lathework.threads.thread import Thread

FAMILIES: tuple[ThreadFamily, ...] = all_of(
    __name__, __path__, ThreadFamily, place=lambda family: family.series[0].place
)
"""In the order of the book."""
check_once(
    "families",
    [family.code for family in FAMILIES],
    [series.code for family in FAMILIES for series in family.series],
)
_BY_CODE: Mapping[str, ThreadFamily] = MappingProxyType({one.code: one for one in FAMILIES})
SERIES: Mapping[str, Series] = MappingProxyType(
    {one.code: one for one in sorted((one for family in FAMILIES for one in family.series), key=lambda one: one.place)}
)
"""Every series by its code, in the order of the book."""


def family_of(thread: Thread) -> ThreadFamily:
    """What the family of a thread says."""
    return _BY_CODE[thread.family]


def series_of(thread: Thread) -> Series | None:
    """What the series of a thread says; None for a special size, which no series lists."""
    return SERIES.get(thread.series)


def series_name(thread: Thread) -> str:
    """What the series of a thread is called in the book; its code, for a special size."""
    series = series_of(thread)
    return series.name if series is not None else thread.series


@cache
def series_words() -> Mapping[str, str]:
    """The words behind an inch size that name a series, or a family whose series are then asked about."""
    return MappingProxyType({word: named for family in FAMILIES for word, named in family.typed.words.items()})
