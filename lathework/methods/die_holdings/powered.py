"""A die in a tailstock holder, the spindle under slow power."""

from __future__ import annotations

import math

from lathework import cautions
from lathework.cutting.torque import SLIPS_IN_HAND, SLIPS_IN_HOLDER
from lathework.methods.die_holdings.holding import DRAWS_ON, LED, DieHolding, suits_any

SLIPPING_HAND = DieHolding(
    code="slipping-hand",
    place=7,
    name="holder free on its shaft, gripped by hand, slow power",
    remark="quick for small threads; your hand is the clutch and must let go at once",
    tool="die in the holder that turns free on its shaft",
    sentence=(
        "Hold the knurled holder in your hand. Run the die on at {speed} or slower, marked side first. "
        "Switch off at turn {stop}; let the holder slip once {turns} are on."
    ),
    cautions=(cautions.DIE_HELD,),
    notes=("It holds only what your hand can grip: no bar, no wrench, no glove.", DRAWS_ON),
    power=True,
    off_lathe=False,
    by_torque=False,
    slips_nm=SLIPS_IN_HAND,
    slides=False,
    taken="holder",
    asks=(),
    set_up_min=6.0,
    spoils=0.03,
    runs_off=LED,
    straight="square, guided by the tailstock",
    why_not=suits_any,
    unusual=suits_any,
)
FLOATING_POWER = DieHolding(
    code="floating-power",
    place=8,
    name="floating holder, slow power",
    remark="quick; the holder must slip before the shoulder",
    tool="die in the floating holder",
    sentence=(
        "Run the die on at {speed} or slower, marked side first. Switch off at turn {stop}; let the holder "
        "slip once {turns} are on."
    ),
    cautions=(cautions.DIE_POWER,),
    notes=(DRAWS_ON,),
    power=True,
    off_lathe=False,
    by_torque=False,
    slips_nm=SLIPS_IN_HOLDER,
    slides=False,
    taken="holder",
    asks=(),
    set_up_min=8.0,
    spoils=0.03,
    runs_off=LED,
    straight="square, guided by the tailstock",
    why_not=suits_any,
    unusual=suits_any,
)
KEYED_POWER = DieHolding(
    code="keyed-power",
    place=9,
    name="keyed holder, slow power",
    remark="takes any torque and forgives nothing: a stop must end the cut",
    tool="die in the keyed holder",
    sentence=(
        "Run the die on at {speed} or slower, marked side first. Switch off at turn {stop}: the key does not "
        "slip. It needs {turns} in all."
    ),
    cautions=(cautions.DIE_KEYED,),
    notes=(
        DRAWS_ON,
        "Chalk a mark on the chuck rim before you start and count turns aloud, or set the carriage as a stop.",
    ),
    power=True,
    off_lathe=False,
    by_torque=False,
    slips_nm=math.inf,
    slides=False,
    taken="keyed holder",
    asks=(("keyed", "yes"),),
    set_up_min=10.0,
    spoils=0.04,
    runs_off=LED,
    straight="square, guided by the tailstock",
    why_not=suits_any,
    unusual=suits_any,
)
