"""Words of the trade that a newcomer may not know. Source: `tables/words.csv`, practice."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

from lathework.tables.loader import load


@dataclass(frozen=True)
class TradeWord:
    """A word, what else it is called ("" where nothing), and what it means in a sentence or two."""

    word: str
    also: str
    meaning: str


@cache
def trade_words() -> tuple[TradeWord, ...]:
    """All of them, by the alphabet."""
    rows = load("words").rows
    words = (TradeWord(row.text("word"), row.cells["also"], row.text("meaning")) for row in rows)
    return tuple(sorted(words, key=lambda one: one.word.lower()))
