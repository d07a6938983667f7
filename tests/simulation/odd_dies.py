"""Dies, nuts and hands of the tests' own, which nothing of the program's model went into.

A die whose screw is not linear, has lost motion and wears; a lead error that a nut feels and a micrometer does not; a
nut that is some nut, loose or worn; a hand that feels by steps and now and then not at all. Lengths in millimetres.
"""

from __future__ import annotations

import random
from collections.abc import Callable, Iterator
from dataclasses import dataclass, field, replace

from lathework.dies.aim import Aim, aim_at
from lathework.dies.learner import Belief
from lathework.dies.proposal import propose, start
from lathework.dies.trial import Trial
from lathework.gauging.verdicts import LimitVerdict, NutVerdict, Verdict
from lathework.threads.designation import read_called
from lathework.threads.limits import external_limits, internal_limits

NAMES = ("M5", "M6", "M8", "M10", "1/4-20", "3/8-16", "1/2-13")
METAL = "mild steel"
MOST_CUTS, PIECES = 6, 6
EIGHTH_MM = 0.064
"""What an eighth of a turn makes of the diameter in the mean of these dies."""


@dataclass(frozen=True, slots=True)
class Misfit:
    """How dies, nuts and hands differ from plain ones: where dies cut in the mean and how far they differ; how far the
    screw bends (`bends`, of its slope for each eighth) and its `slopes` differ; what is lost at a reversal (eighths);
    what each piece wears; how long the lead is felt (`lead`, at most); how far up in the nuts' class, and past it,
    nuts lie (`nuts`, shares from and to); how often a hand says anything."""

    mean: float = 0.0
    differ: float = 0.025
    scatter: float = 0.006
    tails: float = 0.0
    slopes: float = 0.25
    bends: float = 0.0
    lost: float = 0.0
    wears: float = 0.0
    lead: float = 0.0
    nuts: tuple[float, float] = (0.0, 0.7)
    anything: float = 0.0


PLAIN = Misfit()
MISFITS: dict[str, Misfit] = {
    "plain": PLAIN,
    "large": replace(PLAIN, mean=0.012),
    "bent screw": replace(PLAIN, bends=0.15, lost=0.4, slopes=0.4),
    "wears": replace(PLAIN, wears=0.0015),
    "lead": replace(PLAIN, lead=0.03),
    "loose nuts": replace(PLAIN, nuts=(0.3, 1.3)),
    "odd hand": replace(PLAIN, anything=0.04, tails=0.08),
    "all of it": Misfit(0.012, 0.03, 0.008, 0.05, 0.4, 0.12, 0.3, 0.0008, 0.02, (0.1, 1.2), 0.02),
}


@dataclass(slots=True)
class OddDie:
    """A die with the nut that its threads are tried in."""

    dice: random.Random
    misfit: Misfit
    aim: Aim
    at_touch: float
    slope: float
    bend: float
    lead: float
    nut: float
    stands: float = 0.0
    slack: float = 0.0
    way: int = 1
    cut_so_far: int = 0

    def set_to(self, eighths: float) -> None:
        """Turn the screw there; at a reversal some of the turn is lost."""
        move = eighths - self.stands
        if move and (1 if move > 0 else -1) != self.way:
            self.way = -self.way
            self.slack = self.way * -self.dice.uniform(0, self.misfit.lost)
        self.stands = eighths

    def cut(self) -> float:
        """The pitch diameter of one more thread, over the middle of its class."""
        odd, eighths = self.misfit, self.stands + self.slack
        self.cut_so_far += 1
        wild = 4.0 if self.dice.random() < odd.tails else 1.0
        opens = self.slope * eighths * (1 + self.bend * eighths)
        return self.at_touch + opens + odd.wears * self.cut_so_far + self.dice.gauss(0, odd.scatter * wild)

    def functional(self, off: float) -> float:
        """What a mate feels of a thread so far off: its lead error makes it larger."""
        return off + self.lead

    def nut_says(self, off: float) -> NutVerdict:
        """What the hand says of the nut on it."""
        if self.dice.random() < self.misfit.anything:
            return self.dice.choice(("binds", "snug", "slight-shake"))
        clear = self.nut - self.functional(off) + self.dice.gauss(0, 0.004)
        wide = self.aim.clearance_mm
        if clear < -0.02:
            return "will-not-start"
        if clear < 0:
            return "binds"
        return "snug" if clear < 0.22 * wide else "slight-shake" if clear < 0.75 * wide else "loose"

    def rings_say(self, off: float) -> LimitVerdict:
        """What go and no-go rings say: the go ring feels the lead as well, the no-go ring hardly."""
        if self.functional(off) > self.aim.half_mm + self.dice.gauss(0, 0.002):
            return "go-stops"
        return "no-go-passes" if off < -self.aim.half_mm + self.dice.gauss(0, 0.002) else "go-passes"

    def good(self, off: float) -> bool:
        """Whether a thread is in its class by what a mate feels of it and by its size."""
        return self.functional(off) <= self.aim.half_mm and off >= -self.aim.half_mm


def odd_dies(misfit: Misfit, count: int, seed: int) -> Iterator[OddDie]:
    """So many dies, the same for the same seed."""
    dice = random.Random(seed)
    for _ in range(count):
        thread = read_called(dice.choice(NAMES)).thread
        bolt, nut = external_limits(thread), internal_limits(thread)
        assert bolt is not None
        aim = aim_at(bolt, nut)
        share = dice.uniform(*misfit.nuts)
        yield OddDie(
            random.Random(dice.random()),
            misfit,
            aim,
            dice.gauss(misfit.mean, misfit.differ),
            EIGHTH_MM * dice.lognormvariate(0, misfit.slopes),
            dice.uniform(-misfit.bends, misfit.bends),
            dice.uniform(0, misfit.lead),
            aim.tightest_mm + share * aim.nuts_mm,
        )


@dataclass(frozen=True, slots=True)
class Batch:
    """A batch as it ended: how many pieces are good, of how many; cuts; the chances that were told, and what came."""

    good: int
    pieces: int
    cuts: int
    told: tuple[tuple[float, bool], ...] = ()


Said = Callable[[OddDie, float], Verdict]


def by_nut(die: OddDie, off: float) -> Verdict:
    """Tried in its nut."""
    return die.nut_says(off)


def by_rings(die: OddDie, off: float) -> Verdict:
    """Tried in go and no-go rings."""
    return die.rings_say(off)


@dataclass(slots=True)
class Learning:
    """A die with what is believed of it, from batch to batch."""

    die: OddDie
    belief: Belief = field(init=False)

    def __post_init__(self) -> None:
        self.belief = Belief(self.die.aim)

    def batch(self, says: Said) -> Batch:
        """Pieces cut as the program says, again where it says so."""
        die, good, cuts = self.die, 0, 0
        told: list[tuple[float, bool]] = []
        for _ in range(PIECES):
            next_cut = start(self.belief, METAL)
            off = float("inf")
            for _ in range(MOST_CUTS):
                assert next_cut is not None
                die.set_to(next_cut.eighths)
                fresh = die.cut()
                off, cuts = min(off, fresh), cuts + 1
                told.append((next_cut.within, die.good(fresh)))
                said = says(die, off)
                own = self.belief.learn(Trial(next_cut.eighths, METAL, said, seated=not cuts - 1))
                tight = said in ("will-not-start", "binds", "go-stops")
                if not tight or own.under > max(own.within, own.over):
                    break
                next_cut = propose(self.belief, METAL, below=next_cut.eighths)
                if next_cut is None:
                    break
            good += die.good(off)
        return Batch(good, PIECES, cuts, tuple(told))


def by_eighths(die: OddDie, says: Said) -> Batch:
    """Pieces cut by the rule: from where the screw touches, an eighth closed when it binds, an eighth opened when it is
    loose."""
    good, cuts, eighths = 0, 0, 0.0
    for _ in range(PIECES):
        off = float("inf")
        for _ in range(MOST_CUTS):
            die.set_to(eighths)
            off, cuts = min(off, die.cut()), cuts + 1
            said = says(die, off)
            if said in ("will-not-start", "binds", "go-stops"):
                eighths -= 1
                continue
            if said in ("loose", "no-go-passes"):
                eighths += 1
            break
        good += die.good(off)
    return Batch(good, PIECES, cuts)
