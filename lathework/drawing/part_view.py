"""The part in the chuck, to scale: chuck on the left, work to the right, each step's metal and tool with it."""

from __future__ import annotations

from lathework.drawing.dimensions import dimensions
from lathework.drawing.layout import Frame, Layout, lay_out
from lathework.drawing.shapes import Label, Line, Path, Sheet, box, hatch, mirrored
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.planning.work import Work

TRUE_PITCH = 5.0
"""Sheet units per pitch from which a thread is drawn true; under it, by convention."""
_JAW_SHARE = 0.55
_CHUCK_BODY = 96.0
"""Widest chuck body drawn, in sheet units; behind it the spindle nose."""


def _profile(work: Work) -> list[tuple[float, float]]:
    """The finished part's upper side as (behind_mm, diameter_mm), from the face to the parted end."""
    part = work.job.part
    small, crest = work.in_mm(work.chamfer), part.thread.major_mm
    lead = (crest - small) / 2
    points = [(0.0, small), (lead, crest)]
    shoulder = part.thread_length.mm
    if work.groove is not None:
        start, deep = work.thread_end_mm, work.in_mm(work.groove.diameter)
        points += [(start, crest), (start, deep), (shoulder, deep)]
    else:
        points.append((shoulder, crest))
    points.append((shoulder, work.body_mm))
    if part.shank_length is not None:
        points += [(part.shank_length.mm, work.body_mm), (part.shank_length.mm, part.stock_diameter.mm)]
    points.append((part.overall_length.mm, part.stock_diameter.mm))
    return points


def _chuck(layout: Layout, work: Work) -> list[Path]:
    """Chuck body and two jaws gripping the bar behind the stick-out."""
    jaw_x = layout.x(work.stick_out_mm)
    stock = work.job.part.stock_diameter.mm
    jaw = layout.frame.chuck * _JAW_SHARE
    body_right = jaw_x - jaw * 0.75
    height = min(layout.axis_y - 8, layout.frame.height - layout.axis_y - 8, stock * layout.scale / 2 + 62)
    top, bottom = layout.axis_y - height, layout.axis_y + height
    left = max(0.0, body_right - _CHUCK_BODY)
    nose = box(0.0, layout.axis_y - height * 0.45, left, layout.axis_y + height * 0.45)
    jaw_height = min(40.0, height - stock * layout.scale / 2 - 6)
    upper = box(jaw_x - jaw, layout.top(stock) - jaw_height, jaw_x, layout.top(stock))
    lower = mirrored(upper, layout.axis_y)
    jaws = [
        piece
        for line in (upper, lower)
        for piece in (
            Path("jaw", (line,), closed=True),
            Path("hatch", hatch(jaw_x - jaw, min(p[1] for p in line), jaw_x, max(p[1] for p in line), 7)),
        )
    ]
    return [
        *([Path("chuck", (nose,), closed=True)] if left > 1 else []),
        Path("chuck", (box(left, top, body_right, bottom),), closed=True),
        Path("hatch", hatch(left, top, body_right, bottom, 11)),
        *jaws,
    ]


def _zigzag(layout: Layout, work: Work) -> list[Path]:
    """The thread: true to pitch when there is room, else thin lines at the minor diameter."""
    part = work.job.part
    thread = part.thread
    end = work.thread_end_mm
    start = (thread.major_mm - work.in_mm(work.chamfer)) / 2
    if thread.pitch_mm * layout.scale < TRUE_PITCH:
        thin = layout.rim((start, thread.minor_mm), (end, thread.minor_mm))
        return [Path("thread", (thin, mirrored(thin, layout.axis_y)))]
    half = thread.pitch_mm / 2
    turns = int((end - start) / thread.pitch_mm)
    crest, root = thread.major_mm, thread.minor_mm
    upper = [(start + half * n, crest if n % 2 == 0 else root) for n in range(2 * turns + 1)]
    # The lower side runs half a pitch behind: a helix seen from the side.
    lower = [(z, root if d == crest else crest) for z, d in upper]
    crests = tuple(
        ((layout.x(z), layout.top(crest)), (layout.x(z + half), layout.bottom(crest)))
        for z, d in upper
        if d == crest and z + half <= end
    )
    roots = tuple(
        ((layout.x(z), layout.top(root)), (layout.x(z + half), layout.bottom(root)))
        for z, d in upper
        if d == root and z + half <= end
    )
    return [
        Path("outline", (layout.rim(*upper), mirrored(layout.rim(*lower), layout.axis_y))),
        Path("thread", crests + roots),
    ]


def _body(layout: Layout, work: Work) -> list[Path]:
    profile = layout.rim(*_profile(work))
    under = mirrored(profile, layout.axis_y)
    stock = work.job.part.stock_diameter.mm
    far, jaw = work.job.part.overall_length.mm, work.stick_out_mm
    kerf_end = far + work.job.setup.parting_blade.mm
    behind = layout.x(jaw) - layout.frame.chuck
    rest = box(behind, layout.top(stock), layout.x(kerf_end), layout.bottom(stock))
    kerf = box(layout.x(kerf_end), layout.top(stock), layout.x(far), layout.bottom(stock))
    ghost = box(layout.x(far), layout.top(stock), layout.x(0), layout.bottom(stock))
    shoulders = tuple(
        ((x, y), (x, 2 * layout.axis_y - y))
        for (x, y), (nx, ny) in zip(profile, profile[1:], strict=False)
        for x, y in [(x, min(y, ny))]
        if abs(x - nx) < 0.01
    )
    return [
        Path("part", (rest,), closed=True),
        Path("edge", (rest,), closed=True),
        Path("ghost", (ghost, kerf), closed=True),
        Path("part", (profile + tuple(reversed(under)),), closed=True),
        Path("outline", (profile, under, (profile[0], under[0]), (profile[-1], under[-1]))),
        Path("edge", shoulders),
    ]


def _centre_line(layout: Layout, work: Work) -> Path:
    return Path("centre", (((layout.x(work.stick_out_mm) - 40, layout.axis_y), (layout.face_x + 40, layout.axis_y)),))


def _removal(layout: Layout, operation: Operation) -> list[Path]:
    """The metal a step takes away, above and below the axis."""
    cut = operation.cut
    if cut is None:
        return []
    outer = [(cut.left_mm, cut.outer_mm), (cut.right_mm, cut.outer_mm), (cut.right_mm, cut.inner_mm)]
    upper = layout.rim(*outer) if cut.slope else layout.rim(*outer, (cut.left_mm, cut.inner_mm))
    return [Path("removal", (upper, mirrored(upper, layout.axis_y)), closed=True, step=operation.key)]


def _tool(layout: Layout, operation: Operation) -> list[Path]:
    """The tool where the step ends: a blade, a pointed tool, or the die's two halves."""
    cut = operation.cut
    if cut is None:
        return []
    x_left, x_right = layout.x(cut.left_mm), layout.x(cut.right_mm)
    y = layout.top(cut.inner_mm if operation.key != "part-off" else cut.outer_mm * 0.35)
    if operation.key in ("groove", "part-off"):
        width = max(4.0, (x_right - x_left) if operation.key == "part-off" else min(x_right - x_left, 26.0))
        shape: tuple[Line, ...] = (box(x_left, 2, x_left + width, y),)
    elif operation.key in ("thread", "finish"):
        wide = max(14.0, min(34.0, x_right - x_left))
        outer = max(2.0, y - 44)
        upper = box(x_left, outer, x_left + wide, layout.top(cut.outer_mm) - 2)
        shape = (upper, mirrored(upper, layout.axis_y))
    else:
        tip = layout.top(cut.inner_mm if operation.key != "face" else cut.outer_mm * 0.4)
        at = x_right if operation.key in ("face", "chamfer") else x_left
        shape = (((at, tip), (at + 9, tip - 26), (at + 30, tip - 26), (at + 30, tip - 14)),)
    return [Path("tool", shape, closed=True, step=operation.key)]


def part_sheet(plan: Plan, frame: Frame) -> Sheet:
    """The part of `plan` drawn to scale into `frame`; a small frame carries no dimensions."""
    work = plan.work
    layout = lay_out(work, frame)
    paths = [*_body(layout, work), *_zigzag(layout, work), *_chuck(layout, work), _centre_line(layout, work)]
    for operation in plan.operations:
        paths += [*_removal(layout, operation), *_tool(layout, operation)]
    labels: list[Label] = []
    if frame.dimensioned:
        dimension_paths, labels = dimensions(layout, work, plan.operations)
        paths += dimension_paths
    part = work.job.part
    title = f"{part.thread.designation} {part.kind.replace('-', ' ')} in the chuck, to scale"
    return Sheet(frame.width, frame.height, tuple(paths), tuple(labels), title, layout.scale)
