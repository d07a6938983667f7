"""What a way of holding a die says of itself: its words, what it takes, what it costs, where it does not suit."""

from __future__ import annotations

import math
from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal

from lathework.cautions import Caution
from lathework.shop.kinds.die_holders import DieHolder
from lathework.threads.thread import Thread

Taken = Literal["stock", "holder", "keyed holder", "releasing holder", "nothing"]
"""What of the shop takes the die."""
DRAWS_ON = "Press lightly with the tailstock until the die pulls itself on."
ARM_RESTS = "Rest the stock's arm on the top slide, with a slip of wood under it."
DRIFTS = 4.0
"""Length over diameter from which a die's own lead is felt (practice)."""


@dataclass(frozen=True, slots=True)
class RunsOff:
    """From how many diameters of length on a thread runs off its axis, with which power of the length more pieces are
    spoilt, and what is then said of it. Source: practice."""

    diameters: float
    power: int
    words: str = ""


LED, GUIDED = RunsOff(DRIFTS, 1), RunsOff(math.inf, 1)
"""A die that leads itself once it is square; one that is guided all along."""


@dataclass(frozen=True, slots=True)
class DieHolding:
    """A way to hold the die; nothing of it has a default, so that one that lacks a part does not load.

    `code` and `place` among the others; `name`, and what it costs (`remark`); `tool` follows the die's name;
    `sentence` may name the figures turns, speed and stop, and by hand lacks its end, when to turn back. `power` says
    that the spindle drives, `off_lathe` that the work stands in the vise, `slides` that the holder follows the die on
    its bar. What is put in the holder goes `by_torque`, or it slips at `slips_nm` (N m). `taken` is what of the shop
    takes the die, and `asks` what must be said of that holder, field by field; minutes to set up, share of pieces that
    it spoils; `straight` is what becomes of the axis, `runs_off` how; `why_not` says why it does not suit a thread,
    against a shoulder or not, "" where it does; `unusual` why a rule of thumb speaks against it there, which one may
    know better.
    """

    code: str
    place: int
    name: str
    remark: str
    tool: str
    sentence: str
    cautions: tuple[Caution, ...]
    notes: tuple[str, ...]
    power: bool
    off_lathe: bool
    by_torque: bool
    slips_nm: float
    slides: bool
    taken: Taken
    asks: tuple[tuple[str, str], ...]
    set_up_min: float
    spoils: float
    runs_off: RunsOff
    straight: str
    why_not: Callable[[Thread, bool], str]
    unusual: Callable[[Thread, bool], str]

    def served_by(self, holder: DieHolder) -> bool:
        """Whether all that is asked of its holder is said of this one."""
        return all(getattr(holder, field) == said for field, said in self.asks)


def suits_any(thread: Thread, shoulder: bool) -> str:
    """Of a way that suits every thread a die cuts."""
    return ""
