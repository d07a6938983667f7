"""What one owns, typed as people say it: "M3-M12 dies carbon", "1/4 BSW split die 13/16", "1-13 x 0.5 drills"."""

from __future__ import annotations

import re
from dataclasses import dataclass

from lathework.errors import InputError, InvalidDocument
from lathework.shop.kinds import CODES, KINDS, name_of
from lathework.shop.kinds.bars import names_metal
from lathework.shop.kinds.kind import Owned, ThingKind
from lathework.shop.kit import read_thing
from lathework.shop.typing.left_over import LEFT_OVER, asked, read_most
from lathework.shop.typing.line_words import ANY
from lathework.shop.typing.reads import MOST_THINGS
from lathework.shop.typing.sizes import HOW, wrong
from lathework.shop.typing.spoken import COUNTS, QUALITIES, TIGHT, is_place, spoken_line, without_notes

MOST_LINES = 100
LONGEST_TYPED = 300
"""Characters of a line: a lathe is told with its speeds and its wheels."""
_FILLERS = {"set", "sets", "of", "a", "an", "the", "round", "box", "rack", "complete", "full", "with", "for", "on"}
_BETWEEN = re.compile(r"\s*(?:,|&|\+|\band\b)\s*", re.IGNORECASE)


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


def _split(kind: ThingKind, named: str) -> tuple[str, dict[str, str]]:
    """What a line says in words of its own, taken out of it: state, steel, form, what it is like. Raises InputError
    where two of them say different things of one."""
    told: dict[str, str] = {}
    rest, notes = [], []
    words = {**ANY, **kind.line.words}
    plainly = [word.strip(",;") for word in named.split()]
    for word in named.split():
        plain = word.lower().strip(",;")
        field, says = words.get(plain, ("", ""))
        if field and told.setdefault(field, says) != says:
            before = next(one for one in plainly if words.get(one.lower(), ("", ""))[0] == field)
            raise wrong(f"Is it “{before}” or “{word.strip(',;')}”? Put the other in brackets, as a note.")
        if field:
            continue
        if plain in QUALITIES or (kind.code == "reamer" and plain in TIGHT):
            notes.append(word)
        elif plain not in (*_FILLERS, *COUNTS) or kind.line.whole:
            rest.append(word)
    if notes:
        told["notes"] = " ".join(notes)
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
    if names_metal(named):
        # A metal with its size is a bar of it.
        return next(kind for kind, _ in _NAMED if kind.code == "bar"), "", named
    raise wrong(f"Say what it is: a die, a tap, a drill, a holder, a lathe ... {HOW}", CODES)


def _place_of(text: str) -> tuple[str, str]:
    """A line without the place that stands behind its commas, and that. Items, sizes and words that say something of
    the thing may stand there too, and a lathe is told in commas."""
    chunks = [chunk.strip() for chunk in text.split(",") if chunk.strip()]
    kinds = [at for at, chunk in enumerate(chunks) if any(name.search(chunk) for _, name in _NAMED)]
    if not kinds:
        return text, ""
    named = next(kind for kind, name in _NAMED if name.search(chunks[kinds[0]]))
    if named.line.whole:
        stands = chunks[-1] if len(chunks) > 1 and is_place(chunks[-1]) else ""
        return ", ".join(chunks[:-1] if stands else chunks), stands
    words = {**ANY, **named.line.words}
    kept = chunks[: kinds[0] + 1]
    places: list[str] = []
    for chunk in chunks[kinds[0] + 1 :]:
        says = all(word.lower() in words for word in chunk.split())
        (kept if says and not places else places).append(chunk)
    return " , ".join(kept), ", ".join(places)


def _each(kind: ThingKind, rest: str, told: dict[str, str]) -> list[dict[str, str]]:
    """The documents that the rest of a line names; several items with commas, "and" or "&" between are each one where
    each can be read by itself, those without a series as the last one. Raises InputError."""
    whole = [rest.replace(" , ", " ").strip(" ,")]
    items = [item.strip() for item in _BETWEEN.split(rest) if item.strip()]
    items = items if len(items) > 1 else rest.split()
    series = re.search(r"[a-z]+$", items[-1], re.IGNORECASE) if items else None
    behind = f" {series[0]}" if series else ""
    several = [items, [*(f"{item}{behind}" for item in items[:-1]), *items[-1:]]]
    wrong_so: InputError | None = None
    for parts in (whole, *(several if len(items) > 1 and not kind.line.whole else ())):
        try:
            return [one for part in parts for one in kind.line.reads(part, dict(told))]
        except InputError as error:
            # What is wrong with the whole is said, not with a part of it.
            wrong_so = wrong_so or error
    assert wrong_so is not None  # the whole was tried
    raise wrong_so


def _named(line: str) -> tuple[Typed, ...]:
    """The things that a line names. Raises InputError."""
    if len(line) > LONGEST_TYPED:
        raise wrong(f"That is too long for one item. {HOW}")
    text, notes = without_notes(line)
    text, counted = without_notes(spoken_line(text))
    named, place = _place_of(text)
    kind, called, rest = _kind_of(named)
    rest, told = _split(kind, named if kind.line.whole else f"{called} {rest}")
    rest = rest if kind.line.whole else _pattern(kind).sub(" ", rest).strip()
    rest, told = _hand_behind(rest), told | ({"place": place} if place else {})
    if all_notes := "; ".join(filter(None, (notes, counted, told.get("notes", "")))):
        told["notes"] = all_notes
    if not rest and kind.line.more:
        raise wrong(HOW)
    try:
        documents, over = read_most(rest, lambda kept: _each(kind, kept, told))
    except InputError as error:
        if error.code != LEFT_OVER:
            raise
        raise asked(line, error.message, f"a {kind.called}", lies="in " if kind.line.whole else "") from None
    things = tuple(_checked(kind, document) for document in documents)
    if over:
        raise asked(line, over, _several(things))
    return things


def _several(things: tuple[Typed, ...]) -> str:
    return things[0].name if len(things) == 1 else f"{len(things)} items, {things[0].name} the first"


def _hand_behind(rest: str) -> str:
    """A text that begins with the hand of its thread, with that behind the thread and its series.

    >>> _hand_behind("LH 1/2 BSW 1 in"), _hand_behind("M10 LH 30 mm")
    ('1/2 BSW LH 1 in', 'M10 LH 30 mm')
    """
    words = rest.split()
    if words[:1] != ["LH"] or len(words) < 2:
        return rest
    ends = next((at for at, word in enumerate(words[2:], 2) if not word.isalpha()), len(words))
    return " ".join([*words[1:ends], "LH", *words[ends:]])


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
