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
BY_EYE = RunsOff(1.5, 2, "started by eye, a thread this long comes out drunken")


def _too_wide(thread: Thread, shoulder: bool) -> str:
    if thread.major_mm <= SMALL_MM:
        return ""
    return f"open jaws square a stock up to {SMALL_MM:.0f} mm of thread: the barrel's face does more"


def _meets_shoulder(thread: Thread, shoulder: bool) -> str:
    return "the bush runs ahead of the die, and meets the shoulder" if shoulder else ""


IN_VISE = DieHolding(
    code="stock-in-vise",
    place=1,
    name="die stock in the vise",
    remark="no lathe needed; square only by eye: expect a drunken thread on long lengths",
    tool="die in a hand stock",
    sentence="Stand the piece upright in the vise between soft jaws. Run the die on by hand, marked side first, "
    "{turns}",
    cautions=(),
    notes=(
        "Look at it from two sides after the first turn, and lean on the high side.",
        "Both hands, even pressure, until it draws itself on.",
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
)
BY_TAILSTOCK = DieHolding(
    code="stock-by-tailstock",
    place=2,
    name="die stock against the tailstock",
    remark="square, no holder needed; the stock's arm must be stopped on the slide",
    tool="die in a hand stock, squared by the tailstock barrel",
    sentence="Square the die stock against the tailstock barrel. Turn the spindle by hand, marked side first, {turns}",
    cautions=(cautions.DIE_BY_HAND,),
    notes=(
        ARM_RESTS,
        "Never the bare die in chuck jaws: they close it, and it cuts small whichever way it is turned.",
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
    straight="square at the start, then it leads itself",
    why_not=suits_any,
)
BY_JAWS = DieHolding(
    code="stock-by-jaws",
    place=3,
    name="die stock against the tailstock chuck's jaws",
    remark="squared by the face of open jaws, where the barrel is too narrow for the stock; then free",
    tool="die in a hand stock, squared by the face of the tailstock chuck's jaws",
    sentence=(
        "Open the tailstock chuck's jaws wide enough to clear the thread, and bring their ends flat against the stock. "
        "Turn the spindle by hand, marked side first, {turns}"
    ),
    cautions=(cautions.DIE_BY_HAND,),
    notes=(
        "After three turns the thread leads it: draw the tailstock back and go on free.",
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
    straight="square at the start, then it leads itself",
    why_not=_too_wide,
)
GUIDE_BUSH = DieHolding(
    code="guide-bush",
    place=4,
    name="die stock with a guide bush, spindle by hand",
    remark="the bush on the blank keeps a long thread straight; one bush for each blank",
    tool="die in a hand stock with a guide bush",
    sentence=(
        "Slide the bush over the blank with a drop of oil, seat the stock on it, and turn the spindle by hand, marked "
        "side first, {turns}"
    ),
    cautions=(cautions.DIE_BY_HAND,),
    notes=(
        "The bush runs on the blank ahead of the die: bore it a few hundredths of a millimetre over the blank, a "
        "diameter and a half long.",
        "Clear the chips between bush and die at every turn back.",
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
)
