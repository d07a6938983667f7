"""How a size drifts from piece to piece, and when it will leave its band."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import linear_regression

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
    told = linear_regression(pieces, sizes_mm)
    rest = sum((y - told.intercept - told.slope * x) ** 2 for x, y in zip(pieces, sizes_mm, strict=True))
    mean = sum(pieces) / count
    spread = sum((x - mean) ** 2 for x in pieces)
    error = math.sqrt(rest / (count - 2) / spread)
    slope = Figure(
        "drift per piece",
        convert(told.slope, "mm", unit),
        unit,
        "Σ((piece − mean piece) × size) ÷ Σ((piece − mean piece)²)",
        LEAST_SQUARES,
        (Given("pieces measured", count),),
        kind="table",
        note="The slope of the line that misses the sizes by the least squares.",
    )
    inputs = (
        Given("squares missed", convert(convert(rest, "mm", unit), "mm", unit), ""),
        Given("pieces", count),
        Given("squares of the pieces", spread),
    )
    told_error = Figure(
        "standard error",
        convert(error, "mm", unit),
        unit,
        "√(squares missed ÷ (pieces − 2) ÷ squares of the pieces)",
        LEAST_SQUARES,
        inputs,
    )
    found = Drift(slope, told_error, None)
    leaves = _leaves(told.intercept, told.slope, max(pieces), target) if found.drifts else None
    return Drift(slope, told_error, leaves)


def _leaves(intercept_mm: float, slope_mm: float, last: int, target: Target) -> int | None:
    """The first piece after the `last` (its number) whose size is out of the band if the line goes on."""
    ahead = range(last + 1, last + AHEAD + 1)
    out = (n for n in ahead if not target.low_mm <= intercept_mm + slope_mm * n <= target.high_mm)
    return next(out, None)
