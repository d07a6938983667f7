"""The thread forms: flank angle, depth factors, the standard that fixes them.

Depths are multiples of the pitch: the pitch diameter lies one `pitch_depth` under the major, the minor
diameter one `full_depth`.
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from decimal import Decimal

from lathework.figures import Source


@dataclass(frozen=True, slots=True)
class Form:
    """A symmetrical thread form; `angle_deg` is the included flank angle."""

    name: str
    angle_deg: float
    pitch_depth: Decimal
    full_depth: Decimal
    source: Source

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
    Source("standard", "ASME B1.1:2019, basic profile"),
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
)
BA_FORM = Form(
    "British Association, 47.5 degree",
    47.5,
    Decimal("0.6"),
    Decimal("1.2"),
    Source("standard", "BS 93:1951, basic form"),
)
