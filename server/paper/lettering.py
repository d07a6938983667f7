"""The lettering of a printed sheet: its styles at a size, for a width of paper."""

from __future__ import annotations

import re
from typing import Any

from reportlab.lib.styles import ParagraphStyle
from reportlab.platypus import Paragraph
from reportlab.platypus.paraparser import ParaFrag

from server.paper.fonts import BOLD, KEY, WORDS

SIZES = (1.0, 0.95, 0.9)
"""Sizes that still read at arm's length, the full one first."""

_JOINED = re.compile(r"(?<=\bZ) (?=[−\d])|(?<=\d) (?=(?:in|mm|turns)\b)")
"""The spaces inside a figure: no line ends there."""


Piece = tuple[str, ParagraphStyle]
"""Words in a style."""


class Lettering:
    """Paragraphs at `size` (1 for full) for a column `width` in points."""

    def __init__(self, size: float, width: float) -> None:
        self.size, self.width = size, width
        self._title = self._style(BOLD, 20, 24)
        self._line = self._style(WORDS, 11, 14)
        self._step = self._style(BOLD, 12.5, 15)
        self._do = self._style(WORDS, 12, 14.5)
        self._care = self._style(WORDS, 10, 12, leftIndent=6)
        self._key = self._style(KEY, 14, 17, alignment=2)
        self._models: dict[int, ParaFrag] = {}

    def _paragraph(self, *pieces: Piece) -> Paragraph:
        """A paragraph of words as they are, in the style of the first: nothing in them is markup, nothing is parsed."""
        made = [self._model(style).clone(text=_JOINED.sub("\u00a0", text)) for text, style in pieces]
        return Paragraph("", pieces[0][1], frags=made)

    def _model(self, style: ParagraphStyle) -> ParaFrag:
        """A piece of a paragraph in a style, as the library's own parser makes one."""
        if id(style) not in self._models:
            self._models[id(style)] = Paragraph("x", style).frags[0]
        return self._models[id(style)]

    def _style(self, face: str, height: float, leading: float, **more: Any) -> ParagraphStyle:
        return ParagraphStyle("", fontName=face, fontSize=height * self.size, leading=leading * self.size, **more)

    def title(self, text: str) -> Paragraph:
        """The name of the job."""
        return self._paragraph((text, self._title))

    def line(self, text: str) -> Paragraph:
        """A fact about the whole."""
        return self._paragraph((text, self._line))

    def step(self, text: str, tool: str = "") -> Paragraph:
        """What a step or a chucking is called; the tool beside it, in the face and size of what is minded."""
        beside = ((f" {tool}", self._care),) if tool else ()
        return self._paragraph((text, self._step), *beside)

    def do(self, text: str) -> Paragraph:
        """What is done."""
        return self._paragraph((text, self._do))

    def care(self, text: str) -> Paragraph:
        """What is minded beside it."""
        return self._paragraph((text, self._care))

    def key(self, text: str) -> Paragraph:
        """The one figure of a step, at the right: the heaviest of it."""
        return self._paragraph((text, self._key))
