"""What every kind of designation shares: how errors are told, how sizes are written."""

from __future__ import annotations

import re
from collections.abc import Iterable
from decimal import Decimal
from fractions import Fraction

from lathework.errors import InputError
from lathework.threads.series import library
from lathework.threads.thread import Thread

HOW = "Write a thread like 3/8-16, M8x1, 1/4 BSW, G3/8 or 2 BA."
SIZE = r"(?:#|no\.?\s*)?\d{1,3}(?:[\s-]\d{1,2}/\d{1,3}|/\d{1,3})?|\d{0,2}\.\d{1,5}"
"""Pattern of an inch size: a number size, a fraction, a mixed number, a decimal."""


def fail(code: str, message: str, choices: Iterable[str] = ()) -> InputError:
    """An error of the designation."""
    return InputError(code, "designation", message, tuple(choices))


def ask(text: str, found: Iterable[Thread | str]) -> InputError:
    """A question which of several threads `text` means."""
    names = [t if isinstance(t, str) else t.designation for t in found]
    return fail(
        "ambiguous",
        f"“{text}” could be {' or '.join(names) if len(names) < 4 else 'several threads'}: say which.",
        names,
    )


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
