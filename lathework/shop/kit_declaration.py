"""What there is to know of a thing in the shop, declared once: its reader, its schema and the API's models follow."""

from __future__ import annotations

from typing import Literal, get_args

from lathework.declared import Choice, Extent, Field, Group, Ident, Text
from lathework.lengths import Span

Kind = Literal["die", "tap", "drill"]
KINDS: tuple[Kind, ...] = get_args(Kind)
State = Literal["ready", "worn", "lent", "missing", "broken"]
STATES: tuple[State, ...] = get_args(State)
DieForm = Literal["split", "solid", "hexagon"]
DIE_FORMS: tuple[DieForm, ...] = get_args(DieForm)
TapForm = Literal["set", "taper", "second", "bottoming", "spiral-point", "spiral-flute", "forming"]
TAP_FORMS: tuple[TapForm, ...] = get_args(TapForm)
ToolSteel = Literal["", "carbon", "high-speed"]
TOOL_STEELS: tuple[ToolSteel, ...] = get_args(ToolSteel)
LONGEST_NOTE = 500
ACROSS = Span("A die's diameter", 8, 120)
THICK = Span("A die's thickness", 2, 40)
DRILL = Span("A drill", 0.1, 80)

_COMMON: dict[str, Field | Group] = {
    "id": Ident("its own in the shop"),
    "state": Choice(STATES, "ready", "whether it is there and fit to work"),
    "place": Text("where it lies: a box, a drawer"),
    "notes": Text("what one should know of it", LONGEST_NOTE),
}
DIE = Group(
    "Die",
    "a die",
    {
        **_COMMON,
        "thread": Text("designation, with LH for a left-hand one", required=True),
        "form": Choice(DIE_FORMS, "split", "how it is made"),
        "across": Extent(ACROSS, "outside diameter; empty where nobody measured it"),
        "thick": Extent(THICK, "thickness"),
        "steel": Choice(TOOL_STEELS, "", "what it is made of"),
    },
)
TAP = Group(
    "Tap",
    "a tap, or a set of them",
    {
        **_COMMON,
        "thread": Text("designation, with LH for a left-hand one", required=True),
        "form": Choice(TAP_FORMS, "set", "which of a set, or how its flutes run"),
        "steel": Choice(TOOL_STEELS, "", "what it is made of"),
    },
)
DRILL_THING = Group("ShopDrill", "a drill", {**_COMMON, "size": Text("its size as it is marked", required=True)})
GROUPS: dict[Kind, Group] = {"die": DIE, "tap": TAP, "drill": DRILL_THING}
