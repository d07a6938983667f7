"""How near its aim a diameter is turned as the bench says, and in how many cuts, against turning by rote."""

from __future__ import annotations

from statistics import mean

from tests.simulation.lathes import BAND_MM, lathes, turned_by_schedule, turned_by_the_bench

COUNT, PIECES, SEED = 400, 5, 3
AIM_MM, LEAST_MM, MOST_MM = 10.0, 12.0, 20.0


def turning() -> dict[str, float]:
    """Shares of pieces within a hundredth of a millimetre of their aim, and cuts for each, both ways."""
    bench, rote = [], []
    for lathe in lathes(COUNT, SEED):
        for _ in range(PIECES):
            start = lathe.dice.uniform(LEAST_MM, MOST_MM)
            bench.append(turned_by_the_bench(lathe, start, AIM_MM))
            rote.append(turned_by_schedule(lathe, start, AIM_MM))
    return {
        "turned_within": round(mean(abs(piece.off_mm) <= BAND_MM for piece in bench), 3),
        "turned_within_by_rote": round(mean(abs(piece.off_mm) <= BAND_MM for piece in rote), 3),
        "turned_cuts": round(mean(piece.cuts for piece in bench), 2),
        "turned_cuts_by_rote": round(mean(piece.cuts for piece in rote), 2),
    }
