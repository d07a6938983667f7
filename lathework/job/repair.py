"""A stud repair worked out: the damaged end cut off and tapped, a stud to suit, a nut; as one job of three parts."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from lathework.cutting.groove import SHORTEST_THREAD
from lathework.errors import InputError
from lathework.figures import AS_TYPED, Figure, Given
from lathework.holes.drill_choice import choose, wanted_percent
from lathework.holes.strength import strip
from lathework.job.reading.repair_document import Json, RepairSizes, repair_document
from lathework.job.stud import engagement, hole_thread, nut_end, projection, stud_length
from lathework.lengths import Length, Span, read_length, within
from lathework.part.nuts import nut_sizes
from lathework.shop.metals import Material, materials
from lathework.shop.racks import owned
from lathework.threads.designation import read_called
from lathework.threads.limits import external_limits, internal_limits
from lathework.threads.standards.bands import ExternalLimits, InternalLimits
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

ACROSS = Span("A diameter", 2, 150)
THICK = Span("A thickness", 0.0, 200)
PIECES = Span("A length", 0.5, 200)


@dataclass(frozen=True, slots=True)
class AskedRepair:
    """What the person enters, as typed; "" for the usual. A bare number is in `unit`.

    `across` is the part's diameter where it is cut; `clamped` what lies between its new face and the washer.
    """

    title: str = ""
    unit: str = "in"
    across: str = ""
    thread: str = ""
    metal: str = ""
    stud_metal: str = ""
    clamped: str = ""
    washer: str = ""
    nut: str = ""
    out: str = ""
    engaged: str = ""
    drills: str = ""


@dataclass(frozen=True, slots=True)
class StudRepair:
    """A repair: its sizes, its figures in the order of work, and the job document of its three parts; `across` is the
    part where it is cut."""

    sizes: RepairSizes
    across: Length
    figures: tuple[Figure, ...]
    document: Json

    @property
    def thread(self) -> Thread:
        """That of stud, hole and nut."""
        return self.sizes.thread


class _Asked:
    """Reads what was asked, in the thread's unit."""

    def __init__(self, asked: AskedRepair) -> None:
        self.asked = asked
        self.unit: LengthUnit = "mm" if asked.unit == "mm" else "in"

    def length(self, field: str, span: Span) -> Length | None:
        text = str(getattr(self.asked, field)).strip()
        return within(read_length(text, self.unit, field), span, field) if text else None

    def needed(self, field: str, span: Span) -> Length:
        found = self.length(field, span)
        if found is None:
            raise InputError("empty", field, "Type a value.")
        return found

    def metal(self, field: str) -> Material:
        code, known = str(getattr(self.asked, field)) or "mild-steel", materials()
        if code not in known:
            raise InputError("unknown-choice", field, f"Choose one of {', '.join(known)}.", tuple(known))
        return known[code]

    def thread(self) -> tuple[Thread, ExternalLimits, InternalLimits]:
        try:
            called = read_called(self.asked.thread)
        except InputError as error:
            raise error.at("thread") from None
        thread = called.thread
        if called.class_name:
            text = "Leave the class out here: choose it for stud and hole on the plan."
            raise InputError("class-not-here", "thread", text, (thread.designation,))
        external, internal = external_limits(thread), internal_limits(thread)
        if external is None or internal is None:
            raise InputError("not-for-a-stud", "thread", f"{thread.designation} cannot be used for a stud and a nut.")
        return thread, external, internal


def _in(length: Length | None, unit: LengthUnit) -> float | None:
    return None if length is None else convert(length.mm, "mm", unit)


def _sizes(read: _Asked) -> RepairSizes:
    thread, external, internal = read.thread()
    unit = thread.unit
    metal, stud_metal = read.metal("metal"), read.metal("stud_metal")
    pick, _ = choose(
        thread, internal, owned(read.asked.drills, read.unit), wanted_percent(metal, thread), swells=metal.swells
    )
    bore = min(pick.hole.value, thread.major) if pick else internal.minor.maximum
    held = strip(thread, external, internal, hole=bore, bolt_strength=stud_metal.tensile, hole_strength=metal.tensile)
    engaged, typed = engagement(thread, held), _in(read.length("engaged", PIECES), unit)
    if typed is not None:
        _long_enough(typed, thread, "engaged")
        engaged = Figure(
            "stud screwed in",
            typed,
            unit,
            "as you entered it",
            AS_TYPED,
            kind="typed",
            fine=False,
            note=_short(typed, engaged),
        )
    across_flats, height = nut_sizes(thread)
    out = projection(thread)
    clamped, washer = _in(read.length("clamped", THICK), unit) or 0.0, _in(read.length("washer", THICK), unit) or 0.0
    nut = _in(read.length("nut", PIECES), unit) or height.value
    beyond = out.value if not read.asked.out.strip() else _in(read.length("out", THICK), unit) or 0.0
    stack = (
        Given("stud screwed in", engaged.value, unit),
        Given("clamped part", clamped, unit),
        Given("washer", washer, unit),
        Given("nut", nut, unit),
        Given("past the nut", beyond, unit),
    )
    length = stud_length(tuple(one for one in stack if one.value > 0))
    nut_thread = nut_end(thread, washer + nut + beyond, clamped)
    _long_enough(nut_thread.value, thread, "nut")
    return RepairSizes(
        thread,
        metal,
        stud_metal,
        engaged,
        hole_thread(thread, engaged.value),
        length,
        nut_thread,
        length.value - engaged.value - nut_thread.value,
        across_flats,
        height
        if not read.asked.nut.strip()
        else Figure("height of the nut", nut, unit, "as you entered it", AS_TYPED, fine=False, kind="typed"),
        clamped,
        washer,
        beyond,
    )


def _long_enough(length: float, thread: Thread, field: str) -> None:
    """A thread of fewer than four turns cannot be cut: the die's lead alone takes three."""
    if length < SHORTEST_THREAD * thread.pitch:
        text = f"This leaves fewer than {SHORTEST_THREAD} turns of thread. The chamfer of the die takes three."
        raise InputError("too-short", field, text)


def _short(typed: float, wanted: Figure) -> str:
    if typed >= wanted.value - 1e-9:
        return wanted.note
    return f"Under {wanted.value:.3g} {wanted.unit} a thread may strip before the stud breaks."


def stud_repair(asked: AskedRepair, method: Mapping[str, Any], setup: Mapping[str, Any]) -> StudRepair:
    """The repair for what was asked, made in `method` on the lathe of `setup` (as in a job document).

    Raises InputError on "across", "thread", "metal", "stud_metal", "clamped", "washer", "nut", "out", "engaged" or
    "drills".
    """
    read = _Asked(asked)
    across, made, unit = read.needed("across", ACROSS), _sizes(read), read.unit
    if made.thread.major_mm >= across.mm:
        raise InputError("does-not-fit", "thread", f"{made.thread.designation} is as large as the part it goes into.")
    document = repair_document(made, across, unit, asked.title.strip()) | {"setup": dict(setup)}
    for part in (document, *document["others"]):
        part["method"] = {**method, **part["method"]}
    figures = (made.engaged, made.hole, made.length, made.nut_thread, made.across_flats, made.height)
    return StudRepair(made, across, figures, document)
