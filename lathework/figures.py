"""Values that carry their working: a figure is never naked."""

from __future__ import annotations

from dataclasses import dataclass, field
from typing import Literal

SourceKind = Literal["standard", "handbook", "practice", "memory"]


@dataclass(frozen=True, slots=True)
class Source:
    """Where a figure comes from: a published standard or handbook by name, practice, or memory."""

    kind: SourceKind
    title: str = ""


def counted(number: float, one: str) -> str:
    """The unit of a count: `one` for a `number` of 1, else its plural.

    >>> counted(1, "turn"), counted(17, "turn")
    ('turn', 'turns')
    """
    return one if number == 1 else f"{one}s"


PRACTICE = Source("practice", "workshop practice")
GEOMETRY = Source("handbook", "plane geometry")
AS_TYPED = Source("practice", "as you entered it")


@dataclass(frozen=True, slots=True)
class Given:
    """One input of a figure: its name, value and unit ("" for a bare number)."""

    name: str
    value: float
    unit: str = ""


@dataclass(frozen=True, slots=True)
class Answer:
    """What another school says of the same figure, and why one would follow it."""

    school: str
    value: float
    unit: str
    remark: str


@dataclass(frozen=True, slots=True)
class Figure:
    """A value with its unit, its formula in words, the inputs it was made from, and its source.

    `fine` lengths are diameters, shown with one more decimal than lengths along the bed; other units show `places`.
    """

    name: str
    value: float
    unit: str
    formula: str
    source: Source
    inputs: tuple[Given, ...] = ()
    fine: bool = True
    places: int = 0
    others: tuple[Answer, ...] = field(default=())
    note: str = ""
