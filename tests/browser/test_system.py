"""What pages are made of, each once on a page that is built for this test, beside its photograph of before.

A change that is meant is photographed anew: `CONCH_PHOTOGRAPH=1` before the test command, and the pictures looked at.
"""

from __future__ import annotations

import mimetypes
import os
import subprocess
import tempfile
import unittest
from pathlib import Path
from typing import ClassVar

from PIL import Image, ImageChops
from playwright.sync_api import Page, Route

from tests.browser.chromium import browser

WEB = Path(__file__).resolve().parents[2] / "web"
KEPT = WEB / "tests" / "system"
ADDRESS = "http://conch.test/system/"
THEMES = ("shell", "deep")
CELL = 8
"""Pictures are compared by the mean colour of squares (px): how a letter's edge is smoothed differs by machine."""
LEVELS = 10
"""How far the colour of a square may be off, of 255."""
MOST_SQUARES = 6
TAKEN_WITH = KEPT / "taken-with.txt"
OF_ANOTHER_BROWSER = 700
"""Squares that may differ, of 23,400: where the photograph was taken with another release of the browser its letters
stand a fraction of a pixel elsewhere."""
BUILD_S = 300
"""Seconds that the page is given to be built, where the machine is busy with other tests."""
OTHER_VALUES = ("--control: 44px", "--round: 4px", "--s14: 0.8125rem", "--coral: #a3201d", "--line: #c0b0a0")


def squares_unlike(one: Image.Image, other: Image.Image) -> int:
    """In how many squares two pictures of one size differ to the eye."""
    off = ImageChops.difference(one.convert("RGB").reduce(CELL), other.convert("RGB").reduce(CELL))
    red, green, blue = off.split()
    return sum(ImageChops.lighter(ImageChops.lighter(red, green), blue).histogram()[LEVELS + 1 :])


class System(unittest.TestCase):
    folder: ClassVar[Path]

    @classmethod
    def setUpClass(cls) -> None:
        super().setUpClass()
        made = tempfile.TemporaryDirectory(prefix="conch-system-")
        cls.addClassCleanup(made.cleanup)
        cls.folder = Path(made.name)
        command = ["npx", "--no-install", "vite", "build", "--config", "vite.system.config.ts", "--outDir", made.name]
        done = subprocess.run(command, cwd=WEB, capture_output=True, text=True, check=False, timeout=BUILD_S)
        if done.returncode:
            raise AssertionError(done.stdout + done.stderr)

    def opened(self, theme: str) -> Page:
        context = browser().new_context(viewport={"width": 1200, "height": 900}, reduced_motion="reduce")
        self.addCleanup(context.close)
        page = context.new_page()
        page.route(ADDRESS + "**", self.from_folder)
        page.goto(f"{ADDRESS}#{theme}")
        page.get_by_text("Nothing here yet.").wait_for()
        page.evaluate("document.fonts.ready")
        return page

    def from_folder(self, route: Route) -> None:
        name = route.request.url.removeprefix(ADDRESS) or "index.html"
        kind = mimetypes.guess_type(name)[0] or "application/octet-stream"
        route.fulfill(path=self.folder / name.split("#")[0], content_type=kind)

    def photograph(self, page: Page) -> Image.Image:
        path = self.folder / "now.png"
        page.screenshot(path=path, full_page=True)
        with Image.open(path) as taken:
            return taken.copy()

    def test_is_as_it_was_photographed(self) -> None:
        if os.environ.get("CONCH_PHOTOGRAPH"):
            TAKEN_WITH.write_text(browser().version + "\n", encoding="utf-8")
        same = TAKEN_WITH.read_text(encoding="utf-8").strip() == browser().version
        for theme in THEMES:
            with self.subTest(theme):
                taken = self.photograph(self.opened(theme))
                if os.environ.get("CONCH_PHOTOGRAPH"):
                    taken.save(KEPT / f"{theme}.png", optimize=True)
                with Image.open(KEPT / f"{theme}.png") as kept:
                    self.assertEqual(taken.size, kept.size)
                    self.assertLessEqual(squares_unlike(taken, kept), MOST_SQUARES if same else OF_ANOTHER_BROWSER)

    def test_another_value_is_seen(self) -> None:
        """Each token that is changed makes another picture: the comparison is no formality."""
        page = self.opened("shell")
        before = self.photograph(page)
        for value in OTHER_VALUES:
            with self.subTest(value):
                style = page.add_style_tag(content=f":root[data-theme] {{ {value} }}")
                after = self.photograph(page)
                self.assertTrue(after.size != before.size or squares_unlike(after, before) > MOST_SQUARES)
                style.evaluate("style => style.remove()")


if __name__ == "__main__":
    unittest.main()
