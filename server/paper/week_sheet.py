"""The week on one page, and its cutting list."""

from __future__ import annotations

from collections.abc import Sequence
from io import BytesIO

from reportlab.lib import colors
from reportlab.lib.pagesizes import A4
from reportlab.lib.units import mm
from reportlab.pdfgen.canvas import Canvas

from server.paper.fonts import BOLD, WORDS, fitted, fonts
from server.paper.pieces import draw_pieces

Row = tuple[str, ...]
_LEFT, _TOP, _LINE = 14 * mm, A4[1] - 16 * mm, 5.4 * mm
_FOOT = 14 * mm
_APART = 1.5
"""Between a cell and the next (unit: millimetres)."""


class Sheet:
    """A page that is written from its top down; what does not fit goes on the next."""

    def __init__(self, title: str, under: str) -> None:
        fonts()
        self.out = BytesIO()
        self.canvas = Canvas(self.out, pagesize=A4)
        self.canvas.setTitle(title)
        self.title, self.page, self.y = title, 1, _TOP
        self.canvas.setFont(BOLD, 18)
        self.canvas.drawString(_LEFT, self.y, title)
        self.y -= 7 * mm
        self.text(under, size=9)

    def text(self, words: str, *, size: float = 9, face: str = WORDS, x: float = 0.0) -> None:
        """A line of words at `x` from the left, `size` (unit: points) high."""
        self._room()
        self.canvas.setFont(face, size)
        self.canvas.drawString(_LEFT + x, self.y, words)
        self.y -= _LINE

    def heading(self, words: str) -> None:
        """A heading with a rule under it."""
        self._room(4 * _LINE)
        self.y -= 3 * mm
        self.canvas.setFont(BOLD, 11)
        self.canvas.drawString(_LEFT, self.y, words)
        self.y -= 1.8 * mm
        self.canvas.setStrokeColor(colors.black)
        self.canvas.setLineWidth(0.7)
        self.canvas.line(_LEFT, self.y, A4[0] - _LEFT, self.y)
        self.y -= 4.6 * mm

    def row(self, cells: Row, places: Sequence[float], *, box: bool = False) -> None:
        """Cells at their places (unit: millimetres from the left), none into the next, the first one heavy; with a box
        to tick."""
        self._room()
        if box:
            self.canvas.setLineWidth(0.5)
            self.canvas.rect(_LEFT, self.y - 0.6 * mm, 3.2 * mm, 3.2 * mm)
        ends = (*places[1:], (A4[0] - 2 * _LEFT) / mm)
        for number, (cell, place, end) in enumerate(zip(cells, places, ends, strict=True)):
            face = BOLD if number == 0 else WORDS
            self.canvas.setFont(face, 9)
            self.canvas.drawString(_LEFT + place * mm, self.y, fitted(cell, (end - place - _APART) * mm, face, 9))
        self.y -= _LINE

    def made(self, many: int, done: float, place: float) -> None:
        """In the row just written, at its `place` (unit: millimetres from the left): pieces made as far as a share
        `done` of them."""
        left = _LEFT + place * mm
        draw_pieces(self.canvas, left, self.y + _LINE + 1 * mm, A4[0] - _LEFT - left, 3.4 * mm, many, done)

    def bar(self, shares: Sequence[float]) -> None:
        """A bar with its cuts to scale (shares of its length), what is left hatched."""
        self._room()
        wide, high, x = A4[0] - 2 * _LEFT, 3.4 * mm, _LEFT
        self.canvas.setLineWidth(0.6)
        for number, share in enumerate(shares):
            last = number == len(shares) - 1
            self.canvas.setFillColor(colors.white if last else colors.lightgrey)
            self.canvas.rect(x, self.y - 0.4 * mm, wide * share, high, fill=1)
            x += wide * share
        self.canvas.setFillColor(colors.black)
        self.y -= _LINE * 1.2

    def _room(self, high: float = _LINE) -> None:
        """Begin another page where less than `high` (unit: points) is left."""
        if self.y - high < _FOOT:
            self._foot()
            self.canvas.showPage()
            self.page += 1
            self.y = _TOP

    def _foot(self) -> None:
        self.canvas.setFont(WORDS, 8)
        self.canvas.drawRightString(A4[0] - _LEFT, 8 * mm, f"{self.title}, page {self.page}")

    def pdf(self) -> bytes:
        """The paper."""
        self._foot()
        self.canvas.save()
        return self.out.getvalue()
