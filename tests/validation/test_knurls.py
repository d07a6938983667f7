"""Knurls: blanks of DIN 82, and whole lines round the work as ANSI B94.6 has them on blanks by diametral pitch."""

from __future__ import annotations

import math
import unittest

from hypothesis import given
from hypothesis import strategies as st

from lathework.cutting.knurl import PATTERNS, Knurl, Pattern, blank_mm, teeth
from lathework.lengths import Length
from lathework.tests.samples import plan, section

#: DIN 82: blank = finished diameter less so many pitches: straight (RAA), diamond with raised points (RGE).
SMALLER: dict[Pattern, float] = {"straight": 0.5, "diamond": 0.67}
#: ANSI B94.6: lines round blanks of that diameter in inches, by diametral pitch: pitch = pi / diametral pitch.
LINES = {
    (64, 0.25): 16,
    (96, 0.1875): 18,
    (96, 0.25): 24,
    (96, 0.5): 48,
    (128, 0.25): 32,
    (128, 0.375): 48,
    (160, 0.25): 40,
}


class Knurls(unittest.TestCase):
    @given(st.sampled_from(PATTERNS), st.sampled_from([0.5, 0.6, 0.8, 1.0, 1.2, 1.6]), st.floats(6, 80))
    def test_the_blank_is_that_of_the_standard_to_half_a_line(
        self, pattern: Pattern, pitch: float, across: float
    ) -> None:
        knurl = Knurl(pattern, Length(pitch, "mm", ""))
        printed, blank = across - SMALLER[pattern] * pitch, blank_mm(knurl, across)
        round_mm = pitch / (1.0 if pattern == "straight" else math.cos(math.radians(30)))
        self.assertLessEqual(abs(blank - printed), round_mm / (2 * math.pi) + 1e-9)
        self.assertAlmostEqual(math.pi * blank / round_mm, round(math.pi * blank / round_mm), places=6)

    def test_lines_by_diametral_pitch(self) -> None:
        for (diametral, blank), lines in LINES.items():
            with self.subTest(diametral=diametral, blank=blank):
                knurl = Knurl("straight", Length(math.pi / diametral, "in", ""))
                across = 25.4 * (blank + SMALLER["straight"] * math.pi / diametral)
                self.assertEqual(teeth(knurl, across), lines)
                self.assertAlmostEqual(blank_mm(knurl, across) / 25.4, blank, places=4)

    def test_a_knurled_head_is_turned_to_its_blank(self) -> None:
        """20 mm over a straight knurl of 1 mm: 19.5 by the standard, 61 lines: 19.417."""
        head = section("knurl", "10", across="20", pattern="straight", pitch="1")
        made = plan(
            {
                "unit": "mm",
                "part.overall_length": "",
                "part.stock.across": "22",
                "part.sections": [section("round", "20", across="12"), head],
                "setup.groove_blade": "2",
                "setup.parting_blade": "2",
            }
        )
        turn, knurl = made.operation("turn:s2"), made.operation("knurl:s2")
        assert turn is not None and turn.cut is not None and knurl is not None
        self.assertAlmostEqual(turn.cut.inner_mm, 61 / math.pi, places=6)
        self.assertIn("straight", knurl.sentence)
        self.assertEqual(knurl.figures["across"].value, 20)


if __name__ == "__main__":
    unittest.main()
