"""What of a shop measures best."""

from __future__ import annotations

from collections.abc import Sequence

from lathework.shop.kinds.gauges import Instrument
from lathework.shop.kinds.kind import Owned


def finest_micrometer(things: Sequence[Owned], size_mm: float) -> Instrument | None:
    """The micrometer at hand that reaches `size_mm` (millimetres) and strays least; None where none says how much."""
    reaching = [
        thing
        for thing in things
        if isinstance(thing, Instrument)
        and thing.form == "micrometer"
        and thing.at_hand
        and thing.within is not None
        and (thing.most is None or thing.most.mm >= size_mm)
    ]
    return min(reaching, key=lambda one: one.uncertainty_mm or 0.0, default=None)
