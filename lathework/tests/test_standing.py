"""The drawing at each step: the work as the small lathe of the tests, which knows no drawing, has cut it so far."""

from __future__ import annotations

import unittest

from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from lathework.drawing.part.layout import WIDE, lay_out
from lathework.drawing.part.standing import Standing, standings
from lathework.drawing.part.view import part_sheet
from lathework.lathe.cut import Cut
from lathework.lathe.outline import Stretch, after_cut
from lathework.planning.plan import Plan
from lathework.tests import test_cut_and_compare as compared
from lathework.tests.samples import PLUG, SCREW, TIE_ROD, plan
from lathework.tests.test_cut_and_compare import STEP, Lathe

ALIKE = 0.011
"""Millimetres: positions are printed to a hundredth."""


def across(standing: Standing, z: float) -> float | None:
    """The drawn diameter at a place, None where no metal is drawn or an edge is too near to say."""
    for metal in standing.outline:
        if metal.near + STEP < z < metal.far - STEP:
            return metal.at(z)
    return None


class StandingWork(unittest.TestCase):
    def check(self, made: Plan) -> None:
        lathe = Lathe(made)
        for chucking in made.chuckings:
            layout = lay_out(chucking, WIDE, 3)
            own = chucking.placed[chucking.own - 1].far_mm if chucking.own else 0.0
            for operation, standing in standings(layout, made, chucking, chucking.stick_out_mm):
                for place, diameter in zip(lathe.places, lathe.across, strict=True):
                    z = lathe.behind(place, operation)
                    drawn = across(standing, z)
                    if drawn is not None and (not chucking.second or z < own):
                        self.assertAlmostEqual(drawn, diameter, delta=ALIKE, msg=f"{operation.key} at {z:.2f}")
                lathe.cut(operation)

    def test_the_samples(self) -> None:
        for base in ({}, SCREW, TIE_ROD, PLUG):
            for change in ({}, {"method.finish": "die-turned-round"}, {"method.order": "blanks-first"}):
                with self.subTest(base=base, change=change):
                    self.check(plan({**base, **change}))

    @settings(max_examples=60, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
    @given(st.data())
    def test_any_part(self, data: st.DataObject) -> None:
        self.check(compared.CutAndCompare().any_plan(data))

    def test_no_thread_before_the_die_has_run(self) -> None:
        """A thread drawn true has many points on its side; a blank has few."""
        made = plan(SCREW)
        keys = [operation.key for operation in made.operations]
        points = {
            key: sum(
                len(line)
                for path in part_sheet(made, WIDE, step=key).paths
                if path.role == "part"
                for line in path.lines
            )
            for key in keys
        }
        run = keys.index("thread:s1")
        self.assertTrue(all(points[key] < 30 for key in keys[: run + 1]), points)
        self.assertTrue(all(points[key] > 60 for key in keys[run + 1 :]), points)

    def test_no_hole_before_it_is_drilled(self) -> None:
        bore = {"id": "b1", "end": "right", "thread": "M6", "across": "", "depth": "12 mm", "at": "", "cut": "tap"}
        made = plan({**SCREW, "part.bores": [bore]})
        keys = [operation.key for operation in made.operations]
        open_at = [key for key in keys if any(path.role == "bore" for path in part_sheet(made, WIDE, step=key).paths)]
        self.assertEqual(open_at, keys[keys.index("drill:b1") + 1 :])

    @given(
        st.lists(
            st.tuples(st.floats(0, 40), st.floats(0.1, 20), st.floats(0, 30), st.floats(0, 30), st.booleans()),
            max_size=6,
        )
    )
    def test_metal_only_comes_off(self, cuts: list[tuple[float, float, float, float, bool]]) -> None:
        outline: tuple[Stretch, ...] = (Stretch(0.0, 50.0, 30.0, 30.0),)
        for right, long, outer, inner, slope in cuts:
            cut = Cut(min(50.0, right + long), right, max(outer, inner), min(outer, inner), slope)
            less = after_cut(outline, cut)
            for z in (x * 0.37 + 0.011 for x in range(134)):
                before, after = (
                    next((s.at(z) for s in some if s.near <= z <= s.far), None) for some in (outline, less)
                )
                assert before is not None and after is not None
                self.assertLessEqual(after, before + 1e-6)
                if not cut.right_mm <= z <= cut.left_mm:
                    self.assertAlmostEqual(after, before, places=5)
            outline = less
