"""A step that ends: done, accepted, scrapped with its piece, or taken up again."""

from __future__ import annotations

from dataclasses import dataclass
from typing import ClassVar

from lathework.bench.acts.act import Act, At, reason_of
from lathework.bench.bench import Bench
from lathework.bench.dispositions import checked_mistake, settled
from lathework.bench.entry import Entry, Kind
from lathework.errors import InputError
from lathework.planning.operation import Operation


@dataclass(frozen=True, slots=True, kw_only=True)
class Done(Act):
    """The step in hand is done."""

    kind: ClassVar[Kind] = "done"

    def entry(self, at: At) -> Entry:
        """That it is. Raises InputError on "reason" or "step"."""
        return done_entry(at.bench)


@dataclass(frozen=True, slots=True, kw_only=True)
class Settled(Act):
    """What becomes of a step or of its piece, with a `reason`: by its `disposition`, the plainest of the kind where
    that is empty; `why` is which mistake was made, by its code, "" for none."""

    plainly: ClassVar[str]
    reason: str = ""
    disposition: str = ""
    why: str = ""

    def entry(self, at: At) -> Entry:
        """What becomes of it. Raises InputError on "disposition", "reason", "why" or "step"."""
        words = reason_of(self.reason, "reason")
        return settled_entry(at.bench, self.disposition or self.plainly, words, self.why)


@dataclass(frozen=True, slots=True, kw_only=True)
class Accept(Settled):
    """The step will do as it is."""

    kind: ClassVar[Kind] = "accept"
    plainly: ClassVar[str] = "as-it-is"


@dataclass(frozen=True, slots=True, kw_only=True)
class Scrap(Settled):
    """The piece is scrapped."""

    kind: ClassVar[Kind] = "scrap"
    plainly: ClassVar[str] = "scrap"


@dataclass(frozen=True, slots=True, kw_only=True)
class Again(Act):
    """A finished step is taken up once more, `again` its key; or the step in hand is done again, by its `disposition`,
    with a `reason` and `why`."""

    kind: ClassVar[Kind] = "again"
    again: str = ""
    reason: str = ""
    disposition: str = ""
    why: str = ""

    def entry(self, at: At) -> Entry:
        """That it is. Raises InputError on "again"; on "disposition", "reason", "why" or "step"."""
        if not self.disposition:
            return again_entry(at.bench, self.again)
        return settled_entry(at.bench, self.disposition, reason_of(self.reason, "reason"), self.why)


def done_entry(now: Bench) -> Entry:
    """The step in hand is done. Raises InputError when something must be said first."""
    step = check_done(now, "done", "")
    return Entry("done", now.piece, step.key, ended=_whole_with(now, step), then=now.then)


def settled_entry(now: Bench, disposition: str, words: str, why: str = "") -> Entry:
    """What becomes of the step in hand, or of the piece, with a reason, and the mistake that was made where one was.

    Raises InputError on "disposition", "reason", "why" or "step".
    """
    kind = settled(disposition).outcome
    step = check_done(now, kind, words)
    whole = kind == "accept" and _whole_with(now, step)
    then = {"accept": now.then, "scrap": now.then_scrapped}.get(kind)
    mistake = checked_mistake(why)
    return Entry(kind, now.piece, step.key, word=disposition, text=words, why=mistake, ended=whole, then=then)


def again_entry(now: Bench, step: str) -> Entry:
    """A finished step of the piece in hand is taken up again. Raises InputError on "again"."""
    if step not in now.done:
        raise InputError("not-done", "again", "That step is not yet done on this piece.")
    return Entry("again", now.piece, step)


def _whole_with(now: Bench, step: Operation) -> bool:
    """Whether the piece in hand is whole once `step` is done."""
    return {operation.key for operation in now.plan.operations} <= now.done | {step.key}


def check_done(now: Bench, kind: Kind, reason: str) -> Operation:
    """The step in hand, if it may be ticked off. Raises InputError on "reason" or "step"."""
    if now.step is None:
        raise InputError("finished", "step", "All pieces are made. Close the job.")
    if kind == "done" and now.hindrance:
        raise InputError("needs-reason", "reason", now.hindrance)
    if kind != "done" and not reason.strip():
        raise InputError("empty", "reason", "Give a reason in a few words.")
    return now.step
