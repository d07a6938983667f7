"""Labels for drawers: what a thing is in large letters, its name and place under it, a code that opens its page."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from io import BytesIO

from reportlab.lib.pagesizes import A4
from reportlab.lib.units import mm
from reportlab.lib.utils import simpleSplit
from reportlab.pdfbase.pdfmetrics import stringWidth
from reportlab.pdfgen.canvas import Canvas

from server.paper.code import draw_code
from server.paper.fonts import KEY, WORDS, fonts

COLUMNS, ROWS = 3, 8
"""Labels of a sheet: 70 by 37 mm, a common size."""
WIDE, HIGH = A4[0] / COLUMNS, A4[1] / ROWS
_CODE, _EDGE, _TICK = 20 * mm, 4 * mm, 2.5 * mm
_LARGEST, _LEAST, _SMALL, _LINES = 18.0, 10.0, 8, 2
"""Points of the large letters, at most and at least, and of the small ones; lines of a name."""


@dataclass(frozen=True, slots=True)
class Labelled:
    """A thing as its label tells it: what it is at arm's length, its whole name, its place, the address of its page."""

    short: str
    name: str
    place: str
    address: str


def _label(canvas: Canvas, left: float, bottom: float, thing: Labelled) -> None:
    """One label, its lower left corner at `left` and `bottom` (unit: points)."""
    draw_code(canvas, thing.address, left + WIDE - _CODE - _EDGE / 2, bottom + (HIGH - _CODE) / 2, _CODE)
    x, room = left + _EDGE, WIDE - _CODE - 2 * _EDGE
    size = _LARGEST
    while size > _LEAST and stringWidth(thing.short, KEY, size) > room:
        size -= 0.5
    y = bottom + HIGH - _EDGE - _LARGEST
    for line in simpleSplit(thing.short, KEY, size, room)[:_LINES]:
        canvas.setFont(KEY, size)
        canvas.drawString(x, y, line)
        y -= size * 1.2
    canvas.setFont(WORDS, _SMALL)
    for line in simpleSplit(thing.name, WORDS, _SMALL, room)[:_LINES]:
        canvas.drawString(x, y, line)
        y -= _SMALL * 1.25
    for line in simpleSplit(thing.place, WORDS, _SMALL, room)[:1]:
        canvas.drawString(x, bottom + _EDGE, line)


def _cutting_marks(canvas: Canvas) -> None:
    """Where the sheet is cut: a cross at each corner of a label."""
    canvas.setLineWidth(0.3)
    for column in range(COLUMNS + 1):
        for row in range(ROWS + 1):
            x, y = column * WIDE, row * HIGH
            canvas.line(x - _TICK, y, x + _TICK, y)
            canvas.line(x, y - _TICK, x, y + _TICK)


def labels(things: Sequence[Labelled]) -> bytes:
    """A sheet of labels as PDF bytes."""
    fonts()
    out = BytesIO()
    canvas = Canvas(out, pagesize=A4)
    canvas.setTitle("Labels")
    for number, thing in enumerate(things):
        column, row = number % COLUMNS, number // COLUMNS % ROWS
        if not number % (COLUMNS * ROWS):
            if number:
                canvas.showPage()
            _cutting_marks(canvas)
        _label(canvas, column * WIDE, A4[1] - (row + 1) * HIGH, thing)
    canvas.save()
    return out.getvalue()
