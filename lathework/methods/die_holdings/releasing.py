"""A die in a releasing holder: it lets go by itself where its stop draws it off its drive."""

from __future__ import annotations

import math

from lathework.cautions import Caution
from lathework.methods.die_holdings.holding import DRAWS_ON, LED, DieHolding, suits_any

RELEASING = DieHolding(
    code="releasing-power",
    place=10,
    name="releasing holder, slow power",
    remark="takes any torque and lets go at its stop; its drive must come apart freely, and it wears",
    tool="die in the releasing holder",
    sentence="Set the tailstock's stop so that the holder comes off its drive at the end of the thread, {turns} on. "
    "Run the die on at {speed} or slower, marked side first. Switch off at turn {stop}, or as soon as the "
    "holder lets go.",
    cautions=(
        Caution(
            "die-releases",
            "Try the release by hand before the spindle turns. Keep hands off the holder: once released it turns with "
            "the work.",
            "A drive that does not come apart runs the die into the shoulder.",
        ),
    ),
    notes=(
        DRAWS_ON,
        "Oil the drive. Stone any burrs off the pins: they keep it from coming apart.",
        "Slide the holder back onto its drive to back the die off.",
    ),
    power=True,
    off_lathe=False,
    by_torque=False,
    slips_nm=math.inf,
    slides=True,
    taken="releasing holder",
    asks=(("releases", "yes"),),
    set_up_min=9.0,
    spoils=0.025,
    runs_off=LED,
    straight="square, guided by the tailstock",
    why_not=suits_any,
    unusual=suits_any,
)
