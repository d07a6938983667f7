"""How a part is made, on what, for whom: the job as the rules see it."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, get_args

from lathework.cautions import Hazard
from lathework.cutting.blank import School
from lathework.cutting.mate_blank import Mate
from lathework.lengths import Length
from lathework.methods.infeed import Infeed
from lathework.methods.tap import Tapping
from lathework.part.model import Edge, Part
from lathework.shop.kit_choices import Ground
from lathework.shop.lathe_facts import Dial, Lathe, Mount, Readout, ToolZeros
from lathework.shop.leadscrew import Lead
from lathework.shop.metals import Material
from lathework.units import LengthUnit

Finish = Literal["groove", "die-turned-round", "run-out"]
Order = Literal["from-the-bar", "blanks-first"]
Support = Literal["chuck", "centre"]
Batch = Literal["piece", "holding"]
FINISHES: tuple[Finish, ...] = get_args(Finish)
Milling = Literal["after", "before-thread", "on-the-bar"]
"""When flats, keyways and holes across are made: when all is turned, or before the piece is parted off its bar."""
MILLINGS: tuple[Milling, ...] = get_args(Milling)
ORDERS: tuple[Order, ...] = get_args(Order)
BATCHES: tuple[Batch, ...] = get_args(Batch)
Dear = Literal["usual", "little", "much"]
DEARS: tuple[Dear, ...] = get_args(Dear)
DEARNESS: dict[Dear, float] = {"usual": 1.0, "little": 0.3, "much": 4.0}
"""What a scrapped piece costs, in those that are as dear as usual (practice)."""
SUPPORTS: tuple[Support, ...] = get_args(Support)


@dataclass(frozen=True, slots=True)
class Method:
    """What was chosen: blank, how shoulders are reached, what holds the die, the order of work, a centre or none, and
    in what order a batch is made.

    `overruled` says why the work is held as chosen where its length asks for another way, "" where nobody insists;
    `because` why a thread is cut so against advice. `mate` is that of the first thread, where it was measured.
    `fraction_asked` says that the blank's fraction was typed, not the metal's own. `tapping` is what guides and turns
    the tap; `percent` the thread wanted in a hole, None for what suits the metal. `infeed` is how a threading tool is
    fed in, `point` how it is ground, "" as its thread's form has it, `tip` the flat or radius there, None for that of
    the form; `dear` what a scrapped piece costs. `lubricant` is what is put on the tool, "" for what suits the metal.
    """

    blank_school: School
    blank_fraction: float
    finish: Finish
    holder: str
    order: Order
    support: Support
    tapping: Tapping = "by-centre"
    percent: float | None = None
    batch: Batch = "piece"
    because: str = ""
    overruled: str = ""
    mate: Mate | None = None
    fraction_asked: bool = False
    milling: Milling = "after"
    lubricant: str = ""
    infeed: Infeed = "compound"
    point: Ground = ""
    tip: Length | None = None
    dear: Dear = "usual"

    @property
    def dearness(self) -> float:
        """What a scrapped piece costs, in those that are as dear as usual (a number)."""
        return DEARNESS[self.dear]


@dataclass(frozen=True, slots=True)
class Head:
    """A self-opening die head: the `least` and the `most` that its chasers cut, the longest thread its `hollow` takes
    in, how far it cuts on past its stop (`overrun`), what one `graduation` of its scale makes on the diameter; None
    where nobody said."""

    least: Length | None
    most: Length | None
    hollow: Length | None
    overrun: Length | None
    graduation: Length | None


NO_HEAD = Head(None, None, None, None, None)


@dataclass(frozen=True, slots=True)
class Setup:
    """The lathe, its blades and its die head: its dial and readout, its weight, which edges were touched off.

    `mount` is how its chuck sits on the spindle, `tools` how its tools keep their zero. `run_down_turns` is how many
    turns the spindle makes after it is switched off; `drills` names those owned, "" where nobody said: then `rack` are
    those of the shop. `machine` is the id of its lathe there, `speeds` what that has in rev/min, the slowest first,
    `bore` what passes through its spindle; `leadscrew` its lead, None where nobody said, `gearbox` what its gearbox
    gives, `gears` the teeth of its change gears, each wheel once; `dial_teeth` and `dial_lines` those of its thread
    dial, 0 where it has none.
    """

    dial: Dial
    readout: Readout
    lathe: Lathe
    run_down_turns: float
    groove_blade: Length
    groove_edge: Edge
    parting_blade: Length
    parting_edge: Edge
    drills: str = ""
    mount: Mount = "unsaid"
    tools: ToolZeros = "unsaid"
    machine: str = ""
    speeds: tuple[float, ...] = ()
    bore: Length | None = None
    rack: str = ""
    leadscrew: Lead | None = None
    gearbox: tuple[Lead, ...] = ()
    gears: tuple[int, ...] = ()
    dial_teeth: int = 0
    dial_lines: int = 0
    head: Head = NO_HEAD

    @property
    def own_drills(self) -> str:
        """The drills that count: those named, else those of the shop; "" where nobody said."""
        return self.drills or self.rack


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
    """A job: who it is for, how many, the part, the method, the set-up; `unit` is that of bare numbers.

    `hazards` are the kinds of use in which local codes and licensed practice decide. `others` are the further parts
    that belong to it, each as a job of its own under the same title, unit and set-up. `becomes` is what it is in the
    shop once it is made, as one types it there.
    """

    title: str
    needed_by: str
    fits: str
    quantity: int
    unit: LengthUnit
    material: Material
    hazards: tuple[Hazard, ...]
    part: Part
    method: Method
    setup: Setup
    notes: str
    identified: Identification | None = None
    others: tuple[Job, ...] = ()
    becomes: str = ""

    @property
    def parts(self) -> tuple[Job, ...]:
        """Every part in the order they are made, each as a job of its own."""
        return (self, *self.others)

    @property
    def part_names(self) -> tuple[str, ...]:
        """What each part is called: its name, or its number."""
        return tuple(job.part.name or f"part {number}" for number, job in enumerate(self.parts, 1))

    @property
    def designations(self) -> str:
        """The threads of all parts by name, each once."""
        told = [thread.designation for job in self.parts for thread in job.part.threads]
        return ", ".join(dict.fromkeys(told))
