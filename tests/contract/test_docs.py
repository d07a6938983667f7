"""Documents are true: every table has its source, every link its file, every command its mention; modules are small."""

from __future__ import annotations

import re
import unittest
from pathlib import Path

from lathework.tables.loader import FOLDER, load

ROOT = Path(__file__).resolve().parents[2]
DOCS = ROOT / "docs"
COMMANDS = ("start", "test", "benchmark", "size", "plan", "rebuild", "backup", "restore")
LINK = re.compile(r"\]\(([^)#]+)(?:#[^)]*)?\)")
MOST_SCREENSHOTS = 19
MOST_LINES = 250
MOST_MODULES = 15
"""Lines of a module of the core: what is longer holds two things."""


class Documents(unittest.TestCase):
    def pages(self) -> list[Path]:
        return [ROOT / "README.md", ROOT / "CHANGELOG.md", *sorted(DOCS.rglob("*.md"))]

    def test_links_lead_somewhere(self) -> None:
        for page in self.pages():
            for target in LINK.findall(page.read_text(encoding="utf-8")):
                with self.subTest(page=page.name, target=target):
                    self.assertTrue((page.parent / target).exists())

    def test_every_table_is_listed_with_its_standard(self) -> None:
        text = (DOCS / "sources.md").read_text(encoding="utf-8")
        for file in FOLDER.glob("*.csv"):
            with self.subTest(file.name):
                self.assertIn(f"`{file.name}`", text)
                self.assertIn(load(file.stem).meta["standard"], text)

    def test_the_readme_names_every_command(self) -> None:
        text = (ROOT / "README.md").read_text(encoding="utf-8")
        for command in COMMANDS:
            self.assertIn(f"./conch {command}", text)

    def test_screenshots_are_few_and_each_is_shown(self) -> None:
        shots = sorted((DOCS / "screenshots").glob("*.png"))
        readme = (ROOT / "README.md").read_text(encoding="utf-8")
        self.assertTrue(5 <= len(shots) <= MOST_SCREENSHOTS)
        for shot in shots:
            self.assertIn(f"docs/screenshots/{shot.name}", readme)

    def test_modules_of_the_core_are_small(self) -> None:
        modules = [page for page in (ROOT / "lathework").rglob("*.py") if "tests" not in page.parts]
        self.assertGreater(len(modules), 100)
        for module in modules:
            with self.subTest(module.relative_to(ROOT)):
                self.assertLessEqual(len(module.read_text(encoding="utf-8").splitlines()), MOST_LINES)

    def test_rooms_hold_no_more_than_one_sees_at_once(self) -> None:
        """Tests and migrations, which are read one by one, may be many."""
        for room in ("lathework", "server", "launcher"):
            for folder in (ROOT / room).rglob("__init__.py"):
                if {"tests", "migrations"} & set(folder.parts):
                    continue
                with self.subTest(folder.parent.relative_to(ROOT)):
                    self.assertLessEqual(len(list(folder.parent.glob("*.py"))) - 1, MOST_MODULES)

    def test_decisions_say_what_why_and_what_else(self) -> None:
        records = sorted((DOCS / "decisions").glob("[0-9]*.md"))
        self.assertGreaterEqual(len(records), 5)
        for record in records:
            text = record.read_text(encoding="utf-8")
            with self.subTest(record.name):
                for heading in ("## What", "## Why", "## Considered"):
                    self.assertIn(heading, text)

    def test_nothing_refers_outside_the_house(self) -> None:
        """No file of the product names an address other than its own or a standard's namespace."""
        allowed = ("http://127.0.0.1", "http://www.w3.org/", "https://json-schema.org/")
        for pattern in (
            "lathework/**/*.py",
            "server/**/*.py",
            "launcher/**/*.py",
            "web/src/**/*",
            "docs/**/*.md",
            "*.md",
        ):
            for file in ROOT.glob(pattern):
                if not file.is_file() or "tests" in file.parts:
                    continue
                for url in re.findall(r"https?://[^\s\"'`)>]+", file.read_text(encoding="utf-8")):
                    with self.subTest(file=file.name, url=url):
                        self.assertTrue(url.startswith((*allowed, "http://{HERE}")))
