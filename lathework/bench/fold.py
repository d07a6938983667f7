"""Folds what was recorded, entry by entry, into a tally for each part; and says what came of each entry."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Any

from lathework.bench.die import aim_of, sized
from lathework.bench.entry import OF_EVERY_PART, OF_THE_STEP, SET, Entry, counts, made_of
from lathework.bench.events import Event, Excused, Gauged, PieceEnded
from lathework.bench.tally import (
    PASSES_KEPT,
    READINGS_KEPT,
    TRIALS_KEPT,
    Outdated,
    Reading,
    Tally,
    learned_by,
    made_by,
    read_of,
    stands_open,
    tally_of,
)
from lathework.cutting.dimension import LEARNED, came_off
from lathework.cutting.next_cut import PassMade
from lathework.dies.learner import Trial
from lathework.gauging.wires import VERDICTS, verdict_passes
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.units import convert

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


def _reading(tally: Tally, entry: Entry, step: Operation) -> None:
    assert entry.value_mm is not None  # the reader and the bench see to it
    earlier = tally.readings.setdefault(read_of(entry.step, entry.measured), [])
    dimension = step.dimension(entry.measured)
    learned = dimension is not None and dimension.move in LEARNED
    if dimension is not None and learned and earlier and entry.stated and entry.dialled_mm:
        came_mm = came_off(dimension, earlier[-1].value_mm, entry.value_mm)
        made = PassMade(entry.dialled_mm, came_mm)
        passes = [*tally.passes.get(learned_by(step), []), made]
        tally.passes[learned_by(step)] = passes[-PASSES_KEPT:]
    earlier.append(Reading(entry.value_mm, entry.dialled_mm, stated=entry.stated))
    del earlier[:-READINGS_KEPT]


def _step_entry(tally: Tally, entry: Entry, step: Operation | None) -> None:
    """What speaks of a step of the piece in hand, and counts only if that still makes the same."""
    if step is None or not counts(entry, step):
        if step is not None and entry.kind != "zero":
            story = entry.story
            old = Outdated(entry.kind, story.makes, entry.value_mm, story.aim_mm, entry.measured)
            tally.outdated[entry.step] = old
        return
    tally.outdated.pop(entry.step, None)
    match entry.kind:
        case "reading":
            _reading(tally, entry, step)
        case "verdict":
            tally.verdicts[entry.step] = entry.word
            tally.causes.pop(entry.step, None)
            tally.sizes.pop(entry.step, None)
            if entry.value_mm is not None and entry.wire_mm is not None:
                tally.sizes[entry.step] = entry.value_mm, entry.wire_mm
            tally.gauged_at.pop(entry.step, None)
            if verdict_passes(entry.word):
                tally.gauged_at[entry.step] = (entry.piece, made_by(step, entry.story.die))
            tally.adjusted.discard(entry.step)
        case "setting":
            tally.adjusted.add(entry.step)
            tally.moved_for.add(entry.step)
        case "cause":
            tally.verdicts.pop(entry.step, None)
            tally.causes[entry.step] = entry.word
        case "zero":
            tally.zeroed[entry.step] = entry.piece
            tally.keeping = entry.word or tally.keeping
        case "accept":
            # What will do was not as it should be: the next is looked at.
            tally.gauged_at.clear()
            tally.done.add(entry.step)
        case _:
            tally.done.add(entry.step)


def _stood(state: State, entry: Entry) -> float:
    """How far the die of an entry stands open, in eighths of a turn: one die serves every part of its thread."""
    tallies = state.parts.values()
    return sum(stands_open(tally.opened, entry.story.die, entry.story.thread) for tally in tallies)


def _moved(state: State, tally: Tally, entry: Entry, own: str) -> None:
    """A die was set, or opened or closed from where it stood."""
    told = entry.eighths or 0.0
    if entry.word == SET:
        for other in state.parts.values():
            other.opened.pop(own, None)
            other.opened.pop(entry.story.thread, None)
        tally.opened[own] = told
        return
    by = told if entry.word == "open" else -told
    tally.opened[own] = stands_open(tally.opened, entry.story.die, entry.story.thread) + by


def _off(step: Operation | None, entry: Entry) -> tuple[float | None, float]:
    """How far a measured thread is off the middle of its class, and the uncertainty of that, in millimetres."""
    if step is None or step.thread is None or entry.value_mm is None or entry.wire_mm is None:
        return None, 0.0
    aim, told = aim_of(step.thread, step.class_name), sized(step, entry.value_mm, entry.wire_mm)
    if aim is None or told is None:
        return None, 0.0
    size = convert(told.pitch_diameter.value, step.thread.unit, "mm")
    return size - aim.middle_mm, told.uncertainty.value


def _gauging(state: State, tally: Tally, entry: Entry, step: Operation | None, own: str) -> list[Event]:
    """What a verdict says of the die known as `own`."""
    story = entry.story
    tally.gauged += 1
    if step is not None and step.inside:
        # No die made it.
        return []
    stood = _stood(state, entry)
    verdict = next((one for one in VERDICTS if one == entry.word), None)
    # A thread made to a mate says nothing of the class; nor do the verdicts of other mates on it.
    teaches = step is not None and not step.to_mate
    trial = Trial(stood, story.metal, verdict, *_off(step, entry))
    known = tally.trials.get(own, [])
    # The same thread judged once more, by a second look or a second nut, is one thread: the last word counts.
    once_more = entry.step in tally.verdicts and bool(known) and known[-1].eighths == stood
    once_more = once_more and entry.step not in tally.adjusted
    if teaches:
        tally.trials[own] = [*(known[:-1] if once_more else known), trial][-TRIALS_KEPT:]
    blank = tally.blanks.get(made_of(entry.step))
    gauged = Gauged(
        entry.part,
        entry.piece,
        entry.step,
        story.thread,
        story.metal,
        entry.word,
        blank,
        stood,
        story.die,
        teaches,
        trial.off_mm,
        trial.within_mm,
    )
    before = [Excused(entry.part, entry.piece, entry.step)] if teaches and once_more else []
    return [*before, gauged]


def _die(state: State, tally: Tally, entry: Entry, step: Operation | None) -> list[Event]:
    """What an entry says of a die: that stands whatever becomes of the plan."""
    thread, made, story = entry.story.thread, made_of(entry.step), entry.story
    own = story.die or thread
    if entry.kind == "reading" and entry.measured == "diameter" and thread and entry.value_mm is not None:
        tally.blanks[made] = entry.value_mm
    elif entry.kind == "setting":
        for other in state.parts.values():
            other.gauged_at.clear()
        _moved(state, tally, entry, own)
    elif entry.kind == "cause":
        if step is None or step.to_mate or step.inside:
            return []
        tally.trials[own] = tally.trials.get(own, [])[:-1]
        return [Excused(entry.part, entry.piece, entry.step)]
    elif entry.kind == "verdict":
        return _gauging(state, tally, entry, step, own)
    return []


def _ended(tally: Tally, part: str, *, good: bool) -> PieceEnded:
    event = PieceEnded(part, tally.piece, good)
    tally.next_piece(good=good)
    return event


def _of_the_part(state: State, tally: Tally, entry: Entry, steps: Steps) -> list[Event]:
    events: list[Event] = []
    if entry.piece > tally.piece:
        # Recorded when the piece before it was whole: a step that the plan gained since does not undo that.
        events.append(_ended(tally, entry.part, good=True))
    in_hand = entry.piece == tally.piece
    events += _die(state, tally, entry, steps.get(entry.step))
    if entry.kind in OF_THE_STEP and in_hand:
        _step_entry(tally, entry, steps.get(entry.step))
    elif entry.kind == "again" and in_hand:
        tally.done.discard(entry.step)
        for own in [one for one in tally.readings if one.startswith(f"{entry.step} ")]:
            del tally.readings[own]
        if entry.word:
            # Done again, it is gauged again.
            tally.verdicts.pop(entry.step, None)
            tally.gauged_at.pop(entry.step, None)
    elif entry.kind == "zero-lost":
        tally.zeroed.clear()
        tally.gauged_at.clear()
    if in_hand and (entry.kind == "scrap" or entry.ended):
        events.append(_ended(tally, entry.part, good=entry.kind != "scrap"))
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
