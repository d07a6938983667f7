"""Simulated people at the lathe, made otherwise than what learns from them: gamma times about a bias of each step, a
learning curve over the pieces, tea and telephone in between."""

from __future__ import annotations

from dataclasses import dataclass
from random import Random

from lathework.week.learned import Took

KINDS = ("face", "turn", "groove", "chamfer", "thread", "gauge", "part-off", "drill", "tap", "deburr")
METALS = ("mild steel", "brass", "stainless steel")


@dataclass(slots=True)
class Batch:
    """What a plan expects of each step of a batch, what it took with pauses, and without any."""

    steps: list[Took]
    worked: float


class Somebody:
    """A person: a pace, a bias a kind of step, how much a first piece takes more, how often work is interrupted."""

    def __init__(self, seed: int) -> None:
        self.random = Random(seed)
        self.pace = self.random.uniform(0.7, 2.2)
        self.bias = {kind: self.random.uniform(0.7, 1.4) for kind in KINDS}
        self.metal = {metal: self.random.uniform(0.9, 1.15) for metal in METALS}
        self.first = self.random.uniform(1.2, 2.0)
        self.even = self.random.uniform(5, 12)
        self.interrupted = self.random.uniform(0.02, 0.1)

    def batch(self) -> Batch:
        """A batch of somebody's: some kinds of step, some pieces."""
        random = self.random
        kinds = random.sample(KINDS, random.randint(5, 9))
        expected = {kind: random.uniform(1.2, 8.0) for kind in kinds}
        metal, pieces = random.choice(METALS), random.randint(2, 10)
        steps, worked = [], 0.0
        for piece in range(pieces):
            curve = 1 + (self.first - 1) * (0.4**piece)
            for kind in kinds:
                mean = expected[kind] * self.pace * self.bias[kind] * self.metal[metal] * curve
                minutes = random.gammavariate(self.even, mean / self.even)
                worked += minutes
                pause = random.uniform(8, 150) if random.random() < self.interrupted else 0.0
                steps.append(Took(kind, metal, "l1", piece == 0, minutes + pause, expected[kind]))
        return Batch(steps, worked)
