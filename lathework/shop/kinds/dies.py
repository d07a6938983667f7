"""Dies, and sets of chasers."""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import Any

from lathework.field_reader import FieldReader
from lathework.fields import Choice, Designation, Extent, Share, Text
from lathework.lengths import Length, Span
from lathework.shop.kinds.kind import ROUND, InLine, KindField, Owned, ThingKind
from lathework.shop.kinds.shared import STEEL, sizes
from lathework.shop.kit_choices import DIE_FORMS, LEADS, DieForm, Lead, ToolSteel
from lathework.shop.lathe_words import Words
from lathework.shop.typing.line_words import STEELS, forms, own_forms
from lathework.shop.typing.reads import reads_threads, threads
from lathework.shop.typing.sizes import die_size
from lathework.threads.families import series_name
from lathework.threads.thread import Thread

ACROSS, THICK = Span("A die's diameter", 8, 120), Span("A die's thickness", 2, 40)
LEAST_DRAWN_MM, DRAWN_WIDTH = 16.0, 2.2
"""A die that nobody measured is drawn as wide as so many times its thread, and no smaller (practice)."""
LEAD_WORDS: Words = {
    "": ("not checked", ""),
    "marked": ("the marked side", "starts from that side"),
    "plain": ("the plain side", "starts from that side, whatever is stamped"),
    "both": ("both sides the same", "starts from either side"),
}
_SIZE = re.compile(
    r"^(?P<head>.*?)\s+(?P<across>[\d./-]+(?:\s*(?:mm|in))?)(?:\s*x\s*(?P<thick>[\d./-]+(?:\s*(?:mm|in))?))?$",
    re.IGNORECASE,
)


@dataclass(frozen=True, slots=True)
class Die(Owned):
    """A die, or a set of chasers; `marked` is the number on each of a set, `unfinished` are the threads it leaves at a
    shoulder (a count)."""

    thread: Thread
    form: DieForm
    across: Length | None
    thick: Length | None
    steel: ToolSteel
    lead: Lead
    marked: str
    unfinished: float | None


def drawn_mm(die: Die) -> float:
    """How wide a die is drawn, in millimetres: as measured, or as wide as one of its thread commonly is."""
    return die.across.mm if die.across else max(LEAST_DRAWN_MM, DRAWN_WIDTH * die.thread.major_mm)


def _check(reader: FieldReader, said: Mapping[str, Any]) -> None:
    thread, across, thick = said["thread"], said["across"], said["thick"]
    if across and thick and thick.mm >= across.mm:
        reader.fail("out-of-range", "thick", "A die is never thicker than its diameter. Are the two sizes swapped?")
    if across and thread and thread.major_mm >= across.mm:
        reader.fail("out-of-range", "across", f"A die this small cannot cut {thread.designation}.")


def _name(die: Die) -> str:
    size = sizes(die.across, die.thick)
    form = "set of chasers" if die.form == "chasers" else f"{die.form} die"
    return f"{die.thread.designation} {form}" + (f", {size}" if size else "")


def _reads(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """A die for each thread that is named, with its size where that stands behind: "1/4 BSW 13/16 x 1/4"."""
    size = _SIZE.match(rest)
    named = rest
    if size and reads_threads(size["head"]):
        named = size["head"]
        told = {**told, "across": die_size(size["across"])}
        if size["thick"]:
            told["thick"] = die_size(size["thick"])
    for thread in threads(named):
        yield {"thread": thread, **told}


DIE = ThingKind(
    code="die",
    place=1,
    called="die",
    about="a die, or a set of chasers for a head",
    made=Die,
    fields={
        "thread": KindField(Designation("with LH for a left-hand one", "outside"), "Thread"),
        "form": KindField(Choice(DIE_FORMS, "split", "how it is made"), "Form"),
        "across": KindField(
            Extent(ACROSS, "outside diameter, or across the flats; empty if not measured"), "Outside diameter"
        ),
        "thick": KindField(Extent(THICK, "thickness"), "Thickness"),
        "steel": STEEL,
        "lead": KindField(Choice(LEADS, "", "which side has the longer chamfer"), "Longer chamfer on", LEAD_WORDS),
        "marked": KindField(Text("number on the set, the same on each of its chasers"), "Marked"),
        "unfinished": KindField(
            Share(0.5, 12, "Threads it leaves unfinished, such as 2,", "unfinished threads at a shoulder"),
            "Threads left unfinished",
        ),
    },
    check=_check,
    name=_name,
    short=lambda die: die.thread.designation,
    drawer=lambda die: f"{series_name(die.thread)} dies",
    across=lambda die: (drawn_mm(die), die.thread.major_mm),
    sign=ROUND,
    line=InLine(
        called=r"dies?|chasers?",
        rank=15,
        words=STEELS | own_forms("split", "solid", "hexagon", "chasers") | forms(button="split", hex="hexagon"),
        reads=_reads,
        alone=True,
        more=True,
    ),
)
