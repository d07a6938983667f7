"""Single rules: blank, relief, wires, cuts, die advice. Published values stand in tests/validation."""

from __future__ import annotations

import math
import unittest

from hypothesis import given
from hypothesis import strategies as st

from lathework.answers.size import size, size_of
from lathework.cutting.blank import SCHOOLS, BlankChoice, blank_choices, crest_percent
from lathework.cutting.groove import chamfer_diameter, groove, section_percent
from lathework.cutting.speeds import spindle_speed
from lathework.dies.setting import WANTED, advise
from lathework.errors import InvalidDocument
from lathework.gauging.verdicts import MEANINGS, NUT_VERDICTS
from lathework.gauging.wires import best_wire, over_wires
from lathework.shop.metals import materials
from lathework.tests.every import each
from lathework.tests.samples import plan, step
from lathework.threads.designation import read_designation
from lathework.threads.library import library
from lathework.threads.limits import external_classes, external_limits
from lathework.threads.standards.bands import Band
from lathework.threads.thread import Thread

HALF_DIGIT = 0.0000500001
"""Inch tables print four decimals: 3/32 as 0.0938."""
#: Threads a die cuts on a parallel blank.
PARALLEL = tuple(t for t in library() if external_limits(t) is not None)


def crest(thread: Thread) -> Band:
    """Limits of the external major of the usual class."""
    limits = external_limits(thread)
    assert limits is not None
    return limits.major


class Blank(unittest.TestCase):
    def by_school(self, thread: Thread, fraction: float = 0.1) -> dict[str, BlankChoice]:
        return {choice.school: choice for choice in blank_choices(thread, crest(thread), fraction, asked=True)}

    def test_four_schools_of_a_common_thread(self) -> None:
        """3/8-16 by hand: 0.375; 0.375 - 0.1/16 = 0.36875; ASME B1.1 2A crest 0.3643 to 0.3737, middle 0.3690."""
        blank = self.by_school(read_designation("3/8-16"))
        self.assertEqual([blank[s].diameter.value for s in SCHOOLS], [0.375, 0.3688, 0.369, 0.3737])
        self.assertEqual([blank[s].within_class for s in SCHOOLS], [False, True, True, True])

    def test_a_pipe_blank_follows_the_gauge_diameter(self) -> None:
        """ISO 228-1: G1/4 is 13.157 mm across the crests, 19 to the inch."""
        blank = self.by_school(read_designation("G1/4"))
        self.assertEqual(blank["nominal"].diameter.value, 13.157)
        self.assertAlmostEqual(blank["pitch-fraction"].diameter.value, 13.157 - 2.54 / 19, places=3)

    def test_below_the_class_is_said(self) -> None:
        choice = self.by_school(read_designation("M10"), fraction=0.3)["pitch-fraction"]
        self.assertFalse(choice.within_class)
        self.assertIn("Below the smallest crest of class 6g", choice.verdict)

    @given(st.sampled_from(PARALLEL), st.floats(0, 0.3))
    def test_schools_keep_their_order(self, thread: Thread, fraction: float) -> None:
        """No blank is above nominal, the fraction school falls as the fraction grows, crests stay above half depth."""
        blank = self.by_school(thread, fraction)
        for choice in blank.values():
            self.assertLessEqual(choice.diameter.value, thread.major + HALF_DIGIT)
            self.assertGreater(choice.crest_percent.value, 50)
            self.assertEqual(len(choice.diameter.others), len(SCHOOLS) - 1)
        more = self.by_school(thread, fraction + 0.05)
        self.assertLessEqual(more["pitch-fraction"].diameter.value, blank["pitch-fraction"].diameter.value)

    def test_the_middle_lies_between_the_limits(self) -> None:
        for thread in PARALLEL:
            limits = crest(thread)
            self.assertLess(limits.minimum, limits.maximum, thread.designation)
            self.assertLessEqual(limits.maximum, thread.major + HALF_DIGIT)
            self.assertTrue(self.by_school(thread)["mid-limits"].within_class, thread.designation)

    def test_full_crest_is_all_and_minor_is_none(self) -> None:
        thread = read_designation("M8")
        self.assertAlmostEqual(crest_percent(thread, 8).value, 100)
        self.assertAlmostEqual(crest_percent(thread, thread.minor).value, 0)


class Relief(unittest.TestCase):
    def test_the_standard_undercut_stands_beside_the_practice_groove(self) -> None:
        """DIN 76-1, M10: 7.7 mm across, 3.2 to 5.2 mm wide; an inch thread has none."""
        found = groove(read_designation("M10"))
        self.assertEqual([a.value for a in found.diameter.others], [7.7])
        self.assertEqual([a.value for a in found.width.others], [3.2, 5.2])
        self.assertEqual(groove(read_designation("3/8-16")).diameter.others, ())

    def test_groove_of_a_half_inch_whitworth(self) -> None:
        """By hand: minor 0.3932 (BS 84) less 0.2 x 1/12 is 0.3765; three pitches are 0.250."""
        found = groove(read_designation("1/2 BSW"))
        self.assertEqual(found.diameter.value, 0.3765)
        self.assertAlmostEqual(found.width.value, 0.25)

    def test_one_blade_at_least(self) -> None:
        thread = read_designation("2 BA")
        self.assertEqual(groove(thread, 3.0).width.value, 3.0)
        self.assertAlmostEqual(groove(thread, 1.0).width.value, 3 * 0.81)
        self.assertAlmostEqual(groove(thread, 1.0, turned_round=True).width.value, 1.5 * 0.81)

    @each(PARALLEL)
    def test_groove_and_lead_clear_the_thread(self, thread: Thread) -> None:
        found = groove(thread)
        self.assertLess(found.diameter.value, thread.minor)
        self.assertGreater(found.diameter.value, 0)
        self.assertLess(chamfer_diameter(thread).value, thread.minor)
        self.assertTrue(0 < found.section_percent.value < 100)

    def test_section_is_the_ratio_of_areas(self) -> None:
        """M10 by hand: ISO 898-1 stress area 58.0 mm2; a groove of 8 mm keeps pi/4 64 / 58.0 = 86.7 %."""
        self.assertAlmostEqual(section_percent(read_designation("M10"), 8.0).value, 86.7, places=1)


class Wires(unittest.TestCase):
    def test_over_best_wires_by_the_handbook_constants(self) -> None:
        """60 degrees: M = d2 + 3 W - 0.866025 P; 55 degrees: M = d2 + 3.16568 W - 0.960491 P; and the lead angle."""
        for name, factor, depth in (("1/2-13", 3.0, 0.866025), ("M10", 3.0, 0.866025), ("1/2 BSW", 3.16568, 0.960491)):
            thread = read_designation(name)
            wire = best_wire(thread).value
            slope = thread.pitch / math.pi / thread.pitch_diameter
            lead = (0.75 if factor == 3.0 else 0.852) * wire * slope**2
            by_hand = thread.pitch_diameter + factor * wire - depth * thread.pitch + lead
            with self.subTest(name):
                self.assertAlmostEqual(over_wires(thread, wire, thread.pitch_diameter).value, by_hand, places=5)

    @each(PARALLEL)
    def test_the_best_wire_stands_above_the_crests(self, thread: Thread) -> None:
        wire = best_wire(thread).value
        self.assertGreater(over_wires(thread, wire, thread.pitch_diameter).value, thread.major)


class Die(unittest.TestCase):
    def test_a_tight_thread_closes_the_die_and_cuts_again(self) -> None:
        """Too big a thread wants a smaller die: slacken the middle screw before the outers are turned in."""
        for verdict in ("will-not-start", "binds"):
            found = advise(read_designation("3/8-16"), verdict)
            self.assertEqual((found.move, found.middle, found.recut), ("close", "out", True))
            self.assertLess(found.order.index("slacken the middle"), found.order.index("Tighten both outer"))

    def test_a_loose_thread_opens_it_for_the_next_piece(self) -> None:
        """Metal cannot be put back; both outers are slackened before the middle one opens the split."""
        found = advise(read_designation("3/8-16"), "loose")
        self.assertEqual((found.move, found.middle, found.recut), ("open", "in", False))
        self.assertLess(found.order.index("slacken both outer"), found.order.index("middle screw in"))
        self.assertIn("metal cannot be put back", found.order)

    def test_snug_is_left_alone(self) -> None:
        self.assertEqual(advise(read_designation("M8"), "snug").move, "leave")

    def test_the_screw_follows_the_wedge(self) -> None:
        """By hand, M20x2.5 binds: 0.03 x 2.5 mm x pi / 2 = 0.118 mm; over 0.8 mm a turn is 1.2 eighths, so 1."""
        found = advise(read_designation("M20"), "binds").eighths
        assert found is not None
        self.assertEqual(found.value, round(8 * (0.03 * 2.5 * math.pi / 2) / 0.8))

    @each(PARALLEL, [v for v in NUT_VERDICTS if v != "snug"])
    def test_always_an_eighth_at_least(self, thread: Thread, verdict: str) -> None:
        found = advise(thread, verdict).eighths  # type: ignore[arg-type]
        assert found is not None
        self.assertGreaterEqual(found.value, 1)

    def test_worse_verdicts_move_it_further(self) -> None:
        self.assertLess(WANTED["will-not-start"], WANTED["binds"])
        self.assertLess(WANTED["slight-shake"], WANTED["loose"])
        self.assertEqual([v for v in NUT_VERDICTS if MEANINGS[v].passes], ["snug", "slight-shake"])


class Speed(unittest.TestCase):
    def test_rev_per_min(self) -> None:
        """By hand: 30 m/min on 25 mm is 30000 / 78.54 = 382 rev/min."""
        self.assertAlmostEqual(spindle_speed(30, 25, name="speed").value, 382, places=0)

    def test_every_metal_threads_far_slower_than_it_turns(self) -> None:
        for metal in materials().values():
            with self.subTest(metal.name):
                self.assertLess(metal.thread_speed * 5, metal.turning_speed)
                self.assertTrue(0.03 <= metal.blank_fraction <= 0.2)
                self.assertTrue(metal.lubricant)


class Size(unittest.TestCase):
    def test_every_thread_of_the_library_sizes(self) -> None:
        for thread in library():
            found = size_of(thread)
            self.assertEqual(len(found.blanks), len(SCHOOLS) if thread in PARALLEL else 0, thread.designation)
            for drill in found.drills:
                self.assertTrue(55 <= drill.percent <= (98 if thread.family == "bsp" else 82), thread.designation)
                self.assertTrue(thread.minor * 0.9 < drill.diameter < thread.major, thread.designation)

    def test_by_what_was_typed(self) -> None:
        self.assertEqual(size("m8x1").thread.designation, "M8x1")


class OwnBlank(unittest.TestCase):
    """The program's own blank never leaves the class it names; one that was asked for is as it was asked for."""

    def test_every_thread_in_every_metal(self) -> None:
        for thread in library():
            for name in external_classes(thread):
                limits = external_limits(thread, name)
                if limits is None:
                    continue
                for metal in materials().values():
                    own = blank_choices(thread, limits.major, metal.blank_fraction)
                    choice = next(one for one in own if one.school == "pitch-fraction")
                    self.assertTrue(choice.within_class, f"{thread.designation} {name} in {metal.name}")

    def test_mild_steel_bsw_from_seven_eighths(self) -> None:
        """1 BSW, 8 per inch, in mild steel: 1 - 0.1/8 = 0.9875, under the smallest crest of class medium (BS 84):
        brought up to it, and said; asked for, it stays where it was asked for."""
        thread = read_designation("1 BSW")
        limits = external_limits(thread, "medium")
        assert limits is not None
        own, asked = (
            next(c for c in blank_choices(thread, limits.major, 0.1, asked=typed) if c.school == "pitch-fraction")
            for typed in (False, True)
        )
        self.assertAlmostEqual(asked.diameter.value, 1 - 0.1 / 8, places=4)
        self.assertFalse(asked.within_class)
        self.assertEqual(own.diameter.value, limits.major.minimum)
        self.assertIn("minimum crest)", own.diameter.formula)

    def test_as_large_as_the_mate_takes(self) -> None:
        """3/8-16 2A: the greatest crest is 0.3750 - 0.0013 = 0.3737 (ASME B1.1)."""
        thread = read_designation("3/8-16")
        limits = external_limits(thread, "2A")
        assert limits is not None
        largest = next(c for c in blank_choices(thread, limits.major) if c.school == "mate-takes")
        self.assertEqual((largest.diameter.value, largest.within_class), (0.3737, True))


class LeadChamfer(unittest.TestCase):
    def test_under_the_root_of_every_thread(self) -> None:
        """Rounded roots of 60 degree threads lie 1.2269 P in (ISO 724); a lead chamfer begins below them."""
        for thread in library():
            if thread.family in ("unified", "metric"):
                root = thread.major - 1.226869 * thread.pitch
                self.assertLess(chamfer_diameter(thread).value, root, thread.designation)
                self.assertGreater(chamfer_diameter(thread).value, root - 0.1 * thread.pitch, thread.designation)

    def test_a_typed_one_counts(self) -> None:
        """1/32 each way on a blank of 0.3688: down to 0.3063; too deep a one is refused."""
        made = plan({"part.sections.0.chamfer": "1/32"})
        self.assertAlmostEqual(step(made, "chamfer").figures["diameter"].value, 0.3688 - 2 / 32, places=4)
        with self.assertRaises(InvalidDocument) as caught:
            plan({"part.sections.0.chamfer": "1/8"})
        self.assertEqual(caught.exception.errors[0].field, "part.sections.0.chamfer")
