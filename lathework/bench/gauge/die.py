"""The die in use: where it stands, what is known of it, and where to set it."""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from lathework.bench.entry import made_of
from lathework.dies.after_verdict import chance, expected, learned_advice
from lathework.dies.aim import Aim, aim_at, aim_inside
from lathework.dies.counted_from import HERE, TOUCH, screw_of
from lathework.dies.learner import believed
from lathework.dies.odds import Mate, Odds, odds_about
from lathework.dies.proposal import start
from lathework.dies.scale import SCREW, Scale, graduated_tap, graduations
from lathework.dies.setting import WANTED, Advice, advise, advise_inside
from lathework.dies.trial import Trial
from lathework.errors import InputError
from lathework.figures import PRACTICE, Figure, Given
from lathework.gauging.verdicts import Verdict
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.threads.limits import external_limits, internal_limits
from lathework.threads.thread import Thread

Memory = Mapping[str, Sequence[Trial]]
"""What dies did, the oldest first, by their ids, or by their threads where they have none."""


@dataclass(frozen=True, slots=True)
class Preset:
    """Where to set a die before it runs, in marks of its `scale` (eighths of a turn from where its middle screw
    touches, graduations of a head from its mark; or from the place named `start`), opened above 0; its chance of the
    class there; what it is expected to cut; from how many threads; where it was `left`, None where nobody knows; the
    `odds` there and a step either way, the most closed first."""

    eighths: float
    chance: Figure
    expected: Figure
    trials: int
    left: float | None
    scale: Scale
    start: str = TOUCH
    odds: tuple[Odds, ...] = ()


@dataclass(frozen=True, slots=True)
class DieNow:
    """How the die of a step stands for the piece in hand: where it was set to, None where nobody said; where that is
    counted `start` from; what came to it `since` its last thread; how `dear` a scrapped piece is."""

    stands: float | None = None
    start: str = TOUCH
    since: str = ""
    dear: float = 1.0


IN_A_HEAD = " in a head"
BY_A_TAP = " by a tap"
_ENDS = {"die-head": IN_A_HEAD, "adjustable-tap": BY_A_TAP}


def known_as(step: Operation | None, thread: str) -> str:
    """What a die without an id is known by: its thread; chasers of a head are no die of that thread, nor is a tap."""
    return thread if step is None else thread + _ENDS.get(step.cutter, "")


def scale_of(step: Operation, plan: Plan) -> Scale:
    """What the die, the head or the tap of a step is set by."""
    if step.inside and step.cut_by.sized_by == "graduations":
        bore = next((one for one in plan.job.part.bores if one.id == made_of(step.key)), None)
        return graduated_tap(bore.graduation.mm if bore is not None and bore.graduation else None)
    each = plan.job.setup.head.graduation
    return graduations(each.mm if each else None) if step.cut_by.opens else SCREW


def known_of(memory: Memory, die: str, thread: str) -> tuple[Trial, ...]:
    """What a die did, by its id; and what was recorded in this job for its thread before it had one."""
    return (*memory.get(thread, ()), *(memory.get(die, ()) if die else ()))


def aim_inside_of(thread: Thread, class_name: str) -> Aim | None:
    """What the tap of a thread is to cut, by its class, "" for the usual one; None where no class says so."""
    try:
        nut = None if thread.taper else internal_limits(thread, class_name)
    except InputError:
        return None
    if nut is None:
        return None
    try:
        return aim_inside(nut, external_limits(thread))
    except InputError:
        return aim_inside(nut, None)


def _aim(step: Operation, dear: float) -> Aim | None:
    """What the die or the tap of a step is to cut, where a piece is so `dear`; None where no class says so."""
    assert step.thread is not None  # what is set has a thread
    aim = (aim_inside_of if step.inside else aim_of)(step.thread, step.class_name)
    return replace(aim, dear=dear) if aim is not None else None


def aim_of(thread: Thread, class_name: str) -> Aim | None:
    """What the die of a thread is to cut, by its class, "" for the usual one; None where no class says so."""
    if thread.taper:
        return None
    try:
        bolt = external_limits(thread, class_name)
    except InputError:
        return None
    if bolt is None:
        return None
    try:
        return aim_at(bolt, internal_limits(thread))
    except InputError:
        return aim_at(bolt, None)


def preset(
    step: Operation, metal: str, trials: Sequence[Trial], scale: Scale, die: DieNow, mate: Mate
) -> Preset | None:
    """Where to set the die of a step before it runs, or what it does where it stands once it is set, and the odds of
    the `mate` that its thread is tried with; None where its screws do not size it, no class tells a size, or nobody
    said where it stood when it was moved in this job."""
    runs = step.kind in ("thread", "tap") and not step.to_mate
    aim = _aim(step, die.dear) if step.thread and runs else None
    last = trials[-1].start if trials else TOUCH
    # Moved about from an unknown place, it stays as it stands: no place could be told.
    if aim is None or (die.stands is None and last == HERE):
        return None
    # What was set on a known screw is set on it again.
    counted = die.start if die.stands is not None else last if screw_of(last) else TOUCH
    belief = believed(aim, trials, scale, counted)
    belief.unsettle(seated=die.since == "seated", honed=die.since == "honed")
    best = start(belief, metal) if die.stands is None else belief.forecast(die.stands, metal)
    if best is None:
        return None
    told = chance(best, aim, "in its class"), expected(belief, best.eighths, metal)
    threads = sum(not trial.again for trial in trials)
    left = trials[-1].eighths if trials and last == counted else None
    odds = tuple(odds_about(belief, best.eighths, metal, mate))
    return Preset(best.eighths, *told, threads, left, scale, counted, odds)


def _by_rule(step: Operation, verdict: Verdict, scale: Scale) -> Advice | None:
    """What the rule says where nothing is known of the die: a share of the pitch, by the verdict."""
    assert step.thread is not None  # a step that is gauged has one
    if verdict not in WANTED:
        return None
    if scale.by == "screw" or WANTED[verdict] == 0:
        return advise(step.thread, verdict)
    change = abs(WANTED[verdict]) * step.thread.pitch_mm
    moved = Figure(
        f"scale of the {scale.sets}",
        max(1.0, math.floor(change / scale.slope_mm + 0.5)),
        scale.unit,
        "largest of (1, nearest whole of (change of pitch diameter ÷ a graduation))",
        PRACTICE,
        (Given("change of pitch diameter", change, "mm"), Given("a graduation", scale.slope_mm, "mm")),
    )
    if WANTED[verdict] < 0:
        return Advice("close", scale.close_order(moved), moved, True)
    return Advice("open", scale.open_order(moved, passes=verdict == "slight-shake"), moved, False)


def advice_after(
    step: Operation, verdict: Verdict, metal: str, trials: Sequence[Trial], scale: Scale, dear: float = 1.0
) -> Advice | None:
    """What to do with the die of a step after a verdict, the last of its `trials`, where a scrapped piece is so `dear`
    (a number); None where nothing can be said."""
    assert step.thread is not None  # a step that is gauged has one
    if step.gauged_only:
        return advise_inside(verdict)
    aim = None if step.to_mate else _aim(step, dear)
    # The last thread of this die is another one where the plan names another die since: only the rule speaks then.
    if aim is None or not trials or trials[-1].verdict != verdict:
        return _by_rule(step, verdict, scale)
    belief = believed(aim, trials[:-1], scale, trials[-1].start)
    own = belief.learn(trials[-1])
    return learned_advice(verdict, belief, trials[-1].eighths, metal, own)
