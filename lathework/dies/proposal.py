"""Where to set a die next: the setting most likely to land in the class, erring open."""

from __future__ import annotations

from lathework.dies.learner import Belief, Forecast
from lathework.gauging.verdicts import told_metal

STEP = 0.5
"""A setting is told to half an eighth of a turn: no finer can be set by eye (practice)."""
MOST_EIGHTHS = 4.0
"""A die is opened or closed no farther from where its screw touches: it cracks (practice)."""
AS_GOOD = 0.05
"""A setting whose chance is no more than this below the best is left as it is (practice)."""
LET_GO = 0.25
"""A thread that fits its nut is rather large for its class from this chance on that it is too large (practice)."""
SCRAP_COSTS = 15.0
"""What a thread too small costs, over one too large: that one is cut again (practice)."""


def settings(low: float = -MOST_EIGHTHS, most: float = MOST_EIGHTHS) -> list[float]:
    """The settings there are from `low` to `most`, in eighths (numbers) of a turn."""
    count = round(2 * MOST_EIGHTHS / STEP) + 1
    every = [-MOST_EIGHTHS + n * STEP for n in range(count)]
    return [one for one in every if low - 1e-9 <= one <= most + 1e-9]


def _between(belief: Belief) -> tuple[float, float]:
    """What the latest trials leave, in eighths of a turn: over one too loose, under one too tight."""
    loose = [one.eighths for one in belief.latest if told_metal(one.verdict) == "under"]
    tight = [one.eighths for one in belief.latest if told_metal(one.verdict) == "over"]
    low, high = max(loose, default=-MOST_EIGHTHS - STEP) + STEP, min(tight, default=MOST_EIGHTHS + STEP) - STEP
    # Verdicts that contradict each other leave nothing between them: then the line alone speaks.
    return (low, high) if settings(low, high) else (-MOST_EIGHTHS, MOST_EIGHTHS)


def propose(belief: Belief, metal: str, *, below: float | None = None) -> Forecast | None:
    """The setting whose next thread is the likeliest to serve; `below` which it must be, for a piece that is to be cut
    again (a number of eighths). None where the die is closed as far as it goes.

    A large thread can be cut again, a small one is scrap: what that costs is weighed. Source: practice.
    """
    low, high = _between(belief)
    most = high if below is None else min(high, below - STEP)
    # What the latest leave may fall between two settings: then all below serve.
    told = [belief.forecast(one, metal) for one in settings(low, most) or settings(most=most)]
    return min(told, key=lambda one: (SCRAP_COSTS * one.under + one.over, abs(one.eighths)), default=None)


def start(belief: Belief, metal: str) -> Forecast | None:
    """Where to set a die for the next piece: as it stands, where its last thread passed there and that is as likely to
    serve as anything; else as proposed. Source: practice."""
    best = propose(belief, metal)
    last = belief.latest[-1] if belief.latest else None
    if best is None or last is None or told_metal(last.verdict) != "right":
        return best
    stays = belief.forecast(last.eighths, metal)
    return stays if stays.within >= best.within - AS_GOOD else best
