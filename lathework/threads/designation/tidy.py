"""Brings what people type for a thread into one form: fractions, signs and dots; words in either order."""

from __future__ import annotations

import re
import unicodedata

from lathework.threads.designation.common import SIZE

_DASHES = "‐‑‒–—―−﹘﹣－"
_SIGNS = str.maketrans({**dict.fromkeys(_DASHES, "-"), **dict.fromkeys("×✕✖⨯∗*", "x"), "⁄": "/", "∕": "/"})
_MARK = r"(?:[\"″”“‶]|''|′′)"
_WHOLE_INCHES = re.compile(rf"(?<![\d/.])(?P<whole>\d{{1,2}})\s*(?:{_MARK}|inch(?:es)?\b|in\b)", re.IGNORECASE)
_INCH_MARKS = re.compile(rf"{_MARK}|(?<=[\d/])\s*(?:inches|inch|in\.|in)(?=\s|-|x|$)", re.IGNORECASE)
_AFTER_WHOLE = re.compile(r"(?<=\d)\s*(?=[¼-¾⅐-⅞])")
_BRITISH_MIXED = re.compile(r"(?<![\d.])(?P<whole>\d{1,2})\s*\.\s*(?P<part>\d{1,2}\s*/\s*\d{1,3})(?!\d)")
_ROUND_SLASH = re.compile(r"(?<=\d)\s*/\s*(?=\d)")
_DOTTED = re.compile(r"(?<![a-z])(?:[a-z]\.\s?){1,}[a-z]\b\.?", re.IGNORECASE)
_WORDS = (
    *("unc", "unf", "unef", "uns", "un", "nc", "nf", "bsw", "bsf", "whitworth", "whit", "ww", "w", "me", "brass"),
    *("model engineer", "bspp", "bspt", "bsp", "gas", "npt", "npsm"),
)
_SERIES = "|".join(sorted(_WORDS, key=len, reverse=True))
_WORD_FIRST = re.compile(rf"^(?P<word>{_SERIES})\s*-?\s*(?P<rest>(?:#|no\.?\s*)?[\d.].*)$", re.IGNORECASE)
_WORD_BETWEEN = re.compile(
    rf"^(?P<size>{SIZE})\s*(?P<word>{_SERIES})\s*-?\s*(?P<count>\d{{1,3}})(?:\s*tpi)?(?!\d*\s*-?\s*starts?)(?P<more>\D.*)?$",
    re.IGNORECASE | re.ASCII,
)


def ordered(text: str) -> str:
    """Size, count, series, whatever order they were typed in; nothing else may stand behind them.

    >>> ordered("BSW 1/4"), ordered("5/16 ME 40")
    ('1/4 BSW', '5/16-40 ME')
    """
    if match := _WORD_FIRST.match(text):
        text = f"{match['rest']} {match['word']}"
    if match := _WORD_BETWEEN.match(text):
        text = f"{match['size']}-{match['count']} {match['word']}{match['more'] or ''}"
    return text


def tidied(text: str) -> str:
    """The text with the signs of a plain keyboard.

    >>> tidied("1½–6 U.N.C."), tidied("W 1.1/4"), tidied("3⁄8×16")
    ('1-1/2-6 UNC', 'W 1-1/4', '3/8x16')
    """
    out = unicodedata.normalize("NFKC", _AFTER_WHOLE.sub("-", text.strip())).translate(_SIGNS)
    out = _DOTTED.sub(lambda match: re.sub(r"[.\s]", "", match[0]), out)
    out = re.sub(r",(?=\s)", " ", out).replace(",", ".")
    out = _BRITISH_MIXED.sub(lambda match: f"{match['whole']}-{match['part']}", out)
    # A whole number of inches is no number size.
    out = _WHOLE_INCHES.sub(lambda match: f"{match['whole']}.0", out)
    out = _ROUND_SLASH.sub("/", _INCH_MARKS.sub("", out))
    return re.sub(r"\s+", " ", out).strip()
