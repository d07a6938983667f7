"""Plans run before they are shown: a lathe of the tests' own does every act; what would not go is done otherwise, or
said first and beside its field."""

from __future__ import annotations

import random
import re
import unittest
from dataclasses import replace
from typing import Any

from lathework.drawing.part.layout import WIDE, lay_out
from lathework.drawing.part.outline import side
from lathework.errors import InvalidDocument
from lathework.job.document import read_document
from lathework.lathe.outline import stretches
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan, make_plan
from lathework.planning.trial import run_of
from lathework.tests.dialled import differs, made_by_hand
from lathework.tests.own_lathe import Bench, Refused, random_job
from lathework.tests.samples import PLUG, SCREW, TIE_ROD, body, bore, document, kinds, plan, said, section, step

JOBS = 400
MM: dict[str, Any] = {
    "unit": "mm",
    "part.overall_length": "",
    "setup.groove_blade": "2",
    "setup.parting_blade": "3",
    "setup.speeds": "45, 110, 290, 740",
}
NEVER_TOGETHER = (
    (r"[Tt]urn the spindle by hand", r"rev/min|\{speed\} or slower|switch off at turn"),
    (r"[Tt]urn the spindle by hand with a crank", r"Slowest speed, hand on the switch|Reverse from standstill"),
    (r"[Kk]eep the half nuts closed", r"[Oo]pen the half nuts"),
    (r"[Rr]everse the spindle to bring", r"back the (die|tap) off by hand"),
    (r"in the vice", r"fingers clear of the jaws"),
    (r"does not pass the spindle", r"sticks out behind the headstock"),
)
"""What no step may say together: who drives, whether the nuts open, how it comes off, what it is held in."""


def told(made: Plan) -> dict[str, str]:
    """The codes of a plan's notices with their fields."""
    return {notice.code: notice.field for notice in made.notices}


def disagreeing(operation: Operation) -> list[tuple[str, str]]:
    """The pairs of lines of a step that cannot both be true."""
    words = said(operation)
    return [pair for pair in NEVER_TOGETHER if all(re.search(one, words) for one in pair)]


class AnyJob(unittest.TestCase):
    def test_any_job_goes(self) -> None:
        """Both ends, holes from both sides, tapers, fits, single point, heads, thick bar in a small spindle."""
        planned = 0
        for seed in range(JOBS):
            try:
                job = read_document(document(random_job(random.Random(seed))))
            except InvalidDocument:
                continue
            planned += 1
            made = make_plan(job)
            if not made.goes:
                self.assertTrue(all(notice.text.startswith("No plan: ") and notice.field for notice in made.notices))
                continue
            with self.subTest(seed=seed):
                Bench(made).run()
                self.assertEqual(
                    [
                        (operation.key, disagreeing(operation))
                        for operation in made.operations
                        if disagreeing(operation)
                    ],
                    [],
                )
        self.assertGreater(planned, JOBS / 2)

    def test_the_samples(self) -> None:
        for base in ({}, SCREW, TIE_ROD, PLUG, body(bore("1/4-20", depth="3/4"), bore(across="1/8", end="left"))):
            Bench(plan(base)).run()


class OwnLathe(unittest.TestCase):
    """The tests' lathe refuses what it should: a plan whose acts are left out or put in another order."""

    def refused(self, made: Plan, *keys: str) -> str:
        """What it says when only these steps of a plan are done, in this order."""
        bench = Bench(made)
        with self.assertRaises(Refused) as caught:
            for key in keys:
                for act in step(made, key).acts:
                    bench.act(act, key)
            bench.finish()
        return str(caught.exception)

    def test_a_die_before_its_blank(self) -> None:
        self.assertIn("the die meets", self.refused(plan(), "face", "thread"))

    def test_nothing_holds_it(self) -> None:
        self.assertIn("nothing holds it", self.refused(plan(), "turn"))

    def test_a_thread_that_is_never_cut(self) -> None:
        self.assertIn("never cut", self.refused(plan(), "face", "turn", "part-off"))

    def test_a_groove_through_a_finished_thread(self) -> None:
        made = plan(SCREW)
        self.assertIn("finished thread", self.refused(made, "face", "turn:s2", "turn:s1", "thread", "groove"))


class Otherwise(unittest.TestCase):
    def bar(self, across: str, *sections: dict[str, str], **more: Any) -> Plan:
        return plan({**MM, "part.stock.across": across, "part.sections": list(sections)} | more)

    def test_bar_that_does_not_pass_the_spindle_is_sawn(self) -> None:
        """30 mm in a bore of 20: a length for each piece, as long as it stands out and 25 mm in the jaws."""
        thread, rest = section("thread", "20", thread="M24"), section("bar", "60")
        made = self.bar("30", thread, rest, **{"setup.bore": "20", "method.holder": "sliding-by-hand"})
        self.assertEqual((kinds(made)[0], told(made)["bar-over-bore"]), ("saw", "setup.bore"))
        length, out = step(made, "saw").figures["length"].value, step(made, "face").figures["stick_out"].value
        self.assertAlmostEqual(length, out + 25 + 0.5)
        self.assertNotIn("long-bar", [caution.code for caution in step(made, "face").cautions])
        self.assertEqual(made.notices[0].code, "bar-over-bore")
        for bore_of_lathe in ("", "30", "32"):
            passes = self.bar("30", thread, rest, **{"setup.bore": bore_of_lathe})
            self.assertNotIn("saw", kinds(passes))

    def test_a_narrow_blade_does_not_part_thick_bar(self) -> None:
        """2.5 in by a blade of 3/32: ten widths are 23.8 mm, the axis is 31.75 away: sawn blanks."""
        sections = [section("round", "1", across="2"), section("bar", "1")]
        thick = {"part.stock.across": "2.5", "part.overall_length": "", "part.sections": sections}
        made = plan(thick)
        self.assertEqual((kinds(made)[0], told(made)["blade-reach"]), ("saw", "setup.parting_blade"))
        self.assertNotIn("part-off", kinds(made))
        self.assertIn("part-off", kinds(plan(thick | {"setup.parting_blade": "5/32"})))
        ring = plan(thick | {"part.bores": [bore(across="1.5")]})
        self.assertIn("part-off", kinds(ring))

    def test_a_short_hold_wants_a_centre(self) -> None:
        """64 of a Morse taper out of 8 mm that the jaws have of a collar: no tool stands that without a centre."""
        made = self.bar(
            "25",
            section("thread", "15", thread="M12"),
            section("round", "10", across="22"),
            section("taper", "64", taper="MT2"),
        )
        keys = [operation.key for operation in made.operations]
        self.assertLess(keys.index("centre:left"), keys.index("taper:s3"))
        self.assertEqual(told(made)["grip-lever"], "method.support")
        self.assertNotIn("wants-centre", told(made))

    def test_a_thread_is_cut_where_it_is_held(self) -> None:
        """R1/4 in brass takes some 5 N m; three jaws on a tube of 8 mm bored to 5 hold some 4: it is cut on the bar."""
        made = self.bar(
            "17",
            section("round", "15", across="8"),
            section("bar", "6", chamfer="1"),
            section("thread", "14", thread="R1/4"),
            **{"part.stock.form": "hexagon", "part.bores": [bore(across="5")], "material": "brass"},
        )
        self.assertEqual(made.chuckings[0].faces, "left")
        keys = [operation.key for operation in made.operations]
        self.assertLess(keys.index("thread:s3"), keys.index("part-off"))
        self.assertEqual(told(made)["slips"], "part.sections.2.thread")
        self.assertNotIn("turned-about", told(made))

    def test_a_thin_wall_is_drilled_before_the_outside_is_turned(self) -> None:
        shape = [section("round", "30", across="24"), section("bar", "10")]
        for across, first in (("20", "drill:b1"), ("17", "turn:s1")):
            made = self.bar("30", *shape, **{"part.bores": [bore(across=across, depth="25")]})
            keys = [operation.key for operation in made.operations]
            other = "turn:s1" if first == "drill:b1" else "drill:b1"
            self.assertLess(keys.index(first), keys.index(other), across)
            self.assertEqual("thin-wall" in told(made), first == "drill:b1")
        made = self.bar("30", *shape, **{"part.bores": [bore(across="20", depth="25")]})
        (text,) = [notice.text for notice in made.notices if notice.code == "thin-wall"]
        self.assertIn("So it is drilled before", text)

    def test_a_tap_and_a_holder_that_do_not_reach(self) -> None:
        deep = self.bar("20", section("bar", "60"), **{"part.bores": [bore("M3", depth="30")]})
        self.assertEqual(told(deep)["tap-reach"], "part.bores.0.depth")
        self.assertNotIn(
            "tap-reach", told(self.bar("20", section("bar", "60"), **{"part.bores": [bore("M3", depth="9")]}))
        )
        long = self.bar("12", section("thread", "250", thread="M12"))
        self.assertEqual(told(long)["holder-short"], "method.holder")

    def test_what_is_long_behind_the_jaws_passes_the_spindle(self) -> None:
        """A square head on 90 mm of Tr28: held by its collar the thread does not go into a bore of 26, so the head is
        made first; into one of 30 it goes."""
        screw = [
            section("thread", "90", thread="Tr28x5", cut="threading-tool"),
            section("round", "15", across="38"),
            section("square", "15", across="20", round="28"),
        ]
        for bore_mm, swapped in (("26", True), ("30", False)):
            made = self.bar("40", *screw, **{"setup.bore": bore_mm, "setup.leadscrew": "3 mm"})
            self.assertEqual("tail-over-bore" in told(made), swapped)
            self.assertEqual(made.chuckings[0].faces, "left" if swapped else "right")

    def test_a_blank_that_does_not_pass_the_spindle_runs_in_a_steady(self) -> None:
        """Whichever end is first, 30 mm bar does not go into a bore of 26: the chuck holds the far end. Square bar runs
        in no steady, and is told."""
        shape = [section("thread", "40", thread="M20"), section("round", "220", across="24"), section("bar", "30")]
        made = self.bar("30", *shape, **{"setup.bore": "26"})
        self.assertIn("fixed steady", step(made, "face").sentence)
        self.assertIn("Remove the steady", step(made, "carry").sentence)
        self.assertIn("the chuck holds the far end", " ".join(notice.text for notice in made.notices))
        self.assertEqual(
            [notice.text for notice in made.notices if "hold it by its far end instead" in notice.text], []
        )
        for bore_mm, form in (("43", "square"), ("31", "round"), ("26", "square")):
            other = self.bar("30", *shape, **{"setup.bore": bore_mm, "part.stock.form": form})
            self.assertNotIn("fixed steady", step(other, "face").sentence)
            self.assertEqual("tail-over-bore" in told(other), bore_mm == "26")

    def test_a_hole_leaves_a_wall_whenever_it_is_drilled(self) -> None:
        thin = self.bar(
            "10",
            section("round", "20", across="6"),
            section("bar", "10"),
            **{"part.bores": [bore(across="5.7", depth="15")]},
        )
        self.assertIn("no-wall", told(thin))

    def test_jaws_do_not_close_on_a_wire(self) -> None:
        for bar, small in (("2.5", True), ("3", False), ("6", False)):
            made = self.bar(bar, section("bar", "8"))
            self.assertEqual("jaws-small" in told(made), small, bar)

    def test_nothing_is_run_twice_that_goes(self) -> None:
        """The usual plan is taken as it is where it goes."""
        self.assertEqual(plan().work.otherwise, plan(SCREW).work.otherwise)
        self.assertFalse({"slips", "grip-lever", "blade-reach"} & set(told(plan())))


class OneTruth(unittest.TestCase):
    def test_an_end_is_named_so_that_one_finds_it(self) -> None:
        sections = [section("knurl", "8", across="16"), section("round", "12", across="10")]
        made = plan(
            {**MM, "part.stock.across": "16", "part.sections": sections}
            | {"part.bores": [bore("M6", depth="8"), bore(across="2", end="across", at="17")]}
        )
        self.assertIn("the knurled end outward", step(made, "hold").sentence)
        self.assertIn("from the knurled end", step(made, "cross-mark").sentence)

    def test_the_centre_stays_for_a_threading_tool_and_not_for_a_die(self) -> None:
        """A die wants the centre out of its way; a tool on the leadscrew cuts its thread beside it."""
        for cut, drawn_back in (("die", True), ("threading-tool", False)):
            sections = [section("thread", "60", thread="M12", cut=cut), section("bar", "20")]
            wheels = {"setup.leadscrew": "3 mm", "method.support": "centre"}
            made = plan({**MM, "part.stock.across": "20", "part.sections": sections} | wheels)
            self.assertEqual("Draw it back for the die" in said(step(made, "centre")), drawn_back)

    def test_no_mate_is_tried_before_every_start_is_cut(self) -> None:
        for cut in ("Tr40x14(P7)", "Tr40x7"):
            thread = section("thread", "80", thread=cut, cut="threading-tool")
            made = plan({**MM, "part.stock.across": "45", "part.sections": [thread, section("bar", "30")]})
            self.assertEqual("try the mating part" in said(step(made, "screwcut")), cut == "Tr40x7")
            if cut != "Tr40x7":
                self.assertIn("After the last, try the mating part", said(step(made, "index")))

    def test_the_next_start_by_the_first_wheel(self) -> None:
        """80 teeth for two starts: 40 teeth on; a screw of 29 teeth and no share moves the slide along, straight in."""
        thread = section("thread", "80", thread="Tr40x14(P7)", cut="threading-tool")
        wheels = {"setup.leadscrew": "3 mm", "setup.gears": "20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 75, 80"}
        changes = {**MM, "part.stock.across": "45", "part.sections": [thread, section("bar", "20")]} | wheels
        made = plan(changes)
        index = step(made, "index")
        self.assertEqual(index.figures["teeth"].value * 2, index.figures["wheel"].value)
        cut = step(made, "screwcut")
        self.assertIn("Turn the spindle by hand", cut.sentence)
        self.assertEqual(cut.cautions[0].code, "chase-by-hand")
        alone = plan(changes | {"setup.gears": ""})
        self.assertEqual(step(alone, "index").headline, "pitch")
        self.assertAlmostEqual(step(alone, "index").figures["pitch"].value, 7.0)
        self.assertNotIn("compound", step(alone, "gear").figures)
        self.assertIn("parallel to the bed", step(alone, "gear").sentence)

    def test_acme_has_its_own_clearance(self) -> None:
        """ASME B1.5: 0.010 in up to 10 threads an inch, 0.005 in for finer ones."""
        for thread, root in (("1-5 Acme", 0.780), ("1/2-10 Acme", 0.380), ("3/8-12 Acme", 0.375 - 1 / 12 - 0.010)):
            sections = [section("thread", "2", thread=thread, cut="threading-tool"), section("bar", "1")]
            made = plan({"part.stock.across": "1-1/8", "part.overall_length": "", "part.sections": sections})
            gear = step(made, "gear")
            blank = made.work.threads[0].thread.major
            self.assertAlmostEqual(blank - 2 * gear.figures["depth"].value, root, places=3)
            self.assertLess(step(made, "groove").figures["diameter"].value, root)
            self.assertLess(step(made, "chamfer").figures["diameter"].value, root)

    def test_a_trapezoidal_nut_is_planned(self) -> None:
        """Tr12x3: bored to 9, cut until its roots stand at 12.5."""
        sections = [section("round", "25", across="28")]
        nut = {"part.sections": sections, "part.bores": [bore("Tr12x3", cut="boring-tool")]}
        made = plan({**MM, "part.stock.across": "30"} | nut)
        self.assertAlmostEqual(step(made, "bore").figures["bore"].value, 9.0)
        self.assertAlmostEqual(9.0 + 2 * step(made, "chase").figures["depth"].value, 12.5, places=3)
        with self.assertRaises(InvalidDocument) as caught:
            plan({**MM, "part.stock.across": "30", "part.sections": sections, "part.bores": [bore("Tr12x3")]})
        self.assertIn("inside threading tool", str(caught.exception))

    def test_a_thread_between_two_shoulders(self) -> None:
        """16, M12, 25: no die and no nut gets there; a tool does, between two grooves, and wires measure it."""
        shape = [section("round", "10", across="16"), section("thread", "20", thread="M12"), section("bar", "15")]
        base = {**MM, "part.stock.across": "25", "part.sections": shape}
        with self.assertRaises(InvalidDocument):
            plan(base)
        made = plan(base | {"part.sections.1.cut": "threading-tool"})
        order = [operation.key for operation in made.operations if operation.key.endswith(":s2")]
        self.assertEqual(order, ["neck:s2", "groove:s2", "start-groove:s2", "gear:s2", "screwcut:s2", "gauge:s2"])
        self.assertNotIn("nut:", step(made, "gauge").sentence)
        self.assertIn("three wires", step(made, "gauge").sentence)
        self.assertEqual(told(made)["full-thread"], "part.sections.1.length")

    def test_a_bush_is_finished_when_it_is_pressed_in(self) -> None:
        shape = [section("round", "30", across="22", fit="press")]
        for by, kind in (("reamer", "ream:b1"), ("boring-tool", "bore:b1")):
            hole = bore(across="16", fit="close-running", by=by)
            made = plan({**MM, "part.stock.across": "25", "part.sections": shape, "part.bores": [hole]})
            keys = [operation.key for operation in made.operations]
            self.assertEqual(keys[-2:], ["join:s1", kind])
            self.assertLess(keys.index("drill:b1"), keys.index("part-off"))
            self.assertIn("press", [caution.code for caution in step(made, "join").cautions])
            self.assertNotIn("press", [caution.code for caution in step(made, "turn").cautions])

    def test_a_recess_has_a_step_and_the_chips_their_caution(self) -> None:
        made = plan(body(bore("1-1/2-8 UN", depth="1", cut="boring-tool"), **{"part.stock.across": "3"}))
        self.assertLess(kinds(made).index("recess"), kinds(made).index("chase"))
        self.assertAlmostEqual(step(made, "recess").figures["wide"].value, 2 / 8)
        for metal in ("mild-steel", "brass", "cast-iron"):
            turned = step(plan({"material": metal}), "turn")
            self.assertIn("swarf", [caution.code for caution in turned.cautions])
        self.assertIn("Cover your eyes", said(step(plan({"material": "brass"}), "turn")))

    def test_a_lead_that_ends_above_the_root_is_told(self) -> None:
        """3/8-16: from a blank of .369 to its root at .297 the lead takes .036 each way; .005 catches late."""
        for chamfer, field in (("0.005", "part.sections.0.chamfer"), ("0.040", None), ("", None)):
            made = plan({"part.sections.0.chamfer": chamfer})
            self.assertEqual(told(made).get("lead-shallow"), field, chamfer)

    def test_left_hand_and_many_starts_say_that_they_are_less_proven(self) -> None:
        self.assertEqual(told(plan({"part.sections.0.thread": "3/8-16 LH"}))["less-proven"], "part.sections.0.thread")
        self.assertNotIn("less-proven", told(plan()))

    def test_a_long_fit_is_measured_at_both_ends(self) -> None:
        """12 h6 over 200 is measured in two places; over 30 in one."""
        for long, sizes in (("200", ["diameter", "far-end"]), ("30", ["diameter"])):
            rod = [section("round", long, across="12", fit="slide"), section("bar", "10")]
            made = plan({**MM, "part.stock.across": "16", "part.sections": rod})
            turned = next(operation for operation in made.operations if operation.title == "Turn to the fit")
            self.assertEqual(
                [dimension.measured for dimension in turned.dimensions if dimension.measured != "length"], sizes
            )
            self.assertEqual("both ends before the last cut" in said(turned), long == "200")

    def test_roughing_is_no_thread_and_wheels_that_step_up_are_turned_by_hand(self) -> None:
        """1-8 out of steel is roughed before its die or tap: without them the thread is missing. 3.175 mm a turn by a
        leadscrew of 1 mm steps up more than three times."""
        wheels = {"setup.leadscrew": "1 mm", "setup.gears": "20, 25, 30, 35, 40, 50, 60, 63, 65, 70, 80"}
        outside = {"part.stock.across": "1-1/2", "part.sections.0.thread": "1-8", "part.sections.0.length": "1-1/2"}
        inside = {**body(bore("1-8")), "part.stock.across": "2"}
        for changes, rough, last, made_of in ((outside, "rough", "thread", "s1"), (inside, "rough-bore", "tap", "b1")):
            made = plan(changes | wheels)
            self.assertEqual(step(made, rough).cautions[0].code, "chase-by-hand")
            self.assertEqual(disagreeing(step(made, rough)), [])
            self.assertNotIn("speed", step(made, rough).figures)
            left = [operation for operation in made.operations if operation.key.partition(":")[0] != last]
            self.assertEqual(
                [breach.made for breach in run_of(made.work, left).breaches if breach.code == "not-made"], [made_of]
            )
            self.assertEqual(run_of(made.work, made.operations).breaches, ())
            closed = step(plan(changes | {"setup.leadscrew": "6 mm"}), rough)
            self.assertIn("speed", closed.figures)
            self.assertTrue(any(act.ends_backward for act in closed.acts))
        chased = {**body(bore("1-8", cut="tap-as-chaser")), "part.stock.across": "2"}
        by_hand, driven = step(plan(chased | wheels), "chase"), step(plan(chased), "chase")
        self.assertEqual((by_hand.cautions[0].code, "speed" in by_hand.figures), ("chase-by-hand", False))
        self.assertEqual((driven.cautions[0].code, "speed" in driven.figures), ("chase", True))

    def test_the_spindle_is_seen_to_run_forward_after_it_was_reversed(self) -> None:
        """A die backed off under power, nuts that stay closed: then the blade must not meet work that runs backward."""

        def warned(changes: dict[str, Any]) -> list[str]:
            steps = plan(changes).operations
            return [
                operation.key for operation in steps if "forward" in [caution.code for caution in operation.cautions]
            ]

        slow = {"setup.speeds": "20, 45, 110", "material": "brass", "part.sections.0.thread": "1/4-20"}
        power = {"method.holder": "keyed-power"} | slow
        self.assertEqual(warned(power | {"setup.mount": "locked"}), ["part-begin"])
        self.assertEqual(warned(power | {"setup.mount": "screwed"}), [])
        self.assertEqual(warned({}), [])
        closed = {"part.sections.0.cut": "threading-tool", "part.sections.0.thread": "M8", "setup.leadscrew": "8 tpi"}
        self.assertEqual(warned(closed), ["part-begin"])

    def test_a_drill_and_a_bar_that_do_not_reach(self) -> None:
        """A jobber drill of 2 mm has 24 mm of flute, one of 9 mm 81 (DIN 338)."""
        for across, deep, long in (("2", "40", True), ("2", "20", False), ("9", "70", False), ("9", "85", True)):
            changes = {**MM, "part.stock.across": "30", "part.sections": [section("bar", "110")]}
            made = plan(changes | {"part.bores": [bore(across=across, depth=deep)]})
            self.assertEqual("drill-reach" in told(made), long, (across, deep))
        shape = {**MM, "part.stock.across": "30", "part.sections": [section("bar", "110")]}
        for by, springs in (("boring-tool", True), ("reamer", False)):
            fitted = plan(shape | {"part.bores": [bore(across="12", fit="running", by=by)]})
            self.assertEqual("bar-springs" in told(fitted), springs, by)

    def test_what_is_put_on_the_tool(self) -> None:
        """The shop's own; dry is a school in brass and plastic, and a fault in steel."""
        for metal, oil, says in (
            ("mild-steel", "", "sulphurised cutting oil"),
            ("mild-steel", "lard oil", "Lubricant: lard oil."),
            ("brass", "dry", "none (cut dry)"),
        ):
            made = plan({"material": metal, "method.lubricant": oil})
            self.assertIn(says, said(step(made, "thread")))
            self.assertNotIn("runs-dry", told(made))
        dry = plan({"material": "mild-steel", "method.lubricant": "dry"})
        self.assertEqual(told(dry)["runs-dry"], "method.lubricant")
        self.assertNotIn("oil at each bite", said(step(dry, "thread")))

    def test_flats_before_the_thread(self) -> None:
        """So chosen, the flats are milled on the bar before the die goes on: no burr is left in the thread."""
        shape = {"part.sections": [section("thread", "20", thread="M8"), section("flats", "10", across="10")]}
        base = {**MM, "part.stock.across": "16"} | shape
        for when, before in (("before-thread", True), ("on-the-bar", False), ("after", False)):
            keys = [operation.key for operation in plan(base | {"method.milling": when}).operations]
            self.assertEqual(keys.index("flats:s2") < keys.index("thread:s1"), before, when)

    def test_acts_done_again_give_the_drawing(self) -> None:
        """What the acts of random jobs leave is the outline that is drawn of the finished part, in the middle of each
        plain section."""
        seen = 0
        for seed in range(300):
            try:
                made = make_plan(read_document(document(random_job(random.Random(seed)))))
            except InvalidDocument:
                continue
            if made.goes:
                seen += self.check_outline(made)
        self.assertGreater(seen, 100)

    def check_outline(self, made: Plan) -> int:
        """How many sections were compared: the acts' metal, and the drawing's side, in their middles."""
        bench = Bench(made)
        bench.run()
        first = made.chuckings[0]
        layout = lay_out(first, WIDE, 0, 0)
        drawn = stretches(side(layout, replace(first, here=len(first.placed))))
        compared = 0
        for placed in first.placed:
            if placed.section.shape != "round":
                continue
            middle = (placed.near_mm + placed.far_mm) / 2
            place = middle if first.faces == "right" else made.job.part.overall_mm - middle
            nearest = min(range(len(bench.places)), key=lambda n: abs(bench.places[n] - place))
            (line,) = [one for one in drawn if one.near <= middle < one.far][:1]
            self.assertAlmostEqual(bench.outer[nearest], line.at(middle), delta=0.06, msg=placed.section.id)
            compared += 1
        return compared

    def test_a_centre_hole_leaves_metal_in_a_pointed_end(self) -> None:
        """A cone of 60 degrees over 7 mm comes down from 12 to 3.9 mm and takes a centre hole; over 9 mm to 1.6, which
        takes none: that part is drawn out in steps."""
        for long, centred in (("7", True), ("9", False)):
            point = section("taper", long, across="12", taper="60°")
            shape = [point, section("round", "60", across="12", fit="slide"), section("bar", "10")]
            made = plan({**MM, "part.stock.across": "16", "part.sections": shape})
            self.assertEqual("centre" in kinds(made), centred)
            if centred:
                self.assertLess(step(made, "centre").figures["cone"].value, 0.8 * (12 - 7 * 1.1547))
            else:
                self.assertIn("too thin for a centre", said(step(made, "carry")))
            self.assertNotIn("centre-wide", told(made))
            self.assertIn("Turn to the fit", [operation.title for operation in made.operations])

    def test_a_square_bar_wants_four_jaws_and_a_mouth_is_sunk_once(self) -> None:
        square = {"part.stock.form": "square", "part.stock.across": "16"}
        made = plan({**MM, "part.sections": [section("thread", "20", thread="M10"), section("bar", "30")]} | square)
        self.assertIn("four-jaw chuck", said(step(made, "face")))
        deep = [bore(across="12", depth="58", taper="MT1"), bore("M6", end="right")]
        shank = {"part.sections": [section("round", "70", across="28")], "part.bores": deep}
        both = plan({**MM, "part.stock.across": "30"} | shank)
        sunk = [operation.key for operation in both.operations if "ountersink" in said(operation)]
        self.assertEqual(sunk, ["countersink:b2"])

    def test_flats_have_a_round_of_their_own(self) -> None:
        shape = [section("round", "20", across="12"), section("flats", "10", across="10"), section("bar", "10")]
        base = {**MM, "part.stock.across": "20", "part.sections": shape}
        self.assertEqual(plan(base).work.turned_mm(1), 20.0)
        self.assertEqual(plan(base | {"part.sections.1.round": "14"}).work.turned_mm(1), 14.0)
        with self.assertRaises(InvalidDocument) as caught:
            plan(base | {"part.sections.1.round": "9"})
        self.assertIn("do not cut into a round", str(caught.exception))
        fitted = base | {"part.sections.0.fit": "slide", "part.sections.1.round": "12"}
        self.assertIn("Turn to the fit", [operation.title for operation in plan(fitted).operations])

    def test_a_hole_is_begun_only_where_facing_leaves_it(self) -> None:
        """A ring bored two turns past itself: of 2.5 mm, kerf and facing take 2.9. A tap's lead and chips take 6."""
        ring = body(bore("1-5/16-20 UN", cut="boring-tool"), **{"part.overall_length": "3/8", "quantity": 3})
        thick = {"part.stock.across": "1-3/4"}
        self.assertNotIn("already started", said(step(plan(ring | thick), "bore")))
        tapped = body(bore("1/4-20"), **{"part.overall_length": "1", "quantity": 3})
        self.assertIn("already started", said(step(plan(tapped), "drill")))
        self.assertNotIn("already started", said(step(plan(tapped | {"setup.bore": "3/4"}), "drill")))


class ByItsFigures(unittest.TestCase):
    """What the hand makes that goes by the figures of a step is what its act takes, and the drawing shades."""

    def test_of_random_jobs(self) -> None:
        """Blades touched off by either edge, dials of either kind."""
        compared = 0
        for seed in range(250):
            dice = random.Random(seed)
            changes = random_job(dice) | {
                "setup.groove_edge": dice.choice(("left", "right")),
                "setup.parting_edge": dice.choice(("left", "right")),
                "setup.dial": dice.choice(("diameter", "radius")),
            }
            try:
                made = make_plan(read_document(document(changes)))
            except InvalidDocument:
                continue
            for operation in made.operations:
                self.assertEqual(differs(operation, made), "", seed)
                compared += made_by_hand(operation, made) is not None
        self.assertGreater(compared, 500)

    def test_of_necks(self) -> None:
        """Plunged, turned along, to a fit, and the blank of a knurl, which is smaller than the knurl."""
        for neck in (
            section("round", "4", across="12"),
            section("round", "30", across="12"),
            section("round", "30", across="12", fit="running"),
            section("knurl", "30", across="13.4", pitch="1"),
            section("thread", "20", thread="M10", cut="threading-tool"),
        ):
            for edge in ("left", "right"):
                parts = [section("round", "15", across="14"), neck, section("bar", "15")]
                made = plan({**MM, "part.stock.across": "16", "part.sections": parts, "setup.groove_edge": edge})
                (own,) = [operation for operation in made.operations if operation.kind == "neck"]
                self.assertIsNotNone(made_by_hand(own, made))
                self.assertEqual(
                    [differs(operation, made) for operation in made.operations if differs(operation, made)], []
                )
