"""How soon unknown dies cut in their class, by what is learned of them and by the rule of eighths."""

from __future__ import annotations

from statistics import mean, median

from lathework.dies.learner import believed
from tests.simulation.dies import Called, by_the_rule, by_what_is_known, unknown_dies

COUNT, SEED = 500, 4
LATER = ("brass", "mild steel", "brass")
"""The metals of the pieces after the first, in mild steel."""


def dies() -> dict[str, float]:
    """Cuts to a thread in its class, shares in it and under it, and how often what is called 90 per cent comes true."""
    called: list[Called] = []
    first, later, ruled = [], [], []
    for die in unknown_dies(COUNT, SEED):
        ruled.append(by_the_rule(die, "mild steel"))
        belief = believed(die.aim, ())
        first.append(by_what_is_known(die, belief, "mild steel", called))
        later += [by_what_is_known(die, belief, metal, called) for metal in LATER]
    return {
        "die_cuts_first": median(piece.cuts for piece in first if piece.good),
        "die_cuts_later": median(piece.cuts for piece in later if piece.good),
        "die_good_first": round(mean(piece.good for piece in first), 3),
        "die_good_later": round(mean(piece.good for piece in later), 3),
        "die_good_by_rule": round(mean(piece.good for piece in ruled), 3),
        "die_small_first": round(mean(piece.small for piece in first), 4),
        "die_small_by_rule": round(mean(piece.small for piece in ruled), 4),
        "die_right_at_90": round(mean(came for chance, came in called if 0.88 <= chance <= 0.92), 3),
    }
