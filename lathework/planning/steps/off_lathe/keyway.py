"""Keyways: milled in a shaft, planed in a bore with the carriage of a lathe that stands still."""

from __future__ import annotations

import math
from collections.abc import Iterator

from lathework import cautions
from lathework.cutting.keyway import in_hub, in_shaft, key_in
from lathework.figures import PRACTICE, Figure
from lathework.lathe.acts import Mill
from lathework.lengths import Length
from lathework.part.bores import BoreWork
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import along, given, given_mm, typed
from lathework.planning.steps import measures
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work

STROKE_MM = 0.05
"""What a planing tool takes at a stroke (practice)."""
OVER_THE_AXIS = "Centre the cutter: touch the side of the bar with paper between, then move {over}."
TOUCH = "Touch the top of the bar with a slip of paper between, and set zero: measure the depth from there."
NO_MILL = (
    "No mill? Plane it in the lathe like a keyway in a bore: a square tool at centre height, with a hole drilled "
    "at each end."
)
SQUARE_TOOL = "Use a tool as wide as the key, square, relieved below the edge, exactly on centre height."
FULL_DEPTH = "A hole or a groove at the far end gives the chips room; a through bore needs none."
DRY_FIT = "Try the key: it should go in by thumb pressure. Deburr before you measure."


def _long(work: Work, placed: Placed, length: Length | None) -> Figure:
    """How long a keyway is: as typed, or as its section."""
    if length is not None:
        return typed("length", length, fine=False)
    own = placed.section.length
    return along(work, "length", own.mm, "length of the section", given("length of the section", own))


def _over(work: Work, across_mm: float, wide_mm: float) -> Figure:
    unit = work.job.unit
    inputs = (given_mm("across", across_mm, unit), given_mm("cutter", wide_mm, unit))
    return along(work, "over by", (across_mm + wide_mm) / 2, "(across + cutter) ÷ 2", *inputs, fine=True)


def mill_keyway(work: Work, chucking: Chucking, placed: Placed, key: Length) -> Operation:
    """Mill the keyway of a section, from its edge toward the nearer end."""
    section, across = placed.section, placed.turned_mm
    figures = {
        **in_shaft(across, key_in(across, key.mm), work.job.unit),
        "wide": typed("key", key, fine=True),
        "length": _long(work, placed, section.key_length),
        "over": _over(work, across, key.mm),
    }
    left = in_mm(figures["left"])
    return Operation(
        key=keyed("keyway", section.id),
        kind="keyway",
        title="Mill the keyway",
        sentence="Hold the piece in a V-block or a vice. Mill the keyway with a {wide} slot drill, {deep} "
        "deep over {length}: {left} must remain from its bottom to the opposite side.",
        headline="left",
        figures=figures,
        tool="slot drill in the mill",
        edge="",
        cautions=(cautions.MILLING,),
        notes=(OVER_THE_AXIS, TOUCH, DRY_FIT, NO_MILL),
        dimensions=(measures.keyway(left, across),),
        acts=(Mill(section.id, raised=("keyway",)),),
        chucking=chucking.number,
        makes=makes(wide=key.mm, deep=in_mm(figures["deep"]), length=in_mm(figures["length"])),
    )


def plane_keyway(work: Work, chucking: Chucking, bore_work: BoreWork, key: Length) -> Operation:
    """Plane the keyway of a bore: a tool on its side, the spindle locked, the carriage run by hand."""
    bore, across = bore_work.bore, bore_work.drill_mm
    figures = {**in_hub(across, key_in(across, key.mm), work.job.unit), "wide": typed("key", key, fine=True)}
    unit, deep = work.job.unit, in_mm(figures["deep"])
    inputs = (given_mm("deep", deep, unit), given_mm("stroke", STROKE_MM, unit))
    formula = "next whole of (deep ÷ stroke)"
    figures["strokes"] = Figure("strokes", math.ceil(deep / STROKE_MM - 1e-9), "stroke", formula, PRACTICE, inputs)
    whole = work.part.overall_mm if bore.depth is None else bore.depth.mm
    figures["length"] = along(work, "length", whole, "as the hole", given_mm("as the hole", whole, unit))
    return Operation(
        key=keyed("hub-keyway", bore.id),
        kind="keyway",
        title="Plane the keyway in the bore",
        sentence="Unplug the motor and lock the spindle. Plane the keyway by hand over {length} with a "
        "square tool in the boring bar: {strokes} of the carriage, until bore plus keyway measures "
        "{over}.",
        headline="over",
        figures=figures,
        tool=f"square tool, {key.typed} wide, in a boring bar",
        edge="",
        cautions=(cautions.PLANE,),
        notes=(SQUARE_TOOL, FULL_DEPTH, DRY_FIT, "A push broach with its bush is quicker, if you own one."),
        acts=(Mill(bore.id, raised=("keyway",)),),
        chucking=chucking.number,
        makes=makes(wide=key.mm, deep=deep),
    )


def keyways(work: Work, chucking: Chucking) -> Iterator[Operation]:
    """Keyways in sections and in holes, when all is turned and bored: told with the last `chucking`."""
    for placed in chucking.placed:
        if placed.section.key is not None:
            yield mill_keyway(work, chucking, placed, placed.section.key)
    for found in work.bores:
        if found.bore.key is not None:
            yield plane_keyway(work, chucking, found, found.bore.key)
