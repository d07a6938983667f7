"""Specimens drawn from the library: cut within their class, worn, measured by a person with a caliper and leaves.

The way they are made is not the ranking's own model: what is met where is drawn from counts of a made-up drawer, crests
are uniform within the class limits, wear is half-normal, calipers err by a normal and are read to 0.01 mm, the leaf is
the one of a real set that sits best, and now and then its neighbour.
"""

from __future__ import annotations

import random
from dataclasses import dataclass
from functools import cache

from lathework.threads.library import library
from lathework.threads.limits import external_limits
from lathework.threads.thread import Thread
from lathework.units import convert

CALIPER_MM = 0.02
WORN_SHARE, WEAR_MM = 0.5, 0.04
"""Half the specimens are worn, by a half-normal of this spread."""
NEIGHBOUR = 0.004
"""How often the leaf beside the right one is taken for it."""
#: What a drawer of each origin holds, in specimens of a hundred.
DRAWERS: dict[str, dict[str, int]] = {
    "american": {"UNC": 48, "UNF": 30, "coarse": 10, "NPT": 7, "UNEF": 2, "fine": 2, "G": 1},
    "british-old": {"BSW": 38, "BSF": 25, "BA": 18, "G": 7, "R": 2, "UNF": 4, "UNC": 3, "coarse": 2, "Brass": 1},
    "european": {"coarse": 76, "fine": 15, "G": 5, "R": 1, "UNC": 2, "UNF": 1},
}
#: Leaves of the set: threads per inch, and millimetres.
INCH_LEAVES = (
    *(4, 4.5, 5, 6, 7, 8, 9, 10, 11, 11.5, 12, 13, 14, 16, 18, 19, 20, 22, 24, 26, 27, 28, 32, 36, 40, 44, 48),
    *(56, 60, 64, 72, 80),
)
METRIC_LEAVES = (
    *(0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.6, 0.7, 0.75, 0.8, 1, 1.25, 1.5, 1.75, 2, 2.5, 3, 3.5, 4, 4.5, 5, 5.5, 6),
)
#: Sizes met: nobody brings an M95 to a bench lathe.
SMALLEST_MM, LARGEST_MM = 2.0, 40.0


@dataclass(frozen=True, slots=True)
class Specimen:
    """A thread that is known, and what a person would type about it."""

    thread: Thread
    origin: str
    outside_mm: float
    leaf: dict[str, str]

    def typed(self, *, foreign: bool = False) -> dict[str, str]:
        """Evidence of diameter, leaf and origin; the leaf of the other system where that is all there is."""
        leaf = foreign_leaf(self.thread) if foreign else self.leaf
        return {"outside": f"{self.outside_mm:.2f} mm", "origin": self.origin, **leaf}


@cache
def _sizes(series: str) -> tuple[Thread, ...]:
    return tuple(t for t in library() if t.series == series and SMALLEST_MM <= t.major_mm <= LARGEST_MM)


def _common(thread: Thread, chance: random.Random) -> bool:
    """Odd sizes are thrown back nine times in ten."""
    odd = thread.family == "metric" and thread.major not in (2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 24, 30, 36)
    return not odd or chance.random() < 0.1


def _crest_mm(thread: Thread, chance: random.Random) -> float:
    limits = external_limits(thread)
    if limits is None:
        return thread.major_mm + chance.uniform(-0.15, 0.15)
    return convert(chance.uniform(limits.major.minimum, limits.major.maximum), thread.unit, "mm")


def _leaf(thread: Thread, chance: random.Random) -> dict[str, str]:
    leaves = [("tpi", f"{tpi:g}", 25.4 / tpi) for tpi in INCH_LEAVES]
    leaves += [("pitch", f"{pitch:g} mm", pitch) for pitch in METRIC_LEAVES]
    leaves.sort(key=lambda leaf: abs(leaf[2] / thread.pitch_mm - 1))
    field, text, _ = leaves[1 if chance.random() < NEIGHBOUR else 0]
    return {field: text}


def foreign_leaf(thread: Thread) -> dict[str, str]:
    """What somebody types who has the leaves of the other system alone: the one that comes nearest."""
    metric = [("pitch", f"{pitch:g} mm", pitch) for pitch in METRIC_LEAVES]
    inch = [("tpi", f"{tpi:g}", 25.4 / tpi) for tpi in INCH_LEAVES]
    leaves = inch if thread.unit == "mm" else metric
    field, text, _ = min(leaves, key=lambda leaf: abs(leaf[2] / thread.pitch_mm - 1))
    return {field: text}


def specimens(count: int, seed: int) -> list[Specimen]:
    """`count` specimens, the same for the same seed."""
    chance = random.Random(seed)
    out: list[Specimen] = []
    while len(out) < count:
        origin = chance.choice(sorted(DRAWERS))
        drawer = DRAWERS[origin]
        series = chance.choices(list(drawer), list(drawer.values()))[0]
        thread = chance.choice(_sizes(series))
        if not _common(thread, chance):
            continue
        crest = _crest_mm(thread, chance)
        if chance.random() < WORN_SHARE:
            crest -= abs(chance.gauss(0, WEAR_MM))
        out.append(Specimen(thread, origin, crest + chance.gauss(0, CALIPER_MM), _leaf(thread, chance)))
    return out
