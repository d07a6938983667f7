"""Cutting a thread single point: published depths, change gears worked by hand, the thread dial's printed rules.

Depths are those of handbook tables; no plate of a lathe is named: the rows are worked through here from the teeth.
"""

from __future__ import annotations

import math
import unittest
from fractions import Fraction
from itertools import permutations

from hypothesis import given
from hypothesis import strategies as st

from lathework.methods.gearbox import settings
from lathework.methods.gears import Train, as_pitch_diameter, meshes, trains
from lathework.methods.infeed import along_compound, compound_angle, pass_depths
from lathework.methods.thread_dial import nut_times
from lathework.methods.tool_form import thread_depth
from lathework.shop.kit_choices import Point
from lathework.shop.leadscrew import read_lead
from lathework.threads.designation import read_designation
from tests.validation.published import PublishedCase

INCH = Fraction(254, 10)
#: Machinery handbooks, "single depth" of the American National form, 0.6495 P, flat P/8: thread, depth in inches.
SIXTY = (("1/4-20", "0.0325"), ("5/16-18", "0.0361"), ("3/8-16", "0.0406"), ("1/2-13", "0.0500"), ("1-8", "0.0812"))
#: Height of an internal thread, 5/8 H = 0.541266 P (ASME B1.1, basic profile): thread, height in inches.
SIXTY_INSIDE = (("1/4-20", "0.0271"), ("3/8-16", "0.0338"), ("1/2-13", "0.0416"), ("1-8", "0.0677"))
#: BS 84, depth of the Whitworth form: thread, depth in inches to four decimals.
FIFTY_FIVE = (("1/4 BSW", "0.0320"), ("3/8 BSW", "0.0400"), ("1/2 BSW", "0.0534"), ("1 BSW", "0.0800"))
#: Change gears worked by hand: leadscrew (turns to the inch), threads to the inch, drivers, driven.
PLATES: tuple[tuple[int, float, tuple[int, ...], tuple[int, ...]], ...] = (
    (8, 9, (40,), (45,)),
    (8, 11, (40,), (55,)),
    (8, 13, (40,), (65,)),
    (8, 20, (30,), (75,)),
    (8, 26, (20,), (65,)),
    (8, 32, (20,), (80,)),
    (8, 40, (20, 30), (50, 60)),
    (4, 10, (20,), (50,)),
    (4, 11.5, (40,), (115,)),
    (4, 18, (20, 30), (45, 60)),
    (16, 13, (40, 60), (65, 30)),
)
#: The same on a leadscrew of 3 mm: pitch in mm, drivers, driven.
METRIC_PLATE: tuple[tuple[str, tuple[int, ...], tuple[int, ...]], ...] = (
    ("1.5", (30,), (60,)),
    ("1.25", (25,), (60,)),
    ("1", (20,), (60,)),
    ("0.75", (20,), (80,)),
    ("0.5", (20, 30), (60, 60)),
    ("1.75", (35,), (60,)),
)


class Depths(PublishedCase):
    def depth(self, name: str, point: Point, tip_in_pitches: float) -> float:
        thread = read_designation(name)
        tip = tip_in_pitches * thread.pitch
        pitch_diameter = thread.major - float(thread.form.pitch_on_diameter) * thread.pitch
        return thread_depth(thread, blank=thread.major, pitch_diameter=pitch_diameter, point=point, tip=tip).value

    def test_sixty_degrees(self) -> None:
        for name, printed in SIXTY:
            by_hand = 0.649519 * read_designation(name).pitch
            self.compare(name, printed=printed, by_hand=by_hand, ours=self.depth(name, "flat", 1 / 8))

    def test_fifty_five_degrees(self) -> None:
        """A rounded tool of the form's own root, and a full form, go as deep as the form is."""
        for name, printed in FIFTY_FIVE:
            by_hand = 0.640327 * read_designation(name).pitch
            self.compare(name, printed=printed, by_hand=by_hand, ours=self.depth(name, "radius", 0.137329))
            self.compare(name, printed=printed, by_hand=by_hand, ours=self.depth(name, "full-form", 0))

    def test_inside_sixty_degrees(self) -> None:
        """Out of the basic minor diameter with the flat of the profile's crest, P/8."""
        for name, printed in SIXTY_INSIDE:
            thread = read_designation(name)
            ours = thread_depth(
                thread,
                blank=thread.major - 1.082532 * thread.pitch,
                pitch_diameter=thread.pitch_diameter,
                point="flat",
                tip=thread.pitch / 8,
                inside=True,
            )
            self.compare(name, printed=printed, by_hand=5 / 8 * math.sqrt(3) / 2 * thread.pitch, ours=ours.value)

    def test_a_sharp_point_goes_deeper(self) -> None:
        """To the same flanks: (0.649519/2 + 1/(4 tan 30)) P = 0.7578 P."""
        self.assertAlmostEqual(self.depth("1/2-13", "sharp", 0) * 13, 0.7578, places=4)

    @given(
        name=st.sampled_from(["1/2-13", "M10", "1/2 BSW", "0 BA", "M3"]),
        point=st.sampled_from(["flat", "sharp", "radius"]),
        share=st.floats(0, 0.12),
        under=st.floats(-0.1, 0.1),
        inside=st.booleans(),
    )
    def test_the_groove_is_half_a_pitch_wide_at_the_pitch_diameter(
        self, name: str, point: Point, share: float, under: float, inside: bool
    ) -> None:
        """A tool is driven in by the depth told, from a blank or out of a bore; where its groove is half a pitch wide
        lies the pitch diameter."""
        thread = read_designation(name)
        half, tip = math.radians(thread.form.angle_deg / 2), share * thread.pitch
        wanted = thread.pitch_diameter
        blank = (thread.minor if inside else thread.major) - under * thread.pitch
        deep = thread_depth(thread, blank=blank, pitch_diameter=wanted, point=point, tip=tip, inside=inside).value

        def width(above: float) -> float:
            """Of the groove, so far above its bottom."""
            if point != "radius":
                return (tip if point == "flat" else 0.0) + 2 * above * math.tan(half)
            touch = tip * (1 - math.sin(half))
            if above <= touch:
                return 2 * math.sqrt(max(0.0, tip**2 - (tip - above) ** 2))
            return 2 * (tip * math.cos(half) + (above - touch) * math.tan(half))

        low, high = 0.0, 2 * thread.pitch
        for _ in range(80):
            middle = (low + high) / 2
            low, high = (middle, high) if width(middle) < thread.pitch / 2 else (low, middle)
        self.assertAlmostEqual(blank + (2 if inside else -2) * (deep - low), wanted, places=6)


class Infeed(unittest.TestCase):
    def test_the_compound(self) -> None:
        """Practice: 29.5 degrees for 60, 27 for 55. 13 to the inch: 0.0500 / cos 29.5 = 0.0574."""
        deep = thread_depth(
            read_designation("1/2-13"), blank=0.5, pitch_diameter=0.5 - 0.649519 / 13, point="flat", tip=1 / 104
        )
        self.assertEqual((compound_angle(60).value, compound_angle(55).value), (29.5, 27.0))
        self.assertAlmostEqual(along_compound(deep, 29.5).value, 0.0574, places=4)

    @given(depth=st.floats(0.05, 4), first=st.floats(0.05, 0.5))
    def test_passes_sum_to_the_depth(self, depth: float, first: float) -> None:
        """They grow, none goes in further than the first may, and while they are not thin each takes the same area."""
        depths = pass_depths(depth, first)
        self.assertAlmostEqual(depths[-1], depth, places=6)
        steps = [b - a for a, b in zip((0.0, *depths), depths, strict=False)]
        self.assertTrue(all(step > 0 for step in steps))
        self.assertLessEqual(max(steps), first + 1e-6)
        squares = [b**2 - a**2 for a, b in zip((0.0, *depths), depths, strict=False)]
        by_area = [square for square in squares if abs(square - squares[0]) < 1e-5]
        # From where they no longer do, each goes in alike: the rest is shared out evenly.
        rest = steps[len(by_area) :]
        self.assertTrue(all(abs(step - rest[0]) < 2e-6 for step in rest))


class Gears(unittest.TestCase):
    def cuts(self, train: Train, leadscrew: Fraction) -> Fraction:
        """What a train cuts, from its teeth alone."""
        drivers, driven = Fraction(math.prod(train.drivers)), Fraction(math.prod(train.driven))
        return leadscrew * drivers / driven

    def test_inch_plates(self) -> None:
        for per_inch, threads, drivers, driven in PLATES:
            by_hand = per_inch * math.prod(driven) / math.prod(drivers)
            self.assertAlmostEqual(by_hand, threads)
            lead, screw = INCH / Fraction(str(threads)), INCH / per_inch
            best = trains(lead, screw, (*drivers, *driven))[0]
            self.assertEqual(self.cuts(best, screw), lead, f"{threads} on {per_inch}")
            self.assertEqual(best.off, 0)

    def test_a_metric_plate(self) -> None:
        for pitch, drivers, driven in METRIC_PLATE:
            by_hand = Fraction(3) * Fraction(math.prod(drivers), math.prod(driven))
            self.assertEqual(by_hand, Fraction(pitch))
            self.assertEqual(trains(Fraction(pitch), Fraction(3), (*drivers, *driven))[0].off, 0)

    def test_metric_on_an_inch_screw(self) -> None:
        """127 is exact. 63/160 for 50/127 is 0.125 per mille long, 37/94 is 0.213 short: worked from 25.4."""
        pitch, screw = Fraction("1.25"), INCH / 8
        self.assertEqual(pitch / screw, Fraction(50, 127))
        for wheels, per_mille in (((50, 127), 0.0), ((63, 160), 0.125), ((37, 94), -0.213)):
            by_hand = 1000 * (wheels[0] / wheels[1] * 127 / 50 - 1)
            self.assertAlmostEqual(by_hand, per_mille, places=3)
            self.assertAlmostEqual(float(1000 * trains(pitch, screw, wheels)[0].off), per_mille, places=3)

    def test_a_near_miss_is_told(self) -> None:
        """24 to the inch is no 1 mm: 25.4/24 = 1.0583, 58 per mille off, and so no train for it."""
        self.assertEqual(trains(Fraction(1), INCH / 8, (20, 60)), ())

    def test_an_error_of_lead_as_pitch_diameter(self) -> None:
        """1.732 times it for 60 degrees, 1.921 for 55: the factors printed beside tables of tolerances."""
        self.assertAlmostEqual(as_pitch_diameter(0.01, 60).value, 0.01732, places=5)
        self.assertAlmostEqual(as_pitch_diameter(-0.01, 55).value, 0.01921, places=5)

    @given(
        owned=st.lists(st.integers(18, 127), min_size=2, max_size=14),
        threads=st.integers(6, 60),
        per_inch=st.sampled_from([4, 6, 8, 10, 16]),
    )
    def test_every_train(self, owned: list[int], threads: int, per_inch: int) -> None:
        """It cuts what it says by the product of its teeth, uses each wheel once, and those that mesh clear a shaft."""
        lead, screw = INCH / threads, INCH / per_inch
        found = trains(lead, screw, owned)
        for train in found:
            self.assertEqual(self.cuts(train, screw) / lead - 1, train.off)
            left = list(owned)
            for wheel in train.wheels:
                self.assertIn(wheel, left)
                left.remove(wheel)
            for at in range(len(train.drivers) - 1):
                first, second = train.drivers[at] + train.driven[at], train.drivers[at + 1] + train.driven[at + 1]
                clear = first > train.drivers[at + 1] and second > train.driven[at]
                self.assertTrue(clear or not train.meshes, "a wheel runs into a shaft")
        two = [Fraction(a, b) for i, a in enumerate(owned) for j, b in enumerate(owned) if i != j and a != b]
        if lead / screw in two:
            self.assertEqual(found[0].off, 0)

    @given(
        owned=st.lists(st.sampled_from([20, 25, 30, 40, 45, 50, 60, 65, 80, 100, 127]), min_size=2, max_size=6),
        threads=st.sampled_from([5, 8, 10, 11, 12, 13, 16, 20, 26, 32, 40]),
        per_inch=st.sampled_from([4, 8, 16]),
    )
    def test_none_better_is_missed(self, owned: list[int], threads: int, per_inch: int) -> None:
        """Every order of the wheels tried one by one: of those that clear the shafts and are within a fiftieth of a
        millimetre over 100, the first told has the fewest wheels, and of as many none is nearer."""
        lead, screw = INCH / threads, INCH / per_inch
        good: list[tuple[int, Fraction]] = []
        for count in range(2, min(len(owned), 6) + 1, 2):
            for wheels in permutations(owned, count):
                drivers, driven = wheels[::2], wheels[1::2]
                if (count > 2 and set(drivers) & set(driven)) or not meshes(drivers, driven):
                    continue
                off = abs(screw * math.prod(drivers) / (lead * math.prod(driven)) - 1)
                if off <= Fraction(1, 5000):
                    good.append((count, off))
        found = trains(lead, screw, owned)
        if good:
            self.assertTrue(found[0].meshes)
            self.assertEqual((len(found[0].wheels), abs(found[0].off)), min(good))
        elif found and found[0].meshes:
            self.assertGreater(abs(found[0].off), Fraction(1, 5000))

    def test_a_gearbox_and_its_wheels(self) -> None:
        """A metric lead through an inch box: 25.4/8 x 50/127 is 1.25 mm exactly, so 50 drives 127 at 8 tpi; so it is
        with 63 and 127 and another pair for 5.25 mm. What the box has needs no wheels."""
        box = tuple(read_lead(f"{count} tpi") for count in (4, 6, 8, 10, 12, 16, 20))
        first = settings(Fraction(5, 4), INCH / 8, box, (50, 127, 40, 63, 20))[0]
        assert first.box is not None and first.train is not None
        self.assertEqual(
            first.box.mm * Fraction(math.prod(first.train.drivers), math.prod(first.train.driven)), Fraction(5, 4)
        )
        coarse = settings(Fraction(21, 4), INCH / 8, box, (50, 127, 40, 63, 20))[0]
        self.assertEqual((coarse.off, coarse.cuts(INCH / 8)), (0, Fraction(21, 4)))
        self.assertEqual(len(coarse.train.wheels if coarse.train else ()), 4)
        alone = settings(INCH / 12, INCH / 8, box, (50, 127))[0]
        self.assertEqual((alone.train, alone.off), (None, 0))

    @given(
        owned=st.lists(st.sampled_from([20, 30, 40, 50, 60, 63, 80, 127]), min_size=2, max_size=5),
        counts=st.lists(st.sampled_from([4, 6, 8, 9, 10, 11, 12, 13, 16, 20, 24]), min_size=1, max_size=5, unique=True),
        wanted=st.sampled_from([Fraction(1), Fraction(5, 4), Fraction(3, 2), Fraction(21, 4), INCH / 13, INCH / 11]),
    )
    def test_none_better_is_missed_with_a_box(self, owned: list[int], counts: list[int], wanted: Fraction) -> None:
        """Every setting with every order of two or four wheels tried one by one: what is told first is as good as any
        that clears the shafts, and has no more wheels."""
        box = tuple(read_lead(f"{count} tpi") for count in counts)
        good: list[tuple[int, Fraction]] = []
        for count in counts:
            if INCH / count == wanted:
                good.append((0, Fraction(0)))
            for many in (2, 4):
                for wheels in permutations(owned, many) if len(owned) >= many else ():
                    drivers, driven = wheels[::2], wheels[1::2]
                    if (many > 2 and set(drivers) & set(driven)) or not meshes(drivers, driven):
                        continue
                    off = abs(INCH / count * math.prod(drivers) / (wanted * math.prod(driven)) - 1)
                    if off <= Fraction(1, 5000):
                        good.append((many, off))
        found = settings(wanted, INCH / 8, box, tuple(owned))
        if good:
            first = found[0]
            self.assertTrue(first.meshes)
            self.assertEqual((len(first.train.wheels) if first.train else 0, abs(first.off)), min(good))

    def test_one_to_one(self) -> None:
        """8 to the inch on a screw of 8 to the inch: a wheel drives one of its own size, with any idler between."""
        found = trains(INCH / 8, INCH / 8, (40, 40, 60, 127))
        self.assertEqual((found[0].drivers, found[0].driven, found[0].off), ((40,), (40,), 0))

    def test_four_wheels_before_six_that_are_a_hair_nearer(self) -> None:
        """1 mm on 8 to the inch without a wheel of 127: 63 x 20 over 40 x 100 is 0.0125 per cent off, and six wheels
        come after it."""
        owned = (20, 30, 40, 50, 60, 63, 65, 70, 75, 80, 100, 45, 55)
        found = trains(Fraction(1), INCH / 8, owned)
        off = [abs(train.off) for train in found if train.meshes]
        self.assertLessEqual(off[0], Fraction(1, 5000))
        self.assertEqual(len(found[0].wheels), 4)

    def test_what_meshes(self) -> None:
        self.assertTrue(meshes((40, 60), (65, 30)))
        self.assertFalse(meshes((20, 100), (25, 50)))


class Dial(unittest.TestCase):
    """Printed rules of a dial of eight lines that turns once in four inches: even threads close anywhere, odd ones at
    every other line, halves at every fourth, quarters at one line."""

    SCREW, TEETH, MARKS = INCH / 8, 32, 8

    def lines(self, threads: str) -> int:
        lead = INCH / Fraction(threads)
        return len(nut_times(lead, self.SCREW, teeth=self.TEETH, marks=self.MARKS).lines)

    def test_the_rules(self) -> None:
        for threads, lines in (("8", 8), ("10", 8), ("14", 8), ("11", 4), ("13", 4), ("23/2", 2), ("45/4", 1)):
            with self.subTest(threads=threads):
                self.assertEqual(self.lines(threads), lines)

    def test_one_line(self) -> None:
        """13 to the inch on 16 to the inch: they meet again after an inch, 16 turns of the screw."""
        told = nut_times(INCH / 13, INCH / 16, teeth=16, marks=4)
        self.assertEqual((told.every, told.lines), (16, (1,)))

    def test_metric_on_an_inch_screw_stays_closed(self) -> None:
        """1.5 mm and 1/8 in meet after 1.5 x 127 = 190.5 mm, 60 turns: no dial of 32 teeth shows that."""
        told = nut_times(Fraction("1.5"), INCH / 8, teeth=32, marks=8)
        self.assertEqual((told.every, told.lines), (60, ()))
        self.assertIn("Keep the half nuts closed", told.words)
        self.assertFalse(told.opens)

    def test_the_rules_in_words(self) -> None:
        """Eight lines: odd threads at every other one, halves at one in four, quarters always at the same."""
        for threads, words in (("11", "every other line"), ("23/2", "one line in 4"), ("45/4", "always the same")):
            told = nut_times(INCH / Fraction(threads), self.SCREW, teeth=self.TEETH, marks=self.MARKS)
            self.assertIn(words, told.words)

    @given(threads=st.integers(4, 60), per_inch=st.sampled_from([4, 6, 8, 10]), marks=st.sampled_from([1, 4, 8]))
    def test_every_line_told_finds_the_thread(self, threads: int, per_inch: int, marks: int) -> None:
        lead, screw = INCH / threads, INCH / per_inch
        for line in nut_times(lead, screw, teeth=32, marks=marks).lines:
            turns = Fraction(32 * (line - 1), marks)
            self.assertEqual(turns.denominator, 1, "the nuts close on whole turns of the screw")
            self.assertEqual((turns * screw / lead).denominator, 1, "the tool meets its thread")
