"""What every kind of designation shares: how errors are told, how sizes are written."""

from __future__ import annotations

import re
from collections.abc import Iterable
from decimal import Decimal
from fractions import Fraction

from lathework.errors import InputError
from lathework.threads.families import series_of
from lathework.threads.library import library
from lathework.threads.thread import Thread

HOW = "Write a thread like 3/8-16, M8x1, 1/4 BSW, G3/8 or 2 BA."
SIZE = r"(?:#|no\.?\s*)?\d{1,3}(?:[\s-]\d{1,2}/\d{1,3}|/\d{1,3})?|\d{0,2}\.\d{1,5}"
"""Pattern of an inch size: a number size, a fraction, a mixed number, a decimal."""


def fail(code: str, message: str, choices: Iterable[str] = ()) -> InputError:
    """An error of the designation."""
    return InputError(code, "designation", message, tuple(choices))


def ask(text: str, found: Iterable[Thread | str]) -> InputError:
    """A question which of several threads `text` means."""
    several = list(found)
    names = [t if isinstance(t, str) else t.designation for t in several]
    told = [t if isinstance(t, str) else described(t) for t in several]
    if len(told) == 1:
        return fail("ambiguous", f"Did you mean {told[0]}? You typed “{text}”.", names)
    could = " or ".join(told if len(told) < 4 else names[:3]) + ("" if len(told) < 4 else " or others")
    return fail("ambiguous", f"“{text}” could be {could}. Type the one you mean.{strangers(several)}", names)


def described(thread: Thread) -> str:
    """A thread by name, with its count or pitch, its angle, and what it is for."""
    pitch = f"{thread.tpi:g} per inch" if thread.tpi else f"{thread.pitch:g} {thread.unit} pitch"
    series = series_of(thread)
    purpose = series.purpose if series is not None else ""
    return f"{thread.designation} ({pitch}, {thread.form.angle_deg:g}°{', ' + purpose if purpose else ''})"


def strangers(found: Iterable[Thread | str]) -> str:
    """What must not be taken for one of the threads `found`: one of another angle that shares size and pitch."""
    listed = [t for t in found if not isinstance(t, str) and not t.special]
    for thread in listed:
        for other in library():
            alike = (other.major, other.pitch) == (thread.major, thread.pitch)
            if alike and other not in listed and other.form.angle_deg != thread.form.angle_deg:
                angle = f"{other.form.angle_deg:g} degrees"
                return f" {other.designation} shares the pitch of {thread.designation} at {angle}."
    return ""


def named(name: str, what: str, family: str) -> Thread:
    """The thread of that very designation; `what` says in the error what there is none of."""
    for thread in library():
        if thread.designation == name:
            return thread
    raise fail("unknown-size", f"There is no {what}.", [t.designation for t in library() if t.family == family])


def fraction(size: str) -> Decimal:
    """A size written as a fraction or a mixed number, in inches.

    >>> fraction("1-1/4")
    Decimal('1.25')
    """
    parts = [Fraction(part) for part in re.split(r"[\s-]", size)]
    total = sum(parts, Fraction(0))
    return Decimal(total.numerator) / Decimal(total.denominator)
