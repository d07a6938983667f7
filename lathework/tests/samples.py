"""Job documents and jobs to test with, made from one sound document by dotted changes."""

from __future__ import annotations

from copy import deepcopy
from typing import Any

from lathework.document import read_document
from lathework.part import Job
from lathework.planning.plan import Plan, make_plan

_BLANK = {"chamfer": "", "measured": "", "measured_length": ""}
STUD: dict[str, Any] = {
    "format": "conch-job",
    "version": 2,
    "title": "Levelling studs",
    "needed_by": "lamp carriage",
    "fits": "the carriage nut",
    "quantity": 6,
    "unit": "in",
    "material": "mild-steel",
    "hazards": [],
    "part": {
        "name": "",
        "stock": {"form": "round", "across": "1/2", "bar_length": ""},
        "overall_length": "2-1/2",
        "sections": [
            {"shape": "thread", "across": "", "length": "1-1/4", "thread": "3/8-16"} | _BLANK,
            {"shape": "bar", "across": "", "length": "", "thread": ""} | _BLANK,
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
        "support": "chuck",
        "tapping": "by-centre",
        "percent": "",
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
    },
    "notes": "",
}


def section(shape: str, length: str = "", **more: str) -> dict[str, str]:
    """A section of a part: its shape, length, and what else is typed of it."""
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
    return dict(made)


def job(changes: dict[str, Any] | None = None) -> Job:
    """The job of a changed document."""
    return read_document(document(changes))


def plan(changes: dict[str, Any] | None = None) -> Plan:
    """The plan of a changed document."""
    return make_plan(job(changes))
