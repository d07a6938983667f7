"""What was worked out of a thing, kept for as long as it is the same: each page of the shop asks for all of them."""

from __future__ import annotations

from collections.abc import Callable, Hashable
from typing import Generic, TypeVar

KEPT = 8000
Told = TypeVar("Told")


class Remembered(Generic[Told]):
    """Values by key, worked out once each; all forgotten when there are too many."""

    def __init__(self) -> None:
        self._kept: dict[Hashable, Told] = {}

    def of(self, key: Hashable, work_out: Callable[[], Told]) -> Told:
        """The value of a key, worked out where it is not known."""
        if key not in self._kept:
            told = work_out()
            if len(self._kept) >= KEPT:
                self._kept.clear()
            self._kept[key] = told
        return self._kept[key]
