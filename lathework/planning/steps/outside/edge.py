"""Chamfers, the die's lead, and knurls."""

from __future__ import annotations

from lathework import cautions
from lathework.figures import PRACTICE, Figure, Given
from lathework.lathe.acts import Knurl
from lathework.lathe.cut import Cut
from lathework.lathe.outside_cuts import Slope
from lathework.part.ends import far_end
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import along, given_mm, place_words, tip_stop, typed
from lathework.planning.steps import measures
from lathework.planning.threads.thread_work import ThreadWork, in_mm
from lathework.planning.work import Work
from lathework.units import convert

BROKEN_SHARE, LEAST_BROKEN_MM, MOST_BROKEN_MM = 0.03, 0.2, 1.0
"""An edge broken where nobody asked for a chamfer: its share of the diameter, and within what (practice)."""
STEP_MM = 0.1
"""Step in which such a chamfer is told, in millimetres."""
BEVELLED, ROUNDED = "Chamfer the edge at 45°, {size} each way, ", "Round the edge to a radius of {size}, "
NARROW_SLOT = (
    "Is the slot too narrow for the tool? Step the blade over once into the bar, or use a fine file with a handle."
)
TRACKS = (
    "Start with half the width of the wheels on the work and press hard at once. If lines fall between the "
    "first ones, press harder."
)
FLOOD = "Use plenty of oil and a brush: rolled-in chips spoil the pattern."
KNURLING_SHARE = 1 / 3
"""Knurling speed over turning speed (practice)."""


def _broken(work: Work, placed: Placed) -> Figure:
    """The chamfer of a plain edge: as typed, or as an edge is broken where nobody said. Source: practice."""
    typed_size = placed.section.chamfer
    if typed_size is not None:
        return typed("chamfer", typed_size, fine=False)
    mm = round(min(MOST_BROKEN_MM, max(LEAST_BROKEN_MM, BROKEN_SHARE * placed.turned_mm)) / STEP_MM) * STEP_MM
    unit = work.job.unit
    return Figure(
        "chamfer",
        convert(mm, "mm", unit),
        unit,
        "nearest whole of (smallest of (largest of (0.03 × diameter, smallest edge), largest edge) ÷ step) × step",
        PRACTICE,
        (
            given_mm("diameter", placed.turned_mm, unit),
            given_mm("smallest edge", LEAST_BROKEN_MM, unit),
            given_mm("largest edge", MOST_BROKEN_MM, unit),
            given_mm("step", STEP_MM, unit),
        ),
        fine=False,
    )


def break_edge(work: Work, chucking: Chucking, placed: Placed) -> Operation | None:
    """Chamfer the edge that faces the end: as typed, or a little where a sawn end was faced; a thread for its nut."""
    faced = chucking.second and not chucking.own
    if placed.thread is not None:
        size = _lead_length(work, placed.thread) if faced else None
    else:
        size = _broken(work, placed) if faced or placed.section.chamfer is not None else None
    if size is None:
        return None
    outer, rounded = placed.end_mm if placed in chucking.made else placed.turned_mm, placed.section.edge == "round"
    small = outer - 2 * in_mm(size)
    return Operation(
        key=keyed("edge", f"{placed.section.id}.{chucking.faces}"),
        kind="edge",
        title=f"{'Round' if rounded else 'Chamfer'} the {placed.name}",
        sentence=(ROUNDED if rounded else BEVELLED) + place_words(work, "position") + ".",
        headline="size",
        figures={"size": size, "position": tip_stop(work, placed.near_mm)},
        tool="radius tool, or a file" if rounded else "chamfering tool",
        edge="" if rounded else "45° edge",
        cautions=(cautions.FILE,),
        dimensions=(measures.broken(in_mm(size)),),
        acts=(Slope(placed.section.id, Cut(placed.near_mm + in_mm(size), placed.near_mm, outer, small, slope=True)),),
        chucking=chucking.number,
        makes=makes(chamfer=in_mm(size)),
    )


def chamfer_behind(work: Work, chucking: Chucking) -> Operation | None:
    """Chamfer the far edge through the parting slot, where the piece is not turned round to be faced there."""
    if not chucking.parted or chucking.spare_mm:
        return None
    last = chucking.placed[-1]
    size = _broken(work, last) if last.thread is None else _lead_length(work, last.thread)
    far, outer = chucking.overall_mm, last.turned_mm
    return Operation(
        key=keyed("edge", f"{last.section.id}.{far_end(work.ends)}"),
        kind="edge",
        title=f"Chamfer the back edge of the {last.name}",
        sentence="Chamfer the far edge at 45° through the slot, {size} each way.",
        headline="size",
        figures={"size": size},
        tool="chamfering tool",
        edge="45° edge",
        cautions=(cautions.FILE,),
        notes=(NARROW_SLOT,),
        dimensions=(measures.broken(in_mm(size)),),
        acts=(
            Slope(
                last.section.id,
                Cut(far, far - in_mm(size), outer, outer - 2 * in_mm(size), slope=True, behind=True),
            ),
        ),
        chucking=chucking.number,
        makes=makes(chamfer=in_mm(size)),
    )


def _lead_length(work: Work, thread_work: ThreadWork) -> Figure:
    """How long the lead chamfer of a thread is."""
    return along(
        work,
        "chamfer length",
        (in_mm(thread_work.at_end) - in_mm(thread_work.chamfer)) / 2,
        "(blank − chamfer) ÷ 2; at 45°",
        Given("blank", thread_work.at_end.value, thread_work.at_end.unit),
        Given("chamfer", thread_work.chamfer.value, thread_work.chamfer.unit),
    )


def lead_chamfer(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> Operation:
    """The 45 degree lead that lets the die start square."""
    small = in_mm(thread_work.chamfer)
    length = _lead_length(work, thread_work)
    inside = placed.near_mm > 0
    figures = {"diameter": thread_work.chamfer, "length": length}
    if inside:
        figures["position"] = tip_stop(work, placed.near_mm)
    where = f"the thread's edge {place_words(work, 'position')}" if inside else "the end"
    return Operation(
        key=keyed("chamfer", placed.section.id),
        kind="chamfer",
        title="Lead chamfer",
        sentence=f"Chamfer {where} at 45° down to {{diameter}}, {{length}} long.",
        headline="diameter",
        figures=figures,
        tool="chamfering tool",
        edge="45° edge",
        cautions=(cautions.FILE,),
        dimensions=(measures.lead(thread_work, small),),
        acts=(
            Slope(
                placed.section.id,
                Cut(placed.near_mm + in_mm(length), placed.near_mm, in_mm(thread_work.at_end), small, slope=True),
            ),
        ),
        chucking=chucking.number,
        cutter=thread_work.cut,
        makes=makes(diameter=small),
    )


def knurl(work: Work, chucking: Chucking, placed: Placed) -> Operation:
    """Knurl a turned section."""
    section, known = placed.section, placed.section.knurl
    figures = {
        "length": typed("length", section.length, fine=False),
        "position": tip_stop(work, placed.near_mm),
        "speed": work.speed(work.job.material.turning_speed * KNURLING_SHARE, placed.turned_mm),
    }
    if known is not None and section.across is not None:
        figures["across"] = typed("over the knurl", section.across, fine=True)
    pattern = f" {known.pattern}, {known.pitch.typed}" if known is not None else ""
    return Operation(
        key=keyed("knurl", section.id),
        kind="knurl",
        title="Knurl",
        sentence=f"Knurl{pattern} over {{length}}, from "
        + place_words(work, "position").removeprefix("at ")
        + (" on, until it measures {across}." if known is not None else " on."),
        headline="length",
        figures=figures,
        tool=f"knurling tool{f', {known.pattern}' if known is not None else ''}",
        edge="",
        cautions=(cautions.KNURL,),
        notes=(TRACKS, FLOOD) if known is not None else ("The knurl raises the diameter by about half its pitch.",),
        acts=(Knurl(section.id),),
        chucking=chucking.number,
        makes=makes(length=section.length.mm),
    )
