"""Where to set a die before it runs, and what to do after a verdict: with the die, or the tool that cut the thread."""

from __future__ import annotations

from collections.abc import Collection, Sequence

from lathework.bench.entry import die_of
from lathework.bench.gauge.die import Preset, advice_after, known_as, preset, scale_of
from lathework.bench.gauge.thread import sized
from lathework.bench.gauge.tool import tool_advice
from lathework.bench.tally import Tally, stands_open
from lathework.dies.setting import Advice
from lathework.dies.trial import Trial
from lathework.gauging.verdicts import Verdict
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan


def advised(plan: Plan, step: Operation, verdict: Verdict, tally: Tally, trials: Sequence[Trial]) -> Advice | None:
    """What to do after a verdict: with the die, or with the tool that cut the thread."""
    if step.cut_by.sized_by == "depth":
        size = tally.sizes.get(step.key)
        return tool_advice(plan.job, step, verdict, sized(step, size) if size else None)
    return advice_after(step, verdict, plan.job.material.name, trials, scale_of(step, plan))


def _set_to(plan: Plan, step: Operation, tally: Tally) -> float | None:
    """Where the die of a step was set for the piece in hand, in eighths of a turn; None where nobody said yet."""
    if step.key not in tally.adjusted or step.thread is None:
        return None
    return stands_open(tally.opened, die_of(plan, step.key), known_as(step, step.thread.designation))


def preset_of(
    plan: Plan, step: Operation, trials: Sequence[Trial], tally: Tally, placed: Collection[str]
) -> Preset | None:
    """Where to set the die of a step; or what it does where it was set."""
    if step.thread is None:
        return None
    own = die_of(plan, step.key) or known_as(step, step.thread.designation)
    stands, metal = _set_to(plan, step, tally), plan.job.material.name
    return preset(step, metal, trials, scale_of(step, plan), stands, placed=own in placed or own in tally.placed)
