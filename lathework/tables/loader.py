"""Reads the tables beside this file to exact decimals and refuses a wrong one by file and line."""

from __future__ import annotations

import csv
from collections.abc import Mapping
from dataclasses import dataclass
from decimal import Decimal, InvalidOperation
from functools import cache
from pathlib import Path

from lathework.figures import Source

FOLDER = Path(__file__).parent
HEADER = ("standard", "edition", "table", "unit", "source", "deviations")
SOURCE_KINDS = ("standard", "handbook", "practice", "memory")


class TableError(Exception):
    """A table file is wrong; the message names file and line. A fault of the product, never of the person."""


@dataclass(frozen=True, slots=True)
class Row:
    """One row: text cells by column, with the line they stand on."""

    file: str
    line: int
    cells: Mapping[str, str]

    def text(self, column: str) -> str:
        """The cell as it stands; TableError when empty."""
        value = self.cells[column].strip()
        if not value:
            raise TableError(f"{self.file} line {self.line}: {column} is empty")
        return value

    def number(self, column: str) -> Decimal:
        """The cell as an exact decimal; TableError when it is no finite number."""
        try:
            value = Decimal(self.text(column))
        except InvalidOperation:
            raise TableError(f"{self.file} line {self.line}: {column} is no number") from None
        if not value.is_finite():
            raise TableError(f"{self.file} line {self.line}: {column} is not finite")
        return value


@dataclass(frozen=True, slots=True)
class Table:
    """A table with its provenance."""

    meta: Mapping[str, str]
    rows: tuple[Row, ...]

    @property
    def source(self) -> Source:
        """The table named as a figure's source."""
        kind = self.meta["source"]
        title = self.meta["standard"] + ("" if self.meta["edition"] == "-" else f":{self.meta['edition']}")
        return Source(kind, f"{title}, {self.meta['table']}")  # type: ignore[arg-type]  # checked in parse()


def parse(name: str, text: str) -> Table:
    """Parse a table's text: `# key: value` header lines, a line of columns, rows. Raises TableError."""
    lines = text.splitlines()
    head = [line for line in lines if line.startswith("#")]
    meta = {key.strip(): value.strip() for key, _, value in (line[1:].partition(":") for line in head)}
    missing = [key for key in HEADER if not meta.get(key)]
    if missing:
        raise TableError(f"{name}: header lacks {', '.join(missing)}")
    if meta["source"] not in SOURCE_KINDS:
        raise TableError(f"{name}: source {meta['source']!r} is none of {', '.join(SOURCE_KINDS)}")
    reader = csv.reader(lines[len(head) :])
    columns = next(reader, [])
    rows = []
    for number, cells in enumerate(reader, start=len(head) + 2):
        if len(cells) != len(columns):
            raise TableError(f"{name} line {number}: {len(cells)} cells, {len(columns)} columns")
        rows.append(Row(name, number, dict(zip(columns, cells, strict=True))))
    if not rows:
        raise TableError(f"{name}: no rows")
    return Table(meta, tuple(rows))


@cache
def load(name: str) -> Table:
    """The table `name` (without ".csv"), read once."""
    return parse(f"{name}.csv", (FOLDER / f"{name}.csv").read_text(encoding="utf-8"))
