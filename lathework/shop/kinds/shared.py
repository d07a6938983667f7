"""What several kinds are told of: spans, a field, a name out of parts."""

from __future__ import annotations

from lathework.fields import Choice
from lathework.lengths import Length, Span
from lathework.shop.kinds.kind import KindField
from lathework.shop.kit_choices import MORSE, TOOL_STEELS
from lathework.shop.lathe_words import Words

BORE, SHANK_ROUND = Span("A bore", 0.3, 150), Span("A shank", 1, 60)
SWALLOWS, GRIPS = Span("A length of thread", 1, 600), Span("What it grips", 0.1, 600)
POCKET, POCKET_DEPTH = Span("A pocket", 8, 120), Span("The depth of a pocket", 2, 40)
GRADUATION = Span("A graduation", 0.002, 1)
STEEL = KindField(Choice(TOOL_STEELS, "", "what it is made of"), "Steel")
TAPER = KindField(Choice(MORSE, "", "its Morse taper"), "Taper")
SAID_WORDS: Words = {"": ("not given", ""), "yes": ("yes", ""), "no": ("no", "")}
SHANK_WORDS: Words = {
    "": ("not given", ""),
    "straight": ("straight shank", "held in the drill chuck"),
    "on-a-guide": ("slides on a guide bar", "the bar sits in the tailstock"),
}


def joined(*words: str) -> str:
    """Words one after the other, the empty ones left out."""
    return " ".join(word for word in words if word)


def spaced(code: str) -> str:
    """A code as words."""
    return code.replace("-", " ")


def sizes(*lengths: Length | None) -> str:
    """Lengths as typed, with a cross between; those nobody measured left out."""
    return " × ".join(length.typed for length in lengths if length)


def span(least: Length | None, most: Length | None) -> str:
    """From a least to a most, as typed."""
    return " to ".join(length.typed for length in (least, most) if length)
