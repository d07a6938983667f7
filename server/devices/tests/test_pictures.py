"""Pictures of addresses are read by a reader of another make."""

from __future__ import annotations

import re
import unittest
from io import BytesIO

import zxingcpp
from PIL import Image, ImageDraw
from pypdf import PdfReader
from reportlab.pdfgen.canvas import Canvas

from server.devices.picture import picture
from server.paper.code import draw_code

ADDRESSES = (
    "http://192.0.2.20:8420/pair#482913",
    "https://shop.example:8420/jobs/12345/bench",
    f"http://{'a' * 60}.example:65535/jobs/{'9' * 20}/bench",
)
SCALE = 6


class Pictures(unittest.TestCase):
    def read(self, image: Image.Image) -> str:
        [found] = zxingcpp.read_barcodes(image)
        return str(found.text)

    def test_on_the_screen(self) -> None:
        for address in ADDRESSES:
            drawn = picture(address)
            image = Image.new("L", (drawn.side * SCALE,) * 2, 255)
            pen = ImageDraw.Draw(image)
            for x, y in re.findall(r"M(\d+) (\d+)h1v1h-1z", drawn.path):
                left, top = int(x) * SCALE, int(y) * SCALE
                pen.rectangle((left, top, left + SCALE - 1, top + SCALE - 1), fill=0)
            self.assertEqual(self.read(image), address)

    def test_on_paper(self) -> None:
        """What lies up on paper lies down in a picture."""
        side = 600
        labels = tuple(f"http://192.0.2.20:8420/shop?thing=d{number:010x}" for number in range(0, 2**32, 2**28 + 7))
        for address in (*ADDRESSES, *labels):
            out = BytesIO()
            canvas = Canvas(out, pagesize=(side, side), pageCompression=0)
            draw_code(canvas, address, 0, 0, side)
            canvas.save()
            image = Image.new("L", (side, side), 255)
            pen, module = ImageDraw.Draw(image), 1.0
            for values, operator in getattr(PdfReader(out).pages[0].get_contents(), "operations", ()):
                if operator == b"cm":
                    module *= float(values[0])
                if operator == b"re":
                    left, low, wide, high = (float(value) * module for value in values)
                    corner = (round(left + wide) - 1, round(side - low) - 1)
                    pen.rectangle((round(left), round(side - low - high), *corner), fill=0)
            self.assertEqual(self.read(image), address)
