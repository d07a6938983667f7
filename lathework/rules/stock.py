"""Bar for a batch: what each piece takes, and the whole."""

from __future__ import annotations

from lathework.figures import PRACTICE, Figure, Given
from lathework.units import LengthUnit, convert

FACING_MM = 0.5
"""Faced off each piece (practice)."""
GRIP_MM = 30.0
"""Left in the jaws when the last piece is parted, which no piece can be made of (practice)."""


def bar_for_piece(overall_mm: float, kerf_mm: float, unit: LengthUnit) -> Figure:
    """Bar that one piece takes, told in `unit`: overall length + kerf + facing.

    `overall_mm` and `kerf_mm` are millimetres. Source: practice.
    """
    return Figure(
        "bar for a piece",
        convert(overall_mm + kerf_mm + FACING_MM, "mm", unit),
        unit,
        "overall length + kerf + facing",
        PRACTICE,
        (
            Given("overall length", convert(overall_mm, "mm", unit), unit),
            Given("kerf", convert(kerf_mm, "mm", unit), unit),
            Given("facing", convert(FACING_MM, "mm", unit), unit),
        ),
        fine=False,
    )


def bar_for_batch(pieces: int, piece: Figure) -> Figure:
    """Bar for `pieces` (a count), holding end included, in the unit of `piece`.

    Pieces x bar for a piece + holding end. Source: practice.
    """
    unit: LengthUnit = "in" if piece.unit == "in" else "mm"
    grip = convert(GRIP_MM, "mm", unit)
    return Figure(
        "bar for the batch",
        pieces * piece.value + grip,
        unit,
        "pieces × bar for a piece + what stays in the jaws",
        PRACTICE,
        (
            Given("pieces", pieces),
            Given("bar for a piece", piece.value, unit),
            Given("stays in the jaws", grip, unit),
        ),
        fine=False,
        note="From one bar; each further bar leaves its own end in the jaws.",
    )
