"""Lifts job documents of earlier versions to the newest.

1 to 2: a kind of part becomes sections, a drive a holder, pressure a hazard. 2 to 3: parts, sections and holes get ids.
"""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from lathework.errors import InputError
from lathework.lengths import Length, read_length
from lathework.units import LengthUnit, convert

_HOLDERS = {"hand": "sliding-by-hand", "power": "floating-power"}


def _mapping(value: Any) -> Mapping[str, Any]:
    return value if isinstance(value, Mapping) else {}


def _difference(longer: Any, shorter: Any, unit: LengthUnit) -> Any:
    """The text of `longer` less `shorter` in `unit`; what cannot be read stays as it was typed."""
    try:
        lengths: list[Length] = [read_length(text, unit) for text in (longer, shorter)]
    except (InputError, AttributeError):
        return longer
    return f"{convert(lengths[0].mm - lengths[1].mm, 'mm', unit):.6g}"


def _section(shape: str, **known: Any) -> dict[str, Any]:
    return {"shape": shape, "across": "", "length": "", "thread": "", "chamfer": "", **known}


def _part(part: Mapping[str, Any], unit: LengthUnit) -> dict[str, Any]:
    threaded = part.get("thread_length", "")
    sections = [_section("thread", thread=part.get("thread", ""), length=threaded)]
    shank = part.get("shank_diameter", "")
    if part.get("kind") == "shouldered-screw":
        length = _difference(part.get("shank_length", ""), threaded, unit)
        if length != "0":
            sections.append(_section("round", across=shank, length=length))
    return {
        "stock": {"form": "round", "across": part.get("stock_diameter", ""), "bar_length": ""},
        "overall_length": part.get("overall_length", ""),
        "sections": [*sections, _section("bar")],
    }


def _second(document: Mapping[str, Any]) -> dict[str, Any]:
    """The version 2 form of a version 1 document."""
    unit: LengthUnit = "mm" if document.get("unit") == "mm" else "in"
    made = {key: value for key, value in document.items() if key not in ("version", "part", "pressure", "method")}
    method = dict(_mapping(document.get("method")))
    drive = method.pop("drive", "")
    return made | {
        "version": 2,
        "hazards": ["pressure"] if document.get("pressure") is True else [],
        "part": _part(_mapping(document.get("part")), unit),
        "method": method | {"holder": _HOLDERS.get(str(drive), drive)},
    }


def _with_ids(rows: Any, letter: str) -> Any:
    """Each row of a list with an id from its place; what is no list of objects stays as it is."""
    if not isinstance(rows, list):
        return rows
    return [
        {**row, "id": row.get("id") or f"{letter}{number}"} if isinstance(row, Mapping) else row
        for number, row in enumerate(rows, 1)
    ]


def _identified(part: Any, number: int) -> Any:
    """A part with ids for itself, its sections and its holes."""
    if not isinstance(part, Mapping):
        return part
    lists = {key: _with_ids(part[key], key[0]) for key in ("sections", "bores") if key in part}
    return {**part, "id": part.get("id") or part_id(number), **lists}


def part_id(number: int) -> str:
    """The id of part `number` (from 1) of a job of before parts had ids.

    >>> part_id(2)
    'p2'
    """
    return f"p{number}"


def _third(document: Mapping[str, Any]) -> dict[str, Any]:
    """The version 3 form of a version 2 document."""
    made = {**document, "version": 3}
    if "part" in document:
        made["part"] = _identified(document["part"], 1)
    if isinstance(document.get("others"), list):
        made["others"] = [
            {**other, "part": _identified(other["part"], number)}
            if isinstance(other, Mapping) and "part" in other
            else other
            for number, other in enumerate(document["others"], 2)
        ]
    return made


def version_of(document: Mapping[str, Any]) -> int:
    """The version a document says it is; 0 where that is no number."""
    version = document.get("version")
    return version if isinstance(version, int) and not isinstance(version, bool) else 0


def upgraded(document: Mapping[str, Any]) -> dict[str, Any]:
    """The newest form of a document of version 1 or 2; any other version as it is. Fields it does not know stay.

    The record of what happened at the bench is lifted apart, with the plan it speaks of at hand.
    """
    made = dict(document)
    if version_of(made) == 1:
        made = _second(made)
    return _third(made) if version_of(made) == 2 else made
