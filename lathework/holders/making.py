"""The job that makes a holder: its parts in the order they are made, each with its sections and holes."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.fields import Json
from lathework.fits.fit import FitCode
from lathework.holders.design import length_text
from lathework.job.model import Finish
from lathework.job.part_declaration import BORE, SECTION
from lathework.job.starts import new_document
from lathework.job.typed import Typed
from lathework.part.model import Mouth, Shape
from lathework.part.thread_cutters import Cutter
from lathework.shop.metals import Material
from lathework.units import LengthUnit, convert

EDGE_MM = 0.5
"""The edge that goes into a hole first is broken by so much (practice)."""


@dataclass(frozen=True, slots=True)
class Turned:
    """A section from the right-hand end on: how far across (None where its `thread` or its `taper` says that) and how
    long, in the job's unit; how it goes with a mate of so much; whether its edge is broken."""

    across: float | None
    long: float
    fit: FitCode = ""
    mate: float | None = None
    chamfer: bool = False
    shape: Shape = "round"
    thread: str = ""
    taper: str = ""


@dataclass(frozen=True, slots=True)
class Bored:
    """A hole from an `end`, or across at `at` behind the right-hand end; right through where it is not `deep`, in the
    job's unit; how it goes with a mate of so much, or what `thread` is `cut` in it;
    the width of the key that has a keyway in it; whether a reamer brings it to its fit; how many of it
    go round the part, and `around`: where."""

    across: float | None
    fit: FitCode = ""
    mate: float | None = None
    deep: float | None = None
    end: Mouth = "right"
    thread: str = ""
    at: float | None = None
    key: float | None = None
    round: int = 1
    reamed: bool = False
    cut: Cutter = "tap"
    around: str = ""


@dataclass(frozen=True, slots=True)
class Made:
    """A part of a holder: the `bar` it is made of, its sections from the right-hand end, its holes, how many of it,
    what it is called among the others, what is done to it off the lathe; how a die gets to a shoulder of it."""

    bar: float
    turned: Sequence[Turned]
    bored: Sequence[Bored] = ()
    pieces: int = 1
    name: str = ""
    afterwards: str = ""
    finish: Finish = "groove"


def holder_job(
    title: str, *, fits: str, unit: LengthUnit, metal: Material, parts: Sequence[Made], becomes: str = ""
) -> Json:
    """The document of a job for one holder of one part or several (lengths in `unit`); `becomes` is what it is in the
    shop once it is made, as one types it there."""
    first, *others = parts
    typed = Typed("bush", unit, title, quantity=str(first.pieces), material=metal.code, stock=_text(first.bar, unit))
    document = new_document(typed, None, None)
    made = [_part(document["part"], number, part, unit) for number, part in enumerate(parts, 1)]
    more = [
        {"fits": "", "quantity": str(part.pieces), "material": metal.code, "part": own}
        | {"method": document["method"] | {"finish": part.finish}}
        for part, own in zip(others, made[1:], strict=True)
    ]
    own = {"method": document["method"] | {"finish": first.finish}, "part": made[0], "others": more}
    return document | own | {"fits": fits, "becomes": becomes}


def _text(value: float | None, unit: LengthUnit) -> str:
    return "" if value is None else length_text(value, unit)


def _plain(fields: Sequence[str]) -> Json:
    return dict.fromkeys(fields, "")


def _part(begun: Json, number: int, part: Made, unit: LengthUnit) -> Json:
    """The part of a document, number `number` of its job (a count)."""
    sections = [_section(at, one, unit) for at, one in enumerate(part.turned, 1)]
    holes = [_hole(at, one, unit) for at, one in enumerate(part.bored, 1)]
    stock = begun["stock"] | {"across": _text(part.bar, unit)}
    own = {"id": f"p{number}", "name": part.name, "stock": stock, "overall_length": ""}
    return begun | own | {"sections": sections, "bores": holes, "afterwards": part.afterwards}


def _section(number: int, one: Turned, unit: LengthUnit) -> Json:
    edge = _text(convert(EDGE_MM, "mm", unit), unit) if one.chamfer else ""
    return (
        {name: field.default or "" for name, field in SECTION.fields.items()}
        | {"id": f"s{number}", "shape": one.shape, "thread": one.thread, "taper": one.taper}
        | {"across": _text(one.across, unit), "length": _text(one.long, unit)}
        | {"fit": one.fit, "mate": _text(one.mate, unit), "chamfer": edge}
    )


def _hole(number: int, one: Bored, unit: LengthUnit) -> Json:
    return (
        _plain(list(BORE.fields))
        | {"id": f"b{number}", "end": one.end, "cut": one.cut, "thread": one.thread, "at": _text(one.at, unit)}
        | {"around": one.around, "key": _text(one.key, unit), "by": "reamer" if one.reamed else "boring-tool"}
        | {"count": str(one.round) if one.round > 1 else ""}
        | {"across": _text(one.across, unit), "depth": _text(one.deep, unit)}
        | {"fit": one.fit, "mate": _text(one.mate, unit)}
    )
