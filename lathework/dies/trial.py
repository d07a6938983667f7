"""A look at one thread that a die cut, what it says, and what the next one is expected to be.

Lengths are in millimetres over the middle of the class, settings in marks of the scale.
"""

from __future__ import annotations

import math
from dataclasses import dataclass

from lathework.gauging.tried import Gauge
from lathework.gauging.verdicts import NUT_VERDICTS, NutVerdict, Verdict


@dataclass(frozen=True, slots=True)
class Trial:
    """A look at one thread of a die: how it stood, the metal, and the nut's verdict or the size that was measured.

    `eighths` of a turn it stood open, or graduations of a head; `off_mm` is the pitch diameter over the middle of its
    class, within `within_mm` (standard uncertainty), in millimetres; `tried` is what it was gauged with; `again` says
    that the thread is that of the trial before, judged by something else. `start` is "" where its setting is a place,
    from where its screw touches or from its mark; else the name of an unknown place that it is counted from: then it
    teaches what a change does, and not where the die cuts. `seated` says that the die was put into its holder since the
    trial before: another job, or set anew; `honed` that it was honed or has another screw. `mate` names the very nut or
    screw it was tried with, "" for one that has no name: in another job that is another one.
    """

    eighths: float
    metal: str
    verdict: Verdict | None = None
    off_mm: float | None = None
    within_mm: float = 0.0
    tried: Gauge = ""
    again: bool = False
    start: str = ""
    seated: bool = False
    honed: bool = False
    mate: str = ""

    @property
    def judged_by(self) -> tuple[Gauge, str, bool]:
        """What the thread was judged by: a mate, gauges, or a measured size."""
        return self.tried, self.mate, self.off_mm is not None


@dataclass(frozen=True, slots=True)
class Forecast:
    """What a setting will cut: the pitch diameter over the middle of the class and its standard deviation, millimetres;
    the chances of being in the class, under it and over it."""

    eighths: float
    off_mm: float
    spread_mm: float
    within: float
    under: float
    over: float


def nut_verdict(verdict: Verdict | None) -> NutVerdict | None:
    """A verdict, where it is one of a nut."""
    return next((one for one in NUT_VERDICTS if one == verdict), None)


def limits_said(verdict: Verdict | None, half_mm: float) -> tuple[float, float] | None:
    """Between what the pitch diameter lies over the middle of its class, in millimetres, by go and no-go gauges; None
    where they were not asked."""
    match verdict:
        case "go-stops":
            return half_mm, math.inf
        case "go-passes":
            return -half_mm, half_mm
        case "no-go-passes":
            return -math.inf, -half_mm
        case _:
            return None
