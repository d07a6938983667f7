"""Bars in the rack."""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass

from lathework.fields import Choice, Extent
from lathework.lengths import Length, Span
from lathework.shop.kinds.kind import ROUND, InLine, KindField, Owned, ThingKind, lies_under, unchecked
from lathework.shop.kinds.shared import joined
from lathework.shop.kit_choices import BAR_FORMS, BarForm
from lathework.shop.metals import materials
from lathework.shop.typing.line_words import forms, own_forms
from lathework.shop.typing.reads import measured

METALS_SAID = tuple(
    (re.compile(rf"(?<![\w-])(?:{said})(?![\w-])", re.IGNORECASE), name)
    for said, name in (
        (r"en1a(?:pb)?|12l14|11smn\w*|leaded(?: steel)?|free[\s-]cutting(?! steel)", "free-cutting steel"),
        (r"en3b?|1018|1020|bms|bright mild(?: steel)?|black mild(?: steel)?|ms", "mild steel"),
        (r"en8|en9|en16|en19|en24|1045|4140|4340|silver steel|drill rod|tool steel", "alloy steel"),
        (r"(?:303|304|316)(?: stainless)?(?: steel)?|stainless(?! steel)", "stainless steel"),
        (r"6082|6061|7075|2011|dural(?:umin)?", "aluminium"),
        (r"phosphor bronze|gunmetal|pb1|sae ?660", "bronze"),
        (r"acetal|nylon|delrin|pom|ptfe|pvc", "plastic"),
    )
)
"""Names of metals as bars are sold by, and the metal of the program that each is worked as (practice)."""
BAR_ACROSS, BAR_LONG = Span("A bar size", 1, 150), Span("A bar's length", 5, 6000)


@dataclass(frozen=True, slots=True)
class Bar(Owned):
    """A bar in the rack; `metal` is a metal's code."""

    form: BarForm
    across: Length
    long: Length | None
    metal: str


def _name(bar: Bar) -> str:
    metal = materials()[bar.metal].name if bar.metal else ""
    return joined(bar.across.typed, bar.form, metal, "bar") + (f", {bar.long.typed}" if bar.long else "")


def names_metal(text: str) -> bool:
    """Whether a text names a metal, by its name here or by one that its bars are sold by."""
    own = any(metal.name in text.lower() for metal in materials().values())
    return own or any(pattern.search(text) for pattern, _ in METALS_SAID)


def _reads(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """A bar: its metal is named among its sizes."""
    for pattern, name in METALS_SAID:
        if said := pattern.search(rest):
            # What it is sold as is kept beside what it is worked as.
            notes = "; ".join(filter(None, (told.get("notes", ""), said[0])))
            rest, told = pattern.sub(name, rest), {**told, "notes": notes}
            break
    for code, metal in sorted(materials().items(), key=lambda known: -len(known[1].name)):
        found = re.search(rf"(?<![\w-]){re.escape(metal.name)}(?![\w-])", rest, re.IGNORECASE)
        if found:
            rest = f"{rest[: found.start()]} {rest[found.end() :]}".strip()
            told = {**told, "metal": code}
            break
    return measured("across", "long")(rest, told)


BAR = ThingKind(
    code="bar",
    place=16,
    called="bar",
    about="a bar, or an end of one, in the rack",
    made=Bar,
    fields={
        "form": KindField(Choice(BAR_FORMS, "round", "its section"), "Form"),
        "across": KindField(Extent(BAR_ACROSS, "diameter, or width across flats", optional=False), "Size"),
        "long": KindField(Extent(BAR_LONG, "length left"), "Length left"),
        "metal": KindField(
            Choice(("", *materials()), "", "the metal"),
            "Metal",
            {code: (metal.name, "") for code, metal in materials().items()},
        ),
    },
    check=unchecked,
    name=_name,
    short=_name,
    drawer=lies_under("Bar rack"),
    across=lambda bar: (bar.across.mm, 0.0),
    sign=ROUND,
    line=InLine(
        called=r"bars?|bar ends?|rods?",
        rank=14,
        words=own_forms("round", "hexagon", "square") | forms(hex="hexagon"),
        reads=_reads,
        alone=False,
        more=False,
    ),
)
