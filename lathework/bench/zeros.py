"""Which tool is to be touched off before a step, at this piece and at the next."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.bench.put_down import RECHUCKED
from lathework.bench.tally import Tally
from lathework.planning.operation import Operation


@dataclass(frozen=True, slots=True)
class Zeros:
    """What to touch off before a step, at this piece and at the next one; "" where the zero stands."""

    here: str
    next: str


def _stands(tally: Tally, step: str, keeping: str) -> bool:
    """Whether the zero of a step's tool was found and still stands: at the next piece only where tools keep theirs."""
    return step in tally.zeroed and (keeping != "each" or tally.zeroed[step] == tally.piece)


def zero_of(step: Operation, tally: Tally, keeping: str) -> str:
    """What to touch off before a step, "" where its zero stands or nothing is cut by one."""
    if tally.rechucked and step.cut is not None:
        return RECHUCKED
    return "" if _stands(tally, step.key, keeping) else step.zero


def zeros_of(step: Operation, tally: Tally, keeping: str) -> Zeros:
    """The same of any step, and at the piece after this one."""
    stays = keeping != "each" and step.key in tally.zeroed
    return Zeros(zero_of(step, tally, keeping), "" if stays else step.zero)
