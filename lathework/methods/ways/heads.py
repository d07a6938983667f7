"""A self-opening die head as a way of making a thread."""

from __future__ import annotations

from collections.abc import Iterator

from lathework import cautions
from lathework.cutting.groove import UNFINISHED_THREADS
from lathework.cutting.roughing import HAND_BEARS_NM, KEYED_BEARS_NM
from lathework.figures import Figure, Given
from lathework.methods.head import RESET_MIN, SET_UP_MIN
from lathework.methods.held import holdings
from lathework.methods.ways.contract import Expected, Wanted, Way
from lathework.methods.ways.dies import DRIFTS
from lathework.methods.ways.minutes import HANDLING_MIN, left_over, minutes, set_up_minutes
from lathework.shop.equipment import DieHead
from lathework.shop.kit import name_of
from lathework.shop.things import Die
from lathework.threads.thread import Thread

MANY = 20
"""Pieces from which chasers set once are worth their setting (practice)."""


def why_not_in(head: DieHead, thread: Thread, length_mm: float) -> str:
    """Why a head does not cut a thread of `length_mm` (millimetres); "" where it does."""
    if head.most is not None and thread.major_mm > head.most.mm:
        return f"takes chasers up to {head.most.typed}"
    if head.least is not None and thread.major_mm < head.least.mm:
        return f"takes chasers from {head.least.typed} on"
    if head.swallows is not None and length_mm > head.swallows.mm:
        return f"takes in {head.swallows.typed} of thread at most"
    return ""


class HeadWay(Way):
    """A head whose chasers open at its stop."""

    code = "die-head"
    name = "self-opening die head"
    remark = "opens at its stop: nothing is run back; half an hour to set, then the quickest"
    takes = (("cut", "die-head"),)
    cautions = (cautions.DIE_HEAD,)
    spoils = 0.01

    def refused(self, wanted: Wanted) -> Iterator[str]:
        """Tapers, forms no chaser has, left-hand on a screwed-on chuck, torque past what a tailstock bears."""
        thread = wanted.thread
        if thread.taper:
            yield "its chasers leave steps in a taper"
        if thread.single_point:
            yield "no chasers cut this form"
        if thread.hand == "left" and wanted.machine.mount != "locked":
            yield "left-hand chasers want the spindle in reverse: a screwed-on chuck unscrews"
        torque = wanted.torque().value
        if torque > KEYED_BEARS_NM:
            yield f"takes {torque:.0f} N m in the solid, more than a tailstock bears"

    def lacking(self, wanted: Wanted) -> Iterator[str]:
        """Chasers of the thread, and a head that takes them and so long a thread."""
        if wanted.things is None:
            return
        heads, thread = wanted.owned(DieHead), wanted.thread
        chasers = [
            one for one in wanted.owned(Die) if one.form == "chasers" and one.thread.designation == thread.designation
        ]
        if not heads:
            yield "a die head"
        if not chasers:
            yield f"chasers for {thread.designation}"
        torque = wanted.torque().value
        tried = [(name_of(head), why_not_in(head, thread, wanted.length_mm)) for head in heads]
        if tried and all(why for _, why in tried):
            yield f"a head for it ({tried[0][0]} {tried[0][1]})"
        elif heads and chasers:
            held = [one for one in holdings(chasers, wanted.things, torque_nm=torque) if isinstance(one.thing, DieHead)]
            if not any(one.fit.fits for one in held):
                yield f"a way to hold it in the lathe ({held[0].fit.why})"

    def merits(self, wanted: Wanted) -> Iterator[str]:
        """Speed, and no reversing."""
        if wanted.pieces >= MANY:
            yield f"its setting is shared by {wanted.pieces} pieces"

    def faults(self, wanted: Wanted) -> Iterator[str]:
        """Half an hour to set; unfinished threads at a shoulder."""
        if wanted.pieces < MANY:
            yield f"half an hour to set for {wanted.pieces} piece{'' if wanted.pieces == 1 else 's'}"
        if wanted.torque().value > HAND_BEARS_NM:
            yield f"asks {wanted.torque().value:.0f} N m of the tailstock: a key, or a turret"
        if wanted.shoulder and not wanted.groove_mm:
            yield "leaves its lead unfinished at the shoulder: it cannot be turned round"
        if wanted.length_mm > DRIFTS * wanted.thread.major_mm:
            yield "that long, the chasers' own lead is felt in the mate"

    def torque(self, wanted: Wanted) -> Figure:
        """That of a die."""
        return wanted.torque()

    def borne_by(self, wanted: Wanted) -> str:
        """Its shank."""
        return "its shank in the tailstock, or in a turret"

    def set_up(self, wanted: Wanted) -> Figure:
        """Chasers, size and stop."""
        return set_up_minutes(SET_UP_MIN)

    def cycle(self, wanted: Wanted) -> Figure:
        """On, once; drawn back open, closed."""
        speed = wanted.speed(wanted.metal.head_speed)
        return minutes(
            "each",
            wanted.turns / speed.value + RESET_MIN + HANDLING_MIN / 2,
            "turns ÷ speed + closing it + handling",
            Given("turns", wanted.turns),
            Given("speed", speed.value, "rev/min"),
            Given("closing it", RESET_MIN, "min"),
            Given("handling", HANDLING_MIN / 2, "min"),
        )

    def expected(self, wanted: Wanted) -> Expected:
        """The chasers' lead, true to the head; their lead unfinished."""
        near = left_over("from the shoulder", wanted.thread, UNFINISHED_THREADS)
        return Expected("the chasers' own lead", "true, led by the head's shank", near)
