"""The tool of each step where that ends: a blade, a cutter, a die, a die head and its stop, a threading tool and the
way its compound takes."""

from __future__ import annotations

import math
from dataclasses import replace

from lathework.drawing.part.layout import Layout
from lathework.drawing.shapes import Label, Line, Path, Point, box, mirrored
from lathework.planning.operation import Operation, keyed
from lathework.planning.plan import Plan
from lathework.units import Unit, convert, show_both

_CLEAR = 34.0
"""Sheet units at the top that the tool's name has to itself."""
_BODY, _SHANK, _BEHIND, _LONG = 32.0, 16.0, 10.0, 66.0
"""How far a die head's body stands off the thread, half the width of its shank, its back, and how much of the shank is
drawn, in sheet units."""
_POINT, _BAR = 22.0, 40.0
"""How high a threading tool's point and the bar behind it are drawn, in sheet units."""
_FEED = 104.0
"""Length of the line that the compound takes, in sheet units."""
_ARC_STEPS = 8


def as_drawn(plan: Plan, operation: Operation) -> Operation:
    """The step whose tool is drawn at a step: where a threading tool is set up, that of the thread it will cut."""
    kind, _, own = operation.key.partition(":")
    cutting = plan.operation(keyed("screwcut", own)) if kind == "gear" else None
    return operation if cutting is None else replace(cutting, key=operation.key)


def tool(layout: Layout, operation: Operation) -> list[Path]:
    """The tool where the step ends."""
    cut, kind = operation.cut, operation.kind
    if cut is None:
        return []
    if kind == "screwcut":
        return _threading_tool(layout, operation)
    if operation.cut_by.opens and kind == "thread":
        return _head(layout, operation)
    x_left, x_right = layout.x(cut.left_mm), layout.x(cut.right_mm)
    y = layout.top(cut.inner_mm if kind != "part-off" else cut.outer_mm * 0.35)
    if kind in ("groove", "neck", "part-begin", "part-off"):
        width = max(4.0, (x_right - x_left) if kind.startswith("part") else min(x_right - x_left, 26.0))
        shape: tuple[Line, ...] = (box(x_left, 2, x_left + width, y),)
    elif kind == "flats":
        shape = (box(x_left, 2, min(x_right, x_left + 40), y),)
    elif kind in ("thread", "finish"):
        wide = max(14.0, min(34.0, x_right - x_left))
        outer = max(2.0, y - 44)
        upper = box(x_left, outer, x_left + wide, layout.top(cut.outer_mm) - 2)
        shape = (upper, mirrored(upper, layout.axis_y))
    elif kind == "drill":
        shape = (box(layout.face_x + 2, layout.top(cut.outer_mm), layout.face_x + 36, layout.bottom(cut.outer_mm)),)
    else:
        tip = layout.top(cut.inner_mm if kind != "face" else cut.outer_mm * 0.4)
        at = x_left if kind == "turn" else x_right
        if kind == "face":
            at = layout.x(0)
        shape = (((at, tip), (at + 9, tip - 26), (at + 30, tip - 26), (at + 30, tip - 14)),)
    return [Path("tool", shape, closed=True, step=operation.key)]


def _apex(layout: Layout, operation: Operation) -> Point:
    """Where the point of a threading tool stands at the end of a pass: at the far end, or before the face where a pass
    of a left-hand thread runs out."""
    cut, thread = operation.cut, operation.thread
    assert cut is not None and thread is not None
    at = cut.right_mm if thread.hand == "left" else cut.left_mm
    return layout.x(at), layout.top(cut.inner_mm)


def _threading_tool(layout: Layout, operation: Operation) -> list[Path]:
    """A point of the thread's angle, square to the axis, and the line along which the compound feeds it."""
    assert operation.thread is not None
    x, y = _apex(layout, operation)
    half = _POINT * math.tan(math.radians(operation.thread.form.angle_deg / 2))
    top = max(2.0, y - _POINT - _BAR)
    shape = ((x, y), (x - half, y - _POINT), (x - half, top), (x + half, top), (x + half, y - _POINT))
    lines = _compound(layout, operation)
    own = Path("tool", (shape,), closed=True, step=operation.key)
    return [own, *([Path("leader", lines, step=operation.key)] if lines else [])]


def _along(layout: Layout, operation: Operation) -> tuple[float, float]:
    """Which way the compound's line leads from the point (degrees from square, to the right above 0) and how long it
    is drawn (sheet units); no length where it is fed straight in, or there is no room."""
    angle = operation.figures.get("compound")
    if angle is None or operation.thread is None:
        return 0.0, 0.0
    toward = -angle.value if operation.thread.hand == "left" else angle.value
    room = (_apex(layout, operation)[1] - _CLEAR) / math.cos(math.radians(toward))
    return toward, min(_FEED, room) if room > _POINT else 0.0


def _off(at: Point, degrees: float, long: float) -> Point:
    """The point so far from another, so many degrees from upright."""
    return at[0] + long * math.sin(math.radians(degrees)), at[1] - long * math.cos(math.radians(degrees))


def _compound(layout: Layout, operation: Operation) -> tuple[Line, ...]:
    """The line of the compound, the one square to the axis, and the angle between them."""
    toward, long = _along(layout, operation)
    if not long:
        return ()
    apex = _apex(layout, operation)
    arc = tuple(_off(apex, toward * n / _ARC_STEPS, 0.8 * long) for n in range(_ARC_STEPS + 1))
    return (apex, _off(apex, toward, long)), (apex, _off(apex, 0.0, long)), arc


def _head(layout: Layout, operation: Operation) -> list[Path]:
    """Two chasers where they end, the body round the thread, its shank; and where the stop is met."""
    cut = operation.cut
    assert cut is not None
    left, outer = layout.x(cut.left_mm), layout.top(cut.outer_mm)
    body = max(left + 60.0, layout.face_x + 12.0)
    top = max(_CLEAR, outer - _BODY)
    chaser = box(left, top + 8, left + 12, layout.top(cut.inner_mm))
    round_it = box(left + 12, top, body, outer - 8)
    back = box(body, top, body + _BEHIND, 2 * layout.axis_y - top)
    far = min(body + _BEHIND + _LONG, layout.frame.width - 4)
    shank = box(body + _BEHIND, layout.axis_y - _SHANK, far, layout.axis_y + _SHANK)
    both = (chaser, round_it)
    shape = (*both, *(mirrored(one, layout.axis_y) for one in both), back, shank)
    at = _stop_x(layout, operation)
    line = ((at, top - 10), (at, 2 * layout.axis_y - top))
    return [
        Path("tool", shape, closed=True, step=operation.key),
        Path("leader", (line,), step=operation.key),
    ]


def _stop_x(layout: Layout, operation: Operation) -> float:
    """Where the chasers are when the head meets its stop."""
    cut, stop = operation.cut, operation.figures["stop"]
    assert cut is not None
    return layout.x(cut.right_mm + _mm(stop.value, stop.unit))


def _mm(value: float, unit: Unit) -> float:
    return convert(value, "in" if unit == "in" else "mm", "mm")


def tool_figures(layout: Layout, operation: Operation) -> list[Label]:
    """The angle of the compound, or where the head meets its stop, beside the tool."""
    cut = operation.cut
    if cut is None:
        return []
    toward, long = _along(layout, operation) if operation.kind == "screwcut" else (0.0, 0.0)
    if long:
        x, y = _off(_apex(layout, operation), toward, long)
        words = f"{abs(toward):g}°"
        if toward < 0:
            return [Label(x - 8, y + 10, words, words, anchor="end", step=operation.key)]
        return [Label(x + 8, y + 10, words, words, anchor="start", step=operation.key)]
    if operation.cut_by.opens and operation.kind == "thread":
        stop = operation.figures["stop"]
        inch, mm = show_both(stop.value, "in" if stop.unit == "in" else "mm", fine=False)
        at, top = _stop_x(layout, operation), max(_CLEAR, layout.top(cut.outer_mm) - _BODY)
        return [Label(at - 6, top - 2, f"stop {inch}", f"stop {mm}", anchor="end", step=operation.key)]
    return []
