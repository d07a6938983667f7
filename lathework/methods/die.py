"""What holds the die while it cuts: by hand in the vise, guided by the tailstock, or under power."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal, get_args

from lathework import cautions
from lathework.cautions import Caution
from lathework.cutting.torque import SLIPS_IN_HAND, SLIPS_IN_HOLDER

Holder = Literal[
    "stock-in-vise",
    "stock-by-tailstock",
    "stock-by-jaws",
    "guide-bush",
    "sliding-by-hand",
    "followed-quill",
    "slipping-hand",
    "floating-power",
    "keyed-power",
    "chuck-jaws",
]
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
    "stock-by-jaws": DieHolding(
        "stock-by-jaws",
        "die stock against the tailstock chuck's jaws",
        "squared by the face of open jaws, where the barrel is too narrow for the stock; then free",
        "die in a hand stock, squared by the face of the tailstock chuck's jaws",
        "Open the tailstock chuck's jaws wide enough to clear the thread, and bring their ends flat against the stock. "
        "Turn the spindle by hand, marked side first, {turns}",
        (cautions.DIE_BY_HAND,),
        (
            "After three turns the thread leads it: draw the tailstock back and go on free.",
            "Rest the stock's arm on the top slide, with a slip of wood under it.",
            _DRAWS_ON,
        ),
    ),
    "guide-bush": DieHolding(
        "guide-bush",
        "die stock with a guide bush, spindle by hand",
        "the bush on the blank keeps a long thread straight; one bush for each blank",
        "die in a hand stock with a guide bush",
        "Slide the bush over the blank with a drop of oil, seat the stock on it, and turn the spindle by hand, marked "
        "side first, {turns}",
        (cautions.DIE_BY_HAND,),
        (
            "The bush runs on the blank ahead of the die: bore it a few hundredths of a millimetre over the blank, a "
            "diameter and a half long.",
            "Clear the chips between bush and die at every turn back.",
            "Rest the stock's arm on the top slide, with a slip of wood under it.",
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
    "followed-quill": DieHolding(
        "followed-quill",
        "holder fast in the barrel, followed by the wheel",
        "no sliding holder needed; the hand on the wheel must keep the thread's own pace",
        "die in the holder, fast in the tailstock barrel",
        "Lock the tailstock. Marked side of the die first: turn the spindle by hand {turns} and follow with "
        "the tailstock handwheel",
        (cautions.DIE_BY_HAND,),
        (
            "Once the die has caught, let the thread pull: a wheel that lags strips it, one that pushes widens it.",
            "Or leave the tailstock free on an oiled bed, and let it be drawn along.",
        ),
        by_torque=True,
    ),
    "slipping-hand": DieHolding(
        "slipping-hand",
        "holder free on its shaft, slipping in the hand, slow power",
        "quick for small threads; the hand is the clutch and must let go at once",
        "die in the holder that turns free on its shaft",
        "Hold the knurled holder in your hand. Run the die on at {speed} or slower, marked side first. "
        "Switch off at turn {stop}; let the holder slip once {turns} are on.",
        (cautions.DIE_HELD,),
        ("What it bears is grip times radius: no bar, no wrench, no glove.", _DRAWS_ON),
        power=True,
        slips_nm=SLIPS_IN_HAND,
    ),
    "floating-power": DieHolding(
        "floating-power",
        "floating holder, slow power",
        "quick; the holder must slip before the shoulder",
        "die in the floating holder",
        "Run the die on at {speed} or slower, marked side first. Switch off at turn {stop}; let the holder "
        "slip once {turns} are on.",
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
        "Run the die on at {speed} or slower, marked side first. Switch off at turn {stop}: the key does not "
        "slip. It needs {turns} in all.",
        (cautions.DIE_KEYED,),
        (
            _DRAWS_ON,
            "Chalk a mark on the chuck rim before you start and count turns aloud, or set the carriage as a stop.",
        ),
        power=True,
    ),
    "chuck-jaws": DieHolding(
        "chuck-jaws",
        "die gripped in the chuck's jaws: a last resort",
        "the jaws close the die: it cuts small, whichever way it is turned, and may crack",
        "die gripped by its rim in the chuck",
        "Grip the die very lightly by its rim, with the split between two jaws. Hold the piece in the "
        "tailstock chuck, bring it up to the marked side, and turn the spindle by hand {turns}",
        (cautions.DIE_CRACKS, cautions.DIE_BY_HAND),
        (
            "It comes out small: a nut shakes on it. Try it after four turns, before the rest is spoilt.",
            "Three jaws press on three places: the thread is not round either.",
        ),
        off_lathe=True,
    ),
}
