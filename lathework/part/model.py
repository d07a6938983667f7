"""What is to be made, and of what: the part as the rules see it."""

from __future__ import annotations

from dataclasses import dataclass
from math import fsum
from typing import Literal, get_args

from lathework.cutting.knurl import Knurl
from lathework.fits.fit import FitCode
from lathework.fits.taper import Taper
from lathework.lengths import Length
from lathework.part.stock import FINISHED_FORMS, StockForm, corners_mm
from lathework.part.thread_cutters import INSIDE, OUTSIDE, Cutter, OutsideCutter, ThreadCutter
from lathework.threads.thread import Thread

Shape = Literal["thread", "round", "taper", "bar", "hexagon", "square", "flats", "knurl"]
Edge = Literal["left", "right"]
Mouth = Literal["right", "left", "across"]
Runs = Literal["shoulder", "full"]
"""What the length of a thread runs to: the shoulder behind its relief groove, or the end of its full thread."""
RUNS: tuple[Runs, ...] = get_args(Runs)
Broken = Literal["bevel", "round"]
"""How an edge is broken: at 45 degrees, or rounded."""
BROKEN: tuple[Broken, ...] = get_args(Broken)
Finisher = Literal["boring-tool", "reamer"]
"""What brings a plain hole to its fit."""
FINISHERS: tuple[Finisher, ...] = get_args(Finisher)
SHAPES: tuple[Shape, ...] = get_args(Shape)
EDGES: tuple[Edge, ...] = get_args(Edge)
MOUTHS: tuple[Mouth, ...] = get_args(Mouth)
MILLED: dict[str, int] = {"hexagon": 6, "square": 4, "flats": 2}
"""Shapes that are milled or filed on what the lathe leaves, with their number of flats."""


@dataclass(frozen=True, slots=True)
class Stock:
    """What the part is made from: its form and its size across (diameter, or across the flats).

    A bolt to be cut down is `across` its shank, a part that is kept where it is worked;
    `bar_length` is how long the bars are, where that was said.
    """

    form: StockForm
    across: Length
    bar_length: Length | None

    @property
    def one_ended(self) -> bool:
        """Whether it is a part already, of which one end alone is worked."""
        return self.form in FINISHED_FORMS

    @property
    def corners_mm(self) -> float:
        """Diameter of the circle round it."""
        return corners_mm(self.form, self.across.mm)


@dataclass(frozen=True, slots=True)
class Section:
    """A stretch of the part along its axis, right end first.

    `across` is its diameter, or the width across its flats; None for a thread and for bar as bought. `length` of a
    thread runs to the shoulder behind it and so includes its relief; where it `runs` over full thread as typed,
    that is `full`, and the relief stands beyond it. Flats are milled on a `round` so large, where that was asked
    for. `chamfer` breaks the edge toward the nearer end of the part. `class_name` is the class of the thread, ""
    for the usual one. `measured` is what a sample of it measures across. `cut` is what cuts the thread, `die` the
    id of the die that does, "" where none is named. `fit` is how a round section goes with its `mate`, which
    measures so much where somebody measured it. A `taper` is `across` at its large end, which lies toward the
    largest of the other sections; a `knurl` of known pitch is that wide when it is knurled. A round one may have a
    keyway for a `key` so wide, all along or over its `key_length`. `id` is its own for as long as it is part of the
    job, wherever it stands in the list.
    """

    id: str
    shape: Shape
    length: Length
    across: Length | None = None
    thread: Thread | None = None
    class_name: str = ""
    chamfer: Length | None = None
    measured: Length | None = None
    die: str = ""
    cut: OutsideCutter = "die"
    fit: FitCode = ""
    mate: Length | None = None
    taper: Taper | None = None
    knurl: Knurl | None = None
    key: Length | None = None
    key_length: Length | None = None
    edge: Broken = "bevel"
    runs: Runs = "shoulder"
    full: Length | None = None
    round: Length | None = None

    @property
    def cutter(self) -> ThreadCutter:
        """What cuts its thread."""
        return OUTSIDE[self.cut]

    @property
    def small_mm(self) -> float:
        """Diameter of a taper at its small end, of another section all along it, in millimetres; 0 where none is
        stated."""
        large = self.across.mm if self.across is not None else 0.0
        return large - self.length.mm * self.taper.ratio if self.taper is not None else large


@dataclass(frozen=True, slots=True)
class Bore:
    """A hole along the axis from one `end`, or across the part: threaded inside, or plain, `across` its drill.

    `depth` is that of full thread, or of the plain hole; None goes right through. `class_name` is the class of the
    internal thread, "" for the usual one; `cut` is what cuts it. `at` is where the axis of a hole across lies, behind
    the right-hand end, `around` where it is round the part, in words. An adjustable `tap` is one of the shop, by its
    id; a `graduation` of its scale makes so much.
    `fit` is how a plain hole goes with its `mate`, as a section does. `id` is its own, like a section's.
    """

    id: str
    end: Mouth
    depth: Length | None
    thread: Thread | None = None
    class_name: str = ""
    across: Length | None = None
    at: Length | None = None
    cut: Cutter = "tap"
    tap: str = ""
    graduation: Length | None = None
    fit: FitCode = ""
    mate: Length | None = None
    key: Length | None = None
    socket: Taper | None = None
    count: int = 1
    by: Finisher = "boring-tool"
    undercut: Length | None = None
    around: str = ""

    @property
    def cutter(self) -> ThreadCutter:
        """What cuts its thread."""
        return INSIDE[self.cut]

    @property
    def reamed(self) -> bool:
        """Whether a reamer brings it to its fit."""
        return bool(self.fit) and self.by == "reamer"

    @property
    def small_mm(self) -> float:
        """Diameter of a socket at its bottom, in millimetres; of another plain hole its own, 0 for a threaded one."""
        large = self.across.mm if self.across is not None else 0.0
        deep = self.depth.mm if self.depth is not None else 0.0
        return large - deep * self.socket.ratio if self.socket is not None else large


NO_THREAD = "no thread"
"""What a part is called by that has none."""


@dataclass(frozen=True, slots=True)
class Part:
    """A turned part: its stock, its sections from the right-hand end toward the chuck, its holes.

    `stated` is the overall length that was said, where one was; `overall_mm` is what the sections add up to. `name`
    tells it from the other parts of its job; `afterwards` is what is done when it is made, in words. `id` is its own
    within the job: what is recorded belongs to it.
    """

    id: str
    stock: Stock
    sections: tuple[Section, ...]
    stated: Length | None
    bores: tuple[Bore, ...] = ()
    name: str = ""
    afterwards: str = ""

    @property
    def overall_mm(self) -> float:
        """What the sections add up to."""
        return fsum(section.length.mm for section in self.sections)

    @property
    def rest(self) -> Section | None:
        """The section that takes what the others leave of the overall length; None where each states its own."""
        return next((section for section in self.sections if not section.length.typed), None)

    @property
    def thread(self) -> Thread | None:
        """The thread the job is known by: the first one outside, or the first one inside; None where it has none."""
        return next(iter(self.threads), None)

    @property
    def threads(self) -> tuple[Thread, ...]:
        """Every thread, right end first, those of the holes after those outside."""
        outside = [section.thread for section in self.sections if section.thread is not None]
        return (*outside, *(bore.thread for bore in self.bores if bore.thread is not None))

    @property
    def tapped_through(self) -> bool:
        """Whether a threaded hole along the axis has a mouth at either end."""
        return any(bore.thread is not None and bore.depth is None and bore.end != "across" for bore in self.bores)

    @property
    def designations(self) -> str:
        """The threads by name, each once; "no thread" where there is none."""
        return ", ".join(dict.fromkeys(thread.designation for thread in self.threads)) or NO_THREAD
