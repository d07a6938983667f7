"""An address on paper, for a camera (QR code, ISO/IEC 18004)."""

from __future__ import annotations

from functools import lru_cache
from itertools import groupby

import segno
from reportlab.pdfgen.canvas import Canvas
from reportlab.platypus import Flowable

BORDER = 4
"""Light modules around it, as the standard asks."""
MASK = 3
"""Of the eight patterns that may lie over a code; to look for the best of them takes five times as long, and a sheet of
labels has hundreds. Readers read them all."""


@lru_cache(maxsize=1024)
def _rows(address: str) -> tuple[bytes, ...]:
    """The modules of a code, row by row from above, 1 where it is dark; kept, for labels are printed again."""
    return tuple(map(bytes, segno.make_qr(address, error="m", mask=MASK).matrix))


def draw_code(canvas: Canvas, address: str, left: float, bottom: float, side: float) -> None:
    """A code of that `side` on a page, its lower left corner at `left` and `bottom` (unit: points)."""
    rows = _rows(address)
    module = side / (len(rows) + 2 * BORDER)
    dark = canvas.beginPath()
    for y, row in enumerate(reversed(rows), BORDER):
        x = BORDER
        # Neighbours are one rectangle: fewer to draw, and no hair of light between them.
        for is_dark, run in groupby(row):
            wide = len(list(run))
            if is_dark:
                dark.rect(x, y, wide, 1)
            x += wide
    canvas.saveState()
    canvas.translate(left, bottom)
    canvas.scale(module, module)
    canvas.setFillGray(0)
    canvas.drawPath(dark, stroke=0, fill=1)
    canvas.restoreState()


class Code(Flowable):
    """A code of that `side` (unit: points) among what is set on a page."""

    def __init__(self, address: str, side: float) -> None:
        super().__init__()
        self.address, self.side = address, side

    def wrap(self, width: float, height: float) -> tuple[float, float]:
        """How much room it takes of what there is (unit: points)."""
        return self.side, self.side

    def draw(self) -> None:
        """Draw it where it was put."""
        draw_code(self.canv, self.address, 0, 0, self.side)
