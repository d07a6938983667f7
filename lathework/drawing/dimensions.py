"""Dimensions of the part: a chain of lengths under it, diameters on it, none over another."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from typing import Literal

from lathework.drawing.layout import CHAR, LABEL_ROW, ROW, Frame, Layout, lay_out
from lathework.drawing.outline import drawn_mm
from lathework.drawing.shapes import Label, Line, Path
from lathework.part import Bore
from lathework.planning.bore_sizes import thickness_mm
from lathework.planning.chucking import Chucking, Placed
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.units import show_both

_ARROW = 7.0
_GAP = 6.0
_MOST_ROWS = 8
_HOLE_ROWS = 6
"""Rows before the face in which holes are named."""
_TOOL_ROW = 30.0
"""Labels of the part stay under the line that names the tool, in sheet units."""
_SHIFTS = (0.0, 50.0, -50.0, 100.0, -100.0, 160.0, -160.0, 220.0, -220.0)
Anchor = Literal["start", "middle", "end"]
Spot = tuple[float, float, Anchor]


@dataclass(frozen=True, slots=True)
class _Run:
    """A length to be dimensioned between two planes behind the face, with its words in both units."""

    near_mm: float
    far_mm: float
    said: tuple[str, str]
    field: str

    def room(self) -> float:
        """Half the width of its words, with air."""
        return CHAR * max(len(text) for text in self.said) / 2 + _GAP


def _arrow(tip: float, y: float, *, toward_right: bool) -> Line:
    back = tip - _ARROW if toward_right else tip + _ARROW
    return ((tip, y), (back, y - 2.6), (back, y + 2.6))


def _runs(plan: Plan, chucking: Chucking) -> tuple[list[_Run], list[_Run]]:
    """The chain of section lengths, and what stands under it: the whole, and the stick-out."""
    chain = [
        _Run(p.near_mm, p.far_mm, show_both(p.section.length.mm, "mm", fine=False), f"part.sections.{p.number}.length")
        for p in chucking.placed
        if chucking.parted or p.far_mm <= chucking.stick_out_mm + 0.01
    ]
    inch, mm = show_both(chucking.stick_out_mm, "mm", fine=False)
    words = f"stick-out, {chucking.ratio:.1f} × what is held"
    under = [_Run(0.0, chucking.stick_out_mm, (f"{inch} {words}", f"{mm} {words}"), "")]
    if len(chain) == len(chucking.placed) > 1:
        said = show_both(chucking.overall_mm, "mm", fine=False)
        under.insert(0, _Run(0.0, chucking.overall_mm, said, "part.overall_length"))
    return chain, [*_hole_runs(plan, chucking), *under]


def _hole_runs(plan: Plan, chucking: Chucking) -> Iterator[_Run]:
    """Depths of the holes that a chucking makes, and places of those across."""
    overall, faces_right = chucking.overall_mm, chucking.faces == "right"
    for number, bore in enumerate(plan.job.part.bores):
        field = f"part.bores.{number}"
        if bore.end == chucking.faces and bore.depth is not None:
            yield _Run(0.0, bore.depth.mm, show_both(bore.depth.mm, "mm", fine=False), f"{field}.depth")
        elif bore.at is not None and bore.end == "across":
            at = bore.at.mm
            near, far = (0.0, at) if faces_right else (overall - at, overall)
            if _shows_across(chucking, bore) and (chucking.parted or far <= chucking.stick_out_mm):
                yield _Run(near, far, show_both(at, "mm", fine=False), f"{field}.at")


def _chain_rows(layout: Layout, chain: list[_Run]) -> list[int]:
    """The row of each length: the first in which its words meet no others."""
    taken: list[list[tuple[float, float]]] = []
    rows = []
    for run in chain:
        left, right = _words_extent(layout, run)
        row = 0
        while row < len(taken) and any(left < r and right > a for a, r in taken[row]):
            row += 1
        if row == len(taken):
            taken.append([])
        taken[row].append((left, right))
        rows.append(row)
    return rows


def _fits(left: float, right: float, room: float) -> bool:
    return right - left > 2 * room + 2 * _ARROW + 4


def _beside(layout: Layout, run: _Run) -> float:
    """Middle of words that do not fit into their line: to its left, or to its right where the chuck would be met."""
    left, right, room = layout.x(run.far_mm), layout.x(run.near_mm), run.room()
    free = left - 2 * room - 4
    return left - room - 4 if free > layout.chuck_x or run.far_mm > run.near_mm == 0 < free else right + room + 4


def _words_extent(layout: Layout, run: _Run) -> tuple[float, float]:
    """What a length takes of its row: its line, and its words beside it where they do not fit in."""
    left, right, room = layout.x(run.far_mm), layout.x(run.near_mm), run.room()
    if _fits(left, right, room):
        return left, right
    middle = _beside(layout, run)
    return min(left, middle - room), max(right, middle + room)


def _length(layout: Layout, run: _Run, row: int) -> tuple[list[Path], Label]:
    """A dimension line on its row; the figure stands in the gap of its line, or beside it."""
    y = layout.bottom_y + 20 + row * ROW
    left, right, room = layout.x(run.far_mm), layout.x(run.near_mm), run.room()
    middle = (left + right) / 2
    if _fits(left, right, room):
        lines: tuple[Line, ...] = (((left, y), (middle - room, y)), ((middle + room, y), (right, y)))
    else:
        lines = (((left, y), (right, y)),)
        middle = _beside(layout, run)
    under = layout.bottom_y + 4
    extension: tuple[Line, ...] = (((left, under), (left, y + 5)), ((right, under), (right, y + 5)))
    arrows = (_arrow(left, y, toward_right=False), _arrow(right, y, toward_right=True))
    return (
        [Path("dimension", lines + extension), Path("arrow", arrows, closed=True)],
        Label(middle, y + 5, *run.said, field=run.field),
    )


def rows_needed(plan: Plan, chucking: Chucking, frame: Frame) -> int:
    """How many rows of dimensions a chucking takes in `frame`."""
    chain, under = _runs(plan, chucking)
    rows = 1
    for _ in range(_MOST_ROWS):
        found = (
            max(_chain_rows(lay_out(chucking, frame, rows + len(under), holes_named(plan, chucking)), chain), default=0)
            + 1
        )
        if found <= rows:
            break
        rows = found
    return rows + len(under)


class _Board:
    """Labels set so that none meets another."""

    def __init__(self) -> None:
        self.labels: list[Label] = []
        self._taken: list[tuple[float, float, float, float]] = []

    def put(self, spots: Iterable[Spot], label: Label) -> Label:
        """Set `label` at the first free one of `spots`, or at the last, and return it there."""
        for x, y, anchor in spots:
            placed = Label(x, y, label.inch, label.mm, anchor, label.field)
            extent = _extent(placed)
            if not any(_meet(extent, other) for other in self._taken):
                break
        self.labels.append(placed)
        self._taken.append(extent)
        return placed


def _extent(label: Label) -> tuple[float, float, float, float]:
    width = CHAR * max(len(label.inch), len(label.mm))
    left = {"start": label.x, "middle": label.x - width / 2, "end": label.x - width}[label.anchor]
    return left, left + width, label.y - 12, label.y + 4


def _meet(one: tuple[float, float, float, float], other: tuple[float, float, float, float]) -> bool:
    return one[0] < other[1] and one[1] > other[0] and one[2] < other[3] and one[3] > other[2]


def _across_label(plan: Plan, placed: Placed) -> Label:
    """What a section is across: its thread, its diameter, or its flats."""
    section, path = placed.section, f"part.sections.{placed.number}"
    if section.thread is not None:
        name = section.thread.designation
        return Label(0, 0, name, name, field=f"{path}.thread")
    stock = plan.job.part.stock
    if section.across is None:
        inch, mm = show_both(stock.across.value, stock.across.unit)
        word = {"hexagon": "hex bar", "square": "square bar", "bolt": "bolt", "kept": "as it is"}.get(stock.form, "bar")
        lead = "" if stock.form in ("hexagon", "square") else "dia. "
        return Label(0, 0, f"{lead}{inch} {word}", f"{lead}{mm} {word}", field="part.stock.across")
    inch, mm = show_both(section.across.value, section.across.unit)
    lead, word = ("dia. ", "") if section.shape in ("round", "knurl") else ("", " flats")
    if section.shape == "hexagon":
        word = " hex"
    return Label(0, 0, f"{lead}{inch}{word}", f"{lead}{mm}{word}", field=f"{path}.across")


def _seen(layout: Layout, chucking: Chucking, placed: Placed) -> tuple[float, float]:
    """Sheet x of what is seen of a section: what the chuck hides is cut off."""
    edge = chucking.overall_mm if chucking.parted else chucking.stick_out_mm
    return layout.x(min(placed.far_mm, max(edge, placed.near_mm))), layout.x(placed.near_mm)


def holes_named(plan: Plan, chucking: Chucking) -> int:
    """How many holes a chucking names above the work: those across it, and one that may find no place elsewhere."""
    shown = [_shows_across(chucking, bore) for bore in plan.job.part.bores]
    return sum(shown) + bool(shown)


def _shows_across(chucking: Chucking, bore: Bore) -> bool:
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
    least, most = layout.chuck_x + width / 2 + 4, layout.frame.width - width / 2 - 4
    y = layout.top(max(drawn_mm(chucking, p) for p in chucking.placed)) - 8
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
    if placed.thread is not None and placed.near_mm == 0:
        yield layout.face_x + 12, layout.top(across) - 2, "start"
    elif right - left > width + 8 and across * layout.scale > 22 and placed.thread is None:
        yield middle, layout.axis_y + 5 + (across * layout.scale / 4 if opened else 0), "middle"
    yield from _rows_above(layout, chucking, middle, width)


def _leader(layout: Layout, chucking: Chucking, placed: Placed, label: Label) -> list[Path]:
    """A thin line from a label that stands off its section."""
    left, right = _seen(layout, chucking, placed)
    foot = layout.top(drawn_mm(chucking, placed))
    beside = label.anchor == "middle" and not left <= label.x <= right
    if label.y > foot or label.anchor != "middle" or (not beside and foot - label.y < 2 * LABEL_ROW):
        return []
    return [Path("leader", (((label.x, label.y + 3), ((left + right) / 2, foot)),))]


def _step_labels(layout: Layout, operations: Iterable[Operation]) -> list[Label]:
    """The tool's name beside it, shown with its step."""
    labels = []
    for operation in operations:
        if operation.cut is None:
            continue
        words = operation.tool
        if operation.edge and operation.kind not in ("thread", "finish"):
            words = f"{operation.tool}, {operation.edge}"
        x = layout.x(operation.cut.left_mm) + 44
        room = layout.frame.width - x
        at, anchor = (x, "start") if room > CHAR * len(words) else (layout.x(operation.cut.left_mm) - 8, "end")
        labels.append(Label(at, 14, words, words, anchor=anchor, step=operation.key))  # type: ignore[arg-type]  # one of two literals
    return labels


def dimensions(
    layout: Layout, plan: Plan, chucking: Chucking, operations: Iterable[Operation]
) -> tuple[list[Path], list[Label]]:
    """All dimension lines and labels of a chucking."""
    chain, under = _runs(plan, chucking)
    rows = _chain_rows(layout, chain)
    first_under = max(rows, default=-1) + 1
    paths: list[Path] = []
    labels: list[Label] = []
    for run, row in [*zip(chain, rows, strict=True), *((run, first_under + n) for n, run in enumerate(under))]:
        made, label = _length(layout, run, row)
        paths += made
        labels.append(label)
    board, bores = _Board(), plan.job.part.bores
    across = drawn_mm(chucking, chucking.placed[0])
    board.put([(layout.face_x + 12, layout.bottom(across) + 12, "start")], Label(0, 0, "Z 0", "Z 0"))
    for placed in chucking.placed:
        if chucking.parted or placed.near_mm < chucking.stick_out_mm:
            label = _across_label(plan, placed)
            spots = _spots(layout, chucking, placed, label, opened=bool(bores))
            paths += _leader(layout, chucking, placed, board.put(spots, label))
    for number, bore in enumerate(bores):
        if bore.end == chucking.faces or _shows_across(chucking, bore):
            label = _hole_label(number, bore)
            paths += _hole_leader(
                layout, plan, chucking, bore, board.put(_hole_spots(layout, chucking, bore, label), label)
            )
    return paths, [*labels, *board.labels, *_step_labels(layout, operations)]
