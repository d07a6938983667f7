"""The job document of a stud repair: body, nut and stud, each as one would type it."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from lathework.figures import Figure
from lathework.job.stud import LEAST_PLAIN_TURNS
from lathework.lengths import Length
from lathework.part.nuts import next_step
from lathework.part.stock import corners_mm
from lathework.shop.metals import Material
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert, show_length, show_number

Json = dict[str, Any]
STANDS = 1.5
"""How far the part stands out of the chuck, over its diameter, where nothing hinders (practice)."""
DEEPER = 2.0
"""How far it stands out at least, over the depth of thread: the hole is drilled deeper than that (practice)."""
COMPOUND = (
    "Degrease hole and stud. Put retaining compound on the body end (follow its data sheet; ventilate, keep "
    "it off the skin). Screw the stud in {engaged} and let it cure before loading it. Then fit washer and "
    "nut."
)


@dataclass(frozen=True, slots=True)
class RepairSizes:
    """The sizes of a stud repair, in the unit of its thread; `plain` is what lies between the stud's threads, the
    last three what lies between the part's new face and the washer, the washer, and what is left past the nut."""

    thread: Thread
    metal: Material
    stud_metal: Material
    engaged: Figure
    hole: Figure
    length: Figure
    nut_thread: Figure
    plain: float
    across_flats: Figure
    height: Figure
    clamped: float
    washer: float
    past: float


ALIKE_MM = 0.05
"""Millimetres within which bar as bought is the size of the thread (practice)."""


def _text(value: float, unit: LengthUnit, into: LengthUnit) -> str:
    """A length as one would type it in the job's unit."""
    text = show_number(convert(value, unit, into), 4 if into == "in" else 2)
    return text.rstrip("0").rstrip(".") if "." in text else text


def _section(own: str, shape: str, length: str = "", **more: str) -> Json:
    return {"id": own, "shape": shape, "across": "", "length": length, "thread": "", "chamfer": ""} | more


def _stud(sizes: RepairSizes, unit: LengthUnit) -> Json:
    """The stud's part: two threads with a plain length between, or one thread from end to end."""
    thread, own = sizes.thread, sizes.thread.unit
    name, overall = thread.designation, _text(sizes.length.value, own, unit)
    bar = next_step(convert(thread.major, own, unit), unit)
    sections = [_section("s1", "thread", overall, thread=name)]
    if sizes.plain >= LEAST_PLAIN_TURNS * thread.pitch:
        as_bought = abs(convert(bar, unit, "mm") - thread.major_mm) < ALIKE_MM
        middle = _section("s2", "bar") if as_bought else _section("s2", "round", across=_text(thread.major, own, unit))
        sections = [
            _section("s1", "thread", _text(sizes.nut_thread.value, own, unit), thread=name),
            middle,
            _section("s3", "thread", _text(sizes.engaged.value, own, unit), thread=name),
        ]
    return {
        "id": "p3",
        "name": "stud",
        "stock": {"form": "round", "across": _text(bar, unit, unit), "bar_length": ""},
        "overall_length": overall,
        "sections": sections,
        "bores": [],
        "afterwards": COMPOUND.format(engaged=f"{show_length(sizes.engaged.value, own, unit, fine=False)} {unit}"),
    }


def _hole(thread: str, depth: str) -> list[Json]:
    return [{"id": "b1", "end": "right", "thread": thread, "across": "", "depth": depth, "at": "", "cut": "tap"}]


def _body(sizes: RepairSizes, across: Length, unit: LengthUnit) -> Json:
    hole_mm = convert(sizes.hole.value, sizes.thread.unit, "mm")
    stands = _text(max(STANDS * across.mm, DEEPER * hole_mm), "mm", unit)
    hole = _hole(sizes.thread.designation, _text(sizes.hole.value, sizes.thread.unit, unit))
    return {
        "id": "p1",
        "name": "body",
        "stock": {"form": "kept", "across": across.typed, "bar_length": ""},
        "overall_length": stands,
        "sections": [_section("s1", "bar")],
        "bores": hole,
        "afterwards": "",
    }


def _nut(sizes: RepairSizes, unit: LengthUnit) -> Json:
    """The nut's part: a slice of hexagon bar, its corners chamfered down to the flats."""
    own, flats = sizes.thread.unit, sizes.across_flats.value
    flats_mm = convert(flats, own, "mm")
    corners = _text((corners_mm("hexagon", flats_mm) - flats_mm) / 2, "mm", unit)
    return {
        "id": "p2",
        "name": "nut",
        "stock": {"form": "hexagon", "across": _text(flats, own, unit), "bar_length": ""},
        "overall_length": _text(sizes.height.value, own, unit),
        "sections": [_section("s1", "bar", chamfer=corners)],
        "bores": _hole(sizes.thread.designation, ""),
        "afterwards": "",
    }


def repair_document(sizes: RepairSizes, across: Length, unit: LengthUnit, title: str) -> Json:
    """The document, all but set-up and the method that is common to its parts; lengths told in `unit`.

    `across` is the body where it is cut. A stud has no shoulder for a groove: its threads run out.
    """
    others = [
        {"fits": fits, "quantity": 1, "material": sizes.stud_metal.code, "method": {"finish": "run-out"}, "part": part}
        for part, fits in ((_nut(sizes, unit), "the stud"), (_stud(sizes, unit), "the body and the nut"))
    ]
    return {
        "format": "conch-job",
        "version": 3,
        "title": title or f"Stud repair, {sizes.thread.designation}",
        "needed_by": "",
        "fits": "the stud",
        "quantity": 1,
        "unit": unit,
        "material": sizes.metal.code,
        "hazards": [],
        "part": _body(sizes, across, unit),
        "others": others,
        "method": {},
        "notes": "",
        "becomes": "",
    }
