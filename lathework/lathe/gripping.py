"""Acts that bring the work into the chuck, and what holds its free end up."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from lathework.lathe.acts import Act
from lathework.lathe.breach import Breach
from lathework.lathe.metal import HAIR_MM
from lathework.lathe.standing import CHUCK_DEEP_MM, Grip, Lathe
from lathework.value import value

LEAST_JAWS_MM = 3.0
"""The thinnest work that the jaws of a usual chuck close on, in millimetres (practice)."""


@value
class Hold(Act):
    """The work is brought into the chuck; `round_mm` is the circle round it, `on_bar` that it is still part of its bar;
    `steadied` that the chuck has its far end, and a fixed steady stands where the jaws would."""

    grip: Grip
    round_mm: float
    on_bar: bool
    steadied: bool = False

    def needs(self, lathe: Lathe) -> Iterator[Breach]:
        """A bar goes through the spindle, as does what is long behind the jaws; jaws close on what they hold."""
        grip = self.grip
        if not grip.clamped and grip.across_mm < LEAST_JAWS_MM - HAIR_MM:
            yield Breach("jaws-small", self.made, {"across": grip.across_mm, "least": LEAST_JAWS_MM})
        most = lathe.machine.spindle_mm
        if self.on_bar and most is not None and self.round_mm > most + HAIR_MM:
            yield Breach("bar-over-bore", "", {"bar": self.round_mm, "bore": most})
        if not (self.on_bar or self.steadied) and most is not None:
            yield from self._behind(lathe, most)

    def _behind(self, lathe: Lathe, bore_mm: float) -> Iterator[Breach]:
        """What stands behind the jaws' face, past the depth of the chuck, passes a spindle of that bore."""
        metal, faces, grip = lathe.metal, self.grip.faces, self.grip
        behind = metal.overall_mm - grip.stick_out_mm
        if behind <= CHUCK_DEEP_MM + HAIR_MM:
            return
        across = metal.widest_mm(*metal.span(faces, grip.stick_out_mm + CHUCK_DEEP_MM, metal.overall_mm))
        if across > bore_mm + HAIR_MM:
            yield Breach("tail-over-bore", faces, {"behind": behind, "across": across, "bore": bore_mm})

    def leaves(self, lathe: Lathe) -> Lathe:
        """The work held so, nothing else holding it up."""
        return replace(lathe, grip=self.grip, held_up=False)


@value
class Centre(Act):
    """A centre hole `across_mm` (millimetres) in the end, or the mouth of a bore where that is 0; `brought_up` where
    the centre goes in."""

    across_mm: float
    brought_up: bool

    def leaves(self, lathe: Lathe) -> Lathe:
        """The end with its centre hole, held up where the centre is in."""
        made = ((lathe.faces, self.across_mm),) if self.across_mm else ()
        return replace(lathe, centres=(*lathe.centres, *made), held_up=lathe.held_up or self.brought_up)


@value
class HoldUp(Act):
    """The centre or a steady takes the free end."""

    def leaves(self, lathe: Lathe) -> Lathe:
        """The free end held up."""
        return replace(lathe, held_up=True)
