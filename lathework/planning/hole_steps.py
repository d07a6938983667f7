"""Holes along the axis: spot, pilot, drill, countersink, tap, from the tailstock."""

from __future__ import annotations

import math
from collections.abc import Iterator

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given, counted
from lathework.planning.bores import BORING_TOOL, TAP, BoreWork, bore_work, depth_figure
from lathework.planning.chucking import Chucking
from lathework.planning.operation import Operation
from lathework.planning.positions import along, given_mm
from lathework.planning.work import Work
from lathework.rules import cautions
from lathework.rules.cautions import HAZARD_CAUTIONS
from lathework.rules.holes import countersink, tap_margin, tap_named
from lathework.rules.speeds import spindle_speed
from lathework.rules.torque import cutting_torque, what_holds
from lathework.threads.thread import Thread
from lathework.units import convert

PILOT_FROM_MM = 10.0
"""Drills from this size on want a pilot hole (practice)."""
DRILLING_SHARE = 0.7
"""Drilling speed over turning speed (practice)."""
DEEP_RATIO = 4.0
"""Depth over diameter from which a drill must be drawn back to clear its chips (practice)."""


def _speed(work: Work, across_mm: float) -> Figure:
    return spindle_speed(work.job.material.turning_speed * DRILLING_SHARE, across_mm, name="speed")


def _spot(chucking: Chucking, found: BoreWork) -> Operation:
    return Operation(
        key="spot",
        kind="spot",
        title="Spot the hole",
        sentence="Spot the end with a centre drill, its cone smaller than {hole}.",
        headline="",
        figures={"hole": found.drill},
        tool="centre drill in the tailstock chuck",
        edge="",
        cautions=(cautions.KEY_OUT,),
        chucking=chucking.number,
        figure_words="spotted",
    )


def _pilot(work: Work, chucking: Chucking, found: BoreWork, depth: Figure) -> Operation | None:
    if found.drill_mm < PILOT_FROM_MM:
        return None
    unit = work.job.unit
    pilot = Figure(
        "pilot drill", convert(found.drill_mm / 2, "mm", unit), unit, "half the hole: the web of the larger drill",
        PRACTICE, (given_mm("hole", found.drill_mm, unit),), fine=False,
    )  # fmt: skip
    return Operation(
        key="pilot",
        kind="drill",
        title="Drill the pilot",
        sentence="Drill about {pilot}, {depth} deep to the point.",
        headline="pilot",
        figures={"pilot": pilot, "depth": depth, "speed": _speed(work, found.drill_mm / 2)},
        tool="drill in the tailstock chuck",
        edge="",
        cautions=(cautions.DRILL,),
        chucking=chucking.number,
    )


def _bore(work: Work, chucking: Chucking, found: BoreWork, depth: Figure) -> Operation:
    """Bore a hole that no drill of the racks makes: drilled as large as may be, then opened with a boring tool."""
    return Operation(
        key="bore",
        kind="drill",
        title="Bore for the thread",
        sentence="Drill as large as you can, then bore to {bore}, {depth} deep.",
        headline="bore",
        figures={"bore": found.drill, "depth": depth, "speed": _speed(work, found.drill_mm)},
        tool="boring tool",
        edge="tip",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(
            "No tap of that size? Chase it with a tap of the same pitch held as a boring tool, or single-point it.",
        ),
        chucking=chucking.number,
    )


def _drill(work: Work, chucking: Chucking, found: BoreWork, depth: Figure) -> Operation:
    if found.name == BORING_TOOL:
        return _bore(work, chucking, found, depth)
    deep = convert(depth.value, "in" if depth.unit == "in" else "mm", "mm") / found.drill_mm
    figures = {"drill": found.drill, "depth": depth, "speed": _speed(work, found.drill_mm)}
    if found.percent is not None:
        figures["percent"] = found.percent
    return Operation(
        key="drill",
        kind="drill",
        title="Drill for the tap" if found.bore.thread else "Drill the hole",
        sentence=f"Drill {found.name}, " + "{drill}, {depth} deep to the point.",
        headline="drill",
        figures=figures,
        tool=f"{found.name} drill in the tailstock chuck",
        edge="",
        cautions=(cautions.DRILL,),
        notes=(
            *(("Deeper than four diameters: draw it back at each diameter and clear the chips.",)
              if deep > DEEP_RATIO else ()),
            f"Lubricant: {work.job.material.lubricant}.",
        ),
        chucking=chucking.number,
    )  # fmt: skip


def _countersink(chucking: Chucking, thread: Thread) -> Operation:
    return Operation(
        key="countersink",
        kind="countersink",
        title="Countersink the mouth",
        sentence="Countersink to {across}: the first thread then starts without a burr.",
        headline="across",
        figures={"across": countersink(thread)},
        tool="countersink in the tailstock chuck",
        edge="",
        cautions=(cautions.DRILL,),
        chucking=chucking.number,
    )


def _tap_turns(thread: Thread, deep_mm: float, *, through: bool) -> Figure:
    lead = convert(thread.lead, thread.unit, "mm")
    beyond = tap_named(TAP).lead_turns if through else 0.0
    turns = math.ceil(deep_mm / lead + beyond - 1e-9)
    given = (
        Given("depth of thread", deep_mm, "mm"), Given("lead", lead, "mm"), Given("lead of the tap", beyond, "turns"),
    )  # fmt: skip
    return Figure(
        "turns", turns, counted(turns, "turn"), "depth of thread ÷ lead" + (" + lead of the tap" if through else ""),
        GEOMETRY, given,
    )  # fmt: skip


def _tap(work: Work, chucking: Chucking, found: BoreWork, thread: Thread) -> Operation:
    job, through = work.job, found.bore.depth is None
    deep = work.part.overall_mm if found.bore.depth is None else found.bore.depth.mm
    torque = cutting_torque(thread, job.material.cutting_force)
    figures = {
        "turns": _tap_turns(thread, deep, through=through),
        "deep": along(work, "full thread", deep, "as you entered it" if not through else "overall length"),
        "torque": torque,
    }
    if found.percent is not None:
        figures["margin"] = tap_margin(thread, job.material, found.percent.value)
    order = "second tap alone" if through else "taper, second, then bottoming tap"
    return Operation(
        key="tap",
        kind="tap",
        title="Tap the hole",
        sentence="Start the tap on the tailstock centre and turn the spindle by hand, {turns}; "
        "turn back half a turn after each turn.",
        headline="turns",
        figures=figures,
        tool=f"{thread.designation} tap: {order}",
        edge="",
        cautions=(cautions.TAP, *(HAZARD_CAUTIONS[hazard] for hazard in job.hazards)),
        notes=(
            f"Lubricant: {job.material.lubricant}.",
            "Follow with the centre, lightly: it keeps the tap square, it does not push.",
            what_holds(torque.value),
            "Clear the chips before the next tap, then try the mating screw.",
        ),
        chucking=chucking.number,
    )


def holes(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Every hole of the end that this chucking faces, the smaller first: it guides the larger one."""
    beyond = chucking.spare_mm + (work.job.setup.parting_blade.mm if chucking.parted else 0.0)
    here = sorted((bore_work(b) for b in work.part.bores if b.end == chucking.faces), key=lambda found: found.drill_mm)
    for number, found in enumerate(here):
        depth = depth_figure(found, chucking.overall_mm, beyond, work.job.unit)
        if number == 0:
            yield _spot(chucking, found)
            yield _pilot(work, chucking, found, depth)
        yield _drill(work, chucking, found, depth)
        if found.bore.thread is not None:
            yield _countersink(chucking, found.bore.thread)
            yield _tap(work, chucking, found, found.bore.thread)
