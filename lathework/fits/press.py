"""Bringing together what holds by force: how hard it is pressed, how far it is heated."""

from __future__ import annotations

import math

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given

SLIP = 0.0005
"""Room that a heated part wants beyond what it is too small by, as a share of its diameter (practice)."""
FRICTION = 0.12
"""Of oiled metal on metal, while it is pressed (practice)."""
MILLION = 1_000_000


def heat_wanted(tight_mm: float, across_mm: float, expansion: float) -> Figure:
    """By how much the outer part of `across_mm` is heated to slip over what is `tight_mm` larger (millimetres): dT =
    d / (alpha D), in kelvins; `expansion` in millionths a kelvin. Source: geometry, and practice for the room.

    >>> round(heat_wanted(0.1 - 30 * SLIP, 30.0, 11.7).value)
    285
    """
    return Figure(
        "heat the outer part by",
        MILLION * (tight_mm + SLIP * across_mm) / (expansion * across_mm),
        "K",
        "1000000 × (maximum interference + room to slip × diameter) ÷ (expansion × diameter)",
        PRACTICE,
        (
            Given("maximum interference", tight_mm, "mm"),
            Given("room to slip", SLIP),
            Given("diameter", across_mm, "mm"),
            Given("expansion", expansion),
        ),
        note="Expansion of the outer part's material, in millionths per kelvin.",
    )


def press_force(tight_mm: float, *, across_mm: float, outside_mm: float, long_mm: float, elastic: float) -> Figure:
    """How hard a solid shaft `tight_mm` too large is pressed, at the end, `long_mm` into a hole of `across_mm` in a
    part of `outside_mm` (all millimetres), both of one metal of `elastic` modulus (unit N/mm²); in kN.

    F = f p pi d L, p = E delta / (2 d) (1 - (d/D)²). Source: thick cylinders (Lamé); practice for the friction.
    """
    pressure = elastic * tight_mm / (2 * across_mm) * (1 - (across_mm / outside_mm) ** 2)
    return Figure(
        "pressing force at the end",
        FRICTION * pressure * math.pi * across_mm * long_mm / 1000,
        "kN",
        "friction × elastic × maximum interference ÷ 2 × (1 − (diameter ÷ outside)²) × π × length ÷ 1000",
        GEOMETRY,
        (
            Given("friction", FRICTION),
            Given("elastic", elastic, "N/mm²"),
            Given("maximum interference", tight_mm, "mm"),
            Given("diameter", across_mm, "mm"),
            Given("outside", outside_mm, "mm"),
            Given("length", long_mm, "mm"),
        ),
        places=1,
        note="Rough figure for a solid shaft of the same material, oiled. Dry: twice that.",
    )
