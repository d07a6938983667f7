"""What a thread says of itself: to a nut, to go and no-go gauges, or by its measured size."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, get_args

NutVerdict = Literal["will-not-start", "binds", "snug", "slight-shake", "loose"]
LimitVerdict = Literal["go-stops", "go-passes", "no-go-passes"]
SizeVerdict = Literal["size-in", "size-large", "size-small", "size-near"]
Verdict = NutVerdict | LimitVerdict | SizeVerdict
NUT_VERDICTS: tuple[NutVerdict, ...] = get_args(NutVerdict)
LIMIT_VERDICTS: tuple[LimitVerdict, ...] = get_args(LimitVerdict)
VERDICTS: tuple[Verdict, ...] = (*NUT_VERDICTS, *LIMIT_VERDICTS, *get_args(SizeVerdict))
"""What a nut says, what go and no-go gauges say, what a measured size comes to."""
Metal = Literal["over", "right", "under", "unclear"]
"""What there is of the metal: too much, as it should be, too little, or nobody can tell."""


@dataclass(frozen=True, slots=True)
class VerdictMeaning:
    """A verdict in words, and how much metal there is on the thread with it."""

    code: Verdict
    words: str
    metal: Metal

    @property
    def passes(self) -> bool:
        """Whether the thread passes."""
        return self.metal == "right"


MEANINGS: dict[Verdict, VerdictMeaning] = {
    one.code: one
    for one in (
        VerdictMeaning("will-not-start", "will not start", "over"),
        VerdictMeaning("binds", "starts, then binds", "over"),
        VerdictMeaning("snug", "snug, turns by hand, no play", "right"),
        VerdictMeaning("slight-shake", "slight play", "right"),
        VerdictMeaning("loose", "loose", "under"),
        VerdictMeaning("go-stops", "go gauge stops", "over"),
        VerdictMeaning("go-passes", "go gauge goes on, no-go stops", "right"),
        VerdictMeaning("no-go-passes", "no-go gauge goes on too", "under"),
        VerdictMeaning("size-in", "measured: in its class", "right"),
        VerdictMeaning("size-large", "measured: too large", "over"),
        VerdictMeaning("size-small", "measured: too small", "under"),
        VerdictMeaning("size-near", "measured: too close to a limit to decide", "unclear"),
    )
}
"""Of a bolt. Of a hole the same: with a screw that binds there is metal left in it."""


def verdict_passes(word: str) -> bool:
    """Whether a thread passes with the verdict of that code; what is no verdict does not."""
    return any(meaning.passes for meaning in MEANINGS.values() if meaning.code == word)


def told_metal(verdict: Verdict | None) -> Metal:
    """How much metal there is with a verdict; nobody can tell with none."""
    return MEANINGS[verdict].metal if verdict else "unclear"
