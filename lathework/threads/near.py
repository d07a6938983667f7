"""Which threads measure about so much over their crests: one a series, and how many more."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.threads.library import library
from lathework.threads.thread import Thread

SHARE = 0.015
"""How far from a measured size a thread is still told, as a share of it: what wear and a worn caliper come to
(practice)."""


@dataclass(frozen=True, slots=True)
class Near:
    """The thread of a series that is nearest to a size, and how many `more` of the series are about as near."""

    thread: Thread
    more: int


def near(size_mm: float, share: float = SHARE) -> tuple[Near, ...]:
    """The nearest thread of each series whose major diameter is within a `share` of `size_mm` (millimetres), in the
    order of the library.

    >>> [one.thread.designation for one in near(9.525) if one.thread.family == "unified"][:2]
    ['3/8-16 UNC', '3/8-24 UNF']
    """
    of: dict[str, list[Thread]] = {}
    for thread in library():
        if abs(thread.major_mm - size_mm) <= share * size_mm:
            of.setdefault(thread.series, []).append(thread)
    return tuple(
        Near(min(some, key=lambda thread: abs(thread.major_mm - size_mm)), len(some) - 1) for some in of.values()
    )
