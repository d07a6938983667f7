"""Job documents: every field that cannot be used is told by its path, all at once."""

from __future__ import annotations

import unittest
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from lathework.document import read_document
from lathework.errors import InvalidDocument
from lathework.tests.samples import SCREW, document, job

#: Change, the field it is told of, the code.
WRONG: tuple[tuple[dict[str, Any], str, str], ...] = (
    ({"format": "other"}, "format", "wrong-format"),
    ({"version": 2}, "version", "wrong-version"),
    ({"version": True}, "version", "wrong-version"),
    ({"colour": "red"}, "colour", "unknown-field"),
    ({"part.coating": "zinc"}, "part.coating", "unknown-field"),
    ({"part": []}, "part", "wrong-type"),
    ({"title": "  "}, "title", "empty"),
    ({"title": "x" * 121}, "title", "too-long"),
    ({"title": "a\x00b"}, "title", "unreadable"),
    ({"title": 5}, "title", "wrong-type"),
    ({"notes": "x" * 2001}, "notes", "too-long"),
    ({"quantity": 0}, "quantity", "not-a-count"),
    ({"quantity": 501}, "quantity", "not-a-count"),
    ({"quantity": "six"}, "quantity", "not-a-count"),
    ({"quantity": True}, "quantity", "not-a-count"),
    ({"quantity": 2.5}, "quantity", "not-a-count"),
    ({"unit": "cm"}, "unit", "unknown-choice"),
    ({"material": "mithril"}, "material", "unknown-choice"),
    ({"pressure": "yes"}, "pressure", "wrong-type"),
    ({"part.kind": "nut"}, "part.kind", "unknown-choice"),
    ({"part.thread": "7/16 whitworth"}, "part.thread", "ambiguous"),
    ({"part.thread": ""}, "part.thread", "empty"),
    ({"part.stock_diameter": "0"}, "part.stock_diameter", "out-of-range"),
    ({"part.stock_diameter": "-1"}, "part.stock_diameter", "not-a-length"),
    ({"part.stock_diameter": "28"}, "part.stock_diameter", "out-of-range"),
    ({"part.stock_diameter": "1/0"}, "part.stock_diameter", "divided-by-zero"),
    ({"part.stock_diameter": 0.5}, "part.stock_diameter", "wrong-type"),
    ({"part.stock_diameter": "0.3"}, "part.stock_diameter", "does-not-fit"),
    ({"part.thread_length": "1e9"}, "part.thread_length", "not-a-length"),
    ({"part.thread_length": "0.2"}, "part.thread_length", "does-not-fit"),
    ({"part.thread_length": "2-1/2"}, "part.thread_length", "does-not-fit"),
    ({"part.overall_length": "999"}, "part.overall_length", "out-of-range"),
    ({"setup.groove_blade": "5/16", "part.thread_length": "0.4"}, "method.finish", "does-not-fit"),
    ({**SCREW, "part.shank_diameter": "1/2"}, "part.shank_diameter", "does-not-fit"),
    ({**SCREW, "part.shank_diameter": ""}, "part.shank_diameter", "empty"),
    ({**SCREW, "part.shank_diameter": "0.3"}, "part.shank_diameter", "does-not-fit"),
    ({**SCREW, "part.shank_length": "1"}, "part.shank_length", "does-not-fit"),
    ({**SCREW, "part.shank_length": "2-1/2"}, "part.shank_length", "does-not-fit"),
    ({"method.blank_school": "by-eye"}, "method.blank_school", "unknown-choice"),
    ({"method.blank_fraction": "0.31"}, "method.blank_fraction", "out-of-range"),
    ({"method.blank_fraction": "much"}, "method.blank_fraction", "out-of-range"),
    ({"method.blank_fraction": "nan"}, "method.blank_fraction", "out-of-range"),
    ({"method.finish": "hope"}, "method.finish", "unknown-choice"),
    ({"method.drive": "steam"}, "method.drive", "unknown-choice"),
    ({"setup.dial": "clock"}, "setup.dial", "unknown-choice"),
    ({"setup.groove_blade": "1"}, "setup.groove_blade", "out-of-range"),
    ({"setup.groove_edge": "top"}, "setup.groove_edge", "unknown-choice"),
    ({"setup.parting_blade": None}, "setup.parting_blade", "empty"),
)
JSON: st.SearchStrategy[Any] = st.recursive(
    st.none() | st.booleans() | st.floats(allow_nan=True) | st.text(max_size=8),
    lambda inner: st.lists(inner, max_size=3) | st.dictionaries(st.text(max_size=8), inner, max_size=3),
    max_leaves=8,
)
#: The rest of the sample told in millimetres.
MM = {"part.overall_length": "60", "setup.groove_blade": "3", "setup.parting_blade": "2.5"}
PATHS = st.sampled_from(
    [
        *("title", "quantity", "unit", "material", "pressure", "notes", "part", "method", "setup"),
        *("part.thread", "part.kind", "part.stock_diameter", "part.shank_length", "method.blank_fraction"),
        *("setup.dial", "setup.parting_blade"),
    ]
)


def errors_of(value: object) -> dict[str, str]:
    """Codes of what is wrong, by field."""
    try:
        read_document(value)
    except InvalidDocument as told:
        return {error.field: error.code for error in told.errors}
    return {}


class Document(unittest.TestCase):
    def test_a_sound_one_is_read(self) -> None:
        made = job({"quantity": "12", "unit": "mm", "part.stock_diameter": "1/2 in", "part.thread_length": "30"} | MM)
        self.assertEqual(made.quantity, 12)
        self.assertEqual(made.part.thread.designation, "3/8-16 UNC")
        self.assertEqual((made.part.stock_diameter.unit, made.part.thread_length.mm), ("in", 30.0))

    def test_optional_fields_may_be_missing(self) -> None:
        made = job({"notes": None, "fits": None, "pressure": None, "setup.groove_edge": None})
        self.assertEqual((made.notes, made.fits, made.pressure, made.setup.groove_edge), ("", "", False, "left"))

    def test_the_metals_own_fraction_stands_until_another_is_typed(self) -> None:
        self.assertEqual(job({"material": "brass"}).method.blank_fraction, 0.05)
        self.assertEqual(job({"method.blank_fraction": "0,12"}).method.blank_fraction, 0.12)

    def test_each_wrong_field_is_told_by_its_path(self) -> None:
        for change, field, code in WRONG:
            with self.subTest(change):
                self.assertEqual(errors_of(document(change)).get(field), code)

    def test_all_errors_at_once(self) -> None:
        found = errors_of(document({"title": "", "quantity": 0, "part.thread": "bolt", "setup.dial": "clock"}))
        self.assertEqual(set(found), {"title", "quantity", "part.thread", "setup.dial"})

    def test_what_is_no_object(self) -> None:
        values: tuple[object, ...] = (None, [], "text", 3)
        for value in values:
            self.assertEqual(errors_of(value), {"": "wrong-type"})

    @given(PATHS, JSON)
    def test_any_value_is_read_or_told(self, path: str, value: object) -> None:
        errors_of(document({path: value}))

    @given(JSON)
    def test_any_json_is_read_or_told(self, value: object) -> None:
        self.assertTrue(errors_of(value))
