"""Limits of size: what holds for every thread of every family. Printed values stand in tests/validation."""

from __future__ import annotations

import unittest
from decimal import Decimal
from itertools import pairwise

from hypothesis import given
from hypothesis import strategies as st

from lathework.answers.size import size
from lathework.errors import InputError
from lathework.figures import Figure
from lathework.tests.every import each
from lathework.threads.designation import read_called, read_designation
from lathework.threads.library import library
from lathework.threads.limits import (
    external_classes,
    external_limits,
    internal_classes,
    internal_limits,
    is_internal_class,
)
from lathework.threads.special import special_metric, special_unified
from lathework.threads.standards import metric
from lathework.threads.standards.bands import Band, ExternalLimits, InternalLimits
from lathework.threads.thread import Thread
from lathework.units import MM_PER_INCH

HALF_DIGIT = 0.0000500001
#: Classes from the tightest to the loosest, by family.
TIGHTER = {
    "unified": ("3A", "2A", "1A"),
    "metric": ("4h", "6h"),
    "whitworth": ("close", "medium", "free"),
    "model-engineer": ("close", "medium", "free"),
    "cycle": ("close", "medium", "free"),
    "bsp": ("A", "B"),
    "ba": ("close", "normal"),
    "npt": ("2A",),
}
INSIDE = {
    "unified": ("3B", "2B", "1B"),
    "metric": ("5H", "6H", "7H"),
    "whitworth": ("close", "medium", "normal"),
    "model-engineer": ("close", "medium", "normal"),
    "cycle": ("close", "medium", "normal"),
}
PARALLEL = [t for t in library() if external_classes(t)]


def external(thread: Thread, name: str = "") -> ExternalLimits:
    found = external_limits(thread, name)
    assert found is not None
    return found


def internal(thread: Thread, name: str = "") -> InternalLimits:
    found = internal_limits(thread, name)
    assert found is not None
    return found


class Everywhere(unittest.TestCase):
    def test_external_stays_within_the_metal_and_internal_outside(self) -> None:
        for thread in PARALLEL:
            with self.subTest(thread.designation):
                out, inside = external(thread), internal(thread)
                for band in (out.major, out.pitch_diameter, inside.minor, inside.pitch_diameter):
                    self.assertLess(band.minimum, band.maximum)
                    self.assertTrue(band.formula and band.source.title)
                self.assertLessEqual(out.major.maximum, thread.major + HALF_DIGIT)
                self.assertLessEqual(out.pitch_diameter.maximum, thread.pitch_diameter)
                # What a table prints to four places may lie half a digit under the basic size.
                self.assertGreaterEqual(inside.pitch_diameter.minimum, thread.pitch_diameter - HALF_DIGIT)
                self.assertGreaterEqual(inside.major_min.value, thread.major - HALF_DIGIT)
                self.assertLess(out.minor_max.value, out.pitch_diameter.minimum)

    def test_every_class_goes_together(self) -> None:
        """The largest bolt of any class enters the smallest nut of any class of its family."""
        for thread in PARALLEL:
            largest = max(external(thread, name).pitch_diameter.maximum for name in external_classes(thread))
            smallest = min(internal(thread, name).pitch_diameter.minimum for name in internal_classes(thread))
            self.assertLessEqual(largest, smallest, thread.designation)

    def nested(self, names: tuple[str, ...], bands: list[Band]) -> None:
        for tight, loose in pairwise(bands):
            self.assertLess(tight.tolerance, loose.tolerance, names)

    def test_classes_nest(self) -> None:
        for thread in PARALLEL:
            names = tuple(n for n in TIGHTER[thread.family] if n in external_classes(thread))
            inside = tuple(n for n in INSIDE.get(thread.family, ()) if n in internal_classes(thread))
            with self.subTest(thread.designation):
                self.nested(names, [external(thread, n).pitch_diameter for n in names])
                self.nested(inside, [internal(thread, n).pitch_diameter for n in inside])

    def test_working_is_carried(self) -> None:
        for thread in PARALLEL[::7]:
            for figure in (*external(thread).major.figures(), *internal(thread).minor.figures()):
                self.assertIsInstance(figure, Figure)
                self.assertEqual(len(figure.inputs), 3)


class Growth(unittest.TestCase):
    @given(st.decimals("0.25", "4", places=4), st.sampled_from((4, 6, 8, 12, 16, 20, 28, 32)), st.data())
    def test_unified_tolerance_grows_with_size_and_pitch(self, size_in: Decimal, tpi: int, data: st.DataObject) -> None:
        if size_in * tpi < 3:
            return
        more = data.draw(st.decimals("0.0001", "1", places=4))
        small = external(special_unified("x", size_in, Decimal(tpi)))
        large = external(special_unified("x", size_in + more, Decimal(tpi)))
        self.assertLessEqual(small.pitch_diameter.tolerance, large.pitch_diameter.tolerance)
        finer = external(special_unified("x", size_in, Decimal(tpi + 4)))
        self.assertLess(finer.pitch_diameter.tolerance, small.pitch_diameter.tolerance)
        self.assertLess(finer.major.tolerance, small.major.tolerance)

    def test_metric_tolerance_grows_with_size_and_pitch(self) -> None:
        """ISO 965-1: along a row of one diameter, and down a column of one pitch."""
        threads = [t for t in library() if t.family == "metric"]
        for one in threads:
            for other in threads:
                if other.major == one.major and other.pitch > one.pitch:
                    self.assertGreaterEqual(
                        external(other).pitch_diameter.tolerance, external(one).pitch_diameter.tolerance
                    )
        for one, other in pairwise(sorted((t for t in threads if t.pitch == 1.5), key=lambda t: t.major)):
            self.assertLessEqual(internal(one).pitch_diameter.tolerance, internal(other).pitch_diameter.tolerance)

    @each(PARALLEL)
    def test_inch_and_millimetre_answers_agree(self, thread: Thread) -> None:
        band = external(thread).pitch_diameter
        inch = 1.0 if thread.unit == "in" else MM_PER_INCH
        self.assertAlmostEqual(thread.pitch_diameter_mm / MM_PER_INCH, thread.pitch_diameter / inch, places=9)
        self.assertAlmostEqual(band.middle, (band.maximum + band.minimum) / 2, places=9)


class Ends(unittest.TestCase):
    def test_what_the_standard_does_not_cover_says_so(self) -> None:
        for text, name, field in (
            ("3/8-16", "6g", "class"),
            ("M8", "2A", "class"),
            ("M1", "8g", "class"),
            ("M8", "6d", "class"),
            ("12 BA", "close", "class"),
            ("G1/2", "C", "class"),
            ("R1/2", "A", "class"),
        ):
            with self.subTest(text=text, name=name), self.assertRaises(InputError) as told:
                size(text, class_name=name)
            self.assertEqual((told.exception.code, told.exception.field), ("class-not-covered", field))
        with self.assertRaises(InputError) as told:
            size("3/8-16", internal_class="2A")
        self.assertEqual(told.exception.field, "internal_class")

    def test_a_taper_thread_has_no_classes(self) -> None:
        for text in ("R1/2", "Rc1/2", "1/2 NPT"):
            thread = read_designation(text)
            self.assertEqual((external_limits(thread), internal_limits(thread)), (None, None))
        sealing = internal(read_designation("Rp1/2"))
        self.assertAlmostEqual(sealing.pitch_diameter.minimum, 19.793 - 0.142, places=6)

    def test_a_class_belongs_to_one_side(self) -> None:
        for text, inside in (("3/8-16 2A", False), ("3/8-16 2B", True), ("M8-6G", True), ("1/2 BSW free", False)):
            called = read_called(text)
            self.assertEqual(is_internal_class(called.thread, called.class_name), inside)
        with self.assertRaises(InputError):
            is_internal_class(read_designation("M8"), "2B")

    def test_a_class_said_with_the_thread_is_used(self) -> None:
        found = size("3/8-16 UNC-3A")
        assert found.external is not None and found.internal is not None
        self.assertEqual((found.external.class_name, found.internal.class_name), ("3A", "2B"))

    @each(PARALLEL, (" LH", " 2-start", " 3-start LH"))
    def test_hand_and_starts_change_no_limit(self, thread: Thread, suffix: str) -> None:
        other = read_designation(f"{thread.designation}{suffix}")
        self.assertEqual(other.plain_name, thread.designation)
        self.assertEqual(external(other), external(thread))
        self.assertEqual(internal(other), internal(thread))

    def test_a_left_hand_taper_keeps_its_lengths(self) -> None:
        found = size("R1/2 LH").taper
        assert found is not None
        self.assertEqual(found.gauge_length.value, 8.2)

    def test_a_class_may_be_typed_in_either_case(self) -> None:
        for text, name, meant in (("3/8-16", "3a", "3A"), ("1/2 BSW", "Close", "close"), ("G1/2", "b", "B")):
            found = size(text, class_name=name).external
            assert found is not None
            self.assertEqual(found.class_name, meant)
        with self.assertRaises(InputError):
            size("M8", class_name="6G")

    def test_outside_the_tables_the_formulas_are_named(self) -> None:
        limits = external(special_metric(Decimal("20"), Decimal("0.9")))
        self.assertIn(metric.NOT_TABULATED, limits.notes)
        self.assertEqual(external(read_designation("M20")).notes, ())

    def test_engagement_groups(self) -> None:
        """ISO 965-1, M10: N from 5 to 15 mm."""
        thread = read_designation("M10")
        groups = [metric.engagement_group(thread, length) for length in (4.5, 10.0, 16.5)]
        self.assertEqual(groups, ["S", "N", "L"])
        self.assertIn("group L", size("M10", engagement="20 mm").external.notes[0])  # type: ignore[union-attr]

    def test_classes_of_the_tables_only(self) -> None:
        """B1.1 lists 1A for UNC and UNF from 1/4 in; elsewhere that is said."""
        self.assertEqual(external(read_designation("1/4-20"), "1A").notes, ())
        self.assertEqual(len(external(read_designation("#10-32"), "1A").notes), 1)
