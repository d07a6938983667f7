"""How a slide answers its dial: what springs away at one cut is still there at the next.

Work, tool and slide give way under a cut by a share of its depth, and come back for the next one: a light cut after a
heavy one takes more than was dialled. What is believed of that is a state-space model with four quantities: how far the
last reading is off, the spring that the tool holds against the work, the share of a cut that springs away, and what a
turn of the dial moves for what it says. An extended Kalman filter learns them pass by pass; a pass that it cannot
explain is taken for a slip of the dial, and teaches nothing of the lathe.

Lengths are in millimetres of the size that is measured.
"""

from __future__ import annotations

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field

from lathework.cutting.to_size.pass_made import PassMade
from lathework.units import Millimetres

READING_MM, DIAL_MM, WANDER_MM = 0.004, 0.003, 0.007
"""How far a reading is off, how far the dial is left off, and how far a cut wanders: standard deviations (practice)."""
WANDERS_SHARE = 0.007
"""How far a cut wanders beside that, as a share of its depth (practice)."""
TOUCHED_MM = 0.04
"""How surely the tool stands where its dial says when a piece is begun (practice)."""
SPRINGS, SPRINGS_SPREAD = 0.02, 0.03
"""The share of a cut that springs away, and how far lathes differ in it (practice)."""
MOVES_SPREAD, LIES_SPREAD = 0.02, 0.15
"""How far what a dial moves may be from what it says, as a share; and the same of a dial that lies (practice)."""
SLIP_CHANCE, LIES_FOR = 0.03, 4.0
"""How often a dial slips; and by how much likelier, as a logarithm, a dial must lie than slip (practice)."""
SLIPPED = 12.0
"""A pass that misses what was expected by more than the root of so many of its variances was no plain pass."""
UNSAID_MM, UNSAID_SHARE = 0.02, 0.05
"""How far a dial of which nobody said anything may be from what was asked, and the same as a share (practice)."""
STRAYS_LIKE = 8.0
"""Passes that the belief in how far they stray is worth (practice)."""
STEADIEST = 0.6
"""Squares of what is allowed under which no lathe is believed to stray (practice)."""
SIZE, HELD, SHARE, MOVES = range(4)
"""The quantities: how far the true size is over the last reading, the spring held, its share, what the dial moves."""

Matrix = list[list[float]]


@dataclass(frozen=True, slots=True)
class Learned:
    """One quantity as a pass left it: what was believed before, how much of the miss it took, and the miss."""

    before: float
    gain: float
    missed_mm: Millimetres

    @property
    def now(self) -> float:
        """What is believed now."""
        return self.before + self.gain * self.missed_mm


@dataclass(frozen=True, slots=True)
class Outlook:
    """What a cut will take off and how surely: `spread_mm` is a standard deviation, made up of what is `unknown_mm` of
    the lathe, of the dial and of how cuts wander, times how far they `stray` in truth."""

    comes_off_mm: Millimetres
    unknown_mm: Millimetres
    dial_mm: Millimetres
    wander_mm: Millimetres
    stray: float

    @property
    def spread_mm(self) -> Millimetres:
        """The standard deviation of the size that is left."""
        return math.hypot(self.unknown_mm, self.dial_mm, self.wander_mm) * self.stray


def _product(left: Matrix, right: Matrix) -> Matrix:
    columns = list(zip(*right, strict=True))
    return [[sum(a * b for a, b in zip(row, column, strict=True)) for column in columns] for row in left]


@dataclass(slots=True)
class SlideBelief:
    """What is believed of a slide: `means` and `covariances` of the four quantities; what the last pass taught of each
    (`learned`, None before any); how far passes missed what was expected, in squares of what was allowed; how many were
    taken for `slips`; and how likely they all were, as a logarithm."""

    means: list[float]
    covariances: Matrix
    missed: float = STRAYS_LIKE
    passes: float = STRAYS_LIKE
    slips: int = 0
    likelihood: float = 0.0
    learned: list[Learned] | None = field(default=None)

    @property
    def stray(self) -> float:
        """How far passes stray for what is usual."""
        return math.sqrt(max(STEADIEST, self.missed / self.passes))

    @property
    def held_mm(self) -> Millimetres:
        """The spring that the tool holds against the work."""
        return self.means[HELD]

    @property
    def share(self) -> float:
        """The share of a cut that springs away."""
        return self.means[SHARE]

    @property
    def moves(self) -> float:
        """What the dial moves for what it says."""
        return self.means[MOVES]

    @property
    def over_mm(self) -> Millimetres:
        """How far the true size is over the last reading."""
        return self.means[SIZE]

    def begin(self) -> None:
        """Another piece, or the tool touched off anew: what is held is not known; what the lathe is like stays."""
        for place in (SIZE, HELD):
            self.means[place] = 0.0
            for other in range(4):
                self.covariances[place][other] = self.covariances[other][place] = 0.0
        self.covariances[SIZE][SIZE], self.covariances[HELD][HELD] = READING_MM**2, TOUCHED_MM**2

    def _depth(self, dialled_mm: Millimetres) -> Millimetres:
        """How much stands before the tool once so much was dialled."""
        return self.moves * dialled_mm + self.held_mm

    def _after(self, dialled_mm: Millimetres, unsaid_mm: Millimetres) -> tuple[list[float], Matrix]:
        """Means and covariances after a cut, before it is measured; the size counts from the reading before it."""
        share, depth = self.share, self._depth(dialled_mm)
        comes = 1 - share
        means = [self.over_mm - comes * depth, share * depth, share, self.moves]
        slopes = [
            [1.0, -comes, depth, -comes * dialled_mm],
            [0.0, share, depth, share * dialled_mm],
            [0.0, 0.0, 1.0, 0.0],
            [0.0, 0.0, 0.0, 1.0],
        ]
        turned = [list(column) for column in zip(*slopes, strict=True)]
        after = _product(_product(slopes, self.covariances), turned)
        dial = DIAL_MM**2 + unsaid_mm**2
        wander = WANDER_MM**2 + (WANDERS_SHARE * depth) ** 2
        # A dial that is left off moves size and spring apart by the cut's own shares; a cut that wanders leaves as much
        # more on the work as the tool now holds against it.
        by = (-comes, share)
        for row in (SIZE, HELD):
            for column in (SIZE, HELD):
                after[row][column] += by[row] * by[column] * dial + wander
        return means, after

    def learn(self, made: PassMade) -> None:
        """Learn from one pass; one that cannot be explained is taken for a slip of the dial."""
        if not made.follows:
            self.begin()
        asked_mm = made.dialled_mm
        unsaid_mm = 0.0 if made.stated else UNSAID_MM + UNSAID_SHARE * asked_mm
        means, after = self._after(asked_mm, unsaid_mm)
        missed_mm = -made.came_off_mm - means[SIZE]
        variance = after[SIZE][SIZE] + READING_MM**2
        if missed_mm**2 > SLIPPED * variance:
            means, after = self._after(asked_mm, math.hypot(unsaid_mm, missed_mm))
            variance = after[SIZE][SIZE] + READING_MM**2
            self.slips += 1
            self.likelihood += math.log(SLIP_CHANCE)
        elif made.stated:
            self.missed += missed_mm**2 / variance
            self.passes += 1
        self.likelihood -= (missed_mm**2 / variance + math.log(variance)) / 2
        gains = [row[SIZE] / variance for row in after]
        self.learned = [Learned(mean, gain, missed_mm) for mean, gain in zip(means, gains, strict=True)]
        self.means = [told.now for told in self.learned]
        self.covariances = [
            [value - gain * shared for value, shared in zip(row, after[SIZE], strict=True)]
            for row, gain in zip(after, gains, strict=True)
        ]
        # From here the size counts from the new reading.
        self.means[SIZE] += made.came_off_mm
        # Metal never springs towards the tool.
        self.means[SHARE] = max(0.0, self.means[SHARE])

    def dial_for(self, comes_off_mm: Millimetres) -> Millimetres:
        """What to dial for so much to come off, counted from the last reading."""
        return ((comes_off_mm + self.over_mm) / (1 - self.share) - self.held_mm) / self.moves

    def outlook(self, dialled_mm: Millimetres) -> Outlook:
        """What comes off when so much is dialled, counted from the last reading, and how surely."""
        depth = self._depth(dialled_mm)
        comes = 1 - self.share
        slopes = (1.0, -comes, depth, -comes * dialled_mm)
        unknown = sum(
            a * b * value
            for a, row in zip(slopes, self.covariances, strict=True)
            for b, value in zip(slopes, row, strict=True)
        )
        return Outlook(
            comes * depth - self.over_mm,
            math.sqrt(max(0.0, unknown)),
            comes * DIAL_MM,
            math.hypot(WANDER_MM, WANDERS_SHARE * depth),
            self.stray,
        )

    @property
    def steadiest_mm(self) -> Millimetres:
        """How far a light cut goes astray at best, once the spring is known: a standard deviation."""
        return math.hypot(READING_MM, DIAL_MM, WANDER_MM) * self.stray


def _after_all(passes: Iterable[PassMade], usual: float, moves_spread: float) -> SlideBelief:
    """What is believed after all passes of a slide whose dial is off by so much (both bare numbers)."""
    spreads = (READING_MM, TOUCHED_MM, SPRINGS_SPREAD, moves_spread)
    alone = [[spread**2 if row == column else 0.0 for column in range(4)] for row, spread in enumerate(spreads)]
    belief = SlideBelief([0.0, 0.0, usual, 1.0], alone)
    for made in passes:
        belief.learn(made)
    return belief


def slide_belief(passes: Sequence[PassMade], *, stands: bool, usual: float = SPRINGS) -> SlideBelief:
    """What is believed of a slide after its `passes`, the oldest first; `stands` says that the tool is still where the
    last of them left it. `usual` is the share that springs away as long as nobody knows better (a bare number). Source:
    practice."""
    belief = _after_all(passes, usual, MOVES_SPREAD)
    if belief.slips > 1:
        # The same slip twice is none: the dial does not move what it says.
        lies = _after_all(passes, usual, LIES_SPREAD)
        belief = lies if lies.likelihood > belief.likelihood + LIES_FOR else belief
    if not stands:
        belief.begin()
        belief.learned = None
    return belief
