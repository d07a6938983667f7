"""A thread cut single point: the steps of it, from the gears to what the nut says."""

from __future__ import annotations

import math
import unittest
from typing import Any

from lathework.bench.acts.die import setting_entry
from lathework.bench.bench import Bench
from lathework.bench.entry import CUT_AGAIN, Entry
from lathework.bench.entry_words import said
from lathework.errors import InputError, InvalidDocument
from lathework.job.document import read_document
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.tests.samples import TIE_ROD, body, bore, document, plan, section, step
from lathework.tests.test_bench import at
from lathework.threads.designation import read_designation
from lathework.threads.limits import internal_limits

SINGLE: dict[str, Any] = {"part.sections.0.cut": "threading-tool"}
WHEELS = "20,30,40,40,50,60,65,80"


class Steps(unittest.TestCase):
    def test_in_place_of_the_die(self) -> None:
        keys = [operation.key for operation in plan(SINGLE).operations]
        self.assertEqual(keys[keys.index("gear:s1") :][:3], ["gear:s1", "screwcut:s1", "gauge:s1"])
        self.assertNotIn("thread:s1", keys)

    def test_each_section_for_itself(self) -> None:
        """One end by its die, the other single point."""
        sections = [
            section("thread", "1", thread="3/8-16", cut="threading-tool"),
            section("bar"),
            section("thread", "1", thread="3/8-24"),
        ]
        keys = [operation.key for operation in plan(TIE_ROD | {"part.sections": sections}).operations]
        self.assertIn("screwcut:s1", keys)
        self.assertIn("thread:s3", keys)

    def test_what_is_dialled(self) -> None:
        """3/8-16 class 2A: pitch diameter 0.3287 to 0.3331, middle 0.3309 (ASME B1.1); blank 0.36875. Depth: (0.36875 -
        0.3309)/2 + (1/32 - 1/256)/tan 30... with a flat of P/8; on the compound over cos 29.5, straight in twice."""
        deep = (0.36875 - 0.3309) / 2 + (0.0625 / 2 - 0.0625 / 8) / (2 * 0.577350)
        made = plan(SINGLE)
        self.assertAlmostEqual(step(made, "gear:s1").figures["depth"].value, deep, places=4)
        self.assertAlmostEqual(step(made, "screwcut:s1").figures["infeed"].value, deep / 0.870356, places=4)
        straight = plan(SINGLE | {"method.infeed": "straight"})
        self.assertAlmostEqual(step(straight, "screwcut:s1").figures["infeed"].value, 2 * deep, places=4)
        self.assertNotIn("compound", step(straight, "gear:s1").figures)

    def test_to_a_mate_that_was_measured(self) -> None:
        """A mate of 0.338 across its flanks: 0.0036 over basic, less 15 + 11 P micrometres; by half of it less deep."""
        worn = {"method.blank_school": "mate-takes", "method.mate_minor": "0.312", "method.mate_pitch": "0.338"}
        made = plan(SINGLE | worn)
        aim = 0.3344 + min(0.338 - 0.3344, 0.312 - 0.3073) - (0.015 + 0.011 * 1.5875) / 25.4
        blank = made.work.threads[0].blank_mm / 25.4
        deep = (blank - aim) / 2 + (0.0625 / 2 - 0.0625 / 8) / (2 * 0.577350)
        self.assertAlmostEqual(step(made, "gear:s1").figures["depth"].value, deep, places=4)

    def test_a_left_hand_pass_begins_in_the_groove(self) -> None:
        made = plan(SINGLE | {"part.sections.0.thread": "3/8-16 LH"})
        self.assertIn("Start each pass in the groove", step(made, "screwcut:s1").sentence)

    def test_a_tool_as_it_was_ground(self) -> None:
        """A sharp point goes (P/8)/(2 tan 30) deeper than the flat one, and is warned of."""
        usual, sharp = plan(SINGLE), plan(SINGLE | {"method.point": "sharp"})
        more = step(sharp, "gear:s1").figures["depth"].value - step(usual, "gear:s1").figures["depth"].value
        self.assertAlmostEqual(more, 0.0625 / 8 / (2 * 0.577350), places=6)
        self.assertTrue(any("weak root" in note for note in step(sharp, "gear:s1").notes))

    def test_the_speed_leaves_time_to_react(self) -> None:
        """Half a second at the speed told goes no further than the groove is wide; without one, no more than a turn."""
        for finish in ("groove", "run-out"):
            made = plan(SINGLE | {"method.finish": finish, "material": "brass"})
            cut = step(made, "screwcut:s1")
            travelled = cut.figures["speed"].value / 60 * 0.5 * 0.0625
            room = made.work.threads[0].groove_width_mm / 25.4 if finish == "groove" else 0.0625
            self.assertLessEqual(travelled, room + 1e-9)

    def test_on_the_lathe_whatever_holds_dies(self) -> None:
        made = plan(SINGLE | {"method.holder": "stock-in-vise"})
        keys = [operation.key for operation in made.operations]
        self.assertLess(keys.index("screwcut:s1"), keys.index("part-off"))

    def test_a_tapering_thread_follows_an_attachment(self) -> None:
        """1/16 on 2 in between centres: the tailstock goes over by 2/16/2."""
        made = plan(SINGLE | {"part.sections.0.thread": "R1/4", "part.stock.across": "3/4"})
        self.assertAlmostEqual(step(made, "gear:s1").figures["set_over"].value, 0.0625)
        self.assertIn("another pass", " ".join(step(made, "gauge:s1").notes))

    def test_a_thread_that_no_die_cuts(self) -> None:
        """Tr12x3 with 0.25 mm of clearance (ISO 2901): to a root of 8.5 mm, in by 1.75; its nut says when it fits."""
        made = plan(SINGLE | {"part.sections.0.thread": "Tr12x3", "fits": "the feed nut"})
        self.assertAlmostEqual(step(made, "gear:s1").figures["depth"].value, (12 - 8.5) / 2, places=3)
        self.assertIn("the feed nut", step(made, "gauge:s1").sentence)
        self.assertNotIn("wires", " ".join(step(made, "screwcut:s1").notes))
        keys = [operation.key for operation in made.operations]
        before = [Entry("done", 1, one) for one in keys[: keys.index("gauge:s1")]]
        now = at(*before, Entry("verdict", 1, "gauge:s1", word="binds"), made=made)
        assert now.advice is not None
        self.assertEqual(now.advice.again, "Cut deeper")
        with self.assertRaises(InvalidDocument) as caught:
            read_document(document({"part.sections.0.thread": "Tr12x3"}))
        self.assertEqual([error.field for error in caught.exception.errors], ["part.sections.0.thread"])

    def test_nothing_of_the_die_is_said(self) -> None:
        for change in ({}, {"part.sections.0.thread": "3/8-16 LH"}, {"part.sections.0.thread": "R1/4"}):
            made = plan({"part.stock.across": "3/4"} | SINGLE | change)
            for operation in made.operations:
                told = " ".join((operation.title, operation.sentence, operation.tool, *operation.notes))
                self.assertNotRegex(told, r"\b[Dd]ie\b", operation.key)


class Chaser(unittest.TestCase):
    """A die chaser held as a tool: a full form, whatever the diameter."""

    CHASER = SINGLE | {"method.point": "chaser"}

    def test_it_goes_to_the_form(self) -> None:
        """BS 84: 0.6403 P from a blank of full size; here from the blank as turned, to the middle of the class."""
        made = plan(self.CHASER | {"part.sections.0.thread": "3/8 BSW", "method.blank_school": "nominal"})
        thread = made.work.threads[0]
        assert thread.limits is not None
        middle = (thread.limits.pitch_diameter.minimum + thread.limits.pitch_diameter.maximum) / 2
        deep = (0.375 - middle) / 2 + 0.640327 / 16 / 2
        self.assertAlmostEqual(step(made, "gear:s1").figures["depth"].value, deep, places=4)
        self.assertIn("cannot turn", step(made, "gear:s1").sentence)

    def test_a_taper_in_one_pass_in_soft_metal_alone(self) -> None:
        pipe = {"part.sections.0.thread": "R1/4", "part.stock.across": "3/4"}
        brass = plan(self.CHASER | pipe | {"material": "brass"})
        self.assertEqual(len(step(brass, "screwcut:s1").passes), 1)
        self.assertNotIn("set_over", step(brass, "gear:s1").figures)
        steel = plan(self.CHASER | pipe)
        self.assertGreater(len(step(steel, "screwcut:s1").passes), 5)
        self.assertIn("set_over", step(steel, "gear:s1").figures)


class Gearing(unittest.TestCase):
    def test_the_wheels_of_the_lathe(self) -> None:
        made = plan(SINGLE | {"setup.leadscrew": "8 tpi", "setup.gears": WHEELS})
        gear = step(made, "gear:s1")
        self.assertIn("drives", gear.sentence)
        self.assertIn("Close the half nuts at any point.", gear.notes)

    def test_none_that_cuts_it(self) -> None:
        made = plan(SINGLE | {"setup.leadscrew": "8 tpi", "setup.gears": "20, 60", "part.sections.0.thread": "M10"})
        self.assertTrue(any(note.startswith("No train of") for note in step(made, "gear:s1").notes))

    def test_one_that_is_not_exact_keeps_the_nuts_closed(self) -> None:
        wheels = {"setup.leadscrew": "8 tpi", "setup.gears": "63, 80, 80, 40"}
        made = plan(SINGLE | wheels | {"part.sections.0.thread": "M8"})
        gear = step(made, "gear:s1")
        self.assertIn("per_hundred", gear.figures)
        self.assertTrue(any(note.startswith("Keep the half nuts closed") for note in gear.notes))

    def test_a_gearbox_that_gives_it(self) -> None:
        """No wheels are changed; one that does not give it is geared for."""
        box = {"setup.leadscrew": "8 tpi", "setup.gearbox": "14, 16, 18 tpi; 1, 1.5 mm", "setup.gears": WHEELS}
        for thread, told in (("3/8-16", "Set the gearbox to 16 tpi"), ("M10", "Set the gearbox to 1.5 mm")):
            gear = step(plan(SINGLE | box | {"part.sections.0.thread": thread}), "gear:s1")
            self.assertIn(told, gear.sentence)
        self.assertIn("drives", step(plan(SINGLE | box | {"part.sections.0.thread": "3/8-24"}), "gear:s1").sentence)
        with self.assertRaises(InvalidDocument) as caught:
            read_document(document(SINGLE | {"setup.gearbox": "8, 9; 10 tpi"}))
        self.assertEqual([error.field for error in caught.exception.errors], ["setup.gearbox"])

    def wrong(self, changes: dict[str, Any]) -> list[str]:
        with self.assertRaises(InvalidDocument) as caught:
            read_document(document(SINGLE | changes))
        return [error.field for error in caught.exception.errors]

    def test_each_of_them_is_told_where_it_stands(self) -> None:
        both = {"setup.leadscrew": "8", "setup.gearbox": "8, 9; 10 tpi"}
        self.assertEqual(self.wrong(both), ["setup.leadscrew", "setup.gearbox"])

    def test_what_is_counted_comes_whole(self) -> None:
        """No wheel has half a tooth, and none is cut down to one that has none."""
        self.assertEqual(self.wrong({"setup.gears": "20, 40.5"}), ["setup.gears"])
        self.assertEqual(self.wrong({"setup.dial_teeth": "16.5", "setup.dial_lines": "4"}), ["setup.dial_teeth"])

    def test_a_dial_is_its_wheel_and_its_lines(self) -> None:
        self.assertEqual(self.wrong({"setup.dial_lines": "4"}), ["setup.dial_teeth"])
        self.assertEqual(self.wrong({"setup.dial_teeth": "16"}), ["setup.dial_lines"])

    def test_a_leadscrew_in_no_unit(self) -> None:
        for typed in ("8", "8 x", "0 tpi", "1/0 in", "400 tpi"):
            with self.subTest(typed=typed), self.assertRaises(InvalidDocument) as caught:
                read_document(document(SINGLE | {"setup.leadscrew": typed}))
            self.assertEqual([error.field for error in caught.exception.errors], ["setup.leadscrew"])


class Nut(unittest.TestCase):
    def tried(self, made: Plan, *said: Entry) -> Bench:
        done = [Entry("done", 1, operation.key) for operation in made.operations if operation.key != "gauge:s1"]
        before = done[: [operation.key for operation in made.operations].index("gauge:s1")]
        return at(*before, *said, made=made)

    def test_it_binds_until_it_is_deep_enough(self) -> None:
        """Binds: some 0.03 P too large across the flanks, so 0.015 P deeper, over cos 29.5 on the compound."""
        made = plan(SINGLE)
        now = self.tried(made, Entry("verdict", 1, "gauge:s1", word="binds"))
        assert now.advice is not None and now.advice.more is not None
        self.assertAlmostEqual(now.advice.more.value, 0.015 * 0.0625 / 0.870356, places=6)
        self.assertEqual(now.causes, ())
        entry = setting_entry(now)
        self.assertEqual((entry.word, entry.eighths), (CUT_AGAIN, None))

    def test_too_loose_is_too_late(self) -> None:
        now = self.tried(plan(SINGLE), Entry("verdict", 1, "gauge:s1", word="loose"))
        assert now.advice is not None
        self.assertFalse(now.advice.recut)
        self.assertIn("metal cannot be put back", now.advice.order)


class Inside(unittest.TestCase):
    """1-1/2-18 UNS, half an inch deep in the face of 2-1/4 bar, its bore as large as its class allows for."""

    BLIND = body(bore("1-1/2-18", depth="1/2", cut="boring-tool"), **{"part.stock.across": "2-1/4"})

    def chased(self, changes: dict[str, Any]) -> Operation:
        made = step(plan(self.BLIND | changes), "chase")
        assert made is not None
        return made

    def test_what_is_dialled(self) -> None:
        """Basic pitch diameter 1.5 - 0.649519 / 18 = 1.4639; 2B gives it 0.0062 (B1.1: TD2 = 1.3 Td2), middle 1.4670.
        A flat of P/8 is short of a sharp point by that over 2 tan 30; drawn out along 29.5 degrees."""
        one = self.chased({})
        bore_inch = next(given.value for given in one.figures["depth"].inputs if given.name == "bore")
        pitch = 1 / 18
        limits = internal_limits(read_designation("1-1/2-18"))
        assert limits is not None
        middle = (limits.pitch_diameter.minimum + limits.pitch_diameter.maximum) / 2
        self.assertAlmostEqual(limits.pitch_diameter.minimum, 1.4639, places=4)
        deep = (middle - bore_inch) / 2 + (pitch / 4 - pitch / 16) / math.tan(math.radians(30))
        self.assertAlmostEqual(one.figures["depth"].value, deep, places=6)
        self.assertAlmostEqual(one.figures["infeed"].value, deep / math.cos(math.radians(29.5)), places=6)
        self.assertAlmostEqual(one.passes[-1].value, one.figures["infeed"].value)
        self.assertIn("handle toward the headstock", one.sentence)
        straight = self.chased({"method.infeed": "straight"})
        self.assertAlmostEqual(straight.figures["infeed"].value, 2 * deep, places=6)
        self.assertNotIn("compound", straight.sentence)

    def test_the_hand_opens_the_nuts_in_the_recess(self) -> None:
        """Two pitches of it, half a second: 60 x 2 P / (0.5 P) = 240 rev/min at most, whatever the metal bears; a left
        hand runs off the mouth."""
        soft = {"material": "brass", "setup.speeds": ""}
        self.assertLessEqual(self.chased(soft).figures["speed"].value, 240)
        opened = self.chased(soft | {"setup.leadscrew": "18 tpi"}).sentence
        self.assertIn("In the recess open the half nuts", opened)
        # Closed, they carry the tool on while the spindle runs down: nobody stops it in two pitches.
        closed = self.chased(soft).sentence
        self.assertIn("Switch off before the recess", closed)
        self.assertIn("turn it by hand until the tool is in the recess", closed)
        left = self.chased({"part.bores": [bore("1-1/2-18 LH", depth="1/2", cut="boring-tool")]})
        self.assertIn("Start each pass in the recess", left.sentence)
        self.assertIn("handle toward the tailstock", left.sentence)

    def test_a_screw_that_binds_wants_it_deeper(self) -> None:
        made = plan(self.BLIND)
        keys = [operation.key for operation in made.operations]
        before = [Entry("done", 1, key) for key in keys[: keys.index("try:b1")]]
        now = at(*before, Entry("verdict", 1, "try:b1", word="binds"), made=made)
        assert now.advice is not None and now.advice.more is not None
        self.assertEqual((now.advice.recut, now.causes), (True, ()))
        self.assertIn("screw", now.advice.order)
        self.assertIn("out on the top slide", now.advice.more.name)
        self.assertEqual(setting_entry(now).word, CUT_AGAIN)

    def test_a_tap_held_as_a_tool_goes_by_its_own_form(self) -> None:
        made = self.chased({"part.bores": [bore("1-1/2-18", depth="1/2", cut="tap-as-chaser")]})
        self.assertIn("full", made.figures)
        self.assertEqual(made.passes_told, "by the diameter each leaves")
        self.assertEqual(self.chased({}).passes_told, "by what the dial reads")


class Head(unittest.TestCase):
    """At the bench a head is set by its scale, and never spoken of as a die with screws."""

    MADE = plan({"part.sections.0.cut": "die-head", "setup.head_graduation": "0.02 mm"})

    def at_step(self, key: str, *entries: Entry) -> Bench:
        keys = [operation.key for operation in self.MADE.operations]
        before = [Entry("done", 1, one) for one in keys[: keys.index(key)]]
        return at(*before, *entries, made=self.MADE)

    def test_before_it_runs(self) -> None:
        now = self.at_step("thread:s1")
        assert now.preset is not None
        self.assertEqual(now.preset.scale.by, "graduations")
        self.assertNotIn("screw", now.preset.scale.set_order(now.preset.eighths))
        entry = setting_entry(now, "-3")
        self.assertEqual((entry.word, entry.eighths), ("set-head", -3.0))
        self.assertEqual(said(entry.kind, entry.word, entry.eighths, ""), "set: closed 3 graduations")
        with self.assertRaises(InputError):
            setting_entry(now, "-30")

    def test_too_tight_closes_it_by_its_scale(self) -> None:
        """What is learned of it stands with the chasers: the setting said before is where it moves from."""
        set_to = Entry("setting", 1, "thread:s1", word="set-head", eighths=2.0)
        now = self.at_step("gauge:s1", set_to, Entry("verdict", 1, "gauge:s1", word="will-not-start"))
        assert now.advice is not None and now.advice.eighths is not None
        self.assertEqual((now.advice.move, now.advice.middle), ("close", ""))
        self.assertEqual(now.advice.eighths.unit, "graduation")
        self.assertEqual(now.opened_eighths, 2.0)
        entry = setting_entry(now)
        self.assertEqual(entry.word, "close-head")
        after = self.at_step("gauge:s1", set_to, Entry("verdict", 1, "gauge:s1", word="will-not-start"), entry)
        assert entry.eighths is not None
        self.assertEqual(after.opened_eighths, 2.0 - entry.eighths)

    def test_the_same_thread_by_a_die_is_another(self) -> None:
        """Chasers without an id are no die of that thread: neither stands where the other does."""
        sections = [
            section("thread", "1", thread="3/8-16", cut="die-head"),
            section("bar"),
            section("thread", "1", thread="3/8-16"),
        ]
        made = plan(TIE_ROD | {"part.sections": sections})
        keys = [operation.key for operation in made.operations]
        done = [Entry("done", 1, one) for one in keys[: keys.index("thread:s3")]]
        now = at(Entry("setting", 1, "thread:s1", word="set-head", eighths=5.0), *done, made=made)
        self.assertEqual(now.opened_eighths, 0.0)
