"""Labels for drawers: a thing drawn, what it is in large letters, its name and place, a code that opens its page."""

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
from server.paper.thing_picture import Look, draw, size_of

COLUMNS, ROWS = 3, 8
"""Labels of a sheet: 70 by 37 mm, a common size."""
WIDE, HIGH = A4[0] / COLUMNS, A4[1] / ROWS
_CODE, _EDGE, _GAP, _TICK = 17 * mm, 4 * mm, 3 * mm, 2.5 * mm
_DRAWN = 26 * mm
"""The largest that a thing is drawn: a die of one inch is true to size."""
_LARGEST, _LEAST, _SMALL, _LINES = 18.0, 10.0, 8, 4
"""Points of the large letters, at most and at least, and of the small ones; lines of a name beside its code."""


@dataclass(frozen=True, slots=True)
class Labelled:
    """A thing as its label tells it: what it is at arm's length, its whole name, its place, the address of its page,
    and what it looks like."""

    short: str
    name: str
    place: str
    address: str
    look: Look


def _label(canvas: Canvas, left: float, bottom: float, thing: Labelled) -> None:
    """One label, its lower left corner at `left` and `bottom` (unit: points)."""
    wide, high = size_of(thing.look, _DRAWN)
    draw(canvas, thing.look, left + _EDGE, bottom + (HIGH - high) / 2, _DRAWN)
    x = left + _EDGE + (wide + _GAP if wide else 0)
    room = left + WIDE - _EDGE - x
    draw_code(canvas, thing.address, left + WIDE - _CODE - _EDGE / 2, bottom + _EDGE / 2, _CODE)
    size = _LARGEST
    while size > _LEAST and stringWidth(thing.short, KEY, size) > room:
        size -= 0.5
    y = bottom + HIGH - _EDGE - size
    canvas.setFont(KEY, size)
    for line in simpleSplit(thing.short, KEY, size, room)[:3]:
        canvas.drawString(x, y, line)
        y -= size * 1.2
    canvas.setFont(WORDS, _SMALL)
    beside = left + WIDE - _CODE - _GAP - x
    kind = thing.name.removeprefix(thing.short).lstrip(", ")
    for words, lines in ((kind, _LINES), (thing.place, 2)):
        for line in simpleSplit(words, WORDS, _SMALL, beside)[:lines]:
            canvas.drawString(x, y, line)
            y -= _SMALL * 1.25


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
