"""The code that pairs a device: once, for a while, and not by guessing."""

from __future__ import annotations

import unittest

from lathework.errors import InputError
from server.devices.codes import LASTS_S, MOST_TRIES, OVER, Codes


def wrong(digits: str) -> str:
    """Another code than that."""
    return f"{(int(digits) + 1) % 10**6:06d}"


HERE = "192.0.2.1"


class TheCode(unittest.TestCase):
    def setUp(self) -> None:
        self.codes = Codes()

    def refused(self, typed: str, now_s: float = 0.0) -> str:
        with self.assertRaises(InputError) as told:
            self.codes.take(typed, HERE, now_s)
        self.assertEqual(told.exception.field, "code")
        return told.exception.code

    def test_it_serves_once_however_it_is_spaced(self) -> None:
        digits = self.codes.make("onlooker", 0.0).digits
        self.assertEqual(self.codes.take(f" {digits[:3]} {digits[3:]} ", HERE, 1.0), "onlooker")
        self.assertEqual(self.refused(digits, 1.0), "no-code")

    def test_it_serves_for_a_while(self) -> None:
        digits = self.codes.make("fitter", 0.0).digits
        self.assertEqual(self.refused(digits, LASTS_S), "no-code")
        digits = self.codes.make("fitter", 0.0).digits
        self.assertEqual(self.codes.take(digits, HERE, LASTS_S - 1), "fitter")

    def test_it_is_over_after_a_few_guesses(self) -> None:
        digits = self.codes.make("fitter", 0.0).digits
        for _ in range(MOST_TRIES):
            self.assertEqual(self.refused(wrong(digits)), "wrong-code")
        self.assertEqual(self.refused(digits), "too-often")
        self.assertEqual(self.codes.take(digits, "192.0.2.2", 0.0), "fitter")

    def test_a_new_one_ends_the_one_before(self) -> None:
        first = self.codes.make("fitter", 0.0).digits
        second = self.codes.make("fitter", 0.0).digits
        if first != second:
            self.assertEqual(self.refused(first), "wrong-code")
        self.assertEqual(self.codes.take(second, HERE, 0.0), "fitter")

    def test_none_at_all_and_odd_ones_are_refused(self) -> None:
        for typed in ("", "000000", "\ud83d", "٣" * 6):
            self.assertEqual(self.refused(typed), "no-code")
        self.codes.make("fitter", 0.0)
        for typed in ("", "\ud83d", "x" * 60):
            self.assertEqual(self.refused(typed), "wrong-code")
        self.assertIn("Ask for a new one", OVER)
