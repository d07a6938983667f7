"""What a person types in one field and a document keeps in two: a size with its fit, a bar with its form."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Literal

from lathework.errors import InputError
from lathework.fields import Json
from lathework.fits.called import read_fit
from lathework.fits.fit import Makes
from lathework.part.stock import FINISHED_FORMS, read_bar


def parts_of(document: Json) -> Iterator[Json]:
    """The parts of a document, as far as they are objects."""
    for one in (document, *(document.get("others") or ())):
        part = one.get("part") if isinstance(one, dict) else None
        if isinstance(part, dict):
            yield part


def rows_of(document: Json, name: Literal["sections", "bores"]) -> Iterator[Json]:
    """The sections, or the holes, of every part, as far as they are objects."""
    for part in parts_of(document):
        rows = part.get(name)
        yield from (row for row in (rows if isinstance(rows, list) else ()) if isinstance(row, dict))


def _fit(row: Json, makes: Makes) -> None:
    """Keep the fit that is typed behind a size where fits are kept; what cannot be read stays as it is."""
    try:
        size, code = read_fit(str(row.get("across") or ""), makes, "across")
    except InputError:
        return
    if code:
        row["across"], row["fit"] = size, code


def take_apart(document: Json) -> None:
    """Put what was typed together into the fields that it belongs in, in place."""
    for row in rows_of(document, "sections"):
        if row.get("shape") == "round":
            _fit(row, "shaft")
    for row in rows_of(document, "bores"):
        if not row.get("thread"):
            _fit(row, "hole")
    for part in parts_of(document):
        stock = part.get("stock")
        if isinstance(stock, dict) and stock.get("form") not in FINISHED_FORMS:
            size, form = read_bar(str(stock.get("across") or ""))
            if form:
                stock["across"], stock["form"] = size, form
