"""What a section or a plain hole that goes with a mate is made to."""

from __future__ import annotations

from lathework.fits.fit import Limits, limits_of
from lathework.part.model import Bore, Section
from lathework.units import LengthUnit


def section_limits(section: Section, unit: LengthUnit = "mm") -> Limits | None:
    """The limits of a round section that is made to a fit, told in `unit`; None for another."""
    if not section.fit or section.shape != "round" or section.across is None:
        return None
    mate = section.mate.mm if section.mate is not None else None
    return limits_of(section.fit, "shaft", section.across.mm, mate, unit)


def bore_limits(bore: Bore, unit: LengthUnit = "mm") -> Limits | None:
    """The limits of a plain hole along the axis that is made to a fit, told in `unit`; None for another."""
    if not bore.fit or bore.thread is not None or bore.across is None or bore.end == "across":
        return None
    mate = bore.mate.mm if bore.mate is not None else None
    return limits_of(bore.fit, "hole", bore.across.mm, mate, unit)
