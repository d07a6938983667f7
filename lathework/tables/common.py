"""Sizes that shops hold, from the table of common sizes."""

from __future__ import annotations

from functools import cache

from lathework.tables.loader import load


@cache
def common_sizes(kind: str) -> frozenset[str]:
    """First-choice metric diameters, in millimetres as written, or designations of the fine threads met daily.

    `kind` is "first-choice" or "daily-fine". Source: practice.
    """
    return frozenset(row.text("value") for row in load("common_sizes").rows if row.text("kind") == kind)
