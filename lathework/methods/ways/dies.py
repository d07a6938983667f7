"""A die as a way of making a thread: one way for each thing that holds it."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.cutting.groove import TURNED_ROUND_STOP
from lathework.cutting.roughing import HAND_BEARS_NM, bears
from lathework.cutting.torque import what_holds
from lathework.figures import Figure
from lathework.methods.die_held_by import holdings
from lathework.methods.die_holdings import DIE_HOLDINGS
from lathework.methods.die_holdings.by_stock import GUIDE_BUSH
from lathework.methods.die_holdings.holding import DRIFTS, DieHolding
from lathework.methods.under_power import why_not_driven, why_too_short
from lathework.methods.ways.contract import Expected, Wanted, Way
from lathework.methods.ways.minutes import left_over, set_up_minutes, there_and_back
from lathework.methods.ways.roughed import Roughed, roughed
from lathework.shop.fits import guides
from lathework.shop.kinds import name_of
from lathework.shop.kinds.die_holders import Bush, DieHolder, DieStock
from lathework.shop.kinds.dies import Die

MANY_TURNS = 25.0
"""Turns from which a spindle turned by hand is a chore (practice)."""


class DieWay(Way):
    """A die held in one of the ways there are."""

    def __init__(self, holding: DieHolding) -> None:
        """Takes its words from what holds the die."""
        self.holding = holding
        self.code: str = holding.code
        self.name, self.remark, self.cautions = holding.name, holding.remark, holding.cautions
        self.takes = (("cut", "die"), ("method.holder", holding.code))
        self.spoils = holding.spoils

    def _roughed(self, wanted: Wanted) -> Roughed | None:
        """How it is roughed out first, where it is."""
        return roughed(wanted, wanted.torque().value, bears(power=self.holding.power))

    def refused(self, wanted: Wanted) -> Iterator[str]:
        """Jaws always; power where it is not safe; what cannot be squared or guided."""
        thread, machine = wanted.thread, wanted.machine
        if why := self.holding.why_not(thread, wanted.shoulder):
            yield why
        if thread.single_point:
            yield "no die cuts this form in one pass"
        first = self._roughed(wanted)
        if first:
            yield from first.refused()
        if not self.holding.power:
            return
        if thread.taper:
            yield "a taper die bites harder with every turn: your hand must feel it"
            return
        torque, slips = wanted.torque(), self.holding.slips_nm
        driven = why_not_driven(
            thread, mount=machine.mount, speeds=machine.speeds, metal=wanted.metal, torque=torque, slips_nm=slips
        )
        driven = driven or why_too_short(thread, wanted.length_mm, machine.run_down, machine.speeds)
        if driven:
            yield f"it {driven}"

    def unusual(self, wanted: Wanted) -> Iterator[str]:
        """What is seldom done with such a holding."""
        if why := self.holding.unusual(wanted.thread, wanted.shoulder):
            yield why

    def lacking(self, wanted: Wanted) -> Iterator[str]:
        """The die, and what holds it so."""
        if wanted.things is None:
            return
        named = wanted.thread.designation
        dies = [die for die in wanted.owned(Die) if die.thread.designation == named and die.form != "chasers"]
        if not dies:
            yield f"a {named} die"
        taken = self.holding.taken
        if taken == "nothing":
            return
        kind = DieStock if taken == "stock" else DieHolder
        tried = holdings(dies, wanted.things, wanted.length_mm, wanted.torque().value)
        own = [one for one in tried if isinstance(one.thing, kind)]
        own = [one for one in own if not isinstance(one.thing, DieHolder) or self.holding.served_by(one.thing)]
        if dies and not any(one.fit.fits for one in own):
            what = "a die stock for it" if kind is DieStock else f"a {taken} for it"
            near = next((one for one in own), None)
            yield f"{what} ({name_of(near.thing)}: {near.fit.why})" if near else what
        bushes = [bush for bush in wanted.owned(Bush) if guides(bush, wanted.blank_mm).fits]
        if self.holding is GUIDE_BUSH and not bushes:
            yield "a guide bush bored to the blank"
        first = self._roughed(wanted)
        if first:
            yield from first.lacking()

    def merits(self, wanted: Wanted) -> Iterator[str]:
        """What speaks for it."""
        if self.holding is GUIDE_BUSH and wanted.length_mm > DRIFTS * wanted.thread.major_mm:
            yield "keeps a thread this long straight"
        if self.holding.power and wanted.turns > MANY_TURNS:
            yield f"{wanted.turns:.0f} turns: too many by hand"

    def faults(self, wanted: Wanted) -> Iterator[str]:
        """What speaks against it."""
        ratio = wanted.length_mm / wanted.thread.major_mm
        off = self.holding.runs_off
        if off.words and ratio > off.diameters:
            yield off.words
        if ratio > DRIFTS:
            yield "at this length a nut shows the die's own pitch error"
        first = self._roughed(wanted)
        if first:
            yield from first.faults(wanted.torque().value)
        if self.holding.power and wanted.shoulder:
            yield "if it runs into the shoulder the die breaks, or worse"

    def risk(self, wanted: Wanted) -> float:
        """More where a start by eye has far to run off, and where the die's own lead has."""
        ratio, off = wanted.length_mm / wanted.thread.major_mm, self.holding.runs_off
        return min(1.0, self.spoils * max(1.0, ratio / off.diameters) ** off.power)

    def torque(self, wanted: Wanted) -> Figure:
        """That of the die on the solid."""
        return wanted.torque()

    def borne_by(self, wanted: Wanted) -> str:
        """The hand, what slips, or the key."""
        if self.holding.slips_nm < HAND_BEARS_NM:
            return f"the holder, which slips at about {self.holding.slips_nm:g} N m"
        if self.holding.power:
            return "the key of its holder, and the key of the tailstock"
        return what_holds(wanted.torque().value).rstrip(".").lower()

    def set_up(self, wanted: Wanted) -> Figure:
        """Holder and die set; the tool that roughs it out, where one does."""
        first = self._roughed(wanted)
        return set_up_minutes(self.holding.set_up_min + (first.set_up_min if first else 0.0))

    def cycle(self, wanted: Wanted) -> Figure:
        """On and back off, by hand or at the speed of a die; roughing where it is too much in the solid."""
        speed = wanted.speed(wanted.metal.thread_speed) if self.holding.power else None
        first = self._roughed(wanted)
        also = first.given() if first else ()
        return there_and_back(wanted.turns, speed=speed, off_lathe=self.holding.off_lathe, also=also)

    def expected(self, wanted: Wanted) -> Expected:
        """The die's lead, straight as it is guided, a pitch from a shoulder once turned round."""
        near = left_over(
            "from the shoulder", wanted.thread, TURNED_ROUND_STOP, "One pitch with the die flipped, three without."
        )
        return Expected("the die's own lead", self.holding.straight, near)


DIE_WAYS: tuple[DieWay, ...] = tuple(DieWay(holding) for holding in DIE_HOLDINGS.values())
