"""What the next reading of a size is expected to be."""

from __future__ import annotations

from lathework.bench.size.size_now import SizeNow
from lathework.bench.size.unlikely import Expected
from lathework.cutting.dimension import LEARNED
from lathework.planning.threads.thread_work import in_mm
from lathework.units import Millimetres

AGAIN_MM, PLAIN_MM, PLAIN_SHARE = 0.015, 0.05, 0.03
"""How far a size is off that is measured again, and one that is cut without a learned spring, with that share of the
cut (practice)."""
LEAST_MM = 0.01
"""No reading is expected closer than this (practice)."""
UNSAID, SAID, SKIPPING, AGAIN = 0.25, 0.02, 0.8, 0.3
"""How often a reading is not the next one in turn: where nobody said what was dialled, where somebody did, where that
happened here before, and on size (practice): several cuts are made between two readings."""
AIMED = 3
"""How many times as often as at another planned size one measures at the aim itself, nothing said (practice)."""
ROUND_MM, BACK_MM = 0.1, 0.02
"""How far past its aim, and back over the last reading, one may be (practice)."""


def expected_reading(size: SizeNow, dialled_mm: Millimetres | None) -> Expected | None:
    """What the next reading of a `size` is expected to be after so much was dialled (None where nobody said); None
    where nothing can be said. Source: practice."""
    dimension, cut = size.dimension, size.cut
    aim, sign = dimension.target.aim_mm, 1 if dimension.grows else -1
    if dimension.move in ("knock", "none") or not size.readings:
        return None  # a piece may be measured first at any time
    last = size.readings[-1].value_mm
    low, high = sorted((aim + sign * ROUND_MM, last - sign * BACK_MM))
    if cut.dial is None:
        return Expected(last, AGAIN_MM, last - ROUND_MM, last + ROUND_MM, AGAIN)
    dialled = cut.cut_mm if dialled_mm is None else dialled_mm
    anywhere = SAID if dialled_mm is not None else SKIPPING if cut.astray else UNSAID
    if dimension.move in LEARNED and cut.expect is not None and cut.give_or_take is not None:
        expected = in_mm(cut.expect) + sign * (dialled - cut.cut_mm)
        spread = max(LEAST_MM, in_mm(cut.give_or_take))
    else:
        expected, spread = last + sign * dialled, PLAIN_MM + PLAIN_SHARE * dialled
    low, high = min(low, expected), max(high, expected)
    # Who says nothing may have made more than one of the planned cuts, or all of them, or have measured again.
    planned = tuple(one for one in dimension.sizes_mm if one != aim)
    others = (last,) if dialled_mm is not None else (*(aim,) * AIMED, last, *planned)
    return Expected(expected, spread, low, high, anywhere, others)
