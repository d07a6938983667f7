"""Pieces that come out under size, and cuts for each, on lathes that nothing of the program's model went into: as the
bench says, by two cuts alike, and by dialling what is left."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from statistics import mean

from tests.simulation.springy_lathes import (
    BEYOND,
    MISFITS,
    Misfit,
    SpringyLathe,
    Turned,
    by_the_bench,
    by_the_rule,
    by_what_is_left,
    springy_lathes,
)

LATHES, PIECES, SEED = 60, 5, 3
AIM_MM, LEAST_MM, MOST_MM = 10.0, 12.0, 20.0
WAYS: dict[str, Callable[[SpringyLathe, float, float, float], Turned]] = {
    "bench": by_the_bench,
    "two_alike": by_the_rule,
    "what_is_left": by_what_is_left,
}


def _turned(misfit: Misfit, way: Callable[..., Turned], band: float) -> Iterator[Turned]:
    for lathe in springy_lathes(misfit, LATHES, SEED):
        for _ in range(PIECES):
            yield way(lathe, lathe.dice.uniform(LEAST_MM, MOST_MM), AIM_MM, band)


def turning() -> dict[str, float]:
    """Under size in shares of all pieces by the band: the mean of every kind of lathe, the worst of them, and of one
    that springs more than is asked of the program; and cuts a piece."""
    figures: dict[str, float] = {}
    for band in (0.02, 0.05):
        for name, way in WAYS.items():
            made = {kind: list(_turned(misfit, way, band)) for kind, misfit in MISFITS.items()}
            under = {kind: mean(piece.off < -band for piece in pieces) for kind, pieces in made.items()}
            beyond = mean(piece.off < -band for piece in _turned(BEYOND, way, band))
            at = f"turned_{band:g}_{name}"
            figures[f"{at}_under"] = round(mean(under.values()), 4)
            figures[f"{at}_under_worst"] = round(max(under.values()), 4)
            figures[f"{at}_under_beyond"] = round(beyond, 4)
            figures[f"{at}_cuts"] = round(mean(piece.cuts for pieces in made.values() for piece in pieces), 2)
    return figures
