"""What a new job starts as: a few typed sizes become a document; how it is made is as in the shop, or as is usual."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, Literal, get_args

from lathework.declared import Choice, Field, Group, Json
from lathework.errors import InvalidDocument
from lathework.job.declaration import FORMAT, METHOD, SECTION, SETUP, VERSION
from lathework.units import LengthUnit

Start = Literal["stud", "rod", "screw", "plug", "nut"]
STARTS: tuple[Start, ...] = get_args(Start)
WORDS: Mapping[Start, tuple[str, str]] = {
    "stud": ("thread at one end, the rest as bought", "a stud, a bolt without its head"),
    "rod": ("thread at both ends", "a tie rod"),
    "screw": ("thread, turned shank, head of bar size", "a cheese-headed screw"),
    "plug": ("thread, head milled to a hexagon", "a plug, a hexagon-headed bolt"),
    "nut": ("nut or cap: hexagon bar with a tapped hole", "through where no depth is typed"),
}
USUAL: Mapping[str, str] = {
    "blank_school": "pitch-fraction",
    "finish": "groove",
    "holder": "sliding-by-hand",
    "dial": "diameter",
}
"""What is taken where nothing is declared for a missing choice (practice)."""
BLADES: Mapping[LengthUnit, Mapping[str, str]] = {
    "in": {"groove_blade": "1/8", "parting_blade": "3/32"},
    "mm": {"groove_blade": "3", "parting_blade": "2.5"},
}
"""Widths of the blades that most shops have (practice)."""
OF_THE_JOB = ("blank_fraction", "order", "support", "percent", "overruled", "mate_minor", "mate_pitch")
"""What the next job does not take over: the metal brings its own fraction, the part its own order."""
_FORM: Mapping[str, str] = {
    "title": "title",
    "quantity": "quantity",
    "part.stock.across": "stock",
    "part.overall_length": "overall",
    "part.sections.0.thread": "thread",
    "part.sections.0.length": "threaded",
    "method.finish": "finish",
}
_FORMS: Mapping[Start, Mapping[str, str]] = {
    "stud": {"part.sections.1.length": "overall"},
    "rod": {"part.sections.1.length": "overall"},
    "screw": {
        "part.sections.1.across": "shank",
        "part.sections.1.length": "shank_length",
        "part.sections.2.length": "overall",
    },
    "plug": {"part.sections.1.across": "flats", "part.sections.1.length": "overall"},
    "nut": {
        "part.bores.0.thread": "thread",
        "part.bores.0.depth": "threaded",
        "part.sections.0.length": "overall",
    },
}


@dataclass(frozen=True, slots=True)
class Typed:
    """What the person typed of a new job: text, a bare number in `unit`; "" where the start does not ask."""

    start: Start
    unit: LengthUnit
    title: str
    thread: str
    quantity: str
    material: str
    stock: str
    threaded: str = ""
    shank: str = ""
    shank_length: str = ""
    flats: str = ""
    overall: str = ""
    finish: str = ""


def _usual(group: Group) -> Json:
    return {name: one.default or USUAL.get(name, "") for name, one in group.fields.items()}


def _known(kept: Json | None, group: Group) -> Json:
    """What was kept of the fields and choices there are today: it may be of a job made before one came or went."""
    return {name: value for name, value in (kept or {}).items() if _stands(group.fields.get(name), value)}


def _stands(declared: Field | Group | None, value: object) -> bool:
    """Whether a field still takes what was kept of it; what is typed is checked where it is read."""
    return value in declared.allowed if isinstance(declared, Choice) else declared is not None


def of_the_shop(unit: LengthUnit, method: Json | None, setup: Json | None) -> tuple[Json, Json]:
    """How the next job is made and on what: as the last one was, where that is known, else as is usual."""
    usual, lathe = _usual(METHOD), _usual(SETUP) | dict(BLADES[unit])
    own = usual | _known(method, METHOD) | {name: usual[name] for name in OF_THE_JOB}
    return own, lathe | _known(setup, SETUP)


def _section(own: str, shape: str, **known: str) -> Json:
    return dict.fromkeys(SECTION.keys, "") | {"id": own, "shape": shape, **known}


def _sections(typed: Typed) -> list[Json]:
    """The sections a start stands for, the last plain one taking what the others leave."""

    def thread(own: str) -> Json:
        return _section(own, "thread", thread=typed.thread, length=typed.threaded)

    match typed.start:
        case "nut":
            return [_section("s1", "bar")]
        case "rod":
            return [thread("s1"), _section("s2", "bar"), thread("s3")]
        case "screw":
            shank = _section("s2", "round", across=typed.shank, length=typed.shank_length)
            return [thread("s1"), shank, _section("s3", "bar")]
        case "plug":
            return [thread("s1"), _section("s2", "hexagon", across=typed.flats)]
        case _:
            return [thread("s1"), _section("s2", "bar")]


def new_document(typed: Typed, method: Json | None, setup: Json | None, identified: Any = None) -> Json:
    """The document of a new job; `method` and `setup` are those of the last job, None where there was none."""
    nut = typed.start == "nut"
    own, lathe = of_the_shop(typed.unit, method, setup)
    hole = {"id": "b1", "end": "right", "thread": typed.thread, "across": "", "depth": typed.threaded, "at": ""}
    return {
        "format": FORMAT,
        "version": VERSION,
        "title": typed.title,
        "needed_by": "",
        "fits": "",
        "quantity": typed.quantity,
        "unit": typed.unit,
        "material": typed.material,
        "hazards": [],
        "part": {
            "id": "p1",
            "name": "",
            "overall_length": typed.overall,
            "afterwards": "",
            "stock": {"form": "hexagon" if nut else "round", "across": typed.stock, "bar_length": ""},
            "sections": _sections(typed),
            "bores": [{**hole, "cut": "tap"}] if nut else [],
        },
        "others": [],
        "method": own | ({"finish": typed.finish} if typed.finish else {}),
        "setup": lathe,
        "notes": "",
        **({"identified": identified} if identified is not None else {}),
    }


def beside_the_form(errors: InvalidDocument, start: Start) -> InvalidDocument:
    """The errors of a new document beside what was typed: a second end repeats what the first said, and is left out."""
    shown = {**_FORM, **_FORMS[start]}
    told = [error.at(shown[error.field]) for error in errors.errors if error.field in shown]
    said = {error.message for error in told}
    rest = [error for error in errors.errors if error.field not in shown and error.message not in said]
    return InvalidDocument((*told, *rest), len(told) + len(rest))
