"""Fonts for paper: the screen's own faces, shipped beside this module, turned into what a PDF takes."""

from __future__ import annotations

from functools import cache
from io import BytesIO
from pathlib import Path

from fontTools.ttLib import TTFont as FontFile
from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.pdfmetrics import stringWidth
from reportlab.pdfbase.ttfonts import TTFont

WORDS, BOLD, FIGURES, KEY = "Conch", "Conch-Bold", "Conch-Figures", "Conch-Figures-Bold"
_FILES = {
    WORDS: "atkinson-hyperlegible-next-latin-400-normal.woff",
    BOLD: "atkinson-hyperlegible-next-latin-700-normal.woff",
    FIGURES: "atkinson-hyperlegible-mono-latin-400-normal.woff",
    KEY: "atkinson-hyperlegible-mono-latin-700-normal.woff",
}


@cache
def fonts() -> None:
    """Register the faces, once."""
    folder = Path(__file__).resolve().parent / "faces"
    for name, file in _FILES.items():
        face = FontFile(folder / file)
        face.flavor = None
        plain = BytesIO()
        face.save(plain)
        plain.seek(0)
        pdfmetrics.registerFont(TTFont(name, plain))


def fitted(text: str, room: float, face: str, size: float) -> str:
    """As much of a line in a face of a `size` as `room` holds (units: points), with a sign where some is left out."""
    begins = [text, *(f"{text[:count]}…" for count in range(len(text) - 1, 0, -1))]
    return next((line for line in begins if stringWidth(line, face, size) <= room), "")
