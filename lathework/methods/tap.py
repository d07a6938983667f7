"""What guides the tap and what turns it: by hand on the tailstock centre, under power and slipping, or in the vise."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal, get_args

from lathework import cautions
from lathework.cautions import Caution
from lathework.cutting.torque import SLIPS_IN_CHUCK, SLIPS_IN_HAND

Tapping = Literal["by-centre", "slipping-hand", "slipping-chuck", "in-vise"]
TAPPINGS: tuple[Tapping, ...] = get_args(Tapping)
SMALL_TAP_MM = 6.0
"""Thread diameter under which taps have a point in place of a centre hole (practice)."""


@dataclass(frozen=True, slots=True)
class TapHolding:
    """A way to tap: its name, what it costs, the step's sentence, and what to mind.

    `sentence`, without its full stop, may name the figures turns, speed and stop. `small` is said of a tap of
    less than SMALL_TAP_MM. The wrench is chosen `by_torque`, or the holder slips at `slips_nm` (N m). It takes
    `set_up_min` minutes to set up, and `spoils` a share of the holes: a broken tap, a crooked start (practice).
    """

    code: Tapping
    name: str
    remark: str
    sentence: str
    cautions: tuple[Caution, ...]
    notes: tuple[str, ...]
    set_up_min: float
    spoils: float
    power: bool = False
    off_lathe: bool = False
    small: str = ""
    by_torque: bool = False
    slips_nm: float = math.inf


TAP_HOLDINGS: dict[Tapping, TapHolding] = {
    "by-centre": TapHolding(
        "by-centre",
        "tap on the tailstock centre, spindle by hand",
        "square, and you feel every turn; slow",
        "Start the tap on the tailstock centre and turn the spindle by hand, {turns}",
        (cautions.TAP,),
        ("Follow lightly with the centre (a sprung one is best): it keeps the tap square and must not push.",),
        set_up_min=1.0,
        spoils=0.015,
        by_torque=True,
        small="No centre hole in a small tap: hold its shank in the drill chuck, tailstock free on the bed.",
    ),
    "slipping-hand": TapHolding(
        "slipping-hand",
        "tap holder gripped by hand, slow power",
        "quick in soft metal; your hand must let go at once",
        "Start the tap against the tailstock and hold the knurled holder in your hand. Run it in at {speed} "
        "or slower. Switch off at turn {stop}; let the holder slip once {turns} are in",
        (cautions.TAP_POWER,),
        ("No bar and no wrench in the holder under power.",),
        set_up_min=3.0,
        spoils=0.03,
        power=True,
        slips_nm=SLIPS_IN_HAND,
    ),
    "slipping-chuck": TapHolding(
        "slipping-chuck",
        "tap in a drill chuck set to slip, slow power",
        "quick; only the slipping chuck protects the tap",
        "Tighten the drill chuck just enough to drive: the tap must slip before it breaks. Tailstock free on "
        "the bed. Run in at {speed} or slower; switch off at turn {stop} of {turns}",
        (cautions.TAP_POWER,),
        ("Test the grip by hand first: the chuck must slip on the tap when you turn the spindle.",),
        set_up_min=3.0,
        spoils=0.05,
        power=True,
        slips_nm=SLIPS_IN_CHUCK,
    ),
    "in-vise": TapHolding(
        "in-vise",
        "by hand in the vice",
        "no lathe needed; square only by eye or by a block",
        "Hold the piece upright in the vice. Start the tap square, {turns} with the wrench",
        (cautions.TAP_BY_HAND,),
        ("After two turns check it with a square from two sides. A block with a clearance hole is a better guide.",),
        set_up_min=0.5,
        spoils=0.05,
        off_lathe=True,
    ),
}
