"""The fold in progress: all that must be known of a part's history to go on, small however long that is."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, field, fields
from typing import Any

from lathework.bench.gauge.contradiction import Opinion
from lathework.cutting.to_size.pass_made import PassMade
from lathework.dies.trial import Trial
from lathework.gauging.sized import ThreadSize
from lathework.gauging.tried import Gauge
from lathework.planning.operation import Operation

READINGS_KEPT = 20
"""Readings of one step that are shown, the latest."""
TRIALS_KEPT = 40
"""Threads that a die is known by, the latest."""
MEASURED_AGAIN = 0.1
"""Share of a cut that was asked for under which nobody made it (practice)."""
PASSES_KEPT = 12
"""Passes with one tool in one holding that the ratio is learned from, the latest."""


@dataclass(frozen=True, slots=True)
class Reading:
    """A size as measured, and what had been dialled on the diameter before it (both millimetres), `stated` where
    the person said so; `by` the instrument that sent it."""

    value_mm: float
    dialled_mm: float | None = None
    stated: bool = False
    by: str = ""


@dataclass(frozen=True, slots=True)
class Outdated:
    """Something recorded for a step of the piece in hand that no longer counts: what it was recorded for."""

    kind: str
    makes: str
    value_mm: float | None = None
    aim_mm: float | None = None
    measured: str = ""


@dataclass(slots=True)
class InHand:
    """What was recorded of one piece, by step: what is done; `readings` by `read_of`; `sizes` are its thread as
    measured, `opinions` what each gauge said of it, `moved_for` the steps whose die was moved for it, `causes` what a
    nut was found to bind for, until it is tried again. `blanks` are the last readings of its thread blanks, by what
    they are a blank of."""

    done: set[str] = field(default_factory=set)
    adjusted: set[str] = field(default_factory=set)
    moved_for: set[str] = field(default_factory=set)
    readings: dict[str, list[Reading]] = field(default_factory=dict)
    verdicts: dict[str, str] = field(default_factory=dict)
    causes: dict[str, str] = field(default_factory=dict)
    sizes: dict[str, ThreadSize] = field(default_factory=dict)
    blanks: dict[str, float] = field(default_factory=dict)
    opinions: dict[str, list[Opinion]] = field(default_factory=dict)
    outdated: dict[str, Outdated] = field(default_factory=dict)


_OF_A_PIECE = tuple(one.name for one in fields(InHand))


@dataclass(slots=True)
class Tally(InHand):
    """The piece in hand and what is finished, of one part.

    `aside` are pieces that were begun and put down, `begun` is the highest number of any. `opened` are the eighths by
    which a die was opened, by its id or the thread it cuts: one die serves both ends of a stud; `placed` are those that
    were said to stand somewhere, from where their screw touches, `gripping` those that were set on a screw of that
    name, `since` what came to each after its last thread; `trials` is what each did, as far as it is learned from.
    `zeroed` are the steps whose tool has found its zero, and the piece it was found for; `keeping` is what was said of
    how this lathe's tools keep theirs ("kept", "each"), "" for nothing. By step, `gauged_at` is which piece passed its
    gauge last, and what made it, until something is changed or goes wrong. `tried` is what a thread was gauged with
    last, `mates` which very one each thread was, by what it is a thread of. `rechucked` says that the piece in hand was
    out of the chuck between two cuts of one holding, and was not trued up since."""

    piece: int = 1
    begun: int = 1
    good: int = 0
    scrapped: int = 0
    gauged: int = 0
    aside: dict[int, InHand] = field(default_factory=dict)
    gauged_at: dict[str, tuple[int, str]] = field(default_factory=dict)
    passes: dict[str, list[PassMade]] = field(default_factory=dict)
    opened: dict[str, float] = field(default_factory=dict)
    placed: set[str] = field(default_factory=set)
    gripping: dict[str, str] = field(default_factory=dict)
    since: dict[str, str] = field(default_factory=dict)
    trials: dict[str, list[Trial]] = field(default_factory=dict)
    read: set[str] = field(default_factory=set)
    zeroed: dict[str, int] = field(default_factory=dict)
    keeping: str = ""
    tried: Gauge = ""
    mates: dict[str, str] = field(default_factory=dict)
    rechucked: bool = False

    def next_piece(self, *, good: bool, then: int | None = None) -> None:
        """The piece in hand is finished or scrapped: take up the piece `then`, else one that was put down, else the
        next."""
        self.good += good
        self.scrapped += not good
        if not good:
            self.gauged_at.clear()
        self._take(then or min(self.aside, default=self.begun + 1))

    def take_up(self, piece: int) -> None:
        """Put the piece in hand down and take up that one."""
        self.aside[self.piece] = InHand(**{name: getattr(self, name) for name in _OF_A_PIECE})
        self._take(piece)

    def _take(self, piece: int) -> None:
        taken = self.aside.pop(piece, None) or InHand()
        for name in _OF_A_PIECE:
            setattr(self, name, getattr(taken, name))
        self.piece, self.begun = piece, max(piece, self.begun)

    def kept(self) -> dict[str, Any]:
        """As plain values, to be stored."""
        told = asdict(self)
        aside = {str(piece): _sorted(one) for piece, one in told["aside"].items()}
        return _sorted(told) | {"aside": aside}


def _sorted(told: dict[str, Any]) -> dict[str, Any]:
    """Plain values, the sets among them as lists in order."""
    return {name: sorted(value) if isinstance(value, set) else value for name, value in told.items()}


def _of_a_piece(told: Mapping[str, Any]) -> dict[str, Any]:
    """What was recorded of a piece, from plain values."""
    return (
        {name: told[name] for name in ("verdicts", "causes", "blanks")}
        | {name: set(told[name]) for name in ("done", "adjusted", "moved_for")}
        | {"readings": {step: [Reading(**row) for row in rows] for step, rows in told["readings"].items()}}
        | {"sizes": {step: ThreadSize(**one) for step, one in told["sizes"].items()}}
        | {"opinions": {step: [Opinion(**row) for row in rows] for step, rows in told.get("opinions", {}).items()}}
        | {"outdated": {step: Outdated(**one) for step, one in told["outdated"].items()}}
    )


def tally_of(kept: Mapping[str, Any]) -> Tally:
    """The tally that `Tally.kept` wrote."""
    return Tally(
        **dict(kept)
        | _of_a_piece(kept)
        | {"aside": {int(piece): InHand(**_of_a_piece(one)) for piece, one in kept["aside"].items()}}
        | {"read": set(kept["read"]), "placed": set(kept.get("placed", ()))}
        | {"passes": {step: [PassMade(**row) for row in rows] for step, rows in kept["passes"].items()}}
        | {"gauged_at": {step: tuple(pair) for step, pair in kept["gauged_at"].items()}}
        | {"trials": {die: [Trial(**row) for row in rows] for die, rows in kept["trials"].items()}}
    )


def made_by(step: Operation, die: str) -> str:
    """What a step makes, and with which die: a thread that was gauged says nothing of another."""
    return f"{step.makes} {die}".rstrip()


def learned_by(step: Operation) -> str:
    """What a step's passes teach of: its tool, as far out as the work stands. The metal and the lathe are the job's."""
    return f"{step.chucking} {step.tool}"


def stands_there(readings: Sequence[Reading]) -> bool:
    """Whether the tool stands where a cut of this size left it: one was made between two of its `readings`."""
    return any(reading.dialled_mm for reading in readings[1:])


def measured_again(made: PassMade) -> bool:
    """Whether nobody cut between two readings, though a cut was asked for: hardly anything came off.

    >>> measured_again(PassMade(0.5, 0.004, stated=False)), measured_again(PassMade(0.5, 0.48, stated=False))
    (True, False)
    """
    return not made.stated and abs(made.came_off_mm) < MEASURED_AGAIN * made.dialled_mm


def read_of(step: str, measured: str) -> str:
    """What the readings of a step are kept by: its key, and what was measured of it."""
    return f"{step} {measured}"


def stands_open(opened: Mapping[str, float], die: str, thread: str) -> float:
    """How far a die stands open, in eighths of a turn: by its id; by its thread where it was moved before it had one.

    `opened` are the eighths (unit of all) that each was opened by, by id or thread.
    """
    return opened.get(die, opened.get(thread, 0.0)) if die else opened.get(thread, 0.0)
