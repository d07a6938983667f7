"""Sizes beside the diameter, measured at the bench: bores the other way round, lengths, grooves, flats, run-out."""

from __future__ import annotations

import math
import random
import unittest

from hypothesis import given
from hypothesis import strategies as st

from lathework.bench.acts.measured import reading_entry
from lathework.bench.bench import Bench
from lathework.bench.entry import Entry, made_of
from lathework.bench.progress import progress
from lathework.cutting.dimension import MOVE_WORDS, Dimension, Move, Target
from lathework.cutting.groove import groove as groove_of
from lathework.cutting.next_cut import NextCut, next_cut
from lathework.errors import InputError, InvalidDocument
from lathework.job.document import read_document
from lathework.lengths import read_length
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan, make_plan
from lathework.shop.lathe_facts import Dial
from lathework.tests.own_lathe import random_job
from lathework.tests.samples import PLUG, SCREW, body, bore, document, plan, section, step, told
from lathework.threads.library import library
from lathework.threads.limits import external_limits
from lathework.units import convert
from tests.long import draws


def cut(dimension: Dimension, last_mm: float, dial: Dial = "diameter") -> NextCut:
    return next_cut(last_mm=last_mm, dimension=dimension, passes=(), dial=dial, unit="mm")


def size(move: Move, target: Target, *, grows: bool = False, start_mm: float = 0.0) -> Dimension:
    return Dimension("diameter", "size", target, start_mm, 1.0, move, grows=grows)


class Moves(unittest.TestCase):
    """What is moved for what is left, worked by hand."""

    def test_a_bore_is_opened_by_what_it_is_short_of(self) -> None:
        bored = size("cross-slide", Target(19.98, 20.0, 20.02), grows=True, start_mm=18.0)
        told = cut(bored, 19.6)
        assert told.dial is not None and told.expect is not None
        self.assertEqual((told.state, round(told.left.value, 6), round(told.dial.value, 6)), ("finish", 0.4, 0.4))
        self.assertAlmostEqual(told.expect.value, 20.0, delta=0.02, msg="a fiftieth springs away")
        half = cut(bored, 19.6, "radius").dial
        assert half is not None
        self.assertAlmostEqual(half.value, 0.2)
        self.assertEqual([cut(bored, at).state for at in (19.98, 20.02, 20.03)], ["on-size", "on-size", "past"])

    def test_the_carriage_is_never_halved(self) -> None:
        told = cut(size("carriage", Target(29.9, 30.0, 30.1), grows=True), 29.4, "radius")
        assert told.dial is not None
        self.assertAlmostEqual(told.dial.value, 0.6)

    def test_half_of_what_remains_comes_off_each_of_two_flats(self) -> None:
        """(12.4 - 11) / 2 = 0.7 off each face; off the first one alone, all of what is left."""
        both = cut(size("each-face", Target(10.9, 11.0, 11.02)), 12.4).dial
        over = cut(size("down", Target(11.95, 12.0, 12.05)), 12.5).dial
        assert both is not None and over is not None
        self.assertAlmostEqual(both.value, 0.5, msg="a whole millimetre at once, shared")
        self.assertAlmostEqual(over.value, 0.5)

    def test_work_is_knocked_by_half_its_run_out(self) -> None:
        told = cut(size("knock", Target(0, 0, 0.05)), 0.3).dial
        assert told is not None
        self.assertAlmostEqual(told.value, 0.15)

    def test_what_no_dial_moves_is_told_alone(self) -> None:
        told = cut(size("none", Target(9.95, 10.0, 10.2), grows=True), 9.8)
        self.assertIsNone(told.dial)
        self.assertEqual(told.state, "first")

    @given(
        st.sampled_from(sorted(MOVE_WORDS)),
        st.booleans(),
        st.floats(5, 50),
        st.floats(0.2, 30),
        st.sampled_from(("radius", "diameter")),
    )
    def test_what_is_dialled_brings_it_no_farther_than_its_aim(
        self, move: Move, grows: bool, aim: float, left: float, dial: Dial
    ) -> None:
        """An independent count: the dial, doubled where it is half, never takes off more than was left."""
        made = size(move, Target(aim - 0.05, aim, aim + 0.05), grows=grows)
        told = cut(made, aim - left if grows else aim + left, dial)
        if told.dial is None:
            self.assertEqual(move, "none")
            return
        twice = move in ("each-face", "knock") or (move == "cross-slide" and dial == "radius")
        self.assertLessEqual(told.dial.value * (2 if twice else 1), left + 1e-9)
        self.assertGreater(told.dial.value, 0)


def at_step(made: Plan, kind: str, *entries: Entry) -> Bench:
    """The bench at the first step of that kind, everything before it done."""
    keys = [operation.key for operation in made.operations]
    here = next(n for n, key in enumerate(keys) if key.startswith(kind))
    before = [Entry("done", 1, key) for key in keys[:here]]
    return progress([made], [told(made, entry) for entry in (*before, *entries)]).bench


def read(now: Bench, text: str, measured: str = "") -> Entry:
    return reading_entry(now, read_length(text, "in", "reading"), None, measured, sure=True)


class AsMeasured(unittest.TestCase):
    """Whatever is cut next from a surface begins where that was measured."""

    UNDER_MM = 0.07
    JOBS = draws(120, 1200)

    def test_a_groove_in_a_blank_that_came_small(self) -> None:
        """G1/4, crest 13.157 in ISO 228-1: its blank read as 12.890, a groove to 11.178 is 12.890 − 11.178 deep."""
        pipe = {
            "part.stock.across": "3/4",
            "part.sections": [section("thread", "1/2", thread="G1/4"), section("round", "3/4", across="18 mm")],
        }
        made = plan(SCREW | pipe)
        blank, groove = step(made, "turn:s1"), step(made, "groove:s1")
        read = Entry("reading", 1, blank.key, value_mm=12.890, measured="diameter")
        now = at_step(made, "groove", read)
        [size] = [one for one in now.sizes if one.dimension.measured == "diameter"]
        assert size.cut.dial is not None and now.step is not None
        deep = 12.890 - groove.dimensions[0].target.aim_mm
        self.assertAlmostEqual(size.cut.dial.value * 25.4, deep, places=3)
        self.assertAlmostEqual(now.step.figures["dial"].value * 25.4, deep, places=3)

    def test_of_any_part(self) -> None:
        """Random parts, every turned diameter read a little under: no later cut of that section, or of one that was
        turned with it, begins at the planned size."""
        tried = 0
        for number in range(self.JOBS):
            try:
                made = make_plan(read_document(document(random_job(random.Random(number)))))
            except InvalidDocument:
                continue
            for operation in made.operations if made.goes else ():
                tried += self._check(made, operation, number)
        self.assertGreater(tried, self.JOBS // 6)

    def _check(self, made: Plan, later: Operation, number: int) -> int:
        keys = [operation.key for operation in made.operations]
        before = made.operations[: keys.index(later.key)]
        turned = [one for one in before if one.kind == "turn" and made_of(one.key) == made_of(later.key)]
        starts = {one.measured: one.start_mm for one in later.dimensions if one.measured == "diameter"}
        aim = turned[-1].dimensions[0].target.aim_mm if turned else math.nan
        if not any(abs(start - aim) < 0.001 for start in starts.values()):
            return 0
        read = Entry("reading", 1, turned[-1].key, value_mm=aim - self.UNDER_MM, measured="diameter")
        entries = [told(made, entry) for entry in (*(Entry("done", 1, one.key) for one in before), read)]
        now = progress([made], sorted(entries, key=lambda entry: keys.index(entry.step))).bench
        assert now.step is not None
        [size] = [one for one in now.step.dimensions if one.measured == "diameter"]
        self.assertAlmostEqual(size.start_mm, aim - self.UNDER_MM, places=3, msg=f"job {number}, {later.key}")
        return 1


class AtTheBench(unittest.TestCase):
    STUD = plan(SCREW)

    def test_a_shoulder_is_cut_on_and_not_back(self) -> None:
        made = self.STUD
        now = at_step(made, "turn")
        length = step(made, "turn").dimension("length")
        if length is None:
            self.fail("the blank ends at a shoulder")
        short = f"{(length.target.aim_mm - 1.0) / 25.4:.4f}"
        now = at_step(made, "turn", read(now, short, "length"))
        told = now.size("length")
        assert told is not None and told.cut.dial is not None
        self.assertAlmostEqual(told.cut.dial.value * 25.4, 1.0, places=2)
        self.assertIn("undersize", now.hindrance)
        with self.assertRaises(InputError) as caught:
            read(now, f"{(length.target.aim_mm - 3) / 25.4:.4f}", "length")
        self.assertEqual(caught.exception.code, "grew")
        self.assertEqual(now.readings, (), "the diameter was not measured")

    def test_a_groove_leaves_nothing_of_the_root(self) -> None:
        """3/8-16 UNC: its root is at 0.375 - 1.22687 / 16 = 0.2983 in (FED-STD-H28, minor diameter of the screw)."""
        [groove] = [dimension for dimension in step(self.STUD, "groove").dimensions if dimension.measured == "diameter"]
        self.assertAlmostEqual(groove.target.high_mm / 25.4, 0.375 - 1.22687 / 16, delta=0.00006)

    def test_every_groove_may_be_met(self) -> None:
        """Its aim is under the root of every thread of the library that a die cuts, by more than a hair."""
        for thread in library():
            if not thread.taper and external_limits(thread) is not None:
                aim_mm = convert(groove_of(thread).diameter.value, thread.unit, "mm")
                self.assertLess(aim_mm, thread.root_mm - 0.005, thread.designation)

    def test_a_bored_hole_is_within_the_class(self) -> None:
        """1-8 UNC 2B, minor diameter 0.865 to 0.890 in (ASME B1.1, table of limits of size)."""
        [size, *_] = step(
            plan(body(bore("1-8", depth="1", cut="boring-tool"), **{"part.stock.across": "2"})), "bore"
        ).dimensions
        self.assertEqual((size.measured, size.grows), ("bore", True))
        self.assertAlmostEqual(size.target.low_mm / 25.4, 0.865, places=3)
        self.assertAlmostEqual(size.target.high_mm / 25.4, 0.890, places=3)

    def test_flats_over_the_first_and_across_both(self) -> None:
        """A hexagon 0.750 across on its round of 0.750 / cos 30 = 0.8660: over one flat half of their sum, 0.8080."""
        over, across = step(plan(PLUG), "flats").dimensions
        self.assertAlmostEqual(over.target.aim_mm / 25.4, (0.75 + 0.75 / math.cos(math.pi / 6)) / 2, places=3)
        self.assertAlmostEqual(across.target.aim_mm / 25.4, 0.75)

    def test_a_blind_hole_is_not_drilled_through_its_bottom(self) -> None:
        """Of 2 in; where little is left under the point, half of that at least stays."""
        for depth in ("1", "1.8", "1.9"):
            made = plan(SCREW | {"part.overall_length": "2", "part.bores": [bore(across="3/16", depth=depth)]})
            size = step(made, "drill").dimension("depth")
            assert size is not None
            left, least = 50.8 - size.target.aim_mm, 50.8 - size.target.high_mm
            self.assertGreaterEqual(least, left / 2 - 1e-9, depth)

    def test_a_mouth_lets_its_screw_in(self) -> None:
        """M5: never under 5 mm across, and what to feed for it is not told: a countersink has an angle."""
        mouth = step(plan(body(bore("M5", depth="10 mm"))), "countersink").dimension("mouth")
        assert mouth is not None
        self.assertEqual((mouth.target.low_mm, mouth.move), (5.0, "none"))

    def test_other_sizes_and_steps_are_refused(self) -> None:
        now = at_step(self.STUD, "turn")
        for text, measured, field, code in (
            ("0.4", "bore", "measured", "unknown-choice"),
            ("12.5", "length", "reading", "out-of-range"),
            ("0.4", "length", "reading", "out-of-range"),
        ):
            with self.subTest(text), self.assertRaises(InputError) as caught:
                read(now, text, measured)
            self.assertEqual((caught.exception.field, caught.exception.code), (field, code))
        with self.assertRaises(InputError) as nothing:
            read(at_step(self.STUD, "gauge"), "0.4")
        self.assertEqual(nothing.exception.code, "not-asked")

    def test_taken_up_again_every_size_is_measured_anew(self) -> None:
        made = self.STUD
        first = at_step(made, "turn")
        entry = read(first, "0.3700")
        key = entry.step
        keys = [operation.key for operation in made.operations]
        before = [Entry("done", 1, one) for one in keys[: keys.index(key)]]
        entries = [*before, entry, Entry("done", 1, key), Entry("again", 1, key)]
        now = progress([made], [told(made, row) for row in entries]).bench
        self.assertEqual([one.readings for one in now.sizes], [() for _ in now.sizes])


class EveryStep(unittest.TestCase):
    def test_every_size_is_reached_from_where_it_begins(self) -> None:
        """The band holds its aim; what grows begins under it, what does not over it."""
        samples = (plan(), plan(SCREW), plan(PLUG), plan(body(bore("1/4-20"))), plan(body(bore("1/2-13", depth="1/2"))))
        for made in samples:
            for operation in made.operations:
                for dimension in operation.dimensions:
                    with self.subTest(operation.key, measured=dimension.measured):
                        low, aim, high = dimension.target.low_mm, dimension.target.aim_mm, dimension.target.high_mm
                        self.assertTrue(low <= aim <= high)
                        if dimension.move != "knock":
                            self.assertTrue(dimension.start_mm <= aim if dimension.grows else dimension.start_mm >= aim)
