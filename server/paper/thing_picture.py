"""A thing of the shop drawn on paper: dies, drills and bars true to size where there is room, others by their sign."""

from __future__ import annotations

from dataclasses import dataclass
from itertools import chain
from math import cos, pi, sin

from fontTools.pens.recordingPen import RecordingPen
from fontTools.svgLib.path import parse_path
from reportlab.lib.units import mm
from reportlab.pdfgen.canvas import Canvas

from lathework.shop.kinds.kind import RING, ROD, ROUND

_METAL, _INK, _PAPER = "#E8DCCB", "#22302F", "#FFFFFF"
_LINE = 0.8
_SIGN_WIDE, _SIGN_HIGH = 72.0, 44.0
"""The box that a sign is drawn in."""
_SIGN = 18 * mm
"""How wide a sign stands on paper, and how tall a rod: its length is not known."""
_STROKES = {"moveTo": "moveTo", "lineTo": "lineTo", "curveTo": "curveTo", "closePath": "close"}
"""The strokes of a sign as a page of paper calls them."""
_CHIP_HOLES = ((0.7, 0.7), (-0.7, 0.7), (0.7, -0.7), (-0.7, -0.7))
_THREADED, _TURN = 0.6, 2.0
"""The share of a tap that has a thread, and a turn of it (points)."""
_FLATS = cos(pi / 6)
"""A hexagon over its flats, as a share of it over its corners."""
_HOLLOW = 0.6
"""The hole of what has one of no known size, as a share of it."""


@dataclass(frozen=True, slots=True)
class Look:
    """What a thing looks like: how its kind is drawn, its form, its size (of a hexagon or a square over the flats) and
    that of its thread (unit: mm), 0 where it has none; whether it has a thread."""

    sign: str
    form: str
    across_mm: float
    bore_mm: float
    threaded: bool

    @property
    def scaled(self) -> bool:
        """Whether it is drawn by its size, and not by a sign."""
        return self.sign in (ROUND, RING, ROD)


def size_of(look: Look, most: float) -> tuple[float, float]:
    """How wide and how high it is drawn: true to size up to `most`, and no larger than that (unit: points)."""
    if not look.scaled:
        return _SIGN, _SIGN * _SIGN_HIGH / _SIGN_WIDE
    if look.sign == ROD:
        return min(look.across_mm * mm, most), min(_SIGN, most) if look.across_mm else 0.0
    corners = 1 / _FLATS if look.form == "hexagon" else 1.0
    across = min(look.across_mm * mm, most / corners)
    return across * corners, across


def _polygon(canvas: Canvas, corners: list[tuple[float, float]]) -> None:
    path = canvas.beginPath()
    path.moveTo(*corners[0])
    for corner in corners[1:]:
        path.lineTo(*corner)
    path.close()
    canvas.drawPath(path, fill=1)


def _round(canvas: Canvas, look: Look, radius: float) -> None:
    """From above, its middle at the middle of the page's own measure; `radius` is half of its size (unit: points)."""
    if look.form == "hexagon":
        corner = radius / _FLATS
        _polygon(canvas, [(cos(n * pi / 3) * corner, sin(n * pi / 3) * corner) for n in range(6)])
    elif look.form == "square":
        canvas.rect(-radius, -radius, 2 * radius, 2 * radius, fill=1)
    else:
        canvas.circle(0, 0, radius, fill=1)
    canvas.setFillColor(_PAPER)
    if look.sign == RING:
        canvas.circle(0, 0, radius * _HOLLOW, fill=1)
    if not look.bore_mm:
        return
    bore = radius * look.bore_mm / look.across_mm
    web = radius - bore
    canvas.circle(0, 0, bore, fill=1)
    for x, y in _CHIP_HOLES:
        canvas.circle(x * (bore + web / 3), y * (bore + web / 3), web / 4, fill=1)
    if look.form in ("", "split"):
        canvas.line(0, bore, 0, radius)


def _thread(canvas: Canvas, left: float, bottom: float, wide: float, high: float) -> None:
    """The thread of a tap, from its end up: what tells it from a drill."""
    canvas.setLineWidth(_LINE / 2)
    for turn in range(int(high * _THREADED / _TURN)):
        y = bottom + (turn + 1) * _TURN
        canvas.line(left, y, left + wide, y - _TURN / 2)


def draw(canvas: Canvas, look: Look, left: float, bottom: float, most: float) -> None:
    """The thing with its lower left corner at `left` and `bottom`, no larger than `most` (unit: points)."""
    wide, high = size_of(look, most)
    canvas.saveState()
    canvas.setStrokeColor(_INK)
    canvas.setFillColor(_METAL)
    canvas.setLineWidth(_LINE)
    if look.sign in (ROUND, RING) and high:
        canvas.translate(left + wide / 2, bottom + high / 2)
        _round(canvas, look, high / 2)
    elif look.sign == ROD and wide:
        canvas.rect(left, bottom, wide, high, fill=1)
        if look.threaded:
            _thread(canvas, left, bottom, wide, high)
    elif not look.scaled:
        scale = wide / _SIGN_WIDE
        canvas.translate(left, bottom + high)
        canvas.scale(scale, -scale)
        canvas.setLineWidth(_LINE / scale)
        pen, path = RecordingPen(), canvas.beginPath()
        parse_path(look.sign, pen)
        for name, points in pen.value:
            if name in _STROKES:
                getattr(path, _STROKES[name])(*chain.from_iterable(points))
        canvas.drawPath(path, fill=1)
    canvas.restoreState()
