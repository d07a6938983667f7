"""A drawing as a browser draws it: path data and labels."""

from __future__ import annotations

from typing import Literal

from lathework.answers.declared_answer import answer
from lathework.drawing.shapes import Role, Sheet
from lathework.drawing.svg import path_data


@answer
class PathShown:
    """Path data with its role; `step` when it shows one, `steps` where it is there at some alone."""

    role: Role
    d: str
    step: str
    steps: tuple[str, ...]


@answer
class LabelShown:
    """A text on the sheet; `field` is what typing over it changes."""

    x: float
    y: float
    inch: str
    mm: str
    anchor: Literal["start", "middle", "end"]
    field: str
    step: str


@answer
class SheetShown:
    """A drawing of `width` by `height` units."""

    width: float
    height: float
    title: str
    paths: tuple[PathShown, ...]
    labels: tuple[LabelShown, ...]


def sheet_shown(sheet: Sheet) -> SheetShown:
    """A sheet as path data and labels."""
    return SheetShown(
        width=sheet.width,
        height=sheet.height,
        title=sheet.title,
        paths=tuple(PathShown(p.role, path_data(p.lines, closed=p.closed), p.step, p.steps) for p in sheet.paths),
        labels=tuple(
            LabelShown(round(v.x, 1), round(v.y, 1), v.inch, v.mm, v.anchor, v.field, v.step) for v in sheet.labels
        ),
    )
