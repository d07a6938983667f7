"""Holes along the axis: spot, pilot, drill or bore, ream, countersink, from the tailstock."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from lathework import cautions
from lathework.cautions import Caution
from lathework.figures import Figure
from lathework.fits.fit import FIT
from lathework.holes.depth import POINT_SHARE, countersink
from lathework.lathe.acts import Sink
from lathework.methods.tap import TAP_HOLDINGS
from lathework.part.bore_sizes import depth_figure, wall_figure
from lathework.part.bores import BoreWork, spoken
from lathework.part.stock import FACING_MM
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.steps import measures
from lathework.planning.steps.holes.boring import bore, depths, drilling_speed, opened, rough_figure
from lathework.planning.steps.holes.pilot import pilot_drill, pilot_figure
from lathework.planning.steps.holes.reaming import ream, ream_to_fit
from lathework.planning.steps.holes.socket import bore_socket
from lathework.planning.steps.holes.undercut import cut_under, recess
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work
from lathework.threads.thread import Thread

LARGE_THROUGH_MM = 20.0
"""Thread diameter from which a hole through a piece on its bar is tapped after parting off (practice)."""
DEEP_RATIO = 4.0
"""Depth over diameter from which a drill must be drawn back to clear its chips (practice)."""
LEAST_BEGUN_MM = 1.0
"""Depth of a hole from which it guides a drill (practice)."""
BEGUN = "On every later piece this hole is already started: no spot and no pilot. Drill and tap follow it."
FINISHED_LATER = "Go no further now: the press closes the bore, so it is finished after the part is pressed in."
PECK = "Deeper than four diameters: withdraw the drill at every diameter and clear the chips."


def _spot(chucking: Chucking, bore_work: BoreWork) -> Operation:
    return Operation(
        key=keyed("spot", bore_work.bore.id),
        kind="spot",
        title="Spot the hole",
        sentence="Spot the end with a centre drill; keep the cone smaller than {hole}.",
        headline="",
        figures={"hole": bore_work.drill},
        tool="centre drill in the tailstock chuck",
        edge="",
        cautions=(cautions.KEY_OUT,),
        acts=(Sink(bore_work.bore.id),),
        chucking=chucking.number,
        figure_words="spotted",
    )


def _care(chucking: Chucking, bore_work: BoreWork) -> Caution:
    """What to mind while drilling: a hole through a piece that is still on its bar ends in metal."""
    through = bore_work.bore.depth is None and not chucking.on_bar
    return cautions.DRILL_THROUGH if through else cautions.DRILL


def _pilot(work: Work, chucking: Chucking, bore_work: BoreWork, depth: Figure) -> Operation | None:
    drill = pilot_drill(work, bore_work)
    if drill is None:
        return None
    pilot = pilot_figure(work, bore_work, drill)
    return Operation(
        key=keyed("pilot", bore_work.bore.id),
        kind="drill",
        title="Drill the pilot",
        sentence=f"Drill {spoken(drill, work.job.unit)}{{pilot}}, {{depth}} deep, measured to the point.",
        headline="pilot",
        figures={"pilot": pilot, "depth": depth, "speed": drilling_speed(work, in_mm(pilot))},
        tool="drill in the tailstock chuck",
        edge="",
        cautions=(_care(chucking, bore_work),),
        acts=(opened(chucking, bore_work, in_mm(pilot), depth),),
        chucking=chucking.number,
    )


def _drill(work: Work, chucking: Chucking, bore_work: BoreWork, depth: Figure) -> Operation:
    if bore_work.bored:
        return bore(work, chucking, bore_work, depth)
    figures = {"drill": bore_work.drill, "depth": depth, "speed": drilling_speed(work, bore_work.drill_mm)}
    if bore_work.percent is not None:
        figures["percent"] = bore_work.percent
    if bore_work.hole is not None:
        figures["hole"] = bore_work.hole
    figures["wall"] = wall_figure(work.part, bore_work, in_mm(depth), work.job.unit)
    deep = in_mm(depth) / bore_work.drill_mm > DEEP_RATIO
    name = bore_work.spoken(work.job.unit)
    return Operation(
        key=keyed("drill", bore_work.bore.id),
        kind="drill",
        title="Drill for the tap" if bore_work.bore.thread else "Drill the hole",
        sentence=f"Drill {name}" + "{drill}, {depth} deep, measured to the point.",
        headline="drill",
        figures=figures,
        tool=f"{name.replace(', ', ' ')}drill in the tailstock chuck",
        edge="",
        cautions=(_care(chucking, bore_work),),
        notes=(*((PECK,) if deep else ()), f"Lubricant: {work.lubricant}."),
        dimensions=(measures.drilled(bore_work), *depths(chucking, bore_work, depth)),
        figure_words=bore_work.called,
        makes=makes(diameter=bore_work.drill_mm, depth=in_mm(depth)),
        acts=(opened(chucking, bore_work, bore_work.drill_mm, depth),),
        chucking=chucking.number,
    )


def _mouth(chucking: Chucking, bore_work: BoreWork, thread: Thread) -> Operation:
    """Countersink the mouth of a threaded hole."""
    return Operation(
        key=keyed("countersink", bore_work.bore.id),
        kind="countersink",
        title="Countersink the mouth",
        sentence="Countersink to {across}, so that the first thread starts without a burr.",
        headline="across",
        figures={"across": countersink(thread)},
        tool="countersink in the tailstock chuck",
        edge="",
        cautions=(cautions.DRILL,),
        dimensions=(measures.mouth(in_mm(countersink(thread)), thread),),
        acts=(Sink(bore_work.bore.id),),
        chucking=chucking.number,
        makes=makes(across=in_mm(countersink(thread))),
    )


def _mouth_taken(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread) -> bool:
    """Whether a wider hole of the same end takes the mouth of a threaded one: nothing is countersunk there."""
    sunk = in_mm(countersink(thread))
    return any(one is not bore_work and one.drill_mm >= sunk for one in bores_here(work, chucking))


def bores_here(work: Work, chucking: Chucking) -> list[BoreWork]:
    """The holes of the end that a chucking faces, the smaller first: it guides the larger one."""
    return sorted((found for found in work.bores if found.bore.end == chucking.faces), key=lambda found: found.drill_mm)


def tapped_in_vise(work: Work, chucking: Chucking, bore_work: BoreWork) -> bool:
    """Whether a hole is tapped when the lathe is done: as chosen, or a large one through a piece that is on its bar,
    which would be drilled past it by more than the bar is worth. Source: practice."""
    thread = bore_work.bore.thread
    if thread is None or bore_work.chased or bore_work.taper is not None:
        return False
    large = chucking.on_bar and bore_work.bore.depth is None and thread.major_mm >= LARGE_THROUGH_MM
    return large or TAP_HOLDINGS[work.job.method.tapping].off_lathe


def ends_in_bar(work: Work, chucking: Chucking, bore_work: BoreWork) -> bool:
    """Whether a hole through the part is threaded while it still ends in the metal of the bar."""
    on_lathe = not tapped_in_vise(work, chucking, bore_work)
    return on_lathe and chucking.on_bar and bore_work.bore.depth is None and bore_work.bore.thread is not None


def finished_pressed(work: Work, bore_work: BoreWork) -> bool:
    """Whether a hole is brought to its fit when the part is pressed in: that closes it."""
    pressed = any(FIT[section.fit].pressed for section in work.part.sections)
    return pressed and bore_work.limits is not None and bore_work.bore.socket is None


def drilled_first(work: Work, chucking: Chucking, bore_work: BoreWork, depth: Figure) -> Operation | None:
    """A hole drilled under the size that it gets when the part is pressed in; None where no drill goes before that."""
    drill = bore_work.rough
    if bore_work.bore.reamed:
        drilled = _drill(work, chucking, bore_work, depth)
        return replace(drilled, notes=(*drilled.notes, FINISHED_LATER))
    if drill is None:
        return None
    figures = {
        "drill": rough_figure(bore_work, drill),
        "depth": depth,
        "speed": drilling_speed(work, drill.diameter_mm),
    }
    return Operation(
        key=keyed("drill", bore_work.bore.id),
        kind="drill",
        title="Drill under the fit",
        sentence=f"Drill {spoken(drill, work.job.unit)}{{drill}}, {{depth}} deep, measured to the point.",
        headline="drill",
        figures=figures,
        tool="drill in the tailstock chuck",
        edge="",
        cautions=(_care(chucking, bore_work),),
        notes=(FINISHED_LATER, f"Lubricant: {work.lubricant}."),
        acts=(opened(chucking, bore_work, drill.diameter_mm, depth),),
        chucking=chucking.number,
        makes=makes(diameter=drill.diameter_mm, depth=in_mm(depth)),
    )


def _begun(work: Work, chucking: Chucking, bore_work: BoreWork, depth: Figure) -> bool:
    """Whether a hole goes so far into the bar that the next piece finds it begun, when that is faced."""
    kerf = work.job.setup.parting_blade.mm
    point = 0.0 if bore_work.bored else POINT_SHARE * bore_work.drill_mm
    left = in_mm(depth) - point - chucking.overall_mm - chucking.spare_mm - kerf - FACING_MM
    return work.job.quantity > 1 and chucking.on_bar and not chucking.stub and left > LEAST_BEGUN_MM


def holes(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Every hole of the end that this chucking faces, up to the countersink of those that take a thread."""
    beyond = chucking.spare_mm + (work.job.setup.parting_blade.mm if chucking.on_bar else 0.0)
    # A hole that came through from the other end guides every drill.
    begun_there = chucking.second and any(
        found.bore.depth is None and found.bore.end not in ("across", chucking.faces) for found in work.bores
    )
    for number, found in enumerate(bores_here(work, chucking)):
        dead_end = ends_in_bar(work, chucking, found)
        depth = depth_figure(found, chucking.overall_mm, beyond, work.job.unit, dead_end=dead_end)
        if number == 0 and not begun_there:
            yield _spot(chucking, found)
            yield _pilot(work, chucking, found, depth)
        if finished_pressed(work, found):
            yield drilled_first(work, chucking, found, depth)
            continue
        drilled = _drill(work, chucking, found, depth)
        yield replace(drilled, notes=(*drilled.notes, BEGUN)) if _begun(work, chucking, found, depth) else drilled
        if found.chased and found.bore.thread is not None and found.bore.depth is not None:
            yield recess(work, chucking, found, found.bore.thread, found.bore.depth)
        if found.bore.socket is not None:
            yield bore_socket(work, chucking, found, found.bore.socket)
        if found.limits is not None and found.bore.reamed:
            yield ream_to_fit(work, chucking, found, found.limits)
        if found.bore.undercut is not None:
            yield cut_under(work, chucking, found, found.bore.undercut)
        if found.taper is not None:
            yield ream(work, chucking, found, found.taper)
        elif found.bore.thread is not None and not _mouth_taken(work, chucking, found, found.bore.thread):
            yield _mouth(chucking, found, found.bore.thread)
