"""What is known of one die: the pitch diameter it cuts, as a line over its setting, from every thread it was judged by.

Pitch diameter over the middle of its class = offset + slope × eighths + metal + scatter. All of it is normal; a size
that was measured updates it exactly, a nut's verdict by the moments of the clearance that goes with that verdict.
Lengths are in millimetres, settings in eighths of a turn of the middle screw from where it touches, opened above 0; of
a die head in graduations of its scale from its mark.
"""

from __future__ import annotations

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field
from statistics import NormalDist

from lathework.dies.aim import Aim
from lathework.dies.scale import SCREW, By, Scale
from lathework.dies.trial import Forecast, Trial, limits_said, nut_verdict
from lathework.gauging.tried import Gauge
from lathework.gauging.verdicts import NutVerdict

OFFSETS_MM: dict[By, float] = {"screw": 0.012, "graduations": 0.012, "tap": 0.0}
OFFSET_SPREAD_MM = 0.03
"""How far over the middle of its class what is set so cuts as it comes, with the lead that a mate feels; and how far
one differs from the next (practice)."""
METAL_SPREAD_MM = 0.006
"""How much larger or smaller a metal comes out of the same die (practice)."""
SCATTER_MM = 0.008
"""How far pieces of one setting differ (practice)."""
FEEL_SHARE = 0.03
"""How far a hand's verdict strays, as a share of the greatest clearance that the classes allow (practice)."""
CLEARANCES: dict[NutVerdict, tuple[float, float]] = {
    "will-not-start": (-math.inf, -0.15),
    "binds": (-0.15, 0.0),
    "snug": (0.0, 0.25),
    "slight-shake": (0.25, 0.7),
    "loose": (0.7, math.inf),
}
"""The clearance on the pitch diameter that goes with each verdict, in shares of the greatest that the classes of bolt
and nut allow: most bolts shake a little in most nuts (practice)."""
LIMITS_MM = 0.003
"""How far go and no-go gauges and the hand that tries them stray, as a standard deviation (practice)."""
WEARS_MM, LOST, SEATED_MM, SURPRISED_MM = 0.0015, 0.3, 0.015, 0.03
"""How far a die may have worn since the thread before; what share of a step of its scale is lost when it is moved; how
far it may be off once it was seated anew, and where what it cut is a surprise: standard deviations (practice)."""
UNSAID = 0.5
"""How far from its mark a die may stand of which nobody said where: a share of what it moves at most (practice)."""
SURPRISES = 0.003
"""Chance under which what was seen is a surprise (practice)."""
LATEST = 3
"""Trials whose own word counts beside the line: one thread says little, farther back (practice)."""
_OFFSET, _SLOPE, _MATE, _THREAD = 0, 1, 2, 3
_LEAST_LIKELY = 1e-6


def _cut_off(law: NormalDist, low: float, high: float) -> tuple[float, float]:
    """Mean and variance of a normal law between two bounds."""
    a, b = (low - law.mean) / law.stdev, (high - law.mean) / law.stdev
    unit = NormalDist()
    share = unit.cdf(b) - unit.cdf(a)
    if share < _LEAST_LIKELY:
        # All but impossible by what was believed: as near as the bounds allow, and nearly as uncertain as before.
        return (low if a > 0 else high), law.variance / 4
    at_a, at_b = (0.0 if math.isinf(x) else unit.pdf(x) for x in (a, b))
    a_at_a, b_at_b = (0.0 if math.isinf(x) else x * unit.pdf(x) for x in (a, b))
    shift = (at_a - at_b) / share
    return law.mean + law.stdev * shift, law.variance * (1 + (a_at_a - b_at_b) / share - shift**2)


@dataclass(slots=True)
class Belief:
    """What is believed of a die for an aim, set by its `scale`: means and covariances of offset, slope, nut, of how far
    the last thread strays from its setting, and, by their names, of what was met `also`: what each metal adds, other
    nuts, unknown places that settings are counted from. `start` is the one that the next setting is counted from, ""
    for where its screw touches."""

    aim: Aim
    scale: Scale = SCREW
    start: str = ""
    also: list[str] = field(default_factory=list)
    means: list[float] = field(default_factory=list)
    covariances: list[list[float]] = field(default_factory=list)
    latest: list[Trial] = field(default_factory=list)

    def __post_init__(self) -> None:
        """Before any trial: what is usual."""
        mate, strays = self.aim.mate()
        # Offset, slope, nut and the last thread are independent before anything was seen: nothing off the diagonal.
        self.means = [OFFSETS_MM[self.scale.by], self.scale.slope_mm, mate, 0.0]
        spreads = (OFFSET_SPREAD_MM, self.scale.spread * self.scale.slope_mm, strays, SCATTER_MM)
        self.covariances = [[spread**2 if i == j else 0.0 for j in range(4)] for i, spread in enumerate(spreads)]

    def _place(self, name: str, mean: float, spread: float) -> int:
        """The place of what is met `also`, put at the end where it was not met yet."""
        if name not in self.also:
            self.also.append(name)
            self.means.append(mean)
            for row in self.covariances:
                row.append(0.0)
            self.covariances.append([0.0] * len(self.means))
            self.covariances[-1][-1] = spread**2
        return 4 + self.also.index(name)

    def _metal(self, name: str) -> int:
        return self._place(f"metal {name}", 0.0, METAL_SPREAD_MM)

    def _mate(self, tried: Gauge) -> int:
        return self._place(f"mate:{tried}", *self.aim.mate(tried)) if tried else _MATE

    def _weights(self, trial_metal: str, eighths: float, start: str) -> list[float]:
        """What the pitch diameter takes of each: offset, so many slopes, the metal, where it is counted from."""
        places = [self._metal(trial_metal)]
        if start:
            # About where it touches, or about its mark: nobody runs a die that is far from it.
            spread = UNSAID * self.scale.most * self.scale.slope_mm
            places.append(self._place(f"start {start}", 0.0, spread))
        weights = [0.0] * len(self.means)
        weights[_OFFSET], weights[_SLOPE] = 1.0, eighths
        for place in places:
            weights[place] = 1.0
        return weights

    def _seen(self, weights: Sequence[float], noise: float) -> tuple[float, float, list[float]]:
        """Mean and variance of a sum with a `noise` variance, and how it varies with each."""
        mean = math.fsum(w * m for w, m in zip(weights, self.means, strict=True))
        shared = [math.fsum(w * c for w, c in zip(weights, row, strict=True)) for row in self.covariances]
        return mean, math.fsum(w * s for w, s in zip(weights, shared, strict=True)) + noise, shared

    def _take(self, weights: Sequence[float], noise: float, mean: float, variance: float) -> None:
        """Learn that a sum with a `noise` variance has that mean and variance now."""
        before, spread, shared = self._seen(weights, noise)
        # The update of a normal law by one sum: gain is covariance over variance.
        if spread <= 0:
            return  # it was known to the last digit before
        gains = [s / spread for s in shared]
        self.means = [m + g * (mean - before) for m, g in zip(self.means, gains, strict=True)]
        self.covariances = [
            [c - g * h * (spread - variance) for c, h in zip(row, gains, strict=True)]
            for row, g in zip(self.covariances, gains, strict=True)
        ]

    def line(self, metal: str) -> tuple[float, float, float]:
        """Offset, slope for an eighth of a turn, and what a metal adds, in millimetres."""
        return self.means[_OFFSET], self.means[_SLOPE], self.means[self._metal(metal)]

    def _next_thread(self) -> None:
        """Another thread strays by its own: what the last one did is not asked any more."""
        self.means[_THREAD] = 0.0
        for row in self.covariances:
            row[_THREAD] = 0.0
        self.covariances[_THREAD] = [0.0] * len(self.means)
        self.covariances[_THREAD][_THREAD] = SCATTER_MM**2

    def _take_between(self, weights: Sequence[float], noise: float, low: float, high: float, start: str) -> None:
        """Learn that a sum lies between two bounds."""
        mean, variance, _ = self._seen(weights, noise)
        law = NormalDist(mean, math.sqrt(variance))
        chance = law.cdf(high) - law.cdf(low)
        if self._takes_surprise(chance, start):
            mean, variance, _ = self._seen(weights, noise)
            law = NormalDist(mean, math.sqrt(variance))
        self._take(weights, noise, *_cut_off(law, low, high))

    def _forgets(self, trial: Trial) -> None:
        """Since the thread before the die has worn a little; where it was moved, it does not stand quite there; and one
        that was seated anew does not cut quite what it did."""
        last = self.latest[-1] if self.latest else None
        if last is None:
            return
        moved = last.eighths != trial.eighths or last.start != trial.start
        self._widen(_OFFSET, math.hypot(WEARS_MM, LOST * self.scale.step * self.scale.slope_mm if moved else 0.0))
        if trial.seated:
            self._widen(_OFFSET, SEATED_MM)

    def _widen(self, place: int, spread_mm: float) -> None:
        self.covariances[place][place] += spread_mm**2

    def _takes_surprise(self, chance: float, start: str) -> bool:
        """Whether what was seen was all but impossible: then the die does not stand where it did, or this thread is an
        odd one. Which, the next says."""
        surprise = chance < SURPRISES
        if surprise:
            self._widen(4 + self.also.index(f"start {start}") if start else _OFFSET, SURPRISED_MM)
            self._widen(_THREAD, SURPRISED_MM)
        return surprise

    def learn(self, trial: Trial) -> Forecast:
        """Learn from one thread: from its measured size, else from the verdict. What that thread itself is."""
        if not trial.again:
            self._forgets(trial)
            self._next_thread()
        self.latest = [*(self.latest[:-1] if trial.again else self.latest), trial][-LATEST:]
        weights = self._weights(trial.metal, trial.eighths, trial.start)
        weights[_THREAD] = 1.0
        if trial.off_mm is not None:
            mean, variance, _ = self._seen(weights, trial.within_mm**2)
            self._takes_surprise(2 * NormalDist().cdf(-abs(trial.off_mm - mean) / math.sqrt(variance)), trial.start)
            self._take(weights, trial.within_mm**2, trial.off_mm, 0.0)
        elif (limits := limits_said(trial.verdict, self.aim.half_mm)) is not None:
            self._take_between(weights, LIMITS_MM**2, *limits, trial.start)
        elif (said := nut_verdict(trial.verdict)) is not None:
            low, high = (bound * self.aim.clearance_mm for bound in CLEARANCES[said])
            place = self._mate(trial.tried)
            weights += [0.0] * (len(self.means) - len(weights))
            # A verdict speaks of the clearance, nut less bolt: the bolt goes in with the other sign.
            clearance = [-w for w in weights]
            clearance[place] = 1.0
            self._take_between(clearance, (FEEL_SHARE * self.aim.clearance_mm) ** 2, low, high, trial.start)
        mean, variance, _ = self._seen(weights, 0.0)
        return self._told(trial.eighths, mean, variance)

    def forecast(self, eighths: float, metal: str) -> Forecast:
        """What the next thread at a setting of so many `eighths` (a number) comes out as, in a metal."""
        mean, variance, _ = self._seen(self._weights(metal, eighths, self.start), SCATTER_MM**2)
        return self._told(eighths, mean, variance)

    def lets_pass(self, forecast: Forecast) -> float:
        """The chance that a thread that is too large by its class still passes what threads are tried in: gauges of the
        limits let none pass, a nut those that it has room for."""
        last = self.latest[-1] if self.latest else None
        if last is not None and (last.tried == "limits" or last.off_mm is not None):
            return 0.0
        half, law = self.aim.half_mm, NormalDist(forecast.off_mm, forecast.spread_mm)
        too_large, _ = _cut_off(law, half, math.inf)
        place = self._mate(last.tried if last is not None else "")
        return 1 - NormalDist(self.means[place], math.sqrt(self.covariances[place][place])).cdf(too_large)

    def _told(self, eighths: float, mean: float, variance: float) -> Forecast:
        law, half = NormalDist(mean, math.sqrt(variance)), self.aim.half_mm
        under, over = law.cdf(-half), 1 - law.cdf(half)
        return Forecast(eighths, mean, law.stdev, 1 - under - over, under, over)


def believed(aim: Aim, trials: Iterable[Trial], scale: Scale = SCREW, start: str = "") -> Belief:
    """What is believed of a die after its trials, in their order; it is set by that `scale`, and its next setting is
    counted from `start`."""
    belief = Belief(aim, scale, start)
    for trial in trials:
        belief.learn(trial)
    return belief
