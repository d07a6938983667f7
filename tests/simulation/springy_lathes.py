"""Lathes of the tests' own, which nothing of the program's model went into: work that gives way, play, wander, chips
that are too thin to cut, a dial that lies, readings that are rounded.

A cut leaves the place where the tool stands plus what it gave way by; the tool stays where it is until it is moved, so
that a lighter cut after a heavier one takes more than its dial says. Lengths are in millimetres of the diameter.
"""

from __future__ import annotations

import random
from collections.abc import Iterator
from dataclasses import dataclass, field, replace

from lathework.cutting.cuts import pass_diameters
from lathework.cutting.dimension import Dimension, Target
from lathework.cutting.next_cut import next_cut
from lathework.cutting.to_size.last_cuts import FINISH_MM
from lathework.cutting.to_size.pass_made import PassMade

MOST_CUTS, MOST_CUT_MM, DIVISION_MM = 30, 2.0, 0.01
TOUCHED_MM, LEFT_OFF_MM = 0.01, 0.003
SLIP_MM = 0.05
RULE_LEAVES_MM = 0.6


@dataclass(frozen=True, slots=True)
class Misfit:
    """How a lathe differs from one that cuts what its dial says: what it gives way by is `springs` × depth to the
    `power`; `play` is lost once a piece, when the slide is brought forward; a cut `wanders`, with a memory of the one
    before where it `drifts`; a chip thinner than `bites` often does not cut; the dial moves `moves` for what it says;
    readings stray by `reads` and are rounded to `rounded`; how often the dial `slips` by a mark, and how often nobody
    says what was dialled (`silent`)."""

    springs: float = 0.02
    power: float = 1.0
    play: float = 0.0
    wanders: float = 0.003
    drifts: float = 0.0
    bites: float = 0.0
    moves: float = 1.0
    reads: float = 0.002
    rounded: float = 0.001
    slips: float = 0.0
    silent: float = 0.0


PLAIN = Misfit()
MISFITS: dict[str, Misfit] = {
    "stiff": replace(PLAIN, springs=0.0),
    "springs .01": replace(PLAIN, springs=0.01),
    "springs .03": replace(PLAIN, springs=0.03),
    "springs .05": replace(PLAIN, springs=0.05),
    "springs and play .1": replace(PLAIN, springs=0.05, play=0.1),
    "wanders .01": replace(PLAIN, springs=0.03, wanders=0.01),
    "all of it": replace(PLAIN, springs=0.05, play=0.1, wanders=0.01),
    "springs by a root": replace(PLAIN, springs=0.03, power=0.6, wanders=0.005),
    "drifts": replace(PLAIN, wanders=0.01, drifts=0.7),
    "dial lies": replace(PLAIN, moves=1.03),
    "thin chips": replace(PLAIN, springs=0.03, bites=0.04),
    "caliper": replace(PLAIN, springs=0.03, reads=0.006, rounded=0.01),
    "slips": replace(PLAIN, springs=0.03, slips=0.03),
    "silent": replace(PLAIN, springs=0.04, silent=0.4),
}
BEYOND = replace(PLAIN, springs=0.08)
"""More than is asked of the program: it is measured all the same."""


@dataclass(slots=True)
class SpringyLathe:
    """A lathe with the piece in its chuck."""

    dice: random.Random
    misfit: Misfit
    size: float = 0.0
    stands: float = 0.0
    astray: float = 0.0
    forward: bool = False
    told: list[PassMade] = field(default_factory=list)

    def chuck(self, start: float) -> float:
        """A new piece; its size as measured."""
        self.size, self.forward = start, False
        self.stands = start + self.dice.gauss(0, TOUCHED_MM)
        return self.measure()

    def cut(self, dialled: float) -> None:
        """Dial in by so much, and take a pass."""
        odd = self.misfit
        if not self.forward:
            dialled -= self.dice.uniform(0, odd.play)
            self.forward = True
        if self.dice.random() < odd.slips:
            dialled += SLIP_MM * self.dice.choice((-1, 1))
        self.stands -= odd.moves * max(0.0, dialled + self.dice.gauss(0, LEFT_OFF_MM))
        keeps = odd.drifts
        self.astray = keeps * self.astray + self.dice.gauss(0, odd.wanders) * (1 - keeps**2) ** 0.5
        depth = self.size - self.stands - self.astray
        if depth <= 0 or (depth < odd.bites and self.dice.random() < 0.5):
            return
        self.size = min(self.size, self.stands + self.astray + odd.springs * depth**odd.power)

    def measure(self) -> float:
        """The size as it is read."""
        odd = self.misfit
        return round((self.size + self.dice.gauss(0, odd.reads)) / odd.rounded) * odd.rounded


@dataclass(frozen=True, slots=True)
class Turned:
    """A piece as it was left: how far off its aim, after how many cuts."""

    off: float
    cuts: int


def springy_lathes(misfit: Misfit, count: int, seed: int) -> Iterator[SpringyLathe]:
    """So many lathes, the same for the same seed."""
    dice = random.Random(seed)
    for _ in range(count):
        yield SpringyLathe(random.Random(dice.random()), misfit)


def by_the_bench(lathe: SpringyLathe, start: float, aim: float, band: float) -> Turned:
    """A piece turned as the bench says, the dial set to its divisions."""
    target = Target(aim - band, aim, aim + band)
    sizes = pass_diameters(start, aim, MOST_CUT_MM)
    turned = Dimension(
        "diameter",
        "diameter",
        target,
        start,
        MOST_CUT_MM,
        "cross-slide",
        sizes_mm=sizes,
        leaves_mm=FINISH_MM,
    )
    read, begun = lathe.chuck(start), False
    for cuts in range(MOST_CUTS):
        said = next_cut(
            last_mm=read, dimension=turned, passes=lathe.told[-8:], dial="diameter", unit="mm", stands=begun
        )
        if said.dial is None:
            return Turned(lathe.size - aim, cuts)
        dialled = round(said.cut_mm / DIVISION_MM) * DIVISION_MM
        lathe.cut(dialled)
        after = lathe.measure()
        stated = lathe.dice.random() >= lathe.misfit.silent
        lathe.told.append(PassMade(dialled if stated else said.cut_mm, read - after, stated, follows=begun))
        read, begun = after, True
    return Turned(lathe.size - aim, MOST_CUTS)


def by_the_rule(lathe: SpringyLathe, start: float, aim: float, band: float) -> Turned:
    """A piece turned by the rule of those who know: rough to a little over, then two cuts alike, then what is left."""
    read, cuts = lathe.chuck(start), 0
    while read - aim > RULE_LEAVES_MM + 0.15 and cuts < MOST_CUTS:
        lathe.cut(round(min(MOST_CUT_MM, read - aim - RULE_LEAVES_MM), 2))
        read, cuts = lathe.measure(), cuts + 1
    for share in (0.5, 1.0):
        lathe.cut(round(share * (read - aim), 2))
        read, cuts = lathe.measure(), cuts + 1
    while read > aim + band and cuts < MOST_CUTS:
        lathe.cut(round(read - aim, 2))
        read, cuts = lathe.measure(), cuts + 1
    return Turned(lathe.size - aim, cuts)


def by_what_is_left(lathe: SpringyLathe, start: float, aim: float, band: float) -> Turned:
    """A piece turned by somebody who dials what is left, down to half a millimetre and then all of it."""
    read, cuts = lathe.chuck(start), 0
    while read > aim + band and cuts < MOST_CUTS:
        left = read - aim
        lathe.cut(round(min(MOST_CUT_MM, left - FINISH_MM) if left > 1.5 * FINISH_MM else left, 2))
        read, cuts = lathe.measure(), cuts + 1
    return Turned(lathe.size - aim, cuts)
