"""Dimensions of the part: rows under it, diameters on it, none over another."""

from __future__ import annotations

from collections.abc import Iterable

from lathework.drawing.layout import CHAR, ROW, Layout
from lathework.drawing.shapes import Label, Line, Path
from lathework.lengths import Length
from lathework.planning.operation import Operation
from lathework.planning.work import Work
from lathework.units import show_both

_ARROW = 7.0
_GAP = 6.0


def _arrow(tip: float, y: float, *, toward_right: bool) -> Line:
    back = tip - _ARROW if toward_right else tip + _ARROW
    return ((tip, y), (back, y - 2.6), (back, y + 2.6))


def _along(
    layout: Layout, *, to_mm: float, row: int, said: tuple[str, str], field: str = ""
) -> tuple[list[Path], Label]:
    """A dimension from the face to a plane, on its row under the part; the figure stands in the gap of its line."""
    y = layout.frame.height - layout.frame.bottom + 20 + row * ROW
    left, right = layout.x(to_mm), layout.x(0)
    inch, mm = said
    middle = (left + right) / 2
    room = CHAR * max(len(inch), len(mm)) / 2 + _GAP
    fits = right - left > 2 * room + 2 * _ARROW + 4
    if fits:
        lines: tuple[Line, ...] = (((left, y), (middle - room, y)), ((middle + room, y), (right, y)))
        label_x = middle
    else:
        lines = (((left, y), (right, y)),)
        label_x = left - room - 4
    under = layout.frame.height - layout.frame.bottom + 4
    extension: tuple[Line, ...] = (((left, under), (left, y + 5)), ((right, under), (right, y + 5)))
    arrows = (_arrow(left, y, toward_right=False), _arrow(right, y, toward_right=True))
    return (
        [Path("dimension", lines + extension), Path("arrow", arrows, closed=True)],
        Label(label_x, y + 5, inch, mm, field=field),
    )


def _stick_out(work: Work) -> tuple[str, str]:
    """What stands out of the jaws, and how many bar diameters that is."""
    inch, mm = show_both(work.stick_out_mm, "mm", fine=False)
    words = f"stick-out, {work.stick_out_ratio:.1f} × bar"
    return f"{inch} {words}", f"{mm} {words}"


def _diameter(layout: Layout, *, from_mm: float, to_mm: float, length: Length, field: str, words: str) -> Label:
    """A diameter written on its own section at the axis, or above the part when the section is too narrow."""
    inch, mm = show_both(length.value, length.unit, fine=True)
    room = layout.x(from_mm) - layout.x(to_mm)
    text = max(len(inch), len(mm)) + len(words) + 5
    x = (layout.x(from_mm) + layout.x(to_mm)) / 2
    y = layout.axis_y + 5 if room > CHAR * text + 8 and length.mm * layout.scale > 22 else layout.top(length.mm) - 10
    return Label(x, y, f"dia. {inch}{words}", f"dia. {mm}{words}", field=field)


def _step_labels(layout: Layout, operations: Iterable[Operation]) -> list[Label]:
    """The tool's name beside it, shown with its step."""
    labels = []
    for operation in operations:
        if operation.cut is None:
            continue
        words = (
            operation.tool
            if not operation.edge or operation.key in ("thread", "finish")
            else f"{operation.tool}, {operation.edge}"
        )
        x = layout.x(operation.cut.left_mm) + 44
        room = layout.frame.width - x
        anchor, at = ("start", x) if room > CHAR * len(words) else ("end", layout.x(operation.cut.left_mm) - 8)
        labels.append(Label(at, 16, words, words, anchor=anchor, step=operation.key))  # type: ignore[arg-type]  # one of two literals
    return labels


def dimensions(layout: Layout, work: Work, operations: Iterable[Operation]) -> tuple[list[Path], list[Label]]:
    """All dimension lines and labels of the part."""
    part = work.job.part
    rows = [(part.thread_length, "part.thread_length")]
    if part.shank_length is not None and part.shank_length.mm > part.thread_length.mm:
        rows.append((part.shank_length, "part.shank_length"))
    rows.append((part.overall_length, "part.overall_length"))
    paths: list[Path] = []
    labels: list[Label] = []
    for row, (length, field) in enumerate(rows):
        made, label = _along(
            layout, to_mm=length.mm, row=row, said=show_both(length.value, length.unit, fine=False), field=field
        )
        paths += made
        labels.append(label)
    made, label = _along(layout, to_mm=work.stick_out_mm, row=len(rows), said=_stick_out(work))
    paths += made
    labels.append(label)
    end = part.overall_length.mm
    body_from = part.thread_length.mm
    if part.shank_length is not None and part.shank_diameter is not None:
        labels.append(
            _diameter(layout, from_mm=body_from, to_mm=part.shank_length.mm, length=part.shank_diameter,
                      field="part.shank_diameter", words="")
        )  # fmt: skip
        body_from = part.shank_length.mm
    labels.append(
        _diameter(
            layout, from_mm=body_from, to_mm=end, length=part.stock_diameter, field="part.stock_diameter", words=" bar"
        )
    )
    name = part.thread.designation
    labels.append(
        Label(layout.face_x + 12, layout.top(part.thread.major_mm) - 2, name, name, anchor="start", field="part.thread")
    )
    labels.append(Label(layout.face_x + 12, layout.bottom(part.thread.major_mm) + 12, "Z 0", "Z 0", anchor="start"))
    return paths, [*labels, *_step_labels(layout, operations)]
