"""Values that carry their working: a figure is never naked."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import field
from typing import Literal

from lathework.units import Unit
from lathework.value import value

FigureKind = Literal["computed", "table", "typed"]
"""Whether a value follows from its formula, was looked up, or is as somebody typed it."""
SourceKind = Literal["standard", "handbook", "practice", "memory"]


@value
class Source:
    """Where a figure comes from: a published standard or handbook by name, practice, or memory."""

    kind: SourceKind
    title: str = ""


PRACTICE = Source("practice", "workshop practice")
GEOMETRY = Source("practice", "plane geometry")
AS_TYPED = Source("practice", "as you entered it")


@value
class Given:
    """One input of a figure: its name, value and unit ("" for a bare number)."""

    name: str
    value: float
    unit: Unit = ""


def added(inputs: Iterable[Given]) -> str:
    """The formula of a sum: the names of its `inputs` with signs between them.

    >>> added([Given("length", 1.0, "in"), Given("kerf", 0.1, "in")])
    'length + kerf'
    """
    return " + ".join(given.name for given in inputs)


@value
class Answer:
    """What another school says of the same figure, and why one would follow it."""

    school: str
    value: float
    unit: Unit
    remark: str


@value
class Figure:
    """A value with its unit, its formula, the inputs it was made from, and its source.

    `formula` is an expression over the names of the inputs, to its first comma or semicolon outside brackets: on the
    inputs beside it, it gives the value, unless `kind` says that it was looked up in a table or typed. Lengths count in
    the figure's own unit, in millimetres where that is no length. Words it may use: smallest of, largest of, whole part
    of, next whole of, nearest whole of, to 3 places of, sum of all (inputs), sin, cos, tan, cot (of degrees), atan, √,
    erf.
    `fine` lengths are diameters, shown with one more decimal than lengths along the bed; other units show `places`.
    """

    name: str
    value: float
    unit: Unit
    formula: str
    source: Source
    inputs: tuple[Given, ...] = ()
    fine: bool = True
    places: int = 0
    kind: FigureKind = "computed"
    others: tuple[Answer, ...] = field(default=())
    note: str = ""
