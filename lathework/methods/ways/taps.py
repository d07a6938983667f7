"""A tap as a way of making a thread in a hole: turned into it, or held as a tool and fed along it."""

from __future__ import annotations

from collections.abc import Iterator

from lathework import cautions
from lathework.cutting.roughing import bears
from lathework.cutting.torque import what_holds
from lathework.figures import Figure
from lathework.methods.chase import SPAN_SHARE
from lathework.methods.tap import TAP_HOLDINGS, TapHolding
from lathework.methods.under_power import why_not_driven, why_too_short
from lathework.methods.ways.contract import Expected, Wanted, Way
from lathework.methods.ways.dies import MANY_TURNS
from lathework.methods.ways.minutes import left_over, set_up_minutes, there_and_back
from lathework.methods.ways.roughed import Roughed, roughed
from lathework.methods.ways.tools import InsideToolWay
from lathework.shop.kinds.taps import Tap
from lathework.threads.thread import Thread

TAPS_BY_HAND = 3.0
"""Taper, second and bottoming: a blind hole is gone through so often (practice)."""
BOTTOMING_LEAD = 1.5
"""Threads of a bottoming tap's lead (practice)."""
ADJUSTED_MIN = 10.0
"""Minutes to bring an adjustable tap to size on its first hole (practice)."""
ALIKE = 0.001
"""Pitches closer than this share are one."""


class TapWay(Way):
    """A tap, held in one of the ways there are."""

    inside = True

    def __init__(self, holding: TapHolding) -> None:
        """Takes its words from what holds the tap."""
        self.holding = holding
        self.code: str = holding.code
        self.name, self.remark, self.cautions = holding.name, holding.remark, holding.cautions
        self.takes = (("cut", "tap"), ("method.tapping", holding.code))
        self.spoils = holding.spoils

    def _roughed(self, wanted: Wanted) -> Roughed | None:
        """How it is roughed out first, where it is: what is held in a holder that slips is never so heavy."""
        return None if self.holding.power else roughed(wanted, wanted.torque("tap").value, bears(power=False))

    def refused(self, wanted: Wanted) -> Iterator[str]:
        """Power where it is not safe; forms no tap has; what no wrench turns."""
        thread, machine = wanted.thread, wanted.machine
        if thread.single_point:
            yield "no tap cuts this form in one pass"
        first = self._roughed(wanted)
        if first:
            yield from first.refused()
        if not self.holding.power:
            return
        if thread.taper:
            yield "a taper tap bites harder with every turn: your hand must feel it"
            return
        if wanted.blind:
            yield "blind: a tap under power runs into the bottom"
        elif wanted.in_bar:
            yield "ends in metal while the part is on the bar: a tap under power has no way out"
        torque = wanted.torque("tap")
        why = why_not_driven(
            thread,
            mount=machine.mount,
            speeds=machine.speeds,
            metal=wanted.metal,
            torque=torque,
            slips_nm=self.holding.slips_nm,
        )
        why = why or why_too_short(thread, wanted.length_mm, machine.run_down)
        if why:
            yield f"it {why}"

    def lacking(self, wanted: Wanted) -> Iterator[str]:
        """The tap, and what roughs the thread out for it."""
        named = wanted.thread.designation
        if wanted.things is not None and not any(tap.thread.designation == named for tap in wanted.owned(Tap)):
            yield f"a {named} tap"
        first = self._roughed(wanted)
        if first:
            yield from first.lacking()

    def merits(self, wanted: Wanted) -> Iterator[str]:
        """What speaks for it."""
        if self.holding.power and wanted.turns > MANY_TURNS:
            yield f"{wanted.turns:.0f} turns: too many by hand"

    def faults(self, wanted: Wanted) -> Iterator[str]:
        """What speaks against it."""
        first = self._roughed(wanted)
        if first:
            yield from first.faults(wanted.torque("tap").value)
        if wanted.blind and not self.holding.power:
            yield "blind: taper, second and bottoming tap, one after the other"

    def torque(self, wanted: Wanted) -> Figure:
        """That of a sharp tap."""
        return wanted.torque("tap")

    def borne_by(self, wanted: Wanted) -> str:
        """The wrench, or what slips."""
        if self.holding.power:
            return f"the holder, which slips at about {self.holding.slips_nm:g} N m"
        return what_holds(wanted.torque("tap").value, "tap").rstrip(".").lower()

    def set_up(self, wanted: Wanted) -> Figure:
        """Tap held; the tool that roughs the thread out, where one does."""
        first = self._roughed(wanted)
        return set_up_minutes(self.holding.set_up_min + (first.set_up_min if first else 0.0))

    def cycle(self, wanted: Wanted) -> Figure:
        """In and back out, once for each tap of the set where the hole is blind."""
        taps = TAPS_BY_HAND if wanted.blind and not self.holding.power else 1.0
        speed = wanted.speed(wanted.metal.thread_speed) if self.holding.power else None
        first = self._roughed(wanted)
        also = first.given() if first else ()
        return there_and_back(taps * wanted.turns, speed=speed, off_lathe=self.holding.off_lathe, also=also)

    def expected(self, wanted: Wanted) -> Expected:
        """The tap's lead; straight as it was started; its lead left at the bottom."""
        bottom = left_over("from the bottom", wanted.thread, BOTTOMING_LEAD if wanted.blind else 0.0)
        straight = (
            "square by eye: a degree or two out" if self.holding.off_lathe else ("square, guided by the tailstock")
        )
        return Expected("the tap's own lead", straight, bottom)


class AdjustableTapWay(TapWay):
    """A tap whose size is set by a scale, turned by hand."""

    def __init__(self) -> None:
        """Held and turned as any tap by hand."""
        super().__init__(TAP_HOLDINGS["by-centre"])
        self.code = "adjustable-tap"
        self.name = "adjustable tap, set by its scale"
        self.remark = "brings a hole into a class that a fixed tap misses; set, tried, and set again"
        self.takes = (("cut", "adjustable-tap"),)
        self.spoils = 0.01

    def lacking(self, wanted: Wanted) -> Iterator[str]:
        """An adjustable tap of the thread."""
        named = wanted.thread.designation
        own = (tap for tap in wanted.owned(Tap) if tap.form == "adjustable" and tap.thread.designation == named)
        if wanted.things is not None and not any(own):
            yield f"an adjustable {named} tap"

    def merits(self, wanted: Wanted) -> Iterator[str]:
        """Its size is set."""
        yield "sets the size of the hole, as a die is set"

    def set_up(self, wanted: Wanted) -> Figure:
        """Set, tried and set again on the first hole."""
        return set_up_minutes(ADJUSTED_MIN)


def same_pitch(tap: Tap, thread: Thread) -> bool:
    """Whether a tap has the pitch, the flanks and the hand of a thread."""
    other = tap.thread
    alike = abs(other.pitch_mm / thread.pitch_mm - 1) < ALIKE
    return alike and other.form.angle_deg == thread.form.angle_deg and other.hand == thread.hand and not other.taper


class TapAsChaserWay(InsideToolWay):
    """A tap of the same pitch, held still as a tool in a larger bore."""

    code = "tap-as-chaser"
    name = "a tap of the same pitch, held as a chaser"
    remark = "a full form without grinding a tool; the tap no larger than two thirds of the bore"
    takes = (("cut", "tap-as-chaser"),)
    cautions = (cautions.CHASE, cautions.GEARS)
    spoils = 0.03

    def lacking(self, wanted: Wanted) -> Iterator[str]:
        """A tap of the pitch, small enough; a leadscrew, wheels."""
        if wanted.things is None:
            return
        taps = [one for one in wanted.owned(Tap) if same_pitch(one, wanted.thread)]
        if not any(tap.thread.major_mm <= SPAN_SHARE * wanted.blank_mm for tap in taps):
            most = SPAN_SHARE * wanted.blank_mm
            yield f"a tap of {wanted.thread.pitch_mm:.4g} mm pitch, {most:.1f} mm at most"
        yield from self._lathe(wanted)

    def merits(self, wanted: Wanted) -> Iterator[str]:
        """A full form, any diameter of that pitch."""
        yield "cuts any diameter of its pitch"


TAP_WAYS: tuple[TapWay, ...] = tuple(TapWay(holding) for holding in TAP_HOLDINGS.values())
