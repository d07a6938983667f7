"""Holes along the axis: spot, pilot, drill or bore, ream, countersink, from the tailstock."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from lathework import cautions
from lathework.cautions import Caution
from lathework.cutting.speeds import spindle_speed
from lathework.figures import PRACTICE, Figure, Given
from lathework.holes.depth import PILOT_FROM_MM, countersink
from lathework.methods.tap import TAP_HOLDINGS
from lathework.part.bore_sizes import depth_figure, wall_figure
from lathework.part.bores import HOME_RACKS, BoreWork, spoken
from lathework.planning.chucking import Chucking
from lathework.planning.operation import Cut, Operation, keyed, makes
from lathework.planning.positions import given_mm
from lathework.planning.steps.reaming import ream
from lathework.planning.work import Work, in_mm
from lathework.shop.racks import owned
from lathework.tables.drills import Drill
from lathework.threads.thread import Thread
from lathework.units import convert

DRILLING_SHARE = 0.7
"""Drilling speed over turning speed (practice)."""
FAST = 2000.0
"""Speed in rev/min that many small lathes do not reach (practice)."""
LARGE_THROUGH_MM = 20.0
"""Thread diameter from which a hole through a piece on its bar is tapped after parting off (practice)."""
DEEP_RATIO = 4.0
"""Depth over diameter from which a drill must be drawn back to clear its chips (practice)."""
BEGUN = "From the second piece on this hole is begun: no spot, no pilot; drill and tap follow it."
PECK = "Deeper than four diameters: draw it back at each diameter and clear the chips."


def drilling_speed(work: Work, across_mm: float) -> Figure:
    """Speed for a drill of `across_mm` millimetres. Source: practice."""
    found = spindle_speed(work.job.material.turning_speed * DRILLING_SHARE, across_mm, name="speed")
    return found if found.value < FAST else replace(found, note="Faster than many a lathe goes: take its fastest.")


def _taken(chucking: Chucking, across_mm: float, depth: Figure) -> Cut:
    """The metal a drill takes away, as far as it lies in the part."""
    return Cut(min(in_mm(depth), chucking.overall_mm), 0.0, across_mm, 0.0)


def _spot(chucking: Chucking, found: BoreWork) -> Operation:
    return Operation(
        key=keyed("spot", found.bore.id),
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


def pilot_drill(work: Work, found: BoreWork) -> Drill | None:
    """The pilot of a hole: the drill nearest to half of it; None for a hole that wants none. Source: practice."""
    if found.drill_mm < PILOT_FROM_MM:
        return None
    rack = owned(work.job.setup.drills or HOME_RACKS[work.job.unit], work.job.unit)
    smaller = [drill for drill in rack if drill.diameter_mm < found.drill_mm]
    return min(smaller, key=lambda one: abs(one.diameter_mm - found.drill_mm / 2), default=None)


def pilot_figure(work: Work, found: BoreWork, drill: Drill) -> Figure:
    """The size of the pilot `drill` of a hole."""
    unit = work.job.unit
    return Figure(
        "pilot drill",
        convert(drill.diameter, drill.unit, unit),
        unit,
        "the drill nearest to half the hole, the web of the larger one",
        PRACTICE,
        (given_mm("hole", found.drill_mm, unit),),
        kind="table",
        note=f"Drill {drill.name}.",
    )


def _care(chucking: Chucking, found: BoreWork) -> Caution:
    """What to mind while drilling: a hole through a piece that is still on its bar ends in metal."""
    through = found.bore.depth is None and not chucking.on_bar
    return cautions.DRILL_THROUGH if through else cautions.DRILL


def _pilot(work: Work, chucking: Chucking, found: BoreWork, depth: Figure) -> Operation | None:
    drill = pilot_drill(work, found)
    if drill is None:
        return None
    pilot = pilot_figure(work, found, drill)
    return Operation(
        key=keyed("pilot", found.bore.id),
        kind="drill",
        title="Drill the pilot",
        sentence=f"Drill {spoken(drill, work.job.unit)}{{pilot}}, {{depth}} deep to the point.",
        headline="pilot",
        figures={"pilot": pilot, "depth": depth, "speed": drilling_speed(work, in_mm(pilot))},
        tool="drill in the tailstock chuck",
        edge="",
        cautions=(_care(chucking, found),),
        cut=_taken(chucking, in_mm(pilot), depth),
        chucking=chucking.number,
    )


def _bore(work: Work, chucking: Chucking, found: BoreWork, depth: Figure) -> Operation:
    """Bore a hole that no drill owned makes: drilled as large as may be, then opened with a boring tool."""
    figures = {"bore": found.drill, "depth": depth, "speed": drilling_speed(work, found.drill_mm)}
    first = "Drill as large as you can"
    if found.rough is not None:
        unit = found.rough.unit
        figures["rough"] = Figure(
            "drill first",
            found.rough.diameter,
            unit,
            "largest you own that leaves a cut for the boring tool",
            PRACTICE,
            (Given("bore", in_mm(found.drill), "mm"),),
            kind="table",
            note=f"Drill {found.rough.name}.",
        )
        first = f"Drill {found.rough.name}"
    if found.percent is not None:
        figures["percent"] = found.percent
    return Operation(
        key=keyed("bore", found.bore.id),
        kind="drill",
        title="Bore for the thread",
        sentence=f"{first}, then bore to " + "{bore}, {depth} deep.",
        headline="bore",
        figures=figures,
        tool="boring tool",
        edge="tip",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=("Light cuts, and the same dial twice at the end: a boring bar springs.",),
        makes=makes(diameter=found.drill_mm, depth=in_mm(depth)),
        cut=_taken(chucking, found.drill_mm, depth),
        chucking=chucking.number,
    )


def _drill(work: Work, chucking: Chucking, found: BoreWork, depth: Figure) -> Operation:
    if found.bored:
        return _bore(work, chucking, found, depth)
    figures = {"drill": found.drill, "depth": depth, "speed": drilling_speed(work, found.drill_mm)}
    if found.percent is not None:
        figures["percent"] = found.percent
    if found.hole is not None:
        figures["hole"] = found.hole
    figures["wall"] = wall_figure(work.part, found, in_mm(depth), work.job.unit)
    deep = in_mm(depth) / found.drill_mm > DEEP_RATIO
    name = found.spoken(work.job.unit)
    return Operation(
        key=keyed("drill", found.bore.id),
        kind="drill",
        title="Drill for the tap" if found.bore.thread else "Drill the hole",
        sentence=f"Drill {name}" + "{drill}, {depth} deep to the point.",
        headline="drill",
        figures=figures,
        tool=f"{name.replace(', ', ' ')}drill in the tailstock chuck",
        edge="",
        cautions=(_care(chucking, found),),
        notes=(*((PECK,) if deep else ()), f"Lubricant: {work.job.material.lubricant}."),
        figure_words=found.called,
        makes=makes(diameter=found.drill_mm, depth=in_mm(depth)),
        cut=_taken(chucking, found.drill_mm, depth),
        chucking=chucking.number,
    )


def _mouth(chucking: Chucking, found: BoreWork, thread: Thread) -> Operation:
    """Countersink the mouth of a threaded hole."""
    return Operation(
        key=keyed("countersink", found.bore.id),
        kind="countersink",
        title="Countersink the mouth",
        sentence="Countersink to {across}: the first thread then starts without a burr.",
        headline="across",
        figures={"across": countersink(thread)},
        tool="countersink in the tailstock chuck",
        edge="",
        cautions=(cautions.DRILL,),
        chucking=chucking.number,
        makes=makes(across=in_mm(countersink(thread))),
    )


def bores_here(work: Work, chucking: Chucking) -> list[BoreWork]:
    """The holes of the end that a chucking faces, the smaller first: it guides the larger one."""
    return sorted((found for found in work.bores if found.bore.end == chucking.faces), key=lambda found: found.drill_mm)


def tapped_in_vise(work: Work, chucking: Chucking, found: BoreWork) -> bool:
    """Whether a hole is tapped when the lathe is done: as chosen, or a large one through a piece that is on its bar,
    which would be drilled past it by more than the bar is worth. Source: practice."""
    thread = found.bore.thread
    if thread is None or found.chased or found.taper is not None:
        return False
    large = chucking.on_bar and found.bore.depth is None and thread.major_mm >= LARGE_THROUGH_MM
    return large or TAP_HOLDINGS[work.job.method.tapping].off_lathe


def ends_in_bar(work: Work, chucking: Chucking, found: BoreWork) -> bool:
    """Whether a hole through the part is threaded while it still ends in the metal of the bar."""
    on_lathe = not tapped_in_vise(work, chucking, found)
    return on_lathe and chucking.on_bar and found.bore.depth is None and found.bore.thread is not None


def holes(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Every hole of the end that this chucking faces, up to the countersink of those that take a thread."""
    beyond = chucking.spare_mm + (work.job.setup.parting_blade.mm if chucking.on_bar else 0.0)
    # A hole that came through from the other end guides every drill.
    opened = chucking.second and any(
        found.bore.depth is None and found.bore.end not in ("across", chucking.faces) for found in work.bores
    )
    for number, found in enumerate(bores_here(work, chucking)):
        dead_end = ends_in_bar(work, chucking, found)
        depth = depth_figure(found, chucking.overall_mm, beyond, work.job.unit, dead_end=dead_end)
        if number == 0 and not opened:
            yield _spot(chucking, found)
            yield _pilot(work, chucking, found, depth)
        drilled = _drill(work, chucking, found, depth)
        begun = dead_end and work.job.quantity > 1
        yield replace(drilled, notes=(*drilled.notes, BEGUN)) if begun else drilled
        if found.taper is not None:
            yield ream(work, chucking, found, found.taper)
        elif found.bore.thread is not None:
            yield _mouth(chucking, found, found.bore.thread)
