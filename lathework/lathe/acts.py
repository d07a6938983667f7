"""Acts: what a step does to the metal and the machine, what must hold before it, and what it leaves."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Literal

from lathework.lathe.breach import Breach
from lathework.lathe.cut import Cut
from lathework.lathe.standing import Lathe
from lathework.value import value

Burr = Literal["flats", "keyway", "crossing", "threads", "parted"]
"""Where an act leaves a burr that no later cut takes: the edges of flats and of a keyway, inside where a hole across
comes out in another, in the threads that it cut, in the mouth that the blade opened."""


@value
class Act:
    """What all acts have: the id of the section, hole or end that they make, "" for none."""

    made: str

    @property
    def cut(self) -> Cut | None:
        """The band it takes off the outside, or out of a hole as it is drawn; None where it takes none."""
        return None

    @property
    def ends_backward(self) -> bool:
        """Whether the spindle was run backward last when it is done."""
        return False

    @property
    def hates_backward(self) -> bool:
        """Whether its tool breaks, or spoils the work, where the spindle runs backward."""
        return False

    @property
    def burrs(self) -> tuple[Burr, ...]:
        """Where it leaves burrs for a hand to take off."""
        return ()

    def needs(self, lathe: Lathe) -> Iterator[Breach]:
        """What of its conditions does not hold."""
        yield from ()

    def leaves(self, lathe: Lathe) -> Lathe:
        """The lathe when it is done."""
        return lathe


@value
class Knurl(Act):
    """Wheels pressed into a section."""


@value
class Mill(Act):
    """Flats, a keyway or a hole across, off the lathe; `band` is what is drawn of it, `raised` the burrs it leaves."""

    band: Cut | None = None
    raised: tuple[Burr, ...] = ()

    @property
    def burrs(self) -> tuple[Burr, ...]:
        """The burrs of a cutter that comes out at an edge."""
        return self.raised

    @property
    def cut(self) -> Cut | None:
        """What is drawn of it."""
        return self.band


@value
class Saw(Act):
    """Sawn, off the lathe."""


@value
class Sink(Act):
    """The mouth of a hole spotted or countersunk."""


@value
class Undercut(Act):
    """The bottom of a hole widened, or a recess cut in it."""


@value
class SetUp(Act):
    """Wheels, slide and tool set for a thread."""


@value
class Assemble(Act):
    """Put together with its mate."""


@value
class Deburr(Act):
    """Burrs taken off by hand."""


@value
class Try(Act):
    """Tried with its mate or a gauge."""


def cut_of(acts: tuple[Act, ...]) -> Cut | None:
    """The band that a step of these `acts` is drawn by: that of the first that takes one."""
    return next((cut for act in acts if (cut := act.cut) is not None), None)
