"""Holding, and the centre: what comes before the cuts of an end."""

from __future__ import annotations

from lathework import cautions
from lathework.cautions import Caution
from lathework.figures import PRACTICE, Figure, Given, added
from lathework.lathe.gripping import Centre, Hold
from lathework.lathe.standing import Grip as HeldBy
from lathework.part.end_words import end_named
from lathework.planning.holdings.chucking import Chucking, Grip
from lathework.planning.holdings.order import LEAST_GRIP_MM
from lathework.planning.operation import Operation, keyed
from lathework.planning.positions import along, given, given_mm
from lathework.planning.steps import measures
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work
from lathework.units import convert

LONG_BAR_MM = 600.0
"""Length of a bar that stands out of the spindle's rear end on a small lathe (practice)."""
KNIFE = "right-hand knife tool"
CLEAN_JAWS = "Protect a finished diameter with soft jaws or a strip of shim, and true it up before you cut."
SHORT_GRIP = "Little to hold: seat it against the step of soft jaws and take light cuts, or glue it to a faced stub."
LONG_IN_SPINDLE_MM = 50.0
"""Length behind the jaws from which a blank goes into the spindle (practice)."""
INTO_SPINDLE = "The rest goes into the spindle."
TOO_THICK = "Hold the far end, with a fixed steady near this end."
IF_THICK = f"{INTO_SPINDLE} Too thick for the bore? {TOO_THICK}"
HEAD_IN_CHUCK = "Pass the head through the open jaws into the chuck's bore, and close the jaws on the shank."
CENTRE_STAYS = "Leave the centre in while you turn and groove. Draw it back for the die."
CENTRE_STAYS_ON = "Leave the centre in until everything here is cut, the thread too."
CENTRE_STAYS_IN = "Leave the centre in while you turn."
IN_STEADY = (
    "Hold the {words} by its far end, and set the fixed steady {{stick_out}} behind the end being worked, "
    "its jaws oiled. "
)
RUNS_TRUE = (
    "True the far end in the chuck first: a bent or untrue blank runs out in the steady, and is centred and "
    "bored off axis."
)
NOT_MADE = "the end not yet made"
CENTRE_SHOWS = "The part keeps a centre hole. Tell whoever gets it, or start with a longer blank and face it off."
IN_THE_MOUTH = "Chamfer the mouth of the hole to 60° and bring the tailstock centre up into it, oiled."
OTHER_MOUTH = "Countersink the mouth of the thread where it comes through."


def speed(work: Work, diameter_mm: float) -> Figure:
    """Turning speed of the metal at a diameter of `diameter_mm` millimetres."""
    return work.speed(work.job.material.turning_speed, diameter_mm)


def swarf(work: Work) -> Caution:
    """What to mind of the metal's chips while it is turned, and that nothing is measured while it spins."""
    metal = work.job.material
    return Caution("swarf", metal.swarf, metal.swarf_why)


def ratio_figure(chucking: Chucking) -> Figure:
    """How many diameters the work stands out."""
    return Figure(
        "stick-out over diameter",
        chucking.ratio,
        "×",
        "stick-out ÷ diameter held",
        PRACTICE,
        (Given("stick-out", chucking.stick_out_mm, "mm"), Given("diameter held", chucking.grip.across_mm, "mm")),
        places=1,
    )


def stick_out_figure(work: Work, chucking: Chucking) -> Figure:
    """What stands out of the jaws or the steady, with every length it is made of."""
    unit, out = work.job.unit, chucking.stick_out_mm
    whole = given_mm("overall length", chucking.overall_mm, unit)
    clear = given_mm("clear of the jaws", max(0.0, out - chucking.worked_mm), unit)
    if not chucking.second and work.part.stock.one_ended and chucking.worked_mm >= chucking.overall_mm:
        head = (given_mm("of the head", out - chucking.overall_mm, unit),) if out > chucking.overall_mm else ()
        return along(work, chucking.out_words, out, added((whole, *head)), whole, *head)
    if not chucking.parted:
        worked = given_mm("length worked", chucking.worked_mm, unit)
        return along(work, chucking.out_words, out, added((worked, clear)), worked, clear)
    beyond = given("kerf", work.job.setup.parting_blade)
    if chucking.overrun_mm:
        beyond = given_mm("room for the die to run out", chucking.overrun_mm, unit)
    facing = [given_mm("facing", chucking.spare_mm, unit)] if chucking.spare_mm else []
    inputs = [whole, *facing, beyond, clear]
    return along(work, chucking.out_words, out, added(inputs), *inputs)


def held_out(work: Work, chucking: Chucking) -> dict[str, Figure]:
    """How far the work stands out, and how many diameters that is where jaws hold it."""
    out = {"stick_out": stick_out_figure(work, chucking)}
    return out if chucking.steadied else out | {"ratio": ratio_figure(chucking)}


def rest_behind(work: Work, chucking: Chucking) -> str:
    """Where the rest of a long blank goes that is held close to the jaws: into the spindle, if it passes that."""
    bore = work.job.setup.bore
    if bore is None:
        return IF_THICK
    return INTO_SPINDLE if chucking.bar_mm <= bore.mm else f"It does not fit the spindle bore. {TOO_THICK}"


def _thread_guard(chucking: Chucking) -> tuple[str, ...]:
    if not chucking.grip.on_thread:
        return ()
    return ("Jaws on a bare thread flatten its crests: use the split bush, two locked nuts, or a wrap of copper.",)


def gripped(chucking: Chucking) -> Hold:
    """The work brought into this holding."""
    grip = chucking.grip
    bushed = grip.on_thread or grip.tapered
    held = HeldBy(
        chucking.faces, grip.across_mm, grip.length_mm, chucking.stick_out_mm, flats=grip.flats, clamped=bushed
    )
    on_bar = chucking.on_bar and not chucking.stub
    return Hold(chucking.faces, held, chucking.bar_mm, on_bar, chucking.steadied)


_BUSHES = {False: "a threaded split bush", True: "a socket of its taper, or a split bush bored to it,"}
"""What holds a finished thread, and a finished taper."""


def held_on(work: Work, grip: Grip) -> Figure:
    """How wide what is held is."""
    held = given_mm(grip.words, grip.across_mm, work.job.unit)
    return along(work, "held on", grip.across_mm, grip.words, held)


def hold_again(work: Work, chucking: Chucking) -> Operation:
    """Turn the piece end for end and hold it by what is finished, a short piece as its length allows."""
    grip = chucking.grip
    short = grip.length_mm < LEAST_GRIP_MM and not (grip.on_thread or grip.tapered)
    figures = {
        "grip": held_on(work, grip),
        "stick_out": stick_out_figure(work, chucking),
        "ratio": ratio_figure(chucking),
        "gripped": along(
            work,
            "maximum length in the jaws",
            grip.length_mm,
            "held behind the jaws' face",
            given_mm("held behind the jaws' face", grip.length_mm, work.job.unit),
        ),
    }
    bush = _BUSHES[grip.tapered] if grip.on_thread or grip.tapered else ""
    into = bush or ("soft jaws bored to fit it" if short else "the chuck")
    flats = " flats" if grip.flats else ""
    outward = end_named(work.part, chucking.faces) or NOT_MADE
    return Operation(
        key=keyed("hold", chucking.faces),
        kind="hold",
        title="Turn end for end",
        sentence=f"Turn the piece end for end, {outward} outward. Hold it in {into} by {grip.words}, {{grip}} across"
        f"{flats}, with {{stick_out}} sticking out.",
        headline="stick_out",
        figures=figures,
        tool="four-jaw chuck" if grip.flats and work.part.stock.form == "square" else "three-jaw chuck",
        edge="",
        cautions=(cautions.KEY_OUT,),
        notes=(*_thread_guard(chucking), SHORT_GRIP if short else CLEAN_JAWS),
        dimensions=(measures.run_out(),),
        acts=(gripped(chucking),),
        chucking=chucking.number,
        figure_words="out",
    )


def centre_stays(work: Work, chucking: Chucking) -> str:
    """How long the centre stays in: a die wants it out of its way, a threading tool does not."""
    cut = [placed.thread for placed in chucking.made if placed.thread is not None]
    if any(not one.cutter.on_leadscrew and not work.off_lathe(one) for one in cut):
        return CENTRE_STAYS
    return CENTRE_STAYS_ON if any(one.cutter.on_leadscrew for one in cut) else CENTRE_STAYS_IN


def centre(work: Work, chucking: Chucking) -> Operation | None:
    """Centre-drill, and bring up the centre where the work is not drawn out first; in a hole's mouth if any."""
    drawn = "turn" not in chucking.does
    bored = any(found.bore.end == chucking.faces for found in work.bores)
    if not chucking.centred or (drawn and bored):
        return None
    end = chucking.placed[0].end_mm
    unit = work.job.unit
    cone = Figure(
        "cone across",
        convert(min(end, 20.0) * 0.4, "mm", unit),
        unit,
        "0.4 × smallest of (end, 20 mm)",
        PRACTICE,
        (given_mm("end", end, unit), given_mm("20 mm", 20.0, unit)),
        fine=False,
    )
    drill = "Centre-drill the end, with the cone about {cone} in diameter"
    bring = ". Oil it and bring up the tailstock centre." if not drawn else "."
    return Operation(
        key=keyed("centre", chucking.faces),
        kind="centre",
        title="Bring up the centre"
        if bored
        else "Centre-drill the end"
        if drawn
        else "Centre-drill, bring up the centre",
        sentence=IN_THE_MOUTH if bored else drill + bring,
        headline="",
        figures={} if bored else {"cone": cone},
        tool="tailstock centre" if bored else "centre drill in the tailstock chuck",
        edge="",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(*(() if drawn else (centre_stays(work, chucking),)), *(() if bored else (CENTRE_SHOWS,))),
        acts=(Centre(chucking.faces, 0.0 if bored else in_mm(cone), brought_up=not drawn),),
        chucking=chucking.number,
        figure_words="centred",
    )
