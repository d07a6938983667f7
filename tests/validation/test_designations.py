"""Designations as people type them, each with what it must mean; wrong ones refused with words that help."""

from __future__ import annotations

import unittest
from collections.abc import Iterator
from pathlib import Path

from lathework.errors import InputError
from lathework.threads.designation import read_called

FILE = Path(__file__).parent / "data" / "designations.txt"


def rows() -> Iterator[tuple[str, list[str]]]:
    """What is typed, and the columns of what it means."""
    for line in FILE.read_text(encoding="utf-8").splitlines():
        if line and not line.startswith("# "):
            typed, *meaning = (cell.strip() for cell in line.split(" | "))
            yield typed, meaning


class AsPeopleType(unittest.TestCase):
    def test_each_means_what_it_must(self) -> None:
        found = [(typed, meaning) for typed, meaning in rows() if not meaning[0].startswith("!")]
        self.assertGreaterEqual(len(found), 300)
        for typed, meaning in found:
            with self.subTest(typed):
                called = read_called(typed)
                told = [called.thread.designation, called.class_name, called.inside_class, called.length]
                self.assertEqual(told, (meaning + ["", "", ""])[:4])

    def test_wrong_ones_are_refused_with_words_that_help(self) -> None:
        refused = [(typed, meaning[0]) for typed, meaning in rows() if meaning[0].startswith("!")]
        self.assertGreaterEqual(len(refused), 20)
        for typed, code in refused:
            with self.subTest(typed), self.assertRaises(InputError) as told:
                read_called(typed)
            error = told.exception
            self.assertEqual(error.code, code.removeprefix("!").strip())
            helps = ("Write", "Class", "covered", "divides")
            self.assertTrue(error.choices or any(word in error.message for word in helps), error.message)
            for choice in error.choices:
                read_called(choice)
