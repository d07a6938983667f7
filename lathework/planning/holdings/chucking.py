"""What a holding of the work is: which end it faces, what it makes, where it is gripped and how far it stands out."""

from __future__ import annotations

from typing import Literal

from lathework.part.model import MILLED, Edge, Section, Stock
from lathework.part.stock import FORM_FLATS
from lathework.planning.threads.thread_work import ThreadWork
from lathework.planning.work import Work
from lathework.value import value

ALIKE_MM = 0.01
BOLT_HEAD, BOLT_SHANK = "the bolt's head", "the bolt's shank"
"""What a bolt is held by, in words."""
Task = Literal["face", "bore", "turn", "thread", "part"]
"""What is done while the work is held: faced and centred, drilled, turned, threaded, parted off."""
ALL: tuple[Task, ...] = ("face", "bore", "turn", "thread", "part")
Carried = Literal["chuck", "centre", "steady", "steps"]
"""What holds the work up while it is turned: the chuck alone, the centre too, a travelling steady as well; or it is
drawn out of the chuck in steps, too thin for a centre."""


@value
class Placed:
    """A section as it lies in a chucking: distances behind that chucking's face, and diameters, in millimetres."""

    number: int
    section: Section
    near_mm: float
    far_mm: float
    turned_mm: float
    thread: ThreadWork | None
    bar: Stock | None = None
    """The bar, where the section is hexagon or square bar as bought."""

    @property
    def name(self) -> str:
        """What a fitter calls it."""
        if self.thread is not None:
            return f"{self.thread.thread.designation} thread"
        if self.bar is not None:
            return f"{self.bar.form} bar"
        if self.section.taper is not None:
            return f"{self.section.taper.told} taper"
        return {"bar": "plain body", "round": "turned body", "knurl": "knurled part"}.get(
            self.section.shape, self.section.shape
        )

    @property
    def end_mm(self) -> float:
        """Diameter at its edge toward the face that it is made from, in millimetres: a taper's small end."""
        return self.turned_mm if self.section.taper is None else self.section.small_mm

    @property
    def held_mm(self) -> float:
        """What jaws measure of it, in millimetres: its flats, or its diameter."""
        return self.turned_mm if self.bar is None else self.bar.across.mm


@value
class Grip:
    """What the jaws hold: in words, what it is across, how much of it they have.

    `across_mm` is its flats where it has any, as `flats` says, `round_mm` the circle round it. `on_thread` says that it
    is a finished thread, `tapered` that jaws would touch it in a ring only.
    """

    words: str
    across_mm: float
    length_mm: float
    round_mm: float
    flats: bool = False
    on_thread: bool = False
    tapered: bool = False


@value
class Chucking:
    """One holding of the work. `placed` is the whole part from its face; the first `own` sections are this end's, of
    which `here` stand finished when it is over.

    `faces` is the end of the part that is worked, `second` says that the other one is finished. `does` is what is done
    in it, `worked_mm` how far from the face a tool goes, `on_bar` whether the piece is still part of its bar.
    `spare_mm` is left on the far end for facing it later. Where the piece is parted off here, a thread that reaches its
    end is cut `overrun_mm` past it, so that its unfinished turns stay on the bar. `chucked_mm` is what a sawn blank is
    longer than the piece, for the jaws; a `stub` is bar too thick for the spindle, sawn so that the jaws alone hold it.
    `steadied` blanks are as thick: held by the far end, with a fixed steady where the jaws would be.
    """

    number: int
    faces: Edge
    second: bool
    placed: tuple[Placed, ...]
    own: int
    here: int
    grip: Grip
    stick_out_mm: float
    worked_mm: float
    bar_mm: float
    does: tuple[Task, ...] = ALL
    carried: Carried = "chuck"
    on_bar: bool = False
    spare_mm: float = 0.0
    overrun_mm: float = 0.0
    chucked_mm: float = 0.0
    stub: bool = False
    steadied: bool = False

    @property
    def parted(self) -> bool:
        """Whether the piece is parted off here."""
        return "part" in self.does

    @property
    def centred(self) -> bool:
        """Whether its end runs on the tailstock centre."""
        return self.carried in ("centre", "steady")

    @property
    def begins(self) -> bool:
        """Whether its end is faced here, and Z zero set on it."""
        return "face" in self.does

    @property
    def made(self) -> tuple[Placed, ...]:
        """The sections made here, from the face on."""
        return self.placed[: self.here]

    @property
    def overall_mm(self) -> float:
        """Length of the part."""
        return self.placed[-1].far_mm

    @property
    def out_words(self) -> str:
        """What holds the work so far behind its face: the jaws, or a steady in their place."""
        return "as far as the steady" if self.steadied else "stick-out"

    @property
    def ratio(self) -> float:
        """Stick-out over the diameter that is held."""
        return self.stick_out_mm / self.grip.across_mm

    @property
    def words(self) -> str:
        """What it is called among the other holdings."""
        end = "Second end" if self.second else "First end"
        if self.begins:
            return end if "turn" in self.does else f"{end}, short stick-out"
        if "turn" in self.does:
            return f"{end}, pulled out on the centre" if self.centred else f"{end}, pulled out in steps"
        if self.parted:
            return "Pulled out for the die" if "thread" in self.does else "Pulled out to part off"
        return f"{end}, short stick-out again"

    def behind_mm(self, at_mm: float) -> float:
        """How far a place `at_mm` from the part's right-hand end lies behind this face (millimetres)."""
        return at_mm if self.faces == "right" else self.overall_mm - at_mm

    def outer_mm(self, placed: Placed) -> float:
        """Diameter a section shows here when all is done: the bar, where it is made only later."""
        return placed.turned_mm if self.finished(placed) else self.bar_mm

    def finished(self, placed: Placed) -> bool:
        """Whether a section stands finished at the end of this holding."""
        return placed in self.made or (self.second and placed in self.placed[self.own :])


def as_bought(stock: Stock, section: Section) -> bool:
    """Whether a section is the bar itself, neither turned nor milled."""
    if section.shape == "bar":
        return True
    across = section.across if section.shape == stock.form else None
    return across is not None and abs(across.mm - stock.across.mm) < ALIKE_MM


def place(work: Work, order: tuple[int, ...]) -> tuple[Placed, ...]:
    """Sections in `order` from the face on."""
    out, near = [], 0.0
    for number in order:
        section, stock = work.part.sections[number], work.part.stock
        far = near + section.length.mm
        bar = stock if stock.form in FORM_FLATS and as_bought(stock, section) else None
        out.append(Placed(number, section, near, far, work.turned_mm(number), work.threads.get(number), bar))
        near = far
    return tuple(out)


def milled(work: Work) -> tuple[int, ...]:
    """Numbers of the sections whose flats are milled: those that are not bar as bought."""
    stock = work.part.stock
    return tuple(
        number
        for number, section in enumerate(work.part.sections)
        if section.shape in MILLED and not as_bought(stock, section)
    )
