"""What a thread is tried with: each gauge says what it can, and the die is learned from what it says."""

from __future__ import annotations

import math
import unittest

import numpy as np
from hypothesis import given
from hypothesis import strategies as st

from lathework.bench.bench import Bench
from lathework.bench.entry import Entry
from lathework.bench.fold import fold
from lathework.bench.gauge.thread import offered
from lathework.bench.gauge.verdict_entry import anvils_entry, verdict_entry, wires_entry
from lathework.dies.learner import believed
from lathework.dies.spreads import LIMITS_MM, METAL_SPREAD_MM, OFFSET_SPREAD_MM, OFFSETS_MM, SCATTER_MM
from lathework.dies.trial import Trial
from lathework.errors import InputError
from lathework.gauging.causes import causes_inside, likely_causes
from lathework.gauging.sized import GUARD, anvils_uncertainty, class_chance
from lathework.gauging.tried import TRIED, Gauge
from lathework.gauging.wires import WIRES
from lathework.lengths import read_length
from lathework.outfit.measuring import finest_micrometer
from lathework.shop.kit import read_thing
from lathework.tests.samples import PLUG, bore, plan, told
from lathework.tests.test_bench import PLAN, STEPS, at, done
from lathework.tests.test_die_learner import aim_m8

MATES: tuple[Gauge, ...] = ("", "known", "small", "worn")
BEFORE = STEPS[: STEPS.index("gauge:s1")]


def gauging(*more: Entry) -> Bench:
    return at(*done(*BEFORE), *more)


class Limits(unittest.TestCase):
    """Go and no-go gauges tell the limits themselves: no nut of unknown size stands between."""

    def test_what_is_believed_is_what_integration_finds(self) -> None:
        """Against a sum over a fine grid of what the die cuts, the metal known."""
        aim = aim_m8()
        cut = np.linspace(-0.4, 0.4, 80001)
        below = np.vectorize(lambda z: 0.5 * math.erfc(-z / math.sqrt(2)))
        for verdict, low, high in (
            ("go-stops", aim.half_mm, math.inf),
            ("go-passes", -aim.half_mm, aim.half_mm),
            ("no-go-passes", -math.inf, -aim.half_mm),
        ):
            with self.subTest(verdict):
                wide = math.hypot(OFFSET_SPREAD_MM, METAL_SPREAD_MM)
                prior = np.exp(-0.5 * ((cut - OFFSETS_MM["screw"]) / wide) ** 2)
                noise = math.hypot(SCATTER_MM, LIMITS_MM)
                weight = prior * (below((high - cut) / noise) - below((low - cut) / noise))
                mean = float((weight * cut).sum() / weight.sum())
                spread = math.hypot(math.sqrt(float((weight * (cut - mean) ** 2).sum() / weight.sum())), SCATTER_MM)
                told_ = believed(aim, [Trial(0.0, "steel", verdict)]).forecast(0.0, "steel")  # type: ignore[arg-type]
                self.assertAlmostEqual(told_.off_mm, mean, delta=0.001)
                self.assertAlmostEqual(told_.spread_mm, spread, delta=0.001)

    def test_a_thread_that_both_gauges_pass_is_nearly_surely_in_its_class(self) -> None:
        self.assertGreater(believed(aim_m8(), []).learn(Trial(0.0, "steel", "go-passes")).within, 0.96)

    def test_an_open_die_is_closed_and_a_closed_one_opened(self) -> None:
        large, small = gauging(said("go-stops", "limits")).advice, gauging(said("no-go-passes", "limits")).advice
        assert large is not None and small is not None
        self.assertEqual((large.move, large.recut), ("close", True))
        self.assertEqual((small.move, small.recut), ("open", False))

    def test_a_go_gauge_that_stops_asks_what_else_it_may_be_but_not_for_another_nut(self) -> None:
        codes = [cause.code for cause in gauging(said("go-stops", "limits")).causes]
        self.assertEqual(codes[0], "swarf")
        self.assertNotIn("other-nut", codes)
        self.assertEqual(gauging(said("binds", "small")).causes[0].code, "other-nut")

    def test_the_causes_speak_of_what_was_tried_and_of_what_is_moved(self) -> None:
        told = " ".join(f"{cause.look} {cause.cure}" for cause in gauging(said("go-stops", "limits")).causes)
        self.assertIn("ring", told)
        self.assertNotRegex(told, r"\bnut\b")
        inside = " ".join(one.look for one in causes_inside(blind=True, starts=True, tried="limits"))
        self.assertIn("plug", inside)
        self.assertNotRegex(inside, r"\bscrew\b")
        head = likely_causes(over_blank=False, to_shoulder=True, starts=True, cutter="head")
        for one in head:
            self.assertNotRegex(f"{one.look} {one.cure}", r"\bdie\b")


def said(word: str, tried: Gauge = "") -> Entry:
    return verdict_entry(gauging(), word, tried)


class Mates(unittest.TestCase):
    """What a nut says depends on what is known of the nut."""

    def off(self, verdict: str, tried: Gauge) -> float:
        aim = aim_m8()
        return believed(aim, []).learn(Trial(0.0, "steel", verdict, tried=tried)).off_mm  # type: ignore[arg-type]

    def test_what_binds_in_a_tight_nut_is_smaller_than_what_binds_in_a_worn_one(self) -> None:
        for verdict in ("binds", "snug", "loose"):
            with self.subTest(verdict):
                self.assertLess(self.off(verdict, "small"), self.off(verdict, ""))
                self.assertLess(self.off(verdict, ""), self.off(verdict, "worn"))

    def test_a_known_nut_says_more(self) -> None:
        aim = aim_m8()
        spreads = [
            believed(aim, [Trial(0.0, "steel", "snug", tried=tried)]).forecast(0.0, "steel").spread_mm
            for tried in ("known", "")
        ]
        self.assertLess(*spreads)

    @given(st.lists(st.tuples(st.sampled_from(MATES), st.sampled_from(("binds", "snug", "loose"))), max_size=6))
    def test_nuts_in_any_order_leave_chances_that_are_chances(self, said: list[tuple[Gauge, str]]) -> None:
        trials = [Trial(0.0, "steel", verdict, tried=tried) for tried, verdict in said]  # type: ignore[arg-type]
        told_ = believed(aim_m8(), trials).forecast(1.0, "brass")
        self.assertAlmostEqual(told_.within + told_.under + told_.over, 1)


class Offered(unittest.TestCase):
    def test_each_thread_is_tried_with_what_there_is_for_it(self) -> None:
        for made, key, gauges in (
            (PLAN, "gauge:s1", set(TRIED)),
            (plan(PLUG | {"part.bores": [bore("3/8-16", depth="5/8")]}), "try:b1", {*MATES, "limits"}),
            (PLAN, "thread:s1", set()),
        ):
            with self.subTest(key):
                step = made.operation(key)
                assert step is not None
                self.assertEqual(set(offered(step)), gauges)

    def test_what_is_made_to_its_mate_is_tried_with_that_alone(self) -> None:
        worn = {"part.sections.0.thread": "M10", "part.stock.across": "12 mm"}
        mate = {"method.blank_school": "mate-takes", "method.mate_minor": "8,95 mm", "method.mate_pitch": "9,25 mm"}
        made = plan(worn | mate)
        [mated] = [step for step in made.operations if step.measure == "verdict"]
        self.assertTrue(mated.to_mate)
        self.assertEqual(offered(mated), ("",))
        keys = [step.key for step in made.operations]
        now = at(*done(*keys[: keys.index("gauge:s1")]), made=made)
        with self.assertRaises(InputError) as refused:
            anvils_entry(now, read_length("9.03 mm", "in", "reading"))
        self.assertEqual(refused.exception.field, "tried")

    def test_a_verdict_of_another_gauge_is_refused_with_those_that_there_are(self) -> None:
        for word, tried, field in (
            ("fine", "", "verdict"),
            ("snug", "limits", "verdict"),
            ("go-passes", "", "verdict"),
            ("snug", "thread-micrometer", "verdict"),
            ("snug", "teeth", "tried"),
        ):
            with self.subTest(word, tried=tried), self.assertRaises(InputError) as refused:
                verdict_entry(gauging(), word, tried)
            self.assertEqual(refused.exception.field, field)
        with self.assertRaises(InputError):
            verdict_entry(at(), "snug")


class Measured(unittest.TestCase):
    """3/8-16 UNC 2A, pitch diameter 0.3287 to 0.3331 in (ASME B1.1)."""

    def size(self, text: str, within_mm: float | None = None) -> Entry:
        return anvils_entry(gauging(), read_length(text, "in", "reading"), within_mm)

    def test_a_thread_micrometer_reads_the_pitch_diameter_itself(self) -> None:
        for text, verdict in (("0.3309", "size-in"), ("0.3345", "size-large"), ("0.3270", "size-small")):
            with self.subTest(text):
                entry = self.size(text)
                self.assertEqual((entry.word, entry.tried, entry.wire_mm), (verdict, "thread-micrometer", None))
        [trial] = fold([PLAN], [told(PLAN, self.size("0.3309"))])[0].parts["p1"].trials["3/8-16 UNC"]
        self.assertAlmostEqual(trial.off_mm or 0.0, 0.0, places=6)

    def test_it_strays_more_than_wires_do(self) -> None:
        """Micrometer 4 µm and anvils 7 µm: √(16 + 49) = 8.06 µm."""
        self.assertAlmostEqual(anvils_uncertainty().value, 0.00806, places=5)
        now = gauging(self.size("0.33265"))
        assert now.sized is not None
        self.assertEqual(now.verdict, "size-near")
        self.assertIn("three wires", now.sized.tells)
        over = wires_entry(gauging(), read_length("0.3873", "in", "reading"), None)
        sized = gauging(over).sized
        assert sized is not None
        self.assertIn("rings", sized.tells)

    def test_a_slip_is_refused(self) -> None:
        with self.assertRaises(InputError) as refused:
            self.size("0.3850")
        self.assertEqual(refused.exception.field, "reading")

    def test_the_micrometer_of_the_shop_says_how_far_it_strays(self) -> None:
        """JCGM 100:2008, 4.3.7: a limit of 3 µm either way is a standard uncertainty of 3/√3 µm."""
        things = [
            read_thing("instrument", {"id": f"m{n}", "form": form, "within": within, "most": most})
            for n, (form, within, most) in enumerate(
                (
                    ("micrometer", "0.003 mm", "25 mm"),
                    ("micrometer", "0.001 mm", "5 mm"),
                    ("micrometer", "", "25 mm"),
                    ("caliper", "0.001 mm", "150 mm"),
                )
            )
        ]
        own = finest_micrometer(things, 9.8)
        assert own is not None
        self.assertEqual(own.id, "m0")
        self.assertAlmostEqual(own.uncertainty_mm or 0.0, 0.003 / math.sqrt(3))
        self.assertIsNone(finest_micrometer(things, 30))
        told_ = gauging(self.size("0.3309", own.uncertainty_mm)).sized
        assert told_ is not None
        self.assertAlmostEqual(told_.uncertainty.value, math.hypot(0.003 / math.sqrt(3), 0.007))

    def test_the_chance_of_a_class_is_that_of_the_guides_example(self) -> None:
        """JCGM 106:2012, 7.4, from memory: a viscosity of 12.5 to 16.3, measured 13.6 with 1.8: 66 per cent."""
        told_ = class_chance("in its class", (16.3 - 12.5) / 2, 13.6 - (12.5 + 16.3) / 2, 1.8, WIRES)
        self.assertAlmostEqual(told_.value, 66, delta=0.5)

    def test_the_guard_is_that_of_one_in_twenty(self) -> None:
        """JCGM 106:2012, 8.3: a guard of 1.645 uncertainties keeps the chance of a false pass at 5 per cent at most."""
        told_ = class_chance("in its class", 50.0, 50.0 - GUARD, 1.0, WIRES)
        self.assertAlmostEqual(told_.value, 95, delta=0.01)
