"""How far slender work bends, by another route than the formula; and when a plan says so."""

from __future__ import annotations

import math
import unittest

from lathework.cutting.bending import TurnedBar, larger_at_the_end
from lathework.planning.operation import Operation
from lathework.tests.samples import plan, section

STEEL = 205_000.0


def bent_by_slices(force_n: float, out_mm: float, bar_mm: float, turned_mm: float, across_mm: float) -> float:
    """The deflection of the end, by adding up the curvature of thin slices (moment over E I) twice, millimetres."""
    count = 20_000
    thin = out_mm / count
    slope = moved = 0.0
    for number in range(count):
        to_the_end = out_mm - (number + 0.5) * thin
        thick = across_mm if to_the_end < turned_mm else bar_mm
        slope += force_n * to_the_end / (STEEL * math.pi * (thick / 2) ** 4 / 4) * thin
        moved += slope * thin
    return moved


def turning(thread: str, length: str, bar: str) -> Operation:
    sections = [section("thread", length, thread=thread), section("bar", "0.4")]
    steps = plan({"part.stock.across": bar, "part.sections": sections}).operations
    return next(one for one in steps if one.kind == "turn")


class Bending(unittest.TestCase):
    def test_by_slices(self) -> None:
        for force, out, bar, turned, across in ((20, 60, 8, 0, 8), (10, 40, 12, 25, 6), (5, 30, 4, 30, 3)):
            with self.subTest(out=out, turned=turned):
                found = TurnedBar(out, bar, turned, across, STEEL).bends_mm(force)
                self.assertAlmostEqual(found, bent_by_slices(force, out, bar, turned, across), delta=found * 1e-3)

    def test_twice_as_long_bends_eight_times_half_as_thick_sixteen(self) -> None:
        def plain(out: float, across: float) -> float:
            return TurnedBar(out, across, 0, across, STEEL).bends_mm(10)

        self.assertAlmostEqual(plain(60, 10), 8 * plain(30, 10))
        self.assertAlmostEqual(plain(30, 5), 16 * plain(30, 10))

    def test_what_is_left_on_the_end_is_twice_the_difference(self) -> None:
        larger = larger_at_the_end(TurnedBar(40, 12, 25, 6, STEEL), 10)
        expected = 2 * (bent_by_slices(10, 40, 12, 25, 6) - bent_by_slices(10, 15, 12, 0, 12))
        self.assertAlmostEqual(larger.value, expected, delta=expected * 2e-3)


class Said(unittest.TestCase):
    """A note where bending eats a good part of the band, a figure where it can be measured, else nothing."""

    def test_thick_short_work_says_nothing(self) -> None:
        made = turning("3/8-16", "0.5", "1/2")
        self.assertNotIn("bends", made.figures)

    def test_thin_work_says_where_to_measure(self) -> None:
        made = turning("#4-40", "0.5", "3/16")
        self.assertGreater(made.figures["bends"].value, 0.01)
        self.assertTrue(any("bends away from the tool" in note for note in made.notes))


if __name__ == "__main__":
    unittest.main()
