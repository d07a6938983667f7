"""The thread of a hole: tapped by hand or under power, chased with a tap or a boring tool, tried with its screw."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.cutting.roughing import rough_bore, rough_passes
from lathework.figures import Figure
from lathework.holes.taper_pipe import TaperHole
from lathework.lathe.threading import RoughOut
from lathework.methods.tap import SMALL_TAP_MM, TAP_HOLDINGS, TapHolding
from lathework.part.bores import BoreWork
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.steps.holes.chasing import chase, try_screw
from lathework.planning.steps.holes.hole import bores_here, tapped_in_vise
from lathework.planning.steps.holes.tap_words import (
    as_set,
    driven,
    ending,
    full_depth,
    hole_made,
    manner,
    oil_first,
    risks,
    roughed,
    solid_torque,
    tap_order,
    torques,
    turned_in,
    turns_of,
    way_of,
    why_otherwise,
)
from lathework.planning.steps.threads.starts import next_start
from lathework.planning.threads.driving import (
    LEAD_LEFT,
    comes_off,
    rhythm,
    roughing,
    turn_back,
    under_power,
)
from lathework.planning.threads.gearing import gearing, on_the_leadscrew
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work
from lathework.threads.thread import Thread
from lathework.units import convert

LEFT_TAP = "Left-hand tap: turn the spindle in reverse to cut, forward to back off."


def _rough(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread) -> Operation | None:
    """Rough a large thread out with an inside threading tool: the tap then takes what a hand can turn."""
    share, job = roughed(work, bore_work, thread), work.job
    if not share:
        return None
    deep = share * (thread.major_mm - bore_work.drill_mm) / 2
    geared_for = gearing(work, thread, in_mm(full_depth(work, bore_work)))
    passes = rough_passes(-deep, bore_work.drill_mm, job.unit)
    bore = convert(bore_work.drill_mm, "mm", thread.unit)
    return Operation(
        key=keyed("rough-bore", bore_work.bore.id),
        kind="rough",
        title="Rough the thread out",
        sentence=f"Set an inside threading tool on centre, square by the centre gauge. {geared_for.words} Rough the "
        "thread out in {cuts}, {infeed} in all from touching the bore.",
        headline="infeed",
        figures=geared_for.figures
        | roughing(
            work,
            thread,
            solid_torque(work, bore_work, thread),
            rough_bore(thread, bore, share, job.setup.dial),
            passes,
            by_hand=geared_for.by_hand,
        ),
        tool=f"inside threading tool, {thread.form.angle_deg:g}°",
        edge="point",
        cautions=on_the_leadscrew(work, geared_for),
        notes=(
            "A full-depth tap would take {solid}: more than a person can turn steadily.",
            *((LEAD_LEFT,) if thread.hand == "left" else ()),
            *geared_for.notes,
            "Stop clear of the bottom and leave the rest to the tap: it makes the size and the flanks.",
        ),
        acts=(RoughOut(bore_work.bore.id, None, 0.0, "spindle", reverses=geared_for.reverses),),
        passes=passes,
        chucking=chucking.number,
        makes=makes(thread=thread.designation, share=share),
    )


def _notes(
    work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread, way: TapHolding, figures: dict[str, Figure]
) -> tuple[str, ...]:
    return (
        *risks(figures),
        *((why_otherwise(work, bore_work, chucking, way),) if way.code != work.job.method.tapping else ()),
        *((LEFT_TAP,) if thread.hand == "left" else ()),
        *way.notes,
        *((way.small,) if way.small and thread.major_mm < SMALL_TAP_MM else ()),
        *manner(work, bore_work, figures),
    )


def _tap(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread) -> Operation:
    through = bore_work.bore.depth is None
    deep = full_depth(work, bore_work)
    way, turns = way_of(work, bore_work, chucking), turns_of(thread, in_mm(deep), through=through)
    # Under power nothing is turned back.
    drive = under_power(work, thread, turns) if way.power else driven(work, bore_work)
    figures = {"turns": turns, **drive, "deep": deep, **torques(work, bore_work, thread, way)}
    tapped = Operation(
        key=keyed("tap", bore_work.bore.id),
        kind="tap",
        title="Tap the hole",
        sentence=way.sentence + ending(work, figures),
        headline="turns",
        figures=figures,
        tool=f"{thread.designation} tap: {tap_order(bore_work, power=way.power)}",
        edge="",
        cautions=(*way.cautions, *comes_off(work, thread, "tap", power=way.power), *work.hazards),
        notes=_notes(work, chucking, bore_work, thread, way, figures),
        acts=(turned_in(work, bore_work, thread, way, in_mm(deep)),),
        chucking=chucking.number,
        makes=hole_made(bore_work, thread),
        oil=oil_first(work, bore_work, figures),
    )
    return as_set(tapped, bore_work, thread)


def tap_taper(
    work: Work,
    chucking: Chucking,
    bore_work: BoreWork,
    thread: Thread,
    taper: TaperHole,
    *,
    kind: str = "tap",
    guided: str = "on the tailstock centre",
    way: TapHolding = TAP_HOLDINGS["by-centre"],
) -> Operation:
    """Tap a taper pipe thread by hand, `guided` as said and held in that `way`, until its gauge stands flush."""
    figures = {"gauge": taper.gauge, "turns": taper.turns, "give": taper.give, "rhythm": rhythm(work)}
    figures |= torques(work, bore_work, thread, way)
    return Operation(
        key=keyed(kind, bore_work.bore.id),
        kind="tap",
        title="Tap to the gauge",
        sentence=f"Tap by hand {guided}, {turn_back(work)}. Try the plug gauge or a fitting as you go: stop when the "
        "gauge goes in {gauge} ± {give}.",
        headline="gauge",
        figures=figures,
        tool=f"{thread.designation} taper pipe tap",
        edge="",
        cautions=(*way.cautions, *work.hazards),
        notes=(
            "A taper tap cuts along its whole length: the torque grows with depth. Too deep cannot be corrected.",
            "No gauge? A sound fitting should go in by hand about {turns}, then tighten.",
            *manner(work, bore_work, figures),
        ),
        acts=(turned_in(work, bore_work, thread, way, 0.0),),
        chucking=chucking.number,
        makes=hole_made(bore_work, thread),
        oil=oil_first(work, bore_work, figures),
    )


def roughed_out(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Threads that are roughed out on the lathe, wherever they are tapped."""
    for found in bores_here(work, chucking):
        if found.bore.thread is not None and not found.chased:
            yield _rough(work, chucking, found, found.bore.thread)


def taps(work: Work, chucking: Chucking, *, in_vise: bool) -> Iterator[Operation | None]:
    """The threads of the holes of the end that this chucking faces: those done `in_vise`, or on the lathe."""
    for found in bores_here(work, chucking):
        thread = found.bore.thread
        if thread is None or tapped_in_vise(work, chucking, found) != in_vise:
            continue
        if found.taper is not None:
            yield tap_taper(work, chucking, found, thread, found.taper)
            continue
        yield (chase if found.chased else _tap)(work, chucking, found, thread)
        if found.chased:
            geared = gearing(work, thread, in_mm(full_depth(work, found)))
            yield next_start(work, chucking, thread, found.bore.id, geared, inside=True)
        yield try_screw(work, chucking, found, thread, full_depth(work, found))
