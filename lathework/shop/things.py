"""Things that cut, each known by an id that stays; a size is None, a word "" where nobody said."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.lengths import Length
from lathework.shop.kit_choices import BladeUse, DieForm, Ground, Lead, State, TapForm, ToolForm, ToolSteel
from lathework.threads.thread import Thread

AT_HAND: tuple[State, ...] = ("ready", "worn")
"""States in which a thing can be worked with."""


@dataclass(frozen=True, slots=True)
class Thing:
    """What every thing has; `shop` is whose it is in, "" where only one is kept."""

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
class Die(Thing):
    """A die, or a set of chasers; `marked` is the number on each of a set, `unfinished` are the threads it leaves at a
    shoulder (a count)."""

    thread: Thread
    form: DieForm
    across: Length | None
    thick: Length | None
    steel: ToolSteel
    lead: Lead
    marked: str
    unfinished: float | None


@dataclass(frozen=True, slots=True)
class Tap(Thing):
    """A tap, or a set of them; of an adjustable one, a `graduation` of its scale makes so much on the diameter."""

    thread: Thread
    form: TapForm
    steel: ToolSteel
    flutes: float | None
    reaches: Length | None
    shank: Length | None
    square: Length | None
    graduation: Length | None


@dataclass(frozen=True, slots=True)
class ShopDrill(Thing):
    """A drill by its marked size."""

    size: Length


@dataclass(frozen=True, slots=True)
class Reamer(Thing):
    """A reamer by its marked size."""

    size: Length


@dataclass(frozen=True, slots=True)
class Blade(Thing):
    """A blade; it parts off twice its `reach` in diameter."""

    width: Length
    use: BladeUse
    reach: Length | None


@dataclass(frozen=True, slots=True)
class Tool(Thing):
    """A turning tool; `angle` is its included angle in degrees."""

    form: ToolForm
    angle: float | None
    point: Ground
    tip: Length | None
