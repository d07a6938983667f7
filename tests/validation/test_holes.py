"""Tapped holes: handbook tap-drill tables, thread shear areas, oversize, and depths worked by hand.

The tables are those that machinery handbooks print for unified threads (drill and per cent of thread, to the whole
number) and for ISO metric threads (drill); shear areas follow FED-STD-H28/2B, worked here from the published limits.
"""

from __future__ import annotations

import math
import unittest

from hypothesis import given, settings
from hypothesis import strategies as st

from lathework.answers.book.hole import AskedHole, hole
from lathework.answers.size import size
from lathework.holes import form_taps
from lathework.holes.depth import drill_depth, tap_margin, taps
from lathework.holes.drill_choice import choose
from lathework.holes.form_taps import form_hole
from lathework.holes.oversize import oversize_in
from lathework.holes.percent import metal_cut, percent_thread
from lathework.holes.strength import external_shear, internal_shear, strip
from lathework.lengths import read_length
from lathework.shop.metals import materials
from lathework.shop.racks import owned
from lathework.tables.drills import Drill, all_drills
from lathework.threads.designation import read_designation
from lathework.threads.limits import internal_limits
from tests.validation.published import PublishedCase

#: Unified: thread, drill, per cent of full thread as printed.
UNIFIED = (
    ("#0-80", "3/64", 81),
    ("#1-64", "#53", 67),
    ("#1-72", "#53", 75),
    ("#2-56", "#50", 69),
    ("#2-64", "#50", 79),
    ("#3-48", "#47", 76),
    ("#3-56", "#45", 73),
    ("#4-40", "#43", 71),
    ("#4-48", "#42", 68),
    ("#5-40", "#38", 72),
    ("#5-44", "#37", 71),
    ("#6-32", "#36", 78),
    ("#6-40", "#33", 77),
    ("#8-32", "#29", 69),
    ("#8-36", "#29", 78),
    ("#10-24", "#25", 75),
    ("#10-32", "#21", 76),
    ("#12-24", "#16", 72),
    ("#12-28", "#14", 73),
    ("1/4-20", "#7", 75),
    ("1/4-28", "#3", 80),
    ("5/16-18", "F", 77),
    ("5/16-24", "I", 75),
    ("3/8-16", "5/16", 77),
    ("3/8-24", "Q", 79),
    ("7/16-14", "U", 75),
    ("7/16-20", "25/64", 72),
    ("1/2-13", "27/64", 78),
    ("1/2-20", "29/64", 72),
    ("9/16-12", "31/64", 72),
    ("9/16-18", "33/64", 65),
    ("5/8-11", "17/32", 79),
    ("5/8-18", "37/64", 65),
    ("3/4-10", "21/32", 72),
    ("3/4-16", "11/16", 77),
    ("7/8-9", "49/64", 76),
    ("7/8-14", "13/16", 67),
    ("1-8", "7/8", 77),
    ("1-12", "59/64", 72),
)
#: ISO metric: thread, drill (mm).
METRIC = (
    ("M1.6", 1.25),
    ("M2", 1.6),
    ("M2.5", 2.05),
    ("M3", 2.5),
    ("M3.5", 2.9),
    ("M4", 3.3),
    ("M5", 4.2),
    ("M6", 5.0),
    ("M8", 6.8),
    ("M10", 8.5),
    ("M12", 10.2),
    ("M14", 12.0),
    ("M16", 14.0),
    ("M18", 15.5),
    ("M20", 17.5),
    ("M22", 19.5),
    ("M24", 21.0),
    ("M27", 24.0),
    ("M30", 26.5),
    ("M8x1", 7.0),
    ("M10x1.25", 8.8),
    ("M10x1", 9.0),
    ("M12x1.25", 10.8),
    ("M12x1.5", 10.5),
    ("M16x1.5", 14.5),
    ("M20x1.5", 18.5),
    ("M24x2", 22.0),
)
#: Handbook: oversize of drilled holes without a pilot, mean (inches).
MEAN_OVERSIZE = ((0.0625, 0.0015), (0.125, 0.0030), (0.25, 0.0040), (0.5, 0.0050), (0.75, 0.0050), (1.0, 0.0070))
RACK = all_drills()


class TapDrillTables(PublishedCase):
    def test_unified(self) -> None:
        for name, drill, printed in UNIFIED:
            thread, diameter = read_designation(name), read_length(drill, "in").value
            # Half a unit of the whole number, and what a last digit of the printed drill size makes of it.
            ours = percent_thread(thread, diameter)
            by_hand = 100 * (thread.major - diameter) / (1.299038 / float(thread.tpi or 1))
            with self.subTest(name):
                self.assertAlmostEqual(ours, by_hand, places=6)
                self.assertLessEqual(abs(ours - printed), 0.55)

    def test_metric_drills_leave_a_sound_thread(self) -> None:
        for name, drill in METRIC:
            thread = read_designation(name)
            with self.subTest(name):
                by_hand = 100 * (thread.major - drill) / (1.299038 * thread.pitch)
                self.assertAlmostEqual(percent_thread(thread, drill), by_hand, places=9)
                self.assertTrue(64 <= by_hand <= 84, by_hand)

    def test_a_printed_drill_is_offered_at_its_own_per_cent(self) -> None:
        """Asked for the per cent that the printed drill really leaves, that drill is the pick or beside it."""
        for name, drill, _ in UNIFIED:
            thread = read_designation(name)
            one = choose(thread, None, owned(drill, "in"), 75)[0]
            assert one is not None
            _, beside = choose(thread, None, RACK, one.percent.value)
            with self.subTest(name):
                wanted = read_length(drill, "in").mm
                self.assertTrue(any(abs(c.drill.diameter_mm - wanted) < 0.001 for c in beside))


class ByHand(unittest.TestCase):
    def test_oversize(self) -> None:
        for diameter, mean in MEAN_OVERSIZE:
            self.assertAlmostEqual(oversize_in(diameter), mean)
        self.assertAlmostEqual(oversize_in(0.375), 0.0045)

    def test_shear_areas(self) -> None:
        """1/2-13 UNC 2A/2B: Es min 0.4435, Kn max 0.434, Ds min 0.4876, En max 0.4565.

        Bolt: pi x 13 x 0.434 x (1/26 + 0.57735 x 0.0095) = 0.7789; hole: pi x 13 x 0.4876 x (1/26 + 0.57735 x 0.0311) =
        1.1235 square inches an inch.
        """
        found = size("1/2-13")
        assert found.external is not None and found.internal is not None
        bolt = external_shear(found.thread, found.external, 0.434).value
        self.assertAlmostEqual(bolt, math.pi * 13 * 0.434 * (1 / 26 + 0.57735 * (0.4435 - 0.434)), places=4)
        nut = internal_shear(found.thread, found.external, found.internal).value
        self.assertAlmostEqual(nut, math.pi * 13 * 0.4876 * (1 / 26 + 0.57735 * (0.4876 - 0.4565)), places=4)

    def test_engagement_of_alike_metals(self) -> None:
        """The standard's own: Le = 2 At / (shear area an inch) = 2 x 0.1419 / 0.7789 = 0.3643 in."""
        found = size("1/2-13")
        assert found.external is not None and found.internal is not None
        made = strip(found.thread, found.external, found.internal, hole=0.434, bolt_strength=400, hole_strength=400)
        self.assertAlmostEqual(made.engagement.value, 2 * 0.1419 / 0.7789, places=3)
        self.assertEqual(made.weaker, "the bolt's thread")

    def test_half_the_engagement_holds_half(self) -> None:
        """A 0.434 in drill cuts about 0.4387, and leaves pi x 13 x 0.4387 x (1/26 + 0.57735 x 0.0048) = 0.7388 square
        inches an inch: 1/2-13 in its own metal wants 2 x 0.1419 / 0.7388 = 0.3841 in; half of that holds half."""
        for depth, share in (("0.1921", 50), ("0.4", 100)):
            found = hole("1/2-13", asked=AskedHole(depth=depth, drills="0.434"))
            self.assertAlmostEqual(found.depths[0].value, share, delta=0.2)
        self.assertIn("bolt breaks first", found.depths[0].note)

    def test_a_weak_hole_wants_more_thread(self) -> None:
        """Steel of 850 in aluminium of 290: J = 0.7789 x 850 / (1.1235 x 290) = 2.03 times as much."""
        found = size("1/2-13")
        assert found.external is not None and found.internal is not None
        alike = strip(found.thread, found.external, found.internal, hole=0.434, bolt_strength=850, hole_strength=850)
        weak = strip(found.thread, found.external, found.internal, hole=0.434, bolt_strength=850, hole_strength=290)
        ratio = 0.7789 * 850 / (1.1235 * 290)
        self.assertAlmostEqual(weak.engagement.value / alike.engagement.value, ratio, places=2)
        self.assertEqual(weak.weaker, "the hole's thread")

    def test_metric_shear_area(self) -> None:
        """M10 6g/6H: pi/1.5 x 8.676 x (0.75 + 0.57735 x (8.862 - 8.676)) = 15.58 square millimetres a millimetre."""
        found = size("M10")
        assert found.external is not None
        ours = external_shear(found.thread, found.external, 8.676).value
        self.assertAlmostEqual(ours, math.pi / 1.5 * 8.676 * (0.75 + 0.57735 * (8.862 - 8.676)), places=3)

    def test_bolts_break_at_the_loads_their_standard_prints(self) -> None:
        """ISO 898-1, least ultimate tensile loads in N of classes 4.6 and 8.8; SAE J429 grade 5, 1/2-13: 17 000 lb."""
        for name, strength, newtons in (
            ("M8", 400, 14_600),
            ("M10", 400, 23_200),
            ("M12", 400, 33_700),
            ("M10", 800, 46_400),
            ("M12", 800, 67_400),
            ("M20", 830, 203_000),
            ("1/2-13", 120_000 * 0.00689476, 17_000 * 4.44822),
        ):
            found = size(name)
            assert found.external is not None and found.internal is not None
            hole = found.internal.minor.maximum
            made = strip(
                found.thread, found.external, found.internal, hole=hole, bolt_strength=strength, hole_strength=strength
            )
            with self.subTest(name=name, strength=strength):
                self.assertAlmostEqual(made.breaks.value * 1000 / newtons, 1, delta=0.005)

    def test_depths_of_a_blind_hole(self) -> None:
        """M8, 15 mm of full thread, 6.8 mm hole: + lead, + 2 turns for chips, + 0.3 x 6.8: second tap 24.54 mm."""
        thread = read_designation("M8")
        by_code = {tap.code: drill_depth(thread, tap, 15, 6.8).value for tap in taps()}
        self.assertAlmostEqual(by_code["second"], 15 + 4 * 1.25 + 2.5 + 2.04)
        self.assertAlmostEqual(by_code["taper"] - by_code["bottoming"], 6.5 * 1.25)
        leads = {tap.code: tap.lead_turns for tap in taps()}
        for code, least, most in (("taper", 7, 10), ("second", 3, 5), ("bottoming", 1, 2)):
            self.assertTrue(least <= leads[code] <= most)

    def test_form_tap_hole(self) -> None:
        """1/4-20 at 65 per cent: 0.25 - 0.0068 x 65 / 20 = 0.2279."""
        self.assertAlmostEqual(form_hole(read_designation("1/4-20")).value, 0.2279, places=4)

    def test_form_taps_as_catalogues_have_them(self) -> None:
        """Every printed hole leaves 58 to 75 per cent by the makers' own formula; three keyed twice (memory)."""
        for name, across in form_taps.printed().items():
            thread = read_designation(name)
            percent = (thread.major - across) / (0.0068 * thread.pitch)
            self.assertTrue(58 <= percent <= 75, f"{name}: {percent:.1f}")
            self.assertEqual(form_hole(thread).value, across)
        for name, across in (("M5", 4.65), ("M6", 5.55), ("M8x1", 7.55)):
            self.assertEqual(form_taps.printed()[name], across)
        # One that is not printed: 14 - 0.0068 x 65 x 1.5 = 13.337.
        self.assertEqual(form_hole(read_designation("M14x1.5")).value, 13.35)

    def test_torque_share(self) -> None:
        """Depth 0.75 and 0.6 of 0.6495 P: area h/8 + h^2 tan 30 is 0.1979 and 0.1364: 0.69."""
        high, low = 0.75 * 0.649519, 0.6 * 0.649519
        share = (low / 8 + low**2 * 0.57735) / (high / 8 + high**2 * 0.57735)
        self.assertAlmostEqual(metal_cut(60), share, places=4)

    def test_tap_margin(self) -> None:
        """M6 in mild steel at 75 per cent: 0.03 x 216 / (2000 x 1 x 6 / 8000) = 6.48 / 1.5 = 4.3."""
        self.assertAlmostEqual(tap_margin(read_designation("M6"), materials()["mild-steel"], 75).value, 4.32, places=2)


class Properties(unittest.TestCase):
    @settings(max_examples=120)
    @given(
        st.sampled_from(["1/4-20", "3/8-16", "M6", "M10", "M20", "1/2 BSW", "2 BA", "G1/4", "#10-32", "1-8"]),
        st.lists(st.sampled_from(RACK), min_size=1, max_size=40, unique=True),
        st.floats(40, 95),
        st.booleans(),
    )
    def test_the_pick_is_owned_and_inside_or_flagged(
        self, name: str, drills: list[Drill], percent: float, pilot: bool
    ) -> None:
        thread = read_designation(name)
        limits = internal_limits(thread)
        assert limits is not None
        rack = sorted(drills, key=lambda drill: drill.diameter_mm)
        pick, beside = choose(thread, limits, rack, percent, piloted=pilot)
        if pick is None:
            return
        self.assertIn(pick.drill, rack)
        self.assertEqual(pick.fit == "within", limits.minor.minimum <= pick.hole.value <= limits.minor.maximum)
        self.assertEqual(pick.fit == "within", pick.passes == 0)
        if any(one.near for one in beside):
            self.assertTrue(pick.near, "one that is near comes before one that is not")
        if pick.near:
            self.assertLessEqual(pick.percent.value, max(87, percent + 2))
        lefts = [c.percent.value for c in beside]
        self.assertEqual(lefts, sorted(lefts, reverse=True), "percent falls as the drill grows")
        torques = [c.torque_share for c in beside]
        self.assertEqual(torques, sorted(torques, reverse=True))

    @given(st.floats(0.40, 0.46), st.floats(0.001, 0.02))
    def test_strength_falls_as_the_hole_grows(self, small: float, more: float) -> None:
        found = size("1/2-13")
        assert found.external is not None
        areas = [external_shear(found.thread, found.external, bore).value for bore in (small, small + more)]
        self.assertGreater(areas[0], areas[1])


class Asked(unittest.TestCase):
    def errors(self, text: str, **asked: str) -> str:
        from lathework.errors import InputError

        with self.assertRaises(InputError) as told:
            hole(text, asked=AskedHole(**asked))  # type: ignore[arg-type]
        return told.exception.field

    def test_less_thread_costs_little_and_saves_much(self) -> None:
        """M10 of 8.5 mm, 77.0 %: at 67.0 % pi/P Kn (P/2 + 0.57735 (8.862 - Kn)) falls from 17.072 to 15.415, 90 %;
        the metal cut, h/8 + h^2 tan 30, from 0.2068 to 0.1637 P^2, 79 %."""
        self.assertIn("90 % of the strength", hole("M10").trade)
        self.assertIn("for 79 % of the tapping torque", hole("M10").trade)

    def test_wrong_input_names_its_field(self) -> None:
        for field, value in (
            ("percent", "much"),
            ("percent", "120"),
            ("drills", "1/4, blunt"),
            ("metal", "mithril"),
            ("bolt", "wood"),
            ("depth", "-1"),
        ):
            with self.subTest(field=field, value=value):
                self.assertEqual(self.errors("M10", **{field: value}), field)
        self.assertEqual(self.errors("1/8-27 NPT"), "designation")

    def test_a_rack_that_has_nothing_is_told(self) -> None:
        """A lone 1/4 in drill leaves no thread in M5: bore it."""
        found = hole("M5", asked=AskedHole(drills="1/4"))
        self.assertIsNone(found.pick)
        self.assertIn("Bore", found.words)

    def test_a_drill_outside_the_class_is_flagged(self) -> None:
        """M10 6H: minor 8.376 to 8.676; a lone 9 mm drill cuts above it."""
        found = hole("M10", asked=AskedHole(drills="9 mm"))
        assert found.pick is not None
        self.assertEqual(found.pick.fit, "too-large")
        self.assertIn("8.376 to 8.676", " ".join(found.warnings))

    def test_brittle_metals_take_no_form_tap(self) -> None:
        self.assertIsNone(hole("M6", asked=AskedHole(metal="cast-iron")).form)
        self.assertIsNotNone(hole("M6", asked=AskedHole(metal="aluminium")).form)

    def test_tough_metals_want_less(self) -> None:
        self.assertEqual(hole("M6", asked=AskedHole(metal="stainless")).percent, 65)
        self.assertEqual(hole("1/4-20").percent, 75)

    def test_brass_and_small_drills_cut_no_wider_than_they_are(self) -> None:
        """The oversize table is of steel and iron, and of drills that are not tiny: M8 swells in steel alone."""
        for name, metal, swells in (("M8", "mild-steel", True), ("M8", "brass", False), ("M1.6", "mild-steel", False)):
            pick = hole(name, asked=AskedHole(metal=metal)).pick
            assert pick is not None
            with self.subTest(name=name, metal=metal):
                self.assertEqual(pick.hole.value > pick.drill.diameter_mm + 1e-9, swells)
