"""What a kind of thing says of itself: its names, its fields, how it is typed, where it lies, how it is drawn."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Any

from lathework.declared import Field, Group
from lathework.field_reader import FieldReader
from lathework.fields import Choice, Ident, Text
from lathework.shop.kit_choices import STATES, State
from lathework.shop.lathe_words import Words
from lathework.shop.typing.line_words import Told
from lathework.shop.typing.reads import Reads
from lathework.units import Millimetres

LONGEST_NOTE = 500
AT_HAND: tuple[State, ...] = ("ready", "worn")
"""States in which a thing can be worked with."""
COMMON: Mapping[str, Field] = {
    "id": Ident("its own in the shop"),
    "state": Choice(STATES, "ready", "whether it is there and fit to work"),
    "shop": Text("whose shop it is in, where several are kept together, as in a club"),
    "place": Text("where it lies: a box, a drawer"),
    "notes": Text("what one should know of it", LONGEST_NOTE),
}
"""What is told of every thing."""
ROUND, RING, ROD = "round", "ring", "rod"
"""How what has one size is drawn, to scale: from its end, or from its side."""


@dataclass(frozen=True, slots=True)
class Owned:
    """What every thing has, known by an id that stays; `shop` is whose it is in, "" where only one is kept. A size is
    None, a word "" where nobody said."""

    id: str
    state: State
    shop: str
    place: str
    notes: str

    @property
    def at_hand(self) -> bool:
        """Whether it can be worked with now."""
        return self.state in AT_HAND


@dataclass(frozen=True, slots=True)
class KindField:
    """A field of a kind: what is stored, what it is called, and its choices in words where those are not their codes'
    own."""

    field: Field
    label: str
    choices: Words | None = None


@dataclass(frozen=True, slots=True)
class InLine:
    """How a kind is typed: the pattern of what it is `called`, the `words` of its own that say something wherever they
    stand, and what `reads` the rest. `rank` is its place where a line names two kinds: the longer name before one
    whose word it holds. One that stands `alone` is no other kind too, and one that has `more` is not told by its name;
    commas stand between what is said of one that is read as a `whole`.
    """

    called: str
    rank: int
    words: Told
    reads: Reads
    alone: bool
    more: bool
    whole: bool = False


@dataclass(frozen=True, slots=True)
class ThingKind:
    """A kind of thing; nothing of it has a default, so that one that lacks a part does not load.

    `code` and `place` among the others; what one is `called`, and `about`; the class that it is `made` of; its
    `fields`, each with its label; what else is checked; what a fitter calls one, what stands under it where it lies,
    and the heading it lies under where nobody said; its diameters over all and of its thread (millimetres, 0 for
    none), and its `sign`: ROUND, RING (with a hole of no known size), ROD, or a path in a box of 72 by 44 of what is
    not drawn to scale.
    """

    code: str
    place: int
    called: str
    about: str
    made: type[Owned]
    fields: Mapping[str, KindField]
    check: Callable[[FieldReader, Mapping[str, Any]], None]
    name: Callable[[Any], str]
    short: Callable[[Any], str]
    drawer: Callable[[Any], str]
    across: Callable[[Any], tuple[Millimetres, Millimetres]]
    sign: str
    line: InLine

    @property
    def group(self) -> Group:
        """Its document, as it is declared."""
        title = self.code.title().replace("-", "")
        return Group(title, self.about, {**COMMON, **{name: told.field for name, told in self.fields.items()}})


def unchecked(reader: FieldReader, said: Mapping[str, Any]) -> None:
    """Of a kind whose fields say all that is asked of them."""


def check_range(reader: FieldReader, said: Mapping[str, Any]) -> None:
    """Of a kind that goes from a least to a most."""
    least, most = said.get("least"), said.get("most")
    if least and most and least.mm > most.mm:
        reader.fail("out-of-range", "least", "The smallest is larger than the largest. Are the two sizes swapped?")


def no_size(thing: Owned) -> tuple[Millimetres, Millimetres]:
    """Of a kind that is drawn by its sign."""
    return 0.0, 0.0


def lies_under(heading: str) -> Callable[[Owned], str]:
    """Of a kind whose things all lie under one heading."""
    return lambda thing: heading
