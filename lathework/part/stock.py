"""Bar: its forms, flats made on it, and what a batch takes of it."""

from __future__ import annotations

import math
import re
from typing import Literal, get_args

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.units import LengthUnit, convert

StockForm = Literal["round", "hexagon", "square", "bolt", "kept"]
STOCK_FORMS: tuple[StockForm, ...] = get_args(StockForm)
FINISHED_FORMS: tuple[StockForm, ...] = ("bolt", "kept")
"""Forms of which only one end is worked: a bolt to be cut down, a part whose damaged end is made good."""
FACING_MM = 0.5
"""Faced off an end (practice)."""
GRIP_MM = 30.0
"""Left in the jaws when the last piece is parted, which no piece can be made of (practice)."""
SAW_MM = 2.0
"""Kerf of a saw (practice)."""
ACROSS_FLATS: dict[int, float] = {6: math.cos(math.pi / 6), 4: math.cos(math.pi / 4)}
"""Width across the flats of a sharp-cornered bar, of the circle round it: 0.866025 for six flats, 0.707107 for four."""
FORM_FLATS: dict[StockForm, int] = {"hexagon": 6, "square": 4}


BarSaid = Literal["", "round", "hexagon", "square"]
_FORMS: tuple[tuple[BarSaid, str], ...] = (
    ("hexagon", r"hexagon(?:al)?|hex|a\s?/?\s?f|across\s+(?:the\s+)?flats"),
    ("square", r"square|sq"),
    ("round", r"round|rd|dia(?:meter)?|⌀|ø"),
)
_WORDS = tuple((form, re.compile(rf"(?<![^\W\d_])(?:{words})(?![^\W\d_])\.?", re.IGNORECASE)) for form, words in _FORMS)
_BAR = re.compile(r"\bbar\b", re.IGNORECASE)


def corners_mm(form: StockForm, across_mm: float) -> float:
    """Diameter of the circle round a bar of `form`, `across_mm` millimetres across (flats where it has any).

    >>> round(corners_mm("hexagon", 10), 3), corners_mm("round", 10)
    (11.547, 10)
    """
    flats = FORM_FLATS.get(form)
    return across_mm if flats is None else across_mm / ACROSS_FLATS[flats]


def read_bar(text: str) -> tuple[str, BarSaid]:
    """The size in a `text` and the form of bar that is said with it as at the rack, "" where none is.

    >>> read_bar("5/8 hex"), read_bar("17AF"), read_bar("sq 1/2 bar"), read_bar("16 mm")
    (('5/8', 'hexagon'), ('17', 'hexagon'), ('1/2', 'square'), ('16 mm', ''))
    >>> read_bar("hexagon 17 AF")
    ('17', 'hexagon')
    """
    said: BarSaid = ""
    rest = _BAR.sub(" ", text) if any(letter.isdigit() for letter in text) else text
    for form, pattern in _WORDS:
        fewer = pattern.sub(" ", rest)
        if fewer != rest and not said and any(letter.isdigit() for letter in fewer):
            said, rest = form, fewer
    return " ".join(rest.split()), said


def largest_across_flats(flats: int, round_mm: float, unit: LengthUnit) -> Figure:
    """Largest sharp-cornered bar of six or four `flats` out of a round of `round_mm` millimetres, told in `unit`.

    Round x 0.866025 (six), x 0.707107 (four). Source: plane geometry.
    """
    factor = ACROSS_FLATS[flats]
    return Figure(
        "largest from this bar",
        convert(round_mm * factor, "mm", unit),
        unit,
        f"round × {factor:.6f}",
        GEOMETRY,
        (Given("round", convert(round_mm, "mm", unit), unit),),
    )


def depth_per_flat(from_mm: float, across_mm: float, unit: LengthUnit) -> Figure:
    """Cut at each flat, from a round (or across flats) of `from_mm` to `across_mm`, both millimetres, told in `unit`.

    (from - across flats) / 2. Source: plane geometry.
    """
    return Figure(
        "cut at each flat",
        convert((from_mm - across_mm) / 2, "mm", unit),
        unit,
        "(width before − across flats) ÷ 2",
        GEOMETRY,
        (
            Given("width before", convert(from_mm, "mm", unit), unit),
            Given("across flats", convert(across_mm, "mm", unit), unit),
        ),
    )


def bar_for_piece(
    overall_mm: float, kerf_mm: float, unit: LengthUnit, *, ends: int = 1, jaws_mm: float = 0.0
) -> Figure:
    """Bar that one piece takes, told in `unit`: overall length + kerf + facing of each of `ends` (a count), and what is
    sawn longer for the jaws.

    `overall_mm`, `kerf_mm` and `jaws_mm` are millimetres. Source: practice.
    """
    facing = ends * FACING_MM
    lengths = {"overall length": overall_mm, "kerf": kerf_mm, "facing": facing}
    lengths |= {"for the jaws": jaws_mm} if jaws_mm else {}
    return Figure(
        "bar for a piece",
        convert(math.fsum(lengths.values()), "mm", unit),
        unit,
        " + ".join(lengths),
        PRACTICE,
        tuple(Given(name, convert(mm, "mm", unit), unit) for name, mm in lengths.items()),
        fine=False,
    )


def bar_used(pieces: int, piece: Figure) -> Figure:
    """Bar that `pieces` (a count), good and scrapped, have taken so far, in the unit of `piece`. Source: practice."""
    return Figure(
        "bar used so far",
        pieces * piece.value,
        piece.unit,
        "pieces started and ended × bar for a piece",
        PRACTICE,
        (Given("pieces started and ended", pieces), Given("bar for a piece", piece.value, piece.unit)),
        fine=False,
    )


def bar_for_batch(pieces: int, piece: Figure, *, grip_mm: float = GRIP_MM) -> Figure:
    """Bar for `pieces` (a count), with `grip_mm` millimetres left in the jaws, in the unit of `piece`.

    Pieces x bar for a piece + holding end. Source: practice.
    """
    unit: LengthUnit = "in" if piece.unit == "in" else "mm"
    grip = convert(grip_mm, "mm", unit)
    return Figure(
        "bar for the batch",
        pieces * piece.value + grip,
        unit,
        "pieces × bar for a piece + stays in the jaws",
        PRACTICE,
        (
            Given("pieces", pieces),
            Given("bar for a piece", piece.value, unit),
            Given("stays in the jaws", grip, unit),
        ),
        fine=False,
        note="From one bar. Each further bar leaves its own end in the jaws." if grip_mm else "",
    )


def pieces_from_bar(bar_mm: float, piece: Figure, *, grip_mm: float = GRIP_MM) -> Figure:
    """Whole pieces that a bar of `bar_mm` gives when `grip_mm` (millimetres) stay in the jaws.

    (bar - holding end) / bar for a piece, in whole pieces. Source: practice.
    """
    unit: LengthUnit = "in" if piece.unit == "in" else "mm"
    bar, grip = convert(bar_mm, "mm", unit), convert(grip_mm, "mm", unit)
    count = max(0, math.floor((bar - grip) / piece.value + 1e-9))
    return Figure(
        "pieces from a bar",
        count,
        "piece",
        "largest of (0, whole part of ((bar − stays in the jaws) ÷ bar for a piece))",
        PRACTICE,
        (
            Given("bar", bar, unit),
            Given("stays in the jaws", grip, unit),
            Given("bar for a piece", piece.value, unit),
        ),
    )
