"""An address on paper, for a camera (QR code, ISO/IEC 18004)."""

from __future__ import annotations

from itertools import groupby

import segno
from reportlab.graphics.shapes import Drawing, Path
from reportlab.lib.colors import black

BORDER = 4
"""Light modules around it, as the standard asks."""
MASK = 3
"""Of the eight patterns that may lie over a code; to look for the best of them takes five times as long, and a sheet of
labels has hundreds. Readers read them all."""


def code_drawing(address: str, side: float) -> Drawing:
    """A code of that `side` (unit: points)."""
    rows = list(segno.make_qr(address, error="m", mask=MASK).matrix_iter(border=BORDER))
    module = side / len(rows)
    dark = Path(fillColor=black, strokeColor=None)
    for y, row in enumerate(reversed(rows)):
        x = 0
        # Neighbours are one rectangle: fewer lines to draw, and no hair of light between them.
        for is_dark, run in groupby(row):
            wide = len(list(run))
            if is_dark:
                left, low, right, high = (at * module for at in (x, y, x + wide, y + 1))
                dark.moveTo(left, low)
                for corner in ((right, low), (right, high), (left, high)):
                    dark.lineTo(*corner)
                dark.closePath()
            x += wide
    drawing = Drawing(side, side)
    drawing.add(dark)
    return drawing
