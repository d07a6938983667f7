"""Random parts by the thousand: shafts with tapers turned, bodies with counterbores drilled, on the tests' lathe."""

from __future__ import annotations

import sys
import traceback
from collections.abc import Callable

from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from lathework.tests.test_cut_and_compare import CutAndCompare
from lathework.tests.test_drill_and_compare import DrillAndCompare

_SLOW = [HealthCheck.filter_too_much, HealthCheck.too_slow]


def _wrong(count: int, check: Callable[[st.DataObject], None]) -> int:
    """1 where one of `count` (a number of) random parts does not come out as it should; it is told."""
    every = settings(max_examples=count, database=None, deadline=None, suppress_health_check=_SLOW)
    try:
        every(given(st.data())(check))()
    except AssertionError:
        traceback.print_exc(file=sys.stderr)
        return 1
    return 0


def parts(count: int) -> dict[str, int]:
    """How many random shafts and bodies were made, and of how many kinds one came out wrong."""
    lathe, drill = CutAndCompare(), DrillAndCompare()

    def turned(data: st.DataObject) -> None:
        lathe.check(lathe.any_plan(data))

    def bored(data: st.DataObject) -> None:
        drill.check_all(drill.any_body(data))

    return {"parts_made": 2 * count, "parts_wrong": _wrong(count, turned) + _wrong(count, bored)}
