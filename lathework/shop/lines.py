"""What one owns, typed as people say it: "M3-M12 dies carbon", "1/4 BSW split die 13/16", "1-13 x 0.5 drills"."""

from __future__ import annotations

import re
from dataclasses import dataclass

from lathework.errors import InputError, InvalidDocument
from lathework.shop.kinds import CODES, KINDS, name_of
from lathework.shop.kinds.kind import Owned, ThingKind
from lathework.shop.kit import read_thing
from lathework.shop.typing.line_words import ANY
from lathework.shop.typing.reads import MOST_THINGS
from lathework.shop.typing.sizes import HOW, wrong

MOST_LINES = 100
LONGEST_TYPED = 300
"""Characters of a line: a lathe is told with its speeds and its wheels."""
_FILLERS = {"set", "sets", "of", "a", "an", "the", "round", "box", "rack", "and"}


@dataclass(frozen=True, slots=True)
class Typed:
    """A thing that a line names, and its document without an id."""

    kind: str
    thing: Owned
    document: dict[str, str]

    @property
    def name(self) -> str:
        """What it will be called."""
        return name_of(self.thing)


@dataclass(frozen=True, slots=True)
class Line:
    """A line as typed: the things it names; or what is wrong with it."""

    text: str
    things: tuple[Typed, ...]
    error: InputError | None = None


def _pattern(kind: ThingKind) -> re.Pattern[str]:
    return re.compile(rf"(?<![\w-])(?:{kind.line.called})(?![\w-])", re.IGNORECASE)


_NAMED = tuple((kind, _pattern(kind)) for kind in sorted(KINDS, key=lambda kind: kind.line.rank))
"""What each kind is called, the longer names before the words they hold."""


def _split(kind: ThingKind, named: str, place: str) -> tuple[str, dict[str, str]]:
    """What a line says in words of its own, taken out of it: state, steel, form; with its place."""
    told: dict[str, str] = {}
    rest = []
    words = {**ANY, **kind.line.words}
    for word in named.split():
        known = words.get(word.lower())
        if known:
            told[known[0]] = known[1]
        elif word.lower() not in _FILLERS:
            rest.append(word)
    if place.strip():
        told["place"] = place.strip()
    return " ".join(rest), told


def _checked(kind: ThingKind, document: dict[str, str]) -> Typed:
    """The thing of a document; its first error told of the line. Raises InputError."""
    try:
        return Typed(kind.code, read_thing(kind.code, {"id": "typed", **document}), document)
    except InvalidDocument as invalid:
        raise invalid.errors[0].at("text") from None


def _kind_of(named: str) -> tuple[ThingKind, str, str]:
    """What kind a line names, in which words, and the rest of it. Raises InputError where it names none, or two."""
    for kind, words in _NAMED:
        found = words.search(named)
        if not found:
            continue
        rest = f"{named[: found.start()]} {named[found.end() :]}".strip()
        # What a bar, a tool or a holder is for may be named beside it; a die is no tap.
        others = [other.code for other, name in _NAMED if other is not kind and kind.line.alone and name.search(rest)]
        if others:
            raise wrong(f"Is it a {kind.code} or a {others[0]}? {HOW}", (kind.code, *others))
        return kind, found[0], rest
    raise wrong(f"Say what it is: a die, a tap, a drill, a holder, a lathe ... {HOW}", CODES)


def _named(text: str) -> tuple[Typed, ...]:
    """The things that a line names. Raises InputError."""
    if len(text) > LONGEST_TYPED:
        raise wrong(f"That is too long for one item. {HOW}")
    named, _, place = text.partition(",")
    kind, called, rest = _kind_of(named)
    rest, told = _split(kind, f"{called} {rest}", place)
    rest = _pattern(kind).sub(" ", rest).strip()
    if not rest and kind.line.more:
        raise wrong(HOW)
    return tuple(_checked(kind, document) for document in kind.line.reads(rest, told))


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
        raise wrong(f"At most {MOST_LINES} lines at a time.")
    understood, count = [], 0
    for typed in lines:
        line = read_line(typed)
        count += len(line.things)
        if line.things and count > MOST_THINGS:
            line = Line(typed, (), wrong(f"At most {MOST_THINGS} items at a time. Add these first."))
        understood.append(line)
    return tuple(understood)
