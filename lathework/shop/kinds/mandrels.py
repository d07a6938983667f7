"""Mandrels: what a bored part is turned on, true to its bore."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, Literal, get_args

from lathework.field_reader import FieldReader
from lathework.fields import Choice, Extent
from lathework.lengths import Length
from lathework.shop.kinds.kind import (
    InLine,
    KindField,
    Owned,
    ThingKind,
    check_range,
    lies_under,
    no_size,
)
from lathework.shop.kinds.shared import BORE, TAPER, joined, span
from lathework.shop.kit_choices import Morse
from lathework.shop.typing.line_words import SOCKETS, own_forms
from lathework.shop.typing.reads import measured

MandrelForm = Literal["plain", "expanding", "threaded"]
MANDREL_FORMS: tuple[MandrelForm, ...] = get_args(MandrelForm)


@dataclass(frozen=True, slots=True)
class Mandrel(Owned):
    """A mandrel for bores from its `least` to its `most`; a plain one has one size."""

    form: MandrelForm
    least: Length | None
    most: Length
    taper: Morse


def _check(reader: FieldReader, said: Mapping[str, Any]) -> None:
    check_range(reader, said)
    if said["form"] == "expanding" and not said["least"]:
        reader.fail("empty", "least", "Give the smallest bore too: an expanding mandrel has a range.")


def _name(mandrel: Mandrel) -> str:
    form = "" if mandrel.form == "plain" else mandrel.form
    return joined(span(mandrel.least, mandrel.most), form, "mandrel") + (f", {mandrel.taper}" if mandrel.taper else "")


MANDREL = ThingKind(
    code="mandrel",
    place=17,
    called="mandrel",
    about="what a bored part is turned on",
    made=Mandrel,
    fields={
        "form": KindField(Choice(MANDREL_FORMS, "plain", "how it holds"), "Form"),
        "least": KindField(Extent(BORE, "smallest bore it holds"), "From"),
        "most": KindField(Extent(BORE, "bore it holds; for an expanding one the largest", optional=False), "To"),
        "taper": TAPER,
    },
    check=_check,
    name=_name,
    short=_name,
    drawer=lies_under("Collets and chucks"),
    across=no_size,
    sign="M2 18h16v8H2zM18 15l36 2v10l-36 2zM54 18h16v8H54z",
    line=InLine(
        called=r"mandrels?",
        rank=18,
        words=SOCKETS | own_forms("plain", "expanding", "threaded"),
        reads=measured("most", "least"),
        alone=False,
        more=False,
    ),
)
