"""What may stand behind a thread: its class, its hand, its starts."""

from __future__ import annotations

import re
from dataclasses import dataclass, replace
from decimal import Decimal

from lathework.threads.designation.common import fail
from lathework.threads.series import trim
from lathework.threads.thread import Thread

_HAND = re.compile(r"[\s-]+(?:lh|left|left[\s-]hand)$", re.IGNORECASE)
_STARTS = re.compile(r"[\s-]+(?P<starts>\d{1,2})[\s-]*starts?$", re.IGNORECASE)
_LEAD = re.compile(r"x\s*ph\s*(?P<lead>\d{1,3}(?:\.\d{1,4})?)\s*p\s*(?P<pitch>\d{1,3}(?:\.\d{1,4})?)", re.IGNORECASE)
_CLASS = re.compile(
    r"[\s-]+(?P<class>[123][abAB]|\d[efghGH](?:\d[efghGH])?|close|medium|free|normal)$"
    r"|(?<=\d)[\s-]*(?P<pipe>[ABab])$"
)
_BA = re.compile(r"^\s*[a-z]*\s*\d+\s*ba$", re.IGNORECASE)
_MOST_STARTS = 8


@dataclass(frozen=True, slots=True)
class Suffix:
    """The text before the suffixes, and what they say; `class_name` "" when none is said."""

    rest: str
    class_name: str
    left: bool
    starts: int


def _starts(text: str) -> tuple[str, int]:
    """The text without its word on starts, and how many there are."""
    if match := _LEAD.search(text):
        lead, pitch = Decimal(match["lead"]), Decimal(match["pitch"])
        if not pitch or lead % pitch or not 0 < lead / pitch <= _MOST_STARTS:
            raise fail("unreadable", f"A lead of {trim(lead)} is no whole number of pitches of {trim(pitch)}.")
        return text[: match.start()] + f"x{match['pitch']}" + text[match.end() :], int(lead / pitch)
    if match := _STARTS.search(text):
        starts = int(match["starts"])
        if not 0 < starts <= _MOST_STARTS:
            raise fail("unreadable", f"A thread has 1 to {_MOST_STARTS} starts.")
        return text[: match.start()], starts
    return text, 1


def _class(text: str) -> tuple[str, str]:
    """The text without its class, and the class; a BA number is no class, and A or B one of a G thread only."""
    match = None if _BA.search(text) else _CLASS.search(text)
    if match is None or (match["pipe"] and not text.lower().startswith("g")):
        return text, ""
    said = match["class"] or match["pipe"]
    return text[: match.start()], said.upper() if said[-1] in "abAB" else said


def split_suffix(text: str) -> Suffix:
    """Take class, hand and starts off a designation, in whatever order they stand. Raises InputError.

    >>> split_suffix("M8x1-6g LH")
    Suffix(rest='M8x1', class_name='6g', left=True, starts=1)
    """
    rest, starts = _starts(text)
    bare = _HAND.sub("", rest)
    bare, again = _starts(bare)
    bare, class_name = _class(bare)
    shorter = _HAND.sub("", bare)
    return Suffix(
        shorter.strip(" -"), class_name, _HAND.search(rest) is not None or shorter != bare, max(starts, again)
    )


def apply(thread: Thread, suffix: Suffix) -> Thread:
    """`thread` with the hand and the starts of `suffix`, said in its designation and its notes."""
    if not suffix.left and suffix.starts == 1:
        return thread
    name, notes = thread.designation, thread.notes
    if suffix.starts > 1:
        name += f" {suffix.starts}-start"
        advance = f"{trim(thread.pitch * suffix.starts)} {thread.unit}"
        notes += (
            f"{suffix.starts} starts: one turn advances {advance}. The standards give limits of single-start threads.",
        )
    if suffix.left:
        name += " LH"
        notes += ("Left-hand: tightens anticlockwise, and wants left-hand dies and taps.",)
    return replace(thread, designation=name, notes=notes, hand="left" if suffix.left else "right", starts=suffix.starts)
