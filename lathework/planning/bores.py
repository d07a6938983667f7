"""Holes worked out: which drill, how deep, what wall is left, and from which chucking."""

from __future__ import annotations

from dataclasses import dataclass, replace
from functools import lru_cache

from lathework.figures import AS_TYPED, PRACTICE, Figure, Given
from lathework.part import MILLED, Bore, Edge, Job, Part
from lathework.planning.ends import Ends, nominal_mm
from lathework.rules.holes import (
    PILOT_FROM_MM,
    POINT_SHARE,
    Choice,
    choose,
    drill_depth,
    hole_for,
    owned,
    tap_named,
    wanted_percent,
)
from lathework.rules.pipe_holes import TaperHole, taper_hole
from lathework.rules.stock import FORM_FLATS
from lathework.rules.tapping import convention, percent_thread
from lathework.tables.drills import Drill, all_drills
from lathework.threads.limits import internal_limits
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

ROOM_TO_BORE_MM = 0.4
"""Least that a boring tool is left to take off the diameter after the last drill (practice)."""
BORING_TOOL = "boring tool"
"""What makes a hole that no drill of the racks fits."""
NAMED_RACKS = ("number", "letter", "fraction")
TAP = "second"
"""The tap that a blind hole is drilled deep enough for; a bottoming tap then finishes it."""
FLOOR_MM = 1.0
"""Least metal left under the point of a drill in a blind hole (practice)."""
THIN_WALL = 0.15
"""Least wall round a hole, over the hole's diameter (practice)."""


@dataclass(frozen=True, slots=True)
class BoreWork:
    """A hole with its drill: what it is called, its size, the per cent thread it leaves (None where it is plain).

    `choice` is the drill picked for a thread, None where it is bored or plain; `rough` the largest drill owned below a
    bored hole. `taper` is set for a pipe thread that tapers.
    """

    bore: Bore
    name: str
    drill: Figure
    drill_mm: float
    percent: Figure | None
    choice: Choice | None = None
    rough: Drill | None = None
    taper: TaperHole | None = None

    @property
    def called(self) -> str:
        """The name a drill of a numbered, lettered or fractional rack goes by; "" for one known by its size."""
        return self.name if self.choice is not None and self.choice.drill.rack in NAMED_RACKS else ""

    @property
    def bored(self) -> bool:
        """Whether it is opened with a boring tool."""
        return self.name == BORING_TOOL

    @property
    def chased(self) -> bool:
        """Whether its thread is chased instead of tapped: as chosen, or because no drill reaches its size."""
        return self.bore.thread is not None and (self.bore.cut != "tap" or self._beyond_racks)

    @property
    def _beyond_racks(self) -> bool:
        return self.bored and self.drill_mm > all_drills()[-1].diameter_mm


@dataclass(frozen=True, slots=True)
class Racks:
    """What a job chooses its drills from: those owned, as typed in `unit`, and the per cent thread wanted."""

    drills: str
    unit: LengthUnit
    percent: float


def racks_of(job: Job) -> Racks:
    """The drills of a job, and the per cent it wants or its metal suits."""
    percent = job.method.percent
    return Racks(job.setup.drills, job.unit, wanted_percent(job.material) if percent is None else percent)


def _bored(bore: Bore, thread: Thread, class_name: str, racks: Racks) -> BoreWork:
    """A hole bored to size, within the class, after the largest drill that goes in it."""
    limits = internal_limits(thread, class_name)
    wanted = hole_for(thread, racks.percent)
    if limits is not None:
        held = min(max(wanted.value, limits.minor.minimum), limits.minor.maximum)
        wanted = replace(wanted, value=held, note=f"{wanted.note}; held within class {limits.minor.class_name}.")
    mm = convert(wanted.value, thread.unit, "mm")
    smaller = [drill for drill in owned(racks.drills, racks.unit) if drill.diameter_mm < mm - ROOM_TO_BORE_MM]
    percent = Figure(
        "thread left", percent_thread(thread, wanted.value), "%", "100 × (major − bore) ÷ full depth", PRACTICE,
        (Given("major", thread.major, thread.unit), Given("bore", wanted.value, thread.unit)),
        note=convention(thread)[1],
    )  # fmt: skip
    return BoreWork(bore, BORING_TOOL, wanted, mm, percent, rough=smaller[-1] if smaller else None)


@lru_cache(maxsize=256)
def _tapped(bore: Bore, racks: Racks) -> BoreWork:
    """A threaded hole: the drill owned nearest to the per cent wanted, or bored where none is within the class."""
    thread = bore.thread
    assert thread is not None
    rack = owned(racks.drills, racks.unit)
    tapering = taper_hole(thread, rack)
    if tapering is not None:
        return _tapering(bore, thread, tapering)
    limits = internal_limits(thread, bore.class_name)
    piloted = thread.major_mm >= PILOT_FROM_MM
    pick, _ = choose(thread, limits, rack, racks.percent, piloted=piloted)
    if pick is None or pick.fit != "within" or bore.cut != "tap":
        return _bored(bore, thread, bore.class_name, racks)
    own = convert(pick.drill.diameter, pick.drill.unit, thread.unit)
    figure = Figure(
        "tapping drill", own, thread.unit, f"nearest to {racks.percent:g} % whose probable hole the class allows",
        PRACTICE, (Given("probable hole", pick.hole.value, thread.unit), Given("thread left", pick.percent.value, "%")),
        note=f"Drill {pick.drill.name}.",
    )  # fmt: skip
    return BoreWork(bore, pick.drill.name, figure, pick.drill.diameter_mm, pick.percent, choice=pick)


def _tapering(bore: Bore, thread: Thread, found: TaperHole) -> BoreWork:
    drill = found.reamed
    if drill is None:
        return BoreWork(bore, BORING_TOOL, found.deep, convert(found.deep.value, thread.unit, "mm"), None, taper=found)
    figure = Figure(
        "drill before reaming", convert(drill.diameter, drill.unit, thread.unit), thread.unit,
        "largest no larger than the minor at the bottom of the useful thread", PRACTICE,
        (Given("minor at the bottom", found.deep.value, thread.unit),), note=f"Drill {drill.name}.",
    )  # fmt: skip
    return BoreWork(bore, drill.name, figure, drill.diameter_mm, None, taper=found)


def bore_work(bore: Bore, racks: Racks) -> BoreWork:
    """The drill for a hole: its own size, or the one owned for its thread at the per cent wanted."""
    if bore.thread is not None:
        return _tapped(bore, racks)
    across = bore.across
    assert across is not None  # the reader gives each hole a thread or a size
    figure = Figure(
        "drill", across.value, across.unit, "as you entered it", AS_TYPED, (Given("hole", across.value, across.unit),)
    )
    return BoreWork(bore, across.typed, figure, across.mm, None)


def _through(found: BoreWork, thick_mm: float, beyond_mm: float, unit: LengthUnit) -> Figure:
    across, point = found.bore.end == "across", POINT_SHARE * found.drill_mm
    names = ["thickness" if across else "overall length", *(() if across else ("what is parted and faced",)), "point"]
    lengths = [thick_mm, *(() if across else (beyond_mm,)), point]
    inputs = tuple(Given(name, convert(mm, "mm", unit), unit) for name, mm in zip(names, lengths, strict=True))
    return Figure(
        "drill deep", convert(sum(lengths), "mm", unit), unit, " + ".join(names) + " of the drill", PRACTICE, inputs,
        fine=False,
    )  # fmt: skip


def depth_figure(found: BoreWork, thick_mm: float, beyond_mm: float, unit: LengthUnit) -> Figure:
    """How deep to drill, to the point, told in `unit`.

    A blind tapped hole takes the lead of a second tap and room for chips; a through one goes `beyond_mm` past
    `thick_mm`, the overall length, or the thickness for a hole across (both millimetres). Source: practice.
    """
    bore, point = found.bore, POINT_SHARE * found.drill_mm
    if bore.depth is None:
        return _through(found, thick_mm, beyond_mm, unit)
    if found.taper is not None and bore.thread is not None:
        deep = found.taper.depth
        return replace(deep, value=convert(deep.value, bore.thread.unit, unit), unit=unit)
    if bore.thread is not None:
        tap = tap_named(TAP)
        thread = bore.thread
        deep = drill_depth(
            thread, tap, convert(bore.depth.mm, "mm", thread.unit), convert(found.drill_mm, "mm", thread.unit)
        )
        return Figure(
            "drill deep", convert(deep.value, thread.unit, unit), unit, deep.formula, PRACTICE, deep.inputs, fine=False,
            note="For a second tap; a bottoming tap finishes it.",
        )  # fmt: skip
    inputs = (Given("depth", bore.depth.value, bore.depth.unit), Given("point", convert(point, "mm", unit), unit))
    value = convert(bore.depth.mm + point, "mm", unit)
    return Figure("drill deep", value, unit, "depth + point of the drill", PRACTICE, inputs, fine=False)


def largest_mm(bore: Bore) -> float:
    """Largest diameter of a hole: its thread's major, or its drill, in millimetres."""
    if bore.thread is not None:
        return bore.thread.major_mm
    return bore.across.mm if bore.across is not None else 0.0


def _outside_mm(part: Part, number: int) -> float:
    """What a section leaves round a hole: its flats, its minor diameter, or its diameter."""
    section = part.sections[number]
    outside = section.thread.minor_mm if section.thread else nominal_mm(part, number)
    if section.across is not None and section.shape in MILLED:
        return min(outside, section.across.mm)
    form = part.stock.form
    return min(outside, part.stock.across.mm) if section.shape == "bar" and form in FORM_FLATS else outside


def _least_mm(part: Part, bore: Bore, depth_mm: float) -> float:
    """Least that the sections over `depth_mm` from the mouth of a hole leave outside."""
    numbers = range(len(part.sections)) if bore.end == "right" else range(len(part.sections) - 1, -1, -1)
    near, least = 0.0, float("inf")
    for number in numbers:
        if near >= depth_mm:
            break
        least = min(least, _outside_mm(part, number))
        near += part.sections[number].length.mm
    return least


def wall_mm(part: Part, bore: Bore, drilled: tuple[float, float] | None = None) -> float:
    """Least wall round a hole, in millimetres: over its thread or plain depth, and over what is drilled below it.

    `drilled` is the drill's diameter and the depth to its point, where they are known (both millimetres).
    """
    depth = part.overall_mm if bore.depth is None else bore.depth.mm
    wall = (_least_mm(part, bore, depth) - largest_mm(bore)) / 2
    if drilled is None:
        return wall
    across, deep = drilled
    return min(wall, (_least_mm(part, bore, deep) - across) / 2)


def thickness_mm(part: Part, bore: Bore) -> float:
    """How thick the part is where a hole across it goes through, in millimetres."""
    near, at = 0.0, bore.at.mm if bore.at is not None else 0.0
    for number, section in enumerate(part.sections):
        near += section.length.mm
        if at < near:
            if section.across is not None and section.shape in MILLED:
                return section.across.mm
            return part.stock.across.mm if section.shape == "bar" else nominal_mm(part, number)
    return _outside_mm(part, len(part.sections) - 1)


def near_end(ends: Ends) -> Edge:
    """The end that the first chucking faces."""
    return "left" if ends.turned_about else "right"


def far_end(ends: Ends) -> Edge:
    """The end that the first chucking does not face."""
    return "right" if ends.turned_about else "left"
