"""The point of a threading tool, and how deep it goes to leave the pitch diameter that is wanted."""

from __future__ import annotations

import math
from dataclasses import dataclass

from lathework.figures import GEOMETRY, Figure, Given
from lathework.shop.kit_choices import Point
from lathework.threads.forms import BA_FORM, WHITWORTH, Form
from lathework.threads.thread import Thread

STANDARD_FLAT = 1 / 8
"""Flat of a tool ground for a 60 degree thread, in pitches: that of the basic profile's crest (ASME B1.1, ISO 68-1)."""
ROOT_RADIUS: dict[float, float] = {
    WHITWORTH.angle_deg: 0.137329,
    BA_FORM.angle_deg: 2 / 11,
    60.0: 0.144338,
}
"""Radius of the root in pitches by flank angle: BS 84, BS 93, and H/6 of a 60 degree triangle (ISO 68-1, the largest
that touches the flanks where the basic profile ends)."""
SQUARE_FLAT = {29.0: 0.3707, 30.0: 0.366}
"""Flat of a tool for a trapezoidal thread in pitches: ASME B1.5 and ISO 2901, basic profile."""


@dataclass(frozen=True, slots=True)
class PointForm:
    """What one says of a tool's point: its name and what it makes of the root. Source: practice."""

    code: Point
    name: str
    remark: str


POINT_FORMS: dict[Point, PointForm] = {
    "flat": PointForm("flat", "small flat", "honed to the flat of the form: the usual for 60 degrees"),
    "radius": PointForm("radius", "rounded", "honed to the radius of the root: for 55 and 47.5 degrees"),
    "sharp": PointForm("sharp", "sharp", "goes deeper to the same flanks and leaves a weak, sharp root"),
    "full-form": PointForm("full-form", "full form", "rounds crest and root as well: one tip for each pitch"),
    "chaser": PointForm("chaser", "a die chaser", "a chaser of that pitch held as a tool: a full form, any diameter"),
}


FULL: tuple[Point, ...] = ("full-form", "chaser")
"""Points that have the whole form: they go to its minor diameter."""


def usual_point(form: Form) -> Point:
    """The point a tool for a thread of that form commonly has: rounded where the form is. Source: practice."""
    return "radius" if form.rounded else "flat"


def standard_tip(thread: Thread, point: Point) -> float:
    """Flat or radius of a tool ground for the thread, in its unit; 0 for a sharp or a full-form one.

    A flat is P/8, or that of a trapezoidal form, narrowed so that the tool clears the nut's crest; a radius that of the
    form's root.
    """
    angle = thread.form.angle_deg
    if point == "flat":
        narrower = 2 * thread.crest_clearance * math.tan(math.radians(angle / 2))
        return SQUARE_FLAT.get(angle, STANDARD_FLAT) * thread.pitch - narrower
    return ROOT_RADIUS.get(angle, ROOT_RADIUS[60.0]) * thread.pitch if point == "radius" else 0.0


def _tip_loss(thread: Thread, point: Point, tip: float) -> tuple[str, float]:
    """How much shorter a tool is than a sharp one, in words and in the thread's unit."""
    half = math.radians(thread.form.angle_deg / 2)
    if point == "flat":
        return " − tip ÷ (2 × tan(half angle))", tip / (2 * math.tan(half))
    if point == "radius":
        return " − tip × (1 ÷ sin(half angle) − 1)", tip * (1 / math.sin(half) - 1)
    return "", 0.0


def thread_depth(
    thread: Thread, *, blank: float, pitch_diameter: float, point: Point, tip: float, inside: bool = False
) -> Figure:
    """How deep a tool goes, square to the axis, from touching the `blank` until the flanks stand at `pitch_diameter`.

    h = (d - d2)/2 + P / (4 tan(a/2)), less what its point is shorter than a sharp one: f / (2 tan(a/2)) for a flat,
    r (1/sin(a/2) - 1) for a radius. `blank`, `pitch_diameter` and `tip` (flat or radius) in the thread's unit. A full
    form goes to the form's own minor diameter, as far under the pitch diameter as that lies. `inside`, where the blank
    is a bore, it is (d2 - bore)/2, and a full form goes to the major diameter. Source: plane geometry.

    >>> from lathework.threads.designation import read_designation
    >>> half = read_designation("1/2-13")
    >>> round(thread_depth(half, blank=0.5, pitch_diameter=0.5 - 0.649519 / 13, point="sharp", tip=0).value * 13, 4)
    0.7578
    """
    unit, form = thread.unit, thread.form
    name, sign = ("bore", -1) if inside else ("blank", 1)
    to_pitch_line = "(pitch diameter − bore) ÷ 2" if inside else "(blank − pitch diameter) ÷ 2"
    inputs = (Given(name, blank, unit), Given("pitch diameter", pitch_diameter, unit))
    if point in FULL:
        beyond = (thread.major - thread.pitch_diameter if inside else thread.pitch_diameter - thread.minor) / 2
        word = "major over pitch line" if inside else "minor under pitch line"
        return Figure(
            "depth of the thread",
            sign * (blank - pitch_diameter) / 2 + beyond,
            unit,
            f"{to_pitch_line} + {word}",
            form.source,
            (*inputs, Given(word, beyond, unit)),
        )
    words, loss = _tip_loss(thread, point, tip)
    half = form.angle_deg / 2
    sharp = sign * (blank - pitch_diameter) / 2 + thread.pitch / (4 * math.tan(math.radians(half)))
    return Figure(
        "depth of the thread",
        sharp - loss,
        unit,
        f"{to_pitch_line} + pitch ÷ (4 × tan(half angle)){words}",
        GEOMETRY,
        (
            *inputs,
            Given("pitch", thread.pitch, unit),
            Given("half angle", half, "°"),
            *((Given("tip", tip, unit),) if words else ()),
        ),
    )


def widest_tip(thread: Thread, point: Point) -> Figure:
    """The widest point that still clears the crest of the mate, in the thread's unit: a quarter of the pitch wide as a
    flat, that of the root as a radius. Source: plane geometry of the basic profile."""
    wide = STANDARD_FLAT * 2 if point == "flat" else ROOT_RADIUS.get(thread.form.angle_deg, ROOT_RADIUS[60.0])
    return Figure(
        "widest point",
        wide * thread.pitch,
        thread.unit,
        "share × pitch",
        GEOMETRY,
        (Given("share", wide), Given("pitch", thread.pitch, thread.unit)),
    )
