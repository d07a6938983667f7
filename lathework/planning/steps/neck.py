"""A section smaller than one nearer the face: plunged where it is narrow, else turned along between its shoulders."""

from __future__ import annotations

from lathework import cautions
from lathework.lengths import Length
from lathework.part.fitted import section_limits
from lathework.planning.chucking import Chucking, Placed
from lathework.planning.operation import Cut, Operation, keyed, makes
from lathework.planning.positions import place_words, plunge_dial, tip_stop, typed
from lathework.planning.steps import measures
from lathework.planning.steps.blade import plunges
from lathework.planning.steps.fit_words import STEEL, fit_cautions, fit_figures, fit_notes, pressed_figures
from lathework.planning.steps.holding import speed
from lathework.planning.work import Work

SMALLER_MM = 0.01
"""Less than this is no neck, in millimetres."""
MOST_PLUNGES = 3
"""Widths of the blade up to which a neck is plunged, side by side (practice)."""
NECK_TOOL = "knife ground to clear both shoulders"
IN_CUTS = "Take it in cuts, each fed in at the same place; the last one light, after the same dial twice."


def neck(work: Work, chucking: Chucking, placed: Placed) -> Operation | None:
    """A section that is smaller than one nearer the face: plunged where it is narrow, turned along where it is wide or
    made to a fit."""
    before = [p.turned_mm for p in chucking.made if p.near_mm < placed.near_mm]
    across = placed.section.across
    start = max(before, default=0.0)
    if across is None or placed.thread is not None or start <= placed.turned_mm + SMALLER_MM:
        return None
    wide = placed.far_mm - placed.near_mm > MOST_PLUNGES * work.job.setup.groove_blade.mm + SMALLER_MM
    if wide or placed.section.fit:
        return _turned(work, chucking, placed, start)
    return _plunged(work, chucking, placed, across, start)


def _plunged(work: Work, chucking: Chucking, placed: Placed, across: Length, start: float) -> Operation:
    blade, edge = work.job.setup.groove_blade, work.job.setup.groove_edge
    width = placed.far_mm - placed.near_mm
    places, words = plunges(work, placed.far_mm, width, blade, edge)
    return Operation(
        key=keyed("neck", placed.section.id),
        kind="neck",
        title="Plunge the neck",
        sentence="Plunge to {diameter}, " + words + ".",
        headline="diameter",
        figures={"diameter": typed("diameter", across, fine=True)}
        | places
        | {"dial": plunge_dial(work, start, placed.turned_mm)},
        tool="grooving blade",
        edge=f"{edge} edge",
        cautions=(cautions.BLADE,),
        dimensions=(measures.plunged("neck diameter", placed.turned_mm, start), measures.wide(width, blade.mm)),
        cut=Cut(placed.far_mm, placed.near_mm, start, placed.turned_mm),
        chucking=chucking.number,
        makes=makes(diameter=placed.turned_mm, length=width),
    )


def _turned(work: Work, chucking: Chucking, placed: Placed, start: float) -> Operation:
    """Turned along between its shoulders, with the limits of its fit where it has one.

    Source: practice; a blade chatters on a wide band and leaves it ridged.
    """
    limits, unit = section_limits(placed.section, work.job.unit), work.job.unit
    across = placed.section.across
    diameter = limits.aim if limits is not None else typed("diameter", across, fine=True) if across else None
    assert diameter is not None  # a neck has a size
    fit = placed.section.fit
    return Operation(
        key=keyed("neck", placed.section.id),
        kind="neck",
        title="Turn the neck to its fit" if fit else "Turn the neck",
        sentence=f"With the carriage {place_words(work, 'from')}, feed the tool in. Turn along to {{diameter}}; "
        f"the tool tip stops {place_words(work, 'stop')}.",
        headline="diameter",
        figures={
            "diameter": diameter,
            "from": tip_stop(work, placed.near_mm),
            "stop": tip_stop(work, placed.far_mm),
            "dial": plunge_dial(work, start, placed.turned_mm),
            **(fit_figures(limits, unit) if limits is not None else {}),
            **pressed_figures(fit, limits, STEEL),
            "speed": speed(work, start),
        },
        tool=NECK_TOOL,
        edge="tip",
        cautions=(cautions.STOP_TO_MEASURE, *fit_cautions(fit)),
        notes=(IN_CUTS, *fit_notes(fit, limits)),
        measure="diameter",
        dimensions=(measures.necked(placed.turned_mm, start, limits, work.job.material.max_cut_mm),),
        cut=Cut(placed.far_mm, placed.near_mm, start, placed.turned_mm),
        chucking=chucking.number,
        makes=makes(diameter=placed.turned_mm, length=placed.far_mm - placed.near_mm),
    )
