"""Takes the fields of a job document out as they are declared: what a field allows is said in one place."""

from __future__ import annotations

from collections.abc import Callable
from functools import lru_cache
from typing import Any, TypeVar

from lathework.declared import Field, Group, Rows
from lathework.field_reader import FieldReader
from lathework.fields import Choice, Extent, Numbers, Several, Share, Text, Whole
from lathework.fits.called import read_fit
from lathework.fits.fit import FitCode, Makes
from lathework.job.declaration import JOB
from lathework.lengths import Length
from lathework.remembered import Remembered

T = TypeVar("T")
MOST_REMEMBERED = 500
"""Sections, set-ups and further parts that are known as they were read."""
LONGEST_REMEMBERED = 20_000
"""Characters of what is worth knowing again: what people make is shorter."""
_REMEMBERED = Remembered[Any](MOST_REMEMBERED)


def _words(value: object) -> str:
    """What tells a value from every other; "" for one that is too long, or nested too deep, to be anybody's job."""
    try:
        words = repr(value)
    except RecursionError:
        return ""
    return words if len(words) <= LONGEST_REMEMBERED else ""


class JobReader(FieldReader):
    """A reader of documents that knows the declaration of every field by its path."""

    def remembered(self, path: str, read: Callable[..., T], *beside: object) -> T:
        """What `read`, given this reader, the path and what is `beside` it, makes of what stands at `path` ("" is the
        whole document) and of the unit, and of nothing else.

        A keystroke changes one of many: the others are known from the one before. What is wrong is read again.
        """
        words = _words(self.raw(path) if path else self.document)
        key = (read, path, self.unit, beside, words)
        told: T | None = _REMEMBERED.get(key)
        if told is None:
            before = self.wrong
            told = read(self, path, *beside)
            if self.wrong == before and words:
                _REMEMBERED.keep(key, told)
        return told

    def known(self, path: str) -> None:
        """Check that an object has declared fields only; "" is the document itself."""
        group = _at(path) if path else JOB
        assert isinstance(group, Group)
        self.section(path, group.keys)

    def line(self, path: str) -> str:
        """A text; missing is empty."""
        one = _declared(path, Text | Extent)
        if isinstance(one, Text):
            return self.text(path, longest=one.longest, required=one.required)
        return self.text(path)

    def chosen(self, path: str) -> Any:
        """One of the declared choices, which are those of the type that the model gives the field."""
        one = _declared(path, Choice)
        return self.choice(path, one.allowed, one.default)

    def some(self, path: str) -> tuple[Any, ...]:
        """Some of the declared choices."""
        return self.several(path, _declared(path, Several).allowed)

    def size(self, path: str, *, optional: bool | None = None) -> Length | None:
        """A length within its span, or None with the error noted; `optional` where the other fields decide that."""
        one = _declared(path, Extent)
        may_miss = one.optional if optional is None else optional
        return self.length(path, one.span, optional=may_miss, roughly=one.roughly)

    def fitted(self, path: str, makes: Makes) -> tuple[Length | None, FitCode]:
        """The size across of a section or a hole at `path`, and its fit: as typed behind the size, else as chosen."""
        chosen: FitCode = self.chosen(f"{path}.fit")
        before, field = self.wrong, f"{path}.across"
        text = self.line(field)
        said = self.made(field, text, lambda typed, at: read_fit(typed, makes, at)) or (text, "")
        if self.wrong > before:
            return None, chosen
        return self.length_of(said[0], field, _declared(field, Extent).span), said[1] or chosen

    def share(self, path: str, default: float) -> float:
        """A bare number; empty is `default`, a bare number too."""
        found = self.maybe(path, _declared(path, Share))
        return default if found is None else found

    def bare(self, path: str) -> tuple[float, ...]:
        """Bare numbers with commas between, from the smallest up."""
        return self.numbers(path, _declared(path, Numbers))

    def pieces(self, path: str) -> int:
        """A whole number."""
        one = _declared(path, Whole)
        return self.whole(path, one.low, one.high)

    def count(self, path: str) -> int:
        """How many rows a list has."""
        return self.rows(path, _declared(path, Rows).most)


@lru_cache(maxsize=4096)
def _at(path: str) -> Field | Group:
    """What is declared at a path: the same few are asked for at each keystroke."""
    return JOB.at(path)


def _declared(path: str, kind: Any) -> Any:
    one = _at(path)
    if not isinstance(one, kind):
        raise TypeError(f"{path} is declared as {type(one).__name__}")
    return one
