"""The band of metal that an act takes away."""

from __future__ import annotations

from lathework.value import value


@value
class Cut:
    """The band a step takes away: distances behind the face and diameters, in millimetres.

    A slope runs from `outer_mm` at its left side down to `inner_mm` at its right one, a chamfer; one `behind` the work
    falls to the left.
    """

    left_mm: float
    right_mm: float
    outer_mm: float
    inner_mm: float
    slope: bool = False
    behind: bool = False

    def turned_about(self, overall_mm: float) -> Cut:
        """The same band of a piece `overall_mm` long, seen from its other end."""
        return Cut(
            overall_mm - self.right_mm,
            overall_mm - self.left_mm,
            self.outer_mm,
            self.inner_mm,
            self.slope,
            behind=self.slope and not self.behind,
        )
