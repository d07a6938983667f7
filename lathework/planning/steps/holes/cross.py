"""Holes across the part: set up in a block, spot, drill, countersink and tap, when the lathe has done its work."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from lathework import cautions
from lathework.figures import AS_TYPED, GEOMETRY, Figure, Given
from lathework.holes.depth import countersink
from lathework.lathe.acts import Mill
from lathework.methods.tap import TAP_HOLDINGS
from lathework.part.across import thickness_mm
from lathework.part.bores import BoreWork, spoken
from lathework.part.end_words import end_words
from lathework.part.ends import near_end
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, keyed, makes, quoted
from lathework.planning.positions import typed
from lathework.planning.steps import measures
from lathework.planning.steps.holes.boring import drilling_speed
from lathework.planning.steps.holes.chasing import try_screw
from lathework.planning.steps.holes.cross_depth import drilled_deep, raised, wall_there_mm
from lathework.planning.steps.holes.hole import DEEP_RATIO, PECK
from lathework.planning.steps.holes.pilot import pilot_drill, pilot_figure
from lathework.planning.steps.holes.reaming import ream
from lathework.planning.steps.holes.tap_words import (
    as_set,
    driven,
    ending,
    hole_made,
    manner,
    oil_first,
    risks,
    tap_order,
    torques,
    turned_in,
    turns_of,
)
from lathework.planning.steps.holes.tapping import tap_taper
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work
from lathework.threads.thread import Thread
from lathework.units import convert

GUIDED = "turned by hand in the drill press"
BY_HAND = TAP_HOLDINGS["in-vise"]
"""A wrench in both hands, the piece clamped."""
LEFT_TAP_ACROSS = "Left-hand tap: turn it anticlockwise to cut, clockwise to back off."
INDEXED = (
    "{count} holes, {apart} apart. Do each step at every hole before you change the tool. A collet block "
    "indexes 4 and 6; otherwise wrap a strip of paper round the part and divide it with a rule."
)
IN_ALL = (
    "Leave the piece clamped and unplug the drill press. Start the tap in the drill chuck and turn it "
    "by hand, {turns} in all"
)
EACH_WALL = (
    "Tap each wall from its own side, and turn the piece over in its block. Start the tap in the drill chuck "
    "and turn it by hand, {turns} in each"
)


def _indexed(bore_work: BoreWork) -> dict[str, Figure]:
    """How many holes there are round the part, and how far it is turned between them; nothing for one."""
    count = bore_work.bore.count
    if count == 1:
        return {}
    holes = Figure("holes", count, "hole", "as you entered it", AS_TYPED, kind="typed")
    apart = Figure("turn by", 360 / count, "°", "360 ÷ holes", GEOMETRY, (Given("holes", count),), places=1)
    return {"count": holes, "apart": apart}


def _set_up(work: Work, chucking: Chucking, bore_work: BoreWork) -> Operation:
    at = bore_work.bore.at
    assert at is not None
    end = end_words(work.part, "right", near_end(work.ends))
    around = {"around": bore_work.bore.around} if bore_work.bore.around else {}
    return Operation(
        key=keyed("cross-mark", bore_work.bore.id),
        kind="spot",
        title="Mark and spot the cross hole",
        sentence=f"Put the piece in a V-block, mark {{at}} from {end}, bring the mark to the top and spot it.",
        headline="at",
        figures={"at": typed(f"from {end}", at, fine=False), **_indexed(bore_work)},
        tool="V-block, centre drill in the drill press",
        edge="",
        cautions=(cautions.CROSS_DRILL,),
        notes=(
            *(f"Where: {quoted(told)}." for told in around.values()),
            *((INDEXED,) if bore_work.bore.count > 1 else ()),
            "Find the top with a rule laid across under the drill's point: the rule is level when the drill "
            "is over the axis.",
        ),
        acts=(Mill(bore_work.bore.id),),
        chucking=chucking.number,
        figure_words="at",
        makes=makes(place=at.mm, **around),
    )


def _drill(work: Work, chucking: Chucking, bore_work: BoreWork) -> Operation:
    depth = drilled_deep(work, bore_work)
    figures = {"drill": bore_work.drill, "depth": depth, "speed": drilling_speed(work, bore_work.drill_mm)}
    pilot, first = pilot_drill(work, bore_work), "Drill "
    if pilot is not None:
        figures["pilot"] = pilot_figure(work, bore_work, pilot)
        first = f"Drill a pilot of {spoken(pilot, work.job.unit)}{{pilot}}, then "
    if bore_work.percent is not None:
        figures["percent"] = bore_work.percent
    wanders = "It wanders off a curved surface: use a centre drill first"
    size = "bore or ream to {drill}" if bore_work.bored else bore_work.spoken(work.job.unit) + "{drill}"
    return Operation(
        key=keyed("cross-drill", bore_work.bore.id),
        kind="drill",
        title="Drill the cross hole",
        sentence=first + size + ", {depth} deep, measured to the point.",
        headline="drill",
        figures=figures,
        tool="drill in the drill press",
        edge="",
        cautions=(cautions.CROSS_DRILL,),
        notes=(
            *((PECK,) if in_mm(depth) / bore_work.drill_mm > DEEP_RATIO else ()),
            f"{wanders}." if bore_work.bore.depth else f"{wanders}. Feed lightly as it breaks through.",
            f"Lubricant: {work.lubricant}.",
        ),
        dimensions=(measures.drilled(bore_work),),
        acts=(Mill(bore_work.bore.id),),
        chucking=chucking.number,
        makes=makes(diameter=bore_work.drill_mm, depth=in_mm(depth)),
    )


def _mouths(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread | None) -> Operation:
    figures = {"across": countersink(thread)} if thread is not None else {}
    both = " both sides" if bore_work.bore.depth is None else ""
    return Operation(
        key=keyed("cross-countersink", bore_work.bore.id),
        kind="countersink",
        title="Countersink the cross hole",
        sentence=f"Countersink{both} to " + "{across}." if thread is not None else f"Break the edge{both}.",
        headline="across" if thread is not None else "",
        figures=figures,
        tool="countersink in the drill press",
        edge="",
        cautions=(cautions.CROSS_DRILL,),
        acts=(Mill(bore_work.bore.id, raised=raised(work, bore_work)),),
        chucking=chucking.number,
        figure_words="" if thread is not None else "burr off",
        makes=makes(across=in_mm(figures["across"])) if figures else "",
    )


def _tap(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread) -> Operation:
    bore = bore_work.bore
    wall = wall_there_mm(work, bore_work)
    deep = wall or (thickness_mm(work.part, bore) if bore.depth is None else bore.depth.mm)
    turns = turns_of(thread, deep, through=wall is not None or bore.depth is None)
    figures = {"turns": turns, **driven(work, bore_work), **torques(work, bore_work, thread, BY_HAND)}
    if bore.depth is not None:
        figures["deep"] = typed("full thread", bore.depth, fine=False)
    tapped = Operation(
        key=keyed("cross-tap", bore_work.bore.id),
        kind="tap",
        title="Tap the cross hole",
        sentence=(EACH_WALL if wall and bore.depth is None else IN_ALL) + ending(work, figures),
        headline="turns",
        figures=figures,
        tool=f"{thread.designation} tap: {tap_order(bore_work)}",
        edge="",
        cautions=(*BY_HAND.cautions, *work.hazards),
        notes=(
            *risks(figures),
            *((LEFT_TAP_ACROSS,) if thread.hand == "left" else ()),
            *manner(work, bore_work, figures),
            "Unplug the drill press and turn the tap by hand: the chuck only keeps it square.",
        ),
        acts=(turned_in(work, bore_work, thread, BY_HAND, deep),),
        chucking=chucking.number,
        makes=hole_made(bore_work, thread),
        oil=oil_first(work, bore_work, figures),
    )
    return as_set(tapped, bore_work, thread)


def _try(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread) -> Operation:
    """Try what goes in a hole across, as in one along the axis."""
    bore, unit = bore_work.bore, work.job.unit
    wall = wall_there_mm(work, bore_work)
    through = convert(wall or thickness_mm(work.part, bore), "mm", unit)
    there = "wall there" if wall else "thickness there"
    deep = (
        typed("full thread", bore.depth, fine=False)
        if bore.depth is not None
        else Figure(
            "full thread",
            through,
            unit,
            f"{there}: a through hole",
            GEOMETRY,
            (Given(there, through, unit),),
            fine=False,
        )
    )
    along = try_screw(work, chucking, bore_work, thread, deep)
    return replace(along, key=keyed("cross-try", bore.id), title="Try the cross hole")


def cross_holes(work: Work, chucking: Chucking) -> Iterator[Operation]:
    """Every hole across the part, off the lathe; told with the last `chucking`. Where there are several, each step says
    which it is of, as they are listed."""
    several = sum(found.bore.end == "across" for found in work.bores) > 1
    for number, found in enumerate(work.bores, 1):
        if found.bore.end == "across":
            for operation in _cross_hole(work, chucking, found):
                title = f"{operation.title}, hole {number}" if several else operation.title
                yield replace(operation, title=title)


def _cross_hole(work: Work, chucking: Chucking, found: BoreWork) -> Iterator[Operation]:
    bore = found.bore
    yield _set_up(work, chucking, found)
    yield _drill(work, chucking, found)
    if found.taper is not None and bore.thread is not None:
        yield ream(work, chucking, found, found.taper, kind="cross-ream", guided=GUIDED, care=cautions.CROSS_DRILL)
        yield tap_taper(
            work,
            chucking,
            found,
            bore.thread,
            found.taper,
            kind="cross-tap",
            guided=GUIDED,
            way=BY_HAND,
        )
        return
    yield _mouths(work, chucking, found, bore.thread)
    if bore.thread is not None:
        yield _tap(work, chucking, found, bore.thread)
        yield _try(work, chucking, found, bore.thread)
