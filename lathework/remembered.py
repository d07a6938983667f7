"""What was worked out once, kept for as long as the same is asked for."""

from __future__ import annotations

from collections.abc import Callable, Hashable
from typing import Generic, TypeVar

Told = TypeVar("Told")


class Remembered(Generic[Told]):
    """Values by key, any but None; all are forgotten when there are `most`. Threads may share it."""

    def __init__(self, most: int) -> None:
        self._most = most
        self._kept: dict[Hashable, Told] = {}

    def get(self, key: Hashable) -> Told | None:
        """The value of a key, where it is known."""
        return self._kept.get(key)

    def keep(self, key: Hashable, told: Told) -> None:
        """Keep the value of a key."""
        if len(self._kept) >= self._most:
            self._kept.clear()
        self._kept[key] = told

    def of(self, key: Hashable, work_out: Callable[[], Told]) -> Told:
        """The value of a key, worked out where it is not known."""
        told = self.get(key)
        if told is None:
            told = work_out()
            self.keep(key, told)
        return told
