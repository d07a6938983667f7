"""Drills and reamers."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.fields import Extent
from lathework.lengths import Length, Span
from lathework.shop.kinds.kind import ROD, InLine, KindField, Owned, ThingKind, lies_under, unchecked
from lathework.shop.typing.reads import of_drills

DRILL_SIZE, REAMER_SIZE = Span("A drill", 0.1, 80), Span("A reamer", 0.5, 80)


@dataclass(frozen=True, slots=True)
class ShopDrill(Owned):
    """A drill by its marked size."""

    size: Length


@dataclass(frozen=True, slots=True)
class Reamer(Owned):
    """A reamer by its marked size."""

    size: Length


DRILL = ThingKind(
    code="drill",
    place=3,
    called="drill",
    about="a drill",
    made=ShopDrill,
    fields={"size": KindField(Extent(DRILL_SIZE, "as it is marked", optional=False), "Size")},
    check=unchecked,
    name=lambda drill: f"{drill.size.typed} drill",
    short=lambda drill: drill.size.typed,
    drawer=lies_under("Drills"),
    across=lambda drill: (drill.size.mm, 0.0),
    sign=ROD,
    line=InLine(called=r"drills?", rank=17, words={}, reads=of_drills, alone=False, more=True),
)
REAMER = ThingKind(
    code="reamer",
    place=4,
    called="reamer",
    about="a reamer",
    made=Reamer,
    fields={"size": KindField(Extent(REAMER_SIZE, "as it is marked", optional=False), "Size")},
    check=unchecked,
    name=lambda reamer: f"{reamer.size.typed} reamer",
    short=lambda reamer: reamer.size.typed,
    drawer=lies_under("Reamers"),
    across=lambda reamer: (reamer.size.mm, 0.0),
    sign=ROD,
    line=InLine(called=r"reamers?", rank=10, words={}, reads=of_drills, alone=False, more=False),
)
