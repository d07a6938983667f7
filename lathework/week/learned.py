"""How long steps take in this shop: learned from those that were done, beside what a plan expects of them."""

from __future__ import annotations

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field

from lathework.value import value

STRAYS = 0.45
"""How far steps stray from what is expected of them, as a logarithm of the ratio, before any was seen (practice)."""
STRAYS_WORTH = 6.0
"""As many steps this counts for."""
SHOP_STRAYS = 0.5
"""How far a shop as a whole is from the plan's opinion, likewise."""
OF_ITS_KIND = {"kind": 0.35, "way": 0.25, "size": 0.15, "metal": 0.15, "machine": 0.2, "first": 0.3}
"""How far a kind of step, a way of threading, a size of work, a metal, a lathe and first pieces are from the shop as a
whole, likewise."""
SETTING_UP = "set-up"
"""The kind of what is no step: setting up for another job."""
SIZES_MM = (6.0, 12.0, 25.0, 50.0)
"""Up to so many millimetres across, work is of one size (practice)."""
FIRST_MORE = math.log(1.25)
"""What a first piece takes more than later ones, before any was seen: a quarter (practice)."""
TOGETHER = 4.0
"""So many steps of a shop tell as much of its pace as one alone: they have a day and a hand in common (practice)."""
Levels = tuple[tuple[str, str], ...]
"""What a time is learned by, and which of it."""
ROUNDS = 25
"""Rounds after which the levels stand still."""
PAUSED = 2.0
"""From so many times the usual straying a step is one with a pause in it, and counts the less the longer it was."""
LEAST_MIN, MOST_RATIO = 0.2, 40.0
"""What took less (minutes) was typed later, what took so many times as long as expected was left (practice)."""


@value
class Work:
    """What is done, as far as its time may depend on it: the kind of step, the `way` its thread is cut, the `size` of
    the work, the metal, the lathe by its id, whether it is of a first piece; "" where one has no say."""

    kind: str
    metal: str = ""
    machine: str = ""
    first: bool = False
    way: str = ""
    size: str = ""

    @property
    def levels(self) -> Levels:
        """What its time is learned by."""
        named = (("kind", self.kind), ("way", self.way), ("size", self.size), ("metal", self.metal))
        told = [*named, ("machine", self.machine), ("first", "first" if self.first else "")]
        return tuple(level for level in told if level[1])


def size_of(across_mm: float) -> str:
    """The size of work that is so thick (millimetres).

    >>> size_of(9.5), size_of(80.0)
    ('to 12 mm', 'over 50 mm')
    """
    return next((f"to {most:g} mm" for most in SIZES_MM if across_mm <= most), f"over {SIZES_MM[-1]:g} mm")


@value
class Took:
    """Work that was done: how many `minutes` it took, and how many the plan had expected."""

    work: Work
    minutes: float
    expected: float

    @property
    def ratio(self) -> float:
        """The logarithm of what it took over what was expected (a ratio, of no unit)."""
        return math.log(self.minutes / self.expected)

    @property
    def counts(self) -> bool:
        """Whether it can have been work: what took no time was typed later, what took a day was left."""
        return self.minutes >= LEAST_MIN and self.expected > 0 and self.minutes < MOST_RATIO * self.expected


@dataclass(frozen=True, slots=True)
class Span80:
    """Minutes in the mean, and from when to when in eight cases of ten."""

    mean: float
    low: float
    high: float


@dataclass(slots=True)
class Learned:
    """What is known of the pace of a shop, at first that steps take what their plan expects in the mean: how it strays
    as a whole and by kind of step, way, size, metal, lathe and first piece (logarithms of ratios), how far single steps
    stray, and how many taught it."""

    shop: float = -(STRAYS**2) / 2
    of: dict[tuple[str, str], float] = field(default_factory=lambda: {("first", "first"): FIRST_MORE})
    strays: float = STRAYS
    unsure: float = SHOP_STRAYS
    steps: int = 0

    def factor(self, work: Work) -> float:
        """What work takes in the mean over what a plan expects of it (a ratio, of no unit)."""
        told = self.shop + sum(self.of.get(level, 0.0) for level in work.levels)
        return math.exp(told + self.strays**2 / 2)

    def spread(self, minutes: Iterable[float]) -> float:
        """How far steps of so many `minutes` (unit: minutes) stray together, each by itself: one standard deviation."""
        return math.sqrt(math.expm1(self.strays**2) * sum(one**2 for one in minutes))


AS_PLANNED = Learned(shop=0.0, of={}, strays=0.0, unsure=0.0)
"""The plan's own opinion of every step."""


def span(mean: float, spread: float) -> Span80:
    """From when to when something takes that is `mean` minutes, give or take `spread` (unit: minutes): eight of ten."""
    if mean <= 0:
        return Span80(0.0, 0.0, 0.0)
    strays = math.sqrt(math.log1p((spread / mean) ** 2))
    middle = mean * math.exp(-(strays**2) / 2)
    return Span80(mean, middle * math.exp(-1.2816 * strays), middle * math.exp(1.2816 * strays))


def _weight(off: float, strays: float) -> float:
    """What a step counts that is so far above what is expected (a logarithm, a bare number): less where it held a
    pause."""
    return 1.0 if off <= PAUSED * strays else (PAUSED * strays / off) ** 2


def learn(steps: Sequence[Took]) -> Learned:
    """What steps that were done teach. Each level is the mean of what is left to it, drawn towards nothing by how far
    its like usually stray; a few rounds settle them all."""
    told = [(one.ratio, one.work.levels) for one in steps if one.counts]
    now = Learned()
    if not told:
        return now
    for _ in range(ROUNDS):
        _round(now, told)
    return now


def _round(now: Learned, told: Sequence[tuple[float, Levels]]) -> None:
    variance = now.strays**2
    offs = [ratio - now.shop - sum(now.of.get(level, 0.0) for level in levels) for ratio, levels in told]
    weights = [_weight(off, now.strays) for off in offs]
    total = sum(weights)
    pull = variance / SHOP_STRAYS**2
    drawn = sum(w * off for w, off in zip(weights, offs, strict=True)) - (now.shop + variance / 2) * pull
    now.shop += drawn / (total + pull)
    for name in OF_ITS_KIND:
        _level(now, name, told, weights)
    left = [ratio - now.shop - sum(now.of.get(level, 0.0) for level in levels) for ratio, levels in told]
    squares = sum(w * off**2 for w, off in zip(weights, left, strict=True))
    now.strays = math.sqrt((squares + STRAYS_WORTH * STRAYS**2) / (total + STRAYS_WORTH))
    now.unsure = math.sqrt(1 / (total / (now.strays**2 * TOGETHER) + 1 / SHOP_STRAYS**2))
    now.steps = len(told)


def _level(now: Learned, name: str, told: Sequence[tuple[float, Levels]], weights: Sequence[float]) -> None:
    """Settle every value of one level on what the others leave."""
    sums: dict[tuple[str, str], list[float]] = {}
    for (ratio, levels), weight in zip(told, weights, strict=True):
        own = next((level for level in levels if level[0] == name), None)
        if own is None:
            continue
        left = ratio - now.shop - sum(now.of.get(level, 0.0) for level in levels if level != own)
        kept = sums.setdefault(own, [0.0, 0.0])
        kept[0] += weight * left
        kept[1] += weight
    towards = FIRST_MORE if name == "first" else 0.0
    pull = now.strays**2 / OF_ITS_KIND[name] ** 2
    for own, (total, count) in sums.items():
        now.of[own] = (total + towards * pull) / (count + pull)
