"""Acts that take a band of metal off the outside."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.lathe.acts import Act, Burr
from lathework.lathe.breach import Breach
from lathework.lathe.cut import Cut
from lathework.lathe.metal import HAIR_MM
from lathework.lathe.standing import LEAST_LEFT_MM, WALL_MM, Lathe
from lathework.value import value

LEVER = 5.0
"""How many times the length in the jaws, or half the diameter there, work may stand out that nothing else holds up
(practice)."""
CENTRE_SHARE = 0.8
"""Most that a centre hole takes of the end it is in (practice)."""


@value
class Taking(Act):
    """An act that takes a band off the outside, told behind the face that is worked."""

    band: Cut

    @property
    def cut(self) -> Cut | None:
        """The band it takes off."""
        return self.band

    @property
    def hates_backward(self) -> bool:
        """Its tool cuts one way only."""
        return True

    def needs(self, lathe: Lathe) -> Iterator[Breach]:
        """Jaws have enough of what stands out of them; a hole and a centre hole have metal round them."""
        grip = lathe.grip
        lever = grip is not None and not lathe.held_up and not grip.clamped
        if lever and grip is not None and grip.stick_out_mm > LEVER * max(grip.length_mm, grip.across_mm / 2) + HAIR_MM:
            sizes = {"stick_out": grip.stick_out_mm, "gripped": grip.length_mm}
            yield Breach("grip-lever", grip.faces, sizes)
        if lathe.metal.holes:
            near, far = lathe.metal.span(lathe.faces, self.band.right_mm, self.band.left_mm)
            hole = lathe.metal.hollow_mm(near, far)
            if hole and self.band.inner_mm < hole + LEAST_LEFT_MM:
                yield Breach("no-wall", self.made, {"hole": hole, "left": self.band.inner_mm})
        if lathe.centres:
            yield from _round_centre(lathe, self.leaves(lathe))

    def leaves(self, lathe: Lathe) -> Lathe:
        """The metal without that band."""
        return lathe.with_metal(lathe.metal.less(self.band, lathe.faces))


def _round_centre(before: Lathe, after: Lathe) -> Iterator[Breach]:
    """That a centre hole is not wider than what is left of its end."""
    for end, across in after.centres:
        near, far = after.metal.span(end, 0.0, 0.1)
        left = after.metal.across_mm(near, far)
        if across > CENTRE_SHARE * left + HAIR_MM and left < before.metal.across_mm(near, far) - HAIR_MM:
            yield Breach("centre-wide", end, {"hole": across, "end": left})


@value
class Face(Taking):
    """The end is faced."""

    def needs(self, lathe: Lathe) -> Iterator[Breach]:
        """Nothing: a short grip bears facing."""
        yield from ()


@value
class Turn(Taking):
    """Turned along, to the limits of a fit where `fitted`."""

    fitted: bool = False

    def leaves(self, lathe: Lathe) -> Lathe:
        """The metal without that band, a stretch of it to its fit."""
        turned = Taking.leaves(self, lathe)
        if not self.fitted:
            return turned
        return turned.with_metal(
            turned.metal.with_fit(*turned.metal.span(lathe.faces, self.band.right_mm, self.band.left_mm))
        )


@value
class Plunge(Taking):
    """A blade or a form tool fed straight in."""


@value
class Slope(Taking):
    """A taper or a chamfer."""


@value
class PartOff(Taking):
    """The blade goes through, or, where it stops short, half way; `opens` where it comes out in a hole whose mouth
    nothing breaks afterwards."""

    opens: bool = False

    @property
    def burrs(self) -> tuple[Burr, ...]:
        """What the blade turns up round a hole as it opens it."""
        return ("parted",) if self.opens else ()

    def needs(self, lathe: Lathe) -> Iterator[Breach]:
        """The blade reaches as deep as it has to."""
        near, far = lathe.metal.span(lathe.faces, self.band.right_mm - 0.1, self.band.right_mm)
        hole = lathe.metal.hollow_mm(near, far)
        inner = max(self.band.inner_mm, hole - 2 * WALL_MM)
        deep = (self.band.outer_mm - inner) / 2
        if deep > lathe.machine.blade_reach_mm + HAIR_MM:
            yield Breach("blade-reach", "", {"deep": deep, "reach": lathe.machine.blade_reach_mm})

    def leaves(self, lathe: Lathe) -> Lathe:
        """The piece as it is: what the blade takes lies behind it."""
        return lathe
