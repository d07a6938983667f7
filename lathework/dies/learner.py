"""What is known of one die: the pitch diameter it cuts, as a line over its setting, from every thread it was judged by.

Pitch diameter over the middle of its class = offset + slope × eighths + metal + scatter. All of it is normal; a size
that was measured updates it exactly, a nut's verdict by the moments of the clearance that goes with that verdict.
Lengths are in millimetres, settings in eighths of a turn of the middle screw from where it touches, opened above 0; of
a die head in graduations of its scale from its mark.
"""

from __future__ import annotations

import math
from collections.abc import Iterable
from dataclasses import dataclass, field
from statistics import NormalDist

from lathework.dies.aim import Aim
from lathework.dies.counted_from import screw_of
from lathework.dies.joint_normal import JointNormal, cut_off
from lathework.dies.scale import SCREW, Scale
from lathework.dies.spreads import (
    CLEARANCES,
    FEEL_SHARE,
    HONED_MM,
    LIMITS_MM,
    LOST,
    METAL_SPREAD_MM,
    NIPPED_MM,
    NIPPED_OVER_MM,
    OFFSET_SPREAD_MM,
    OFFSETS_MM,
    SCATTER_MM,
    SEATED_MM,
    SURPRISED_MM,
    SURPRISES,
    UNSAID,
    WEARS_MM,
)
from lathework.dies.trial import Forecast, Trial, limits_said, nut_verdict
from lathework.gauging.tried import Gauge

LATEST = 3
"""Trials whose own word counts beside the line: one thread says little, farther back (practice)."""
_OFFSET, _SLOPE, _MATE, _THREAD = 0, 1, 2, 3


@dataclass(frozen=True, slots=True)
class _Says:
    """That a sum with a `noise` variance lies between two bounds, or is what both of them are."""

    weights: list[float]
    noise: float
    low: float
    high: float


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
    unknowns: JointNormal = field(init=False)
    latest: list[Trial] = field(default_factory=list)

    def __post_init__(self) -> None:
        """Before any trial: what is usual."""
        mate, strays = self.aim.mate()
        # Offset, slope, nut and the last thread are independent before anything was seen: nothing off the diagonal.
        spreads = (OFFSET_SPREAD_MM, self.scale.spread * self.scale.slope_mm, strays, SCATTER_MM)
        self.unknowns = JointNormal(
            [OFFSETS_MM[self.scale.by], self.scale.slope_mm, mate, 0.0],
            [[spread**2 if i == j else 0.0 for j in range(4)] for i, spread in enumerate(spreads)],
        )

    def _place(self, name: str, mean: float, spread: float) -> int:
        """The place of what is met `also`, put at the end where it was not met yet."""
        if name not in self.also:
            self.also.append(name)
            self.unknowns.add(mean, spread)
        return 4 + self.also.index(name)

    def _metal(self, name: str) -> int:
        return self._place(f"metal {name}", 0.0, METAL_SPREAD_MM)

    def _mate(self, tried: Gauge, named: str = "") -> int:
        return self._place(f"mate:{tried} {named}".rstrip(), *self.aim.mate(tried)) if tried or named else _MATE

    def _start(self, start: str) -> int:
        """The place that settings are counted from. Where it nips a known screw it cuts nearly what that is."""
        fresh = f"start {start}" not in self.also
        # About where it touches, or about its mark: nobody runs a die that is far from it.
        place = self._place(f"start {start}", 0.0, UNSAID * self.scale.most * self.scale.slope_mm)
        if fresh and screw_of(start):
            weights = [0.0] * len(self.unknowns.means)
            weights[_OFFSET] = weights[place] = 1.0
            strays = math.hypot(self.aim.half_mm / 2, NIPPED_MM)
            self.unknowns.take(weights, strays**2, NIPPED_OVER_MM, 0.0)
        return place

    def _weights(self, trial_metal: str, eighths: float, start: str) -> list[float]:
        """What the pitch diameter takes of each: offset, so many slopes, the metal, where it is counted from."""
        places = [self._metal(trial_metal)]
        if start:
            places.append(self._start(start))
        weights = [0.0] * len(self.unknowns.means)
        weights[_OFFSET], weights[_SLOPE] = 1.0, eighths
        for place in places:
            weights[place] = 1.0
        return weights

    def anywhere(self, spread_mm: float) -> None:
        """Where it cuts is known no better than so: a standard deviation of `spread_mm`."""
        self.unknowns.renew(_OFFSET, 0.0, spread_mm)

    def line(self, metal: str) -> tuple[float, float, float]:
        """Offset, slope for an eighth of a turn, and what a metal adds, in millimetres."""
        place, means = self._metal(metal), self.unknowns.means
        return means[_OFFSET], means[_SLOPE], means[place]

    def _forgets(self, trial: Trial) -> None:
        """Since the thread before the die has worn a little; where it was moved, it does not stand quite there; and one
        that was seated anew does not cut quite what it did."""
        last = self.latest[-1] if self.latest else None
        if last is None:
            return
        moved = last.eighths != trial.eighths or last.start != trial.start
        self.unknowns.widen(
            _OFFSET, math.hypot(WEARS_MM, LOST * self.scale.step * self.scale.slope_mm if moved else 0.0)
        )
        self.unsettle(seated=trial.seated, honed=trial.honed)

    def unsettle(self, *, seated: bool, honed: bool) -> None:
        """The die was put into its holder anew, or honed: it does not cut quite what it did. The nuts of another job
        are other ones, but those that have a name."""
        if seated:
            self.unknowns.widen(_OFFSET, SEATED_MM)
            self.unknowns.renew(_MATE, *self.aim.mate())
        if honed:
            self.unknowns.widen(_OFFSET, HONED_MM)

    def _takes_surprise(self, chance: float, start: str) -> None:
        """What was seen was all but impossible: then the die does not stand where it did, or this thread is an odd one.
        Which, the next says."""
        if chance < SURPRISES:
            self.unknowns.widen(4 + self.also.index(f"start {start}") if start else _OFFSET, SURPRISED_MM)
            self.unknowns.widen(_THREAD, SURPRISED_MM)

    def _says(self, trial: Trial) -> _Says | None:
        """What a trial says of its thread: by its measured size, else by its verdict; None where it says nothing."""
        nut = nut_verdict(trial.verdict) if trial.off_mm is None else None
        place = self._mate(trial.tried, trial.mate) if nut is not None else None
        weights = self._weights(trial.metal, trial.eighths, trial.start)
        weights[_THREAD] = 1.0
        if trial.off_mm is not None:
            return _Says(weights, trial.within_mm**2, trial.off_mm, trial.off_mm)
        if (limits := limits_said(trial.verdict, self.aim.half_mm)) is not None:
            return _Says(weights, LIMITS_MM**2, *limits)
        if nut is None or place is None:
            return None
        low, high = (bound * self.aim.clearance_mm for bound in CLEARANCES[nut])
        # A verdict speaks of the clearance, nut less bolt: the bolt goes in with the other sign.
        clearance = [-weight for weight in weights]
        clearance[place] = 1.0
        return _Says(clearance, (FEEL_SHARE * self.aim.clearance_mm) ** 2, low, high)

    def _law(self, said: _Says) -> NormalDist:
        mean, variance, _ = self.unknowns.seen(said.weights, said.noise)
        return NormalDist(mean, math.sqrt(variance))

    def chance_of(self, trial: Trial) -> float:
        """How likely what a trial says is of the last thread (of 1): of a size, that it is as far off or farther."""
        said = self._says(trial)
        if said is None:
            return 1.0
        law = self._law(said)
        if said.low == said.high:
            return 2 * NormalDist().cdf(-abs(said.low - law.mean) / law.stdev)
        return law.cdf(said.high) - law.cdf(said.low)

    def learn(self, trial: Trial) -> Forecast:
        """Learn from one thread: from its measured size, else from the verdict. What that thread itself is."""
        if not trial.again:
            self._forgets(trial)
            # Another thread strays by its own: what the last one did is not asked any more.
            self.unknowns.renew(_THREAD, 0.0, SCATTER_MM)
        self.latest = [*(self.latest[:-1] if trial.again else self.latest), trial][-LATEST:]
        said = self._says(trial)
        if said is not None:
            self._takes_surprise(self.chance_of(trial), trial.start)
            size = (said.low, 0.0) if said.low == said.high else cut_off(self._law(said), said.low, said.high)
            self.unknowns.take(said.weights, said.noise, *size)
        thread = self._weights(trial.metal, trial.eighths, trial.start)
        thread[_THREAD] = 1.0
        mean, variance, _ = self.unknowns.seen(thread, 0.0)
        return self._told(trial.eighths, mean, variance)

    def forecast(self, eighths: float, metal: str) -> Forecast:
        """What the next thread at a setting of so many `eighths` (a number) comes out as, in a metal."""
        mean, variance, _ = self.unknowns.seen(self._weights(metal, eighths, self.start), SCATTER_MM**2)
        return self._told(eighths, mean, variance)

    def lets_pass(self, forecast: Forecast) -> float:
        """The chance that a thread that is too large by its class still passes what threads are tried in: gauges of the
        limits let none pass, a nut those that it has room for."""
        last = self.latest[-1] if self.latest else None
        if last is not None and (last.tried == "limits" or last.off_mm is not None):
            return 0.0
        half, law = self.aim.half_mm, NormalDist(forecast.off_mm, forecast.spread_mm)
        too_large, _ = cut_off(law, half, math.inf)
        place = self._mate(last.tried, last.mate) if last is not None else _MATE
        spread = math.sqrt(self.unknowns.covariances[place][place])
        return 1 - NormalDist(self.unknowns.means[place], spread).cdf(too_large)

    def clearance(self, forecast: Forecast, metal: str, tried: Gauge, mate: str) -> NormalDist:
        """What the mate that a thread is `tried` with, the one of that name, has over the pitch diameter of the next
        thread at a setting (millimetres)."""
        place = self._mate(tried, mate)
        weights = [-weight for weight in self._weights(metal, forecast.eighths, self.start)]
        weights[place] = 1.0
        mean, variance, _ = self.unknowns.seen(weights, SCATTER_MM**2)
        return NormalDist(mean, math.sqrt(variance))

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
