"""Acts that cut a thread, outside or in a hole."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Literal

from lathework.lathe.acts import Act
from lathework.lathe.breach import Breach
from lathework.lathe.cut import Cut
from lathework.lathe.metal import HAIR_MM
from lathework.lathe.standing import Lathe
from lathework.value import value

TAP_REACH_MM, TAP_REACH_DIAMETERS, REDUCED_SHANK_MM = 10.0, 3.0, 10.5
"""How deep a hand tap goes, 10 mm and three diameters, up to the size from which its shank is thinner than its hole
(memory: thread and neck of hand taps by ISO 529)."""
HOLDER_MM = 50.0
"""Length of thread that a usual sliding die holder takes in (practice)."""
ROUGHLY = 1.2
"""By how much a torque passes what holds the work before it is said: both are rough rules (practice)."""
Driver = Literal["spindle by hand", "spindle", "vise"]
"""What turns while a thread is run on: the spindle by hand, the motor, or a wrench with the work in the vise."""


@value
class Thread(Act):
    """A thread run on outside, or in a hole, that turns against what holds the work with so much torque, in newton
    metres; 0 where a tool cuts it on the leadscrew. `band` is what is drawn of it, None in a hole. The spindle is run
    backward to come off it, or to bring the carriage back, where it `reverses`.
    """

    band: Cut | None
    torque_nm: float
    driver: Driver
    reverses: bool = False

    @property
    def cut(self) -> Cut | None:
        """The band of its turns."""
        return self.band

    @property
    def ends_backward(self) -> bool:
        """Whether the spindle was run backward last."""
        return self.reverses

    def needs(self, lathe: Lathe) -> Iterator[Breach]:
        """The work does not turn in what holds it."""
        holds = lathe.holds_nm if self.driver != "vise" else float("inf")
        if self.torque_nm > ROUGHLY * holds:
            yield Breach("slips", self.made, {"torque": self.torque_nm, "holds": holds})

    def leaves(self, lathe: Lathe) -> Lathe:
        """The section with its thread."""
        return lathe.with_metal(lathe.metal.with_thread(self.made))


@value
class RunOn(Thread):
    """A die or a die head run on over `length_mm` (millimetres) of thread; `sliding` in a holder on the tailstock."""

    length_mm: float = 0.0
    sliding: bool = False

    def needs(self, lathe: Lathe) -> Iterator[Breach]:
        """The holder takes in the thread, and the work does not turn in the jaws."""
        yield from Thread.needs(self, lathe)
        if self.sliding and self.length_mm > HOLDER_MM + HAIR_MM:
            yield Breach("holder-short", self.made, {"thread": self.length_mm, "takes": HOLDER_MM})


@value
class Screwcut(Thread):
    """A thread cut by a tool on the leadscrew to its size."""


@value
class RoughOut(Thread):
    """A thread cut by a tool on the leadscrew in part: the die or the tap that comes after makes it."""

    def leaves(self, lathe: Lathe) -> Lathe:
        """No thread yet."""
        return lathe


@value
class Tap(Thread):
    """A tap turned in, so deep that `full_mm` of full thread is made and `lead_mm` more; its diameter is `across_mm`
    (millimetres)."""

    full_mm: float = 0.0
    lead_mm: float = 0.0
    across_mm: float = 0.0

    def needs(self, lathe: Lathe) -> Iterator[Breach]:
        """The tap gets there, and the work does not turn in the jaws."""
        yield from Thread.needs(self, lathe)
        reach = TAP_REACH_MM + TAP_REACH_DIAMETERS * self.across_mm
        deep = self.full_mm + self.lead_mm
        if self.across_mm < REDUCED_SHANK_MM and deep > reach + HAIR_MM:
            yield Breach("tap-reach", self.made, {"deep": deep, "reach": reach})
