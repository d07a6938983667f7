"""What may be recorded now: each act checked against where the work stands, and turned into its entry."""

from __future__ import annotations

import math

from lathework.bench.bench import Bench
from lathework.bench.dispositions import checked_mistake, settled
from lathework.bench.entry import CUT_AGAIN, ENDS, SET, Entry, Kind
from lathework.bench.progress import Progress
from lathework.bench.size.judged import SizeNow
from lathework.cutting.dimension import came_off, halved
from lathework.dies.scale import Scale
from lathework.errors import InputError
from lathework.lengths import Length, Span, within
from lathework.planning.operation import Operation
from lathework.units import show_length

_GROWN_MM = 0.1
"""Millimetres by which a reading may go back before metal would have to come back (practice)."""
KEEPS = ("kept", "each")
"""How a lathe's tools keep their zero: while another is in, or not."""
LEAST_DIALLED_MM, PLAIN_MM, ALIKE = 0.001, 0.1, 0.08
"""The least that can be dialled; what must have come off for it to be told from what was dialled (both millimetres);
and within what share of the half or the double it is told (practice)."""
LEAST_SHARE, MOST_SHARE, MOST_OVER_MM = 0.5, 1.05, 0.2
"""What a reading may be: at least this share of the smaller of aim and start, at most this share of the larger and a
little over it, in millimetres; past either a digit slipped (practice)."""


def reading_entry(now: Bench, length: Length, dialled: Length | None = None, measured: str = "") -> Entry:
    """A size of the step in hand as `measured`, "" for the one that drives its cuts, and what was `dialled` in the
    dial's own terms where the person says.

    Raises InputError on "reading", "dialled" or "measured".
    """
    step = now.step
    if step is None or not now.sizes:
        raise InputError("not-asked", "reading", "Nothing is measured at this step.")
    size = now.size(measured)
    if size is None:
        known = tuple(one.dimension.measured for one in now.sizes)
        raise InputError("unknown-choice", "measured", "That is not measured at this step.", known)
    _check_size(size, length)
    own = size.dimension.measured
    if dialled is not None:
        told_mm = _dialled_mm(now, size, length, dialled)
        return Entry("reading", now.piece, step.key, length.mm, own, dialled_mm=told_mm, stated=True)
    asked = size.cut.cut_mm if size.readings else None
    return Entry("reading", now.piece, step.key, length.mm, own, dialled_mm=asked or None)


def _check_size(size: SizeNow, length: Length) -> None:
    """Raises InputError on "reading" where a size cannot read so: a digit slipped, or metal would have come back."""
    dimension, aim = size.dimension, size.dimension.target.aim_mm
    # What begins at nothing is measured near its end.
    least = LEAST_SHARE * (min(aim, dimension.start_mm) or aim)
    most = MOST_SHARE * max(aim, dimension.start_mm, dimension.target.high_mm) + MOST_OVER_MM
    if dimension.move == "knock":
        least, most = 0.0, dimension.most_mm
    within(length, Span(dimension.name.capitalize(), least, most), "reading")
    back_mm = -came_off(dimension, size.readings[-1].value_mm, length.mm) if size.readings else 0.0
    if back_mm > _GROWN_MM and dimension.move != "knock":
        word = "smaller" if dimension.grows else "larger"
        text = f"That is {word} than the last reading, and metal cannot come back. Measure again."
        raise InputError("grew", "reading", text)


def _dialled_mm(now: Bench, size: SizeNow, length: Length, dialled: Length) -> float:
    """What was dialled, on the size itself, in millimetres. Raises InputError on "dialled" where it cannot be, or where
    what came off says that the dial's other terms were meant."""
    dimension = size.dimension
    half = halved(dimension.move, now.plan.job.setup.dial)
    most = max(dimension.start_mm, dimension.target.high_mm)
    within(dialled, Span("What was dialled here", LEAST_DIALLED_MM, most / (2 if half else 1)), "dialled")
    told_mm = dialled.mm * (2 if half else 1)
    came_mm = came_off(dimension, size.readings[-1].value_mm, length.mm) if size.readings else 0.0
    if dimension.move != "cross-slide":
        return told_mm
    for share, words in ((0.5, "Half"), (2.0, "Twice")):
        if came_mm >= PLAIN_MM and abs(came_mm / told_mm / share - 1) <= ALIKE:
            meant = f"{show_length(dialled.mm * share, 'mm', dialled.unit)} {dialled.unit}"
            text = f"{words} of what was dialled came off. Did you mean {meant}? This lathe's dial reads "
            text += f"{now.plan.job.setup.dial}; leave it empty if nobody knows."
            raise InputError("other-terms", "dialled", text, (meant,))
    return told_mm


def setting_entry(now: Bench, stands: str = "") -> Entry:
    """The die was moved as advised; or, before it runs, where it `stands`: a number of eighths of a turn from where its
    middle screw touches, opened above 0. Raises InputError on "setting" or "stands"."""
    if stands.strip():
        if now.step is None or now.preset is None:
            raise InputError("not-asked", "stands", "No die is set at this step.")
        scale = now.preset.scale
        word = f"{SET}{ENDS[scale.sets]}"
        return Entry("setting", now.piece, now.step.key, word=word, eighths=_marks(stands, scale))
    if now.step is None or now.advice is None or now.adjusted:
        raise InputError("not-asked", "setting", "There is no advice to move the die: gauge first.")
    if now.advice.again:
        return Entry("setting", now.piece, now.step.key, word=CUT_AGAIN)
    if now.advice.eighths is None:
        raise InputError("not-asked", "setting", "There is no advice to move the die: it stays as it is.")
    word = f"{now.advice.move}{ENDS[now.scale.sets]}"
    return Entry("setting", now.piece, now.step.key, word=word, eighths=now.advice.eighths.value)


def _marks(text: str, scale: Scale) -> float:
    """A setting as typed. Raises InputError on "stands"."""
    try:
        told = float(text.replace(",", ".").replace("−", "-"))
    except ValueError:
        told = math.nan
    most = f"{scale.most:g}"
    if not abs(told) <= scale.most:
        text = f"Eighths of a turn, from −{most} (closed) to {most} (open): it cracks past that."
        if scale.by != "screw":
            text = f"Graduations, from −{most} (closed) to {most} (open) of its mark."
        raise InputError("out-of-range", "stands", text)
    return scale.opened(told)


def cause_entry(now: Bench, code: str) -> Entry:
    """What the nut bound for was found, and was not the die: it is tried again. Raises InputError on "cause"."""
    known = tuple(cause.code for cause in now.causes)
    if now.step is None or not known:
        raise InputError("not-asked", "cause", "Nothing binds here.")
    if code not in known:
        raise InputError("unknown-choice", "cause", "Choose what it was.", known)
    return Entry("cause", now.piece, now.step.key, word=code)


def done_entry(now: Bench) -> Entry:
    """The step in hand is done. Raises InputError when something must be said first."""
    step = check_done(now, "done", "")
    return Entry("done", now.piece, step.key, ended=_whole_with(now, step), then=now.then)


def note_entry(now: Bench, words: str) -> Entry:
    """A note."""
    return Entry("note", now.piece, now.step.key if now.step else "", text=words)


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


def read_entry(now: Bench) -> Entry:
    """The cautions of the job's use were read. Raises InputError on "caution" when there are none left."""
    if not now.unread:
        raise InputError("not-asked", "caution", "Every caution of this job was read already.")
    return Entry("read", now.piece, "", word=" ".join(caution.code for caution in now.unread))


def zero_entry(now: Bench, *, lost: bool, keeps: str = "") -> Entry:
    """The tool of the step was touched off, or every zero was `lost`; `keeps` is how this lathe's tools keep theirs.

    Raises InputError on "zero" or "keeps".
    """
    if keeps and keeps not in KEEPS:
        raise InputError("unknown-choice", "keeps", "Choose whether the zero of a tool stays.", KEEPS)
    if now.step is None or (not lost and not now.zero):
        raise InputError("not-asked", "zero", "This step asks for no zero.")
    return Entry("zero-lost" if lost else "zero", now.piece, now.step.key, word=keeps)


def again_entry(now: Bench, step: str) -> Entry:
    """A finished step of the piece in hand is taken up again. Raises InputError on "again"."""
    if step not in now.done:
        raise InputError("not-done", "again", "That step of this piece is not done yet.")
    return Entry("again", now.piece, step)


def take_up_entry(now: Bench, piece: int) -> Entry:
    """Put the piece in hand down and take up that of another number. Raises InputError on "piece"."""
    known = (*now.aside, *((now.begun + 1,) if now.may_begin else ()))
    if now.step is None or piece not in known:
        raise InputError("out-of-range", "piece", "No piece of that number waits.", tuple(map(str, known)))
    return Entry("take-up", piece, "")


def turn_to(now: Progress, part: str) -> Entry:
    """Take up the part of that id out of turn. Raises InputError on "part"."""
    number = now.number_of(part)
    if number is None:
        raise InputError("out-of-range", "part", "This job has no such part.", now.ids)
    if number == now.number:
        raise InputError("not-asked", "part", "That part is in hand already.")
    if now.benches[number - 1].finished:
        raise InputError("finished", "part", "Every piece of that part is made.")
    return Entry("turn-to", now.benches[number - 1].piece, "", part=part)


def _whole_with(now: Bench, step: Operation) -> bool:
    """Whether the piece in hand is whole once `step` is done."""
    return {one.key for one in now.plan.operations} <= now.done | {step.key}


def check_done(now: Bench, kind: Kind, reason: str) -> Operation:
    """The step in hand, if it may be ticked off. Raises InputError on "reason" or "step"."""
    if now.step is None:
        raise InputError("finished", "step", "Every piece is made: close the job.")
    if kind == "done" and now.hindrance:
        raise InputError("needs-reason", "reason", now.hindrance)
    if kind != "done" and not reason.strip():
        raise InputError("empty", "reason", "Say why, in a few words.")
    return now.step


def check_read(now: Bench, kind: Kind) -> None:
    """Whether `kind` may be recorded before the job's cautions were read. Raises InputError on "caution"."""
    if now.unread and kind not in ("read", "note"):
        raise InputError("not-read", "caution", "Read the caution first, and say so: others decide in this use.")
