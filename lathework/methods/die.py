"""What holds the die while it cuts: by hand in the vise, guided by the tailstock, or under power."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal, get_args

from lathework import cautions
from lathework.cautions import Caution
from lathework.cutting.torque import SLIPS_IN_HOLDER

Holder = Literal["stock-in-vise", "stock-by-tailstock", "sliding-by-hand", "floating-power", "keyed-power"]
HOLDERS: tuple[Holder, ...] = get_args(Holder)


@dataclass(frozen=True, slots=True)
class DieHolding:
    """A way to hold the die: its name, what it costs, the step's sentence, and what to mind.

    `sentence` may name the figures turns, speed and stop, and by hand lacks its end, when to turn back; `tool`
    follows the die's name. What is put in the holder goes `by_torque`, or it slips at `slips_nm` (N m).
    """

    code: Holder
    name: str
    remark: str
    tool: str
    sentence: str
    cautions: tuple[Caution, ...]
    notes: tuple[str, ...]
    power: bool = False
    off_lathe: bool = False
    by_torque: bool = False
    slips_nm: float = math.inf


_DRAWS_ON = "Keep light pressure with the tailstock until it draws itself on."
DIE_HOLDINGS: dict[Holder, DieHolding] = {
    "stock-in-vise": DieHolding(
        "stock-in-vise",
        "die stock in the vise",
        "no lathe needed; square only by eye: expect a drunken thread on long lengths",
        "die in a hand stock",
        "Stand the piece upright in the vise between soft jaws. Run the die on by hand, marked side first, {turns}",
        (),
        (
            "Look at it from two sides after the first turn, and lean on the high side.",
            "Both hands, even pressure, until it draws itself on.",
        ),
        off_lathe=True,
    ),
    "stock-by-tailstock": DieHolding(
        "stock-by-tailstock",
        "die stock against the tailstock",
        "square, no holder needed; the stock's arm must be stopped on the slide",
        "die in a hand stock, squared by the tailstock barrel",
        "Square the die stock against the tailstock barrel. Turn the spindle by hand, marked side first, {turns}",
        (cautions.DIE_BY_HAND,),
        (
            "Rest the stock's arm on the top slide, with a slip of wood under it.",
            "Never the bare die in chuck jaws: they close it, and it cuts small whichever way it is turned.",
            _DRAWS_ON,
        ),
    ),
    "sliding-by-hand": DieHolding(
        "sliding-by-hand",
        "sliding holder, spindle by hand",
        "square and felt at every turn; slow",
        "die in the sliding tailstock holder",
        "Run the die on by hand, marked side first, {turns}",
        (cautions.DIE_BY_HAND,),
        (_DRAWS_ON,),
        by_torque=True,
    ),
    "floating-power": DieHolding(
        "floating-power",
        "floating holder, slow power",
        "quick; the holder must slip before the shoulder",
        "die in the floating holder",
        "Run the die on at {speed} or slower, marked side first. Let the holder slip after {turns}; "
        "switch off at turn {stop}.",
        (cautions.DIE_POWER,),
        (_DRAWS_ON,),
        power=True,
        slips_nm=SLIPS_IN_HOLDER,
    ),
    "keyed-power": DieHolding(
        "keyed-power",
        "keyed holder, slow power",
        "holds any torque, so it does not forgive: a stop must end the cut",
        "die in the keyed holder",
        "Run the die on at {speed} or slower, marked side first, {turns}. Switch off at turn {stop}: "
        "the key does not slip.",
        (cautions.DIE_KEYED,),
        (_DRAWS_ON, "Chalk the spot on the chuck rim and count turns aloud, or set the carriage as a stop."),
        power=True,
    ),
}
