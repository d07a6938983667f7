"""How the part is held: each chucking with what it makes, where it is gripped and how far it stands out."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.part import MILLED, Edge, Section, Stock
from lathework.planning.ends import far_end, near_end
from lathework.planning.work import ThreadWork, Work
from lathework.rules.relief import UNFINISHED_THREADS
from lathework.rules.stock import FACING_MM, FORM_FLATS

HOLD_CLEARANCE_MM = 6.0
"""Kept between the tool's last place and the jaws (practice)."""
LEAST_GRIP_MM = 8.0
"""Least length that three jaws hold (practice)."""
_ALIKE_MM = 0.01


@dataclass(frozen=True, slots=True)
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
        return {"bar": "plain body", "round": "turned body", "knurl": "knurled part"}.get(
            self.section.shape, self.section.shape
        )

    @property
    def held_mm(self) -> float:
        """What jaws measure of it, in millimetres: its flats, or its diameter."""
        return self.turned_mm if self.bar is None else self.bar.across.mm


@dataclass(frozen=True, slots=True)
class Grip:
    """What the jaws hold: in words, what it is across, how much of it they have.

    `across_mm` is its flats where it has any, as `flats` says, `round_mm` the circle round it. `on_thread` says that it
    is a finished thread.
    """

    words: str
    across_mm: float
    length_mm: float
    round_mm: float
    flats: bool = False
    on_thread: bool = False


@dataclass(frozen=True, slots=True)
class Chucking:
    """One holding of the work. `placed` is the whole part from this chucking's face; the first `here` are made in it.

    `faces` is the end of the part that is worked.
    `spare_mm` is left on the far end for facing it later; `parted` says that the piece is parted off here. A thread
    that reaches the parted end is cut `overrun_mm` past it, so that its unfinished turns stay on the bar.
    """

    number: int
    faces: Edge
    placed: tuple[Placed, ...]
    here: int
    grip: Grip
    stick_out_mm: float
    parted: bool
    spare_mm: float
    bar_mm: float
    overrun_mm: float = 0.0

    @property
    def made(self) -> tuple[Placed, ...]:
        """The sections made here, from the face on."""
        return self.placed[: self.here]

    @property
    def overall_mm(self) -> float:
        """Length of the part."""
        return self.placed[-1].far_mm

    @property
    def ratio(self) -> float:
        """Stick-out over the diameter that is held."""
        return self.stick_out_mm / self.grip.across_mm

    def behind_mm(self, at_mm: float) -> float:
        """How far a place `at_mm` from the part's right-hand end lies behind this face (millimetres)."""
        return at_mm if self.faces == "right" else self.overall_mm - at_mm

    def outer_mm(self, placed: Placed) -> float:
        """Diameter a section shows here when all is done: the bar, where it is made only later."""
        return placed.turned_mm if self.finished(placed) else self.bar_mm

    def finished(self, placed: Placed) -> bool:
        """Whether a section stands finished at the end of this chucking."""
        return self.number > 1 or placed in self.made


def as_bought(stock: Stock, section: Section) -> bool:
    """Whether a section is the bar itself, neither turned nor milled."""
    if section.shape == "bar":
        return True
    across = section.across if section.shape == stock.form else None
    return across is not None and abs(across.mm - stock.across.mm) < _ALIKE_MM


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


def _needs_second(work: Work) -> bool:
    """Whether the far end is worked: sections of its own, a chamfer on it, or a sawn end to face."""
    if work.part.stock.one_ended:
        return False
    last = work.part.sections[work.ends.first[-1]]
    head_chamfer = not work.ends.second and last.chamfer is not None and len(work.part.sections) > 1
    far_bore = any(bore.end == far_end(work.ends) for bore in work.part.bores)
    return bool(work.ends.second) or head_chamfer or far_bore or work.job.method.order == "blanks-first"


def _first(work: Work, *, second: bool) -> Chucking:
    part, stock = work.part, work.part.stock
    placed = place(work, (*work.ends.first, *reversed(work.ends.second)))
    here = len(work.ends.first)
    spare = FACING_MM if second else 0.0
    bar, overrun = stock.corners_mm, 0.0
    if stock.one_ended:
        held = "the bolt by its head" if stock.form == "bolt" else "the part itself"
        stick_out, grip = part.overall_mm, Grip(held, stock.across.mm, LEAST_GRIP_MM, bar)
    elif work.job.method.order == "blanks-first":
        cut = [p.far_mm for p in placed[:here] if p.turned_mm < bar - 0.01 or p.thread]
        stick_out = max(cut, default=0.0) + HOLD_CLEARANCE_MM
        grip = Grip("the sawn blank", stock.across.mm, part.overall_mm + spare - stick_out, bar)
    else:
        kerf = work.job.setup.parting_blade.mm
        if placed[-1].thread is not None and here == len(placed):
            overrun = kerf + UNFINISHED_THREADS * placed[-1].thread.thread.pitch_mm
        stick_out = part.overall_mm + spare + max(kerf, overrun) + HOLD_CLEARANCE_MM
        grip = Grip("the bar", stock.across.mm, LEAST_GRIP_MM, bar)
    parted = not stock.one_ended and work.job.method.order == "from-the-bar"
    return Chucking(1, near_end(work.ends), placed, here, grip, stick_out, parted, spare, bar, overrun)


def _bodies(placed: tuple[Placed, ...], made: int) -> list[list[Placed]]:
    """Plain sections behind the first `made` (a count), neighbours of one diameter together."""
    runs: list[list[Placed]] = []
    for p in placed[made:]:
        if p.thread is not None:
            continue
        joins = runs and abs(runs[-1][-1].turned_mm - p.turned_mm) < _ALIKE_MM and runs[-1][-1].far_mm == p.near_mm
        if joins:
            runs[-1].append(p)
        else:
            runs.append([p])
    return runs


def _gripped(placed: Placed, length_mm: float) -> Grip:
    return Grip(
        f"the {placed.name}", placed.held_mm, length_mm, placed.turned_mm, flats=placed.bar is not None,
        on_thread=placed.thread is not None,
    )  # fmt: skip


def held(placed: tuple[Placed, ...], made: int) -> tuple[Grip, float]:
    """The best thing to grip behind the first `made` sections (a count), and how far the work then stands out (mm).

    A plain body near the work before a finished thread. Source: practice.
    """
    for run in _bodies(placed, made):
        near, far = run[0].near_mm, run[-1].far_mm
        # A little clear of the shoulder, and never so much that the jaws have too little.
        stick_out = max(near + max(0.0, min(HOLD_CLEARANCE_MM, far - near - LEAST_GRIP_MM)), HOLD_CLEARANCE_MM)
        if far - stick_out >= LEAST_GRIP_MM:
            longest = max(run, key=lambda p: p.far_mm - p.near_mm)
            return _gripped(longest, far - stick_out), stick_out
    chosen = max((p for p in placed[made:] or placed), key=lambda p: (p.thread is not None, p.far_mm - p.near_mm))
    # The face itself must stand clear of the jaws.
    stick_out = max(chosen.near_mm, HOLD_CLEARANCE_MM)
    return _gripped(chosen, max(0.0, chosen.far_mm - stick_out)), stick_out


def chuckings(work: Work) -> tuple[Chucking, ...]:
    """The chuckings of the lathe in order: one, or two when both ends are worked."""
    second = _needs_second(work)
    first = _first(work, second=second)
    if not second:
        return (first,)
    order = (*work.ends.second, *reversed(work.ends.first))
    placed = place(work, order)
    here = len(work.ends.second)
    grip, stick_out = held(placed, here)
    bar = work.part.stock.corners_mm
    return first, Chucking(2, far_end(work.ends), placed, here, grip, stick_out, False, 0.0, bar)


def milled(work: Work) -> tuple[int, ...]:
    """Numbers of the sections whose flats are milled: those that are not bar as bought."""
    stock = work.part.stock
    return tuple(
        number
        for number, section in enumerate(work.part.sections)
        if section.shape in MILLED and not as_bought(stock, section)
    )
