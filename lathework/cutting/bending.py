"""How far slender work bends away from the tool: what that leaves on its free end."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

from lathework.figures import Figure, Given, Source
from lathework.units import Millimetres

BEAM = Source("handbook", "stepped beam fixed at one end, F x² ÷ E I along it, I = π d⁴ ÷ 64; the force by practice")
AWAY = 0.4
"""The part of the cutting force that pushes the work away from the tool (practice)."""


def _second_moment(across_mm: Millimetres) -> float:
    """Of the section of a round bar, mm⁴."""
    return math.pi * across_mm**4 / 64


@dataclass(frozen=True, slots=True)
class TurnedBar:
    """A bar held at one end: `out_mm` out of the jaws, `bar_mm` thick, its last `turned_mm` turned down to `across_mm`;
    `elastic` is the metal's modulus in N/mm²."""

    out_mm: Millimetres
    bar_mm: Millimetres
    turned_mm: Millimetres
    across_mm: Millimetres
    elastic: float

    @property
    def behind_mm(self) -> Millimetres:
        """How far what is not turned sticks out."""
        return self.out_mm - self.turned_mm

    def bends_mm(self, force_n: float) -> Millimetres:
        """How far its free end gives way, in millimetres, under `force_n` newtons there. Source: handbook (stepped beam
        fixed at one end).

        >>> round(TurnedBar(200, 20, 0, 20, 205_000).bends_mm(100), 3)
        0.166
        """
        thin = self.turned_mm**3 / _second_moment(self.across_mm)
        thick = (self.out_mm**3 - self.turned_mm**3) / _second_moment(self.bar_mm)
        return force_n * (thin + thick) / (3 * self.elastic)


def larger_at_the_end(bar: TurnedBar, force_n: float) -> Figure:
    """By how much, in millimetres, a cut leaves the free end of a `bar` larger in diameter than the shoulder where it
    ends.

    `force_n` in newtons is that away from the tool. At the end all of the bar bends, at the shoulder what is behind it.
    Source: handbook for the beam, practice for the force.
    """
    behind = replace(bar, out_mm=bar.behind_mm, turned_mm=0.0)
    return Figure(
        "larger at the free end",
        2 * (bar.bends_mm(force_n) - behind.bends_mm(force_n)),
        "mm",
        "128 × force away ÷ (3 × π × elastic) × (turned³ ÷ diameter⁴ + (stick-out³ − turned³ − behind³) ÷ bar⁴)",
        BEAM,
        (
            Given("force away", force_n, "N"),
            Given("stick-out", bar.out_mm, "mm"),
            Given("turned", bar.turned_mm, "mm"),
            Given("behind", bar.behind_mm, "mm"),
            Given("bar", bar.bar_mm, "mm"),
            Given("diameter", bar.across_mm, "mm"),
            Given("elastic", bar.elastic, "N/mm²"),
        ),
    )


def force_away(cutting_force: float, depth_mm: Millimetres, feed_mm: Millimetres) -> float:
    """The force in newtons that pushes the work away from the tool: `cutting_force` in N/mm² on a chip of half the
    `depth_mm` off the diameter by the feed of a revolution. Source: practice.

    >>> force_away(2000, 0.25, 0.1)
    10.0
    """
    return AWAY * cutting_force * depth_mm / 2 * feed_mm
