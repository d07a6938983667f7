"""What a blank that went under size still is: another class of its thread, or the blank of a smaller one."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.errors import InputError
from lathework.threads.library import library
from lathework.threads.limits import external_classes, external_limits
from lathework.threads.standards.bands import ExternalLimits
from lathework.threads.thread import Thread
from lathework.units import convert

COMMON = ("UNC", "UNF", "coarse", "BSW", "BSF", "BA")
"""Series that a smaller thread is looked for in, beside the thread's own."""
LEAST_SHARE = 0.8
"""A smaller thread is worth naming from this share of what is left (practice)."""
MOST_NAMED = 3


def _crest_mm(limits: ExternalLimits) -> tuple[float, float]:
    unit, major = limits.major.unit, limits.major
    return convert(major.minimum, unit, "mm"), convert(major.maximum, unit, "mm")


def other_classes(thread: Thread, class_name: str, left_mm: float) -> Iterator[str]:
    """The other classes of a thread that a blank of `left_mm` (millimetres) is in.

    Source: the standard of the thread.
    """
    for name in external_classes(thread):
        limits = external_limits(thread, name) if name != class_name else None
        if limits is not None and _crest_mm(limits)[0] <= left_mm <= _crest_mm(limits)[1]:
            yield name


def smaller_threads(thread: Thread, left_mm: float) -> list[Thread]:
    """The largest thread of each common series, and of its own, that can still be cut on a blank of `left_mm`
    (millimetres), the largest first. Source: the standards of the threads."""
    of_each: dict[str, Thread] = {}
    for one in library():
        own = one.series == thread.series and one.family == thread.family
        if one.taper or not (own or one.series in COMMON) or one.major_mm >= thread.major_mm:
            continue
        before = of_each.get(one.series)
        if before is not None and before.major_mm >= one.major_mm:
            continue
        if _least_mm(one) <= left_mm and one.major_mm >= LEAST_SHARE * left_mm:
            of_each[one.series] = one
    return sorted(of_each.values(), key=lambda one: one.major_mm, reverse=True)[:MOST_NAMED]


def _least_mm(thread: Thread) -> float:
    """The least crest of a thread's usual class, in millimetres: what a blank must have at least."""
    try:
        limits = external_limits(thread)
    except InputError:
        return thread.major_mm
    return _crest_mm(limits)[0] if limits is not None else thread.major_mm


def still_serves(thread: Thread, class_name: str, left_mm: float) -> str:
    """What a blank of `left_mm` (millimetres) still serves for, in words; "" for nothing."""
    classes = [f"class {name}" for name in other_classes(thread, class_name, left_mm)]
    smaller = [one.designation for one in smaller_threads(thread, left_mm)]
    told = [*classes, f"large enough for {_or(smaller)}"] if smaller else classes
    return f"Still {_or(told)}." if told else ""


def _or(words: list[str]) -> str:
    return " or ".join([", ".join(words[:-1]), words[-1]] if len(words) > 1 else words)
