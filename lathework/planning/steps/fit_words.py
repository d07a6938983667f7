"""What is said of a size that is made to a fit, turned or bored."""

from __future__ import annotations

from lathework.figures import Figure, Given
from lathework.fits.fit import FIT, FitCode, Limits
from lathework.fits.press import heat_wanted
from lathework.units import LengthUnit, convert

OUTSIDE = (
    "Let it cool before the last cut: warm work measures large. Take the last hundredth with emery on a flat file."
)
INSIDE = (
    "Let it cool before the last cut. Take the last hundredth with a lap; never put a finger with emery "
    "into a bore that is turning."
)
AS_TURNED = "Leave it as turned, unpolished: the compound grips in the tool marks."
TRY = "Try the mating part before the piece leaves the chuck."
STEEL = 11.7
"""What the outer part is supposed to expand by where it is another one: steel, in millionths a kelvin (practice)."""
SHRINKS_TO = 40.0
"""Metals that expand by more, in millionths a kelvin, are no metals, and not shrunk on (practice)."""


def pressed_figures(code: FitCode, limits: Limits | None, expansion: float) -> dict[str, Figure]:
    """How far the outer one is heated, where force brings it together; `expansion` is a number of millionths a
    kelvin."""
    if limits is None or not FIT[code].pressed or expansion > SHRINKS_TO:
        return {}
    return {"heat": heat_wanted(limits.tight_mm, limits.aim_mm, expansion)}


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
    """What to mind while a size is brought to a fit; nothing without one."""
    if limits is None:
        return ()
    if code == "glued":
        return (AS_TURNED,)
    last = INSIDE if inside else OUTSIDE
    return (last,) if FIT[code].pressed else (last, TRY)
