"""Small figures of the steps, each worked out here by a road of its own."""

from __future__ import annotations

import math
import unittest

from lathework.bench.gauge.die import advice_after
from lathework.bench.gauge.tool import tool_advice
from lathework.bench.size.cuts import cut_like
from lathework.cutting.cuts import SPRING
from lathework.cutting.roughing import rough_depth
from lathework.dies import scale, setting
from lathework.dies.aim import aim_inside
from lathework.figures import PRACTICE, Figure
from lathework.gauging.sized import judge_size, uncertainty
from lathework.gauging.verdicts import Verdict
from lathework.methods.die_holdings.by_stock import GUIDE_BUSH
from lathework.methods.infeed import pass_count
from lathework.methods.tool_form import ROOT_RADIUS
from lathework.methods.ways.contract import Machine, Wanted
from lathework.methods.ways.dies import DieWay
from lathework.planning.steps.measures import PLAIN_TOLERANCE_MM, keyway
from lathework.planning.steps.threads.threading_tool import try_from
from lathework.shop.lathe_facts import Dial
from lathework.shop.metals import materials
from lathework.tests.samples import PLUG, bore, plan, section
from lathework.threads.designation import read_designation
from lathework.threads.limits import external_limits, internal_limits
from lathework.units import LengthUnit


def _bare(name: str, value: float, unit: LengthUnit = "in") -> Figure:
    return Figure(name, value, unit, "as typed", PRACTICE, kind="typed")


class OfThreads(unittest.TestCase):
    def test_in_to_a_share_of_depth_on_either_dial(self) -> None:
        """3/8-16: the minor diameter of the external thread is 0.375 − 1.0825 × 0.0625 in (ASME B1.1)."""
        thread, minor = read_designation("3/8-16"), 0.375 - 1.25 * math.sqrt(3) / 2 / 16
        dials: dict[Dial, int] = {"diameter": 1, "radius": 2}
        for dial, halved in dials.items():
            found = rough_depth(thread, 0.37, 0.8, dial)
            self.assertAlmostEqual(found.value, 0.8 * (0.37 - minor) / halved, places=4)  # printed to 0.0001

    def test_a_spring_pass_is_not_counted(self) -> None:
        passes = tuple(_bare(f"pass {n} to", n / 100) for n in (1, 2, 3))
        self.assertEqual(pass_count(passes).value, 3)
        self.assertEqual(pass_count((*passes, _bare(SPRING, 0.03))).value, 3)

    def test_tried_from_three_quarters_of_the_way(self) -> None:
        """A total of 0.04 in is tried from 0.03 in, which is 0.762 mm; 1 mm from 0.75 mm."""
        total = _bare("in all", 0.04)
        self.assertAlmostEqual(try_from(total, "in").value, 0.03, places=9)
        self.assertAlmostEqual(try_from(total, "mm").value, 0.762, places=9)
        self.assertAlmostEqual(try_from(_bare("in all", 1.0, "mm"), "mm").value, 0.75, places=9)

    def test_an_eighth_of_a_turn_opens_a_die_as_its_wedge_says(self) -> None:
        """The screw goes in by an eighth of its pitch; the walls of the slot lie on its cone, either side. What the
        slot gains the circle gains in circumference."""
        slot = 2 * (setting.SCREW_PITCH_MM / 8) * math.tan(math.radians(setting.POINT_HALF_ANGLE_DEG))
        before, after = 10.0, (math.pi * 10.0 + slot) / math.pi
        self.assertAlmostEqual(scale.SLOPE_MM, after - before, places=9)


class OfParts(unittest.TestCase):
    def test_a_hexagon_goes_in_the_hexagonal_block_and_a_square_in_the_square_one(self) -> None:
        for shape, block in (("hexagon", "hexagonal"), ("square", "square"), ("flats", "square")):
            with self.subTest(shape):
                sections = [section("thread", "3/4", thread="3/8-16"), section(shape, "1/2", across="1/2")]
                made = plan(
                    PLUG
                    | {
                        "part.sections": sections,
                        "part.bores": [],
                        "part.overall_length": "",
                        "part.stock.across": "3/4",
                    }
                    | {"part.stock.form": "round"}
                )
                [mills] = [step for step in made.operations if step.kind == "flats"]
                self.assertIn(f"in the {block} collet block", mills.sentence)

    def test_the_back_chamfer_lies_at_the_far_edge(self) -> None:
        """Parted from the bar, broken through the slot: it begins at the far face and goes no farther than its size."""
        sections = [section("thread", "1", thread="3/8-16"), section("round", "1/2", across="0.45")]
        made = plan({"part.sections": sections, "part.overall_length": ""})
        backs = [step for step in made.operations if step.kind == "edge" and step.cut is not None and step.cut.behind]
        self.assertTrue(backs)
        for step in backs:
            assert step.cut is not None
            self.assertAlmostEqual(step.cut.left_mm, made.job.part.overall_mm, places=6)
            size = (step.cut.outer_mm - step.cut.inner_mm) / 2
            self.assertAlmostEqual(step.cut.left_mm - step.cut.right_mm, size, places=6)
            self.assertLess(size, 3)

    def test_what_the_slot_leaves_lies_under_a_wide_chamfer(self) -> None:
        """0.45 in chamfered by 1/8 leaves 0.2 in across: the slot is cut to less, or there is no edge to chamfer."""
        sections = [
            section("thread", "1", thread="3/8-16"),
            section("round", "1/2", across="0.45", chamfer="1/8"),
        ]
        made = plan({"part.sections": sections, "part.overall_length": ""})
        [left] = [step.figures["left"] for step in made.operations if "left" in step.figures]
        self.assertLess(left.value, 0.45 - 2 * 0.125)

    def test_only_a_hole_of_two_starts_is_moved_on_from_one_to_the_next(self) -> None:
        for name, moved in (("M12x1.75", False), ("M12x1.75 2-start", True)):
            with self.subTest(name):
                hole = bore(name) | {"cut": "boring-tool"}
                sections = [section("round", "1-1/2", across="1")]
                sizes = {"part.sections": sections, "part.overall_length": "", "part.stock.across": "1-1/8"}
                keys = [step.key for step in plan(sizes | {"part.bores": [hole]}).operations]
                self.assertEqual(any(key.startswith("index-inside:") for key in keys), moved, keys)


class AtTheBench(unittest.TestCase):
    def test_a_measured_thread_goes_deeper_by_half_of_what_it_is_over(self) -> None:
        """ASME B1.1: 3/8-16 UNC 2A is 0.3287 to 0.3331 in, its middle 0.3309; the compound stands at 29.5 degrees."""
        thread = read_designation("3/8-16")
        bolt = external_limits(thread, "2A")
        assert bolt is not None
        size = Figure("pitch diameter, measured", 0.3349, "in", "typed", PRACTICE, kind="typed")
        made = plan({"part.sections.0.cut": "threading-tool"})
        advice = tool_advice(
            made.job,
            next(step for step in made.operations if step.key == "gauge:s1"),
            "size-large",
            judge_size(thread, bolt, size, uncertainty(thread)),
        )
        assert advice is not None and advice.more is not None
        self.assertAlmostEqual(advice.more.value, 0.002 / math.cos(math.radians(29.5)), places=4)

    def test_a_piece_that_is_loose_is_not_said_to_pass(self) -> None:
        head = scale.graduations(0.02)
        by = Figure("scale of the head", 1.0, "graduation", "as typed", PRACTICE, kind="typed")
        self.assertIn("This piece passes", head.open_order(by, passes=True))
        made = plan({"part.sections.0.cut": "die-head"})
        step = next(step for step in made.operations if step.key == "gauge:s1")
        verdicts: dict[Verdict, bool] = {"slight-shake": True, "loose": False, "no-go-passes": False}
        for verdict, passes in verdicts.items():
            with self.subTest(verdict):
                advice = advice_after(step, verdict, "steel", (), head)
                assert advice is not None
                self.assertEqual("This piece passes" in advice.order, passes)


class OfWays(unittest.TestCase):
    def test_a_guide_bush_is_praised_for_long_threads_alone(self) -> None:
        """A die by hand drifts past four diameters (practice): from there on the bush keeps it straight."""
        thread = read_designation("M10")
        for diameters, straight in ((3, False), (6, True)):
            wanted = Wanted(
                thread=thread,
                length_mm=diameters * thread.major_mm,
                blank_mm=thread.major_mm,
                pitch_diameter=thread.pitch_diameter,
                metal=materials()["mild-steel"],
                pieces=1,
                shoulder=False,
                groove_mm=0.0,
                machine=Machine(),
            )
            words = " ".join(DieWay(GUIDE_BUSH).merits(wanted))
            self.assertEqual("straight" in words, straight, words)


class OfSizes(unittest.TestCase):
    def test_a_tap_without_a_bolt_of_its_class(self) -> None:
        """M8 6H, 7.188 to 7.348 (ISO 965-1): a screw is supposed as wide a class right under it, 7.028 to 7.188."""
        nut = internal_limits(read_designation("M8"))
        assert nut is not None
        aim = aim_inside(nut, None)
        self.assertAlmostEqual(aim.clearance_mm, 7.348 - 7.028, places=3)
        self.assertAlmostEqual(aim.tightest_mm, 7.268 - 7.188, places=3)
        self.assertAlmostEqual(aim.nuts_mm, 0.160, places=3)

    def test_the_largest_root_of_a_sixty_degree_thread(self) -> None:
        """A sixth of the sharp triangle's height, √3 ÷ 2 pitches (ISO 68-1)."""
        self.assertAlmostEqual(ROOT_RADIUS[60.0], math.sqrt(3) / 2 / 6, places=6)

    def test_a_keyway_is_hardly_over_its_size(self) -> None:
        """Half the band of a plain size over it, and a tenth of a millimetre under."""
        band = keyway(10.0, 16.0).target
        self.assertAlmostEqual(band.high_mm - 10.0, PLAIN_TOLERANCE_MM / 2)
        self.assertAlmostEqual(10.0 - band.low_mm, 0.1)

    def test_a_blank_may_be_a_twentieth_of_a_pitch_small(self) -> None:
        """3/8-16: its class would let it go to 0.3643 in (ASME B1.1), a twentieth of 1/16 is nearer."""
        target = next(step for step in plan().operations if step.key == "turn:s1").dimensions[0].target
        self.assertAlmostEqual(target.aim_mm - target.low_mm, 25.4 / 16 / 20, places=6)
        self.assertGreater(target.low_mm, 0.3643 * 25.4)

    def test_cuts_are_alike_by_how_far_the_work_stands_out(self) -> None:
        """In whole diameters of the bar."""
        made = plan({"setup.machine": "m1"})
        step = next(step for step in made.operations if step.key == "turn:s1")
        like, chucking = cut_like(made, step), made.chuckings[step.chucking - 1]
        assert like is not None
        self.assertEqual(like.out, round(chucking.worked_mm / chucking.bar_mm))
        self.assertLess(like.out, 10)
