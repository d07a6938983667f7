"""The act that makes a hole along the axis, or widens one."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.lathe.acts import Act
from lathework.lathe.breach import Breach
from lathework.lathe.cut import Cut
from lathework.lathe.metal import HAIR_MM, Hole, State
from lathework.lathe.standing import LEAST_LEFT_MM, Lathe
from lathework.value import value

DRILL_REACH_MM, DRILL_REACH_DIAMETERS = 8.0, 8.0
"""How deep the flutes of a usual drill go, 8 mm and eight diameters (memory: DIN 338, from 2 to 13 mm)."""
BAR_DIAMETERS = 6.0
"""Depth over diameter past which a boring bar in a hole springs too much (practice)."""


@value
class Bore(Act):
    """A hole drilled, bored or reamed from the end that is worked: `across_mm` wide, `full_mm` deep before its point,
    `deep_mm` to it; `blind` where it ends in the part. `widest_mm` is what it will be when it is threaded, `wall_share`
    the least wall that this should have round it, over that, while it is made. `drawn` is its band in the drawing;
    `by_bar` says that a boring bar makes it."""

    across_mm: float
    full_mm: float
    deep_mm: float
    blind: bool
    state: State = "drilled"
    widest_mm: float = 0.0
    wall_share: float = 0.0
    by_bar: bool = False
    drawn: Cut | None = None

    @property
    def cut(self) -> Cut | None:
        """What is drawn of it."""
        return self.drawn

    @property
    def hates_backward(self) -> bool:
        """Its tool cuts one way only."""
        return True

    def needs(self, lathe: Lathe) -> Iterator[Breach]:
        """It stays in the part, takes no thread away that stands, and leaves a wall while it is made."""
        metal, faces = lathe.metal, lathe.faces
        near, far = metal.span(faces, 0.0, min(self.full_mm, metal.overall_mm))
        if self.blind and self.deep_mm > metal.overall_mm + HAIR_MM:
            there = metal.hollow_mm(*metal.span(faces, metal.overall_mm - HAIR_MM * 5, metal.overall_mm))
            if there < self.across_mm - HAIR_MM:
                yield Breach("comes-out", self.made, {"deep": self.deep_mm, "whole": metal.overall_mm})
        for hole in metal.holes:
            inside = min(far, hole.far) - max(near, hole.near)
            wider = hole.made != self.made and self.across_mm > hole.across_mm + HAIR_MM
            if wider and hole.state != "drilled" and inside > HAIR_MM and hole.end != faces:
                yield Breach("cut-away", hole.made, {"by": self.across_mm, "over": inside})
        yield from self._reach()
        widest = max(self.widest_mm, self.across_mm)
        wall = (metal.across_mm(near, far) - widest) / 2
        left = metal.across_mm(near, far)
        if left < self.across_mm + LEAST_LEFT_MM - HAIR_MM:
            yield Breach("no-wall", self.made, {"hole": self.across_mm, "left": left})
        if wall < self.wall_share * widest - HAIR_MM:
            yield Breach("thin-wall", self.made, {"wall": wall, "hole": widest})

    def _reach(self) -> Iterator[Breach]:
        """A drill's flutes clear the hole; a boring bar is no longer than it stands."""
        if self.deep_mm > self.full_mm + HAIR_MM:
            reach = DRILL_REACH_MM + DRILL_REACH_DIAMETERS * self.across_mm
            if self.deep_mm > reach + HAIR_MM:
                yield Breach("drill-reach", self.made, {"deep": self.deep_mm, "reach": reach})
        elif self.by_bar and self.deep_mm > BAR_DIAMETERS * self.across_mm + HAIR_MM:
            yield Breach("bar-springs", self.made, {"deep": self.deep_mm, "hole": self.across_mm})

    def leaves(self, lathe: Lathe) -> Lathe:
        """The metal with that hole."""
        near, far = lathe.metal.span(lathe.faces, 0.0, min(self.full_mm, lathe.metal.overall_mm))
        hole = Hole(self.made, lathe.faces, near, far, self.across_mm, self.state)
        return lathe.with_metal(lathe.metal.opened(hole))
