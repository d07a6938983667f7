"""The things one owns: dies, taps and drills, each known by an id that stays."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, cast

from lathework.lengths import Length
from lathework.reader import Reader
from lathework.shop.kit_declaration import (
    ACROSS,
    DIE_FORMS,
    DRILL,
    GROUPS,
    KINDS,
    LONGEST_NOTE,
    STATES,
    TAP_FORMS,
    THICK,
    TOOL_STEELS,
    DieForm,
    Kind,
    State,
    TapForm,
    ToolSteel,
)
from lathework.threads.thread import Thread

LEAST_DRAWN_MM, DRAWN_WIDTH = 16.0, 2.2
"""A die that nobody measured is drawn as wide as so many times its thread, and no smaller (practice)."""
AT_HAND: tuple[State, ...] = ("ready", "worn")
"""States in which a thing can be worked with."""


@dataclass(frozen=True, slots=True)
class Thing:
    """What every thing has; `place` and `notes` are "" where nobody said."""

    id: str
    state: State
    place: str
    notes: str

    @property
    def at_hand(self) -> bool:
        """Whether it can be worked with now."""
        return self.state in AT_HAND


@dataclass(frozen=True, slots=True)
class Die(Thing):
    """A die; its sizes are None where nobody measured them."""

    thread: Thread
    form: DieForm
    across: Length | None
    thick: Length | None
    steel: ToolSteel


@dataclass(frozen=True, slots=True)
class Tap(Thing):
    """A tap, or a set of them."""

    thread: Thread
    form: TapForm
    steel: ToolSteel


@dataclass(frozen=True, slots=True)
class ShopDrill(Thing):
    """A drill by its marked size."""

    size: Length


Owned = Die | Tap | ShopDrill


def _die(reader: Reader, common: dict[str, Any]) -> Die | None:
    called = reader.thread("thread")
    thread = called.thread if called else None
    across = reader.length("across", ACROSS, optional=True)
    thick = reader.length("thick", THICK, optional=True)
    if across and thick and thick.mm >= across.mm:
        reader.fail("out-of-range", "thick", "No die is thicker than it is wide: are the two the other way round?")
    if across and thread and thread.major_mm >= across.mm:
        reader.fail("out-of-range", "across", f"A {thread.designation} thread does not go into so small a die.")
    form = cast(DieForm, reader.choice("form", DIE_FORMS, "split"))
    steel = cast(ToolSteel, reader.choice("steel", TOOL_STEELS, ""))
    return Die(**common, thread=thread, form=form, across=across, thick=thick, steel=steel) if thread else None


def _tap(reader: Reader, common: dict[str, Any]) -> Tap | None:
    called = reader.inside("thread")
    thread = called.thread if called else None
    form = cast(TapForm, reader.choice("form", TAP_FORMS, "set"))
    steel = cast(ToolSteel, reader.choice("steel", TOOL_STEELS, ""))
    return Tap(**common, thread=thread, form=form, steel=steel) if thread else None


def _drill(reader: Reader, common: dict[str, Any]) -> ShopDrill | None:
    size = reader.length("size", DRILL)
    return ShopDrill(**common, size=size) if size else None


def kind_of(thing: Owned) -> Kind:
    """What kind a thing is."""
    return "die" if isinstance(thing, Die) else "tap" if isinstance(thing, Tap) else "drill"


def drawn_mm(die: Die) -> float:
    """How wide a die is drawn, in millimetres: as measured, or as wide as one of its thread commonly is."""
    return die.across.mm if die.across else max(LEAST_DRAWN_MM, DRAWN_WIDTH * die.thread.major_mm)


def read_thing(kind: str, document: Mapping[str, Any]) -> Owned:
    """A thing out of its document; bare numbers are millimetres. Raises InvalidDocument with every error by field."""
    reader = Reader({**document, "unit": "mm"})
    if kind not in KINDS:
        reader.fail("unknown-choice", "kind", f"Choose one of {', '.join(KINDS)}.", KINDS)
        raise reader.invalid()
    known = next(one for one in KINDS if one == kind)
    reader.section("", (*GROUPS[known].keys, "unit"))
    common: dict[str, Any] = {
        "id": reader.ident("id"),
        "state": reader.choice("state", STATES, "ready"),
        "place": reader.text("place"),
        "notes": reader.text("notes", longest=LONGEST_NOTE),
    }
    thing = {"die": _die, "tap": _tap, "drill": _drill}[known](reader, common)
    if thing is None or reader.errors:
        raise reader.invalid()
    return thing


def name_of(thing: Owned) -> str:
    """What a fitter calls it.

    >>> from lathework.shop.kit import read_thing
    >>> name_of(read_thing("die", {"id": "d1", "thread": "1/2 bsw", "across": "1 in", "thick": "3/8 in"}))
    '1/2 BSW split die, 1 in × 3/8 in'
    """
    if isinstance(thing, ShopDrill):
        return f"{thing.size.typed} drill"
    if isinstance(thing, Tap):
        form = "taps, a set" if thing.form == "set" else f"{thing.form.replace('-', ' ')} tap"
        return f"{thing.thread.designation} {form}"
    size = " × ".join(length.typed for length in (thing.across, thing.thick) if length)
    return f"{thing.thread.designation} {thing.form} die" + (f", {size}" if size else "")
