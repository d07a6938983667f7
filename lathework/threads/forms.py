"""The thread forms: flank angle, depth factors, how the standard rounds, the standard that fixes them.

Depths are multiples of the pitch: the pitch diameter lies one `pitch_on_diameter` under the major, the minor
diameter one `depth_on_diameter`.
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from decimal import Decimal

from lathework.figures import Source
from lathework.units import round_half_even, round_half_up

ROOT_60 = Decimal("1.226869")
"""Depth of the rounded external root of 60 degree threads, in pitches on the diameter: 17/12 H (ISO 68-1, ISO 724)."""


@dataclass(frozen=True, slots=True)
class Form:
    """A symmetrical thread form; `angle_deg` is the included flank angle.

    `depth_rounded_first` marks a standard whose table rounds the depth of thread and takes it off the printed
    major diameter once and twice, so that a printed diameter may differ by one digit from the bare formula. The depths
    are pitches on the diameter, as is `root_on_diameter`, that of the rounded external root, where a standard has one.
    A `single_point` form is made by no die and no tap in one.
    """

    name: str
    angle_deg: float
    pitch_on_diameter: Decimal
    depth_on_diameter: Decimal
    source: Source
    depth_rounded_first: bool = False
    rounded: bool = False
    root_on_diameter: Decimal | None = None
    single_point: bool = False

    @property
    def single_depth(self) -> float:
        """Depth of the basic thread on one side, in pitches."""
        return float(self.depth_on_diameter) / 2

    def diameters(self, major: Decimal, pitch: Decimal, places: int) -> tuple[float, float]:
        """Pitch and minor diameter to `places` decimals, as the form's standard prints them.

        d2 = d - pitch_on_diameter P, d1 = d - depth_on_diameter P, in the unit of `major` and `pitch`.

        >>> WHITWORTH.diameters(Decimal("0.75"), Decimal("0.1"), 4)
        (0.686, 0.622)
        """
        if self.depth_rounded_first:
            depth = Decimal(str(round_half_up(self.pitch_on_diameter * pitch, places)))
            printed = Decimal(str(round_half_even(major, places)))
            return float(printed - depth), float(printed - 2 * depth)
        return (
            round_half_up(major - self.pitch_on_diameter * pitch, places),
            round_half_up(major - self.depth_on_diameter * pitch, places),
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
    root_on_diameter=ROOT_60,
)
METRIC = Form(
    "ISO metric, 60 degree",
    60,
    Decimal("0.64951905"),
    Decimal("1.08253175"),
    Source("standard", "ISO 68-1, basic profile; ISO 724"),
    root_on_diameter=ROOT_60,
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
    single_point=True,
)
ACME = Form(
    "Acme, 29 degree",
    29,
    Decimal("0.5"),
    Decimal("1"),
    Source("standard", "ASME B1.5, basic form"),
    single_point=True,
)
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
    root_on_diameter=ROOT_60,
)
