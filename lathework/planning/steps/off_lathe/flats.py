"""Flats, which are milled after the lathe."""

from __future__ import annotations

from lathework import cautions
from lathework.figures import GEOMETRY, Figure, Given
from lathework.lathe.acts import Mill
from lathework.lathe.cut import Cut
from lathework.part.model import MILLED
from lathework.part.stock import ACROSS_FLATS, depth_per_flat, largest_across_flats
from lathework.planning.holdings.chucking import Chucking, Grip, Placed
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import given_mm, typed
from lathework.planning.steps import measures
from lathework.planning.steps.holding import held_on
from lathework.planning.work import Work
from lathework.units import convert


def mill_flats(work: Work, chucking: Chucking, placed: Placed, grip: Grip) -> Operation:
    """Mill the flats of a section in a collet block: the same cut at each."""
    across, shape = placed.section.across, placed.section.shape
    assert across is not None
    stock = work.part.stock
    start = stock.across.mm if stock.form in ("hexagon", "square") else placed.turned_mm
    count = MILLED[shape]
    block = "hexagonal" if count == 6 else "square"
    unit = work.job.unit
    guard = "screwed into a split bush " if grip.on_thread else ""
    figures: dict[str, Figure] = {"across": typed("across flats", across, fine=True)}
    if stock.form == "round" and count in ACROSS_FLATS:
        figures["largest"] = largest_across_flats(count, stock.across.mm, unit)
    figures["held"] = held_on(work, grip)
    return Operation(
        key=keyed("flats", placed.section.id),
        kind="flats",
        title={"hexagon": "Mill the hexagon", "square": "Mill the square"}.get(shape, "Mill the two flats"),
        sentence=f"Hold the piece {guard}by {grip.words}, {{held}} across, in the {block} collet block. Mill "
        + "{count} over {length}, "
        "{depth} deep at each: {across} across.",
        headline="across",
        figures=figures
        | {
            "depth": depth_per_flat(start, across.mm, unit),
            "count": Figure("flats", count, "flat", "from the shape", GEOMETRY, kind="table"),
            "length": typed("length", placed.section.length, fine=False)
            if placed.section.length.typed
            else Figure(
                "length",
                convert(placed.far_mm - placed.near_mm, "mm", unit),
                unit,
                "overall length − the other sections",
                GEOMETRY,
                (
                    given_mm("overall length", chucking.overall_mm, unit),
                    given_mm("the other sections", chucking.overall_mm - placed.far_mm + placed.near_mm, unit),
                ),
                fine=False,
            ),
            "index": Figure("turn the block by", 360 / count, "°", "360 ÷ flats", GEOMETRY, (Given("flats", count),)),
        },
        tool="end mill, collet block in the vice",
        edge="",
        cautions=(cautions.MILLING,),
        notes=(
            "Measure after the second, opposite flat, and correct the depth by half the difference.",
            "No mill? File them against rollers set to the depth, with the spindle locked at each flat.",
        ),
        dimensions=measures.flats(across.mm, start),
        acts=(Mill(placed.section.id, Cut(placed.far_mm, placed.near_mm, start, across.mm), ("flats",)),),
        chucking=chucking.number,
        makes=makes(shape=shape, across=across.mm, length=placed.far_mm - placed.near_mm),
    )
