"""A section smaller than one nearer the face: plunged where it is narrow, else turned along between its shoulders."""

from __future__ import annotations

from lathework import cautions
from lathework.cutting.knurl import blank_figure
from lathework.figures import Figure
from lathework.lathe.cut import Cut
from lathework.lathe.outside_cuts import Plunge, Turn
from lathework.lengths import Length
from lathework.part.fitted import section_limits
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import place_words, plunge_dial, tip_stop, typed
from lathework.planning.steps import measures
from lathework.planning.steps.fit_words import fit_figures, fit_notes
from lathework.planning.steps.holding import speed, swarf
from lathework.planning.steps.outside.blade import plunges
from lathework.planning.work import Work

SMALLER_MM = 0.01
"""Less than this is no neck, in millimetres."""
MOST_PLUNGES = 3
"""Widths of the blade up to which a neck is plunged, side by side (practice)."""
NECK_TOOL = "knife ground to clear both shoulders"
IN_CUTS = "Take several cuts, each fed in at the same place. Make the last two alike."


def in_front_mm(chucking: Chucking, placed: Placed) -> float:
    """The largest diameter nearer the face than a section, in millimetres; 0 where there is none."""
    return max((p.turned_mm for p in chucking.made if p.near_mm < placed.near_mm), default=0.0)


def _title(placed: Placed) -> str:
    if placed.thread is not None:
        return "Turn the thread blank between its shoulders"
    if placed.section.knurl is not None:
        return "Turn the knurl's blank between its shoulders"
    return "Turn the neck to its fit" if placed.section.fit else "Turn the neck"


def neck(work: Work, chucking: Chucking, placed: Placed) -> Operation | None:
    """A section that is smaller than one nearer the face: plunged where it is narrow, turned along where it is wide or
    made to a fit."""
    start = in_front_mm(chucking, placed)
    if start <= placed.turned_mm + SMALLER_MM:
        return None
    if placed.thread is not None:
        return _turned(work, chucking, placed, placed.thread.blank.diameter, start)
    across = placed.section.across
    if across is None:
        return None
    wide = placed.far_mm - placed.near_mm > MOST_PLUNGES * work.job.setup.groove_blade.mm + SMALLER_MM
    if wide or placed.section.fit:
        return _turned(work, chucking, placed, _diameter(work, placed, across), start)
    return _plunged(work, chucking, placed, _diameter(work, placed, across), start)


def _diameter(work: Work, placed: Placed, across: Length) -> Figure:
    """What it is turned to: the aim of its fit, the blank of its knurl, or as typed."""
    limits = section_limits(placed.section, work.job.unit)
    if limits is not None:
        return limits.aim
    if placed.section.knurl is not None:
        return blank_figure(placed.section.knurl, across, work.job.unit)
    return typed("diameter", across, fine=True)


def _plunged(work: Work, chucking: Chucking, placed: Placed, diameter: Figure, start: float) -> Operation:
    blade, edge = work.job.setup.groove_blade, work.job.setup.groove_edge
    width = placed.far_mm - placed.near_mm
    places, words = plunges(work, placed.far_mm, width, blade, edge)
    return Operation(
        key=keyed("neck", placed.section.id),
        kind="neck",
        title="Plunge the neck",
        sentence="Plunge to {diameter}, " + words + ".",
        headline="diameter",
        figures={"diameter": diameter} | places | {"dial": plunge_dial(work, start, placed.turned_mm)},
        tool="grooving blade",
        edge=f"{edge} edge",
        cautions=(cautions.BLADE,),
        dimensions=(measures.plunged("neck diameter", placed.turned_mm, start), measures.wide(width, blade.mm)),
        acts=(Plunge(placed.section.id, Cut(placed.far_mm, placed.near_mm, start, placed.turned_mm)),),
        chucking=chucking.number,
        makes=makes(diameter=placed.turned_mm, length=width),
    )


def _turned(work: Work, chucking: Chucking, placed: Placed, diameter: Figure, start: float) -> Operation:
    """Turned along between its shoulders, with the limits of its fit where it has one.

    Source: practice; a blade chatters on a wide band and leaves it ridged.
    """
    limits, unit = section_limits(placed.section, work.job.unit), work.job.unit
    fit = placed.section.fit
    return Operation(
        key=keyed("neck", placed.section.id),
        kind="neck",
        title=_title(placed),
        sentence=f"With the carriage {place_words(work, 'from')}, feed the tool in. Turn along to {{diameter}}; "
        f"the tool tip stops {place_words(work, 'stop')}.",
        headline="diameter",
        figures={
            "diameter": diameter,
            "from": tip_stop(work, placed.near_mm),
            "stop": tip_stop(work, placed.far_mm),
            "dial": plunge_dial(work, start, placed.turned_mm),
            **(fit_figures(limits, unit) if limits is not None else {}),
            "speed": speed(work, start),
        },
        tool=NECK_TOOL,
        edge="tip",
        cautions=(swarf(work),),
        notes=(IN_CUTS, *fit_notes(fit, limits)),
        measure="diameter",
        dimensions=(measures.necked(placed.turned_mm, start, limits, work.job.material.max_cut_mm),),
        acts=(
            Turn(
                placed.section.id,
                Cut(placed.far_mm, placed.near_mm, start, placed.turned_mm),
                fitted=limits is not None,
            ),
        ),
        chucking=chucking.number,
        thread=placed.thread.thread if placed.thread is not None else None,
        cutter=placed.thread.cut if placed.thread is not None else "die",
        class_name=placed.thread.class_name if placed.thread is not None else "",
        makes=makes(diameter=placed.turned_mm, length=placed.far_mm - placed.near_mm),
    )
