"""Job documents and jobs to test with, made from one sound document by dotted changes."""

from __future__ import annotations

from copy import deepcopy
from typing import Any

from lathework.document import read_document
from lathework.part import Job
from lathework.planning.plan import Plan, make_plan

STUD: dict[str, Any] = {
    "format": "conch-job",
    "version": 1,
    "title": "Levelling studs",
    "needed_by": "lamp carriage",
    "fits": "the carriage nut",
    "quantity": 6,
    "unit": "in",
    "material": "mild-steel",
    "pressure": False,
    "part": {
        "kind": "stud",
        "thread": "3/8-16",
        "stock_diameter": "1/2",
        "thread_length": "1-1/4",
        "overall_length": "2-1/2",
        "shank_diameter": "",
        "shank_length": "",
    },
    "method": {"blank_school": "pitch-fraction", "blank_fraction": "", "finish": "groove", "drive": "hand"},
    "setup": {
        "dial": "diameter",
        "groove_blade": "1/8",
        "groove_edge": "left",
        "parting_blade": "3/32",
        "parting_edge": "left",
    },
    "notes": "",
}
SCREW = {
    "part.kind": "shouldered-screw",
    "part.shank_diameter": "7/16",
    "part.shank_length": "1-3/4",
}


def document(changes: dict[str, Any] | None = None) -> dict[str, Any]:
    """The sound document with fields changed by dotted path; a value of None takes the field out."""
    made = deepcopy(STUD)
    for path, value in (changes or {}).items():
        *parents, last = path.split(".")
        at = made
        for key in parents:
            at = at[key]
        if value is None:
            at.pop(last, None)
        else:
            at[last] = value
    return made


def job(changes: dict[str, Any] | None = None) -> Job:
    """The job of a changed document."""
    return read_document(document(changes))


def plan(changes: dict[str, Any] | None = None) -> Plan:
    """The plan of a changed document."""
    return make_plan(job(changes))
