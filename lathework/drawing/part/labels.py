"""What sections, holes and tools are called on the drawing, none over another."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator
from typing import Literal

from lathework.drawing.part.layout import CHAR, LABEL_ROW, Layout, widest_mm
from lathework.drawing.part.outline import drawn_mm
from lathework.drawing.part.tools import as_drawn, tool, tool_figures
from lathework.drawing.shapes import Label, Path
from lathework.part.across import thickness_mm
from lathework.part.model import Bore
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.units import show_both

BEFORE = 40.0
"""Sheet units from the face to what stands before it: clear of a tool that is there."""
_HOLE_ROWS = 6
"""Rows before the face in which holes are named."""
_TOOL_ROW = 30.0
"""Labels of the part stay under the line that names the tool, in sheet units."""
_SHIFTS = (0.0, 50.0, -50.0, 100.0, -100.0, 160.0, -160.0, 220.0, -220.0)
_OFF_AXIS = 48.0
"""Height of a section, in sheet units, from which its diameter stands over the centre line, not on it."""
_CLEAR = 8.0
"""Sheet units between a label over the work and the jaws."""
Anchor = Literal["start", "middle", "end"]
Spot = tuple[float, float, Anchor]
Extent = tuple[float, float, float, float]
"""Left, right, top and bottom, in sheet units."""


class _Board:
    """Labels set so that none meets another, nor a tool where there is room beside it."""

    def __init__(self, tools: Iterable[Extent] = ()) -> None:
        self.labels: list[Label] = []
        self._taken: list[Extent] = []
        self._tools = tuple(tools)

    def put(self, spots: Iterable[Spot], label: Label) -> Label:
        """Set `label` at the first of `spots` that is free and under the fewest tools, or at the last, and return it
        there."""
        there = [Label(x, y, label.inch, label.mm, anchor, label.field) for x, y, anchor in spots]
        free = [one for one in there if not any(_meet(_extent(one), other) for other in self._taken)]
        placed = min(free, key=self._under, default=there[-1])
        self.labels.append(placed)
        self._taken.append(_extent(placed))
        return placed

    def _under(self, label: Label) -> int:
        return sum(_meet(_extent(label), one) for one in self._tools)


def _tools(layout: Layout, plan: Plan, chucking: Chucking) -> Iterator[Extent]:
    """What the tools of a chucking take up, over the work or before it."""
    for operation in plan.operations:
        if operation.chucking == chucking.number:
            for path in tool(layout, as_drawn(plan, operation)):
                for line in path.lines if path.role == "tool" else ():
                    across, down = [x for x, _ in line], [y for _, y in line]
                    yield min(across), max(across), min(down), max(down)


def _extent(label: Label) -> Extent:
    width = CHAR * max(len(label.inch), len(label.mm))
    left = {"start": label.x, "middle": label.x - width / 2, "end": label.x - width}[label.anchor]
    return left, left + width, label.y - 12, label.y + 4


def _meet(one: Extent, other: Extent) -> bool:
    """Whether a label overlaps another one, or a tool, or stands less than a character apart."""
    return one[0] < other[1] + CHAR and one[1] + CHAR > other[0] and one[2] < other[3] and one[3] > other[2]


def _across_label(plan: Plan, placed: Placed) -> Label:
    """What a section is across: its thread, its diameter, or its flats."""
    section, path = placed.section, f"part.sections.{placed.number}"
    if section.thread is not None:
        name = section.thread.designation
        return Label(0, 0, name, name, field=f"{path}.thread")
    stock = plan.job.part.stock
    if section.across is None:
        inch, mm = show_both(stock.across.value, stock.across.unit)
        word = {"hexagon": "hex bar", "square": "square bar", "bolt": "bolt", "kept": "as bought"}.get(
            stock.form, "bar"
        )
        lead = "" if stock.form in ("hexagon", "square") else "dia. "
        return Label(0, 0, f"{lead}{inch} {word}", f"{lead}{mm} {word}", field="part.stock.across")
    inch, mm = show_both(section.across.value, section.across.unit)
    if section.taper is not None and section.taper.name:
        return Label(0, 0, section.taper.name, section.taper.name, field=f"{path}.taper")
    lead, word = ("dia. ", "") if section.shape in ("round", "taper", "knurl") else ("", " flats")
    if section.shape == "hexagon":
        word = " hex"
    return Label(0, 0, f"{lead}{inch}{word}", f"{lead}{mm}{word}", field=f"{path}.across")


def _seen(layout: Layout, chucking: Chucking, placed: Placed) -> tuple[float, float]:
    """Sheet x of what is seen of a section: what the chuck hides is cut off."""
    edge = chucking.overall_mm if chucking.parted else chucking.stick_out_mm
    return layout.x(min(placed.far_mm, max(edge, placed.near_mm))), layout.x(placed.near_mm)


def holes_named(plan: Plan, chucking: Chucking) -> int:
    """How many holes a chucking names above the work: those across it, and one that may find no place elsewhere."""
    shown = [shows_across(chucking, bore) for bore in plan.job.part.bores]
    return sum(shown) + bool(shown)


def shows_across(chucking: Chucking, bore: Bore) -> bool:
    """Whether a hole across stands out of the jaws."""
    if bore.end != "across" or bore.at is None:
        return False
    return chucking.parted or chucking.behind_mm(bore.at.mm) < chucking.stick_out_mm


def _hole_label(number: int, bore: Bore) -> Label:
    """What a hole is called: its thread, or its drill."""
    field = f"part.bores.{number}"
    if bore.thread is not None:
        return Label(0, 0, bore.thread.designation, bore.thread.designation, field=f"{field}.thread")
    assert bore.across is not None
    if bore.socket is not None and bore.socket.name:
        return Label(0, 0, bore.socket.name, bore.socket.name, field=f"{field}.taper")
    inch, mm = show_both(bore.across.value, bore.across.unit)
    return Label(0, 0, f"dia. {inch}", f"dia. {mm}", field=f"{field}.across")


def _hole_spots(layout: Layout, chucking: Chucking, bore: Bore, label: Label) -> Iterator[Spot]:
    """Where a hole is named: before its mouth, or in rows above it."""
    width, at = CHAR * max(len(label.inch), len(label.mm)), 0.0
    if bore.at is not None and bore.end == "across":
        at = chucking.behind_mm(bore.at.mm)
    else:
        # Clear of the drill, where there is room for that.
        room = layout.frame.width - layout.face_x - width
        for row in range(_HOLE_ROWS if room > 12 else 0):
            yield layout.face_x + min(44.0, room - 4), layout.axis_y - 8 - row * LABEL_ROW, "start"
    yield from _rows_above(layout, chucking, layout.x(at), width)


def _hole_leader(layout: Layout, plan: Plan, chucking: Chucking, bore: Bore, label: Label) -> list[Path]:
    """A thin line from the label of a hole across to its mouth."""
    if bore.at is None or bore.end != "across":
        return []
    mouth = (layout.x(chucking.behind_mm(bore.at.mm)), layout.top(thickness_mm(plan.job.part, bore)))
    return [Path("leader", (((label.x, label.y + 3), mouth),))]


def _rows_above(layout: Layout, chucking: Chucking, middle: float, width: float) -> Iterator[Spot]:
    """Places in rows above the work, the nearest to `middle` first (sheet units, as `width`)."""
    least, most = layout.chuck_x + width / 2 + _CLEAR, layout.frame.width - width / 2 - 4
    y = layout.top(widest_mm(chucking)) - 8
    while y >= _TOOL_ROW:
        for shift in _SHIFTS:
            yield min(most, max(least, middle + shift)), y, "middle"
        y -= LABEL_ROW


def _spots(layout: Layout, chucking: Chucking, placed: Placed, label: Label, *, opened: bool) -> Iterator[Spot]:
    """Where a diameter may stand: on its own section, to the right of the face, or in rows above the work.

    In a part that is cut `opened`, on the half that is not.
    """
    left, right = _seen(layout, chucking, placed)
    width = CHAR * max(len(label.inch), len(label.mm))
    across, middle = drawn_mm(chucking, placed), (left + right) / 2
    if placed.thread is not None and placed.near_mm == 0 and layout.face_x + BEFORE + width <= layout.frame.width:
        yield layout.face_x + BEFORE, layout.top(across) - 6, "start"
    elif right - left > width + 8 and across * layout.scale > 22 and placed.thread is None:
        tall = across * layout.scale
        # Clear of the centre line, where there is room for that.
        off = 5 + tall / 4 if opened else -8 if tall > _OFF_AXIS else 5
        yield middle, layout.axis_y + off, "middle"
    yield from _rows_above(layout, chucking, middle, width)


def _leader(layout: Layout, chucking: Chucking, placed: Placed, label: Label) -> list[Path]:
    """A thin line from a label that stands off its section."""
    left, right = _seen(layout, chucking, placed)
    foot = layout.top(drawn_mm(chucking, placed))
    beside = label.anchor == "middle" and not left <= label.x <= right
    if label.y > foot or label.anchor != "middle" or (not beside and foot - label.y < 2 * LABEL_ROW):
        return []
    return [Path("leader", (((label.x, label.y + 3), ((left + right) / 2, foot)),))]


def step_labels(layout: Layout, operations: Iterable[Operation]) -> list[Label]:
    """The tool's name beside it, and what is set of it, shown with its step."""
    labels = []
    for operation in operations:
        if operation.cut is None:
            continue
        words = operation.tool
        if operation.edge and operation.kind not in ("thread", "finish"):
            words = f"{operation.tool}, {operation.edge}"
        edge, width = layout.x(operation.cut.left_mm), CHAR * len(words)
        if edge + 44 + width <= layout.frame.width:
            labels.append(Label(edge + 44, 14, words, words, anchor="start", step=operation.key))
        else:
            labels.append(Label(max(edge - 8, width), 14, words, words, anchor="end", step=operation.key))
        labels += tool_figures(layout, operation)
    return labels


def _every(_: str) -> bool:
    return True


def names(
    layout: Layout, plan: Plan, chucking: Chucking, *, shows: Callable[[str], bool] = _every, held: bool = True
) -> tuple[list[Path], list[Label]]:
    """The labels of the face, the sections and the holes of a chucking, with the lines that lead to what they name.

    `shows` says which fields are named; what is not `held` in a lathe has no Z 0.
    """
    paths: list[Path] = []
    board, bores = _Board(_tools(layout, plan, chucking) if held else ()), plan.job.part.bores
    across = drawn_mm(chucking, chucking.placed[0])
    if held:
        board.put([(layout.face_x + BEFORE, layout.bottom(across) + 12, "start")], Label(0, 0, "Z 0", "Z 0"))
    for placed in chucking.placed:
        if chucking.parted or placed.near_mm < chucking.stick_out_mm:
            label = _across_label(plan, placed)
            if not shows(label.field):
                continue
            spots = _spots(layout, chucking, placed, label, opened=bool(bores))
            paths += _leader(layout, chucking, placed, board.put(spots, label))
    for number, bore in enumerate(bores):
        if bore.end == chucking.faces or shows_across(chucking, bore):
            label = _hole_label(number, bore)
            if not shows(label.field):
                continue
            put = board.put(_hole_spots(layout, chucking, bore, label), label)
            paths += _hole_leader(layout, plan, chucking, bore, put)
    return paths, board.labels
