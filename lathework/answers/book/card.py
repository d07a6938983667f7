"""Everything the shop asks of one thread: limits, gauges, wires, drills, plating, its letters explained."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.answers.size import Size, size
from lathework.drawing.profile.view import profile_sheet
from lathework.drawing.shapes import Sheet
from lathework.errors import InputError
from lathework.figures import AS_TYPED, Figure
from lathework.gauging.plating import before_plating, pitch_growth
from lathework.gauging.wires import (
    gauges,
    lead_angle_effect,
    micrometer_target,
    over_wires_within,
    wire_range,
    wires_in_the_drawer,
)
from lathework.holes.percent import percent_figures
from lathework.lengths import Span, read_length, within
from lathework.tables.drills import Drill
from lathework.threads.designation import read_called
from lathework.threads.explain import explain
from lathework.threads.families.family import Letter
from lathework.threads.limits import external_classes, internal_classes
from lathework.units import convert

WIRE = Span("A wire", 0.05, 10)
DRILL = Span("A drill", 0.2, 200)
PLATING = Span("A plating", 0.0005, 0.2)


@dataclass(frozen=True, slots=True)
class Asked:
    """What the person adds to the thread: lengths as typed, a bare number in the thread's unit, "" for none."""

    wire: str = ""
    drill: str = ""
    plating: str = ""


@dataclass(frozen=True, slots=True)
class Wires:
    """Three-wire figures: for the wire chosen (the best one unless typed), and what else would serve."""

    chosen: Figure
    over: tuple[Figure, Figure]
    range: tuple[Figure, Figure]
    lead_angle: Figure
    drawer: tuple[Drill, ...]
    serves: bool


@dataclass(frozen=True, slots=True)
class Card:
    """A thread's page in the book; `length` is a screw's, typed behind its designation, or ""."""

    size: Size
    length: str
    letters: tuple[Letter, ...]
    external_classes: tuple[str, ...]
    internal_classes: tuple[str, ...]
    wires: Wires | None
    micrometer: Figure | None
    gauges: tuple[Figure, ...]
    drill: tuple[Figure, ...]
    plating: tuple[Figure, ...]
    drawing: Sheet


def _length(text: str, sized: Size, span: Span, field: str) -> float:
    """A length as typed, in the thread's unit."""
    unit = sized.thread.unit
    return convert(within(read_length(text, unit, field), span, field).mm, "mm", unit)


def _wires(sized: Size, typed: str) -> Wires | None:
    limits, thread = sized.external, sized.thread
    if limits is None:
        if typed.strip():
            raise InputError("no-limits", "wire", f"{thread.designation} has no limits to measure over wires.")
        return None
    chosen = sized.wire
    if typed.strip():
        wire = _length(typed, sized, WIRE, "wire")
        chosen = Figure("your wire", wire, thread.unit, "as you entered it", AS_TYPED, kind="typed")
    least, greatest = wire_range(thread, limits)
    return Wires(
        chosen=chosen,
        over=over_wires_within(thread, chosen.value, limits),
        range=(least, greatest),
        lead_angle=lead_angle_effect(thread, chosen.value),
        drawer=wires_in_the_drawer(thread, limits),
        serves=least.value <= chosen.value <= greatest.value,
    )


def _plating(sized: Size, typed: str) -> tuple[Figure, ...]:
    if not typed.strip():
        return ()
    thickness = _length(typed, sized, PLATING, "plating")
    growth = pitch_growth(sized.thread, thickness)
    out = [growth]
    if sized.external is not None:
        out += before_plating(sized.external.pitch_diameter, growth.value, internal=False)
        out += before_plating(sized.external.major, 2 * thickness, internal=False)
    if sized.internal is not None:
        out += before_plating(sized.internal.pitch_diameter, growth.value, internal=True)
        out += before_plating(sized.internal.minor, 2 * thickness, internal=True)
    return tuple(out)


def card(
    text: str,
    *,
    class_name: str = "",
    internal_class: str = "",
    engagement: str = "",
    asked: Asked | None = None,
) -> Card:
    """The card of the thread that `text` designates, for classes and a length of engagement as `size` takes them.

    Raises InputError on "designation", "class", "internal_class", "engagement", "wire", "drill", "plating".
    """
    found = size(text, class_name=class_name, internal_class=internal_class, engagement=engagement)
    thread, asked = found.thread, asked or Asked()
    said = found.external.class_name if found.external else found.internal.class_name if found.internal else ""
    return Card(
        size=found,
        length=read_called(text).length,
        letters=explain(thread, said),
        external_classes=external_classes(thread),
        internal_classes=internal_classes(thread),
        wires=_wires(found, asked.wire),
        micrometer=micrometer_target(found.external) if found.external else None,
        gauges=gauges(found.external, found.internal),
        drill=percent_figures(thread, _length(asked.drill, found, DRILL, "drill")) if asked.drill.strip() else (),
        plating=_plating(found, asked.plating),
        drawing=profile_sheet(thread, found.external, found.internal),
    )
