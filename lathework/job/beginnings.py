"""What a job may begin as: the shapes one picks from, and the few facts each asks for."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, get_args

Start = Literal["stud", "rod", "screw", "plug", "knob", "all-thread", "nut", "body", "bush", "bolt", "sample"]
STARTS: tuple[Start, ...] = get_args(Start)
AskedField = Literal[
    "title",
    "thread",
    "quantity",
    "stock",
    "threaded",
    "shank",
    "shank_length",
    "flats",
    "hole",
    "head",
    "knurl",
    "overall",
    "present",
]
Group = Literal["Threaded outside", "With a hole", "From a part you have", "Without a part"]
"""Beginnings that stand together."""
AskKind = Literal["words", "thread", "count", "across", "along"]
"""What is typed: words, a designation, a whole number, a diameter or a width, a length along the part."""


@dataclass(frozen=True, slots=True)
class Ask:
    """One fact that is asked for: its field, what it is called, and what an empty field stands for, "" where it must
    be filled. The examples are one for inches, one for millimetres, and what may be typed `too`, "" where nothing is:
    a form of bar, a fit."""

    field: AskedField
    label: str
    kind: AskKind
    inch: str
    mm: str
    empty: str = ""
    inch_too: str = ""
    mm_too: str = ""


@dataclass(frozen=True, slots=True)
class Beginning:
    """A shape to start from. `reads` says that its sizes are read off a worn part: the size meant is offered.

    `shoulder` says that it matters how its thread ends, `finish` how it usually does whatever the last job did: a
    groove would weaken a bolt. Those of a `group` are shown together.
    """

    code: Start
    name: str
    remark: str
    asks: tuple[Ask, ...]
    shoulder: bool = True
    reads: bool = False
    finish: Literal["", "run-out"] = ""
    group: Group = "Threaded outside"


_TITLE = Ask("title", "Name of the job", "words", "Levelling studs", "Levelling studs")
_THREAD = Ask("thread", "Thread", "thread", "3/8-16", "M8x1")
_COUNT = Ask("quantity", "How many", "count", "4", "4")
_BAR = Ask("stock", "Bar diameter", "across", "5/8", "16", inch_too="5/8 hex", mm_too="17 hex")
_HEAD_BAR = Ask("stock", "Bar diameter", "across", "7/8", "22", inch_too="5/8 hex", mm_too="17 hex")
_ROUND = Ask("stock", "Bar diameter", "across", "7/8", "22")
_HEX = Ask("stock", "Bar across the flats", "across", "5/8", "17", empty="usual for the thread")
_LONG = Ask("threaded", "Thread length", "along", "1-1/4", "30")
_OVERALL = Ask("overall", "Overall length", "along", "2-1/2", "65")
_HIGH = Ask("overall", "Overall length", "along", "1/2", "13", empty="usual for the thread")
_SHANK = Ask("shank", "Shank diameter", "across", "1/2", "12", inch_too="1/2 g6", mm_too="12 g6")
_SHANK_LONG = Ask("shank_length", "Shank length", "along", "3/4", "20")
_DEEP = Ask("threaded", "Thread depth", "along", "5/8", "16", empty="right through")

BEGINNINGS: tuple[Beginning, ...] = (
    Beginning("stud", "thread at one end", "a stud", (_TITLE, _THREAD, _COUNT, _BAR, _LONG, _OVERALL)),
    Beginning("rod", "thread at both ends", "a tie rod", (_TITLE, _THREAD, _COUNT, _BAR, _LONG, _OVERALL)),
    Beginning(
        "screw",
        "shouldered screw",
        "thread, turned shank, head left at bar size",
        (_TITLE, _THREAD, _COUNT, _BAR, _LONG, _SHANK, _SHANK_LONG, _OVERALL),
    ),
    Beginning(
        "plug",
        "plug with a hexagon",
        "also a hexagon-headed bolt",
        (
            _TITLE,
            _THREAD,
            _COUNT,
            _HEAD_BAR,
            _LONG,
            Ask("flats", "Across the flats", "across", "0.710", "19", empty="usual for the thread"),
            _OVERALL,
        ),
    ),
    Beginning(
        "knob",
        "knurled screw",
        "a thumb screw: thread, then a knurled head",
        (
            _TITLE,
            _THREAD,
            _COUNT,
            _ROUND,
            _LONG,
            Ask("head", "Over the knurl", "across", "3/4", "20"),
            Ask("knurl", "Knurl pitch", "across", "0.040", "1", empty="not known yet"),
            _OVERALL,
        ),
    ),
    Beginning(
        "all-thread",
        "fully threaded screw",
        "threaded from end to end",
        (_TITLE, _THREAD, _COUNT, _BAR, _OVERALL),
        shoulder=False,
    ),
    Beginning(
        "nut",
        "nut or cap",
        "hexagon bar with a tapped hole",
        (_TITLE, _THREAD, _COUNT, _HEX, _DEEP, _HIGH),
        shoulder=False,
        group="With a hole",
    ),
    Beginning(
        "body",
        "body, tapped hole",
        "round bar, tapped along its axis",
        (_TITLE, _THREAD, _COUNT, _BAR, _DEEP, _OVERALL),
        shoulder=False,
        group="With a hole",
    ),
    Beginning(
        "bush",
        "bush or sleeve",
        "no thread: turned outside, with a through hole",
        (
            Ask("title", "Name of the job", "words", "Guide bush", "Guide bush"),
            _COUNT,
            _BAR,
            Ask("shank", "Outside diameter", "across", "1/2", "14", inch_too="1/2 s6", mm_too="14 s6"),
            Ask("hole", "Hole", "across", "5/16", "8", inch_too="5/16 H7", mm_too="8 H7"),
            _OVERALL,
        ),
        shoulder=False,
        group="With a hole",
    ),
    Beginning(
        "bolt",
        "bolt to cut down",
        "the head stays; lengths are measured from under the head",
        (
            _TITLE,
            _THREAD,
            _COUNT,
            Ask("stock", "Shank diameter", "across", "3/8", "10"),
            Ask("present", "Length now", "along", "4", "100"),
            Ask("overall", "New length", "along", "2-1/2", "65"),
            _LONG,
        ),
        finish="run-out",
        group="From a part you have",
    ),
    Beginning(
        "sample",
        "copy a sample",
        "measure a worn part and type the sizes",
        (_TITLE, _THREAD, _COUNT, _BAR, _LONG, _SHANK, _SHANK_LONG, _OVERALL),
        reads=True,
        group="From a part you have",
    ),
)
