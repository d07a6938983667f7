"""What an instrument is off by, found by measuring a reference piece, and how surely that is known."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import fmean, stdev

from lathework.errors import InputError
from lathework.figures import Figure, Given, Source

GUM = Source("standard", "JCGM 100, type A and B evaluation of uncertainty, combined")
LEAST_READINGS = 3
MOST_OFF_MM = 0.5
"""More than that is no offset: another piece was measured (practice)."""


@dataclass(frozen=True, slots=True)
class Offset:
    """What is added to a reading, in millimetres, and the standard uncertainty of a reading that is so corrected."""

    correction: Figure
    uncertainty: Figure


def offset(readings_mm: Sequence[float], *, reference_mm: float, reference_within_mm: float, step_mm: float) -> Offset:
    """The offset of an instrument that read a piece of `reference_mm`, known within `reference_within_mm`, as
    `readings_mm`; its last digit is `step_mm` (all millimetres).

    Correction = reference - mean of the readings. Uncertainty of one reading = √(s² + s²/n + u_ref² + step²/12), the
    bounds of the reference taken as a rectangle: u_ref = within/√3. Raises InputError on "readings". Source: JCGM 100.
    """
    if len(readings_mm) < LEAST_READINGS:
        text = f"Measure the piece at least {LEAST_READINGS} times: {len(readings_mm)} so far."
        raise InputError("too-few", "readings", text)
    mean, spread, count = fmean(readings_mm), stdev(readings_mm), len(readings_mm)
    if abs(reference_mm - mean) > MOST_OFF_MM:
        raise InputError("out-of-range", "readings", "The readings do not match this size. Is it the right piece?")
    correction = Figure(
        "correction",
        reference_mm - mean,
        "mm",
        "reference − mean of the readings",
        GUM,
        (Given("reference", reference_mm, "mm"), Given("mean of the readings", mean, "mm")),
    )
    squares = spread**2 * (1 + 1 / count) + reference_within_mm**2 / 3 + step_mm**2 / 12
    uncertainty = Figure(
        "uncertainty",
        math.sqrt(squares),
        "mm",
        "√(spread² + spread² ÷ readings + reference uncertainty² ÷ 3 + last digit² ÷ 12)",
        GUM,
        (
            Given("spread", spread, "mm"),
            Given("readings", count),
            Given("reference uncertainty", reference_within_mm, "mm"),
            Given("last digit", step_mm, "mm"),
        ),
    )
    return Offset(correction, uncertainty)
