"""A die of which nobody said where it stood: what it did teaches what a change does, and not where it cuts."""

from __future__ import annotations

import random
import unittest

from lathework.bench.entry import SET, Entry
from lathework.bench.fold import fold
from lathework.bench.progress import progress_of
from lathework.dies.counted_from import HERE
from lathework.dies.learner import believed
from lathework.dies.proposal import start
from lathework.dies.scale import SLOPE_MM
from lathework.dies.spreads import OFFSET_SPREAD_MM, OFFSETS_MM
from lathework.dies.trial import Trial
from lathework.gauging.verdicts import Verdict
from lathework.planning.plan import Plan
from lathework.tests.samples import plan, step, told
from lathework.tests.test_die_learner import aim_m8

NAMED = {"part.sections.0.die": "t1"}


def six_times(start_at: str) -> list[Trial]:
    """Closed eighth by eighth, four in all, and still it will not start; then twice more."""
    said: list[tuple[float, Verdict]] = [(-float(n), "will-not-start") for n in (0, 1, 2, 3, 4, 4)]
    return [Trial(eighths, "steel", verdict, start=start_at) for eighths, verdict in said]


class Learned(unittest.TestCase):
    def test_an_unknown_start_does_not_send_the_next_job_far_open(self) -> None:
        """A thread fatter than its nut at four closed says nothing of where the screw touched: the next job begins
        where one begins that knows nothing."""
        aim = aim_m8()
        fresh = start(believed(aim, ()), "steel")
        taught = start(believed(aim, six_times("job 1")), "steel")
        assert fresh is not None and taught is not None
        self.assertLessEqual(taught.eighths, fresh.eighths + 0.5)
        self.assertLess(abs(taught.eighths - fresh.eighths), 2)
        # From a start that was said it is believed, as it should be.
        said = start(believed(aim, six_times("")), "steel")
        assert said is not None
        self.assertEqual(said.eighths, -4)

    def test_one_good_thread_from_an_unknown_start_moves_little(self) -> None:
        """It fitted its nut, and nobody said where the die stood: the next job sets it where it touches, or a sixteenth
        off; never so far open that its thread could only be too large."""
        for verdict in ("snug", "slight-shake", "binds"):
            with self.subTest(verdict=verdict):
                taught = start(believed(aim_m8(), [Trial(0.0, "steel", verdict, start="job 3", seated=True)]), "brass")
                assert taught is not None
                self.assertLessEqual(abs(taught.eighths), 1)
                self.assertGreater(taught.within, 0.6)

    def test_it_does_not_move_the_offset(self) -> None:
        line = believed(aim_m8(), six_times("job 1"))
        self.assertLess(abs(line.line("steel")[0] - OFFSETS_MM["screw"]), OFFSET_SPREAD_MM)

    def test_what_a_change_does_is_learned(self) -> None:
        """Measured by wires from an unknown start: 20 µm an eighth, whatever the screw was thought to do; a die set to
        its touch afterwards is believed to do the same, from a place of its own."""
        dice, each = random.Random(3), 0.020
        sizes = [
            Trial(eighths, "steel", None, 0.11 + each * eighths + dice.gauss(0, 0.002), 0.002, start="job 1")
            for eighths in (0.0, -1.0, -2.0, -3.0, 1.0, 2.0)
        ]
        belief = believed(aim_m8(), sizes)
        self.assertNotAlmostEqual(each, SLOPE_MM, places=3)
        self.assertAlmostEqual(belief.line("steel")[1], each, delta=0.003)
        self.assertLess(abs(belief.line("steel")[0]), 2 * OFFSET_SPREAD_MM)

    def test_two_unknown_starts_are_two(self) -> None:
        """0.1 mm between two jobs that nobody placed is two starts, no scatter: each is taken for its own."""
        trials = [
            Trial(0.0, "steel", None, off, 0.002, start=job) for off, job in ((0.08, "job 1"), (-0.02, "job 2")) * 3
        ]
        one, two = (believed(aim_m8(), trials, start=job).forecast(0.0, "steel").off_mm for job in ("job 1", "job 2"))
        self.assertAlmostEqual(one, 0.08, delta=0.012)
        self.assertAlmostEqual(two, -0.02, delta=0.012)


class AtTheBench(unittest.TestCase):
    def made(self) -> Plan:
        return plan(NAMED)

    def to_gauge(self, made: Plan) -> list[Entry]:
        """Everything before the gauge, done."""
        keys = [operation.key for operation in made.operations]
        return [Entry("done", 1, key) for key in keys[: keys.index("gauge:s1")]]

    def folded(self, *entries: Entry) -> list[Trial]:
        made = self.made()
        state, _ = fold([made], [told(made, one) for one in (*self.to_gauge(made), *entries)])
        (tally,) = state.parts.values()
        return tally.trials["t1"]

    def test_a_verdict_without_a_setting_has_no_place(self) -> None:
        binds = Entry("verdict", 1, "gauge:s1", word="binds")
        closed = Entry("setting", 1, "gauge:s1", word="close", eighths=1.0)
        trials = self.folded(binds, closed, Entry("verdict", 1, "gauge:s1", word="snug"))
        self.assertEqual([(trial.eighths, trial.start) for trial in trials], [(0.0, HERE), (-1.0, HERE)])

    def test_one_that_was_set_has(self) -> None:
        placed = Entry("setting", 1, "thread:s1", word=SET, eighths=0.5)
        trials = self.folded(placed, Entry("verdict", 1, "gauge:s1", word="binds"))
        self.assertEqual([(trial.eighths, trial.start) for trial in trials], [(0.5, "")])

    def test_the_next_job_is_not_told_where_it_was_left(self) -> None:
        """Preset of a new job with that die: where it was left is known only where it was said."""
        for start_at, left in (("job 1", None), ("", -1.0)):
            known = [Trial(-1.0, "mild steel", "snug", start=start_at)]
            made = self.made()
            before = [
                told(made, Entry("done", 1, operation.key)) for operation in made.operations if operation.key != "x"
            ]
            keys = [operation.key for operation in made.operations]
            state, _ = fold([made], before[: keys.index("thread:s1")])
            (now,) = progress_of([made], state, {"t1": known}).benches
            assert now.preset is not None
            self.assertEqual(now.preset.left, left)
            self.assertEqual(step(made, "thread:s1").key, now.step.key if now.step else "")
