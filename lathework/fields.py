"""Fields of a document taken out one by one: every error is noted beside its field, none stops the others."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from functools import lru_cache
from typing import Any

from lathework.errors import InputError
from lathework.lengths import Length, Span, read_length, within
from lathework.threads.designation import Called, read_called
from lathework.threads.limits import has_external, internal_classes, is_internal_class
from lathework.threads.taper import is_inside_taper
from lathework.units import LengthUnit

LONGEST_LINE = 120
"""Characters of a line of text."""
LOWEST_FRACTION, HIGHEST_FRACTION = -0.1, 0.3
"""Shares of the pitch that a blank may go under nominal."""


@lru_cache(maxsize=1024)
def _keys(field: str) -> tuple[str, ...]:
    return tuple(field.split("."))


class Reader:
    """Takes fields out of a document one by one, collecting what is wrong instead of stopping at the first."""

    def __init__(self, document: Mapping[str, Any]) -> None:
        self.document: Any = dict(document)
        self.errors: list[InputError] = []
        self.unit: LengthUnit = "mm" if document.get("unit") == "mm" else "in"
        """That of a bare number; inches where the document says nothing that can be read."""

    def fail(self, code: str, field: str, message: str, choices: Sequence[str] = ()) -> None:
        """Note an error of `field`."""
        self.errors.append(InputError(code, field, message, tuple(choices)))

    def section(self, name: str, keys: Sequence[str]) -> None:
        """Check that a section is an object with known keys only; "" is the document itself."""
        value = self.document if name == "" else self.raw(name)
        if not isinstance(value, dict):
            self.fail("wrong-type", name, f"{name} must be an object.")
            return
        for key in value:
            if key not in keys:
                self.fail(
                    "unknown-field", f"{name}.{key}".strip("."), f"There is no field “{str(key)[:40]}” here.", keys
                )

    def raw(self, field: str) -> Any:
        """The value at a dotted path, or None; a number in the path counts from 0 in a list."""
        value = self.document
        for key in _keys(field):
            if isinstance(value, dict):
                value = value.get(key)
            elif isinstance(value, list) and key.isdecimal():
                value = value[int(key)] if int(key) < len(value) else None
            else:
                return None
        return value

    def rows(self, field: str, most: int) -> int:
        """How many rows a list has; 0, with the error noted, when it is none or longer than `most` (a count)."""
        value = self.raw(field)
        if not isinstance(value, list):
            self.fail("wrong-type", field, "This must be a list.")
            return 0
        if len(value) > most:
            self.fail("too-long", field, f"At most {most} rows fit here; this has {len(value)}.")
            return 0
        return len(value)

    def several(self, field: str, allowed: Sequence[str]) -> tuple[str, ...]:
        """Some of `allowed`, each once; missing is none."""
        value = self.raw(field)
        value = [] if value is None else value
        if not isinstance(value, list) or any(not isinstance(one, str) or one not in allowed for one in value):
            self.fail("unknown-choice", field, f"Choose among {', '.join(allowed)}.", allowed)
            return ()
        return tuple(one for one in allowed if one in value)

    def text(self, field: str, *, longest: int = LONGEST_LINE, required: bool = False) -> str:
        """A line of text; missing is empty."""
        value = self.raw(field)
        value = "" if value is None else value
        if not isinstance(value, str):
            self.fail("wrong-type", field, "This must be text.")
            return ""
        if len(value) > longest:
            self.fail("too-long", field, f"At most {longest} characters fit here; this has {len(value)}.")
        if "\x00" in value:
            self.fail("unreadable", field, "This holds a character that cannot be kept.")
        if required and not value.strip():
            self.fail("empty", field, "Nothing is entered here.")
        return value.strip()

    def choice(self, field: str, allowed: Sequence[str], default: str | None = None) -> str:
        """One of `allowed`; `default` when the field is missing."""
        value = self.raw(field)
        if value is None and default is not None:
            return default
        if not isinstance(value, str) or value not in allowed:
            self.fail("unknown-choice", field, f"Choose one of {', '.join(allowed)}.", allowed)
            return default or allowed[0]
        return value

    def length(self, field: str, span: Span, *, optional: bool = False) -> Length | None:
        """A length within `span`, or None with the error noted; an `optional` one may be empty."""
        before = len(self.errors)
        text = self.text(field)
        if len(self.errors) > before or (optional and not text):
            return None
        try:
            return within(read_length(text, self.unit, field), span, field)
        except InputError as error:
            self.errors.append(error)
            return None

    def thread(self, field: str) -> Called | None:
        """A thread that can be cut outside on a parallel blank, with its class; or None with the error noted."""
        try:
            called = read_called(self.text(field))
            thread = called.thread
            if not has_external(thread):
                raise InputError(
                    "not-for-a-die", field, f"{thread.designation} is not cut outside on a parallel blank."
                )
            if called.class_name and is_internal_class(thread, called.class_name, field):
                raise InputError(
                    "internal-class", field, f"{called.class_name} is a class of the nut.", (thread.designation,)
                )
        except InputError as error:
            self.errors.append(error.at(field))
            return None
        return called

    def inside(self, field: str) -> Called | None:
        """A thread that can be tapped into a hole, with its internal class; or None with the error noted."""
        try:
            called = read_called(self.text(field))
            thread = called.thread
            if not internal_classes(thread) and not is_inside_taper(thread):
                raise InputError("not-for-a-tap", field, f"{thread.designation} is not tapped into a hole.")
            if called.class_name and not is_internal_class(thread, called.class_name, field):
                text = f"{called.class_name} is a class of the bolt."
                raise InputError("external-class", field, text, (thread.designation,))
        except InputError as error:
            self.errors.append(error.at(field))
            return None
        return called

    def whole(self, field: str, low: int, high: int) -> int:
        """A whole number, as a number or as text."""
        value = self.raw(field)
        if isinstance(value, str) and value.strip().isascii() and value.strip().isdigit() and len(value.strip()) < 9:
            value = int(value)
        if not isinstance(value, int) or isinstance(value, bool) or not low <= value <= high:
            self.fail("not-a-count", field, f"This must be a whole number from {low} to {high}.")
            return low
        return value

    def number(self, field: str, default: float, low: float, high: float, hint: str) -> float:
        """A bare number from `low` to `high` written as a decimal; empty is `default`; all bare numbers.

        `hint` begins the sentence that says what is wanted.
        """
        text = self.text(field)
        if not text:
            return default
        try:
            value = float(text.replace(",", "."))
        except ValueError:
            value = float("nan")
        if not low <= value <= high:
            self.fail("out-of-range", field, f"{hint} from {low:g} to {high:g}.")
            return default
        return value

    def fraction(self, field: str, default: float) -> float:
        """A share of the pitch (a bare number) written as a decimal; empty is `default`, the metal's own."""
        return self.number(field, default, LOWEST_FRACTION, HIGHEST_FRACTION, "A share of the pitch, such as 0.10,")
