"""How far slender work bends away from the tool: what that leaves on its free end."""

from __future__ import annotations

import math

from lathework.figures import Figure, Given, Source
from lathework.units import Millimetres

BEAM = Source("handbook", "stepped beam fixed at one end, F x² ÷ E I along it, I = π d⁴ ÷ 64; the force by practice")
AWAY = 0.4
"""The part of the cutting force that pushes the work away from the tool (practice)."""


def _second_moment(across_mm: Millimetres) -> float:
    """Of the section of a round bar, mm⁴."""
    return math.pi * across_mm**4 / 64


def bends_mm(
    force_n: float,
    *,
    out_mm: Millimetres,
    bar_mm: Millimetres,
    turned_mm: Millimetres,
    across_mm: Millimetres,
    elastic: float,
) -> Millimetres:
    """How far the free end of a bar gives way under a force there: `out_mm` out of the jaws, `bar_mm` thick, its last
    `turned_mm` turned down to `across_mm`.

    `force_n` in newtons, `elastic` the metal's modulus in N/mm². Source: handbook (stepped beam fixed at one end).

    >>> round(bends_mm(100, out_mm=200, bar_mm=20, turned_mm=0, across_mm=20, elastic=205_000), 3)
    0.166
    """
    thin = turned_mm**3 / _second_moment(across_mm)
    thick = (out_mm**3 - turned_mm**3) / _second_moment(bar_mm)
    return force_n * (thin + thick) / (3 * elastic)


def larger_at_the_end(
    force_n: float,
    *,
    out_mm: Millimetres,
    bar_mm: Millimetres,
    turned_mm: Millimetres,
    across_mm: Millimetres,
    elastic: float,
) -> Figure:
    """By how much a cut leaves the free end larger in diameter than the shoulder where it ends, as a length.

    `force_n` in newtons is that away from the tool; the bar sticks out `out_mm`, is `bar_mm` thick and turned down to
    `across_mm` over `turned_mm`; `elastic` is the metal's modulus in N/mm². At the end all of it bends, at the shoulder
    the bar behind it. Source: handbook for the beam, practice for the force.
    """
    behind_mm = out_mm - turned_mm
    at_end = bends_mm(force_n, out_mm=out_mm, bar_mm=bar_mm, turned_mm=turned_mm, across_mm=across_mm, elastic=elastic)
    at_shoulder = bends_mm(force_n, out_mm=behind_mm, bar_mm=bar_mm, turned_mm=0.0, across_mm=bar_mm, elastic=elastic)
    return Figure(
        "larger at the free end",
        2 * (at_end - at_shoulder),
        "mm",
        "128 × force away ÷ (3 × π × elastic) × (turned³ ÷ diameter⁴ + (stick-out³ − turned³ − behind³) ÷ bar⁴)",
        BEAM,
        (
            Given("force away", force_n, "N"),
            Given("stick-out", out_mm, "mm"),
            Given("turned", turned_mm, "mm"),
            Given("behind", behind_mm, "mm"),
            Given("bar", bar_mm, "mm"),
            Given("diameter", across_mm, "mm"),
            Given("elastic", elastic, "N/mm²"),
        ),
    )


def force_away(cutting_force: float, depth_mm: Millimetres, feed_mm: Millimetres) -> float:
    """The force in newtons that pushes the work away from the tool: `cutting_force` in N/mm² on a chip of half the
    `depth_mm` off the diameter by the feed of a revolution. Source: practice.

    >>> force_away(2000, 0.25, 0.1)
    10.0
    """
    return AWAY * cutting_force * depth_mm / 2 * feed_mm
