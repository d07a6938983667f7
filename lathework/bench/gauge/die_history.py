"""What an entry says of a die: how it stands, what it did, what was not its doing."""

from __future__ import annotations

from collections.abc import Collection, Iterable
from dataclasses import replace

from lathework.bench.entry import CUT_AGAIN, OF_A_HEAD, OF_A_TAP, ON_SCREW, SET, SINCE, Entry, made_of
from lathework.bench.events import Event, Excused, Gauged
from lathework.bench.gauge.contradiction import Opinion
from lathework.bench.gauge.die import aim_of, known_as
from lathework.bench.gauge.thread import sized
from lathework.bench.tally import TRIALS_KEPT, Tally, stands_open
from lathework.dies.counted_from import HERE, TOUCH, on_screw, screw_of
from lathework.dies.trial import Trial
from lathework.gauging.verdicts import VERDICTS
from lathework.planning.operation import Operation
from lathework.units import convert


def _stood(tallies: Collection[Tally], entry: Entry, thread: str) -> float:
    """How far the die of an entry stands open, in eighths of a turn: one die serves every part of its thread."""
    return sum(stands_open(tally.opened, entry.story.die, thread) for tally in tallies)


def _set_anew(tallies: Collection[Tally], own: str, thread: str) -> None:
    """Whatever was said of where a die stands holds no more."""
    for tally in tallies:
        tally.opened.pop(own, None)
        tally.opened.pop(thread, None)
        tally.placed.discard(own)
        tally.gripping.pop(own, None)


def _moved(tallies: Collection[Tally], tally: Tally, entry: Entry, own: str, thread: str) -> None:
    """A die was set, or opened or closed from where it stood, or something came to it; `thread` is what one without an
    id is known by."""
    told = entry.eighths or 0.0
    if entry.word == CUT_AGAIN:
        return
    if entry.word in SINCE:
        tally.since[own] = entry.word
        return
    move = entry.word.removesuffix(OF_A_HEAD).removesuffix(OF_A_TAP)
    if move == SET:
        _set_anew(tallies, own, thread)
        tally.opened[own] = told
        tally.placed.add(own)
    elif move == ON_SCREW:
        _set_anew(tallies, own, thread)
        tally.opened[own] = told
        tally.gripping[own] = entry.mate
        # Each time it grips a little otherwise.
        tally.since.setdefault(own, "seated")
    else:
        by = told if move == "open" else -told
        tally.opened[own] = stands_open(tally.opened, entry.story.die, thread) + by


def starts_of(tallies: Iterable[Tally]) -> dict[str, str]:
    """Where the settings of each die are counted from that was said in this job to stand somewhere: what it did then
    speaks of that place."""
    found: dict[str, str] = {}
    for tally in tallies:
        found |= dict.fromkeys(tally.placed, TOUCH) | {die: on_screw(name) for die, name in tally.gripping.items()}
    return found


def _come_to(tallies: Collection[Tally], own: str) -> str:
    """What came to a die since its last thread, "" for nothing: told once."""
    return next((since for tally in tallies if (since := tally.since.pop(own, ""))), "")


def _off(step: Operation | None, entry: Entry) -> tuple[float | None, float]:
    """How far a measured thread is off the middle of its class, and the uncertainty of that, in millimetres."""
    size = entry.thread_size
    if step is None or step.thread is None or size is None or step.inside:
        return None, 0.0
    aim, told = aim_of(step.thread, step.class_name), sized(step, size)
    if aim is None or told is None:
        return None, 0.0
    own = convert(told.pitch_diameter.value, step.thread.unit, "mm")
    return own - aim.middle_mm, told.uncertainty.value


def opinion_of(step: Operation, entry: Entry) -> Opinion | None:
    """What the gauge of an entry said of the thread of a step; None where that is no verdict."""
    verdict = next((one for one in VERDICTS if one == entry.word), None)
    return Opinion(entry.tried, entry.mate, verdict, *_off(step, entry)) if verdict is not None else None


def _gauging(tallies: Collection[Tally], tally: Tally, entry: Entry, step: Operation | None, own: str) -> list[Event]:
    """What a verdict says of the die known as `own`."""
    story = entry.story
    tally.gauged += 1
    if step is not None and step.gauged_only:
        said = (entry.part, entry.piece, entry.step, story.thread, story.metal, entry.word)
        return [Gauged(*said, blank_mm=None, eighths=0.0, teaches=False, tried=entry.tried, inside=True)]
    stood = _stood(tallies, entry, known_as(step, story.thread))
    verdict = next((one for one in VERDICTS if one == entry.word), None)
    # A thread made to a mate says nothing of the class; nor do the verdicts of other mates on it.
    teaches = step is not None and not step.to_mate and step.cut_by.sized_by != "depth"
    start = starts_of(tallies).get(own, HERE)
    known, since = tally.trials.get(own, []), _come_to(tallies, own)
    # The first thread of a job: the die was out of its holder before.
    came = {"seated": not known or since == "seated", "honed": since == "honed"}
    trial = Trial(stood, story.metal, verdict, *_off(step, entry), entry.tried, start=start, mate=entry.mate, **came)
    once_more = entry.step in tally.verdicts and bool(known) and known[-1].eighths == stood
    once_more = once_more and entry.step not in tally.adjusted
    # The same thread judged once more by the same means: the last word counts. By others it is known the better.
    instead = once_more and known[-1].judged_by == trial.judged_by
    trial = replace(trial, again=known[-1].again if instead else once_more)
    if instead:
        trial = replace(trial, seated=known[-1].seated, honed=known[-1].honed)
    if teaches:
        tally.trials[own] = [*(known[:-1] if instead else known), trial][-TRIALS_KEPT:]
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
        entry.tried,
        cutter=step.cutter if step is not None else "die",
        again=trial.again,
        placed=start != HERE,
        mate=entry.mate,
        on=screw_of(start),
        since="honed" if trial.honed else "seated" if trial.seated else "",
        inside=step is not None and step.inside,
    )
    before = [Excused(entry.part, entry.piece, entry.step)] if teaches and instead else []
    return [*before, gauged]


def of_the_die(tallies: Collection[Tally], tally: Tally, entry: Entry, step: Operation | None) -> list[Event]:
    """What an entry says of a die: that stands whatever becomes of the plan."""
    thread, made, story = entry.story.thread, made_of(entry.step), entry.story
    own = story.die or known_as(step, thread)
    if entry.kind == "reading" and entry.measured == "diameter" and thread and entry.value_mm is not None:
        tally.blanks[made] = entry.value_mm
    elif entry.kind == "setting":
        for other in tallies:
            other.gauged_at.clear()
        _moved(tallies, tally, entry, own, known_as(step, thread))
    elif entry.kind == "cause":
        if step is None or step.to_mate or (step.gauged_only):
            return []
        tally.trials[own] = tally.trials.get(own, [])[:-1]
        return [Excused(entry.part, entry.piece, entry.step)]
    elif entry.kind == "verdict":
        return _gauging(tallies, tally, entry, step, own)
    return []
