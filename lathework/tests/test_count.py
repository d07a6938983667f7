"""Turns that are counted: back after the metal's turns by hand, off before the end under power."""

from __future__ import annotations

import unittest
from dataclasses import replace

from lathework.bench.count import count_of
from lathework.methods.reversing import COMING_OFF
from lathework.tests.samples import body, bore, plan, step

SETUP = plan().job.setup


class Counted(unittest.TestCase):
    def test_by_hand_it_is_turned_back_and_ends_at_the_shoulder(self) -> None:
        die = step(plan(), "thread")
        told = count_of(die, SETUP)
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
        told = count_of(die, SETUP)
        assert told is not None
        off, end = told.beats
        self.assertEqual((off.sign, end.sign), ("off", "end"))
        self.assertEqual((off.off, end.off), (True, False))
        self.assertEqual(off.turn, told.turns - 2)
        # The spindle turns: a press counts a whole one.
        self.assertEqual(told.step, 1.0)
        # What is said at the end is how it comes off, not the caution of the cut.
        self.assertEqual(end.words, next(one.do for one in die.cautions if one.code == COMING_OFF))
        self.assertIn("Let the spindle stop, then reverse", end.words)

    def test_the_speed_that_is_used_tells_the_seconds(self) -> None:
        """M4 x 0.7 at 100 rev/min: 70 mm in a minute; two turns on, slowing evenly from 100/60 a second: 2.4 s."""
        power = {"method.holder": "keyed-power", "setup.run_down": "2", "material": "brass", "setup.mount": "locked"}
        made = plan({**power, "part.sections.0.thread": "M4x0.7"})
        setup = replace(made.job.setup, speeds=(50.0, 100.0, 5000.0))
        told = count_of(step(made, "thread"), setup)
        assert told is not None
        first, second = told.speeds
        self.assertEqual((first.speed, second.speed), (100.0, 50.0))
        self.assertAlmostEqual(first.travel.value, 70)
        self.assertAlmostEqual(first.stands.value, 2.4)
        self.assertAlmostEqual(first.seconds.value, told.turns * 0.6)
        self.assertAlmostEqual(second.stands.value, 4.8)

    def test_a_tap_that_goes_by_its_gauge_is_not_counted(self) -> None:
        """Rc 1/4: the turns told there are those that a fitting goes in by hand."""
        made = plan(body(bore("Rc1/4", depth="3/4")))
        tap = step(made, "tap")
        self.assertIn("turns", tap.figures)
        self.assertIsNone(count_of(tap, SETUP))

    def test_nothing_else_is_counted(self) -> None:
        self.assertIsNone(count_of(step(plan(), "turn"), SETUP))
        self.assertIsNone(count_of(step(plan(), "gauge"), SETUP))
