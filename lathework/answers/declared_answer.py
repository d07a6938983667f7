"""How an answer is declared: as a dataclass that nobody changes, quick to make."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TypeVar, dataclass_transform

_T = TypeVar("_T")


@dataclass_transform(frozen_default=True)
def answer(cls: type[_T]) -> type[_T]:
    """Declare an answer: frozen for whoever checks the types.

    Not so while the program runs, where setting up a frozen dataclass takes three times as long, and a plan holds
    thousands of them.
    """
    return dataclass(cls)
