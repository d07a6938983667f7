"""The threading tool of a step: how it is ground, how deep it goes, how fast the work may turn."""

from __future__ import annotations

from dataclasses import replace

from lathework.cutting.mate_blank import opened_by
from lathework.cutting.speeds import geared
from lathework.figures import AS_TYPED, GEOMETRY, Figure, Given
from lathework.methods.infeed import along_compound, compound_angle, on_cross_slide
from lathework.methods.run_out import fastest
from lathework.methods.tool_form import POINT_FORMS, standard_tip, thread_depth, usual_point
from lathework.methods.ways.tools import FASTER
from lathework.planning.holdings.order import HOLD_CLEARANCE_MM
from lathework.planning.steps.outside.taper import SOFT_N_MM2
from lathework.planning.steps.threads.starts import infeed_of
from lathework.planning.threads.thread_work import ThreadWork
from lathework.planning.work import Work
from lathework.shop.kit_choices import Point
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

TRY_FROM = 0.75
"""Share of the infeed from which the mate is tried, or the thread measured over wires (practice)."""
PICK_UP = (
    "Tool moved, or piece taken out and put back? Close the half nuts and turn the spindle forward by hand to take up "
    "backlash. Bring the tool into the thread with both slides, then set the dials to zero."
)
FREE_MM = 25.0
"""Room before the free end of the work in which a left-hand pass comes to rest (practice)."""


def point_of(work: Work, thread: Thread) -> tuple[Point, float]:
    """How the tool is ground and its flat or radius in the thread's unit: as said, or as the thread's form has it."""
    method = work.job.method
    point: Point = method.point or usual_point(thread.form)
    tip = convert(method.tip.mm, "mm", thread.unit) if method.tip is not None else standard_tip(thread, point)
    return point, tip if point in ("flat", "radius") else 0.0


def at_once(work: Work, thread: Thread) -> bool:
    """Whether the chaser of a taper die cuts it in one pass: in a soft metal it may, its own taper making the thread's.

    Source: practice.
    """
    chaser = point_of(work, thread)[0] == "chaser"
    return chaser and thread.taper > 0 and work.job.material.cutting_force <= SOFT_N_MM2


def aim(thread_work: ThreadWork) -> float:
    """The pitch diameter to be cut, in the thread's unit: that of the mate it is made to, less clearance; the middle of
    its class; or the basic one."""
    limits, thread = thread_work.limits, thread_work.thread
    if thread_work.mate is not None:
        return thread.pitch_diameter + opened_by(thread, thread_work.mate).value
    if limits is None:
        return thread.pitch_diameter
    return (limits.pitch_diameter.minimum + limits.pitch_diameter.maximum) / 2


def depth_of(work: Work, thread_work: ThreadWork) -> Figure:
    """How deep the tool goes from touching the blank, in the thread's unit."""
    thread = thread_work.thread
    point, tip = point_of(work, thread)
    # A taper's blank and flanks stand as far apart all along it.
    blank = thread.major if thread.taper else convert(thread_work.blank_mm, "mm", thread.unit)
    return thread_depth(thread, blank=blank, pitch_diameter=aim(thread_work), point=point, tip=tip)


def _room_mm(thread_work: ThreadWork) -> float:
    """What the tool has to come to rest in: the groove, one turn at a shoulder without, else what the jaws leave. One
    that cuts a left hand runs off the free end."""
    if thread_work.thread.hand == "left":
        return FREE_MM
    if thread_work.groove is not None:
        return thread_work.groove_width_mm
    lead = convert(thread_work.thread.lead, thread_work.thread.unit, "mm")
    return lead if thread_work.shoulder else HOLD_CLEARANCE_MM


def cutting_speed(work: Work, thread_work: ThreadWork) -> Figure:
    """That of the metal, or as fast as a hand can still react."""
    return speed_within(work, thread_work.thread, _room_mm(thread_work))


def speed_within(work: Work, thread: Thread, room_mm: float) -> Figure:
    """That of the metal, or as fast as a hand can still react in `room_mm` (millimetres)."""
    wanted = work.speed(work.job.material.thread_speed * FASTER, thread.major_mm)
    most = fastest(thread, room_mm)
    if wanted.value <= most.value:
        return wanted
    return geared(replace(most, name="speed"), work.job.setup.speeds)


def tip_figure(thread: Thread, point: Point, tip: float, *, typed: bool) -> Figure:
    """The flat or radius at the point, `tip` in the thread's unit: as somebody `typed` it, or as the form has it."""
    share = tip / thread.pitch
    name = f"{POINT_FORMS[point].name} at the point"
    if typed:
        return Figure(name, tip, thread.unit, "as typed", AS_TYPED, kind="typed")
    given = (Given("share of the pitch", share), Given("pitch", thread.pitch, thread.unit))
    return Figure(name, tip, thread.unit, "share of the pitch × pitch", thread.form.source, given)


def slide_of(work: Work, thread: Thread, deep: Figure, *, inside: bool = False) -> dict[str, Figure]:
    """How far the slide that feeds goes in all for a thread `deep` as that, and what it is set over where that is the
    compound."""
    if infeed_of(work, thread) != "compound":
        return {"infeed": on_cross_slide(deep, work.job.setup.dial, inside=inside)}
    angle = compound_angle(thread.form.angle_deg)
    return {"infeed": along_compound(deep, angle.value, inside=inside), "compound": angle}


def try_from(total: Figure, unit: LengthUnit) -> Figure:
    """From where on the mate is tried, on the dial that goes so far in all; told in `unit`."""
    whole = convert(total.value, "in" if total.unit == "in" else "mm", unit)
    return Figure(
        "try the mating part from",
        TRY_FROM * whole,
        unit,
        "three quarters × in all",
        GEOMETRY,
        (Given("three quarters", TRY_FROM), Given("in all", whole, unit)),
    )
