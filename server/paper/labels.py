"""Labels for drawers: a name, a place, and a code that opens the thing's page."""

from __future__ import annotations

from collections.abc import Sequence
from io import BytesIO

from reportlab.lib.pagesizes import A4
from reportlab.lib.units import mm
from reportlab.lib.utils import simpleSplit
from reportlab.pdfgen.canvas import Canvas

from server.paper.code import draw_code
from server.paper.fonts import WORDS, fonts

COLUMNS, ROWS = 3, 8
"""Labels of a sheet: 70 by 37 mm, a common size."""
WIDE, HIGH = A4[0] / COLUMNS, A4[1] / ROWS
_CODE, _EDGE = 24 * mm, 4 * mm
_SIZE, _SMALL, _LINES = 10, 8, 4


def _label(canvas: Canvas, left: float, bottom: float, name: str, place: str, address: str) -> None:
    """One label, its lower left corner at `left` and `bottom` (unit: points)."""
    draw_code(canvas, address, left + _EDGE / 2, bottom + (HIGH - _CODE) / 2, _CODE)
    x, room = left + _CODE + _EDGE, WIDE - _CODE - 2 * _EDGE
    lines = simpleSplit(name, WORDS, _SIZE, room)[:_LINES]
    y = bottom + HIGH - _EDGE - _SIZE
    canvas.setFont(WORDS, _SIZE)
    for line in lines:
        canvas.drawString(x, y, line)
        y -= _SIZE * 1.25
    canvas.setFont(WORDS, _SMALL)
    for line in simpleSplit(place, WORDS, _SMALL, room)[:1]:
        canvas.drawString(x, bottom + _EDGE, line)


def labels(things: Sequence[tuple[str, str, str]]) -> bytes:
    """A sheet of labels as PDF bytes: of each thing its name, its place and the address of its page."""
    fonts()
    out = BytesIO()
    canvas = Canvas(out, pagesize=A4)
    canvas.setTitle("Labels")
    for number, (name, place, address) in enumerate(things):
        column, row = number % COLUMNS, number // COLUMNS % ROWS
        if number and not number % (COLUMNS * ROWS):
            canvas.showPage()
        _label(canvas, column * WIDE, A4[1] - (row + 1) * HIGH, name, place, address)
    canvas.save()
    return out.getvalue()
