"""A designed holder on paper: drawn together and apart, its dimensions with their reasons, what is against it."""

from __future__ import annotations

from io import BytesIO
from typing import Any

from reportlab.lib.units import mm
from reportlab.platypus import Flowable, KeepTogether, Spacer, Table

from lathework.answers.values import figure_text
from lathework.drawing.holder.assembly import PAPER, assembly
from lathework.holders.design import Design, Dimensioned
from lathework.units import LengthUnit
from server.paper.fonts import fonts
from server.paper.lettering import Lettering
from server.paper.pages import WIDTH, sheet_of_paper
from server.paper.part_drawing import PartDrawing

_NAME, _SIZE = 48 * mm, 40 * mm
"""Widths of the columns of a dimension's name and of its size."""


def _row(one: Dimensioned, unit: LengthUnit, style: Lettering) -> list[Flowable]:
    return [
        style.care(one.figure.name),
        style.key(figure_text(one.figure, unit)),
        style.care(f"{one.why} {one.figure.note}".rstrip()),
    ]


def holder_sheet(design: Design, unit: LengthUnit) -> bytes:
    """A holder as PDF bytes, lengths in `unit`."""
    fonts()
    out, style = BytesIO(), Lettering(1.0, WIDTH)
    rules: list[Any] = [("VALIGN", (0, 0), (-1, -1), "TOP"), ("LINEBELOW", (0, 0), (-1, -1), 0.4, "#000000")]
    rows = [_row(dimension, unit, style) for dimension in design.dimensions]
    story: list[Flowable] = [style.title(design.title), Spacer(1, 4)]
    story += [style.line(f"Problem: {conflict.text}") for conflict in design.conflicts]
    for apart in (False, True):
        drawing = PartDrawing(assembly(design.lying, design.title, PAPER, apart=apart), unit, WIDTH)
        story.append(KeepTogether([style.step("Apart" if apart else "Together"), drawing, Spacer(1, 6)]))
    story.append(Table(rows, colWidths=[_NAME, _SIZE, WIDTH - _NAME - _SIZE], style=rules))
    sheet_of_paper(out, design.title).build(story)
    return out.getvalue()
