"""Lathes with a spring of their own and somebody at the dial: diameters turned down to size, reading by reading."""

from __future__ import annotations

import random
from collections.abc import Iterator
from dataclasses import dataclass

from lathework.cutting.dimension import Dimension, Target
from lathework.cutting.next_cut import FINISH_MM, PassMade, next_cut

MOST_CUTS = 40
SPRING, SPRING_SPREAD = 0.94, 0.03
"""What comes off per what is dialled, in the mean of lathes, and how far they differ."""
CUT_MM, READ_MM, DIAL_MM = 0.004, 0.002, 0.003
"""Standard deviations of a cut, of a reading, and of where the dial is left, in millimetres."""
SLIPS, SILENT = 0.03, 0.3
"""How often the dial is left a whole mark off, and how often nobody says what was dialled."""
MARK_MM = 0.05
BAND_MM = 0.01
MOST_CUT_MM = 2.0


@dataclass(frozen=True, slots=True)
class Turned:
    """A piece as it was left: how far off its aim, in millimetres, and after how many cuts."""

    off_mm: float
    cuts: int


@dataclass(slots=True)
class Lathe:
    """A lathe and its operator; `passes` is what the program was told of its cuts."""

    dice: random.Random
    comes_off: float
    passes: list[PassMade]

    def cut(self, size_mm: float, asked_mm: float) -> tuple[float, float]:
        """The size after a cut of which so much was asked, and what was dialled in truth, in millimetres."""
        slip = MARK_MM * self.dice.choice((-1, 1)) if self.dice.random() < SLIPS else 0.0
        dialled = max(0.0, asked_mm + self.dice.gauss(0, DIAL_MM) + slip)
        return size_mm - self.comes_off * dialled - self.dice.gauss(0, CUT_MM), dialled

    def read(self, size_mm: float) -> float:
        """A size as it is measured, in millimetres."""
        return size_mm + self.dice.gauss(0, READ_MM)


def lathes(count: int, seed: int) -> Iterator[Lathe]:
    """So many lathes."""
    dice = random.Random(seed)
    for _ in range(count):
        yield Lathe(dice, dice.gauss(SPRING, SPRING_SPREAD), [])


def turned_by_the_bench(lathe: Lathe, start_mm: float, aim_mm: float) -> Turned:
    """A piece turned as the bench says, the dial told more often than not."""
    size, cuts = start_mm, 0
    target, read = Target(aim_mm - BAND_MM, aim_mm, aim_mm + BAND_MM), lathe.read(start_mm)
    turned = Dimension("diameter", "diameter", target, start_mm, MOST_CUT_MM, "cross-slide", leaves_mm=FINISH_MM)
    while cuts < MOST_CUTS:
        told = next_cut(last_mm=read, dimension=turned, passes=lathe.passes[-8:], dial="diameter", unit="mm")
        if told.dial is None:
            break
        size, dialled = lathe.cut(size, told.cut_mm)
        cuts += 1
        after = lathe.read(size)
        if lathe.dice.random() >= SILENT:
            lathe.passes.append(PassMade(max(dialled, 0.001), read - after))
        read = after
    return Turned(size - aim_mm, cuts)


def turned_by_schedule(lathe: Lathe, start_mm: float, aim_mm: float) -> Turned:
    """A piece turned by rote: roughed to half a millimetre over, then half of what is left, and half again, and what is
    left, the reading taken for granted each time."""
    size, cuts, read = start_mm, 0, lathe.read(start_mm)
    while read - aim_mm > 0.75:
        size, _ = lathe.cut(size, min(MOST_CUT_MM, read - aim_mm - 0.5))
        read, cuts = lathe.read(size), cuts + 1
    for share in (0.5, 0.5, 1.0):
        size, _ = lathe.cut(size, share * max(0.0, read - aim_mm))
        read, cuts = lathe.read(size), cuts + 1
    while read - aim_mm > BAND_MM and cuts < MOST_CUTS:
        size, _ = lathe.cut(size, read - aim_mm)
        read, cuts = lathe.read(size), cuts + 1
    return Turned(size - aim_mm, cuts)
