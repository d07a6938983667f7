"""A size that drifts from piece to piece: against a reference library, and when it is out of its band."""

from __future__ import annotations

import random
import unittest

import numpy as np

from lathework.bench.dispositions import DISPOSITIONS, MISTAKES, OFFERED, checked_mistake, settled
from lathework.bench.entry_words import said
from lathework.bench.size.drift import drift
from lathework.cutting.dimension import Target
from lathework.errors import InputError

BAND = Target(9.98, 10.0, 10.02)


class Drifts(unittest.TestCase):
    def test_slope_and_its_error_are_those_of_a_library(self) -> None:
        """numpy.polyfit with its covariance, unscaled by (n - 2), over fifty batches of noise."""
        dice = random.Random(3)
        for _ in range(50):
            pieces = sorted(dice.sample(range(1, 60), dice.randint(5, 20)))
            sizes = [10 + 0.001 * dice.gauss(0, 1) * piece + dice.gauss(0, 0.01) for piece in pieces]
            (slope, _), cov = np.polyfit(pieces, sizes, 1, cov=True)
            told = drift(pieces, sizes, BAND, "mm")
            assert told is not None
            self.assertAlmostEqual(told.slope.value, slope, places=9)
            self.assertAlmostEqual(told.error.value, float(cov[0][0]) ** 0.5, places=9)

    def test_it_says_when_it_is_out(self) -> None:
        """From 9.990, two microns a piece: 9.990 + 0.002 (n - 1) is over 10.020 from n = 17 on."""
        pieces = [1, 2, 3, 4, 5, 6]
        sizes = [9.990 + 0.002 * (n - 1) + (0.00002 if n % 2 else -0.00002) for n in pieces]
        told = drift(pieces, sizes, BAND, "mm")
        assert told is not None
        self.assertTrue(told.drifts)
        self.assertEqual(told.leaves_at, 17)

    def test_chance_is_no_drift(self) -> None:
        dice = random.Random(8)
        drifting = 0
        for _ in range(200):
            sizes = [10 + dice.gauss(0, 0.004) for _ in range(12)]
            told = drift(range(1, 13), sizes, BAND, "mm")
            assert told is not None
            drifting += told.drifts
        self.assertLess(drifting, 30, "two standard errors: some seven in a hundred, for twelve pieces")

    def test_too_few_pieces_say_nothing(self) -> None:
        self.assertIsNone(drift([1, 2, 3], [10, 10, 10], BAND, "in"))


class Dispositions(unittest.TestCase):
    def test_each_has_words_and_unknown_ones_are_refused(self) -> None:
        for code, one in OFFERED.items():
            self.assertEqual(settled(code), one)
        # What was recorded before is still read; nothing promises a change that no plan makes.
        self.assertIn("redesign", DISPOSITIONS)
        self.assertEqual(
            said("accept", "redesign", None, "its nut is cut to it"),
            "Accept: change the part to suit: its nut is cut to it",
        )
        self.assertEqual({one.outcome for one in DISPOSITIONS.values()}, {"accept", "again", "scrap"})
        self.assertTrue(all(one.check for code, one in MISTAKES.items() if code != "other"))
        for refused in (lambda: settled("burn"), lambda: settled("redesign"), lambda: checked_mistake("moon")):
            with self.assertRaises(InputError):
                refused()
