"""Lengths as people write them: read exactly or refused with a reason, never repaired."""

from __future__ import annotations

import unittest
from fractions import Fraction

from hypothesis import example, given
from hypothesis import strategies as st

from lathework.errors import InputError, OutOfRange
from lathework.lengths import Length, Span, read_length, within
from lathework.tests.samples import SCREW, plan, section, step

READ = (
    ("5/16", "in", 0.3125, "in"),
    ("1-1/4", "in", 1.25, "in"),
    ("1 1/4", "in", 1.25, "in"),
    (".3125", "in", 0.3125, "in"),
    ("0.3125 in", "mm", 0.3125, "in"),
    ('5/16"', "mm", 0.3125, "in"),
    ("6,35", "mm", 6.35, "mm"),
    ("6.35 mm", "in", 6.35, "mm"),
    ("8MM", "in", 8.0, "mm"),
    ("12 thou", "mm", 0.012, "in"),
    ("#7", "mm", 0.201, "in"),
    ("F", "mm", 0.257, "in"),
    ("f", "in", 0.257, "in"),
    (" 3 ", "mm", 3.0, "mm"),
    ("0", "in", 0.0, "in"),
)
REFUSED = (
    ("", "empty"),
    ("   ", "empty"),
    ("1/0", "divided-by-zero"),
    ("1-1/0", "divided-by-zero"),
    ("abc", "not-a-length"),
    ("nan", "not-a-length"),
    ("inf", "not-a-length"),
    ("1e3", "not-a-length"),
    ("-1", "not-a-length"),
    ("1.2.3", "not-a-length"),
    ("1/2/3", "not-a-length"),
    (".", "not-a-length"),
    ("mm", "not-a-length"),
    ("<script>", "not-a-length"),
    ("٣", "not-a-length"),
    ("9" * 41, "not-a-length"),
)
SPAN = Span("A bar diameter", 1, 150)


class Reading(unittest.TestCase):
    def test_what_people_write(self) -> None:
        for text, unit, value, written in READ:
            with self.subTest(text):
                found = read_length(text, unit)
                self.assertAlmostEqual(found.value, value, places=12)
                self.assertEqual(found.unit, written)

    def test_what_is_no_length(self) -> None:
        for text, code in REFUSED:
            with self.subTest(text), self.assertRaises(InputError) as told:
                read_length(text, "in", "part.stock_diameter")
            self.assertEqual((told.exception.code, told.exception.field), (code, "part.stock_diameter"))

    @given(st.text(max_size=60))
    @example("1/4 1/4")
    @example("''")
    def test_any_text_is_read_or_refused(self, text: str) -> None:
        try:
            found = read_length(text, "in")
        except InputError as error:
            self.assertTrue(error.message)
        else:
            self.assertGreaterEqual(found.value, 0)

    @given(st.integers(0, 99), st.integers(1, 63))
    def test_fractions_are_exact(self, whole: int, part: int) -> None:
        self.assertEqual(read_length(f"{whole}-{part}/64", "in").value, float(whole + Fraction(part, 64)))

    @given(st.decimals(0, 999, places=4))
    def test_comma_and_point_are_alike(self, value: object) -> None:
        self.assertEqual(read_length(f"{value}", "mm").mm, read_length(f"{value}".replace(".", ","), "mm").mm)


class Within(unittest.TestCase):
    def check(self, value: float, unit: str) -> InputError:
        with self.assertRaises(OutOfRange) as told:
            within(Length(value, unit, str(value)), SPAN, "bar")  # type: ignore[arg-type]
        return told.exception

    def test_limits_belong_to_the_span(self) -> None:
        for value in (1.0, 150.0, 20.0):
            self.assertEqual(within(Length(value, "mm", ""), SPAN, "bar").mm, value)

    def test_a_unit_that_slipped_is_asked_about(self) -> None:
        """28 in an inch field is a metric bar; 0.5 in a millimetre field an inch one."""
        self.assertIn("28 mm", self.check(28, "in").choices)
        self.assertIn("0.5 in", self.check(0.5, "mm").choices)
        self.assertIn("Did you mean 28 mm?", self.check(28, "in").message)

    def test_a_point_that_slipped_is_asked_about(self) -> None:
        self.assertIn("62.5 mm", self.check(625, "mm").choices)

    def test_the_sentence_names_what_is_allowed_in_the_unit_typed(self) -> None:
        self.assertIn("1 mm to 150 mm", self.check(4000, "mm").message)
        self.assertIn("in", self.check(9000, "in").message)

    def test_what_is_no_number_is_outside(self) -> None:
        self.assertEqual(self.check(float("inf"), "mm").choices, ())


class About(unittest.TestCase):
    """A length that is only about so long."""

    def test_it_is_a_value_one_can_type(self) -> None:
        for typed, mm in (("about 20 mm", 20.0), ("~3/4", 19.05), ("ca. 12,5 mm", 12.5), ("approx 1-1/4", 31.75)):
            with self.subTest(typed):
                length = read_length(typed, "in", roughly=True)
                self.assertAlmostEqual(length.mm, mm)
                self.assertTrue(length.about)
                self.assertEqual(length.typed, typed)
        self.assertFalse(read_length("20 mm", "in", roughly=True).about)

    def test_a_diameter_is_not_about(self) -> None:
        with self.assertRaises(InputError) as raised:
            read_length("about 20 mm", "in", "across")
        self.assertEqual((raised.exception.code, raised.exception.field), ("not-exact", "across"))

    def test_its_shoulder_may_be_off_by_more_and_that_is_said(self) -> None:
        """Half a millimetre either way, or a fiftieth of it."""
        bands = {}
        for length in ("about 1/2", "1/2"):
            sections = [SCREW["part.sections"][0], {**SCREW["part.sections"][1], "length": length}, section("bar")]
            made = plan({"part.sections": sections})
            [band] = [one.target for one in step(made, "turn").dimensions if one.measured == "length"]
            bands[length] = (band.high_mm - band.low_mm) / 2
            self.assertEqual(any(one.code == "about-length" for one in made.notices), length.startswith("about"))
        self.assertAlmostEqual(bands["1/2"], 0.1)
        # A shoulder behind one that is only about there is only about there itself.
        rough = [{**SCREW["part.sections"][0], "length": "about 1-1/4"}, *SCREW["part.sections"][1:]]
        [behind] = [
            one.target for one in step(plan({"part.sections": rough}), "turn").dimensions if one.measured == "length"
        ]
        self.assertAlmostEqual((behind.high_mm - behind.low_mm) / 2, 0.889)
        # The shoulder stands 44.45 from the face: a fiftieth of that is 0.889.
        self.assertAlmostEqual(bands["about 1/2"], 0.889)
