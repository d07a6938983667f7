"""Every command says what it does, and each of its options what it takes."""

from __future__ import annotations

import argparse
import unittest
from collections.abc import Iterator

from lathework.identify.evidence import FIELDS
from launcher.options import EVIDENCE, parser


def commands() -> Iterator[tuple[str, argparse.ArgumentParser]]:
    """Each command by its name."""
    for action in parser()._actions:
        if isinstance(action.choices, dict):
            yield from action.choices.items()


class Help(unittest.TestCase):
    def test_every_option_has_its_words(self) -> None:
        seen = 0
        for name, command in commands():
            for action in command._actions:
                with self.subTest(name, option=action.dest):
                    self.assertGreater(len(action.help or ""), 4)
                    seen += 1
        self.assertGreater(seen, 60)

    def test_every_piece_of_evidence_is_offered(self) -> None:
        self.assertEqual(tuple(EVIDENCE), FIELDS)
