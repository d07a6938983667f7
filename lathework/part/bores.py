"""Holes worked out: which drill, how deep, what wall is left, and from which chucking."""

from __future__ import annotations

from dataclasses import dataclass, replace
from functools import lru_cache

from lathework.figures import AS_TYPED, PRACTICE, Figure, Given
from lathework.fits.fit import Limits
from lathework.holes.depth import PILOT_FROM_MM, hole_for
from lathework.holes.drill_choice import choose, sought
from lathework.holes.form_taps import drill_sold, form_drill, form_hole
from lathework.holes.oversize import probable_hole
from lathework.holes.percent import convention, percent_thread
from lathework.holes.taper_pipe import TaperHole, taper_hole
from lathework.part.finished_holes import minor_bore, reamer_drill, socket_drill
from lathework.part.fitted import bore_limits
from lathework.part.job_racks import LARGEST_DRILL_MM, Racks, rough_drill
from lathework.part.model import Bore
from lathework.shop.racks import home, owned
from lathework.tables.drills import Drill, all_drills
from lathework.threads.limits import internal_limits
from lathework.threads.standards.bands import InternalLimits
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

BORING_TOOL = "boring tool"
"""What makes a hole that no drill of the racks fits."""
WORTH_TELLING = 6.0
"""Per cent thread by which a drill must come nearer for another rack to be opened, or named (practice)."""
NAMED_RACKS = ("number", "letter", "fraction")
BLIND_TAP = "second"
"""The tap that a blind hole is drilled deep enough for; a bottoming tap then finishes it."""


def spoken(drill: Drill, unit: LengthUnit) -> str:
    """What a sentence in `unit` puts before the size of a `drill`: the name of one of another unit or rack."""
    return f"{drill.name}, " if drill.unit != unit or drill.rack in NAMED_RACKS else ""


@dataclass(frozen=True, slots=True)
class BoreWork:
    """A hole with its drill: what it is called, its size, the per cent thread it leaves (None where it is plain).

    `picked` is the drill for a thread, None where it is bored or plain, `hole` what it probably cuts, `passes` how far
    that may be over the class (the thread's unit); `rough` is the largest drill owned below a bored hole. `taper` is
    set for a pipe thread that tapers, `limits` for a plain hole that is made to a fit.
    """

    bore: Bore
    name: str
    drill: Figure
    drill_mm: float
    percent: Figure | None
    picked: Drill | None = None
    hole: Figure | None = None
    passes: float = 0.0
    rough: Drill | None = None
    taper: TaperHole | None = None
    limits: Limits | None = None

    @property
    def called(self) -> str:
        """The name a drill of a numbered, lettered or fractional rack goes by; "" for one known by its size."""
        return self.name if self.picked is not None and self.picked.rack in NAMED_RACKS else ""

    def spoken(self, unit: LengthUnit) -> str:
        """What a sentence in `unit` puts before the drill's size: the name of one of another unit or rack."""
        return "" if self.picked is None else spoken(self.picked, unit)

    @property
    def bored(self) -> bool:
        """Whether it is opened with a boring tool."""
        return self.name == BORING_TOOL

    @property
    def drilled_mm(self) -> float:
        """What its last drill is across, in millimetres: the one before a boring tool where it is bored, 0 for none."""
        if not self.bored:
            return self.drill_mm
        return self.rough.diameter_mm if self.rough is not None else 0.0

    @property
    def chased(self) -> bool:
        """Whether its thread is chased instead of tapped: as chosen, or because no drill reaches its size."""
        return self.bore.thread is not None and (self.bore.cutter.on_leadscrew or self._beyond_racks)

    @property
    def _beyond_racks(self) -> bool:
        return self.bored and self.drill_mm > all_drills()[-1].diameter_mm


def _within(wanted: Figure, limits: InternalLimits, unit: LengthUnit) -> Figure:
    """A bore brought within its class."""
    least, greatest = limits.minor.minimum, limits.minor.maximum
    return replace(
        wanted,
        value=min(max(wanted.value, least), greatest),
        formula=f"smallest of (largest of ({wanted.formula}, minimum minor), maximum minor)",
        inputs=(*wanted.inputs, Given("minimum minor", least, unit), Given("maximum minor", greatest, unit)),
        note=f"{wanted.note}; kept within class {limits.minor.class_name}.",
    )


def _bored(bore: Bore, thread: Thread, racks: Racks) -> BoreWork:
    """A hole bored to size, within the class, after the largest drill that goes in it."""
    if thread.single_point:
        wanted = minor_bore(thread)
        return BoreWork(bore, BORING_TOOL, wanted, thread.minor_mm, None, rough=rough_drill(thread.minor_mm, racks))
    limits = internal_limits(thread, bore.class_name)
    wanted = hole_for(thread, racks.percent(thread))
    if limits is not None:
        wanted = _within(wanted, limits, thread.unit)
    mm = convert(wanted.value, thread.unit, "mm")
    factor, words = convention(thread)
    percent = Figure(
        "per cent thread",
        percent_thread(thread, wanted.value),
        "%",
        f"100 × (major − bore) ÷ ({factor} × pitch)",
        PRACTICE,
        (
            Given("major", thread.major, thread.unit),
            Given("bore", wanted.value, thread.unit),
            Given("pitch", thread.pitch, thread.unit),
        ),
        note=words,
    )
    return BoreWork(bore, BORING_TOOL, wanted, mm, percent, rough=rough_drill(mm, racks))


@lru_cache(maxsize=256)
def _tapped(bore: Bore, racks: Racks) -> BoreWork:
    """A threaded hole: the drill owned that a chart would name, or bored where none is near."""
    return _drilled(bore, racks, owned(racks.drills, racks.unit))


def much_nearer(other: BoreWork, bore_work: BoreWork, wanted: float) -> bool:
    """Whether another drill comes so much nearer to the per cent `wanted` (a bare number) that it should be told."""
    if bore_work.percent is None or other.percent is None:
        return False
    return abs(bore_work.percent.value - wanted) > abs(other.percent.value - wanted) + WORTH_TELLING


def _drilled(bore: Bore, racks: Racks, rack: tuple[Drill, ...]) -> BoreWork:
    thread = bore.thread
    assert thread is not None
    tapering = taper_hole(thread, [drill for drill in rack if home(thread, drill)] or rack)
    if tapering is not None:
        return _tapering(bore, thread, tapering)
    if bore.cutter.forms:
        return _formed(bore, thread, rack, racks)
    limits = internal_limits(thread, bore.class_name)
    piloted = thread.major_mm >= PILOT_FROM_MM
    pick, _ = choose(thread, limits, rack, racks.percent(thread), piloted=piloted, swells=racks.metal.swells)
    if pick is None or not pick.serves or not bore.cutter.in_sets:
        return _bored(bore, thread, racks)
    own = convert(pick.drill.diameter, pick.drill.unit, thread.unit)
    figure = Figure(
        "tapping drill",
        own,
        thread.unit,
        sought(thread, limits, racks.percent(thread)),
        PRACTICE,
        (Given("per cent thread", pick.percent.value, "%"), Given("probable hole", pick.hole.value, thread.unit)),
        kind="table",
        note=f"Drill {pick.drill.name}.",
    )
    return BoreWork(
        bore,
        pick.drill.name,
        figure,
        pick.drill.diameter_mm,
        pick.percent,
        picked=pick.drill,
        hole=pick.hole,
        passes=pick.passes if pick.fit == "too-large" else 0.0,
    )


def _formed(bore: Bore, thread: Thread, rack: tuple[Drill, ...], racks: Racks) -> BoreWork:
    """A hole for a form tap, by a drill owned; where nobody said what is, or none is near, by the one that is sold for
    it: no boring tool goes in so small a hole."""
    wanted, sold = form_hole(thread), drill_sold(thread)
    drill = form_drill(thread, rack if racks.drills or sold is None else (*rack, sold)) or sold
    if drill is None:
        return BoreWork(bore, BORING_TOOL, wanted, convert(wanted.value, thread.unit, "mm"), None)
    hole = probable_hole(drill, thread.unit, piloted=thread.major_mm >= PILOT_FROM_MM, swells=racks.metal.swells)
    figure = Figure(
        "drill for the form tap",
        convert(drill.diameter, drill.unit, thread.unit),
        thread.unit,
        "nearest to the hole that a form tap needs",
        PRACTICE,
        (Given("target hole", wanted.value, thread.unit), Given("probable hole", hole.value, thread.unit)),
        kind="table",
        note=f"Drill {drill.name}.",
    )
    return BoreWork(bore, drill.name, figure, drill.diameter_mm, None, picked=drill, hole=hole)


def _tapering(bore: Bore, thread: Thread, taper_hole: TaperHole) -> BoreWork:
    drill = taper_hole.reamed
    if drill is None:
        return BoreWork(
            bore,
            BORING_TOOL,
            taper_hole.deep,
            convert(taper_hole.deep.value, thread.unit, "mm"),
            None,
            taper=taper_hole,
        )
    figure = Figure(
        "drill before reaming",
        convert(drill.diameter, drill.unit, thread.unit),
        thread.unit,
        "the largest drill not over the minor at the bottom of the useful thread",
        PRACTICE,
        (Given("minor at the bottom", taper_hole.deep.value, thread.unit),),
        kind="table",
        note=f"Drill {drill.name}.",
    )
    return BoreWork(bore, drill.name, figure, drill.diameter_mm, None, picked=drill, taper=taper_hole)


def _for_socket(bore: Bore, racks: Racks) -> BoreWork:
    drill, figure = socket_drill(bore, racks)
    return BoreWork(bore, drill.name, figure, drill.diameter_mm, None)


def bore_work(bore: Bore, racks: Racks) -> BoreWork:
    """The drill for a hole: its own size, or the one owned for its thread at the per cent wanted."""
    if bore.thread is not None:
        return _tapped(bore, racks)
    across = bore.across
    assert across is not None  # the reader gives each hole a thread or a size
    limits = bore_limits(bore, racks.unit)
    if limits is not None and bore.reamed:
        drill, figure = reamer_drill(bore, racks)
        return BoreWork(bore, drill.name, figure, drill.diameter_mm, None, limits=limits)
    if limits is not None:
        rough = rough_drill(limits.aim_mm, racks)
        return BoreWork(bore, BORING_TOOL, limits.aim, limits.aim_mm, None, rough=rough, limits=limits)
    if bore.socket is not None:
        return _for_socket(bore, racks)
    if across.mm > LARGEST_DRILL_MM and bore.end != "across":
        figure = Figure("bore", across.value, across.unit, "as you entered it", AS_TYPED, kind="typed")
        return BoreWork(bore, BORING_TOOL, figure, across.mm, None, rough=rough_drill(across.mm, racks))
    figure = Figure("drill", across.value, across.unit, "as you entered it", AS_TYPED, kind="typed")
    return BoreWork(bore, across.typed, figure, across.mm, None)
