"""Self-opening die heads."""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass

from lathework.fields import Choice, Extent
from lathework.lengths import Length, Span
from lathework.shop.kinds.kind import InLine, KindField, Owned, ThingKind, check_range, lies_under, no_size
from lathework.shop.kinds.shared import BORE, GRADUATION, SHANK_ROUND, SHANK_WORDS, SWALLOWS, span
from lathework.shop.kit_choices import SHANKS, Shank
from lathework.shop.typing.line_words import SHANKS as SHANKS_TYPED
from lathework.shop.typing.sizes import die_size

CHASED, OVERRUN = Span("A thread of a die head", 0.5, 150), Span("An overrun", 0.05, 25)


@dataclass(frozen=True, slots=True)
class DieHead(Owned):
    """A self-opening die head; its chasers are dies of their own. It cuts on by its `overrun` past its stop before it
    opens; a `graduation` of its scale makes so much on the diameter."""

    least: Length | None
    most: Length | None
    behind: Length | None
    swallows: Length | None
    overrun: Length | None
    graduation: Length | None
    shank: Shank
    round: Length | None


def _reads(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """A die head by the threads it takes; how long a thread, its overrun and a graduation with what they are."""
    for field, words in (("swallows", "takes in"), ("overrun", "overrun"), ("graduation", "graduation")):
        found = re.search(rf"{words}\s+(?P<size>[\d./-]+\s*(?:mm|in))\b", rest, re.IGNORECASE)
        if found:
            told = {**told, field: found["size"]}
            rest = f"{rest[: found.start()]} {rest[found.end() :]}"
    run = re.match(r"\s*(?P<least>[\d./]+)-(?P<most>[\d./]+)\s*$", rest)
    if run:
        sizes = {name: die_size(run[name]) for name in ("least", "most")}
        return iter(({**sizes, **told},))
    named = zip(("least", "most"), re.split(r"\s*x\s*|\s+", rest.strip()), strict=False)
    return iter(({**{name: die_size(size) for name, size in named if size}, **told},))


def _name(head: DieHead) -> str:
    size = span(head.least, head.most)
    return "self-opening die head" + (f", {size}" if size else "")


HEAD = ThingKind(
    code="head",
    place=10,
    called="self-opening die head",
    about="a self-opening die head",
    made=DieHead,
    fields={
        "least": KindField(Extent(CHASED, "smallest thread its chasers cut"), "From"),
        "most": KindField(Extent(CHASED, "largest thread its chasers cut"), "To"),
        "behind": KindField(Extent(BORE, "bore behind the chasers"), "Bore behind"),
        "swallows": KindField(Extent(SWALLOWS, "longest thread its hollow takes"), "Longest thread"),
        "overrun": KindField(Extent(OVERRUN, "how far it cuts past its stop before it opens"), "Cuts past its stop by"),
        "graduation": KindField(
            Extent(GRADUATION, "what one graduation of its scale makes, on the diameter"), "One graduation equals"
        ),
        "shank": KindField(Choice(SHANKS, "", "what holds it"), "Shank", SHANK_WORDS),
        "round": KindField(Extent(SHANK_ROUND, "diameter of a straight shank"), "Straight shank or guide"),
    },
    check=check_range,
    name=_name,
    short=_name,
    drawer=lies_under("Holders"),
    across=no_size,
    sign="M4 16h24v12H4zM28 4h34v36H28zM62 12h6v6h-6zM62 26h6v6h-6zM44 4v36",
    line=InLine(
        called=r"(?:self[- ]opening )?die ?heads?",
        rank=1,
        words=SHANKS_TYPED,
        reads=_reads,
        alone=False,
        more=False,
    ),
)
