"""The contract of every way of making a thread: does it suit, what does it cost, what is to be expected of it."""

from __future__ import annotations

from abc import ABC, abstractmethod
from collections.abc import Iterator
from dataclasses import dataclass
from typing import TypeVar

from lathework.cautions import Caution
from lathework.cutting.speeds import geared, spindle_speed
from lathework.cutting.torque import Tool as Cutter
from lathework.cutting.torque import cutting_torque
from lathework.figures import Figure
from lathework.shop.kinds.kind import Owned
from lathework.shop.lathe_facts import RUN_DOWN_TURNS, Lathe, Mount
from lathework.shop.leadscrew import Lead
from lathework.shop.metals import Material
from lathework.threads.thread import Thread
from lathework.units import convert

T = TypeVar("T", bound=Owned)
MOST_PIECES = 5000
"""Pieces of a job, at most: past them no break-even is told."""
REMAKE_MIN = 20.0
"""Minutes that a spoilt piece costs: another is made (practice)."""


@dataclass(frozen=True, slots=True)
class Machine:
    """What a way asks of a lathe; speeds in rev/min, `run_down` in turns; `gearbox` is what its box gives,
    `gears` are the wheels it has."""

    weight: Lathe = "middling"
    mount: Mount = "unsaid"
    speeds: tuple[float, ...] = ()
    run_down: float = RUN_DOWN_TURNS
    leadscrew: Lead | None = None
    gearbox: tuple[Lead, ...] = ()
    gears: tuple[int, ...] = ()


@dataclass(frozen=True, slots=True)
class Wanted:
    """A thread to be made: how long, against a `shoulder` or not, behind it a groove so wide, on a blank or in a hole
    of `blank_mm`, on how many pieces, in what metal, on which lathe, with which `things` (None where nobody said).

    `pitch_diameter` is the one to be cut, in the thread's unit; `blind` a hole that ends in the metal, `in_bar` one
    that ends in the bar until the part is parted off.
    """

    thread: Thread
    length_mm: float
    blank_mm: float
    pitch_diameter: float
    metal: Material
    pieces: int = 1
    shoulder: bool = True
    groove_mm: float = 0.0
    inside: bool = False
    blind: bool = False
    in_bar: bool = False
    machine: Machine = Machine()
    things: tuple[Owned, ...] | None = None

    @property
    def turns(self) -> float:
        """Turns of the thread."""
        return self.length_mm / convert(self.thread.lead, self.thread.unit, "mm")

    def torque(self, tool: Cutter = "die") -> Figure:
        """Torque of a die or a tap on the solid, in N m."""
        return cutting_torque(self.thread, self.metal.cutting_force, tool=tool)

    def speed(self, cutting_speed: float) -> Figure:
        """Spindle speed for `cutting_speed` in m/min: one that the lathe has."""
        wanted = spindle_speed(cutting_speed, self.thread.major_mm, name="speed")
        return geared(wanted, self.machine.speeds)

    def owned(self, kind: type[T]) -> tuple[T, ...]:
        """Things of that kind that are at hand."""
        return tuple(one for one in self.things or () if isinstance(one, kind) and one.at_hand)


@dataclass(frozen=True, slots=True)
class Expected:
    """What to expect of a thread made so: of its pitch, how straight it is, how near a shoulder it ends."""

    pitch: str
    straight: str
    shoulder: Figure


Choice = tuple[str, str]
"""A field of the section, hole or job, and what it then says."""


class Way(ABC):
    """A way of making a thread. `code` names it, `takes` are the fields by which a job takes it, `spoils` the share of
    pieces that go wrong in it (practice)."""

    code: str
    name: str
    remark: str
    takes: tuple[Choice, ...]
    cautions: tuple[Caution, ...]
    spoils: float
    inside: bool = False

    @abstractmethod
    def refused(self, wanted: Wanted) -> Iterator[str]:
        """Why it does not suit this thread on this lathe, whatever one owns; nothing where it does."""

    @abstractmethod
    def lacking(self, wanted: Wanted) -> Iterator[str]:
        """What it takes that the shop has none of; nothing where nobody said what there is."""

    @abstractmethod
    def merits(self, wanted: Wanted) -> Iterator[str]:
        """What speaks for it here."""

    @abstractmethod
    def faults(self, wanted: Wanted) -> Iterator[str]:
        """What speaks against it here, short of refusing it."""

    @abstractmethod
    def set_up(self, wanted: Wanted) -> Figure:
        """Minutes before the first piece."""

    @abstractmethod
    def cycle(self, wanted: Wanted) -> Figure:
        """Minutes for the thread of one piece."""

    @abstractmethod
    def expected(self, wanted: Wanted) -> Expected:
        """What to expect of the thread."""

    def unusual(self, wanted: Wanted) -> Iterator[str]:
        """Why a rule of thumb speaks against it here, which one may know better; nothing of most ways."""
        return iter(())

    def risk(self, wanted: Wanted) -> float:
        """Share of pieces that go wrong here: as usual in it, unless this thread is harder than usual."""
        return self.spoils

    @abstractmethod
    def torque(self, wanted: Wanted) -> Figure | None:
        """Torque in N m at the tool; None where no tool turns in the work."""

    @abstractmethod
    def borne_by(self, wanted: Wanted) -> str:
        """What bears that torque."""
