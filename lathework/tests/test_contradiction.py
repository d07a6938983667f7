"""Gauges that contradict each other over one thread: said, with the cheapest third opinion; two of three are
believed."""

from __future__ import annotations

import random
import unittest

from lathework.bench.acts.die import setting_entry
from lathework.bench.bench import Bench
from lathework.bench.entry import Entry
from lathework.bench.gauge.contradiction import Opinion, contradiction
from lathework.bench.gauge.thread import offered
from lathework.bench.gauge.verdict_entry import verdict_entry, wires_entry
from lathework.bench.next_act import next_act
from lathework.bench.progress import Progress, progress
from lathework.gauging.verdicts import told_metal
from lathework.lengths import read_length
from lathework.tests.samples import SCREW, plan, step, told
from tests.simulation.odd_dies import MISFITS, odd_dies


class AtTheBench(unittest.TestCase):
    def setUp(self) -> None:
        self.plan = plan(SCREW)
        self.entries: list[Entry] = []
        for operation in self.plan.operations:
            if operation.kind == "gauge":
                break
            self.record(Entry("done", 1, operation.key))

    def record(self, entry: Entry) -> None:
        self.entries.append(told(self.plan, entry))

    @property
    def whole(self) -> Progress:
        return progress([self.plan], self.entries)

    @property
    def now(self) -> Bench:
        return self.whole.bench

    def say(self, word: str, tried: str = "", mate: str = "") -> None:
        self.record(verdict_entry(self.now, word, tried, mate))

    def test_rings_pass_and_a_good_nut_binds(self) -> None:
        self.say("go-passes", "limits")
        self.assertEqual(self.now.contradiction, "")
        self.say("binds", "known")
        self.assertIn("Go and no-go rings", self.now.contradiction)
        self.assertIn("A good nut: starts, then binds.", self.now.contradiction)
        self.assertIn("try three wires", self.now.contradiction)
        # Nothing is done with the die on the word of one of two, and the step is not done by a press.
        self.assertIsNone(self.now.advice)
        self.assertEqual(self.now.causes, ())
        self.assertIsNone(next_act(self.whole))
        self.assertIn("contradict", self.now.hindrance)

    def test_two_of_three_are_believed(self) -> None:
        self.say("binds", "known")
        self.say("go-passes", "limits")
        self.assertTrue(self.now.contradiction)
        wires = step(self.plan, "gauge").figures
        size = read_length(f"{(wires['wires_least'].value + wires['wires_most'].value) / 2:.4f}", "in")
        self.record(wires_entry(self.now, size, None))
        self.assertEqual(self.now.contradiction, "")
        self.assertTrue(self.now.passed)

    def test_a_nut_of_a_name_tells_itself(self) -> None:
        self.say("go-passes", "limits")
        self.say("will-not-start", "known", "the union")
        self.assertIn("The union: will not start.", self.now.contradiction)
        # The union is a good nut: another kind of gauge says more than one of its kind.
        self.assertIn("Then try three wires", self.now.contradiction)

    def test_the_same_gauge_once_more_is_its_last_word(self) -> None:
        self.say("go-passes", "limits")
        self.say("binds", "known")
        self.say("snug", "known")
        self.assertEqual(self.now.contradiction, "")

    def test_after_the_die_was_moved_it_is_another_thread(self) -> None:
        self.say("go-stops", "limits")
        self.record(setting_entry(self.now))
        self.say("go-passes", "limits")
        self.assertEqual(self.now.contradiction, "")

    def test_taken_back_it_is_as_before(self) -> None:
        self.say("go-passes", "limits")
        before = self.now.advice
        self.say("binds", "known")
        del self.entries[-1]
        self.assertEqual((self.now.contradiction, self.now.advice), ("", before))


class Honest(unittest.TestCase):
    def test_gauges_that_judge_one_thread_seldom_contradict(self) -> None:
        """A nut and rings on the same thread, both read as they are, on dies and nuts of the tests' own making: seldom
        said to contradict. Where one of them says the opposite of what it found, mostly."""
        gauge = step(plan(SCREW), "gauge")
        dice, honest, swapped, alarms, found = random.Random(2), 0, 0, 0, 0
        for die in odd_dies(MISFITS["plain"], 300, 7):
            off = die.cut()
            nut, rings = die.nut_says(off), die.rings_say(off)
            said = [Opinion("limits", "", rings), Opinion("", "", nut)]
            honest += 1
            alarms += bool(contradiction(gauge, said, offered(gauge)))
            if told_metal(rings) == "right":
                swapped += 1
                said = [Opinion("limits", "", rings), Opinion("known", "", dice.choice(("binds", "will-not-start")))]
                found += bool(contradiction(gauge, said, offered(gauge)))
        self.assertLess(alarms / honest, 0.03)
        self.assertGreater(found / swapped, 0.95)
