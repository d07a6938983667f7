"""A hole to be tapped: the drill out of those one owns, what it really cuts, and how deep to go."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from functools import cache, lru_cache
from itertools import pairwise
from typing import Literal

from lathework.errors import InputError
from lathework.figures import PRACTICE, Figure, Given, Source
from lathework.lengths import read_length
from lathework.rules.materials import Material
from lathework.rules.tapping import convention, percent_thread
from lathework.rules.torque import FORM_TORQUE, cutting_torque
from lathework.tables.drills import Drill, all_drills
from lathework.tables.loader import load
from lathework.threads.limits.bands import InternalLimits
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

Fit = Literal["within", "too-small", "too-large"]
RACKS = ("number", "letter", "fraction", "metric")
OVERSIZE = Source("handbook", "table of oversize of drilled holes")
PILOTED = 0.5
"""Share of the oversize that is left after a pilot hole (practice)."""
TOUGH_PERCENT = 60.0
"""Per cent wanted in tough metals, where torque counts for more (practice)."""
TOUGH_FORCE = 2400.0
"""Cutting force in N/mm^2 from which a metal counts as tough (practice)."""
LOWEST_PERCENT, HIGHEST_PERCENT = 30.0, 100.0
"""Per cent thread that may be asked for."""
PILOT_FROM_MM = 10.0
"""Drills from this size on want a pilot hole (practice)."""
BESIDE = 3
"""Drills offered on each side of the pick."""
THIN_WALL = 0.15
"""Least wall round a hole, over the hole's diameter (practice)."""
LEAST_MARGIN = 2.0
"""Breaking torque over cutting torque under which a tap is likely to break (practice)."""
POINT_SHARE = 0.3
"""Length of a drill's point over its diameter, at 118 degrees."""
CHIP_TURNS = 2.0
"""Threads of room left for chips under a tap (practice)."""
FORM_FACTOR = 0.0068
"""Hole for a form tap: major - 0.0068 x per cent x pitch."""
FORM_PERCENT = 65.0
BREAKING = 0.03
"""Torque that breaks a sound tap, in N m for each cubed millimetre of its diameter (practice, rough)."""
TAPPED_PERCENT = 75.0
"""Per cent thread to which torques are compared."""


@dataclass(frozen=True, slots=True)
class Tap:
    """A kind of tap: threads of its lead, whether it may go into a blind hole."""

    code: str
    name: str
    lead_turns: float
    blind: bool
    remark: str


@dataclass(frozen=True, slots=True)
class Choice:
    """A drill one owns: what it probably cuts, the per cent thread that leaves, and whether the class allows it.

    Diameters are in the thread's unit; `torque_share` is the tapping torque over that at 75 per cent.
    """

    drill: Drill
    hole: Figure
    percent: Figure
    fit: Fit
    torque_share: float


@cache
def taps() -> tuple[Tap, ...]:
    """The kinds of tap. Source: practice."""
    return tuple(
        Tap(
            row.text("code"),
            row.text("name"),
            float(row.number("lead")),
            row.text("blind") == "yes",
            row.text("remark"),
        )
        for row in load("taps").rows
    )


def tap_named(code: str) -> Tap:
    """The kind of tap of that code."""
    return next(tap for tap in taps() if tap.code == code)


def wanted_percent(metal: Material) -> float:
    """Per cent thread (a bare number) that suits `metal`: 75, in tough metals 60. Source: practice."""
    return TAPPED_PERCENT if metal.cutting_force < TOUGH_FORCE else TOUGH_PERCENT


@lru_cache(maxsize=128)
def owned(text: str, unit: LengthUnit) -> tuple[Drill, ...]:
    """The drills a list names, by diameter: racks (number, letter, fraction, metric) and single sizes, one a line or
    with commas between; empty means every rack. A bare number is in `unit`. Raises InputError on "drills".
    """
    names = [name.strip() for name in text.replace(";", ",").replace("\n", ",").split(",")]
    named = [name for name in names if name and not name.startswith("# ")]
    if not named:
        return all_drills()
    found: dict[str, Drill] = {}
    for name in named:
        if name.lower() in RACKS:
            found |= {drill.name: drill for drill in all_drills() if drill.rack == name.lower()}
            continue
        try:
            length = read_length(name, unit, "drills")
        except InputError as error:
            raise InputError(error.code, "drills", error.message, RACKS) from None
        found[name] = Drill("own", name, length.value, length.unit, PRACTICE)
    return tuple(sorted(found.values(), key=lambda drill: drill.diameter_mm))


@cache
def _oversizes() -> tuple[tuple[float, float], ...]:
    return tuple((float(row.number("diameter")), float(row.number("mean"))) for row in load("drill_oversize").rows)


def oversize_in(diameter_in: float) -> float:
    """Mean oversize of a drill of `diameter_in`, both in inches, between the rows of the handbook's table.

    >>> oversize_in(0.25), round(oversize_in(0.375), 4)
    (0.004, 0.0045)
    """
    rows = _oversizes()
    if diameter_in <= rows[0][0]:
        return rows[0][1]
    for (small, low), (large, high) in pairwise(rows):
        if diameter_in <= large:
            return low + (high - low) * (diameter_in - small) / (large - small)
    return rows[-1][1]


def probable_hole(drill: Drill, unit: LengthUnit, *, piloted: bool) -> Figure:
    """The hole that a drill probably cuts, told in `unit`: its diameter + mean oversize, half of it after a pilot."""
    over = oversize_in(convert(drill.diameter, drill.unit, "in")) * (PILOTED if piloted else 1.0)
    own, more = convert(drill.diameter, drill.unit, unit), convert(over, "in", unit)
    return Figure(
        "probable hole",
        own + more,
        unit,
        "drill + mean oversize" + (", halved after a pilot" if piloted else ""),
        OVERSIZE,
        (Given("drill", own, unit), Given("oversize", more, unit)),
    )


def metal_cut(percent: float) -> float:
    """Metal that a 60 degree tap cuts at `percent` (a bare number) of three-quarter height, over that at 75 per cent.

    Depth h cuts h P/8 + h^2 tan 30 at each flank side; torque goes with it. Source: geometry, practice.

    >>> metal_cut(75), round(metal_cut(60), 2)
    (1.0, 0.69)
    """

    def area(share: float) -> float:
        depth = share / 100 * 0.649519
        return depth / 8 + depth**2 * math.tan(math.radians(30))

    return area(max(0.0, percent)) / area(TAPPED_PERCENT)


def _fit(hole: float, limits: InternalLimits | None) -> Fit:
    if limits is None or limits.minor.minimum <= hole <= limits.minor.maximum:
        return "within"
    return "too-small" if hole < limits.minor.minimum else "too-large"


def _choice(thread: Thread, drill: Drill, limits: InternalLimits | None, *, piloted: bool) -> Choice:
    hole = probable_hole(drill, thread.unit, piloted=piloted)
    factor, words = convention(thread)
    left = percent_thread(thread, hole.value)
    percent = Figure(
        "thread left", left, "%", f"100 × (major − hole) ÷ ({factor:g} × pitch)", PRACTICE,
        (Given("major", thread.major, thread.unit), Given("hole", hole.value, thread.unit),
         Given("pitch", thread.pitch, thread.unit)), note=words,
    )  # fmt: skip
    return Choice(drill, hole, percent, _fit(hole.value, limits), metal_cut(left))


def choose(
    thread: Thread, limits: InternalLimits | None, rack: Sequence[Drill], percent: float, *, piloted: bool = False
) -> tuple[Choice | None, tuple[Choice, ...]]:
    """The pick out of `rack` and the drills around it, smallest first.

    The pick leaves the per cent thread (a bare number) nearest to `percent`, among those whose probable hole the class
    allows where there are any; else the nearest of all, and it is flagged. None when the rack has nothing that leaves
    a thread at all. Source: practice.
    """
    inside = [d for d in rack if 0 < percent_thread(thread, convert(d.diameter, d.unit, thread.unit)) < 130]
    made = [_choice(thread, drill, limits, piloted=piloted) for drill in inside]
    if not made:
        return None, ()
    allowed = [choice for choice in made if choice.fit == "within"]
    pick = min(allowed or made, key=lambda c: abs(c.percent.value - percent))
    at = made.index(pick)
    return pick, tuple(made[max(0, at - BESIDE) : at + BESIDE + 1])


def hole_for(thread: Thread, percent: float) -> Figure:
    """Hole that leaves `percent` (a bare number) of thread: for boring where no drill will do, in the thread's unit."""
    factor, words = convention(thread)
    return Figure(
        "bore to", thread.major - percent / 100 * factor * thread.pitch, thread.unit,
        f"major − per cent ÷ 100 × {factor:g} × pitch", PRACTICE,
        (Given("major", thread.major, thread.unit), Given("per cent", percent, "%"),
         Given("pitch", thread.pitch, thread.unit)), note=words,
    )  # fmt: skip


def form_hole(thread: Thread) -> Figure:
    """Hole for a form tap at 65 per cent, in the thread's unit: major - 0.0068 x 65 x pitch. Source: handbook."""
    return Figure(
        "hole for a form tap", thread.major - FORM_FACTOR * FORM_PERCENT * thread.pitch, thread.unit,
        "major − 0.0068 × per cent × pitch", Source("handbook", "hole sizes for form taps"),
        (Given("major", thread.major, thread.unit), Given("per cent", FORM_PERCENT, "%"),
         Given("pitch", thread.pitch, thread.unit)),
    )  # fmt: skip


def chip_room(tap: Tap) -> float:
    """Threads of room (a bare number, in pitches) for chips under a `tap`; a form tap makes none. Source: practice."""
    return 0.0 if tap.code == "form" else CHIP_TURNS


def drill_depth(thread: Thread, tap: Tap, full: float, hole: float) -> Figure:
    """Depth to drill, to the point, for `full` finished thread in a blind hole of `hole` (all in the thread's unit).

    Full thread + the tap's lead + room for chips + the drill's point. Source: practice.
    """
    lead, room = tap.lead_turns * thread.pitch, chip_room(tap) * thread.pitch
    return Figure(
        f"drill deep for a {tap.name}", full + lead + room + POINT_SHARE * hole, thread.unit,
        "full thread + lead of the tap + room for chips + point of the drill", PRACTICE,
        (Given("full thread", full, thread.unit), Given("lead", lead, thread.unit),
         Given("room for chips", room, thread.unit), Given("point", POINT_SHARE * hole, thread.unit)),
        fine=False, note=tap.remark,
    )  # fmt: skip


def countersink(thread: Thread) -> Figure:
    """Countersink over the mouth of a tapped hole, in the thread's unit: major + 0.1 P. Source: practice."""
    return Figure(
        "countersink to", thread.major + 0.1 * thread.pitch, thread.unit, "major + 0.1 × pitch", PRACTICE,
        (Given("major", thread.major, thread.unit), Given("pitch", thread.pitch, thread.unit)),
    )  # fmt: skip


def likely_breaks(margin: Figure | None) -> bool:
    """Whether a tap of that margin is likely to break; one that is not known is not."""
    return margin is not None and margin.value < LEAST_MARGIN


def tap_margin(thread: Thread, metal: Material, percent: float, *, formed: bool = False) -> Figure:
    """How many times the cutting torque a sound tap bears at `percent` (a bare number) thread; half that if `formed`.

    0.03 D^3 over kc P^2 D / 8000 x the metal's share at that per cent. Source: practice, rough.
    """
    cutting = cutting_torque(thread, metal.cutting_force).value * metal_cut(percent) * (FORM_TORQUE if formed else 1.0)
    breaking = BREAKING * thread.major_mm**3
    return Figure(
        "tap's margin", breaking / max(cutting, 1e-9), "× cutting torque", "breaking torque ÷ cutting torque", PRACTICE,
        (Given("breaking torque", breaking, "N m"), Given("cutting torque", cutting, "N m")), places=1,
        note="Sharp and oiled; dull or dry halves it. "
        f"Under {LEAST_MARGIN:g} it is likely to break: drill larger, or single-point.",
    )  # fmt: skip
