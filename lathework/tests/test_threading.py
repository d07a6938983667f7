"""Running the die on: by hand or under power, roughed out first where it is too much, backed off by the lathe."""

from __future__ import annotations

import unittest
from typing import Any

from lathework.dies.setting import advise
from lathework.errors import InvalidDocument
from lathework.planning.plan import Plan
from lathework.shop.metals import materials
from lathework.tests.samples import PARTED, body, bore, kinds, plan, said, section, step
from lathework.threads.designation import read_designation

LARGE: dict[str, Any] = {
    "unit": "mm",
    "part.stock.across": "30",
    "part.overall_length": "60",
    "material": "alloy-steel",
    "part.sections": [section("thread", "30", thread="M24"), section("bar")],
    "setup.groove_blade": "3",
    "setup.parting_blade": "3",
}
SMALL = LARGE | {"part.stock.across": "16", "part.sections": [section("thread", "30", thread="M8"), section("bar")]}


class Roughing(unittest.TestCase):
    def test_a_large_thread_is_roughed_out(self) -> None:
        """M24 in alloy steel: 2500 x 3^2 x 24 / 8000 = 67.5 N m; a person turns 30. At 0.8 of the depth the area left
        is 1 - 0.64 = 0.36: 24.3 N m, 162 N at 150 mm. In: 0.8 x (23.70 - 20.752), on a diameter dial."""
        made = plan(LARGE)
        rough, die = step(made, "rough:s1"), step(made, "thread:s1")
        self.assertAlmostEqual(rough.figures["solid"].value, 67.5)
        self.assertAlmostEqual(rough.figures["infeed"].value, 0.8 * (23.70 - 20.752), places=2)
        self.assertAlmostEqual(rough.figures["advance"].value, 3.0)
        self.assertAlmostEqual(die.figures["torque"].value, 24.3)
        self.assertAlmostEqual(die.figures["force"].value, 162.0)
        keys = [operation.key for operation in made.operations]
        self.assertLess(keys.index("rough:s1"), keys.index("thread:s1"))

    def test_passes_go_in_by_equal_areas(self) -> None:
        """The square of the depth grows alike from pass to pass, and the last leaves what the die finishes."""
        rough = step(plan(LARGE), "rough:s1")
        deep = [(23.70 - cut.value) ** 2 for cut in rough.passes]
        for n, square in enumerate(deep, 1):
            self.assertAlmostEqual(square, n * deep[0], places=3)
        self.assertAlmostEqual(rough.passes[-1].value, 23.70 - rough.figures["infeed"].value, places=3)

    def test_what_a_hand_turns_is_not(self) -> None:
        self.assertNotIn("rough", " ".join(operation.key for operation in plan(SMALL).operations))


class LargeHoles(unittest.TestCase):
    NUT = {
        "unit": "mm",
        "part.stock.form": "hexagon",
        "part.stock.across": "65",
        "part.overall_length": "34",
        "part.sections": [section("bar")],
        "part.bores": [bore("M42")],
        "setup.groove_blade": "3",
        "setup.parting_blade": "2.5",
    }

    def test_a_large_nut_is_roughed_and_tapped_when_it_is_parted_off(self) -> None:
        """M42 in mild steel: 2000 x 4.5^2 x 42 / 8000 = 212.6 N m in the solid; at 0.9 of the depth 0.19 of that. The
        hole goes past the nut by the kerf alone, not by the 27 mm that a tap's lead and chips would want there."""
        made = plan(self.NUT)
        keys = [operation.key for operation in made.operations]
        self.assertLess(keys.index("rough-bore:b1"), keys.index("part-off"))
        self.assertLess(keys.index("part-off"), keys.index("tap:b1"))
        drill, tap = step(made, "drill"), step(made, "tap")
        self.assertAlmostEqual(drill.figures["depth"].value, 34 + 2.5 + 0.3 * drill.figures["drill"].value, places=3)
        self.assertAlmostEqual(tap.figures["torque"].value, 212.6 * 0.19, places=1)
        self.assertIn("in the vice", tap.sentence)
        self.assertNotIn("on the bar: by hand", said(tap))

    def test_a_small_one_is_tapped_on_its_bar(self) -> None:
        small = self.NUT | {"part.bores": [bore("M12")], "part.stock.across": "19", "part.overall_length": "10"}
        keys = [operation.key for operation in plan(small).operations]
        self.assertLess(keys.index("tap:b1"), keys.index("part-off"))
        self.assertNotIn("rough-bore:b1", keys)


class Power(unittest.TestCase):
    def test_a_keyed_holder_is_never_told_to_slip(self) -> None:
        told = said(step(plan(SMALL | {"method.holder": "keyed-power", "material": "brass"}), "thread"))
        self.assertEqual(told.count("slip"), told.count("does not slip"))

    def test_a_holder_that_slips_too_soon_is_turned_by_hand(self) -> None:
        """M10 in stainless: 2700 x 1.5^2 x 10 / 8000 = 7.6 N m slips in time; M12: 2700 x 1.75^2 x 12 / 8000 = 12.4."""
        for thread, by_hand in (("M10", False), ("M12", True)):
            job = LARGE | {
                "material": "stainless",
                "method.holder": "floating-power",
                "part.sections": [section("thread", "30", thread=thread), section("bar")],
            }
            made = plan(job)
            with self.subTest(thread):
                self.assertEqual("by hand" in step(made, "thread").sentence, by_hand)
                self.assertEqual("die-by-hand" in {notice.code for notice in made.notices}, by_hand)

    def test_no_speed_is_asked_that_lathes_do_not_have(self) -> None:
        """1-1/2 in brass at 3 m/min: 1000 x 3 / (pi x 38.1) = 25 rev/min goes; in bronze at 2 m/min 17 does not."""
        for metal, by_hand in (("brass", False), ("bronze", True)):
            job = LARGE | {
                "material": metal,
                "method.holder": "keyed-power",
                "part.stock.across": "45",
                "part.sections": [section("thread", "40", thread="1-1/2-12"), section("bar")],
            }
            self.assertEqual("by hand" in step(plan(job), "thread").sentence, by_hand, metal)

    def test_a_screwed_on_chuck_is_not_reversed(self) -> None:
        job = SMALL | {"method.holder": "floating-power", "material": "brass"}
        for mount, words in (
            ("screwed", "back the die off by hand"),
            ("unsaid", "back the die off by hand"),
            ("locked", "Let the spindle stop, then reverse it"),
        ):
            self.assertIn(words, said(step(plan(job | {"setup.mount": mount}), "thread")), mount)

    def test_a_tap_goes_by_hand_for_the_same_reasons(self) -> None:
        """Sawn, so that the hole has a way out. 1/4-20 in mild steel: 2000 x 1.27^2 x 6.35 / 8000 = 2.6 N m, more than
        slips in the hand (2), less than in a drill chuck (8); 1/2-13: 2000 x 1.954^2 x 12.7 / 8000 = 12.1."""
        sawn = {"method.order": "blanks-first"}
        for thread, tapping, mount, by_hand in (
            ("1/4-20", "slipping-hand", "locked", True),
            ("1/4-20", "slipping-chuck", "locked", False),
            ("1/2-13", "slipping-chuck", "locked", True),
            ("1/4-20 LH", "slipping-chuck", "unsaid", True),
            ("1/4-20 LH", "slipping-chuck", "locked", False),
        ):
            made = plan(body(bore(thread), **sawn, **{"method.tapping": tapping, "setup.mount": mount}))
            tap = step(made, "tap")
            with self.subTest(thread=thread, tapping=tapping, mount=mount):
                self.assertEqual("speed" in tap.figures, not by_hand)
                self.assertEqual("By hand: it" in said(tap), by_hand)
                self.assertEqual("blind-by-hand" in {notice.code for notice in made.notices}, by_hand)

    def test_a_left_hand_die_runs_backward_only_where_the_chuck_is_locked(self) -> None:
        job = SMALL | {
            "method.holder": "floating-power",
            "material": "brass",
            "part.sections": [section("thread", "30", thread="M8 LH"), section("bar")],
        }
        for mount, by_hand in (("screwed", True), ("unsaid", True), ("locked", False)):
            told = step(plan(job | {"setup.mount": mount}), "thread")
            self.assertEqual("by hand, its marked" in told.sentence, by_hand, mount)
            self.assertEqual("backward" in [caution.code for caution in told.cautions], by_hand, mount)


SCREWED_ALONG = {
    "unit": "mm",
    "material": "brass",
    "part.stock.across": "3.6",
    "part.overall_length": "20",
    "part.sections": [section("thread", thread="4 BA")],
    "method.holder": "sliding-by-hand",
    "setup.groove_blade": "3",
    "setup.parting_blade": "2",
}
"""Rod of the thread's own size, 5.6 diameters of it: nothing is turned."""


class OffTheBar(unittest.TestCase):
    """Source: practice. A long thin screw bends under a tool; a die whose holder is guided bends nothing."""

    def test_a_rod_of_its_own_size_is_threaded_off_the_bar(self) -> None:
        made = plan(SCREWED_ALONG)
        self.assertEqual(
            kinds(made),
            ["face", "chamfer", "draw-out", "thread", "gauge", *PARTED],
        )
        self.assertLess(made.chuckings[0].ratio, 4)
        # 20 of screw, the kerf or the die's unfinished turns, and what is kept clear of the jaws.
        self.assertGreaterEqual(made.chuckings[1].stick_out_mm, 20 + 2 + 6 - 0.01)

    def test_not_where_something_is_turned_or_nothing_guides_the_die(self) -> None:
        for change in (
            {"part.stock.across": "4.5"},
            {"method.holder": "stock-in-vise"},
            {"part.overall_length": "60"},
            {"part.sections": [section("thread", "12", thread="4 BA"), section("bar")]},
        ):
            with self.subTest(change):
                self.assertEqual(plan(SCREWED_ALONG | change).work.order, "blanks-first")


class TurningBack(unittest.TestCase):
    def test_never_as_far_back_as_forward(self) -> None:
        words = {
            "a quarter turn after each half turn": (0.25, 0.5),
            "half a turn after each turn": (0.5, 1),
            "half a turn after every 2 turns": (0.5, 2),
        }
        for metal in materials().values():
            of = {"material": metal.code}
            for made, kind in (
                (plan(SMALL | of), "thread"),
                (plan(body(bore("1/4-20", depth="1/2")) | of), "tap"),
            ):
                told = step(made, kind).sentence
                back, forward = next(turns for text, turns in words.items() if text in told)
                self.assertLess(back, forward)
                self.assertEqual(forward, metal.back_off_turns)

    def test_a_form_tap_in_brass_is_oiled(self) -> None:
        formed = body({**bore("1/4-20"), "cut": "form-tap"}) | {"material": "brass"}
        self.assertIn("never run dry", said(step(plan(formed), "tap")))
        self.assertNotIn("dry", said(step(plan(body(bore("1/4-20")) | {"material": "mild-steel"}), "tap")))


def spout(thread: str, length: str = "7/8", **changes: str) -> Plan:
    """A pipe thread on inch bar of 1, its body behind it."""
    sections = [section("thread", length, thread=thread), section("bar", "1")]
    return plan({"part.sections": sections, "part.overall_length": "", "part.stock.across": "1", **changes})


class TaperThreads(unittest.TestCase):
    """R and NPT by die: blank straight, then tapered, the die by hand, the size by how far the gauge goes on."""

    def test_the_taper_lies_between_blank_and_die(self) -> None:
        for name in ("R1/2", "1/2 NPT", "R1/2 LH"):
            kinds = [
                operation.kind
                for operation in spout(name).operations
                if operation.thread is not None or operation.kind == "chamfer"
            ]
            self.assertEqual(kinds, ["turn", "taper", "chamfer", "thread", "gauge"], name)

    def test_both_ends_of_the_blank(self) -> None:
        """ISO 7-1, R 1/2: 20.955 in the gauge plane 8.2 from the end; useful 13.2. By hand 20.4425 and 21.2675."""
        made = spout("R1/2")
        self.assertAlmostEqual(step(made, "turn:s1").figures["diameter"].value, 20.955 + 5.0 / 16)
        taper = step(made, "taper:s1")
        self.assertAlmostEqual(taper.figures["small"].value, 20.955 - 8.2 / 16)
        self.assertAlmostEqual(taper.figures["length"].value, 13.2 / 25.4)

    def test_it_is_never_run_on_under_power_nor_turned_round(self) -> None:
        made = spout("1/8-27 NPT", **{"method.holder": "keyed-power", "method.finish": "die-turned-round"})
        self.assertIn("die-by-hand", [n.code for n in made.notices])
        self.assertNotIn("speed", step(made, "thread:s1").figures)
        self.assertNotIn("finish", [operation.kind for operation in made.operations])

    def test_a_large_one_wants_a_long_handle(self) -> None:
        self.assertIn("handle", step(spout("R3/4", "1-1/4", **{"part.stock.across": "1-1/4"}), "thread:s1").figures)
        self.assertIn("force", step(spout("R1/8"), "thread:s1").figures)

    def test_room_for_the_lead_of_the_die(self) -> None:
        self.assertIn("taper-short", [n.code for n in spout("R1/2", "5/8").notices])
        self.assertNotIn("taper-short", [n.code for n in spout("R1/2", "3/4").notices])

    def test_the_die_is_not_closed_for_it(self) -> None:
        self.assertEqual(advise(read_designation("R1/2"), "binds").move, "leave")
        self.assertTrue(advise(read_designation("R1/2"), "binds").recut)
        self.assertFalse(advise(read_designation("R1/2"), "loose").recut)

    def test_a_taper_hole_is_not_cut_outside(self) -> None:
        with self.assertRaises(InvalidDocument):
            spout("Rc1/2")


class BothEndsStart(unittest.TestCase):
    def test_a_screw_threaded_all_along_takes_a_nut_from_either_end(self) -> None:
        """ASME B1.1, 3/8-16: the root lies at 0.2992 in or less; each end is chamfered below it, sawn and faced too."""
        made = plan(
            {
                "part.sections": [section("thread", "2", thread="3/8-16")],
                "part.stock.across": "3/8",
                "part.overall_length": "2",
            }
        )
        ends = {step.chucking: step.cut for step in made.operations if step.cut is not None and step.cut.slope}
        self.assertEqual(len(ends), 2)
        for cut in ends.values():
            assert cut is not None
            self.assertLess(cut.inner_mm / 25.4, 0.2992)
            self.assertAlmostEqual(cut.right_mm, 0.0)


class Short(unittest.TestCase):
    def test_a_thread_that_is_over_before_the_spindle_stands_goes_by_hand(self) -> None:
        """Half an inch at 16 to the inch: some eight turns; the spindle runs on for one, or for ten."""
        power = {"method.holder": "keyed-power", "setup.mount": "locked", "material": "brass"}
        short = power | {"part.sections.0.length": "1/2", "method.finish": "run-out"}
        for runs_on, driven in (("1", True), ("10", False)):
            with self.subTest(runs_on):
                made = plan(short | {"setup.run_down": runs_on})
                die = step(made, "thread")
                self.assertEqual({"speed", "stop"} <= set(die.figures), driven)
                self.assertEqual("die-by-hand" in [notice.code for notice in made.notices], not driven)
