"""Dies that nobody knows: an offset, a slope, a scatter, what metals add, and a nut; they are known by verdicts alone.

The model is the trade's own (a line over the setting); the nut's verdict is that of its clearance, as a hand feels it.
"""

from __future__ import annotations

import math
import random
from collections.abc import Iterator
from dataclasses import dataclass, field

from lathework.dies.aim import Aim, aim_at
from lathework.dies.learner import (
    CLEARANCES,
    FEEL_SHARE,
    METAL_SPREAD_MM,
    OFFSET_SPREAD_MM,
    SCATTER_MM,
    Belief,
    Trial,
)
from lathework.dies.proposal import LET_GO, propose
from lathework.dies.scale import SLOPE_MM
from lathework.dies.setting import advise
from lathework.gauging.verdicts import NutVerdict
from lathework.threads.designation import read_called
from lathework.threads.limits import external_limits, internal_limits
from lathework.threads.thread import Thread

THREADS = tuple(read_called(name).thread for name in ("M5", "M6", "M8", "M10", "1/4-20", "3/8-16", "1/2-13"))
MOST_CUTS = 8
SLOPES, SCATTERS = 0.35, 0.3
"""How far slopes and scatters of dies differ from the usual, as standard deviations of their logarithms."""


@dataclass(slots=True)
class UnknownDie:
    """A die of the shop that has cut nothing yet."""

    dice: random.Random
    thread: Thread
    aim: Aim
    offset: float
    slope: float
    scatter: float
    mate: float
    metals: dict[str, float] = field(default_factory=dict)

    def cut(self, eighths: float, metal: str) -> float:
        """The pitch diameter of one more thread, over the middle of its class, in millimetres."""
        more = self.metals.setdefault(metal, self.dice.gauss(0, METAL_SPREAD_MM))
        return self.offset + self.slope * eighths + more + self.dice.gauss(0, self.scatter)

    def said(self, off_mm: float) -> NutVerdict:
        """What the nut says of a thread that is so far off, in millimetres."""
        clearance = (self.mate - off_mm) / self.aim.clearance_mm + self.dice.gauss(0, FEEL_SHARE)
        return next(verdict for verdict, (low, high) in CLEARANCES.items() if low <= clearance < high)

    def good(self, off_mm: float) -> bool:
        """Whether a thread so far off (millimetres) is in its class."""
        return abs(off_mm) <= self.aim.half_mm


def unknown_dies(count: int, seed: int) -> Iterator[UnknownDie]:
    """So many dies."""
    dice = random.Random(seed)
    for _ in range(count):
        thread = dice.choice(THREADS)
        bolt, nut = external_limits(thread), internal_limits(thread)
        assert bolt is not None
        aim = aim_at(bolt, nut)
        mean, spread = aim.mate()
        mate = -math.inf
        while not aim.tightest_mm <= mate <= aim.tightest_mm + aim.nuts_mm:
            mate = dice.gauss(mean, spread)
        slope = SLOPE_MM * math.exp(dice.gauss(0, SLOPES))
        # The usual scatter is the one that the squares of all dies have in the mean.
        scatter = SCATTER_MM * math.exp(dice.gauss(-(SCATTERS**2), SCATTERS))
        yield UnknownDie(dice, thread, aim, dice.gauss(0, OFFSET_SPREAD_MM), slope, scatter, mate)


@dataclass(frozen=True, slots=True)
class Piece:
    """A piece as it ended: cuts it took, whether it is in its class, whether it came out too small."""

    cuts: int
    good: bool
    small: bool


Called = tuple[float, bool]
"""A chance that was called, and whether it came true."""


def by_what_is_known(die: UnknownDie, belief: Belief, metal: str, called: list[Called]) -> Piece:
    """One piece, cut again at the settings proposed until it is likelier good than too large."""
    told, off = propose(belief, metal), math.inf
    for cuts in range(1, MOST_CUTS + 1):
        assert told is not None
        fresh = die.cut(told.eighths, metal)
        off = min(off, fresh)
        called.append((told.within, die.good(fresh)))
        verdict = die.said(off)
        own = belief.learn(Trial(told.eighths, metal, verdict))
        fits = verdict not in ("will-not-start", "binds")
        again = propose(belief, metal, below=told.eighths)
        if own.under > max(own.within, own.over) or (fits and own.over <= LET_GO) or again is None:
            return Piece(cuts, die.good(off), off < -die.aim.half_mm)
        told = again
    return Piece(MOST_CUTS, die.good(off), off < -die.aim.half_mm)


def by_the_rule(die: UnknownDie, metal: str) -> Piece:
    """One piece by the rule of so many eighths for each verdict, from where the screw touches."""
    eighths, off = 0.0, math.inf
    for cuts in range(1, MOST_CUTS + 1):
        off = min(off, die.cut(eighths, metal))
        advice = advise(die.thread, die.said(off))
        if not advice.recut or advice.eighths is None:
            return Piece(cuts, die.good(off), off < -die.aim.half_mm)
        eighths -= advice.eighths.value
    return Piece(MOST_CUTS, die.good(off), off < -die.aim.half_mm)
