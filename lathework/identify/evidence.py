"""What a person may know of a thread, as typed; read into numbers with their uncertainty."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, get_args

from lathework.identify.priors import Origin, Shares, Trade
from lathework.lengths import Span
from lathework.threads.designation import Called

Worn = Literal["new", "some", "badly"]
Goes = Literal["will-not-start", "few-turns", "all-the-way", "loose"]
Angle = Literal["60", "55", "47.5", "not-60", "not-55"]
YesNo = Literal["yes", "no"]
Hand = Literal["right", "left"]
FITS = ("fits", "nearly")
WORN: tuple[Worn, ...] = get_args(Worn)
GOES: tuple[Goes, ...] = get_args(Goes)
ANGLES: tuple[Angle, ...] = get_args(Angle)
OUTSIDE = Span("An outside diameter", 0.7, 180)
BORE = Span("A bore", 0.5, 180)
PITCH = Span("A pitch", 0.15, 10)
OVER = Span("A length over threads", 1, 400)
MOST_THREADS = 400
CALIPER_MM = 0.02
"""Uncertainty (one standard deviation) of a diameter by caliper, with what its owner feels (practice)."""
RULE_MM = 0.15
"""Uncertainty of a length laid off over threads with a rule (practice)."""
MISCOUNTED, MISCOUNTED_WIDER = 0.1, 5.0
"""How often a count is off by part of a thread, or by a whole one, and how much wider it strays then (practice)."""
#: What can be typed; "" is not known.
FIELDS = (
    *("outside", "bore", "tpi", "pitch", "fit", "count", "over", "angle", "taper", "hand"),
    *("mate", "goes", "marking", "origin", "trade", "worn", "unit"),
)
LONGEST = 120


@dataclass(frozen=True, slots=True)
class Measured:
    """A value in millimetres with its standard deviation, and the text it was typed as."""

    mm: float
    sigma_mm: float
    typed: str


@dataclass(frozen=True, slots=True)
class Evidence:
    """Everything known; None is not known. `outside` holds one reading or several along the thread.

    `leaf_nearly` says that the leaf was only the nearest: no leaf of the set sat quite.
    """

    outside: tuple[Measured, ...] = ()
    bore: Measured | None = None
    leaf: Measured | None = None
    leaf_nearly: bool = False
    counted: Measured | None = None
    angle: Angle | None = None
    taper: YesNo | None = None
    hand: Hand | None = None
    mate: Called | None = None
    goes: Goes | None = None
    marking: str = ""
    origin: Origin = "unknown"
    trade: Trade = "general"
    worn: Worn = "some"
    shares: Shares = ()

    @property
    def nothing(self) -> bool:
        """Whether nothing has been measured yet."""
        return not (self.outside or self.bore or self.leaf or self.counted)


LEAF_SHARE, NEARLY_SHARE = 0.004, 0.015
"""Relative uncertainty with which a pitch leaf that fits, or nearly fits, tells the pitch (practice)."""
