"""A hole that no drill makes: drilled first, then bored; and what it shares with one that is drilled."""

from __future__ import annotations

from dataclasses import replace

from lathework import cautions
from lathework.cutting.dimension import Dimension
from lathework.figures import PRACTICE, Figure, Given
from lathework.fits.fit import Limits
from lathework.fits.press import press_force
from lathework.holes.depth import POINT_SHARE, THIN_WALL
from lathework.lathe.boring import Bore
from lathework.lathe.cut import Cut
from lathework.lathe.metal import State
from lathework.methods.chase import LEAST_BORE_MM
from lathework.part.bore_sizes import largest_mm, wall_mm
from lathework.part.bores import BoreWork
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.steps import measures
from lathework.planning.steps.fit_words import fit_figures, fit_notes, pressed_figures
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work
from lathework.tables.drills import Drill

DRILLING_SHARE = 0.7
"""Drilling speed over turning speed (practice)."""
CHATTER = (
    "Chatter? Lower the speed, raise the feed a little, use a shorter or thicker bar on centre height, "
    "and lock the slides you are not using."
)


def drilling_speed(work: Work, across_mm: float) -> Figure:
    """Speed for a drill of `across_mm` millimetres. Source: practice."""
    return work.speed(work.job.material.turning_speed * DRILLING_SHARE, across_mm)


def opened(chucking: Chucking, bore_work: BoreWork, across_mm: float, depth: Figure, state: State = "drilled") -> Bore:
    """A hole drilled or bored so wide (millimetres) and deep; it is drawn as far as it lies in the part."""
    deep = in_mm(depth)
    point = 0.0 if bore_work.bored or bore_work.chased else POINT_SHARE * across_mm
    return Bore(
        bore_work.bore.id,
        across_mm,
        deep - point,
        deep,
        blind=bore_work.bore.depth is not None,
        state=state,
        widest_mm=largest_mm(bore_work.bore),
        wall_share=THIN_WALL,
        by_bar=bore_work.bored and state != "drilled",
        drawn=Cut(min(deep, chucking.overall_mm), 0.0, across_mm, 0.0),
    )


def depths(chucking: Chucking, bore_work: BoreWork, depth: Figure) -> tuple[Dimension, ...]:
    """The depth of a hole that ends in the part."""
    if bore_work.bore.depth is None:
        return ()
    deep = in_mm(depth)
    told = measures.deep(deep, under_mm=chucking.overall_mm - deep)
    return (replace(told, name="depth, flat") if bore_work.bored else told,)


def pressed(work: Work, bore_work: BoreWork, limits: Limits) -> dict[str, Figure]:
    """Heat and force, where these bring the mate in: the part itself is the outer one."""
    metal, hole = work.job.material, bore_work.bore
    heat = pressed_figures(hole.fit, limits, metal.expansion)
    if not heat:
        return {}
    long_mm = hole.depth.mm if hole.depth is not None else work.part.overall_mm
    outside = largest_mm(hole) + 2 * wall_mm(work.part, hole)
    pressed = press_force(
        limits.tight_mm, across_mm=bore_work.drill_mm, outside_mm=outside, long_mm=long_mm, elastic=metal.elastic
    )
    return {**heat, "force": pressed}


def rough_figure(bore_work: BoreWork, rough: Drill) -> Figure:
    """The drill that goes before a boring tool."""
    return Figure(
        "drill first",
        rough.diameter,
        rough.unit,
        "the largest you own that leaves a cut for the boring tool",
        PRACTICE,
        (Given("bore", in_mm(bore_work.drill), "mm"),),
        kind="table",
        note=f"Drill {rough.name}.",
    )


def _there(work: Work, chucking: Chucking, bore_work: BoreWork) -> BoreWork | None:
    """The largest hole that is there already and takes a boring tool, where another one is bored: a drill would follow
    it, and leave a cone."""

    def reaches(other: BoreWork) -> bool:
        if other.bore.depth is None:
            return other.bore.end == chucking.faces or chucking.second
        deep = bore_work.bore.depth
        return other.bore.end == chucking.faces and deep is not None and other.bore.depth.mm >= deep.mm

    takes = [one for one in work.bores if one.bore.end != "across" and one.drill_mm >= LEAST_BORE_MM]
    along = [one for one in takes if one.drill_mm < bore_work.drill_mm]
    return max(filter(reaches, along), key=lambda one: one.drill_mm, default=None)


def _sentence(bore_work: BoreWork, rough: Drill | None, *, opened: bool) -> str:
    """What is done: opened from the hole that is there, or drilled first; a plain blind one is flat at the end."""
    flat = bore_work.bore.thread is None and bore_work.bore.depth is not None
    deep = "flat at {depth} deep" if flat else "{depth} deep"
    if opened:
        return f"Open the hole that is there with a boring tool to {{bore}}, {deep}."
    first = f"Drill {rough.name}" if rough is not None else "Drill as large as you can"
    short = ", with its point short of the bottom" if flat else ""
    return f"{first}{short}, then bore to {{bore}}, {deep}."


def _title(bore_work: BoreWork) -> str:
    if bore_work.limits is not None:
        return "Bore to the fit"
    return "Bore for the thread" if bore_work.bore.thread else "Bore the hole"


def bore(work: Work, chucking: Chucking, bore_work: BoreWork, depth: Figure) -> Operation:
    """Bore a hole that no drill owned makes: drilled as large as may be, then opened with a boring tool."""
    figures = {"bore": bore_work.drill, "depth": depth, "speed": drilling_speed(work, bore_work.drill_mm)}
    there = _there(work, chucking, bore_work)
    rough = bore_work.rough if there is None else None
    if rough is not None:
        figures["rough"] = rough_figure(bore_work, rough)
    if bore_work.percent is not None:
        figures["percent"] = bore_work.percent
    fit, limits = bore_work.bore.fit, bore_work.limits
    if limits is not None:
        figures |= fit_figures(limits, work.job.unit)
    return Operation(
        key=keyed("bore", bore_work.bore.id),
        kind="drill",
        title=_title(bore_work),
        sentence=_sentence(bore_work, rough, opened=there is not None),
        headline="bore",
        figures=figures,
        tool="boring tool",
        edge="tip",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(
            "Take light cuts, the last two alike: a boring bar springs.",
            CHATTER,
            *fit_notes(fit, limits, inside=True),
        ),
        measure="diameter",
        dimensions=(
            measures.bored(
                bore_work,
                rough_mm=there.drill_mm if there is not None else rough.diameter_mm if rough else None,
                most_mm=work.job.material.max_cut_mm,
            ),
            *depths(chucking, bore_work, depth),
        ),
        makes=makes(diameter=bore_work.drill_mm, depth=in_mm(depth)),
        acts=(opened(chucking, bore_work, bore_work.drill_mm, depth, "fitted" if limits is not None else "finished"),),
        chucking=chucking.number,
    )
