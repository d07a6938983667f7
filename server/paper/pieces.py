"""Pieces as paper shows them: threads in outline on their bar, filled as far as they are made."""

from __future__ import annotations

from reportlab.lib import colors
from reportlab.lib.units import mm
from reportlab.pdfgen.canvas import Canvas

_PITCH, _GROOVE = 1.5 * mm, 1.2 * mm
MOST_APART = 12
"""Pieces told apart; more are one."""


def draw_piece(canvas: Canvas, left: float, middle: float, long: float, high: float, *, made: bool = False) -> None:
    """A thread in outline from `left`, `long` and `high` about its `middle` (unit: points), grey where it is `made`;
    crests above stand half a turn before those below."""
    turns = max(2, round(long / _PITCH))
    half, step, deep = high / 2, long / turns, 0.15 * high
    outline = canvas.beginPath()
    outline.moveTo(left, middle + half - deep)
    for turn in range(turns):
        outline.lineTo(left + (turn + 0.5) * step, middle + half)
        outline.lineTo(left + (turn + 1) * step, middle + half - deep)
    outline.lineTo(left + long, middle - half)
    for turn in reversed(range(turns)):
        outline.lineTo(left + (turn + 0.5) * step, middle - half + deep)
        outline.lineTo(left + turn * step, middle - half)
    outline.close()
    canvas.setLineWidth(0.9 if high > 4 * mm else 0.5)
    canvas.setFillColor(colors.lightgrey if made else colors.white)
    canvas.drawPath(outline, fill=1)
    canvas.setFillColor(colors.black)


def draw_pieces(canvas: Canvas, left: float, middle: float, wide: float, high: float, many: int, done: float) -> None:
    """So `many` pieces end to end, `wide` in all and `high` about their `middle` (unit: points), made as far as a share
    `done` of them (from 0 to 1): whole turns, one at least where anything is."""
    count = many if many <= MOST_APART else 1
    long = (wide - _GROOVE * (count - 1)) / count
    for number in range(count):
        at = left + number * (long + _GROOVE)
        share = min(1.0, max(0.0, done * count - number))
        made = min(long, max(round(share * long / _PITCH), 1) * _PITCH) if share else 0.0
        if long - made > _PITCH / 2:
            canvas.setLineWidth(0.5)
            canvas.rect(at + made, middle - high / 2, long - made, high)
        if made:
            draw_piece(canvas, at, middle, made, high, made=True)
