"""Which fields a job shows: what concerns it, nothing else."""

from __future__ import annotations

import unittest
from typing import Any

from lathework.job.declaration import JOB
from lathework.tests.samples import PLUG, SCREW, body, bore, plan


class Rest(unittest.TestCase):
    def test_the_open_section_takes_what_the_others_leave(self) -> None:
        """2 in overall less 1-1/4 in of thread: 3/4 in."""
        rest = plan({}).job.part.rest
        assert rest is not None
        self.assertEqual(rest.id, "s2")
        self.assertAlmostEqual(rest.length.value, 0.75, places=9)
        self.assertIsNone(plan({"part.overall_length": "", "part.sections.1.length": "3/4"}).job.part.rest)


class Asked(unittest.TestCase):
    def asks(self, changes: dict[str, Any] | None = None) -> set[str]:
        return set(plan(changes or {}).asks)

    def test_a_thread_outside_asks_for_its_die(self) -> None:
        self.assertLessEqual({"method.blank_school", "method.holder", "method.finish"}, self.asks())
        self.assertNotIn("method.tapping", self.asks())

    def test_a_nut_asks_for_its_tap_and_for_no_die(self) -> None:
        asks = self.asks({**body(), "part.bores": [bore("M8")]})
        self.assertLessEqual({"method.tapping", "method.percent", "setup.drills"}, asks)
        self.assertFalse({"method.blank_school", "method.holder"} & asks)

    def test_power_asks_how_far_the_spindle_runs_on_and_how_the_chuck_sits(self) -> None:
        self.assertFalse({"setup.run_down", "setup.mount"} & self.asks())
        self.assertLessEqual({"setup.run_down", "setup.mount"}, self.asks({"method.holder": "keyed-power"}))

    def test_a_left_hand_thread_asks_how_the_chuck_sits(self) -> None:
        self.assertIn("setup.mount", self.asks({"part.sections.0.thread": "3/8-16 LH"}))

    def test_the_mate_is_asked_for_where_the_blank_goes_by_it(self) -> None:
        self.assertNotIn("method.mate_pitch", self.asks())
        self.assertIn("method.mate_pitch", self.asks({"method.blank_school": "mate-takes"}))

    def test_a_bolt_is_not_parted(self) -> None:
        changes = {"part.stock.form": "bolt", "part.stock.across": "3/8"}
        self.assertFalse({"setup.parting_blade", "method.order"} & self.asks(changes))
        self.assertIn("setup.parting_blade", self.asks())

    def test_long_work_asks_for_a_reason(self) -> None:
        self.assertNotIn("method.overruled", self.asks())
        self.assertIn("method.overruled", self.asks({"part.overall_length": "4"}))

    def test_every_field_asked_for_is_declared(self) -> None:
        for base in ({}, SCREW, PLUG, {"method.holder": "keyed-power", "part.bores": [bore("M4", depth="10 mm")]}):
            for field in self.asks(base):
                self.assertTrue(JOB.at(field))
