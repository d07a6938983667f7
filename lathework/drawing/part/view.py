"""The part in the chuck, to scale: chuck on the left, work to the right, each step's metal and tool with it."""

from __future__ import annotations

from dataclasses import replace

from lathework.drawing.part.dimensions import dimensions, rows_needed
from lathework.drawing.part.labels import holes_named
from lathework.drawing.part.layout import Frame, Layout, lay_out
from lathework.drawing.part.outline import bar_lines, bolt_head, clipped, detail, drawn_mm, side
from lathework.drawing.part.section import half_section
from lathework.drawing.part.standing import grouped, off_lathe, standings, stood
from lathework.drawing.part.tailstock import centre, on_centre
from lathework.drawing.part.tools import as_drawn, tool
from lathework.drawing.shapes import Label, Line, Path, Sheet, box, mirrored
from lathework.holes.depth import POINT_SHARE
from lathework.lathe.cut import Cut
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan

_JAW_SHARE = 0.55
_CHUCK_BODY, _NOSE = 96.0, 60.0
"""Widest chuck body drawn, in sheet units; behind it as much of the spindle nose."""


def _jaw(layout: Layout) -> float:
    return layout.frame.chuck * _JAW_SHARE


def _chuck(layout: Layout, chucking: Chucking) -> list[Path]:
    """Chuck body and two jaws gripping the work behind the stick-out; of a fixed steady its jaws alone."""
    jaw_x, jaw = layout.x(chucking.stick_out_mm), _jaw(layout)
    held = chucking.grip.round_mm
    body_right = jaw_x - jaw * 0.75
    height = min(layout.axis_y - 8, layout.frame.height - layout.axis_y - 8, max(held * layout.scale / 2, 30.0) + 62)
    top, bottom = layout.axis_y - height, layout.axis_y + height
    left = max(0.0, body_right - _CHUCK_BODY)
    nose = box(max(0.0, left - _NOSE), layout.axis_y - height * 0.45, left, layout.axis_y + height * 0.45)
    jaw_height = max(8.0, min(40.0, height - held * layout.scale / 2 - 6))
    upper = box(jaw_x - jaw, layout.top(held) - jaw_height, jaw_x, layout.top(held))
    lower = mirrored(upper, layout.axis_y)
    jaws = [Path("jaw", (upper, lower), closed=True), Path("hatch", (upper, lower), closed=True)]
    if chucking.steadied:
        return jaws
    body = box(left, top, body_right, bottom)
    return [
        *([Path("chuck", (nose,), closed=True)] if left > 1 else []),
        Path("chuck", (body,), closed=True),
        Path("hatch", (body,), closed=True),
        *jaws,
    ]


def _shoulders(layout: Layout, line: Line) -> tuple[Line, ...]:
    """The edges one sees at each step of the outline."""
    return tuple(
        ((x, y), (x, 2 * layout.axis_y - y))
        for (x, y), (nx, ny) in zip(line, line[1:], strict=False)
        for x, y in [(x, min(y, ny))]
        if abs(x - nx) < 0.01
    )


def _chucked(layout: Layout, chucking: Chucking) -> list[Path]:
    """What a sawn blank is longer than the piece: it is in the jaws while its first end is worked."""
    far, behind = chucking.overall_mm, chucking.stick_out_mm + _jaw(layout) / layout.scale
    if not chucking.chucked_mm or behind <= far:
        return []
    rest = box(
        layout.x(min(behind, far + chucking.chucked_mm + chucking.spare_mm)),
        layout.top(chucking.bar_mm),
        layout.x(far),
        layout.bottom(chucking.bar_mm),
    )
    return [Path("part", (rest,), closed=True)]


def _bar(layout: Layout, plan: Plan, chucking: Chucking) -> list[Path]:
    """What is left of the bar behind the parting cut, and the bar that was: as a ghost."""
    bar, far = chucking.bar_mm, chucking.overall_mm
    seen = far if chucking.parted else min(far, chucking.stick_out_mm)
    ghost = box(layout.x(seen), layout.top(bar), layout.x(0), layout.bottom(bar))
    if not chucking.parted:
        outline = [Path("ghost", (ghost,), closed=True)] if chucking.begins and not chucking.second else []
        return [*_chucked(layout, chucking), *outline]
    cut = far + chucking.spare_mm
    kerf_end = cut + plan.job.setup.parting_blade.mm
    behind = chucking.stick_out_mm + _jaw(layout) / layout.scale
    rest = box(layout.x(behind), layout.top(bar), layout.x(kerf_end), layout.bottom(bar))
    kerf = box(layout.x(kerf_end), layout.top(bar), layout.x(far), layout.bottom(bar))
    form = plan.job.part.stock.form
    return [
        Path("part", (rest,), closed=True),
        Path("thread", bar_lines(layout, form, kerf_end, behind, bar)),
        Path("ghost", (ghost, kerf), closed=True),
    ]


def body(layout: Layout, plan: Plan, chucking: Chucking) -> list[Path]:
    """The part outside, and its upper half cut open where it has holes."""
    seen = chucking.overall_mm
    if not chucking.parted:
        seen = min(seen, chucking.stick_out_mm + _jaw(layout) / layout.scale)
    upper = layout.rim(*clipped(side(layout, chucking), seen))
    under = mirrored(layout.rim(*clipped(side(layout, chucking, lower=True), seen)), layout.axis_y)
    return [
        Path("part", (upper + tuple(reversed(under)),), closed=True),
        Path("edge", _shoulders(layout, upper)),
        detail(layout, chucking, plan.job.part.stock.form, seen),
        *half_section(layout, plan, chucking, upper, seen),
    ]


def centre_line(layout: Layout, chucking: Chucking) -> Path:
    """The axis, a little longer than what is seen of the work."""
    left, right = layout.x(chucking.stick_out_mm) - 40, layout.face_x + 40
    return Path("centre", (((left, layout.axis_y), (right, layout.axis_y)),))


def _drilled(layout: Layout, cut: Cut) -> Line:
    """What a drill takes away: its width as far as its point."""
    shoulder = max(cut.right_mm, cut.left_mm - POINT_SHARE * cut.outer_mm)
    upper = layout.rim((cut.right_mm, cut.outer_mm), (shoulder, cut.outer_mm), (cut.left_mm, 0.0))
    return upper + tuple(reversed(mirrored(upper[:2], layout.axis_y)))


def _removal(layout: Layout, operation: Operation) -> list[Path]:
    """The metal a step takes away, above and below the axis."""
    cut = operation.cut
    if cut is None:
        return []
    if operation.kind == "drill" and not operation.key.startswith("bore:"):
        return [Path("removal", (_drilled(layout, cut),), closed=True, step=operation.key)]
    outer = [(cut.left_mm, cut.outer_mm), (cut.right_mm, cut.outer_mm), (cut.right_mm, cut.inner_mm)]
    if cut.behind:
        outer = [(cut.left_mm, cut.outer_mm), (cut.right_mm, cut.outer_mm), (cut.left_mm, cut.inner_mm)]
    upper = layout.rim(*outer) if cut.slope else layout.rim(*outer, (cut.left_mm, cut.inner_mm))
    return [Path("removal", (upper, mirrored(upper, layout.axis_y)), closed=True, step=operation.key)]


def _seen_mm(layout: Layout, chucking: Chucking) -> float:
    """How far behind the face the work is seen: what goes into the jaws is hidden."""
    return chucking.stick_out_mm + _jaw(layout) / layout.scale


def _aim(layout: Layout, chucking: Chucking) -> Path:
    """The outline of the finished part, under what is still to come off it."""
    upper = layout.rim(*clipped(side(layout, chucking), min(chucking.overall_mm, _seen_mm(layout, chucking))))
    return Path("aim", (upper, mirrored(upper, layout.axis_y)))


def _block(layout: Layout, chucking: Chucking, operation: Operation) -> list[Path]:
    """Work that is off the lathe: in a block or between jaws, by what lies before the cut, or behind it."""
    cut = operation.cut
    near, far = (0.0, cut.right_mm) if cut is not None and cut.right_mm > 0 else (0.0, chucking.overall_mm / 2)
    if cut is not None and cut.right_mm <= 0:
        near, far = cut.left_mm, chucking.overall_mm
    there = [p for p in chucking.placed if p.near_mm < far - 0.01 and p.far_mm > near + 0.01]
    across = max((drawn_mm(chucking, p) for p in there), default=chucking.bar_mm)
    high = min(40.0, layout.top(across) - 30)
    upper = box(layout.x(far), layout.top(across) - high, layout.x(near), layout.top(across))
    both = (upper, mirrored(upper, layout.axis_y))
    return [Path("jaw", both, closed=True), Path("hatch", both, closed=True)]


def _stepwise(layout: Layout, plan: Plan, chucking: Chucking, only: str) -> list[Path]:
    """The work as each step finds it, or the step `only`, and what holds it there."""
    seen, paths = _seen_mm(layout, chucking), list[Path]()
    states = standings(layout, plan, chucking, seen)
    wanted = [(operation, standing) for operation, standing in states if only in ("", operation.key)]
    for operations, standing in grouped(wanted):
        keys = tuple(operation.key for operation in operations)
        paths += [
            replace(path, steps=keys)
            for path in stood(layout, plan, chucking, standing, seen, alone=off_lathe(operations[0]))
        ]
    on = tuple(operation.key for operation, _ in wanted if not off_lathe(operation))
    held = [replace(path, steps=on) for path in _chuck(layout, chucking)] if on else []
    for operation, _ in wanted:
        if off_lathe(operation):
            held += [replace(path, steps=(operation.key,)) for path in _block(layout, chucking, operation)]
    carried = tuple(operation.key for operation, _ in wanted if on_centre(chucking, operation))
    held += centre(layout, chucking, carried) if carried else []
    return [*bolt_head(layout, plan, chucking), *paths, _aim(layout, chucking), *held]


def part_sheet(plan: Plan, frame: Frame, number: int = 1, *, step: str | None = None) -> Sheet:
    """The part of `plan` in chucking `number` (from 1), drawn to scale into `frame`; a small one has no dimensions.

    It is drawn finished, with what each step takes; or, where `step` is given, as that step finds it, "" for every one.
    """
    chucking = plan.chuckings[number - 1]
    rows = rows_needed(plan, chucking, frame) if frame.dimensioned else 0
    layout = lay_out(chucking, frame, rows, holes_named(plan, chucking) if frame.dimensioned else 0)
    operations = [o for o in plan.operations if o.chucking == number and step in (None, "", o.key)]
    finished = [
        *bolt_head(layout, plan, chucking),
        *_bar(layout, plan, chucking),
        *body(layout, plan, chucking),
        *_chuck(layout, chucking),
    ]
    # A part without a plan is drawn as it should be.
    work = finished if step is None or not plan.goes else _stepwise(layout, plan, chucking, step)
    paths = [*work, centre_line(layout, chucking)]
    drawn = [as_drawn(plan, operation) for operation in operations]
    for operation, own in zip(operations, drawn, strict=True):
        paths += [*_removal(layout, operation), *tool(layout, own)]
    labels: list[Label] = []
    if frame.dimensioned:
        dimension_paths, labels = dimensions(layout, plan, chucking, drawn)
        paths += dimension_paths
    end = "" if len(plan.chuckings) == 1 else f", {'first' if number == 1 else 'second'} end"
    title = f"{plan.job.part.designations}: the part in the chuck{end}, to scale"
    return Sheet(layout.frame.width, layout.frame.height, tuple(paths), tuple(labels), title, layout.scale)
