"""Setting up for a thread cut with a single point: gears, compound, tool."""

from __future__ import annotations

from lathework import cautions
from lathework.figures import GEOMETRY, Figure, Given
from lathework.lathe.acts import SetUp
from lathework.methods.infeed import compound_angle
from lathework.methods.tool_form import POINT_FORMS
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.steps.threads.starts import climbing, infeed_of
from lathework.planning.steps.threads.threading_tool import at_once, point_of, tip_figure
from lathework.planning.threads.driving import LEAD_LEFT
from lathework.planning.threads.gearing import Gearing
from lathework.planning.threads.thread_work import ThreadWork
from lathework.planning.work import Work
from lathework.threads.thread import Thread
from lathework.units import convert

SCRATCH = "Take a first scratch pass, just touching, and check it with the pitch gauge before you cut any deeper."
WEAK_ROOT = "A sharp point makes a deep, weak root: hone a flat on it if strength matters."
WIDE = "It leaves its own width unfinished at a shoulder: make a groove as wide, or stop there."
AT_ONCE = "A taper chaser in soft metal cuts in one pass at full depth: its own taper makes the taper of the thread."
NOT_TO_THE_TAPER = "Set it square to the axis, not to the taper."


def _set_over(work: Work, thread: Thread) -> Figure:
    """What the tailstock is set over between centres: the length of the work x taper / 2."""
    unit = work.job.unit
    long = convert(work.part.overall_mm, "mm", unit)
    return Figure(
        "tailstock set over",
        long * thread.taper / 2,
        unit,
        "length × taper ÷ 2",
        GEOMETRY,
        (Given("length", long, unit), Given("taper", thread.taper)),
    )


def _compound(thread: Thread) -> str:
    """Which way the compound is swung: the tool goes in along the flank that leads, the other only cleans."""
    toward = "headstock" if thread.hand == "left" else "tailstock"
    return (
        "Set the top slide {compound} from the cross-slide direction (on a scale marked from the lathe "
        f"axis, 90° minus that), its handle toward the {toward}. "
    )


def _words(work: Work, thread: Thread) -> str:
    """Compound, taper and tool, after the gears."""
    compound, chaser = infeed_of(work, thread) == "compound", point_of(work, thread)[0] == "chaser"
    words = _compound(thread) if compound else ""
    if work.job.method.infeed == "compound" and not compound:
        words = "Set the top slide parallel to the bed: it moves the tool on to the next start. "
    if thread.taper and not at_once(work, thread):
        words += (
            "Set the taper attachment to 1 in 16. Or work between centres with the tailstock set over by {set_over}. "
        )
    held = "Set the tool on centre, square by the centre gauge"
    if chaser:
        held = "Hold the chaser on centre, its teeth along the axis, so that it cannot turn"
    return f"{words}{held}; touch the blank and set {'both dials' if compound else 'the dial'} to zero."


def _figures(work: Work, thread: Thread, deep: Figure) -> dict[str, Figure]:
    """What the words name, and the tool's point."""
    point, tip = point_of(work, thread)
    figures = {"depth": deep}
    if infeed_of(work, thread) == "compound":
        figures["compound"] = compound_angle(thread.form.angle_deg)
    if thread.taper and not at_once(work, thread):
        figures["set_over"] = _set_over(work, thread)
    if tip:
        figures["tip"] = tip_figure(thread, point, tip, typed=work.job.method.tip is not None)
    return figures


def _notes(work: Work, thread: Thread) -> tuple[str, ...]:
    point = point_of(work, thread)[0]
    said = (
        (True, SCRATCH),
        (point == "chaser", WIDE),
        (point != "chaser" and thread.taper > 0, NOT_TO_THE_TAPER),
        (at_once(work, thread), AT_ONCE),
        (point == "sharp", WEAK_ROOT),
        (thread.hand == "left", LEAD_LEFT),
    )
    return tuple(note for here, note in said if here)


def set_up(
    work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork, deep: Figure, geared: Gearing
) -> Operation:
    """Gears, top slide, tool: before the first pass of a thread that goes `deep` and is `geared` so."""
    thread = thread_work.thread
    return Operation(
        key=keyed("gear", placed.section.id),
        kind="gear",
        title="Set up for screwcutting",
        sentence=f"{geared.words} {_words(work, thread)}",
        headline="advance",
        figures=geared.figures | _figures(work, thread, deep) | climbing(thread)[0],
        tool=f"outside threading tool, {thread.form.angle_deg:g}°, {POINT_FORMS[point_of(work, thread)[0]].name}",
        edge="point",
        cautions=(cautions.GEARS,),
        notes=(*geared.notes, *climbing(thread)[1], *_notes(work, thread)),
        acts=(SetUp(placed.section.id),),
        chucking=chucking.number,
        thread=thread,
        class_name=thread_work.class_name,
        makes=makes(thread=thread.designation),
    )
