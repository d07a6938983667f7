"""Holes along one axis that meet: refused beside the field, or planned so that what was asked for is there."""

from __future__ import annotations

import math
import unittest
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from lathework.errors import InvalidDocument
from lathework.planning.plan import Plan
from lathework.tests.samples import body, bore, kinds, plan, section, step

MM: dict[str, Any] = {"unit": "mm", "part.stock.across": "30", "setup.groove_blade": "2", "setup.parting_blade": "2"}


def block(*bores: dict[str, str], long: str = "40", **more: Any) -> dict[str, Any]:
    """A plain round of 30 mm, so long, with holes."""
    return body(*bores, **MM, **{"part.overall_length": long, "part.sections": [section("bar")]}, **more)


def refused(changes: dict[str, Any]) -> dict[str, str]:
    """What is said beside each field of a part that is not planned; nothing where it is."""
    made = plan(changes)
    return {} if made.goes else {notice.field: notice.text for notice in made.notices}


class Refused(unittest.TestCase):
    def test_a_thread_is_not_bored_away_from_the_other_side(self) -> None:
        """M10 25 deep from the right, 12 mm wide 25 deep from the left, in 40: the last 10 would be air."""
        told = refused(block(bore("M10", depth="25"), bore(across="12", depth="25", end="left")))
        self.assertEqual(list(told), ["part.bores.0.depth"])
        self.assertIn("removes the last 10.00 mm", told["part.bores.0.depth"])
        self.assertIn("at most 15.00 mm deep", told["part.bores.0.depth"])
        # A smaller hole meets it and takes nothing; a shallower one does not reach it.
        self.assertEqual(refused(block(bore("M10", depth="25"), bore(across="8", depth="25", end="left"))), {})
        self.assertEqual(refused(block(bore("M10", depth="25"), bore(across="12", depth="15", end="left"))), {})

    def test_nor_by_the_drill_of_another_thread(self) -> None:
        """M12's 10.2 mm drill, for 20 of thread, goes on past its lead and chips into M10's thread."""
        told = refused(block(bore("M10", depth="25"), bore("M12", depth="20", end="left"), long="50"))
        self.assertIn("part.bores.0.depth", told)

    def test_a_shoulder_is_not_drilled_through(self) -> None:
        """A union nut 18 long, G1/2 12 deep, 14.5 right through: the 19 mm drill would take the shoulder."""
        nut = block(bore("G1/2", depth="12"), bore(across="14.5", end="left"), long="18")
        told = refused(nut)
        self.assertEqual(list(told), ["part.bores.0.depth"])
        self.assertIn("breaks through the far end", told["part.bores.0.depth"])
        self.assertIn("inside threading tool", told["part.bores.0.depth"])
        chased = block(bore("G1/2", depth="12", cut="boring-tool"), bore(across="14.5", end="left"), long="18")
        self.assertEqual(refused(chased), {})
        deep = step(plan(chased), "bore").figures["depth"].value
        self.assertLess(deep, 17)

    def test_the_point_of_a_plain_hole_counts(self) -> None:
        """12 wide, 20 deep, a point of 3.6 more: out of 22, not out of 25."""
        self.assertIn("part.bores.0.depth", refused(block(bore(across="12", depth="20"), long="22")))
        self.assertEqual(refused(block(bore(across="12", depth="20"), long="25")), {})

    def test_nothing_is_left_of_a_thread(self) -> None:
        told = refused(block(bore("M10"), bore(across="16")))
        self.assertIn("removes it", told["part.bores.0.depth"])

    def test_what_does_not_come_out_is_not_said_to(self) -> None:
        """M8 15 deep by a 6.8 drill: 15 + 4 x 1.25 + 2 x 1.25 + 0.3 x 6.8 = 24.54, in 25: a thin floor, no way out."""
        made = plan(block(bore("M8", depth="15"), long="25"))
        self.assertAlmostEqual(step(made, "drill").figures["depth"].value, 24.54, places=2)
        (notice,) = [one for one in made.notices if one.field == "part.bores.0.depth"]
        self.assertEqual(notice.code, "thin-floor")
        self.assertIn("0.46 mm", notice.text)
        self.assertNotIn("far end", notice.text)


class Planned(unittest.TestCase):
    def socket(self, **more: Any) -> Plan:
        """MT1 58 deep in 70, M6 right through for the drawbar, drawn from either end."""
        return plan(
            block(
                bore(depth="58", taper="MT1", across=""), bore("M6", **more), long="70", material="free-cutting-steel"
            )
        )

    def test_a_thread_behind_a_socket_is_tapped_from_its_own_side(self) -> None:
        """12 mm of thread are left: 12 turns, from the end where its mouth stands, not 74 through the socket."""
        for end in ("right", "left"):
            made = self.socket(end=end)
            tap = step(made, "tap:b2")
            self.assertEqual(made.chuckings[tap.chucking - 1].faces, "left")
            self.assertAlmostEqual(tap.figures["deep"].value, 12)
            self.assertEqual(tap.figures["turns"].value, 12)
            self.assertIn("countersink", kinds(made))
            self.assertEqual(made.chuckings[step(made, "countersink:b2").chucking - 1].faces, "left")
            self.assertIn("what a wider hole takes", tap.figures["deep"].formula)

    def test_a_mouth_that_is_bored_away_is_not_countersunk(self) -> None:
        """M8 20 deep with a counterbore 14 wide, 5 deep: it begins at the bottom of that."""
        made = plan(block(bore("M8", depth="20"), bore(across="14", depth="5")))
        self.assertNotIn("countersink", kinds(made))
        self.assertEqual(made.chuckings[step(made, "tap:b1").chucking - 1].faces, "right")
        self.assertIn("countersink", kinds(plan(block(bore("M8", depth="20")))))

    @given(
        st.sampled_from(["M6", "M8", "M10", "M12"]),
        st.floats(5, 60),
        st.floats(4, 20),
        st.floats(3, 60),
        st.sampled_from(["left", "right"]),
    )
    def test_any_two_holes_leave_the_thread_that_is_asked_for(
        self, thread: str, deep: float, wide: float, other: float, end: str
    ) -> None:
        """Whatever is planned: along the thread that was asked for no other hole is wider than its roots, but for a
        counterbore at its own mouth; and no drill comes out where a bottom was asked for. Counted along the axis in
        tenths, from the steps alone."""
        holes = bore(thread, depth=f"{deep:.1f}"), bore(across=f"{wide:.1f}", depth=f"{other:.1f}", end=end)
        changes = block(*holes, long="60")
        try:
            made = plan(changes)
        except InvalidDocument:
            return
        if not made.goes:
            return
        whole, drilled = 60.0, {}
        for operation in made.operations:
            if operation.key in ("drill:b1", "drill:b2", "bore:b2"):
                faces = made.chuckings[operation.chucking - 1].faces
                size = operation.dimensions[0].target.aim_mm
                drilled[operation.key] = (faces, size, operation.figures["depth"].value)
        _, root, to_point = drilled["drill:b1"]
        self.assertLess(to_point, whole + 1e-6)
        faces, size, reach = drilled.get("drill:b2") or drilled["bore:b2"]
        point = 0.3 * size if "drill:b2" in drilled else 0.0
        for tenth in range(int(10 * deep)):
            z = tenth / 10
            from_its_mouth = z if faces == "right" else whole - z
            eaten = size > root + 0.02 and from_its_mouth < reach - point - 0.1
            self.assertFalse(eaten and faces == "left", z)
        self.assertTrue(math.isfinite(reach))
