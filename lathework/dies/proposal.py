"""Where to set a die next: the setting most likely to land in the class, erring open."""

from __future__ import annotations

from lathework.dies.learner import Belief
from lathework.dies.scale import Scale
from lathework.dies.trial import Forecast
from lathework.gauging.verdicts import told_metal

AS_GOOD = 0.05
"""A setting whose chance is no more than this below the best is left as it is (practice)."""
LET_GO = 0.25
"""A thread that fits its nut is rather large for its class from this chance on that it is too large (practice)."""
SCRAP_COSTS, PASSED_COSTS = 8.0, 10.0
"""What a thread too small costs, and one too large that its nut lets pass, over one that is cut again (practice)."""

CLOSED_AT_ONCE = 2
"""Steps of its scale that a die is closed by at a time, where a thread is too large (practice)."""


def settings(scale: Scale, low: float | None = None, most: float | None = None) -> list[float]:
    """The settings there are on a scale from `low` to `most` (marks, numbers), or all."""
    first, last = -scale.most if low is None else low, scale.most if most is None else most
    count = round(2 * scale.most / scale.step) + 1
    every = [-scale.most + n * scale.step for n in range(count)]
    return [one for one in every if first - 1e-9 <= one <= last + 1e-9]


def _between(belief: Belief) -> tuple[float, float]:
    """What the latest trials leave, in marks of the scale: over one too loose, under one too tight."""
    scale = belief.scale
    latest = [one for one in belief.latest if one.start == belief.start]
    loose = [one.eighths for one in latest if told_metal(one.verdict) == "under"]
    tight = [one.eighths for one in latest if told_metal(one.verdict) == "over"]
    low = max(loose, default=-scale.most - scale.step) + scale.step
    high = min(tight, default=scale.most + scale.step) - scale.step
    # Tight as far as it closes, or loose as far as it opens: its end is what is left. Verdicts that contradict each
    # other leave nothing between them: then the line alone speaks.
    low, high = min(low, scale.most), max(high, -scale.most)
    return (low, high) if settings(scale, low, high) else (-scale.most, scale.most)


def propose(belief: Belief, metal: str, *, below: float | None = None) -> Forecast | None:
    """The setting whose next thread is the likeliest to serve; `below` which it must be, for a piece that is to be cut
    again (a number of eighths). None where the die is closed as far as it goes.

    A large thread can be cut again, the more often the larger it is; a small one is scrap: what that costs is weighed.
    Source: practice.
    """
    low, high = _between(belief)
    most = high if below is None else min(high, below - belief.scale.step)
    # What the latest leave may fall between two settings: then all below serve.
    told = [
        belief.forecast(one, metal) for one in settings(belief.scale, low, most) or settings(belief.scale, most=most)
    ]

    def cost(one: Forecast) -> float:
        passed = one.over * belief.lets_pass(one)
        again = 1 + max(0.0, one.off_mm) / (CLOSED_AT_ONCE * belief.scale.step * belief.scale.slope_mm)
        return belief.aim.dear * SCRAP_COSTS * one.under + PASSED_COSTS * passed + again * (one.over - passed)

    return min(told, key=lambda one: (cost(one), abs(one.eighths)), default=None)


def start(belief: Belief, metal: str) -> Forecast | None:
    """Where to set a die for the next piece: as it stands, where its last thread passed there and that is as likely to
    serve as anything; else as proposed. Source: practice."""
    best = propose(belief, metal)
    last = belief.latest[-1] if belief.latest else None
    if best is None or last is None or told_metal(last.verdict) != "right" or last.start != belief.start:
        return best
    stays = belief.forecast(last.eighths, metal)
    return stays if stays.within >= best.within - AS_GOOD else best
