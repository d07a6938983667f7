"""Texts in cells that a spreadsheet may open: what it would run as a formula is written behind an apostrophe."""

from __future__ import annotations

_STARTS = ("=", "+", "-", "@", "\t", "\r", "\n", "＝", "＋", "－", "＠")


def guarded(text: str) -> str:
    """A text as a cell: behind an apostrophe where it would be run, or where it begins with one itself.

    >>> guarded("=1+1"), guarded("5/8"), guarded("'tis")
    ("'=1+1", '5/8', "''tis")
    """
    runs = text.startswith(("'", *_STARTS)) or text.lstrip().startswith(_STARTS)
    return f"'{text}" if runs else text


def unguarded(cell: str) -> str:
    """The text of a cell.

    >>> unguarded("'=1+1"), unguarded("5/8")
    ('=1+1', '5/8')
    """
    return cell[1:] if cell.startswith("'") else cell
