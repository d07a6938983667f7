"""Change gears: every train that cuts a lead with the wheels owned, what it is off, whether it meshes."""

from __future__ import annotations

from bisect import bisect_left
from collections import Counter
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from fractions import Fraction
from functools import lru_cache
from itertools import combinations, permutations
from math import prod, radians, tan

from lathework.figures import GEOMETRY, Figure, Given, Source

WORTH_SHOWING = Fraction(1, 200)
"""Trains further off than that cut another thread (practice)."""
MESH_OVER = 15
"""Teeth by which two meshing wheels together exceed the wheel beside either, so that it clears the other's shaft
(practice)."""
MOST_PAIRS = 3
"""Pairs of wheels in the longest train: six wheels, on two studs (practice)."""
GOOD = Fraction(1, 5000)
"""A train that is off by no more is as good as an exact one: 0.02 mm over 100 mm of thread. Of such the ones with fewer
studs come first (practice)."""
MOST_SHOWN, MOST_ALIKE = 8, 3
"""Trains that are told, and of those how many that are off alike."""

Wheels = tuple[int, ...]


@dataclass(frozen=True, slots=True)
class Train:
    """Wheels from the spindle to the leadscrew: `drivers` and `driven`, pair by pair; each driver turns the driven
    wheel beside it, and sits on one stud with the driven wheel before it.

    `off` is by how much what it cuts is more than what was wanted, as a share of it; 0 is exact.
    """

    drivers: Wheels
    driven: Wheels
    off: Fraction
    meshes: bool

    @property
    def wheels(self) -> Wheels:
        """All of them, from the spindle on."""
        return tuple(wheel for pair in zip(self.drivers, self.driven, strict=True) for wheel in pair)

    @property
    def ratio(self) -> Fraction:
        """Turns of the leadscrew a turn of the work: product of the drivers over that of the driven."""
        return Fraction(prod(self.drivers), prod(self.driven))

    def cuts(self, leadscrew: Fraction) -> Fraction:
        """The lead that it really cuts, in the unit of the leadscrew's."""
        return leadscrew * self.ratio

    @property
    def words(self) -> str:
        """The train from the spindle to the leadscrew.

        >>> Train((40, 60), (65, 30), Fraction(0), True).words
        '40 drives 65; 60 on its stud drives 30'
        """
        pairs = list(zip(self.drivers, self.driven, strict=True))
        first = f"{pairs[0][0]} drives {pairs[0][1]}"
        rest = [f"{driver} on its stud drives {driven}" for driver, driven in pairs[1:]]
        return "; ".join((first, *rest)) if rest else f"{first}, with any gear as an idler between"


def meshes(drivers: Sequence[int], driven: Sequence[int]) -> bool:
    """Whether the wheels of a train clear each other's shafts: of each two pairs one after the other, the first
    together exceed the second driver, and the second together the first driven wheel, by MESH_OVER. Source: practice.

    >>> meshes((40, 60), (65, 30)), meshes((20, 60), (25, 50))
    (True, False)
    """
    pairs = list(zip(drivers, driven, strict=True))
    return all(
        a + b >= c + MESH_OVER and c + d >= b + MESH_OVER for (a, b), (c, d) in zip(pairs, pairs[1:], strict=False)
    )


def _arranged(drivers: Wheels, driven: Wheels, off: Fraction) -> Train:
    """The wheels in an order in which they mesh, or as they are."""
    for order in permutations(drivers):
        for other in permutations(driven):
            if meshes(order, other):
                return Train(order, other, off, True)
    return Train(drivers, driven, off, False)


def _sets(owned: Sequence[int], count: int) -> list[tuple[int, Wheels]]:
    """Products of `count` wheels with the wheels, each set of sizes once, by product."""
    return sorted({(prod(wheels), wheels) for wheels in combinations(sorted(owned), count)})


def _within(owned: Counter[int], drivers: Wheels, driven: Wheels) -> bool:
    """Whether nobody needs a wheel twice. One size on both sides does nothing, and is a train by itself alone: 1 to 1,
    with any idler between."""
    used = Counter(drivers) + Counter(driven)
    alike = bool(set(drivers) & set(driven)) and len(drivers) > 1
    return not alike and all(owned[wheel] >= count for wheel, count in used.items())


def _near(ratio: Fraction, owned: Sequence[int], pairs: int) -> list[tuple[float, Wheels, Wheels]]:
    """Sets of `pairs` drivers and driven wheels that come near the ratio, the nearest first, by what they are off as a
    number: exact fractions are made of the few that are told."""
    sets, count = _sets(owned, pairs), Counter(owned)
    products = [product for product, _ in sets]
    wanted, window = float(ratio), float(WORTH_SHOWING)
    found = []
    for product, drivers in sets:
        # drivers / driven = ratio x (1 + off): driven lies between these.
        at = bisect_left(products, product / wanted / (1 + window))
        most = product / wanted / (1 - window)
        while at < len(sets) and products[at] <= most:
            driven = sets[at][1]
            if _within(count, drivers, driven):
                found.append((abs(round(product / products[at] / wanted - 1, 12)), drivers, driven))
            at += 1
    return sorted(found)


def _few_of_each(ratio: Fraction, owned: Sequence[int], pairs: int) -> Iterator[Train]:
    """The nearest that mesh, of those that are off alike the first few, so that those further off are seen as well;
    and those that were met on the way and do not mesh."""
    alike: Counter[float] = Counter()
    for near, drivers, driven in _near(ratio, owned, pairs):
        if alike[near] == MOST_ALIKE:
            continue
        train = _arranged(drivers, driven, Fraction(prod(drivers), prod(driven)) / ratio - 1)
        yield train
        alike[near] += train.meshes
        if alike.total() == MOST_SHOWN:
            return


def _rank(train: Train) -> tuple[bool, bool, int, Fraction, int]:
    """What comes first: a train that meshes, as good as exact, of few wheels; else the one that comes nearest."""
    off, pairs = abs(train.off), len(train.drivers)
    good = off <= GOOD
    return not train.meshes, not good, pairs if good else 0, off, pairs


def trains(
    lead: Fraction, leadscrew: Fraction, owned: Sequence[int], *, most_pairs: int = MOST_PAIRS
) -> tuple[Train, ...]:
    """Trains of at most so many pairs (a count) that cut `lead` with a leadscrew of that lead (both in one unit), the
    best first.

    Those that mesh first; of them those that are as good as exact, the fewest wheels before the nearest; then those
    that come nearest. No wheel of `owned` is used more often than it is there. Source: lead cut / lead of the screw =
    drivers / driven.

    >>> found = trains(Fraction(1, 13), Fraction(1, 16), (40, 65, 60, 30))
    >>> found[0].drivers, found[0].driven, found[0].off
    ((40, 60), (65, 30), Fraction(0, 1))
    """
    out: list[Train] = []
    for pairs in range(1, most_pairs + 1):
        out += _few_of_each(lead / leadscrew, owned, pairs)
        if sum(train.off == 0 and train.meshes for train in out) >= MOST_ALIKE:
            break  # more wheels make none that is better
    out.sort(key=_rank)
    return tuple(out[:MOST_SHOWN])


@lru_cache(maxsize=64)
def best_train(lead: Fraction, leadscrew: Fraction, owned: tuple[int, ...]) -> Train | None:
    """The train that comes nearest and meshes; None where the wheels make none. Arguments are those of `trains`, and
    what it finds is kept: a plan is made at each key."""
    return next((train for train in trains(lead, leadscrew, owned) if train.meshes), None)


def per_hundred(train: Train) -> Figure:
    """What a train is off over 100 mm of thread, in millimetres: long where it is more."""
    return Figure(
        "error over 100 mm",
        float(100 * train.off),
        "mm",
        "100 × (cut ÷ wanted − 1)",
        GEOMETRY,
        (Given("cut", float(1 + train.off)), Given("wanted", 1.0)),
        note="Exact." if train.off == 0 else "",
    )


def over_length(train: Train, length_mm: float) -> Figure:
    """What it is off over a thread of `length_mm`, in millimetres."""
    off = float(train.off)
    given = (Given("length", length_mm, "mm"), Given("relative error", off))
    return Figure("error over the thread", length_mm * off, "mm", "length × relative error", GEOMETRY, given)


def as_pitch_diameter(off_mm: float, flank_angle_deg: float) -> Figure:
    """What an error of lead of `off_mm` (millimetres) over the length of engagement costs, as pitch diameter: its size
    over tan(a/2), for a mate of true lead. Source: plane geometry; ISO 965-1, virtual pitch diameter."""
    return Figure(
        "as pitch diameter",
        abs(off_mm) / tan(radians(flank_angle_deg / 2)),
        "mm",
        "error × cot(half angle)",
        Source("standard", "ISO 965-1, virtual pitch diameter"),
        (Given("error", abs(off_mm), "mm"), Given("half angle", flank_angle_deg / 2, "°")),
    )
