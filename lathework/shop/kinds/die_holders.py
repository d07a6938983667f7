"""What holds a die, and what guides the work into one: stocks, tailstock holders, bushes."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from lathework.field_reader import FieldReader
from lathework.fields import Choice, Extent
from lathework.lengths import Length
from lathework.shop.kinds.kind import RING, InLine, KindField, Owned, ThingKind, lies_under, unchecked
from lathework.shop.kinds.shared import (
    BORE,
    POCKET,
    POCKET_DEPTH,
    SAID_WORDS,
    SHANK_ROUND,
    SHANK_WORDS,
    SWALLOWS,
    spaced,
)
from lathework.shop.kit_choices import SAID, SCREWS, SHANKS, Said, Screws, Shank
from lathework.shop.lathe_words import Words
from lathework.shop.typing.line_words import SHANKS as SHANKS_TYPED
from lathework.shop.typing.reads import measured
from lathework.shop.typing.sizes import die_size

SCREW_WORDS: Words = {
    "": ("not given", ""),
    "three-at-the-split": ("three at the split", "one pointed, two beside it"),
    "two-opposed": ("two opposed", ""),
    "four": ("four", ""),
}
_TAKES = KindField(Extent(POCKET, "diameter of the die it takes", optional=False), "Takes die diameter")
_DEEP = KindField(Extent(POCKET_DEPTH, "depth of its pocket"), "Depth")


@dataclass(frozen=True, slots=True)
class DieStock(Owned):
    """A stock by the die it takes."""

    across: Length
    deep: Length | None


@dataclass(frozen=True, slots=True)
class DieHolder(Owned):
    """A tailstock die holder."""

    across: Length
    deep: Length | None
    behind: Length | None
    swallows: Length | None
    shank: Shank
    round: Length | None
    screws: Screws
    keyed: Said
    releases: Said

    @property
    def driven(self) -> bool:
        """Whether it is held from turning by itself: by a key, or by a drive that comes apart at its stop."""
        return "yes" in (self.keyed, self.releases)


@dataclass(frozen=True, slots=True)
class Bush(Owned):
    """A guide bush."""

    bore: Length
    across: Length | None


def _check_pocket(reader: FieldReader, said: Mapping[str, Any]) -> None:
    across, behind = said["across"], said.get("behind")
    if across and behind and behind.mm >= across.mm:
        reader.fail("out-of-range", "behind", "This bore is so wide that the die has nothing to sit on.")


def _holder_name(holder: DieHolder) -> str:
    keyed, releases = holder.keyed == "yes", holder.releases == "yes"
    words = [holder.across.typed, spaced(holder.shank), "keyed" if keyed else "", "releasing" if releases else ""]
    return ", ".join(["tailstock die holder", *(word for word in words if word)])


def _die_stock_name(stock: DieStock) -> str:
    return f"die stock, {stock.across.typed}"


DIE_STOCK = ThingKind(
    code="die-stock",
    place=7,
    called="die stock",
    about="a stock that turns a die by hand",
    made=DieStock,
    fields={"across": _TAKES, "deep": _DEEP},
    check=unchecked,
    name=_die_stock_name,
    short=_die_stock_name,
    drawer=lies_under("Holders"),
    across=lambda stock: (stock.across.mm, 0.0),
    sign="M24 22a12 12 0 1 0 24 0a12 12 0 1 0-24 0M2 20h22v4H2zM48 20h22v4H48zM29 22a7 7 0 1 0 14 0a7 7 0 1 0-14 0",
    line=InLine(
        called=r"die ?stocks?",
        rank=2,
        words={},
        reads=measured("across", "deep", size_of=die_size),
        alone=False,
        more=False,
    ),
)
HOLDER = ThingKind(
    code="holder",
    place=8,
    called="tailstock die holder",
    about="a tailstock die holder",
    made=DieHolder,
    fields={
        "across": _TAKES,
        "deep": _DEEP,
        "behind": KindField(Extent(BORE, "bore behind the die"), "Bore behind"),
        "swallows": KindField(Extent(SWALLOWS, "longest thread its bore takes"), "Longest thread"),
        "shank": KindField(Choice(SHANKS, "", "what holds it in the tailstock"), "Shank", SHANK_WORDS),
        "round": KindField(
            Extent(SHANK_ROUND, "diameter of a straight shank or of its guide"), "Straight shank or guide"
        ),
        "screws": KindField(Choice(SCREWS, "", "its screws round the die"), "Screws", SCREW_WORDS),
        "keyed": KindField(Choice(SAID, "", "whether a key holds it from turning"), "Keyed", SAID_WORDS),
        "releases": KindField(
            Choice(SAID, "", "whether its drive comes apart when its stop pulls it off"), "Releasing", SAID_WORDS
        ),
    },
    check=_check_pocket,
    name=_holder_name,
    short=_holder_name,
    drawer=lies_under("Holders"),
    across=lambda holder: (holder.across.mm, 0.0),
    sign="M4 17h26v10H4zM30 8h34v28H30zM54 14h10v16H54z",
    line=InLine(
        called=r"(?:sliding |floating )?(?:tailstock )?(?:die ?)?holders?",
        rank=3,
        words=SHANKS_TYPED
        | {"keyed": ("keyed", "yes"), "releasing": ("releases", "yes"), "sliding": ("shank", "on-a-guide")},
        reads=measured("across", "deep", size_of=die_size),
        alone=False,
        more=False,
    ),
)


def _bush_name(bush: Bush) -> str:
    return f"guide bush, {bush.bore.typed} bore"


BUSH = ThingKind(
    code="bush",
    place=9,
    called="guide bush",
    about="a guide bush before a die",
    made=Bush,
    fields={
        "bore": KindField(Extent(BORE, "its bore", optional=False), "Bore"),
        "across": KindField(Extent(POCKET, "what it fits into"), "Fits into"),
    },
    check=unchecked,
    name=_bush_name,
    short=_bush_name,
    drawer=lies_under("Holders"),
    across=lambda bush: (bush.bore.mm, 0.0),
    sign=RING,
    line=InLine(
        called=r"(?:guide )?bush(?:es)?",
        rank=4,
        words={},
        reads=measured("bore", "across"),
        alone=False,
        more=False,
    ),
)
