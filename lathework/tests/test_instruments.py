"""Instruments: what they may say, what is not believed, what they are off by; the stand-ins; the distance to go."""

from __future__ import annotations

import math
import random
import unittest
from dataclasses import replace

from hypothesis import given
from hypothesis import strategies as st

from lathework.bench.live import to_go_across, to_go_along
from lathework.cutting.dimension import Dimension, Target
from lathework.errors import InputError
from lathework.instruments.believed import doubt
from lathework.instruments.offset import offset
from lathework.instruments.sample import Sample, read_sample
from lathework.instruments.stand_in import FAULTS, StandIn
from lathework.tests.samples import SCREW, plan, step


def at(x: float, z: float, at_s: float) -> Sample:
    return Sample("readout", "readout", {"x": x, "z": z}, at_s)


class Believed(unittest.TestCase):
    def test_a_slide_that_is_moved_by_hand_is_believed(self) -> None:
        self.assertEqual(doubt(at(20, -5, 10.1), at(20.4, -3, 10.0), 10.1), "")

    def test_what_nothing_moves_like_is_not(self) -> None:
        before = at(20, -5, 10.0)
        for after, now, word in (
            (at(200, -5, 10.05), 10.05, "jumped"),
            (at(20 * 25.4, -5, 10.05), 10.05, "changed unit"),
            (at(20 / 25.4, -5, 10.05), 10.05, "changed unit"),
            (at(20, -5, 10.05), 14.0, "No new reading"),
            (at(20, -5, 30.0), 10.0, "clock"),
        ):
            with self.subTest(word):
                self.assertIn(word, doubt(after, before, now))

    def test_bad_values_are_told_beside_their_axis(self) -> None:
        def read(source: str, **values: float | None) -> Sample:
            return read_sample("one", source, values, unit="mm", on_radius=False, at_s=0, sent=False)

        for source, values, field in (
            ("ruler", {}, "source"),
            ("readout", {"x": 1.0}, "z"),
            ("readout", {"x": math.nan, "z": 0.0}, "x"),
            ("caliper", {"length": 1e9}, "length"),
        ):
            with self.subTest(field), self.assertRaises(InputError) as caught:
                read(source, **values)
            self.assertEqual(caught.exception.field, field)

    def test_a_radius_in_inches_is_a_diameter_in_millimetres(self) -> None:
        told = read_sample("one", "readout", {"x": 0.25, "z": -1}, unit="in", on_radius=True, at_s=0, sent=False)
        self.assertAlmostEqual(told.axes["x"], 12.7)
        self.assertAlmostEqual(told.axes["z"], -25.4)


class Offsets(unittest.TestCase):
    def test_worked_by_hand(self) -> None:
        """Readings 24.98, 25.00, 24.99 of 25 within 0.003, last digit 0.01: mean 24.99, s = 0.01; correction 0.01;
        u² = 0.0001 (1 + 1/3) + 0.000009/3 + 0.0001/12 = 0.000144667, u = 0.012028 (JCGM 100, 4.2 and 4.3.7)."""
        told = offset((24.98, 25.0, 24.99), reference_mm=25.0, reference_within_mm=0.003, step_mm=0.01)
        self.assertAlmostEqual(told.correction.value, 0.01)
        self.assertAlmostEqual(told.uncertainty.value, 0.012028, places=6)

    def test_too_few_readings_and_another_piece(self) -> None:
        for readings, code in (((25.0, 25.0), "too-few"), ((12.0, 12.0, 12.0), "out-of-range")):
            with self.subTest(code), self.assertRaises(InputError) as caught:
                offset(readings, reference_mm=25.0, reference_within_mm=0.0, step_mm=0.01)
            self.assertEqual(caught.exception.code, code)


class StandIns(unittest.TestCase):
    def made(self) -> StandIn:
        return StandIn(random.Random(4))

    @given(st.lists(st.tuples(st.sampled_from("xz"), st.floats(-30, 30)), max_size=8))
    def test_it_ends_where_it_was_sent_and_is_believed_on_the_way(self, jogs: list[tuple[str, float]]) -> None:
        made, now = self.made(), 1000.0
        before = made.readout(now)
        assert before is not None
        wanted = dict(before.axes)
        for axis, by in jogs:
            made.jog(axis, by, now)
            wanted["x" if axis == "x" else "z"] += by
            for _ in range(120):
                now += 0.05
                shown = made.readout(now)
                assert shown is not None
                self.assertEqual(doubt(shown, before, now), "")
                before = shown
        for name, place in wanted.items():
            self.assertAlmostEqual(before.axes[name], place, delta=0.05)

    def test_preset_and_zero(self) -> None:
        made = self.made()
        made.preset("x", 12.7, 1.0)
        made.preset("z", 0.0, 1.0)
        shown = made.readout(1.1)
        assert shown is not None
        self.assertAlmostEqual(shown.axes["x"], 12.7, delta=0.03)
        self.assertAlmostEqual(shown.axes["z"], 0.0, delta=0.03)

    def test_every_fault_is_noticed(self) -> None:
        for fault in FAULTS[1:]:
            with self.subTest(fault):
                made = self.made()
                now, before = 50.0, self.made().readout(50.0)
                made.fail(fault)
                doubts = []
                for _ in range(20):
                    now += 0.05
                    shown = made.readout(now)
                    late = before if shown is None else shown
                    assert late is not None and before is not None
                    doubts.append(doubt(late, before, now + (5 if shown is None else 0)))
                self.assertTrue(any(doubts))
        with self.assertRaises(InputError):
            self.made().fail("tired")
        with self.assertRaises(InputError):
            self.made().jog("y", 1, 0)


class ToGo(unittest.TestCase):
    def test_to_the_shoulder_and_to_the_blank(self) -> None:
        """The shank of 7/16 to 1-3/4 from the face: at Z -1.7 in, X 0.5 in there are 0.05 and 0.0625 in to go."""
        turned = step(plan(SCREW), "turn")
        sample = at(0.5 * 25.4, -1.7 * 25.4, 0)
        along, across = to_go_along(turned, sample, "readout"), to_go_across(turned, sample)
        assert along is not None and across is not None
        self.assertAlmostEqual(along.left_mm, 0.05 * 25.4)
        self.assertAlmostEqual(across.left_mm, 0.0625 * 25.4)
        self.assertEqual((along.warned, across.warned), ("", ""))
        near = to_go_along(turned, at(12, -1.72 * 25.4, 0), "readout")
        past = to_go_along(turned, at(12, -1.76 * 25.4, 0), "readout")
        assert near is not None and past is not None
        self.assertEqual((near.warned, past.warned), ("near", "past"))

    def test_a_bore_is_opened_from_inside(self) -> None:
        """Bored to 20 mm: at 19.5 there is half a millimetre to go, at 20.5 it is half a millimetre past."""
        bored = replace(
            step(plan(SCREW), "turn"),
            dimensions=(
                Dimension("diameter", "bore", Target(19.98, 20.0, 20.02), 18.0, 1.0, "cross-slide", grows=True),
            ),
        )
        for x, left, warned in ((18.5, 1.5, ""), (19.5, 0.5, "near"), (20.5, -0.5, "past")):
            found = to_go_across(bored, at(x, 0, 0))
            assert found is not None
            self.assertAlmostEqual(found.left_mm, left)
            self.assertEqual(found.warned, warned)

    def test_a_step_without_a_place_says_nothing(self) -> None:
        self.assertIsNone(to_go_along(step(plan(SCREW), "gauge"), at(10, 0, 0), "readout"))
        self.assertIsNone(to_go_across(step(plan(SCREW), "gauge"), at(10, 0, 0)))
