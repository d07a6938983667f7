"""A die in a hand stock: in the vise, against the tailstock, its open jaws, or with a bush ahead of it."""

from __future__ import annotations

import math

from lathework import cautions
from lathework.methods.die_holdings.holding import (
    ARM_RESTS,
    DRAWS_ON,
    GUIDED,
    LED,
    DieHolding,
    RunsOff,
    suits_any,
)
from lathework.threads.thread import Thread

SMALL_MM = 12.0
"""Largest thread for which a stock is squared by open chuck jaws: they are no wider (practice)."""
BY_EYE = RunsOff(1.5, 2, "started by eye, a thread this long wobbles along its length")


def _wide(thread: Thread, shoulder: bool) -> str:
    if thread.major_mm <= SMALL_MM:
        return ""
    return f"open jaws square a stock up to about {SMALL_MM:.0f} mm of thread; above that the barrel face is surer"


def _meets_shoulder(thread: Thread, shoulder: bool) -> str:
    return "the bush runs ahead of the die and reaches the shoulder first" if shoulder else ""


IN_VISE = DieHolding(
    code="stock-in-vise",
    place=1,
    name="die stock in the vice",
    remark="no lathe needed; square only by eye, so a long thread wobbles along its length (a drunken thread)",
    tool="die in a hand stock",
    sentence="Hold the piece upright in the vice between soft jaws. Run the die on by hand, its marked side first, "
    "{turns}",
    cautions=(),
    notes=(
        "After the first turn look at it from two sides, and press on the high side.",
        "Press evenly with both hands until the die pulls itself on.",
    ),
    power=False,
    off_lathe=True,
    by_torque=False,
    slips_nm=math.inf,
    slides=False,
    taken="stock",
    asks=(),
    set_up_min=1.0,
    spoils=0.06,
    runs_off=BY_EYE,
    straight="square by eye: a degree or two out",
    why_not=suits_any,
    unusual=suits_any,
)
BY_TAILSTOCK = DieHolding(
    code="stock-by-tailstock",
    place=2,
    name="die stock against the tailstock",
    remark="square, no holder needed; the stock's arm must rest on the slide",
    tool="die in a hand stock, squared by the tailstock barrel",
    sentence="Square the die stock against the tailstock barrel, marked side of the die first. Turn the spindle by "
    "hand {turns}",
    cautions=(cautions.DIE_BY_HAND,),
    notes=(
        ARM_RESTS,
        "Never grip a bare die in chuck jaws: they close it, and the thread comes out small.",
        DRAWS_ON,
    ),
    power=False,
    off_lathe=False,
    by_torque=False,
    slips_nm=math.inf,
    slides=False,
    taken="stock",
    asks=(),
    set_up_min=2.0,
    spoils=0.02,
    runs_off=LED,
    straight="square at the start, then guided by its own thread",
    why_not=suits_any,
    unusual=suits_any,
)
BY_JAWS = DieHolding(
    code="stock-by-jaws",
    place=3,
    name="die stock against the tailstock chuck's jaws",
    remark="squared by the face of open jaws where the barrel is too narrow for the stock; then unguided",
    tool="die in a hand stock, squared by the face of the tailstock chuck's jaws",
    sentence=(
        "Open the tailstock chuck's jaws wide enough to clear the thread, and bring their ends flat against "
        "the stock, marked side of the die first. Turn the spindle by hand {turns}"
    ),
    cautions=(cautions.DIE_BY_HAND,),
    notes=(
        "After three turns the thread guides the die: draw the tailstock back and go on without it.",
        ARM_RESTS,
        DRAWS_ON,
    ),
    power=False,
    off_lathe=False,
    by_torque=False,
    slips_nm=math.inf,
    slides=False,
    taken="stock",
    asks=(),
    set_up_min=3.0,
    spoils=0.02,
    runs_off=LED,
    straight="square at the start, then guided by its own thread",
    why_not=suits_any,
    unusual=_wide,
)
GUIDE_BUSH = DieHolding(
    code="guide-bush",
    place=4,
    name="die stock with a guide bush, spindle by hand",
    remark="the bush on the blank keeps a long thread straight; each blank diameter needs its own bush",
    tool="die in a hand stock with a guide bush",
    sentence=(
        "Slide the bush over the blank with a drop of oil, and seat the stock on it, marked side of the die "
        "first. Turn the spindle by hand {turns}"
    ),
    cautions=(cautions.DIE_BY_HAND,),
    notes=(
        "The bush runs on the blank ahead of the die. Bore it a few hundredths of a millimetre larger than "
        "the blank and 1.5 diameters long.",
        "Clear the chips between bush and die each time you turn back.",
        ARM_RESTS,
    ),
    power=False,
    off_lathe=False,
    by_torque=False,
    slips_nm=math.inf,
    slides=False,
    taken="stock",
    asks=(),
    set_up_min=5.0,
    spoils=0.015,
    runs_off=GUIDED,
    straight="straight along its whole length",
    why_not=_meets_shoulder,
    unusual=suits_any,
)
