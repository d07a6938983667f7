"""Taps, and sets of them."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from lathework.field_reader import FieldReader
from lathework.fields import Choice, Designation, Extent, Share
from lathework.lengths import Length, Span
from lathework.shop.kinds.kind import ROD, InLine, KindField, Owned, ThingKind
from lathework.shop.kinds.shared import GRADUATION, SHANK_ROUND, STEEL, spaced
from lathework.shop.kit_choices import TAP_FORMS, TapForm, ToolSteel
from lathework.shop.typing.line_words import STEELS, own_forms
from lathework.shop.typing.reads import of_threads
from lathework.threads.families import series_name
from lathework.threads.thread import Thread

SQUARE, REACHES = Span("A square", 0.5, 40), Span("How deep a tap reaches", 2, 400)


@dataclass(frozen=True, slots=True)
class Tap(Owned):
    """A tap, or a set of them; of an adjustable one, a `graduation` of its scale makes so much on the diameter."""

    thread: Thread
    form: TapForm
    steel: ToolSteel
    flutes: float | None
    reaches: Length | None
    shank: Length | None
    square: Length | None
    graduation: Length | None


def _check(reader: FieldReader, said: Mapping[str, Any]) -> None:
    if said["shank"] and said["square"] and said["square"].mm >= said["shank"].mm:
        reader.fail("out-of-range", "square", "The square of a tap is smaller than its shank.")


TAP = ThingKind(
    code="tap",
    place=2,
    called="tap",
    about="a tap, or a set of them",
    made=Tap,
    fields={
        "thread": KindField(Designation("with LH for a left-hand one", "inside"), "Thread"),
        "form": KindField(Choice(TAP_FORMS, "set", "which of a set, or how its flutes run"), "Form"),
        "steel": STEEL,
        "flutes": KindField(Share(1, 12, "Flutes, such as 4,", "how many flutes", whole=True), "Flutes"),
        "reaches": KindField(Extent(REACHES, "depth it reaches before shank or square is in the way"), "Reaches"),
        "shank": KindField(Extent(SHANK_ROUND, "diameter of its shank"), "Shank"),
        "square": KindField(Extent(SQUARE, "across its square"), "Square"),
        "graduation": KindField(
            Extent(GRADUATION, "of an adjustable one: what one graduation makes, on the diameter"),
            "One graduation equals",
        ),
    },
    check=_check,
    name=lambda tap: f"{tap.thread.designation} {'taps, a set' if tap.form == 'set' else f'{spaced(tap.form)} tap'}",
    short=lambda tap: tap.thread.designation,
    drawer=lambda tap: f"{series_name(tap.thread)} taps",
    across=lambda tap: (tap.thread.major_mm, tap.thread.major_mm),
    sign=ROD,
    line=InLine(
        called=r"taps?",
        rank=16,
        words=STEELS
        | own_forms("taper", "second", "bottoming", "forming", "adjustable", "spiral-point", "spiral-flute"),
        reads=of_threads,
        alone=True,
        more=True,
    ),
)
