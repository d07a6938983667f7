"""The zero of a tool: found, or lost."""

from __future__ import annotations

from dataclasses import dataclass
from typing import ClassVar

from lathework.bench.acts.act import Act, At
from lathework.bench.bench import Bench
from lathework.bench.entry import Entry, Kind
from lathework.errors import InputError

KEEPS = ("kept", "each")
"""How a lathe's tools keep their zero: while another is in, or not."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Zero(Act):
    """The tool of the step was touched off; `keeps` is whether its zero stays while another tool is in."""

    kind: ClassVar[Kind] = "zero"
    keeps: str = ""

    def entry(self, at: At) -> Entry:
        """The zero. Raises InputError on "zero" or "keeps"."""
        return zero_entry(at.bench, lost=False, keeps=self.keeps)


@dataclass(frozen=True, slots=True, kw_only=True)
class ZeroLost(Act):
    """No zero stands any more."""

    kind: ClassVar[Kind] = "zero-lost"

    def entry(self, at: At) -> Entry:
        """That none does. Raises InputError on "zero"."""
        return zero_entry(at.bench, lost=True)


def zero_entry(now: Bench, *, lost: bool, keeps: str = "") -> Entry:
    """The tool of the step was touched off, or every zero was `lost`; `keeps` is how this lathe's tools keep theirs.

    Raises InputError on "zero" or "keeps".
    """
    if keeps and keeps not in KEEPS:
        raise InputError("unknown-choice", "keeps", "Choose whether each tool keeps its zero.", KEEPS)
    if now.step is None or (not lost and not now.zero):
        raise InputError("not-asked", "zero", "This step needs no tool zero.")
    return Entry("zero-lost" if lost else "zero", now.piece, now.step.key, word=keeps)
