"""The work as each step of a holding finds it: no thread before the die has run, no hole before it is drilled."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from dataclasses import replace

from lathework.drawing.part.layout import Layout
from lathework.drawing.part.outline import bar_lines, clipped, detail, section_side, side
from lathework.drawing.part.section import half_section
from lathework.drawing.shapes import Line, Path, mirrored
from lathework.lathe.outline import Side, Stretch, after_cut, runs, stretches
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.value import value

_ALIKE = 1e-4
_DRILLED = ("drill", "bore", "ream", "cross-drill", "cross-ream")
_TAPPED = ("tap", "chase", "cross-tap", "socket", "undercut")
_THREADED = ("thread", "screwcut", "finish", "knurl")


@value
class Standing:
    """The work between two steps: its outline before threads, and what was cut, drilled and tapped by id."""

    outline: tuple[Stretch, ...]
    cut: frozenset[str] = frozenset()
    drilled: frozenset[str] = frozenset()
    tapped: frozenset[str] = frozenset()

    def after(self, operation: Operation) -> Standing:
        """The work when a step is done."""
        kind, _, own = operation.key.partition(":")
        if kind in _THREADED:
            return replace(self, cut=self.cut | {own})
        if kind in _DRILLED:
            return replace(self, drilled=self.drilled | {own})
        if kind in _TAPPED:
            return replace(self, tapped=self.tapped | {own})
        if operation.cut is None or kind in ("flats", "pilot"):
            return self
        return replace(self, outline=after_cut(self.outline, operation.cut))


def _ends_mm(plan: Plan, chucking: Chucking) -> float:
    """Where the metal ends behind the face: a sawn blank does, a bar or a part that is kept goes on."""
    if chucking.on_bar or plan.job.part.stock.form == "kept":
        return math.inf
    return chucking.overall_mm + chucking.spare_mm + chucking.chucked_mm


def _reaching(standing: Standing, far_mm: float, bar_mm: float) -> Standing:
    """The same work seen as far as `far_mm`: a bar is drawn out of the chuck as it was bought."""
    last = standing.outline[-1].far
    if last >= far_mm - _ALIKE:
        return standing
    return replace(standing, outline=(*standing.outline, Stretch(last, far_mm, bar_mm, bar_mm)))


def _first(layout: Layout, plan: Plan, chucking: Chucking, seen_mm: float) -> Standing:
    """The work as a holding finds it that begins an end."""
    faced = min(
        (step.cut.right_mm for step in plan.operations if step.cut and step.chucking == chucking.number), default=0.0
    )
    if not chucking.second:
        return Standing((Stretch(min(0.0, faced), seen_mm, chucking.bar_mm, chucking.bar_mm),))
    own = chucking.placed[: chucking.own]
    near = own[-1].far_mm if own else min(0.0, faced)
    bar = (Stretch(min(0.0, faced), near, chucking.bar_mm, chucking.bar_mm),) if own else ()
    rest = stretches([point for point in side(layout, chucking) if point[0] >= near - _ALIKE])
    done = frozenset(p.section.id for p in chucking.placed[chucking.own :])
    bores = frozenset(work.bore.id for work in plan.work.bores if work.bore.end not in (chucking.faces, "across"))
    return Standing((*bar, *rest), cut=done, drilled=bores, tapped=bores)


def standings(layout: Layout, plan: Plan, chucking: Chucking, seen_mm: float) -> list[tuple[Operation, Standing]]:
    """Each step of a holding with the work as it finds it, seen as far as `seen_mm` behind the face."""
    same = [c for c in plan.chuckings if c.faces == chucking.faces and c.number <= chucking.number]
    far = min(seen_mm, _ends_mm(plan, chucking))
    now = _first(layout, plan, same[0], min(far, _ends_mm(plan, same[0])))
    out = []
    for holding in same:
        now = _reaching(now, far, holding.bar_mm)
        for operation in plan.operations:
            if operation.chucking == holding.number:
                if holding is chucking:
                    out.append((operation, now))
                now = now.after(operation)
    return out


def _with(points: Side, placed: Placed, section: Side) -> Side:
    """A side with the finished one of a section put in its place."""
    before = [point for point in points if point[0] <= placed.near_mm + _ALIKE]
    after = [point for point in points if point[0] >= placed.far_mm - _ALIKE]
    return [*before, *section, *after] if before and after else points


def _side(layout: Layout, chucking: Chucking, points: Side, standing: Standing, *, lower: bool) -> Side:
    for placed in chucking.placed:
        if placed.section.id in standing.cut and placed.thread is not None:
            points = _with(points, placed, section_side(layout, chucking, placed, lower=lower))
    return points


def _edges(layout: Layout, points: Side, seen_mm: float) -> tuple[Line, ...]:
    """The edges one sees where a side steps."""
    steps = [
        (z, min(d, other))
        for (z, d), (next_z, other) in zip(points, points[1:], strict=False)
        if abs(z - next_z) < _ALIKE and min(d, other) > _ALIKE and z <= seen_mm
    ]
    return tuple(((layout.x(z), layout.top(d)), (layout.x(z), layout.bottom(d))) for z, d in steps)


def _thin(layout: Layout, plan: Plan, chucking: Chucking, standing: Standing, seen_mm: float) -> Path:
    """The thin lines of what is cut, and the edges of bar that is still as it was bought."""
    made = [p for p in chucking.placed if p.section.id in standing.cut]
    lines = detail(layout, chucking, plan.job.part.stock.form, seen_mm, made).lines
    form = plan.job.part.stock.form
    bought = [
        s for s in standing.outline if abs(s.near_mm - chucking.bar_mm) + abs(s.far_mm - chucking.bar_mm) < _ALIKE
    ]
    edges = [line for s in bought for line in bar_lines(layout, form, s.near, min(s.far, seen_mm), chucking.bar_mm)]
    return Path("thread", (*lines, *edges))


def stood(
    layout: Layout, plan: Plan, chucking: Chucking, standing: Standing, seen_mm: float, *, alone: bool = False
) -> list[Path]:
    """The work between two steps, its upper half cut open where it has holes; `alone` leaves the bar behind it out."""
    outside: list[Path] = []
    opened: list[Path] = []
    for points in runs(standing.outline)[: 1 if alone else None]:
        upper = layout.rim(*clipped(_side(layout, chucking, points, standing, lower=False), seen_mm))
        under = layout.rim(*clipped(_side(layout, chucking, points, standing, lower=True), seen_mm))
        outside.append(Path("part", (upper + tuple(reversed(mirrored(under, layout.axis_y))),), closed=True))
        outside.append(Path("edge", _edges(layout, points, seen_mm)))
        if points[0][0] <= _ALIKE and standing.drilled:
            far = min(seen_mm, points[-1][0])
            opened += half_section(layout, plan, chucking, upper, far, standing.drilled, standing.tapped)
    thin = _thin(layout, plan, chucking, standing, seen_mm)
    return [*outside, *([thin] if thin.lines else []), *opened]


def grouped(states: Sequence[tuple[Operation, Standing]]) -> Iterator[tuple[tuple[Operation, ...], Standing]]:
    """Steps that find the same work, together."""
    held: list[Operation] = []
    for number, (operation, standing) in enumerate(states):
        held.append(operation)
        after = states[number + 1] if number + 1 < len(states) else None
        if after is None or after[1] != standing or off_lathe(after[0]) != off_lathe(operation):
            yield tuple(held), standing
            held = []


def off_lathe(operation: Operation) -> bool:
    """Whether a step is done at the mill, the drill press or the bench."""
    kind = operation.key.partition(":")[0]
    return kind in ("flats", "fit", "keyway") or kind.startswith("cross-")
