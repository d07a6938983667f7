"""Sizes as they stand in a line, and what is wrong with one."""

from __future__ import annotations

from decimal import Decimal, InvalidOperation
from fractions import Fraction

from lathework.errors import InputError

HOW = "Type it like M3-M12 dies, 1/4 BSW split die 13/16, 1-13 x 0.5 drills, 1 in die holder 2MT, 3 mm blade."
LARGEST_INCHES = 4.0
"""A bare die size up to this is in inches, over it in millimetres: no die is so small, or so large (practice)."""


def wrong(message: str, choices: tuple[str, ...] = ()) -> InputError:
    """What is wrong with a line."""
    return InputError("unreadable", "text", message, choices)


def number_of(text: str) -> Fraction:
    """A size in a run of drills. Raises InputError."""
    try:
        whole, _, rest = text.rpartition("-")
        return Fraction(whole or 0) + (Fraction(rest) if "/" in rest else Fraction(Decimal(rest)))
    except (ValueError, InvalidOperation, ZeroDivisionError):
        raise wrong(f"“{text}” is not a drill size. {HOW}") from None


def mixed(size: Fraction) -> str:
    """A size in inches as a whole and a fraction."""
    whole, rest = divmod(size, 1)
    return str(whole) if not rest else f"{whole}-{rest}" if whole else str(rest)


def unit_of(text: str) -> str:
    """The unit of a bare size, to be kept with it; a name (#7, F) and a size with its unit have none."""
    bare = text.replace("/", "").replace("-", "").replace(".", "").isdecimal()
    return "" if not bare else " in" if "/" in text else " mm"


def die_size(text: str) -> str:
    """A size of a die with its unit."""
    if not unit_of(text):
        return text
    return f"{text} in" if float(number_of(text)) <= LARGEST_INCHES else f"{text} mm"
