"""How deep a hole is drilled, and what the part has left round it."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from math import fsum

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given, added
from lathework.holes.depth import POINT_SHARE, Tap, chip_room, drill_depth, tap_named
from lathework.lengths import Length
from lathework.part.bores import BLIND_TAP, BoreWork
from lathework.part.ends import nominal_mm
from lathework.part.model import MILLED, Bore, Part
from lathework.part.stock import FORM_FLATS
from lathework.threads.taper import TAPER, taper_lengths
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

FLOOR_MM = 1.0
"""Least metal left under the point of a drill in a blind hole (practice)."""
ALIKE_MM = 1e-6
"""Lengths in millimetres that differ by no more are one."""
RECESS_TURNS = 2.0
"""Width in pitches of the recess at the bottom of a chased hole (practice)."""


def _beyond(bore_work: BoreWork, beyond_mm: float, *, dead_end: bool) -> dict[str, float]:
    """What a hole along the axis is drilled deeper than the part, in millimetres, by name: into metal that goes.

    Where it is tapped while the part is on its bar, the tap's lead and its chips need as much room there as below a
    blind thread; a chaser runs out there.
    """
    thread = bore_work.bore.thread
    parted = {"allowance for parting and facing": beyond_mm}
    if thread is None or not dead_end or bore_work.taper is not None:
        return parted
    if bore_work.chased:
        room = {"run-out": RECESS_TURNS * thread.pitch_mm}
    else:
        tap = tap_of(bore_work)
        room = {
            "chamfer of the tap": tap.lead_turns * thread.pitch_mm,
            "room for chips": chip_room(tap) * thread.pitch_mm,
        }
    return room if fsum(room.values()) > beyond_mm else parted


def _point_mm(bore_work: BoreWork) -> float:
    """Length of the drill's point; a boring tool has none."""
    return 0.0 if bore_work.bored else POINT_SHARE * bore_work.drill_mm


def tap_of(bore_work: BoreWork) -> Tap:
    """The tap that a hole is drilled deep enough for."""
    return tap_named("form" if bore_work.bore.cutter.forms else BLIND_TAP)


def _through(
    bore_work: BoreWork, thick_mm: float, beyond_mm: float, unit: LengthUnit, *, dead_end: bool = False
) -> Figure:
    across, point = bore_work.bore.end == "across", {"point": _point_mm(bore_work)}
    lengths = {"thickness" if across else "overall length": thick_mm}
    lengths |= {} if across else _beyond(bore_work, beyond_mm, dead_end=dead_end)
    inputs = tuple(Given(name, convert(mm, "mm", unit), unit) for name, mm in (lengths | point).items())
    return Figure(
        "drill deep",
        convert(fsum((lengths | point).values()), "mm", unit),
        unit,
        added(inputs),
        PRACTICE,
        inputs,
        fine=False,
        note="On the bar this hole is blind: the tap needs that room behind the part." if dead_end else "",
    )


def _recessed(depth: Length, thread: Thread, unit: LengthUnit) -> Figure:
    """How deep a blind hole is bored whose thread is chased: the tool runs out into a recess."""
    recess = RECESS_TURNS * thread.pitch_mm
    return Figure(
        "bore deep",
        convert(depth.mm + recess, "mm", unit),
        unit,
        "depth of thread + recess",
        PRACTICE,
        (Given("depth of thread", depth.value, depth.unit), Given("recess", convert(recess, "mm", unit), unit)),
        fine=False,
    )


def depth_figure(
    bore_work: BoreWork, thick_mm: float, beyond_mm: float, unit: LengthUnit, *, dead_end: bool = False
) -> Figure:
    """How deep to drill, to the point, told in `unit`.

    A blind tapped hole takes the lead of a second tap and room for chips; a through one goes `beyond_mm` past
    `thick_mm`, the overall length, or the thickness for a hole across (both millimetres), and as far as the tap needs
    where it is tapped while it ends in the bar, a `dead_end`. Source: practice.
    """
    bore, point = bore_work.bore, _point_mm(bore_work)
    if bore.depth is None:
        return _through(bore_work, thick_mm, beyond_mm, unit, dead_end=dead_end)
    if bore_work.taper is not None and bore.thread is not None:
        deep = bore_work.taper.depth
        return replace(deep, value=convert(deep.value, bore.thread.unit, unit), unit=unit)
    if bore_work.chased and bore.thread is not None:
        return _recessed(bore.depth, bore.thread, unit)
    if bore.thread is not None:
        tap, thread = tap_of(bore_work), bore.thread
        deep = drill_depth(
            thread,
            tap,
            convert(bore.depth.mm, "mm", thread.unit),
            convert(0.0 if bore_work.bored else bore_work.drill_mm, "mm", thread.unit),
        )
        return Figure(
            "drill deep",
            convert(deep.value, thread.unit, unit),
            unit,
            deep.formula,
            PRACTICE,
            deep.inputs,
            fine=False,
            note="For a second tap; finish with a bottoming tap." if bore.cutter.in_sets else tap.remark,
        )
    inputs = (Given("depth", bore.depth.value, bore.depth.unit), Given("point", convert(point, "mm", unit), unit))
    value = convert(bore.depth.mm + point, "mm", unit)
    name = "bore deep" if bore_work.bored else "drill deep"
    return Figure(name, value, unit, "depth + point", PRACTICE, inputs, fine=False)


def largest_mm(bore: Bore) -> float:
    """Largest diameter of a hole: its thread's major, or its drill, in millimetres."""
    if bore.thread is not None:
        return bore.thread.major_mm
    return bore.across.mm if bore.across is not None else 0.0


def _narrowing_mm(thread: Thread) -> float:
    """By how much a taper thread is narrower at its small end than at its gauge plane, in millimetres."""
    lengths = taper_lengths(thread) if thread.taper else None
    return TAPER * convert(lengths.gauge_length.value, thread.unit, "mm") if lengths is not None else 0.0


def outside_mm(part: Part, number: int) -> float:
    """What a section leaves round a hole: its flats, the root of its thread, or its diameter."""
    section, outside = part.sections[number], nominal_mm(part, number)
    if section.thread is not None:
        outside = section.thread.root_mm - _narrowing_mm(section.thread)
    if section.taper is not None:
        outside = section.small_mm
    if section.across is not None and section.shape in MILLED:
        return min(outside, section.across.mm)
    form = part.stock.form
    return min(outside, part.stock.across.mm) if section.shape == "bar" and form in FORM_FLATS else outside


def spans(part: Part) -> Iterator[tuple[float, float, int]]:
    """Where each section begins and ends behind the right-hand end (millimetres), and its number."""
    near = 0.0
    for number, section in enumerate(part.sections):
        yield near, near + section.length.mm, number
        near += section.length.mm


def _least_mm(part: Part, bore: Bore, depth_mm: float) -> float:
    """Least that the sections over `depth_mm` from the mouth of a hole leave outside."""
    whole = part.overall_mm
    return min(
        (
            outside_mm(part, number)
            for near, far, number in spans(part)
            if (near if bore.end == "right" else whole - far) < depth_mm - ALIKE_MM
        ),
        default=float("inf"),
    )


def wall_mm(part: Part, bore: Bore, drilled: tuple[float, float] | None = None) -> float:
    """Least wall round a hole, in millimetres: over its thread or plain depth, and over what is drilled below it.

    `drilled` is the drill's diameter and the depth to its point, where they are known (both millimetres).
    """
    depth = part.overall_mm if bore.depth is None else bore.depth.mm
    wall = (_least_mm(part, bore, depth) - largest_mm(bore)) / 2
    if drilled is None:
        return wall
    across, deep = drilled
    return min(wall, (_least_mm(part, bore, deep) - across) / 2)


def wall_figure(part: Part, bore_work: BoreWork, deep_mm: float, unit: LengthUnit) -> Figure:
    """The wall left round a hole drilled `deep_mm` (millimetres) to its point, told in `unit`."""
    wall = wall_mm(part, bore_work.bore, (bore_work.drill_mm, min(deep_mm, part.overall_mm)))
    return Figure(
        "wall left",
        convert(wall, "mm", unit),
        unit,
        "(outside − hole) ÷ 2, at its thinnest",
        GEOMETRY,
        (
            Given("outside", convert(2 * wall + largest_mm(bore_work.bore), "mm", unit), unit),
            Given("hole", convert(largest_mm(bore_work.bore), "mm", unit), unit),
        ),
        fine=False,
    )
