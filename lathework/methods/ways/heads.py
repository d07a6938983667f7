"""A self-opening die head as a way of making a thread."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from lathework import cautions
from lathework.cutting.groove import UNFINISHED_THREADS
from lathework.cutting.roughing import HAND_BEARS_NM
from lathework.figures import Figure, Given
from lathework.methods.die_held_by import holdings
from lathework.methods.die_holdings.holding import DRIFTS
from lathework.methods.head import RESET_MIN, SET_UP_MIN, refusals, why_beyond, why_too_short
from lathework.methods.ways.contract import Expected, Wanted, Way
from lathework.methods.ways.minutes import HANDLING_MIN, left_over, minutes, set_up_minutes
from lathework.shop.kinds import name_of
from lathework.shop.kinds.die_heads import DieHead
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.kind import Owned
from lathework.threads.thread import Thread

MANY = 20
"""Pieces from which chasers set once are worth their setting (practice)."""


def why_not_in(head: DieHead, thread: Thread, length_mm: float) -> str:
    """Why a head does not cut a thread of `length_mm` (millimetres); "" where it does."""
    return why_beyond(thread, length_mm, least=head.least, most=head.most, hollow=head.swallows)


class HeadWay(Way):
    """A head whose chasers open at its stop."""

    code = "die-head"
    name = "self-opening die head"
    remark = "opens at its stop, so nothing is run back; half an hour to set, then the quickest"
    takes = (("cut", "die-head"),)
    cautions = (cautions.DIE_HEAD,)
    spoils = 0.01

    def refused(self, wanted: Wanted) -> Iterator[str]:
        """Forms no chaser has, threads too short to stop on, and what every head refuses."""
        thread = wanted.thread
        if thread.single_point:
            yield "no chasers cut this form"
        why = why_too_short(thread, wanted.length_mm, None)
        if why:
            yield why
        yield from refusals(thread, wanted.machine.mount, wanted.torque().value)

    def lacking(self, wanted: Wanted) -> Iterator[str]:
        """Chasers of the thread, and a head that takes them and so long a thread."""
        if wanted.things is None:
            return
        heads, named = wanted.owned(DieHead), wanted.thread.designation
        chasers = [die for die in wanted.owned(Die) if die.form == "chasers" and die.thread.designation == named]
        if not heads:
            yield "a die head"
        if not chasers:
            yield f"chasers for {named}"
        tried = [(name_of(head), why_not_in(head, wanted.thread, wanted.length_mm)) for head in heads]
        if tried and all(why for _, why in tried):
            yield f"a head for it ({tried[0][0]} {tried[0][1]})"
        elif heads and chasers:
            yield from self._holder(wanted, chasers, wanted.things)

    def _holder(self, wanted: Wanted, chasers: Sequence[Die], things: Sequence[Owned]) -> Iterator[str]:
        held = holdings(chasers, things, wanted.length_mm, wanted.torque().value)
        fits = [one.fit for one in held if isinstance(one.thing, DieHead)]
        if not any(fit.fits for fit in fits):
            yield f"a way to hold it in the lathe ({fits[0].why})"

    def merits(self, wanted: Wanted) -> Iterator[str]:
        """Speed, and no reversing."""
        if wanted.pieces >= MANY:
            yield f"its setting is shared by {wanted.pieces} pieces"

    def faults(self, wanted: Wanted) -> Iterator[str]:
        """Half an hour to set; unfinished threads at a shoulder."""
        if wanted.pieces < MANY:
            yield f"half an hour to set for {wanted.pieces} piece{'' if wanted.pieces == 1 else 's'}"
        if wanted.torque().value > HAND_BEARS_NM:
            yield f"puts {wanted.torque().value:.0f} N m on the tailstock: it needs a key, or a turret"
        if wanted.shoulder and not wanted.groove_mm:
            yield "leaves the last turns unfinished at the shoulder: it cannot be flipped"
        if wanted.length_mm > DRIFTS * wanted.thread.major_mm:
            yield "at this length a nut shows the chasers' own pitch error"

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
        return Expected("the chasers' own lead", "true, guided by the head's shank", near)
