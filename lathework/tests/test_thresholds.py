"""Limits that a plan turns at: the same job gives the same plan however its lengths add up, on every interpreter."""

from __future__ import annotations

import unittest

from hypothesis import given
from hypothesis import strategies as st

from lathework.planning.holdings.order import CENTRE_RATIO, STEADY_RATIO, over
from lathework.planning.plan import Plan
from lathework.tests.samples import plan, section

BAR_IN = 0.5
HAIR_IN = 0.0001
PARTS = st.lists(st.integers(50, 350), min_size=1, max_size=4)
"""Lengths of sections, in thousandths of an inch: few of them are whole in binary."""


def planned(overall: str, lengths: list[int], **method: str) -> Plan:
    """The plan of a part of that length, its sections stepping down to its right-hand end, the rest left as bar."""
    steps = [
        section("round", f"{length / 1000:.3f}", across=f"{0.30 + 0.04 * at:.2f}") | {"id": f"s{at + 1}"}
        for at, length in enumerate(lengths)
    ]
    rest = section("bar") | {"id": "rest"}
    return plan(
        {"part.overall_length": overall, "part.sections": [*steps, rest]}
        | {f"method.{name}": value for name, value in method.items()}
    )


def codes(made: Plan) -> set[str]:
    """What is remarked."""
    return {notice.code for notice in made.notices}


class Thresholds(unittest.TestCase):
    @given(PARTS)
    def test_four_diameters_part_off_and_a_hair_more_does_not(self, lengths: list[int]) -> None:
        at = CENTRE_RATIO * BAR_IN
        for inches, long in ((at - HAIR_IN, False), (at, False), (at + HAIR_IN, True)):
            made = planned(f"{inches:.4f}", lengths)
            self.assertEqual("long-part" in codes(made), long, (inches, lengths))

    @given(PARTS)
    def test_twelve_diameters_hang_out_with_a_reason_and_a_hair_more_does_not(self, lengths: list[int]) -> None:
        at = STEADY_RATIO * BAR_IN
        for inches, long in ((at - HAIR_IN, False), (at, False), (at + HAIR_IN, True)):
            made = planned(f"{inches:.4f}", lengths, overruled="the bar runs in a steady of our own")
            self.assertEqual("long-refused" in codes(made), long, (inches, lengths))

    @given(PARTS)
    def test_an_end_worked_over_four_diameters_wants_no_centre_and_a_hair_more_does(self, lengths: list[int]) -> None:
        """The right-hand end of a sawn blank, its sections right at the limit together, whichever they are."""
        at, known = 2000, sum(lengths)
        for thousandths, wants in ((at - 1, False), (at, False), (at + 1, True)):
            made = planned("5", [*lengths, thousandths - known], order="blanks-first")
            self.assertEqual("wants-centre" in codes(made), wants, (thousandths, lengths))

    @given(st.lists(st.floats(0.001, 10), min_size=1, max_size=9))
    def test_the_order_of_a_sum_turns_nothing(self, values: list[float]) -> None:
        whole = 0.0
        for value in values:
            whole += value
        self.assertFalse(over(whole, sum(reversed(values))))
        self.assertTrue(over(whole + 1e-6, sum(reversed(values))))
        self.assertFalse(over(whole - 1e-6, sum(reversed(values))))
