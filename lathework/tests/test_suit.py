"""A size that came out past its limit, and the part changed to suit it."""

from __future__ import annotations

import unittest
from copy import deepcopy
from typing import Any

from lathework.bench.entry import Entry
from lathework.bench.progress import progress
from lathework.bench.size.suit import Document, Suited, suited
from lathework.job.document import read_document
from lathework.planning.plan import Plan, make_plans
from lathework.tests.samples import SCREW, body, bore, document, identified, section, told


def plans_of(made: Document) -> tuple[Plan, ...]:
    return make_plans(read_document(made))


def came(changes: dict[str, Any], key: str, measured: str, value_mm: float) -> tuple[Document, Suited | None]:
    """A job at the step of that key, whose size read so much; and what would suit it."""
    made = document(changes)
    plans = plans_of(made)
    entries = []
    for step in plans[0].operations:
        if step.key == key:
            break
        entries.append(told(plans[0], Entry("done", 1, step.key)))
    for read in (value_mm + 1 if measured == "diameter" else value_mm, value_mm):
        entries.append(told(plans[0], Entry("reading", 1, key, value_mm=read, measured=measured)))
    return made, suited(made, plans, progress(plans, entries).bench, plans_of)


class APart(unittest.TestCase):
    def test_a_shank_that_came_thin(self) -> None:
        """7/16 in is 11.1125 mm; it came to 10.90: the part is made to that, and what it bears is said."""
        before, new = came(SCREW, "turn:s2", "diameter", 10.90)
        assert new is not None
        self.assertEqual((new.what, new.before, new.after), ("section 2, diameter", "7/16", "0.4291 in"))
        self.assertEqual(before["part"]["sections"][1]["across"], "7/16")
        # A round bar bends by the cube of its diameter: (10.90 / 11.1125) cubed is 0.944.
        self.assertTrue(any("6 % weaker" in cost for cost in new.costs), new.costs)
        step = plans_of(new.document)[0].operation("turn:s2")
        assert step is not None
        self.assertAlmostEqual(step.dimensions[0].target.aim_mm, 10.90, delta=0.002)

    def test_a_fit_stays_one_on_the_size_that_came(self) -> None:
        """Nobody made its mate yet: that is made to suit."""
        fit = {"part.sections": [section("round", "1", across="3/8", fit="running"), section("bar")]}
        _, new = came(fit, "turn:s1", "diameter", 9.40)
        assert new is not None
        self.assertTrue(any("make its mating part to suit 0.3701 in" in cost for cost in new.costs), new.costs)
        self.assertEqual(new.document["part"]["sections"][0]["fit"], "running")

    def test_a_fit_to_a_part_that_is_there_is_lost_and_said(self) -> None:
        fit = {"part.sections": [section("round", "1", across="3/8", fit="running", mate="0.3752"), section("bar")]}
        _, new = came(fit, "turn:s1", "diameter", 9.40)
        assert new is not None
        self.assertTrue(any("no longer fits what measures 0.3752" in cost for cost in new.costs), new.costs)
        self.assertEqual(new.document["part"]["sections"][0]["fit"], "")

    def test_what_is_on_size_asks_for_nothing(self) -> None:
        _, new = came(SCREW, "turn:s2", "diameter", 11.11)
        self.assertIsNone(new)

    def test_the_blank_of_a_thread_cannot_be_changed(self) -> None:
        """A thread is what its standard says: no part suits a blank that is too thin."""
        _, new = came(SCREW, "turn:s1", "diameter", 9.0)
        self.assertIsNone(new)

    def test_a_hole_that_came_large(self) -> None:
        _, new = came(body(bore(across="1/2", depth="1", fit="running")), "bore:b1", "bore", 12.95)
        assert new is not None
        self.assertEqual(new.what, "hole 1, diameter")
        self.assertGreater(len(new.costs), 0)

    def test_of_two_parts_the_one_in_hand_is_changed(self) -> None:
        """Both have a section of that id: only that of the second part takes the size."""
        made = document(SCREW)
        second = {"part": {**deepcopy(made["part"]), "id": "p2", "name": "second"}, "quantity": 1, "material": "brass"}
        made = identified({**made, "others": [second]})
        plans = plans_of(made)
        own = plans[1]
        before = [step.key for step in own.operations]
        entries = [told(own, Entry("done", 1, key)) for key in before[: before.index("turn:s2")]]
        entries += [told(own, Entry("reading", 1, "turn:s2", value_mm=mm, measured="diameter")) for mm in (12.0, 10.90)]
        new = suited(made, plans, progress(plans, entries).benches[1], plans_of)
        assert new is not None
        self.assertEqual(new.document["part"]["sections"][1]["across"], "7/16")
        self.assertEqual(new.document["others"][0]["part"]["sections"][1]["across"], "0.4291 in")
