"""The part's drawing on paper: every path and label of its sheet that belongs to no single step, black on white."""

from __future__ import annotations

from reportlab.platypus import Flowable

from lathework.drawing.part.layout import LETTERING
from lathework.drawing.shapes import Path, Role, Sheet, hatch
from lathework.units import LengthUnit
from server.paper.fonts import FIGURES

_WEIGHT: dict[Role, float] = {
    "part": 1.3,
    "edge": 1.0,
    "chuck": 1.0,
    "jaw": 1.0,
    "hatch": 0.25,
    "bore": 1.0,
    "nut": 1.0,
}
_FILLED: tuple[Role, ...] = ("part", "nut", "chuck", "jaw", "bore", "arrow")
_DASHES: dict[Role, list[float]] = {"ghost": [5, 4], "hidden": [5, 4], "centre": [16, 4, 3, 4]}


class PartDrawing(Flowable):
    """The part's sheet, scaled to a width in points."""

    def __init__(self, sheet: Sheet, unit: LengthUnit, width: float) -> None:
        super().__init__()
        self.hAlign = "CENTER"
        self.sheet, self.unit, self.ratio = sheet, unit, width / sheet.width
        self.width, self.height = width, sheet.height * self.ratio

    def draw(self) -> None:
        """Draw the paths, and the labels over them."""
        canvas = self.canv
        canvas.saveState()
        canvas.translate(0, self.height)
        canvas.scale(self.ratio, self.ratio)
        for path in self.sheet.paths:
            if not path.step:
                self._path(path)
        self._labels()
        canvas.restoreState()

    def _path(self, path: Path) -> None:
        canvas, filled = self.canv, path.role in _FILLED
        canvas.setLineWidth(_WEIGHT.get(path.role, 0.5) / self.ratio)
        canvas.setDash(_DASHES.get(path.role, []))
        canvas.setFillGray(0 if path.role == "arrow" else 1)
        lines = [ruled for area in path.lines for ruled in hatch(area)] if path.role == "hatch" else path.lines
        for line in lines:
            shape = canvas.beginPath()
            shape.moveTo(line[0][0], -line[0][1])
            for x, y in line[1:]:
                shape.lineTo(x, -y)
            if path.closed and len(line) > 2:
                shape.close()
            canvas.drawPath(shape, stroke=int(path.role != "arrow"), fill=int(filled))

    def _labels(self) -> None:
        canvas = self.canv
        canvas.setFont(FIGURES, LETTERING)
        put = {"start": canvas.drawString, "middle": canvas.drawCentredString, "end": canvas.drawRightString}
        for label in self.sheet.labels:
            if label.step:
                continue
            text = label.inch if self.unit == "in" else label.mm
            width = canvas.stringWidth(text, FIGURES, LETTERING)
            left = {"start": label.x, "middle": label.x - width / 2, "end": label.x - width}[label.anchor]
            # Lines stop short of the words.
            canvas.setFillGray(1)
            canvas.rect(left - 2, -label.y - 3, width + 4, LETTERING, stroke=0, fill=1)
            canvas.setFillGray(0)
            put[label.anchor](label.x, -label.y, text)
