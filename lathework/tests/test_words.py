"""What steps say: no figure nobody can dial, no tool that is not there, no oil beside dry."""

from __future__ import annotations

import re
import unittest
from typing import Any

from lathework.bench.record.keys import STEP_KINDS
from lathework.dies.setting import advise
from lathework.holes.depth import POINT_SHARE
from lathework.planning.plan import Plan
from lathework.planning.why import WHY
from lathework.shop.racks import owned
from lathework.tests.samples import body, bore, plan, said, section, step, value

BUSH: dict[str, Any] = {
    "part.stock.across": "1-1/4",
    "part.overall_length": "1-1/2",
    "part.sections": [section("round", "1/2", across="0.9"), section("round", across="1.2")],
    "part.bores": [bore("1/2-13")],
}
MM: dict[str, Any] = {"unit": "mm", "setup.groove_blade": "3", "setup.parting_blade": "2"}


def everything(made: Plan) -> str:
    return " ".join([*(said(operation) for operation in made.operations), *(notice.text for notice in made.notices)])


class Words(unittest.TestCase):
    def test_a_pilot_is_a_drill_of_the_rack(self) -> None:
        """Half of 27/64 is 0.2109 in: 7/32 or #3 is a drill, 0.211 none; of M24, 21 mm: 10.5 mm."""
        for job, rack, unit in (
            (body(bore("1/2-13", depth="1/2")), "number, letter, fraction", "in"),
            (
                MM
                | {
                    "part.stock.across": "40",
                    "part.overall_length": "50",
                    "part.sections": [section("bar")],
                    "part.bores": [bore("M24", depth="20")],
                },
                "metric",
                "mm",
            ),
        ):
            made = plan(job)
            sizes = {round(drill.diameter, 4) for drill in owned(rack, "in" if unit == "in" else "mm")}
            pilot, hole = value(made, "pilot", "pilot"), value(made, "drill", "drill")
            self.assertIn(round(pilot, 4), sizes)
            self.assertAlmostEqual(pilot / hole, 0.5, delta=0.03)
            self.assertNotIn("about", step(made, "pilot").sentence)

    def test_a_skin_over_the_blank_is_left_on(self) -> None:
        """M22x1 from 22 mm bar: its blank is 21.9 or a little more; a skin under 0.1 mm is not turned, and said."""
        job = MM | {
            "part.stock.across": "22",
            "part.overall_length": "40",
            "part.sections": [section("thread", "20", thread="M22x1"), section("bar")],
            "material": "brass",
        }
        made = plan(job)
        self.assertNotIn("turn:s1", [operation.key for operation in made.operations])
        self.assertIn("leave it as it is", everything(made))

    def test_a_skin_over_the_nominal_size_is_not(self) -> None:
        """2.05 mm bar for M2: 0.07 over its blank, but 0.05 over any M2: a nut would bind, it is turned."""
        job = MM | {
            "part.stock.across": "2.05",
            "part.overall_length": "7",
            "part.sections": [section("thread", "4", thread="M2"), section("bar")],
        }
        self.assertIn("turn:s1", [operation.key for operation in plan(job).operations])

    def test_a_thin_tube_is_not_slotted_into_its_bore(self) -> None:
        """A wall of 0.75 mm: a slot under the chamfer would come through into the hole; the edge is filed instead."""
        tube = MM | {
            "part.stock.across": "20",
            "part.overall_length": "20",
            "part.sections": [section("bar")],
            "part.bores": [bore(across="18.5"), bore("M3", depth="4", end="across", at="10")],
        }
        made = plan(tube)
        self.assertNotIn("part-begin", [operation.key for operation in made.operations])
        self.assertIn("break the parted edge", said(step(made, "part-off")))

    def test_a_long_bolt_is_never_held_by_a_head_in_its_chuck(self) -> None:
        """M8 over the whole of an 80 mm bolt: faced short by its shank, the head in the chuck; then out by its head."""
        bolt = MM | {
            "part.stock.form": "bolt",
            "part.stock.across": "8",
            "part.overall_length": "80",
            "part.sections": [section("thread", "80", thread="M8")],
        }
        short, drawn = plan(bolt).chuckings[:2]
        self.assertEqual((short.grip.words, drawn.grip.words), ("the bolt's shank", "the bolt's head"))
        self.assertIn("Pass the head through the open jaws", said(step(plan(bolt), "face")))

    def test_a_knurl_at_bar_size_is_worked_too(self) -> None:
        """40 mm of knurl on bar as bought, sawn: wheels stop 6 mm before the jaws."""
        job = MM | {
            "part.stock.across": "12",
            "part.overall_length": "90",
            "part.sections": [
                section("thread", "15", thread="M8"),
                section("knurl", "20", across="12"),
                section("bar"),
            ],
        }
        self.assertAlmostEqual(plan(job).chuckings[0].stick_out_mm, 15 + 20 + 6)

    def test_a_bored_hole_has_no_point(self) -> None:
        """M64x4, 20 deep, bored for the tap: its depth is thread, lead and chips alone, no share of a drill's point."""
        job = MM | {
            "part.stock.across": "90",
            "part.overall_length": "60",
            "part.sections": [section("bar")],
            "part.bores": [bore("M24", depth="20")],
            "setup.drills": "10 mm, 16 mm",
        }
        bored = step(plan(job), "bore")
        self.assertAlmostEqual(bored.figures["depth"].value, 20 + 3 * 4 + 3 * 2, places=3)
        drilled = step(plan(job | {"setup.drills": "metric"}), "drill")
        point = POINT_SHARE * drilled.figures["drill"].value
        self.assertAlmostEqual(drilled.figures["depth"].value, 20 + 3 * 6 + point, places=3)

    def test_a_bush_has_no_shank(self) -> None:
        self.assertNotIn("shank", everything(plan(BUSH)))
        self.assertIn("Turn the step", [operation.title for operation in plan(BUSH).operations])

    def test_what_is_threaded_in_the_vise_minds_no_chuck(self) -> None:
        made = plan({"method.holder": "stock-in-vise", "method.finish": "die-turned-round"})
        for key in ("thread", "finish", "gauge"):
            self.assertNotIn("chuck", said(step(made, key)), key)
            self.assertNotIn("spindle", said(step(made, key)), key)

    def test_a_plain_bore_is_not_tapped(self) -> None:
        thin = body(bore(across="0.93", depth="1"), bore("#4-40", depth="1/4", end="left"))
        told = [notice.text for notice in plan(thin).notices if notice.code == "thin-wall"]
        self.assertTrue(told)
        self.assertNotIn("when you tap it", told[0])

    def test_places_in_inches_have_four_decimals(self) -> None:
        """A groove at three sixteenths is at 0.1875, wherever it is told."""
        part = step(plan(), "part-off").figures["position"]
        self.assertTrue(part.fine)
        self.assertFalse(
            step(
                plan(MM | {"part.overall_length": "50", "part.stock.across": "13", "part.sections.0.length": "20"}),
                "part-off",
            )
            .figures["position"]
            .fine
        )

    def test_a_long_thread_is_told_of_its_lead(self) -> None:
        long = {"part.stock.across": "1", "part.overall_length": "4", "part.sections.0.length": "2"}
        self.assertIn("drifts in pitch", said(step(plan(long), "thread")))
        self.assertNotIn("drifts in pitch", said(step(plan(), "thread")))

    def test_a_hard_bolt_is_warned_of(self) -> None:
        bolt = {
            "part.stock.form": "bolt",
            "part.stock.across": "3/8",
            "part.sections": [section("thread", "1", thread="3/8-16"), section("bar")],
        }
        self.assertIn("Choose a plain, soft one", said(step(plan(bolt), "saw")))

    def test_a_parallel_pipe_thread_does_not_seal(self) -> None:
        pipe = {"part.stock.across": "3/4", "part.sections.0.thread": "G1/4"}
        self.assertIn("a washer or ring does", everything(plan(pipe)))

    def test_no_dry_beside_oil(self) -> None:
        for metal in ("brass", "cast-iron"):
            told = everything(
                plan(
                    {
                        "material": metal,
                        "part.sections": [
                            section("thread", "1", thread="3/8-16"),
                            section("knurl", across="0.45"),
                            section("bar", "1/4"),
                        ],
                    }
                )
            )
            self.assertIn("cut dry", told)
            self.assertIsNone(re.search(r"plenty of oil|[Oo]il at each", told), metal)

    def test_dies_are_not_forced_nor_gripped_in_jaws(self) -> None:
        thread = plan().job.part.thread
        assert thread is not None
        for verdict in ("slight-shake", "loose"):
            self.assertIn("opened too far, the die cracks", advise(thread, verdict).order)
        stock = step(plan({"method.holder": "stock-by-tailstock"}), "thread")
        self.assertIn("Never grip a bare die in chuck jaws", said(stock))


class Why(unittest.TestCase):
    def test_every_kind_of_step_says_why(self) -> None:
        self.assertEqual(set(WHY), set(STEP_KINDS))
