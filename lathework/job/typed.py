"""What a person types of a new job, and what stands for the fields that are left empty."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field, replace

from lathework.errors import InputError
from lathework.figures import Figure
from lathework.job.beginnings import Start
from lathework.part.nuts import nut_sizes
from lathework.part.stock import read_bar
from lathework.threads.designation import read_called
from lathework.units import LengthUnit, show_number

_PLACES: Mapping[LengthUnit, int] = {"in": 4, "mm": 2}


@dataclass(frozen=True, slots=True)
class Typed:
    """What the person typed of a new job: text, a bare number in `unit`; "" where the start does not ask.

    `present` is a bolt's length under its head before it is cut down; `readings` are what a sample measured, by the
    field of the size that was decided.
    """

    start: Start
    unit: LengthUnit
    title: str = ""
    thread: str = ""
    quantity: str = ""
    material: str = "mild-steel"
    stock: str = ""
    threaded: str = ""
    shank: str = ""
    shank_length: str = ""
    flats: str = ""
    hole: str = ""
    head: str = ""
    knurl: str = ""
    overall: str = ""
    present: str = ""
    finish: str = ""
    readings: Mapping[str, str] = field(default_factory=dict)


def head_is_bar(typed: Typed) -> bool:
    """Whether the flats of a plug's head are those of its bar: hexagon bar, and no other flats wanted."""
    return typed.start == "plug" and not typed.flats.strip() and read_bar(typed.stock)[1] == "hexagon"


def with_usual(typed: Typed) -> Typed:
    """The form with the usual sizes of its thread where they are empty: a nut's hexagon and height, a bolt's head."""
    try:
        thread = read_called(typed.thread).thread
    except InputError:
        return typed
    flats, high = (_as_typed(figure, typed.unit) for figure in nut_sizes(thread))
    if typed.start == "nut":
        return replace(typed, stock=typed.stock.strip() or flats, overall=typed.overall.strip() or high)
    if typed.start == "plug" and not head_is_bar(typed):
        return replace(typed, flats=typed.flats.strip() or flats)
    return typed


def _as_typed(figure: Figure, unit: LengthUnit) -> str:
    """A length as one would type it where a bare number is in `unit`."""
    number = show_number(figure.value, _PLACES["mm" if figure.unit == "mm" else "in"]).rstrip("0").rstrip(".")
    return number if figure.unit == unit else f"{number} {figure.unit}"
