"""Steps that begin at a surface which was measured: what is dialled there counts from the reading, worked by hand."""

from __future__ import annotations

import math
import unittest
from dataclasses import replace
from typing import Any

from lathework.bench.bench import Bench
from lathework.bench.entry import Entry
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.tests.samples import PLUG, body, bore, plan, section, step
from lathework.tests.test_bench import at

MM = {"unit": "mm", "setup.groove_blade": "3", "setup.parting_blade": "2"}
PIPE = MM | {
    "part.stock.across": "20",
    "part.overall_length": "60",
    "part.sections": [section("thread", "30", thread="G1/4"), section("bar")],
}


def at_step(made: Plan, key: str, **read_mm: float) -> Bench:
    """The bench at the step of a key, the steps before it done, the diameters of some of them read (millimetres)."""
    entries: list[Entry] = []
    for operation in made.operations:
        if operation.key == key:
            break
        mm = read_mm.get(operation.key.replace(":", "_"))
        if mm is not None:
            entries.append(Entry("reading", 1, operation.key, mm, operation.dimensions[0].measured))
        entries.append(Entry("done", 1, operation.key))
    return at(*entries, made=made)


def now_of(made: Plan, key: str, **read_mm: float) -> Operation:
    """The step in hand of that bench."""
    now = at_step(made, key, **read_mm).step
    assert now is not None and now.key == key, now
    return now


class Begins(unittest.TestCase):
    def test_a_groove_begins_at_the_blank_as_measured(self) -> None:
        """G1/4: blank read 12.890, groove to 11.178: 1.712 from touching, half of it on a radius dial."""
        for dial, share in (("diameter", 1.0), ("radius", 0.5)):
            made = plan(PIPE | {"setup.dial": dial})
            planned = step(made, "groove:s1")
            found = now_of(made, "groove:s1", turn_s1=12.890)
            self.assertAlmostEqual(found.figures["dial"].value, 1.712 * share, delta=0.0006)
            self.assertNotAlmostEqual(planned.figures["dial"].value, found.figures["dial"].value, places=2)
            self.assertAlmostEqual(found.dimensions[0].start_mm, 12.890)
            self.assertEqual(found.dimensions[0].target, planned.dimensions[0].target)
            self.assertAlmostEqual(found.figures["measured"].value, 12.890)
            self.assertEqual(found.makes, planned.makes)

    def test_what_the_bench_dials_first(self) -> None:
        now = at_step(plan(PIPE), "groove:s1", turn_s1=12.890)
        cut = now.cut
        assert cut is not None or now.size("diameter") is not None
        size = now.size("diameter")
        assert size is not None and now.step is not None
        self.assertAlmostEqual(size.cut.left.value, 12.890 - now.step.figures["diameter"].value, places=6)

    def test_nothing_measured_or_as_planned_leaves_it(self) -> None:
        made = plan(PIPE)
        aim = step(made, "turn:s1").dimensions[0].target.aim_mm
        for read in ({}, {"turn_s1": aim}):
            self.assertEqual(now_of(made, "groove:s1", **read), step(made, "groove:s1"))

    def test_a_lead_chamfer_is_as_long_as_the_blank_leaves_it(self) -> None:
        made = plan(PIPE)
        end = step(made, "chamfer:s1").figures["diameter"].value
        found = now_of(made, "chamfer:s1", turn_s1=12.890)
        self.assertAlmostEqual(found.figures["length"].value, (12.890 - end) / 2, places=6)

    def test_a_single_point_goes_deeper_from_a_larger_blank(self) -> None:
        """Straight in on a diameter dial: what the blank is over, more; on the top slide half of it over cos 27."""
        made = plan(PIPE | {"part.sections.0.cut": "threading-tool", "method.infeed": "straight"})
        planned = step(made, "screwcut:s1")
        aim = step(made, "turn:s1").dimensions[0].target.aim_mm
        found = now_of(made, "screwcut:s1", turn_s1=aim + 0.03)
        self.assertAlmostEqual(found.figures["infeed"].value, planned.figures["infeed"].value + 0.03, places=6)
        self.assertAlmostEqual(found.passes[-1].value, found.figures["infeed"].value, places=6)
        on_compound = plan(PIPE | {"part.sections.0.cut": "threading-tool", "method.infeed": "compound"})
        swung = now_of(on_compound, "screwcut:s1", turn_s1=aim + 0.03).figures["infeed"].value
        before = step(on_compound, "screwcut:s1").figures["infeed"].value
        self.assertAlmostEqual(swung - before, 0.015 / math.cos(math.radians(27)), places=6)

    def test_a_neck_from_what_stands_before_it(self) -> None:
        made = plan(
            PIPE
            | {
                "part.sections": [
                    section("round", "20", across="16"),
                    section("round", "6", across="12"),
                    section("bar"),
                ]
            }
        )
        found = now_of(made, "neck:s2", turn_s1=16.04)
        self.assertAlmostEqual(found.figures["dial"].value, 4.04, places=6)

    def test_flats_by_half_of_what_stands_over_them(self) -> None:
        """Hexagon 0.750 milled on a round read 0.860 in: (0.860 − 0.750) / 2 at each."""
        made = plan(PLUG | {"part.sections.1.across": "0.740"})
        key = next(operation.key for operation in made.operations if operation.kind == "flats")
        found = now_of(made, key, turn_s2=0.860 * 25.4)
        self.assertAlmostEqual(found.figures["depth"].value, (0.860 - 0.740) / 2, places=6)

    def test_a_thread_in_a_bore_as_it_was_bored(self) -> None:
        """Bored 0.05 over: an inside tool, straight out on a diameter dial, goes 0.05 less."""
        made = plan(
            body(bore("M24x2", cut="boring-tool"), **{"method.infeed": "straight", "part.stock.across": "1-1/2"})
        )
        planned, aim = step(made, "chase:b1"), step(made, "bore:b1").dimensions[0].target.aim_mm
        found = now_of(made, "chase:b1", bore_b1=aim + 0.05)
        self.assertAlmostEqual(planned.figures["infeed"].value - found.figures["infeed"].value, 0.05, places=6)

    def test_the_wall_of_a_hole_from_the_outside_as_turned(self) -> None:
        shape: dict[str, Any] = MM | {
            "part.stock.across": "30",
            "part.overall_length": "40",
            "part.sections": [section("round", "30", across="24"), section("bar")],
            "part.bores": [bore(across="17", depth="25")],
        }
        made = plan(shape)
        keys = [operation.key for operation in made.operations]
        self.assertLess(keys.index("turn:s1"), keys.index("drill:b1"))
        found = now_of(made, "drill:b1", turn_s1=23.9)
        self.assertAlmostEqual(found.figures["wall"].value, (23.9 - 17) / 2, places=6)

    def test_the_next_diameter_is_turned_down_from_the_last(self) -> None:
        shape = PIPE | {
            "part.sections": [
                section("round", "20", across="12"),
                section("round", "20", across="16"),
                section("bar"),
            ]
        }
        found = now_of(plan(shape), "turn:s1", turn_s2=16.05)
        self.assertAlmostEqual(found.dimensions[0].start_mm, 16.05)
        self.assertEqual(found.dimensions[0].target, step(plan(shape), "turn:s1").dimensions[0].target)

    def test_a_step_is_not_moved_by_its_own_readings(self) -> None:
        made = plan(PIPE)
        turned = step(made, "turn:s1")
        entries = [
            Entry("done", 1, operation.key)
            for operation in made.operations
            if operation.key < "" or operation.key == "face:right"
        ]
        now = at(*entries, Entry("reading", 1, "turn:s1", 14.2, "diameter"), made=made)
        assert now.step is not None
        self.assertEqual(replace(now.step, notes=turned.notes), turned)

    def test_the_next_piece_begins_anew(self) -> None:
        """What was read of one piece says nothing of the next."""
        made = plan(PIPE)
        first = [
            Entry("reading", 1, "turn:s1", 12.890, "diameter"),
            *(Entry("done", 1, operation.key) for operation in made.operations),
        ]
        second = [
            Entry("done", 2, operation.key)
            for operation in made.operations[: [operation.key for operation in made.operations].index("groove:s1")]
        ]
        now = at(*first, *second, made=made)
        self.assertEqual(now.step, step(made, "groove:s1"))
