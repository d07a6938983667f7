"""The drill racks: number, letter, fractional inch and metric."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction
from functools import cache

from lathework.figures import Source
from lathework.tables.loader import load
from lathework.units import LengthUnit, convert

FRACTIONAL = Source("standard", "ASME B94.11M, fractional sizes in 64ths")
METRIC = Source("standard", "ISO 235, diameters in steps of 0.1 mm")
_LARGEST_FRACTION = 128
"""64ths: up to 2 in."""
_METRIC_TENTHS = range(5, 500)
"""Tenths of a millimetre: 0.5 to 49.9 mm."""


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
    metric = [Drill("metric", f"{n / 10:.1f} mm", n / 10, "mm", METRIC) for n in _METRIC_TENTHS]
    return tuple(sorted([*gauge_drills().values(), *fractions, *metric], key=lambda d: d.diameter_mm))
