"""The record of a job file, declared once: entries, what each tells of its step, what is gone; and the whole schema."""

from __future__ import annotations

import json
import sys

from lathework.bench.entry import KINDS
from lathework.cutting.dimension import MEASURED
from lathework.declared import Group
from lathework.fields import IDENT_PATTERN, LONGEST_LINE, Ident, Json, Raw
from lathework.gauging.tried import GAUGES
from lathework.job.declaration import IDENTIFIED, JOB, LONGEST_NOTE, VERSION

LONGEST_MAKES, LONGEST_WORD = 700, 60
"""Characters of the sizes a step leaves, and of a key, a word or a reading as typed."""
MOST_ENTRIES, MOST_REVISIONS = 20000, 10**6
UNITS = ("", "in", "mm")


def _line(about: str = "", longest: int = LONGEST_LINE) -> Raw:
    return Raw({"type": "string", "maxLength": longest}, about)


def _number(about: str) -> Raw:
    return Raw({"type": ["number", "null"]}, about)


def _list(items: Json, about: str = "") -> Raw:
    return Raw({"type": "array", "maxItems": MOST_ENTRIES, "items": items}, about)


TOLD = Group(
    "told",
    "what the step was when the entry was made: it counts only while the step still makes that",
    {
        "title": _line("what the step was called"),
        "part": _line("what the part was called"),
        "metal": _line(),
        "thread": _line("of a step that turns its blank, cuts or gauges it"),
        "class_name": _line("class of that thread"),
        "makes": _line("the sizes the step leaves, by name, lengths in millimetres", LONGEST_MAKES),
        "tool": _line("its tool, and the edge that is touched off"),
        "die": _line("the die that cuts its thread, by its id in the shop"),
        "aim_mm": _number("size aimed at"),
        "low_mm": _number("least that was on size"),
        "high_mm": _number("most that was on size"),
        "revision": Raw({"type": "integer", "minimum": 0, "maximum": MOST_REVISIONS}, "of the job"),
    },
)
ENTRY = Group(
    "entry",
    "one thing that happened at the bench",
    {
        "kind": Raw(
            {"enum": list(KINDS)},
            "a measured size, what the nut said, a move of the die, why else it bound, a step done, a step "
            "accepted with a reason, a piece scrapped, a step redone, a note, a pause, its end, the cautions read, "
            "a tool touched off, all tool zeros lost, the part taken up out of turn, the piece continued out of turn",
            required=True,
        ),
        "piece": Raw({"type": "integer", "minimum": 1, "maximum": MOST_ENTRIES}, required=True),
        "part": Ident("id of the part"),
        "step": _line(
            "key of the step: the kind of work and the id of what it makes (turn:s1, drill:b2, face:right, part-off)",
            LONGEST_WORD,
        ),
        "value_mm": _number("reading: the size in millimetres; verdict: the thread as measured over wires"),
        "measured": Raw({"enum": ["", *MEASURED]}, "reading: what was measured; empty: the diameter"),
        "dialled_mm": _number("reading: what had been dialled on that size before it"),
        "stated": Raw({"type": "boolean"}, "reading: whether a person said what was dialled, not the bench alone"),
        "wire_mm": _number("verdict: the diameter of the wires it was measured over; none: by a thread micrometer"),
        "within_mm": _number("verdict: the standard uncertainty of the micrometer, where it is known"),
        "tried": Raw({"enum": list(GAUGES)}, "verdict: what the thread was gauged with; empty: a nut"),
        "mate": _line("verdict: the very nut or screw, by its name; setting: the screw it was set on", LONGEST_WORD),
        "by": _line("reading, verdict: the instrument that sent it; empty: typed", LONGEST_WORD),
        "device": _line("what it was recorded on; empty: the machine that the program runs on", LONGEST_WORD),
        "word": _line(
            "verdict, cause: its code; setting: open, close, set, on-screw, seated, honed; zero: kept, each or "
            "nothing; read: the hazards",
            LONGEST_WORD,
        ),
        "eighths": _number(
            "setting: eighths of a turn of the middle screw; set: from where it touches, opened above 0"
        ),
        "text": _line("", LONGEST_NOTE),
        "why": _line("accept, again, scrap: the mistake that was made, by its code", LONGEST_WORD),
        "typed": _line("reading: as it was typed", LONGEST_WORD),
        "unit": Raw({"enum": list(UNITS)}, "reading: unit of a bare number"),
        "ended": Raw({"type": "boolean"}, "whether the piece was whole with it"),
        "then": Raw(
            {"type": "integer", "minimum": 1, "maximum": MOST_ENTRIES},
            "done, accept, scrap: the piece continued after it, where that is not the one in hand or the next",
        ),
        "told": Raw({"oneOf": [{"type": "null"}, TOLD.schema()]}),
        "at": Raw({"type": "string", "format": "date-time"}, required=True),
    },
)
GONE = Group(
    "gone",
    "a section or hole of a part that the job no longer has, or, with an empty id, a part",
    {"part": Ident(), "id": Raw({"type": "string", "pattern": f"^{IDENT_PATTERN.replace('{1,', '{0,')}$"})},
)
RECORD = Group(
    "record",
    "what happened at the bench, oldest first, and the state of the job",
    {
        "entries": _list(ENTRY.schema()),
        "held": _line("what the job waits for; empty when it does not", LONGEST_NOTE),
        "closed": _line("why the job was closed; empty while it is open", LONGEST_NOTE),
        "gone": _list(GONE.schema(), "what entries speak of though the job no longer has it"),
    },
)


def job_file_schema() -> Json:
    """The JSON Schema of the job file of this version: the document and its record."""
    reading = {
        "if": {"properties": {"kind": {"const": "reading"}}},
        "then": {"required": ["value_mm", "told"], "properties": {"value_mm": {"type": "number"}}},
    }
    more = {one.name: one.definition() for one in (IDENTIFIED, RECORD, GONE, TOLD)}
    return {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "$id": f"urn:conch:job:{VERSION}",
        "title": f"Conch job, version {VERSION}",
        **JOB.definition(),
        "$defs": {group.name: group.definition() for group in JOB.groups()}
        | more
        | {"entry": ENTRY.definition() | reading},
    }


if __name__ == "__main__":
    sys.stdout.write(json.dumps(job_file_schema(), indent=1, ensure_ascii=False) + "\n")
