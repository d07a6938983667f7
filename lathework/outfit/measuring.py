"""What of a shop measures best."""

from __future__ import annotations

from collections.abc import Sequence

from lathework.shop.equipment import Instrument
from lathework.shop.kinds import Owned


def finest_micrometer(things: Sequence[Owned], size_mm: float) -> Instrument | None:
    """The micrometer at hand that reaches `size_mm` (millimetres) and strays least; None where none says how much."""
    reaching = [
        one
        for one in things
        if isinstance(one, Instrument)
        and one.form == "micrometer"
        and one.at_hand
        and one.within is not None
        and (one.most is None or one.most.mm >= size_mm)
    ]
    return min(reaching, key=lambda one: one.uncertainty_mm or 0.0, default=None)
