"""How long a thread is in full: the relief groove within its length, or beyond it; told, drawn, and cut so."""

from __future__ import annotations

import unittest
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from lathework.drawing.part.layout import WIDE
from lathework.drawing.part.view import part_sheet
from lathework.errors import InvalidDocument
from lathework.job.document import read_document
from lathework.job.starts import new_document
from lathework.job.typed import Typed
from lathework.planning.plan import Plan, make_plan
from lathework.tests.samples import TIE_ROD, document, plan, section, step, value

THREE_QUARTERS: dict[str, Any] = {"part.sections.0.length": "3/4", "part.sections.0.thread": "3/8-16"}
FULL = THREE_QUARTERS | {"part.sections.0.runs": "full"}


def labels(made: Plan) -> list[str]:
    """Every dimension of the drawing, in inches."""
    return [label.inch for label in part_sheet(made, WIDE).labels]


class Asked(unittest.TestCase):
    def test_a_groove_within_the_length_is_told_and_drawn(self) -> None:
        """3/16 of groove (three pitches): 3/4 to the shoulder is 9/16 of thread."""
        made = plan(THREE_QUARTERS)
        (notice,) = [one for one in made.notices if one.code == "full-thread"]
        self.assertIn("0.750 in to the shoulder leaves 0.563 in of full thread", notice.text)
        self.assertEqual(notice.field, "part.sections.0.runs")
        self.assertTrue([label for label in labels(made) if label.startswith("0.563")], labels(made))

    def test_in_full_the_groove_stands_beyond(self) -> None:
        """3/4 of thread, 3/16 of groove: the shoulder stands at 15/16, the piece is as long as it was."""
        made = plan(FULL)
        self.assertFalse([notice for notice in made.notices if notice.code == "full-thread"])
        self.assertAlmostEqual(value(made, "turn", "stop"), -0.9375)
        self.assertAlmostEqual(value(made, "groove", "position"), -0.9375)
        self.assertAlmostEqual(made.job.part.overall_mm / 25.4, 2)
        self.assertAlmostEqual(made.job.part.sections[1].length.mm / 25.4, 2 - 0.9375)
        self.assertTrue(any(label.startswith("0.750") for label in labels(made)))
        length = step(made, "turn").figures["length"]
        self.assertEqual([one.name for one in length.inputs], ["full thread", "relief groove"])

    def test_without_a_groove_nothing_moves(self) -> None:
        """A die turned round, a run-out, a thread with nothing behind it: the length is the thread's anyway."""
        for changes in ({"method.finish": "run-out"}, {"method.finish": "die-turned-round"}):
            self.assertAlmostEqual(value(plan(FULL | changes), "turn", "stop"), -0.75)
        alone = {"part.sections": [section("thread", "", thread="3/8-16", runs="full")], "part.stock.across": "3/8"}
        self.assertAlmostEqual(plan(alone).job.part.overall_mm / 25.4, 2)

    def test_both_ends_of_a_rod(self) -> None:
        full = {"thread": {"runs": "full"}}
        sections = [one | full.get(one["shape"], {}) for one in TIE_ROD["part.sections"]]
        made = plan(TIE_ROD | {"part.sections": sections})
        self.assertAlmostEqual(made.job.part.overall_mm / 25.4, 6)
        grooves = sum(found.groove_width_mm for found in made.work.threads.values())
        self.assertAlmostEqual(made.job.part.sections[1].length.mm, 4 * 25.4 - grooves)

    def test_no_room_is_told_beside_what_takes_the_rest(self) -> None:
        with self.assertRaises(InvalidDocument) as caught:
            read_document(document(FULL | {"part.overall_length": "0.9"}))
        self.assertEqual([error.field for error in caught.exception.errors], ["part.sections.1.length"])

    def test_a_new_job_asks_for_thread(self) -> None:
        typed = Typed("stud", "in", "Studs", "3/8-16", "4", stock="1/2", threaded="3/4", overall="2")
        made = make_plan(read_document(new_document(typed, None, None)))
        cut = step(made, "thread").cut
        assert cut is not None
        self.assertAlmostEqual((cut.left_mm - cut.right_mm) / 25.4, 0.75)

    @given(st.sampled_from(["3/8-16", "1/4-20", "M8", "M10x1", "G1/8"]), st.floats(10, 30))
    def test_the_thread_that_is_asked_for_is_full(self, thread: str, long: float) -> None:
        """The die's cut, from the face to where the groove begins, is as long as the thread that was asked for."""
        asked = {"part.sections.0.length": f"{long:.2f} mm", "part.sections.0.thread": thread}
        made = plan(asked | {"part.sections.0.runs": "full", "part.stock.across": "1"})
        cut, groove = step(made, "thread").cut, step(made, "groove").cut
        assert cut is not None and groove is not None
        self.assertAlmostEqual(cut.left_mm - cut.right_mm, round(long, 2), places=6)
        self.assertAlmostEqual(groove.right_mm, cut.left_mm, places=6)
