"""The die in use: where it stands, what is known of it, and where to set it."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from lathework.dies.advised import chance, expected, learned_advice
from lathework.dies.aim import Aim, aim_at
from lathework.dies.learner import Trial, believed
from lathework.dies.proposal import start
from lathework.dies.setting import WANTED, Advice, advise, advise_inside
from lathework.errors import InputError
from lathework.figures import Figure
from lathework.gauging.verdicts import Verdict
from lathework.planning.operation import Operation
from lathework.threads.limits import external_limits, internal_limits
from lathework.threads.thread import Thread

Memory = Mapping[str, Sequence[Trial]]
"""What dies did, the oldest first, by their ids, or by their threads where they have none."""


@dataclass(frozen=True, slots=True)
class Preset:
    """Where to set a die before it runs, in eighths of a turn from where its middle screw touches, opened above 0; its
    chance of the class there; what it is expected to cut; from how many `trials`; where it was `left`, None where
    nobody knows."""

    eighths: float
    chance: Figure
    expected: Figure
    trials: int
    left: float | None


def known_of(memory: Memory, die: str, thread: str) -> tuple[Trial, ...]:
    """What a die did, by its id; and what was recorded in this job for its thread before it had one."""
    return (*memory.get(thread, ()), *(memory.get(die, ()) if die else ()))


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


def preset(step: Operation, metal: str, trials: Sequence[Trial], stands: float | None = None) -> Preset | None:
    """Where to set the die of a step before it runs, or what it does where it `stands` once it is set (eighths, a
    number); None where its screws do not size it or no class tells a size."""
    runs = step.kind == "thread" and not step.to_mate
    aim = aim_of(step.thread, step.class_name) if step.thread and runs else None
    if aim is None:
        return None
    belief = believed(aim, trials)
    best = start(belief, metal) if stands is None else belief.forecast(stands, metal)
    if best is None:
        return None
    told = chance(best, aim, "in its class"), expected(belief, best.eighths, metal)
    return Preset(best.eighths, *told, len(trials), trials[-1].eighths if trials else None)


def advice_after(step: Operation, verdict: Verdict, metal: str, trials: Sequence[Trial]) -> Advice | None:
    """What to do with the die of a step after a verdict, the last of its `trials`; None where nothing can be said."""
    assert step.thread is not None  # a step that is gauged has one
    if step.inside:
        return advise_inside(verdict)
    aim = None if step.to_mate else aim_of(step.thread, step.class_name)
    # The last thread of this die is another one where the plan names another die since: only the rule speaks then.
    if aim is None or not trials or trials[-1].verdict != verdict:
        return advise(step.thread, verdict) if verdict in WANTED else None
    belief = believed(aim, trials[:-1])
    own = belief.learn(trials[-1])
    return learned_advice(verdict, belief, trials[-1].eighths, metal, own)
