"""What a thread is tried with: a nut of unknown make or a known one, gauges of its limits, a thread micrometer."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal, get_args

from lathework.gauging.verdicts import LIMIT_VERDICTS, NUT_VERDICTS, Verdict

Gauge = Literal["", "known", "small", "worn", "limits", "thread-micrometer"]
GAUGES: tuple[Gauge, ...] = get_args(Gauge)


@dataclass(frozen=True, slots=True)
class Tried:
    """Something a thread is tried with: its name for a bolt and for a hole, what it says, what to know of it.

    A mate lies `share` of its tolerance up from its tightest, give or take `spread` of it (one standard deviation);
    both are 0 for what is no mate. One known to be tight or worn lies beyond its tolerance. Source: practice.
    """

    bolt: str
    hole: str
    verdicts: tuple[Verdict, ...]
    remark: str
    share: float = 0.0
    spread: float = 0.0


TRIED: Mapping[Gauge, Tried] = {
    "": Tried("a nut", "a screw", NUT_VERDICTS, "size not known", 1 / 2, 2 / 5),
    "known": Tried("a good nut", "a good screw", NUT_VERDICTS, "known good threads fit it", 1 / 3, 1 / 8),
    "small": Tried("a tight nut", "a large screw", NUT_VERDICTS, "a thread that binds may still be right", -0.4, 1 / 4),
    "worn": Tried("a worn nut", "a worn screw", NUT_VERDICTS, "a thread that shakes may still be right", 1.1, 1 / 4),
    "limits": Tried("go and no-go rings", "go and no-go plug", LIMIT_VERDICTS, "turn by hand, do not force"),
    "thread-micrometer": Tried("thread micrometer", "", (), "set it to zero on its standard first"),
}


def tried_with(code: str) -> Gauge | None:
    """The gauge of that code; None where there is none."""
    return next((gauge for gauge in GAUGES if gauge == code), None)
