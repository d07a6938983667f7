"""What is usual of dies, of the threads they cut and of what those are tried with: means and standard deviations."""

from __future__ import annotations

import math

from lathework.dies.scale import By
from lathework.gauging.verdicts import NutVerdict

OFFSETS_MM: dict[By, float] = {"screw": 0.012, "graduations": 0.012, "tap": 0.0}
OFFSET_SPREAD_MM = 0.03
"""How far over the middle of its class what is set so cuts as it comes, with the lead that a mate feels; and how far
one differs from the next (practice)."""
METAL_SPREAD_MM = 0.006
"""How much larger or smaller a metal comes out of the same die (practice)."""
SCATTER_MM = 0.008
"""How far pieces of one setting differ (practice)."""
FEEL_SHARE = 0.03
"""How far a hand's verdict strays, as a share of the greatest clearance that the classes allow (practice)."""
CLEARANCES: dict[NutVerdict, tuple[float, float]] = {
    "will-not-start": (-math.inf, -0.15),
    "binds": (-0.15, 0.0),
    "snug": (0.0, 0.25),
    "slight-shake": (0.25, 0.7),
    "loose": (0.7, math.inf),
}
"""The clearance on the pitch diameter that goes with each verdict, in shares of the greatest that the classes of bolt
and nut allow: most bolts shake a little in most nuts (practice)."""
LIMITS_MM = 0.003
"""How far go and no-go gauges and the hand that tries them stray, as a standard deviation (practice)."""
WEARS_MM, LOST, SEATED_MM, SURPRISED_MM = 0.0015, 0.3, 0.015, 0.03
"""How far a die may have worn since the thread before; what share of a step of its scale is lost when it is moved; how
far it may be off once it was seated anew, and where what it cut is a surprise: standard deviations (practice)."""
UNSAID = 0.5
"""How far from its mark a die may stand of which nobody said where: a share of what it moves at most (practice)."""
SURPRISES = 0.003
"""Chance under which what was seen is a surprise (practice)."""
NIPPED_OVER_MM, NIPPED_MM = 0.008, 0.012
"""How far over the screw that it was closed on a die cuts, and how far that differs (practice)."""
HONED_MM = 0.03
"""How far a die may be off once it was honed, or has another screw: a standard deviation (practice)."""
