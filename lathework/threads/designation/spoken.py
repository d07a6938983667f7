"""Threads as people say them: half inch BSP, 7/16-20 national fine, metric 8; brought into notations."""

from __future__ import annotations

import re
from collections.abc import Callable

from lathework.threads.designation.common import SIZE, ask, fail
from lathework.threads.library import library
from lathework.threads.thread import Thread

Instead = str | Callable[[re.Match[str]], str]
_COUNTS = {
    word: number
    for number, word in enumerate(("one", "two", "three", "four", "five", "six", "seven", "eight", "nine"), 1)
} | {"a": 1, "an": 1, "eleven": 11, "thirteen": 13, "fifteen": 15}
_PARTS = {"half": 2, "quarter": 4, "eighth": 8, "sixteenth": 16}
_COUNTED = "|".join(sorted(_COUNTS, key=len, reverse=True))


def _part(match: re.Match[str]) -> str:
    """A part of an inch in words as a fraction, after whole inches where some are said."""
    below = f"{_COUNTS[(match['count'] or 'a').lower()]}/{_PARTS[match['part'].lower()]}"
    whole = match["whole"]
    if not whole:
        return below
    return f"{_COUNTS.get(whole.lower(), 1) if not whole.isdecimal() else whole}-{below}"


_SPOKEN: tuple[tuple[re.Pattern[str], Instead], ...] = tuple(
    (re.compile(pattern, re.IGNORECASE), instead)
    for pattern, instead in (
        (
            rf"\b(?:(?P<whole>{_COUNTED}|\d{{1,2}}|(?=inch))\s*(?:inch(?:es)?\s+)?and\s+)?"
            rf"(?:(?P<count>{_COUNTED})[\s-]+)?(?P<part>half|quarter|eighth|sixteenth)s?\b(?:[\s-]+inch(?:es)?\b)?",
            _part,
        ),
        (r"\b(?:one|an)\s+inch\b", '1"'),
        (r"(?<=\d)\s+(?:by|times)\s+(?=[\d.])", "x"),
        (r"\b(?:american\s+)?(?:national|unified)(?:\s+national)?\s+extra[\s-]+fine\b", "UNEF"),
        (r"\b(?:american\s+)?(?:national|unified)(?:\s+national)?\s+fine\b", "UNF"),
        (r"\b(?:american\s+)?(?:national|unified)(?:\s+national)?\s+coarse\b", "UNC"),
        (r"\bbritish\s+standard\s+whitworth\b", "BSW"),
        (r"\bbritish\s+standard\s+fine\b", "BSF"),
        (r"\b(?:british\s+)?(?:standard\s+)?(?<=standard\s)pipe\b", "BSP"),
        (r"\bbritish\s+association\b", "BA"),
        (r"\bmodel\s+engineers?\b", "ME"),
        (r"(?<=\d)\s*-\s*(?=(?:unc|unf|unef|uns|un|nc|nf|bsw|bsf|me|ba|acme|npt)\b)", " "),
        # The unit of a pipe size is no size: G1" is G1.
        (r'^((?:g|rc|rp|r)\s*\d[\d/ -]*?)\s*(?:"|in\.?|inch)$', r"\1"),
        (r"^metric\s*(?=\d)", "M"),
        (r"^m(?:etric)?\s*(?P<d>\d[\d.,]*)\s*mm\b", r"M\g<d>"),
        (r"^(?P<d>\d[\d.,]*)\s*mm\s+(?P<series>coarse|fine)$", r"M\g<d> \g<series>"),
        (r"^(?P<d>\d[\d.,]*)\s*mm\s*(?:x|\s)\s*(?P<p>\d?[.,]?\d+)(?:\s*mm)?(?:\s*pitch)?$", r"\g<d>x\g<p>"),
        (r"^(?P<thread>m\s*\d[\d.,]*\s*x\s*[\d.,]+)\s*mm$", r"\g<thread>"),
        (r"(?<=\d)\s+l$", " LH"),
        (r"^(?P<lead>tr\s*\d+\s*x\s*\d+)\s*p\s*(?P<pitch>\d+)$", r"\g<lead>(P\g<pitch>)"),
        (rf"^acme\s+(?P<size>{SIZE})(?P<rest>.*)$", r"\g<size>\g<rest> Acme"),
        (rf"^(?P<tpi>\d{{1,2}})\s*tpi\s+(?P<size>{SIZE})(?P<rest>\D.*)?$", r"\g<size>-\g<tpi>\g<rest>"),
    )
)
_PITCH = re.compile(
    r"^(?:pitch\s*)?(?P<told>\d[\d./,]*\s*(?:tpi|threads?(?:\s+per\s+inch|\s*/\s*in(?:ch)?)?|mm\s+pitch|mm\s+lead)|\d[\d.,]*\s*mm"
    r"(?=\s+pitch$)|(?<=pitch\s)\d[\d.,]*\s*mm)(?:\s+(?:pitch|lead))?$",
    re.IGNORECASE,
)
_MILLIMETRES = re.compile(r"^(?P<d>\d{1,2}(?:[.,]\d)?)\s*mm$", re.IGNORECASE)
_CONDUIT = re.compile(r"^(?P<d>\d{2})\s*mm\s+conduit$", re.IGNORECASE)
_SLASHED = re.compile(r"^(?P<size>\d{1,2})/(?P<count>\d{2})$", re.ASCII)
_ANY_PIPE = re.compile(r"^(?P<size>\d[\d/ -]*?)\s*(?:\"|in|inch)?\s*pipe(?:\s+thread)?$", re.IGNORECASE)
_THINGS: dict[str, tuple[str, ...]] = {
    "spark plug": ("M14x1.25", "M10x1", "M12x1.25", "M18x1.5"),
    "hose": ("G3/4", "G1/2"),
    "pedal": ("9/16-20 BSC",),
    "tripod": ("1/4-20 UNC", "3/8-16 UNC"),
    "microscope": ("RMS",),
}
"""What is known by the thing it is on: asked which (memory)."""


def spoken(text: str) -> str:
    """The text in notations, as far as its words are known.

    >>> spoken("half inch BSP"), spoken("7/16-20 national fine"), spoken("1/2 by 13"), spoken("inch and a quarter BSW")
    ('1/2 BSP', '7/16-20 UNF', '1/2x13', '1-1/4 BSW')
    >>> spoken("metric 8"), spoken("G1 inch"), spoken("Tr40x14P7"), spoken("three eighths whitworth")
    ('M8', 'G1', 'Tr40x14(P7)', '3/8 whitworth')
    """
    out = text.strip()
    if out.lower().startswith("inch and"):
        out = f"one {out}"
    for pattern, instead in _SPOKEN:
        out = pattern.sub(instead, out)
    return out


def _by_diameter(words: str) -> list[Thread]:
    """Metric threads of a diameter in millimetres: 8mm."""
    match = _MILLIMETRES.match(words)
    diameter = float(match["d"].replace(",", ".")) if match else 0.0
    return [thread for thread in library() if thread.family == "metric" and thread.major == diameter]


def _conduit(words: str) -> list[Thread]:
    """Metric conduit, which has a pitch of 1.5 mm at every size. Source: IEC 60423, from memory."""
    match = _CONDUIT.match(words)
    return [thread for thread in library() if match and thread.designation == f"M{match['d']}x1.5"]


def _numbered(words: str) -> list[Thread]:
    """A number size with its count behind a slash: 10/32."""
    match = _SLASHED.match(words)
    begins = f"#{match['size']}-{match['count']} " if match else ""
    return [thread for thread in library() if match and thread.designation.startswith(begins)]


def _any_pipe(words: str) -> list[Thread]:
    """Pipe threads of a size of which nobody said the kind: 1/4 pipe."""
    match = _ANY_PIPE.match(words)
    size = match["size"].strip().replace(" ", "-") if match else ""
    named = {f"G{size}", f"R{size}", f"Rc{size}"}
    american = (thread for thread in library() if thread.series == "NPT" and thread.designation.startswith(f"{size}-"))
    return [*(thread for thread in library() if thread.designation in named), *american] if match else []


def _of_a_thing(words: str) -> list[Thread]:
    """What is known by the thing it is on: spark plug."""
    names = next((names for thing, names in _THINGS.items() if thing in words.lower()), ())
    known = {thread.designation: thread for thread in library()} if names else {}
    return [known[name] for name in names]


def ask_of_words(text: str) -> None:
    """What is no thread by itself, and what it may mean. Raises InputError: "pitch-only", "ambiguous"."""
    words = text.strip()
    if _PITCH.match(words):
        raise fail(
            "pitch-only",
            f"“{words}” is a pitch. Type a diameter with it, as in 1/2-13 or M10x1.5. Gears shows how to cut it.",
        )
    for find in (_by_diameter, _conduit, _numbered, _any_pipe, _of_a_thing):
        if found := find(words):
            raise ask(words, found)
