"""What is said of a size that is made to a fit, turned or bored."""

from __future__ import annotations

from lathework.figures import Figure, Given
from lathework.fits.fit import FIT, FitCode, Limits
from lathework.units import LengthUnit, convert

OUTSIDE = "Let it cool before the last cut: warm work measures large. The last hundredth by emery on a flat file."
INSIDE = "Let it cool before the last cut. The last hundredth by a lap; never emery on a finger in a bore that turns."
TRY = "Try the mate before the piece leaves the chuck."
PRESSED = "Break the leading edge of both, so that neither shaves the other; oil, and press straight."


def fit_figures(limits: Limits, unit: LengthUnit) -> dict[str, Figure]:
    """From what to what the size may come out, told in `unit`, and the clearance on a measured mate."""
    aim = Given("aim", limits.aim.value, unit)
    told = {}
    for key, name, mm in (("least", "at least", limits.low_mm), ("most", "at most", limits.high_mm)):
        off = convert(mm - limits.aim_mm, "mm", unit)
        given = (aim, Given("tolerance to that side", off, unit))
        formula = "aim + tolerance to that side"
        told[key] = Figure(name, limits.aim.value + off, unit, formula, limits.aim.source, given)
    return told if limits.clearance is None else told | {"clearance": limits.clearance}


def fit_notes(code: FitCode, limits: Limits | None, *, inside: bool = False) -> tuple[str, ...]:
    """What to mind with a fit; nothing without one."""
    if limits is None:
        return ()
    return (INSIDE if inside else OUTSIDE, PRESSED if FIT[code].pressed else TRY)
