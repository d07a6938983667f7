"""The metal: what stands outside, and the holes along its axis, from the part's right-hand end."""

from __future__ import annotations

from typing import Literal

from lathework.lathe.cut import Cut
from lathework.lathe.outline import Stretch, after_cut
from lathework.part.model import Edge
from lathework.value import value

HAIR_MM = 0.01
"""Sizes that differ by less are one, in millimetres."""
State = Literal["drilled", "finished", "fitted"]


@value
class Hole:
    """A hole along the axis, or one step of it: from `near` to `far` behind the right-hand end, as wide as `across_mm`
    at its mouth, all in millimetres. `made` is the id of what asked for it."""

    made: str
    end: Edge
    near: float
    far: float
    across_mm: float
    state: State = "drilled"


@value
class Metal:
    """A piece `overall_mm` long when it is finished: its outside, the ids of sections whose threads stand, its holes,
    and the stretches that were turned to a fit.

    Sizes are millimetres; places are behind the part's right-hand end, so that they stay when the piece is turned
    about.
    """

    overall_mm: float
    outside: tuple[Stretch, ...]
    threaded: frozenset[str] = frozenset()
    holes: tuple[Hole, ...] = ()
    fitted: tuple[tuple[float, float], ...] = ()

    def seen(self, cut: Cut, faces: Edge) -> Cut:
        """A band that was told behind the face at that end, behind the right-hand end."""
        return cut if faces == "right" else cut.turned_about(self.overall_mm)

    def span(self, faces: Edge, near_mm: float, far_mm: float) -> tuple[float, float]:
        """A stretch behind the face at that end, behind the right-hand end."""
        if faces == "right":
            return near_mm, far_mm
        return self.overall_mm - far_mm, self.overall_mm - near_mm

    def less(self, cut: Cut, faces: Edge) -> Metal:
        """The metal when a band was taken off its outside."""
        outside = after_cut(self.outside, self.seen(cut, faces))
        return Metal(self.overall_mm, outside, self.threaded, self.holes, self.fitted)

    def across_mm(self, near: float, far: float) -> float:
        """Least diameter outside from `near` to `far` behind the right-hand end, in millimetres; 0 where there is no
        metal."""
        there = [one for one in self.outside if one.far > near + HAIR_MM and one.near < far - HAIR_MM]
        ends = (min(one.at(max(one.near, near)), one.at(min(one.far, far))) for one in there)
        return min(ends, default=0.0)

    def widest_mm(self, near: float, far: float) -> float:
        """Greatest diameter outside from `near` to `far` behind the right-hand end, in millimetres; 0 where there is no
        metal."""
        there = [one for one in self.outside if one.far > near + HAIR_MM and one.near < far - HAIR_MM]
        ends = (max(one.at(max(one.near, near)), one.at(min(one.far, far))) for one in there)
        return max(ends, default=0.0)

    def hollow_mm(self, near: float, far: float) -> float:
        """Greatest hole from `near` to `far` behind the right-hand end, in millimetres; 0 in solid metal."""
        there = (hole for hole in self.holes if hole.far > near + HAIR_MM and hole.near < far - HAIR_MM)
        return max((one.across_mm for one in there), default=0.0)

    def with_thread(self, made: str) -> Metal:
        """The metal with the thread of a section."""
        return Metal(self.overall_mm, self.outside, self.threaded | {made}, self.holes, self.fitted)

    def opened(self, hole: Hole) -> Metal:
        """The metal with a hole, in place of what the same act had made smaller."""
        kept = [one for one in self.holes if one.made != hole.made or one.across_mm > hole.across_mm + HAIR_MM]
        return Metal(self.overall_mm, self.outside, self.threaded, (*kept, hole), self.fitted)

    def with_fit(self, near: float, far: float) -> Metal:
        """The metal with a stretch turned to a fit from `near` to `far` behind the right-hand end, in millimetres."""
        return Metal(self.overall_mm, self.outside, self.threaded, self.holes, (*self.fitted, (near, far)))
