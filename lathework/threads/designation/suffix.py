"""What may stand behind a thread: its class, its hand, its starts."""

from __future__ import annotations

import re
from dataclasses import dataclass, replace
from decimal import Decimal

from lathework.errors import InputError
from lathework.threads.designation.common import fail
from lathework.threads.series import trim
from lathework.threads.thread import Thread

_HAND = re.compile(r"(?:(?<=\d)|[\s-]+|(?<=[a-z]))(?:lh|rh)$|[\s-]+(?:left|right)(?:[\s-]hand(?:ed)?)?$", re.IGNORECASE)
_LEFT = re.compile(r"l[a-z\s-]*$", re.IGNORECASE)
_STARTS = re.compile(r"[\s-]+(?P<starts>\d{1,2})[\s-]*starts?$", re.IGNORECASE)
_LEAD = re.compile(r"x\s*ph\s*(?P<lead>\d{1,3}(?:\.\d{1,4})?)\s*p\s*(?P<pitch>\d{1,3}(?:\.\d{1,4})?)", re.IGNORECASE)
_LEAD_OF_PITCH = re.compile(
    r"x\s*(?P<lead>\d{1,3}(?:\.\d{1,4})?)\s*\(\s*p\s*(?P<pitch>\d{1,3}(?:\.\d{1,4})?)\s*\)", re.IGNORECASE
)
_ONE = r"[123][abAB]|\d[efghGH](?:\d[efghGH])?"
_BOTH = re.compile(rf"[\s-]+(?P<one>{_ONE})\s*/\s*(?P<other>{_ONE})$")
_NUMBERED = re.compile(r"[\s-]+class\s*(?P<class>[123])$", re.IGNORECASE)
_LETTERED = re.compile(r"[\s-]+class\s*(?P<class>[a-z]+)$", re.IGNORECASE)
_LENGTH = re.compile(
    r"^(?P<thread>.*\d.*?(?:-|x|\s)\s*\d+(?:\.\d+)?(?:\s*[a-z]+)?)\s*x\s*(?P<length>[\d./ -]+?)\s*(?P<unit>mm|in)?$"
    r"|^(?P<metric>m\s*(?P<across>\d+(?:\.\d+)?))\s*x\s*(?P<long>\d+(?:\.\d+)?)\s*(?:mm)?$",
    re.IGNORECASE,
)
_BEHIND_SERIES = re.compile(
    r"^(?P<thread>(?!m\s*\d|tr\s*\d).*[a-wyz].*?)\s*x(?!\s*1/\d\d)\s*(?P<length>[\d./ -]+?)\s*(?P<unit>mm|in)?$",
    re.IGNORECASE,
)
_CLASS = re.compile(
    r"(?:[\s-]+|[\s-]+class\s*)(?P<class>[123][abAB]|\d[efghGH](?:\d[efghGH])?|close|medium|free|normal)$"
    r"|(?:(?<=\d)[\s-]*|(?<=[bB][sS][pP])\s+)(?P<pipe>[ABab])$"
)
_PIPE = re.compile(r"^g|\b(?:bsp|gas)\b", re.IGNORECASE)
_BA = re.compile(r"^\s*[a-z]*\s*\d+\s*ba$", re.IGNORECASE)
_MOST_STARTS = 8
_COARSEST_COUNT = 3  # threads per inch: a whole number above it behind a series is a count, no length


@dataclass(frozen=True, slots=True)
class Suffix:
    """The text before the suffixes, and what they say; `class_name` "" when none is said."""

    rest: str
    class_name: str
    left: bool
    starts: int


def _starts(text: str) -> tuple[str, int]:
    """The text without its word on starts, and how many there are."""
    if match := _LEAD.search(text) or _LEAD_OF_PITCH.search(text):
        lead, pitch = Decimal(match["lead"]), Decimal(match["pitch"])
        if not pitch or lead % pitch or not 0 < lead / pitch <= _MOST_STARTS:
            raise fail("unreadable", f"A lead of {trim(lead)} is not a whole number of pitches of {trim(pitch)}.")
        return text[: match.start()] + f"x{match['pitch']}" + text[match.end() :], int(lead / pitch)
    if match := _STARTS.search(text):
        starts = int(match["starts"])
        if not 0 < starts <= _MOST_STARTS:
            raise fail("unreadable", f"A thread has 1 to {_MOST_STARTS} starts.")
        return text[: match.start()], starts
    return text, 1


def split_length(text: str) -> tuple[str, str]:
    """The text without the length of a screw behind its thread, and that length with its unit ("" where none is said).

    >>> split_length("3/8-16 x 1"), split_length("M8x1.25x40"), split_length("M10x30"), split_length("M8x1")
    (('3/8-16', '1 in'), ('M8x1.25', '40 mm'), ('M10', '30 mm'), ('M8x1', ''))
    >>> split_length("2 BA x 1/2"), split_length("BSW 1/4 x 1"), split_length("UNC 3/8 x 16")
    (('2 BA', '1/2 in'), ('BSW 1/4', '1 in'), ('UNC 3/8 x 16', ''))
    """
    match = _LENGTH.match(text)
    if match is None:
        return _behind_series(text)
    if match["metric"]:
        # A pitch of half the diameter and more is none.
        is_pitch = 2 * Decimal(match["long"]) < Decimal(match["across"])
        return (text, "") if is_pitch else (match["metric"], f"{match['long']} mm")
    metric = re.match(r"m|tr", match["thread"], re.IGNORECASE)
    return match["thread"].strip(), _with_unit(match, "mm" if metric else "in")


def _behind_series(text: str) -> tuple[str, str]:
    """As `split_length`, where the series stands for the count: a BA screw's whole number is in mm."""
    match = _BEHIND_SERIES.match(text)
    if match is None:
        return text, ""
    bare = match["length"].strip()
    whole = match["unit"] is None and bare.isdigit() and int(bare) > _COARSEST_COUNT
    if whole and not _BA.match(match["thread"]):
        return text, ""
    return match["thread"].strip(), _with_unit(match, "mm" if whole else "in")


def _with_unit(match: re.Match[str], unit: str) -> str:
    """The length a match found, as typed, with its unit or else `unit`."""
    length = re.sub(r"(?<=\d) (?=\d)", "-", match["length"].strip()).removesuffix(".0")
    return f"{length} {match['unit'] or unit}"


def _is_inside(name: str) -> bool:
    return name[-1] in "BbGH"


def classes_said(suffix: Suffix, thread: Thread) -> tuple[str, str]:
    """Class of the thread, and of the nut where two were said or one word means both. Raises InputError.

    "2A/2B" says both; "class 3" of a unified thread is 3A outside and 3B inside.
    """
    said = suffix.class_name
    if "/" in said:
        one, other = said.split("/")
        return (other, one) if _is_inside(one) else (one, other)
    if said.isdigit():
        if thread.family == "unified":
            return f"{said}A", f"{said}B"
        raise fail("unknown-class", f"Class {said} belongs to unified threads: 3A for the bolt, 3B for the nut.")
    if said.isalpha() and len(said) == 1 and thread.family == "unified":
        raise fail("unknown-class", "Classes of unified threads are 1A, 2A, 3A for bolts and 1B, 2B, 3B for nuts.")
    return said, ""


def _class(text: str) -> tuple[str, str]:
    """The text without its class, and the class; a BA number is no class, and A or B one of a G thread only."""
    if both := _BOTH.search(text):
        names = (both["one"], both["other"])
        return text[: both.start()], "/".join(name.upper() if name[-1] in "abAB" else name for name in names)
    if word := _NUMBERED.search(text):
        return text[: word.start()], word["class"]
    match = None if _BA.search(text) else _CLASS.search(text)
    if match is None and (word := _LETTERED.search(text)):
        return text[: word.start()], word["class"].upper()
    if match is None or (match["pipe"] and not _PIPE.search(text)):
        return text, ""
    said = match["class"] or match["pipe"]
    return text[: match.start()], said.upper() if said[-1] in "abAB" else said


def split(text: str) -> tuple[Suffix, str]:
    """Take class, hand, starts and a screw's length off a designation, the hand before or behind it. Raises InputError.

    >>> split("M8x1.25x40 LH")
    (Suffix(rest='M8x1.25', class_name='', left=True, starts=1), '40 mm')
    """
    bare, left = _hand(text)
    bare, length = split_length(bare)
    suffix = split_suffix(bare)
    return replace(suffix, left=left or suffix.left), length


def split_suffix(text: str) -> Suffix:
    """Take class, hand and starts off a designation, in whatever order they stand. Raises InputError.

    >>> split_suffix("M8x1-6g LH")
    Suffix(rest='M8x1', class_name='6g', left=True, starts=1)
    """
    rest, starts = _starts(text)
    bare, left = _hand(rest)
    bare, again = _starts(bare)
    bare, class_name = _class(bare)
    bare, after = _hand(bare)
    return Suffix(bare.strip(" -"), class_name, left or after, max(starts, again))


def _hand(text: str) -> tuple[str, bool]:
    """The text without its hand, and whether that is the left one."""
    match = _HAND.search(text)
    if match is None:
        return text, False
    return text[: match.start()], _LEFT.fullmatch(match[0].strip(" -")) is not None


def with_suffix(error: InputError, suffix: Suffix, length: str) -> InputError:
    """The same question with what stood behind the thread behind each of its choices: picking one loses nothing."""
    words = (
        suffix.class_name,
        f"{suffix.starts}-start" if suffix.starts > 1 else "",
        "LH" if suffix.left else "",
        f"x {length}" if length else "",
    )
    tail = "".join(f" {word}" for word in words if word)
    return InputError(error.code, error.field, error.message, tuple(f"{choice}{tail}" for choice in error.choices))


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
        notes += ("Left-hand: tightens anticlockwise, and needs left-hand dies and taps.",)
    return replace(thread, designation=name, notes=notes, hand="left" if suffix.left else "right", starts=suffix.starts)
