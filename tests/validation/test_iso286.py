"""Fits by ISO 286-1: limits as the table of preferred hole-basis fits prints them (ANSI B4.2, the same values), and
every cell of our tables against the formulas that the standard's values come from."""

from __future__ import annotations

import math

from lathework.fits.fit import limits_of
from lathework.fits.iso286 import GRADES, LARGEST_MM, LETTERS, hole, shaft, tolerance_mm
from lathework.tables.loader import load
from tests.validation.published import PublishedCase

#: ANSI B4.2, preferred hole basis fits: size, H8 at most, f7, H7 at most, g6, k6, p6, s6 (most and least, millimetres).
PREFERRED = """
6 6.018 5.990 5.978 6.012 5.996 5.988 6.009 6.001 6.020 6.012 6.027 6.019
10 10.022 9.987 9.972 10.015 9.995 9.986 10.010 10.001 10.024 10.015 10.032 10.023
25 25.033 24.980 24.959 25.021 24.993 24.980 25.015 25.002 25.035 25.022 25.048 25.035
50 50.039 49.975 49.950 50.025 49.991 49.975 50.018 50.002 50.042 50.026 50.059 50.043
100 100.054 99.964 99.929 100.035 99.988 99.966 100.025 100.003 100.059 100.037 100.093 100.071
"""
SHAFTS = (("f", 7), ("g", 6), ("k", 6), ("p", 6), ("s", 6))
#: ISO 286-1, how many units i each grade is.
UNITS = {5: 7, 6: 10, 7: 16, 8: 25, 9: 40, 10: 64, 11: 100}
#: ISO 286-1, deviations from a formula in micrometres, of the geometric mean of the step of sizes.
POWERS = {"d": (16, 0.44), "e": (11, 0.41), "f": (5.5, 0.41), "g": (2.5, 0.34), "n": (5, 0.34)}
STEPS = (0, 3, 6, 10, 18, 30, 50, 80, 120, 180, 250)


def middle(size_mm: float) -> float:
    """The geometric mean of the main step that a size lies in; the first begins at 1."""
    over, to = next((a, b) for a, b in zip(STEPS, STEPS[1:], strict=False) if a < size_mm <= b)
    return math.sqrt(max(over, 1) * to)


class Preferred(PublishedCase):
    def test_limits_as_printed(self) -> None:
        for line in PREFERRED.split("\n")[1:-1]:
            name, h8, f7, f7_least, h7, *rest = line.split()
            pairs = ((f7, f7_least), *zip(rest[::2], rest[1::2], strict=True))
            size = float(name)
            self.compare(f"{name} H8", printed=h8, by_hand=None, ours=size + hole(8, size).upper_mm)
            self.compare(f"{name} H7", printed=h7, by_hand=None, ours=size + hole(7, size).upper_mm)
            for (letter, grade), (most, least) in zip(SHAFTS, pairs, strict=True):
                told = shaft(letter, grade, size)
                self.compare(f"{name} {letter}{grade} most", printed=most, by_hand=None, ours=size + told.upper_mm)
                self.compare(f"{name} {letter}{grade} least", printed=least, by_hand=None, ours=size + told.lower_mm)

    def test_a_fit_is_its_pair(self) -> None:
        """Close running on 25 is H7 and g6."""
        pin, bore = (limits_of("close-running", makes, 25.0, None, "mm") for makes in ("shaft", "hole"))
        self.compare("g6 least", printed="24.980", by_hand=None, ours=pin.low_mm)
        self.compare("g6 most", printed="24.993", by_hand=None, ours=pin.high_mm)
        self.compare("H7 most", printed="25.021", by_hand=None, ours=bore.high_mm)


class Formulas(PublishedCase):
    """The standard rounds what its formulas give, a little to the neat side: within a fourteenth. Up to 3 mm it has
    values of its own, which lie under those of the next step."""

    def near(self, what: str, micrometres: float, formula: float) -> None:
        self.assertLessEqual(abs(micrometres - formula), max(1.0, 0.07 * abs(formula)), (what, micrometres, formula))

    def test_every_grade(self) -> None:
        for low, high in zip(STEPS[1:], STEPS[2:], strict=False):
            mean = middle(high)
            unit = 0.45 * mean ** (1 / 3) + 0.001 * mean
            for grade in GRADES:
                self.near(f"IT{grade} {low} to {high}", 1000 * tolerance_mm(grade, high), UNITS[grade] * unit)

    def test_every_deviation(self) -> None:
        for row in load("iso286_shafts").rows[1:]:
            over, size = float(row.number("over")), float(row.number("to"))
            mean, own = middle(size), math.sqrt(max(over, 1) * size)
            it = {grade: 1000 * tolerance_mm(grade, size) for grade in GRADES}
            told = {letter: 1000 * float(row.number(letter)) for letter in LETTERS}
            for letter, (factor, power) in POWERS.items():
                self.near(f"{letter} to {size:g}", abs(told[letter]), factor * mean**power)
            self.assertEqual(told["h"], 0)
            self.near(f"k to {size:g}", told["k"], 0.6 * mean ** (1 / 3))
            self.near(f"m to {size:g}", told["m"], it[7] - it[6])
            self.assertTrue(-1 <= told["p"] - it[7] <= 5, f"p to {size:g} is IT7 and up to 5")
            grown = it[8] + 2.5 if size <= 50 else it[7] + 0.4 * own
            self.assertLessEqual(abs(told["s"] - grown), max(3.0, 0.06 * grown), f"s to {size:g}")
            self.near(f"r to {size:g}", told["r"], math.sqrt(told["p"] * told["s"]))

    def test_larger_sizes_are_no_closer(self) -> None:
        for name, columns in (("iso286_tolerances", [f"it{grade}" for grade in GRADES]), ("iso286_shafts", LETTERS)):
            for column in columns:
                cells = [abs(float(row.number(column))) for row in load(name).rows]
                self.assertEqual(cells, sorted(cells), column)
                if column not in ("h", "k"):
                    self.assertLess(cells[0], cells[1], column)

    def test_sizes_follow_each_other(self) -> None:
        for name in ("iso286_tolerances", "iso286_shafts"):
            rows = load(name).rows
            ends = [(float(row.number("over")), float(row.number("to"))) for row in rows]
            self.assertEqual([over for over, _ in ends[1:]], [to for _, to in ends[:-1]])
            self.assertEqual((ends[0][0], ends[-1][1]), (0.0, LARGEST_MM))
