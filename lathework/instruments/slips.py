"""What may have been meant by a number that was typed: the slips of a finger, of an eye, of a unit."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from lathework.units import MM_PER_INCH, LengthUnit, Millimetres, convert

_BESIDE = {
    "0": "19",
    "1": "024",
    "2": "135",
    "3": "246",
    "4": "1357",
    "5": "2468",
    "6": "3579",
    "7": "468",
    "8": "579",
    "9": "680",
}
"""The digits beside each, in a row of keys and on a pad of them; what an eye is off by on a scale is among them."""
SHARES = {"swapped": 0.2, "digit": 0.4, "doubled": 0.1, "dropped": 0.1, "unit": 0.1, "half": 0.04, "turn": 0.06}
"""How slips are shared out among their kinds (practice)."""
TURNS: dict[LengthUnit, float] = {"mm": 0.5, "in": 0.025}
"""A turn of a micrometer's thimble, which an eye is off by."""


@dataclass(frozen=True, slots=True)
class Meant:
    """A size that may have been meant, as it would be typed in the unit of what was, and how often such a slip is made
    among all slips (a bare number)."""

    mm: Millimetres
    text: str
    share: float


def _swapped(digits: str) -> Iterator[str]:
    for at in range(len(digits) - 1):
        here, there = digits[at], digits[at + 1]
        if here != there and here.isdigit() and there.isdigit():
            yield digits[:at] + there + here + digits[at + 2 :]


def _other_digit(digits: str) -> Iterator[str]:
    for at, here in enumerate(digits):
        for beside in _BESIDE.get(here, ""):
            yield digits[:at] + beside + digits[at + 1 :]


def _one_less(digits: str) -> Iterator[str]:
    """A digit was typed twice, or one too many."""
    for at, here in enumerate(digits):
        if here.isdigit():
            yield digits[:at] + digits[at + 1 :]


def _one_more(digits: str) -> Iterator[str]:
    """A digit was left out."""
    for at in range(len(digits) + 1):
        for digit in "0123456789":
            yield digits[:at] + digit + digits[at:]


_TYPED = (("swapped", _swapped), ("digit", _other_digit), ("doubled", _one_less), ("dropped", _one_more))


def _number(text: str) -> float | None:
    try:
        return float(text)
    except ValueError:
        return None


def _texts(typed: str, unit: LengthUnit) -> Iterator[tuple[str, list[str]]]:
    """Every text that may have been meant for the one that was `typed`, by the kind of slip."""
    for kind, made in _TYPED:
        yield kind, sorted(set(made(typed)) - {typed})
    value, places = float(typed), len(typed.partition(".")[2])
    other = MM_PER_INCH if unit == "in" else 1 / MM_PER_INCH
    yield "unit", [f"{value * factor:.{places + 3}f}" for factor in (other, 1 / other, 0.001, 1000, 10, 0.1)]
    yield "half", [f"{value * factor:.{places + 1}f}" for factor in (2, 0.5)]
    turn = TURNS[unit]
    yield "turn", [f"{value + more:.{max(places, 1 if unit == 'mm' else 3)}f}" for more in (turn, -turn)]


def meant_by(typed: str, unit: LengthUnit) -> list[Meant]:
    """The sizes that may have been meant by a plain number as `typed` in a `unit`; nothing for a fraction or a sum.

    >>> sorted(one.text for one in meant_by("6.33", "mm") if 6.1 < one.mm < 6.2)
    ['6.133']
    """
    plain = typed.strip().lower().removesuffix("mm").removesuffix("in").strip().replace(",", ".")
    if _number(plain) is None or not plain.replace(".", "", 1).isdigit():
        return []
    found = []
    for kind, texts in _texts(plain, unit):
        values = [(text, value) for text in texts if (value := _number(text)) is not None]
        found += [Meant(convert(value, unit, "mm"), text, SHARES[kind] / len(values)) for text, value in values]
    return found
