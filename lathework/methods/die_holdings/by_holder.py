"""A die in a tailstock holder, the spindle turned by hand."""

from __future__ import annotations

import math

from lathework import cautions
from lathework.methods.die_holdings.holding import DRAWS_ON, LED, DieHolding, suits_any

SLIDING_BY_HAND = DieHolding(
    code="sliding-by-hand",
    place=5,
    name="sliding holder, spindle by hand",
    remark="square, and you feel every turn; slow",
    tool="die in the sliding tailstock holder",
    sentence="Run the die on by hand, its marked side first, {turns}",
    cautions=(cautions.DIE_BY_HAND,),
    notes=(DRAWS_ON,),
    power=False,
    off_lathe=False,
    by_torque=True,
    slips_nm=math.inf,
    slides=True,
    taken="holder",
    asks=(),
    set_up_min=5.0,
    spoils=0.01,
    runs_off=LED,
    straight="square, guided by the tailstock",
    why_not=suits_any,
    unusual=suits_any,
)
FOLLOWED_QUILL = DieHolding(
    code="followed-quill",
    place=6,
    name="holder locked in the barrel, followed by the handwheel",
    remark="no sliding holder needed; your hand on the handwheel must keep pace with the thread",
    tool="die in the holder, locked in the tailstock barrel",
    sentence=(
        "Lock the tailstock. Marked side of the die first: turn the spindle by hand {turns} and follow with "
        "the tailstock handwheel"
    ),
    cautions=(cautions.DIE_BY_HAND,),
    notes=(
        "Once the die has caught, let the thread pull. A handwheel that lags strips the thread; one that "
        "pushes tears it wide.",
        "Or oil the bed, leave the tailstock unlocked and let the die pull it along.",
    ),
    power=False,
    off_lathe=False,
    by_torque=True,
    slips_nm=math.inf,
    slides=False,
    taken="holder",
    asks=(),
    set_up_min=4.0,
    spoils=0.03,
    runs_off=LED,
    straight="square, guided by the tailstock",
    why_not=suits_any,
    unusual=suits_any,
)
