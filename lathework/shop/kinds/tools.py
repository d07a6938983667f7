"""Blades and turning tools."""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass

from lathework.fields import Choice, Extent, Share
from lathework.lengths import Length, Span
from lathework.shop.kinds.kind import ROD, InLine, KindField, Owned, ThingKind, lies_under, no_size, unchecked
from lathework.shop.kinds.shared import joined
from lathework.shop.kit_choices import BLADE_USES, GROUND, TOOL_FORMS, BladeUse, Ground, ToolForm
from lathework.shop.typing.left_over import left_over
from lathework.shop.typing.line_words import own_forms
from lathework.shop.typing.reads import measured

BLADE_WIDE, BLADE_REACH = Span("A blade's width", 0.4, 8), Span("A blade's reach", 1, 120)
TIP = Span("A tip", 0.005, 10)


@dataclass(frozen=True, slots=True)
class Blade(Owned):
    """A blade; it parts off twice its `reach` in diameter."""

    width: Length
    use: BladeUse
    reach: Length | None


@dataclass(frozen=True, slots=True)
class Tool(Owned):
    """A turning tool; `angle` is its included angle in degrees."""

    form: ToolForm
    angle: float | None
    point: Ground
    tip: Length | None


def _reads_tool(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """A turning tool: a bare number is its angle. Raises InputError where words are left over."""
    if rest and not re.fullmatch(r"[\d.]+\s*°?", rest):
        raise left_over(rest)
    return iter(({"angle": rest.rstrip("°").strip(), **told} if rest else told,))


def _blade_name(blade: Blade) -> str:
    return joined(blade.width.typed, "" if blade.use == "either" else blade.use, "blade")


BLADE = ThingKind(
    code="blade",
    place=5,
    called="blade",
    about="a blade to part off or to groove with",
    made=Blade,
    fields={
        "width": KindField(Extent(BLADE_WIDE, "width of the edge", optional=False), "Width"),
        "use": KindField(Choice(BLADE_USES, "either", "what it is used for"), "Used for"),
        "reach": KindField(Extent(BLADE_REACH, "how deep it cuts: half the diameter it can part off"), "Reach"),
    },
    check=unchecked,
    name=_blade_name,
    short=_blade_name,
    drawer=lies_under("Tool rack"),
    across=lambda blade: (blade.width.mm, 0.0),
    sign=ROD,
    line=InLine(
        called=r"blades?",
        rank=11,
        words={"parting": ("use", "parting"), "grooving": ("use", "grooving")},
        reads=measured("width", "reach"),
        alone=False,
        more=False,
    ),
)


def _tool_name(tool: Tool) -> str:
    return joined(f"{tool.angle:g}°" if tool.angle else "", tool.form, "tool")


TOOL = ThingKind(
    code="tool",
    place=6,
    called="turning tool",
    about="a turning tool",
    made=Tool,
    fields={
        "form": KindField(Choice(TOOL_FORMS, "knife", "what it does"), "Form"),
        "angle": KindField(
            Share(10, 180, "An angle in degrees, such as 60,", "included angle of a threading tool, degrees"),
            "Angle, degrees",
        ),
        "point": KindField(Choice(GROUND, "", "how the point of a threading tool is ground"), "Point"),
        "tip": KindField(Extent(TIP, "flat or radius at its tip"), "Tip"),
    },
    check=unchecked,
    name=_tool_name,
    short=_tool_name,
    drawer=lies_under("Tool rack"),
    across=no_size,
    sign="M4 14h44v16H4zM48 14l18 4l-6 12H48z",
    line=InLine(
        called=r"(?:turning |lathe )?tools?",
        rank=12,
        words=own_forms("knife", "threading", "boring", "chamfering", "knurling", "form"),
        reads=_reads_tool,
        alone=False,
        more=False,
    ),
)
