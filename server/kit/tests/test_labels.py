"""Labels for drawers, read back from the file: what stands on them, how large a thing is drawn, what lies where."""

from __future__ import annotations

import io
import re
from unittest import TestCase

from django.test import Client
from pypdf import PdfReader
from reportlab.pdfgen.canvas import Canvas

from lathework.shop.kinds import KIND, KINDS
from server.kit.tests.case import KitCase
from server.paper.thing_picture import Look, draw, size_of

POINTS_OF_AN_INCH = 72.0
_MOST = 26 / 25.4 * POINTS_OF_AN_INCH
_SCALED = re.compile(r"^(-?[\d.]+) \S+ \S+ \S+ \S+ \S+ cm")
_AT = re.compile(r"(-?[\d.]+) (-?[\d.]+) (?:m|l|c|re)\b|(-?[\d.]+) (-?[\d.]+) (-?[\d.]+) (-?[\d.]+) re\b")


def extent(look: Look) -> float:
    """How far apart the outermost ends of its strokes lie from left to right (unit: points), read from the page."""
    out = io.BytesIO()
    canvas = Canvas(out, pageCompression=0)
    draw(canvas, look, 0, 0, _MOST)
    canvas.save()
    ends: list[float] = []
    scale = 1.0
    for line in out.getvalue().decode("latin-1").splitlines():
        if scaled := _SCALED.match(line):
            scale *= float(scaled[1])
        for x, _, left, _, wide, _ in _AT.findall(line):
            ends += [float(left), float(left) + float(wide)] if left else [float(x)]
    return (max(ends) - min(ends)) * scale


class Drawn(TestCase):
    def look(self, kind: str, across_mm: float, bore_mm: float = 0.0, form: str = "") -> Look:
        return Look(KIND[kind].sign, form, across_mm, bore_mm, threaded=False)

    def test_true_to_size(self) -> None:
        """A die of an inch is an inch on paper, a drill of 6 mm is 6 mm; what has no room is as large as there is."""
        self.assertAlmostEqual(extent(self.look("die", 25.4, 12.7)), POINTS_OF_AN_INCH, delta=0.1)
        self.assertAlmostEqual(extent(self.look("drill", 6.0)), 6 / 25.4 * POINTS_OF_AN_INCH, delta=0.1)
        self.assertAlmostEqual(extent(self.look("die", 38.1, 20.0)), _MOST, delta=0.1)

    def test_a_bar_is_sold_by_its_flats(self) -> None:
        """Half an inch over the flats is half an inch of a square, and 0.577 in over the corners of a hexagon."""
        half = POINTS_OF_AN_INCH / 2
        self.assertAlmostEqual(extent(self.look("bar", 12.7, form="square")), half, delta=0.1)
        hexagon = self.look("bar", 12.7, form="hexagon")
        self.assertAlmostEqual(extent(hexagon), half * 1.1547, delta=0.1)
        self.assertAlmostEqual(size_of(hexagon, _MOST)[1], half, delta=0.1)
        self.assertLessEqual(size_of(self.look("bar", 38.1, form="hexagon"), _MOST)[0], _MOST + 0.01)

    def test_every_kind_is_drawn(self) -> None:
        for kind in KINDS:
            with self.subTest(kind.code):
                look = self.look(kind.code, 10.0)
                wide, high = size_of(look, _MOST)
                self.assertGreater(extent(look), wide / 3)
                self.assertLessEqual(extent(look), wide + 0.1)
                self.assertLessEqual(wide, _MOST)
                self.assertLessEqual(high, _MOST)


class OnPaper(KitCase):
    def words(self) -> str:
        answer = Client().get("/api/kit/labels.pdf")
        return "\n".join(page.extract_text() for page in PdfReader(io.BytesIO(bytes(answer.content))).pages)

    def test_what_it_is_then_its_kind_then_its_place(self) -> None:
        self.add("1/2 BSW die 1 x 3/8 worn, British box")
        self.assertEqual(self.words().split("\n")[:2], ["1/2 BSW", "split die, 1 in"])
        self.assertIn("British box", self.words())

    def test_a_long_name_is_whole(self) -> None:
        self.add("self-opening die head 3/16 to 5/8, head box")
        told = " ".join(self.words().split())
        self.assertIn("self-opening die head, 3/16 in to 5/8 in", told)
