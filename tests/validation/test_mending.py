"""Taper pipe holes, insert taps, nuts, chased threads and stud repairs: printed tables and numbers worked by hand.

Taper minors and drills are those ASME B1.20.1 and machinery handbooks print; insert holes those of ASME B18.29.1 and
DIN 8140; nuts those of ISO 4032 as an outside library's table has them.
"""

from __future__ import annotations

import unittest
from fractions import Fraction
from itertools import pairwise

from hypothesis import given
from hypothesis import strategies as st

from lathework.answers.book.hole import AskedHole, hole
from lathework.answers.book.pipe_hole import pipe_hole
from lathework.errors import InputError
from lathework.holes.mending import insert_hole, insert_tap, mends
from lathework.holes.taper_pipe import minor_at, taper_hole
from lathework.job.document import read_document
from lathework.job.repair import AskedRepair, StudRepair, stud_repair
from lathework.methods.chase import infeed_diameters
from lathework.part.nuts import nut_sizes
from lathework.planning.plan import make_plans
from lathework.shop.racks import owned
from lathework.tables.drills import all_drills
from lathework.tests.samples import STUD, kinds, step
from lathework.threads.designation import read_designation
from lathework.threads.taper import taper_lengths
from lathework.units import convert
from tests.validation.reference import reference_rows

#: NPT: size, minor at the small end K0 (ASME B1.20.1), drill before a taper reamer, drill without one (handbook).
NPT = (
    ("1/8-27", 0.33388, "21/64", "11/32"),
    ("1/4-18", 0.43294, "27/64", "7/16"),
    ("3/8-18", 0.56757, "9/16", "37/64"),
    ("1/2-14", 0.70129, "11/16", "23/32"),
    ("3/4-14", 0.91054, "57/64", "59/64"),
    ("1-11.5", 1.14407, "9/8", "37/32"),
)
#: Rc: size, drill before a taper reamer, drill without one (millimetres, as drill charts for ISO 7-1 print them).
RC = (("1/8", 8.15, 8.55), ("1/4", 10.8, 11.4), ("3/8", 14.3, 14.9), ("1/2", 17.8, 18.6), ("3/4", 23.2, 24.1))
#: Insert taps: thread, basic major and minor of the tapped hole (ASME B18.29.1 in inches, DIN 8140 in millimetres).
INSERTS = (
    ("1/4-20", 0.3150, 0.2608),
    ("3/8-16", 0.4562, 0.3885),
    ("1/2-13", 0.5999, 0.5167),
    ("M6", 7.299, 6.217),
    ("M8", 9.624, 8.271),
    ("M10", 11.949, 10.325),
    ("M12", 14.273, 12.379),
)
#: Unified hexagon nuts: size, width across the flats and greatest thickness (ASME B18.2.2, as handbooks print them).
NUTS = (("1/4-20", "7/16", 0.226), ("3/8-16", "9/16", 0.337), ("1/2-13", "3/4", 0.448), ("3/4-10", "9/8", 0.665))


#: Machinists' pocket books, spanner sizes of BSW, BSF and BA nuts: across flats now, and before (inches).
BRITISH_NUTS: tuple[tuple[str, float, list[float]], ...] = (
    ("1/4 BSW", 0.445, [0.525]),
    ("3/8 BSW", 0.6, [0.71]),
    ("1/2 BSF", 0.82, []),
    ("3/4 BSW", 1.2, [1.3]),
    ("5/16 BSF", 0.525, []),
    ("0 BA", 0.413, []),
    ("2 BA", 0.324, []),
    ("6 BA", 0.193, []),
)


class TaperHoles(unittest.TestCase):
    def test_minors_and_drills_of_american_pipe(self) -> None:
        """K0 lies the gauge length behind the mouth; printed drills lie within a 64th under our limits."""
        for size, small_end, reamed, plain in NPT:
            thread = read_designation(f"{size} NPT")
            lengths, found = taper_lengths(thread), taper_hole(thread, all_drills())
            assert lengths is not None and found is not None
            with self.subTest(size):
                at_small_end = minor_at(thread, lengths.gauge_length.value).value
                self.assertAlmostEqual(at_small_end, small_end, delta=0.0002)
                self.assertAlmostEqual(found.deep.value, float(Fraction(reamed)), delta=1 / 64)
                self.assertLess(float(Fraction(plain)), found.mouth.value + 0.0005)
                self.assertAlmostEqual(found.mouth.value, float(Fraction(plain)), delta=1 / 64)

    def test_drills_of_sealing_pipe(self) -> None:
        for size, reamed, plain in RC:
            found = taper_hole(read_designation(f"Rc{size}"), all_drills())
            assert found is not None and found.reamed is not None and found.plain is not None
            with self.subTest(size):
                # The rack's steps grow to a quarter of a millimetre over 14 mm: the largest that is no larger.
                for ours, printed in ((found.reamed.diameter_mm, reamed), (found.plain.diameter_mm, plain)):
                    self.assertLessEqual(abs(ours - printed), 0.1 if printed <= 14 else 0.25)

    def test_the_gauge(self) -> None:
        """Rc1/2: 8.2 mm, 4.5 turns of 25.4/14; American pipe stands within a turn of flush."""
        found = pipe_hole("Rc1/2").hole
        self.assertAlmostEqual(found.turns.value, 8.2 * 14 / 25.4, places=3)
        self.assertAlmostEqual(pipe_hole("1/2-14 NPT").hole.give.value, 1 / 14, places=4)

    def test_what_is_no_taper_hole_is_told(self) -> None:
        for text in ("R1/2", "G1/2", "M10"):
            with self.subTest(text), self.assertRaises(InputError) as told:
                pipe_hole(text)
            self.assertEqual(told.exception.field, "designation")


class Stripped(unittest.TestCase):
    def test_insert_taps(self) -> None:
        for name, major, minor in INSERTS:
            thread = read_designation(name)
            digits = 4 if thread.unit == "in" else 3
            with self.subTest(name):
                self.assertAlmostEqual(insert_tap(thread).value, major, delta=0.6 * 10**-digits)
                self.assertAlmostEqual(insert_hole(thread).value, minor, delta=0.6 * 10**-digits)

    def test_ways_to_mend(self) -> None:
        """M10: next M12, drilled 10.2, takes the old thread whole; a bush needs M16, 13.835 inside over 1.3 x 10."""
        found = {mend.code: mend for mend in mends(read_designation("M10"), all_drills())}
        self.assertEqual([found[code].tapped for code in ("next-size", "stepped-stud", "bush")], ["M12", "M12", "M16"])
        self.assertAlmostEqual(found["next-size"].needs.value, 12 * 1.3)
        # No insert is made for 55 and 47.5 degree threads; the next BSW after 1/2 is 5/8 (9/16 is drilled 15/32).
        whitworth = {mend.code: mend.tapped for mend in mends(read_designation("1/2 BSW"), all_drills())}
        self.assertNotIn("insert", whitworth)
        self.assertEqual(whitworth["next-size"], "5/8 BSW")

    def test_a_poor_rack_still_says_what_to_tap(self) -> None:
        """A lone 9 mm drill makes neither M12 nor M16: both are offered, to be bored."""
        found = {mend.code: mend for mend in mends(read_designation("M10"), owned("9 mm", "mm"))}
        self.assertEqual(
            [(found[c].tapped, found[c].drill) for c in ("next-size", "bush")], [("M12", None), ("M16", None)]
        )

    def test_a_mend_clears_the_old_thread_and_is_owned(self) -> None:
        rack = all_drills()
        for name in ("M4", "M6", "M12", "1/4-20", "5/16-24", "3/8 BSF", "2 BA", "G1/8"):
            old = read_designation(name)
            for mend in mends(old, rack):
                with self.subTest(name=name, mend=mend.code):
                    self.assertIn(mend.drill, rack)
                    assert mend.drill is not None
                    self.assertGreaterEqual(mend.drill.diameter_mm, 0.97 * old.major_mm)
                    self.assertGreater(mend.needs.value, mend.major.value)


class ThinMetal(unittest.TestCase):
    def test_two_turns_of_m6(self) -> None:
        """2 mm of sheet: 2 turns of M6, 2.67 of M6x0.75; it holds 2 / the engagement that breaks the screw."""
        found = hole("M6", asked=AskedHole(through="2"))
        assert found.thin is not None
        self.assertAlmostEqual(found.thin.turns.value, 2.0)
        self.assertAlmostEqual(found.thin.holds.value, 200 / found.strip.engagement.value, places=6)
        self.assertIn("M6x0.75 puts 2.7 turns in it.", found.thin.advice)
        self.assertIn("Too thin to tap", " ".join(hole("M10", asked=AskedHole(through="2")).thin.advice))  # type: ignore[union-attr]
        thick = hole("M6", asked=AskedHole(through="12")).thin
        assert thick is not None
        self.assertEqual((thick.holds.value, thick.advice), (100.0, ()))


class Nuts(unittest.TestCase):
    def test_metric_nuts_are_those_of_the_outside_table(self) -> None:
        compared = 0
        for row in reference_rows("hex_nut_parameters.csv"):
            name = row["Size"].split("-")[0]
            if name not in {f"M{size}" for size in (3, 4, 5, 6, 8, 10, 12, 16, 20, 24)} or not row["iso4032:s"]:
                continue
            across, height = nut_sizes(read_designation(name))
            compared += 1
            with self.subTest(name):
                self.assertAlmostEqual(across.value, float(row["iso4032:s"]))
                self.assertAlmostEqual(height.value, float(row["iso4032:m"]))
        self.assertGreaterEqual(compared, 10)

    def test_unified_nuts(self) -> None:
        for name, across, thickest in NUTS:
            flats, height = nut_sizes(read_designation(name))
            with self.subTest(name):
                self.assertAlmostEqual(flats.value, float(Fraction(across)))
                self.assertTrue(thickest - 0.03 < height.value <= thickest)

    def test_british_hexagons(self) -> None:
        """A spanner marked 1/4 W fits .525, one of 1/4 BSF .445: the later hexagon is that of one size down."""
        for name, across, older in BRITISH_NUTS:
            flats, height = nut_sizes(read_designation(name))
            thread = read_designation(name)
            with self.subTest(name):
                self.assertAlmostEqual(convert(flats.value, thread.unit, "in"), across, places=6)
                self.assertEqual([round(convert(other.value, thread.unit, "in"), 4) for other in flats.others], older)
                self.assertAlmostEqual(height.value, 0.9 * thread.major)

    def test_each_hexagon_is_the_older_one_of_a_size_less(self) -> None:
        """The older hexagon of a size is the later one of the next: a neighbour's check of each row."""
        sizes = ("1/4", "5/16", "3/8", "7/16", "1/2", "9/16", "5/8")
        for size, after in pairwise(sizes):
            older = nut_sizes(read_designation(f"{size} BSW"))[0].others[0].value
            self.assertAlmostEqual(older, nut_sizes(read_designation(f"{after} BSW"))[0].value, places=6)

    def test_ba_hexagons_are_in_proportion(self) -> None:
        """Across the flats about 1.75 of the diameter, at every BA size: within 4 per cent."""
        for size in (0, 1, 2, 3, 4, 5, 6, 7, 8, 10):
            thread = read_designation(f"{size} BA")
            self.assertAlmostEqual(nut_sizes(thread)[0].value / thread.major, 1.75, delta=0.07, msg=str(size))

    def test_other_threads_by_rule(self) -> None:
        """1/4 by 40 of the model engineers: 1.5 x 1/4 = 3/8, sixteenths already; 0.9 x 1/4 high."""
        self.assertEqual([figure.value for figure in nut_sizes(read_designation("1/4-40 ME"))], [0.375, 0.225])


class Chasing(unittest.TestCase):
    @given(st.floats(5, 60), st.floats(0.3, 4.0))
    def test_equal_areas_down_to_the_major(self, bore: float, depth: float) -> None:
        """A triangle's area goes with the square of its depth: each pass adds the same square."""
        sizes = infeed_diameters(bore, bore + 2 * depth)
        self.assertAlmostEqual(sizes[-1], bore + 2 * depth, places=5)
        squares = [0.0, *(((size - bore) / 2) ** 2 for size in sizes)]
        steps = [after - before for before, after in pairwise(squares)]
        self.assertAlmostEqual(max(steps), min(steps), places=4)


def repair(**asked: str) -> StudRepair:
    given_ = {"across": "1-1/4", "thread": "1/2 BSF", **asked}
    blades = {"groove_blade": "3 mm", "parting_blade": "3 mm"}
    return stud_repair(AskedRepair(**given_), STUD["method"], STUD["setup"] | blades)


class StudRepairs(unittest.TestCase):
    def figures(self, **asked: str) -> dict[str, float]:
        return {figure.name: figure.value for figure in repair(**asked).figures}

    def test_the_stack_by_hand(self) -> None:
        """1/2 BSF, 16 tpi: in 1/2; clamped 7/8, washer 3/32, nut 0.45, out 2/16: 2.04375. Thread in the hole 5/8."""
        found = self.figures(clamped="7/8", washer="3/32")
        self.assertAlmostEqual(found["stud screwed in"], 0.5)
        self.assertAlmostEqual(found["full thread in the hole"], 0.625)
        self.assertAlmostEqual(found["length of the stud"], 0.5 + 0.875 + 0.09375 + 0.45 + 0.125)
        self.assertAlmostEqual(found["thread at the nut's end"], 0.09375 + 0.45 + 0.125 + 3 / 16)

    def test_weak_metal_wants_more_of_it(self) -> None:
        """A stud of alloy steel (850 N/mm2) in aluminium (290) is screwed in further than one diameter."""
        weak = self.figures(metal="aluminium", stud_metal="alloy-steel")["stud screwed in"]
        self.assertGreater(weak, 0.5)
        # Alloy steel in plastic: 2.5 diameters, and it is said that the part is the weaker.
        plastic = repair(metal="plastic", stud_metal="alloy-steel").figures[0]
        self.assertAlmostEqual(plastic.value, 1.25)
        self.assertIn("weaker than the stud", plastic.note)
        typed = repair(metal="aluminium", stud_metal="alloy-steel", engaged="1/2").figures[0]
        self.assertEqual(typed.value, 0.5)
        self.assertIn("a thread may strip", typed.note)

    def test_one_job_three_parts(self) -> None:
        made = read_document(repair(clamped="7/8", washer="3/32").document)
        plans = {plan.job.part.name: plan for plan in make_plans(made)}
        self.assertEqual(list(plans), ["body", "nut", "stud"])
        keys = {name: kinds(plan) for name, plan in plans.items()}
        self.assertEqual(keys["body"], ["saw", "face", "spot", "pilot", "drill", "countersink", "tap", "try"])
        self.assertEqual(len(plans["stud"].chuckings), 2)
        self.assertEqual(keys["stud"][-1], "fit")
        self.assertIn("Put retaining compound on the body end", plans["stud"].operations[-1].sentence)
        nut = plans["nut"].job.part
        self.assertAlmostEqual(nut.overall_mm, 0.45 * 25.4, places=3)
        # Down to the flats of 1/2 BSF, 0.820: (0.82 / cos 30 - 0.82) / 2 = 0.06343 in.
        corners = nut.sections[0].chamfer
        self.assertAlmostEqual(corners.mm if corners else 0.0, 0.06343 * 25.4, places=2)
        tried = step(plans["nut"], "try")
        self.assertIn("try the stud, or a sound screw", tried.sentence if tried else "")

    def test_a_short_stud_is_threaded_from_end_to_end(self) -> None:
        part = read_document(repair().document).others[1].part
        self.assertEqual([section.shape for section in part.sections], ["thread"])

    @given(
        st.sampled_from(["M8", "M12", "3/8-16", "1/2 BSF", "1/4 BSW", "0 BA"]),
        st.sampled_from(["mild-steel", "aluminium", "brass", "cast-iron"]),
        st.floats(0, 60),
        st.floats(0, 6),
        st.sampled_from(["in", "mm"]),
    )
    def test_every_repair_can_be_planned(
        self, thread: str, metal: str, clamped: float, washer: float, unit: str
    ) -> None:
        """Whatever is typed, the three parts read and plan, and the stud is as long as what it passes through."""
        found = repair(
            unit=unit,
            thread=thread,
            metal=metal,
            across="50 mm",
            clamped=f"{clamped:.2f} mm",
            washer=f"{washer:.2f} mm",
        )
        job = read_document(found.document)
        plans = make_plans(job)
        length = next(f for f in found.figures if f.name == "length of the stud")
        self.assertAlmostEqual(sum(one.value for one in length.inputs), length.value)
        thread_mm = 25.4 if found.thread.unit == "in" else 1.0
        self.assertAlmostEqual(plans[2].job.part.overall_mm, length.value * thread_mm, delta=0.01)

    def test_wrong_input_names_its_field(self) -> None:
        for field, typed in (
            ("across", ""),
            ("across", "thick"),
            ("thread", "bolt"),
            ("thread", "Rc1/2"),
            ("thread", "M12-6g"),
            ("metal", "wood"),
            ("clamped", "-1"),
            ("nut", "much"),
            ("drills", "blunt"),
            ("engaged", "0"),
            ("engaged", "1/8"),
        ):
            with self.subTest(field=field, typed=typed), self.assertRaises(InputError) as told:
                repair(**{field: typed})
            self.assertEqual(told.exception.field, field)
        with self.assertRaises(InputError) as told:
            repair(thread="1-1/4-7")
        self.assertEqual(told.exception.code, "does-not-fit")
