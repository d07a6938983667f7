"""What is learned of a die: against a reference library for arrays, against plain integration, and on unknown dies."""

from __future__ import annotations

import math
import random
import unittest
from itertools import pairwise
from typing import Any

import numpy as np
from hypothesis import example, given
from hypothesis import strategies as st

from lathework.dies.aim import Aim, aim_at
from lathework.dies.learner import believed
from lathework.dies.proposal import SCRAP_COSTS, propose
from lathework.dies.scale import SCREW, SLOPE_MM, SLOPE_SPREAD, graduations
from lathework.dies.spreads import (
    CLEARANCES,
    FEEL_SHARE,
    LOST,
    METAL_SPREAD_MM,
    OFFSET_SPREAD_MM,
    OFFSETS_MM,
    SCATTER_MM,
    WEARS_MM,
)
from lathework.dies.trial import Trial, nut_verdict
from lathework.gauging.verdicts import VERDICTS
from lathework.threads.designation import read_called
from lathework.threads.limits import external_limits, internal_limits
from tests.long import draws
from tests.simulation.odd_dies import MISFITS, Batch, Learning, Misfit, by_eighths, by_nut, by_rings, odd_dies

M8 = read_called("M8").thread


def aim_m8() -> Aim:
    bolt = external_limits(M8)
    assert bolt is not None
    return aim_at(bolt, internal_limits(M8))


def normal(values: Any, spread: float) -> Any:
    return np.exp(-0.5 * (values / spread) ** 2)


class Aiming(unittest.TestCase):
    def test_the_class_is_that_of_the_standard(self) -> None:
        """ISO 965-1: M8 6g pitch diameter 7.042 to 7.160; 6H 7.188 to 7.348."""
        aim = aim_m8()
        self.assertAlmostEqual(aim.half_mm, (7.160 - 7.042) / 2, places=3)
        self.assertAlmostEqual(aim.clearance_mm, 7.348 - 7.042, places=3)
        self.assertAlmostEqual(aim.mate()[0], 7.188 + 0.160 / 2 - 7.101, places=3)

    def test_the_slope_is_that_of_the_wedge(self) -> None:
        """An eighth of 0.8 mm is 0.1 mm; a point of 90 degrees opens the split by 0.2 mm, the circle by 1/pi of it."""
        self.assertAlmostEqual(SLOPE_MM, 0.2 / math.pi)


class Sizes(unittest.TestCase):
    def test_measured_sizes_fit_the_line_that_a_reference_library_fits(self) -> None:
        """The posterior of a normal line whose offset wanders a little from thread to thread: conditioned with numpy on
        the covariance of all that was measured."""
        dice = random.Random(3)
        trials = [
            Trial(at, dice.choice(("brass", "steel")), None, SLOPE_MM * at + dice.gauss(0.01, 0.008), 0.004)
            for at in (dice.choice((-2.0, 0.0, 1.0, 2.5)) for _ in range(12))
        ]
        spreads = np.array([OFFSET_SPREAD_MM, SLOPE_SPREAD * SLOPE_MM, METAL_SPREAD_MM, METAL_SPREAD_MM])
        prior = np.array([OFFSETS_MM["screw"], SLOPE_MM, 0.0, 0.0])
        moved = [WEARS_MM**2 + (LOST * 0.5 * SLOPE_MM) ** 2 * (a.eighths != b.eighths) for a, b in pairwise(trials)]
        since = np.concatenate([[0.0], np.cumsum(moved)])
        belief = believed(aim_m8(), trials)
        for eighths in (-3.0, 0.0, 2.0):
            with self.subTest(eighths):
                looked = [(t.eighths, t.metal == trials[0].metal) for t in trials] + [(eighths, True)]
                rows = np.array([[1.0, at, same, not same] for at, same in looked])
                walked = np.append(since, since[-1])
                shared = rows @ np.diag(spreads**2) @ rows.T + np.minimum.outer(walked, walked)
                seen = shared[:-1, :-1] + np.eye(len(trials)) * (SCATTER_MM**2 + 0.004**2)
                gain = np.linalg.solve(seen, shared[:-1, -1])
                off = rows @ prior
                mean = off[-1] + gain @ (np.array([t.off_mm for t in trials]) - off[:-1])
                told = belief.forecast(eighths, trials[0].metal)
                self.assertAlmostEqual(told.off_mm, float(mean), places=9)
                spread = math.sqrt(float(shared[-1, -1] - gain @ shared[:-1, -1]) + SCATTER_MM**2)
                self.assertAlmostEqual(told.spread_mm, spread, places=9)

    def test_two_measurements_of_one_thread_share_how_it_strays(self) -> None:
        """Observations with the covariance S + u on the diagonal and S beside it, conditioned with numpy."""
        looks = [Trial(0.0, "steel", None, 0.021, 0.004), Trial(0.0, "steel", None, 0.013, 0.006, again=True)]
        own = OFFSET_SPREAD_MM**2 + METAL_SPREAD_MM**2
        seen = np.full((2, 2), own + SCATTER_MM**2) + np.diag([0.004**2, 0.006**2])
        gain = np.linalg.solve(seen, np.full(2, own))
        told = believed(aim_m8(), looks).forecast(0.0, "steel")
        usual = OFFSETS_MM["screw"]
        self.assertAlmostEqual(told.off_mm, usual + float(gain @ (np.array([0.021, 0.013]) - usual)), places=12)
        self.assertAlmostEqual(told.spread_mm, math.sqrt(own - gain.sum() * own + SCATTER_MM**2), places=12)
        two = believed(aim_m8(), [looks[0], Trial(0.0, "steel", None, 0.013, 0.006)]).forecast(0.0, "steel")
        self.assertLess(two.spread_mm, told.spread_mm, "two threads tell more of a die than one thread looked at twice")


class Verdicts(unittest.TestCase):
    """Against a sum over a fine grid of offsets, slopes and nuts: plain integration of the same model."""

    def summed(self, aim: Aim, trials: list[Trial], eighths: float) -> tuple[float, float]:
        offset, slope, mate = np.meshgrid(
            np.linspace(-0.16, 0.16, 81),
            SLOPE_MM + np.linspace(-0.1, 0.1, 41),
            aim.mate()[0] + np.linspace(-0.3, 0.3, 121),
            indexing="ij",
        )
        # The metal is the same throughout: it widens the offset.
        wide = math.hypot(OFFSET_SPREAD_MM, METAL_SPREAD_MM)
        weight = normal(offset - OFFSETS_MM["screw"], wide) * normal(slope - SLOPE_MM, SLOPE_SPREAD * SLOPE_MM)
        weight = weight * normal(mate - aim.mate()[0], aim.mate()[1])
        # Where it was moved it does not stand quite there.
        lost = LOST * 0.5 * SLOPE_MM if len(trials) > 1 else 0.0
        noise = math.hypot(SCATTER_MM, FEEL_SHARE * aim.clearance_mm, lost)
        below = np.vectorize(lambda z: 0.5 * math.erfc(-z / math.sqrt(2)))
        for trial in trials:
            said = nut_verdict(trial.verdict)
            assert said is not None
            low, high = (bound * aim.clearance_mm for bound in CLEARANCES[said])
            clearance = mate - offset - slope * trial.eighths
            weight = weight * (below((high - clearance) / noise) - below((low - clearance) / noise))
        cut = offset + slope * eighths
        mean = float((weight * cut).sum() / weight.sum())
        return mean, math.sqrt(float((weight * (cut - mean) ** 2).sum() / weight.sum()) + SCATTER_MM**2)

    def test_what_is_believed_is_what_integration_finds(self) -> None:
        aim = aim_m8()
        for said in (
            [("binds", 0.0)],
            [("loose", 0.0)],
            [("binds", 1.0), ("snug", -0.5)],
            [("will-not-start", 1.0), ("binds", 0.0), ("slight-shake", -1.0)],
        ):
            trials = [Trial(eighths, "steel", next(v for v in VERDICTS if v == verdict)) for verdict, eighths in said]
            for eighths in (-1.0, 0.5):
                with self.subTest(said=said, eighths=eighths):
                    told = believed(aim, trials).forecast(eighths, "steel")
                    mean, spread = self.summed(aim, trials, eighths)
                    self.assertAlmostEqual(told.off_mm, mean, delta=0.004)
                    self.assertAlmostEqual(told.spread_mm, spread, delta=0.004)

    @given(st.sampled_from((0.0, 0.5, 1.0, 2.0)), st.sampled_from((1.0, 1.5, 2.0, 3.0)))
    def test_after_too_tight_and_too_loose_the_next_is_between(self, tight: float, lower: float) -> None:
        trials = [Trial(tight, "steel", "binds"), Trial(tight - lower, "steel", "loose")]
        told = propose(believed(aim_m8(), trials), "steel")
        assert told is not None
        self.assertTrue(tight - lower < told.eighths < tight, told)

    @given(st.lists(st.tuples(st.floats(-4, 4), st.sampled_from(VERDICTS)), max_size=12), st.floats(-4, 4))
    @example([(-3.25, "loose")], -2.25)
    def test_whatever_was_said_the_chances_are_chances_and_no_die_is_forced(
        self, said: list[tuple[float, Any]], below: float
    ) -> None:
        belief = believed(aim_m8(), [Trial(eighths, "steel", verdict) for eighths, verdict in said])
        self.assertIsNotNone(propose(belief, "steel"))
        for told in (propose(belief, "brass"), propose(belief, "steel", below=below)):
            if told is None:
                # Nothing is left below the setting it must be closed from: half an eighth is the least move.
                self.assertLess(below - 0.5, -SCREW.most)
                continue
            self.assertLessEqual(abs(told.eighths), SCREW.most)
            self.assertAlmostEqual(told.within + told.under + told.over, 1)
            self.assertTrue(min(told.within, told.under, told.over) >= -1e-12 and told.spread_mm > 0)
        again = propose(belief, "steel", below=below)
        self.assertTrue(again is None or again.eighths < below)

    def test_a_small_thread_is_what_is_feared(self) -> None:
        """Erring open: of a die nobody knows the first thread is rather too large than too small."""
        told = propose(believed(aim_m8(), []), "steel")
        assert told is not None
        self.assertGreater(told.over, told.under)
        self.assertLess(told.under, 1 / SCRAP_COSTS)


class OddDies(unittest.TestCase):
    """Dies, nuts and hands of the tests' own, which nothing of the program's model went into."""

    DIES = draws(50, 300)

    def batches(self, misfit: Misfit, *, rings: bool = False) -> tuple[list[Batch], list[Batch]]:
        """Batches as the program says, and by the rule of eighths, on the same dies."""
        says = by_rings if rings else by_nut
        learned = [Learning(die).batch(says) for die in odd_dies(misfit, self.DIES, 3)]
        return learned, [by_eighths(die, says) for die in odd_dies(misfit, self.DIES, 3)]

    def share(self, batches: list[Batch]) -> float:
        return sum(batch.good for batch in batches) / sum(batch.pieces for batch in batches)

    def test_by_a_nut_more_are_in_class_than_by_the_rule_of_eighths(self) -> None:
        """Over all kinds of dies, and most where the nut lets large threads pass: there the rule never knows."""
        shares = {name: tuple(map(self.share, self.batches(misfit))) for name, misfit in MISFITS.items()}
        learned, ruled = (sum(pair[n] for pair in shares.values()) / len(shares) for n in (0, 1))
        self.assertGreater(learned, ruled + 0.02, shares)
        self.assertGreater(shares["loose nuts"][0], shares["loose nuts"][1] + 0.04)

    def test_by_rings_nearly_all_are(self) -> None:
        learned, _ = self.batches(MISFITS["all of it"], rings=True)
        self.assertGreater(self.share(learned), 0.94)

    def test_what_is_told_is_what_comes(self) -> None:
        told = [pair for misfit in MISFITS.values() for batch in self.batches(misfit)[0] for pair in batch.told]
        chance, came = (sum(pair[n] for pair in told) / len(told) for n in (0, 1))
        self.assertAlmostEqual(chance, came, delta=0.05)

    def test_a_die_that_was_seated_anew_is_not_told_for_sure(self) -> None:
        """Nine good threads by wires, then one 0.05 mm larger: half of it is believed, and the chance falls."""
        aim = aim_m8()
        good = [Trial(0.0, "steel", None, 0.001 * n, 0.004) for n in (-3, 2, 0, 1, -2, 3, 0, -1, 2)]
        before, after = (believed(aim, trials) for trials in (good, [*good, Trial(0.0, "steel", None, 0.05, 0.004)]))
        self.assertGreater(before.forecast(0.0, "steel").within, 0.99)
        line = after.forecast(0.0, "steel")
        self.assertTrue(0.01 < line.off_mm < 0.04, line)
        self.assertLess(line.within, 0.95)
        again = believed(aim, [*good, *(Trial(0.0, "steel", None, 0.05, 0.004) for _ in range(3))])
        self.assertAlmostEqual(again.forecast(0.0, "steel").off_mm, 0.05, delta=0.012)


class Heads(unittest.TestCase):
    """Chasers in a head are learned like a die, in the graduations of its scale."""

    def test_a_graduation_makes_what_was_said_of_it(self) -> None:
        """0.02 mm each: three graduations are 0.06 mm, and that is nearly sure; nobody's word, and it is a guess."""
        told, supposed = (believed(aim_m8(), [], graduations(each)) for each in (0.02, None))
        self.assertAlmostEqual(told.forecast(3, "steel").off_mm - told.forecast(0, "steel").off_mm, 0.06)
        self.assertGreater(supposed.forecast(9, "steel").spread_mm, told.forecast(9, "steel").spread_mm)

    def test_between_too_tight_and_too_loose(self) -> None:
        trials = [Trial(4, "steel", "will-not-start"), Trial(-4, "steel", "loose")]
        best = propose(believed(aim_m8(), trials, graduations(0.02)), "steel")
        assert best is not None
        self.assertTrue(-4 < best.eighths < 4)
        self.assertEqual(best.eighths % 1, 0, "a whole graduation")

    def test_its_words(self) -> None:
        scale = graduations(0.02)
        self.assertNotIn("screw", scale.set_order(2) + scale.set_order(0))
        self.assertIn("2 graduations", scale.set_order(-2))
