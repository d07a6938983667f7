"""Reads a thread designation as people type it: forgiving in form, strict about what it could mean."""

from __future__ import annotations

import re
from dataclasses import dataclass, replace
from functools import cache, lru_cache

from lathework.errors import InputError
from lathework.threads.designation.common import HOW, fail, named
from lathework.threads.designation.doubt import asked, remarked
from lathework.threads.designation.inch import read_inch
from lathework.threads.designation.metric import read_metric
from lathework.threads.designation.nut_by_bore import ask_of_a_bore
from lathework.threads.designation.pipe import read_pipe
from lathework.threads.designation.spoken import ask_of_words, spoken
from lathework.threads.designation.suffix import apply, classes_said, split, with_suffix
from lathework.threads.designation.tidy import ordered, tidied
from lathework.threads.designation.trades import read_trade
from lathework.threads.families import FAMILIES
from lathework.threads.thread import Thread

_LONGEST_TEXT = 40
_LOOSE_CLASS = re.compile(r"\d[\s-]+(?:[ab]|[123])$|^class\b", re.ASCII)


@dataclass(frozen=True, slots=True)
class Called:
    """What a text calls for: the thread, its class ("" when none is said), that of the nut where both are said.

    `length` is a screw's, where one stands behind the thread: as typed, with its unit.
    """

    thread: Thread
    class_name: str = ""
    inside_class: str = ""
    length: str = ""


@cache
def _notations() -> tuple[tuple[re.Pattern[str], str, str], ...]:
    """Notations of families, each with the designation it makes of what it matched, and the family's code."""
    return tuple(
        (re.compile(rf"^(?:{pattern})$", re.ASCII), name, family.code)
        for family in FAMILIES
        for pattern, name in family.typed.patterns
    )


def _read_own(text: str) -> Thread | None:
    """The thread that a notation of a family's own names."""
    for pattern, name, family in _notations():
        match = pattern.match(text)
        if match is not None:
            called = name.format(**{key: found or "" for key, found in match.groupdict().items()})
            return named(called, f"{called} in its table", family)
    return None


def _read(text: str) -> Thread:
    for read in (_read_own, read_trade, read_metric, read_pipe, read_inch):
        thread = read(text)
        if thread is not None:
            return thread
    if _LOOSE_CLASS.search(text):
        raise fail(
            "unreadable",
            f"“{text}” does not end in a class. Unified classes are 2A and 3A for bolts, 2B and 3B for nuts.",
        )
    raise fail("unreadable", f"“{text}” is not a thread designation. {HOW}")


@lru_cache(maxsize=4096)
def read_called(text: str, *, stored: bool = False) -> Called:
    """Read a designation with what may stand behind it: class, hand, starts. Raises as `read_designation`.

    Where two threads stand behind a name, that is asked; in a `stored` job it is read as it always was, with a note.

    >>> read_called("M8x1-6g LH").thread.designation, read_called("M8x1-6g LH").class_name
    ('M8x1 LH', '6g')
    """
    if len(text) > _LONGEST_TEXT:
        raise fail("unreadable", f"That is too long to be a thread. {HOW}")
    ask_of_a_bore(text)
    ask_of_words(text)
    tidy = tidied(spoken(text))
    if not tidy:
        raise fail("empty", "Type a thread.")
    # Hand, class and length go before the words are put in order: they stand behind whichever came last.
    suffix, length = split(tidy)
    suffix = replace(suffix, rest=ordered(suffix.rest))
    try:
        found = _read(suffix.rest.lower())
        if not suffix.class_name:
            # A class says whose thread it is: 2A is a unified one's, A that of a G.
            found = (remarked if stored else asked)(suffix.rest, found)
    except InputError as question:
        raise with_suffix(question, suffix, length) from question
    thread = apply(found, suffix)
    return Called(thread, *classes_said(suffix, thread), length)


def read_designation(text: str) -> Thread:
    """Read a designation and return the one thread it can mean, without its class.

    Raises InputError on field "designation": "empty", "unreadable", "incomplete", "ambiguous", "unknown-size",
    "count-mismatch", "non-standard-pitch", "taper-pipe", "divided-by-zero", "pitch-only"; its `choices` can be typed
    instead.

    >>> read_designation("3/8 x 16 unc").designation, read_designation("m8x1").pitch
    ('3/8-16 UNC', 1.0)
    """
    return read_called(text).thread
