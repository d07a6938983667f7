"""Limits of size by class, each family from its own standard, to that standard's printed digits."""

from __future__ import annotations

from functools import lru_cache

from lathework.errors import InputError
from lathework.threads.families import family_of
from lathework.threads.standards.bands import ExternalLimits, InternalLimits
from lathework.threads.standards.rules import Rules
from lathework.threads.thread import Thread

KEPT = 4096
"""Answers kept: a plan asks for the same limits at each keystroke."""


def _rules(thread: Thread) -> Rules | None:
    return family_of(thread).rules(thread)


def has_external(thread: Thread) -> bool:
    """Whether the standard gives limits of the external thread: false for a taper or an internal one."""
    rules = _rules(thread)
    return rules is not None and rules.external is not None


def external_classes(thread: Thread) -> tuple[str, ...]:
    """Classes the standard gives for the external thread, the usual one first; empty for a taper thread."""
    rules = _rules(thread)
    if rules is None or rules.external is None:
        return ()
    return tuple(name for name in rules.external_names(thread) if rules.external(thread, name, None) is not None)


@lru_cache(maxsize=KEPT)
def internal_classes(thread: Thread) -> tuple[str, ...]:
    """Classes the standard gives for the internal thread, the usual one first; empty for a taper thread."""
    rules = _rules(thread)
    if rules is None:
        return ()
    return tuple(name for name in rules.internal_names(thread) if rules.internal(thread, name, None) is not None)


def _not_covered(thread: Thread, class_name: str, field: str, choices: tuple[str, ...]) -> InputError:
    told = f"Class {class_name} is not covered for {thread.designation}."
    return InputError("class-not-covered", field, told if choices else f"{thread.designation} has no classes.", choices)


@lru_cache(maxsize=KEPT)
def external_limits(
    thread: Thread, class_name: str = "", engagement: float | None = None, field: str = "class"
) -> ExternalLimits | None:
    """Limits of the external thread in its own unit; None where the standard has none (a taper thread).

    `class_name` "" is the usual class; `engagement` is the length of engagement in the thread's unit, None for the
    standard's own assumption. Raises InputError on `field` when the standard does not cover the class.

    Source: ASME B1.1, ISO 965-1, BS 84, ISO 228-1, BS 93, as named in the result.
    """
    rules = _rules(thread)
    if rules is None or rules.external is None:
        if class_name:
            raise _not_covered(thread, class_name, field, ())
        return None
    names = (class_name,) if class_name else rules.external_names(thread)
    for name in names:
        found = rules.external(thread, name, engagement)
        if found is not None:
            return found
    raise _not_covered(thread, names[0], field, external_classes(thread))


@lru_cache(maxsize=KEPT)
def internal_limits(
    thread: Thread, class_name: str = "", engagement: float | None = None, field: str = "internal_class"
) -> InternalLimits | None:
    """Limits of the internal thread in its own unit; None where the standard has none (a taper thread).

    `class_name`, `engagement` (the thread's unit) and `field` as for `external_limits`.
    """
    rules = _rules(thread)
    if rules is None:
        if class_name:
            raise _not_covered(thread, class_name, field, ())
        return None
    names = (class_name,) if class_name else rules.internal_names(thread)
    for name in names:
        found = rules.internal(thread, name, engagement)
        if found is not None:
            return found
    raise _not_covered(thread, names[0], field, internal_classes(thread))


def class_as_named(thread: Thread, typed: str) -> str:
    """A class as the standard writes it, from how it was typed: 2a is 2A, Medium is medium.

    Metric classes stay as they are: 6g and 6G are not the same.
    """
    if not typed or family_of(thread).classes_as_typed:
        return typed
    names = (*external_classes(thread), *internal_classes(thread))
    return next((name for name in names if name.lower() == typed.lower()), typed)


def is_internal_class(thread: Thread, class_name: str, field: str = "designation") -> bool:
    """Whether a class said with a designation is one of the internal thread.

    Raises InputError on `field` when it is a class of neither.
    """
    rules = _rules(thread)
    if rules is not None:
        if rules.external is not None and rules.external(thread, class_name, None) is not None:
            return False
        if rules.internal(thread, class_name, None) is not None:
            return True
    choices = (*external_classes(thread), *internal_classes(thread))
    raise InputError(
        "class-not-covered",
        field,
        f"Class {class_name} is not covered for {thread.designation}.",
        (thread.designation, *(f"{thread.designation}-{name}" for name in choices)),
    )
