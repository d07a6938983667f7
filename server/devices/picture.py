"""An address as a picture that a camera reads (QR code, ISO/IEC 18004)."""

from __future__ import annotations

import segno

from lathework.answers.declared_answer import answer

BORDER = 4
"""Light modules around it, as the standard asks."""


@answer
class Picture:
    """A square of so many modules a `side`, and its dark ones as an SVG path over them."""

    side: int
    path: str


def picture(address: str) -> Picture:
    """The picture of an address."""
    code = segno.make_qr(address, error="m")
    rows = list(code.matrix_iter(border=BORDER))
    dark = [f"M{x} {y}h1v1h-1z" for y, row in enumerate(rows) for x, module in enumerate(row) if module]
    return Picture(len(rows), "".join(dark))
