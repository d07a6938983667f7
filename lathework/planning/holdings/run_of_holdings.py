"""The holdings of a part, in order: how each end is held, how far it stands out, what is done in it."""

from __future__ import annotations

from dataclasses import replace

from lathework.cutting.groove import UNFINISHED_THREADS
from lathework.lathe.standing import CHUCK_DEEP_MM
from lathework.part.ends import far_end, near_end
from lathework.part.stock import FACING_MM
from lathework.planning.holdings.chucking import (
    ALL,
    BOLT_HEAD,
    BOLT_SHANK,
    Carried,
    Chucking,
    Grip,
    Placed,
    Task,
    place,
)
from lathework.planning.holdings.grips import CLEAR_MM, grip_of
from lathework.planning.holdings.order import (
    CENTRE_RATIO,
    HOLD_CLEARANCE_MM,
    JAWS_MM,
    LEAST_GRIP_MM,
    STEADY_RATIO,
    cut_mm,
    draws_out,
    over,
    slenderness,
)
from lathework.planning.threads.thread_work import ThreadWork
from lathework.planning.work import Work

SLENDER_RATIO = 6.0
"""Length from the face over a turned diameter from which that end wants a centre, however thick the bar (practice)."""
LEAST_CENTRED_MM = 2.0
"""Smallest end that takes a centre hole (practice)."""
MOST_CHUCKED_MM = 25.0
"""Longest piece that a sawn blank has for the jaws beyond the part; a bar diameter does for a thin one (practice)."""


def carried(
    work: Work, worked_mm: float, across_mm: float, made: tuple[Placed, ...], *, second: bool = False
) -> Carried:
    """What holds up an end worked over `worked_mm`, held on `across_mm` (millimetres), the `second` or the first one.

    Source: practice.
    """
    method, ratio = work.job.method, worked_mm / across_mm
    slim = any(not over(p.far_mm, worked_mm) and over(p.far_mm, SLENDER_RATIO * p.turned_mm) for p in made)
    hangs = (over(ratio, CENTRE_RATIO) or slim) and not method.overruled
    faces = "left" if work.ends.turned_about != second else "right"
    hangs = hangs or faces in work.otherwise.centred
    if made and made[0].end_mm < LEAST_CENTRED_MM:
        return "steps" if hangs or over(ratio, STEADY_RATIO) else "chuck"
    if over(ratio, STEADY_RATIO):
        return "steady"
    return "centre" if hangs or method.support == "centre" else "chuck"


def needs_second(work: Work) -> bool:
    """Whether the far end is worked in a holding of its own: it has sections or a blind hole, or was sawn."""
    if work.part.stock.one_ended:
        return False
    far_bore = any(found.bore.end == far_end(work.ends) for found in work.bores)
    return bool(work.ends.second) or far_bore or work.order == "blanks-first"


def _one_ended(work: Work, base: Chucking) -> Chucking:
    """A bolt by its head, or by its shank where that leaves less hanging out; a part that is kept by itself."""
    overall, across = base.overall_mm, base.grip.across_mm
    near = cut_mm(work.part, work.ends.first)
    if work.part.stock.form == "bolt" and near > overall - CLEAR_MM:
        # Turned right up to its head: that must stand a little out of the jaws.
        return replace(base, stick_out_mm=overall + CLEAR_MM)
    if not over(overall, CENTRE_RATIO * across):
        return base
    if work.part.stock.form == "kept":
        near = max(near, across)
    stick_out = near + HOLD_CLEARANCE_MM
    if overall - stick_out < LEAST_GRIP_MM:
        return base
    words = BOLT_SHANK if work.part.stock.form == "bolt" else base.grip.words
    grip = replace(base.grip, words=words, length_mm=overall - stick_out)
    return replace(base, grip=grip, stick_out_mm=stick_out, worked_mm=near)


def _first(work: Work, *, second: bool) -> tuple[Chucking, ...]:
    part, stock = work.part, work.part.stock
    placed, own = place(work, (*work.ends.first, *reversed(work.ends.second))), len(work.ends.first)
    spare, bar, overall = (FACING_MM if second else 0.0), stock.corners_mm, part.overall_mm
    worked = cut_mm(part, work.ends.first)
    base = Chucking(
        1,
        near_end(work.ends),
        False,
        placed,
        own,
        own,
        Grip("the part itself", stock.across.mm, JAWS_MM, bar),
        stick_out_mm=overall,
        worked_mm=overall,
        bar_mm=bar,
        spare_mm=spare,
        does=ALL[:-1],
    )
    if stock.one_ended:
        named = replace(base.grip, words=BOLT_HEAD) if stock.form == "bolt" else base.grip
        return _carried(work, _one_ended(work, replace(base, grip=named)))
    if work.order == "blanks-first":
        return _carried(work, _blank(base, worked))
    on_bar = replace(base, grip=replace(base.grip, words="the bar"), on_bar=True, stub=work.otherwise.stub)
    if over(slenderness(part), CENTRE_RATIO) and draws_out(part, work.ends):
        short = replace(on_bar, stick_out_mm=worked + HOLD_CLEARANCE_MM, worked_mm=worked)
        return (*_carried(work, short), _drawn(work, on_bar))
    if work.settled.guided:
        return _off_the_bar(work, on_bar)
    return _carried(work, replace(_drawn(work, on_bar), does=ALL))


def _drawn(work: Work, base: Chucking) -> Chucking:
    """The bar with the whole piece out of the jaws, parted off."""
    kerf, last = work.job.setup.parting_blade.mm, base.placed[-1]
    overrun = 0.0
    if last.thread is not None and base.own == len(base.placed):
        overrun = kerf + UNFINISHED_THREADS * last.thread.thread.pitch_mm
    worked = base.overall_mm + base.spare_mm + max(kerf, overrun)
    return replace(base, stick_out_mm=worked + HOLD_CLEARANCE_MM, worked_mm=worked, overrun_mm=overrun, does=("part",))


def _off_the_bar(work: Work, base: Chucking) -> tuple[Chucking, ...]:
    """A bar that nothing is turned of: faced and chamfered close to the jaws, drawn out for the die, parted off."""
    short = replace(base, stick_out_mm=2 * HOLD_CLEARANCE_MM, worked_mm=0.0, does=("face", "turn"))
    return short, replace(_drawn(work, base), does=("thread", "part"))


def _blank(base: Chucking, worked_mm: float) -> Chucking:
    """A sawn blank, longer than the piece where the jaws would have too little of it."""
    stick_out = worked_mm + HOLD_CLEARANCE_MM
    left = base.overall_mm + base.spare_mm - stick_out
    chucked = 0.0
    if left < LEAST_GRIP_MM:
        chucked = max(LEAST_GRIP_MM, min(base.grip.across_mm, MOST_CHUCKED_MM)) - left
    grip = replace(base.grip, words="the sawn blank", length_mm=left + chucked)
    return replace(base, grip=grip, stick_out_mm=stick_out, worked_mm=worked_mm, chucked_mm=chucked)


def _second(work: Work) -> tuple[Chucking, ...]:
    placed, own = place(work, (*work.ends.second, *reversed(work.ends.first))), len(work.ends.second)
    grip, stick_out = grip_of(placed, own)
    worked = placed[own - 1].far_mm if own else 0.0
    base = Chucking(
        2,
        far_end(work.ends),
        True,
        placed,
        own,
        own,
        grip,
        stick_out,
        worked,
        work.part.stock.corners_mm,
        does=ALL[:-1],
    )
    return _carried(work, base)


def _carried(work: Work, base: Chucking) -> tuple[Chucking, ...]:
    """An end in one holding; or, where it is long, faced and centred short, drawn out on the centre, threaded short."""
    # The kerf behind a part is no part of it.
    worked = min(base.worked_mm, base.overall_mm)
    way = carried(work, worked, base.grip.across_mm, base.made, second=base.second)
    if way == "chuck" or not base.made or not over(worked, CENTRE_RATIO * base.grip.across_mm):
        return (replace(base, carried=way if base.made else "chuck"),)
    again = () if base.parted else _pushed_in(work, base)
    tasks: tuple[Task, ...] = ("turn",) if again else ("turn", "thread")
    drawn = replace(base, does=(*tasks, "part") if base.parted else tasks, carried=way)
    short = _short(work, base)
    if short.grip.length_mm < LEAST_GRIP_MM:
        return (replace(base, carried=way),)
    return (replace(short, carried=way), drawn, *again)


def _short(work: Work, base: Chucking) -> Chucking:
    """The end close to the jaws, to be faced, centred and drilled: still the bar that it is turned from."""
    length = base.grip.length_mm + base.stick_out_mm
    words = BOLT_SHANK if work.part.stock.form == "bolt" else base.grip.words
    if base.second:
        length, words = base.made[-1].far_mm, "the end not yet worked"
    across = work.part.stock.across.mm
    grip = Grip(words, across, length - HOLD_CLEARANCE_MM, base.bar_mm, flats=across < base.bar_mm)
    return replace(base, here=0, grip=grip, stick_out_mm=HOLD_CLEARANCE_MM, worked_mm=0.0, does=("face", "bore"))


def _stays(work: Work, thread_work: ThreadWork) -> bool:
    """Whether a thread is cut where its blank was turned, on the leadscrew; or not on the lathe at all."""
    return thread_work.cutter.on_leadscrew or work.off_lathe(thread_work)


def _pushed_in(work: Work, base: Chucking) -> tuple[Chucking, ...]:
    """The end held short once more, behind its last thread, for the die; none where nothing there can be gripped."""
    threaded = [at for at, p in enumerate(base.made) if p.thread is not None and not _stays(work, p.thread)]
    if not threaded:
        return ()
    behind = base.placed if base.second else base.made
    if len(behind) <= threaded[-1] + 1:
        return ()
    grip, stick_out = grip_of(behind, threaded[-1] + 1)
    if grip.on_thread or grip.length_mm < LEAST_GRIP_MM or stick_out >= base.stick_out_mm - HOLD_CLEARANCE_MM:
        return ()
    worked = base.made[threaded[-1]].far_mm
    return (replace(base, grip=grip, stick_out_mm=stick_out, worked_mm=worked, does=("thread",)),)


def chuckings(work: Work) -> tuple[Chucking, ...]:
    """The holdings of the work on the lathe, in order and numbered from 1."""
    second = needs_second(work)
    ways = (*_first(work, second=second), *(_second(work) if second else ()))
    return tuple(replace(way, number=number, steadied=_steadied(work, way)) for number, way in enumerate(ways, 1))


def _steadied(work: Work, way: Chucking) -> bool:
    """Whether a holding is one in a fixed steady: a blank that would go far into a spindle which it does not pass."""
    return way.faces in work.otherwise.steadied and not way.second and way.grip.length_mm > CHUCK_DEEP_MM
