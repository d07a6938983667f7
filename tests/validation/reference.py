"""Tables of an outside library, read as text; none of its code runs."""

from __future__ import annotations

import csv
from importlib.metadata import distribution
from pathlib import Path

LIBRARY = "bd-warehouse"


def reference_rows(file: str) -> list[dict[str, str]]:
    """The rows of one of the library's tables, cells stripped."""
    path = Path(str(distribution(LIBRARY).locate_file(f"bd_warehouse/data/{file}")))
    with path.open(encoding="utf-8", newline="") as table:
        return [{k: (v or "").strip() for k, v in row.items()} for row in csv.DictReader(table)]
