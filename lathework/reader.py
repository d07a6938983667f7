"""Fields of a document taken out one by one: every error is noted beside its field, none stops the others."""

from __future__ import annotations

import re
from collections.abc import Callable, Mapping, Sequence
from typing import Any, TypeVar

from lathework.errors import InputError, InvalidDocument
from lathework.fields import LONGEST_LINE
from lathework.lengths import Length, Span, bare_number, read_length, within
from lathework.units import LengthUnit

T = TypeVar("T")
MOST_TOLD = 50
"""Errors of one document that are told; the rest are counted."""
_LONGEST_KEY = 40
"""Characters of a name nobody knows that are told back."""
LOWEST_FRACTION, HIGHEST_FRACTION = -0.1, 0.3
"""Shares of the pitch that a blank may go under nominal."""


IDENT = re.compile(r"[A-Za-z0-9_-]{1,16}", re.ASCII)
UNSTORABLE = "This text has a character that cannot be saved."


def storable(text: str) -> bool:
    """Whether a text can be written: no null, no half of a character.

    >>> storable("Ω"), storable("\\ud83d")
    (True, False)
    """
    return "\x00" not in text and (text.isascii() or not any("\ud800" <= letter <= "\udfff" for letter in text))


class Reader:
    """Takes fields out of a document one by one, collecting what is wrong instead of stopping at the first."""

    def __init__(self, document: Mapping[str, Any]) -> None:
        self.document: Any = dict(document)
        self._above: dict[str, Any] = {}
        """What stands above the fields that were asked for, by its path: a section is asked for many."""
        self.errors: list[InputError] = []
        self.wrong = 0
        """How many errors there are, those told and those counted alone."""
        self.unit: LengthUnit = "mm" if document.get("unit") == "mm" else "in"
        """That of a bare number; inches where the document says nothing that can be read."""

    def fail(self, code: str, field: str, message: str, choices: Sequence[str] = ()) -> None:
        """Note an error of `field`."""
        self.note(InputError(code, field, message, tuple(choices)))

    def note(self, error: InputError) -> None:
        """Note an error, or count it where enough were noted."""
        self.wrong += 1
        if len(self.errors) < MOST_TOLD:
            self.errors.append(error)

    def take(self, other: Reader, path: str) -> None:
        """Take over what another reader found wrong with what stands at `path`."""
        for error in other.errors:
            self.note(error.at(f"{path}.{error.field}"))
        self.wrong += other.wrong - len(other.errors)

    def invalid(self) -> InvalidDocument:
        """Everything that is wrong, to be raised."""
        return InvalidDocument(tuple(self.errors), self.wrong)

    def section(self, name: str, keys: Sequence[str]) -> None:
        """Check that a section is an object with known keys only; "" is the document itself."""
        value = self.document if name == "" else self.raw(name)
        if not isinstance(value, dict):
            self.fail("wrong-type", name, f"{name} must be an object.")
            return
        known = set(keys)
        unknown = [key for key in value if key not in known]
        for key in unknown[:MOST_TOLD]:
            told = str(key)[:_LONGEST_KEY].encode("utf-8", "replace").decode("utf-8")
            self.fail("unknown-field", f"{name}.{told}".strip("."), f"The field “{told}” does not exist here.", keys)
        self.wrong += len(unknown[MOST_TOLD:])

    def raw(self, field: str) -> Any:
        """The value at a dotted path, or None; a number in the path counts from 0 in a list."""
        above, _, key = field.rpartition(".")
        if not above:
            value = self.document
        elif above in self._above:
            value = self._above[above]
        else:
            value = self._above[above] = self.raw(above)
        if isinstance(value, dict):
            return value.get(key)
        if isinstance(value, list) and key.isdecimal():
            return value[int(key)] if int(key) < len(value) else None
        return None

    def rows(self, field: str, most: int) -> int:
        """How many rows a list has; 0, with the error noted, when it is none or longer than `most` (a count)."""
        value = self.raw(field)
        if not isinstance(value, list):
            self.fail("wrong-type", field, "This must be a list.")
            return 0
        if len(value) > most:
            self.fail("too-long", field, f"At most {most} rows fit here. This has {len(value)}.")
            return 0
        return len(value)

    def several(self, field: str, allowed: Sequence[str]) -> tuple[str, ...]:
        """Some of `allowed`, each once; missing is none."""
        value = self.raw(field)
        value = [] if value is None else value
        if not isinstance(value, list) or any(not isinstance(one, str) or one not in allowed for one in value):
            self.fail("unknown-choice", field, f"Choose from {', '.join(allowed)}.", allowed)
            return ()
        return tuple(one for one in allowed if one in value)

    def text(self, field: str, *, longest: int = LONGEST_LINE, required: bool = False) -> str:
        """A line of text; missing is empty."""
        value = self.raw(field)
        value = "" if value is None else value
        if not isinstance(value, str):
            self.fail("wrong-type", field, "Type text here.")
            return ""
        if len(value) > longest:
            self.fail("too-long", field, f"The text is too long: {len(value)} characters, at most {longest}.")
        if not storable(value):
            self.fail("unreadable", field, UNSTORABLE)
            return ""
        if required and not value.strip():
            self.fail("empty", field, "Type a value.")
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

    def made(self, field: str, text: str, read: Callable[[str, str], T]) -> T | None:
        """What `read` makes of the text of a field, given both; None for no text, or with its InputError noted."""
        try:
            return read(text, field) if text else None
        except InputError as error:
            self.note(error)
            return None

    def length(self, field: str, span: Span, *, optional: bool = False, roughly: bool = False) -> Length | None:
        """A length within `span`, or None with the error noted; an `optional` one may be empty, one said
        `roughly` only about so long."""
        before = self.wrong
        text = self.text(field)
        return None if self.wrong > before else self.length_of(text, field, span, optional=optional, roughly=roughly)

    def length_of(
        self, text: str, field: str, span: Span, *, optional: bool = False, roughly: bool = False
    ) -> Length | None:
        """The same of a `text` that was taken out of the field already."""
        if optional and not text:
            return None
        try:
            return within(read_length(text, self.unit, field, roughly=roughly), span, field)
        except InputError as error:
            self.note(error)
            return None

    def ident(self, field: str) -> str:
        """The id of a section, a hole or a part: a short word that stays its own."""
        text = self.text(field)
        if not text:
            self.fail("no-id", field, "The id is missing: every section, hole and part needs its own.")
        elif not IDENT.fullmatch(text):
            self.fail("not-an-id", field, "An id is up to 16 letters, digits, - and _.")
        return text

    def whole(self, field: str, low: int, high: int) -> int:
        """A whole number, as a number or as text."""
        value = self.raw(field)
        if isinstance(value, str) and value.strip().isascii() and value.strip().isdigit() and len(value.strip()) < 9:
            value = int(value)
        if not isinstance(value, int) or isinstance(value, bool) or not low <= value <= high:
            self.fail("not-a-count", field, f"Type a whole number from {low} to {high}.")
            return low
        return value

    def number(self, field: str, default: float, low: float, high: float, hint: str) -> float:
        """A bare number from `low` to `high` written as a decimal; empty is `default`; all bare numbers.

        `hint` begins the sentence that says what is wanted.
        """
        text = self.text(field)
        if not text:
            return default
        value = bare_number(text)
        if not low <= value <= high:
            self.fail("out-of-range", field, f"{hint} from {low:g} to {high:g}.")
            return default
        return value

    def fraction(self, field: str, default: float) -> float:
        """A share of the pitch (a bare number) written as a decimal; empty is `default`, the metal's own."""
        return self.number(field, default, LOWEST_FRACTION, HIGHEST_FRACTION, "A share of the pitch, such as 0.10,")
