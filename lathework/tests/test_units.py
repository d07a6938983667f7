"""Conversion, rounding and showing of lengths."""

from __future__ import annotations

import unittest
from decimal import ROUND_HALF_UP, Decimal

from hypothesis import given
from hypothesis import strategies as st

from lathework.units import LengthUnit, convert, round_half_up, show_length, show_number

LENGTHS = st.floats(0, 5000, allow_nan=False)


class Units(unittest.TestCase):
    def test_an_inch_is_exactly_25_4_mm(self) -> None:
        """1959 international inch."""
        self.assertEqual(convert(1, "in", "mm"), 25.4)
        self.assertEqual(convert(25.4, "mm", "in"), 1)

    @given(LENGTHS)
    def test_there_and_back(self, value: float) -> None:
        self.assertAlmostEqual(convert(convert(value, "mm", "in"), "in", "mm"), value, places=9)

    def test_halves_go_up_as_in_printed_tables(self) -> None:
        for value, places, printed in ((0.00005, 4, 0.0001), (2.5, 0, 3), (-2.5, 0, -3), (0.12345, 4, 0.1235)):
            with self.subTest(value):
                self.assertEqual(round_half_up(value, places), printed)

    @given(LENGTHS)
    def test_rounding_moves_by_half_a_digit_at_most(self, value: float) -> None:
        exact = Decimal(repr(value)).quantize(Decimal("0.0001"), rounding=ROUND_HALF_UP)
        self.assertEqual(round_half_up(value, 4), float(exact))

    def test_figures_as_machinists_write_them(self) -> None:
        """Inches with four decimals across, three along; millimetres with three and two; a true minus."""
        cases: tuple[tuple[float, LengthUnit, LengthUnit, bool, str], ...] = (
            (0.3125, "in", "in", True, "0.3125"),
            (1.5, "in", "in", False, "1.500"),
            (0.3125, "in", "mm", True, "7.938"),
            (-38.1, "mm", "mm", False, "−38.10"),
            (8, "mm", "in", True, "0.3150"),
        )
        for value, unit, into, fine, text in cases:
            with self.subTest(text):
                self.assertEqual(show_length(value, unit, into, fine=fine), text)

    def test_never_minus_nothing(self) -> None:
        self.assertEqual(show_number(-0.0001, 2), "0.00")
