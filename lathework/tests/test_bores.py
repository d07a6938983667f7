"""Holes along the axis: drills, depths and order by hand; what does not fit is told."""

from __future__ import annotations

import unittest
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from lathework.document import read_document
from lathework.drawing.layout import WIDE
from lathework.drawing.part_view import part_sheet
from lathework.errors import InvalidDocument
from lathework.planning.plan import Plan
from lathework.tests.samples import document, plan, section


def bore(thread: str = "", across: str = "", depth: str = "", end: str = "right") -> dict[str, str]:
    return {"end": end, "thread": thread, "across": across, "depth": depth}


SMALL = bore("#4-40", depth="1/4", end="left")
"""A thread, where the holes looked at have none."""


def body(*bores: dict[str, str], **more: Any) -> dict[str, Any]:
    """A plain round of 1 in, 2 in long, with holes."""
    return {
        "part.stock.across": "1", "part.overall_length": "2", "part.sections": [section("bar")],
        "part.bores": list(bores), **more,
    }  # fmt: skip


def keys(made: Plan) -> list[str]:
    return [operation.key for operation in made.operations]


def value(made: Plan, key: str, figure: str) -> float:
    found = made.operation(key)
    assert found is not None, key
    return found.figures[figure].value


class Holes(unittest.TestCase):
    def test_a_blind_tapped_hole(self) -> None:
        """3/8-16, 3/4 deep: the drill, + 4 turns of a second tap's lead + 2 for chips + 0.3 of the drill; 12 turns."""
        made = plan(body(bore("3/8-16", depth="3/4")))
        self.assertEqual(keys(made), ["face", "spot", "drill", "countersink", "tap", "try", "part-off"])
        drill = value(made, "drill", "drill")
        self.assertTrue(0.307 <= drill <= 0.321, "the class 2B minor is 0.307 to 0.321")
        self.assertAlmostEqual(value(made, "drill", "depth"), 0.75 + 6 / 16 + 0.3 * drill, places=4)
        self.assertEqual(value(made, "tap", "turns"), 12)
        self.assertAlmostEqual(value(made, "countersink", "across"), 0.375 + 0.1 / 16)

    def test_a_through_hole_goes_past_the_kerf(self) -> None:
        """2 in + 3/32 parted + 0.3 x 1/4 of the point: 2.16875; the tap goes its lead past: 2 x 20 + 4 turns."""
        made = plan(
            body(bore(across="1/4")) | {"part.sections": [section("thread", "1", thread="3/4-16"), section("bar")]}
        )
        self.assertAlmostEqual(value(made, "drill", "depth"), 2 + 3 / 32 + 0.075)
        self.assertEqual(value(plan(body(bore("1/4-20"))), "tap", "turns"), 44)

    def test_large_holes_want_a_pilot(self) -> None:
        """1/2-13 is drilled about 27/64, 10.7 mm: a pilot of half that; 1/4-20 wants none."""
        self.assertIn("pilot", keys(plan(body(bore("1/2-13", depth="1/2")))))
        self.assertNotIn("pilot", keys(plan(body(bore("1/4-20", depth="1/2")))))

    def test_a_hole_in_the_left_end_is_drilled_in_the_second_chucking(self) -> None:
        made = plan(body(bore("1/4-20", depth="1/2", end="left"), bore(across="1/8", depth="1/4")))
        self.assertEqual([(o.key, o.chucking) for o in made.operations if o.kind in ("drill", "tap")],
                         [("drill", 1), ("drill-2", 2), ("tap", 2)])  # fmt: skip
        self.assertEqual(len(made.chuckings), 2)

    def test_the_smaller_of_two_holes_comes_first(self) -> None:
        made = plan(body(bore(across="1/2", depth="1/2"), bore(across="1/4", depth="1"), SMALL))
        self.assertEqual([value(made, key, "drill") for key in ("drill", "drill-2")], [0.25, 0.5])

    def test_a_part_with_nothing_but_a_tapped_hole(self) -> None:
        """A nut from hexagon bar: no thread outside, the job is known by the one inside."""
        made = plan({"part.stock.form": "hexagon", "part.stock.across": "3/4", "part.overall_length": "7/16",
                     "part.sections": [section("bar")], "part.bores": [bore("1/2-13")]})  # fmt: skip
        self.assertEqual(made.job.part.thread.designation, "1/2-13 UNC")
        self.assertEqual(keys(made)[-3:], ["tap", "try", "part-off"])

    def test_a_hole_beyond_the_racks_is_bored(self) -> None:
        """M64 wants 64 - 0.75 x 1.299038 x 6 = 58.15 mm; the racks end at 2 in."""
        made = plan({"unit": "mm", "part.stock.across": "100", "part.overall_length": "60",
                     "part.sections": [section("bar")], "part.bores": [bore("M64")],
                     "setup.groove_blade": "3", "setup.parting_blade": "3"})  # fmt: skip
        self.assertAlmostEqual(value(made, "bore", "bore"), 64 - 0.75 * 1.299038 * 6, places=3)

    def test_a_cap_of_one_section_is_drawn_from_the_end_it_is_held_by(self) -> None:
        """A hole in the left end of a lone section: in the second chucking its mouth lies at the face."""
        made = plan(body(bore("1/4-20", depth="1/2", end="left")))
        mouths = []
        for chucking in made.chuckings:
            sheet = part_sheet(made, WIDE, chucking.number)
            face = max(x for path in sheet.paths if path.role == "part" for line in path.lines for x, _ in line)
            clear = max(x for path in sheet.paths if path.role == "bore" for line in path.lines for x, _ in line)
            mouths.append(abs(face - clear) < 0.01)
        self.assertEqual([c.faces for c in made.chuckings], ["right", "left"])
        self.assertEqual(mouths, [False, True])

    def test_it_is_drawn_cut_open_and_drilled_in_time(self) -> None:
        made = plan(body(bore("3/8-16", depth="3/4")))
        roles = [path.role for path in part_sheet(made, WIDE).paths]
        self.assertIn("bore", roles)
        self.assertNotIn("bore", [path.role for path in part_sheet(plan(), WIDE).paths])
        shares = {given.name: given.value for given in made.batch[2].inputs}
        self.assertGreater(shares["Drill for the tap"], 0.75)


class Said(unittest.TestCase):
    def codes(self, *bores: dict[str, str], **more: Any) -> set[str]:
        return {notice.code for notice in plan(body(*bores, **more)).notices}

    def test_a_thin_wall_and_a_hole_that_comes_through(self) -> None:
        """3/4-10 in 1 in round leaves 1/8 of wall, 0.17 of the hole; in 7/8 it leaves 1/16, 0.08."""
        self.assertNotIn("thin-wall", self.codes(bore("3/4-10", depth="1")))
        self.assertIn("thin-wall", self.codes(bore("3/4-10", depth="1"), **{"part.stock.across": "7/8"}))
        self.assertIn("comes-through", self.codes(bore("1/2-13", depth="1-3/4")))
        self.assertNotIn("comes-through", self.codes(bore("1/2-13", depth="1")))

    def test_what_does_not_fit_names_its_field(self) -> None:
        wrong: tuple[tuple[dict[str, str], str, str], ...] = (
            (bore("1-8"), "part.bores.0.thread", "does-not-fit"),
            (bore(across="1-1/4"), "part.bores.0.across", "does-not-fit"),
            (bore(), "part.bores.0.across", "empty"),
            (bore("1/4-20", depth="2"), "part.bores.0.depth", "does-not-fit"),
            (bore("R1/8"), "part.bores.0.thread", "not-for-a-tap"),
            (bore("1/4-20 UNC-2A"), "part.bores.0.thread", "external-class"),
            (bore("bolt"), "part.bores.0.thread", "not-a-thread"),
            (bore("1/4-20", end="top"), "part.bores.0.end", "unknown-choice"),
        )
        for one, field, code in wrong:
            with self.subTest(one=one), self.assertRaises(InvalidDocument) as told:
                read_document(document(body(one, SMALL)))
            self.assertIn(field, {e.field for e in told.exception.errors})
            if code != "not-a-thread":
                self.assertIn(code, {e.code for e in told.exception.errors})

    @given(st.sampled_from(["1/4-20", "M6", "M10", "3/8-16", "2 BA"]), st.floats(5, 45))
    def test_deeper_is_never_shallower(self, thread: str, depth: float) -> None:
        first, second = (
            value(plan(body(bore(thread, depth=f"{mm:.2f} mm"))), "drill", "depth") for mm in (depth, depth + 1)
        )
        self.assertGreater(second, first)
