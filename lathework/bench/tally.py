"""The fold in progress: all that must be known of a part's history to go on, small however long that is."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import asdict, dataclass, field
from typing import Any

from lathework.cutting.next_cut import PassMade
from lathework.dies.learner import Trial
from lathework.gauging.sized import ThreadSize
from lathework.gauging.tried import Gauge
from lathework.planning.operation import Operation

READINGS_KEPT = 20
"""Readings of one step that are shown, the latest."""
TRIALS_KEPT = 40
"""Threads that a die is known by, the latest."""
PASSES_KEPT = 8
"""Passes with one tool in one holding that the ratio is learned from, the latest."""


_SETS = ("done", "adjusted", "moved_for", "read")


@dataclass(frozen=True, slots=True)
class Reading:
    """A size as measured, and what had been dialled on the diameter before it (both millimetres), `stated` where
    the person said so."""

    value_mm: float
    dialled_mm: float | None = None
    stated: bool = False


@dataclass(frozen=True, slots=True)
class Outdated:
    """Something recorded for a step of the piece in hand that no longer counts: what it was recorded for."""

    kind: str
    makes: str
    value_mm: float | None = None
    aim_mm: float | None = None
    measured: str = ""


@dataclass(slots=True)
class Tally:
    """The piece in hand and what is finished, of one part.

    `opened` are the eighths by which a die was opened, by its id or the thread it cuts: one die serves both ends of a
    stud; `trials` is what each did, as far as it is learned from. `zeroed` are the steps whose tool has found its zero,
    and the piece it was found for; `keeping` is what was said of how this lathe's tools keep theirs ("kept", "each"),
    "" for nothing. `readings` are kept by `read_of`. By step: `sizes` are its thread as
    measured; `moved_for` are those whose die was moved for the piece in hand; `causes` what a nut was
    found to bind for, until it is tried again; `gauged_at` which piece passed its gauge last, and what made it, until
    something is changed or goes wrong. `blanks` are the last readings of the piece's thread blanks, by what they are a
    blank of. `tried` is what a thread was gauged with last.
    """

    piece: int = 1
    good: int = 0
    scrapped: int = 0
    gauged: int = 0
    done: set[str] = field(default_factory=set)
    adjusted: set[str] = field(default_factory=set)
    moved_for: set[str] = field(default_factory=set)
    readings: dict[str, list[Reading]] = field(default_factory=dict)
    verdicts: dict[str, str] = field(default_factory=dict)
    causes: dict[str, str] = field(default_factory=dict)
    sizes: dict[str, ThreadSize] = field(default_factory=dict)
    gauged_at: dict[str, tuple[int, str]] = field(default_factory=dict)
    blanks: dict[str, float] = field(default_factory=dict)
    outdated: dict[str, Outdated] = field(default_factory=dict)
    passes: dict[str, list[PassMade]] = field(default_factory=dict)
    opened: dict[str, float] = field(default_factory=dict)
    trials: dict[str, list[Trial]] = field(default_factory=dict)
    read: set[str] = field(default_factory=set)
    zeroed: dict[str, int] = field(default_factory=dict)
    keeping: str = ""
    tried: Gauge = ""

    def next_piece(self, *, good: bool) -> None:
        """Take up the next piece."""
        self.good += good
        self.scrapped += not good
        self.piece += 1
        self.done, self.adjusted, self.moved_for = set(), set(), set()
        if not good:
            self.gauged_at.clear()
        self.readings, self.verdicts, self.causes, self.sizes, self.blanks, self.outdated = {}, {}, {}, {}, {}, {}

    def kept(self) -> dict[str, Any]:
        """As plain values, to be stored."""
        told = asdict(self)
        return told | {name: sorted(told[name]) for name in _SETS}


def tally_of(kept: Mapping[str, Any]) -> Tally:
    """The tally that `Tally.kept` wrote."""
    told = dict(kept)
    return Tally(
        **told
        | {name: set(told[name]) for name in _SETS}
        | {"readings": {step: [Reading(**one) for one in rows] for step, rows in told["readings"].items()}}
        | {"passes": {step: [PassMade(**one) for one in rows] for step, rows in told["passes"].items()}}
        | {"gauged_at": {step: tuple(pair) for step, pair in told["gauged_at"].items()}}
        | {"sizes": {step: ThreadSize(**one) for step, one in told["sizes"].items()}}
        | {"trials": {die: [Trial(**one) for one in rows] for die, rows in told["trials"].items()}}
        | {"outdated": {step: Outdated(**one) for step, one in told["outdated"].items()}}
    )


def made_by(step: Operation, die: str) -> str:
    """What a step makes, and with which die: a thread that was gauged says nothing of another."""
    return f"{step.makes} {die}".rstrip()


def learned_by(step: Operation) -> str:
    """What a step's passes teach of: its tool, as far out as the work stands. The metal and the lathe are the job's."""
    return f"{step.chucking} {step.tool}"


def read_of(step: str, measured: str) -> str:
    """What the readings of a step are kept by: its key, and what was measured of it."""
    return f"{step} {measured}"


def stands_open(opened: Mapping[str, float], die: str, thread: str) -> float:
    """How far a die stands open, in eighths of a turn: by its id; by its thread where it was moved before it had one.

    `opened` are the eighths (unit of all) that each was opened by, by id or thread.
    """
    return opened.get(die, opened.get(thread, 0.0)) if die else opened.get(thread, 0.0)
