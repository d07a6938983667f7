"""Words on a screen, on paper and on the command line: short sentences, words that a machinist uses."""

from __future__ import annotations

import ast
import re
import unittest
from collections.abc import Iterator
from pathlib import Path

from lathework.glossary import trade_words

ROOT = Path(__file__).resolve().parents[2]
MOST_WORDS = 25
#: A word that is not used, and the one that is: one name for one thing.
NOT_USED = {
    "swarf": "chips",
    "mates?": "mating part",
    "vise": "vice",
    "told": "shown, given",
    "stands?": "is, stays, remains",
    "wants": "needs",
    "nobody": "not given",
    "shake": "play",
    "chuckings?": "set-up",
    "set ?up sheet": "set-up sheet",
    "troubles?": "problem",
    "stand-ins?": "simulated",
    "fitters?": "full use",
    "onlookers?": "view only",
    "unreadable": "cannot be opened",
    "hindrance": "what is in the way",
    "payload": "",
    "greatest": "maximum, largest",
    "(?<!pitch )lea(?:f|ves) gauges?": "pitch gauge",
    "turn(?:ed)? round": "flip the die, turn end for end",
    "undo(?:es)? itself": "unscrews",
}
#: Where a word is meant as it is: the round that is turned for flats, keys and places that nobody reads.
PHRASES = ("Turn round for the", "turned round for the", "mate:", "{mate}")
BAD = re.compile(rf"\b(?:{'|'.join(NOT_USED)})\b", re.IGNORECASE)


def _documentation(tree: ast.AST) -> set[int]:
    """Strings that stand alone: they speak to who reads the code."""
    return {
        id(node.value)
        for node in ast.walk(tree)
        if isinstance(node, ast.Expr) and isinstance(node.value, ast.Constant | ast.JoinedStr)
    }


def _in_python(file: Path) -> Iterator[str]:
    """The sentences of a module, values as `X`: what has two words and is no documentation."""
    tree = ast.parse(file.read_text(encoding="utf-8"))
    skipped = _documentation(tree)
    for node in ast.walk(tree):
        if isinstance(node, ast.JoinedStr):
            skipped.update(id(value) for value in node.values)
            yield "".join(str(one.value) if isinstance(one, ast.Constant) else "X" for one in node.values)
    for node in ast.walk(tree):
        if isinstance(node, ast.Constant) and isinstance(node.value, str) and id(node) not in skipped:
            yield node.value


def _in_a_page(file: Path) -> Iterator[str]:
    """The words of a component's template, between its tags and in the attributes that are read out."""
    template = re.search(r"<template>(.*)</template>", file.read_text(encoding="utf-8"), re.DOTALL)
    if template is None:
        return
    text = re.sub(r"<!--.*?-->|\{\{.*?\}\}", "X", template[1], flags=re.DOTALL)
    yield from (" ".join(words.split()) for words in re.findall(r"(?<!=)>([^<>]+)<", text))
    yield from re.findall(r'\s(?:label|aria-label|title|placeholder|sentence|hint)="([^"]+)"', text)


def sentences() -> Iterator[tuple[str, str]]:
    """Every sentence that a person may see, with its file."""
    for room in ("lathework", "server", "launcher"):
        for file in sorted((ROOT / room).rglob("*.py")):
            if not {"tests", "migrations"} & set(file.parts):
                yield from ((f"{file.relative_to(ROOT)}", text) for text in _in_python(file))
    for file in sorted((ROOT / "web/src").rglob("*.vue")):
        yield from ((f"{file.relative_to(ROOT)}", text) for text in _in_a_page(file))
    for file in sorted((ROOT / "web/src").rglob("*.ts")):
        if not file.name.endswith(".generated.ts"):
            code = re.sub(r"(?s:/\*.*?\*/)|//.*", "", file.read_text(encoding="utf-8"))
            yield from ((f"{file.relative_to(ROOT)}", text) for text in re.findall(r"'([^'\n]+)'", code))
    yield from (("lathework/tables/words.csv", one.meaning) for one in trade_words())


class Words(unittest.TestCase):
    seen: list[tuple[str, str]]

    @classmethod
    def setUpClass(cls) -> None:
        # Patterns and paths of drawings are no sentences.
        cls.seen = [
            (file, text)
            for file, text in sentences()
            if len(text.split()) > 1 and not re.search(r"\(\?|\d[ahv]-?\d|^\W", text)
        ]

    def test_what_is_read_is_what_is_there(self) -> None:
        self.assertGreater(len(self.seen), 3000)
        texts = " ".join(text for _, text in self.seen)
        for known in (
            "Cover your eyes",
            "Skip to content",
            "back up the data to FILE",
            "Stop the spindle",
            "The width that a blade",
            "Every Z on a plan",
        ):
            self.assertIn(known, texts)

    def test_words_not_used(self) -> None:
        for file, text in self.seen:
            plain = text
            for phrase in PHRASES:
                plain = plain.replace(phrase, "")
            with self.subTest(file=file):
                self.assertIsNone(BAD.search(plain), text)

    def test_no_sentence_is_long(self) -> None:
        """In the schemas and formulas, which are looked up, a sentence may be longer."""
        for file, text in self.seen:
            if file.endswith("declaration.py") or "÷" in text or "×" in text:
                continue
            for sentence in re.split(r"(?<=[.?:;·])\s|\n", text):
                with self.subTest(file=file):
                    self.assertLessEqual(len(sentence.split()), MOST_WORDS, sentence)

    def test_no_sentence_shouts(self) -> None:
        for file, text in self.seen:
            with self.subTest(file=file):
                self.assertNotRegex(text, r"\w!(?:\s|$)")


if __name__ == "__main__":
    unittest.main()
