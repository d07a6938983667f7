"""Acts: what a step does to the metal and the machine, what must hold before it, and what it leaves."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.lathe.breach import Breach
from lathework.lathe.cut import Cut
from lathework.lathe.standing import Lathe
from lathework.value import value


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
    """Flats, a keyway or a hole across, off the lathe; `band` is what is drawn of it."""

    band: Cut | None = None

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
class Try(Act):
    """Tried with its mate or a gauge."""


def cut_of(acts: tuple[Act, ...]) -> Cut | None:
    """The band that a step of these `acts` is drawn by: that of the first that takes one."""
    return next((cut for act in acts if (cut := act.cut) is not None), None)
