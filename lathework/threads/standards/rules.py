"""What each standard's module offers: its classes, and limits by class."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

from lathework.threads.standards.bands import ExternalLimits, InternalLimits
from lathework.threads.thread import Thread

Classes = Callable[[Thread], tuple[str, ...]]


@dataclass(frozen=True, slots=True)
class Rules:
    """One standard: names of classes (the usual first) and limits; limits of a class it does not cover are None."""

    external_names: Classes
    internal_names: Classes
    external: Callable[[Thread, str, float | None], ExternalLimits | None] | None
    internal: Callable[[Thread, str, float | None], InternalLimits | None]
