"""Rules of the bar and the tool: passes, stick-out, flats, bars, samples, holders, torque."""

from __future__ import annotations

import re
import unittest
from itertools import pairwise

from hypothesis import given
from hypothesis import strategies as st

from lathework.cutting.cuts import LATHE_SHARE, deepest_cut, pass_diameters, passes, stick_out_share
from lathework.cutting.mate_blank import Mate, mate_blank, opened_by, why_no_mate
from lathework.cutting.torque import HOLDS, TAP_HOLDS, cutting_torque, what_holds, with_holding
from lathework.errors import InvalidDocument
from lathework.lengths import read_length
from lathework.methods.die_holdings import DIE_HOLDINGS, HOLDERS
from lathework.part.sample import nominals
from lathework.part.stock import bar_for_piece, corners_mm, depth_per_flat, largest_across_flats, pieces_from_bar
from lathework.planning.steps.threads.gauging import check_interval
from lathework.shop.lathe_facts import LATHES, Lathe
from lathework.tests.samples import kinds, plan, said, step
from lathework.tests.test_rules import PARALLEL
from lathework.threads.designation import read_designation
from lathework.threads.thread import Thread
from lathework.units import convert


class Passes(unittest.TestCase):
    @given(st.floats(3, 80), st.floats(0.02, 30), st.floats(0.2, 4))
    def test_no_cut_is_deeper_than_it_may_and_the_last_one_is_on_size(
        self, end: float, off: float, deepest: float
    ) -> None:
        sizes = [end + off, *pass_diameters(end + off, end, deepest)]
        self.assertEqual(sizes[-1], end)
        for before, after in pairwise(sizes):
            self.assertLessEqual(before - after, max(deepest, 0.5) + 1e-6)
            self.assertGreater(before, after - 1e-6)

    def test_a_light_lathe_and_a_long_bar_take_less(self) -> None:
        """2 mm for the metal: half on a light lathe, half as deep again on a heavy one; 0.7 of it at four diameters."""
        wanted: dict[Lathe, float] = {"light": 1.0, "middling": 2.0, "heavy": 3.0}
        for lathe, cut in wanted.items():
            self.assertAlmostEqual(deepest_cut(2.0, lathe, 1.0, "mm").value, cut)
        self.assertAlmostEqual(deepest_cut(2.0, "middling", 4.0, "mm").value, 1.4)
        self.assertEqual(set(LATHES), set(LATHE_SHARE))

    @given(st.floats(0, 30), st.floats(0, 5))
    def test_more_stick_out_never_bears_more(self, ratio: float, more: float) -> None:
        self.assertGreaterEqual(stick_out_share(ratio), stick_out_share(ratio + more))

    def test_the_last_two_cuts_are_alike(self) -> None:
        """Two cuts alike spring alike: then the last one leaves what its dial says, however far the lathe gives way."""
        made = passes(12.7, 9.5, deepest_cut(2.0, "middling", 1.0, "mm"), "mm")
        self.assertEqual([cut.name for cut in made[-2:]], ["last cut but one to", "finishing cut to"])
        self.assertAlmostEqual(made[-3].value - made[-2].value, made[-2].value - made[-1].value)
        thin = passes(9.6, 9.5, deepest_cut(2.0, "middling", 1.0, "mm"), "mm")
        self.assertEqual([cut.value for cut in thin], [9.5], "half a tenth is too thin a chip")


class Bars(unittest.TestCase):
    @given(st.floats(2, 100))
    def test_the_largest_hexagon_has_its_corners_on_the_round(self, round_mm: float) -> None:
        self.assertAlmostEqual(corners_mm("hexagon", largest_across_flats(6, round_mm, "mm").value), round_mm)
        self.assertAlmostEqual(corners_mm("square", largest_across_flats(4, round_mm, "mm").value), round_mm)

    @given(st.floats(1, 300), st.floats(100, 5000))
    def test_the_pieces_of_a_bar_fit_in_it(self, overall: float, bar: float) -> None:
        piece = bar_for_piece(overall, 2.5, "mm")
        count = pieces_from_bar(bar, piece).value
        self.assertLessEqual(count * piece.value, max(0.0, bar - 30) + 1e-3)
        self.assertGreater((count + 1) * piece.value, bar - 30 - 1e-3)

    def test_two_flats_take_what_they_say(self) -> None:
        self.assertAlmostEqual(depth_per_flat(12, 10, "mm").value, 1.0)


class Samples(unittest.TestCase):
    @given(st.floats(3, 60))
    def test_a_worn_diameter_was_larger_not_smaller(self, reading: float) -> None:
        for nominal in nominals(reading):
            self.assertGreater(nominal.under_mm, -0.2)

    def test_readings_of_known_parts(self) -> None:
        """A worn 3/8 at 0.369, a worn 12 mm at 11.94, 31.6 mm along an inch part of 1-1/4."""
        self.assertEqual(nominals(0.369 * 25.4)[0].typed, "3/8 in")
        self.assertEqual(nominals(11.94)[0].typed, "12 mm")
        self.assertEqual(nominals(31.6, along=True)[0].typed, "1-1/4 in")
        self.assertIn("M10", [nominal.typed for nominal in nominals(9.93, thread=True)])


class Holding(unittest.TestCase):
    def test_every_holder_says_what_its_step_has(self) -> None:
        self.assertEqual(tuple(DIE_HOLDINGS), HOLDERS)
        for holder in HOLDERS:
            # A thread so light that every way of holding its die may be driven; jaws are taken for a reason alone.
            light = {"part.sections.0.thread": "1/4-20", "material": "aluminium", "method.because": "a try"}
            found = step(plan({"method.holder": holder} | light), "thread")
            self.assertLessEqual(set(re.findall(r"{(\w+)}", found.sentence)), set(found.figures), holder)
            self.assertEqual("speed" in found.figures, DIE_HOLDINGS[holder].power)

    def test_the_die_in_the_vise_comes_after_the_lathe(self) -> None:
        order = kinds(plan({"method.holder": "stock-in-vise"}))
        self.assertGreater(order.index("thread"), order.index("part-off"))

    def test_coarser_wants_a_stronger_hold(self) -> None:
        torques = [cutting_torque(read_designation(name), 2000).value for name in ("M4", "M10", "M20", "M36")]
        self.assertEqual(torques, sorted(torques))
        words = [what_holds(torque) for torque in torques]
        self.assertEqual(words, sorted(words, key=[told for _, told in HOLDS].index))
        told = [
            with_holding(cutting_torque(read_designation(name), 2000), "die", by_torque=False)
            for name in ("M10", "M36")
        ]
        self.assertEqual([one.note for one in told], ["", words[-1]], "past what any holder bears")
        taps = [what_holds(torque, "tap") for torque in torques]
        self.assertEqual(taps, sorted(taps, key=[told for _, told in TAP_HOLDS].index))

    def test_small_batches_are_gauged_throughout(self) -> None:
        self.assertEqual([check_interval(pieces).value for pieces in (1, 5, 6, 20, 21)], [1, 1, 3, 3, 5])


class WornMates(unittest.TestCase):
    """As large as a measured mate takes: trade practice, the clearance that of position g of ISO 965-1."""

    def mate(self, bore: str, flanks: str) -> Mate:
        return Mate(read_length(bore, "mm"), read_length(flanks, "mm"))

    def test_by_hand(self) -> None:
        """M10: D2 9.026, D1 8.376, clearance 15 + 11 x 1.5 = 31.5 micrometres; at most 0.06 x 1.5 over nominal."""
        m10 = read_designation("M10")
        for bore, flanks, blank in (
            ("8.6", "9.08", 10 + 0.054 - 0.0315),
            ("8.95", "9.25", 10.09),
            ("8.39", "9.2", 10 + 0.014 - 0.0315),
            ("8.38", "9.03", 10 + 0.004 - 0.0315),
        ):
            with self.subTest(bore=bore, flanks=flanks):
                self.assertAlmostEqual(mate_blank(m10, self.mate(bore, flanks)).value, blank, delta=0.00061)

    @given(st.sampled_from(PARALLEL), st.floats(-0.2, 0.34), st.floats(-0.2, 0.3))
    def test_the_screw_always_goes_in(self, thread: Thread, flanks: float, bore: float) -> None:
        """Whatever was measured, the flanks and the root of the screw stay inside the mate's."""
        wide = thread.pitch_diameter_mm + flanks * thread.pitch_mm
        deep = min(thread.minor_mm + bore * thread.pitch_mm, wide - 0.001)
        mate = self.mate(f"{deep:.4f}", f"{wide:.4f}")
        if why_no_mate(thread, mate):
            return
        over = convert(opened_by(thread, mate).value, thread.unit, "mm")
        self.assertLess(thread.pitch_diameter_mm + over, mate.pitch_diameter.mm)
        self.assertLess(thread.minor_mm + over, mate.minor.mm)
        blank = convert(mate_blank(thread, mate).value, thread.unit, "mm")
        self.assertLessEqual(blank, thread.major_mm + 0.06 * thread.pitch_mm + 0.002)

    def test_the_plan_opens_the_die_and_says_what_it_costs(self) -> None:
        made = plan(
            {
                "part.stock.across": "12 mm",
                "part.sections.0.thread": "M10",
                "method.blank_school": "mate-takes",
                "method.mate_minor": "8,95 mm",
                "method.mate_pitch": "9,25 mm",
            }
        )
        self.assertAlmostEqual(step(made, "turn:s1").figures["diameter"].value, 10.09)
        self.assertAlmostEqual(step(made, "thread:s1").figures["opened"].value, 0.1925)
        self.assertIn("no standard nut", " ".join(n.text for n in made.notices))
        self.assertNotIn("wires", said(step(made, "gauge:s1")))

    def test_a_bore_over_its_pitch_diameter_is_told_the_right_way_round(self) -> None:
        """M10, ISO 724: the bore of a nut, 8.376, is the smaller of the two; 9.5 over 9.1 was measured wrong."""
        told = why_no_mate(read_designation("M10"), self.mate("9.5", "9.1"))
        self.assertIn("smaller than its pitch diameter", told)
        self.assertEqual(why_no_mate(read_designation("M10"), self.mate("8.376", "9.026")), "")

    def test_a_mate_of_another_thread_is_refused_beside_its_field(self) -> None:
        for typed in (
            {"method.mate_minor": "8.95 mm"},
            {"method.mate_minor": "8.5 mm", "method.mate_pitch": "11 mm"},
            {"method.mate_minor": "9.5 mm", "method.mate_pitch": "9.1 mm"},
        ):
            with self.assertRaises(InvalidDocument) as told:
                plan({"part.stock.across": "12 mm", "part.sections.0.thread": "M10", **typed})
            self.assertEqual([error.field for error in told.exception.errors], ["method.mate_pitch"])
