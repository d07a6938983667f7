"""How long things take is learned from people who are not the model's own."""

from __future__ import annotations

import math
import statistics
import unittest

from hypothesis import given
from hypothesis import strategies as st

from lathework.week.learned import SETTING_UP, Learned, Took, Work, learn, span
from tests.long import draws
from tests.simulation.paces import Batch, Somebody

PEOPLE, BATCHES = draws(60, 240), 5
BRASS = Work("turn", "brass")


def foretold(learned: Learned, batch: Batch) -> tuple[float, float]:
    """Minutes that a batch is said to take, and how far that may stray."""
    minutes = [one.expected * learned.factor(one.work) for one in batch.steps]
    total = sum(minutes)
    return total, math.hypot(learned.spread(minutes), learned.unsure * total)


class Simulated(unittest.TestCase):
    def test_after_five_batches(self) -> None:
        """The median error is at most a fifth; in eight cases of ten it is in the span that is told."""
        errors, within, planned = [], 0, []
        for seed in range(PEOPLE):
            who = Somebody(seed)
            learned = learn([step for _ in range(BATCHES) for step in who.batch().steps])
            batch = who.batch()
            mean, strays = foretold(learned, batch)
            told = span(mean, strays)
            errors.append(abs(mean / batch.worked - 1))
            planned.append(abs(sum(step.expected for step in batch.steps) / batch.worked - 1))
            within += told.low <= batch.worked <= told.high
        self.assertLess(statistics.median(errors), 0.2)
        self.assertLess(statistics.median(errors), statistics.median(planned) / 2)
        share = within / PEOPLE
        room = 2 * math.sqrt(0.16 / PEOPLE)
        self.assertTrue(0.75 - room <= share <= 0.85 + room, f"{share:.3f} of the batches were within")

    def test_the_plan_is_believed_before_anything_was_timed(self) -> None:
        self.assertEqual(learn([]).steps, 0)
        self.assertAlmostEqual(Learned().factor(BRASS), 1.0, delta=0.15)

    def test_setting_up_is_learned_apart(self) -> None:
        """Somebody who sets up in twice the time, and cuts as planned; where nothing was set up, that follows how the
        shop is as a whole."""
        cuts = [Took(BRASS, 5.0 + n % 3, 6.0) for n in range(40)]
        set_ups = [Took(Work(SETTING_UP, machine="l"), 28.0 + n % 5, 15.0) for n in range(12)]
        learned = learn([*cuts, *set_ups])
        self.assertAlmostEqual(learned.factor(Work(SETTING_UP, machine="l")), 2.0, delta=0.35)
        self.assertAlmostEqual(learned.factor(BRASS), 1.0, delta=0.12)
        slow = learn([Took(BRASS, 12.0 + n % 3, 6.0) for n in range(40)])
        self.assertGreater(slow.factor(Work(SETTING_UP, machine="l")), 1.3)

    def test_a_pause_teaches_little(self) -> None:
        steps = [Took(BRASS, 5.0 + n % 3, 5.0) for n in range(30)]
        paused = [*steps, Took(BRASS, 95.0, 5.0)]
        before, after = (learn(some).factor(BRASS) for some in (steps, paused))
        self.assertLess(after / before, 1.06)

    @given(st.lists(st.floats(2, 9), min_size=1, max_size=40))
    def test_no_time_is_negative_and_slower_is_slower(self, minutes: list[float]) -> None:
        steps = [Took(BRASS, one, 4.0) for one in minutes]
        slower = [Took(BRASS, one * 1.5, 4.0) for one in minutes]
        one, other = (learn(some).factor(BRASS) for some in (steps, slower))
        self.assertGreater(one, 0)
        self.assertGreater(other * 1.02, one)

    def test_what_cannot_have_been_work_does_not_count(self) -> None:
        self.assertFalse(Took(BRASS, 0.05, 5.0).counts)
        self.assertFalse(Took(BRASS, 600.0, 5.0).counts)
        self.assertEqual(learn([Took(BRASS, 0.05, 5.0)]).steps, 0)
