"""Parts that go with a mate: turned and bored between limits, on the mate's own size; and parts without any thread."""

from __future__ import annotations

import math
import unittest
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from lathework.bench.acts.measured import reading_entry
from lathework.errors import InvalidDocument
from lathework.fits.fit import FIT, FIT_CODES, limits_of
from lathework.job.document import read_document
from lathework.lengths import read_length
from lathework.planning.plan import Plan
from lathework.tests.samples import body, bore, document, kinds, plan, section, step
from lathework.tests.test_bench import at, done

BUSH: dict[str, Any] = body(
    bore(across="1/2", fit="close-running", mate="0.4990"),
    **{"part.sections": [section("round", "1-1/4", across="7/8", fit="press"), section("bar")]},
)
PLAIN_BUSH = BUSH | {"part.sections": [section("round", "1-1/4", across="7/8"), section("bar")]}
MM = {"setup.groove_blade": "2", "setup.parting_blade": "2"}
NAMED = [code for code in FIT_CODES if code]


class Limits(unittest.TestCase):
    @given(st.sampled_from(NAMED), st.floats(3.01, 249), st.floats(-0.02, 0.02))
    def test_a_pair_keeps_its_clearance(self, code: Any, size: float, off: float) -> None:
        """A shaft made to a measured hole, and a hole made to a measured shaft, leave the same middle clearance; within
        the limits of both it never leaves what the standard's pair allows. A press fit presses from 3 mm on: under
        that H7/p6 is a transition."""
        shaft, hole = (limits_of(code, makes, size, None, "mm") for makes in ("shaft", "hole"))
        least, most = hole.low_mm - shaft.high_mm, hole.high_mm - shaft.low_mm
        made = limits_of(code, "shaft", size, size + off, "mm")
        bored = limits_of(code, "hole", size, made.aim_mm, "mm")
        self.assertAlmostEqual(bored.aim_mm, size + off, places=9)
        for one, sign in ((made, 1), (bored, -1)):
            mate = size + off if one is made else made.aim_mm
            for edge in (one.low_mm, one.high_mm):
                self.assertTrue(least - 1e-9 <= sign * (mate - edge) <= most + 1e-9)
        if FIT[code].pressed:
            self.assertLess(most, 0.0 + 1e-9)

    def test_told_in_inches_it_is_the_same(self) -> None:
        inch, mm = (limits_of("slide", "hole", 25.4, 25.39, unit) for unit in ("in", "mm"))
        self.assertAlmostEqual(inch.aim.value * 25.4, mm.aim.value, places=9)


class Joined(unittest.TestCase):
    def test_a_blind_press_wants_a_vent(self) -> None:
        """Air has no other way out of a blind hole; a hole right through, or a vent at its bottom, is one."""
        blind, vent = bore(across="1/2", depth="1/2", fit="press"), bore(across="1/16")
        for holes, wants in (((blind,), True), ((blind, vent), False), ((bore(across="1/2", fit="press"),), False)):
            made = plan(body(*holes))
            self.assertEqual("blind-press" in {notice.code for notice in made.notices}, wants, holes)

    def test_a_glued_joint_leaves_the_compound_a_gap(self) -> None:
        """25 mm: some hundredths between, never under what the compound wants; told so, and nothing of polishing."""
        shaft, hole = (limits_of("glued", makes, 25.0, None, "mm") for makes in ("shaft", "hole"))
        self.assertTrue(0.04 <= hole.low_mm - shaft.high_mm <= hole.high_mm - shaft.low_mm <= 0.08)
        notes = " ".join(step(plan(body(bore(across="1/2", fit="glued"))), "bore").notes)
        self.assertIn("compound", notes)
        self.assertNotIn("lap", notes)


class Undercut(unittest.TestCase):
    def test_the_bottom_of_a_seat(self) -> None:
        """A seat of 20 by 10, 2 wide undercut by half a millimetre: 21 across, told after the bore and drawn."""
        hole = bore(across="20", depth="10", fit="slide", undercut="2")
        made = plan(body(hole, unit="mm", **{"part.stock.across": "40", "part.overall_length": "50"} | MM))
        keys = [operation.key for operation in made.operations]
        self.assertGreater(keys.index("undercut:b1"), keys.index("bore:b1"))
        step_ = made.operation("undercut:b1")
        assert step_ is not None
        self.assertAlmostEqual(step_.figures["across"].value, 21)
        self.assertAlmostEqual(step_.figures["position"].value, -10)

    def test_only_the_bottom_of_a_blind_hole(self) -> None:
        changes = {"unit": "mm", "part.stock.across": "40", "part.overall_length": "50"} | MM
        for hole in (
            bore(across="20", undercut="2"),
            bore(across="5", depth="10", undercut="2"),
            bore(across="20", depth="2", undercut="2"),
            bore(across="5", depth="4", end="across", at="20", undercut="1"),
        ):
            with self.subTest(hole), self.assertRaises(InvalidDocument) as caught:
                plan(body(hole, **changes))
            self.assertIn("part.bores.0.undercut", [error.field for error in caught.exception.errors])


class Reamed(unittest.TestCase):
    def test_a_small_hole_is_drilled_and_reamed(self) -> None:
        """6 H7: 0 to 12 micrometres over (ISO 286-1); two tenths are left for the reamer, none of them by a bar."""
        hole = bore(across="6", depth="20", fit="slide", by="reamer")
        made = plan(body(hole, unit="mm", **{"part.stock.across": "25", "part.overall_length": "50"} | MM))
        drill, ream = made.operation("drill:b1"), made.operation("ream:b1")
        assert drill is not None and drill.cut is not None and ream is not None
        self.assertAlmostEqual(drill.cut.outer_mm, 5.8)
        (size,) = ream.dimensions
        self.assertAlmostEqual(size.target.low_mm, 6.0)
        self.assertAlmostEqual(size.target.high_mm, 6.012)
        self.assertIn("lead", " ".join(ream.notes))

    def test_a_reamer_follows_no_mate(self) -> None:
        changes = {"unit": "mm", "part.stock.across": "25", "part.overall_length": "50"} | MM
        for hole, field in (
            (bore(across="6", fit="slide", by="reamer", mate="5.95"), "part.bores.0.mate"),
            (bore(across="6", fit="slide"), "part.bores.0.fit"),
        ):
            with self.assertRaises(InvalidDocument) as caught:
                plan(body(hole, **changes))
            self.assertIn(field, [error.field for error in caught.exception.errors])


class Steps(unittest.TestCase):
    MADE = plan(BUSH)

    def test_outside_between_the_standards_limits(self) -> None:
        """7/8 is 22.225: p6 is 22 to 35 micrometres over it (ISO 286-1)."""
        turned = step(self.MADE, "turn")
        assert turned is not None
        (diameter, *_) = turned.dimensions
        self.assertAlmostEqual(diameter.target.low_mm, 22.225 + 0.022, places=6)
        self.assertAlmostEqual(diameter.target.high_mm, 22.225 + 0.035, places=6)
        self.assertEqual(turned.title, "Turn to the fit")
        self.assertAlmostEqual(turned.figures["most"].value * 25.4, diameter.target.high_mm, places=6)

    def test_inside_on_the_mates_own_size(self) -> None:
        """A shaft of 0.4990; H7 and g6 at 1/2: 0 to 18, 6 to 17 under: 20.5 micrometres between their middles."""
        bored = step(plan(PLAIN_BUSH), "bore")
        self.assertAlmostEqual(bored.figures["bore"].value, 0.4990 + 0.0205 / 25.4, places=6)
        self.assertEqual((bored.title, bored.figures["clearance"].unit), ("Bore to the fit", "in"))
        self.assertIn("Try the mating part before", " ".join(bored.notes))

    def test_a_reading_past_the_limit_is_told(self) -> None:
        """A bore 0.0005 over its most is past: metal does not come back."""
        keys = [operation.key for operation in self.MADE.operations]
        before = done(*keys[: keys.index("bore:b1")])
        most = step(self.MADE, "bore").figures["most"].value
        now = at(*before, made=self.MADE)
        wide = at(*before, reading_entry(now, read_length(f"{most + 0.0005:.4f}", "in")), made=self.MADE)
        assert wide.cut is not None
        self.assertEqual(wide.cut.state, "past")
        fits = at(*before, reading_entry(now, read_length(f"{most - 0.0002:.4f}", "in")), made=self.MADE)
        assert fits.cut is not None
        self.assertEqual(fits.cut.state, "on-size")

    def wrong(self, changes: dict[str, Any]) -> list[tuple[str, str]]:
        with self.assertRaises(InvalidDocument) as caught:
            read_document(document(changes))
        return [(error.field, error.code) for error in caught.exception.errors]

    def test_what_cannot_be(self) -> None:
        for hole, field, code in (
            (bore(across="1/2", fit="slide", mate="0.75"), "part.bores.0.mate", "other-size"),
            (bore(across="1/8", fit="slide"), "part.bores.0.fit", "does-not-fit"),
            (bore(across="3/8", fit="slide", end="across", at="1"), "part.bores.0.fit", "does-not-fit"),
            (bore(across="1/2", fit="tight"), "part.bores.0.fit", "unknown-choice"),
        ):
            self.assertEqual(self.wrong(body(hole)), [(field, code)])


class Pockets(unittest.TestCase):
    def test_a_pocket_is_opened_from_the_hole_that_is_there(self) -> None:
        """A drill would follow the hole, and leave a cone where the die is to sit flat."""
        holes = (bore(across="0.75", fit="slide"), bore(across="1", fit="running", depth="3/8"))
        made = plan(body(*holes, **{"part.stock.across": "1-1/2"}))
        pocket = next(operation for operation in made.operations if operation.key == "bore:b2")
        self.assertTrue(pocket.sentence.startswith("Open the hole that is there"))
        self.assertNotIn("rough", pocket.figures)
        self.assertAlmostEqual(pocket.dimensions[0].start_mm, 0.75 * 25.4, delta=0.02)
        self.assertAlmostEqual(pocket.figures["depth"].value, 0.375)

    def test_one_in_the_solid_keeps_the_drill_short(self) -> None:
        made = step(plan(body(bore(across="3/4", fit="running", depth="3/8"))), "bore")
        assert made is not None
        self.assertIn("its point short of the bottom", made.sentence)
        self.assertIn("flat at", made.sentence)


class Pressed(unittest.TestCase):
    RING = body(bore(across="1/2", fit="drive"), **{"part.stock.across": "1-1/4"})

    def test_heat_by_hand(self) -> None:
        """Practice: 0.1 mm on 30 mm of steel wants some 285 K; here 39 micrometres on 12.7, s6 on H7, and room to slip:
        (0.039 + 0.00635) / (11.7e-6 x 12.7) = 305 K; of brass 188."""
        for metal, kelvins in (("mild-steel", 305), ("brass", 188)):
            made = step(plan(self.RING | {"material": metal}), "join-mate")
            assert made is not None
            self.assertAlmostEqual(made.figures["heat"].value, kelvins, delta=1.0)
            self.assertIn("shrink", [caution.code for caution in made.cautions])

    def test_force_by_hand(self) -> None:
        """Pressure at the joint of a solid shaft in a ring, by thick cylinders worked through for both: the ring opens
        by p d / E ((D² + d²)/(D² - d²) + 0.3), the shaft closes by p d / E (1 - 0.3); together they are the 39."""
        made = step(plan(self.RING), "join-mate")
        assert made is not None
        d, outside, long, elastic = made.figures["force"].inputs[3].value, 31.75, 50.8, 205_000
        ring = (outside**2 + d**2) / (outside**2 - d**2) + 0.3
        pressure = 0.039 * elastic / (d * (ring + 0.7))
        self.assertAlmostEqual(made.figures["force"].value, 0.12 * pressure * math.pi * d * long / 1000, places=3)

    def test_plastic_is_pressed_cold(self) -> None:
        made = step(plan(self.RING | {"material": "plastic"}), "join-mate")
        assert made is not None
        self.assertNotIn("heat", made.figures)
        self.assertNotIn("shrink it on", " ".join(made.notes))

    def test_what_goes_together_by_hand_wants_neither(self) -> None:
        self.assertNotIn("join-mate", kinds(plan(PLAIN_BUSH)))


class WithoutThread(unittest.TestCase):
    def test_a_plain_part_is_planned(self) -> None:
        made: Plan = plan(PLAIN_BUSH)
        self.assertIsNone(made.job.part.thread)
        self.assertEqual(made.job.part.designations, "no thread")
        self.assertEqual(kinds(made)[:5], ["face", "turn", "spot", "pilot", "bore"])
        self.assertNotIn("method.percent", made.asks)
        self.assertNotIn("method.holder", made.asks)

    def test_at_the_bench_to_the_end(self) -> None:
        now = at(*done(*[operation.key for operation in self.plain.operations]), made=self.plain)
        self.assertEqual((now.good, now.die), (1, ""))

    plain = plan({"part.sections": [section("round", "1/2", across="3/8"), section("bar")], "quantity": "2"})


def shaft(*sections: dict[str, str], bar: str = "30") -> Plan:
    """A shaft in millimetres out of a bar of that size."""
    blades = {"setup.groove_blade": "2", "setup.parting_blade": "2"}
    stock = {"unit": "mm", "part.stock.across": bar, "part.overall_length": "", "part.sections": list(sections)}
    return plan(stock | blades)


class BesideItsOwnSize(unittest.TestCase):
    """ISO 286-2: 20 f7 is 19.959 to 19.980, 20 p6 20.022 to 20.035, 12 h6 11.989 to 12.000."""

    def test_a_running_fit_behind_a_taper_as_large(self) -> None:
        """Turned in one, to the limits of the fit; the taper then loses a hair of its large end."""
        made = shaft(
            section("taper", "15", across="20", taper="1:10"),
            section("round", "30", across="20", fit="running"),
            section("bar", "15"),
        )
        turned = [operation for operation in made.operations if operation.kind == "turn"]
        self.assertEqual([one.key for one in turned], ["turn:s2"])
        band = turned[0].dimensions[0].target
        self.assertEqual((round(band.low_mm, 3), round(band.high_mm, 3)), (19.959, 19.980))
        self.assertNotIn("neck", kinds(made))

    def test_a_running_fit_behind_a_press_fit_of_its_size(self) -> None:
        """Smaller than what stands before it and 28 wide: turned along between its shoulders, never plunged."""
        made = shaft(
            section("round", "20", across="20", fit="press"),
            section("round", "28", across="20", fit="running"),
            section("bar", "15"),
        )
        press, running = step(made, "turn:s1").dimensions[0].target, step(made, "neck:s2").dimensions[0].target
        self.assertEqual((round(press.low_mm, 3), round(press.high_mm, 3)), (20.022, 20.035))
        self.assertEqual((round(running.low_mm, 3), round(running.high_mm, 3)), (19.959, 19.980))
        neck = step(made, "neck:s2")
        self.assertNotIn("lunge", neck.title + neck.sentence + neck.tool)
        self.assertEqual((neck.figures["from"].value, neck.figures["stop"].value), (-20, -48))

    def test_a_plain_size_never_goes_under_the_fit_it_passes(self) -> None:
        """20.1 plain behind 20 h6: turned first over both, it must leave the fit its metal."""
        made = shaft(
            section("round", "20", across="20", fit="slide"),
            section("round", "20", across="20.045", chamfer="0.5"),
            section("round", "20", across="20.07"),
            section("bar", "15"),
        )
        for operation in made.operations:
            if operation.kind == "turn" and operation.key != "turn:s1":
                self.assertGreaterEqual(operation.dimensions[0].target.low_mm, 20.0)

    def test_a_fit_on_bar_of_its_size_is_refused_beside_it(self) -> None:
        for fit in ("slide", "push", "running"):
            with self.assertRaises(InvalidDocument) as caught:
                shaft(section("round", "20", across="12", fit=fit), section("bar", "10"), bar="12")
            told = {error.field: error.message for error in caught.exception.errors}
            self.assertIn("part.sections.0.fit", told)
            self.assertIn("Use bar of at least", told["part.sections.0.fit"])
        shaft(section("round", "20", across="12", fit="slide"), section("bar", "10"), bar="12.5")

    def test_a_narrow_neck_is_plunged_still(self) -> None:
        """Three widths of the blade are side by side; four are turned along."""
        for width, plunged in (("6", True), ("8", False)):
            made = shaft(
                section("round", "20", across="20"), section("round", width, across="16"), section("bar", "15")
            )
            neck = step(made, "neck:s2")
            self.assertEqual(neck.tool == "grooving blade", plunged)
            self.assertAlmostEqual(neck.figures["dial"].value, 4)
