"""Folds what was recorded, entry by entry, into a tally for each part; and says what came of each entry."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field, replace
from typing import Any

from lathework.bench.entry import OF_EVERY_PART, OF_THE_STEP, SINCE, Entry, counts, made_of
from lathework.bench.events import Event, PassTaken, PieceEnded
from lathework.bench.gauge.contradiction import with_opinion
from lathework.bench.gauge.die_history import of_the_die, opinion_of
from lathework.bench.tally import (
    PASSES_KEPT,
    READINGS_KEPT,
    Outdated,
    Reading,
    Tally,
    learned_by,
    made_by,
    measured_again,
    read_of,
    stands_there,
    tally_of,
)
from lathework.cutting.dimension import LEARNED, came_off
from lathework.cutting.to_size.pass_made import PassMade
from lathework.gauging.verdicts import verdict_passes
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan

Steps = Mapping[str, Operation]


@dataclass(slots=True)
class State:
    """Where every part of a job stands, by its id, and which was last turned to ("" for none)."""

    parts: dict[str, Tally] = field(default_factory=dict)
    turned_to: str = ""

    def kept(self) -> dict[str, Any]:
        """As plain values, to be stored."""
        return {"parts": {part: tally.kept() for part, tally in self.parts.items()}, "turned_to": self.turned_to}


def state_of(kept: Mapping[str, Any]) -> State:
    """The state that `State.kept` wrote."""
    return State({part: tally_of(tally) for part, tally in kept["parts"].items()}, kept["turned_to"])


def _reading(tally: Tally, entry: Entry, step: Operation) -> list[Event]:
    """A size was measured: what came off since the last time, where the dial was stated."""
    events: list[Event] = []
    assert entry.value_mm is not None  # the reader and the bench see to it
    earlier = tally.readings.setdefault(read_of(entry.step, entry.measured), [])
    dimension = step.dimension(entry.measured)
    learned = dimension is not None and dimension.move in LEARNED
    if dimension is not None and learned and earlier and entry.dialled_mm is not None:
        came_mm = came_off(dimension, earlier[-1].value_mm, entry.value_mm)
        made = PassMade(entry.dialled_mm, came_mm, entry.stated, follows=stands_there(earlier))
        if not measured_again(made):
            before = tally.passes.get(learned_by(step), [])
            tally.passes[learned_by(step)] = [*before, made][-PASSES_KEPT:]
            if made.stated:
                # Elsewhere only cuts count whose dial was stated: one that follows another follows such a one.
                follows = made.follows and bool(before) and before[-1].stated
                events.append(PassTaken(entry.part, entry.step, replace(made, follows=follows)))
    earlier.append(Reading(entry.value_mm, entry.dialled_mm, stated=entry.stated, by=entry.by))
    del earlier[:-READINGS_KEPT]
    return events


def _step_entry(tally: Tally, entry: Entry, step: Operation | None) -> list[Event]:
    """What speaks of a step of the piece in hand, and counts only if that still makes the same."""
    events: list[Event] = []
    if step is None or not counts(entry, step):
        if step is not None and entry.kind != "zero":
            story = entry.story
            old = Outdated(entry.kind, story.makes, entry.value_mm, story.aim_mm, entry.measured)
            tally.outdated[entry.step] = old
        return events
    tally.outdated.pop(entry.step, None)
    match entry.kind:
        case "reading":
            events = _reading(tally, entry, step)
        case "verdict":
            tally.verdicts[entry.step] = entry.word
            tally.tried, tally.mates[made_of(entry.step)] = entry.tried, entry.mate
            if (opinion := opinion_of(step, entry)) is not None:
                tally.opinions[entry.step] = with_opinion(tally.opinions.get(entry.step, ()), opinion)
            tally.causes.pop(entry.step, None)
            tally.sizes.pop(entry.step, None)
            if (size := entry.thread_size) is not None:
                tally.sizes[entry.step] = size
            tally.gauged_at.pop(entry.step, None)
            if verdict_passes(entry.word):
                tally.gauged_at[entry.step] = (entry.piece, made_by(step, entry.story.die))
            tally.adjusted.discard(entry.step)
        case "setting" if entry.word not in SINCE:
            tally.opinions.pop(entry.step, None)
            tally.adjusted.add(entry.step)
            tally.moved_for.add(entry.step)
        case "cause":
            tally.verdicts.pop(entry.step, None)
            # What it said was not the thread's doing.
            tally.opinions[entry.step] = tally.opinions.get(entry.step, [])[:-1]
            tally.causes[entry.step] = entry.word
        case "zero":
            tally.zeroed[entry.step] = entry.piece
            tally.keeping = entry.word or tally.keeping
            tally.rechucked = False
        case "accept":
            # What will do was not as it should be: the next is looked at.
            tally.gauged_at.clear()
            tally.done.add(entry.step)
        case "done":
            tally.done.add(entry.step)
    return events


def _held_again(tally: Tally, steps: Steps) -> None:
    """Another piece is in hand: one that was cut in this holding before runs true no more; no zero stands for it."""
    follows = next((step for key, step in steps.items() if key not in tally.done), None)
    cut = [step for key, step in steps.items() if key in tally.done and step.cut is not None]
    tally.rechucked = follows is not None and any(step.chucking == follows.chucking for step in cut)
    if tally.rechucked:
        tally.zeroed.clear()


def _ended(tally: Tally, part: str, steps: Steps, *, good: bool, then: int | None = None) -> PieceEnded:
    event = PieceEnded(part, tally.piece, good)
    tally.next_piece(good=good, then=then)
    _held_again(tally, steps)
    return event


def _take_up(tally: Tally, piece: int | None, steps: Steps) -> None:
    """Take up a piece that was put down, or the next one."""
    if piece is not None and (piece in tally.aside or piece == tally.begun + 1):
        tally.take_up(piece)
        _held_again(tally, steps)


def _of_the_part(state: State, tally: Tally, entry: Entry, steps: Steps) -> list[Event]:
    events: list[Event] = []
    if entry.kind == "take-up":
        _take_up(tally, entry.piece, steps)
        return events
    if entry.piece > tally.begun:
        # Recorded when the piece before it was whole: a step that the plan gained since does not undo that.
        events.append(_ended(tally, entry.part, steps, good=True))
    in_hand = entry.piece == tally.piece
    events += of_the_die(state.parts.values(), tally, entry, steps.get(entry.step))
    if entry.kind in OF_THE_STEP and in_hand:
        events += _step_entry(tally, entry, steps.get(entry.step))
    elif entry.kind == "again" and in_hand:
        tally.done.discard(entry.step)
        for own in [reading for reading in tally.readings if reading.startswith(f"{entry.step} ")]:
            del tally.readings[own]
        if entry.word:
            # Done again, it is gauged again.
            tally.verdicts.pop(entry.step, None)
            tally.opinions.pop(entry.step, None)
            tally.gauged_at.pop(entry.step, None)
    elif entry.kind == "zero-lost":
        tally.zeroed.clear()
        tally.gauged_at.clear()
    if in_hand and (entry.kind == "scrap" or entry.ended):
        events.append(_ended(tally, entry.part, steps, good=entry.kind != "scrap", then=entry.then))
    elif in_hand:
        _take_up(tally, entry.then, steps)
    return events


def follow(state: State, entry: Entry, plans: Mapping[str, Steps]) -> list[Event]:
    """Fold one more entry into `state`; `plans` are the steps of each part by key. What came of it is returned."""
    if entry.kind not in OF_EVERY_PART:
        tally = state.parts.setdefault(entry.part, Tally())
        return _of_the_part(state, tally, entry, plans.get(entry.part, {}))
    for part in plans:
        tally = state.parts.setdefault(part, Tally())
        if entry.kind == "read":
            tally.read.update(entry.word.split())
        else:
            # The work of another part stood in the chuck meanwhile.
            tally.zeroed.clear()
    if entry.kind == "turn-to":
        state.turned_to = entry.part
    return []


def steps_of_parts(plans: Sequence[Plan]) -> dict[str, Steps]:
    """The steps of each part by key, by the id of the part."""
    return {plan.job.part.id: {step.key: step for step in plan.operations} for plan in plans}


def fold(plans: Sequence[Plan], entries: Iterable[Entry]) -> tuple[State, list[tuple[int, Event]]]:
    """Fold a whole history over the plans of a job's parts: the state, and what came of each entry, by its place."""
    state, steps = State(), steps_of_parts(plans)
    events = [(at, event) for at, entry in enumerate(entries) for event in follow(state, entry, steps)]
    return state, events
