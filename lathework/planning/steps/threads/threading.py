"""Running the die on, finishing to a shoulder, gauging."""

from __future__ import annotations

import math

from lathework import cautions
from lathework.cutting.groove import TURNED_ROUND_STOP, UNFINISHED_THREADS, counterbore, unfinished_length
from lathework.cutting.roughing import (
    HAND_BEARS_NM,
    bears,
    rough_share,
)
from lathework.cutting.taper_blank import handle_length, taper_torque
from lathework.cutting.torque import cutting_torque, hand_force
from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.lathe.cut import Cut
from lathework.lathe.threading import Driver, RunOn
from lathework.methods.die_holdings import DIE_HOLDINGS
from lathework.methods.die_holdings.by_holder import SLIDING_BY_HAND
from lathework.methods.die_holdings.by_stock import IN_VISE
from lathework.methods.die_holdings.holding import DRIFTS, DieHolding
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.steps.outside.taper import taper_notes
from lathework.planning.threads.driving import (
    comes_off,
    lighter,
    rhythm,
    too_short,
    turn_back,
    under_power,
    why_by_hand,
)
from lathework.planning.threads.mate_words import opening, opening_notes
from lathework.planning.threads.thread_work import ThreadWork, in_mm
from lathework.planning.work import Work
from lathework.units import convert

SHORT_OF_SHOULDER = 0.5
"""Pitches kept between the die and the shoulder (practice)."""
LEAD_DRIFTS = "At this length a die drifts in pitch. If a nut must run the full length, cut it single point."
LEFT_DIE = "Left-hand die: turn the spindle in reverse to cut, forward to back off."


def _turns(thread_work: ThreadWork, length_mm: float) -> Figure:
    """Whole turns of the die over `length_mm` millimetres: half a turn short of a shoulder, or right over."""
    thread = thread_work.thread
    lead = convert(thread.lead, thread.unit, "mm")
    if thread_work.taper is not None:
        length_mm = in_mm(thread_work.taper.useful)
    if thread_work.shoulder and thread_work.taper is None:
        turns = math.floor(length_mm / lead - SHORT_OF_SHOULDER + 1e-9)
        formula = "whole part of (thread length ÷ lead − kept short of the shoulder)"
        inputs: tuple[Given, ...] = (Given("kept short of the shoulder", SHORT_OF_SHOULDER, "turn"),)
    else:
        turns, formula, inputs = math.ceil(length_mm / lead - 1e-9), "next whole of (thread length ÷ lead)", ()
    return Figure(
        "turns",
        turns,
        "turn",
        formula,
        GEOMETRY,
        (Given("thread length", length_mm, "mm"), Given("lead", lead, "mm"), *inputs),
    )


def die_torque(work: Work, thread_work: ThreadWork) -> Figure:
    """Torque of the die on the whole thread, in N m."""
    torque = cutting_torque(thread_work.thread, work.job.material.cutting_force)
    return torque if thread_work.taper is None else taper_torque(torque)


def by_hand_because(work: Work, thread_work: ThreadWork) -> str:
    """Why a die that was to go on under power is turned by hand; "" where power will do, or was not chosen."""
    chosen = DIE_HOLDINGS[work.job.method.holder]
    if not thread_work.cutter.in_holder:
        return ""
    if chosen.power and thread_work.taper is not None:
        return "tapers: its die bites harder with every turn, and your hand must feel it"
    if not chosen.power:
        return ""
    section = next(one for n, one in enumerate(work.part.sections) if work.threads.get(n) is thread_work)
    why = why_by_hand(work, thread_work.thread, die_torque(work, thread_work), chosen.slips_nm)
    return why or too_short(work, thread_work.thread, section.length.mm - thread_work.groove_width_mm)


def way_of(work: Work, thread_work: ThreadWork) -> DieHolding:
    """How the die goes on: as chosen, but by hand what must not go on under power."""
    if work.in_vise(thread_work):
        return IN_VISE
    return SLIDING_BY_HAND if by_hand_because(work, thread_work) else DIE_HOLDINGS[work.job.method.holder]


def roughed(work: Work, thread_work: ThreadWork) -> float:
    """How deep the thread is roughed out before the die, as a share of its depth; 0 where it is not.

    No leadscrew follows a taper: those dies have long handles and a ratchet instead.
    """
    if thread_work.taper is not None or not thread_work.cutter.in_holder:
        return 0.0
    return rough_share(die_torque(work, thread_work).value, bears(power=way_of(work, thread_work).power))


def _thread_notes(
    work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork, torque: Figure
) -> tuple[str, ...]:
    job, thread, way = work.job, thread_work.thread, way_of(work, thread_work)
    notes = [f"Lubricant: {work.lubricant}.", *way.notes]
    notes += [job.material.die_note] if job.material.die_note and not work.dry_against_advice else []
    notes += [torque.note] if torque.note else []
    if thread_work.taper is not None:
        notes += taper_notes(torque)
    if thread_work.mate is not None:
        notes += opening_notes(thread_work.thread, thread_work.mate)
    if thread.hand == "left":
        notes.append(LEFT_DIE)
    if placed.far_mm - placed.near_mm > DRIFTS * thread.major_mm:
        notes.append(LEAD_DRIFTS)
    if thread.starts > 1:
        notes.append(f"A die of {thread.starts} starts.")
    if job.method.finish == "run-out" and thread_work.shoulder and thread_work.taper is None:
        notes.append(
            "The last threads stay unfinished: the mating part must stop short of them, or be counterbored "
            "to {counterbore}, {counterbore_depth} deep."
        )
    if chucking.centred and "turn" in chucking.does and not work.off_lathe(thread_work):
        notes.append("Draw the centre back first: from here the work is unsupported.")
    return tuple(notes)


def thread_made(placed: Placed, thread_work: ThreadWork) -> str:
    """What running the die on, finishing and gauging make of a section: this thread, this long."""
    return makes(thread=thread_work.named, length=placed.far_mm - placed.near_mm)


def _run_on(work: Work, placed: Placed, thread_work: ThreadWork, band: Cut, torque: Figure) -> RunOn:
    """The die on its way: what it takes, what drives it, how much of the thread its holder must take in."""
    way = way_of(work, thread_work)
    driver: Driver = "vise" if way.off_lathe else "spindle" if way.power else "spindle by hand"
    long_mm, sliding = band.left_mm - band.right_mm, way.slides
    reverses = way.power and work.job.setup.mount == "locked" and thread_work.thread.hand == "right"
    return RunOn(placed.section.id, band, torque.value, driver, reverses, length_mm=long_mm, sliding=sliding)


def run_die(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> Operation:
    """Run the die on, marked side first, in the way chosen to hold it."""
    job, thread = work.job, thread_work.thread
    way, share = way_of(work, thread_work), roughed(work, thread_work)
    end_mm = placed.far_mm - thread_work.groove_width_mm
    overrun = chucking.overrun_mm if placed.number == chucking.placed[-1].number else 0.0
    turns = _turns(thread_work, placed.far_mm - placed.near_mm + overrun)
    solid = die_torque(work, thread_work)
    if thread_work.taper is not None:
        torque = solid
    else:
        torque = solid if way.power and not share else lighter(solid, share, "die", by_torque=way.by_torque)
    figures = {"turns": turns}
    # Under power the chip is not broken: the spindle would have to be reversed for each.
    figures |= under_power(work, thread, turns) if way.power else {"rhythm": rhythm(work)}
    figures |= {"unfinished": unfinished_length(thread), "torque": torque}
    if thread_work.mate is not None:
        figures |= opening(thread_work.thread, thread_work.mate)
    if thread_work.taper is not None and torque.value > HAND_BEARS_NM:
        figures["handle"] = handle_length(torque)
    elif not way.power:
        figures["force"] = hand_force(torque)
    if job.method.finish == "run-out" and thread_work.shoulder and thread_work.taper is None:
        figures["counterbore"], figures["counterbore_depth"] = counterbore(thread)
    return Operation(
        key=keyed("thread", placed.section.id),
        kind="thread",
        title="Run the die on, marked side first",
        sentence=way.sentence if way.power else f"{way.sentence}; {turn_back(work)}.",
        headline="turns",
        figures=figures,
        tool=f"{thread.designation} {way.tool}",
        edge="marked side first",
        cautions=(
            *way.cautions,
            *comes_off(work, thread, "die", power=way.power, off_lathe=way.off_lathe),
            *work.hazards,
        ),
        notes=_thread_notes(work, chucking, placed, thread_work, torque),
        acts=(
            _run_on(
                work,
                placed,
                thread_work,
                Cut(end_mm + overrun, placed.near_mm, thread.major_mm, thread.minor_mm),
                torque,
            ),
        ),
        chucking=chucking.number,
        thread=thread,
        class_name=thread_work.class_name,
        to_mate=thread_work.mate is not None,
        makes=thread_made(placed, thread_work),
    )


def finish_to_shoulder(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> Operation | None:
    """Turn the die round and finish up to the shoulder, where that was chosen."""
    if not thread_work.shoulder or thread_work.taper is not None or work.job.method.finish != "die-turned-round":
        return None
    thread = thread_work.thread
    gap = Figure(
        "stop short by",
        TURNED_ROUND_STOP * thread.pitch,
        thread.unit,
        "1 × pitch",
        PRACTICE,
        (Given("pitch", thread.pitch, thread.unit),),
        fine=False,
    )
    turns = Figure(
        "turns",
        UNFINISHED_THREADS - TURNED_ROUND_STOP,
        "turn",
        "unfinished turns − 1",
        PRACTICE,
        (Given("unfinished turns", UNFINISHED_THREADS),),
    )
    far = placed.far_mm
    return Operation(
        key=keyed("finish", placed.section.id),
        kind="finish",
        title="Flip the die, finish to the shoulder",
        sentence="Flip the die in its holder (plain side first), same setting. Run it to the end of the "
        "thread already cut, then {turns} more. Stop {gap} short of the shoulder.",
        headline="turns",
        figures={"turns": turns, "gap": gap},
        tool=f"{thread.designation} {way_of(work, thread_work).tool}",
        edge="plain side first",
        cautions=() if way_of(work, thread_work).off_lathe else (cautions.DIE_BY_HAND,),
        notes=("Always do this by hand: feel for the shoulder.",),
        acts=(
            RunOn(
                placed.section.id,
                Cut(far, far - UNFINISHED_THREADS * thread.pitch_mm, thread.major_mm, thread.minor_mm),
                0.0,
                "vise" if way_of(work, thread_work).off_lathe else "spindle by hand",
            ),
        ),
        chucking=chucking.number,
        thread=thread,
        class_name=thread_work.class_name,
        makes=thread_made(placed, thread_work),
    )
