"""Nuts with a name, dies set on a known screw, what came to a die, and the odds before metal is cut."""

from __future__ import annotations

import math
import random
import unittest
from statistics import NormalDist, fmean, pvariance

from lathework.bench.acts.die import on_screw_entry, since_entry
from lathework.bench.bench import Bench
from lathework.bench.entry import ON_SCREW, Entry
from lathework.bench.gauge.verdict_entry import verdict_entry
from lathework.bench.progress import Progress, progress
from lathework.dies.counted_from import on_screw
from lathework.dies.joint_normal import cut_off
from lathework.dies.learner import believed
from lathework.dies.odds import Mate, goes_on, room_over
from lathework.dies.proposal import start
from lathework.dies.setting import turn_words
from lathework.dies.trial import Trial
from lathework.errors import InputError
from lathework.gauging.verdicts import Verdict
from lathework.tests.samples import SCREW, TIE_ROD, plan, told
from lathework.tests.test_die_learner import M8, aim_m8
from lathework.threads.limits import internal_limits
from tests.contract.working import evaluated
from tests.simulation.odd_dies import MISFITS, odd_dies

STEEL = "mild steel"


def tried(mate: str, verdict: Verdict, *, seated: bool = False) -> Trial:
    return Trial(0.0, STEEL, verdict, tried="", mate=mate, seated=seated)


class Named(unittest.TestCase):
    def chance(self, trials: list[Trial], mate: str) -> float:
        belief = believed(aim_m8(), trials)
        return goes_on(belief, belief.forecast(0.0, STEEL), STEEL, Mate(name=mate)).value

    def test_a_nut_with_a_name_is_known_in_the_next_job(self) -> None:
        """The union let four threads bind; it does so in the next job too, and some other nut may not."""
        bound = [tried("the union", "binds") for _ in range(4)]
        after = [*bound, tried("box of 8", "snug", seated=True)]
        self.assertLess(self.chance(after, "the union"), self.chance(after, "box of 8") - 20)

    def test_one_without_a_name_is_another_in_the_next_job(self) -> None:
        """What bound in a nut of unknown make says less of the next nut than of this one."""
        here = [tried("", "binds") for _ in range(4)]
        elsewhere = [*here, Trial(0.0, STEEL, "go-passes", tried="limits", seated=True)]
        same = [*here, Trial(0.0, STEEL, "go-passes", tried="limits")]
        self.assertGreater(self.chance(elsewhere, ""), self.chance(same, "") + 10)

    def test_told_and_true_over_nuts_of_unknown_dies(self) -> None:
        """Of chances told that a nut goes on, as many come true, on dies and nuts that this model did not make."""
        chances, came = [], []
        for die in odd_dies(MISFITS["all of it"], 150, seed=11):
            trials: list[Trial] = []
            for _ in range(5):
                belief = believed(die.aim, trials)
                best = start(belief, STEEL)
                assert best is not None
                chances.append(goes_on(belief, best, STEEL, Mate(name="this")).value / 100)
                die.set_to(best.eighths)
                off = die.cut()
                came.append(die.nut > die.functional(off))
                trials.append(Trial(best.eighths, STEEL, die.nut_says(off), mate="this"))
        self.assertAlmostEqual(fmean(chances), fmean(came), delta=0.08)


class OnAKnownScrew(unittest.TestCase):
    def test_the_second_time_it_is_known_what_it_cuts(self) -> None:
        """Set on the same screw, a die cuts what it cut before, whatever the place of its screw is called."""
        aim, place = aim_m8(), on_screw("the pattern")
        before = believed(aim, [], start=place).forecast(0.0, STEEL)
        cut = [Trial(0.0, STEEL, None, off_mm=0.03, within_mm=0.003, start=place) for _ in range(3)]
        after = believed(aim, cut, start=place).forecast(0.0, STEEL)
        self.assertAlmostEqual(after.off_mm, 0.03, delta=0.005)
        self.assertLess(after.spread_mm, before.spread_mm / 1.5)

    def test_any_die_closed_on_a_screw_in_its_class(self) -> None:
        """Closed until it grips a screw anywhere in its class, four dies in five cut in the class at once."""
        aim, dice = aim_m8(), random.Random(4)
        screw = [dice.uniform(-aim.half_mm, aim.half_mm) * 0.8 for _ in range(400)]
        over = [dice.gauss(0.006, 0.014) for _ in screw]
        came = [abs(at + more) <= aim.half_mm for at, more in zip(screw, over, strict=True)]
        told = believed(aim, [], start=on_screw("any")).forecast(0.0, STEEL).within
        self.assertAlmostEqual(told, fmean(came), delta=0.08)


class Odds(unittest.TestCase):
    def test_closed_further_the_nut_is_surer(self) -> None:
        belief = believed(aim_m8(), [tried("", "snug")])
        chances = [goes_on(belief, belief.forecast(at, STEEL), STEEL, Mate()).value for at in (-1, -0.5, 0, 0.5, 1, 2)]
        self.assertEqual(chances, sorted(chances, reverse=True))

    def test_a_blank_over_the_root_of_the_nut_lets_none_on(self) -> None:
        """A blank 0.4 mm over the nominal of M8 does not go into any nut, however the die stands."""
        belief = believed(aim_m8(), [])
        for blank_mm, least, most in ((7.9, 30.0, 100.0), (8.4, 0.0, 1.0)):
            mate = Mate(room=room_over(M8, internal_limits(M8), blank_mm))
            figure = goes_on(belief, belief.forecast(0.0, STEEL), STEEL, mate)
            self.assertTrue(least <= figure.value <= most, figure.value)
            self.assertAlmostEqual(evaluated(figure), figure.value, places=6)


class AtTheBench(unittest.TestCase):
    """What is said of the die at its step."""

    def setUp(self) -> None:
        self.plans = [plan(SCREW)]
        self.entries: list[Entry] = []

    def now(self) -> Progress:
        return progress(self.plans, self.entries)

    def to(self, kind: str) -> Bench:
        """Step by step to the first of that kind."""
        while (step := self.now().bench.step) is not None and step.kind != kind:
            self.record(Entry("done", 1, step.key))
        return self.now().bench

    def record(self, entry: Entry) -> None:
        self.entries.append(told(self.plans[0], entry))

    def test_set_on_a_screw_and_moved_from_there(self) -> None:
        bench = self.to("thread")
        self.record(on_screw_entry(bench, "the pattern"))
        preset = self.now().bench.preset
        assert preset is not None
        self.assertEqual((preset.eighths, preset.start), (0.0, on_screw("the pattern")))
        self.record(on_screw_entry(bench, "the pattern", "-0.5"))
        self.assertEqual(self.entries[-1].word, ON_SCREW)
        preset = self.now().bench.preset
        assert preset is not None
        self.assertEqual(preset.eighths, -0.5)
        bench = self.to("gauge")
        self.record(verdict_entry(bench, "snug", "", "the union"))
        trials = self.now().state.parts[self.plans[0].job.part.id].trials
        [(trial,)] = trials.values()
        self.assertEqual((trial.start, trial.eighths, trial.mate), (on_screw("the pattern"), -0.5, "the union"))
        self.assertEqual((self.now().bench.mate, self.now().bench.mates), ("the union", ("the union",)))

    def test_the_nut_of_one_thread_is_not_that_of_another(self) -> None:
        """A rod of two threads: what the first was tried in is not offered for the second."""
        self.plans, self.entries = [plan(TIE_ROD)], []
        bench = self.to("gauge")
        self.record(verdict_entry(bench, "snug", "", "the union"))
        self.assertEqual(self.now().bench.mate, "the union")
        assert bench.step is not None
        self.record(Entry("done", 1, bench.step.key))
        other = self.to("gauge")
        assert other.step is not None
        self.assertNotEqual(other.step.key, bench.step.key)
        self.assertEqual((other.mate, other.mates), ("", ()))

    def test_honed_it_is_less_sure_and_undone_it_is_as_before(self) -> None:
        bench = self.to("thread")
        before = bench.preset
        assert before is not None
        self.record(since_entry(bench, "honed"))
        after = self.now().bench.preset
        assert after is not None
        self.assertLess(after.chance.value, before.chance.value)
        self.assertFalse(self.now().bench.adjusted)
        del self.entries[-1]
        self.assertEqual(self.now().bench.preset, before)

    def test_names_that_are_none(self) -> None:
        bench = self.to("thread")
        with self.assertRaises(InputError) as raised:
            on_screw_entry(bench, " " * 3)
        self.assertEqual(raised.exception.field, "on")
        with self.assertRaises(InputError) as raised:
            on_screw_entry(bench, "pattern", "9")
        self.assertEqual(raised.exception.field, "stands")

    def test_odds_are_those_of_the_setting_and_its_neighbours(self) -> None:
        preset = self.to("thread").preset
        assert preset is not None
        marks = [one.eighths for one in preset.odds]
        self.assertEqual(marks, sorted(marks))
        here = next(one for one in preset.odds if math.isclose(one.eighths, preset.eighths))
        self.assertAlmostEqual(here.within.value, preset.chance.value)


class AllButImpossible(unittest.TestCase):
    def test_what_could_hardly_be_is_taken_as_near_as_it_may_be(self) -> None:
        """Far above what was believed, the lower bound; far below, the upper one."""
        law = NormalDist(0.0, 1.0)
        self.assertEqual(cut_off(law, 20.0, 30.0)[0], 20.0)
        self.assertEqual(cut_off(law, -30.0, -20.0)[0], -20.0)

    def test_between_bounds_it_is_as_drawn(self) -> None:
        """Mean and variance of a law between two bounds, against draws that fall between them."""
        dice, law = random.Random(8), NormalDist(1.0, 2.0)
        for low, high in ((-1.0, 0.5), (2.0, math.inf), (-math.inf, 0.0)):
            drawn = [one for one in (dice.gauss(1.0, 2.0) for _ in range(60000)) if low < one < high]
            mean, variance = cut_off(law, low, high)
            self.assertAlmostEqual(mean, fmean(drawn), delta=0.03)
            self.assertAlmostEqual(variance, pvariance(drawn), delta=0.05)


class Words(unittest.TestCase):
    def test_eighths_of_a_turn_in_words(self) -> None:
        for number, words in ((0.5, "1/16 turn"), (1, "1/8 turn"), (4, "1/2 turn"), (8, "1 turn"), (9, "1-1/8 turns")):
            self.assertEqual(turn_words(number), words)
