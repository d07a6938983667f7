"""Tables of an outside library, read as text; none of its code runs."""

from __future__ import annotations

import ast
import csv
from importlib.metadata import distribution
from pathlib import Path

LIBRARY = "bd-warehouse"


def reference_rows(file: str) -> list[dict[str, str]]:
    """The rows of one of the library's tables, cells stripped."""
    path = Path(str(distribution(LIBRARY).locate_file(f"bd_warehouse/data/{file}")))
    with path.open(encoding="utf-8", newline="") as table:
        return [{k: (v or "").strip() for k, v in row.items()} for row in csv.DictReader(table)]


def class_list(file: str, name: str) -> tuple[str, ...]:
    """A list of strings that a class of the library holds under `name`, read from its source."""
    path = Path(str(distribution(LIBRARY).locate_file(f"bd_warehouse/{file}")))
    for node in ast.walk(ast.parse(path.read_text(encoding="utf-8"))):
        if isinstance(node, ast.Assign) and any(isinstance(t, ast.Name) and t.id == name for t in node.targets):
            return tuple(ast.literal_eval(node.value))
    raise LookupError(f"{file} holds no {name}")
