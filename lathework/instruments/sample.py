"""What an instrument says at one moment, as every source of lengths says it."""

from __future__ import annotations

import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal, get_args

from lathework.errors import InputError
from lathework.units import LengthUnit, convert

Source = Literal["readout", "caliper"]
SOURCES: tuple[Source, ...] = get_args(Source)
Axis = Literal["x", "z", "length"]
AXES: dict[Source, tuple[Axis, ...]] = {"readout": ("x", "z"), "caliper": ("length",)}
"""What each source tells: a readout the place of the tool, X on the diameter; a caliper one length."""
FARTHEST_MM = 2000.0
"""No lathe of this trade is longer, and no caliper (practice)."""


@dataclass(frozen=True, slots=True)
class Sample:
    """What the instrument called `name` shows at `at_s` (seconds since 1970), by axis in millimetres.

    `sent` says that a person pressed its key: it is a reading, and not only the display.
    """

    name: str
    source: Source
    axes: Mapping[Axis, float]
    at_s: float
    sent: bool = False


def read_sample(
    name: str,
    source: str,
    values: Mapping[str, float | None],
    *,
    unit: LengthUnit,
    on_radius: bool,
    at_s: float,
    sent: bool,
) -> Sample:
    """A sample as an instrument tells it: `values` by axis in its own `unit`, X doubled where it shows the radius.

    Raises InputError on "source" or on the axis that is missing or cannot be.
    """
    known = next((one for one in SOURCES if one == source), None)
    if known is None:
        raise InputError("unknown-choice", "source", "An instrument is a readout or a caliper.", SOURCES)
    axes: dict[Axis, float] = {}
    for axis in AXES[known]:
        value = values.get(axis)
        if value is None or not math.isfinite(value):
            raise InputError("empty", axis, f"A {known} sends {axis}.")
        mm = convert(value, unit, "mm") * (2 if axis == "x" and on_radius else 1)
        if abs(mm) > FARTHEST_MM:
            raise InputError("out-of-range", axis, f"{value:g} {unit} is longer than any lathe here.")
        axes[axis] = mm
    return Sample(name, known, axes, at_s, sent)
