"""The part in the chuck, to scale: chuck on the left, work to the right, each step's metal and tool with it."""

from __future__ import annotations

from lathework.drawing.dimensions import dimensions
from lathework.drawing.layout import Frame, Layout, lay_out
from lathework.drawing.shapes import Label, Line, Path, Sheet, box, mirrored
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.planning.work import Work

TRUE_PITCH = 5.0
"""Sheet units per pitch from which a thread is drawn true; under it, by convention."""
Side = list[tuple[float, float]]
_JAW_SHARE = 0.55
_CHUCK_BODY = 96.0
"""Widest chuck body drawn, in sheet units; behind it the spindle nose."""


def _side(work: Work, *, thread_side: Side) -> Side:
    """One side of the finished part as (behind_mm, diameter_mm), from the face to the parted end."""
    part = work.job.part
    shoulder = part.thread_length.mm
    points = [(0.0, work.in_mm(work.chamfer)), *thread_side]
    if work.groove is not None:
        start, deep = work.thread_end_mm, work.in_mm(work.groove.diameter)
        points += [(start, deep), (shoulder, deep)]
    points.append((shoulder, work.body_mm))
    if part.shank_length is not None:
        points += [(part.shank_length.mm, work.body_mm), (part.shank_length.mm, part.stock_diameter.mm)]
    points.append((part.overall_length.mm, part.stock_diameter.mm))
    return points


def _lead_mm(work: Work) -> float:
    """Length of the 45 degree lead chamfer."""
    return (work.job.part.thread.major_mm - work.in_mm(work.chamfer)) / 2


def _plain(work: Work) -> Side:
    """The thread by convention: its crest as one line."""
    crest = work.job.part.thread.major_mm
    return [(_lead_mm(work), crest), (work.thread_end_mm, crest)]


def _turns(work: Work) -> tuple[Side, Side]:
    """The thread true to pitch, upper and lower side: a helix seen from the side.

    The lower side runs half a pitch behind. Crests and roots are drawn sharp, at major and minor diameter.
    """
    thread, lead, end = work.job.part.thread, _lead_mm(work), work.thread_end_mm
    half, crest, root = thread.pitch_mm / 2, thread.major_mm, thread.minor_mm
    slope = (crest - root) / half
    corners = [(lead + half * n, n) for n in range(int((end - lead) / half) + 1)]
    upper = [(z, root if n % 2 else crest) for z, n in corners]
    # Where the chamfer, 2 on the diameter for each 1 along, meets the flank that falls to the first lower root.
    meet = 2 * half / (2 + slope)
    lower = [(lead - half + meet, crest - slope * meet), *((z, crest if n % 2 else root) for z, n in corners)]
    for side in (upper, lower):
        z, d = side[-1]
        side.append((end, d + slope * (end - z) * (1 if d == root else -1)))
    return upper, lower


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
    body = box(left, top, body_right, bottom)
    return [
        *([Path("chuck", (nose,), closed=True)] if left > 1 else []),
        Path("chuck", (body,), closed=True),
        Path("hatch", (body,), closed=True),
        Path("jaw", (upper, lower), closed=True),
        Path("hatch", (upper, lower), closed=True),
    ]


def _thread_lines(layout: Layout, work: Work, upper: Side) -> Path:
    """Crest and root lines across a thread drawn true; else the thin lines at the minor diameter."""
    thread, end = work.job.part.thread, work.thread_end_mm
    if not _true_to_pitch(layout, work):
        thin = layout.rim((_lead_mm(work), thread.minor_mm), (end, thread.minor_mm))
        return Path("thread", (thin, mirrored(thin, layout.axis_y)))
    half = thread.pitch_mm / 2
    across = [
        ((layout.x(z), layout.top(d)), (layout.x(z + half), layout.bottom(d))) for z, d in upper if z + half <= end
    ]
    return Path("thread", tuple(across))


def _true_to_pitch(layout: Layout, work: Work) -> bool:
    return work.job.part.thread.pitch_mm * layout.scale >= TRUE_PITCH


def _body(layout: Layout, work: Work) -> list[Path]:
    plain = _plain(work)
    sides = _turns(work) if _true_to_pitch(layout, work) else (plain, plain)
    profile = layout.rim(*_side(work, thread_side=sides[0]))
    under = mirrored(layout.rim(*_side(work, thread_side=sides[1])), layout.axis_y)
    outline = layout.rim(*_side(work, thread_side=plain))
    stock = work.job.part.stock_diameter.mm
    far, jaw = work.job.part.overall_length.mm, work.stick_out_mm
    kerf_end = far + work.job.setup.parting_blade.mm
    behind = layout.x(jaw) - layout.frame.chuck
    rest = box(behind, layout.top(stock), layout.x(kerf_end), layout.bottom(stock))
    kerf = box(layout.x(kerf_end), layout.top(stock), layout.x(far), layout.bottom(stock))
    ghost = box(layout.x(far), layout.top(stock), layout.x(0), layout.bottom(stock))
    shoulders = tuple(
        ((x, y), (x, 2 * layout.axis_y - y))
        for (x, y), (nx, ny) in zip(outline, outline[1:], strict=False)
        for x, y in [(x, min(y, ny))]
        if abs(x - nx) < 0.01
    )
    return [
        Path("part", (rest,), closed=True),
        Path("ghost", (ghost, kerf), closed=True),
        Path("part", (profile + tuple(reversed(under)),), closed=True),
        Path("edge", shoulders),
        _thread_lines(layout, work, sides[0]),
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
    paths = [*_body(layout, work), *_chuck(layout, work), _centre_line(layout, work)]
    for operation in plan.operations:
        paths += [*_removal(layout, operation), *_tool(layout, operation)]
    labels: list[Label] = []
    if frame.dimensioned:
        dimension_paths, labels = dimensions(layout, work, plan.operations)
        paths += dimension_paths
    part = work.job.part
    title = f"{part.thread.designation} {part.kind.replace('-', ' ')} in the chuck, to scale"
    return Sheet(frame.width, frame.height, tuple(paths), tuple(labels), title, layout.scale)
