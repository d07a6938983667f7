"""The drill racks: number, letter, fractional inch and metric."""

from __future__ import annotations

from bisect import bisect_left, bisect_right
from dataclasses import dataclass
from fractions import Fraction
from functools import cache

from lathework.figures import Source
from lathework.tables.loader import load
from lathework.units import LengthUnit, convert

FRACTIONAL = Source("standard", "ASME B94.11M, fractional sizes in 64ths")
METRIC = Source("practice", "metric set: 0.05 mm steps to 3, 0.1 to 14, 0.25 to 32, 1 above, and tapping sizes between")
_LARGEST_FRACTION = 128
"""64ths: up to 2 in."""
_METRIC_STEPS = ((50, 300, 5), (310, 1400, 10), (1425, 3200, 25), (3300, 5000, 100))
"""Hundredths of a millimetre: from, to, step."""
_METRIC_TAPPING = (3750, 3950, 4050, 4525)
"""Tapping sizes that charts name between the steps: M42, G1-1/4, M45, G1-1/2, in hundredths of a millimetre."""


@dataclass(frozen=True, slots=True)
class Drill:
    """One drill size: the rack it hangs in, its name, its diameter in its own unit, its source."""

    rack: str
    name: str
    diameter: float
    unit: LengthUnit
    source: Source

    @property
    def diameter_mm(self) -> float:
        """Diameter in millimetres."""
        return convert(self.diameter, self.unit, "mm")


def _mixed(sixty_fourths: int) -> str:
    whole, rest = divmod(Fraction(sixty_fourths, 64), 1)
    if not rest:
        return str(whole)
    return f"{whole}-{rest}" if whole else str(rest)


def _metric_name(hundredths: int) -> str:
    return f"{hundredths / 100:.{2 if hundredths % 10 else 1}f} mm"


@cache
def gauge_drills() -> dict[str, Drill]:
    """Number and letter drills by name ("#7", "F")."""
    table = load("drills")
    return {
        row.text("name"): Drill(row.text("rack"), row.text("name"), float(row.number("diameter")), "in", table.source)
        for row in table.rows
    }


@cache
def all_drills() -> tuple[Drill, ...]:
    """Every drill of the four racks, by diameter."""
    fractions = [Drill("fraction", _mixed(n), n / 64, "in", FRACTIONAL) for n in range(1, _LARGEST_FRACTION + 1)]
    hundredths = [n for first, last, step in _METRIC_STEPS for n in range(first, last + 1, step)]
    metric = [Drill("metric", _metric_name(n), n / 100, "mm", METRIC) for n in (*hundredths, *_METRIC_TAPPING)]
    return tuple(sorted([*gauge_drills().values(), *fractions, *metric], key=lambda d: d.diameter_mm))


@cache
def _diameters_mm() -> tuple[float, ...]:
    return tuple(drill.diameter_mm for drill in all_drills())


def drills_between(least_mm: float, most_mm: float) -> tuple[Drill, ...]:
    """Every drill of the four racks from `least_mm` to `most_mm` (millimetres), by diameter."""
    every = _diameters_mm()
    return all_drills()[bisect_left(every, least_mm) : bisect_right(every, most_mm)]
