"""Errors a person can mend: what was typed, where, why it will not do, and what might be meant.

Programmer errors are not in this family; they stay loud.
"""

from __future__ import annotations


class InputError(Exception):
    """One thing that was typed and cannot be used.

    `code` is stable and machine readable, `field` the path of the field ("part.thread"),
    `message` one sentence for the person, `choices` what might have been meant, ready to be typed instead.
    """

    def __init__(self, code: str, field: str, message: str, choices: tuple[str, ...] = ()) -> None:
        super().__init__(message)
        self.code = code
        self.field = field
        self.message = message
        self.choices = choices

    def at(self, field: str) -> InputError:
        """The same error, told of another field.

        >>> InputError("empty", "text", "Nothing was typed.").at("part.thread").field
        'part.thread'
        """
        return InputError(self.code, field, self.message, self.choices)


class OutOfRange(InputError):
    """A length outside what the field allows; the sentence is built from the facts."""

    def __init__(
        self, *, field: str, name: str, shown: str, low: str, high: str, choices: tuple[str, ...] = ()
    ) -> None:
        hint = f" Did you mean {choices[0]}?" if choices else ""
        super().__init__(
            "out-of-range", field, f"{name} must be from {low} to {high}. You typed {shown}.{hint}", choices
        )


class InvalidDocument(Exception):
    """A job document with fields that cannot be used: its errors at once, `count` with those that are not told."""

    def __init__(self, errors: tuple[InputError, ...], count: int = 0) -> None:
        super().__init__("; ".join(f"{e.field}: {e.message}" for e in errors))
        self.errors = errors
        self.count = max(count, len(errors))
