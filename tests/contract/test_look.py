"""The look is one system: what styles say of space, type, corners and lines is of its few values, and of no others."""

from __future__ import annotations

import re
import unittest
from collections.abc import Iterator
from pathlib import Path

ROOT = Path(__file__).resolve().parents[2] / "web" / "src"
SPACE = {"0", "4px", "8px", "12px", "16px", "24px", "32px", "48px", "auto"}
TYPE = {"var(--s14)", "var(--s16)", "var(--s20)", "var(--s28)", "var(--s44)", "inherit"}
CORNER = {"0", "50%", "var(--round)", "var(--tight)"}
STROKE = {"0.8", "1.2", "1.6", "2.4"}
DASH = {"6 4", "14 3 3 3", "none"}
FLUID = ("clamp(", "min(", "max(", "calc(", "env(", "var(")
_RULE = re.compile(r"([^{}]*)\{([^{}]*)\}")
_SAID = re.compile(r"(?<![\w-])([a-z-]+)\s*:\s*([^;{}]+);")


def rules() -> Iterator[tuple[str, str, str]]:
    """Every innermost rule of the page's styles: its file, what it is of, what it says."""
    for file in sorted(path for path in ROOT.rglob("*") if path.suffix in (".vue", ".css")):
        text = file.read_text(encoding="utf-8")
        styles = [text] if file.suffix == ".css" else re.findall(r"<style[^>]*>(.*?)</style>", text, re.DOTALL)
        for style in styles:
            for of, says in _RULE.findall(re.sub(r"/\*.*?\*/", "", style, flags=re.DOTALL)):
                yield str(file.relative_to(ROOT)), of.strip(), says


def said(*names: str) -> Iterator[tuple[str, str]]:
    """Where a property of those names is said, and its value; what is hidden but read out has none."""
    for file, of, says in rules():
        if "clip-path" in says:
            continue
        for name, value in _SAID.findall(says):
            if re.fullmatch("|".join(names), name):
                yield f"{file}: {of} {{ {name} }}", value.strip()


class Look(unittest.TestCase):
    def test_styles_are_found(self) -> None:
        self.assertGreater(len(list(said(r"(row-|column-)?gap"))), 100)

    def test_space(self) -> None:
        """In seven steps; room that follows the screen, and what a bench keeps round itself, are said by what they
        follow."""
        for where, value in said(r"(row-|column-)?gap", r"(padding|margin)(-[a-z-]+)?"):
            if any(one in value for one in FLUID):
                continue
            for one in value.removesuffix(" !important").split():
                with self.subTest(where, value=value):
                    self.assertIn(one.removeprefix("-"), SPACE)

    def test_type(self) -> None:
        """In five sizes; only the figures of a bench grow with its screen."""
        for where, value in said("font-size"):
            if where.startswith(("features/bench/", "shared/theme/theme.css: html")):
                continue
            with self.subTest(where):
                self.assertIn(value, TYPE)

    def test_corners(self) -> None:
        for where, value in said(r"border(-[a-z]+)*-radius"):
            with self.subTest(where):
                self.assertLessEqual(set(value.split()), CORNER)

    def test_strokes_of_drawings(self) -> None:
        """Four weights; what keeps lines off words, or is found by a finger, is no line."""
        for file, of, says in rules():
            if "paint-order" in says or "transparent" in says:
                continue
            for name, value in _SAID.findall(says):
                if name == "stroke-width" and not file.startswith("features/help/"):
                    with self.subTest(file, of=of):
                        self.assertIn(value.strip(), STROKE)

    def test_dashes(self) -> None:
        """What is not there yet, and a centre line: nothing else, and nothing dotted."""
        for where, value in said("stroke-dasharray"):
            with self.subTest(where):
                self.assertIn(value, DASH)
        for file, of, says in rules():
            with self.subTest(file, of=of):
                self.assertNotIn("dotted", says)


if __name__ == "__main__":
    unittest.main()
