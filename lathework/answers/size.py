"""A thread sized at a glance: limits, blank, drills, groove, wires, from its designation alone."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from lathework.cutting.blank import BlankChoice, blank_choices
from lathework.cutting.groove import Groove, chamfer_diameter, groove, stress_area
from lathework.cutting.taper_blank import TaperBlank, taper_blank
from lathework.figures import Figure
from lathework.gauging.wires import best_wire, over_wires_within
from lathework.holes.drill_choice import TappingDrill, tapping_drills
from lathework.lengths import Span, read_length, within
from lathework.threads.designation import read_called
from lathework.threads.limits import class_as_named, external_limits, internal_limits, is_internal_class
from lathework.threads.standards.bands import ExternalLimits, InternalLimits
from lathework.threads.taper import TaperLengths, taper_lengths
from lathework.threads.thread import Thread
from lathework.units import convert

ENGAGED = Span("A length of engagement", 0.2, 600)


@dataclass(frozen=True, slots=True)
class Size:
    """All that can be said of a thread before there is a job; None where its standard or its kind has no answer."""

    thread: Thread
    external: ExternalLimits | None
    internal: InternalLimits | None
    blanks: tuple[BlankChoice, ...]
    drills: tuple[TappingDrill, ...]
    groove: Groove | None
    chamfer: Figure | None
    wire: Figure
    over_wires: tuple[Figure, Figure] | None
    stress_area: Figure | None
    taper: TaperLengths | None
    taper_blank: TaperBlank | None


@lru_cache(maxsize=2048)
def size_of(thread: Thread, class_name: str = "", internal_class: str = "", engagement: float | None = None) -> Size:
    """Size `thread`; lengths, `engagement` among them, in its own unit; "" is the usual class.

    Raises InputError on "class" or "internal_class" when the standard does not cover it.
    """
    external = external_limits(thread, class_name, engagement)
    parallel, wire = not thread.taper, best_wire(thread)
    internal = internal_limits(thread, internal_class, engagement)
    return Size(
        thread=thread,
        external=external,
        internal=internal,
        blanks=blank_choices(thread, external.major if external else None),
        drills=tapping_drills(thread, internal) if parallel and not thread.single_point else (),
        groove=groove(thread) if external else None,
        chamfer=chamfer_diameter(thread) if external else None,
        wire=wire,
        over_wires=over_wires_within(thread, wire.value, external) if external else None,
        stress_area=stress_area(thread) if parallel else None,
        taper=taper_lengths(thread),
        taper_blank=taper_blank(thread),
    )


def size(text: str, *, class_name: str = "", internal_class: str = "", engagement: str = "") -> Size:
    """Size the thread that `text` designates; a class said with it stands unless another is asked for.

    `engagement` is a length as typed, a bare number in the thread's unit; "" is the standard's own assumption.
    Raises InputError on "designation", "class", "internal_class", "engagement".
    """
    called = read_called(text)
    class_name, internal_class = (class_as_named(called.thread, name.strip()) for name in (class_name, internal_class))
    if called.class_name:
        if is_internal_class(called.thread, called.class_name):
            internal_class = internal_class or called.class_name
        else:
            class_name = class_name or called.class_name
    internal_class = internal_class or called.inside_class
    unit, length = called.thread.unit, None
    if engagement.strip():
        read = within(read_length(engagement, unit, "engagement"), ENGAGED, "engagement")
        length = convert(read.mm, "mm", unit)
    return size_of(called.thread, class_name, internal_class, length)
