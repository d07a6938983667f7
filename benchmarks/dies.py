"""Threads in class by a die that nobody knows, on dies that nothing of the program's model went into: as the program
says, and by the rule of an eighth for each that binds."""

from __future__ import annotations

from statistics import mean

from tests.simulation.odd_dies import MISFITS, Batch, Learning, Said, by_eighths, by_nut, by_rings, odd_dies

DIES, BATCHES, SEED = 100, 2, 3


def _shares(name: str, says: Said) -> tuple[list[Batch], list[Batch]]:
    """Batches of one kind of die, one after the other on each: learned, and by the rule."""
    learned = [
        batch
        for die in odd_dies(MISFITS[name], DIES, SEED)
        for learning in (Learning(die),)
        for batch in (learning.batch(says) for _ in range(BATCHES))
    ]
    ruled = [by_eighths(die, says) for die in odd_dies(MISFITS[name], DIES, SEED) for _ in range(BATCHES)]
    return learned, ruled


def dies() -> dict[str, float]:
    """Shares in class by what a mate feels, of all kinds of dies in the mean and of the worst; cuts a piece; and of the
    chances that were told how many came true."""
    figures: dict[str, float] = {}
    for gauge, says in (("nut", by_nut), ("rings", by_rings)):
        both = {name: _shares(name, says) for name in MISFITS}
        for way, at in (("bench", 0), ("eighths", 1)):
            shares = [mean(batch.good / batch.pieces for batch in pair[at]) for pair in both.values()]
            figures[f"dies_{gauge}_{way}_in_class"] = round(mean(shares), 3)
            figures[f"dies_{gauge}_{way}_in_class_worst"] = round(min(shares), 3)
            cuts = [batch.cuts / batch.pieces for pair in both.values() for batch in pair[at]]
            figures[f"dies_{gauge}_{way}_cuts"] = round(mean(cuts), 2)
        told = [one for learned, _ in both.values() for batch in learned for one in batch.told]
        figures[f"dies_{gauge}_told"] = round(mean(chance for chance, _ in told), 3)
        figures[f"dies_{gauge}_came"] = round(mean(came for _, came in told), 3)
    return figures
