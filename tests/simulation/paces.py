"""Simulated people at the lathe, made otherwise than what learns from them: gamma times about a bias of each step, a
learning curve over the pieces, tea and telephone in between."""

from __future__ import annotations

from dataclasses import dataclass
from random import Random

from lathework.week.learned import SETTING_UP, Took, Work

KINDS = ("face", "turn", "groove", "chamfer", "thread", "gauge", "part-off", "drill", "tap", "deburr")
METALS = ("mild steel", "brass", "stainless steel")
WAYS = ("die", "head", "screwcut")
THICK = ("to 6 mm", "to 12 mm", "to 25 mm")


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
        self.way = {way: self.random.uniform(0.75, 1.35) for way in WAYS}
        self.size = {size: self.random.uniform(0.9, 1.15) for size in THICK}
        self.sets_up = self.random.uniform(0.8, 3.0)
        self.first = self.random.uniform(1.2, 2.0)
        self.even = self.random.uniform(5, 12)
        self.interrupted = self.random.uniform(0.02, 0.1)

    def batch(self) -> Batch:
        """A batch of somebody's: some kinds of step, some pieces."""
        random = self.random
        kinds = random.sample(KINDS, random.randint(5, 9))
        expected = {kind: random.uniform(1.2, 8.0) for kind in kinds}
        metal, pieces = random.choice(METALS), random.randint(2, 10)
        way, size = random.choice(WAYS), random.choice(THICK)
        steps = [Took(Work(SETTING_UP, machine="l1"), random.gammavariate(6, 15 * self.sets_up / 6), 15.0)]
        worked = steps[0].minutes
        for piece in range(pieces):
            curve = 1 + (self.first - 1) * (0.4**piece)
            for kind in kinds:
                own = way if kind == "thread" else ""
                sort = self.metal[metal] * self.size[size] * self.way.get(own, 1.0)
                mean = expected[kind] * self.pace * self.bias[kind] * sort * curve
                minutes = random.gammavariate(self.even, mean / self.even)
                worked += minutes
                pause = random.uniform(8, 150) if random.random() < self.interrupted else 0.0
                work = Work(kind, metal, "l1", piece == 0, own, size)
                steps.append(Took(work, minutes + pause, expected[kind]))
        return Batch(steps, worked)
