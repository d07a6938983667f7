"""Lifts job documents of version 1 to 2: a kind of part becomes sections, a drive a holder, pressure a hazard."""

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


def upgraded(document: Mapping[str, Any]) -> dict[str, Any]:
    """The version 2 form of a version 1 `document`; any other version as it is. Fields it does not know stay."""
    version = document.get("version")
    if version != 1 or isinstance(version, bool):
        return dict(document)
    unit: LengthUnit = "mm" if document.get("unit") == "mm" else "in"
    made = {key: value for key, value in document.items() if key not in ("version", "part", "pressure", "method")}
    method = dict(_mapping(document.get("method")))
    drive = method.pop("drive", "")
    made |= {
        "version": 2,
        "hazards": ["pressure"] if document.get("pressure") is True else [],
        "part": _part(_mapping(document.get("part")), unit),
        "method": method | {"holder": _HOLDERS.get(str(drive), drive)},
    }
    return made
