"""How a size drifts from piece to piece, and when it will leave its band."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from statistics import fmean

from lathework.cutting.dimension import Target
from lathework.figures import Figure, Given, Source
from lathework.units import LengthUnit, convert

LEAST_PIECES = 4
"""Pieces from which a drift is spoken of (practice)."""
SURE = 2.0
"""Standard errors that a slope must be off nothing to be called a drift (practice)."""
AHEAD = 50
"""Pieces that are looked ahead; past that nobody asks (practice)."""
LEAST_SQUARES = Source("practice", "line of least squares over the pieces")


@dataclass(frozen=True, slots=True)
class Drift:
    """What a size did over the pieces: `slope` per piece and its standard error; the piece that is the first out of
    the band if it goes on so, None where it does not drift or stays in for long."""

    slope: Figure
    error: Figure
    leaves_at: int | None

    @property
    def drifts(self) -> bool:
        """Whether the slope is more than chance."""
        return abs(self.slope.value) > SURE * self.error.value


def drift(pieces: Sequence[int], sizes_mm: Sequence[float], target: Target, unit: LengthUnit) -> Drift | None:
    """The drift of a size measured as `sizes_mm` (millimetres) on the `pieces` of those numbers, told in `unit`.

    Slope b of least squares; its standard error √(Σ(y - a - b x)² / (n - 2) / Σ(x - x̄)²). None for too few pieces.
    """
    count = len(pieces)
    if count < LEAST_PIECES:
        return None
    mean_piece, mean_mm = fmean(pieces), fmean(sizes_mm)
    spread = math.fsum((x - mean_piece) ** 2 for x in pieces)
    products = math.fsum((x - mean_piece) * (y - mean_mm) for x, y in zip(pieces, sizes_mm, strict=True))
    slope_mm = products / spread
    intercept_mm = mean_mm - slope_mm * mean_piece
    rest = math.fsum((y - intercept_mm - slope_mm * x) ** 2 for x, y in zip(pieces, sizes_mm, strict=True))
    per = convert(1.0, "mm", unit)
    slope = Figure(
        "drift per piece",
        slope_mm * per,
        unit,
        "products of piece and size ÷ squares of the pieces; both from their means",
        LEAST_SQUARES,
        (Given("products of piece and size", products * per), Given("squares of the pieces", spread)),
    )
    error = Figure(
        "standard error",
        math.sqrt(rest / (count - 2) / spread) * per,
        unit,
        "√(squares missed ÷ (pieces − 2) ÷ squares of the pieces)",
        LEAST_SQUARES,
        (
            Given("squares missed", rest * per**2),
            Given("pieces", count),
            Given("squares of the pieces", spread),
        ),
    )
    found = Drift(slope, error, None)
    return replace(found, leaves_at=_leaves(intercept_mm, slope_mm, max(pieces), target)) if found.drifts else found


def _leaves(intercept_mm: float, slope_mm: float, last: int, target: Target) -> int | None:
    """The first piece after the `last` (its number) whose size is out of the band if the line goes on."""
    ahead = range(last + 1, last + AHEAD + 1)
    out = (n for n in ahead if not target.low_mm <= intercept_mm + slope_mm * n <= target.high_mm)
    return next(out, None)
