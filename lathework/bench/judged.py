"""A reading of a blank held against the class of the thread it is for: said at once, while it can still be helped."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.bench.still import still_serves
from lathework.bench.tally import Reading
from lathework.planning.operation import Operation
from lathework.threads.limits import external_limits
from lathework.units import LENGTH_UNITS, BothUnits, convert, show_length

_HAIR_MM = 0.0005
"""Under the last digit that a thread's limits are printed with."""


@dataclass(frozen=True, slots=True)
class Judged:
    """What a reading is to the class, in words, and whether the class allows it; what one under it `still` serves."""

    words: BothUnits
    within: bool
    still: str = ""


def judge(step: Operation, readings: Sequence[Reading]) -> Judged | None:
    """The last reading of a thread's blank against the crest that its class allows; None where there is none.

    A blank that is still being cut is over the class, and nothing is said of that.
    """
    if step.thread is None or step.measure != "diameter" or step.thread.taper or not readings:
        return None
    limits = external_limits(step.thread, step.class_name)
    if limits is None:
        return None
    unit, last = step.thread.unit, readings[-1].value_mm
    least, most = (convert(size, unit, "mm") for size in (limits.major.minimum, limits.major.maximum))
    if last > most + _HAIR_MM:
        return None
    name, short = f"class {limits.class_name}", least - last
    if short <= _HAIR_MM:
        return Judged(BothUnits(*(f"in {name}",) * 2), within=True)
    inch, mm = (f"{show_length(short, 'mm', u)} {u} under the least for {name}" for u in LENGTH_UNITS)
    return Judged(BothUnits(inch, mm), within=False, still=still_serves(step.thread, step.class_name, last))
