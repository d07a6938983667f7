"""The drill for a tapped hole: out of those one owns, the one that a drill chart would name."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from lathework.figures import PRACTICE, Figure, Given
from lathework.holes.oversize import probable_hole
from lathework.holes.percent import convention, metal_cut, percent_thread
from lathework.shop.metals import Material
from lathework.shop.racks import home
from lathework.tables.drills import Drill, drills_between
from lathework.threads.families import family_of, series_of
from lathework.threads.standards.bands import InternalLimits
from lathework.threads.thread import Thread
from lathework.units import convert

Fit = Literal["within", "too-small", "too-large"]
TOUGH_PERCENT = 65.0
"""Per cent wanted in tough metals, where torque counts for more (practice)."""
TOUGH_FORCE = 2400.0
"""Cutting force in N/mm^2 from which a metal counts as tough (practice)."""
LEAST = 60.0
"""Per cent thread, by the drill's own size, under which a chart names no drill (practice)."""
MOST_60, MOST = 80.0, 82.0
"""The same, over which it names none: 60 degree threads, whose basic height is 83 per cent; others, whose is 100."""
MOST_PIPE = 87.0
"""The same of parallel pipe threads, whose charts take the largest drill that the limits allow."""
WIDER = (55.0, 82.0)
"""Per cent taken where the rack has nothing nearer (practice)."""
MAY_PASS = 0.1
"""How far a drill may be over the class's greatest minor, in pitches, before the hole is bored instead (practice)."""
_ALIKE = 1e-9
SHARP = 130.0
"""Per cent thread of a hole at the point of the sharp triangle: below it no drill is one for the thread."""
BESIDE = 3
"""Drills offered on each side of the pick."""
OFFERED = 6
"""Tapping drills named for a thread at a glance."""


@dataclass(frozen=True, slots=True)
class DrillChoice:
    """A drill one owns: the per cent thread by its own size, what it probably cuts, and whether the class allows that.

    Diameters are in the thread's unit; `passes` is how far the probable hole is over the class's greatest minor, or
    under its least; `near` says whether the drill itself is as near as a chart would have it. `torque_share` is the
    tapping torque over that at 75 per cent.
    """

    drill: Drill
    percent: Figure
    hole: Figure
    fit: Fit
    passes: float
    near: bool
    torque_share: float
    allowed: bool
    """Whether the class allows its own size too, not what it probably cuts alone."""

    @property
    def serves(self) -> bool:
        """Whether it is taken rather than bored: a chart might name it, or the class allows it."""
        return self.near or (self.allowed and self.fit == "within")


@dataclass(frozen=True, slots=True)
class TappingDrill:
    """A drill for a tapped hole: its diameter in the thread's unit and the per cent thread it leaves."""

    drill: Drill
    diameter: float
    percent: float
    convention: str


def wanted_percent(metal: Material, thread: Thread) -> float:
    """Per cent thread (a bare number) that suits `metal`: as its charts have it, in tough metals 65.

    Source: practice.
    """
    return usual_percent(thread) if metal.cutting_force < TOUGH_FORCE else TOUGH_PERCENT


def usual_percent(thread: Thread) -> float:
    """Per cent thread (a bare number) of a thread's drill charts: 75 for inch threads of 60 degrees, 77 for others.

    Source: practice.
    """
    return family_of(thread).percent.charts


def sought(thread: Thread, limits: InternalLimits | None, percent: float) -> str:
    """By what a drill for `percent` (a bare number) is chosen, in words."""
    series = series_of(thread)
    if series is not None and series.drilled is not None:
        percent = series.drilled[0]
    elif _by_the_limit(thread, limits):
        return "the largest that the limits of the pipe thread allow"
    return f"nearest to {percent:g} % thread by its own size"


def _by_the_limit(thread: Thread, limits: InternalLimits | None) -> bool:
    return family_of(thread).by_limits and limits is not None


@dataclass(frozen=True, slots=True)
class _Chart:
    """What a chart wants of a thread's drill: the per cent wanted, the least and most; the class's limits, and how far
    over them a drill may be (the thread's unit)."""

    thread: Thread
    limits: InternalLimits | None
    wanted: float
    least: float
    most: float
    slack: float

    def percent(self, drill: Drill) -> float:
        return percent_thread(self.thread, convert(drill.diameter, drill.unit, self.thread.unit))

    def over(self, drill: Drill) -> float:
        """How far a drill itself is over the class's greatest minor, in the thread's unit; 0 where it is not."""
        own = convert(drill.diameter, drill.unit, self.thread.unit)
        return max(0.0, own - self.limits.minor.maximum) if self.limits else 0.0

    @property
    def _widely(self) -> tuple[float, float]:
        """The per cent that a chart might name a drill for."""
        return min(self.least, WIDER[0]), max(self.most, WIDER[1])

    def near(self, drill: Drill) -> bool:
        """Whether a chart might name it."""
        low, high = self._widely
        return low <= self.percent(drill) <= high and self.over(drill) <= self.slack + _ALIKE

    def named(self) -> list[Drill]:
        """The drills of all racks that a chart might name, the best first."""
        low, high = self._widely
        full_mm = convention(self.thread)[0] * self.thread.pitch_mm
        least_mm, most_mm = (self.thread.major_mm - share / 100 * full_mm for share in (high, low))
        about = drills_between(least_mm - _ALIKE, most_mm + _ALIKE)
        return sorted((drill for drill in about if self.near(drill)), key=self.rank)

    def rank(self, drill: Drill) -> tuple[bool, bool, bool, float, float]:
        """Least for the best: near, of the thread's own rack, in the chart's range, nearest to what is wanted."""
        near, in_range = self.near(drill), self.least <= self.percent(drill) <= self.most
        off = round(abs(self.percent(drill) - self.wanted), 6)
        return not near, near and not home(self.thread, drill), not in_range, off, drill.diameter_mm


def _chart(thread: Thread, limits: InternalLimits | None, percent: float) -> _Chart:
    """What a chart would want at `percent`, a bare number, which stretches its range where it lies outside."""
    series = series_of(thread)
    if series is not None and series.drilled is not None:
        wanted, least, most = series.drilled
        return _Chart(thread, limits, wanted, least, most, MAY_PASS * thread.pitch)
    if limits is not None and _by_the_limit(thread, limits):
        return _Chart(thread, limits, percent_thread(thread, limits.minor.maximum), LEAST, MOST_PIPE, 0.0)
    most = MOST_60 if thread.form.angle_deg == 60 else MOST
    return _Chart(thread, limits, percent, min(LEAST, percent - 10), max(most, percent + 2), MAY_PASS * thread.pitch)


def _passes(hole: float, limits: InternalLimits | None) -> tuple[Fit, float]:
    """Whether the class allows a hole, and how far it is outside (the thread's unit)."""
    if limits is None or limits.minor.minimum <= hole <= limits.minor.maximum:
        return "within", 0.0
    under = limits.minor.minimum - hole
    return ("too-small", under) if under > 0 else ("too-large", hole - limits.minor.maximum)


def _choice(chart: _Chart, drill: Drill, *, piloted: bool, swells: bool) -> DrillChoice:
    thread = chart.thread
    hole = probable_hole(drill, thread.unit, piloted=piloted, swells=swells)
    factor, words = convention(thread)
    own = convert(drill.diameter, drill.unit, thread.unit)
    percent = Figure(
        "per cent thread",
        chart.percent(drill),
        "%",
        f"100 × (major − drill) ÷ ({factor} × pitch)",
        PRACTICE,
        (
            Given("major", thread.major, thread.unit),
            Given("drill", own, thread.unit),
            Given("pitch", thread.pitch, thread.unit),
        ),
        note=words,
    )
    fit, passes = _passes(hole.value, chart.limits)
    allowed = _passes(own, chart.limits)[0] == "within"
    return DrillChoice(drill, percent, hole, fit, passes, chart.near(drill), metal_cut(percent.value), allowed)


def choose(
    thread: Thread,
    limits: InternalLimits | None,
    rack: Sequence[Drill],
    percent: float,
    *,
    piloted: bool = False,
    swells: bool = True,
) -> tuple[DrillChoice | None, tuple[DrillChoice, ...]]:
    """The pick out of `rack` and the drills around it, smallest first.

    By their own sizes: of those that leave 60 to 80 per cent (82 of the basic height of a 55 degree or BA thread) and
    are hardly over the class, of the rack that goes with the thread before any other, the one nearest to `percent` (a
    bare number); of a G thread the largest that its limits allow. The probable hole only checks it. None when the rack
    has nothing that leaves a thread at all. Source: practice.
    """
    chart = _chart(thread, limits, percent)
    inside = [drill for drill in rack if 0 < chart.percent(drill) < SHARP]
    if not inside:
        return None, ()
    best = min(inside, key=chart.rank)
    at = inside.index(best)
    made = [_choice(chart, d, piloted=piloted, swells=swells) for d in inside[max(0, at - BESIDE) : at + BESIDE + 1]]
    return next(one for one in made if one.drill is best), tuple(made)


def tapping_drills(thread: Thread, limits: InternalLimits | None) -> tuple[TappingDrill, ...]:
    """Up to six drills of all racks for a thread, the pick first: the list of `choose`. Source: practice."""
    chart, words = _chart(thread, limits, usual_percent(thread)), convention(thread)[1]
    return tuple(
        TappingDrill(drill, convert(drill.diameter, drill.unit, thread.unit), chart.percent(drill), words)
        for drill in chart.named()[:OFFERED]
    )
