"""Where a job stands on the bench: derived from its plan and what was recorded, never stored beside it."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Literal, get_args

from lathework.errors import InputError
from lathework.lengths import Length, Span, within
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.rules.cautions import HAZARD_CAUTIONS, Caution
from lathework.rules.dies import DieAdvice, advise
from lathework.rules.gauging import MEANINGS, VERDICTS, Verdict
from lathework.rules.turning import NextCut, PassMade, next_cut

Kind = Literal[
    "reading", "verdict", "setting", "done", "accept", "scrap", "again", "note", "read", "zero-lost", "zero", "turn-to",
]  # fmt: skip
KINDS: tuple[Kind, ...] = get_args(Kind)
OF_EVERY_PART: tuple[Kind, ...] = ("read", "turn-to")
"""A caution that was read holds for all parts of a job; a zero stands for none once another one is turned to."""
_REMEMBERED_PASSES = 8
_GROWN_MM = 0.1


@dataclass(frozen=True, slots=True)
class Entry:
    """One thing recorded at the bench, for `part` number (from 1) of the job.

    `value_mm` a reading; `dialled_mm` what had been dialled on the diameter before it; `word` a verdict or the
    way the die was moved, or the hazards whose cautions were read; `eighths` how far its middle screw went; `text` a
    note or a reason. "turn-to" takes up the part it belongs to.
    """

    kind: Kind
    piece: int
    step: str
    value_mm: float | None = None
    dialled_mm: float | None = None
    word: str = ""
    eighths: float | None = None
    text: str = ""
    part: int = 1


@dataclass(slots=True)
class _Tally:
    """The fold in progress: the piece in hand and what is finished."""

    piece: int = 1
    good: int = 0
    scrapped: int = 0
    done: set[str] = field(default_factory=set)
    readings: dict[str, list[Entry]] = field(default_factory=dict)
    verdicts: dict[str, Verdict | None] = field(default_factory=dict)
    adjusted: set[str] = field(default_factory=set)
    gauged_pieces: int = 0
    passes: dict[str, list[PassMade]] = field(default_factory=dict)
    opened: dict[str, float] = field(default_factory=dict)
    """Eighths by which the die was opened, by the thread it cuts: one die serves both ends of a stud."""
    read: set[str] = field(default_factory=set)
    zeroed: set[str] = field(default_factory=set)
    """Steps whose tool has found its zero: it stands from piece to piece until it is lost."""

    def next_piece(self, *, good: bool) -> None:
        """Take up the next piece."""
        self.good += good
        self.scrapped += not good
        self.piece += 1
        self.done, self.readings, self.verdicts, self.adjusted = set(), {}, {}, set()


@dataclass(frozen=True, slots=True)
class Bench:
    """Where the job stands: the piece in hand, the step, and all that the step needs.

    `die` is the thread of the die in use, `opened` by how many eighths of a turn each die was opened here, by thread.
    `unread` are the cautions that must be read before anything else; `zero` is what to touch off first, "" when the
    tool's zero stands.
    """

    plan: Plan
    piece: int
    good: int
    scrapped: int
    gauged_pieces: int
    done: frozenset[str]
    step: Operation | None
    readings: tuple[Entry, ...]
    cut: NextCut | None
    verdict: Verdict | None
    adjusted: bool
    advice: DieAdvice | None
    die: str
    opened: Mapping[str, float]
    unread: tuple[Caution, ...]
    zero: str

    @property
    def opened_eighths(self) -> float:
        """By how many eighths of a turn the die in use was opened for this part."""
        return self.opened.get(self.die, 0.0)

    @property
    def finished(self) -> bool:
        """Every piece wanted is made."""
        return self.step is None

    @property
    def hindrance(self) -> str:
        """Why the step cannot be ticked off without a reason; empty when it can."""
        if self.cut is not None and self.readings and self.cut.state != "on-size":
            if self.cut.state == "under-size":
                return "The last reading is under size. Scrap the piece, or say why it will do."
            return "The last reading is still over size. Cut again, or say why it will do."
        if self.step is not None and self.step.measure == "verdict" and not self._passed():
            return "Gauge the thread first, or say why not."
        return ""

    def _passed(self) -> bool:
        return self.verdict is not None and MEANINGS[self.verdict].passes


def _fold_reading(tally: _Tally, entry: Entry) -> None:
    earlier = tally.readings.setdefault(entry.step, [])
    if earlier and entry.dialled_mm and entry.value_mm is not None and earlier[-1].value_mm is not None:
        made = PassMade(entry.dialled_mm, earlier[-1].value_mm - entry.value_mm)
        if made.came_off_mm > 0:
            tally.passes.setdefault(entry.step, []).append(made)
    earlier.append(entry)


def _threads_of(plan: Plan) -> dict[str, str]:
    """The thread of each step that makes one, by the step's key."""
    return {o.key: o.thread.designation for o in plan.operations if o.thread is not None}


def _fold_die(tally: _Tally, entry: Entry, threads: Mapping[str, str]) -> None:
    if entry.kind == "verdict":
        tally.verdicts[entry.step] = next((v for v in VERDICTS if v == entry.word), None)
        tally.gauged_pieces += 1
        tally.adjusted.discard(entry.step)
        return
    die = threads.get(entry.step, "")
    by = (entry.eighths or 0.0) * (1 if entry.word == "open" else -1)
    tally.opened[die] = tally.opened.get(die, 0.0) + by
    tally.adjusted.add(entry.step)


def _fold_one(tally: _Tally, entry: Entry, wanted: frozenset[str], threads: Mapping[str, str]) -> None:
    if entry.piece > tally.piece and tally.done and entry.kind not in OF_EVERY_PART:
        # Recorded when the piece before it was whole: a step that the plan gained since does not undo that.
        tally.next_piece(good=True)
    match entry.kind:
        case "reading":
            _fold_reading(tally, entry)
        case "verdict" | "setting":
            _fold_die(tally, entry, threads)
        case "done" | "accept":
            tally.done.add(entry.step)
            if wanted <= tally.done:
                tally.next_piece(good=True)
        case "scrap":
            tally.next_piece(good=False)
        case "again":
            tally.done.discard(entry.step)
            tally.readings.pop(entry.step, None)
        case "read":
            tally.read.update(entry.word.split())
        case "zero":
            tally.zeroed.add(entry.step)
        case "zero-lost" | "turn-to":
            # The work of another part stood in the chuck meanwhile.
            tally.zeroed.clear()
        case "note":
            pass


def _next_cut(plan: Plan, step: Operation, tally: _Tally) -> NextCut | None:
    if step.target is None or step.start_mm is None or step.max_cut_mm is None:
        return None
    readings = tally.readings.get(step.key, [])
    last = readings[-1].value_mm if readings else None
    return next_cut(
        last_mm=step.start_mm if last is None else last,
        target=step.target,
        passes=tally.passes.get(step.key, [])[-_REMEMBERED_PASSES:],
        dial=plan.job.setup.dial,
        max_cut_mm=step.max_cut_mm,
        unit=plan.job.unit,
    )


def _current(plan: Plan, tally: _Tally) -> Operation | None:
    """The step in hand; None when every piece is made."""
    if tally.good >= plan.job.quantity:
        return None
    return next(o for o in plan.operations if o.key not in tally.done)


def bench(plan: Plan, entries: Iterable[Entry]) -> Bench:
    """Fold what was recorded over the plan. Entries of steps the plan no longer has are kept but do not count."""
    wanted, threads = frozenset(o.key for o in plan.operations), _threads_of(plan)
    tally = _Tally()
    for entry in entries:
        _fold_one(tally, entry, wanted, threads)
    step = _current(plan, tally)
    key = step.key if step else ""
    verdict = tally.verdicts.get(key)
    thread = step.thread if step is not None and step.measure == "verdict" else None
    return Bench(
        plan=plan,
        piece=tally.piece,
        good=tally.good,
        scrapped=tally.scrapped,
        gauged_pieces=tally.gauged_pieces,
        done=frozenset(tally.done),
        step=step,
        readings=tuple(tally.readings.get(key, ())),
        cut=_next_cut(plan, step, tally) if step else None,
        verdict=verdict if thread else None,
        adjusted=key in tally.adjusted,
        advice=advise(thread, verdict) if thread and verdict else None,
        die=threads.get(key, plan.job.part.thread.designation),
        opened=tally.opened,
        unread=tuple(HAZARD_CAUTIONS[h] for h in plan.job.hazards if h not in tally.read) if step else (),
        zero=step.zero if step is not None and key not in tally.zeroed else "",
    )


def reading_entry(now: Bench, length: Length) -> Entry:
    """A measured diameter for the step in hand, with what had been dialled. Raises InputError on "reading"."""
    step = now.step
    if step is None or step.target is None or step.start_mm is None:
        raise InputError("not-asked", "reading", "This step takes no diameter.")
    within(length, Span("A reading here", step.target.aim_mm / 2, step.start_mm * 1.05 + 0.2), "reading")
    last = now.readings[-1].value_mm if now.readings else None
    if last is not None and length.mm > last + _GROWN_MM:
        raise InputError(
            "grew", "reading", "That is larger than the last reading: metal does not come back. Measure again."
        )
    dialled = now.cut.diameter_mm if now.cut is not None and now.readings else None
    return Entry("reading", now.piece, step.key, value_mm=length.mm, dialled_mm=dialled or None)


def check_done(now: Bench, kind: Kind, reason: str) -> None:
    """Whether the step in hand may be ticked off. Raises InputError on "reason" or "step"."""
    if now.step is None:
        raise InputError("finished", "step", "Every piece is made: close the job.")
    if kind == "done" and now.hindrance:
        raise InputError("needs-reason", "reason", now.hindrance)
    if kind in ("accept", "scrap") and not reason.strip():
        raise InputError("empty", "reason", "Say why, in a few words.")


def verdict_of(word: str) -> Verdict:
    """The verdict of that code. Raises InputError on "verdict"."""
    for verdict in VERDICTS:
        if verdict == word:
            return verdict
    raise InputError("unknown-choice", "verdict", "Choose what the nut said.", VERDICTS)


def steps_of(now: Bench) -> Sequence[tuple[Operation, str]]:
    """The steps of the piece in hand with their state: "done", "now" or "to do"."""
    here = now.step.key if now.step else ""
    return [
        (o, "now" if o.key == here else "done" if o.key in now.done or now.finished else "to do")
        for o in now.plan.operations
    ]


def check_read(now: Bench, kind: Kind) -> None:
    """Whether `kind` may be recorded before the job's cautions were read. Raises InputError on "caution"."""
    if now.unread and kind not in ("read", "note"):
        raise InputError("not-read", "caution", "Read the caution first, and say so: others decide in this use.")
