"""What is to be made, of what, how, and on what: the job as the rules see it."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, get_args

from lathework.lengths import Length
from lathework.rules.blank import School
from lathework.rules.materials import Material
from lathework.rules.turning import Dial
from lathework.threads.thread import Thread
from lathework.units import LengthUnit

PartKind = Literal["stud", "shouldered-screw"]
Finish = Literal["groove", "die-turned-round"]
Drive = Literal["hand", "power"]
Edge = Literal["left", "right"]
PART_KINDS: tuple[PartKind, ...] = get_args(PartKind)
FINISHES: tuple[Finish, ...] = get_args(Finish)
DRIVES: tuple[Drive, ...] = get_args(Drive)
EDGES: tuple[Edge, ...] = get_args(Edge)


@dataclass(frozen=True, slots=True)
class Part:
    """A plain stud (thread, then the bar as bought) or a shouldered screw (thread, turned shank, head of bar size).

    Lengths run from the faced right-hand end toward the chuck: `thread_length` to the shoulder behind the thread,
    `shank_length` to the underside of the head, `overall_length` to the parted end. `class_name` is the class of the
    thread, "" for the usual one.
    """

    kind: PartKind
    thread: Thread
    stock_diameter: Length
    thread_length: Length
    overall_length: Length
    shank_diameter: Length | None
    shank_length: Length | None
    class_name: str = ""


@dataclass(frozen=True, slots=True)
class Method:
    """The schools chosen: blank diameter, how the shoulder is reached, what turns the spindle for the die."""

    blank_school: School
    blank_fraction: float
    finish: Finish
    drive: Drive


@dataclass(frozen=True, slots=True)
class Setup:
    """The lathe and its blades: what the cross-slide dial reads, blade widths, which edge was touched off."""

    dial: Dial
    groove_blade: Length
    groove_edge: Edge
    parting_blade: Length
    parting_edge: Edge


@dataclass(frozen=True, slots=True)
class Identification:
    """How the thread of a job was identified: what was measured, as typed, and how probable the thread was then."""

    evidence: tuple[tuple[str, str], ...]
    probability: float

    @property
    def words(self) -> str:
        """One sentence for the plan and the log."""
        told = "; ".join(f"{name} {text}" for name, text in self.evidence)
        return f"Identified, {100 * self.probability:.0f} % certain: {told}."


@dataclass(frozen=True, slots=True)
class Job:
    """A job: who it is for, how many, the part, the method, the set-up; `unit` is that of bare numbers."""

    title: str
    needed_by: str
    fits: str
    quantity: int
    unit: LengthUnit
    material: Material
    pressure: bool
    part: Part
    method: Method
    setup: Setup
    notes: str
    identified: Identification | None = None
