"""The thread forms: flank angle, depth factors, how the standard rounds, the standard that fixes them.

Depths are multiples of the pitch: the pitch diameter lies one `pitch_depth` under the major, the minor
diameter one `full_depth`.
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from decimal import Decimal

from lathework.figures import Source
from lathework.units import round_half_even, round_half_up


@dataclass(frozen=True, slots=True)
class Form:
    """A symmetrical thread form; `angle_deg` is the included flank angle.

    `depth_rounded_first` marks a standard whose table rounds the depth of thread and takes it off the printed
    major diameter once and twice, so that a printed diameter may differ by one digit from the bare formula.
    """

    name: str
    angle_deg: float
    pitch_depth: Decimal
    full_depth: Decimal
    source: Source
    depth_rounded_first: bool = False
    rounded: bool = False

    def diameters(self, major: Decimal, pitch: Decimal, places: int) -> tuple[float, float]:
        """Pitch and minor diameter to `places` decimals, as the form's standard prints them.

        d2 = d - pitch_depth P, d1 = d - full_depth P, in the unit of `major` and `pitch`.

        >>> WHITWORTH.diameters(Decimal("0.75"), Decimal("0.1"), 4)
        (0.686, 0.622)
        """
        if self.depth_rounded_first:
            depth = Decimal(str(round_half_up(self.pitch_depth * pitch, places)))
            printed = Decimal(str(round_half_even(major, places)))
            return float(printed - depth), float(printed - 2 * depth)
        return (
            round_half_up(major - self.pitch_depth * pitch, places),
            round_half_up(major - self.full_depth * pitch, places),
        )

    @property
    def best_wire(self) -> float:
        """Best wire diameter over pitch: 1 / (2 cos(a/2)), where the wire touches at the pitch line.

        >>> round(UNIFIED.best_wire, 5)
        0.57735
        """
        return 1 / (2 * math.cos(math.radians(self.angle_deg / 2)))


UNIFIED = Form(
    "unified, 60 degree",
    60,
    Decimal("0.64951905"),
    Decimal("1.08253175"),
    Source("standard", "ASME B1.1-2003, basic profile"),
)
METRIC = Form(
    "ISO metric, 60 degree",
    60,
    Decimal("0.64951905"),
    Decimal("1.08253175"),
    Source("standard", "ISO 68-1, basic profile; ISO 724"),
)
WHITWORTH = Form(
    "Whitworth, 55 degree",
    55,
    Decimal("0.640327"),
    Decimal("1.280654"),
    Source("standard", "BS 84:1956, basic form"),
    depth_rounded_first=True,
    rounded=True,
)
BA_FORM = Form(
    "British Association, 47.5 degree",
    47.5,
    Decimal("0.6"),
    Decimal("1.2"),
    Source("standard", "BS 93:1951, basic form"),
    rounded=True,
)
CYCLE = Form(
    "cycle, 60 degree",
    60,
    Decimal("0.5327"),
    Decimal("1.0654"),
    Source("memory", "BS 811, basic form: depth 0.5327 P, rounded"),
    rounded=True,
)
TRAPEZOIDAL = Form(
    "trapezoidal, 30 degree",
    30,
    Decimal("0.5"),
    Decimal("1"),
    Source("standard", "ISO 2901, basic profile; ISO 2904"),
)
ACME = Form("Acme, 29 degree", 29, Decimal("0.5"), Decimal("1"), Source("standard", "ASME B1.5, basic form"))
AMERICAN_PIPE = Form(
    "American pipe, 60 degree",
    60,
    Decimal("0.8"),
    Decimal("1.6"),
    Source("standard", "ASME B1.20.1, basic form"),
)
#: For mechanical joints: cut to the depths of a 60 degree screw thread, from the taper thread's pitch diameter.
AMERICAN_STRAIGHT = Form(
    "American parallel pipe, 60 degree",
    60,
    Decimal("0.64951905"),
    Decimal("1.08253175"),
    Source("standard", "ASME B1.20.1, parallel thread for free-fitting joints"),
)
