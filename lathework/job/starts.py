"""What a new job starts as: a few typed sizes become a document; how it is made is as in the shop, or as is usual."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from typing import Any

from lathework.declared import Field, Group
from lathework.errors import InputError, InvalidDocument
from lathework.fields import Choice, Json
from lathework.job.beginnings import BEGINNINGS, AskedField, Start
from lathework.job.declaration import FORMAT, METHOD, SETUP, VERSION
from lathework.job.document import read_document
from lathework.job.part_declaration import SECTION
from lathework.job.typed import Typed, head_is_bar, with_usual
from lathework.threads.designation import read_called
from lathework.units import LengthUnit

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
OF_THE_JOB = ("blank_fraction", "order", "batch", "support", "percent", "overruled", "mate_minor", "mate_pitch")
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
_SCREW = {
    "part.sections.1.across": "shank",
    "part.sections.1.length": "shank_length",
    "part.sections.2.length": "overall",
}
_TAPPED = {
    "part.bores.0.thread": "thread",
    "part.bores.0.depth": "threaded",
    "part.sections.0.length": "overall",
}
_FORMS: Mapping[Start, Mapping[str, str]] = {
    "stud": {"part.sections.1.length": "overall"},
    "rod": {
        "part.sections.1.length": "overall",
        "part.sections.2.thread": "thread",
        "part.sections.2.length": "threaded",
    },
    "screw": _SCREW,
    "plug": {"part.sections.1.across": "flats", "part.sections.1.length": "overall"},
    "knob": {
        "part.sections.1.across": "head",
        "part.sections.1.pitch": "knurl",
        "part.sections.1.length": "overall",
    },
    "all-thread": {"part.sections.0.length": "overall"},
    "nut": _TAPPED,
    "body": _TAPPED,
    "bush": {
        "part.sections.0.across": "shank",
        "part.sections.0.length": "overall",
        "part.bores.0.across": "hole",
    },
    "bolt": {"part.sections.1.length": "overall", "part.stock.bar_length": "present"},
    "sample": _SCREW,
}
_READ = {
    "thread": ("s1", "measured"),
    "threaded": ("s1", "measured_length"),
    "shank": ("s2", "measured"),
    "shank_length": ("s2", "measured_length"),
    "stock": ("s3", "measured"),
}
"""Where a document keeps what a sample measured, by section and field, for each size that was read off it."""


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
    return {name: one.default or "" for name, one in SECTION.fields.items()} | {"id": own, "shape": shape, **known}


def _sections(typed: Typed) -> list[Json]:
    """The sections a start stands for, the last plain one taking what the others leave."""

    def thread(own: str) -> Json:
        # What is asked for is thread: a groove stands beyond it.
        return _section(own, "thread", thread=typed.thread, length=typed.threaded, runs="full")

    match typed.start:
        case "nut" | "body":
            return [_section("s1", "bar")]
        case "bush":
            return [_section("s1", "round", across=typed.shank)]
        case "all-thread":
            return [_section("s1", "thread", thread=typed.thread)]
        case "rod":
            return [thread("s1"), _section("s2", "bar"), thread("s3")]
        case "screw" | "sample":
            shank = _section("s2", "round", across=typed.shank, length=typed.shank_length)
            return [thread("s1"), shank, _section("s3", "bar")]
        case "plug" if head_is_bar(typed):
            return [thread("s1"), _section("s2", "bar")]
        case "plug":
            return [thread("s1"), _section("s2", "hexagon", across=typed.flats)]
        case "knob":
            return [thread("s1"), _section("s2", "knurl", across=typed.head, pitch=typed.knurl)]
        case _:
            return [thread("s1"), _section("s2", "bar")]


def _measured(sections: list[Json], readings: Mapping[str, str]) -> list[Json]:
    """The sections with what a sample measured beside what was decided."""
    by_id = {section["id"]: dict(section) for section in sections}
    for size, reading in readings.items():
        own, place = _READ.get(size, ("", ""))
        if own in by_id:
            by_id[own][place] = reading
    return list(by_id.values())


def _stock(typed: Typed) -> Json:
    form = {"nut": "hexagon", "bolt": "bolt"}.get(typed.start, "round")
    return {"form": form, "across": typed.stock, "bar_length": typed.present}


def new_document(typed: Typed, method: Json | None, setup: Json | None, identified: Any = None) -> Json:
    """The document of a new job; `method` and `setup` are those of the last job, None where there was none."""
    typed = with_usual(typed)
    tapped, bush = typed.start in ("nut", "body"), typed.start == "bush"
    own, lathe = of_the_shop(typed.unit, method, setup)
    hole = {"id": "b1", "end": "right", "thread": typed.thread, "across": "", "depth": typed.threaded, "at": ""}
    hole |= {"thread": "", "across": typed.hole, "depth": ""} if bush else {}
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
            "stock": _stock(typed),
            "sections": _measured(_sections(typed), typed.readings),
            "bores": [{**hole, "cut": "tap"}] if tapped or bush else [],
        },
        "others": [],
        "method": own | ({"finish": typed.finish} if typed.finish else {}),
        "setup": lathe,
        "notes": "",
        "becomes": "",
        **({"identified": identified} if identified is not None else {}),
    }


def form_field(start: Start, path: str) -> str:
    """The field of a start's form that gives a document its field at `path`; "" where none does."""
    return {**_FORM, **_FORMS[start]}.get(path, "")


def _which_thread(typed: Typed) -> Iterator[InputError]:
    """The question that the thread of a form leaves open: a document that is kept may say "1/4 BSP", a new job asks."""
    try:
        read_called(typed.thread)
    except InputError as error:
        yield error.at("thread")


def _asks(start: Start, name: AskedField) -> bool:
    return any(ask.field == name for beginning in BEGINNINGS if beginning.code == start for ask in beginning.asks)


def check_start(typed: Typed, document: Json) -> None:
    """Raise InvalidDocument where a form cannot become its `document`, told beside what was typed.

    A second end repeats what the first said, and is left out.
    """
    told, rest = list(_which_thread(typed)) if _asks(typed.start, "thread") else [], []
    asked = bool(told)
    try:
        read_document(document)
    except InvalidDocument as invalid:
        for error in invalid.errors:
            place = form_field(typed.start, error.field)
            if not place:
                rest.append(error)
            elif place != "thread" or not asked:
                told.append(error.at(place))
    said = {error.message for error in told}
    once = list({(error.field, error.message): error for error in told}.values())
    left = [error for error in rest if error.message not in said]
    if once or left:
        raise InvalidDocument((*once, *left), len(once) + len(left))
