"""Turns that are counted: back after the metal's turns by hand, off before the end under power."""

from __future__ import annotations

import unittest

from lathework.bench.count import count_of
from lathework.tests.samples import body, bore, plan, step


class Counted(unittest.TestCase):
    def test_by_hand_it_is_turned_back_and_ends_at_the_shoulder(self) -> None:
        die = step(plan(), "thread")
        told = count_of(die)
        assert told is not None
        self.assertEqual(told.turns, die.figures["turns"].value)
        self.assertEqual(told.beats[-1].sign, "end")
        backs = [beat.turn for beat in told.beats[:-1]]
        after = die.figures["rhythm"].value
        self.assertEqual(backs, [after * n for n in range(1, len(backs) + 1)])
        self.assertLess(backs[-1], told.turns)
        self.assertGreaterEqual(backs[-1] + after, told.turns)

    def test_under_power_it_is_switched_off_before_the_end(self) -> None:
        """Twelve turns say, of which the spindle runs on two: off at ten, reversed only when it stands."""
        power = {"method.holder": "keyed-power", "setup.run_down": "2", "material": "brass", "setup.mount": "locked"}
        die = step(plan({**power, "part.sections.0.thread": "M4x0.7"}), "thread")
        told = count_of(die)
        assert told is not None
        off, end = told.beats
        self.assertEqual((off.sign, end.sign), ("off", "end"))
        self.assertEqual(off.turn, told.turns - 2)
        self.assertIn("stands", end.words)

    def test_a_tap_that_goes_by_its_gauge_is_not_counted(self) -> None:
        """Rc 1/4: the turns told there are those that a fitting goes in by hand."""
        made = plan(body(bore("Rc1/4", depth="3/4")))
        tap = step(made, "tap")
        self.assertIn("turns", tap.figures)
        self.assertIsNone(count_of(tap))

    def test_nothing_else_is_counted(self) -> None:
        self.assertIsNone(count_of(step(plan(), "turn")))
        self.assertIsNone(count_of(step(plan(), "gauge")))
