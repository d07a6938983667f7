"""Drills one owns: racks and single sizes, and which rack goes with a thread."""

from __future__ import annotations

import re
from functools import lru_cache

from lathework.errors import InputError
from lathework.figures import PRACTICE
from lathework.lengths import Length, read_length
from lathework.tables.drills import Drill, all_drills, gauge_drills
from lathework.threads.families import family_of
from lathework.threads.thread import Thread
from lathework.units import LengthUnit

RACKS = ("number", "letter", "fraction", "metric")
_FRACTION = re.compile(r"(?:\d+[ -])?\d+/\d+")
IN_RACKS = "in their racks"
"""Among the names of a list: each single size belongs to the rack of its kind, as it does in a shop's drill stand."""


@lru_cache(maxsize=128)
def owned(text: str, unit: LengthUnit) -> tuple[Drill, ...]:
    """The drills a list names, by diameter: racks (number, letter, fraction, metric) and single sizes, one a line or
    with commas between; empty means every rack. A bare number is in `unit`, a fraction in inches. Raises InputError on
    "drills".
    """
    names = [name.strip() for name in text.replace(";", ",").replace("\n", ",").split(",")]
    racked = IN_RACKS in names
    named = [name for name in names if name and name != IN_RACKS and not name.startswith("# ")]
    if not named:
        return all_drills()
    found: dict[str, Drill] = {}
    for name in named:
        if name.lower() in RACKS:
            found |= {drill.name: drill for drill in all_drills() if drill.rack == name.lower()}
            continue
        try:
            # Nobody has a drill of 17/64 of a millimetre.
            length = read_length(name, "in" if _FRACTION.fullmatch(name) else unit, "drills")
        except InputError as error:
            raise InputError(error.code, "drills", error.message, RACKS) from None
        rack = _rack_of(name, length) if racked else "own"
        found[name] = Drill(rack, name, length.value, length.unit, PRACTICE)
    return tuple(sorted(found.values(), key=lambda drill: drill.diameter_mm))


def _rack_of(name: str, length: Length) -> str:
    """The rack a single drill belongs in: by its name, a size in millimetres in the metric one."""
    known = gauge_drills().get(name)
    return known.rack if known else ("metric" if length.unit == "mm" else "fraction")


@lru_cache(maxsize=4096)
def single(size: Length) -> Drill:
    """A drill that somebody owns by itself, in its rack."""
    return Drill(_rack_of(size.typed, size), size.typed, size.value, size.unit, PRACTICE)


def home(thread: Thread, drill: Drill) -> bool:
    """Whether a drill hangs in the rack that goes with a thread: metric for metric, BA and G, else the inch ones.

    A size that somebody names by itself always does. Source: practice.
    """
    return drill.rack == "own" or (drill.rack == "metric") == (family_of(thread).drills == "metric")
