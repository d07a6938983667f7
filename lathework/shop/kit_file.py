"""The things of a shop as files, out and in: one JSON file of everything, a CSV table of each kind.

A file that comes in is read row by row: what is sound is told beside what is not, and where that stands.
"""

from __future__ import annotations

import csv
import io
import json
from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass
from typing import Any

from lathework.declared import Group
from lathework.errors import InputError, InvalidDocument
from lathework.fields import Json
from lathework.shop.kinds import CODES, KIND
from lathework.shop.kinds.kind import Owned
from lathework.shop.kit import read_thing
from lathework.spreadsheet import guarded, unguarded

FORMAT, VERSION = "conch-kit", 1
MOST_ROWS = 5000
Documents = Iterable[tuple[str, Mapping[str, Any]]]


@dataclass(frozen=True, slots=True)
class FileRow:
    """A row of a file by its `line` (from 1; in JSON the number of the thing): the thing it holds, or what is wrong in
    which of its columns."""

    line: int
    kind: str
    thing: Owned | None
    document: Mapping[str, str]
    errors: tuple[InputError, ...] = ()


def kit_json(things: Documents) -> Json:
    """Everything as one document."""
    return {"format": FORMAT, "version": VERSION, "things": [{"kind": kind} | _told(kind, one) for kind, one in things]}


def _told(kind: str, document: Mapping[str, Any]) -> dict[str, str]:
    return {name: str(document[name]) for name in KIND[kind].group.keys if document.get(name)}


def kit_csv(kind: str, documents: Iterable[Mapping[str, Any]]) -> str:
    """The things of a kind as CSV (RFC 4180): a column a field, the kind first."""
    out = io.StringIO()
    keys = ("kind", *KIND[kind].group.keys)
    table = csv.writer(out)
    table.writerow(keys)
    for document in documents:
        table.writerow([guarded(str({"kind": kind, **document}.get(name) or "")) for name in keys])
    return out.getvalue()


def read_kit_file(text: str) -> tuple[FileRow, ...]:
    """The rows of a kit file, JSON or CSV, in their order. Raises InputError on "file" where it is neither."""
    bare = text.lstrip("\ufeff \r\n\t")
    rows = tuple(_json_rows(bare) if bare.startswith(("{", "[")) else _csv_rows(bare))
    if not rows:
        raise InputError("empty", "file", "This file is empty.")
    return rows


def _json_rows(text: str) -> Iterator[FileRow]:
    try:
        file = json.loads(text)
    except (ValueError, RecursionError):
        raise InputError("unreadable", "file", "This is not valid JSON.") from None
    things = file.get("things") if isinstance(file, dict) and file.get("format") == FORMAT else None
    if not isinstance(things, list) or file.get("version") != VERSION:
        raise InputError(
            "wrong-format",
            "file",
            f"This is not a shop file: it must have “format”: “{FORMAT}” and “version”: {VERSION}.",
        )
    _check_many(len(things))
    for number, one in enumerate(things, 1):
        if isinstance(one, dict):
            yield _row(number, str(one.get("kind") or ""), {key: one[key] for key in one if key != "kind"})
        else:
            yield FileRow(number, "", None, {}, (InputError("wrong-type", "kind", "Each item must be an object."),))


def _csv_rows(text: str) -> Iterator[FileRow]:
    try:
        rows = list(csv.reader(io.StringIO(text), strict=True))
    except csv.Error as error:
        raise InputError("unreadable", "file", f"This is not valid CSV: {error}.") from None
    head = [name.strip().lower() for name in rows[0]] if rows else []
    if "kind" not in head or len(set(head)) < len(head):
        known = ", ".join(CODES)
        raise InputError(
            "wrong-format", "file", f"The first line must name each column once, including “kind”: {known}."
        )
    _check_many(len(rows) - 1)
    for line, cells in enumerate(rows[1:], 2):
        if not any(cell.strip() for cell in cells):
            continue
        if len(cells) > len(head):
            yield FileRow(
                line, "", None, {}, (InputError("too-long", "kind", "This line has more cells than columns."),)
            )
            continue
        said = {name: unguarded(cell) for name, cell in zip(head, cells, strict=False) if cell.strip()}
        yield _row(line, said.pop("kind", "").strip().lower(), said)


def _check_many(count: int) -> None:
    if count > MOST_ROWS:
        raise InputError("too-long", "file", f"A file may have at most {MOST_ROWS} items. This has {count}.")


def _row(line: int, kind: str, said: Mapping[str, Any]) -> FileRow:
    """A row, read as a thing; one without an id gets one where it is stored."""
    try:
        thing = read_thing(kind, {**said, "id": said.get("id") or "new"})
    except InvalidDocument as invalid:
        return FileRow(line, kind, None, {}, invalid.errors)
    return FileRow(line, kind, thing, {key: str(value) for key, value in said.items()})


def kit_schema() -> Json:
    """The kit file as JSON Schema 2020-12."""
    return {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "title": "Shop file, version 1",
        "description": "The items of a shop. Lengths are text as typed; a number without a unit is in millimetres.",
        "type": "object",
        "required": ["format", "version", "things"],
        "properties": {
            "format": {"const": FORMAT},
            "version": {"const": VERSION},
            "things": {"type": "array", "maxItems": MOST_ROWS, "items": {"oneOf": [_ref(kind) for kind in CODES]}},
        },
        "additionalProperties": False,
        "$defs": {kind: _definition(kind, KIND[kind].group) for kind in CODES},
    }


def _ref(kind: str) -> Json:
    return {"$ref": f"#/$defs/{kind}"}


def _definition(kind: str, group: Group) -> Json:
    told = group.definition()
    told["properties"] = {"kind": {"const": kind}} | told["properties"]
    # A thing without an id gets one when it is stored.
    told["required"] = ["kind", *(name for name in told["required"] if name != "id")]
    return told


if __name__ == "__main__":
    print(json.dumps(kit_schema(), indent=1, ensure_ascii=False))
