"""Chamfers, the die's lead, and knurls."""

from __future__ import annotations

from lathework.figures import Given
from lathework.planning.chucking import Chucking, Placed
from lathework.planning.operation import Cut, Operation, keyed, makes
from lathework.planning.positions import along, place_words, tip_stop, typed
from lathework.planning.work import ThreadWork, Work, in_mm
from lathework.rules import cautions
from lathework.rules.speeds import spindle_speed

KNURLING_SHARE = 1 / 3
"""Knurling speed over turning speed (practice)."""


def break_edge(work: Work, chucking: Chucking, placed: Placed) -> Operation | None:
    """Chamfer the edge of a plain section that faces the end."""
    size = placed.section.chamfer
    if size is None or placed.thread is not None:
        return None
    small = placed.turned_mm - 2 * size.mm
    return Operation(
        key=keyed("edge", f"{placed.section.id}.{chucking.faces}"),
        kind="edge",
        title=f"Chamfer the {placed.name}",
        sentence="Chamfer the edge at 45°, {size} each way, " + place_words(work, "position") + ".",
        headline="size",
        figures={"size": typed("chamfer", size, fine=False), "position": tip_stop(work, placed.near_mm)},
        tool="chamfering tool",
        edge="45° edge",
        cautions=(cautions.FILE,),
        cut=Cut(placed.near_mm + size.mm, placed.near_mm, placed.turned_mm, small, slope=True),
        chucking=chucking.number,
        makes=makes(chamfer=size.mm),
    )


def lead_chamfer(work: Work, chucking: Chucking, placed: Placed, found: ThreadWork) -> Operation:
    """The 45 degree lead that lets the die start square."""
    small = in_mm(found.chamfer)
    long = (found.blank_mm - small) / 2
    inside = placed.near_mm > 0
    figures = {
        "diameter": found.chamfer,
        "length": along(
            work, "chamfer length", long, "(blank − chamfer) ÷ 2 at 45°",
            Given("blank", found.blank.diameter.value, found.blank.diameter.unit),
            Given("chamfer", found.chamfer.value, found.chamfer.unit),
        ),
    }  # fmt: skip
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
        cut=Cut(placed.near_mm + long, placed.near_mm, found.blank_mm, small, slope=True),
        chucking=chucking.number,
        makes=makes(diameter=small),
    )


def knurl(work: Work, chucking: Chucking, placed: Placed) -> Operation:
    """Knurl a turned section."""
    return Operation(
        key=keyed("knurl", placed.section.id),
        kind="knurl",
        title="Knurl",
        sentence="Knurl over {length}, from " + place_words(work, "position").removeprefix("at ") + " on.",
        headline="length",
        figures={
            "length": typed("length", placed.section.length, fine=False),
            "position": tip_stop(work, placed.near_mm),
            "speed": spindle_speed(work.job.material.turning_speed * KNURLING_SHARE, placed.turned_mm, name="speed"),
        },
        tool="knurling tool",
        edge="",
        cautions=(cautions.KNURL,),
        notes=("The knurl raises the diameter by about half its pitch.",),
        chucking=chucking.number,
        makes=makes(length=placed.section.length.mm),
    )
