"""The families of threads, each registered once: what differs from one to the other is asked of it."""

from __future__ import annotations

from collections.abc import Mapping
from functools import cache
from importlib import import_module
from pkgutil import iter_modules
from types import MappingProxyType

from lathework.threads.families.family import Series, ThreadFamily
from lathework.threads.thread import Thread


def _found() -> tuple[ThreadFamily, ...]:
    """The families of every module of this room, in the order of the book. Raises ValueError where two say that they
    are the same, or a series is another's too."""
    modules = [import_module(f"{__name__}.{one.name}") for one in iter_modules(__path__)]
    families = {id(one): one for module in modules for one in vars(module).values() if isinstance(one, ThreadFamily)}
    ordered = tuple(sorted(families.values(), key=lambda family: family.series[0].place))
    for codes in ([one.code for one in ordered], [one.code for family in ordered for one in family.series]):
        if len(set(codes)) < len(codes):
            raise ValueError(f"twice among the families: {sorted(codes)}")
    return ordered


FAMILIES: tuple[ThreadFamily, ...] = _found()
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
