"""What a die or a tap is to cut, and what the nuts or screws of that thread allow."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.gauging.tried import TRIED, Gauge
from lathework.threads.standards.bands import Band, ExternalLimits, InternalLimits
from lathework.units import convert


@dataclass(frozen=True, slots=True)
class Aim:
    """What a die is to cut: the middle of the class of its pitch diameter and half its width, the greatest clearance
    that the classes allow, and how far the tightest nut is over the middle of the bolt's class, with the tolerance of
    nuts; in millimetres. A scrapped piece is so many times as `dear` as usual."""

    middle_mm: float
    half_mm: float
    clearance_mm: float
    tightest_mm: float
    nuts_mm: float
    dear: float = 1.0

    def mate(self, tried: Gauge = "") -> tuple[float, float]:
        """Where what a thread is tried with is supposed over the middle of the bolt's class, and how far off that may
        be (one standard deviation), in millimetres. Source: practice."""
        known = TRIED[tried]
        return self.tightest_mm + known.share * self.nuts_mm, known.spread * self.nuts_mm


def _mm(band: Band) -> tuple[float, float]:
    return convert(band.minimum, band.unit, "mm"), convert(band.maximum, band.unit, "mm")


def aim_inside(nut: InternalLimits, bolt: ExternalLimits | None) -> Aim:
    """What a tap is to cut, by the classes of `nut` and `bolt`, told by the metal that is left: how far a pitch
    diameter lies under the middle of its class stands where that of a bolt lies over it.

    Source: the standard of the limits.
    """
    low, high = _mm(nut.pitch_diameter)
    middle, half = (low + high) / 2, (high - low) / 2
    least, most = _mm(bolt.pitch_diameter) if bolt is not None else (low - 2 * half, low)
    return Aim(middle, half, high - least, middle - most, most - least)


def aim_at(bolt: ExternalLimits, nut: InternalLimits | None) -> Aim:
    """What a die is to cut, by the classes of `bolt` and `nut`; a nut without a class is of no help.

    Source: the standard of the limits.
    """
    low, high = _mm(bolt.pitch_diameter)
    middle, half = (low + high) / 2, (high - low) / 2
    least, most = _mm(nut.pitch_diameter) if nut is not None else (high, high + 2 * half)
    return Aim(middle, half, most - low, least - middle, most - least)
