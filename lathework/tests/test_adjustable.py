"""A hole cut with an adjustable tap: set before it runs, tried, set again; what it cut is remembered."""

from __future__ import annotations

import unittest

from lathework.bench.acts.die import setting_entry
from lathework.bench.bench import Bench
from lathework.bench.entry import Entry
from lathework.bench.entry_words import said, stood_words
from lathework.bench.events import Gauged
from lathework.bench.fold import fold
from lathework.bench.gauge.die import aim_inside_of, scale_of
from lathework.bench.progress import progress_of
from lathework.dies.learner import believed
from lathework.dies.scale import graduated_tap, graduations
from lathework.dies.trial import Trial
from lathework.errors import InputError
from lathework.job.document import read_document
from lathework.job.furnish import furnish
from lathework.tests.samples import body, bore, document, plan, step, told
from lathework.tests.test_bench import at
from lathework.tests.test_ways import shop
from lathework.threads.designation import read_called

MADE = plan(body(bore("M8", cut="adjustable-tap", tap="t7", graduation="0.02 mm"), **{"quantity": 3}))
KEYS = [operation.key for operation in MADE.operations]


def before(key: str, *more: Entry) -> Bench:
    return at(*[told(MADE, Entry("done", 1, one)) for one in KEYS[: KEYS.index(key)]], *more, made=MADE)


def tried(word: str) -> Entry:
    return told(MADE, Entry("verdict", 1, "try:b1", word=word))


class Aim(unittest.TestCase):
    def test_the_class_is_that_of_the_standard(self) -> None:
        """ISO 965-1: M8 6H pitch diameter 7.188 to 7.348, 6g 7.042 to 7.160."""
        aim = aim_inside_of(read_called("M8").thread, "")
        assert aim is not None
        self.assertAlmostEqual(aim.middle_mm, (7.188 + 7.348) / 2, places=3)
        self.assertAlmostEqual(aim.half_mm, 0.080, places=3)
        self.assertAlmostEqual(aim.clearance_mm, 7.348 - 7.042, places=3)
        self.assertAlmostEqual(aim.mate()[0], 7.268 - (7.160 - 0.118 / 2), places=3)

    def test_it_learns_as_a_head_does_with_the_metal_that_is_left(self) -> None:
        """A size 0.02 over the middle of the hole's class is 0.02 too little metal: the next is closed by a mark."""
        aim = aim_inside_of(read_called("M8").thread, "")
        assert aim is not None
        for seen in (-0.02, 0.03):
            trials = [Trial(0.0, "steel", None, seen, 0.002)]
            tap, head = (believed(aim, trials, one) for one in (graduated_tap(0.02), graduations(0.02)))
            ours, theirs = tap.forecast(1.0, "steel"), head.forecast(1.0, "steel")
            self.assertAlmostEqual(ours.off_mm, theirs.off_mm, delta=0.002)


class AtTheBench(unittest.TestCase):
    def test_it_is_set_before_it_runs(self) -> None:
        now = before("tap:b1")
        assert now.preset is not None and now.step is not None
        self.assertEqual((now.scale.sets, scale_of(now.step, MADE).slope_mm), ("tap", 0.02))
        self.assertIn("Set the scale", now.preset.scale.set_order(now.preset.eighths))
        self.assertIn("under the middle", now.preset.expected.name)
        self.assertGreaterEqual(now.preset.eighths, 0.0, "rather too small a hole: it can be cut again")
        opened = setting_entry(now, "2")
        self.assertEqual((opened.word, opened.eighths), ("set-tap", -2.0))
        self.assertEqual(said("setting", opened.word, opened.eighths, ""), "set: opened 2 graduations")
        with self.assertRaises(InputError) as caught:
            setting_entry(now, "40")
        self.assertIn("graduations", caught.exception.message)

    def test_a_screw_that_binds_opens_it(self) -> None:
        now = before("try:b1", tried("binds"))
        self.assertTrue(now.causes, "what else it may bind for is asked first")
        assert now.advice is not None and now.advice.eighths is not None
        self.assertIn("Open the tap by", now.advice.order)
        self.assertTrue(now.advice.recut)
        entry = setting_entry(now)
        self.assertIn("open ", said("setting", entry.word, entry.eighths, ""))
        after = before("try:b1", tried("binds"), told(MADE, entry))
        self.assertLess(after.opened_eighths, 0.0)
        self.assertRegex(after.scale.stands(after.opened_eighths), "^opened")

    def test_one_that_shakes_closes_it_for_the_next(self) -> None:
        now = before("try:b1", tried("loose"))
        assert now.advice is not None
        self.assertIn("close the tap by", now.advice.order)
        self.assertFalse(now.advice.recut)

    def test_what_it_cut_is_its_own_story(self) -> None:
        state, events = fold([MADE], [tried("binds")])
        (gauged,) = [event for _, event in events if isinstance(event, Gauged)]
        told_ = gauged.die, gauged.cutter, gauged.inside, gauged.teaches
        self.assertEqual(told_, ("t7", "adjustable-tap", True, True))
        (now,) = progress_of([MADE], state, {"t7": [Trial(0.0, "mild steel", "snug")]}).benches
        self.assertEqual(now.die_id, "")
        self.assertEqual([one.verdict for one in state.parts["p1"].trials["t7"]], ["binds"])
        self.assertEqual(stood_words("adjustable-tap", -2.0), "tap opened 2 graduations")

    def test_a_fixed_tap_is_set_by_nothing(self) -> None:
        fixed = plan(body(bore("M8")))
        tap = step(fixed, "tap")
        assert tap is not None
        self.assertIsNone(tap.thread)


class Shop(unittest.TestCase):
    TAP = ("tap", {"id": "t1", "thread": "M8", "form": "adjustable", "graduation": "0.02 mm"})

    def test_a_tap_that_was_named_stays_though_it_is_away(self) -> None:
        """As a die does: the job is bound to it until its thread is another; a new job takes one that is here."""
        away = ("tap", {"id": "t2", "thread": "M8", "form": "adjustable", "state": "missing"})
        for named, taken in (("t2", "t2"), ("", "t1"), ("t9", "t1")):
            hole = body(bore("M8", cut="adjustable-tap", tap=named))
            told_ = furnish(document(hole), shop(self.TAP, away))
            self.assertEqual(told_["part"]["bores"][0]["tap"], taken)

    def test_the_shops_tap_is_taken_with_its_scale(self) -> None:
        hole = body(bore("M8", cut="adjustable-tap"))
        told_ = furnish(document(hole), shop(self.TAP, ("tap", {"id": "t2", "thread": "M8"})))
        self.assertEqual([(one["tap"], one["graduation"]) for one in told_["part"]["bores"]], [("t1", "0.02 mm")])
        self.assertEqual(read_document(told_).part.bores[0].tap, "t1")
        fixed = furnish(
            told_ | {"part": told_["part"] | {"bores": [told_["part"]["bores"][0] | {"cut": "tap"}]}}, shop(self.TAP)
        )
        self.assertEqual(fixed["part"]["bores"][0]["tap"], "")
