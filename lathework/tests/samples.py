"""Job documents and jobs to test with, made from one sound document by dotted changes."""

from __future__ import annotations

from copy import deepcopy
from dataclasses import replace
from typing import Any

from lathework.bench.entry import Entry, story_of
from lathework.job.document import read_document
from lathework.job.model import Job
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan, make_plan

_FIT = {"fit": "", "mate": ""}
_BLANK = {
    "round": "",
    "edge": "bevel",
    "runs": "shoulder",
    "taper": "",
    "pattern": "diamond",
    "pitch": "",
    "die": "",
    "cut": "die",
    "chamfer": "",
    "measured": "",
    "measured_length": "",
    "key": "",
    "key_length": "",
    **_FIT,
}
STUD: dict[str, Any] = {
    "format": "conch-job",
    "version": 3,
    "title": "Levelling studs",
    "needed_by": "lamp carriage",
    "fits": "the carriage nut",
    "quantity": 6,
    "unit": "in",
    "material": "mild-steel",
    "hazards": [],
    "part": {
        "id": "p1",
        "name": "",
        "stock": {"form": "round", "across": "1/2", "bar_length": ""},
        "overall_length": "2",
        "sections": [
            {"id": "s1", "shape": "thread", "across": "", "length": "1-1/4", "thread": "3/8-16"} | _BLANK,
            {"id": "s2", "shape": "bar", "across": "", "length": "", "thread": ""} | _BLANK,
        ],
        "bores": [],
        "afterwards": "",
    },
    "others": [],
    "method": {
        "blank_school": "pitch-fraction",
        "blank_fraction": "",
        "finish": "groove",
        "holder": "sliding-by-hand",
        "order": "from-the-bar",
        "milling": "after",
        "lubricant": "",
        "batch": "piece",
        "dear": "usual",
        "support": "chuck",
        "tapping": "by-centre",
        "percent": "",
        "infeed": "compound",
        "point": "",
        "tip": "",
        "because": "",
        "overruled": "",
        "mate_minor": "",
        "mate_pitch": "",
    },
    "setup": {
        "dial": "diameter",
        "readout": "readout",
        "lathe": "middling",
        "run_down": "",
        "groove_blade": "1/8",
        "groove_edge": "left",
        "parting_blade": "3/32",
        "parting_edge": "left",
        "drills": "",
        "mount": "unsaid",
        "tools": "unsaid",
        "machine": "",
        "speeds": "",
        "bore": "",
        "leadscrew": "",
        "gearbox": "",
        "gears": "",
        "dial_teeth": "",
        "dial_lines": "",
        "head_least": "",
        "head_most": "",
        "head_hollow": "",
        "head_overrun": "",
        "head_graduation": "",
        "rack": "",
    },
    "notes": "",
    "becomes": "",
}


PARTED = ["part-begin", "edge", "part-off"]
"""Half way, chamfered behind, through."""


def section(shape: str, length: str = "", **more: str) -> dict[str, str]:
    """A section of a part: its shape, length, and what else is typed of it; `document` gives it an id."""
    return {"shape": shape, "across": "", "length": length, "thread": "", **_BLANK, **more}


SCREW: dict[str, Any] = {
    "part.sections": [
        section("thread", "1-1/4", thread="3/8-16"),
        section("round", "1/2", across="7/16"),
        section("bar"),
    ],
}
"""A shank of 7/16 to 1-3/4 from the face, then a head of bar size."""
TIE_ROD: dict[str, Any] = {
    "part.overall_length": "6",
    "part.sections": [
        section("thread", "1", thread="3/8-16"),
        section("bar"),
        section("thread", "1", thread="3/8-24"),
    ],
}
"""Six inches between two threads, the body as bought."""
PLUG: dict[str, Any] = {
    "part.stock.across": "7/8",
    "part.overall_length": "1-1/4",
    "part.sections": [
        section("thread", "3/4", thread="1/2-13"),
        section("hexagon", across="0.750", chamfer="1/32"),
    ],
}
"""A hexagon-headed plug from round bar."""


def bore(thread: str = "", across: str = "", depth: str = "", end: str = "right", **more: str) -> dict[str, str]:
    """A hole of a part: its thread or its size across, its depth, from which end; `document` gives it an id."""
    told = {"end": end, "thread": thread, "across": across, "depth": depth, "at": "", "cut": "tap"}
    return (
        told
        | {
            "tap": "",
            "graduation": "",
            "key": "",
            "taper": "",
            "count": "",
            "by": "boring-tool",
            "undercut": "",
            "around": "",
            **_FIT,
        }
        | more
    )


def body(*bores: dict[str, str], **more: Any) -> dict[str, Any]:
    """A plain round of 1 in, 2 in long, with holes."""
    return {
        "part.stock.across": "1",
        "part.overall_length": "2",
        "part.sections": [section("bar")],
        "part.bores": list(bores),
        **more,
    }


def document(changes: dict[str, Any] | None = None) -> dict[str, Any]:
    """The sound document with fields changed by dotted path; a value of None takes the field out."""
    made: Any = deepcopy(STUD)
    for path, value in deepcopy(changes or {}).items():
        *parents, last = path.split(".")
        at: Any = made
        for key in parents:
            at = at[int(key)] if isinstance(at, list) else at[key]
        if isinstance(at, list):
            at[int(last)] = value
        elif value is None:
            at.pop(last, None)
        else:
            at[last] = value
    return identified(made)


def identified(made: dict[str, Any]) -> dict[str, Any]:
    """A document whose sections, holes and parts have ids, those without one by their place."""
    for number, one in enumerate([made, *_rows(made.get("others"))], 1):
        part = one.get("part") if isinstance(one, dict) else None
        if isinstance(part, dict):
            part.setdefault("id", f"p{number}")
            for name in ("sections", "bores"):
                for row, feature in enumerate(_rows(part.get(name)), 1):
                    if isinstance(feature, dict):
                        feature.setdefault("id", f"{name[0]}{row}")
    return made


def _rows(value: object) -> list[Any]:
    return value if isinstance(value, list) else []


def job(changes: dict[str, Any] | None = None) -> Job:
    """The job of a changed document."""
    return read_document(document(changes))


def told(made: Plan, entry: Entry) -> Entry:
    """An entry that tells the story of its step, as one recorded over that plan does."""
    return replace(entry, part=made.job.part.id, story=story_of(made, entry.step, "", 1, entry.measured))


def plan(changes: dict[str, Any] | None = None) -> Plan:
    """The plan of a changed document."""
    return make_plan(job(changes))


def kinds(made: Plan) -> list[str]:
    """What kind of work each step is, in order: the first word of its key."""
    return [operation.key.partition(":")[0] for operation in made.operations]


def said(one: Operation) -> str:
    """Everything a step tells in words."""
    return " ".join([one.title, one.sentence, *one.notes, *(caution.do for caution in one.cautions)])


def step(made: Plan, name: str, nth: int = 1) -> Operation:
    """The step of a key, or the `nth` of a kind of work."""
    found = [operation for operation in made.operations if name in (operation.key, operation.key.partition(":")[0])]
    assert len(found) >= nth, f"{name}: {kinds(made)}"
    return found[nth - 1]


def value(made: Plan, key: str, figure: str) -> float:
    """The value of a figure of the step of that kind."""
    return step(made, key).figures[figure].value
