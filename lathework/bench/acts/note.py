"""Words: a note, and that the cautions were read."""

from __future__ import annotations

from dataclasses import dataclass
from typing import ClassVar

from lathework.bench.acts.act import Act, At, reason_of
from lathework.bench.bench import Bench
from lathework.bench.entry import Entry, Kind
from lathework.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class Note(Act):
    """A note: its words are the `reason`."""

    kind: ClassVar[Kind] = "note"
    reason: str = ""

    def entry(self, at: At) -> Entry:
        """The note. Raises InputError on "reason"."""
        return note_entry(at.bench, reason_of(self.reason, "reason"))


@dataclass(frozen=True, slots=True, kw_only=True)
class Read(Act):
    """The cautions of the job's use were read."""

    kind: ClassVar[Kind] = "read"

    def entry(self, at: At) -> Entry:
        """That they were. Raises InputError on "caution"."""
        return read_entry(at.bench)


def note_entry(now: Bench, words: str) -> Entry:
    """A note."""
    return Entry("note", now.piece, now.step.key if now.step else "", text=words)


def read_entry(now: Bench) -> Entry:
    """The cautions of the job's use were read. Raises InputError on "caution" when there are none left."""
    if not now.unread:
        raise InputError("not-asked", "caution", "You have read every caution of this job already.")
    return Entry("read", now.piece, "", word=" ".join(caution.code for caution in now.unread))
