"""The die in use: where it stands, what is known of it, and where to set it."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from lathework.bench.entry import made_of
from lathework.bench.tally import Tally
from lathework.dies.advised import chance, expected, learned_advice
from lathework.dies.learner import Aim, Trial, aim_at, believed, nut_verdict
from lathework.dies.proposal import start
from lathework.dies.setting import DieAdvice, advise
from lathework.errors import InputError
from lathework.figures import Figure
from lathework.gauging.causes import Cause, likely_causes
from lathework.gauging.sized import Sized, judge_size
from lathework.gauging.wires import WIRES, Verdict
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


def sized(step: Operation, pitch_diameter_mm: float) -> Sized | None:
    """A pitch diameter that was measured over wires, in millimetres, held against the class of a step; None where it
    has none."""
    if step.thread is None or step.thread.taper:
        return None
    bolt = external_limits(step.thread, step.class_name)
    if bolt is None:
        return None
    unit = step.thread.unit
    found = Figure(
        "pitch diameter, measured",
        convert(pitch_diameter_mm, "mm", unit),
        unit,
        "as measured over the wires",
        WIRES,
        kind="typed",
    )
    return judge_size(step.thread, bolt, found)


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


def why_it_binds(
    plan: Plan, step: Operation, verdict: Verdict, tally: Tally, trials: Sequence[Trial]
) -> tuple[Cause, ...]:
    """What to look at before the die of a step is closed for a tight verdict; nothing where that was done at the last
    one, and the die was moved since."""
    moved = len(trials) > 1 and trials[-2].verdict in TIGHT
    if step.kind != "gauge" or step.thread is None or step.thread.taper or verdict not in TIGHT or moved:
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
    aim = None if step.to_mate else aim_of(step.thread, step.class_name)
    said = nut_verdict(verdict)
    if aim is None or not trials:
        return advise(step.thread, said) if said else None
    belief = believed(aim, trials[:-1])
    own = belief.learn(trials[-1])
    return learned_advice(verdict, belief, trials[-1].eighths, metal, own)
