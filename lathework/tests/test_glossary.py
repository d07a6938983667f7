"""The words of the trade: each once, each explained."""

from __future__ import annotations

import unittest
from collections import Counter

from lathework.glossary import trade_words


class Glossary(unittest.TestCase):
    def test_each_name_is_explained_once(self) -> None:
        names = Counter(name.lower() for one in trade_words() for name in (one.word, one.also) if name)
        self.assertEqual([name for name, count in names.items() if count > 1], [])

    def test_by_the_alphabet(self) -> None:
        words = [one.word.lower() for one in trade_words()]
        self.assertEqual(words, sorted(words))

    def test_a_meaning_says_more_than_its_word(self) -> None:
        """A whole sentence that begins with a capital and ends with a stop."""
        for one in trade_words():
            with self.subTest(one.word):
                self.assertRegex(one.meaning, r"^[A-Z].*\.$")
                self.assertGreater(len(one.meaning.split()), 5)


if __name__ == "__main__":
    unittest.main()
