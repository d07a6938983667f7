"""Turning by hand: worked examples in the test's own arithmetic, and published tables of stock, speed and run-out.

Each example is worked through from the typed sizes; none takes a number from the program.
"""

from __future__ import annotations

import math
import unittest

from lathework.cutting.cuts import pass_diameters
from lathework.cutting.groove import undercut
from lathework.cutting.speeds import spindle_speed
from lathework.cutting.torque import cutting_torque, hand_force
from lathework.part.stock import bar_for_piece, corners_mm, depth_per_flat, largest_across_flats, pieces_from_bar
from lathework.tests.samples import PLUG, SCREW, TIE_ROD, kinds, plan, step
from lathework.threads.designation import read_designation
from tests.validation.published import PublishedCase

#: Machinery handbooks, "distances across corners of hexagon bars": across flats, across corners (inches).
HEXAGON_BARS = (
    ("0.2500", "0.2887"),
    ("0.3125", "0.3608"),
    ("0.4375", "0.5052"),
    ("0.5000", "0.5774"),
    ("0.6250", "0.7217"),
    ("0.7500", "0.8660"),
    ("1.0000", "1.1547"),
)
#: The same for square bars.
SQUARE_BARS = (("0.2500", "0.3536"), ("0.5000", "0.7071"), ("0.7500", "1.0607"), ("1.0000", "1.4142"))
#: Handbook table of cutting speeds: diameter (inches), feet a minute, revolutions a minute to the whole number.
SPEEDS = (("0.25", 60, "917"), ("0.5", 60, "458"), ("0.5", 100, "764"), ("1", 90, "344"), ("2", 100, "191"))
#: DIN 76-1, regular run-out of external threads: pitch, at most (mm).
RUN_OUTS = (("M3", 1.25), ("M4", 1.75), ("M5", 2.0), ("M6", 2.5), ("M8", 3.2), ("M10", 3.8), ("M12", 4.3), ("M16", 5.0))
#: DIN 76-1, undercut form A: thread, diameter under the major, least width (mm).
UNDERCUTS = (
    ("M3", 0.8, 1.1),
    ("M6", 1.6, 2.1),
    ("M8", 2.0, 2.7),
    ("M10", 2.3, 3.2),
    ("M12", 2.6, 3.9),
    ("M16", 3.0, 4.5),
)


STUB = {**TIE_ROD, "part.stock.across": "1-1/2"}
"""Six inches of a bar thick enough to be parted off: four diameters."""


class Published(PublishedCase):
    def test_corners_of_bars(self) -> None:
        for form, rows, factor in (("hexagon", HEXAGON_BARS, 1.154701), ("square", SQUARE_BARS, 1.414214)):
            for flats, corners in rows:
                ours = corners_mm("hexagon" if form == "hexagon" else "square", float(flats) * 25.4) / 25.4
                self.compare(f"{form} {flats}", printed=corners, by_hand=float(flats) * factor, ours=ours)

    def test_cutting_speeds(self) -> None:
        """12 x feet a minute / (pi x inches)."""
        for diameter, feet, printed in SPEEDS:
            ours = spindle_speed(feet * 0.3048, float(diameter) * 25.4, name="speed").value
            self.compare(
                f"{diameter} in at {feet}", printed=printed, by_hand=12 * feet / (math.pi * float(diameter)), ours=ours
            )

    def test_run_outs_and_undercuts(self) -> None:
        """At every tabulated pitch the regular run-out is about 2.5 P, and the undercut's width lets a die run out."""
        for name, most in RUN_OUTS:
            found = undercut(read_designation(name))
            assert found is not None
            self.assertAlmostEqual(found.run_out, most, msg=name)
            self.assertAlmostEqual(found.run_out / read_designation(name).pitch, 2.5, delta=0.07, msg=name)
        for name, under, width in UNDERCUTS:
            found = undercut(read_designation(name))
            assert found is not None
            self.assertEqual((found.under_major, found.width_min), (under, width), name)


class ByHand(unittest.TestCase):
    def test_1_hexagon_out_of_round(self) -> None:
        """7/8 round gives 0.875 x 0.866025 = 0.7578 across; to 0.750 each flat takes (0.8660 - 0.750) / 2 = 0.0580."""
        self.assertAlmostEqual(largest_across_flats(6, 22.225, "in").value, 0.7578, places=4)
        milled = step(plan(PLUG), "flats").figures
        self.assertAlmostEqual(milled["depth"].value, (0.750 / 0.866025 - 0.750) / 2, places=5)
        self.assertEqual((milled["count"].value, milled["index"].value), (6, 60))
        self.assertAlmostEqual(milled["largest"].value, 0.875 * 0.866025, places=5)

    def test_2_square_out_of_round(self) -> None:
        """20 mm round: 20 x 0.707107 = 14.142; to 12 mm each flat takes (20 - 12) / 2 = 4."""
        self.assertAlmostEqual(largest_across_flats(4, 20, "mm").value, 14.142, places=3)
        self.assertAlmostEqual(depth_per_flat(20, 12, "mm").value, 4.0)

    def test_3_parting_a_second_end(self) -> None:
        """6 in overall, 0.5 mm for facing, a 3/32 blade by its left edge: 6 + 0.0197 + 0.0938 = 6.1134."""
        self.assertAlmostEqual(step(plan(STUB), "part-off").figures["position"].value, -6.1134, places=4)

    def test_4_parting_by_the_right_edge(self) -> None:
        """The same by the right edge: 6.1134 - 0.0938 = 6.0197."""
        made = plan({**STUB, "setup.parting_edge": "right"})
        self.assertAlmostEqual(step(made, "part-off").figures["position"].value, -6.0197, places=4)

    def test_5_groove_of_the_second_end(self) -> None:
        """3/8-24: three pitches are 1/8, one blade: the left edge at the shoulder, 1 in from the second face."""
        groove = step(plan(TIE_ROD), "groove:s3").figures
        self.assertAlmostEqual(groove["position"].value, -1.0)
        self.assertNotIn("last", groove)
        self.assertAlmostEqual(groove["diameter"].value, 0.375 - 1.082532 / 24 - 0.2 / 24, places=3)

    def test_6_a_stop_instead_of_a_readout(self) -> None:
        """No readout: the same place as carriage travel from the face, and no sign."""
        made = plan({**SCREW, "setup.readout": "stops"})
        self.assertAlmostEqual(step(made, "turn:s2").figures["stop"].value, 1.75)
        self.assertIn("of travel from the face", step(made, "groove").sentence)

    def test_7_passes(self) -> None:
        """1/2 to 0.3688: 3.332 mm; 0.5 kept; 2.832 in cuts of at most 1.202: three, each 0.944; then two alike."""
        cuts = step(plan(), "turn:s1")
        self.assertEqual(cuts.figures["cuts"].value, 5)
        first = cuts.passes[0].value * 25.4
        self.assertAlmostEqual(first, 12.7 - (12.7 - 0.3688 * 25.4 - 0.5) / 3, places=3)
        self.assertEqual(len(cuts.passes), 5)

    def test_8_no_roughing_when_little_is_left(self) -> None:
        """0.4 mm is less than what is kept for the last two cuts: half of it each; 0.15 is one cut."""
        self.assertEqual(pass_diameters(10.4, 10.0, 2.0), (10.2, 10.0))
        self.assertEqual(pass_diameters(10.15, 10.0, 2.0), (10.0,))

    def test_9_bar_for_blanks(self) -> None:
        """Six in of rod sawn: 6 + 2 mm kerf + 2 x 0.5 mm = 6.1181; four need 24.4724, none left in the jaws."""
        made = plan({**TIE_ROD, "method.order": "blanks-first", "quantity": 4})
        self.assertAlmostEqual(made.batch[0].value, 6 + 3 / 25.4, places=4)
        self.assertAlmostEqual(made.batch[1].value, 4 * (6 + 3 / 25.4), places=4)

    def test_10_pieces_from_a_bar(self) -> None:
        """36 in less 30 mm held is 34.8189; at 2.61344 a piece 13.3: thirteen."""
        piece = bar_for_piece(63.5, 2.38125, "in")
        self.assertEqual(
            pieces_from_bar(914.4, piece).value, math.floor((36 - 30 / 25.4) / (2.5 + 0.09375 + 0.5 / 25.4))
        )
        self.assertEqual(pieces_from_bar(914.4, piece).value, 13)

    def test_11_torque(self) -> None:
        """M10 in mild steel at 2000 N/mm2: 2000 x 1.5^2 x 10 / 8000 = 5.625 N m; at 150 mm 37.5 N."""
        torque = cutting_torque(read_designation("M10"), 2000)
        self.assertAlmostEqual(torque.value, 5.625)
        self.assertAlmostEqual(hand_force(torque).value, 37.5)

    def test_12_seconds_and_the_switch(self) -> None:
        """3/8 at 1.5 m/min: 1500 / (pi x 9.525) = 50.13 rev/min; 19 turns take 22.7 s; runs on 4: off at turn 15."""
        die = step(plan({"method.holder": "keyed-power", "setup.run_down": "4"}), "thread").figures
        self.assertAlmostEqual(die["speed"].value, 50.13, places=2)
        self.assertAlmostEqual(die["seconds"].value, 60 * 19 / 50.126, places=1)
        self.assertEqual(die["stop"].value, 15)

    def test_13_stick_out(self) -> None:
        """From the bar: 6 + 0.0197 + 0.0938 + 0.2362 = 6.3497. Sawn and held by the body: 1 + 0.2362 = 1.2362."""
        bar, blank = plan(STUB), plan(TIE_ROD)
        self.assertAlmostEqual(step(bar, "face").figures["stick_out"].value, 6.3497, places=4)
        self.assertAlmostEqual(step(blank, "face").figures["stick_out"].value, 1.2362, places=4)
        self.assertAlmostEqual(step(blank, "hold").figures["stick_out"].value, 1.2362, places=4)

    def test_13b_what_a_stick_out_is_made_of_adds_up(self) -> None:
        """The lengths told as its working, each in its own unit, come to the length told."""
        grub = {"part.overall_length": "", "part.sections": [{"shape": "thread", "thread": "3/8-16", "length": "1"}]}
        bolt = {"part.stock.form": "bolt"}
        for change in ({}, SCREW, TIE_ROD, PLUG, {**TIE_ROD, "method.order": "blanks-first"}, grub, bolt):
            for operation in plan(change).operations:
                told = operation.figures.get("stick_out")
                if told is not None:
                    total = sum(one.value / (25.4 if one.unit == "mm" else 1) for one in told.inputs)
                    self.assertAlmostEqual(total, told.value, places=6, msg=f"{change} {operation.key}")

    def test_14_a_thread_to_the_parted_end_runs_past_it(self) -> None:
        """A grub screw of 3/8-16, 1 in long: kerf 3/32 and three threads more, 1 + 0.09375 + 0.1875; 21 turns."""
        screw = {"part.overall_length": "", "part.sections": [{"shape": "thread", "thread": "3/8-16", "length": "1"}]}
        made = plan(screw)
        self.assertAlmostEqual(step(made, "turn:s1").figures["length"].value, 1.28125)
        self.assertEqual(step(made, "thread").figures["turns"].value, math.ceil(1.28125 * 16))
        self.assertNotIn("groove", kinds(made))

    def test_15_a_run_out_and_its_counterbore(self) -> None:
        """M10: three threads stay, 4.5 mm; the nut is bored to 10 + 0.1 x 1.5 = 10.15."""
        made = plan({"part.sections.0.thread": "M10", "method.finish": "run-out"})
        die = step(made, "thread").figures
        self.assertAlmostEqual(die["counterbore"].value, 10.15)
        self.assertAlmostEqual(die["counterbore_depth"].value, 4.5)
        self.assertNotIn("groove", kinds(made))
