"""Holes along the axis: drills, depths and order by hand; what does not fit is told."""

from __future__ import annotations

import unittest
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from lathework.drawing.part.layout import WIDE
from lathework.drawing.part.view import part_sheet
from lathework.errors import InvalidDocument
from lathework.job.document import read_document
from lathework.planning.plan import Plan
from lathework.planning.threads.thread_work import in_mm
from lathework.shop.racks import owned
from lathework.tests.samples import PARTED, body, bore, document, kinds, plan, section, step, value
from lathework.tests.samples import said as all_said


def burrs(made: Plan) -> str:
    """What is told where its burrs come off; "" where that is no step."""
    return "".join(all_said(operation) for operation in made.operations if operation.kind == "deburr")


SMALL = bore("#4-40", depth="1/4", end="left")
"""A thread, where the holes looked at have none."""


class Holes(unittest.TestCase):
    def test_a_blind_tapped_hole(self) -> None:
        """3/8-16, 3/4 deep: the drill, + 4 turns of a second tap's lead + 2 for chips + 0.3 of the drill; 12 turns."""
        made = plan(body(bore("3/8-16", depth="3/4")))
        self.assertEqual(kinds(made), ["face", "spot", "drill", "countersink", "tap", "try", *PARTED])
        drill = value(made, "drill", "drill")
        self.assertTrue(0.307 <= drill <= 0.321, "the class 2B minor is 0.307 to 0.321")
        self.assertAlmostEqual(value(made, "drill", "depth"), 0.75 + 6 / 16 + 0.3 * drill, places=4)
        self.assertEqual(value(made, "tap", "turns"), 12)
        self.assertAlmostEqual(value(made, "countersink", "across"), 0.375 + 0.1 / 16)

    def test_a_through_hole_goes_past_the_kerf(self) -> None:
        """2 in + 3/32 parted + 0.3 x 1/4 of the point: 2.16875; the tap goes its lead past: 2 x 20 + 4 turns."""
        made = plan(
            body(bore(across="1/4")) | {"part.sections": [section("thread", "1", thread="3/4-16"), section("bar")]}
        )
        self.assertAlmostEqual(value(made, "drill", "depth"), 2 + 3 / 32 + 0.075)
        self.assertEqual(value(plan(body(bore("1/4-20"))), "tap", "turns"), 44)

    def test_large_holes_want_a_pilot(self) -> None:
        """1/2-13 is drilled about 27/64, 10.7 mm: a pilot of half that; 1/4-20 wants none."""
        self.assertIn("pilot", kinds(plan(body(bore("1/2-13", depth="1/2")))))
        self.assertNotIn("pilot", kinds(plan(body(bore("1/4-20", depth="1/2")))))

    def test_a_hole_in_the_left_end_is_drilled_in_the_second_chucking(self) -> None:
        made = plan(body(bore("1/4-20", depth="1/2", end="left"), bore(across="1/8", depth="1/4")))
        self.assertEqual(
            [
                (operation.key, operation.chucking)
                for operation in made.operations
                if operation.kind in ("drill", "tap")
            ],
            [("drill:b2", 1), ("drill:b1", 2), ("tap:b1", 2)],
        )
        self.assertEqual(len(made.chuckings), 2)

    def test_a_part_that_is_all_thread_is_held_by_it(self) -> None:
        """A stud of one thread with a hole in its left end: its face stands 6 mm clear of the jaws."""
        made = plan(
            body(bore("#4-40", depth="1/4", end="left"), **{"part.sections": [section("thread", thread="1/2-13")]})
        )
        second = made.chuckings[1]
        self.assertTrue(second.grip.on_thread)
        self.assertAlmostEqual(second.stick_out_mm, 6.0)
        self.assertGreater(part_sheet(made, WIDE, 2).scale, 0)

    def test_a_hexagon_is_held_by_its_flats(self) -> None:
        """1 in hexagon bar, drilled from both ends: held again 1 in across flats, not over its 1.1547 in corners."""
        made = plan(body(SMALL, bore(across="1/8", depth="1/4"), **{"part.stock.form": "hexagon"}))
        hold = step(made, "hold")
        assert hold is not None
        self.assertAlmostEqual(hold.figures["grip"].value, 1.0)
        self.assertIn("by the hexagon bar, {grip} across flats", hold.sentence)
        self.assertEqual(hold.tool, "three-jaw chuck")
        square = step(plan(body(SMALL, bore(across="1/8", depth="1/4"), **{"part.stock.form": "square"})), "hold")
        self.assertEqual(square.tool if square else "", "four-jaw chuck")

    def test_a_drill_is_held_back_only_where_it_breaks_through(self) -> None:
        """On the bar a hole through the piece ends in metal; in a sawn blank it comes out at the back."""
        through = bore("1/4-20")
        for change, code in (
            (body(bore("1/4-20", depth="1")), "drill"),
            (body(through), "drill"),
            (body(through, **{"method.order": "blanks-first"}), "drill-through"),
        ):
            drill = step(plan(change), "drill")
            self.assertEqual([caution.code for caution in drill.cautions] if drill else [], [code])

    def test_a_hole_across_is_deburred_only_where_it_opens_into_another(self) -> None:
        """2 in long, 1/4-20 3/4 deep from the right: drilled 0.75 + 6/20 + 0.06, 1.11 deep; a 1/8 across at 1.05 meets
        its drill, one at 1.2 does not (1.2 - 1/16 > 1.11), nor one of 1/4 from the side (it ends 0.29 short)."""
        axial = bore("1/4-20", depth="3/4")
        for at, depth, met in (("1.05", "", True), ("1.2", "", False), ("0.5", "1/4", False), ("0.5", "1/2", True)):
            made = plan(body(axial, bore(across="1/8", end="across", at=at, depth=depth)))
            with self.subTest(at=at, depth=depth):
                self.assertEqual("where the cross hole comes out" in burrs(made), met)

    def test_a_hole_in_a_wall_goes_no_further_than_the_wall(self) -> None:
        """1 in over a 1/2 in hole: a wall of 1/4. Asked 1/4 deep or more, a 1/8 hole is drilled 1/4 and its point (0.3
        of it, a drill of 118 degrees); M5 in it is tapped right through: eight turns of thread and the tap's lead."""
        hollow = bore(across="1/2")
        for depth in ("1/4", "3/8"):
            made = plan(body(hollow, bore(across="1/8", end="across", at="1", depth=depth)))
            self.assertAlmostEqual(value(made, "cross-drill", "depth"), 0.25 + 0.3 * 0.125, delta=0.003)
        inside = plan(body(hollow, bore(across="1/8", end="across", at="1", depth="0.1")))
        self.assertAlmostEqual(value(inside, "cross-drill", "depth"), 0.1 + 0.3 * 0.125, delta=0.003)
        self.assertEqual(burrs(inside).count("inside"), 0)
        tapped = plan(body(hollow, bore("M5", end="across", at="1", depth="1/4")))
        self.assertGreaterEqual(value(tapped, "cross-tap", "turns"), 6.35 / 0.8 + 4)

    def test_burrs_come_off_before_anything_is_fitted(self) -> None:
        """Flats, a keyway, a hole right through that the blade opens: one step, after the last that leaves one."""
        hexed = [section("hexagon", "1/2", across="0.8"), section("round", across="1", key="1/4")]
        made = plan(body(bore(across="3/8"), **{"part.sections": hexed, "part.afterwards": "Wax it."}))
        keys = [operation.key for operation in made.operations]
        self.assertEqual(keys[-2:], ["deburr", "fit"])
        for place in ("edges of the flats", "edges of the keyway", "that the blade cut open"):
            self.assertIn(place, burrs(made))
        self.assertEqual(burrs(plan(body())), "")

    def test_a_tap_that_breaks_dry_wants_its_oil_first(self) -> None:
        """Dry a tap takes twice its torque: one that bears less than four times it is near its end there (M4 in mild
        steel 3.7, M10 5.1 times, in brass more); who cuts dry as a school is told of it once, among the notices."""
        for thread, metal, oil, wanted in (
            ("M4", "mild-steel", "", True),
            ("M10", "mild-steel", "", False),
            ("M4", "brass", "", False),
            ("M4", "mild-steel", "rape oil", True),
            ("M4", "mild-steel", "dry", False),
        ):
            with self.subTest(thread, metal=metal, oil=oil):
                job = body(bore(thread, depth="3/8"), **{"material": metal, "method.lubricant": oil})
                found = step(plan(job), "tap")
                self.assertEqual(bool(found.oil), wanted)
                self.assertIn(f"Oil first: {oil}" if wanted and oil else "", found.oil)

    def test_threads_are_cleaned_only_where_a_hole_goes_through_them(self) -> None:
        """Half an inch of thread at the right end of a 2 in stud: a 1/4 hole at 0.6 cuts it, one at 0.7 does not."""
        for at, cut in (("0.6", True), ("0.7", False)):
            sections = [section("thread", "1/2", thread="3/8-16"), section("bar")]
            made = plan(body(bore(across="1/4", end="across", at=at)) | {"part.sections": sections})
            self.assertEqual("thread file" in burrs(made), cut)

    def test_a_hole_to_be_bored_is_drilled_from_the_racks_of_the_job(self) -> None:
        """1-12 UNF at 75 %, 0.9188 in: an inch job that names no drills takes 57/64, not 22.9 mm."""
        made = plan(body(bore("1-12", depth="1", cut="tap-as-chaser"), **{"part.stock.across": "2"}))
        found = step(made, "bore")
        self.assertIn("Drill 57/64", found.sentence if found else "")

    def test_both_mouths_of_a_thread_that_goes_through(self) -> None:
        """A nut parted off is countersunk on its other side by hand, one turned end for end in the lathe."""
        nut = body(bore("1/2-13"), **{"part.stock.form": "hexagon", "part.stock.across": "3/4"})
        for change, key, said in (
            (nut, "part-off", True),
            (nut | {"method.order": "blanks-first"}, "face:left", True),
            (body(bore("1/2-13", depth="1/2")), "part-off", False),
        ):
            found = step(plan(change), key)
            self.assertEqual("Countersink the" in " ".join(found.notes), said, key)

    def test_under_power_nothing_is_held_by_a_wrench(self) -> None:
        """M6 in mild steel takes 2000 x 1 x 6 / 8000 = 1.5 N m, which slips in the hand; 3/8-16 takes three times
        that, which must not, and so is turned by hand. No word of a wrench stands beside a tap that turns."""
        for thread, way, said in (
            ("M6", "slipping-hand", False),
            ("3/8-16", "slipping-hand", True),
            ("3/8-16", "slipping-chuck", False),
        ):
            tap = step(plan(body(bore(thread), **{"method.tapping": way, "method.order": "blanks-first"})), "tap")
            words = " ".join(tap.notes)
            with self.subTest(thread=thread, way=way):
                self.assertEqual("more than may slip" in words, said)
                self.assertEqual("speed" in tap.figures, not said)
                self.assertEqual("Rest a bar wrench" in words, said)

    def test_a_wrench_rests_on_the_slide_only_in_the_lathe(self) -> None:
        """3/8-16 takes 2000 x 1.5875^2 x 9.525 / 8000 = 6 N m: a bar on the top slide, not in vise or drill press."""
        rests = "on the top slide"
        for change, key, said in (
            (body(bore("3/8-16", depth="1/2")), "tap", True),
            (body(bore("3/8-16", depth="1/2"), **{"method.tapping": "in-vise"}), "tap", False),
            (body(SMALL, bore("3/8-16", end="across", at="1")), "cross-tap", False),
            (body(bore("1/4 NPT", depth="5/8")), "tap", True),
            (
                body(SMALL, bore("1/4 NPT", depth="5/8", end="across", at="1"), **{"part.stock.across": "2"}),
                "cross-tap",
                False,
            ),
        ):
            made = step(plan(change), key)
            assert made is not None
            with self.subTest(key=key, tool=made.tool):
                self.assertEqual(rests in " ".join(made.notes), said)
                self.assertEqual(rests in made.figures["torque"].note, said)

    def test_a_hole_across_is_tapped_with_the_same_care(self) -> None:
        """Left hand, formed, likely to break, its taps in order: told across the part as along its axis."""
        across = {"end": "across", "at": "1"}
        for thread, change, words in (
            ("1/4-20 LH", {}, "Left-hand tap"),
            ("1/4-20", {"cut": "form-tap"}, "makes no chips"),
        ):
            found = step(plan(body(SMALL, bore(thread, **across, **change))), "cross-tap")
            self.assertIn(words, " ".join(found.notes if found else ()))
        blind = step(plan(body(SMALL, bore("1/4-20", depth="3/8", **across))), "cross-tap")
        self.assertIn("taper, second, then bottoming tap", blind.tool if blind else "")
        coarse = bore("#10-24", **across)
        for percent, likely in (("90", True), ("60", False)):
            made = plan(body(SMALL, coarse, **{"material": "stainless", "method.percent": percent}))
            tap = step(made, "cross-tap")
            self.assertEqual("likely to break" in " ".join(tap.notes), likely, percent)

    def test_only_a_small_tap_lacks_its_centre_hole(self) -> None:
        for thread, small in (("#10-32", True), ("1/4-20", False)):
            tap = step(plan(body(bore(thread, depth="1/2"))), "tap")
            self.assertEqual("No centre hole" in " ".join(tap.notes), small, thread)

    def test_a_hole_that_came_through_guides_the_drill(self) -> None:
        """1/8 through from the right: the 1/2 in drill from the left end needs neither spot nor pilot."""
        made = plan(body(bore(across="1/8"), bore(across="1/2", depth="1/2", end="left")))
        second = [operation.key for operation in made.operations if operation.chucking == 2]
        self.assertFalse([key for key in second if key.startswith(("pilot", "spot"))])

    def test_the_smaller_of_two_holes_comes_first(self) -> None:
        made = plan(body(bore(across="1/2", depth="1/2"), bore(across="1/4", depth="1"), SMALL))
        drills = [operation for operation in made.operations if operation.key.startswith("drill:")]
        self.assertEqual([drill.figures["drill"].value for drill in drills][:2], [0.25, 0.5])

    def test_a_part_with_nothing_but_a_tapped_hole(self) -> None:
        """A nut from hexagon bar: no thread outside, the job is known by the one inside."""
        made = plan(
            {
                "part.stock.form": "hexagon",
                "part.stock.across": "3/4",
                "part.overall_length": "7/16",
                "part.sections": [section("bar")],
                "part.bores": [bore("1/2-13")],
            }
        )
        self.assertEqual(made.job.part.designations, "1/2-13 UNC")
        self.assertEqual(kinds(made)[-5:], ["tap", "try", *PARTED])

    def test_a_hole_beyond_the_racks_is_bored(self) -> None:
        """M64 wants 64 - 0.77 x 1.299038 x 6 = 58.00 mm; the racks end at 2 in."""
        made = plan(
            {
                "unit": "mm",
                "part.stock.across": "100",
                "part.overall_length": "60",
                "part.sections": [section("bar")],
                "part.bores": [bore("M64")],
                "setup.groove_blade": "3",
                "setup.parting_blade": "3",
            }
        )
        self.assertAlmostEqual(value(made, "bore", "bore"), 64 - 0.77 * 1.299038 * 6, places=3)

    def test_a_cap_of_one_section_is_drawn_from_the_end_it_is_held_by(self) -> None:
        """A hole in the left end of a lone section: in the second chucking its mouth lies at the face."""
        made = plan(body(bore("1/4-20", depth="1/2", end="left")))
        mouths = []
        for chucking in made.chuckings:
            sheet = part_sheet(made, WIDE, chucking.number)
            face = max(x for path in sheet.paths if path.role == "part" for line in path.lines for x, _ in line)
            clear = [x for path in sheet.paths if path.role == "bore" for line in path.lines for x, _ in line]
            mouths.append(bool(clear) and abs(face - max(clear)) < 0.01)
        self.assertEqual([c.faces for c in made.chuckings], ["right", "left"])
        self.assertEqual(mouths, [False, True])

    def test_it_is_drawn_cut_open_and_drilled_in_time(self) -> None:
        made = plan(body(bore("3/8-16", depth="3/4")))
        roles = [path.role for path in part_sheet(made, WIDE).paths]
        self.assertIn("bore", roles)
        self.assertNotIn("bore", [path.role for path in part_sheet(plan(), WIDE).paths])
        shares = {given.name: given.value for given in made.batch[2].inputs}
        self.assertGreater(shares["Drill for the tap"], 0.75)


class DrillsOwned(unittest.TestCase):
    def test_the_plan_takes_a_drill_that_is_owned(self) -> None:
        """3/8-16 2B: minor 0.307 to 0.321. Of metric drills the 7.9 mm, 0.311 in, leaves 79 % and cuts about 0.315; the
        8 mm leaves 74."""
        made = plan(body(bore("3/8-16", depth="3/4"), **{"setup.drills": "metric"}))
        found = step(made, "drill")
        assert found is not None
        self.assertIn("mm", found.sentence)
        self.assertTrue(0.307 <= found.figures["hole"].value <= 0.321)

    def test_a_rack_that_has_none_is_told_and_bored(self) -> None:
        """A lone 1/4 in drill: bored to 75 %, 0.375 - 0.75 x 1.299038 / 16 = 0.3141, after that drill."""
        made = plan(body(bore("3/8-16", depth="3/4"), **{"setup.drills": "1/4"}))
        self.assertAlmostEqual(value(made, "bore", "bore"), 0.375 - 0.75 * 1.299038 / 16, places=4)
        self.assertAlmostEqual(value(made, "bore", "rough"), 0.25)
        self.assertIn("no-drill", {notice.code for notice in made.notices})
        self.assertIn("tap", kinds(made))

    def test_a_bored_hole_stays_within_the_class(self) -> None:
        """100 % would be bored to 0.375 - 1.299038 / 16 = 0.2938: under the least minor, 0.307."""
        made = plan(body(bore("3/8-16", depth="3/4"), **{"setup.drills": "1/4", "method.percent": "100"}))
        self.assertAlmostEqual(value(made, "bore", "bore"), 0.3070, places=4)

    def test_where_nobody_said_the_rack_that_goes_with_the_thread_comes_first(self) -> None:
        """M12 takes 10.2 mm, 79 %, though letter Y lies nearer; 1/2 BSF 7/16, 78 % of its height, in any job."""
        metric = body(bore("M12", depth="10"), **{"unit": "mm", "part.stock.across": "30", "part.overall_length": "50"})
        blades = {"setup.groove_blade": "3", "setup.parting_blade": "3"}
        found = step(plan(metric | blades), "drill")
        assert found is not None
        self.assertAlmostEqual(found.figures["drill"].value, 10.2)
        self.assertIn("Drill {drill}", found.sentence, "its size is its name")
        other = step(plan(body(bore("1/2 BSF", depth="3/4"))), "drill")
        assert other is not None
        self.assertIn("7/16", other.sentence)

    def test_a_drill_that_may_pass_the_class_is_told(self) -> None:
        """9/16-18 2B: minor 0.502 to 0.515; every chart says 33/64, 0.5156 and a little more as it cuts."""
        made = plan(body(bore("9/16-18", depth="3/4"), **{"part.stock.across": "2"}))
        self.assertAlmostEqual(value(made, "drill", "drill"), 33 / 64)
        [told] = [notice.text for notice in made.notices if notice.code == "hole-wide"]
        # Piloted, it cuts half of 0.0050 wide: 100 x (0.5625 - 0.518125) / (1.299038 / 18) = 61.49 %.
        self.assertIn("0.0031 in over class 2B, 61 % thread", told)
        self.assertNotIn("hole-wide", {notice.code for notice in plan(body(bore("1/4-20", depth="3/4"))).notices})

    def test_a_much_better_drill_is_named(self) -> None:
        """M5 from a lone 11/64 in, 4.366 mm: 100 x (5 - 4.366) / (1.299038 x 0.8) = 61 %; 4.2 mm would leave 77."""
        owned = {"setup.drills": "11/64", "part.bores": [bore("M5", depth="10 mm")]}
        told = [notice.text for notice in plan(body(**owned)).notices if notice.code == "better-drill"]
        self.assertEqual(len(told), 1)
        self.assertIn("11/64 is the nearest of your drills (61 % thread); 4.2 mm would give 77 %", told[0])
        self.assertNotIn("better-drill", {notice.code for notice in plan(body(bore("M10", depth="20 mm"))).notices})

    def test_a_lower_per_cent_takes_a_larger_drill(self) -> None:
        every = {"setup.drills": "number, letter, fraction, metric"}
        sizes = [
            value(plan(body(bore("1/2-13", depth="1/2"), **{"method.percent": per, **every})), "drill", "drill")
            for per in ("85", "65")
        ]
        self.assertLess(*sizes)

    def test_wrong_lists_and_per_cents_name_their_field(self) -> None:
        for field, typed in (("setup.drills", "1/4, blunt"), ("method.percent", "200"), ("method.percent", "some")):
            with self.subTest(field=field, typed=typed), self.assertRaises(InvalidDocument) as told:
                read_document(document({field: typed}))
            self.assertEqual([error.field for error in told.exception.errors], [field])


class Threaded(unittest.TestCase):
    def test_a_through_hole_may_be_tapped_under_power(self) -> None:
        """A sawn piece: 2 in of 1/4-20 and 4 turns of lead: 44; it runs on 1.5, so off at the whole one before 42.5."""
        sawn = {"method.order": "blanks-first", "method.tapping": "slipping-chuck", "setup.run_down": "1.5"}
        made = plan(body(bore("1/4-20"), **sawn))
        self.assertEqual((value(made, "tap", "turns"), value(made, "tap", "stop")), (44, 42))
        tap = step(made, "tap")
        assert tap is not None
        self.assertIn("must slip before it breaks", tap.sentence)
        self.assertEqual([caution.code for caution in tap.cautions], ["tap-power", "coming-off"])

    def test_the_next_piece_of_the_bar_begins_with_the_hole_of_the_last(self) -> None:
        """Drilled past the part by the room of the tap, more than a parting blade takes: so it is told, of several."""
        nut = {"part.sections": [section("bar")], "part.overall_length": "3/4"}
        for pieces, order, said in (
            ("6", "from-the-bar", True),
            ("1", "from-the-bar", False),
            ("6", "blanks-first", False),
        ):
            made = plan(body(bore("1/2-13"), **nut, **{"quantity": pieces, "method.order": order}))
            drill = next(operation for operation in made.operations if operation.key == "drill:b1")
            with self.subTest(pieces=pieces, order=order):
                self.assertEqual("hole is already started" in " ".join(drill.notes), said)

    def test_one_that_ends_in_the_bar_is_drilled_past_the_part_and_tapped_by_hand(self) -> None:
        """An M8 nut, 8 mm high: past it by 4 turns of lead and 2 of chips, 7.5 mm, and the point of a 6.8 mm drill."""
        nut = {
            "unit": "mm",
            "part.stock.form": "hexagon",
            "part.stock.across": "13",
            "part.overall_length": "8",
            "part.sections": [section("bar")],
            "part.bores": [bore("M8")],
            "setup.groove_blade": "3",
            "setup.parting_blade": "2",
        }
        for way in ("by-centre", "slipping-hand", "slipping-chuck"):
            made = plan(nut | {"method.tapping": way})
            drill, tap = step(made, "drill:b1"), step(made, "tap")
            deep = drill.figures["depth"]
            with self.subTest(way):
                self.assertAlmostEqual(deep.value, 8 + 6 * 1.25 + 0.3 * value(made, "drill:b1", "drill"))
                self.assertNotIn("speed", tap.figures)
                self.assertNotIn("spiral", tap.tool)
                self.assertEqual("blind-by-hand" in {n.code for n in made.notices}, way != "by-centre")
                self.assertEqual("On the bar this hole is blind" in " ".join(tap.notes), way != "by-centre")
        after = plan(nut | {"method.tapping": "in-vise"})
        self.assertLess(value(after, "drill:b1", "depth"), 8 + 2 + 0.3 * 7)

    def test_a_blind_one_is_not(self) -> None:
        made = plan(body(bore("1/4-20", depth="1/2"), **{"method.tapping": "slipping-hand"}))
        tap = step(made, "tap")
        assert tap is not None
        self.assertNotIn("speed", tap.figures)
        self.assertIn("blind-by-hand", {notice.code for notice in made.notices})

    def test_in_the_vise_it_comes_after_the_lathe(self) -> None:
        made = plan(body(bore("1/4-20", depth="1/2"), **{"method.tapping": "in-vise"}))
        self.assertEqual(kinds(made)[-3:], ["part-off", "tap", "try"])

    def test_a_form_tap_wants_its_own_hole(self) -> None:
        """1/4-20: 0.25 - 0.0068 x 65 / 20 = 0.2279, whatever the drill leaves of it; no room for chips; not in iron."""
        formed = body(bore("1/4-20", depth="1/2", cut="form-tap"))
        made = plan(formed)
        drill = value(made, "drill", "drill")
        self.assertAlmostEqual(drill, 0.2279, delta=0.002)
        self.assertAlmostEqual(value(made, "drill", "depth"), 0.5 + 3 / 20 + 0.3 * drill, places=4)
        cut = plan(body(bore("1/4-20", depth="1/2")))
        self.assertAlmostEqual(value(made, "tap", "torque"), 2 * value(cut, "tap", "torque"))
        iron = plan(formed | {"material": "cast-iron"})
        self.assertIn("form-tap-brittle", {notice.code for notice in iron.notices})

    def test_form_taps_take_the_drills_of_their_catalogues(self) -> None:
        """2.8, 3.7 and 7.4 mm for M3, M4 and M8."""
        for name, printed in (("M3", 2.8), ("M4", 3.7), ("M8", 7.4)):
            made = plan(body(bore(name, depth="8 mm", cut="form-tap"), **{"material": "aluminium"}))
            with self.subTest(name):
                self.assertAlmostEqual(value(made, "drill", "drill"), printed)

    def test_a_form_tap_takes_the_wider_of_two_drills(self) -> None:
        """M6 wants 5.55: of 5.5 and 5.6 the wider, in which the tap does not jam; 5.5 alone is taken all the same;
        where none is near, the one that is sold: nobody bores 5.55."""
        cases = (("5.5 mm, 5.6 mm", 5.6), ("5.5 mm", 5.5), ("5.2 mm, 5.55 mm, 5.6 mm", 5.55), ("3 mm, 8 mm", 5.55))
        for drills, taken in cases:
            hole = bore("M6", depth="8 mm", cut="form-tap")
            made = plan(body(hole, **{"material": "aluminium", "setup.drills": drills}))
            with self.subTest(drills):
                self.assertAlmostEqual(value(made, "drill", "drill"), taken)

    def test_a_drill_that_the_class_allows_is_not_bored_after(self) -> None:
        """9/16 BSW, minor 0.4558 (BS 84): 12 mm (0.4724) is within, 84 % or not; M8, minor 6.647: 6.6 mm is not."""
        for thread, drills, made in (
            ("9/16 BSW", "12 mm", "12 mm"),
            ("M8", "6.6 mm", ""),
            ("M8", "17/64, 7 mm", "17/64"),
        ):
            drilled = plan(body(bore(thread, depth="1/2"), **{"setup.drills": drills, "part.stock.across": "1-1/4"}))
            taken = next(one.name for one in drilled.work.bores)
            with self.subTest(thread):
                self.assertEqual(taken, made or "boring tool")

    def test_every_drill_is_larger_than_the_one_before(self) -> None:
        """Whatever is owned, tapped or bored: a pilot is smaller than what follows it."""
        racks = ("", "6 mm, 8 mm, 12 mm, 20 mm", "1/4, 3/8, 1/2", "number, letter", "12 mm", "5 mm")
        for thread in ("1/2-13", "M22x1.5", "1-3/8-16 UN", "G2", "3/4 BSW", "M48x2"):
            for drills in racks:
                hole = body(bore(thread, depth="1"), **{"part.stock.across": "4", "part.overall_length": "2-1/2"})
                made = plan(hole | {"setup.drills": drills})
                steps = [step for step in made.operations if step.kind == "drill"]
                sizes = [
                    in_mm(step.figures[name]) for step in steps for name in ("pilot", "drill") if name in step.figures
                ]
                sizes += [one.drilled_mm for one in made.work.bores if one.bored and one.rough]
                with self.subTest(thread=thread, drills=drills):
                    self.assertEqual(sizes, sorted(set(sizes)))

    def test_a_fraction_is_of_an_inch(self) -> None:
        """In a metric list too: nobody has a drill of 17/64 of a millimetre."""
        sizes = [round(drill.diameter_mm, 3) for drill in owned("17/64, 1-1/8, 7", "mm")]
        self.assertEqual(sizes, [6.747, 7.0, 28.575])

    def test_an_odd_bore_is_chased(self) -> None:
        """1-1/2 at 18 to the inch: bored to 75 % less nothing, advance 1/18, out by major - bore on a diameter dial."""
        chased = body(bore("1-1/2-18", depth="1/2", cut="tap-as-chaser"), **{"part.stock.across": "2-1/4"})
        made = plan(chased)
        bored = value(made, "bore", "bore")
        self.assertAlmostEqual(value(made, "chase", "advance"), 1 / 18)
        self.assertAlmostEqual(value(made, "chase", "infeed"), 1.5 - bored)
        self.assertAlmostEqual(value(plan(chased | {"setup.dial": "radius"}), "chase", "infeed"), (1.5 - bored) / 2)
        self.assertAlmostEqual(value(made, "chase", "tap"), bored * 2 / 3)
        # A full 60 degree form is 1.0825 P deep: what comes out of this bore, and the bore for the size wanted.
        self.assertAlmostEqual(value(made, "chase", "whole"), bored + 1.082532 / 18, places=4)
        self.assertAlmostEqual(value(made, "chase", "full"), 1.5 - 1.082532 / 18, places=4)
        self.assertNotIn("tap", kinds(made))
        # The boring tool runs out into a recess of two pitches: it has no point.
        self.assertAlmostEqual(value(made, "bore", "depth"), 0.5 + 2 / 18)

    def test_left_hand_and_form_taps_are_turned_their_own_way(self) -> None:
        left = step(plan(body(bore("1/4-20 LH", depth="1/2"))), "tap")
        formed = step(plan(body(bore("1/4-20", depth="1/2", cut="form-tap"))), "tap")
        assert left is not None and formed is not None
        self.assertIn("turn the spindle in reverse to cut", " ".join(left.notes))
        self.assertIn("turn back", left.sentence)
        self.assertNotIn("turn back", formed.sentence)

    def test_a_taper_hole_is_drilled_reamed_and_tapped_to_the_gauge(self) -> None:
        """Rc3/8: 14.25 mm, reamed to 14.95 at the mouth, gauge 6.4 give or take 1.3.

        Deep to the point: useful 10.1, 3 turns of the tap's lead, 2 for chips, 0.3 of the drill.
        """
        made = plan(
            {
                "unit": "mm",
                "part.stock.across": "30",
                "part.overall_length": "40",
                "part.sections": [section("bar")],
                "part.bores": [bore("Rc3/8", depth="11")],
                "setup.groove_blade": "3",
                "setup.parting_blade": "3",
            }
        )
        self.assertEqual(kinds(made)[1:6], ["spot", "pilot", "drill", "ream", "tap"])
        self.assertAlmostEqual(value(made, "drill", "drill"), 14.25)
        self.assertAlmostEqual(value(made, "drill", "depth"), 10.1 + 5 * 25.4 / 19 + 0.3 * 14.25, places=3)
        self.assertAlmostEqual(value(made, "ream", "mouth"), 14.95)
        self.assertAlmostEqual(value(made, "tap", "gauge"), 6.4)
        self.assertIn("pipe-thread", {notice.code for notice in made.notices})


class Across(unittest.TestCase):
    def test_a_hole_across_comes_last(self) -> None:
        """1/4 through 1 in round: 1 + 0.3 x 1/4 deep; nothing of it on the lathe."""
        made = plan(body(SMALL, bore(across="1/4", end="across", at="3/4")))
        self.assertEqual(kinds(made)[-3:], ["cross-mark", "cross-drill", "cross-countersink"])
        self.assertAlmostEqual(value(made, "cross-drill", "depth"), 1.075)
        self.assertAlmostEqual(value(made, "cross-mark", "at"), 0.75)

    def test_tapped_across_and_blind(self) -> None:
        """#10-32, 3/8 deep: 12 turns."""
        made = plan(body(SMALL, bore("#10-32", depth="3/8", end="across", at="1")))
        self.assertEqual(value(made, "cross-tap", "turns"), 12)
        tried = step(made, "cross-try")
        assert tried is not None
        self.assertEqual((tried.measure, tried.inside, value(made, "cross-try", "deep")), ("verdict", True, 0.375))
        through = plan(body(SMALL, bore("#10-32", end="across", at="1")))
        self.assertAlmostEqual(value(through, "cross-try", "deep"), value(through, "cross-drill", "depth"), delta=0.1)
        roles = [path.role for path in part_sheet(made, WIDE).paths]
        self.assertIn("bore", roles)

    def test_a_taper_pipe_hole_across_is_reamed_and_tapped_to_the_gauge(self) -> None:
        """Rc1/8 in 1-1/4 round: gauge length 4.0 mm; a form tap is not turned back, and bears half as much."""
        wide = {"part.stock.across": "1-1/4"}
        made = plan(body(SMALL, bore("Rc1/8", depth="1/2", end="across", at="1"), **wide))
        self.assertEqual(kinds(made)[-4:], ["cross-mark", "cross-drill", "cross-ream", "cross-tap"])
        self.assertAlmostEqual(value(made, "cross-tap", "gauge"), 4.0)
        formed, cut = (
            plan(body(SMALL, bore("1/4-20", end="across", at="1", cut=how), **wide)) for how in ("form-tap", "tap")
        )
        tap = step(formed, "cross-tap")
        assert tap is not None
        self.assertNotIn("turn back", tap.sentence)
        self.assertAlmostEqual(value(formed, "cross-tap", "torque"), 2 * value(cut, "cross-tap", "torque"))

    def test_the_jobs_use_is_told_beside_every_thread(self) -> None:
        for hole in (bore("1/4-20", end="across", at="1"), bore("1/2-20", depth="1/2", cut="boring-tool"), bore("M6")):
            made = plan(body(hole, hazards=["lifting"]))
            for one in (operation for operation in made.operations if operation.kind in ("tap", "chase")):
                self.assertIn("lifting", [caution.code for caution in one.cautions], one.key)

    def test_what_does_not_fit_across(self) -> None:
        for one, field in (
            (bore(across="1/4", end="across"), "part.bores.0.at"),
            (bore(across="1/4", end="across", at="1/16"), "part.bores.0.at"),
            (bore(across="1/4", end="across", at="2"), "part.bores.0.at"),
            (bore(across="1", end="across", at="1"), "part.bores.0.across"),
            (bore(across="1/4", end="across", at="1", depth="1"), "part.bores.0.depth"),
            (bore("1/4-20", end="across", at="1", cut="boring-tool"), "part.bores.0.cut"),
        ):
            with self.subTest(one=one), self.assertRaises(InvalidDocument) as told:
                read_document(document(body(one, SMALL)))
            self.assertEqual([error.field for error in told.exception.errors], [field])

    def test_what_it_costs_is_said(self) -> None:
        weak = plan(body(SMALL, bore(across="1/2", end="across", at="1")))
        self.assertIn("cross-weak", {notice.code for notice in weak.notices})
        near = plan(body(SMALL, bore(across="1/4", end="across", at="1/4")))
        self.assertIn("cross-near-end", {notice.code for notice in near.notices})


class MadeGood(unittest.TestCase):
    KEPT = {"part.stock.form": "kept", "part.stock.across": "1-1/4"}

    def test_a_damaged_end_is_sawn_off_and_tapped(self) -> None:
        made = plan(body(bore("1/2-13", depth="3/4"), **self.KEPT))
        self.assertEqual(kinds(made), ["saw", "face", "spot", "pilot", "drill", "countersink", "tap", "try"])
        self.assertEqual(len(made.chuckings), 1)

    def test_only_its_end_can_be_worked(self) -> None:
        for one, field in (
            (bore("1/2-13", depth="3/4", end="left"), "part.bores.0.end"),
            (bore("1/2-13"), "part.bores.0.depth"),
        ):
            with self.subTest(one=one), self.assertRaises(InvalidDocument) as told:
                read_document(document(body(one, **self.KEPT)))
            self.assertEqual([error.field for error in told.exception.errors], [field])


class Said(unittest.TestCase):
    def codes(self, *bores: dict[str, str], **more: Any) -> set[str]:
        return {notice.code for notice in plan(body(*bores, **more)).notices}

    def test_a_thin_wall_and_a_hole_that_comes_through(self) -> None:
        """3/4-10 in 1 in round leaves 1/8 of wall, 0.17 of the hole; in 7/8 it leaves 1/16, 0.08."""
        self.assertNotIn("thin-wall", self.codes(bore("3/4-10", depth="1")))
        self.assertIn("thin-wall", self.codes(bore("3/4-10", depth="1"), **{"part.stock.across": "7/8"}))
        made = plan(body(bore("1/2-13", depth="1-3/4")))
        self.assertFalse(made.goes)
        self.assertEqual(
            [(notice.code, notice.field) for notice in made.notices], [("comes-out", "part.bores.0.depth")]
        )
        self.assertNotIn("thin-floor", self.codes(bore("1/2-13", depth="1")))

    def test_the_wall_over_the_drill_counts_too(self) -> None:
        """3/8-16 is full for 1/2 in of a 1 in body; its drill runs on into a neck of 0.38, 0.033 round 0.3125."""
        neck = {
            "part.overall_length": "2",
            "part.sections": [
                section("round", "0.6", across="0.9"),
                section("round", "1/4", across="0.38"),
                section("bar"),
            ],
        }
        self.assertIn("thin-wall", self.codes(bore("3/8-16", depth="1/2"), SMALL, **neck))
        self.assertNotIn("thin-wall", self.codes(bore("3/8-16", depth="1/8"), SMALL, **neck))

    def test_what_does_not_fit_names_its_field(self) -> None:
        wrong: tuple[tuple[dict[str, str], str, str], ...] = (
            (bore("1-8"), "part.bores.0.thread", "does-not-fit"),
            (bore(across="1-1/4"), "part.bores.0.across", "does-not-fit"),
            (bore(), "part.bores.0.across", "empty"),
            (bore("1/4-20", depth="2"), "part.bores.0.depth", "does-not-fit"),
            (bore("R1/8"), "part.bores.0.thread", "not-for-a-tap"),
            (bore("1/4-20 UNC-2A"), "part.bores.0.thread", "external-class"),
            (bore("bolt"), "part.bores.0.thread", "not-a-thread"),
            (bore("1/4-20", end="top"), "part.bores.0.end", "unknown-choice"),
        )
        for one, field, code in wrong:
            with self.subTest(one=one), self.assertRaises(InvalidDocument) as told:
                read_document(document(body(one, SMALL)))
            self.assertIn(field, {e.field for e in told.exception.errors})
            if code != "not-a-thread":
                self.assertIn(code, {e.code for e in told.exception.errors})

    @given(st.sampled_from(["1/4-20", "M6", "M10", "3/8-16", "2 BA"]), st.floats(5, 45))
    def test_deeper_is_never_shallower(self, thread: str, depth: float) -> None:
        first, second = (
            value(plan(body(bore(thread, depth=f"{mm:.2f} mm"), **{"part.overall_length": "3"})), "drill", "depth")
            for mm in (depth, depth + 1)
        )
        self.assertGreater(second, first)
