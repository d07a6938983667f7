"""What one owns, typed as people say it: "M3-M12 dies carbon", "1/4 BSW split die 13/16", "1-13 x 0.5 drills"."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from decimal import Decimal, InvalidOperation
from fractions import Fraction

from lathework.declared import LONGEST_LINE
from lathework.errors import InputError, InvalidDocument
from lathework.lengths import read_length
from lathework.shop.kit import name_of, read_thing
from lathework.shop.kit_declaration import Kind
from lathework.tables.drills import all_drills
from lathework.threads.designation import read_called
from lathework.threads.library import library
from lathework.threads.thread import Thread

HOW = "Say what it is: M3-M12 dies, 1/4 BSW split die 13/16, M6 taps, 1-13 x 0.5 drills, #7 drill."
MOST_LINES, MOST_THINGS = 100, 400
METRIC_SET = (1, 1.2, 1.6, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 24, 30, 36)
"""Diameters of the first choice: what a set of dies or taps holds. Source: ISO 262, first choice."""
LARGEST_INCHES = 4.0
"""A bare die size up to this is in inches, over it in millimetres: no die is so small, or so large (practice)."""
_KIND = re.compile(r"\b(?:(?P<die>dies?)|(?P<tap>taps?)|(?P<drill>drills?))\b", re.IGNORECASE)
_WORDS: dict[str, tuple[str, str]] = {
    "split": ("form", "split"),
    "button": ("form", "split"),
    "solid": ("form", "solid"),
    "hexagon": ("form", "hexagon"),
    "hex": ("form", "hexagon"),
    "taper": ("form", "taper"),
    "second": ("form", "second"),
    "bottoming": ("form", "bottoming"),
    "forming": ("form", "forming"),
    "spiral-point": ("form", "spiral-point"),
    "spiral-flute": ("form", "spiral-flute"),
    "carbon": ("steel", "carbon"),
    "hss": ("steel", "high-speed"),
    "worn": ("state", "worn"),
    "lent": ("state", "lent"),
    "missing": ("state", "missing"),
    "broken": ("state", "broken"),
}
_FILLERS = {"set", "sets", "of", "a", "an", "the", "round", "box", "rack", "and"}
_RUN = re.compile(r"^(?P<low>m?[\d./#]+)\s*(?:-|to|\u2013)\s*(?P<high>m?[\d./#]+)\s*(?P<series>[a-z]*)$", re.IGNORECASE)
_STEPS = re.compile(r"^(?P<low>[\d./]+)\s*(?:-|to)\s*(?P<high>[\d./]+)\s*(?:x|by)\s*(?P<step>[\d./]+)$", re.IGNORECASE)
_GAUGE = re.compile(r"^(?P<low>#\d+|[a-z])\s*(?:-|to)\s*(?P<high>#?\d+|[a-z])$", re.IGNORECASE)
_SIZE = re.compile(
    r"^(?P<head>.*?)\s+(?P<across>[\d./-]+(?:\s*(?:mm|in))?)(?:\s*x\s*(?P<thick>[\d./-]+(?:\s*(?:mm|in))?))?$",
    re.IGNORECASE,
)


@dataclass(frozen=True, slots=True)
class Typed:
    """A thing that a line names: what it will be called, and its document without an id."""

    kind: Kind
    name: str
    document: dict[str, str]


@dataclass(frozen=True, slots=True)
class Line:
    """A line as typed: the things it names; or what is wrong with it."""

    text: str
    things: tuple[Typed, ...]
    error: InputError | None = None


def _wrong(message: str, choices: tuple[str, ...] = ()) -> InputError:
    return InputError("unreadable", "text", message, choices)


def _number(text: str) -> Fraction:
    """A size in a run of drills. Raises InputError."""
    try:
        whole, _, rest = text.rpartition("-")
        return Fraction(whole or 0) + (Fraction(rest) if "/" in rest else Fraction(Decimal(rest)))
    except (ValueError, InvalidOperation, ZeroDivisionError):
        raise _wrong(f"“{text}” is no size of a drill. {HOW}") from None


def _members(low: Thread, high: Thread) -> Iterator[Thread]:
    """The sizes of a series from one to the other; of metric threads those of the first choice."""
    least, most = sorted((low.major, high.major))
    for thread in library():
        chosen = thread.series != "coarse" or thread.major in METRIC_SET
        if thread.series == low.series and least <= thread.major <= most and chosen:
            yield thread


def _threads(text: str) -> tuple[str, ...]:
    """The threads a text names: one, or a run of a series. Raises InputError."""
    run = _RUN.match(text)
    try:
        return (read_called(text, stored=True).thread.designation,)
    except InputError as error:
        if run is None:
            raise error.at("text") from None
    series = run["series"]
    low, high = (read_called(f"{run[end]} {series}".strip(), stored=True).thread for end in ("low", "high"))
    if low.series != high.series:
        raise _wrong(f"{low.designation} and {high.designation} are not of one series.")
    return tuple(thread.designation for thread in _members(low, high))


def _drills(text: str) -> tuple[str, ...]:
    """The drills a text names: one, a run in equal steps, or number or letter drills. Raises InputError."""
    if steps := _STEPS.match(text):
        low, high, step = (_number(steps[name]) for name in ("low", "high", "step"))
        if step <= 0 or high < low or (high - low) / step >= MOST_THINGS:
            raise _wrong("These steps lead nowhere: the smallest, the largest, and the step between them.")
        inches = "/" in text
        sizes = [low + step * n for n in range(int((high - low) / step) + 1)]
        return tuple(f"{_mixed(size)} in" if inches else f"{float(size):g} mm" for size in sizes)
    if gauge := _GAUGE.match(text):
        names = [drill.name for drill in all_drills() if drill.rack in ("number", "letter")]
        ends = [gauge["low"].upper(), gauge["high"].upper()]
        ends[1] = f"#{ends[1]}" if ends[1].isdecimal() else ends[1]
        if all(end in names for end in ends):
            first, last = sorted(names.index(end) for end in ends)
            return tuple(names[first : last + 1])
    return (read_length(text, "in" if "/" in text else "mm", "text").typed + _unit_of(text),)


def _mixed(size: Fraction) -> str:
    whole, rest = divmod(size, 1)
    return str(whole) if not rest else f"{whole}-{rest}" if whole else str(rest)


def _unit_of(text: str) -> str:
    """The unit of a bare size, to be kept with it; a name (#7, F) and a size with its unit have none."""
    bare = text.replace("/", "").replace("-", "").replace(".", "").isdecimal()
    return "" if not bare else " in" if "/" in text else " mm"


def _die_size(text: str) -> str:
    """A size of a die with its unit."""
    if not _unit_of(text):
        return text
    return f"{text} in" if float(_number(text)) <= LARGEST_INCHES else f"{text} mm"


def _split(named: str, place: str) -> tuple[str, dict[str, str]]:
    """What a line says in words of its own, taken out of it: state, steel, form; with its place."""
    told: dict[str, str] = {}
    rest = []
    for word in named.split():
        known = _WORDS.get(word.lower())
        if known:
            told[known[0]] = known[1]
        elif word.lower() not in _FILLERS:
            rest.append(word)
    if place.strip():
        told["place"] = place.strip()
    return " ".join(rest), told


def _die(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    size = _SIZE.match(rest)
    named = rest
    if size and _reads(size["head"]):
        named = size["head"]
        told = {**told, "across": _die_size(size["across"])}
        if size["thick"]:
            told["thick"] = _die_size(size["thick"])
    for thread in _threads(named):
        yield {"thread": thread, **told}


def _reads(text: str) -> bool:
    """Whether a text names threads by itself."""
    try:
        return bool(_threads(text))
    except InputError:
        return False


def _tap(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    return ({"thread": thread, **told} for thread in _threads(rest))


def _drill(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    return ({"size": size, **told} for size in _drills(rest))


_READ: dict[Kind, Callable[[str, dict[str, str]], Iterator[dict[str, str]]]] = {
    "die": _die,
    "tap": _tap,
    "drill": _drill,
}


def _checked(kind: Kind, document: dict[str, str]) -> Typed:
    """The thing of a document; its first error told of the line. Raises InputError."""
    try:
        return Typed(kind, name_of(read_thing(kind, {"id": "typed", **document})), document)
    except InvalidDocument as invalid:
        raise invalid.errors[0].at("text") from None


def _named(text: str) -> tuple[Typed, ...]:
    """The things that a line names. Raises InputError."""
    if len(text) > LONGEST_LINE:
        raise _wrong(f"That is too long for one thing. {HOW}")
    named, _, place = text.partition(",")
    kinds = {kind for found in _KIND.finditer(named) for kind in _READ if found[kind]}
    if len(kinds) != 1:
        raise _wrong(f"Is it a die, a tap or a drill? {HOW}", tuple(_READ))
    (kind,) = kinds
    rest, told = _split(_KIND.sub(" ", named), place)
    if not rest:
        raise _wrong(HOW)
    return tuple(_checked(kind, document) for document in _READ[kind](rest, told))


def read_line(text: str) -> Line:
    """What a line names. Its error, where there is one, is on "text"."""
    try:
        return Line(text, _named(text))
    except InputError as error:
        return Line(text, (), error.at("text"))


def read_lines(text: str) -> tuple[Line, ...]:
    """Every line of a text, or what stands between semicolons; empty ones left out. Raises InputError when too many."""
    lines = [line.strip() for line in text.replace(";", "\n").splitlines() if line.strip()]
    if len(lines) > MOST_LINES:
        raise _wrong(f"At most {MOST_LINES} lines at a time.")
    understood, count = [], 0
    for typed in lines:
        line = read_line(typed)
        count += len(line.things)
        if line.things and count > MOST_THINGS:
            line = Line(typed, (), _wrong(f"At most {MOST_THINGS} things at a time: put the others in first."))
        understood.append(line)
    return tuple(understood)
