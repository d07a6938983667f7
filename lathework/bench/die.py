"""The die in use: where it stands, what is known of it, and where to set it."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from lathework.bench.entry import made_of
from lathework.bench.tally import Tally
from lathework.dies.advised import chance, expected, learned_advice
from lathework.dies.learner import Aim, Trial, aim_at, believed, nut_verdict
from lathework.dies.proposal import start
from lathework.dies.setting import DieAdvice, advise, advise_inside
from lathework.errors import InputError
from lathework.figures import Figure
from lathework.gauging.causes import Cause, causes_inside, likely_causes
from lathework.gauging.sized import Sized, judge_size, pitch_diameter_under
from lathework.gauging.wires import Verdict
from lathework.planning.operation import Operation, keyed
from lathework.planning.plan import Plan
from lathework.threads.limits import external_limits, internal_limits
from lathework.threads.thread import Thread
from lathework.units import convert

Memory = Mapping[str, Sequence[Trial]]
"""What dies did, the oldest first, by their ids, or by their threads where they have none."""
TIGHT: tuple[Verdict, ...] = ("will-not-start", "binds")


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


def sized(step: Operation, over_mm: float, wire_mm: float) -> Sized | None:
    """A thread that measures so much over wires of that diameter (millimetres), held against the class of its step;
    None where it has none."""
    thread = step.thread
    bolt = external_limits(thread, step.class_name) if thread is not None and not thread.taper else None
    if thread is None or bolt is None:
        return None
    over, wire = (convert(size, "mm", thread.unit) for size in (over_mm, wire_mm))
    return judge_size(thread, bolt, pitch_diameter_under(thread, over, wire))


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


def why_it_binds(plan: Plan, step: Operation, verdict: Verdict, tally: Tally) -> tuple[Cause, ...]:
    """What to look at before the die of a step is closed for a tight verdict; nothing where that was done for the piece
    in hand, and the die was moved."""
    asked = step.key in tally.moved_for
    if step.inside and verdict in TIGHT and not asked:
        bore = next((one for one in plan.job.part.bores if one.id == made_of(step.key)), None)
        return causes_inside(blind=bore is not None and bore.depth is not None, starts=verdict == "binds")
    if step.inside or step.kind != "gauge" or step.thread is None or step.thread.taper or verdict not in TIGHT or asked:
        return ()
    made = made_of(step.key)
    blank = next((one for one in plan.operations if one.key == keyed("turn", made)), None)
    read = tally.blanks.get(made)
    over = blank is not None and blank.target is not None and read is not None and read > blank.target.high_mm
    shoulder = any(found.shoulder for found in plan.work.threads.values() if found.thread == step.thread)
    return likely_causes(over_blank=over, to_shoulder=shoulder, starts=verdict == "binds")


def advice_after(step: Operation, verdict: Verdict, metal: str, trials: Sequence[Trial]) -> DieAdvice | None:
    """What to do with the die of a step after a verdict, the last of its `trials`; None where nothing can be said."""
    assert step.thread is not None  # a step that is gauged has one
    said = nut_verdict(verdict)
    if step.inside:
        return advise_inside(said) if said else None
    aim = None if step.to_mate else aim_of(step.thread, step.class_name)
    # The last thread of this die is another one where the plan names another die since: only the rule speaks then.
    if aim is None or not trials or trials[-1].verdict != verdict:
        return advise(step.thread, said) if said else None
    belief = believed(aim, trials[:-1])
    own = belief.learn(trials[-1])
    return learned_advice(verdict, belief, trials[-1].eighths, metal, own)
