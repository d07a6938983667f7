"""An address on paper, for a camera (QR code, ISO/IEC 18004)."""

from __future__ import annotations

from reportlab.graphics.barcode.qr import QrCodeWidget
from reportlab.graphics.shapes import Drawing


def code_drawing(address: str, side: float) -> Drawing:
    """A code of that `side` (unit: points)."""
    widget = QrCodeWidget(address, barLevel="M")
    left, bottom, right, top = widget.getBounds()
    drawing = Drawing(side, side, transform=[side / (right - left), 0, 0, side / (top - bottom), 0, 0])
    drawing.add(widget)
    return drawing
