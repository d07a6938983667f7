"""A thread roughed out on the leadscrew before its die or its tap: what that costs, and whether it is then borne."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from lathework.cutting.roughing import rough_bore, rough_depth, rough_passes, rough_share
from lathework.figures import Given
from lathework.methods.ways.contract import Wanted
from lathework.methods.ways.tools import InsideToolWay, ToolWay
from lathework.units import convert, show_share


@dataclass(frozen=True, slots=True)
class Roughed:
    """A thread cut to a `share` of its depth by a tool: it is set up like any thread on the leadscrew; the die or tap
    is `left` with so many N m of what it `bears`."""

    by: ToolWay
    wanted: Wanted
    share: float
    left_nm: float
    bears_nm: float

    @property
    def set_up_min(self) -> float:
        """Minutes to change gears, set compound and tool."""
        return self.by.set_up(self.wanted).value

    @property
    def passes(self) -> int:
        """How many passes it takes (a count): those of the plan."""
        thread, blank_mm = self.wanted.thread, self.wanted.blank_mm
        blank = convert(blank_mm, "mm", thread.unit)
        if self.wanted.inside:
            deep_mm = -convert(rough_bore(thread, blank, self.share, "radius").value, thread.unit, "mm")
        else:
            deep_mm = convert(rough_depth(thread, blank, self.share, "radius").value, thread.unit, "mm")
        return len(rough_passes(deep_mm, blank_mm, thread.unit))

    @property
    def each_min(self) -> float:
        """Minutes of its passes for a piece."""
        return self.passes * self.by.pass_min(self.wanted)

    def given(self) -> tuple[Given, ...]:
        """The same beside the minutes of what finishes it."""
        return (Given("roughing", self.each_min, "min"),)

    def refused(self) -> Iterator[str]:
        """Where nobody holds what is left."""
        if self.left_nm > self.bears_nm:
            yield (
                f"takes {self.left_nm:.0f} N m even after {show_share(self.share)} of the depth is roughed out; "
                f"at most {self.bears_nm:.0f} N m can be held"
            )

    def lacking(self) -> Iterator[str]:
        """A threading tool, a leadscrew, wheels."""
        yield from self.by.lacking(self.wanted)

    def faults(self, torque_nm: float) -> Iterator[str]:
        """That it is work of its own: a die or a tap would take `torque_nm` (unit N m)."""
        yield f"takes {torque_nm:.0f} N m on a full blank: rough out first with a threading tool"


_OUTSIDE, _INSIDE = ToolWay(), InsideToolWay()


def roughed(wanted: Wanted, torque_nm: float, bears_nm: float) -> Roughed | None:
    """How a thread of `torque_nm` (unit N m) is roughed out for a die or a tap of which `bears_nm` (unit N m) can be
    held; None where it is cut in the solid. A taper is never roughed."""
    share = 0.0 if wanted.thread.taper else rough_share(torque_nm, bears_nm)
    if not share:
        return None
    return Roughed(_INSIDE if wanted.inside else _OUTSIDE, wanted, share, torque_nm * (1 - share**2), bears_nm)
