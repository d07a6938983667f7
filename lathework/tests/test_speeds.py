"""Spindle speeds: what is believed of a lathe nobody named, what a hand can stop, what was typed stays."""

from __future__ import annotations

import itertools
import unittest

from hypothesis import given
from hypothesis import strategies as st

from lathework.job.furnish import furnish
from lathework.shop.metals import materials
from lathework.tests.samples import SCREW, body, bore, document, plan, step
from lathework.tests.test_outfit import shop


class Unnamed(unittest.TestCase):
    @given(st.sampled_from(sorted(materials())), st.sampled_from(["M3", "M5", "1/4-20", "3/8-16", "8 BA"]))
    def test_no_speed_over_eight_hundred_is_believed(self, metal: str, thread: str) -> None:
        """Aluminium at 3 mm would bear thousands of rev/min: a lathe nobody named may not have them."""
        hole = [bore(across="1/16", depth="1/4")]
        changes = {"material": metal, "part.sections.0.thread": thread, "part.bores": hole}
        made = plan(changes)
        for one in made.operations:
            for name, figure in one.figures.items():
                if name == "speed":
                    self.assertLessEqual(figure.value, 800, one.key)
        fast = any(f.inputs and f.value == 800 for operation in made.operations for f in operation.figures.values())
        self.assertEqual("unknown-speeds" in {notice.code for notice in made.notices}, fast)

    def test_a_lathe_that_is_named_has_its_own(self) -> None:
        made = plan({"material": "aluminium", "setup.speeds": "100, 900"})
        self.assertIn(
            900, {operation.figures["speed"].value for operation in made.operations if "speed" in operation.figures}
        )
        self.assertNotIn("unknown-speeds", {notice.code for notice in made.notices})


class Stopped(unittest.TestCase):
    def test_a_hand_has_three_seconds_to_the_stop(self) -> None:
        """Turns to the stop over rev/min, counted anew: a head on 1/4-20, dies and taps under power, on four lathes."""
        speeds = ("", "28, 45, 70, 105, 160, 240", "45, 70, 110, 180, 290, 460, 740, 1180", "300, 900")
        for lathe, length in itertools.product(speeds, ("3/8", "3/4", "1-1/4")):
            setup = {"setup.speeds": lathe, "setup.mount": "locked", "material": "aluminium"}
            thread = {"part.sections.0.thread": "1/4-20", "part.sections.0.length": length, "method.finish": "run-out"}
            head = step(plan(setup | thread | {"part.sections.0.cut": "die-head"}), "thread")
            seconds = 60 * head.figures["stop"].value * 20 / head.figures["speed"].value
            slowest = float(lathe.split(",")[0]) if lathe else 0.0
            self.assertTrue(seconds >= 3 - 1e-6 or head.figures["speed"].value == slowest, (lathe, length, seconds))
            if seconds < 3 - 1e-6:
                self.assertTrue(any("keep one hand on the switch" in note for note in head.notes))
            die = step(plan(setup | thread | {"method.holder": "floating-power"}), "thread")
            if "stop" in die.figures:
                seconds = 60 * die.figures["stop"].value / die.figures["speed"].value
                self.assertGreaterEqual(seconds, 3 - 1e-6, (lathe, length))
            else:
                self.assertIn("by hand", die.sentence)

    def test_a_tap_under_power_too(self) -> None:
        sawn = {"method.order": "blanks-first", "material": "aluminium", "setup.mount": "locked"}
        for speeds in ("", "28, 45, 70, 105, 160, 240", "500, 900"):
            made = plan(body(bore("M5"), **sawn, **{"method.tapping": "slipping-chuck", "setup.speeds": speeds}))
            tap = step(made, "tap")
            if "stop" in tap.figures:
                self.assertGreaterEqual(60 * tap.figures["stop"].value / tap.figures["speed"].value, 3 - 1e-6)


class Typed(unittest.TestCase):
    def test_typed_speeds_and_bore_are_never_emptied(self) -> None:
        """Stored without a lathe, with one of another shop, with one that was removed: what was typed stands."""
        typed = {"setup.speeds": "75, 150, 300", "setup.bore": "20 mm"}
        for things in ([], shop("3/8-16 die"), shop("bench lathe 2MT speeds 60 110; mill lathe 3MT speeds 90 200")):
            for machine in ("", "gone"):
                setup = furnish(document(typed | {"setup.machine": machine}), things)["setup"]
                self.assertEqual((setup["speeds"], setup["bore"]), ("75, 150, 300", "20 mm"), (machine, things))

    def test_every_turning_step_has_its_speed(self) -> None:
        made = plan(SCREW | {"setup.speeds": "75, 150, 300"})
        for operation in made.operations:
            if operation.kind in ("turn", "face"):
                self.assertIn(operation.figures["speed"].value, (75, 150, 300))
