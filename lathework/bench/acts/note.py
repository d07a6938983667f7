"""Words: a note, a pause and its end, and that the cautions were read."""

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
class Pause(Act):
    """Work stops for a while: what passes until it goes on is no time of the step."""

    kind: ClassVar[Kind] = "pause"

    def entry(self, at: At) -> Entry:
        """That it stops."""
        return moment_entry("pause", at.bench)


@dataclass(frozen=True, slots=True, kw_only=True)
class GoOn(Act):
    """Work goes on after a pause."""

    kind: ClassVar[Kind] = "go-on"

    def entry(self, at: At) -> Entry:
        """That it goes on."""
        return moment_entry("go-on", at.bench)


@dataclass(frozen=True, slots=True, kw_only=True)
class Read(Act):
    """The cautions of the job's use were read."""

    kind: ClassVar[Kind] = "read"

    def entry(self, at: At) -> Entry:
        """That they were. Raises InputError on "caution"."""
        return read_entry(at.bench)


def moment_entry(kind: Kind, now: Bench) -> Entry:
    """A moment at the step in hand that says nothing of the work."""
    return Entry(kind, now.piece, now.step.key if now.step else "")


def note_entry(now: Bench, words: str) -> Entry:
    """A note."""
    return Entry("note", now.piece, now.step.key if now.step else "", text=words)


def read_entry(now: Bench) -> Entry:
    """The cautions of the job's use were read. Raises InputError on "caution" when there are none left."""
    if not now.unread:
        raise InputError("not-asked", "caution", "You have read every caution of this job already.")
    return Entry("read", now.piece, "", word=" ".join(caution.code for caution in now.unread))
