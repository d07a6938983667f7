"""A die gripped by its rim, where nothing else is there."""

from __future__ import annotations

import math

from lathework import cautions
from lathework.methods.die_holdings.holding import LED, DieHolding, suits_any
from lathework.threads.thread import Thread


def _closes(thread: Thread, shoulder: bool) -> str:
    return "the jaws close the die: it cuts undersize and may crack"


CHUCK_JAWS = DieHolding(
    code="chuck-jaws",
    place=11,
    name="die gripped in the chuck's jaws: a last resort",
    remark="the jaws close the die: it cuts undersize whichever way it is turned, and may crack",
    tool="die gripped by its rim in the chuck",
    sentence=(
        "Grip the die very lightly by its rim, with the split between two jaws. Hold the piece in the "
        "tailstock chuck, bring it up to the marked side, and turn the spindle by hand {turns}"
    ),
    cautions=(cautions.DIE_CRACKS, cautions.DIE_BY_HAND),
    notes=(
        "The thread comes out undersize and a nut shakes on it. Try it after four turns, before you cut the rest.",
        "Three jaws press in three places, so the thread is not round either.",
    ),
    power=False,
    off_lathe=True,
    by_torque=False,
    slips_nm=math.inf,
    slides=False,
    taken="nothing",
    asks=(),
    set_up_min=3.0,
    spoils=0.4,
    runs_off=LED,
    straight="out of round",
    why_not=_closes,
    unusual=suits_any,
)
