"""Job documents: every field that cannot be used is told by its path, all at once."""

from __future__ import annotations

import unittest
from typing import Any
from unittest import mock

from hypothesis import given
from hypothesis import strategies as st

from lathework.errors import InvalidDocument
from lathework.job.document import read_document
from lathework.job.reading import job_reader
from lathework.job.reading.upgrade import upgraded
from lathework.remembered import Remembered
from lathework.tests.samples import PLUG, SCREW, TIE_ROD, document, job, section

#: Change, the field it is told of, the code.
WRONG: tuple[tuple[dict[str, Any], str, str], ...] = (
    ({"format": "other"}, "format", "wrong-format"),
    ({"version": 4}, "version", "wrong-version"),
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
    ({"quantity": 5001}, "quantity", "not-a-count"),
    ({"quantity": "six"}, "quantity", "not-a-count"),
    ({"quantity": True}, "quantity", "not-a-count"),
    ({"quantity": 2.5}, "quantity", "not-a-count"),
    ({"unit": "cm"}, "unit", "unknown-choice"),
    ({"material": "mithril"}, "material", "unknown-choice"),
    ({"hazards": "yes"}, "hazards", "unknown-choice"),
    ({"hazards": ["thunder"]}, "hazards", "unknown-choice"),
    ({"part.sections.0.shape": "nut"}, "part.sections.0.shape", "unknown-choice"),
    ({"part.sections.0.thread": "7/16 whitworth"}, "part.sections.0.thread", "ambiguous"),
    ({"part.sections.0.thread": ""}, "part.sections.0.thread", "empty"),
    ({"part.sections.0.coating": "zinc"}, "part.sections.0.coating", "unknown-field"),
    ({"part.sections": []}, "part.sections", "empty"),
    ({"part.sections": "thread"}, "part.sections", "wrong-type"),
    ({"part.sections": [3]}, "part.sections.0", "wrong-type"),
    ({"part.sections": [section("bar", "1")] * 17}, "part.sections", "too-long"),
    ({"part.stock": None}, "part.stock", "wrong-type"),
    ({"part.stock.form": "octagon"}, "part.stock.form", "unknown-choice"),
    ({"part.stock.bar_length": "1/8"}, "part.stock.bar_length", "out-of-range"),
    ({"part.overall_length": ""}, "part.sections.1.length", "empty"),
    ({"part.overall_length": "1"}, "part.sections.1.length", "does-not-fit"),
    ({"part.sections.0.measured": "worn"}, "part.sections.0.measured", "not-a-length"),
    ({**TIE_ROD, "part.sections.1.length": "", "part.sections.2.length": ""}, "part.sections.2.length", "empty"),
    ({**PLUG, "part.sections.1.across": "1"}, "part.sections.1.across", "does-not-fit"),
    ({**PLUG, "part.sections.1.across": ""}, "part.sections.1.across", "empty"),
    ({**PLUG, "part.sections.1.chamfer": "3/4"}, "part.sections.1.chamfer", "does-not-fit"),
    (
        {
            **SCREW,
            "part.sections.0": section("round", "1/4", across="0.35"),
            "part.sections.1": section("thread", "3/4", thread="3/8-16"),
        },
        "part.sections.1.thread",
        "die-cannot-reach",
    ),
    ({**TIE_ROD, "part.stock.form": "bolt"}, "part.sections", "does-not-fit"),
    ({"part.stock.across": "0"}, "part.stock.across", "out-of-range"),
    ({"part.stock.across": "-1"}, "part.stock.across", "not-a-length"),
    ({"part.stock.across": "28"}, "part.stock.across", "out-of-range"),
    ({"part.stock.across": "1/0"}, "part.stock.across", "divided-by-zero"),
    ({"part.stock.across": 0.5}, "part.stock.across", "wrong-type"),
    ({"part.stock.across": "0.3"}, "part.stock.across", "does-not-fit"),
    ({"part.sections.0.length": "1e9"}, "part.sections.0.length", "not-a-length"),
    ({"part.sections.0.length": "0.2"}, "part.sections.0.length", "does-not-fit"),
    ({"part.sections.0.length": "2-1/2"}, "part.sections.1.length", "does-not-fit"),
    ({"part.overall_length": "999"}, "part.overall_length", "out-of-range"),
    ({"setup.groove_blade": "5/16", "part.sections.0.length": "0.4"}, "method.finish", "does-not-fit"),
    ({**SCREW, "part.sections.1.across": "5/8"}, "part.sections.1.across", "does-not-fit"),
    ({**SCREW, "part.sections.1.across": ""}, "part.sections.1.across", "empty"),
    ({**SCREW, "part.sections.1.length": "1e9"}, "part.sections.1.length", "not-a-length"),
    ({"method.blank_school": "by-eye"}, "method.blank_school", "unknown-choice"),
    ({"method.blank_fraction": "0.31"}, "method.blank_fraction", "out-of-range"),
    ({"method.blank_fraction": "much"}, "method.blank_fraction", "out-of-range"),
    ({"method.blank_fraction": "nan"}, "method.blank_fraction", "out-of-range"),
    ({"method.finish": "hope"}, "method.finish", "unknown-choice"),
    ({"method.holder": "teeth"}, "method.holder", "unknown-choice"),
    ({"method.order": "any"}, "method.order", "unknown-choice"),
    ({"method.support": "hope"}, "method.support", "unknown-choice"),
    ({"setup.readout": "eye"}, "setup.readout", "unknown-choice"),
    ({"setup.lathe": "big"}, "setup.lathe", "unknown-choice"),
    ({"setup.run_down": "soon"}, "setup.run_down", "out-of-range"),
    ({"setup.run_down": "-1"}, "setup.run_down", "out-of-range"),
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
        *("title", "quantity", "unit", "material", "hazards", "notes", "part", "method", "setup"),
        *("part.stock", "part.sections", "part.sections.0", "part.sections.0.thread", "part.stock.across"),
        *("part.sections.1.length", "method.blank_fraction"),
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
        made = job({"quantity": "12", "unit": "mm", "part.stock.across": "1/2 in", "part.sections.0.length": "30"} | MM)
        self.assertEqual(made.quantity, 12)
        self.assertEqual(made.part.designations, "3/8-16 UNC")
        self.assertEqual((made.part.stock.across.unit, made.part.sections[0].length.mm), ("in", 30.0))

    def test_optional_fields_may_be_missing(self) -> None:
        made = job({"notes": None, "fits": None, "hazards": None, "setup.groove_edge": None, "part.stock.form": None})
        self.assertEqual((made.notes, made.fits, made.hazards, made.setup.groove_edge), ("", "", (), "left"))

    def test_the_metals_own_fraction_stands_until_another_is_typed(self) -> None:
        self.assertEqual(job({"material": "brass"}).method.blank_fraction, 0.05)
        self.assertEqual(job({"method.blank_fraction": "0,12"}).method.blank_fraction, 0.12)

    def test_each_wrong_field_is_told_by_its_path(self) -> None:
        for change, field, code in WRONG:
            with self.subTest(change):
                self.assertEqual(errors_of(document(change)).get(field), code)

    def test_all_errors_at_once(self) -> None:
        wrong = {"title": "", "quantity": 0, "part.sections.0.thread": "bolt", "setup.dial": "clock"}
        found = errors_of(document(wrong))
        self.assertEqual(set(found), {"title", "quantity", "part.sections.0.thread", "setup.dial"})

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


class Again(unittest.TestCase):
    """What was read before is known; it is the same as read for the first time."""

    def read(self, sample: dict[str, Any]) -> object:
        try:
            return read_document(sample)
        except InvalidDocument as invalid:
            return [(error.field, error.code, error.message) for error in invalid.errors]

    def alike(self, sample: dict[str, Any]) -> None:
        again = self.read(sample)
        with mock.patch.object(job_reader, "_REMEMBERED", Remembered[object](500)):
            first = self.read(sample)
        self.assertEqual(again, first)

    def test_every_wrong_field_is_told_each_time(self) -> None:
        for changes, field, _ in WRONG:
            with self.subTest(field=field, changes=changes):
                self.alike(document())
                self.alike(document(changes))

    def test_a_section_without_a_length_follows_the_others(self) -> None:
        for overall in ("2-1/2", "3", "2-1/2", "1", "3"):
            self.alike(document({"part.overall_length": overall}))

    def test_a_bare_number_follows_the_unit(self) -> None:
        bare = {"part.overall_length": "20", "part.sections.0.length": "10", "part.stock.across": "1/2 in"}
        blades = {"setup.groove_blade": "2 mm", "setup.parting_blade": "2 mm"}
        jobs = [job({"unit": unit, **bare, **blades}) for unit in ("in", "mm", "in")]
        self.assertEqual([one.part.sections[0].length.mm for one in jobs], [254.0, 10.0, 254.0])

    def test_what_is_longer_than_anybody_writes_is_not_kept(self) -> None:
        with mock.patch.object(job_reader, "_REMEMBERED", Remembered[object](500)) as known:
            self.read(document({"setup.colour": "x" * 10**6, "part.sections.0.colour": "x" * 10**6}))
            self.assertLess(len(repr(vars(known))), 10**5)

    @given(PATHS, JSON)
    def test_any_value(self, path: str, value: object) -> None:
        self.alike(document({path: value}))


#: The levelling studs, and a shouldered screw, as version 1 told them.
OLD: dict[str, Any] = {
    **{key: value for key, value in document().items() if key not in ("version", "part", "hazards", "method")},
    "version": 1,
    "pressure": True,
    "method": {"blank_school": "nominal", "blank_fraction": "", "finish": "groove", "drive": "power"},
    "part": {
        "kind": "stud",
        "thread": "3/8-16",
        "stock_diameter": "1/2",
        "thread_length": "1-1/4",
        "overall_length": "2-1/2",
        "shank_diameter": "",
        "shank_length": "",
    },
}
OLD_SCREW = OLD | {
    "part": OLD["part"] | {"kind": "shouldered-screw", "shank_diameter": "7/16", "shank_length": "1-3/4"}
}


class VersionOne(unittest.TestCase):
    def test_a_stud_is_read_as_two_sections(self) -> None:
        made = read_document(OLD)
        self.assertEqual([s.shape for s in made.part.sections], ["thread", "bar"])
        self.assertAlmostEqual(made.part.overall_mm, 63.5)
        self.assertEqual(
            (made.hazards, made.method.holder, made.method.order), (("pressure",), "floating-power", "from-the-bar")
        )

    def test_a_shank_measured_from_the_face_becomes_its_own_length(self) -> None:
        """1-3/4 to the head less 1-1/4 of thread is 1/2."""
        made = read_document(OLD_SCREW)
        self.assertEqual([s.shape for s in made.part.sections], ["thread", "round", "bar"])
        self.assertAlmostEqual(made.part.sections[1].length.mm, 12.7)

    def test_what_was_wrong_is_told_where_it_stands_now(self) -> None:
        found = errors_of(OLD_SCREW | {"part": OLD_SCREW["part"] | {"shank_length": "long", "thread": "bolt"}})
        self.assertLessEqual({"part.sections.0.thread", "part.sections.1.length"}, set(found))

    def test_the_new_version_is_left_alone(self) -> None:
        self.assertEqual(upgraded(document()), document())
        self.assertEqual(upgraded(upgraded(OLD)), upgraded(OLD))


class Rest(unittest.TestCase):
    def test_one_section_takes_what_the_others_leave(self) -> None:
        self.assertAlmostEqual(job(TIE_ROD).part.sections[1].length.mm, 4 * 25.4)

    def test_the_sum_stands_where_nothing_was_stated(self) -> None:
        made = job({"part.overall_length": "", "part.sections.1.length": "1"})
        self.assertAlmostEqual(made.part.overall_mm, 2.25 * 25.4)


class LengthBehindAThread(unittest.TestCase):
    def test_it_is_said_that_it_is_not_taken(self) -> None:
        """Lengths of a part are typed for themselves: the one behind `3/8-16 x 1` is told, not dropped unsaid."""
        thread = read_document(document({"part.sections.0.thread": "3/8-16 x 1"})).part.sections[0].thread
        assert thread is not None
        self.assertEqual(thread.designation, "3/8-16 UNC")
        self.assertIn("(1 in) is not read here", thread.notes[-1])
