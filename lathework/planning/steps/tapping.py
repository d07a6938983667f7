"""The thread of a hole: tapped by hand or under power, chased with a tap or a boring tool, tried with its screw."""

from __future__ import annotations

import math
from collections.abc import Iterator

from lathework import cautions
from lathework.cutting.roughing import HAND_BEARS_NM, rough_bore, rough_passes, rough_share
from lathework.cutting.speeds import spindle_speed
from lathework.cutting.torque import cutting_torque, form_torque
from lathework.figures import GEOMETRY, Figure, Given, counted
from lathework.holes.depth import likely_breaks, tap_margin, tap_named
from lathework.holes.percent import TAPPED_PERCENT
from lathework.holes.taper_pipe import TaperHole
from lathework.methods.chase import advance, chasing_passes, infeed, largest_chaser, pass_count
from lathework.methods.reversing import back_off
from lathework.methods.tap import SMALL_TAP_MM, TAP_HOLDINGS, TapHolding
from lathework.part.bores import TAP, BoreWork
from lathework.planning.chucking import Chucking
from lathework.planning.driving import (
    CHASING_SHARE,
    LEAD_LEFT,
    lighter,
    rhythm,
    roughing,
    turn_back,
    under_power,
    why_by_hand,
)
from lathework.planning.operation import Operation, keyed, makes, quoted
from lathework.planning.positions import along, given_mm, typed
from lathework.planning.steps.hole import bores_here, ends_in_bar, tapped_in_vise
from lathework.planning.work import Work, in_mm
from lathework.threads.thread import Thread
from lathework.units import convert

LEAST_THREADED_MM = 12.0
"""Smallest hole that an inside threading tool works in (practice)."""
FORMED = "A form tap makes no chips: no turning back, and a hole that is neither tight nor wide."
FORMED_OIL = "light oil: a form tap is never run dry"
LEFT_HAND = "Left-hand tap: turn the spindle backward to cut, forward to back off."
BLIND = "Blind hole: by hand, whatever holds the tap elsewhere; it must not meet the bottom under power."
PARTED_FIRST = "Parted off first: on the bar so large a hole would have to go far past the piece, for the tap's lead."
ON_THE_BAR = "On the bar the hole ends in metal: by hand, and clear the chips; power and a spiral point want a way out."


def way_of(work: Work, found: BoreWork, chucking: Chucking) -> TapHolding:
    """How a hole is tapped: as chosen, but one that ends in metal never under power, a large one through the piece when
    it is parted off. Source: practice."""
    chosen = TAP_HOLDINGS[work.job.method.tapping]
    if tapped_in_vise(work, chucking, found):
        return TAP_HOLDINGS["in-vise"]
    return TAP_HOLDINGS["by-centre"] if by_hand_because(work, found, chucking) else chosen


def by_hand_because(work: Work, found: BoreWork, chucking: Chucking) -> str:
    """Why a tap that was to go in under power is turned by hand; "" where power will do, or was not chosen."""
    chosen, thread = TAP_HOLDINGS[work.job.method.tapping], found.bore.thread
    if not chosen.power or thread is None:
        return ""
    if found.bore.depth is not None:
        return "is blind"
    if ends_in_bar(work, chucking, found):
        return "ends in metal while the part is on the bar"
    return why_by_hand(work, thread, solid_torque(work, found, thread), chosen.slips_nm)


def why_otherwise(work: Work, found: BoreWork, chucking: Chucking, way: TapHolding) -> str:
    """Why a hole is tapped in another `way` than was chosen."""
    if way.off_lathe:
        return PARTED_FIRST
    if found.bore.depth is not None:
        return BLIND
    why = by_hand_because(work, found, chucking)
    return ON_THE_BAR if ends_in_bar(work, chucking, found) else f"By hand: it {why}."


def hole_made(found: BoreWork, thread: Thread) -> str:
    """What tapping or chasing makes of a hole: this thread, this deep."""
    depth = found.bore.depth
    named = f"{thread.designation} {found.bore.class_name}".strip()
    return makes(thread=named, depth="through" if depth is None else f"{depth.mm:.3f}")


def turns_of(thread: Thread, deep_mm: float, *, through: bool) -> Figure:
    """Whole turns of the tap over `deep_mm` millimetres, and its lead more where it comes `through`."""
    lead = convert(thread.lead, thread.unit, "mm")
    beyond = tap_named(TAP).lead_turns if through else 0.0
    turns = math.ceil(deep_mm / lead + beyond - 1e-9)
    given = (
        Given("depth of thread", deep_mm, "mm"), Given("lead", lead, "mm"), Given("lead of the tap", beyond, "turns"),
    )  # fmt: skip
    formula = f"next whole of (depth of thread ÷ lead{' + lead of the tap' if through else ''})"
    return Figure("turns", turns, counted(turns, "turn"), formula, GEOMETRY, given)


def margin_of(work: Work, found: BoreWork, thread: Thread) -> Figure | None:
    """How many times its torque the tap of a hole bears; None where nothing is known of its per cent thread."""
    if found.bore.cut == "form-tap":
        return tap_margin(thread, work.job.material, TAPPED_PERCENT, formed=True)
    return None if found.percent is None else tap_margin(thread, work.job.material, found.percent.value)


def solid_torque(work: Work, found: BoreWork, thread: Thread) -> Figure:
    """Torque of the tap on the whole thread, in N m."""
    torque = cutting_torque(thread, work.job.material.cutting_force, tool="tap")
    return form_torque(torque) if found.bore.cut == "form-tap" else torque


def roughed(work: Work, found: BoreWork, thread: Thread) -> float:
    """How deep the thread is roughed out before the tap, as a share of its depth; 0 where a hand turns it as it is, or
    no threading tool goes into the hole."""
    if found.bore.cut != "tap" or found.taper is not None or found.bore.end == "across":
        return 0.0
    if found.drill_mm < LEAST_THREADED_MM:
        return 0.0
    return rough_share(solid_torque(work, found, thread).value, HAND_BEARS_NM)


def _rough(work: Work, chucking: Chucking, found: BoreWork, thread: Thread) -> Operation | None:
    """Rough a large thread out with an inside threading tool: the tap then takes what a hand can turn."""
    share, job = roughed(work, found, thread), work.job
    if not share:
        return None
    deep = share * (thread.major_mm - found.drill_mm) / 2
    passes = rough_passes(-deep, found.drill_mm, job.unit)
    bore = convert(found.drill_mm, "mm", thread.unit)
    return Operation(
        key=keyed("rough-bore", found.bore.id),
        kind="rough",
        title="Rough the thread out",
        sentence="Set an inside threading tool on centre, square by the gauge. Gear the leadscrew for {advance} a turn "
        "and rough the thread out in {cuts}, {infeed} in all from touching the hole.",
        headline="infeed",
        figures=roughing(
            work, thread, solid_torque(work, found, thread), rough_bore(thread, bore, share, job.setup.dial), passes
        ),
        tool=f"inside threading tool, {thread.form.angle_deg:g}°",
        edge="point",
        cautions=(cautions.CHASE,),
        notes=(
            "In the solid the tap would take {solid}: more than a person turns steadily.",
            *((LEAD_LEFT,) if thread.hand == "left" else ()),
            "Keep it clear of the bottom, and leave the rest to the tap: it makes the size and the flanks.",
        ),
        passes=passes,
        chucking=chucking.number,
        makes=makes(thread=thread.designation, share=share),
    )  # fmt: skip


def torques(work: Work, found: BoreWork, thread: Thread, way: TapHolding) -> dict[str, Figure]:
    """The tap's margin, where it is known, and its torque with what is said of holding it in that `way`."""
    torque, share = solid_torque(work, found, thread), 0.0 if way.power else roughed(work, found, thread)
    margin = margin_of(work, found, thread)
    return ({} if margin is None else {"margin": margin}) | {
        "torque": torque if way.power else lighter(torque, share, "tap", by_torque=way.by_torque)
    }


def driven(work: Work, found: BoreWork) -> dict[str, Figure]:
    """When to turn a tap back; a form tap makes no chip to break."""
    return {} if found.bore.cut == "form-tap" else {"rhythm": rhythm(work)}


def ending(work: Work, figures: dict[str, Figure]) -> str:
    """The end of a tapping sentence."""
    return f"; {turn_back(work)}." if "rhythm" in figures else "."


def tap_order(found: BoreWork, *, power: bool = False) -> str:
    """Which taps a hole takes, in their order."""
    if found.bore.cut == "form-tap":
        return "form tap"
    if power:
        return "spiral point tap"
    return "second tap alone" if found.bore.depth is None else "taper, second, then bottoming tap"


def risks(figures: dict[str, Figure]) -> tuple[str, ...]:
    """What must be known before a tap of those `figures` goes in."""
    likely = likely_breaks(figures.get("margin"))
    return ("The tap is likely to break here: drill larger, or chase the thread.",) if likely else ()


def manner(work: Work, found: BoreWork, figures: dict[str, Figure]) -> tuple[str, ...]:
    """What a tap of those `figures` wants wherever it is driven: oil, the way of a form tap, something to hold it."""
    formed, oil = found.bore.cut == "form-tap", work.job.material.lubricant
    return (
        f"Lubricant: {FORMED_OIL if formed and oil.startswith('none') else oil}.",
        *((FORMED,) if found.bore.cut == "form-tap" else ()),
        *filter(None, (figures["torque"].note,)),
    )


def _full(work: Work, found: BoreWork) -> Figure:
    """Depth of full thread of a hole along the axis."""
    depth = found.bore.depth
    if depth is not None:
        return typed("full thread", depth, fine=False)
    return along(
        work, "full thread", work.part.overall_mm, "overall length: it goes through",
        given_mm("overall length", work.part.overall_mm, work.job.unit),
    )  # fmt: skip


def _notes(
    work: Work, chucking: Chucking, found: BoreWork, thread: Thread, way: TapHolding, figures: dict[str, Figure]
) -> tuple[str, ...]:
    return (
        *risks(figures),
        *((why_otherwise(work, found, chucking, way),) if way.code != work.job.method.tapping else ()),
        *((LEFT_HAND,) if thread.hand == "left" else ()),
        *way.notes,
        *((way.small,) if way.small and thread.major_mm < SMALL_TAP_MM else ()),
        *((back_off(work.job.setup.mount, "tap"),) if way.power else ()),
        *manner(work, found, figures),
    )


def _tap(work: Work, chucking: Chucking, found: BoreWork, thread: Thread) -> Operation:
    through = found.bore.depth is None
    deep = _full(work, found)
    way, turns = way_of(work, found, chucking), turns_of(thread, in_mm(deep), through=through)
    # Under power nothing is turned back.
    drive = under_power(work, thread, turns) if way.power else driven(work, found)
    figures = {"turns": turns, **drive, "deep": deep, **torques(work, found, thread, way)}
    return Operation(
        key=keyed("tap", found.bore.id),
        kind="tap",
        title="Tap the hole",
        sentence=way.sentence + ending(work, figures),
        headline="turns",
        figures=figures,
        tool=f"{thread.designation} tap: {tap_order(found, power=way.power)}",
        edge="",
        cautions=(*way.cautions, *work.hazards),
        notes=_notes(work, chucking, found, thread, way, figures),
        chucking=chucking.number,
        makes=hole_made(found, thread),
    )


def tap_taper(
    work: Work,
    chucking: Chucking,
    found: BoreWork,
    thread: Thread,
    taper: TaperHole,
    *,
    kind: str = "tap",
    guided: str = "on the tailstock centre",
    way: TapHolding = TAP_HOLDINGS["by-centre"],
) -> Operation:
    """Tap a taper pipe thread by hand, `guided` as said and held in that `way`, until its gauge stands flush."""
    figures = {"gauge": taper.gauge, "turns": taper.turns, "give": taper.give, "rhythm": rhythm(work)}
    figures |= torques(work, found, thread, way)
    return Operation(
        key=keyed(kind, found.bore.id),
        kind="tap",
        title="Tap to the gauge",
        sentence=f"Tap by hand {guided}, {turn_back(work)}; try the plug gauge, or a "
        "fitting, until it goes in {gauge}, give or take {give}.",
        headline="gauge",
        figures=figures,
        tool=f"{thread.designation} taper pipe tap",
        edge="",
        cautions=(*way.cautions, *work.hazards),
        notes=(
            "A taper tap cuts on its whole length: the torque grows with depth. Too deep cannot be mended.",
            "No gauge? A sound fitting should go in by hand about {turns}, then tighten.",
            *manner(work, found, figures),
        ),
        chucking=chucking.number,
        makes=hole_made(found, thread),
    )  # fmt: skip


def _chase(work: Work, chucking: Chucking, found: BoreWork, thread: Thread) -> Operation:
    """Chase the thread of a bored hole: with a tap held as a tool, or a boring tool ground to the form."""
    job, by_tap = work.job, found.bore.cut == "tap-as-chaser"
    bore = convert(found.drill_mm, "mm", thread.unit)
    passes = chasing_passes(thread, found.drill_mm, job.unit)
    figures = {
        "advance": advance(thread),
        "infeed": infeed(thread, bore, job.setup.dial),
        "cuts": pass_count(thread, found.drill_mm),
        "speed": spindle_speed(job.material.thread_speed * CHASING_SHARE, thread.major_mm, name="speed"),
    }
    if by_tap:
        figures["tap"] = largest_chaser(bore, thread.unit)
    held = (
        "Hold a tap of the same pitch in the toolpost like a boring tool, on centre, a flute square to the bore, its "
        "square held so that it cannot turn. "
        if by_tap
        else "Set an inside threading tool on centre, square by the gauge. "
    )
    return Operation(
        key=keyed("chase", found.bore.id),
        kind="chase",
        title="Chase the thread",
        sentence=held + "Gear the leadscrew for {advance} a turn and chase in {cuts}, {infeed} in all from touching.",
        headline="infeed",
        figures=figures,
        tool=f"tap of {thread.pitch:.4g} {thread.unit} pitch as a chaser" if by_tap else "inside threading tool",
        edge="",
        cautions=(cautions.CHASE, *work.hazards),
        notes=(
            *(() if found.bore.depth is None else ("Blind: cut a recess two pitches wide at the bottom first, to run "
                                                   "out into; chalk the place on the bed.",)),
            f"Lubricant: {job.material.lubricant}.",
            "Try the mating part from three quarters of the infeed on.",
        ),
        passes=passes,
        chucking=chucking.number,
        makes=hole_made(found, thread),
    )  # fmt: skip


def _try(work: Work, chucking: Chucking, found: BoreWork, thread: Thread) -> Operation:
    """Clean the hole and try what goes in it."""
    # What it is made for may be made only later.
    fits = "a sound screw" if work.threads or not work.job.fits else f"{quoted(work.job.fits)}, or a sound screw"
    return Operation(
        key=keyed("try", found.bore.id),
        kind="gauge",
        title="Try the hole",
        sentence=f"Blow the hole out and try {fits}: it goes in by hand to the full depth, without shake.",
        headline="",
        figure_words="by hand",
        figures={"deep": _full(work, found)},
        tool=f"{thread.designation} screw or plug gauge",
        edge="",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=("Plug gauge: go all the way in, no-go not beyond two turns.",),
        chucking=chucking.number,
        makes=hole_made(found, thread),
    )  # fmt: skip


def roughed_out(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Threads that are roughed out on the lathe, wherever they are tapped."""
    for found in bores_here(work, chucking):
        if found.bore.thread is not None and not found.chased:
            yield _rough(work, chucking, found, found.bore.thread)


def taps(work: Work, chucking: Chucking, *, in_vise: bool) -> Iterator[Operation]:
    """The threads of the holes of the end that this chucking faces: those done `in_vise`, or on the lathe."""
    for found in bores_here(work, chucking):
        thread = found.bore.thread
        if thread is None or tapped_in_vise(work, chucking, found) != in_vise:
            continue
        if found.taper is not None:
            yield tap_taper(work, chucking, found, thread, found.taper)
            continue
        yield (_chase if found.chased else _tap)(work, chucking, found, thread)
        yield _try(work, chucking, found, thread)
