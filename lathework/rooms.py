"""Rooms whose modules register themselves by being there: a family of threads, a kind of thing, a way to hold a die."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Sequence
from importlib import import_module
from pkgutil import iter_modules
from typing import Any, TypeVar

T = TypeVar("T")


def all_of(room: str, path: Iterable[str], made: type[T], *, place: Callable[[T], int]) -> tuple[T, ...]:
    """Everything of a class that the modules of a room hold, each once, in its `place`.

    `room` is the name of its package, `path` where its modules lie.
    """
    modules = [import_module(f"{room}.{module.name}") for module in iter_modules(path)]
    found = {id(one): one for module in modules for one in vars(module).values() if isinstance(one, made)}
    return tuple(sorted(found.values(), key=place))


def check_once(what: str, *told: Sequence[Any]) -> None:
    """Raises ValueError where something is said twice: two that are registered take themselves for the same.

    >>> check_once("kinds", ["die", "tap"], [1, 1])
    Traceback (most recent call last):
    ValueError: twice among the kinds: [1, 1]
    """
    for said in told:
        if len(set(said)) < len(said):
            raise ValueError(f"twice among the {what}: {sorted(said)}")
