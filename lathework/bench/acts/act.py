"""What every act has: its kind, what is said with it, and the entry it makes where the work stands so."""

from __future__ import annotations

from abc import ABC, abstractmethod
from collections.abc import Callable
from dataclasses import dataclass, replace
from typing import ClassVar, Literal

from lathework.bench.bench import Bench
from lathework.bench.entry import Entry, Kind
from lathework.bench.progress import Progress
from lathework.errors import InputError
from lathework.job.declaration import LONGEST_NOTE
from lathework.lengths import Length, read_length
from lathework.reader import UNSTORABLE, storable
from lathework.units import LengthUnit, Millimetres

UnitSaid = Literal["in", "mm", ""]
"""The unit of a bare number, "" for the job's own."""


@dataclass(frozen=True, slots=True)
class At:
    """Where an act is done: the job, the unit of a bare number, and `strays` for how far a size (mm) may be off that
    the shop's best micrometer reads: its standard uncertainty in millimetres, None where nobody knows."""

    progress: Progress
    unit: LengthUnit
    strays: Callable[[Millimetres], Millimetres | None] = lambda size_mm: None

    @property
    def bench(self) -> Bench:
        """The part in hand."""
        return self.progress.bench

    def length(self, text: str, unit: UnitSaid, field: str) -> Length:
        """A length as typed, a bare number in `unit`, or in the job's own where that is empty. Raises InputError."""
        if not storable(text):
            raise InputError("unreadable", field, UNSTORABLE)
        return read_length(text, unit or self.unit, field)


@dataclass(frozen=True, slots=True, kw_only=True)
class Act(ABC):
    """One thing that a person says at the bench, as typed."""

    kind: ClassVar[Kind]

    @abstractmethod
    def entry(self, at: At) -> Entry:
        """The entry it makes. Raises InputError beside the field that is wrong, or where it is not asked for now."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Measured(Act):
    """An act with a reading: as typed, a bare number in `unit`, the job's own where that is empty; `by` is the
    instrument that sent it. `sure` says that it was read again: it is kept though it is far from the expected one."""

    reading: str = ""
    unit: UnitSaid = ""
    by: str = ""
    sure: bool = False

    def sent(self, entry: Entry) -> Entry:
        """The entry, with the instrument that its reading came from. Raises InputError on "by"."""
        return replace(entry, by=reason_of(self.by, "by")) if self.by.strip() else entry


def reason_of(text: str, field: str) -> str:
    """A reason in words. Raises InputError on `field`."""
    words = text.strip()
    if not words:
        raise InputError("empty", field, "Give a reason in a few words.")
    if len(words) > LONGEST_NOTE:
        raise InputError("too-long", field, f"The text is too long: {len(words)} characters, at most {LONGEST_NOTE}.")
    if not storable(words):
        raise InputError("unreadable", field, UNSTORABLE)
    return words
