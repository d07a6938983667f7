"""Kit files go out and come back; a wrong one is told row by row, and where."""

from __future__ import annotations

import csv
import io
import json
import unittest
from typing import Any

import jsonschema
from hypothesis import given
from hypothesis import strategies as st

from lathework.errors import InputError, InvalidDocument
from lathework.fields import Choice, Designation, Extent, Numbers, Share
from lathework.shop.kinds import CODES, KIND
from lathework.shop.kit import read_thing
from lathework.shop.kit_file import kit_csv, kit_json, kit_schema, read_kit_file

#: Something that may stand in a field of each kind, whatever the field is.
WORDS = st.text(st.characters(exclude_categories=("Cs", "Cc")), min_size=1, max_size=30).filter(
    lambda t: t.strip() == t
)


def cells(kind: str) -> st.SearchStrategy[dict[str, str]]:
    """Documents of a kind, with most fields said."""
    said: dict[str, Any] = {}
    for name, field in KIND[kind].group.fields.items():
        match field:
            case Choice():
                said[name] = st.sampled_from(field.allowed)
            case Designation():
                said[name] = st.sampled_from(("M8", "1/4 BSW", "3/8-16", "2 BA"))
            case Extent():
                low, high = field.span.low_mm, field.span.high_mm
                said[name] = st.floats(low + (high - low) * 0.01, high).map(lambda mm: f"{mm:.3f} mm")
            case Share() | Numbers():
                said[name] = st.integers(int(field.low) + 1, int(field.high)).map(str)
            case _:
                said[name] = WORDS
    ident = st.text("abcdef0123456789", min_size=4, max_size=12)
    return st.fixed_dictionaries({**said, "id": ident}).filter(lambda one: sound(kind, one))


def sound(kind: str, document: dict[str, str]) -> bool:
    try:
        read_thing(kind, document)
    except InvalidDocument:
        return False
    return True


CELLS = {kind: cells(kind) for kind in CODES}
THINGS = st.sampled_from(CODES).flatmap(lambda kind: st.tuples(st.just(kind), CELLS[kind]))
TABLES = st.sampled_from(CODES).flatmap(lambda kind: st.tuples(st.just(kind), st.lists(CELLS[kind], max_size=3)))


class ThereAndBack(unittest.TestCase):
    @given(st.lists(THINGS, min_size=1, max_size=4))
    def test_json_comes_back_as_it_went(self, things: list[tuple[str, dict[str, str]]]) -> None:
        file = json.loads(json.dumps(kit_json(things)))
        jsonschema.Draft202012Validator(kit_schema()).validate(file)
        rows = read_kit_file(json.dumps(file))
        kept = [{name: text for name, text in document.items() if text} for _, document in things]
        went = [(kind, document) for (kind, _), document in zip(things, kept, strict=True)]
        self.assertEqual([(row.kind, dict(row.document)) for row in rows], went)

    @given(TABLES.filter(lambda told: bool(told[1])))
    def test_csv_comes_back_as_it_went(self, told: tuple[str, list[dict[str, str]]]) -> None:
        kind, documents = told
        rows = read_kit_file(kit_csv(kind, documents))
        for row, document in zip(rows, documents, strict=True):
            self.assertEqual(row.errors, ())
            self.assertEqual(read_thing(row.kind, row.document), read_thing(kind, document))

    def test_what_a_spreadsheet_would_run_is_written_as_text(self) -> None:
        table = kit_csv("drill", [{"id": "d1", "size": "5 mm", "notes": "=1+1"}])
        (row,) = csv.DictReader(io.StringIO(table))
        self.assertEqual(row["notes"], "'=1+1")


class Wrong(unittest.TestCase):
    def test_wrong_rows_stand_beside_the_good_ones(self) -> None:
        """The second die is thicker than it is wide, the third cuts nothing known; the first goes in by itself."""
        rows = read_kit_file("kind,thread,across,thick\ndie,M8,25 mm,9 mm\ndie,M8,9 mm,25 mm\ndie,M99,,\n")
        self.assertEqual([row.line for row in rows], [2, 3, 4])
        self.assertEqual([row.errors == () for row in rows], [True, False, False])
        self.assertEqual([error.field for row in rows[1:] for error in row.errors], ["thick", "thread"])

    def test_files_that_are_none(self) -> None:
        for text in (
            "",
            "  ",
            "hammer",
            "{",
            "[1]",
            '{"format": "conch-job", "version": 1}',
            "kind,kind\ndie,die",
            'a"b\n"',
        ):
            with self.subTest(text), self.assertRaises(InputError) as told:
                read_kit_file(text)
            self.assertEqual(told.exception.field, "file")

    def test_more_cells_than_columns(self) -> None:
        (row,) = read_kit_file("kind,size\ndrill,5 mm,6 mm\n")
        self.assertTrue(row.errors)

    @given(st.text(max_size=200))
    def test_no_text_breaks_it(self, text: str) -> None:
        try:
            rows = read_kit_file(text)
        except InputError:
            return
        self.assertTrue(rows)
