"""Every thread of the tables, family by family."""

from __future__ import annotations

from functools import cache

from lathework.threads.families import FAMILIES
from lathework.threads.thread import Thread


@cache
def library() -> tuple[Thread, ...]:
    """Every thread of the tables, family by family, in the order of their tables."""
    return tuple(thread for family in FAMILIES for thread in family.threads())
