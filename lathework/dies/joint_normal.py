"""Several unknowns that go together, all of one normal law, learned from what sums of them came to."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import NormalDist

_LEAST_LIKELY = 1e-6


def cut_off(law: NormalDist, low: float, high: float) -> tuple[float, float]:
    """Mean and variance of a normal law between two bounds, `low` and `high` (in its own unit)."""
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
class JointNormal:
    """Means and covariances of unknowns, each by its place (a number from 0)."""

    means: list[float]
    covariances: list[list[float]]

    def add(self, mean: float, spread: float) -> int:
        """One more, of a `mean` with a `spread` (numbers in its own unit), which nothing seen so far speaks of: its
        place."""
        self.means.append(mean)
        for row in self.covariances:
            row.append(0.0)
        self.covariances.append([0.0] * len(self.means))
        self.covariances[-1][-1] = spread**2
        return len(self.means) - 1

    def seen(self, weights: Sequence[float], noise: float) -> tuple[float, float, list[float]]:
        """Mean and variance of a sum by `weights` (numbers) with a `noise` variance, and how it varies with each."""
        mean = math.fsum(w * m for w, m in zip(weights, self.means, strict=True))
        shared = [math.fsum(w * c for w, c in zip(weights, row, strict=True)) for row in self.covariances]
        return mean, math.fsum(w * s for w, s in zip(weights, shared, strict=True)) + noise, shared

    def take(self, weights: Sequence[float], noise: float, mean: float, variance: float) -> None:
        """Learn that a sum by `weights` with a `noise` variance has that `mean` and `variance` now (numbers)."""
        before, spread, shared = self.seen(weights, noise)
        # The update of a normal law by one sum: gain is covariance over variance.
        if spread <= 0:
            return  # it was known to the last digit before
        gains = [s / spread for s in shared]
        self.means = [m + g * (mean - before) for m, g in zip(self.means, gains, strict=True)]
        self.covariances = [
            [c - g * h * (spread - variance) for c, h in zip(row, gains, strict=True)]
            for row, g in zip(self.covariances, gains, strict=True)
        ]

    def widen(self, place: int, spread: float) -> None:
        """Something came to one of them since: by so much, as a standard deviation, the `spread` (a number)."""
        self.covariances[place][place] += spread**2

    def renew(self, place: int, mean: float, spread: float) -> None:
        """Another stands in its place now, of a `mean` with a `spread` (numbers): what was seen of the one before is
        not asked any more."""
        self.means[place] = mean
        for row in self.covariances:
            row[place] = 0.0
        self.covariances[place] = [0.0] * len(self.means)
        self.covariances[place][place] = spread**2
