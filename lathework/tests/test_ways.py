"""The ways of making a thread: each keeps the contract, the choice among them is sound, a job takes what it says."""

from __future__ import annotations

import math
import re
import unittest
from dataclasses import replace
from pathlib import Path
from typing import Any, get_args

from hypothesis import given
from hypothesis import strategies as st

from lathework.errors import InvalidDocument
from lathework.job.document import read_document
from lathework.job.furnish import furnish
from lathework.methods.chase import chasing_passes
from lathework.methods.die_holdings import HOLDERS
from lathework.methods.tap import TAPPINGS
from lathework.methods.ways.choose import (
    INSIDE,
    OUTSIDE,
    break_even,
    chart,
    cheapest,
    quickest,
    rank,
    weigh,
    what_changes,
)
from lathework.methods.ways.contract import Machine, Wanted
from lathework.outfit.choosing import choosings, field_of
from lathework.outfit.needs import needs
from lathework.part import thread_cutters
from lathework.part.thread_cutters import CUTTERS, OUTSIDE_CUTTERS, SetCutter
from lathework.planning.threads.schools import schools
from lathework.planning.threads.wanted import wanted_thread
from lathework.shop.kinds.kind import Owned
from lathework.shop.kit import read_thing
from lathework.shop.metals import materials
from lathework.tests.samples import SCREW, body, bore, document, plan, section, step
from lathework.threads.designation import read_designation

ROOT = Path(__file__).parents[2]
NAMES = ("M3", "M6", "M10", "M24", "1/4-20", "3/8-16", "1/2 BSW", "2 BA", "3/8-16 LH", "G1/4", "R1/4")
METALS = tuple(materials().values())
WANTED = st.builds(
    lambda name, metal, turns, pieces, shoulder, machine: Wanted(
        thread=(thread := read_designation(name)),
        length_mm=turns * thread.pitch_mm,
        blank_mm=thread.major_mm,
        pitch_diameter=thread.pitch_diameter,
        metal=metal,
        pieces=pieces,
        shoulder=shoulder,
        groove_mm=3 * thread.pitch_mm if shoulder else 0.0,
        machine=machine,
    ),
    st.sampled_from(NAMES),
    st.sampled_from(METALS),
    st.floats(3, 80),
    st.integers(1, 300),
    st.booleans(),
    st.builds(
        Machine,
        weight=st.sampled_from(["light", "middling", "heavy"]),
        mount=st.sampled_from(["unsaid", "screwed", "locked"]),
        speeds=st.sampled_from([(), (30.0, 60.0, 200.0, 900.0), (250.0, 900.0)]),
        run_down=st.floats(0, 20),
    ),
)
HEAD = ("head", {"id": "h1", "least": "3/16 in", "most": "1/2 in", "swallows": "1-1/2 in", "overrun": "1.5 mm"})
CHASERS = ("die", {"id": "c1", "thread": "3/8-16 UNC", "form": "chasers"})
DIE = ("die", {"id": "d1", "thread": "3/8-16 UNC", "across": "1 in", "thick": "3/8 in"})
STOCK = ("die-stock", {"id": "k1", "across": "1 in", "deep": "3/8 in"})


def shop(*things: tuple[str, dict[str, str]]) -> tuple[Owned, ...]:
    return tuple(read_thing(kind, said) for kind, said in things)


def by_code(wanted: Wanted) -> dict[str, Any]:
    return {one.code: one for one in rank(wanted)}


def stud(**more: Any) -> Wanted:
    """3/8-16, an inch long, in mild steel."""
    usual: dict[str, Any] = {"metal": materials()["mild-steel"], "length_mm": 25.4, "pieces": 6}
    return wanted_thread(read_designation(more.pop("name", "3/8-16")), **(usual | more))


class Contract(unittest.TestCase):
    def test_every_way_is_one_of_the_documents(self) -> None:
        outside = {*HOLDERS, *OUTSIDE_CUTTERS} - {"die"}
        inside = {*TAPPINGS, *CUTTERS} - {"tap", "form-tap"}
        self.assertEqual({way.code for way in OUTSIDE}, outside)
        self.assertEqual({way.code for way in INSIDE}, inside)

    @given(WANTED)
    def test_what_every_way_says(self, wanted: Wanted) -> None:
        """Minutes are finite and above nothing, each piece takes its share of the spoilt, and all ways are weighed."""
        ways = rank(wanted)
        self.assertEqual(len(ways), len(OUTSIDE))
        for way in ways:
            self.assertTrue(math.isfinite(way.whole.value) and way.cycle.value > 0 and way.set_up.value > 0, way.code)
            self.assertGreaterEqual(way.each.value, way.cycle.value)
            self.assertAlmostEqual(way.whole.value, way.set_up.value + wanted.pieces * way.each.value)
            self.assertTrue(way.cautions or way.code == "stock-in-vise", way.code)
            self.assertTrue(way.expected.pitch and way.expected.straight)
            for said in (*way.refused, *way.lacking, *way.merits, *way.faults):
                self.assertFalse(said.endswith(".") or "{" in said, said)

    @given(WANTED)
    def test_no_way_that_serves_is_unsafe(self, wanted: Wanted) -> None:
        """By a small model of its own: power wants a torque that slips in time, a slow speed, turns to stop in; a left
        hand no screwed-on chuck; a taper the feel of a hand; a bush nothing behind the thread."""
        thread, machine, metal = wanted.thread, wanted.machine, wanted.metal
        torque = metal.cutting_force * thread.pitch_mm**2 * thread.major_mm / 8000
        speed = 1000 * metal.thread_speed / (math.pi * thread.major_mm)
        for one in rank(wanted):
            if one.refused:
                continue
            driven = one.code in ("slipping-hand", "floating-power", "keyed-power")
            if driven:
                most = {"slipping-hand": 2.0, "floating-power": 8.0}.get(one.code, math.inf)
                self.assertLessEqual(torque, most)
                self.assertGreaterEqual(speed, machine.speeds[0] if machine.speeds else 20.0)
                self.assertGreaterEqual(wanted.turns, machine.run_down + 2 - 1e-9)
            if one.torque is not None and not thread.taper and one.code != "die-head":
                # At most nine tenths of the depth is cut before: a fifth of the area is left to hand or key.
                self.assertLessEqual(torque * (1 - 0.9**2), 60 if driven else 30)
            if driven or one.code == "die-head":
                self.assertFalse(thread.hand == "left" and machine.mount != "locked", one.code)
                self.assertFalse(thread.taper, one.code)
            if one.code == "die-head":
                self.assertLessEqual(torque, 60)
            self.assertNotEqual(one.code, "chuck-jaws")
            self.assertFalse(one.code == "guide-bush" and wanted.shoulder)

    @given(WANTED)
    def test_the_first_is_the_quickest_of_what_serves(self, wanted: Wanted) -> None:
        ways = rank(wanted)
        serving = [one for one in ways if one.serves]
        self.assertTrue(serving, "a thread can always be cut")
        self.assertIs(ways[0], serving[0])
        self.assertLessEqual(ways[0].whole.value, min(one.whole.value for one in serving))
        found = quickest(ways)
        here = [way for start, way in found if start <= wanted.pieces][-1]
        for count in (*range(1, 60), 1000, 5000):
            told = [way for start, way in found if start <= count][-1]
            self.assertAlmostEqual(told.minutes_for(count), min(one.minutes_for(count) for one in serving))
        drawn = {line.code for line in chart(ways, wanted.pieces).lines}
        self.assertLessEqual({way.code for start, way in found if start <= 2 * wanted.pieces}, drawn)
        lacking = {one.code for one in ways if not one.serves}
        self.assertFalse(drawn & lacking and len(drawn) > 2, "what nobody has is drawn where there is nothing else")
        self.assertAlmostEqual(here.minutes_for(wanted.pieces), ways[0].whole.value)


class Cutters(unittest.TestCase):
    """What cuts a thread is asked what it is, not compared with a name."""

    def test_each_is_there_under_its_own_code(self) -> None:
        for codes, table in (
            (OUTSIDE_CUTTERS, thread_cutters.OUTSIDE),
            (CUTTERS, thread_cutters.INSIDE),
            (get_args(SetCutter), thread_cutters.SET_CUTTERS),
        ):
            self.assertEqual(set(codes), set(table))
            self.assertEqual([cutter.code for cutter in table.values()], list(table))

    def test_what_follows_its_own_thread_is_not_fed(self) -> None:
        everything = [*thread_cutters.OUTSIDE.values(), *thread_cutters.INSIDE.values()]
        for cutter in everything:
            with self.subTest(cutter.code):
                self.assertFalse(cutter.on_leadscrew and (cutter.in_holder or cutter.opens or cutter.flips))
                self.assertEqual(cutter.sized_by == "depth", cutter.on_leadscrew and not cutter.as_chaser)

    def test_none_is_told_by_its_name_elsewhere(self) -> None:
        compared = re.compile(r"""\bcut(?:ter)? (?:==|!=) "(?!named|outside)""")
        for module in (*ROOT.glob("lathework/**/*.py"), *ROOT.glob("server/**/*.py")):
            if "tests" not in module.parts and "migrations" not in module.parts:
                self.assertIsNone(compared.search(module.read_text(encoding="utf-8")), module)


class ByHand(unittest.TestCase):
    """Cycles and break-even worked through from their parts."""

    def test_a_die_there_and_back(self) -> None:
        """16 turns: 2 x 16 x 0.04 by hand, and 0.75 of handling."""
        one = by_code(stud())["sliding-by-hand"]
        self.assertAlmostEqual(one.cycle.value, 2 * 16 * 0.04 + 0.75)

    def test_a_head_goes_over_it_once(self) -> None:
        """7 m/min on 3/8 in: 234 rev/min, 16 turns in 0.068 min; a quarter of an hour's die work in seconds."""
        one = by_code(stud())["die-head"]
        speed = 1000 * 7 / (math.pi * 9.525)
        self.assertAlmostEqual(one.cycle.value, 16 / speed + 0.15 + 0.375)

    def test_roughing_carries_its_own_set_up_and_passes(self) -> None:
        """M30 x 3.5: kc P^2 D / 8000 is 92 N m in mild steel, of which 0.9 of the depth leaves a fifth to the hand.
        Half the passes of equal area from 0.2 mm, 24 at most, each as long as a pass of the whole thread; gears,
        compound and tool are set as for any."""
        wanted = stud(name="M30", length_mm=40.0)
        ways = {one.code: one for one in rank(wanted)}
        die, tool = ways["sliding-by-hand"], ways["threading-tool"]
        torque = materials()["mild-steel"].cutting_force * 3.5**2 * 30 / 8000
        share = next(one for one in (0.7, 0.8, 0.9) if torque * (1 - one**2) <= 30)
        self.assertFalse(die.refused)
        self.assertAlmostEqual(die.set_up.value, 5 + tool.set_up.value)
        passes = min(24, math.ceil((share * (wanted.blank_mm - (30 - 1.0825318 * 3.5)) / 2 / 0.2) ** 2 / 2))
        given = {one.name: one.value for one in tool.cycle.inputs}
        each = given["turns"] / given["speed"] + given["return"]
        self.assertAlmostEqual(die.cycle.value, 2 * 40 / 3.5 * 0.04 + 0.75 + passes * each, places=6)

    def test_what_no_hand_holds_is_refused(self) -> None:
        """M64 x 6 in mild steel takes 576 N m, and 109 with nine tenths of its depth cut: single point alone."""
        ways = rank(stud(name="M64", length_mm=60.0))
        self.assertEqual(ways[0].code, "threading-tool")
        dies = [one for one in ways if one.torque is not None]
        self.assertTrue(all(one.refused for one in dies))
        self.assertTrue(any("109 N m" in why for one in dies for why in one.refused))

    def test_what_roughs_it_out_is_lacking_where_the_shop_has_none(self) -> None:
        own = shop(("die", {"id": "k1", "thread": "M30", "across": "2-1/4 in"}))
        ways = by_code(replace(stud(name="M30", length_mm=40.0), things=own))
        self.assertTrue(any("threading tool" in what for what in ways["stock-in-vise"].lacking))

    def test_it_breaks_even(self) -> None:
        """Set up in 30 against 5 minutes, each in 0.79 against 2.23: 25 / 1.44 is 17.3, so from 18 pieces on."""
        ways = by_code(stud())
        hand, head = ways["sliding-by-hand"], ways["die-head"]
        even = break_even(hand, head)
        assert even is not None
        self.assertEqual(even.value, math.floor(25 / (hand.each.value - head.each.value)) + 1)
        n = int(even.value)
        self.assertLess(head.minutes_for(n), hand.minutes_for(n))
        self.assertGreaterEqual(head.minutes_for(n - 1), hand.minutes_for(n - 1))
        self.assertIsNone(break_even(head, hand))

    def test_the_chart_crosses_where_it_says(self) -> None:
        ways = rank(stud())
        drawn = chart(ways, 6)
        lines = {line.code: dict(zip(drawn.pieces, line.minutes, strict=True)) for line in drawn.lines}
        for start, way in quickest(ways):
            for count in (n for n in drawn.pieces if n == start):
                self.assertAlmostEqual(lines[way.code][count], min(line[count] for line in lines.values()))

    def test_forty_go_by_the_head_and_four_do_not(self) -> None:
        self.assertEqual(rank(stud(pieces=60))[0].code, "die-head")
        self.assertNotEqual(rank(stud(pieces=4))[0].code, "die-head")
        self.assertTrue(any("die head" in told for told in what_changes(rank(stud(pieces=4)), 4)))


class Owning(unittest.TestCase):
    def owning(self, *things: tuple[str, dict[str, str]], **more: Any) -> dict[str, Any]:
        return by_code(replace(stud(**more), things=shop(*things)))

    def test_what_is_lacking(self) -> None:
        ways = self.owning(DIE, STOCK)
        self.assertTrue(ways["stock-by-tailstock"].serves)
        self.assertEqual(ways["die-head"].lacking, ("a die head", "chasers for 3/8-16 UNC"))
        self.assertEqual(ways["sliding-by-hand"].lacking, ("a holder for it",))
        self.assertIn("a threading tool of 60°", ways["threading-tool"].lacking)

    def test_a_head_too_small_or_too_shallow(self) -> None:
        small = ("head", HEAD[1] | {"most": "1/4 in"})
        self.assertIn("up to 1/4 in", " ".join(self.owning(small, CHASERS)["die-head"].lacking))
        long = self.owning(HEAD, CHASERS, length_mm=50.0)["die-head"]
        self.assertIn("takes at most 1-1/2 in of thread", " ".join(long.lacking))
        self.assertEqual(self.owning(HEAD, CHASERS)["die-head"].lacking, ())

    def test_nothing_to_cut_it_with(self) -> None:
        ways = rank(replace(stud(), things=shop(("bar", {"id": "b1", "across": "1/2 in"}))))
        self.assertFalse(ways[0].serves)
        self.assertEqual(quickest(ways), ())
        # What it would take to be quicker than the nearest is told; there is no count from which another serves.
        self.assertTrue(all(told.startswith("With ") for told in what_changes(ways, 6)))
        self.assertTrue(cheapest(ways).startswith("Borrow"))


class Jobs(unittest.TestCase):
    def test_a_job_takes_a_way_by_its_fields(self) -> None:
        """Every way that serves is taken by the fields it names, and is then the one that is taken."""
        made = plan(SCREW)
        for choosing in choosings(made, ()):
            for way in choosing.ways:
                changes = dict(field_of(choosing, made, choice) for choice in way.takes)
                again = next(iter(choosings(plan(SCREW | changes | {"method.because": "a try"}), ())))
                self.assertEqual(again.taken, way.code)

    def test_holes_have_ways_of_their_own(self) -> None:
        found = list(choosings(plan(body(bore("1/4-20", depth="1/2"))), ()))
        self.assertEqual([(one.inside, one.taken) for one in found], [(True, "by-centre")])
        refused = {way.code: way.refused for way in found[0].ways}
        self.assertTrue(refused["slipping-hand"], "blind under power")
        self.assertTrue(refused["boring-tool"], "no bar goes into so small a bore")

    def test_right_through_on_the_bar_is_no_way_out(self) -> None:
        """It ends in the bar until the part is off it: no power. Out of a sawn blank the tap comes out behind."""
        through = body(bore("1/4-20")) | {"material": "brass"}
        for order, blocked in (("from-the-bar", True), ("blanks-first", False)):
            made = plan(through | {"method.order": order, "method.tapping": "by-centre"})
            (one,) = (way for way in choosings(made, ()) if way.inside)
            refused = next(way.refused for way in one.ways if way.code == "slipping-chuck")
            self.assertEqual(any("on the bar" in why for why in refused), blocked, order)

    def test_a_tool_no_hole_takes_is_remarked_on(self) -> None:
        made = plan(body(bore("1/4-20", depth="1/2") | {"cut": "boring-tool"}))
        told = [notice.field for notice in made.notices if notice.code == "way-refused"]
        self.assertEqual(told, ["part.bores.0.cut"])

    def test_what_is_said_of_the_way_that_is_taken(self) -> None:
        """Nothing where it is as good; why it outside the usable range; what would have to be had."""
        without = tuple(choosings(plan(), shop(DIE)))[0]
        self.assertIn("Borrow", without.words)
        bush = tuple(choosings(plan({"method.holder": "guide-bush"}), ()))[0]
        self.assertRegex(bush.words, r"^3/8-16 UNC: .*bush.*, but .*; use .* instead$")
        good = tuple(choosings(plan({"method.holder": bush.best.code}), ()))[0]
        self.assertEqual(good.words, f"3/8-16 UNC: {bush.best.name}")

    def test_tools_and_ways_say_the_same_of_a_holder(self) -> None:
        """A 4MT shank in a 3MT tailstock: what the plan lists as missing, and what the way lacks, for one reason."""
        things = shop(
            ("die", {"id": "d1", "thread": "3/8-16", "across": "1 in"}),
            ("holder", {"id": "h1", "across": "1 in", "shank": "4MT"}),
            ("lathe", {"id": "l1", "name": "Bench lathe", "taper": "3MT"}),
        )
        made = plan({"method.holder": "sliding-by-hand", "setup.machine": "l1"})
        [listed] = [one.note for one in needs(made, things) if one.what.startswith("holder for")]
        self.assertIn("its 4MT shank does not fit a 3MT tailstock", listed)
        [choosing] = choosings(made, things)
        [way] = [one for one in choosing.ways if one.code == "sliding-by-hand"]
        self.assertIn(listed, " ".join(way.lacking))

    def test_a_rule_of_thumb_refuses_nothing(self) -> None:
        """Half an inch against open jaws, 12 mm by the rule: people do it. It can be taken, stands after the usual
        ways that serve, is never told as the quickest, and the plan says why it is unusual."""
        large, small = by_code(stud(name="1/2-13")), by_code(stud(name="M6"))
        self.assertFalse(small["stock-by-jaws"].unusual)
        self.assertTrue(large["stock-by-jaws"].unusual)
        self.assertFalse(large["stock-by-jaws"].refused)
        ranked = [one for one in rank(stud(name="1/2-13")) if one.serves]
        self.assertEqual([bool(one.unusual) for one in ranked], sorted(bool(one.unusual) for one in ranked))
        self.assertNotIn("stock-by-jaws", [way.code for _, way in quickest(ranked)])
        made = plan(
            {"part.sections.0.thread": "1/2 BSW", "method.holder": "stock-by-jaws", "method.because": "it is nylon"}
        )
        [told] = [notice.text for notice in made.notices if notice.code == "way-unusual"]
        self.assertIn("Chosen all the same: it is nylon", told)

    def test_jaws_are_refused_or_a_stated_last_resort(self) -> None:
        with self.assertRaises(InvalidDocument) as caught:
            read_document(document({"method.holder": "chuck-jaws"}))
        self.assertEqual([error.field for error in caught.exception.errors], ["method.because"])
        made = plan({"method.holder": "chuck-jaws", "method.because": "one nut is all it must take"})
        self.assertIn("one nut is all it must take", " ".join(notice.text for notice in made.notices))
        self.assertTrue(any("undersize" in note for note in step(made, "thread").notes))

    def test_a_bush_meets_the_shoulder(self) -> None:
        made = plan({"method.holder": "guide-bush"})
        self.assertIn("way-refused", [notice.code for notice in made.notices])

    def test_schools_say_what_they_would_do(self) -> None:
        asked = {school.question: school for school in schools(plan({"part.sections.0.length": "1/2"}))}
        self.assertEqual(asked["How is the shoulder reached?"].here, "die flipped")
        self.assertFalse(asked["How is the shoulder reached?"].agrees)
        thin = body(bore(across="0.28")) | {
            "part.sections": [section("thread", "1", thread="3/8-16"), section("bar")],
        }
        asked = {school.question: school for school in schools(plan(thin))}
        self.assertEqual(asked["Drill or thread first?"].here, "thread first, then drill")


class Head(unittest.TestCase):
    CUT: dict[str, Any] = {"part.sections.0.cut": "die-head"}

    def test_its_stop(self) -> None:
        """1.25 in of thread less a groove of 3/16; it cuts on for 0.06 in: the stop stands at 1.0025 in."""
        made = plan(self.CUT | {"setup.head_overrun": "0.06"})
        self.assertAlmostEqual(step(made, "thread").figures["stop"].value, 1.25 - 3 / 16 - 0.06)

    def test_one_nobody_measured_leaves_two_turns(self) -> None:
        found = step(plan(self.CUT), "thread")
        self.assertAlmostEqual(found.figures["stop"].value, 1.25 - 3 / 16 - 2 / 16)
        self.assertTrue(any("Measure once" in note for note in found.notes))

    def test_too_small_too_short_tapering(self) -> None:
        for change in (
            {"setup.head_hollow": "1"},
            {"setup.head_most": "5/16"},
            {"setup.head_least": "1/2"},
            {"setup.head_overrun": "24 mm", "part.sections.0.length": "7/8"},
            {"part.sections.0.thread": "R1/4", "part.stock.across": "3/4"},
        ):
            with self.subTest(change), self.assertRaises(InvalidDocument) as caught:
                read_document(document(self.CUT | change))
            self.assertEqual([error.field for error in caught.exception.errors], ["part.sections.0.cut"])

    def test_too_short_for_its_stop(self) -> None:
        """3/8-16: 11/32 behind a groove of three turns leaves two and a half, and the head cuts on for two of them."""
        short = self.CUT | {"part.sections.0.length": "11/32", "setup.groove_blade": "1/16"}
        with self.assertRaises(InvalidDocument) as caught:
            read_document(document(short))
        self.assertEqual([error.field for error in caught.exception.errors], ["part.sections.0.cut"])
        self.assertIn("too short for it", caught.exception.errors[0].message)
        for room in ({"setup.head_overrun": "0.02 in"}, {"method.finish": "run-out"}):
            self.assertGreater(step(plan(short | room), "thread").figures["stop"].value, 1 / 16)

    def test_the_head_that_takes_the_thread(self) -> None:
        """Of two the one whose chasers go up to 3/8; a job that takes none is told of none."""
        small = ("head", {"id": "h0", "most": "1/4 in", "overrun": "0.5 mm"})
        told = furnish(document(self.CUT), shop(CHASERS, small, HEAD))
        self.assertEqual(told["setup"]["head_overrun"], "1.5 mm")
        self.assertEqual(furnish(document(), shop(small, HEAD))["setup"]["head_overrun"], "")

    def test_the_shop_gives_chasers_and_head(self) -> None:
        things = shop(DIE, CHASERS, HEAD)
        told = furnish(document(self.CUT), things)
        self.assertEqual(told["part"]["sections"][0]["die"], "c1")
        self.assertEqual(told["setup"]["head_overrun"], "1.5 mm")
        plain = furnish(document(), things)
        self.assertEqual(plain["part"]["sections"][0]["die"], "d1")

    def test_what_it_needs(self) -> None:
        made = plan(self.CUT)
        self.assertEqual(
            [
                (need.what, need.thing is not None)
                for need in needs(made, shop(HEAD, DIE))
                if "3/8" in need.what or "head" in need.what
            ],
            [("chasers for 3/8-16 UNC", False), ("die head", True)],
        )

    def test_weighed_once_for_all(self) -> None:
        """The same way weighed twice says the same: nothing is kept between."""
        way = next(one for one in OUTSIDE if one.code == "die-head")
        self.assertEqual(weigh(way, stud()), weigh(way, stud()))


class WhatSurvived(unittest.TestCase):
    """Faults that no other test noticed."""

    def test_only_a_holder_that_releases_serves_as_one(self) -> None:
        holder = {"id": "h2", "across": "1 in", "deep": "3/8 in", "shank": "2MT", "keyed": "yes"}
        for releases, lacks in (("", True), ("no", True), ("yes", False)):
            with self.subTest(releases):
                found = by_code(replace(stud(), things=shop(DIE, ("holder", holder | {"releases": releases}))))
                self.assertEqual(bool(found["releasing-power"].lacking), lacks)
                self.assertFalse(found["keyed-power"].lacking)

    def test_no_bar_is_put_in_a_holder_that_releases(self) -> None:
        """Its drive holds it: one that turns freely has a bar put in it for 6 N m, which under power takes an arm."""
        for releases, noted in (("yes", ""), ("", "put a bar in it")):
            said = {"id": "h2", "across": "1 in", "deep": "3/8 in", "shank": "2MT", "releases": releases}
            holder = "releasing-power" if releases else "sliding-by-hand"
            told = needs(plan({**SCREW, "method.holder": holder}), shop(DIE, ("holder", said)))
            [need] = [one for one in told if one.what.partition(" for ")[0].endswith("holder")]
            with self.subTest(holder):
                self.assertTrue(noted in need.note if noted else not need.note, need.note)

    def test_a_blind_hole_is_gone_through_with_three_taps(self) -> None:
        """Taper, second and bottoming by hand: three times the turns, and so three times the minutes of turning."""
        told = {
            blind: by_code(replace(stud(), inside=True, blind=blind))["by-centre"].cycle.value
            for blind in (False, True)
        }
        self.assertAlmostEqual(told[True] / told[False], 3, delta=0.8)

    def test_passes_are_counted_from_one(self) -> None:
        passes = chasing_passes(read_designation("M20x1.5"), 18.4, "mm")
        self.assertEqual([one.name for one in passes[:-1]], [f"pass {n} to" for n in range(1, len(passes))])

    def test_a_holder_that_is_not_keyed_is_named_and_why_it_will_not_do(self) -> None:
        """The plan asks for one that is, and what would be put in the shop says so; chuck jaws take none at all."""
        holder = ("holder", {"id": "h2", "across": "1 in", "deep": "3/8 in", "shank": "2MT"})
        things = shop(DIE, holder)
        [need] = [one for one in needs(plan({**SCREW, "method.holder": "keyed-power"}), things) if "holder" in one.what]
        self.assertEqual((need.what, need.thing), ("keyed holder for the 3/8-16 UNC die", None))
        self.assertIn("it is not a keyed holder", need.note)
        self.assertIn(("keyed", "yes"), need.owns)
        jaws = needs(plan({**SCREW, "method.holder": "chuck-jaws", "method.because": "no holder"}), things)
        self.assertFalse([one.what for one in jaws if "holder" in one.what or "nothing" in one.what])
