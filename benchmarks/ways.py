"""Which way to take, and which wheels: milliseconds for the dearest of each, nothing kept."""

from __future__ import annotations

import time
from collections.abc import Callable
from fractions import Fraction
from statistics import median

from lathework.methods.gears import trains
from lathework.methods.ways.choose import chart, rank, what_changes
from lathework.planning.threads.wanted import wanted_thread
from lathework.shop.metals import materials
from lathework.threads.designation import read_designation

TWENTY = (20, 24, 28, 30, 32, 36, 40, 40, 42, 45, 48, 50, 54, 55, 60, 63, 65, 66, 72, 80)
"""Wheels of a well-kept lathe: six of them in a train at most."""
ROUNDS = 15


def _ms(once: Callable[[], object]) -> float:
    times = []
    for _ in range(ROUNDS):
        begun = time.perf_counter()
        once()
        times.append(time.perf_counter() - begun)
    return round(median(times) * 1000, 1)


def ways() -> dict[str, float]:
    """A metric pitch on an inch screw out of twenty wheels; all ways of a stud ranked, with chart and break-even."""
    inch_screw, metric = Fraction(254, 80), Fraction(7, 4)
    stud = wanted_thread(read_designation("3/8-16"), metal=materials()["mild-steel"], length_mm=25.4, pieces=40)

    def choose() -> object:
        found = rank(stud)
        return chart(found, stud.pieces), what_changes(found, stud.pieces)

    return {"gears_of_twenty_ms": _ms(lambda: trains(metric, inch_screw, TWENTY)), "ways_ranked_ms": _ms(choose)}
