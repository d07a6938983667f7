"""Another piece, or another part, is taken up."""

from __future__ import annotations

from dataclasses import dataclass
from typing import ClassVar

from lathework.bench.acts.act import Act, At
from lathework.bench.bench import Bench
from lathework.bench.entry import Entry, Kind
from lathework.bench.progress import Progress
from lathework.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class TakeUp(Act):
    """The piece in hand is put down, and that of another number taken up."""

    kind: ClassVar[Kind] = "take-up"
    piece: int = 0

    def entry(self, at: At) -> Entry:
        """That it is. Raises InputError on "piece"."""
        return take_up_entry(at.bench, self.piece)


@dataclass(frozen=True, slots=True, kw_only=True)
class TurnTo(Act):
    """The `part` of that id is taken up out of turn."""

    kind: ClassVar[Kind] = "turn-to"
    part: str = ""

    def entry(self, at: At) -> Entry:
        """That it is. Raises InputError on "part"."""
        return turn_to(at.progress, self.part)


def take_up_entry(now: Bench, piece: int) -> Entry:
    """Put the piece in hand down and take up that of another number. Raises InputError on "piece"."""
    known = (*now.aside, *((now.begun + 1,) if now.may_begin else ()))
    if now.step is None or piece not in known:
        raise InputError("out-of-range", "piece", "No piece of that number is put down.", tuple(map(str, known)))
    return Entry("take-up", piece, "")


def turn_to(now: Progress, part: str) -> Entry:
    """Take up the part of that id out of turn. Raises InputError on "part"."""
    number = now.number_of(part)
    if number is None:
        raise InputError("out-of-range", "part", "This job has no such part.", now.ids)
    if number == now.number:
        raise InputError("not-asked", "part", "You are already on that part.")
    if now.benches[number - 1].finished:
        raise InputError("finished", "part", "All pieces of that part are made.")
    return Entry("turn-to", now.benches[number - 1].piece, "", part=part)
